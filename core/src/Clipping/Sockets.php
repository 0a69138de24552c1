<?php

declare(strict_types=1);

namespace PocketPlot\Clipping;

/** Which sockets, plugs and leads a text names, how many, and which way they go in a part of this role. */
final readonly class Sockets
{
    /** What each connector is called, the special before the plain. */
    private const NAMES = [
        'hdmi-micro' => 'micro \((?:type )?d\)|hdmi ?(?:\d\.\d[a-c]? )?\((?:type |typ )?d\b[^)]*\)|hdmi ?\d\.\d[a-c]? \((?:the )?micro[^)]*\)|'
            .'micro[- ]?hdmi(?: sockets?)?|hdmi (?:x ?\d )?\(micro\)|hdmi[- ]?micro|micro[- ]hdmi|hdmi type?[- ]?d\b|hdmi[- ]d\b|'
            .'micro plug \(d\)|hdmi (?:sockets?|ports?|outputs?)?,? ?(?:(?:is|of) )?(?:the )?micro (?:kind|one|type|sort)|hdmi \((?:the )?micro(?:[- ]d|'
            .' plug| one)?\)|hdmi[^.;,]{0,24}\bmicro (?:socket|plug|one)\b',
        'hdmi-mini' => 'mini \((?:type )?c\)|hdmi ?(?:\d\.\d[a-c]? )?\((?:type |typ )?c\b[^)]*\)|hdmi ?\d\.\d[a-c]? \((?:the )?mini[^)]*\)|'
            .'mini[- ]?hdmi(?: sockets?)?|hdmi (?:x ?\d )?\(mini\)|hdmi[- ]?mini|hdmi type?[- ]?c\b|hdmi[- ]c\b|'
            .'hdmi \((?:the )?mini(?: plug| one)?\)|mini plug \(c\)|hdmi (?:is|of) the mini (?:sort|kind|type|one)|hdmi[^.;,]{0,24}\bmini (?:socket|plug|'
            .'one)\b',
        'hdmi-a' => '(?:full|normal|standard)[- ]?sized? hdmi|hdmi(?:[- ]?(?:type )?a\b| full[- ]?size)?|(?:full[- ]?size|large|normal) plug \(a\)',
        'usb-micro' => '\buusb\b|usb \((?:the )?micro\)|micro[- ]?usb(?:[- ]?b)?|usb[- ]?micro(?:[- ]?b)?|micro[- ]b\b(?: usb)?',
        'usb-mini' => 'mini[- ]?usb(?:[- ]?b)?|usb[- ]?mini(?:[- ]?b)?',
        'usb-c' => 'usb[- ]?(?:\d\.\d )?(?:type[- ]?)?c\b(?! hub)|type[- ]?c\b(?: usb)?|(?<![\w-])c (?:socket|port)s?\b|(?<=the )c(?= (?:does|gives|takes|'
            .'one|is)\b)',
        'usb-b' => 'usb[- ](?:type[- ]?)?b\b',
        'usb-a' => 'usb[- ]?(?:\d\.\d )?(?:type[- ]?)?a\b|usb ?(?:2\.0|3\.\d)(?= ?x ?\d)|(?:full[- ]?size|normal|standard) usb|usb (?:host )?(?:ports?|'
            .'sockets?)(?= ?\(\d x a\))?|usb host|(?<=\dx )[23]\.[012] hosts?\b(?: \(a\))?|(?<=\dx |\d x )type[- ]?a\b(?: hosts?)?|type[- ]a (?:host|ports?|sockets?)|(?<=\d )usb ?[23]\b(?!\.)|(?<=\d )usb\'?s\b|(?<=channels of |ports of |'
                .'outlets of )usb\b(?![- ]?[cb]\b)|(?<!\d )\ba plug\b|(?<![\w-])(?<!is )a (?:socket|port)s?\b(?= ?(?:\d|out|usb))|usb mouth|usb (?:big|'
                .'large) (?:mouth|plug|'
                    .'socket)|\busb(?= ?[*x] ?\d)|(?<=\dx )usb\b(?![- ]?[cb]\b)|'
                .'(?<=\d x )usb\b(?![- ]?[cb]\b)|(?<=\d )usb\b(?![- ]?[cb]\b)(?= ?(?:[,.;)]|$|and))|(?<=two |four )usb\b(?= ?(?:[,.;)]|$|and))|'
                    .'(?<=three )usb\b(?= ?(?:[,.;)]|$|and))',
        'other:vga' => '\bvga\b',
        'other:dp' => 'display ?port',
        'rca' => '\bav\d\b|(?<=\d)av\b|\brca\b|\bav\b(?: in)?|composite(?: video)?(?: in)?|\bcvbs\b',
        'barrel-5.5' => '(?:dc ?)?(?:barrel|hollow|coax\w*)? ?(?:plug|jack|socket|connector|'
            .'barrel)?\W{0,3}5[.,]5(?: ?mm)? ?[x\/*] ?2[.,][15](?: ?mm)?(?: (?:barrel|plug|jack|socket|dc))?|'
            .'2[.,][15](?: ?mm)? ?[x\/*] ?5[.,]5(?: ?mm)?(?: (?:barrel|plug|jack|socket|dc))?|barrel(?: jack| plug|'
                .' socket)?(?!\W{0,3}(?:3[.,]5|4[.,]0))|dc (?:jack|plug|'
                .'socket|barrel)(?!\W{0,3}(?:3[.,]5|4[.,]0))|hollow plug',
        'barrel-4.0' => '4[.,]0? ?(?:mm )?[x\/*] ?1[.,]7(?: ?mm)?',
        'barrel-3.5' => '(?:(?:dc )?(?:barrel|jack|plug|socket)\W{0,3})?3[.,]5 ?(?:mm )?[x\/*] ?1[.,](?:35|3|1)(?: ?mm)?',
        'jack-3.5' => '3[.,]5 ?(?:mm )?(?:(?:audio|stereo|headphone|trr?s|input|output|line) )*(?:jack|socket|plug)|(?:headphone|earphone|audio) (?:jack|'
            .'socket|out)|'
            .'jack 3[.,]5(?: ?mm)?|aux (?:jack|in|socket)|3[.,]5 ?mm (?:4-pole |stereo )?(?:phones?|earphones?|headphones?|out(?:put)?|in(?:put)?|aux)\b|'
            .'aux 3[.,]5(?: ?mm)?|ear ?phones? (?=\d? ?mouth)',
        'jack-2.5' => '2[.,]5 ?(?:mm )?(?:audio |stereo )?jack',
        'microsd' => 'micro[ -]?sd(?:hc|xc)?(?: card)?(?: slot| socket| holder)?|\btf (?:card )?(?:slot|mouth)|\btf(?= ?\*)',
        'sd' => '(?<!micro )(?<!micro-)\bsd (?:card )?(?:slot|socket)|(?<!micro )(?<!micro-)\bsd(?: card)? \(full[- ]size\)',
        'm2-slot' => '\bm\.2\b(?: slot| socket)?|\bm2 (?:slot|socket|key)',
        'network-8' => '\bgbe\b|gigabit|net (?:mouth|port|socket)|ethernet|\bnetwork\b(?! chip)|\brj-?45\b|\blan\b(?: port| socket)?',
        'xt30' => '\bxt-?30u?\b',
        'other:xt60' => '\bxt-?60\b',
        'other:blade' => 'blade (?:tabs?|terminals?)|faston',
        'terminal' => '(?:screw|speaker)[- ]?terminals?|terminal (?:block|strip|screw)s?|screw clamps?|(?:pluggable|phoenix\w*|spring)[- ](?:style )?(?:screw )?terminals?|'
            .'\bterminals\b',
        'cell-holder' => 'cell holders?|battery holders?',
        'pads' => 'solder(?:ing)? (?:pads?|tabs?|tags?)|pads only|weld holes?|nickel (?:strips?|tabs?)|pads for (?:in|out|wires)|bare pads|^\W*pads\W*$|big pads|\bin pads',
    ];

    /** Letters of which some stand wherever a name does: looked for first, for most clauses have none. */
    private const LETTERS = [
        'hdmi-micro' => ['micro', 'hdmi'], 'hdmi-mini' => ['mini', 'hdmi'], 'hdmi-a' => ['hdmi', '(a)'], 'usb-micro' => ['micro', 'uusb'],
        'usb-mini' => ['mini'], 'usb-c' => ['c'], 'usb-b' => ['usb'], 'usb-a' => ['usb', 'a plug', 'a socket', 'a port', 'host', 'type'],
        'other:vga' => ['vga'], 'other:dp' => ['display'], 'rca' => ['av', 'rca', 'composite', 'cvbs'],
        'barrel-5.5' => ['5.5', '5,5', 'barrel', 'dc ', 'hollow'], 'barrel-4.0' => ['1.7', '1,7'], 'barrel-3.5' => ['3.5', '3,5'],
        'jack-3.5' => ['3.5', '3,5', 'phone', 'audio', 'aux'], 'jack-2.5' => ['2.5', '2,5'], 'microsd' => ['micro', 'tf'], 'sd' => ['sd'],
        'm2-slot' => ['m.2', 'm2'], 'network-8' => ['gbe', 'gigabit', 'net', 'rj', 'lan'], 'xt30' => ['xt'], 'other:xt60' => ['xt'],
        'other:blade' => ['blade', 'faston'], 'terminal' => ['terminal', 'clamp'], 'cell-holder' => ['holder'],
        'pads' => ['solder', 'pads', 'weld', 'nickel'],
    ];

    private const JST = ['ph' => '2.0', 'xh' => '2.5', 'sh' => '1.0', 'gh' => '1.25', 'zh' => '1.5'];

    private const COUNTS = ['one' => 1, 'two' => 2, 'three' => 3, 'four' => 4, 'five' => 5, 'six' => 6, 'eight' => 8, 'ten' => 10, 'twelve' => 12,
        'dual' => 2, 'twin' => 2, 'pair of' => 2];

    /** @param  string  $interface  what goes over the ribbon or the pins of a panel, by the whole text; "" where it does not say */
    public function __construct(private string $role, private bool $isMainsSupply, private string $interface = '') {}

    /** What a panel takes its picture by, where a text says so in one place for all of it. */
    public static function interfaceOf(string $lower): string
    {
        return match (true) {
            preg_match('/\bmipi\b|\bdsi\b/', $lower) === 1 => 'dsi',
            preg_match('/\bedp\b/', $lower) === 1 => 'edp',
            preg_match('/\brgb ?(?:\d\d[ -]?(?:bit|position)|interface|parallel|\d\d\b)|parallel rgb|interface[^\n]{0,14}\brgb\b/', $lower) === 1 => 'parallel-rgb',
            preg_match('/\bspi\b/', $lower) === 1 => 'spi-panel',
            default => '',
        };
    }

    /** @return list<Find> */
    public function of(Clause $clause): array
    {
        if (in_array($this->role, ['case', 'switch', 'storage'], true)) {
            return [];
        }
        $found = [];
        $free = $clause->lower;
        $isNamed = preg_match('/usb|hdmi|micro|mini|plug|jack|socket|\bport|vga|display ?port|rca|\bav\d?\b|nickel|composite|cvbs|barrel|\bdc\b|'
            .'[45][.,][05]|3[.,]5|'
            .'2[.,]5|sd\b|'
            .'sd(?:hc|xc)|\btf\b|m\.?2|ethernet|gbe|gigabit|network|rj|\blan\b|xt-?[36]0|blade|faston|terminal|clamp|holder|pads|\btabs?\b|\btags?\b|weld|'
            .'type[- ]?c|aux|headphone|'
                .'earphone|'
                .'audio/', "{$clause->label} {$free}") === 1;
        foreach ($isNamed ? self::NAMES : [] as $connector => $pattern) {
            if (! self::hasAny($free, self::LETTERS[$connector])) {
                continue;
            }
            if (preg_match_all("@(?<![\w.])(?:{$pattern})@u", $free, $all, PREG_OFFSET_CAPTURE) < 1) {
                continue;
            }
            foreach ($all[0] as [$name, $at]) {
                $free = substr_replace($free, str_repeat("\x01", strlen($name)), $at, strlen($name));
                if (trim($name) !== '' && ! $this->isAside($clause, $at, $at + strlen($name), $connector)) {
                    $found = [...$found, ...$this->sockets($clause, $connector, $at, $at + strlen($name))];
                }
            }
        }

        return [...$found, ...$this->jst($clause), ...$this->ribbons($clause), ...$this->headers($clause), ...$this->wires($clause)];
    }

    /** @param  list<string>  $letters */
    private static function hasAny(string $text, array $letters): bool
    {
        foreach ($letters as $one) {
            if (str_contains($text, $one)) {
                return true;
            }
        }

        return false;
    }

    /** Of a lead in the box, an instrument, another plug that fits. */
    private function isAside(Clause $clause, int $from, int $to, string $connector): bool
    {
        if ($clause->isOfAnother($from)) {
            return true;
        }
        $after = $clause->after($to, 18);
        $before = $clause->before($from, 30);
        if ($this->role !== 'cable' && (preg_match('/^\s*(?:cable|lead|meter|tester|stick|hub|charger|adapt[eo]r|brick|power supply)\b/', $after) === 1)) {
            return true;
        }
        if (preg_match('/\b(?:no|without|not?|lacks?|instead of|never)\s+(?:an? |any )?$/', $before) === 1
            || preg_match('/^\s*(?:not (?:included|fitted|present)|missing|: ?no\b|(?:in |out )?(?:plug)?\?+\W{0,4}no\b)/', $after) === 1) {
            return true;
        }
        if ($connector === 'microsd' && preg_match('/\bno\b|^\s*card (?:not|included)/', substr($before, -4).$after) === 1) {
            return true;
        }

        return $this->role !== 'cable' && $clause->isAbout('/in the box|package includes|adapter tips|accessor/') && $connector !== 'barrel-5.5';
    }

    /** @return list<Find> */
    private function sockets(Clause $clause, string $connector, int $from, int $to): array
    {
        if (preg_match('/^\s*\((?:one|1|two|2) (?!x )\w+/', $clause->after($to)) === 1) {
            // "two USB ports (one big, one micro)": of two kinds.
            return [];
        }
        $count = $this->count($clause, $from, $to);
        if ($this->role === 'cable') {
            return [$this->find('lead end', ['connector' => $connector], $clause, $from, $to)];
        }
        $near = (preg_match('/^\s*\(([^)]{2,30})\)/', $clause->after($to), $inside) === 1 && preg_match('/power|data|otg|host|in\b|out\b/', $inside[1]) === 1)
            || preg_match('/^\s*(?:is )?(?:only )?for ((?:the )?(?:data|power|charging|touch|pads?|'
            .'keyboard)\b[^,.;]{0,12})/', $clause->after($to), $inside) === 1
            ? $inside[1] : $clause->label.' '.substr($clause->lower, max(0, $from - 26), min(26, $from)).' '.$clause->after($to, 34);
        // "3.5 mm headphone jack": the name says what it is for.
        $near .= $this->role === 'sound' && str_starts_with($connector, 'jack') ? ' '.substr($clause->lower, $from, $to - $from) : '';
        $ways = $this->ways($clause, $connector, $near);
        $finds = [];
        foreach ($ways as [$direction, $carries]) {
            $finds[] = $this->find('socket', array_filter([
                'connector' => $connector, 'direction' => $direction, 'carries' => $carries, 'count' => $count > 1 ? $count : '',
                'own' => $direction === 'in' && $this->isOwnPlug($connector, $near) ? 'yes' : '',
                'bare' => trim(substr($clause->lower, $from, $to - $from)) === 'hdmi' ? 'yes' : '',
            ], static fn (int|string $value): bool => $value !== ''), $clause, $from, $to);
        }

        return $finds;
    }

    /** A plug on a lead of its own, or at the part itself: no lead is asked for. */
    private function isOwnPlug(string $connector, string $near): bool
    {
        return in_array($this->role, ['controls', 'sound', 'cooling'], true) && str_starts_with($connector, 'usb')
            && ($connector === 'usb-a' || preg_match('/plug|captive|attached|on (?:its|a) (?:\d+ ?\w+ )?(?:cable|lead|cord)|\bwired\b/', $near) === 1);
    }

    /** @return list<array{string, string}> direction and what goes over it */
    private function ways(Clause $clause, string $connector, string $near): array
    {
        $isUsb = str_starts_with($connector, 'usb');
        $isBarrel = str_starts_with($connector, 'barrel');
        $saysPower = preg_match('/power|suppl|feed|charg|\bdc\b|\d ?v\b|runs (?:off|from)|\bfed\b|consum/', $near) === 1;
        $saysData = preg_match('/\bdata\b|\botg\b|\bhost\b|keyboard|joystick|controllers?\b|peripher/', $near) === 1;
        if ($isBarrel) {
            $gives = ($this->role === 'charger' && ($this->isMainsSupply || preg_match('/\bout(?:put)?\b/', $near) === 1)) || ($this->role === 'cells'
                && preg_match('/\bin(?:put)?\b|charg/', $near) !== 1);

            return [[$gives ? 'out' : 'in', 'power']];
        }

        return match ($this->role) {
            'board' => match (true) {
                str_starts_with($connector, 'hdmi') => [['out', 'hdmi']],
                $isUsb && $connector === 'usb-a' => [['out', 'usb']],
                $isUsb => [[$saysData && ! preg_match('/\(?power\)?/', substr($near, 0, 60)) ? 'out' : ($saysPower || ! $saysData ? 'in' : 'out'), $saysData
                    && ! $saysPower ? 'usb' : 'power']],
                in_array($connector, ['microsd', 'sd', 'm2-slot'], true) => [['', 'storage']],
                $connector === 'rca' => [['out', 'composite']],
                $connector === 'jack-3.5' => [['out', '']],
                $connector === 'terminal' => preg_match('/speaker/', $near) === 1 ? [['out', 'speaker']] : [['in', 'power']],
                default => [['', '']],
            },
            'display' => match (true) {
                str_starts_with($connector, 'hdmi') => [['in', 'hdmi']],
                $connector === 'usb-a' => [],
                $isUsb => [['in', preg_match('/touch/', $near) === 1 && ! $saysPower ? 'usb' : 'power']],
                $connector === 'rca' => [['in', 'composite']],
                $connector === 'jack-3.5' => [['out', '']],
                $connector === 'microsd', $connector === 'sd', $connector === 'network-8' => [],
                default => [['in', $connector === 'terminal' ? 'power' : '']],
            },
            'cells', 'charger', 'regulator' => $this->waysOfPower($clause, $connector, $near),
            'controls' => match (true) {
                $isUsb => [['in', preg_match('/charg|power only/', $near) === 1 ? 'power' : 'usb']],
                default => [],
            },
            'sound' => match (true) {
                $connector === 'jack-3.5' && preg_match('/head|phones|\bout|\bmic\b|dac/', $near) === 1
                    && preg_match('/\bin(?:put)?\b/', $near) !== 1 => [['out', '']],
                $connector === 'jack-3.5', $connector === 'jack-2.5', $connector === 'rca' => [['in', '']],
                $connector === 'terminal' => [['out', 'speaker']],
                $connector === 'pads' => [['in', '']],
                $isUsb => [['in', preg_match('/usb (?:audio|sound)|sound card|\bdac\b|dongle|\baudio\b/', $near) === 1 ? 'usb-audio' : 'power']],
                default => [],
            },
            'cooling' => $isUsb ? [['in', 'power']] : [],
            default => [],
        };
    }

    /** @return list<array{string, string}> */
    private function waysOfPower(Clause $clause, string $connector, string $near): array
    {
        $isUsb = str_starts_with($connector, 'usb');

        return match ($this->role) {
            'cells' => match (true) {
                $isUsb => [[preg_match('/in ?(?:and|\/|&|\+) ?out|both|bidirectional|two.?way/', $near) === 1 ? 'both' : ($connector === 'usb-a'
                    || ($clause->isAbout('/\bout/') && preg_match('/\bin(?:put)?\b|charg/', $near) !== 1) ? 'out' : 'in'), 'power']],
                str_starts_with($connector, 'hdmi'), $connector === 'microsd' => [],
                default => [['out', 'power']],
            },
            'charger' => match (true) {
                $isUsb => [[$this->isMainsSupply || ($connector === 'usb-a' && preg_match('/\bin\b|input|plug/', $near) !== 1)
                    || (preg_match('/\bout(?:put)?\b/', $near) === 1 && preg_match('/\bin(?:put)?\b/', $near) !== 1) ? 'out' : 'in', 'power']],
                $connector === 'pads', $connector === 'terminal' => [],
                str_starts_with($connector, 'hdmi'), $connector === 'microsd' => [],
                default => [['out', 'power']],
            },
            'regulator' => match (true) {
                $isUsb => [[$connector === 'usb-a' || (preg_match('/\bout(?:put)?\b|\bto\b/', $near) === 1 && preg_match('/\bin(?:put)?\b/', $near) !== 1)
                    ? 'out' : 'in', 'power']],
                $connector === 'pads', $connector === 'terminal' => preg_match('/\bin(?:put)?\b(?! (?:and|\/))/', $near) === 1 && preg_match('/\bout/',
                    $near) !== 1 ? [['in', 'power']] : [['in', 'power'], ['out', 'power']],
                default => [],
            },
            default => [],
        };
    }

    private function count(Clause $clause, int $from, int $to): int
    {
        $before = $clause->before($from, 26);
        $after = $clause->after($to, 12);
        $inside = substr($clause->lower, $from, $to - $from);

        // "6   Network": the number of a row.
        $before = (string) preg_replace('/^\W*\d{1,2}(?:\)|\.|\s{2})\s*/', '', $before);

        return match (true) {
            preg_match('/^\s*(?:sockets?|ports?|outputs?|inputs?)?\s*\(?(?:[x*] ?|mouths? |'
                .'(?<=mouth )(?=\d))([2-9])\b/', $after, $found) === 1 => (int) $found[1],
            preg_match('/^\s*\(([2-9]) x a\)/', $after, $found) === 1 => (int) $found[1],
            preg_match('/x ?([2-9]) \(/', $inside, $found) === 1 => (int) $found[1],
            preg_match('/(?<![\d.*])([1-9])\s?x?\s*(?:full[- ]size |standard |normal |usb 3\.\d )?$/', $before, $found) === 1 => (int) $found[1],
            preg_match('/(?<![\d.])([1-9]) (?:channels?|ports?|outlets?) of $/', $before, $found) === 1 => (int) $found[1],
            preg_match('/\b(one|two|three|four|dual|twin|pair of)\s+(?:of the )?(?:full[- ]size |normal |standard |small |little |big )?$/', $before,
                $found) === 1 => self::COUNTS[$found[1]],
            default => 1,
        };
    }

    /** @return list<Find> */
    private function jst(Clause $clause): array
    {
        $patterns = [
            '/\bjst[- ]?(ph|xh|sh|gh|zh)?[- ]?(?:plug |connector |socket )?\(?(\d[.,]\d{1,2})?(?: ?mm)?/', '/\b(ph|xh|sh|gh|zh)[- ]?(\d[.,]\d{1,2})(?: ?mm)?/',
            '/\b(?:\d(?:[.,]\d{1,2})?) ?mm (ph|xh|sh|gh|zh)\b/', '/\b(xx)?(?:molex|micro ?blade)[- ]?(?:plug |connector )?(\d[.,]\d{1,2})(?: ?mm)?/',
            '/\b(ph|xh|sh|gh|zh)\b(?= (?:cable|plug|connector|leads?))/',
            '/(?<![\d.,x])(xx)?(1[.,]0|1[.,]25|2[.,]0|2[.,]5)(?: ?mm)? (?:battery |2[- ]pin |two[- ]pin )?(?:plug|connector)\b/',
            '/\b\d[- ]pin (xx)?(1[.,]0|1[.,]25|2[.,]0|2[.,]5)(?: ?mm)?\b(?! ?(?:v|a|pitch))/',
        ];
        $found = [];
        foreach ($patterns as $pattern) {
            if (preg_match($pattern, $clause->lower, $found, PREG_OFFSET_CAPTURE) === 1) {
                break;
            }
        }
        if ($found === []) {
            return [];
        }
        $pitch = isset($found[2]) ? str_replace(['2,54', '2.54', ','], ['2.5', '2.5', '.'], $found[2][0]) : self::JST[$found[1][0] ?? ''] ?? '';
        $after = $clause->after($found[0][1] + strlen($found[0][0]), 8);
        if (! in_array($pitch, ['1.0', '1.25', '2.0', '2.5'], true) || preg_match('/^\W{0,3}no\b|^\s*(?:plug)?\?/', $after) === 1) {
            return [];
        }
        [$from, $to] = [$found[0][1], $found[0][1] + strlen($found[0][0])];
        $way = match ($this->role) {
            'cells' => ['direction' => 'out', 'carries' => 'power'],
            'sound' => $clause->isAbout('/speaker|cone|driver|ohm|wires?/') ? ['direction' => 'in', 'carries' => 'speaker'] : ['direction' => 'in',
                'carries' => 'power'],
            'cooling' => ['direction' => 'in', 'carries' => 'power'],
            'charger' => preg_match('/batt|cell|pack/', $clause->lower) === 1 ? ['direction' => 'out', 'carries' => 'power'] : [],
            'cable' => [],
            'display' => ['direction' => 'in', 'carries' => $this->interface === 'spi-panel' ? 'spi-panel' : 'power'],
            'controls' => [],
            default => ['direction' => 'in', 'carries' => 'power'],
        };

        return [$this->find($this->role === 'cable' ? 'lead end' : 'socket', ['connector' => "jst-{$pitch}", ...$way], $clause, $from, $to)];
    }

    /** @return list<Find> */
    private function ribbons(Clause $clause): array
    {
        $pattern = '/(?:ribbon|fpc|ffc|flex|\bedp|\blvds|\bmipi|\bdsi)[^.;]{0,40}?\b(\d{1,2})[- ]?(?:contacts|pins?|way|p\b)|\b(\d{1,2}|four|five|six|'
            .'eight|ten|twelve)[- ]?(?:pin|way|contact|'
            .'p)s?[ ,-]{1,2}(?:\S+ ){0,3}?(?:ribbon|fpc|ffc|flex|tail)|(?:fpc|ffc)[- ](\d{1,2})\b|\b(\d{1,2}) contacts\b|'
            .'^\W*pins?:? (\d{1,2})\b(?=.*pitch)|'.($this->role === 'cable' ? '\b(\d{1,2}) ?pins?\b(?=.*pitch)' : '(\x00)').'/';
        if (preg_match($pattern, $clause->lower, $found, PREG_OFFSET_CAPTURE | PREG_UNMATCHED_AS_NULL) !== 1) {
            return [];
        }
        $said = (string) ($found[1][0] ?? $found[2][0] ?? $found[3][0] ?? $found[4][0] ?? $found[5][0] ?? $found[6][0] ?? '');
        $contacts = self::COUNTS[$said] ?? (int) $said;
        if ($contacts < 4 || $contacts > 60) {
            return [];
        }
        [$from, $to] = [(int) $found[0][1], (int) $found[0][1] + strlen((string) $found[0][0])];
        $carries = match (true) {
            $clause->isAbout('/\bdsi\b|mipi/') => 'dsi',
            $clause->isAbout('/\bspi\b/') => 'spi-panel',
            $clause->isAbout('/\bedp\b/') => 'edp',
            $clause->isAbout('/\brgb\b|parallel/') => 'parallel-rgb',
            default => $this->role === 'display' ? $this->interface : '',
        };
        $finds = [$this->find('ribbon contacts', ['usual' => $contacts], $clause, $from, $to)];
        if ($this->role === 'display' || $this->role === 'board') {
            $finds[] = $this->find('socket', array_filter([
                'connector' => "ribbon-{$contacts}", 'direction' => $this->role === 'display' ? 'in' : 'out', 'carries' => $carries,
            ], static fn (string $value): bool => $value !== ''), $clause, $from, $to);
        } elseif ($this->role === 'controls') {
            $finds[] = $this->find('socket', ['connector' => "ribbon-{$contacts}"], $clause, $from, $to);
        }

        return $finds;
    }

    /** @return list<Find> */
    private function headers(Clause $clause): array
    {
        if ($this->role === 'board' && preg_match('/\bfan (?:header|connector|socket|pins|plug)\b/', $clause->lower, $found, PREG_OFFSET_CAPTURE) === 1) {
            return [$this->find('socket', ['connector' => 'pins', 'direction' => 'out', 'carries' => 'fan'], $clause, $found[0][1],
                $found[0][1] + strlen($found[0][0]))];
        }
        if ($this->role === 'display' && preg_match('/(?<![\d.,])(\d{1,2})[- ]?(?:pin|p\b|way)s?(?: |-)?(?:single[- ]row )?(?:header|2[.,]54|male|connector)|'
            .'header[^.;\d]{0,12}(\d{1,2}) ?pins?\b|(?<![\d.,])(\d{1,2}) pins? (?:2[.,]54|\+ \d)/', $clause->lower, $found,
            PREG_OFFSET_CAPTURE | PREG_UNMATCHED_AS_NULL) === 1 && $this->interface !== '' && preg_match('/fpc|ffc|ribbon|flex/', $clause->lower) !== 1) {
            return [$this->find('socket', ['connector' => 'header-'.($found[1][0] ?? $found[2][0] ?? $found[3][0] ?? ''), 'direction' => 'in',
                'carries' => $this->interface], $clause, (int) $found[0][1], (int) $found[0][1] + strlen((string) $found[0][0]))];
        }
        if (! in_array($this->role, ['board'], true) || preg_match('/\b(\d{2})[- ]?(?:pin|way)? (?:gpio )?(?:header|gpio header|solder holes)|'
            .'(\d{2})[- ]pin gpio|\bheader[^.;\d]{0,30}\((\d{2}) pins\)/', $clause->lower, $found, PREG_OFFSET_CAPTURE | PREG_UNMATCHED_AS_NULL) !== 1) {
            return [];
        }

        return [$this->find('socket', ['connector' => 'header-'.($found[1][0] ?? $found[2][0] ?? $found[3][0] ?? '')], $clause, (int) $found[0][1],
            (int) $found[0][1] + strlen((string) $found[0][0]))];
    }

    /** @return list<Find> */
    private function wires(Clause $clause): array
    {
        if ($this->role === 'cells' && ($clause->says('/\bno plug\b|bare wires?|open (?:ends|wires)|without (?:a )?plug|flying leads/'))) {
            return [$this->find('socket', ['connector' => 'wires', 'direction' => 'out', 'carries' => 'power'], $clause, 0, strlen(rtrim($clause->text)))];
        }
        if ($this->role === 'cooling' && $clause->says('/\bno plug\b|bare (?:wires?|ends)|without (?:a )?plug|flying leads/')) {
            return [$this->find('socket', ['connector' => 'wires', 'direction' => 'in', 'carries' => 'power'], $clause, 0, strlen(rtrim($clause->text)))];
        }
        if ($this->role === 'cable' && $clause->says('/bare (?:wires|ends)|open (?:wires|ends)|flying leads|pigtail|stripped/')) {
            return [$this->find('lead end', ['connector' => 'wires'], $clause, 0, strlen(rtrim($clause->text)))];
        }
        if ($this->role === 'controls' && preg_match('/\b(\d{1,2}) wires\b/', $clause->lower, $found, PREG_OFFSET_CAPTURE) === 1) {
            return [$this->find('socket', ['connector' => 'wires', 'count' => (int) $found[1][0]], $clause, $found[0][1],
                $found[0][1] + strlen($found[0][0]))];
        }

        return [];
    }

    /** @param  array<string, float|int|string>  $says */
    private function find(string $what, array $says, Clause $clause, int $from, int $to): Find
    {
        return new Find($what, $says, $clause->start + $from, $clause->start + $to);
    }
}
