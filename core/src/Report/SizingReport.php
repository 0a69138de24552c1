<?php

declare(strict_types=1);

namespace PocketPlot\Report;

use PocketPlot\Build\Line;
use PocketPlot\Check\Measuring;
use PocketPlot\Fit\PackRoom;
use PocketPlot\Part\Part;
use PocketPlot\Power\PackNeed;
use PocketPlot\WhatIf\PackChoice;

/** From a wish to the packs that do it, and from a room to the longest run. */
final readonly class SizingReport
{
    /**
     * @param  Line  $pack  the line whose pack is in question
     * @param  float  $meanW  taken at the pack, losses included
     * @param  list<PackNeed>  $needs
     * @param  list<PackChoice>  $choices
     * @param  PackRoom  $left  what the body leaves for the pack
     * @param  ?float  $roomCm3  what the longest runs were sought in; null when no room was named and none is known
     * @param  list<array{part: Part, count: int, hours: float}>  $within  longest first
     */
    public function __construct(
        public float $hours,
        public Line $pack,
        public float $meanW,
        public array $needs,
        public array $choices,
        public PackRoom $left,
        public ?float $roomCm3,
        public array $within,
    ) {}

    /** @return array{hours: float, packLine: string, meanW: float, needs: list<array<string, mixed>>, packs: list<array<string, mixed>>, leftCm3: ?float, leftWants: ?string, roomCm3: ?float, within: list<array<string, mixed>>} the shape that the API answers (contract/openapi.json, "Sizing"), but for the library's own numbers */
    public function toArray(): array
    {
        return [
            'hours' => $this->hours, 'packLine' => $this->pack->id, 'meanW' => round($this->meanW, 3),
            'needs' => array_map(static fn (PackNeed $need): array => $need->toArray(), $this->needs),
            'packs' => array_map(static fn (PackChoice $choice): array => $choice->toArray(), $this->choices),
            'leftCm3' => $this->left->cm3 === null ? null : round($this->left->cm3, 1),
            'leftWants' => $this->left->wants === null || $this->left->figure === null
                ? null
                : Measuring::name($this->left->figure)." of {$this->left->wants->name()}", 'roomCm3' => $this->roomCm3 === null ? null : round(
                    $this->roomCm3,
                    1),
            'within' => array_map(
                static fn (array $one): array => [
                    'part' => $one['part']->id,
                    'name' => $one['part']->name,
                    'count' => $one['count'],
                    'hours' => round($one['hours'], 3),
                ],
                $this->within,
            ),
        ];
    }
}
