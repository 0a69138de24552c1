<?php

declare(strict_types=1);

namespace PocketPlot\Power;

/**
 * A curve through points that never overshoots them: piecewise cubic, with the slopes of Fritsch and
 * Carlson (SIAM J. Numer. Anal. 17, 1980), so that rising points give a rising curve.
 */
final readonly class Curve
{
    /** @var non-empty-list<float> */
    private array $slopes;

    /**
     * @param  non-empty-list<float>  $x  rising
     * @param  non-empty-list<float>  $y  as many
     */
    public function __construct(private array $x, private array $y)
    {
        $this->slopes = self::slopes($x, $y);
    }

    /** Beyond its ends the curve stays level. */
    public function at(float $x): float
    {
        $last = count($this->x) - 1;
        if ($x <= $this->x[0]) {
            return $this->y[0];
        }
        if ($x >= $this->x[$last]) {
            return $this->y[$last];
        }
        $i = 0;
        while ($x > $this->x[$i + 1]) {
            $i++;
        }
        $h = $this->x[$i + 1] - $this->x[$i];
        $t = ($x - $this->x[$i]) / $h;
        $left = $this->y[$i] * (1 + 2 * $t) * (1 - $t) ** 2 + $h * $this->slopes[$i] * $t * (1 - $t) ** 2;

        return $left + $this->y[$i + 1] * $t ** 2 * (3 - 2 * $t) + $h * $this->slopes[$i + 1] * $t ** 2 * ($t - 1);
    }

    /**
     * @param  non-empty-list<float>  $x
     * @param  non-empty-list<float>  $y
     * @return non-empty-list<float>
     */
    private static function slopes(array $x, array $y): array
    {
        $last = count($x) - 1;
        if ($last === 0) {
            return [0.0];
        }
        $steps = [];
        for ($i = 0; $i < $last; $i++) {
            $steps[] = ($y[$i + 1] - $y[$i]) / ($x[$i + 1] - $x[$i]);
        }
        $slopes = [$steps[0]];
        for ($i = 1; $i < $last; $i++) {
            // The harmonic mean keeps each slope within three times either neighbour, which is what keeps the curve from overshooting.
            $slopes[] = $steps[$i - 1] * $steps[$i] <= 0.0 ? 0.0 : 2 / (1 / $steps[$i - 1] + 1 / $steps[$i]);
        }
        $slopes[] = $steps[$last - 1];

        return $slopes;
    }
}
