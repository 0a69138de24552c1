<?php

declare(strict_types=1);

namespace PocketPlot\Clipping;

/** Lays together what several places of a text say of one thing: bounds of a figure, states of a draw, one socket said twice. */
final readonly class Gathering
{
    /** Figures that are one band, whichever of its ends stands where. */
    private const BANDS = [
        'draw', 'draw power', 'supply voltage', 'charge limit', 'quiescent current', 'standby draw', 'light draw', 'dropout', 'output current', 'refresh',
        'capacity', 'charge current', 'charge input voltage', 'discharge limit',
    ];

    /** Shares by which two words of one figure may differ and still mean the same. */
    private const ALIKE = 0.03;

    /** @param  bool  $isMetered  somebody's own readings: what was supplied is what the draw was taken at */
    /** Volts that no cell is let down to or up again above, and no row of two is let down to. */
    private const MOST_OF_AN_EMPTY_CELL = 3.6;

    public function __construct(private string $role, private bool $isMetered, private bool $isMains) {}

    /**
     * @param  list<Find>  $finds
     * @return list<Find>
     */
    public function of(array $finds): array
    {
        $finds = $this->amplifiers($finds);
        $finds = $this->multiples($finds);
        $byWhat = [];
        foreach ($finds as $find) {
            $byWhat[$find->what][] = $find;
        }
        $byWhat = self::withoutPeaks($byWhat);
        $volts = $byWhat['supply voltage'] ?? [];
        $byWhat = self::withoutWeak($byWhat);
        if ($this->isMains) {
            unset($byWhat['charger type']);
        }
        if ($this->isMetered && isset($byWhat['draw']) && ! isset($byWhat['draw taken at']) && count($volts) === 1 && isset($volts[0]->says['usual'])
            && count($volts[0]->says) === 1) {
            $byWhat['draw taken at'] = [new Find('draw taken at', $volts[0]->says, $volts[0]->start, $volts[0]->end)];
        }
        if (! isset($byWhat['draw'])) {
            // At which volts nothing was drawn says nothing.
            unset($byWhat['draw taken at']);
        }
        $gathered = [];
        foreach (self::ofRows($byWhat) as $what => $same) {
            $gathered = [...$gathered, ...$this->gather((string) $what, $same)];
        }
        usort($gathered, static fn (Find $a, Find $b): int => $a->start <=> $b->start);

        return array_map(static fn (Find $find): Find => $find->saying(array_diff_key($find->says, ['state' => true, 'metered' => true, 'bare' => true])),
            $gathered);
    }

    /**
     * Of cells in series, a protection that cuts off at a single cell's volts says them of each: the row's are so many times that.
     *
     * @param  array<string, non-empty-list<Find>>  $byWhat
     * @return array<string, non-empty-list<Find>>
     */
    private static function ofRows(array $byWhat): array
    {
        $series = (int) ($byWhat['series'][0]->says['usual'] ?? 1);
        foreach ($series > 1 ? array_intersect(['cut-off voltage', 'recovery voltage'], array_keys($byWhat)) : [] as $what) {
            $byWhat[$what] = array_map(static function (Find $find) use ($series): Find {
                $volts = array_filter(array_intersect_key($find->says, ['least' => 0, 'usual' => 0, 'most' => 0]), is_numeric(...));

                return $volts === [] || max($volts) > self::MOST_OF_AN_EMPTY_CELL ? $find
                    : $find->saying([...$find->says, ...array_map(static fn (float|int|string $one): float => round($series * (float) $one, 3), $volts)]);
            }, $byWhat[$what]);
        }

        return $byWhat;
    }

    /**
     * What a headline promises is no continuous current where the details say that it is a peak.
     *
     * @param  array<string, non-empty-list<Find>>  $byWhat
     * @return array<string, non-empty-list<Find>>
     */
    private static function withoutPeaks(array $byWhat): array
    {
        $peaks = array_map(static fn (Find $one): ?float => $one->number('usual') ?? $one->number('most'), $byWhat['output peak current'] ?? []);
        $lasting = array_values(array_filter($byWhat['output current'] ?? [],
            static fn (Find $one): bool => ! in_array($one->number('usual') ?? $one->number('most'), $peaks, true)));
        if ($peaks !== [] && $lasting !== []) {
            $byWhat['output current'] = $lasting;
        }

        return $byWhat;
    }

    /**
     * @param  array<string, non-empty-list<Find>>  $byWhat
     * @return array<string, non-empty-list<Find>>
     */
    private static function withoutWeak(array $byWhat): array
    {
        foreach ($byWhat as $what => $same) {
            if (str_starts_with($what, 'weak ')) {
                $plain = substr($what, 5);
                unset($byWhat[$what]);
                $byWhat[$plain] ??= array_map(static fn (Find $one): Find => (new Find($plain, $one->says, $one->start, $one->end)), [$same[0]]);
            }
        }

        return $byWhat;
    }

    /**
     * @param  non-empty-list<Find>  $same
     * @return list<Find>
     */
    private function gather(string $what, array $same): array
    {
        return match (true) {
            $what === 'socket' => $this->sockets($same),
            $what === 'lead end' => array_slice($same, 0, 2),
            in_array($what, ['amp watts', 'amp load', 'price'], true) => $same,
            $what === 'output current' && in_array($this->role, ['cells', 'charger'], true) => $same,
            $what === 'capacity' => [$this->capacity($same)],
            $what === 'output voltage' && count($same) > 1 => $this->outputs($same),
            in_array($what, self::BANDS, true) => self::bands($same),
            $what === 'radio', $what === 'charge chemistry', $what === 'lead carries', $what === 'temperature rise' => self::unlike($same),
            $what === 'speaks' => self::speaks($same),
            $what === 'conversion' => [array_values(array_filter($same, static fn (Find $one): bool => ($one->says['is'] ?? '') === 'buck-boost'))[0]
                ?? $same[0]],
            $what === 'size' => [self::size($same)],
            $what === 'buttons' => [self::most($same)],
            $what === 'switch kind' => [array_values(array_filter($same, static fn (Find $one): bool => ($one->says['is'] ?? '') === 'soft'))[0] ?? $same[0]],
            $what === 'video mode' => [self::largest($same)],
            default => self::bands([$same[0], ...array_values(array_filter(array_slice($same, 1), static fn (Find $one): bool => $one->isFigure()
                && ! isset($one->says['usual'])))]),
        };
    }

    /**
     * What is sure by itself, and with what is not: "450 mA" may be taken where only "at most 600" has to be looked at.
     *
     * @param  non-empty-list<Find>  $same
     * @return non-empty-list<Find>
     */
    private static function bands(array $same): array
    {
        $all = self::band($same);
        $sure = array_values(array_filter($same, static fn (Find $one): bool => ! $one->isUnsure));
        if ($sure === [] || count($sure) === count($same)) {
            return [$all];
        }
        $alone = self::band($sure);

        return $alone->isUnsure || $alone->says == $all->says ? [$all] : [$alone, $all];
    }

    /**
     * @param  non-empty-list<Find>  $same
     * @return list<Find>
     */
    private static function unlike(array $same): array
    {
        $found = [];
        foreach ($same as $find) {
            $found[json_encode(array_diff_key($find->says, ['state' => true]))] ??= $find;
        }

        return array_values($found);
    }

    /**
     * @param  non-empty-list<Find>  $same
     * @return list<Find>
     */
    private static function speaks(array $same): array
    {
        $said = array_map(static fn (Find $one): int|float|string => $one->says['is'] ?? '', $same);
        $order = in_array('bluetooth', $said, true) ? ['bluetooth'] : ['usb', 'membrane', 'pad radio', 'pins'];
        foreach ($order as $way) {
            $at = array_search($way, $said, true);
            if ($at !== false) {
                return [$same[$at]];
            }
        }

        return [$same[0]];
    }

    /**
     * Of a pack whose cells are named beside it, the pack's: so many times a cell's.
     *
     * @param  non-empty-list<Find>  $same
     */
    private function capacity(array $same): Find
    {
        $numbers = array_map(static fn (Find $one): float => $one->number('usual') ?? 0.0, $same);
        if (min($numbers) > 0.0 && max($numbers) > min($numbers)) {
            $times = max($numbers) / min($numbers);
            if (abs($times - round($times)) < 0.02 && $times >= 1.9) {
                return $same[(int) array_search(max($numbers), $numbers, true)];
            }
        }

        return self::band($same);
    }

    /** @param  non-empty-list<Find>  $same */
    private static function most(array $same): Find
    {
        usort($same, static fn (Find $a, Find $b): int => ($b->number('usual') ?? 0.0) <=> ($a->number('usual') ?? 0.0));

        return $same[0];
    }

    /** @param  non-empty-list<Find>  $same */
    private static function largest(array $same): Find
    {
        usort($same, static fn (Find $a, Find $b): int => ($b->number('width') ?? 0.0) <=> ($a->number('width') ?? 0.0) ?: ($b->number('hz')
            ?? 0.0) <=> ($a->number('hz') ?? 0.0));

        return $same[0];
    }

    /**
     * The outer size: the one with all sides; a height said alone completes it.
     *
     * @param  non-empty-list<Find>  $same
     */
    private static function size(array $same): Find
    {
        $whole = array_values(array_filter($same, static fn (Find $one): bool => count($one->says) === 3));
        $flat = array_values(array_filter($same, static fn (Find $one): bool => count($one->says) === 2 && isset($one->says['length'], $one->says['width'])));
        $high = array_values(array_filter($same, static fn (Find $one): bool => array_keys($one->says) === ['height']));
        if ($whole !== []) {
            return $whole[0];
        }

        return $flat !== [] && $high !== [] ? $flat[0]->saying([...$flat[0]->says, ...$high[0]->says]) : ($flat[0] ?? $same[0]);
    }

    /**
     * @param  non-empty-list<Find>  $same
     * @return list<Find>
     */
    private function sockets(array $same): array
    {
        $found = [];
        if ($this->role === 'cells') {
            $same = self::bothWays($same);
        }
        $isSmall = array_filter($same, static fn (Find $one): bool => in_array($one->says['connector'] ?? '', ['hdmi-mini', 'hdmi-micro'], true)) !== [];
        // "HDMI" alone, where a small one is named, means that one.
        $same = array_values(array_filter($same, static fn (Find $one): bool => ! ($isSmall && isset($one->says['bare']))));
        foreach ($same as $find) {
            $key = ($find->says['connector'] ?? '').'/'.($find->says['direction'] ?? '').'/'.($find->says['carries'] ?? '');
            $before = $found[$key] ?? null;
            $found[$key] = $before !== null && ($before->number('count') ?? 1.0) >= ($find->number('count') ?? 1.0) ? $before : $find;
        }
        foreach ($found as $key => $find) {
            // A connector named once more without a direction says nothing new.
            [$connector, $direction] = explode('/', $key);
            $others = array_filter(array_keys($found), static fn (string $other): bool => $other !== $key && str_starts_with($other, "{$connector}/"));
            if ($direction === '' && $others !== []) {
                unset($found[$key]);
            }
        }

        return array_values($found);
    }

    /**
     * A bank's socket that gives and takes is one socket.
     *
     * @param  non-empty-list<Find>  $same
     * @return non-empty-list<Find>
     */
    private static function bothWays(array $same): array
    {
        $ways = [];
        foreach ($same as $find) {
            $ways[(string) ($find->says['connector'] ?? '')][(string) ($find->says['direction'] ?? '')] = true;
        }

        return array_map(static fn (Find $find): Find => count($ways[(string) ($find->says['connector'] ?? '')] ?? []) > 1
            ? $find->saying([...$find->says, 'direction' => 'both']) : $find, $same);
    }

    /**
     * Fixed outputs stay apart; one adjustable output is a band; a measured table is one band, too.
     *
     * @param  non-empty-list<Find>  $same
     * @return list<Find>
     */
    private function outputs(array $same): array
    {
        $same = self::unlike($same);
        $ranges = array_values(array_filter($same, static fn (Find $one): bool => isset($one->says['least'], $one->says['most'])));
        if ($ranges !== []) {
            return [self::band($ranges)];
        }
        if ($same === []) {
            return [];
        }
        $bounds = array_filter($same, static fn (Find $one): bool => ! isset($one->says['usual']));
        if ($bounds !== []) {
            return [self::band($same)];
        }
        $first = $same[0];
        $near = array_filter($same, static fn (Find $one): bool => abs(($one->number('usual') ?? 0.0) - ($first->number('usual')
            ?? 0.0)) <= 0.06 * ($first->number('usual') ?? 1.0));
        if ($this->role === 'regulator') {
            return count($near) === count($same) ? [$first] : array_map(static fn (Find $one): Find => $one->unsure(), $same);
        }

        return $same;
    }

    /** @param  non-empty-list<Find>  $same */
    private static function band(array $same): Find
    {
        $metered = array_values(array_filter($same, static fn (Find $one): bool => isset($one->says['metered'])));
        $isDoubted = $metered !== [] && count($metered) < count($same);
        // What somebody metered goes before what a listing says.
        $same = $isDoubted ? $metered : $same;
        $first = $same[0];
        if (! $first->isFigure()) {
            return $first;
        }
        $hasWorst = array_filter($same, static fn (Find $one): bool => ($one->says['state'] ?? '') === 'heavy') !== [];
        $hasIdle = $hasWorst && array_filter($same, static fn (Find $one): bool => ($one->says['state'] ?? '') === 'idle') !== [];
        $least = $usual = $most = [];
        $end = $first->end;
        foreach ($same as $find) {
            $state = $find->says['state'] ?? '';
            if ($state === 'usual' && $hasIdle && $find->number('least') !== null && $find->number('most') !== null) {
                // "In a game 0.5 to 0.6 A" beside idle and worst is what is usual.
                $usual[] = ($find->number('least') + $find->number('most')) / 2;

                continue;
            }
            foreach (['least', 'usual', 'most'] as $bound) {
                $value = $find->number($bound);
                if ($value === null) {
                    continue;
                }
                if ($bound === 'usual' && $state === 'idle' && count($same) > 1) {
                    $least[] = $value;
                } elseif ($bound === 'usual' && $state === 'heavy' && count($same) > 1) {
                    $most[] = $value;
                } else {
                    ${$bound}[] = $value;
                }
            }
            $end = max($end, $find->end);
        }
        $says = [];
        if ($least !== []) {
            $says['least'] = min($least);
        }
        if ($most !== []) {
            $says['most'] = max($most);
        }
        $says += self::middle($usual, $least, $most, $metered !== [] || self::areListed($same));
        $says = array_filter(['least' => $says['least'] ?? null, 'usual' => $says['usual'] ?? null, 'most' => $says['most'] ?? null],
            static fn (?float $value): bool => $value !== null);
        asort($says);
        $values = array_values($says);
        $keys = array_keys($says);
        $inOrder = array_values(array_intersect(['least', 'usual', 'most'], $keys));

        return new Find($first->what, array_combine($inOrder, $values), $first->start, $end - $first->start > 400 ? $first->end : $end,
            self::isContradicted($usual) || array_filter($same, static fn (Find $one): bool => $one->isUnsure) !== []);
    }

    /**
     * @param  list<float>  $usual
     * @param  list<float>  $least
     * @param  list<float>  $most
     * @return array<string, float>
     */
    private static function middle(array $usual, array $least, array $most, bool $isBand): array
    {
        if ($usual === []) {
            return [];
        }
        if (count($usual) > 1 && $least === [] && $most === []) {
            return count(array_unique($usual)) === 1 || ! $isBand ? ['usual' => $usual[0]] : ['least' => min($usual), 'most' => max($usual)];
        }
        $inside = array_values(array_filter($usual, static fn (float $value): bool => ($least === [] || $value >= min($least)) && ($most === []
            || $value <= max($most))));

        return ($inside[0] ?? null) === null ? [] : ['usual' => $inside[0]];
    }

    /**
     * Whether several numbers stand in one clause, as a list of states does.
     *
     * @param  list<Find>  $same
     */
    private static function areListed(array $same): bool
    {
        return count($same) > 1 && $same[count($same) - 1]->start - $same[0]->end < 60 && array_filter($same,
            static fn (Find $one): bool => ($one->says['state'] ?? '') !== '') !== [];
    }

    /** @param  list<float>  $usual */
    private static function isContradicted(array $usual): bool
    {
        return count($usual) > 1 && max($usual) > min($usual) * (1 + self::ALIKE);
    }

    /**
     * Watts and ohms of sound: with a load and its watts it is an amplifier, a resistance by itself a loudspeaker.
     *
     * @param  list<Find>  $finds
     * @return list<Find>
     */
    private function amplifiers(array $finds): array
    {
        if ($this->role !== 'sound') {
            return $finds;
        }
        $isAmp = array_filter($finds, static fn (Find $one): bool => in_array($one->what,
            ['amp channels', 'quiescent current', 'supply voltage', 'draw', 'enable pin'], true)) !== [];
        $kept = $loads = $watts = [];
        foreach ($finds as $find) {
            if ($find->what === 'ohm') {
                $loads[] = $find;
            } elseif ($find->what === 'sound watts') {
                $watts[] = $find;
            } else {
                $kept[] = $find;
            }
        }
        if (! $isAmp) {
            foreach (array_slice($loads, 0, 1) as $load) {
                $kept[] = new Find('speaker impedance', $load->says, $load->start, $load->end);
            }
            $rated = array_slice($watts, 0, 1);
            foreach ($rated as $one) {
                $kept[] = new Find('speaker watts', array_diff_key($one->says, ['ohm' => true]), $one->start, $one->end);
            }

            return $kept;
        }
        $byOhm = [];
        foreach ($watts as $one) {
            $byOhm[] = [$one->number('ohm') ?? 0.0, $one];
        }
        usort($byOhm, static fn (array $a, array $b): int => ($b[1]->number('usual') ?? $b[1]->number('most') ?? 0.0) <=> ($a[1]->number('usual')
            ?? $a[1]->number('most') ?? 0.0) ?: $b[0] <=> $a[0]);
        if ($byOhm !== []) {
            [$ohm, $one] = $byOhm[0];
            $kept[] = new Find('amp watts', array_diff_key($one->says, ['ohm' => true]), $one->start, $one->end);
            if ($ohm > 0.0) {
                $kept[] = new Find('amp load', ['usual' => $ohm], $one->start, $one->end);
            }
        }
        $least = null;
        foreach ($loads as $load) {
            $isLeast = isset($load->says['least']);
            if ($isLeast && ($least === null || $load->says['least'] < $least->says['least'])) {
                $least = $load;
            }
        }
        if ($least !== null) {
            $kept[] = new Find('least load', ['usual' => $least->number('least') ?? 0.0], $least->start, $least->end);
        }

        return $kept;
    }

    /**
     * "1C continuous": so many times the capacity, in milliamps.
     *
     * @param  list<Find>  $finds
     * @return list<Find>
     */
    private function multiples(array $finds): array
    {
        $mah = null;
        foreach ($finds as $find) {
            if ($find->what === 'capacity') {
                $mah ??= $find->number('usual') ?? $find->number('least');
            }
        }
        $kept = [];
        foreach ($finds as $find) {
            if (! str_ends_with($find->what, ' in C')) {
                $kept[] = $find;

                continue;
            }
            if ($mah !== null) {
                $what = substr($find->what, 0, -5);
                $times = $find->number('usual') ?? $find->number('most') ?? $find->number('least') ?? 0.0;
                $isMost = $what === 'discharge limit' || isset($find->says['most']) || ($find->says['state'] ?? '') === 'heavy';
                $kept[] = new Find($what, [$isMost ? 'most' : 'usual' => round($times * $mah, 3), 'state' => $find->says['state'] ?? ''], $find->start,
                    $find->end);
            }
        }

        return $kept;
    }
}
