<?php

declare(strict_types=1);

namespace CoreTests\Learning;

/**
 * The file of what was learned.
 *
 * @phpstan-import-type Learned from Trainer
 */
final class WeightsFile
{
    /** @param  Learned  $learned */
    public static function of(array $learned): string
    {
        $quoted = static fn (string $text): string => "'".addcslashes($text, "'\\")."'";
        $labels = $allowed = $weights = '';
        foreach ($learned['labels'] as $sort => $list) {
            $labels .= '        '.$quoted((string) $sort).' => ['.implode(', ', array_map($quoted, $list))."],\n";
        }
        foreach ($learned['allowed'] as $sort => $list) {
            $allowed .= '        '.$quoted((string) $sort).' => ['.implode(',', $list)."],\n";
        }
        foreach ($learned['weights'] as $sort => $traits) {
            $weights .= '        '.$quoted((string) $sort)." => [\n";
            foreach ($traits as $trait => $packed) {
                $weights .= $quoted((string) $trait).'=>'.$quoted($packed).",\n";
            }
            $weights .= "        ],\n";
        }
        $print = Fingerprint::ofTexts();

        return <<<PHP
            <?php

            declare(strict_types=1);

            namespace PocketPlot\\Clipping\\Weighing;

            /** What was learned from the texts in core/tests. Made by bin/learn: never change it by hand. */
            final class Weights
            {
                /** Of the texts and of the code that it was learned with; another one says that bin/learn has to be run. */
                public const LEARNED_FROM = '{$print}';

                /** @return array<string, list<string>> */
                public static function labels(): array
                {
                    return [
            {$labels}        ];
                }

                /** @return array<string, list<int>> */
                public static function allowed(): array
                {
                    return [
            {$allowed}        ];
                }

                /** @return array<string, array<string, string>> */
                public static function bySort(): array
                {
                    return [
            {$weights}        ];
                }
            }

            PHP;
    }
}
