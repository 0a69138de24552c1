<?php

declare(strict_types=1);

namespace PocketPlot\Clipping;

/**
 * A piece of a text that speaks of one thing: part of a line, a sentence, a row of a table written out. Cues about a number
 * are looked for here and in the label of its line.
 */
final class Clause
{
    /** How far off a cue counts, in signs, that stands only in the heading above: further than any in the clause that is taken. */
    public const FROM_HEADING = 120.0;

    public readonly string $lower;

    /** What stands before the colon or in the first cell of the line, in small letters; "" without one. */
    public readonly string $label;

    /** The text with numbers that are written out in figures. */
    public readonly string $figures;

    /** @var array<string, list<array{int, int}>> where a cue stands, from and to, by its pattern: asked once for all numbers */
    private array $cues = [];

    /** @var array{list<array{int, int}>, list<array{int, int}>}|null what parts one thing from the next, before a number and after it */
    private ?array $breaks = null;

    /** @var array<int, list<array{int, int}>> the other numbers of the unit of the one that begins there, from and to */
    private array $ofUnit = [];

    public function __construct(
        public readonly string $text,
        /** Bytes in the plain text. */
        public readonly int $start,
        string $label = '',
        /** The heading that it stands under, in small letters. */
        public readonly string $heading = '',
        /** @var array{int, int}|null the row that this was written out of: its finds stand there */
        public readonly ?array $row = null,
    ) {
        $this->figures = SpelledNumbers::inFigures($text);
        $this->lower = Glossary::plain(strtolower($this->figures));
        $this->label = Glossary::plain($label);
    }

    public function says(string $pattern): bool
    {
        return preg_match($pattern, $this->lower) === 1;
    }

    public function isAbout(string $pattern): bool
    {
        return preg_match($pattern, $this->label.' '.$this->lower) === 1;
    }

    /**
     * How far off a cue is from a stretch of this clause, in signs; commas and brackets between them, and other numbers, count
     * extra; a cue that follows counts for less than one before.
     *
     * @param  list<Amount>  $others  the amounts of the clause
     */
    public function distance(string $pattern, int $from, int $to, array $others): ?float
    {
        $best = null;
        $others = $this->ofUnit[$from] ??= $this->sameUnit($from, $others);
        [$before, $after] = $this->breaks ??= [self::places('/[,()\/+]|\band\b|\bbut\b/', $this->lower), self::places('/[,():\/]|\band\b|\bbut\b/',
            $this->lower)];
        foreach ($this->cues[$pattern] ??= self::places($pattern, $this->lower) as [$at, $end]) {
            $far = match (true) {
                $end <= $from => ($from - $end) + 30.0 * self::between($before, $end, $from) + 40.0 * self::between($others, $end, $from),
                $at >= $to => 9.0 + ($at - $to) + 90.0 * self::between($after, $to, $at) + 60.0 * self::between($others, $to, $at),
                default => null,
            };
            if ($far !== null) {
                $best = $best === null ? $far : min($best, $far);
            }
        }
        if (($best === null || $best > 45.0) && $this->label !== '' && preg_match($pattern, $this->label) === 1) {
            return 45.0;
        }
        if ($best === null && $this->heading !== '' && preg_match($pattern, $this->heading) === 1) {
            return self::FROM_HEADING;
        }

        return $best;
    }

    /** @return list<array{int, int}> */
    private static function places(string $pattern, string $text): array
    {
        return preg_match_all($pattern, $text, $all, PREG_OFFSET_CAPTURE) > 0
            ? array_map(static fn (array $cue): array => [$cue[1], $cue[1] + strlen($cue[0])], $all[0]) : [];
    }

    /**
     * @param  list<Amount>  $others
     * @return list<array{int, int}>
     */
    private function sameUnit(int $from, array $others): array
    {
        $unit = null;
        foreach ($others as $one) {
            $unit = $one->start - $this->start === $from ? $one->unit : $unit;
        }
        $same = [];
        foreach ($others as $one) {
            if ($unit === null || $one->unit === $unit) {
                $same[] = [$one->start - $this->start, $one->end - $this->start];
            }
        }

        return $same;
    }

    /** @param  list<array{int, int}>  $others */
    private static function between(array $others, int $from, int $to): int
    {
        $count = 0;
        foreach ($others as [$start, $end]) {
            $count += (int) ($start >= $from && $end <= $to);
        }

        return $count;
    }

    /** Whether what stands at a place is said of another part: "the old one ate 300 mA"; up to the next comma or "but". */
    public function isOfAnother(int $at): bool
    {
        foreach ($this->cues[Cues::OTHER_PART] ??= self::places(Cues::OTHER_PART, $this->lower) as [, $end]) {
            if ($end <= $at && preg_match('/, |;|\\bbut\\b|\\bwhile\\b|\\bthis(?: one\\b|:| \\()|\\bfor (?:an?|the|my|this)\\b|\\bto (?:an?|the|my|'
                .'this)\\b/', substr($this->lower, $end, $at - $end)) !== 1) {
                return true;
            }
        }

        return false;
    }

    /** The stretch before a place, back to the last comma, bracket or number with a unit. */
    public function before(int $at, int $most = 60): string
    {
        return substr($this->lower, max(0, $at - $most), min($most, $at));
    }

    public function after(int $at, int $most = 40): string
    {
        return substr($this->lower, $at, $most);
    }
}
