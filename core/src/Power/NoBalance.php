<?php

declare(strict_types=1);

namespace PocketPlot\Power;

use PocketPlot\Build\Line;

/** Volts and amps find no balance: more is asked than can come through the resistance on the way. */
final class NoBalance extends \RuntimeException
{
    public function __construct(public readonly ?Line $where)
    {
        parent::__construct('volts and amps find no balance');
    }
}
