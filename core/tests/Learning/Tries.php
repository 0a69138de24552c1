<?php

declare(strict_types=1);

namespace CoreTests\Learning;

use PocketPlot\Clipping\Reader;
use PocketPlot\Clipping\SecondReading;
use PocketPlot\Clipping\Weighing\Weigher;
use PocketPlot\Part\Role;

/**
 * How well marked texts are read, number by number: by the rules alone, and with what was learned.
 *
 * @phpstan-import-type Text from Marked
 */
final class Tries
{
    /**
     * @param  list<Text>  $texts
     * @return list<string>
     */
    public static function of(array $texts, Weigher $weigher): array
    {
        $sums = ['rules' => [0, 0, 0], 'learned' => [0, 0, 0]];
        $slips = [];
        foreach ($texts as $text) {
            $plain = Reader::plain($text['text']);
            $role = Role::from($text['role']);
            $reading = new SecondReading($plain, $role);
            $meant = Examples::meant($text, $reading, $plain);
            $rules = Reader::byRules($plain, $role);
            foreach (['rules' => $rules, 'learned' => $reading->of($rules, $weigher)] as $way => $finds) {
                foreach ($reading->asRead($finds) as $index => $what) {
                    $words = array_map(static fn (string $label): string => explode(':', $label)[0], $meant[$index]);
                    $isRight = in_array($what, $words, true) || array_intersect(SecondReading::comesTo($what), $words) !== [];
                    $sums[$way][0] += (int) ($what !== '' && $isRight && $words !== ['']);
                    $sums[$way][1] += (int) ($what !== '' && ! $isRight);
                    $sums[$way][2] += (int) ($meant[$index][0] !== '');
                    if ($way === 'learned' && ! $isRight) {
                        $mention = $reading->mentions()[$index];
                        $slips[] = sprintf('  %s %s: %s, read as %s: %s[%s]%s', $text['name'], $text['role'], implode(' or ', $meant[$index]) ?: '-', $what ?: '-',
                            str_replace("\n", ' / ', substr($plain->lower, max(0, $mention->start - 45), min(45, $mention->start))),
                            substr($plain->text, $mention->start, $mention->end - $mention->start),
                            str_replace("\n", ' / ', substr($plain->lower, $mention->end, 25)));
                    }
                }
            }
        }
        $lines = [];
        foreach ($sums as $way => [$right, $wrong, $all]) {
            $lines[] = sprintf('%-8s precision %5.1f %%  recall %5.1f %%  (%d right, %d wrong, %d to be found)', $way, 100 * $right / max(1, $right + $wrong),
                100 * $right / max(1, $all), $right, $wrong, $all);
        }

        return [...$lines, ...$slips];
    }
}
