<?php

declare(strict_types=1);

namespace PocketPlot\Clipping;

use PocketPlot\Clipping\Weighing\Weigher;
use PocketPlot\Clipping\Weighing\WholeText;

/** Names of parts, one a line, as they are typed or pasted from a note. */
final class Names
{
    /** In what was learned, a line has this sort, and names a part or says something of one. */
    public const SORT = 'line';

    public const NAME = 'name';

    public const SAYS = 'says';

    private const MOST_SIGNS = 120;

    /** Lines that are looked at, and the mean share of names among them from which on they are a list. */
    private const MOST_LINES = 60;

    private const ARE_NAMES = 0.35;

    /** Words that a name has at most. */
    private const MOST_WORDS = 7;

    /** A line that begins so tells something, and is no name. */
    private const TELLS = '/^(?:quick|got|selling|sold|bought|i|i.ve|i.m|i.d|my|we|it|it.s|its|this|that|the .{2,30} (?:is|was|in)|here|hi|hello|'
        .'for (?:sale|parts)|anyone|can|has|'
        .'so|thinking|up for|swapped|went|gutted|pulled|there|when|if|re|new here|finally|just|lot of|verkaufe)\b|\b(?:is|are|was|were|has|have)\b/iu';

    /** Numbers of a shop, and what a sheet is. */
    private const NO_PART_OF_A_NAME = '/^(?:(?:item|art(?:icle)?|sku|listing|order|product|part|model)\b(?: ?(?:no|nr|number|id))?\b[.:#]*\s*[\w-]*\d[\w-]*|'
        .'(?:technical data|data ?sheet(?: extract)?|specifications?|specs?)(?: of| for)?\b:?)\s*/iu';

    /** Words with a capital that are no names of parts. */
    private const NO_NAMES = ['HDMI', 'USB', 'LCD', 'TFT', 'IPS', 'DSI', 'LED', 'OLED', 'Bluetooth', 'Wifi', 'January', 'February', 'March', 'April', 'May',
        'June', 'July',
        'August', 'September', 'October', 'November', 'December', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday', 'LiPo', 'Power',
        'Input', 'Output', 'Type', 'Mini', 'Micro', 'Germany'];

    /** Words before a thing that say nothing of it. */
    private const SMALL = 'the|a|an|my|this|that|these|those|some|one|of|in|for|from|with|and|or|to|on|by|at|its|it|is|was|old|out|is|which|new|their|'
        .'your|his|her|our';

    private const THINGS = 'boards?|amps?|amplifiers?|panels?|displays?|monitors?|screens?|cells?|packs?|power ?banks?|bank|pads?|controllers?|'
        .'loudspeakers?|speakers?|shells?|'
        .'cases?|enclosures?|tin|toolbox|lunch ?box|fans?|blowers?|heat ?sinks?|supply|chargers?|modules?|sticks?|encoders?|tft|lcd|regulators?|bucks?|'
        .'boosts?|converters?|'
        .'ribbons?|cables?|leads?|switch(?:es)?|cards?|buttons?';

    /** Whether a text is a list of parts, a name a line, rather than the text of one: what its first line is, both begin with. */
    public static function areIn(string $text, ?Weigher $weigher = null): bool
    {
        $lines = array_slice(self::of($text), 1, self::MOST_LINES);
        if ($lines === []) {
            return false;
        }
        $weigher ??= Weigher::learned();
        $shares = array_map(static fn (string $line): float => $weigher->shares(WholeText::ofLine($line, RoleGuess::byWords($line)->value ?? ''), self::SORT,
            '')[self::NAME] ?? 0.0, $lines);

        return array_sum($shares) / count($shares) >= self::ARE_NAMES;
    }

    /** @return list<string> bullets and numbers of a list left out */
    public static function of(string $text): array
    {
        $names = [];
        foreach (preg_split('/\R/u', $text) ?: [] as $line) {
            $name = trim((string) preg_replace('/^\s*(?:[-*•·▪►]|\d{1,2}[.)])\s+/u', '', $line));
            if ($name !== '') {
                $names[] = mb_substr($name, 0, self::MOST_SIGNS);
            }
        }

        return $names;
    }

    /** A name for the part of a text: its first line, without what a shop shouts around it; of a story, what it is about. */
    public static function first(string $text): string
    {
        $name = self::firstLine($text);
        if (preg_match(self::TELLS, $name) === 1) {
            return self::told($text) ?? $name;
        }

        return count(explode(' ', $name)) > self::MOST_WORDS ? self::named($text) ?? self::cut($name) : $name;
    }

    /** The beginning of a long one: up to its colon, or so many words and none that leads on. */
    private static function cut(string $name): string
    {
        $words = array_slice(explode(' ', explode(': ', $name)[0]), 0, self::MOST_WORDS);
        while (count($words) > 1 && preg_match('/^(?:'.self::SMALL.'|x|as|w\/|[^\p{L}]+)$/iu', end($words)) === 1) {
            array_pop($words);
        }

        return implode(' ', $words);
    }

    /** What a story calls the part: by its name, or else the thing that it is, "Stereo amp". */
    private static function told(string $text): ?string
    {
        $named = self::named($text);
        if ($named === null && preg_match('/\b((?:(?!(?:'.self::SMALL.')\b)[\p{L}-]+ ){0,2}(?:'.self::THINGS.'))\b/iu', $text, $found) === 1) {
            return mb_strtoupper(mb_substr($found[1], 0, 1)).mb_substr($found[1], 1);
        }

        return $named;
    }

    /** Its name in quotation marks or with a capital. */
    private static function named(string $text): ?string
    {
        // "max 1A" is what somebody says, no name.
        if (preg_match_all('/["“„«]([\p{L}\p{N}][^"“”„«»\n]{1,30})["“”»]/u', $text, $all) > 0) {
            foreach ($all[1] as $quoted) {
                if (preg_match('/\p{Lu}/u', $quoted) === 1 && preg_match('/\d\s?(?:mA|V|A|W|mAh|Wh|mm|g)\b|\?/u', $quoted) !== 1) {
                    return trim($quoted);
                }
            }
        }
        $not = implode('|', self::NO_NAMES);
        $more = '[\p{L}\p{N}]*(?:[.-][\p{L}\p{N}]+)*';
        $capitals = "/\\b(?:the|an?|my|this|called|named|from)\\s((?!(?:{$not})\\b)\\p{Lu}\\p{Ll}{$more}(?:\\s(?!(?:{$not})\\b)[\\p{Lu}\\p{N}]{$more})*)/u";

        return preg_match($capitals, $text, $found) === 1 ? trim($found[1], ' .-') : null;
    }

    private static function firstLine(string $text): string
    {
        // What a shop shouts parts one thing from the next.
        $plain = (string) preg_replace('/[^\p{L}\p{N}\p{P}\p{Zs}\s\$€£+=×°Ωµ<>|~^]+/u', ' | ', $text);
        $line = self::of((string) preg_replace('/^\s*\[[^\]\n]{1,30}\]/u', '', $plain))[0] ?? '';
        $pieces = preg_split('/\s[|–—·]\s|\t|,\s|;|(?<=[\p{L}\p{N})]{3})\.\s/u', $line) ?: [];
        foreach ($pieces as $piece) {
            $piece = (string) preg_replace(self::NO_PART_OF_A_NAME, '', (string) preg_replace('/^[^\p{L}\p{N}]+|[\s\p{P}]+$/u', '', $piece));
            if (preg_match('/\p{L}{2}/u', $piece) === 1) {
                $piece = trim((string) preg_replace('/\s+/u', ' ', mb_substr($piece, 0, 60)));

                return $piece.(preg_match('/(?:^|\s)"[^"]*$/', $piece) === 1 ? '"' : '').(substr_count($piece, '(') > substr_count($piece, ')') ? ')' : '');
            }
        }

        return '';
    }
}
