<?php

declare(strict_types=1);

namespace CoreTests\Learning;

/**
 * Texts whose numbers are marked where they stand, for learning what words around a number say: "idles at {draw< 190 mA}, {draw> 0.43 A} lit".
 * A mark holds a word of the vocabulary (short ones, see WORDS), "<" for the least and ">" for the most; what is not marked says nothing of
 * the part. Never change the reader's rules for one of these texts: how far the rules are right is learned from them, too.
 *
 * @phpstan-type Span array{what: string, bound: string, start: int, end: int} start and end in bytes
 * @phpstan-type Text array{name: string, role: string, text: string, spans: list<Span>}
 */
final class Marked
{
    public const WORDS = [
        'sv' => 'supply voltage', 'ab' => 'absolute maximum', 'da' => 'draw taken at', 'lw' => 'low-battery warning', 'lb' => 'low-battery warning',
        'lv' => 'logic level', 'ov' => 'output voltage', 'dr' => 'dropout', 'cn' => 'cell nominal voltage', 'cf' => 'cell full voltage',
        'ce' => 'cell empty voltage', 'pn' => 'pack nominal voltage', 'pf' => 'pack full voltage', 'pe' => 'pack empty voltage', 'co' => 'cut-off voltage',
        'rv' => 'recovery voltage', 'ci' => 'charge input voltage', 'srv' => 'switch rated voltage', 'd' => 'draw', 'pk' => 'peak draw',
        'su' => 'start-up draw', 'sb' => 'standby draw', 'oc' => 'output current', 'op' => 'output peak current', 'qc' => 'quiescent current',
        'so' => 'switch-off current', 'dl' => 'discharge limit', 'cl' => 'charge limit', 'pc' => 'protector current', 'cic' => 'charge input current',
        'cc' => 'charge current', 'fr' => 'fuse rating', 'sr' => 'switch rating', 'ld' => 'light draw', 'dp' => 'draw power', 'opw' => 'output power',
        'tw' => 'total output power', 'aw' => 'amp watts', 'spw' => 'speaker watts', 'cap' => 'capacity', 'en' => 'energy', 'ir' => 'internal resistance',
        'al' => 'amp load', 'll' => 'least load', 'si' => 'speaker impedance', 'tr' => 'travel', 'rp' => 'ribbon pitch', 'len' => 'lead length',
        'br' => 'bend room', 'dg' => 'diagonal', 'hgt' => 'size.height', 'lng' => 'size.length', 'wid' => 'size.width', 'dia' => 'size.width',
        'wall' => 'wall', 'haf' => 'height above face', 'm' => 'mass', 'tl' => 'temperature limit', 'eff' => 'efficiency', 'st' => 'shutdown time',
        'hz' => 'refresh', 'awg' => 'wire gauge', 'trise' => 'temperature rise', 'ser' => 'series', 'par' => 'parallel', 'bt' => 'buttons', 'sk' => 'sticks',
        'dpad' => 'd-pads', 'rc' => 'ribbon contacts', 'cyc' => 'cycles so far', 'cells' => 'charge cells', 'pkt' => 'packet', 'ch' => 'amp channels',
        'trig' => 'triggers', 'size' => 'size', 'room' => 'room inside', 'pix' => 'pixels', 'area' => 'picture area', 'holes' => 'hole spacing',
        'bed' => 'printer bed', 'mode' => 'video mode', 'open' => 'opening', '$' => 'price', 'gb' => 'storage capacity', 'img' => 'image size',
        'heat' => 'heat', 'vent' => 'vent area', 'knob' => 'knobs', 'pl' => 'players', 'dirs' => 'directions',
    ];

    private const MARK = '/\{([a-z$]+)([<>]?) ([^{}]*)\}/u';

    /** @return list<Text> all of them, set by set; "a1-3" is the fourth text of the set a1 */
    public static function all(): array
    {
        $texts = [];
        foreach (glob(__DIR__.'/texts/*.txt') ?: [] as $path) {
            array_push($texts, ...self::in(basename($path, '.txt'), (string) file_get_contents($path)));
        }

        return [...$texts, ...self::phrases((string) file_get_contents(__DIR__.'/phrases.txt'))];
    }

    /** @return list<Text> "= role", then the text, up to the next */
    public static function in(string $set, string $source): array
    {
        $texts = [];
        foreach (preg_split('/^= /m', $source, -1, PREG_SPLIT_NO_EMPTY) ?: [] as $block) {
            [$role, $marked] = [...explode("\n", $block, 2), ''];
            if (trim($marked) !== '') {
                $texts[] = self::read($set.'-'.count($texts), trim($role), rtrim($marked));
            }
        }

        return $texts;
    }

    /** @return list<Text> "@ role", then a phrase a line */
    private static function phrases(string $source): array
    {
        $texts = [];
        $role = '';
        foreach (explode("\n", $source) as $line) {
            if (str_starts_with($line, '@ ')) {
                $role = substr($line, 2);
            } elseif (trim($line) !== '') {
                $texts[] = self::read('phrase-'.count($texts), $role, $line);
            }
        }

        return $texts;
    }

    /** @return Text */
    private static function read(string $name, string $role, string $marked): array
    {
        $text = '';
        $spans = [];
        $at = 0;
        while (preg_match(self::MARK, $marked, $found, PREG_OFFSET_CAPTURE, $at) === 1) {
            $text .= substr($marked, $at, $found[0][1] - $at);
            $what = self::WORDS[$found[1][0]] ?? throw new \UnexpectedValueException("{$name}: no word is short for \"{$found[1][0]}\"");
            $spans[] = ['what' => $what, 'bound' => ['' => 'usual', '<' => 'least', '>' => 'most'][$found[2][0]] ?? 'usual', 'start' => strlen($text),
                'end' => strlen($text) + strlen($found[3][0])];
            $text .= $found[3][0];
            $at = $found[0][1] + strlen($found[0][0]);
        }

        return ['name' => $name, 'role' => $role, 'text' => $text.substr($marked, $at), 'spans' => $spans];
    }
}
