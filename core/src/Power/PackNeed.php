<?php

declare(strict_types=1);

namespace PocketPlot\Power;

/** What a wished run time asks of one chemistry with so many cells in series. */
final readonly class PackNeed
{
    /**
     * @param  ?float  $ampHours  of one row; null when no size of it runs
     * @param  ?float  $litres  about
     * @param  array{name: string, parallel: int}|null  $outOf  a cell of the library and the rows of it
     * @param  ?string  $why  it does not run
     */
    public function __construct(
        public string $chemistry,
        public int $series,
        public ?float $ampHours,
        public ?float $wattHours,
        public ?float $litres,
        public ?array $outOf,
        public ?string $why,
    ) {}

    /** @return array{chemistry: string, series: int, mah: ?float, wattHours: ?float, cm3: ?float, cell: ?string, parallel: ?int, why: ?string} */
    public function toArray(): array
    {
        return [
            'chemistry' => $this->chemistry, 'series' => $this->series,
            'mah' => $this->ampHours === null ? null : round($this->ampHours * 1000),
            'wattHours' => $this->wattHours === null ? null : round($this->wattHours, 2),
            'cm3' => $this->litres === null ? null : round($this->litres * 1000, 1),
            'cell' => $this->outOf['name'] ?? null, 'parallel' => $this->outOf['parallel'] ?? null, 'why' => $this->why,
        ];
    }
}
