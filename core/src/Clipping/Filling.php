<?php

declare(strict_types=1);

namespace PocketPlot\Clipping;

use PocketPlot\File\FacetBook;
use PocketPlot\Part\Role;
use PocketPlot\Part\Typical;
use PocketPlot\Quantity\Number;

/**
 * Puts what was found in a text into a part as it is written in a file. Nothing is taken that the builder did not confirm; what
 * a part has no place for stays in its clippings.
 *
 * @phpstan-type Raw array<string, mixed>
 */
final readonly class Filling
{
    private const UNITS = [
        'mass' => 'g', 'capacity' => 'mAh', 'energy' => 'Wh', 'efficiency' => 'share', 'internal resistance' => 'mΩ', 'refresh' => 'Hz', 'diagonal' => 'in',
        'storage capacity' => 'GB', 'image size' => 'GB', 'shutdown time' => 's', 'temperature limit' => '°C', 'temperature rise' => 'K/W',
        'wire gauge' => 'AWG',
        'vent area' => 'mm²', 'amp load' => 'Ω', 'least load' => 'Ω', 'speaker impedance' => 'Ω', 'dropout' => 'V', 'draw taken at' => 'V',
        'logic level' => 'V',
        'absolute maximum' => 'V', 'low-battery warning' => 'V', 'lead length' => 'mm', 'travel' => 'mm', 'bend room' => 'mm', 'height above face' => 'mm',
        'wall' => 'mm', 'ribbon pitch' => 'mm', 'heat' => 'W', 'fuse rating' => 'mA', 'switch rating' => 'mA', 'charge limit' => 'mA',
        'discharge limit' => 'mA',
    ];

    private string $role;

    private bool $isGuard;

    /**
     * @param  list<Find>  $finds  as Reader::read() gives them
     * @param  string  $on  the day, year-month-day
     * @param  string  $text  that they were found in
     * @param  string  $currency  three letters, of prices that say none
     */
    public function __construct(private array $finds, Role $role, private string $on, private string $text = '', private string $currency = 'EUR')
    {
        $this->role = $role->value;
        $this->isGuard = $role === Role::Regulator
            && array_filter($finds, static fn (Find $one): bool => in_array($one->what, ['protector current', 'recovery voltage', 'cut-off voltage'],
                true)) !== [];
    }

    /**
     * @param  Raw  $part
     * @return list<Proposal>
     */
    public function proposals(array $part): array
    {
        $proposals = [];
        $whole = $this->put($part, array_keys($this->finds));
        foreach ($this->finds as $id => $find) {
            $after = $this->filled($part, [$id]);
            $place = $this->placeOf($find);
            $was = $place === null ? null : self::at($part, ['facets', ...$place]);
            $proposals[] = new Proposal($id, $find, $this->label($find, $place), $this->says($find), $was === null ? '' : self::plain($was),
                $after !== $part && self::staysIn($part, $after, $whole));
        }

        return $proposals;
    }

    /**
     * Whether what one find writes is still there once all of them are written and the unreadable is left out.
     *
     * @param  Raw  $before
     * @param  Raw  $after
     * @param  Raw  $whole
     */
    private static function staysIn(array $before, array $after, array $whole): bool
    {
        [$were, $are, $stay] = array_map(static fn (array $part): array => is_array($part['facets'] ?? null) ? $part['facets'] : [], [$before, $after,
            $whole]);
        foreach ($are as $name => $group) {
            if ($group !== ($were[$name] ?? null) && ! isset($stay[$name])) {
                return false;
            }
        }

        return true;
    }

    /**
     * The part with these finds in it.
     *
     * @param  Raw  $part
     * @param  list<int>  $take  ids of the finds that are confirmed
     * @return Raw
     */
    public function put(array $part, array $take): array
    {
        $part = self::readable($this->filled($part, $take));

        return $this->role === 'board' && $take !== [] && Phone::isMeant($this->text) ? Phone::put($part, $this->text, $this->on) : $part;
    }

    /**
     * @param  Raw  $part
     * @param  list<int>  $take
     * @return Raw
     */
    private function filled(array $part, array $take): array
    {
        $taken = array_intersect_key($this->finds, array_flip($take));
        foreach ($taken as $find) {
            $part = $this->one($part, $find, $taken);
        }

        return $this->outputs($part, $taken);
    }

    /**
     * Without the groups that lack what they cannot be read without; what the text says of them stays in the text.
     *
     * @param  Raw  $part
     * @return Raw
     */
    private static function readable(array $part): array
    {
        $facets = is_array($part['facets'] ?? null) ? $part['facets'] : [];
        foreach ($facets as $name => $group) {
            $facet = FacetBook::facet((string) $name);
            $needs = $facet === null || $facet->mayWait() ? [] : $facet->required();
            $lacks = static fn (mixed $one): bool => is_array($one) && array_diff($needs, array_keys($one)) !== [];
            if ($needs === [] || ! is_array($group)) {
                continue;
            }
            if ($facet->isMany()) {
                $facets[$name] = array_values(array_filter($group, static fn (mixed $one): bool => ! $lacks($one)));
            } elseif ($lacks($group)) {
                unset($facets[$name]);
            }
        }

        return isset($part['facets']) ? [...$part, 'facets' => $facets] : $part;
    }

    /**
     * @param  Raw  $part
     * @param  array<int, Find>  $taken
     * @return Raw
     */
    private function one(array $part, Find $find, array $taken): array
    {
        $place = $this->placeOf($find);
        if ($place !== null) {
            $value = $this->value($find, $place[1]);
            if (in_array($place[1] === '' ? $place[0] : $place[1], Places::WORDS, true)) {
                $before = self::at($part, ['facets', ...$place]);
                $words = array_filter([...(is_array($before) ? $before : []), ...(is_array($value) ? $value : [$value])], is_string(...));
                $value = array_values(array_unique($words));
            }

            return $value === null ? $part : self::with($part, ['facets', ...array_filter($place, static fn (string $key): bool => $key !== '')], $value);
        }

        return match ($find->what) {
            'size' => self::all($part, 'size', ['lengthMm' => $find->number('length'), 'widthMm' => $find->number('width'),
                'heightMm' => $find->number('height')], $this->figure(...)),
            'room inside' => self::all($part, 'body', [
                'cavityLengthMm' => $find->number('length'), 'cavityWidthMm' => $find->number('width'), 'cavityHeightMm' => $find->number('height'),
            ], $this->figure(...)),
            'printer bed' => self::all($part, 'body', ['bedLengthMm' => $find->number('length'), 'bedWidthMm' => $find->number('width'),
                'bedHeightMm' => $find->number('height')], $this->figure(...)),
            'picture area' => self::all($part, 'panel', ['activeWidthMm' => $find->number('width'), 'activeHeightMm' => $find->number('height')],
                $this->figure(...)),
            'pixels' => self::all($part, 'panel', ['widthPx' => $find->number('width'), 'heightPx' => $find->number('height')],
                static fn (float $value): int => (int) $value),
            'video mode' => self::with($part, ['facets', 'video', 'modes'], [[
                'widthPx' => (int) $find->number('width'), 'heightPx' => (int) $find->number('height'), 'hz' => (int) ($find->number('hz') ?? 60),
            ]]),
            'hole spacing' => self::with($part, ['facets', 'mount', 'pattern'], Number::says($find->number('length')
                ?? 0.0).'x'.Number::says($find->number('width') ?? 0.0)),
            'charge cells' => self::all($part, 'charger', [
                'seriesLeast' => $find->number('least') ?? $find->number('usual'), 'seriesMost' => $find->number('most') ?? $find->number('usual'),
            ], static fn (float $value): int => (int) $value),
            'pack nominal voltage', 'pack full voltage', 'pack empty voltage' => $this->cellVolts($part, $find, $taken),
            'draw power' => $this->drawOfPower($part, $find, $taken),
            'socket' => $this->socket($part, $find),
            'lead end' => $this->leadEnd($part, $find),
            'price' => $this->price($part, $find),
            'packet' => [...$part, 'packetOf' => (int) $find->number('usual')],
            'opening' => self::pushed($part, ['facets', 'body', 'openings'], [
                'name' => 'opening', 'widthMm' => $this->figure($find->number('width') ?? 0.0), 'heightMm' => $this->figure($find->number('height') ?? 0.0),
            ]),
            default => $part,
        };
    }

    /** @return array{string, string}|null */
    private function placeOf(Find $find): ?array
    {
        return isset(Places::OUTPUT[$find->what]) ? null : Places::of($find->what, $this->role, $this->isGuard);
    }

    private function value(Find $find, string $field): mixed
    {
        $is = $find->says['is'] ?? null;
        if ($is !== null) {
            return match (true) {
                in_array($field, Places::TICKS, true) => $is === 'yes',
                in_array($field, Places::WORDS, true) => [$is],
                default => $is,
            };
        }
        $one = self::oneNumber($find);
        if (in_array($field, Places::WHOLE, true)) {
            return $one === null ? null : (int) $one;
        }

        return $this->band($find);
    }

    private static function oneNumber(Find $find): ?float
    {
        return $find->number('usual') ?? $find->number('most') ?? $find->number('least');
    }

    /** @return array<string, float|string>|null a figure as a file has it; null where one end of a window is all that is said */
    private function band(Find $find): ?array
    {
        [$least, $usual, $most] = [$find->number('least'), $find->number('usual'), $find->number('most')];
        $isWindow = in_array($find->what, ['supply voltage', 'charge input voltage'], true);
        $bounds = match (true) {
            $least !== null && $most !== null => array_filter(['least' => $least, 'usual' => $usual, 'most' => $most],
                static fn (?float $value): bool => $value !== null),
            $usual !== null && $most !== null => ['least' => $usual, 'usual' => $usual, 'most' => $most],
            $usual !== null && $least !== null => ['least' => $least, 'usual' => $usual, 'most' => $usual],
            // "Up to 15 V" is no window yet: nobody said where it begins.
            $isWindow && $usual === null => null,
            default => ['value' => $usual ?? $most ?? $least ?? 0.0],
        };

        return $bounds === null ? null : [...$bounds, 'source' => 'listing', 'on' => $this->on];
    }

    /** @return array<string, float|string> */
    private function figure(float $value): array
    {
        return ['value' => $value, 'source' => 'listing', 'on' => $this->on];
    }

    /**
     * Volts of the whole row, by the cell.
     *
     * @param  Raw  $part
     * @param  array<int, Find>  $taken
     * @return Raw
     */
    private function cellVolts(array $part, Find $find, array $taken): array
    {
        $volts = self::oneNumber($find) ?? 0.0;
        $series = $this->said($taken, 'series') ?? (is_numeric($known = self::at($part, ['facets', 'pack', 'series'])) ? (float) $known : null)
            ?? $this->said($this->finds, 'series') ?? $this->rowOf($volts, $find->what);
        if ($this->role !== 'cells' || $series === null || $series < 1) {
            return $part;
        }
        $field = ['pack nominal voltage' => 'cellNominalV', 'pack full voltage' => 'cellFullV', 'pack empty voltage' => 'cellEmptyV'][$find->what];
        $part = self::with($part, ['facets', 'pack', $field], $this->figure(round($volts / $series, 3)));

        return self::at($part, ['facets', 'pack', 'series']) === null ? self::with($part, ['facets', 'pack', 'series'], (int) $series) : $part;
    }

    /** How many cells make these volts, where the chemistry is known and only one number does. */
    private function rowOf(float $volts, string $what): ?float
    {
        foreach ($this->finds as $find) {
            $cell = $find->what === 'chemistry' ? ['LiPo' => [3.7, 4.2], 'Li-ion' => [3.6, 4.2], 'LiFePO4' => [3.2, 3.65], 'NiMH' => [1.2, 1.45],
                'alkaline' => [1.5, 1.6]][(string) ($find->says['is'] ?? '')] ?? null : null;
            if ($cell !== null) {
                $row = $volts / ($what === 'pack full voltage' ? $cell[1] : $cell[0]);

                return abs($row - round($row)) < 0.09 * max(1.0, round($row)) ? round($row) : null;
            }
        }

        return null;
    }

    /** @param  array<int, Find>  $finds */
    private function said(array $finds, string $what): ?float
    {
        foreach ($finds as $find) {
            if ($find->what === $what) {
                return self::oneNumber($find);
            }
        }

        return null;
    }

    /**
     * Watts as milliamps at the volts that are said.
     *
     * @param  Raw  $part
     * @param  array<int, Find>  $taken
     * @return Raw
     */
    private function drawOfPower(array $part, Find $find, array $taken): array
    {
        $volts = $this->said($taken, 'draw taken at') ?? $this->said($this->finds, 'draw taken at') ?? $this->said($this->finds, 'supply voltage');
        $isSaid = array_filter($taken, static fn (Find $one): bool => $one->what === 'draw') !== [];
        if ($volts === null || $volts <= 0.0 || $isSaid) {
            return $part;
        }
        $milliamps = array_map(
            static fn (float|int|string $watts): float|string => is_string($watts) ? $watts : round($watts / $volts * 1000, 1),
            $find->says,
        );
        $band = $this->band(new Find('draw', $milliamps, $find->start, $find->end));

        return $band === null ? $part : self::with(self::with($part, ['facets', 'supply', 'drawMa'], $band), ['facets', 'supply', 'drawAtV'],
            $this->figure($volts));
    }

    /**
     * @param  Raw  $part
     * @return Raw
     */
    private function socket(array $part, Find $find): array
    {
        $connector = (string) ($find->says['connector'] ?? '');
        $carries = (string) ($find->says['carries'] ?? '');
        $socket = array_filter([
            'name' => trim("{$connector} {$carries}"), 'connector' => $connector, 'carries' => $carries, 'direction' => (string) ($find->says['direction']
                ?? ''),
        ], static fn (string $value): bool => $value !== '');
        if (in_array($connector, ['pads', 'wires', 'pins', 'terminal', 'cell-holder'], true) || ! isset($socket['direction'], $socket['carries'])) {
            // Nothing is plugged in there: no lead is asked for.
            return $part;
        }
        $count = (int) ($find->number('count') ?? 1.0);
        $sockets = self::at($part, ['facets', 'sockets']);
        foreach (is_array($sockets) ? $sockets : [] as $known) {
            if (is_array($known) && [$known['connector'] ?? '', $known['carries'] ?? '', $known['direction'] ?? ''] === [$connector, $carries,
                $socket['direction']]) {
                return $part;
            }
        }

        $several = $count > 1 ? ['count' => $count] : [];
        $lead = ($find->says['own'] ?? '') === 'yes' ? ['ownLead' => true] : [];
        $part = self::pushed($part, ['facets', 'sockets'], [...$socket, ...$several, ...$lead]);

        return $this->role === 'board' && $carries === 'usb' && $socket['direction'] === 'out' ? $this->withUsbPower($part) : $part;
    }

    /**
     * A computer's USB sockets give five volts, which nobody writes down.
     *
     * @param  Raw  $part
     * @return Raw
     */
    private function withUsbPower(array $part): array
    {
        $outputs = self::at($part, ['facets', 'outputs']);
        $isThere = is_array($outputs) && str_contains(strtolower((string) json_encode($outputs)), 'usb');
        [$least, $usual, $most] = Typical::USB_V;

        return $isThere ? $part : self::pushed($part, ['facets', 'outputs'], [
            'name' => 'USB sockets', 'volts' => ['least' => $least, 'usual' => $usual, 'most' => $most, 'source' => 'guess', 'on' => $this->on],
        ]);
    }

    /**
     * @param  Raw  $part
     * @return Raw
     */
    private function leadEnd(array $part, Find $find): array
    {
        $field = self::at($part, ['facets', 'cable', 'oneEnd']) === null ? 'oneEnd' : 'otherEnd';

        if (self::at($part, ['facets', 'cable', $field]) !== null) {
            return $part;
        }
        $part = self::with($part, ['facets', 'cable', $field], $find->says['connector'] ?? '');
        $ends = [self::at($part, ['facets', 'cable', 'oneEnd']), self::at($part, ['facets', 'cable', 'otherEnd'])];
        $isPicture = array_filter($ends, static fn (mixed $end): bool => is_string($end) && str_starts_with($end, 'hdmi')) === $ends;

        $isUsb = array_filter($ends, static fn (mixed $end): bool => is_string($end) && str_starts_with($end, 'usb')) === $ends;
        $carries = match (true) {
            $isPicture => ['hdmi'],
            // One that only charges says so.
            $isUsb => preg_match('/(?:charg\w*|power)[ -]?only|only (?:charges|for charging|power)|no data/i', $this->text) === 1 ? ['power'] : ['power',
                'usb'],
            default => null,
        };

        $path = ['facets', 'cable', 'carries'];

        return $carries !== null && self::at($part, $path) === null ? self::with($part, $path, $carries) : $part;
    }

    /**
     * @param  Raw  $part
     * @return Raw
     */
    private function price(array $part, Find $find): array
    {
        $packet = (int) ($find->number('packet') ?? 1.0);
        $offer = ['vendor' => 'not said', 'price' => ['amount' => (string) ($find->says['amount'] ?? '0'),
            'currency' => (string) ($find->says['currency'] ?? $this->currency)]];

        return self::pushed($packet > 1 ? [...$part, 'packetOf' => $packet] : $part, ['offers'], $offer);
    }

    /**
     * What is said of outputs, the first volts with the first milliamps and so on; what is said once holds for all.
     *
     * @param  Raw  $part
     * @param  array<int, Find>  $taken
     * @return Raw
     */
    private function outputs(array $part, array $taken): array
    {
        $said = [];
        foreach ($taken as $find) {
            if (isset(Places::OUTPUT[$find->what])) {
                $said[Places::OUTPUT[$find->what]][] = $find;
            }
        }
        if ($said === [] || ! in_array($this->role, ['regulator', 'charger', 'cells'], true) || $this->isGuard) {
            return $part;
        }
        $known = self::at($part, ['facets', 'outputs']);
        $outputs = is_array($known) ? array_values(array_filter($known, is_array(...))) : [];
        $count = max(1, count($outputs), count($said['volts'] ?? []));
        for ($at = 0; $at < $count; $at++) {
            [$from, $to] = [$said['volts'][$at]->start ?? 0, $said['volts'][$at + 1]->start ?? PHP_INT_MAX];
            foreach ($said as $field => $finds) {
                // Of several, the one that stands between these volts and the next.
                $own = array_values(array_filter($finds, static fn (Find $one): bool => $one->start >= $from && $one->start < $to));
                $find = count($finds) === 1 ? $finds[0] : ($own[0] ?? null);
                $value = $find === null ? null : ($find->says['is'] ?? $this->band($find));
                if ($value !== null) {
                    $outputs[$at][$field] = $value;
                }
            }
            $volts = self::at($outputs[$at] ?? [], ['volts', 'value']) ?? self::at($outputs[$at] ?? [], ['volts', 'usual']);
            $outputs[$at]['name'] ??= is_numeric($volts) ? Number::says((float) $volts).' V' : 'output'.($at === 0 ? '' : ' '.($at + 1));
        }

        return self::with($part, ['facets', 'outputs'], $outputs);
    }

    /** @param  array{string, string}|null  $place */
    private function label(Find $find, ?array $place): string
    {
        $field = $place[1] ?? Places::OUTPUT[$find->what] ?? '';
        $facet = $place[0] ?? (isset(Places::OUTPUT[$find->what]) ? 'outputs' : '');
        $label = $facet === '' ? null : (FacetBook::facet($facet)?->fields()[$field][1] ?? null);

        return is_string($label) && $label !== '' ? $label : $find->what;
    }

    private function says(Find $find): string
    {
        $number = static fn (string $key): string => Number::exact($find->number($key) ?? 0.0);
        if (isset($find->says['is'])) {
            return (string) $find->says['is'];
        }
        if (isset($find->says['amount'])) {
            $packet = (int) ($find->number('packet') ?? 1.0);
            $currency = $find->says['currency'] ?? null;
            $sum = $find->says['amount'].' '.($currency ?? $this->currency).($packet > 1 ? " for {$packet}" : '');

            return $currency === null ? "{$sum}, in no currency said" : $sum;
        }
        if (isset($find->says['connector'])) {
            $count = (int) ($find->number('count') ?? 1.0);

            return implode(', ', array_filter([($count > 1 ? "{$count} × " : '').$find->says['connector'], (string) ($find->says['direction'] ?? ''),
                (string) ($find->says['carries'] ?? '')]));
        }
        if (! $find->isFigure()) {
            $sides = array_map($number, array_values(array_filter(['length', 'width', 'height'], static fn (string $key): bool => isset($find->says[$key]))));

            return implode(' × ', $sides).(in_array($find->what, ['pixels', 'video mode'], true) ? '' : ' mm').(isset($find->says['hz'])
                ? " at {$number('hz')} Hz" : '');
        }
        $unit = $this->unit($find->what);
        $times = $unit === '%' ? 100.0 : 1.0;
        $one = static fn (string $key): string => Number::exact(($find->number($key) ?? 0.0) * $times);
        $text = match (true) {
            isset($find->says['least'], $find->says['most']) => "{$one('least')} to {$one('most')}".(isset($find->says['usual'])
                ? ", usually {$one('usual')}" : ''),
            isset($find->says['usual'], $find->says['most']) => "{$one('usual')}, at most {$one('most')}",
            isset($find->says['usual'], $find->says['least']) => "{$one('usual')}, at least {$one('least')}",
            isset($find->says['most']) => "at most {$one('most')}",
            isset($find->says['least']) => "at least {$one('least')}",
            default => $one('usual'),
        };

        return trim("{$text} {$unit}");
    }

    private function unit(string $what): string
    {
        return match (true) {
            $what === 'efficiency' => '%',
            isset(self::UNITS[$what]) => self::UNITS[$what],
            str_contains($what, 'voltage') => 'V',
            str_contains($what, 'current'), str_contains($what, 'draw') && ! str_contains($what, 'power') => 'mA',
            str_contains($what, 'power'), str_contains($what, 'watts') => 'W',
            default => '',
        };
    }

    private static function plain(mixed $value): string
    {
        if (! is_array($value)) {
            return is_bool($value) ? ($value ? 'yes' : 'no') : (is_scalar($value) ? (string) $value : '');
        }
        if (is_string($value['typed'] ?? null)) {
            return $value['typed'];
        }
        if (array_is_list($value)) {
            return implode(', ', array_map(self::plain(...), $value));
        }
        $numbers = array_filter([$value['value'] ?? $value['least'] ?? null, isset($value['value']) ? null : $value['most'] ?? null], is_numeric(...));

        return implode(' to ', array_map(static fn (mixed $one): string => Number::exact((float) $one), $numbers));
    }

    /**
     * @param  Raw  $part
     * @param  array<string, ?float>  $fields
     * @param  callable(float): mixed  $write
     * @return Raw
     */
    private static function all(array $part, string $facet, array $fields, callable $write): array
    {
        foreach ($fields as $field => $value) {
            $part = $value === null ? $part : self::with($part, ['facets', $facet, $field], $write($value));
        }

        return $part;
    }

    /**
     * @param  array<mixed>  $raw
     * @param  list<string>  $path
     */
    private static function at(array $raw, array $path): mixed
    {
        $value = $raw;
        foreach ($path as $key) {
            if ($key === '') {
                continue;
            }
            if (! is_array($value) || ! array_key_exists($key, $value)) {
                return null;
            }
            $value = $value[$key];
        }

        return $value;
    }

    /**
     * @param  Raw  $raw
     * @param  list<string>  $path
     * @return Raw
     */
    private static function with(array $raw, array $path, mixed $value): array
    {
        [$key, $rest] = [$path[0], array_slice($path, 1)];
        if ($rest === []) {
            return [...$raw, $key => $value];
        }
        $inner = [];
        foreach (is_array($raw[$key] ?? null) ? $raw[$key] : [] as $name => $one) {
            $inner[(string) $name] = $one;
        }

        return [...$raw, $key => self::with($inner, $rest, $value)];
    }

    /**
     * @param  Raw  $raw
     * @param  list<string>  $path
     * @return Raw
     */
    private static function pushed(array $raw, array $path, mixed $value): array
    {
        $before = self::at($raw, $path);

        return self::with($raw, $path, [...(is_array($before) ? array_values($before) : []), $value]);
    }
}
