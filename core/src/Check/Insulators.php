<?php

declare(strict_types=1);

namespace PocketPlot\Check;

use PocketPlot\Build\Line;
use PocketPlot\Facts\Facts;

/** What keeps bare contacts off metal: on the parts list, or at hand. */
final readonly class Insulators
{
    private const STUFF = ['insulating tape', 'heat-shrink', 'insulating card'];

    /** @param  list<Line>  $lines */
    private function __construct(public array $lines, private string $atHand) {}

    public static function of(Facts $facts): self
    {
        $lines = array_filter($facts->with('serves'), static fn (Line $line): bool => array_intersect(self::STUFF, $line->part->work->serves) !== []);

        return new self(array_values($lines), implode(', ', array_intersect(self::STUFF, $facts->brief()->consumables ?? [])));
    }

    public function isThere(): bool
    {
        return $this->lines !== [] || $this->atHand !== '';
    }

    /** "Insulating tape"; "nothing" when there is none. */
    public function says(): string
    {
        return $this->lines !== [] ? $this->lines[0]->name() : ($this->atHand === '' ? 'nothing' : $this->atHand);
    }
}
