<?php

declare(strict_types=1);

namespace PocketPlot\Clipping;

/** Names of parts, one a line, as they are typed or pasted from a note. */
final class Names
{
    private const MOST_SIGNS = 120;

    /** A size, a weight, a price, volts, amps or watts go on about the part before. */
    private const BEGINS_WITH_FIGURE = '/^\s*(?:[€$£]|\d[\d.,]*\s?(?:[x×*]\s?\d|mm\b|g\b|kg\b|eur\b|usd\b|gbp\b|€|v\b|ma\b|w\b))/iu';

    private const BEGINS_WITH_PRICE = '/^\s*(?:[€$£]|\d[\d.,]*\s?(?:eur\b|usd\b|gbp\b|€))/iu';

    /** Words that a name has at most. */
    private const MOST_WORDS = 7;

    /** A line that begins so tells something, and is no name. */
    private const TELLS = '/^(?:quick|got|selling|sold|bought|i|i.ve|i.m|i.d|my|we|it|it.s|its|this|that|the .{2,30} (?:is|was|in)|here|hi|hello|'
        .'for (?:sale|parts)|anyone|can|has|'
        .'so|thinking|up for|swapped|went|gutted|pulled|there|when|if|re|new here|finally|just|lot of|verkaufe)\b|\b(?:is|are|was|were|has|have)\b/iu';

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

    /** Whether a text is a list of names rather than the text of one part: short lines without figures of their own. */
    public static function areIn(string $text): bool
    {
        $lines = self::of($text);
        if (count($lines) < 2) {
            return false;
        }
        $telling = array_filter($lines, static fn (string $line): bool => mb_strlen($line) > 70
            || preg_match('/\d\s?(?:mm|mah|ma|wh|hz|g|v|a|w|€|\$|eur|usd)\b.*\d\s?(?:mm|mah|ma|wh|hz|g|v|a|w)\b|[:|\t]\s*\d/i', $line) === 1);

        if (count($telling) <= count($lines) / 4) {
            return true;
        }
        foreach ($lines as $line) {
            if (preg_match(self::BEGINS_WITH_FIGURE, $line) === 1 && ! self::namesAThing($line)) {
                return false;
            }
        }
        // Names may have figures in them; then they are for several things.
        $roles = array_filter(array_map(static fn (string $line): ?string => mb_strlen($line) > 70 ? null : RoleGuess::of($line)?->value, $lines));

        return count($roles) >= 0.6 * count($lines) && count(array_unique($roles)) >= max(2, count($lines) / 2);
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

        return preg_match(self::TELLS, $name) === 1 || count(explode(' ', $name)) > self::MOST_WORDS ? self::told($text) ?? $name : $name;
    }

    /** What a story calls the part: its name in quotation marks or with a capital, or else the thing that it is, "Stereo amp". */
    private static function told(string $text): ?string
    {
        if (preg_match('/["“«]([\p{L}\p{N}][^"“”«»\n]{1,30})["”»]/u', $text, $found) === 1) {
            return trim($found[1]);
        }
        $not = implode('|', self::NO_NAMES);
        $capitals = "/\\b(?:the|an?|my|this|called|named|from)\\s((?!(?:{$not})\\b)\\p{Lu}\\p{Ll}[\\p{L}\\p{N}-]+(?:\\s(?!(?:{$not})\\b)[\\p{Lu}\\p{N}][\\p{L}\\p{N}.-]*)*)/u";
        if (preg_match($capitals, $text, $found) === 1) {
            return trim($found[1], ' .-');
        }
        if (preg_match('/\b((?:(?!(?:'.self::SMALL.')\b)[\p{L}-]+ ){0,2}(?:'.self::THINGS.'))\b/iu', $text, $found) === 1) {
            return mb_strtoupper(mb_substr($found[1], 0, 1)).mb_substr($found[1], 1);
        }

        return null;
    }

    private static function firstLine(string $text): string
    {
        $line = self::of((string) preg_replace('/[^\p{L}\p{N}\p{P}\p{Zs}\s\$€£+=×°Ωµ<>|]/u', ' ', $text))[0] ?? '';
        $name = (string) preg_replace('/^[^\p{L}\p{N}]+|[\s\p{P}]+$/u', '', preg_split('/\s[|–—]\s|\t|,\s|;|\.\s/u', $line)[0] ?? '');

        return trim((string) preg_replace('/\s+/u', ' ', mb_substr($name, 0, 60)));
    }

    /** Whether a line that begins with a figure tells before its first comma what it is of: "5 V boost board, 2 A", not "190 g, of filament". */
    private static function namesAThing(string $line): bool
    {
        return preg_match(self::BEGINS_WITH_PRICE, $line) !== 1 && RoleGuess::of(explode(', ', $line)[0]) !== null;
    }
}
