<?php

declare(strict_types=1);

namespace CoreTests\Learning;

use CoreTests\Texts;
use PocketPlot\Clipping\Names;
use PocketPlot\Clipping\Plain;
use PocketPlot\Clipping\Reader;
use PocketPlot\Clipping\RoleGuess;
use PocketPlot\Clipping\SecondReading;
use PocketPlot\Clipping\Weighing\Mention;
use PocketPlot\Clipping\Weighing\Surroundings;
use PocketPlot\Clipping\Weighing\WholeText;
use PocketPlot\Part\Role;

/**
 * What each number of the texts in core/tests means, with the traits of what surrounds it. Of texts with their readings beside them, a number
 * means what a reading says with that value; of marked ones, what its mark says. The rules are asked of marked texts and of new ones only: they
 * were made for the others, and would be trusted too far.
 *
 * @phpstan-type Example array{traits: list<string>, sort: string, role: string, labels: non-empty-list<string>} labels: any of them is right
 *
 * @phpstan-import-type Text from Texts as Told
 * @phpstan-import-type Said from Texts
 * @phpstan-import-type Text from Marked as MarkedText
 */
final class Examples
{
    /** Figures by the unit that they have here; all others are plain counts. */
    private const UNITS = [
        'V' => ['supply voltage', 'absolute maximum', 'draw taken at', 'low-battery warning', 'output voltage', 'dropout', 'cell nominal voltage',
            'cell full voltage', 'cell empty voltage', 'pack nominal voltage', 'pack full voltage', 'pack empty voltage', 'cut-off voltage',
            'recovery voltage', 'charge input voltage', 'switch rated voltage', 'logic level'],
        'mA' => ['draw', 'peak draw', 'start-up draw', 'standby draw', 'output current', 'output peak current', 'quiescent current', 'switch-off current',
            'discharge limit', 'charge limit', 'protector current', 'charge input current', 'charge current', 'fuse rating', 'switch rating', 'light draw'],
        'W' => ['draw power', 'output power', 'total output power', 'amp watts', 'speaker watts', 'heat'],
        'mAh' => ['capacity'], 'Wh' => ['energy'], 'ohm' => ['amp load', 'least load', 'speaker impedance', 'internal resistance'],
        'mm' => ['travel', 'ribbon pitch', 'lead length', 'bend room', 'diagonal', 'wall', 'height above face'], 'g' => ['mass'],
        '°C' => ['temperature limit'], '%' => ['efficiency'], 's' => ['shutdown time'], 'Hz' => ['refresh'], 'AWG' => ['wire gauge'],
        'K/W' => ['temperature rise'], 'GB' => ['storage capacity', 'image size'], 'mm²' => ['vent area'],
    ];

    /** Sets that no rule for numbers was made for: of these, the rules are asked. */
    private const NEW = 'new';

    private const BOXES = ['size', 'room inside', 'printer bed', 'hole spacing', 'picture area', 'pixels', 'opening', 'video mode'];

    private const BOUNDS = ['least', 'usual', 'most'];

    private const SIDES = ['length', 'width', 'height'];

    /** Words of a text that are not said of the part: shares of a value by which two numbers are the same. */
    private const ALIKE = 0.006;

    /**
     * @param  list<string>  $without  sets that are left out, to try what was learned on them
     * @return list<Example>
     */
    public static function all(array $without = []): array
    {
        $examples = [];
        foreach (self::texts($without) as [$set, $text]) {
            array_push($examples, ...self::told($text, true, str_starts_with($set, self::NEW)));
        }
        foreach ([dirname(__DIR__).'/phrases.txt', __DIR__.'/sentences.txt'] as $path) {
            foreach (self::phrases($path) as $text) {
                array_push($examples, ...self::told($text, false));
            }
        }
        foreach (Marked::all() as $text) {
            array_push($examples, ...(in_array(explode('-', $text['name'])[0], $without, true) ? [] : self::marked($text)));
        }

        return $examples;
    }

    /**
     * What each text is about, as a whole and by its first line; and each name of a part on the shelves.
     *
     * @param  list<string>  $without
     * @return list<Example>
     */
    public static function roles(array $without = []): array
    {
        $examples = [];
        $add = static function (string $text, string $role) use (&$examples): void {
            $examples[] = ['traits' => WholeText::traits($text, RoleGuess::byWords($text)->value ?? ''), 'sort' => RoleGuess::SORT, 'role' => '', 'labels' => [$role]];
        };
        foreach (self::texts($without) as [, $text]) {
            $add($text['text'], $text['role']);
        }
        foreach (Marked::all() as $text) {
            $set = explode('-', $text['name'])[0];
            if ($set !== 'phrase' && ! in_array($set, $without, true)) {
                $add($text['text'], $text['role']);
            }
        }
        foreach (self::shelves() as ['name' => $name, 'role' => $role]) {
            $add($name, $role);
        }

        return $examples;
    }

    /**
     * Lines that name parts, from lists and shelves, and lines that say something of one, from texts with a line for each.
     *
     * @param  list<string>  $without
     * @return list<Example>
     */
    public static function lines(array $without = []): array
    {
        $examples = [];
        $add = static function (string $line, string $label) use (&$examples): void {
            $examples[] = ['traits' => WholeText::ofLine($line, RoleGuess::byWords($line)->value ?? ''), 'sort' => Names::SORT, 'role' => '', 'labels' => [$label]];
        };
        foreach (self::texts($without) as [, $text]) {
            foreach (array_slice(Names::of($text['text']), 1) as $line) {
                $add($line, Names::SAYS);
            }
        }
        foreach (self::lists() as $lines) {
            foreach ($lines as $line) {
                $add($line, Names::NAME);
            }
        }
        foreach (self::shelves() as ['name' => $name]) {
            $add($name, Names::NAME);
        }

        return $examples;
    }

    /**
     * @param  list<string>  $without  sets
     * @return \Generator<array{string, Told}> the set and a text of it; of those told from outside, the even ones are set aside
     */
    private static function texts(array $without): \Generator
    {
        foreach (array_diff(Texts::learnedFrom(), $without) as $set) {
            foreach (Texts::of($set) as $text) {
                if ($set !== 'told' || (int) preg_replace('/\D/', '', $text['name']) % 2 === 1) {
                    yield [$set, $text];
                }
            }
        }
    }

    /** @return list<list<string>> lists of parts as people write them, a name a line */
    public static function lists(): array
    {
        return array_map(Names::of(...), preg_split('/\n\n+/', trim((string) file_get_contents(__DIR__.'/lists.txt'))) ?: []);
    }

    /** @return list<array{name: string, role: string}> parts that ship with the application */
    private static function shelves(): array
    {
        $parts = [];
        foreach (['library', 'typical'] as $shelf) {
            $file = json_decode((string) file_get_contents(dirname(__DIR__, 3)."/demo/{$shelf}.pocketplot.json"), true);
            foreach (is_array($file) && is_array($file['parts'] ?? null) ? $file['parts'] : [] as $part) {
                if (is_array($part) && is_string($part['name'] ?? null) && is_string($part['role'] ?? null)) {
                    $parts[] = ['name' => $part['name'], 'role' => $part['role']];
                }
            }
        }

        return $parts;
    }

    /**
     * @param  MarkedText  $text
     * @return list<list<string>> what each mention means; more than one where the text says the same number twice
     */
    public static function meant(array $text, SecondReading $reading, Plain $plain): array
    {
        $meant = [];
        $nth = [];
        foreach ($reading->mentions() as $mention) {
            $at = $plain->place($mention->start);
            $label = '';
            foreach ($text['spans'] as $index => $span) {
                $from = mb_strlen(substr($text['text'], 0, $span['start']));
                if ($at >= $from && $at < mb_strlen(substr($text['text'], 0, $span['end']))) {
                    $label = self::ofSpan($span['what'], $span['bound'], $mention, $nth[$index] ?? 0);
                    $nth[$index] = ($nth[$index] ?? 0) + 1;
                }
            }
            $meant[] = [$label];
        }
        foreach ($reading->mentions() as $index => $mention) {
            foreach ($meant[$index] === [''] && ! $mention->isBox() && $mention->unit !== '' ? $reading->mentions() : [] as $other => $marked) {
                if ($marked->unit === $mention->unit && ! $marked->isBox() && self::isNear($marked->value, $mention->value) && $meant[$other][0] !== '') {
                    $meant[$index][] = $meant[$other][0];
                }
            }
        }

        return $meant;
    }

    private static function ofSpan(string $what, string $bound, Mention $mention, int $nth): string
    {
        if ($mention->isBox()) {
            return "{$what}:box";
        }
        if (str_starts_with($what, 'size.')) {
            return 'size:'.substr($what, 5);
        }
        if ($what === 'price') {
            return $nth === 0 ? 'price:amount' : '';
        }
        if ($nth === 1 && in_array($mention->before, Mention::GIVE_OR_TAKE, true)) {
            return '';
        }
        $isEnd = $bound === 'usual' && ($nth === 0 ? in_array($mention->next, Mention::TO, true) : in_array($mention->before, Mention::TO, true));

        return "{$what}:".($isEnd ? ($nth === 0 ? 'least' : 'most') : $bound);
    }

    /**
     * @param  MarkedText  $text
     * @return list<Example>
     */
    private static function marked(array $text): array
    {
        $plain = Reader::plain($text['text']);
        $role = Role::from($text['role']);
        $reading = new SecondReading($plain, $role);

        return self::examples($reading, $text['role'], self::meant($text, $reading, $plain), $reading->asRead(Reader::byRules($plain, $role)));
    }

    /**
     * @param  list<list<string>>  $meant  [] for a mention of which nobody says anything
     * @param  list<?string>  $rules
     * @return list<Example>
     */
    private static function examples(SecondReading $reading, string $role, array $meant, array $rules): array
    {
        $around = new Surroundings($reading->tokens(), $reading->mentions(), $role);
        $examples = [];
        foreach ($reading->mentions() as $index => $mention) {
            $labels = array_values(array_unique($meant[$index]));
            if ($labels !== []) {
                $examples[] = ['traits' => $around->of($index, $rules[$index] ?? null), 'sort' => $mention->sort(), 'role' => $role,
                    'labels' => $labels];
            }
            $around->took($mention, $labels[0] ?? '');
        }

        return $examples;
    }

    /**
     * @param  Told  $text
     * @param  bool  $isWhole  whether all that it says stands beside it
     * @return list<Example>
     */
    private static function told(array $text, bool $isWhole, bool $isNew = false): array
    {
        $plain = Reader::plain($text['text']);
        $reading = new SecondReading($plain, Role::from($text['role']));
        // What is read in the first place, and what may stand for it.
        $wanted = [[], []];
        [$capacity, $series] = [0.0, 1.0];
        foreach ($text['expect'] as $one) {
            foreach ($one['readings'] as $nth => $said) {
                array_push($wanted[min(1, $nth)], ...self::wanted($said));
                $capacity = $said['what'] === 'capacity' ? max($capacity, (float) ($said['usual'] ?? 0)) : $capacity;
                $series = $said['what'] === 'series' ? max($series, (float) ($said['usual'] ?? 1)) : $series;
            }
        }
        $open = array_map(self::unitOf(...), $text['open']);
        $never = array_map(static fn (array $one): string => self::unitOf($one['what']), $text['never']);
        $meant = [];
        foreach ($reading->mentions() as $mention) {
            $labels = array_map(static fn (array $some): array => array_values(array_map(static fn (array $one): string => $one['label'],
                array_filter($some, static fn (array $one): bool => self::isMeant($one, $mention, $capacity, $series)))), $wanted);
            $labels = $labels[0] !== [] ? $labels[0] : $labels[1];
            // Nothing is learned from what a text leaves open, nor from what a phrase is silent about.
            $unit = $mention->isBox() ? 'box' : $mention->unit;
            $isSilent = $isWhole ? $unit !== '' && in_array($unit, $open, true) : ! in_array($unit, $never, true);
            $meant[] = $labels !== [] ? $labels : ($isSilent ? [] : ['']);
        }

        return self::examples($reading, $text['role'], $meant, $isNew ? $reading->asRead(Reader::byRules($plain, Role::from($text['role']))) : []);
    }

    /**
     * @param  Said  $said
     * @return list<array{label: string, unit: string, values: non-empty-list<float>}>
     */
    private static function wanted(array $said): array
    {
        $what = $said['what'];
        $unit = self::unitOf($what);
        $wanted = [];
        if (isset($said['amount'])) {
            $wanted[] = ['label' => 'price:amount', 'unit' => Mention::MONEY, 'values' => [(float) $said['amount']]];
        }
        foreach (['packet' => 'packet', 'count' => 'socket'] as $key => $word) {
            if ((float) ($said[$key] ?? 1) > 1.0) {
                $wanted[] = ['label' => $key === 'count' ? 'socket:count' : "{$word}:usual", 'unit' => '', 'values' => [(float) $said[$key]]];
            }
        }
        $sides = array_map(floatval(...), array_intersect_key($said, array_flip(self::SIDES)));
        if (count($sides) > 1) {
            $wanted[] = ['label' => "{$what}:box", 'unit' => 'box', 'values' => array_values($sides)];
        }
        foreach ($sides as $side => $value) {
            $wanted[] = ['label' => "{$what}:{$side}", 'unit' => 'mm', 'values' => [$value]];
        }
        foreach (array_intersect_key($said, array_flip(self::BOUNDS)) as $bound => $value) {
            $wanted[] = ['label' => "{$what}:{$bound}", 'unit' => $unit, 'values' => [(float) $value * ($what === 'diagonal' ? 25.4 : 1.0)]];
        }

        return $wanted;
    }

    /** @param  array{label: string, unit: string, values: non-empty-list<float>}  $wanted */
    private static function isMeant(array $wanted, Mention $mention, float $capacity, float $series): bool
    {
        ['unit' => $unit, 'values' => $values] = $wanted;
        $value = $values[0];
        if ($mention->isBox() || $unit === 'box') {
            return $mention->isBox() && $unit === 'box' && self::areAmong($mention->sides, $values);
        }
        $written = $mention->written;
        if ($mention->unit === '') {
            return $written > 0.0 && array_filter(match ($unit) {
                'mA', 'mAh' => [$written, $written * 1000.0],
                'mm' => [$written, $written * 10.0, $written * 25.4],
                '%' => [$written, $written / 100.0],
                default => [$written],
            }, static fn (float $one): bool => self::isNear($one, $value)) !== [];
        }

        return match (true) {
            str_starts_with($wanted['label'], 'internal resistance') => $mention->unit === 'ohm' && self::isNear($mention->value * 1000.0, $value),
            $mention->unit === 'C' => $unit === 'mA' && $capacity > 0.0 && self::isNear($written * $capacity, $value),
            $mention->unit === 's' && $unit === '' => preg_match('/^(?:series|charge cells)/', $wanted['label']) === 1 && self::isNear($written, $value),
            // What protection does to each cell of a row.
            preg_match('/^(?:cut-off|recovery) voltage/', $wanted['label']) === 1 => $mention->unit === $unit
                && (self::isNear($mention->value, $value) || self::isNear($mention->value * $series, $value)),
            default => $mention->unit === $unit && self::isNear($mention->value, $value),
        };
    }

    /**
     * Whether each side is one of the values: "120 x 73, 12.7 high" says two of three.
     *
     * @param  list<float>  $sides
     * @param  list<float>  $values
     */
    private static function areAmong(array $sides, array $values): bool
    {
        foreach ($sides as $side) {
            $at = array_key_first(array_filter($values, static fn (float $value): bool => self::isNear($side, $value)));
            if ($at === null) {
                return false;
            }
            unset($values[$at]);
        }

        return $sides !== [];
    }

    private static function isNear(float $a, float $b): bool
    {
        return abs($a - $b) <= self::ALIKE * max(abs($a), abs($b));
    }

    private static function unitOf(string $what): string
    {
        foreach (self::UNITS as $unit => $words) {
            if (in_array($what, $words, true)) {
                return (string) $unit;
            }
        }

        return match (true) {
            $what === 'price' => Mention::MONEY,
            in_array($what, self::BOXES, true) => 'box',
            default => '',
        };
    }

    /** @return list<Told> "role | phrase | what it says; !what it does not" */
    private static function phrases(string $path): array
    {
        $texts = [];
        foreach (file($path, FILE_IGNORE_NEW_LINES | FILE_SKIP_EMPTY_LINES) ?: [] as $at => $line) {
            [$role, $phrase, $wanted] = [...explode(' | ', $line, 3), '', ''];
            $text = ['name' => "phrase{$at}", 'role' => trim($role), 'text' => str_replace('\n', "\n", $phrase), 'expect' => [], 'never' => [], 'open' => []];
            foreach (array_filter(array_map(trim(...), explode(';', $wanted))) as $one) {
                $said = ['what' => trim((string) preg_replace('/ \w+=.*$/', '', ltrim($one, '!')))];
                preg_match_all('/ (\w+)=(\S+)/', $one, $keys, PREG_SET_ORDER);
                foreach ($keys as [, $key, $value]) {
                    $said[$key] = $value;
                }
                if ($one[0] === '!') {
                    $text['never'][] = $said;
                } else {
                    $text['expect'][] = ['readings' => [$said], 'isOptional' => false];
                }
            }
            $texts[] = $text;
        }

        return $texts;
    }
}
