<?php

declare(strict_types=1);

namespace PocketPlot\Fit;

use PocketPlot\Build\Brief;
use PocketPlot\Build\Line;
use PocketPlot\Build\Margins;
use PocketPlot\Part\Block;
use PocketPlot\Part\Opening;

/** The room inside a body: a cavity with its ribs, posts and openings, or what the brief leaves within walls that are still to be drawn. */
final readonly class Room
{
    /** Millimetres across an ordinary post with its wall. */
    private const POST_ACROSS_MM = 6.0;

    /**
     * @param  array{float, float, float}  $limit  to the right, down, into the depth; INF where nothing limits it
     * @param  list<Box>  $ribs  what stands in it: ribs, and posts whose place is known
     * @param  array<string, Box>  $zones  rooms of their own, those whose place is known
     * @param  list<Opening>  $openings
     */
    private function __construct(
        public Line $line,
        public bool $drawn,
        public array $limit,
        public float $wallMm,
        public array $ribs,
        public array $zones,
        public array $openings,
    ) {}

    /** Null without a body, and while its room or its wall is unknown. */
    public static function of(?Line $line, Brief $brief): ?self
    {
        $body = $line?->part->body;
        if ($line === null || $body === null) {
            return null;
        }
        $wall = $body->wallMm->isKnown() ? $body->wallMm->usual() : 0.0;
        if ($body->drawn) {
            $largest = $line->part->size->hasAllSides()
                ? [$line->part->size->lengthMm->most(), $line->part->size->widthMm->most(), $line->part->size->heightMm->most()]
                : $brief->largestMm;
            $within = static fn (float $side): float => max(0.0, $side - 2 * $wall);

            return $body->wallMm->isKnown()
                ? new self(
                    $line,
                    true,
                    $largest === null ? [INF, INF, INF] : [$within($largest[0]), $within($largest[1]), $within($largest[2])],
                    $wall,
                    [],
                    [],
                    [],
                )
                : null;
        }
        $cavity = $body->cavity();
        if (! $cavity->hasAllSides()) {
            return null;
        }
        $zones = [];
        foreach ($body->zones as $zone) {
            $box = $zone->box();
            if ($box !== null) {
                $zones[$zone->name] = new Box(...$box, name: $zone->name);
            }
        }

        return new self(
            $line, false, [$cavity->lengthMm->least(), $cavity->widthMm->least(), $cavity->heightMm->least()], $wall,
            [...self::ribs($body->ribs), ...self::posts($line)], $zones, $body->openings,
        );
    }

    /** The same, laid the other way round: a body that is still to be drawn may be tall instead of wide. */
    public function turned(): self
    {
        return $this->limited([$this->limit[1], $this->limit[0], $this->limit[2]]);
    }

    /** The same with so much kept free of each side. */
    public function sparing(float $mm): self
    {
        return $this->drawn ? $this : $this->limited([max(0.0, $this->limit[0] - $mm), max(0.0, $this->limit[1] - $mm), max(0.0, $this->limit[2] - $mm)]);
    }

    public function spareMm(Brief $brief): float
    {
        return Margins::of('cavity-mm', $brief->margins);
    }

    /** @param  array{float, float, float}  $limit */
    private function limited(array $limit): self
    {
        return new self($this->line, $this->drawn, $limit, $this->wallMm, $this->ribs, $this->zones, $this->openings);
    }

    /**
     * @param  list<Block>  $ribs
     * @return list<Box>
     */
    private static function ribs(array $ribs): array
    {
        return array_map(static fn (Block $rib): Box => new Box(
            $rib->xMm->usual(), $rib->yMm->usual(), $rib->zMm->usual(), $rib->lengthMm->most(), $rib->widthMm->most(), $rib->heightMm->most(), $rib->name,
        ), array_values(array_filter($ribs, static fn (Block $rib): bool => $rib->isWhole())));
    }

    /**
     * Posts through the whole depth, four for a pattern "58x49" around the middle that is written down.
     *
     * @return list<Box>
     */
    private static function posts(Line $line): array
    {
        $boxes = [];
        $deep = $line->part->body?->cavityHeightMm->most() ?? 0.0;
        foreach ($line->part->body->posts ?? [] as $post) {
            if (! $post->xMm->isKnown() || ! $post->yMm->isKnown() || preg_match('/^([0-9.]+)x([0-9.]+)$/', $post->pattern, $found) !== 1) {
                continue;
            }
            foreach ([-0.5, 0.5] as $across) {
                foreach ([-0.5, 0.5] as $down) {
                    $boxes[] = new Box(
                        $post->xMm->usual() + $across * (float) $found[1] - self::POST_ACROSS_MM / 2,
                        $post->yMm->usual() + $down * (float) $found[2] - self::POST_ACROSS_MM / 2,
                        0.0, self::POST_ACROSS_MM, self::POST_ACROSS_MM, $deep, "post {$post->pattern}",
                    );
                }
            }
        }

        return $boxes;
    }
}
