<?php

declare(strict_types=1);

namespace PocketPlot\File;

use Opis\JsonSchema\Errors\ErrorFormatter;
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
        $problems = [];
        if ($error !== null) {
            // Only the leaves: what holds a wrong field is not wrong itself.
            foreach ((new ErrorFormatter)->formatFlat($error, static fn ($leaf): array => [
                implode('/', array_map(strval(...), $leaf->data()->fullPath())),
                (new ErrorFormatter)->formatErrorMessage($leaf),
            ]) as $pair) {
                if (is_array($pair) && is_string($pair[0]) && is_string($pair[1])) {
                    $problems[] = ($pair[0] === '' ? 'the file' : $pair[0]).': '.$pair[1];
                }
            }
        }

        throw new BadFile($problems === [] ? ['The file does not follow the published schema.'] : array_values(array_unique($problems)));
    }
}
