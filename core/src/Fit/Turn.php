<?php

declare(strict_types=1);

namespace PocketPlot\Fit;

/**
 * One of the 24 ways in which a block can be turned without mirroring it. Written as the part's own axes (l along its
 * length, w along its width, h from its face into its height) that lie along the body's (to the right, down, into the
 * depth), with a minus where they run the other way: "lwh" is as it was written down.
 */
final readonly class Turn
{
    private const AXES = ['l' => 0, 'w' => 1, 'h' => 2];

    /** The sides of a block, by axis, at its near and its far end. */
    public const SIDES = [['left', 'right'], ['top', 'bottom'], ['front', 'back']];

    /**
     * @param  array{int, int, int}  $axes  own axis along each of the body's
     * @param  array{bool, bool, bool}  $flips
     */
    private function __construct(public string $code, public array $axes, public array $flips) {}

    public static function isCode(string $code): bool
    {
        return isset(self::all()[$code]);
    }

    /** Any other code counts as not turned. */
    public static function of(string $code): self
    {
        return self::all()[$code] ?? self::all()['lwh'];
    }

    /** @return array<string, self> all 24, by code */
    public static function all(): array
    {
        /** @var array<string, self> $all */
        static $all = [];
        if ($all !== []) {
            return $all;
        }
        foreach (['lwh', 'lhw', 'wlh', 'whl', 'hlw', 'hwl'] as $letters) {
            for ($signs = 0; $signs < 8; $signs++) {
                $turn = self::made($letters, $signs);
                if ($turn->isProper()) {
                    $all[$turn->code] = $turn;
                }
            }
        }
        // "As it is" before all others.
        $all = ['lwh' => $all['lwh']] + $all;

        return $all;
    }

    /** @return list<self> those that leave the part's own face towards the holder */
    public static function facing(): array
    {
        return array_values(array_filter(self::all(), static fn (self $turn): bool => $turn->axes[2] === 2 && ! $turn->flips[2]));
    }

    /**
     * @param  array{float, float, float}  $sides  own length, width, height
     * @return array{float, float, float} as it lies
     */
    public function sides(array $sides): array
    {
        return [$sides[$this->axes[0]], $sides[$this->axes[1]], $sides[$this->axes[2]]];
    }

    /** @param  array{float, float, float}  $sides  of the whole part that the box belongs to */
    public function box(Box $box, array $sides): Box
    {
        $from = [$box->x, $box->y, $box->z];
        $long = [$box->l, $box->w, $box->h];
        $at = [0.0, 0.0, 0.0];
        foreach ($this->axes as $k => $own) {
            $at[$k] = $this->flips[$k] ? $sides[$own] - $from[$own] - $long[$own] : $from[$own];
        }

        return new Box($at[0], $at[1], $at[2], $long[$this->axes[0]], $long[$this->axes[1]], $long[$this->axes[2]], $box->name);
    }

    /** On which side of the body a side of the part comes to lie. */
    public function side(string $own): string
    {
        foreach (self::SIDES as $axis => $ends) {
            $end = array_search($own, $ends, true);
            if ($end !== false) {
                $k = (int) array_search($axis, $this->axes, true);

                return self::SIDES[$k][$this->flips[$k] ? 1 - $end : $end];
            }
        }

        return $own;
    }

    /** Turned once more by a quarter, seen from the front ("face"), from below ("end") or from the right ("side"). */
    public function quarter(string $view): self
    {
        [$a, $b] = match ($view) {
            'end' => [0, 2],
            'side' => [1, 2],
            default => [0, 1],
        };
        $axes = $this->axes;
        $flips = $this->flips;
        [$axes[$a], $axes[$b]] = [$this->axes[$b], $this->axes[$a]];
        [$flips[$a], $flips[$b]] = [! $this->flips[$b], $this->flips[$a]];

        return self::of(self::code($axes, $flips));
    }

    private static function made(string $letters, int $signs): self
    {
        $axes = [self::AXES[$letters[0]], self::AXES[$letters[1]], self::AXES[$letters[2]]];
        $flips = [($signs & 1) > 0, ($signs & 2) > 0, ($signs & 4) > 0];

        return new self(self::code($axes, $flips), $axes, $flips);
    }

    /**
     * @param  array{int, int, int}  $axes
     * @param  array{bool, bool, bool}  $flips
     */
    private static function code(array $axes, array $flips): string
    {
        $letters = array_keys(self::AXES);
        $code = '';
        foreach ($axes as $k => $own) {
            $code .= ($flips[$k] ? '-' : '').$letters[$own];
        }

        return $code;
    }

    /** A turn keeps left and right: an even change of axes with an even number of flips, or an odd with an odd. */
    private function isProper(): bool
    {
        $isEven = in_array($this->axes, [[0, 1, 2], [1, 2, 0], [2, 0, 1]], true);

        return (count(array_filter($this->flips)) % 2 === 0) === $isEven;
    }
}
