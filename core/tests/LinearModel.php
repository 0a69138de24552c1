<?php

declare(strict_types=1);

namespace CoreTests;

use PocketPlot\Sourcing\Demand;
use PocketPlot\Sourcing\Market;
use PocketPlot\Sourcing\Share;
use PocketPlot\Sourcing\Terms;

/**
 * A basket as a mixed integer programme in the format of CPLEX, to be solved by another program. One variable a vendor and terms
 * (m), one an offer under these terms (y): each demand takes one, only under terms that are chosen, within what they allow.
 */
final class LinearModel
{
    /** @param  list<Demand>  $demands */
    public static function of(array $demands, Market $market): string
    {
        $cost = $take = $once = $links = $limits = $names = [];
        $vendors = array_values($market->vendors);
        foreach ($vendors as $v => $vendor) {
            $ways = [];
            foreach (Terms::of($vendor, $market->rates, $market->home) as $k => $terms) {
                $m = "m{$v}_{$k}";
                $ways[] = $names[] = $m;
                $cost[] = "{$terms->fixed()} {$m}";
                $goods = $grams = [];
                foreach ($demands as $i => $demand) {
                    foreach ($market->offers as $o => $offer) {
                        $bought = $offer->vendor === $vendor->name && isset($demand->grams[$offer->part]) ? $offer->cheapest($demand->pieces) : null;
                        if ($bought === null) {
                            continue;
                        }
                        $y = $names[] = "y{$i}_{$o}_{$k}";
                        $home = (int) $market->atHome($bought[1], $vendor->currency);
                        $duty = $terms->dutiable ? Share::of($home, $vendor->duty) : 0;
                        $cost[] = ($home + $duty + Share::of($home + $duty, $vendor->tax))." {$y}";
                        $take[$i][] = $y;
                        $links[] = "{$y} - {$m} <= 0";
                        $goods[] = "{$bought[1]} {$y}";
                        $grams[] = ($bought[0] * $offer->pieces * $demand->grams[$offer->part])." {$y}";
                    }
                }
                if ($goods === []) {
                    continue;
                }
                $limits[] = implode(' + ', $goods)." - {$terms->goodsLeast} {$m} >= 0";
                if ($terms->goodsMost !== null) {
                    $limits[] = implode(' + ', $goods)." - {$terms->goodsMost} {$m} <= 0";
                }
                if ($terms->gramsMost !== null) {
                    $limits[] = implode(' + ', $grams)." - {$terms->gramsMost} {$m} <= 0";
                }
            }
            $once[] = implode(' + ', $ways).' <= 1';
        }
        $rows = [...array_map(static fn (array $one): string => implode(' + ', $one).' = 1', $take), ...$once, ...$links, ...$limits];

        return "Minimize\n cost: ".implode("\n + ", $cost)."\nSubject To\n".implode("\n", array_map(
            static fn (string $row, int $at): string => " r{$at}: ".wordwrap($row, 400, "\n  "), $rows, array_keys($rows),
        ))."\nBinary\n ".implode("\n ", $names)."\nEnd\n";
    }

    /** What the other program finds; null when it is not there, or does not come to an end. */
    public static function solved(string $model): ?int
    {
        $file = tempnam(sys_get_temp_dir(), 'basket');
        file_put_contents($file, $model);
        exec('glpsol --lp '.escapeshellarg($file).' --cuts --tmlim 60 --write '.escapeshellarg("{$file}.out").' 2>&1', $said, $status);
        $answer = is_file("{$file}.out") ? (string) file_get_contents("{$file}.out") : '';
        array_map(unlink(...), array_filter([$file, "{$file}.out"], is_file(...)));

        return $status === 0 && preg_match('/^s mip \d+ \d+ o (\S+)$/m', $answer, $found) === 1 ? (int) round((float) $found[1]) : null;
    }
}
