<?php

declare(strict_types=1);

namespace PocketPlot\Clipping;

use PocketPlot\Quantity\Constants;

/** Finds numbers with units in a piece of text, as many hands write them. */
final readonly class Amounts
{
    /** Units of which a number has no three decimals. */
    private const IN_THOUSANDS = [['mAh', 1.0], ['mA', 1.0]];

    /** Signs over which a number takes the unit of another. */
    private const FAR = 90;

    /** How many times another a number may be that takes its unit. */
    private const ALIKE = ['V' => [0.15, 4.0], 'mA' => [0.002, 100.0], 'W' => [0.1, 10.0]];

    public const NUMBER = '(?:\d{1,3}(?:[ \']\d{3})+(?!\d)(?:[.,]\d+)?|\d{1,3}(?:,\d{3})+(?![\d,])(?:\.\d+)?|\d+(?:[.,]\d+)?|[.]\d+)';

    /** What one of each unit is, in the unit that an amount has. */
    private const UNITS = [
        'mah' => ['mAh', 1.0], 'ah' => ['mAh', 1000.0], 'wh' => ['Wh', 1.0], 'watt-hours' => ['Wh', 1.0], 'watt hours' => ['Wh', 1.0], 'amp-hours' => ['mAh',
            1000.0], 'amp hours' => ['mAh', 1000.0],
        'milliamp-hours' => ['mAh', 1.0], 'milliamp hours' => ['mAh', 1.0], 'mwh' => ['Wh', 0.001],
        'a' => ['mA', 1000.0], 'amp' => ['mA', 1000.0], 'amps' => ['mA', 1000.0], 'ampere' => ['mA', 1000.0], 'ma' => ['mA', 1.0],
        'milliamp' => ['mA', 1.0], 'milliamps' => ['mA', 1.0], 'ua' => ['mA', 0.001], 'microamp' => ['mA', 0.001], 'microamps' => ['mA', 0.001],
        'v' => ['V', 1.0], 'volt' => ['V', 1.0], 'volts' => ['V', 1.0], 'vdc' => ['V', 1.0], 'vac' => ['V~', 1.0], 'mv' => ['V', 0.001],
        'w' => ['W', 1.0], 'watt' => ['W', 1.0], 'watts' => ['W', 1.0], 'mw' => ['W', 0.001],
        'kg' => ['g', 1000.0], 'g' => ['g', 1.0], 'gr' => ['g', 1.0], 'gram' => ['g', 1.0], 'gramm' => ['g', 1.0], 'grams' => ['g', 1.0],
        'gramme' => ['g', 1.0], 'grammes' => ['g', 1.0], 'oz' => ['g', Constants::GRAMS_PER_OUNCE],
        'ounce' => ['g', Constants::GRAMS_PER_OUNCE], 'ounces' => ['g', Constants::GRAMS_PER_OUNCE], 'lb' => ['g', Constants::GRAMS_PER_POUND],
        'lbs' => ['g', Constants::GRAMS_PER_POUND],
        'mm' => ['mm', 1.0], 'cm' => ['mm', 10.0], 'm' => ['mm', 1000.0], 'metre' => ['mm', 1000.0], 'metres' => ['mm', 1000.0],
        'meters' => ['mm', 1000.0], 'in' => ['mm', Constants::MM_PER_INCH], 'inch' => ['mm', Constants::MM_PER_INCH],
        'inches' => ['mm', Constants::MM_PER_INCH], 'incher' => ['mm', Constants::MM_PER_INCH], 'zoll' => ['mm', Constants::MM_PER_INCH],
        '"' => ['mm', Constants::MM_PER_INCH], 'feet' => ['mm', Constants::MM_PER_FOOT], 'foot' => ['mm', Constants::MM_PER_FOOT],
        'centimetre' => ['mm', 10.0], 'centimetres' => ['mm', 10.0], 'centimeter' => ['mm', 10.0], 'centimeters' => ['mm', 10.0],
        'millimetre' => ['mm', 1.0], 'millimeter' => ['mm', 1.0], 'millimetres' => ['mm', 1.0], 'millimeters' => ['mm', 1.0],
        'mm2' => ['mm²', 1.0], 'mm²' => ['mm²', 1.0], 'cm²' => ['mm²', 100.0], 'cm2' => ['mm²', 100.0],
        'ohm' => ['ohm', 1.0], 'ohms' => ['ohm', 1.0], 'Ω' => ['ohm', 1.0], 'r' => ['ohm', 1.0], 'mohm' => ['ohm', 0.001], 'milliohm' => ['ohm', 0.001],
        'milliohms' => ['ohm', 0.001], 'mohms' => ['ohm', 0.001], 'mΩ' => ['ohm', 0.001], 'kohm' => ['kohm', 1.0], 'kΩ' => ['kohm', 1.0],
        'hz' => ['Hz', 1.0], 'hertz' => ['Hz', 1.0], 'khz' => ['kHz', 1.0], 'mhz' => ['kHz', 1000.0], 'ghz' => ['kHz', 1e6],
        '°' => ['°', 1.0], '°c' => ['°C', 1.0], '° c' => ['°C', 1.0], 'degrees' => ['°C', 1.0], 'degree' => ['°C', 1.0], 'degrees c' => ['°C', 1.0],
        'deg c' => ['°C', 1.0],
        'deg' => ['°C', 1.0],
        'celsius' => ['°C', 1.0], '%' => ['%', 0.01], 'percent' => ['%', 0.01], 'per cent' => ['%', 0.01],
        'gb' => ['GB', 1.0], 'gig' => ['GB', 1.0], 'gigs' => ['GB', 1.0], 'gigabytes' => ['GB', 1.0], 'gigabyte' => ['GB', 1.0], 'mb' => ['GB', 0.001],
        'tb' => ['GB', 1000.0],
        's' => ['s', 1.0], 'sec' => ['s', 1.0], 'secs' => ['s', 1.0], 'seconds' => ['s', 1.0], 'second' => ['s', 1.0], 'ms' => ['ms', 1.0],
        'awg' => ['AWG', 1.0], 'gauge' => ['AWG', 1.0],
        'k/w' => ['K/W', 1.0], 'degrees per watt' => ['K/W', 1.0], 'kelvin per watt' => ['K/W', 1.0], '°c/w' => ['K/W', 1.0],
        'c' => ['C', 1.0],
    ];

    private const AFTER = [
        'most' => '/^\s*[()]?\s*(?:max\b|maximum|and no more|at (?:the )?most|peak|or less|tops|biggest|highest|dc max|top end)/',
        'least' => '/^\s*\)?\s*(?:min\b|minimum|or more|and (?:more|up)|still (?:works?|fine|ok|runs?)\b|at least|upwards|above\b|over\b)/',
        'usual' => '/^\s*\)?\s*(?:typ\b|typical|nominal|usual)/',
    ];

    private const NEVER_MORE = '/(?:\b(?:never|not|no|nothing)\b|n.t\b)[^,;.]{0,30}\b(?:more|over|above|beyond)(?: than)?(?: an?| about)?\s*$/';

    private const BEFORE = [
        'least' => '/(?:\bmin(?:imum|\.)?(?: (?:of|load|impedance|speakers?))?|≥|(?<![-\dv])(?<![\dv] )>=?|\bat least|\bmore than|\bfrom|\babove|'
            .'\bstarts (?:from|at)|(?:\bnot?|'
            .'n\'t|\bnever)(?: go| be| start| run| work| boot| wake)? (?:under|below|less than)|\bdown to)[ :=]*(?:approx\.? |about )?$/',
        'most' => '/(?:(?:\bnot|n\'t|\bnever)[^,;.]{0,24}(?:faster|more|quicker|higher|harder) than|\bmax(?:imum|\.)?(?: (?:of|draw|current|load|power|'
            .'consumption|charg(?:e|ing)|discharg(?:e|ing)|input|output|continuous|operating|'
            .'working|supply|voltage))*|\bup to|\bbis zu|≤|<=?|\bless than|\bat (?:the )?most|\bnot? (?:over|more than|above|'
            .'exceed(?:ing)?)|\bexceeds? |\bbelow|\bunder|\bbiggest|\bwithin)[ :=]*(?:approx\.? |about )?$/',
        'usual' => '/(?:\btyp(?:ical|\.)?|\bnominal)[ :=]*(?:approx\.? |about )?$/',
    ];

    private string $unit;

    /** @return array{string, float}|null the unit that a sign in small letters stands for, and what one of it is in ours */
    public static function unit(string $sign): ?array
    {
        return self::UNITS[$sign] ?? null;
    }

    public function __construct(private bool $commaParts)
    {
        $units = array_keys(self::UNITS);
        usort($units, static fn (string $a, string $b): int => strlen($b) <=> strlen($a));
        $this->unit = implode('|', array_map(static fn (string $one): string => preg_quote($one, '@'), $units));
    }

    /** Whether decimals are parted by a comma in this text: "2,5 A" and no "2.5 A". */
    public static function hasCommas(string $text): bool
    {
        $commas = preg_match_all('/(?<![\d,.])\d+,\d{1,2}(?!\d)(?!,\d)/', $text);
        $points = preg_match_all('/(?<![\d,.])\d+\.\d{1,2}(?![\d.])/', $text);

        return $commas > $points;
    }

    public function number(string $text): float
    {
        $text = str_replace([' ', "'"], '', $text);
        $isGroups = preg_match('/^[1-9]\d{0,2}(?:,\d{3})+(?:\.\d+)?$/', $text) === 1 && ! ($this->commaParts && substr_count($text, ',') === 1);
        $isPointGroups = $this->commaParts && preg_match('/^[1-9]\d{0,2}(?:\.\d{3})+(?:,\d+)?$/', $text) === 1;

        return (float) match (true) {
            $isGroups => str_replace(',', '', $text),
            $isPointGroups => str_replace(['.', ','], ['', '.'], $text),
            default => str_replace(',', '.', $text),
        };
    }

    /**
     * @param  int  $offset  where the piece begins, in bytes
     * @return list<Amount>
     */
    public function in(string $piece, int $offset = 0): array
    {
        $number = self::NUMBER;
        $unit = "(?:{$this->unit})";
        $guard = '(?<![A-Za-z0-9_.,])|(?<=\d[vV])(?=\d+(?:[.,]\d+)?\s?m?[AaWw])|(?<=[DA]C)|(?<=[dD]c)|(?<=\d[x*])';
        $pattern = "@(?=[\d.-])(?:{$guard})(?<sign>-(?=[\d.]))?(?<a>{$number}(?:[ -]\d/\d+)?|\d/\d{1,2}(?=\s?\"))(?:-(?=inch|zoll)|"
            ."\s{0,2})(?<ua>{$unit})?(?:(?![A-Za-z0-9²])|(?<=\d[vV])(?=\d+(?:[.,]\d+)?\s?m?[AaWw]\b))"
            ."(?:\s{0,2}(?<op>\bup to\b|\bto\b|\bbis\b|\bthrough\b|\band\b|\bor\b|\.{2,3}|…|~|÷|±|\+/-|\+-|"
                ."-)\s{0,2}(?<b>[-+]?{$number})\s{0,2}(?<ub>{$unit})?(?![A-Za-z0-9²]))?@iu";
        $found = [];
        foreach (preg_match_all('/(?<![\w.])(\d{1,2})[vV](\d)(?!\w)/', $piece, $all, PREG_SET_ORDER | PREG_OFFSET_CAPTURE) > 0 ? $all : [] as $short) {
            // "3V3" is 3.3 V.
            $found[] = self::one('V', 'usual', (float) "{$short[1][0]}.{$short[2][0]}", $offset + $short[0][1],
                $offset + $short[0][1] + strlen($short[0][0]));
        }
        $listed = "/[a-z] ({$number})(?=[,;(]| \(| (?:in|at|when|with|and|flat|idle|full|max|typ|dimmed|doing|for)\b|$)/i";
        if (preg_match('/\((?:(?:all|everything)(?: in)? )?(mA|A|W)(?=[,)])/', $piece, $all) === 1 && preg_match_all($listed, $piece,
            $bare, PREG_SET_ORDER | PREG_OFFSET_CAPTURE) > 0) {
            // "menu 240, game 410 (all mA)": the unit is said once for all.
            foreach ($bare as $one) {
                [$unitName, $times] = self::UNITS[strtolower($all[1])];
                $found[] = self::one($unitName, 'usual', $this->number($one[1][0]) * $times, $offset + $one[1][1], $offset + $one[1][1] + strlen($one[1][0]));
            }
        }
        $at = 0;
        while (preg_match($pattern, $piece, $match, PREG_OFFSET_CAPTURE | PREG_UNMATCHED_AS_NULL, $at) === 1) {
            $read = $this->read($match, $piece, $offset);
            $at = $read === [] ? $match[0][1] + max(1, strlen((string) $match['a'][0])) : end($read)->end - $offset;
            $found = [...$found, ...$read];
        }

        return $found;
    }

    /**
     * Numbers that take the unit of one before them in the same sentence: "it pulls 0.48 A, dimmed right down 0.17".
     *
     * @param  list<Amount>  $known  the amounts with a unit of their own
     * @return list<Amount>
     */
    public function inherited(string $piece, array $known, int $offset): array
    {
        $behind = '(?=\s*(?:$|[;)]|,(?!\d)|\.(?:\s|$))|\s(?:in|at|when|with|without|while|on|for (?=the|a\b|any)|idle|under|but|and|or|once|before|if|as|'
            .'because|dimmed)\b)';
        $ahead = '/(?:\b(?:to|at|above|over|below|under|only|about|around|like|nor|steady|just|roughly|near|nearer|than|and|or|takes?|pulls?|draws?|gives?|'
            .'down|up|full|loud|quiet|boot|start)|,(?: (?:at|with|in|when|dimmed|otherwise)\b)?(?: [a-z]+){0,3})\s+(?:a |an )?$/';
        if (preg_match_all('/(?=[\d.])(?<![\w.,\/x*-])(?:'.self::NUMBER.")(?![\w%\"°])(?!\s?(?:mm|x|\*)){$behind}/i", $piece, $all, PREG_OFFSET_CAPTURE) < 1) {
            return [];
        }
        $found = [];
        $last = 0;
        foreach ($all[0] as [$text, $at]) {
            $before = strtolower(substr($piece, max(0, $at - 40), min(40, $at)));
            $source = null;
            $units = [];
            foreach ($known as $one) {
                if ($one->start - $offset <= $at && $one->end - $offset > $at) {
                    continue 2;
                }
                if ($one->end - $offset <= $at) {
                    $units[$one->unit] = true;
                }
                $source = $one->end - $offset <= $at && in_array($one->unit, ['V', 'mA', 'W'], true) ? $one : $source;
            }
            // "2.1 A, but sags to 4.6 V above 1.5": of which of the two, nobody says.
            $isEither = count(array_intersect_key($units, self::ALIKE)) > 1 && preg_match('/\b(?:at|above|over|below|under|from)\s+$/', $before) === 1;
            if ($source === null || $isEither || $at - max($source->end - $offset, $last) > self::FAR || preg_match($ahead, $before) !== 1) {
                continue;
            }
            $isAmps = preg_match('/(?<![mµu])(?<!milli)(?:a|amps?|amperes?)$/i', substr($piece, $source->start - $offset, $source->end - $source->start)) === 1;
            $value = $this->number($text) * ($isAmps ? 1000.0 : 1.0);
            $times = $value / max(1e-9, $source->value());
            [$least, $most] = self::ALIKE[$source->unit];
            if ($times >= $least && $times <= $most) {
                $found[] = $this->bounded($source->unit, $value, $at, $at + strlen($text), $piece, $offset);
                $last = $at + strlen($text);
            }
        }

        return $found;
    }

    /**
     * Currents of a sentence that goes on about the one before: "it sits at 290 mA. In games that becomes 350."
     *
     * @param  float  $before  milliamps
     * @param  bool  $isAmps  whether those were written in amps
     * @return list<Amount>
     */
    public function goingOn(string $piece, float $before, bool $isAmps, int $offset): array
    {
        $ahead = '(?:becomes|goes to|go to|went to|gets to|rises to|climbs to|jumps to|drops to|falls to|comes down to|more like|needs|takes|took|pulls|draws|'
            .'it is|it.s|that is|that.s|about|around|nearer|rather)';
        $behind = '(?=\s*(?:$|[;)]|,(?!\d)|\.(?:\s|$))|\s(?:in|at|when|with|without|for|while|if|on|once|as|and|but)\b)';
        if (preg_match_all("/\b{$ahead}\s(".self::NUMBER."){$behind}/i", $piece, $all, PREG_OFFSET_CAPTURE) < 1) {
            return [];
        }
        $found = [];
        foreach ($all[1] as [$text, $at]) {
            $value = $this->number($text) * ($isAmps ? 1000.0 : 1.0);
            if ($value >= 0.15 * $before && $value <= 8.0 * $before) {
                $found[] = $this->bounded('mA', $value, $at, $at + strlen($text), $piece, $offset);
            }
        }

        return $found;
    }

    /**
     * @param  array<int|string, array{?string, int}>  $match
     * @return list<Amount> two where what looks like a range are two things, "5 V-1 A"
     */
    private function read(array $match, string $piece, int $offset): array
    {
        $text = static fn (string $key): string => $match[$key][0] ?? '';
        $start = $match[0][1];
        [$ua, $ub] = [$this->unitAt($text('ua'), $text('a'), $match['ua'][1] ?? -1, $piece), $this->unitAt($text('ub'), $text('b'), $match['ub'][1] ?? -1,
            $piece)];
        $a = $this->part($text('a'), $ua ?? $ub);
        if (($match['sign'][0] ?? null) !== null && preg_match('/[\dA-Za-z"]\s?$/', substr($piece, 0, $start)) !== 1) {
            $a = -$a;
        }
        $endOfA = $ua === null ? ($match['a'][1] ?? 0) + strlen($text('a')) : ($match['ua'][1] ?? 0) + strlen($text('ua'));
        $op = strtolower($text('op'));
        $isBetween = $op !== 'and' || preg_match('/between\s*$/i', substr($piece, 0, $start)) === 1;
        if ($op !== '' && $text('b') !== '' && $isBetween) {
            $end = $offset + ($ub === null ? ($match['b'][1] ?? 0) + strlen($text('b')) : ($match['ub'][1] ?? 0) + strlen($text('ub')));
            $range = $this->range([$a, $ua], $op, [$this->part(ltrim($text('b'), '+'), $ub ?? $ua), $ub], $offset + $start, $end);
            if ($range !== null) {
                return [$range];
            }
        }
        if ($ua !== null && $ua[0] === 'mAh' && $a * $ua[1] > 300_000.0 && preg_match('/^\d{3,4}(?: \d{3,4})+$/', $text('a')) === 1) {
            // "942 960 955 mAh": three cells, and no thousands.
            $all = array_map(floatval(...), explode(' ', $text('a')));

            return [new Amount('mAh', min($all), null, max($all), $offset + $start, $offset + $endOfA)];
        }
        // "2.4G dongle" is no weight, and "55-1080A" no current.
        $isRadio = $text('ua') === 'G' && in_array($a, [2.4, 5.8], true);
        if ($ua === null || $isRadio || self::isNoCurrent($ua[0], $a * $ua[1])) {
            return [];
        }

        return [$this->bounded($ua[0], $a * $ua[1], $start, $endOfA, $piece, $offset)];
    }

    /**
     * @param  array{float, array{string, float}|null}  $first  number and unit
     * @param  array{float, array{string, float}|null}  $second
     */
    private function range(array $first, string $op, array $second, int $start, int $end): ?Amount
    {
        [[$a, $ua], [$b, $ub]] = [$first, $second];
        $unit = $ub ?? $ua;
        if ($unit === null) {
            return null;
        }
        if (in_array($op, ['±', '+/-', '+-'], true)) {
            $own = $ua ?? $unit;
            if ($own[0] === '%' && $ua === null) {
                return null;
            }
            $off = $unit[0] === '%' ? abs($a) * abs($b) * 0.01 : abs($b) * $unit[1] / $own[1];

            return new Amount($own[0], round(($a - $off) * $own[1], 7), round($a * $own[1], 7), round(($a + $off) * $own[1], 7), $start, $end);
        }
        $low = $a * ($ua ?? $unit)[1];
        $high = $b * $unit[1];
        $isOne = ! self::isNoCurrent($unit[0], $high)
            && ($ua === null || $ua[0] === $unit[0]) && $low < $high && ($op !== 'or' || ($ua === null && $unit[0] === 'V'));

        return $isOne ? new Amount($unit[0], round($low, 7), null, round($high, 7), $start, $end) : null;
    }

    /** More than anything here carries: an A at the end of a name. */
    private static function isNoCurrent(string $unit, float $value): bool
    {
        return $unit === 'mA' && $value >= 150_000.0;
    }

    private function bounded(string $unit, float $value, int $start, int $end, string $piece, int $offset): Amount
    {
        $before = strtolower(substr($piece, max(0, $start - 44), min(44, $start)));
        $after = strtolower(substr($piece, $end, 24));
        // "3000 mAh min 2900": that word belongs to what follows, where nothing stands behind it.
        $isOfNext = preg_match('/^\s*(?:min|max|typ|biggest|highest)\.?\s*'.self::NUMBER.'\s?[a-z]{0,3}\s*(?:$|[,;()])/', $after) === 1;
        foreach ($isOfNext ? [] : self::AFTER as $bound => $pattern) {
            if (preg_match($pattern, $after) === 1 && ! ($bound !== 'usual' && preg_match('/^\s*\)?,\s*(?:max|min|peak)\b[^,;)]{0,3}\d/', $after) === 1)) {
                return self::one($unit, $bound, $value, $start + $offset, $end + $offset);
            }
        }
        if (preg_match('/\d ?[a-zΩ]{1,4} (?:min|max|typ)\.?\s*$/u', $before) === 1) {
            // "8 ohm min. 4.5 ohm": that word belongs to what stands before it.
            return self::one($unit, 'usual', $value, $start + $offset, $end + $offset);
        }
        if (preg_match(self::NEVER_MORE, $before) === 1) {
            return self::one($unit, 'most', $value, $start + $offset, $end + $offset);
        }
        foreach (self::BEFORE as $bound => $pattern) {
            if (preg_match($pattern, $before) === 1) {
                return self::one($unit, $bound, $value, $start + $offset, $end + $offset);
            }
        }

        return self::one($unit, 'usual', $value, $start + $offset, $end + $offset);
    }

    private static function one(string $unit, string $bound, float $value, int $start, int $end): Amount
    {
        $value = round($value, 7);

        return new Amount($unit, $bound === 'least' ? $value : null, $bound === 'usual' ? $value : null, $bound === 'most' ? $value : null, $start, $end);
    }

    /** @return array{string, float}|null the unit and what one of it is; null where the sign is no unit here */
    private function unitAt(string $sign, string $number, int $at, string $piece): ?array
    {
        if ($sign === '' || $number === '') {
            return null;
        }
        $isApart = $at > 0 && $piece[$at - 1] === ' ';
        $after = substr($piece, $at + strlen($sign), 12);
        $isWord = match (true) {
            // "Perle 35" is a name in quotation marks.
            $sign === '"' && preg_match('/(?:^|[\s(])"(?=[A-Za-z])[^"]*$/', substr($piece, 0, $at)) === 1 => true,
            // "2 a piece", "12 V in", "10 r": small words and not units.
            in_array($sign, ['a', 'r', 'c', '"'], true) => $isApart,
            $sign === 'in' => $isApart && preg_match('/^\s*(?:x\b|by\b|[,.)]|\(\d|$|(?:screen|monitor|display|panel|lcd|tft)\b|high|wide|long|thick|'
                .'deep)/i', $after) !== 1,
            default => false,
        };

        return $isWord ? null : self::UNITS[$sign === 'Ω' || $sign === 'mΩ' || $sign === 'kΩ' ? $sign : strtolower($sign)] ?? null;
    }

    /** A bare number as a shop writes it, or one with a fraction: "9-1/4" is 9.25, "1/4" is 0.25; no unit, the sign kept. */
    /** @param  array{string, float}|null  $unit */
    public function part(string $text, ?array $unit = null): float
    {
        // Nobody writes a thousandth of a milliamp-hour: "10.000 mAh" are ten thousand, whatever parts decimals elsewhere.
        if (in_array($unit, self::IN_THOUSANDS, true) && preg_match('/^[1-9]\d{0,2}[.,]\d{3}$/', $text) === 1) {
            return (float) preg_replace('/\D/', '', $text);
        }
        if (preg_match('~^(?:(\d+)[ -])?(\d+)/(\d+)$~', $text, $found) === 1) {
            return (float) $found[1] + (float) $found[2] / max(1.0, (float) $found[3]);
        }
        $sign = str_starts_with($text, '-') ? -1.0 : 1.0;

        return $sign * $this->number(ltrim($text, '-'));
    }
}
