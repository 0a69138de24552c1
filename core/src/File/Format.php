<?php

declare(strict_types=1);

namespace PocketPlot\File;

use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Errors\ValidationError;
use Opis\JsonSchema\Validator;

/** The open formats: decodes a text, checks its kind and version, then its shape against the published schema. */
final readonly class Format
{
    public const BUILD = 'pocketplot-build';

    public const LIBRARY = 'pocketplot-library';

    public const VERSION = 1;

    public const MOST_BYTES = 4_000_000;

    /** @param  string  $schema the text of core/schema/build.schema.json or library.schema.json */
    public function __construct(private string $kind, private string $schema) {}

    /**
     * @return array<string, mixed> the document
     *
     * @throws BadFile
     */
    public function decode(string $text): array
    {
        if (strlen($text) > self::MOST_BYTES) {
            throw BadFile::tooLarge(strlen($text), self::MOST_BYTES);
        }
        try {
            $tree = json_decode($text, false, 64, JSON_THROW_ON_ERROR);
        } catch (\JsonException $notJson) {
            throw BadFile::notJson($notJson->getMessage());
        }
        $document = Json::asArrays($tree);
        if (! is_array($document) || ! is_object($tree) || ($document['format'] ?? null) !== $this->kind) {
            throw BadFile::foreign($this->kind);
        }
        $version = $document['version'] ?? null;
        if (is_int($version) && $version > self::VERSION) {
            throw BadFile::newer($version);
        }
        $this->check($tree);

        return (new Fields($document))->rest([]);
    }

    private function check(object $tree): void
    {
        $validator = new Validator(max_errors: 30, stop_at_first_error: false);
        $result = $validator->validate($tree, $this->schema);
        if ($result->isValid()) {
            return;
        }
        $error = $result->error();
        $problems = $error === null ? [] : self::leaves($error);

        throw new BadFile($problems === [] ? ['The file does not follow the published schema.'] : array_values(array_unique($problems)));
    }

    /** @return list<string> only the leaves: what holds a wrong field is not wrong itself */
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
        $choices = $error->keyword() === 'enum' && is_object($schema) && isset($schema->enum) && is_array($schema->enum) ? array_filter($schema->enum, is_string(...)) : [];
        $says = match (true) {
            $choices !== [] => 'choose one of '.implode(', ', $choices),
            $error->keyword() === 'oneOf' => 'is no figure; write a number, or least and most with a source',
            default => (new ErrorFormatter)->formatErrorMessage($error),
        };

        return [($path === '' ? 'the file' : $path).': '.$says];
    }
}
