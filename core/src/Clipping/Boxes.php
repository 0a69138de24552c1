<?php

declare(strict_types=1);

namespace PocketPlot\Clipping;

use PocketPlot\Quantity\Constants;

/** Lengths by width by height, and pixels by pixels. */
final readonly class Boxes
{
    private const UNIT = '(?:\s*(?:mm|cm|inches|inch|in(?=[,.;)x]|\s*$|\s*x|\s+(?:and|with|board|overall|high|thick|outside|wide|long)\b))|")';

    /** No part of a build is that long. */
    private const MOST_INCHES = 30.0;

    /** What stands out of a part and is no height of it. */
    private const STICKS_OUT = '/cable|lead|wire|knob|lever|stem|shaft|plunger|ball|handle/';

    public function __construct(private string $role, private Amounts $amounts) {}

    /** @return array{list<Find>, list<array{int, int}>} what was found, and the stretches of the clause that it was read from */
    public function of(Clause $clause): array
    {
        if (strpbrk($clause->figures, '0123456789') === false) {
            return [[], []];
        }
        $number = '(?:\d{1,3}(?: \d{3})+(?!\d)|\d+[ -]\d/\d+|\d/\d+|'.substr(Amounts::NUMBER, 3);
        $unit = self::UNIT;
        $side = "({$number})({$unit})?\s*(?:\((?:l|w|h|d|t|v|hor|ver|rgb|horizontal|vertical|length|width|height|long|wide|high|thick)\)\s*)?(?:rgb\s*)?";
        $by = '\s*(?:x|\*|\bby\b)\s*';
        $pattern = "@(?=[\d.])(?<![\w.,])(?:{$side}){$by}(?:rgb\s*x\s*)?(?:{$side})(?:{$by}(?:{$side}))?(?![\w]*\d*[vw]\b|\d|(?<=\d)\s(?:w|watts?|v|volts?|"
            ."ohms?)\b(?!\/))@iu";
        $found = $taken = [];
        if (preg_match_all($pattern, $clause->text, $all, PREG_SET_ORDER | PREG_OFFSET_CAPTURE | PREG_UNMATCHED_AS_NULL) > 0) {
            foreach ($all as $match) {
                $sides = $units = [];
                foreach ([1, 3, 5] as $at) {
                    if (($match[$at][0] ?? null) !== null) {
                        $sides[] = $this->amounts->part(trim((string) $match[$at][0]));
                        $units[] = strtolower(trim((string) ($match[$at + 1][0] ?? '')));
                    }
                }
                $from = $match[0][1];
                $to = $from + strlen(rtrim((string) $match[0][0]));
                $find = $sides === [] ? null : $this->box($clause, $sides, $units, $from, $to);
                if ($find !== null || count($sides) === 3 || implode('', $units) !== '') {
                    $taken[] = [$from, $find === null ? $to : $find->end - $clause->start];
                }
                if ($find !== null) {
                    $found[] = $find;
                }
            }
        }
        [$named, $stretches] = $this->named($clause);

        return [[...$found, ...$named], [...$taken, ...$stretches]];
    }

    /**
     * @param  non-empty-list<float>  $sides
     * @param  list<string>  $units
     */
    private function box(Clause $clause, array $sides, array $units, int $from, int $to): ?Find
    {
        $unit = array_values(array_filter($units))[0] ?? '';
        $unit = end($units) !== '' ? (string) end($units) : $unit;
        $near = $clause->label.' | '.$clause->before($from, 48);
        $isBy = preg_match('/\bby\b/', substr($clause->lower, $from, $to - $from)) === 1;
        $isWhole = array_filter($sides, static fn (float $side): bool => floor($side) !== $side) === [];
        if ($unit === '' && count($sides) === 2 && $isWhole && self::arePixels($sides) && preg_match('/\b(?:size|dimensions?|measures|'
            .'outside)\W{1,3}$/', $near) !== 1) {
            return $this->pixels($clause, $sides, $from, $to, $near);
        }
        if ($clause->isOfAnother($from)) {
            return null;
        }
        if ($this->role === 'case' && preg_match('/\b(?:takes?|fits?|holds?|accepts?|room for|space for|suits?|houses?)\b[^.;,]{0,24}$/', $near) === 1
            && preg_match('/^\s*(?:mm\s*)?(?:circuit )?(?:boards?|panels?|displays?|screens?|pcbs?|cells?|packs?|lcds?)\b/', $clause->after($to, 30)) === 1) {
            return null;
        }
        $what = self::kind($near, $clause->after($to, 30), $this->role);
        $what = $what === 'hole spacing' && count($sides) === 3 ? 'size' : $what;
        if ($what === '' || ($unit === '' && $what === 'size' && count($sides) === 2 && ! $isBy && count($this->withHeight($clause, $sides, $to)[0]) === 2
            && preg_match('/size|dimension|outside|outline|outer|measur|calliper|caliper|without|connector|sockets|board|pcb|\bits?\b|about|body|glass|'
                .'panel|screen|mm\b/',
                $near.$clause->after($to, 20)) !== 1)) {
            return null;
        }
        if (self::isNoBox($what, $sides)) {
            return null;
        }
        if (preg_match('/[\w)]\s*[x*]\s*$/', $clause->before($from, 6)) === 1 || max($sides) > 3000) {
            return null;
        }
        if ($unit === 'in' && max($sides) > self::MOST_INCHES) {
            // "196 x 126 x 50 in": inside.
            $unit = '';
            $what = $this->role === 'case' ? 'room inside' : $what;
        }
        if ($unit === '' && max($sides) > 600) {
            return null;
        }
        $factor = match ($unit) {
            'cm' => 10.0,
            'in', 'inch', 'inches', '"' => Constants::MM_PER_INCH,
            default => 1.0,
        };
        $sides = array_map(static fn (float $side): float => round($side * $factor, 3), $sides);
        $end = $to;
        if ($what === 'size') {
            [$sides, $end] = $this->withHeight($clause, $sides, $to);
        }
        $keys = $what === 'opening' || $what === 'picture area' ? ['width', 'height'] : ['length', 'width', 'height'];
        if ($keys[0] === 'width' && count($sides) > 2) {
            return null;
        }
        $sides = $what === 'size' ? $this->lying($sides, $near, $clause->after($to, 20)) : $sides;
        $says = array_combine(array_slice($keys, 0, count($sides)), $sides);

        return new Find($what, $says, $clause->start + $from, $clause->start + $end);
    }

    /**
     * The smallest is the thickness, wherever it was written; what stands upright says so.
     *
     * @param  list<float>  $sides
     * @return list<float>
     */
    private function lying(array $sides, string $near, string $after): array
    {
        $isUpright = $this->role === 'cells' && preg_match('/block|upright/', $near) === 1;

        return count($sides) === 3 && ! $isUpright && preg_match('/l ?x ?w ?x ?h|\bhigh\b|\btall\b/', $near.$after) !== 1
            && $sides[2] > $sides[1] && $sides[1] > $sides[0] ? array_reverse($sides) : $sides;
    }

    /**
     * "4 x 2.7 mm holes" are so many, so wide; 5.5 by 2.1 is a round plug.
     *
     * @param  non-empty-list<float>  $sides
     */
    private static function isNoBox(string $what, array $sides): bool
    {
        if (count($sides) !== 2) {
            return false;
        }
        $plugs = [[5.5, 2.1], [5.5, 2.5], [2.1, 5.5], [2.5, 5.5], [4.0, 1.7], [3.5, 1.35], [3.5, 1.3], [3.5, 1.1]];

        return in_array([$sides[0], $sides[1]], $plugs, true) || ($what === 'hole spacing' && floor($sides[0]) === $sides[0] && $sides[0] <= 8.0
            && $sides[1] < 6.0);
    }

    /** @param  non-empty-list<float>  $sides */
    private static function arePixels(array $sides): bool
    {
        $isRound = array_filter($sides, static fn (float $side): bool => fmod($side, 8.0) !== 0.0) === [];

        return min($sides) >= 64 && max($sides) >= 120 && ($sides[0] * $sides[1] >= 60_000 || $isRound);
    }

    private static function kind(string $near, string $after, string $role): string
    {
        $cues = [
            '' => '/(?:control|driver|adapter|controller) board|\bbox\b(?! )|packag\w*(?: size| dimensions?)?|pack(?:ing|ed)(?: size| dimensions?)?|'
                .'carton(?: size)?|shipping(?: size)?|for (?:an? |the )?boards? ?$|stands?\b|screen (?:size )?cut|plug|barrel|'
                .'sticker|drill|fits (?:boards|panels|screens)|for (?:boards|panels)(?! \|)|\bm[2-4](?:\.5)? ?$|screws?/',
            'hole spacing' => '/holes?\b|mounting|fasten\w*|spacing|cent(?:re|er) (?:distance|to)|pitch of (?:the )?holes|screw pattern/',
            'picture area' => '/active|lit part|effective|picture (?:bit|part)|you (?:actually |can |really )*see(?: measures| is)?|\b[av]a\b|visible|sichtbar|'
                .'view(?:ing|able)? ?(?:area|size)?|display area|picture area|lit area/',
            'room inside' => '/(?:\binner\b|\binsides?\b|internal|interior|\broom (?:for|inside)(?: \w+)?)(?: size| dimensions?| measurements?)?|cavity/',
            'opening' => '/(?:screen|picture|display|panel) (?:hole|window|cut)|cut-?out|hole for(?: the| a)?(?: \w+)?|opening|window|aperture/',
            'printer bed' => '/\bbed\b|build (?:plate|volume|area)/',
            'size' => '/size|dimension|\bdim\b|outline|outside|outer|external|overall|body|module|board|measures|calliper/',
        ];
        $best = ['size', -1];
        foreach ($cues as $what => $pattern) {
            if (preg_match_all($pattern, $near, $all, PREG_OFFSET_CAPTURE) > 0) {
                $last = end($all[0]);
                $at = $last === false ? -1 : $last[1] + strlen($last[0]);
                $best = $at > $best[1] || ($at === $best[1] && $what !== 'size') ? [(string) $what, $at] : $best;
            }
        }
        if ($role === 'case' && preg_match('/^\s*(?:mm)?\s*\((ext|int)/', $after, $side) === 1) {
            return $side[1] === 'int' ? 'room inside' : 'size';
        }
        if ($role === 'case' && preg_match('/^\s*(?:mm)?\s*(?:printer|print ?bed|bed)\b/', $after) === 1) {
            return 'printer bed';
        }
        if ($role === 'display' && preg_match('/^\s*(?:mm)?\s*(?:lit|visible|active)\b/', $after) === 1) {
            return 'picture area';
        }
        if (preg_match('/^\s*(?:mm)?\s*(?:extra|separate)/', $after) === 1) {
            return '';
        }
        if ($best[0] === '' && preg_match('/holes?\b|mounting/', substr($near, -24)) === 1 && preg_match('/\bm[2-4](?:\.5)? ?$/', $near) === 1) {
            return 'hole spacing';
        }
        if ($best[0] === 'size' && preg_match('/^\s*(?:mm\s*)?\(?(?:cut-?out|holes?|hole spacing|active|visible|inside)/', $after) === 1) {
            return preg_match('/hole/', $after) === 1 ? ($role === 'switch' ? '' : 'hole spacing') : (preg_match('/active|visible/',
                $after) === 1 ? 'picture area'
                : (preg_match('/inside/', $after) === 1 ? 'room inside' : 'opening'));
        }
        $allowed = match ($best[0]) {
            'picture area' => $role === 'display',
            'hole spacing' => $role !== 'switch',
            'room inside', 'printer bed', 'opening' => $role === 'case',
            default => true,
        };

        return $allowed ? $best[0] : '';
    }

    /**
     * @param  list<float>  $sides
     * @return array{list<float>, int} with the height to the tallest spot, and where that was read to
     */
    private function withHeight(Clause $clause, array $sides, int $to): array
    {
        $after = substr($clause->lower, $to, 70);
        $number = Amounts::NUMBER;
        $patterns = [
            "/^[^.;\d]{0,28}?\b(?:and|about|with|,)?\s*({$number})\s*(?:mm|cm)?\s*(?:high|thick|tall|deep|in height)\b/",
            "/^[^.;\d]{0,12}\b(?:highest (?:part|point)|height|highest|thickness|thick|tallest\s*\w*)\s*(?:of |is )?({$number})/",
            "/^[^.;\d]{0,28}\b(?:flat|slim|thin)\s*\(({$number})/",
            "/^[^.;\d]{0,12}\b({$number})\s*(?:mm |cm )?(?:over|including|incl\.?|across|counting|with|where) (?:the )?[a-z]/",
            "/^[^.;\d]{0,10}\bwith (?:the )?[^\d,.;]{3,28}?({$number})\s*(?:mm)?(?!\s*(?:g|kg|v|ma|cm|mm x)\b)/",
        ];
        foreach ($patterns as $pattern) {
            if (preg_match($pattern, $after, $found, PREG_OFFSET_CAPTURE) === 1 && preg_match(self::STICKS_OUT, (string) $found[0][0]) !== 1) {
                $height = $this->amounts->number((string) $found[1][0]);
                $height *= preg_match('/^\s*cm/', substr($after, (int) $found[1][1] + strlen((string) $found[1][0]))) === 1 ? 10.0 : 1.0;
                $end = $to + (int) $found[1][1] + strlen((string) $found[1][0]);
                if (count($sides) === 2 && $height < min($sides) * 2.5) {
                    return [[...$sides, $height], $end];
                }
                if (count($sides) === 3 && $height > $sides[2] && $height < 5 * max(5.0, $sides[2]) && preg_match('/alone|without/', $after) !== 1) {
                    return [[$sides[0], $sides[1], $height], $end];
                }
            }
        }
        if (count($sides) === 3 && preg_match("/^[^.;\d]{0,30}\badds ({$number})\s*mm/", $after, $found) === 1) {
            return [[$sides[0], $sides[1], $sides[2] + $this->amounts->number($found[1])], $to];
        }

        return [$sides, $to];
    }

    /** @param  list<float>  $sides */
    private function pixels(Clause $clause, array $sides, int $from, int $to, string $near): ?Find
    {
        $after = $clause->after($to, 24);
        $hz = preg_match('/^\D{0,14}?(\d{2,3})(?:\/(\d{2,3}))?\s*hz/', $after, $rate) === 1 ? (float) ($rate[2] ?? $rate[1]) : null;
        $hz ??= preg_match('/^(?:p|\s*@\s*|\s*at )(\d{2,3})\b(?! ?%)/', $after, $rate) === 1 ? (float) $rate[1] : null;
        $isInput = preg_match('/supports?|accepts?|compatible|input (?:up|max|modes?|signal)|max(?:imum)? (?:input|support)|\bup to\b|\bto\b ?$|\btakes (?:up|'
            .'any)|scal(?:es|ed)/', substr($near, -34)) === 1 || preg_match('/^\s*(?:px|pixels|dots)?\s*(?:input|signal)/', $after) === 1;
        if (preg_match('/not included|sold separately/', $clause->after($to, 40)) === 1) {
            return null;
        }
        if ($this->role === 'board') {
            return new Find('video mode', ['width' => $sides[0], 'height' => $sides[1], ...($hz === null ? [] : ['hz' => $hz])], $clause->start + $from,
                $clause->start + $to);
        }
        if ($this->role !== 'display' || $isInput || $clause->isOfAnother($from)) {
            return null;
        }

        return new Find('pixels', ['width' => $sides[0], 'height' => $sides[1]], $clause->start + $from, $clause->start + $to);
    }

    /** @return array{list<Find>, list<array{int, int}>} "thick 6.0 wide 60 long 90", "diameter 18.4 mm, length 65.1 mm", "1080p at 60 Hz" */
    private function named(Clause $clause): array
    {
        $number = Amounts::NUMBER;
        $found = $this->spelledMode($clause);
        $taken = [];
        $one = "([lwhbdt]) ?[:=]? ?({$number}) ?(mm|cm)?";
        if (preg_match("/\\b{$one}[ ,x*]{1,3}{$one}(?:[ ,x*]{1,3}{$one})?(?![\\w])/", $clause->lower, $all,
            PREG_OFFSET_CAPTURE | PREG_UNMATCHED_AS_NULL) === 1) {
            $sides = [];
            foreach ([1, 4, 7] as $at) {
                $key = ['l' => 'length', 'w' => 'width', 'b' => 'width'][(string) ($all[$at][0] ?? '')] ?? 'height';
                // Wide, high and deep: the depth is the length.
                $key = $key === 'height' && isset($sides['height']) ? 'length' : $key;
                if (($all[$at][0] ?? null) !== null && ! isset($sides[$key])) {
                    $sides[$key] = $this->amounts->number((string) ($all[$at + 1][0] ?? '0')) * (($all[$at + 2][0] ?? '') === 'cm' ? 10.0 : 1.0);
                }
            }
            $to = (int) $all[0][1] + strlen((string) $all[0][0]);
            if (count($sides) === 2 && isset($sides['length'], $sides['width'])) {
                [$flat, $to] = $this->withHeight($clause, array_values($sides), $to);
                $sides = array_combine(array_slice(['length', 'width', 'height'], 0, count($flat)), $flat);
            }
            if (isset($sides['length'], $sides['width'])) {
                return [[...$found, new Find('size', $sides, $clause->start + (int) $all[0][1], $clause->start + $to)], [[(int) $all[0][1], $to]]];
            }
        }
        [$inWords, $stretches] = $this->inWords($clause);
        $found = [...$found, ...$inWords];
        $taken = [...$taken, ...$stretches];
        [$flat, $stretches] = $this->flat($clause);
        if ($flat !== []) {
            return [[...$found, ...$flat], $stretches];
        }
        [$sides, $all] = $this->axes($clause);
        if ($this->role === 'cells' && count($all) === 2 && isset($sides['length'], $sides['height']) && $sides['height'] >= 13.0 && $sides['height'] <= 27.0
            && $sides['length'] >= 40.0 && $sides['length'] <= 75.0) {
            // A round cell has no width.
            $sides = ['length' => $sides['length'], 'width' => $sides['height'], 'height' => $sides['height']];
        }
        if (count($all) >= 2) {
            $start = $all[0][0][1];
            $last = $all[count($all) - 1][0];
            $stretch = [$start, $last[1] + strlen($last[0])];
            if (isset($sides['diameter'])) {
                $sides = isset($sides['length']) || ! isset($sides['height']) || $this->role === 'cells'
                    ? ['length' => $sides['length'] ?? $sides['height'] ?? $sides['diameter'], 'width' => $sides['diameter'], 'height' => $sides['diameter']]
                    : ['length' => $sides['diameter'], 'width' => $sides['diameter'], 'height' => $sides['height']];
            }
            $found[] = new Find('size', $sides, $clause->start + $stretch[0], $clause->start + $stretch[1]);
            // What stands between the sides is said of something else.
            $taken = [...$taken, ...array_map(static fn (array $one): array => [$one[0][1], $one[0][1] + strlen($one[0][0])], $all)];
        }

        return [$found, $taken];
    }

    /** @return array{list<Find>, list<array{int, int}>} "hole distance 58/49 mm", "1024 dots across and 600 down", "18 mm high" */
    private function inWords(Clause $clause): array
    {
        $number = Amounts::NUMBER;
        $found = $taken = [];
        $spacing = "/\\bhole\\w*[^.;\\d]{0,24}({$number}) ?\\/ ?({$number}) ?mm\\b/";
        if (preg_match($spacing, $clause->lower, $all, PREG_OFFSET_CAPTURE) === 1) {
            $stretch = [$all[0][1], $all[0][1] + strlen($all[0][0])];
            $says = ['length' => $this->amounts->number($all[1][0]), 'width' => $this->amounts->number($all[2][0])];
            $found[] = new Find('hole spacing', $says, $clause->start + $stretch[0], $clause->start + $stretch[1]);
            $taken[] = $stretch;
        }
        $ways = "/\\bholes?\\b[^.;\\d]{0,30}({$number}) ?(?:mm )?(?:apart )?(?:along|long|one way)[^.;\\d]{0,12}({$number}) ?(?:mm )?(?:across|wide|"
            .'the other)/';
        if (preg_match($ways, $clause->lower, $all, PREG_OFFSET_CAPTURE) === 1) {
            $stretch = [$all[0][1], $all[0][1] + strlen($all[0][0])];
            $says = ['length' => $this->amounts->number($all[1][0]), 'width' => $this->amounts->number($all[2][0])];

            $found[] = new Find('hole spacing', $says, $clause->start + $stretch[0], $clause->start + $stretch[1]);
            $taken[] = $stretch;
        }
        if ($this->role === 'display' && preg_match('/(?<!\d)(\d{3,4}) (?:dots|pixels|px) (?:across|wide)[^.;\d]{0,10}(\d{3,4})/', $clause->lower, $all,
            PREG_OFFSET_CAPTURE) === 1) {
            $stretch = [$all[0][1], $all[0][1] + strlen($all[0][0])];
            $found[] = new Find('pixels', ['width' => (float) $all[1][0], 'height' => (float) $all[2][0]], $clause->start + $stretch[0],
                $clause->start + $stretch[1]);
            $taken[] = $stretch;
        }
        [$sides, $all] = $this->axes($clause);
        $isTall = count($all) === 1 && array_keys($sides) === ['height'] && in_array($this->role, ['board', 'display', 'regulator', 'charger', 'sound'], true)
            && preg_match('/\b\d[\d.,]* ?(?:mm|cm) (?:high|tall)\b|^\W*height\b/', $clause->lower) === 1 && ! $clause->isAbout('/above|cap\b|stand|wall|'
                .'head|button/');
        if ($isTall) {
            $stretch = [$all[0][0][1], $all[0][0][1] + strlen($all[0][0][0])];
            $found[] = new Find('size', $sides, $clause->start + $stretch[0], $clause->start + $stretch[1]);
            $taken[] = $stretch;
        }

        return [$found, $taken];
    }

    /** @return array{list<Find>, list<array{int, int}>} "30 mm square, 7 mm deep", "28 mm round, 5.4 deep", "70 mm square", "Ø 26.2 x 65.6" */
    private function flat(Clause $clause): array
    {
        $number = Amounts::NUMBER;
        $flat = "/(?<![\\w.,])({$number}) ?(?:mm )?(?:square|round|across),? [^\\d;]{0,12}({$number}) ?(?:mm )?(?:deep|thick|high|"
            .'tall)\\b(?!,? (?:and )?[\\d.]+ ?(?:mm )?(?:high|tall))/';
        if (preg_match($flat, $clause->lower, $all, PREG_OFFSET_CAPTURE) === 1) {
            $side = $this->amounts->number($all[1][0]);
            $stretch = [$all[0][1], $all[0][1] + strlen($all[0][0])];
            $says = ['length' => $side, 'width' => $side, 'height' => $this->amounts->number($all[2][0])];

            return [[new Find('size', $says, $clause->start + $stretch[0], $clause->start + $stretch[1])], [$stretch]];
        }
        if (preg_match("/(?<![\\w.,])({$number}) ?(?:mm )?(?:square|sq\.?(?= ?[,.;]))(?! ?(?:mm|wave|"
            .'inch))/', $clause->lower, $all, PREG_OFFSET_CAPTURE) === 1 && $this->amounts->number($all[1][0]) >= 8.0) {
            $side = $this->amounts->number($all[1][0]);
            $stretch = [$all[0][1], $all[0][1] + strlen($all[0][0])];

            $what = preg_match('/hole/', $clause->before($stretch[0])) === 1 ? 'hole spacing' : 'size';

            return [[new Find($what, ['length' => $side, 'width' => $side], $clause->start + $stretch[0], $clause->start + $stretch[1])],
                [$stretch]];
        }
        if (preg_match("/(?:Ø|ø|\\bdia(?:meter|\\.)?) ?({$number}) ?(?:mm)?(?: ?max)?(?: ?[x×*]|,? (?:l|h|length|long|high|height)) ?({$number})/u", $clause->lower, $all,
            PREG_OFFSET_CAPTURE) === 1 || preg_match("/(?<![\\w.,])({$number}) ?mm (?:round|dia\\w*\\.?) ?[x×*] ?({$number})/u", $clause->lower, $all,
                PREG_OFFSET_CAPTURE) === 1) {
            $side = $this->amounts->number($all[1][0]);
            $stretch = [$all[0][1], $all[0][1] + strlen($all[0][0])];
            $says = ['length' => $this->amounts->number($all[2][0]), 'width' => $side, 'height' => $side];

            return [[new Find('size', $says, $clause->start + $stretch[0], $clause->start + $stretch[1])], [$stretch]];
        }

        return [[], []];
    }

    /** @return list<Find> "1080p at 60 Hz", "4K30" */
    private function spelledMode(Clause $clause): array
    {
        $found = [];
        if ($this->role === 'board' && preg_match('/\b(2160|1440|1080|720|480)p(?:\s*(?:@|at)?\s*(\d{2,3})\s*(?:hz|fps)?)?|\b4k(?:p?(?=\d{2}\b)|\s*(?:@|'
            .'at)?)\s*(?:(\d{2,3})(?:\s*(?:hz|fps)|(?<=k\d\d)|(?<=kp\d\d)))?/', $clause->lower, $mode, PREG_OFFSET_CAPTURE | PREG_UNMATCHED_AS_NULL) === 1
                && $clause->isAbout('/hdmi|video|picture|output|display|up to|resolution/')) {
            $high = (int) ($mode[1][0] ?? 2160);
            $wide = [2160 => 3840, 1440 => 2560, 1080 => 1920, 720 => 1280, 480 => 640][$high];
            $hz = $mode[2][0] ?? $mode[3][0] ?? null;
            $found[] = new Find('video mode', ['width' => $wide, 'height' => $high, ...($hz === null ? [] : ['hz' => (float) $hz])],
                $clause->start + (int) $mode[0][1], $clause->start + (int) $mode[0][1] + strlen((string) $mode[0][0]));
        }

        return $found;
    }

    /**
     * Numbers with the side that they are of.
     *
     * @return array{array<string, float>, list<array{array{string, int}}>} sides by name, and what was read where
     */
    private function axes(Clause $clause): array
    {
        $number = '(?:\d+[ -]\d\/\d+|\d\/\d+|'.substr(Amounts::NUMBER, 3);
        $units = 'mm|millimet(?:re|er)s?|centimet(?:re|er)s?|cm|inches|inch';
        $words = 'long|length|wide|width|thick|thickness|high|height|deep|depth|tall|diameter|dia\.?|Ø|across|round';
        /** @var array<string, float> $sides */
        $sides = [];
        $all = $raw = [];
        $used = -1;
        preg_match_all("/\\b(?:{$words})\\b|Ø/u", $clause->lower, $axes, PREG_OFFSET_CAPTURE);
        foreach ($axes[0] as [$word, $at]) {
            // "92 long 60 wide" and "thick 6.0 wide 60": each number belongs to one word.
            if (preg_match("/({$number})\\s*({$units}|in|\")?\\s*$/", substr($clause->lower, 0, $at), $one, PREG_OFFSET_CAPTURE) === 1
                && $one[1][1] > $used && preg_match('/[\\w.,]$/', substr($clause->lower, 0, $one[1][1])) !== 1) {
                [$figure, $unit, $from, $to] = [$one[1][0], $one[2][0] ?? '', $one[1][1], $at + strlen($word)];
                $used = $one[1][1];
            } elseif (preg_match("/^\\.?\\s*(?:[:=]|of|is|about|approx\\.?)?(?: the \\w+)?\\s*({$number})\\s*({$units}|\")?/", substr($clause->lower,
                $at + strlen($word)), $one, PREG_OFFSET_CAPTURE) === 1) {
                [$figure, $unit, $from, $to] = [$one[1][0], $one[2][0] ?? '', $at, $at + strlen($word) + strlen($one[0][0])];
                $used = $at + strlen($word) + $one[1][1];
            } else {
                continue;
            }
            // "17 in height" is no inch.
            $unit = $unit === 'in' && $word === 'height' ? '' : $unit;
            $key = match (true) {
                str_starts_with($word, 'l') => 'length',
                str_starts_with($word, 'w') => 'width',
                str_starts_with($word, 'di'), in_array($word, ['Ø', 'across', 'round'], true) => 'diameter',
                default => 'height',
            };
            if (preg_match('/cable|lead|wire|cord/', substr($clause->lower, max(0, $from - 12), min(12, $from))) !== 1) {
                // Wide and high without a length: the face of it.
                $key = $key === 'height' && isset($sides['height']) && ! isset($sides['length']) ? 'length' : $key;
                if ($key === 'length' && isset($sides['height']) && in_array($word, ['thick', 'thickness', 'deep', 'depth'], true)) {
                    // High and thick: what is thick is the height, and what is high the length.
                    $sides['length'] = $sides['height'];
                    unset($sides['height']);
                    $key = 'height';
                }
                $unitSaid = $unit === '' ? $unitSaid ?? '' : $unit;
                $sides[$key] ??= round($this->amounts->part($figure) * match ($unitSaid) {
                    'cm', 'centimetres', 'centimeters', 'centimetre', 'centimeter' => 10.0,
                    'in', 'inch', 'inches', '"' => Constants::MM_PER_INCH,
                    default => 1.0,
                }, 3);
                $raw[['depth' => 'deep', 'tall' => 'high', 'height' => 'high'][$word] ?? $word] = $sides[$key];
                $all[] = [[substr($clause->lower, $from, $to - $from), $from]];
            }
        }

        if (isset($raw['deep'], $raw['high']) && count($all) >= 3) {
            // "148 across, 87 deep and 31 high" stands before one.
            $sides = ['length' => $sides['diameter'] ?? $sides['width'] ?? $raw['deep'], 'width' => $raw['deep'], 'height' => $raw['high']];
        }

        return [$sides, $all];
    }
}
