<?php

declare(strict_types=1);

namespace PocketPlot\File;

use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Errors\ValidationError;
use Opis\JsonSchema\Validator;
use PocketPlot\File\Upgrade\FromVersion1;
use PocketPlot\File\Upgrade\FromVersion2;

/** The open formats: decodes a text, checks its kind and version, then its shape against the published schema. */
final readonly class Format
{
    public const BUILD = 'pocketplot-build';

    public const LIBRARY = 'pocketplot-library';

    public const MARKET = 'pocketplot-market';

    public const VERSION = 3;

    /** A build with its photographs and logs; whatever is kept of one build stays below this, so that its file can always be taken in again. */
    public const MOST_BYTES = 16_000_000;

    /** Groups within groups, unknown ones included; deeper ones cannot be kept. */
    public const MOST_DEPTH = 24;

    /** @param  string  $schema the text of a file of core/schema */
    public function __construct(private string $kind, private string $schema) {}

    /**
     * @return array<string, mixed> the document
     *
     * @throws BadFile
     */
    public function decode(string $text): array
    {
        $tree = self::tree($text);
        if (! $tree instanceof \stdClass || ($tree->format ?? null) !== $this->kind) {
            throw BadFile::foreign($this->kind);
        }
        $version = $tree->version ?? null;
        if (is_int($version) && $version > self::VERSION) {
            throw BadFile::newer($version, self::VERSION);
        }
        $tree = $version === 1 ? FromVersion1::document($tree) : $tree;
        $tree = $version === 1 || $version === 2 ? FromVersion2::document($tree) : $tree;
        $document = Json::asArrays($tree);
        $this->check(self::withoutLogs($tree), $this->schema());

        return (new Fields(is_array($document) ? $document : []))->rest([]);
    }

    /**
     * Holds one piece of a document against its part of the schema.
     *
     * @param  string  $piece  a name under "$defs" of the schema: "brief", "part", "reading"
     * @param  mixed  $value  as Json::decode gives it
     *
     * @throws BadFile whose paths begin with the piece's name
     */
    public function refuseBadPiece(string $piece, mixed $value): void
    {
        try {
            $schema = (object) ['$ref' => "#/\$defs/{$piece}", '$defs' => $this->schema()->{'$defs'}];
            $this->check(self::withoutLogs(self::tree(Json::encode($value))), $schema);
        } catch (\JsonException $notJson) {
            throw BadFile::at($piece, "cannot be written down ({$notJson->getMessage()})", 'correct it');
        } catch (BadFile $bad) {
            throw new BadFile(array_map(static fn (Problem $problem): Problem => $problem->under($piece), $bad->problems));
        }
    }

    private function schema(): \stdClass
    {
        $schema = json_decode($this->schema, false, 64, JSON_THROW_ON_ERROR);

        return $schema instanceof \stdClass ? $schema : throw new \LogicException('the schema is no group of fields');
    }

    /** @throws BadFile when the text is too long, no JSON, or holds what cannot be kept */
    private static function tree(string $text): mixed
    {
        if (strlen($text) > self::MOST_BYTES) {
            throw BadFile::tooLarge(strlen($text), self::MOST_BYTES);
        }
        try {
            $tree = json_decode($text, false, 512, JSON_THROW_ON_ERROR);
        } catch (\JsonException $notJson) {
            throw BadFile::notJson($notJson->getMessage());
        }
        self::refuseWhatCannotBeKept($tree);

        return $tree;
    }

    /** @throws BadFile naming the place */
    private static function refuseWhatCannotBeKept(mixed $value, string $path = '', int $depth = 1): void
    {
        if (is_float($value) && ! is_finite($value)) {
            throw BadFile::at($path, 'is a number too large to be kept', 'write a smaller one');
        }
        if (! is_array($value) && ! $value instanceof \stdClass) {
            return;
        }
        if ($depth > self::MOST_DEPTH) {
            throw BadFile::at($path, sprintf('lies more than %d groups deep; bring it further up', self::MOST_DEPTH));
        }
        foreach ($value instanceof \stdClass ? get_object_vars($value) : $value as $key => $inner) {
            if (is_string($inner) || is_int($inner)) {
                continue;
            }
            self::refuseWhatCannotBeKept($inner, $path === '' ? (string) $key : "{$path}/{$key}", $depth + 1);
        }
    }

    /** Rows of logs are judged by ReadingReader: tens of thousands of rows take the schema seconds. */
    private static function withoutLogs(mixed $tree): mixed
    {
        if (! is_object($tree)) {
            return $tree;
        }
        $readings = is_array($tree->readings ?? null) ? $tree->readings : [];
        foreach ([$tree, ...$readings] as $reading) {
            if (is_object($reading) && is_array($reading->log ?? null) && count($reading->log) <= ReadingReader::MOST_ROWS) {
                unset($reading->log);
            }
        }

        return $tree;
    }

    private function check(mixed $tree, object $schema): void
    {
        $validator = new Validator(max_errors: 30, stop_at_first_error: false);
        $result = $validator->validate($tree, $schema);
        if ($result->isValid()) {
            return;
        }
        $error = $result->error();
        $problems = $error === null ? [] : self::leaves($error);

        throw new BadFile(
            $problems === [] ? [new Problem('', 'The file does not follow the published schema.')] : array_values(array_unique($problems, SORT_STRING)),
        );
    }

    /** @return list<Problem> only the leaves: what holds a wrong field is not wrong itself */
    private static function leaves(ValidationError $error): array
    {
        $inner = $error->subErrors();
        if ($error->keyword() === 'oneOf') {
            // A figure is a number or a group: what was written tells which of the two was meant.
            $inner = array_filter($inner, static fn (mixed $one): bool => $one instanceof ValidationError && $one->keyword() !== 'type');
        }
        if ($inner !== []) {
            $leaves = [];
            foreach ($inner as $one) {
                $leaves = [...$leaves, ...($one instanceof ValidationError ? self::leaves($one) : [])];
            }

            return $leaves;
        }
        $path = implode('/', array_map(strval(...), $error->data()->fullPath()));
        $schema = $error->schema()->info()->data();
        $choices = $error->keyword() === 'enum' && is_object($schema) && isset($schema->enum) && is_array($schema->enum)
            ? array_filter($schema->enum, is_string(...))
            : [];
        $says = match (true) {
            $choices !== [] => 'choose one of '.implode(', ', $choices),
            $error->keyword() === 'oneOf' => 'is no figure; write a number, or least and most with a source',
            default => (new ErrorFormatter)->formatErrorMessage($error),
        };

        return [new Problem($path, $says)];
    }
}
