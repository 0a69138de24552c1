<?php

declare(strict_types=1);

namespace PocketPlot\Fit;

use PocketPlot\Part\Socket;

/** The body that is drawn around an arrangement: walls in two halves, openings, posts for screws; of a given body, what has to be cut into it. */
final readonly class Shell
{
    /** A lip of the back half reaches so far into the front half, with so much air beside it. */
    public const LIP_MM = 2.0;

    public const LIP_AIR_MM = 0.2;

    /** Air around what comes through the face: twice a printer's usual 0.2 mm. */
    private const FACE_AIR_MM = 0.4;

    /** Blocks of controls that come through the face. */
    private const BUTTON = '/button|stick|d-?pad|knob|trigger|key\b/i';

    /** What lies behind the edge of a window holds the panel. */
    private const EDGE_MM = 1.5;

    /** A finger-safe slot: no wider than 4 mm, under the 12.5 mm of the test finger of IEC 60529 (IP2X) by far. */
    private const SLOT_MM = 2.0;

    private const SLOT_LONG_MM = 16.0;

    /** A post for an M2.5 screw: its outside, the hole for a melted-in insert, and the one that the screw goes through. */
    public const POST_MM = 7.0;

    public const INSERT_MM = 3.6;

    public const SCREW_MM = 2.9;

    /**
     * @param  array{float, float, float}  $inside
     * @param  list<Cutout>  $cutouts
     * @param  list<array{float, float}>  $posts  middles, to the right and down
     * @param  float  $splitMm  where the halves meet, from the face
     */
    private function __construct(
        public string $name,
        public array $inside,
        public float $wall,
        public bool $isDrawn,
        public array $cutouts,
        public array $posts,
        public float $splitMm,
    ) {}

    /** Null while nothing lies anywhere. */
    public static function of(Fitted $fitted): ?self
    {
        $room = $fitted->inventory->room;
        if ($room === null || ! $fitted->isBegun()) {
            return null;
        }
        $inside = $fitted->insideMm;
        $cutouts = self::cutouts($fitted, $room);
        $posts = $room->drawn ? self::posts($fitted) : [];
        $split = self::split($inside, $cutouts);

        return new self(
            $fitted->inventory->build->name,
            $inside,
            max(0.4, $room->wallMm),
            $room->drawn,
            $room->drawn ? [...$cutouts, ...self::screws($posts)] : $cutouts,
            $posts,
            $split,
        );
    }

    /** How many of the four posts one wants found no room. */
    public function postsMissing(): int
    {
        return $this->isDrawn ? 4 - count($this->posts) : 0;
    }

    /** @return array{float, float, float} */
    public function outsideMm(): array
    {
        return [$this->inside[0] + 2 * $this->wall, $this->inside[1] + 2 * $this->wall, $this->inside[2] + 2 * $this->wall];
    }

    /** @return list<Cutout> */
    private static function cutouts(Fitted $fitted, Room $room): array
    {
        $cutouts = [];
        foreach ($fitted->placed as $one) {
            array_push($cutouts, ...self::inFace($one), ...self::forSockets($one, $room, $fitted->insideMm), ...self::grille($one, $fitted));
        }

        return [...$cutouts, ...self::vents($fitted, $room, $cutouts)];
    }

    /** @return list<Cutout> */
    private static function inFace(PlacedPiece $one): array
    {
        $box = $one->box;
        if (! $one->piece->isFace) {
            return [];
        }
        $panel = $one->piece->line->part->panel;
        if ($panel !== null) {
            $active = $panel->activeWidthMm->isKnown() && $panel->activeHeightMm->isKnown()
                ? [$panel->activeWidthMm->most(), $panel->activeHeightMm->most()]
                : [self::within($box->l), self::within($box->w)];

            $wide = max(1.0, min($active[0], $box->l));
            $high = max(1.0, min($active[1], $box->w));
            $sides = $one->piece->shape->sides;
            $corner = $one->turn->box(new Box(
                $panel->activeXMm?->isKnown() === true ? $panel->activeXMm->usual() : ($sides[0] - $wide) / 2,
                $panel->activeYMm?->isKnown() === true ? $panel->activeYMm->usual() : ($sides[1] - $high) / 2,
                0.0, $wide, $high, 0.0,
            ), $sides);

            return [new Cutout(
                'front',
                $box->x + $corner->x + $wide / 2,
                $box->y + $corner->y + $high / 2,
                $wide,
                $high,
                false,
                $one->piece->name(),
                'window',
            )];
        }
        // Where its buttons are written down as blocks of their own, each gets its opening; else those that lie at the face.
        $buttons = array_values(array_filter($one->solid, static fn (Box $block): bool => preg_match(self::BUTTON, $block->name) === 1));
        $blocks = $buttons === [] ? array_values(array_filter($one->solid, static fn (Box $block): bool => $block->z <= 0.5)) : $buttons;

        return array_map(static fn (Box $block): Cutout => count($one->solid) > 1
            ? new Cutout(
                'front',
                $block->x + $block->l / 2,
                $block->y + $block->w / 2,
                $block->l + self::FACE_AIR_MM,
                $block->w + self::FACE_AIR_MM,
                abs($block->l - $block->w) < 0.2,
                "{$one->piece->name()} {$block->name}",
                'control',
            )
            : new Cutout(
                'front',
                $block->x + $block->l / 2,
                $block->y + $block->w / 2,
                self::within($block->l),
                self::within($block->w),
                false,
                $one->piece->name(),
                'control',
            ), $blocks);
    }

    /** A side of an opening behind which something lies: the edge holds it, of small things less of an edge. */
    private static function within(float $side): float
    {
        return $side - 2 * min(self::EDGE_MM, 0.12 * $side);
    }

    /**
     * @param  array{float, float, float}  $inside
     * @return list<Cutout>
     */
    private static function forSockets(PlacedPiece $one, Room $room, array $inside): array
    {
        $cutouts = [];
        foreach ($one->piece->line->part->sockets as $socket) {
            $side = $socket->outside && $socket->face !== '' ? $one->turn->side($socket->face) : '';
            if ($side === '' || self::isOpen($socket, $side, $room)) {
                continue;
            }
            $at = SocketPlace::of($socket, $one->piece->shape, $one->turn);
            $point = [$one->box->x + $at[0], $one->box->y + $at[1], $one->box->z + $at[2]];
            [$wide, $high] = Plugs::shell($socket->connector);
            $round = Plugs::isRound($socket->connector);
            $cutout = match ($side) {
                'left', 'right' => [$point[1], $point[2]],
                'top', 'bottom' => [$point[0], $point[2]],
                default => [$point[0], $point[1]],
            };
            $cutouts[] = self::kept(
                new Cutout($side, $cutout[0], $cutout[1], $wide + self::FACE_AIR_MM, $high + self::FACE_AIR_MM, $round, $socket->name, 'socket'),
                $inside,
            );
        }

        return $cutouts;
    }

    /**
     * An opening stays within its side.
     *
     * @param  array{float, float, float}  $inside
     */
    private static function kept(Cutout $cutout, array $inside): Cutout
    {
        [$first, $second] = match ($cutout->axis()) {
            0 => [$inside[1], $inside[2]],
            1 => [$inside[0], $inside[2]],
            default => [$inside[0], $inside[1]],
        };
        $wide = min($cutout->wide, $first);
        $high = min($cutout->high, $second);

        return new Cutout(
            $cutout->side, max($wide / 2, min($first - $wide / 2, $cutout->across)), max($high / 2, min($second - $high / 2, $cutout->along)), $wide, $high,
            $cutout->isRound && $wide === $cutout->wide && $high === $cutout->high, $cutout->name, $cutout->kind,
        );
    }

    private static function isOpen(Socket $socket, string $side, Room $room): bool
    {
        foreach ($room->openings as $opening) {
            if ($opening->connector === $socket->connector && ($opening->face === '' || $opening->face === $side)) {
                return true;
            }
        }

        return false;
    }

    /** @return list<Cutout> slots before a loudspeaker, in the face or the back, whichever is nearer */
    private static function grille(PlacedPiece $one, Fitted $fitted): array
    {
        if ($one->piece->line->part->speaker === null || $one->piece->isFace) {
            return [];
        }
        $side = $one->box->z <= $fitted->insideMm[2] - $one->box->back() ? 'front' : 'back';
        $long = min(self::SLOT_LONG_MM, $one->box->l - 2.0);
        $slots = [];
        for ($y = $one->box->y + 2.0; $y + self::SLOT_MM <= $one->box->bottom() - 1.0 && $long >= 3.0 && count($slots) < 6; $y += 2 * self::SLOT_MM) {
            $slots[] = new Cutout($side, $one->box->x + $one->box->l / 2, $y + self::SLOT_MM / 2, $long, self::SLOT_MM, false, $one->piece->name(), 'grille');
        }

        return self::isFree($slots, $fitted) ? $slots : [];
    }

    /**
     * Not where something in the face would be cut into.
     *
     * @param  list<Cutout>  $slots
     */
    private static function isFree(array $slots, Fitted $fitted): bool
    {
        foreach ($slots as $slot) {
            foreach ($fitted->placed as $one) {
                if ($slot->side === 'front' && $one->piece->isFace && abs($slot->across - $one->box->x - $one->box->l / 2) < ($slot->wide + $one->box->l) / 2
                    && abs($slot->along - $one->box->y - $one->box->w / 2) < ($slot->high + $one->box->w) / 2) {
                    return false;
                }
            }
        }

        return true;
    }

    /**
     * Slots in the back for the air that is wanted, over what gets hot first.
     *
     * @param  list<Cutout>  $others
     * @return list<Cutout>
     */
    private static function vents(Fitted $fitted, Room $room, array $others): array
    {
        $wanted = $room->line->part->body?->ventMm2;
        if (! $room->drawn || $wanted?->isKnown() !== true || $wanted->usual() <= 0.0) {
            return [];
        }
        $hot = array_values(array_filter($fitted->placed, static fn (PlacedPiece $one): bool => $one->piece->isHot));
        $x = $hot === [] ? $fitted->insideMm[0] / 2 : $hot[0]->box->x + $hot[0]->box->l / 2;
        $count = (int) ceil($wanted->usual() / (self::SLOT_MM * self::SLOT_LONG_MM));
        $slots = [];
        $edge = self::POST_MM + 3.0;
        foreach ([0.0, 1.0, -1.0, 2.0, -2.0, 3.0, -3.0, 4.0, -4.0] as $column) {
            $at = $x + $column * (self::SLOT_LONG_MM + 2 * self::SLOT_MM);
            if ($at - self::SLOT_LONG_MM / 2 < $edge || $at + self::SLOT_LONG_MM / 2 > $fitted->insideMm[0] - $edge) {
                continue;
            }
            for ($y = $edge; $y < $fitted->insideMm[1] - $edge && count($slots) < $count; $y += 2 * self::SLOT_MM) {
                $slot = new Cutout('back', $at, $y, self::SLOT_LONG_MM, self::SLOT_MM, false, 'air', 'vent');
                $slots[] = $slot;
            }
        }

        return array_values(array_filter($slots, static fn (Cutout $slot): bool => self::isApart($slot, $others)));
    }

    /** @param  list<Cutout>  $others */
    private static function isApart(Cutout $slot, array $others): bool
    {
        foreach ($others as $other) {
            $across = abs($other->across - $slot->across) - ($other->wide + $slot->wide) / 2;
            $along = abs($other->along - $slot->along) - ($other->high + $slot->high) / 2;
            if ($other->side === $slot->side && $across < 1.0 && $along < 1.0) {
                return false;
            }
        }

        return true;
    }

    /**
     * Four posts: each in the free place that is nearest to its corner.
     *
     * @return list<array{float, float}>
     */
    private static function posts(Fitted $fitted): array
    {
        [$long, $wide] = $fitted->insideMm;
        $half = self::POST_MM / 2;
        $posts = [];
        foreach ([[0.0, 0.0], [1.0, 0.0], [0.0, 1.0], [1.0, 1.0]] as [$right, $bottom]) {
            $best = null;
            foreach (self::stops($fitted, 0, $long) as $x) {
                foreach (self::stops($fitted, 1, $wide) as $y) {
                    $far = abs($x - $right * $long) + abs($y - $bottom * $wide);
                    if ($far < ($best[2] ?? min($long, $wide) * 0.6) && self::isFreeColumn($fitted, $x - $half, $y - $half, $posts)) {
                        $best = [$x, $y, $far];
                    }
                }
            }
            if ($best !== null) {
                $posts[] = [$best[0], $best[1]];
            }
        }

        return $posts;
    }

    /**
     * Middles at which a post would touch a wall or a neighbour.
     *
     * @return list<float>
     */
    private static function stops(Fitted $fitted, int $axis, float $length): array
    {
        $half = self::POST_MM / 2;
        $stops = [$half, $length - $half];
        foreach ($fitted->placed as $one) {
            [$near, $far] = $axis === 0 ? [$one->box->x, $one->box->right()] : [$one->box->y, $one->box->bottom()];
            array_push($stops, $near - $half - 0.3, $far + $half + 0.3);
        }

        return array_values(array_filter(array_unique($stops), static fn (float $stop): bool => $stop >= $half - 1e-9 && $stop <= $length - $half + 1e-9));
    }

    /** @param  list<array{float, float}>  $posts */
    private static function isFreeColumn(Fitted $fitted, float $x, float $y, array $posts): bool
    {
        $column = new Box($x, $y, -1.0, self::POST_MM, self::POST_MM, $fitted->insideMm[2] + 2.0);
        foreach ($fitted->placed as $one) {
            foreach ([...$one->solid, ...$one->free] as $box) {
                if ($column->overlap($box) !== null) {
                    return false;
                }
            }
        }
        foreach ($posts as [$px, $py]) {
            if (abs($px - $x - self::POST_MM / 2) < self::POST_MM + 1.0 && abs($py - $y - self::POST_MM / 2) < self::POST_MM + 1.0) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param  list<array{float, float}>  $posts
     * @return list<Cutout>
     */
    private static function screws(array $posts): array
    {
        return array_map(
            static fn (array $post): Cutout => new Cutout('back', $post[0], $post[1], self::SCREW_MM, self::SCREW_MM, true, 'screw', 'screw'),
            $posts,
        );
    }

    /**
     * In the middle, or where it cuts through no opening.
     *
     * @param  array{float, float, float}  $inside
     * @param  list<Cutout>  $cutouts
     */
    private static function split(array $inside, array $cutouts): float
    {
        $best = $inside[2] / 2;
        $least = INF;
        for ($share = 0.3; $share <= 0.7; $share += 0.05) {
            $at = $inside[2] * $share;
            $cut = 0;
            foreach ($cutouts as $one) {
                $cut += $one->axis() < 2 && abs($one->along - $at) < $one->high / 2 + self::LIP_MM ? 1 : 0;
            }
            if ([$cut, abs($share - 0.5)] < [$least, abs($best / max(1e-9, $inside[2]) - 0.5)]) {
                [$best, $least] = [$at, $cut];
            }
        }

        return round($best, 2);
    }
}
