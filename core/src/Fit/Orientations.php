<?php

declare(strict_types=1);

namespace PocketPlot\Fit;

use PocketPlot\Build\Pose;
use PocketPlot\Part\Opening;
use PocketPlot\Part\Socket;

/** The ways in which a piece may be turned in a room, each with where it may then lie. */
final readonly class Orientations
{
    public function __construct(private Room $room, private Spacing $spacing) {}

    /** @return list<Orientation> empty when it goes in no way */
    public function of(Piece $piece, ?Pose $pin): array
    {
        $ways = [];
        foreach ($this->turns($piece, $pin) as $turn) {
            // Where nobody says at which edge its socket sits, it lies at one of the four walls.
            foreach ($pin === null && $piece->shape->anyEdge ? ['left', 'right', 'top', 'bottom'] : [''] as $wall) {
                $laid = $this->orientation($piece, $turn, $pin, $wall);
                if ($laid !== null && $laid->mayLie()) {
                    $ways[serialize([$laid->sides, $laid->solid, $laid->free, $laid->low, $laid->high, $laid->reaches])] ??= $laid;
                }
            }
        }

        return array_values($ways);
    }

    /** As it lies, wherever that is: for what is judged. */
    public static function plain(Piece $piece, Turn $turn): Orientation
    {
        [$solid, $free] = self::blocks($piece->shape, $turn);

        return new Orientation(
            $turn->code,
            $turn->sides($piece->shape->sides),
            $solid,
            $free,
            [0.0, 0.0, 0.0],
            [INF, INF, INF],
            [false, false, false],
            $piece->shape->isOneBlock(),
        );
    }

    /** @return list<Turn> */
    private function turns(Piece $piece, ?Pose $pin): array
    {
        if ($pin !== null) {
            return [Turn::of($pin->turn)];
        }
        $facing = Turn::facing();

        // A picture stays as it stands, or on its head.
        return match (true) {
            $piece->isPanel => array_values(array_filter($facing, static fn (Turn $turn): bool => $turn->axes[0] === 0)),
            $piece->isFace => $facing,
            default => array_values(Turn::all()),
        };
    }

    private function orientation(Piece $piece, Turn $turn, ?Pose $pin, string $wall): ?Orientation
    {
        $sides = $turn->sides($piece->shape->sides);
        $low = [0.0, 0.0, 0.0];
        $high = [$this->room->limit[0] - $sides[0], $this->room->limit[1] - $sides[1], $this->room->limit[2] - $sides[2]];
        $zone = $this->room->zones[$piece->line->place] ?? null;
        if ($zone !== null) {
            $low = [$zone->x, $zone->y, $zone->z];
            $high = [$zone->right() - $sides[0], $zone->bottom() - $sides[1], $zone->back() - $sides[2]];
        }
        if ($piece->isFace) {
            $high[2] = $low[2] = 0.0;
        }
        $reaches = [false, false, false];
        foreach ($pin === null ? [...array_map($turn->side(...), $piece->shape->edges), $wall] : [] as $side) {
            [$low, $high, $reaches] = $this->atWall($side, $sides, $low, $high, $reaches);
        }
        foreach ($pin === null ? $piece->line->part->sockets : [] as $socket) {
            $bounds = $this->atOpening($socket, $piece, $turn, $low, $high);
            if ($bounds === null) {
                return null;
            }
            [$low, $high] = $bounds;
        }
        $post = MountPlace::posts($piece, $this->room);
        if ($post !== null && $pin === null) {
            $corner = MountPlace::corner($piece, $turn, $post);
            if ($corner === null) {
                return null;
            }
            foreach ([0, 1] as $axis) {
                $low[$axis] = max($low[$axis], $corner[$axis]);
                $high[$axis] = min($high[$axis], $corner[$axis]);
            }
        }
        if ($pin !== null) {
            $low = $high = [$pin->xMm, $pin->yMm, $pin->zMm];
        }
        [$solid, $free] = self::blocks($piece->shape, $turn);

        return new Orientation(
            $turn->code, $sides, $solid, $free, $low, $high, $reaches, $piece->shape->isOneBlock(), $post === null ? '' : MountPlace::nameOf($post),
        );
    }

    /**
     * @param  array{float, float, float}  $sides
     * @param  array{float, float, float}  $low
     * @param  array{float, float, float}  $high
     * @param  array{bool, bool, bool}  $reaches
     * @return array{array{float, float, float}, array{float, float, float}, array{bool, bool, bool}} low, high, reaches
     */
    private function atWall(string $side, array $sides, array $low, array $high, array $reaches): array
    {
        foreach ([0, 1, 2] as $axis) {
            if (Turn::SIDES[$axis][0] === $side) {
                $high[$axis] = min($high[$axis], $this->spacing->socketMm);
            } elseif (Turn::SIDES[$axis][1] === $side) {
                $reaches[$axis] = true;
                $low[$axis] = $this->room->drawn ? $low[$axis] : max($low[$axis], $this->room->limit[$axis] - $sides[$axis] - $this->spacing->socketMm);
            }
        }

        return [$low, $high, $reaches];
    }

    /**
     * Where the body has openings for this connector, the socket stands behind one of them.
     *
     * @param  array{float, float, float}  $low
     * @param  array{float, float, float}  $high
     * @return array{array{float, float, float}, array{float, float, float}}|null low and high; null when it finds no opening so
     */
    private function atOpening(Socket $socket, Piece $piece, Turn $turn, array $low, array $high): ?array
    {
        $openings = array_values(array_filter(
            $this->room->openings,
            static fn (Opening $one): bool => $one->connector === $socket->connector && $one->face !== '' && $socket->outside && $socket->face !== '',
        ));
        $side = $turn->side($socket->face);
        $here = array_values(array_filter($openings, static fn (Opening $one): bool => $one->face === $side));
        if ($openings === [] || ($here === [] && $this->room->line->part->body?->cuttable === true)) {
            return [$low, $high];
        }
        if ($here === []) {
            return null;
        }
        $along = SocketPlace::axisAlong($side);
        // An opening that is written down beyond its side binds nothing; that it is, is told.
        $isThere = SocketPlace::beyond($here[0], $this->room->limit[$along]) <= 0.0;
        if ($isThere && $here[0]->offsetMm->isKnown() && $socket->offsetMm->isKnown()) {
            $corner = $this->room->limit[$along] / 2 + $here[0]->offsetMm->usual() - SocketPlace::of($socket, $piece->shape, $turn)[$along];
            $low[$along] = max($low[$along], $corner - $this->spacing->offsetMm);
            $high[$along] = min($high[$along], $corner + $this->spacing->offsetMm);
        }

        return [$low, $high];
    }

    /** @return array{non-empty-list<array{float, float, float, float, float, float}>, list<array{float, float, float, float, float, float}>} */
    private static function blocks(Shape $shape, Turn $turn): array
    {
        $list = static fn (Box $box): array => [$box->x, $box->y, $box->z, $box->l, $box->w, $box->h];

        return [
            array_map(static fn (Box $box): array => $list($turn->box($box, $shape->sides)), $shape->solid),
            array_map(static fn (Box $box): array => $list($turn->box($box, $shape->sides)), $shape->free),
        ];
    }
}
