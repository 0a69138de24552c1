<?php

declare(strict_types=1);

namespace PocketPlot\Clipping;

/**
 * What shops say in German, or in a translation that no person made, in the words that everything else here knows. Each
 * word takes as many bytes as the one it stands for, so that finds keep their places in the text.
 */
final class Glossary
{
    /** As it is written, in small letters (a pattern) => as it is read. No reading is longer than the shortest writing. */
    private const WORDS = [
        'ladeschluss ?spannung' => 'charge voltage', 'entladeschluss(?: ?spannung)?' => 'end voltage', 'entlade ?strom' => 'discharge',
        'ladestrom' => 'charging',
        'schutzschaltung|schutzelektronik' => 'protection pcb', 'innenwiderstand' => 'int resistance', 'nennspannung' => 'nom voltage',
        'versorgungsspannung|betriebsspannung' => 'supply voltage', 'eingangsspannung' => 'input voltage', 'ausgangsspannung' => 'output voltage',
        'ausgangsstrom' => 'output curr', 'eingangsstrom' => 'input curr', 'stromaufnahme' => 'draws current', 'ruhestrom' => 'quiescent',
        'wirkungsgrad' => 'efficiency', 'ausgang' => 'output', 'eingang' => 'input', 'innenraum' => 'inside',
        'l(?:ä|ae)nge' => 'length', 'breite' => 'width', 'dicke' => 'thick', 'h(?:ö|oe)he' => 'high', 'durchmesser' => 'diameter', 'gewicht' => 'weight',
        'aussenma(?:ß|ss)e|außenma(?:ß|ss)e|abmessungen' => 'dimension',
        'innenma(?:ß|ss)e' => 'inner size', 'kabel' => 'cable', 'litze' => 'wire', 'st(?:ü|ue)ck' => 'pcs',
        'bis zu' => 'up to', '(?<=\d )bis(?= \d)' => 'to', 'zoll' => 'inch', '(?:stecker)?netzteil' => 'adapter', 'empfohlen' => 'suggested',
        'bildschirm|anzeige' => 'display', 'platine' => 'board',
        'aufl(?:ö|oe)sung' => 'resolution', 'bildfl(?:ä|ae)che' => 'visible', 'helligkeit' => 'brightness', 'ohne schutz' => 'unprotected',
        'lochabstand' => 'holes', 'wandst(?:ä|'
        .'ae)rke' => 'wall',
        'descending pressure|reduce pressure|drop pressure' => 'step down', '(?:ascending|rising|raise|rise) pressure' => 'boost',
        '(?:import|enter|input|entrance) (?:pressure|voltage)' => 'in voltage', '(?:export|exit|output) (?:pressure|voltage)' => 'out voltage',
        '(?:export|exit|output) (?:flow|current)' => 'out current', '(?:import|enter|input) (?:flow|'
            .'current)' => 'in current', 'work electric current' => 'working current', 'electric current' => 'current',
        'static state' => 'quiescent', 'empty load' => 'no load', 'still electric current' => 'quiescent', 'fill electric(?:ity)?' => 'charge',
        'put electric(?:ity)?' => 'discharge',
        'inner block' => 'resistance', 'go out' => 'output', '(?:change|transform|transfer) rate' => 'efficiency', '(?:see|look|'
            .'sight) area' => 'visible', 'back of light' => 'backlight',
        'outer shape' => 'outline', '(?:foot|feet) distance' => 'pitch', 'net heavy' => 'weight', 'electricity core' => 'cell',
        '(?<=flat cable \d\d )foot' => 'pin',
    ];

    private static ?string $any = null;

    /** @param  string  $lower  in small letters */
    public static function plain(string $lower): string
    {
        $lower = strtr($lower, ['Ä' => 'ä', 'Ö' => 'ö', 'Ü' => 'ü']);
        self::$any ??= '/(?<![a-z])(?:'.implode('|', array_map(static fn (string $word): string => "(?:{$word})", array_keys(self::WORDS))).')/';
        if (preg_match(self::$any, $lower) !== 1) {
            return $lower;
        }
        foreach (self::WORDS as $written => $read) {
            $lower = (string) preg_replace_callback("/(?<![a-z])(?:{$written})/", static fn (array $found): string => strlen($read) > strlen($found[0])
                ? $found[0] : str_pad($read, strlen($found[0])), $lower);
        }

        return $lower;
    }
}
