<?php

declare(strict_types=1);

namespace PocketPlot\Check;

use PocketPlot\Quantity\Figure;
use PocketPlot\Quantity\Number;
use PocketPlot\Quantity\Source;

/** One figure of a finding's working. The value is a number, a band as text ("3 to 4.2"), or null when unknown. */
final readonly class WorkingLine
{
    public function __construct(
        public string $label,
        public float|string|null $value,
        public string $unit,
        public string $source,
        public ?string $stated = null,
    ) {}

    public static function figure(string $label, Figure $figure): self
    {
        $value = match (true) {
            ! $figure->isKnown() => null,
            // What was given stays as it was written; what was worked out gets no more digits than it is worth.
            $figure->least() === $figure->most() => $figure->source === Source::WorkedOut ? (float) Number::says($figure->usual()) : round($figure->usual(), 4),
            default => $figure->saysBand(),
        };

        return new self($label, $value, $figure->unit, $figure->source->value, $figure->stated);
    }

    /** @return array{label: string, value: float|string|null, unit: string, source: string, stated?: string} */
    public function toArray(): array
    {
        return [
            'label' => $this->label,
            'value' => $this->value,
            'unit' => $this->unit,
            'source' => $this->source,
            ...($this->stated === null ? [] : ['stated' => $this->stated]),
        ];
    }
}
