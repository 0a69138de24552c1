<?php

declare(strict_types=1);

namespace PocketPlot\Clipping;

/** In which state a draw was taken, by the nearest word about it. */
final class States
{
    private const WORDS = [
        'idle' => '/\bidl\w+|light off|light is off|launcher|doing nothing|no signal|no music|at rest|\bquiet\b|silen\w+|\bblack\b|\bdesktop\b|\bmenu\b|'
            .'\bdim(?:med)?\b|no load|lowest|all the way down|half (?:light|bright)|standing still|resting|lightest|leerlauf|ruhe\w*/',
        'heavy' => '/heavy|\bfull\w*|bright\w*|all \d? ?cores|stress|under load|full load|worst|\bloud|flat out|all the way up|white 100|wifi on|neighbours|'
            .'\bmax\w*\b|at most|at the most|the worst|hardest|busy|hammer|unter (?:voll)?last|volllast|made it sweat/',
        'usual' => '/\btyp\w*|\bgames?\b|\bplay\w*|\busual\w*|normal\w*|factory|default|as delivered|average|ordinary|standard|recommend\w*|suggest\w*|'
            .'im betrieb|spiel\w*/',
    ];

    /** Words of somebody who metered it himself. */
    public const MEASURED = '/measur\w+|\bmeter(?:ed)?\b|\bi (?:read|get|got|see|saw)\b|\bread\b|on the bench|my bench|wall meter|usb meter/';

    /** @param  list<Amount>  $others */
    public static function of(Clause $clause, int $from, int $to, array $others): string
    {
        $best = null;
        foreach (self::WORDS as $state => $pattern) {
            $far = $clause->distance($pattern, $from, $to, $others);
            if ($far !== null && $far < 58.0 && ($best === null || $far < $best[1])) {
                $best = [$state, $far];
            }
        }

        return $best[0] ?? '';
    }
}
