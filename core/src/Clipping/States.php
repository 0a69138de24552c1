<?php

declare(strict_types=1);

namespace PocketPlot\Clipping;

/** In which state a draw was taken, by the nearest word about it. */
final class States
{
    private const WORDS = [
        'idle' => '/\bidl\w+|right down|\bwithout (?=\d)|without (?:the )?(?:back.?)?light|light off|light is off|launcher|doing nothing|no signal|'
            .'no music|at rest|'
            .'\bquiet\b|silen\w+|\bblack\b|\bdesktop\b|\bmenu\b|'
            .'\bdim(?:med)?\b|no load|lowest|all the way down|half (?:light|bright)|at half\b|standing still|\bsitting\b|\bstanding\b|resting|lightest|'
            .'leerlauf|ruhe\w*/',
        'heavy' => '/heavy|quick|\bfast\b|rapid|\bfull\w*|bright\w*|all \d? ?cores|stress|under load|full load|worst|\bloud|flat out|all the way up|'
            .'white 100|wifi on|neighbours|shout|white (?:page|screen|picture)|lit up|heavier|\b3-?d\b|'
            .'\bmax\w*\b|at most|at the most|the worst|hardest|busy|hammer|unter (?:voll)?last|volllast|made it sweat/',
        'usual' => '/\btyp\w*|\bcontinuous|\bgames?\b|\bplay\w*|\busual\w*|normal\w*|factory|default|as delivered|average|ordinary|standard|recommend\w*|'
            .'suggest\w*|'
            .'im betrieb|spiel\w*/',
    ];

    /** Words of somebody who metered it himself. */
    public const MEASURED = '/measur\w+|\bmine (?:draws|\btakes|pulls|\bneeds)\b|\bmeter(?:ed)?\b|\bi (?:read|get|got|see|saw)\b|\bread\b|on the bench|'
        .'my bench|wall meter|usb meter/';

    /** @param  list<Amount>  $others */
    public static function of(Clause $clause, int $from, int $to, array $others): string
    {
        $behind = self::behind($clause, $to, $others);
        if ($behind !== null) {
            return self::in($behind);
        }
        $best = null;
        foreach (self::WORDS as $state => $pattern) {
            $far = $clause->distance($pattern, $from, $to, $others);
            if ($far !== null && $far < 58.0 && ($best === null || $far < $best[1])) {
                $best = [$state, $far];
            }
        }

        return $best[0] ?? '';
    }

    /**
     * What stands between a number and the next of its unit, where each number's state stands behind it: "220 mA (menu) 350 mA (game) 510 mA (worst)".
     *
     * @param  list<Amount>  $others
     * @return ?string null where states stand before their numbers, or anywhere
     */
    private static function behind(Clause $clause, int $to, array $others): ?string
    {
        $unit = null;
        foreach ($others as $one) {
            $unit = $one->end - $clause->start === $to ? $one->unit : $unit;
        }
        $same = array_values(array_filter($others, static fn (Amount $one): bool => $one->unit === $unit));
        if (count($same) < 2 || self::in($clause->label) !== '' || self::in(substr($clause->lower, 0, max(0, $same[0]->start - $clause->start))) !== '') {
            return null;
        }
        $own = null;
        foreach ($same as $at => $one) {
            $end = $one->end - $clause->start;
            $next = isset($same[$at + 1]) ? $same[$at + 1]->start - $clause->start : strlen($clause->lower);
            // Behind a comma the next one's begin.
            $words = explode(',', substr($clause->lower, $end, max(0, $next - $end)))[0];
            if ($at === 0 && self::in($words) === '') {
                return null;
            }
            $own = $end === $to ? $words : $own;
        }

        return $own;
    }

    /** The first state that a stretch names; "" for none. */
    private static function in(string $words): string
    {
        $best = null;
        foreach (self::WORDS as $state => $pattern) {
            if (preg_match($pattern, $words, $found, PREG_OFFSET_CAPTURE) === 1 && ($best === null || $found[0][1] < $best[1])) {
                $best = [$state, $found[0][1]];
            }
        }

        return $best[0] ?? '';
    }
}
