<?php

declare(strict_types=1);

namespace PocketPlot\Sourcing;

use PocketPlot\Build\Vendor;

/** What post, duty and tax of one order add to each thing in it, to the last cent. */
final class Landing
{
    /**
     * Duty and tax by what each thing is worth; the post, and the tax on it, shared by value: the cents left over go to the dearest.
     *
     * @param  non-empty-array<string, int>  $goods  in hundredths at home, by whatever it is for
     * @return non-empty-array<string, LineCost> their wholes sum up to what the order costs
     */
    public static function of(array $goods, Terms $terms, Vendor $vendor): array
    {
        $post = self::shared($terms->post, $goods);
        $postTax = self::shared($terms->tax, $goods);
        $costs = [];
        foreach ($goods as $id => $worth) {
            $duty = $terms->dutiable ? Share::of($worth, $vendor->duty) : 0;
            $costs[$id] = new LineCost($worth, $post[$id], $duty, Share::of($worth + $duty, $vendor->tax) + $postTax[$id]);
        }

        return $costs;
    }

    /**
     * @param  non-empty-array<string, int>  $by
     * @return non-empty-array<string, int> the shares, in the same order; they sum up to the whole
     */
    public static function shared(int $cents, array $by): array
    {
        $sum = array_sum($by);
        $shares = array_map(static fn (int $one): int => $sum === 0 ? 0 : intdiv($cents * $one, $sum), $by);
        $dearest = array_keys($by, max($by), true)[0];
        $shares[$dearest] += $cents - array_sum($shares);

        return $shares;
    }
}
