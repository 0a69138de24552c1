<?php

declare(strict_types=1);

namespace PocketPlot\Clipping;

/** Numbers whose unit goes without saying: "16 kills it", "7.4 v 2600", "0,5 pitch", "peaks of 450". */
final readonly class BareNumbers
{
    private const N = '('.Amounts::NUMBER.')';

    private const TO = ' ?(?:-|–|to|\.\.) ?';

    /** Behind the second number of a range: no unit, and no more of the number. */
    private const WITHOUT_UNIT = '(?!\w|[.,]?\d|\s?(?:v|volts?|mm|x|a|ma|w|%|g)\b)';

    private const LOADS_AND_CONVERTERS = [...Cues::LOADS, 'regulator'];

    /**
     * What a number says, by a pattern whose last group it is (of a range: the last two), as which bound. Only of parts of
     * these roles ([] is all), where the clause has an amount of the unit `beside`, and does not say `unless`.
     *
     * @var list<array{what: string, says: string, bound: 'least'|'usual'|'most'|'range'|'range in cm'|'metered range', roles: list<string>,
     *     beside?: string, unless?: string}>
     */
    private const FORMS = [
        [
            'what' => 'absolute maximum', 'bound' => 'most', 'roles' => self::LOADS_AND_CONVERTERS,
            'says' => '/\babs(?:olute)?\.? ?max(?:imum)?\.?\W{0,3}'.self::N.'(?![\w.,]*\s?(?:v|a|ma|w|mm|%)\b)/',
        ],
        [
            'what' => 'absolute maximum', 'bound' => 'most', 'roles' => self::LOADS_AND_CONVERTERS,
            'says' => '/\bsurvives '.self::N.'(?![\w.,]*\s?(?:v|ma|a|%|s|h)\b)/',
        ],
        [
            'what' => 'absolute maximum', 'bound' => 'most', 'roles' => self::LOADS_AND_CONVERTERS,
            'says' => '/\b'.self::N.' (?:is the end of it|kills?|destroys?|fries|breaks|smokes)/',
        ],
        [
            'what' => 'capacity', 'bound' => 'usual', 'roles' => ['cells'],
            'says' => '/(?:li-?po|li-?ion|\d ?v),? (?!18650|21700|14500|26650|16340)'.self::N.'(?![\w.,]*\s?(?:mah|ah|wh|mm|g|v|ma|a)\b)(?!\d)/',
        ],
        ['what' => 'ribbon pitch', 'bound' => 'usual', 'roles' => [], 'says' => '/'.self::N.' ?(?:mm )?pitch|pitch (?:of )?'.self::N.'(?! ?mm)/'],
        [
            'what' => 'height above face', 'bound' => 'usual', 'roles' => ['controls'],
            'says' => '/(?:stands?|sticks out|proud) (?:by )?'.self::N.'(?! ?mm) (?:above|over|proud)/',
        ],
        ['what' => 'output voltage', 'bound' => 'usual', 'roles' => ['regulator'], 'says' => '/(?<![\w.])'.self::N.' out\b/', 'unless' => '/wires? in\b/'],
        [
            'what' => 'cell full voltage', 'bound' => 'usual', 'roles' => ['cells', 'charger'],
            'says' => '/(?:stops|ends|full|finished) at (4[.,](?:1|2|35))(?!\d)(?!\w*\s?v)/',
        ],
        [
            'what' => 'height above face', 'bound' => 'usual', 'roles' => ['controls'],
            'says' => '/\b(?:cap|knob|top|hat|stick)\b[^,;.\d]{0,14}'.self::N.' ?(?:mm )?(?:above|over|proud|on top)/',
        ],
        [
            'what' => 'draw taken at', 'bound' => 'usual', 'roles' => Cues::LOADS,
            'says' => '/(?<![\w.,])'.self::N.' (?:v )?at the (?:plug|socket|board|input|barrel|pins)\b/', 'unless' => '/\d ?(?:ma|a) at the/',
        ],
        [
            'what' => 'draw taken at', 'bound' => 'usual', 'roles' => Cues::LOADS,
            'says' => '/\d ?ma?\b[^,;.\d]{0,24}\bat '.self::N.'(?![\w.,]*\s?(?:v|volts?|ma|a|%|mm|hz|c|deg\w*|°)\b)(?!\d|[.,]\d)(?=\s|[.,;]|$)/',
        ],
        [
            'what' => 'draw', 'bound' => 'usual', 'roles' => Cues::LOADS,
            'says' => '/\bmeter (?:says|shows|reads?|showed) (?:about |around )?(0[.,]\d{1,3})(?!\d|[\w.]*\s?(?:a|ma|v|w)\b)/',
        ],
        [
            'what' => 'capacity', 'bound' => 'usual', 'roles' => ['cells'],
            'says' => '/\b(?:measured|tested|got)\b[^.;\d]{0,16}'.self::N.'(?![\w.,]*\s?(?:mah|ah|wh|mm|g|v|ma|a|mohm|mω|cycles|times)\b)(?!\d)/',
        ],
        [
            'what' => 'capacity', 'bound' => 'usual', 'roles' => ['cells'], 'says' => '/(?<![\w.,])'.self::N.' (?:measured|tested|real)\b/',
        ],
        [
            'what' => 'supply voltage', 'bound' => 'range', 'roles' => self::LOADS_AND_CONVERTERS,
            'says' => '/\b(?:takes|accepts|eats|runs)(?: anything| everything| any input)? (?:from|'
                .'between) '.self::N.' (?:to|and) '.self::N.self::WITHOUT_UNIT.'/',
        ],
        ['what' => 'wall', 'bound' => 'usual', 'roles' => ['case'], 'says' => '/\bwalls? '.self::N.'(?!\w|[.,]?\d|\s?(?:mm|x|to|-))/'],
        ['what' => 'wall', 'bound' => 'usual', 'roles' => ['case'], 'says' => '/(?<![\w.,])'.self::N.' walls?\b/', 'unless' => '/(?<![.,\d])(?:two|[234]|'
            .'three|four) walls/'],
        [
            'what' => 'travel', 'bound' => 'usual', 'roles' => ['switch', 'controls'],
            'says' => '/\b(?:travel|stroke)[ :=]{1,3}(?:of |is )?'.self::N.'(?!\w|[.,]?\d|\s?(?:mm|cm|n|g|x|±)\b)/',
        ],
        [
            'what' => 'diagonal', 'bound' => 'usual', 'roles' => ['display'], 'unless' => '/"|inch|\bin\b/',
            'says' => '/(?:lcd|tft|ips|oled)\s'.self::N.'(?= (?:tft|lcd|ips|oled|colou?r|spi|hdmi))/',
        ],
        [
            'what' => 'diagonal', 'bound' => 'usual', 'roles' => ['display'], 'unless' => '/"|inch|\bin\b/',
            'says' => '/(?<![\w.])'.self::N.' (?:screen|panel|display|lcd|monitor)\b/',
        ],
        [
            'what' => 'temperature limit', 'bound' => 'usual', 'roles' => [],
            'says' => '/(?<!never )(?:throttl\w+|slows (?:itself down|itself|down)) (?:until|at|from|above|before) '.self::N.'(?! ?%)(?![\w.]*\s?(?:°|'
                .'degrees|deg|c\b))/',
        ],
        [
            'what' => 'temperature limit', 'bound' => 'usual', 'roles' => [],
            'says' => '/\bat '.self::N.' on the (?:chip|cpu|sensor|core)\b[^.;]{0,24}(?:drops|slows|half)/',
        ],
        [
            'what' => 'shutdown time', 'bound' => 'usual', 'roles' => ['board', 'storage'],
            'says' => '/shut.?down (?:is|takes) (?:more like |about |around )?'.self::N.'(?![\w.]*\s?(?:s\b|sec|min|ma|w|v)\b)/',
        ],
        ['what' => 'storage capacity', 'bound' => 'usual', 'roles' => ['board', 'storage'], 'says' => '/(?:emmc|flash|storage|ssd)\W{0,3}'.self::N.' ?g\b/'],
        ['what' => 'wire gauge', 'bound' => 'usual', 'roles' => [], 'says' => '/\bawg ?'.self::N.'/'],
        [
            'what' => 'draw', 'bound' => 'most', 'roles' => Cues::LOADS, 'beside' => 'mA',
            'says' => '/\bnever (?:above|over|more than) '.self::N.'(?![\w.]*\s?(?:ma|a|v|w|mm|g)\b)/',
        ],
        [
            'what' => 'peak draw', 'bound' => 'usual', 'roles' => Cues::LOADS,
            'says' => '/never (?:seen|had|saw|caught) (?:it )?(?:take |draw )?(?:more than|over|above) '.self::N.'(?![\w.]*\s?(?:ma|a|v|w|mm|g|'
                .'h)\b)[^.;]{0,20}(?:blink|moment|second|split)/',
        ],
        [
            'what' => 'draw', 'bound' => 'usual', 'roles' => Cues::LOADS, 'beside' => 'mA',
            'says' => '/\b(?:otherwise|normally|usually) (?:about |around )?'.self::N.'(?![\w.]*\s?(?:ma|a|v|w|mm|g|h)\b)/',
        ],
        [
            'what' => 'draw', 'bound' => 'least', 'roles' => Cues::LOADS, 'beside' => 'mA',
            'says' => '/\band '.self::N.' (?:at |when |with )?(?:it )?(?:idl\w*|dim\w*|dark|silent|quiet|menu|desktop|half)/',
        ],
        [
            'what' => 'draw', 'bound' => 'metered range', 'roles' => Cues::LOADS,
            'says' => '/\b(?:i (?:get|got|read|see|saw|measured?)|(?:meter|it) (?:says|shows|reads?|showed))\W{1,3}(?:about |around |roughly )?'.self::N
                .'(?! ?(?:v|w|mm|g|%|hz|fps)\b)(?: ?ma)? (?:in|at|on|with|when|for|during|idle)[^,;.\d]{0,30}(?:and|to|,|-) (?:about |around |up to |'
                .'roughly )?'.self::N
                .'(?! ?(?:v|w|mm|g|%|hz|fps|s|min)\b)/',
        ],
        [
            'what' => 'peak draw', 'bound' => 'usual', 'roles' => Cues::LOADS, 'beside' => 'mA',
            'says' => '/(?:peaks?|spikes?|bursts?) (?:of|to|at|around|up to) '.self::N.'(?![\w.]*\s?(?:ma|a|v|w|ms)\b)/',
        ],
        [
            'what' => 'supply voltage', 'bound' => 'range', 'roles' => ['regulator'],
            'says' => '/(?<![\w.])(?:'.self::N.' (?:up )?to '.self::N.') in\b(?! ?ch)/',
        ],
        [
            'what' => 'supply voltage', 'bound' => 'range', 'roles' => ['regulator'],
            'says' => '/(?<![\w.])(?:in|input|takes|vin|accepts)\W{1,3}'.self::N.self::TO.self::N.self::WITHOUT_UNIT.'/u',
        ],
        [
            'what' => 'output voltage', 'bound' => 'range', 'roles' => ['regulator'],
            'says' => '/(?<![\w.])(?:out|output|gives|vout)\b(?: \w+){0,2}?\W{1,3}'.self::N.self::TO.self::N.self::WITHOUT_UNIT.'/u',
        ],
        [
            'what' => 'charge input voltage', 'bound' => 'range', 'roles' => ['charger'],
            'says' => '/(?<![\w.])(?:in|input|vin|accepts)\W{1,3}'.self::N.self::TO.self::N.self::WITHOUT_UNIT.'/u',
        ],
        [
            'what' => 'lead length', 'bound' => 'range in cm', 'roles' => [],
            'says' => '/(?:wires?|leads?|cables?|cord)\W{1,3}(?:of |are )?'.self::N.' (?:and|or|\/) '.self::N.' ?cm\b/',
        ],
        [
            'what' => 'wall', 'bound' => 'range', 'roles' => ['case'],
            'says' => '/\bwalls?\b\W{1,3}(?:about |ca\.? )?'.self::N.' ?(?:-|to) ?'.self::N.'(?!\w|[.,]?\d|\s?(?:mm|x|cm)\b)/',
        ],
    ];

    /** Volts; a charger of cells takes no more, and what is above is the mains. */
    private const MOST_CHARGE_INPUT = 60.0;

    /** Millimetres; a pitch that is written with its unit is read with the other amounts. */
    private const MOST_PITCH = 2.6;

    /** @param  string  $role  of the part */
    public function __construct(private string $role, private Amounts $amounts) {}

    /**
     * @param  list<Amount>  $amounts  those of the clause that have a unit
     * @return list<Find>
     */
    public function in(Clause $clause, array $amounts): array
    {
        if (! self::hasBare($clause, $amounts)) {
            return [];
        }
        $found = [];
        foreach (self::FORMS as $form) {
            $applies = ($form['roles'] === [] || in_array($this->role, $form['roles'], true))
                && preg_match($form['says'], $clause->lower, $match, PREG_OFFSET_CAPTURE) === 1
                && (! isset($form['beside']) || self::isBeside($form['beside'], $amounts))
                && (! isset($form['unless']) || ! $clause->says($form['unless']));
            $find = $applies ? $this->find($form['what'], $form['bound'], $match, $clause, $amounts) : null;
            if ($find !== null) {
                $found[] = $find;
            }
        }

        return $found;
    }

    /**
     * Whether any number stands without a unit, or two share one: asked first, for most clauses have none. Grams may be gigabytes.
     *
     * @param  list<Amount>  $amounts
     */
    private static function hasBare(Clause $clause, array $amounts): bool
    {
        $rest = $clause->lower;
        foreach ($amounts as $one) {
            if ($one->unit !== 'g') {
                $rest = substr_replace($rest, str_repeat(' ', $one->end - $one->start), $one->start - $clause->start, $one->end - $one->start);
            }
        }

        return strpbrk($rest, '0123456789') !== false || str_contains($rest, 'cm');
    }

    /**
     * @param  array<int|string, array{string, int}>  $match
     * @param  list<Amount>  $amounts
     */
    private function find(string $what, string $bound, array $match, Clause $clause, array $amounts): ?Find
    {
        $last = $match[count($match) - 1];
        $value = $this->amounts->number($last[0]);
        $end = $clause->start + $last[1] + strlen($last[0]);
        if ($bound === 'metered range') {
            $ends = [$this->amounts->number($match[1][0]), $value];
            // Milliamps, and nothing that a part of a console would not take.
            $isDraw = min($ends) >= 5.0 && max($ends) <= 6000.0 && $ends[0] !== $ends[1];

            return $isDraw ? new Find($what, ['least' => min($ends), 'most' => max($ends), 'metered' => 'yes'], $clause->start + $match[1][1], $end) : null;
        }
        if (str_starts_with($bound, 'range')) {
            $times = $bound === 'range' ? 1.0 : 10.0;
            $says = ['least' => $this->amounts->number($match[1][0]) * $times, 'most' => $value * $times];

            return $what === 'charge input voltage' && $value > self::MOST_CHARGE_INPUT ? null : new Find($what, $says, $clause->start + $match[0][1], $end);
        }
        // "0.36 A, 0.72, never above 0.97": amps as those beside it.
        $value *= str_contains($what, 'draw') && $what !== 'draw taken at' && $value < 10.0 ? 1000.0 : 1.0;
        $isNone = match ($what) {
            'draw taken at' => $value < 2.5 || $value > 30.0,
            'capacity' => $value < 100.0 || $value > 50_000.0,
            'ribbon pitch' => array_filter($amounts, static fn (Amount $one): bool => $one->unit === 'mm' && $one->value() <= self::MOST_PITCH) !== [],
            'height above face' => self::isBeside('mm', $amounts),
            default => false,
        };

        return $isNone ? null : new Find($what, [$bound => $value], $clause->start + $last[1], $end);
    }

    /** @param  list<Amount>  $amounts */
    private static function isBeside(string $unit, array $amounts): bool
    {
        return array_filter($amounts, static fn (Amount $one): bool => $one->unit === $unit) !== [];
    }
}
