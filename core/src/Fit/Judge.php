<?php

declare(strict_types=1);

namespace PocketPlot\Fit;

use PocketPlot\Part\Opening;
use PocketPlot\Part\Post;
use PocketPlot\Part\Socket;
use PocketPlot\Part\YesNo;

/** Holds an arrangement against everything that must hold of it. */
final readonly class Judge
{
    /** Nothing nearer than this shuts a hot part in, in millimetres: the air around a bare heatsink begins to move at about this width. */
    private const AIR_MM = 3.0;

    /** Solder points stand about 2 mm proud: bare boards that face each other closer than this may touch when it is dropped. */
    public const BARE_MM = 3.0;

    /** A charging coil lies no farther than this from the back: ordinary senders reach about 8 mm, a wall takes 2 of them. */
    private const COIL_MM = 5.0;

    /** A card wants this much before its slot, to be pulled out; the plug of a pack this much for two finger tips. */
    private const CARD_MM = 15.0;

    private const PLUG_MM = 8.0;

    private const FACE_MM = 0.5;

    /** No button moves farther: arcade buttons go down about 4 mm, all others less. */
    private const MOST_TRAVEL_MM = 4.0;

    /**
     * @param  list<PlacedPiece>  $placed
     * @param  array{float, float, float}  $inside  how far the room goes, along each axis
     */
    public function __construct(private Room $room, private Spacing $spacing, private array $placed, private array $inside) {}

    /** @return list<Trouble> */
    public function troubles(): array
    {
        $troubles = [];
        foreach ($this->placed as $n => $one) {
            foreach ($this->alone($one) as $trouble) {
                $troubles[] = $trouble;
            }
            for ($m = 0; $m < $n; $m++) {
                $trouble = $this->pair($this->placed[$m], $one);
                if ($trouble !== null) {
                    $troubles[] = $trouble;
                }
            }
        }

        return $troubles;
    }

    /** @return list<Trouble> pairs with bare contacts, or bare contacts and metal, that face each other closely; "bare-open" where nobody says whether they are bare */
    public function bareNeighbours(): array
    {
        $pairs = [];
        foreach ($this->placed as $n => $one) {
            for ($m = 0; $m < $n; $m++) {
                $other = $this->placed[$m];
                $apart = $one->box->apart($other->box);
                rsort($apart);
                // Along two axes they lie over each other, along the third they are close.
                $isFacing = $apart[1] < -Clearance::NEARLY && $apart[0] >= 0.0 && $apart[0] < self::BARE_MM;
                $short = $isFacing ? self::mayShort($other->piece, $one->piece) : YesNo::No;
                if ($short !== YesNo::No) {
                    $pairs[] = new Trouble($short === YesNo::Yes ? 'bare' : 'bare-open', $other->piece, $one->piece, $apart[0], self::BARE_MM);
                }
            }
        }

        return $pairs;
    }

    /** Whether a contact of the one may touch a contact or the metal of the other. */
    private static function mayShort(Piece $one, Piece $other): YesNo
    {
        $bare = [$one->bare, $other->bare];
        $conducts = static fn (Piece $piece): YesNo => $piece->line->part->size->isMetal() ? YesNo::Yes : $piece->bare;
        $either = in_array(YesNo::Yes, $bare, true) ? YesNo::Yes : (in_array(YesNo::Unknown, $bare, true) ? YesNo::Unknown : YesNo::No);
        $all = [$conducts($one), $conducts($other), $either];

        return in_array(YesNo::No, $all, true) ? YesNo::No : (in_array(YesNo::Unknown, $all, true) ? YesNo::Unknown : YesNo::Yes);
    }

    private function pair(PlacedPiece $one, PlacedPiece $other): ?Trouble
    {
        [$x, $y, $z] = $one->box->apart($other->box);
        $far = max($this->spacing->heatMm, $this->spacing->besideMm, $this->spacing->layerMm);
        if (($x >= $far || $y >= $far) && $one->free === [] && $other->free === []) {
            return null;
        }
        $gap = Gap::between($one->piece, $other->piece, $this->spacing);
        foreach ($one->solid as $p) {
            foreach ($other->solid as $q) {
                $trouble = $this->blocks($one->piece, $other->piece, $p, $q, $gap);
                if ($trouble !== null) {
                    return $trouble;
                }
            }
        }
        foreach ([[$one, $other], [$other, $one]] as [$plugged, $blocking]) {
            foreach ($plugged->free as $free) {
                foreach ($blocking->solid as $solid) {
                    $where = $free->overlap($solid);
                    if ($where !== null) {
                        return new Trouble('plug', $plugged->piece, $blocking->piece, min($where->l, $where->w), 0.0, $where);
                    }
                }
            }
        }

        return null;
    }

    private function blocks(Piece $one, Piece $other, Box $p, Box $q, Gap $gap): ?Trouble
    {
        [$x, $y, $z] = $p->apart($q);
        $before = $q->z - $p->back();
        $behind = $p->z - $q->back();
        $spare = max(
            ($gap->ways & Gap::X) > 0 ? $x - $gap->besideMm : -INF,
            ($gap->ways & Gap::Y) > 0 ? $y - $gap->besideMm : -INF,
            ($gap->ways & Gap::BEFORE) > 0 ? $before - $gap->layerMm : -INF,
            ($gap->ways & Gap::BEHIND) > 0 ? $behind - $gap->layerMm : -INF,
        );
        if ($spare >= -Clearance::NEARLY) {
            return $this->openTravel($one, $other, $p, $q);
        }
        $where = $p->overlap($q);
        if ($where !== null) {
            return new Trouble('overlap', $one, $other, min($where->l, $where->w, $where->h), 0.0, $where);
        }
        $isOver = $x < -Clearance::NEARLY && $y < -Clearance::NEARLY;
        $between = new Box(
            max($p->x, $q->x), max($p->y, $q->y), min($p->back(), $q->back()),
            max(0.1, min($p->right(), $q->right()) - max($p->x, $q->x)), max(0.1, min($p->bottom(), $q->bottom()) - max($p->y, $q->y)), max(0.1, $z),
        );

        return match (true) {
            $gap->why === 'over-cell' && $isOver => new Trouble(
                'over-cell',
                ...self::inOrder($one, $other, $one->isControl),
                mm: min(-$x, -$y),
                where: $between,
            ),
            $gap->why === 'coil' && $isOver && ($one->isCoil ? $before : $behind) >= -Clearance::NEARLY => new Trouble(
                'coil',
                ...self::inOrder($one, $other, $one->isCoil),
                mm: $z,
                where: $between,
            ),
            $gap->why === 'travel' && $isOver => new Trouble(
                'travel',
                ...self::inOrder($one, $other, $one->isControl),
                mm: $z,
                wantedMm: $gap->layerMm,
                where: $between,
            ),
            $gap->why === 'heat' => new Trouble(
                'heat',
                ...self::inOrder($one, $other, $one->isCell),
                mm: max($x, $y, $z),
                wantedMm: $gap->besideMm,
                where: $between,
            ),
            default => new Trouble('close', $one, $other, max($x, $y, $z), $isOver ? $gap->layerMm : $gap->besideMm, $between),
        };
    }

    /** What lies close beneath a control of which nobody knows how far its buttons move. */
    private function openTravel(Piece $one, Piece $other, Box $p, Box $q): ?Trouble
    {
        [$x, $y, $z] = $p->apart($q);
        $isOpen = ($one->isControl && $one->travelMm === null && ! $other->isFace) || ($other->isControl && $other->travelMm === null && ! $one->isFace);

        return $isOpen && $x < -Clearance::NEARLY && $y < -Clearance::NEARLY && $z < self::MOST_TRAVEL_MM
            ? new Trouble('travel-open', ...self::inOrder($one, $other, $one->isControl), mm: $z)
            : null;
    }

    /** @return array{Piece, Piece} */
    private static function inOrder(Piece $one, Piece $other, bool $isRight): array
    {
        return $isRight ? [$one, $other] : [$other, $one];
    }

    /** @return iterable<Trouble> */
    private function alone(PlacedPiece $one): iterable
    {
        $piece = $one->piece;
        foreach ([
            [0, $one->box->x, $one->box->right()],
            [1, $one->box->y, $one->box->bottom()],
            [2, $one->box->z, $one->box->back()],
        ] as [$axis, $near, $far]) {
            foreach ([[-$near, 0], [$far - $this->inside[$axis], 1]] as [$out, $end]) {
                if ($out > 0.01) {
                    yield new Trouble('outside', $piece, null, $out, 0.0, $one->box, Turn::SIDES[$axis][$end]);
                }
            }
        }
        $post = MountPlace::posts($piece, $this->room);
        if ($post !== null) {
            yield from $this->onPosts($one, $post);
        }
        foreach ($this->room->ribs as $rib) {
            foreach ($post !== null && $rib->name === MountPlace::nameOf($post) ? [] : $one->solid as $solid) {
                $where = $solid->overlap($rib);
                if ($where !== null) {
                    yield new Trouble('rib', $piece, null, min($where->l, $where->w, $where->h), 0.0, $where, $rib->name);
                }
            }
        }
        if ($piece->isFace && $one->box->z > self::FACE_MM) {
            yield new Trouble('face', $piece, null, $one->box->z, 0.0, $one->box);
        }
        $zone = $this->room->zones[$piece->line->place] ?? null;
        if ($zone !== null) {
            $out = max(
                $zone->x - $one->box->x,
                $zone->y - $one->box->y,
                $zone->z - $one->box->z,
                $one->box->right() - $zone->right(),
                $one->box->bottom() - $zone->bottom(),
                $one->box->back() - $zone->back(),
            );
            if ($out > 0.01) {
                yield new Trouble('zone', $piece, null, $out, 0.0, $one->box, $zone->name);
            }
        }
        yield from $this->sockets($one);
        yield from $this->heatAndCoil($one);
    }

    /** @return iterable<Trouble> */
    private function onPosts(PlacedPiece $one, Post $post): iterable
    {
        $corner = MountPlace::corner($one->piece, $one->turn, $post);
        $off = $corner === null ? $one->box->l / 2 : max(abs($one->box->x - $corner[0]), abs($one->box->y - $corner[1]));
        if ($off > $this->spacing->offsetMm / 2 + Clearance::NEARLY) {
            yield new Trouble('post', $one->piece, null, $off, 0.0, $one->box, $post->pattern);
        }
    }

    /** @return iterable<Trouble> */
    private function sockets(PlacedPiece $one): iterable
    {
        $walls = $this->toWalls($one->box);
        $shape = $one->piece->shape;
        if ($shape->anyEdge) {
            unset($walls['front']);
            $near = min($walls === [] ? [INF] : $walls);
            yield $near > $this->spacing->socketMm + Clearance::NEARLY
                ? new Trouble('socket', $one->piece, null, $near, $this->spacing->socketMm, $one->box)
                : new Trouble('which-edge', $one->piece, null, $near, 0.0, $one->box);
        }
        foreach ($one->piece->line->part->sockets as $socket) {
            if (! $socket->outside || $socket->face === '') {
                yield from $this->card($one, $socket);

                continue;
            }
            $side = $one->turn->side($socket->face);
            $far = $this->toWalls($one->box)[$side] ?? 0.0;
            if ($far > $this->spacing->socketMm + Clearance::NEARLY) {
                yield new Trouble('socket', $one->piece, null, $far, $this->spacing->socketMm, $one->box, $socket->name);
            } else {
                yield from $this->opening($one, $socket, $side);
            }
        }
        foreach ($one->free as $free) {
            $out = max(-$free->x, -$free->y, $free->right() - $this->inside[0], $free->bottom() - $this->inside[1]);
            if ($out > 0.01) {
                yield new Trouble('plug', $one->piece, null, $out, 0.0, $free, $free->name);
            }
        }
    }

    /** @return iterable<Trouble> */
    private function opening(PlacedPiece $one, Socket $socket, string $side): iterable
    {
        $openings = array_values(array_filter(
            $this->room->openings,
            static fn (Opening $opening): bool => $opening->connector === $socket->connector && $opening->face !== '',
        ));
        $here = array_values(array_filter($openings, static fn (Opening $opening): bool => $opening->face === $side));
        if ($openings === [] || ($here === [] && $this->room->line->part->body?->cuttable === true)) {
            return;
        }
        if ($here === []) {
            yield new Trouble('opening', $one->piece, null, 0.0, 0.0, $one->box, "{$socket->name} / {$side}");

            return;
        }
        if (! $here[0]->offsetMm->isKnown() || ! $socket->offsetMm->isKnown()) {
            return;
        }
        $along = SocketPlace::axisAlong($side);
        $beyond = SocketPlace::beyond($here[0], $this->inside[$along]);
        if ($beyond > 0.0) {
            yield new Trouble('opening-out', $one->piece, null, $beyond, 0.0, $one->box, $here[0]->name);

            return;
        }
        $corner = $along === 0 ? $one->box->x : $one->box->y;
        $off = abs($corner + SocketPlace::of($socket, $one->piece->shape, $one->turn)[$along] - $this->inside[$along] / 2 - $here[0]->offsetMm->usual());
        if ($off > $this->spacing->offsetMm + Clearance::NEARLY) {
            yield new Trouble('opening', $one->piece, null, $off, $this->spacing->offsetMm, $one->box, $socket->name);
        }
    }

    /**
     * A card in a slot inside, and the plug of a pack, can be reached once the body is open when nothing lies before them.
     *
     * @return iterable<Trouble>
     */
    private function card(PlacedPiece $one, Socket $socket): iterable
    {
        $isCard = in_array($socket->connector, ['microsd', 'sd'], true);
        if ($socket->face === '' || (! $isCard && ! $one->piece->isCell)) {
            return;
        }
        $wanted = $isCard ? self::CARD_MM : self::PLUG_MM;
        $side = $one->turn->side($socket->face);
        foreach ($this->placed as $other) {
            if ($other !== $one && $other->piece->line !== $one->piece->line) {
                $far = self::before($one->box, $other->box, $side);
                if ($far !== null && $far < $wanted) {
                    yield new Trouble($isCard ? 'card' : 'unplug', $one->piece, $other->piece, $far, $wanted, $other->box, $socket->name);
                }
            }
        }
    }

    /** @return iterable<Trouble> */
    private function heatAndCoil(PlacedPiece $one): iterable
    {
        if ($one->piece->isCoil) {
            $far = $this->inside[2] - $one->box->back();
            if ($far > self::COIL_MM) {
                yield new Trouble('coil-far', $one->piece, null, $far, self::COIL_MM, $one->box);
            }
        }
        if (! $one->piece->isHot) {
            return;
        }
        $walls = $this->toWalls($one->box);
        $most = 0.0;
        foreach ($walls as $side => $toWall) {
            $nearest = INF;
            foreach ($this->placed as $other) {
                $far = $other === $one ? null : self::before($one->box, $other->box, $side);
                $nearest = min($nearest, $far ?? INF);
            }
            // The wall itself takes heat away as air does; another part does not.
            $most = max($most, is_infinite($nearest) ? INF : $nearest);
        }
        if ($most < self::AIR_MM) {
            yield new Trouble('air', $one->piece, null, $most, self::AIR_MM, $one->box);
        }
    }

    /** @return array<string, float> millimetres to the wall on each side */
    private function toWalls(Box $box): array
    {
        return [
            'left' => $box->x, 'right' => $this->inside[0] - $box->right(), 'top' => $box->y,
            'bottom' => $this->inside[1] - $box->bottom(), 'front' => $box->z, 'back' => $this->inside[2] - $box->back(),
        ];
    }

    /** Millimetres to another box that lies before this side; null when it does not. */
    private static function before(Box $box, Box $other, string $side): ?float
    {
        [$x, $y, $z] = $box->apart($other);
        $axis = match ($side) {
            'left', 'right' => 0,
            'top', 'bottom' => 1,
            default => 2,
        };
        foreach ([$x, $y, $z] as $at => $apart) {
            if ($at !== $axis && $apart > -0.5) {
                return null;
            }
        }
        $far = match ($side) {
            'left' => $box->x - $other->right(),
            'right' => $other->x - $box->right(),
            'top' => $box->y - $other->bottom(),
            'bottom' => $other->y - $box->bottom(),
            'front' => $box->z - $other->back(),
            default => $other->z - $box->back(),
        };

        return $far >= -0.01 ? max(0.0, $far) : null;
    }
}
