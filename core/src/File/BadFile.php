<?php

declare(strict_types=1);

namespace PocketPlot\File;

/** A file that cannot be read, with every problem found: where it is, what is wrong, what to do. */
final class BadFile extends \DomainException
{
    /** @param  non-empty-list<string>  $problems */
    public function __construct(public readonly array $problems)
    {
        parent::__construct(implode("\n", $problems));
    }

    public static function notJson(string $why): self
    {
        return new self(["The file is not readable as JSON ({$why}). Choose a file that ends in .pocketplot.json."]);
    }

    public static function tooLarge(int $bytes, int $limit): self
    {
        return new self([sprintf('The file has %.1f MB; at most %.1f MB are read. Remove what is not needed for the build.', $bytes / 1e6, $limit / 1e6)]);
    }

    public static function foreign(string $wanted): self
    {
        return new self(["The file is JSON but not of ours: its \"format\" should be \"{$wanted}\"."]);
    }

    public static function newer(int $version, int $known): self
    {
        return new self(["The file is of version {$version}; this application reads up to version {$known}. Update the application, or export the file from an older one."]);
    }

    public static function at(string $path, string $problem): self
    {
        return new self(["{$path}: {$problem}"]);
    }
}
