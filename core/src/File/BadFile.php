<?php

declare(strict_types=1);

namespace PocketPlot\File;

/** A file that cannot be read, with every problem found. */
final class BadFile extends \DomainException
{
    /** @param  non-empty-list<Problem>  $problems */
    public function __construct(public readonly array $problems)
    {
        parent::__construct(implode("\n", array_map(strval(...), $problems)));
    }

    public static function notJson(string $why): self
    {
        return self::ofWhole("The file is not readable as JSON ({$why}).", 'Choose a file that ends in .pocketplot.json.');
    }

    public static function tooLarge(int $bytes, int $limit): self
    {
        return self::ofWhole(
            sprintf('The file has %.1f MB; at most %.1f MB are read.', $bytes / 1e6, $limit / 1e6),
            'Remove what is not needed for the build.',
        );
    }

    public static function foreign(string $wanted): self
    {
        return self::ofWhole("The file is JSON but not of ours: its \"format\" should be \"{$wanted}\".");
    }

    public static function newer(int $version, int $known): self
    {
        return self::ofWhole(
            "The file is of version {$version}; this application reads up to version {$known}.",
            'Update the application, or export the file from an older one.',
        );
    }

    /** Of no field: whole sentences. */
    public static function ofWhole(string $wrong, string $fix = ''): self
    {
        return new self([new Problem('', trim("{$wrong} {$fix}"))]);
    }

    /**
     * @param  string  $field  the path
     * @param  string  $wrong  continues the field's name: "is missing"
     * @param  string  $fix  what to do
     */
    public static function at(string $field, string $wrong, string $fix = ''): self
    {
        return new self([new Problem($field, $wrong, $fix)]);
    }
}
