<?php

declare(strict_types=1);

namespace App\Mapping;

use App\Models\BuildRecord;
use PocketPlot\File\BadFile;
use PocketPlot\File\Problem;

/** A build whose rows the core cannot read. It stays as it is and can be saved as a file (Mapping\RawDocument). */
final class UnreadableBuild extends \RuntimeException
{
    /** @param  non-empty-list<Problem>  $problems */
    public function __construct(public readonly BuildRecord $record, public readonly array $problems, ?\Throwable $why = null)
    {
        parent::__construct(implode("\n", array_map(strval(...), $problems)), 0, $why);
    }

    public static function because(BuildRecord $record, \Throwable $why): self
    {
        return new self(
            $record,
            $why instanceof BadFile ? $why->problems : [new Problem('', get_debug_type($why).' at '.basename($why->getFile()).':'.$why->getLine())],
            $why,
        );
    }
}
