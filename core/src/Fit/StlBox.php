<?php

declare(strict_types=1);

namespace PocketPlot\Fit;

use PocketPlot\Quantity\Constants;

/** What an STL file says of a part or shell: its outer box, its volume, whether it is closed. Read triangle by triangle. */
final readonly class StlBox
{
    public const MOST_TRIANGLES = 1_000_000;

    /** Up to so many its edges are counted; more would take too much memory. */
    private const MOST_COUNTED = 60_000;

    /** What is smaller was hardly meant in millimetres: 25.4 for inches, 1000 for metres. */
    private const SMALL = 3.0;

    /**
     * @param  array{float, float, float}  $sidesMm
     * @param  ?bool  $isClosed  null when it has too many triangles to tell
     * @param  string  $unit  what its figures were taken for: "mm", "in" or "m"
     */
    private function __construct(public array $sidesMm, public float $volumeMm3, public int $triangles, public ?bool $isClosed, public string $unit) {}

    /**
     * @param  resource  $stream
     * @param  ?string  $unit  "mm", "in" or "m"; null to guess
     *
     * @throws BadStl
     */
    public static function read($stream, ?string $unit = null): self
    {
        $head = (string) fread($stream, 84);
        $isText = str_starts_with(ltrim($head), 'solid') && preg_match('/^[\x09\x0a\x0d\x20-\x7e]*$/', $head) === 1;
        $corners = $isText ? self::fromText($stream, $head) : self::fromBinary($stream, $head);
        $low = [INF, INF, INF];
        $high = [-INF, -INF, -INF];
        $edges = [];
        $volume = 0.0;
        $count = 0;
        foreach ($corners as [$a, $b, $c]) {
            if (++$count > self::MOST_TRIANGLES) {
                throw BadStl::tooMany(self::MOST_TRIANGLES);
            }
            foreach ([$a, $b, $c] as $p) {
                for ($axis = 0; $axis < 3; $axis++) {
                    if (! is_finite($p[$axis])) {
                        throw BadStl::noNumber($count);
                    }
                    $low[$axis] = min($low[$axis], $p[$axis]);
                    $high[$axis] = max($high[$axis], $p[$axis]);
                }
            }
            $volume += ($a[0] * ($b[1] * $c[2] - $b[2] * $c[1]) - $a[1] * ($b[0] * $c[2] - $b[2] * $c[0]) + $a[2] * ($b[0] * $c[1] - $b[1] * $c[0])) / 6;
            if ($count <= self::MOST_COUNTED) {
                self::note($edges, $a, $b, $c);
            }
        }
        if ($count === 0) {
            throw BadStl::empty();
        }
        $sides = [$high[0] - $low[0], $high[1] - $low[1], $high[2] - $low[2]];
        $unit ??= max($sides) >= self::SMALL ? 'mm' : (max($sides) < 0.5 ? 'm' : 'in');
        $scale = ['mm' => 1.0, 'in' => Constants::MM_PER_INCH, 'm' => 1000.0][$unit] ?? 1.0;

        return new self(
            [$sides[0] * $scale, $sides[1] * $scale, $sides[2] * $scale], abs($volume) * $scale ** 3, $count,
            $count > self::MOST_COUNTED ? null : array_filter($edges) === [], $unit,
        );
    }

    /**
     * An edge that goes one way in one triangle goes the other way in its neighbour: what is left over is open.
     *
     * @param  array<string, int>  $edges
     * @param  array{float, float, float}  $a
     * @param  array{float, float, float}  $b
     * @param  array{float, float, float}  $c
     *
     * @param-out array<string, int>  $edges
     */
    private static function note(array &$edges, array $a, array $b, array $c): void
    {
        $keys = array_map(static fn (array $p): string => pack('f3', ...array_map(static fn (float $one): float => round($one, 4) + 0.0, $p)), [$a, $b, $c]);
        foreach ([[0, 1], [1, 2], [2, 0]] as [$from, $to]) {
            $isUp = $keys[$from] < $keys[$to];
            $edge = $isUp ? $keys[$from].$keys[$to] : $keys[$to].$keys[$from];
            $edges[$edge] = ($edges[$edge] ?? 0) + ($isUp ? 1 : -1);
            if ($edges[$edge] === 0) {
                unset($edges[$edge]);
            }
        }
    }

    /**
     * @param  resource  $stream
     * @return iterable<array{array{float, float, float}, array{float, float, float}, array{float, float, float}}>
     *
     * @throws BadStl
     */
    private static function fromBinary($stream, string $head): iterable
    {
        $found = strlen($head) === 84 ? unpack('V', $head, 80) : false;
        $count = $found === false ? 0 : $found[1];
        if (! is_int($count) || $count === 0) {
            throw BadStl::empty();
        }
        if ($count > self::MOST_TRIANGLES) {
            throw BadStl::tooMany(self::MOST_TRIANGLES);
        }
        for ($nth = 0; $nth < $count; $nth++) {
            $bytes = (string) fread($stream, 50);
            /** @var array<int, float>|false $v */
            $v = strlen($bytes) === 50 ? unpack('g12', $bytes) : false;
            if ($v === false) {
                throw BadStl::cutOff($nth, $count);
            }
            yield [[$v[4], $v[5], $v[6]], [$v[7], $v[8], $v[9]], [$v[10], $v[11], $v[12]]];
        }
    }

    /**
     * @param  resource  $stream
     * @return iterable<array{array{float, float, float}, array{float, float, float}, array{float, float, float}}>
     *
     * @throws BadStl
     */
    private static function fromText($stream, string $head): iterable
    {
        $corners = [];
        $rest = $head;
        $count = 0;
        $isEnded = false;
        while (true) {
            $more = fread($stream, 65536);
            $isLast = $more === false || $more === '';
            $rest .= (string) $more;
            $lines = preg_split('/\R/', $rest) ?: [];
            $rest = $isLast ? '' : (string) array_pop($lines);
            if (strlen($rest) > 100_000) {
                throw BadStl::noNumber($count + 1);
            }
            foreach ($lines as $line) {
                if (preg_match('/^\s*vertex\s+(\S+)\s+(\S+)\s+(\S+)\s*$/i', $line, $found) === 1) {
                    if (! is_numeric($found[1]) || ! is_numeric($found[2]) || ! is_numeric($found[3])) {
                        throw BadStl::noNumber($count + 1);
                    }
                    $corners[] = [(float) $found[1], (float) $found[2], (float) $found[3]];
                    if (count($corners) === 3) {
                        $count++;
                        yield [$corners[0], $corners[1], $corners[2]];
                        $corners = [];
                    }
                }
                $isEnded = $isEnded || preg_match('/^\s*endsolid/i', $line) === 1;
            }
            if ($isLast) {
                break;
            }
        }
        if ($corners !== [] || ($count > 0 && ! $isEnded)) {
            throw BadStl::cutOff($count, null);
        }
    }
}
