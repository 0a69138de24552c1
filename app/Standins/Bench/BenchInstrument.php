<?php

declare(strict_types=1);

namespace App\Standins\Bench;

use PocketPlot\Build\Build;
use PocketPlot\Build\Line;

/** A bench supply and meter that can be read step by step. */
interface BenchInstrument
{
    /** As it is written into a reading. */
    public function name(): string;

    public function isSimulated(): bool;

    /**
     * Steps the supply of a part downwards.
     *
     * @return iterable<array{volts: float, lit: bool, milliamps: float}>
     */
    public function sweep(Build $build, Line $line, float $fromV, float $stepV, bool $signal): iterable;

    /** @return array{volts: float, milliamps: float} what a part draws in a state: off, idle, usual, heavy or start-up */
    public function draw(Build $build, Line $line, string $state): array;

    /**
     * Logs a pack from full until something gives up.
     *
     * @return iterable<array{seconds: float, volts: float, amps: float, stopped: string}>
     */
    public function run(Build $build, Line $pack, int $way): iterable;
}
