<?php

declare(strict_types=1);

namespace PocketPlot\Fit;

/** A drawn body as pieces to print: a front and a back half, each cut across its length where it is longer than the bed. */
final readonly class Halves
{
    /** An insert wants this much of a post. */
    public const INSERT_DEEP_MM = 8.0;

    /** Below this wall there is no room for a lip. */
    private const LEAST_LIP_WALL_MM = 1.6;

    /** What stays solid around a round opening. */
    private const RIM_MM = 0.8;

    public function __construct(private Shell $shell, private ?float $bedMm = null) {}

    /** @return array<string, Mesh> by name, each lying as it is printed */
    public function meshes(): array
    {
        $meshes = [];
        $cuts = $this->pieces();
        foreach (['front', 'back'] as $half) {
            for ($i = 0; $i + 1 < count($cuts); $i++) {
                $mesh = $this->solid($half, $cuts[$i], $cuts[$i + 1])->mesh();
                $meshes[$half.(count($cuts) > 2 ? '-'.($i + 1) : '')] = $half === 'back' ? $mesh->flipped() : $mesh;
            }
        }

        return $meshes;
    }

    public function hasLip(): bool
    {
        return $this->shell->wall >= self::LEAST_LIP_WALL_MM && $this->shell->splitMm > 2 * Shell::LIP_MM;
    }

    /** @return list<float> where the pieces begin and end, along the length: no cut goes through a post or a round opening */
    public function pieces(): array
    {
        $t = $this->shell->wall;
        [$from, $to] = [-$t, $this->shell->inside[0] + $t];
        $count = $this->bedMm === null || $this->bedMm <= 0.0 ? 1 : (int) ceil(($to - $from) / $this->bedMm - 1e-9);
        $cuts = [$from];
        for ($i = 1; $i < $count; $i++) {
            $cuts[] = $this->clear($from + ($to - $from) * $i / $count, ($to - $from) / $count * 0.4);
        }
        $cuts[] = $to;

        return $cuts;
    }

    private function clear(float $at, float $reach): float
    {
        for ($off = 0.0; $off < $reach; $off += 0.5) {
            foreach ([$at + $off, $at - $off] as $x) {
                if (! $this->isThroughSomething($x)) {
                    return $x;
                }
            }
        }

        return $at;
    }

    private function isThroughSomething(float $x): bool
    {
        foreach ($this->shell->posts as [$px]) {
            if (abs($px - $x) < Shell::POST_MM / 2 + 0.5) {
                return true;
            }
        }
        foreach ($this->shell->cutouts as $cutout) {
            if ($cutout->isRound && $cutout->axis() > 0 && abs($cutout->across - $x) < $cutout->wide / 2 + self::RIM_MM + 0.5) {
                return true;
            }
        }

        return false;
    }

    private function solid(string $half, float $from, float $to): Solid
    {
        $s = $this->shell;
        [$a, $b, $c] = $s->inside;
        $t = $s->wall;
        [$near, $far] = $half === 'front' ? [-$t, $s->splitMm] : [$s->splitMm, $c + $t];
        $solid = new Solid;
        $solid->add(new Box(-$t, -$t, $near, $a + 2 * $t, $b + 2 * $t, $far - $near));
        $solid->cut(new Box(0.0, 0.0, max(0.0, $near), $a, $b, min($c, $far) - max(0.0, $near)));
        if ($this->hasLip()) {
            $this->lip($solid, $half);
        }
        $drills = $this->cutouts($solid, $half);
        foreach ($s->posts as [$x, $y]) {
            [$low, $high] = $half === 'front' ? [0.0, $far] : [$near, $far];
            $solid->add(new Box($x - Shell::POST_MM / 2, $y - Shell::POST_MM / 2, $low, Shell::POST_MM, Shell::POST_MM, $high - $low));
            $drills[] = $half === 'front'
                ? new Hole(2, $x, $y, Shell::INSERT_MM / 2, Shell::POST_MM, max(0.0, $far - self::INSERT_DEEP_MM), $far)
                : new Hole(2, $x, $y, Shell::SCREW_MM / 2, Shell::POST_MM, $near, $far);
        }
        // What belongs to other pieces.
        $solid->cut(new Box(-$t - 1.0, -$t - 1.0, -$t - 3.0, $from + $t + 1.0, $b + 2 * $t + 2.0, $c + 2 * $t + 6.0));
        $solid->cut(new Box($to, -$t - 1.0, -$t - 3.0, $a + $t + 1.0 - $to, $b + 2 * $t + 2.0, $c + 2 * $t + 6.0));
        foreach ($drills as $hole) {
            $solid->drill($hole);
        }

        return $solid;
    }

    private function lip(Solid $solid, string $half): void
    {
        [$a, $b] = $this->shell->inside;
        $split = $this->shell->splitMm;
        $deep = $this->shell->wall / 2;
        if ($half === 'front') {
            $high = Shell::LIP_MM + Shell::LIP_AIR_MM;
            $solid->cut(new Box(-$deep, -$deep, $split - $high, $a + 2 * $deep, $b + 2 * $deep, $high));

            return;
        }
        $air = Shell::LIP_AIR_MM;
        $solid->add(new Box(-$deep + $air, -$deep + $air, $split - Shell::LIP_MM, $a + 2 * ($deep - $air), $b + 2 * ($deep - $air), Shell::LIP_MM));
        $solid->cut(new Box(0.0, 0.0, $split - Shell::LIP_MM, $a, $b, Shell::LIP_MM));
        foreach ($this->shell->posts as [$x, $y]) {
            $side = Shell::POST_MM + 2 * $air;
            $solid->cut(new Box($x - $side / 2, $y - $side / 2, $split - Shell::LIP_MM, $side, $side, Shell::LIP_MM));
        }
    }

    /** @return list<array{Cutout, bool}> openings that a half has a share of, and whether each is drilled round */
    public function openingsOf(string $half): array
    {
        $split = $this->shell->splitMm;
        $openings = [];
        foreach ($this->shell->cutouts as $cutout) {
            $box = $cutout->box($this->shell->inside, $this->shell->wall);
            $isHere = $half === 'front' ? $box->z < $split : $box->back() > $split - Shell::LIP_MM;
            if ($cutout->kind !== 'screw' && $isHere) {
                // What the halves share is cut out square: half a circle cannot be drilled.
                $openings[] = [$cutout, $cutout->isRound && ($half === 'front' ? $box->back() <= $split - 2 * Shell::LIP_MM : $box->z >= $split)];
            }
        }

        return $openings;
    }

    /** @return list<Hole> the round ones */
    private function cutouts(Solid $solid, string $half): array
    {
        $holes = [];
        foreach ($this->openingsOf($half) as [$cutout, $isRound]) {
            $box = $cutout->box($this->shell->inside, $this->shell->wall);
            if ($isRound) {
                $axis = $cutout->axis();
                $from = [$box->x, $box->y, $box->z];
                $middle = [$box->x + $box->l / 2, $box->y + $box->w / 2, $box->z + $box->h / 2];
                $holes[] = new Hole(
                    $axis,
                    $middle[($axis + 1) % 3],
                    $middle[($axis + 2) % 3],
                    $cutout->wide / 2,
                    $cutout->wide + 2 * self::RIM_MM,
                    $from[$axis],
                    $from[$axis] + $this->shell->wall,
                );
            } else {
                $solid->cut($box);
            }
        }

        return $holes;
    }
}
