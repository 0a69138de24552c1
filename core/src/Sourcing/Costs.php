<?php

declare(strict_types=1);

namespace PocketPlot\Sourcing;

use PocketPlot\Build\Build;
use PocketPlot\Build\Line;
use PocketPlot\Build\OrderItem;
use PocketPlot\Quantity\Cents;
use PocketPlot\Quantity\Money;

/**
 * What the build costs in the brief's currency, post, tax and duty counted in where a vendor's terms are known. Planned holds everything;
 * committed what is ordered or here; spent what is here. Each holds the next. Every sum is that of its lines, to the last cent.
 */
final readonly class Costs
{
    /**
     * @param  array<string, LineCost>  $lines  line id => what the whole line comes to, opened up
     * @param  array<string, LineCost>  $apart  paid or promised for what the list does not hold any more, by what it was
     * @param  list<Line>  $unpriced  lines that will cost something nobody knows yet
     * @param  list<Line>  $withoutRate  lines priced in a currency that has no exchange rate
     * @param  array<string, string>  $vendors  who sells each line that is still to be bought, where its terms are known
     * @param  list<string>  $withoutPost  vendors of open lines whose post nobody knows
     * @param  array<string, array{Line, int}>  $goods  each line with its goods, for the next time
     * @param  array<string, list<Terms>>  $terms  of each vendor that was asked for them, for the next time
     */
    private function __construct(
        public Money $planned,
        public Money $committed,
        public Money $spent,
        public Money $refunded,
        public array $lines,
        public array $apart,
        public array $unpriced,
        public array $withoutRate,
        public array $vendors,
        public array $withoutPost,
        private array $goods,
        private array $terms,
    ) {}

    /** @return array<string, Money> line id => what the whole line comes to */
    public function byLine(): array
    {
        return array_map(fn (LineCost $one): Money => Cents::money($one->whole(), $this->planned->currency), $this->lines);
    }

    /**
     * Exact sums in the brief's currency; what has no price or no rate is named, not guessed.
     *
     * @param  self|null  $before  costs of the same build with one line changed, at the same rates
     */
    public static function of(Build $build, ?self $before = null): self
    {
        $currency = $build->brief->currency;
        $known = $before !== null && $before->planned->currency === $currency ? $before->goods : [];
        $lines = $goods = $groups = $vendors = $unpriced = $withoutRate = [];
        foreach ($build->chosen() as $line) {
            $cost = $build->orders === [] ? null : self::ordered($line, $build);
            $pieces = match (true) {
                $cost !== null => Progress::of($line, $build)->toBuy,
                // What lies at home is counted at the value that the builder gave it.
                $line->origin->isFree() => $line->quantity,
                default => max(0, $line->quantity - $line->owned),
            };
            $isWhole = $cost === null && $pieces === $line->quantity;
            $whole = match (true) {
                $pieces === 0 => 0,
                $isWhole && ($known[$line->id][0] ?? null) === $line => $known[$line->id][1],
                default => self::goods($line, $pieces, $build, $unpriced, $withoutRate),
            };
            if ($whole === null) {
                // What is ordered of it counts all the same.
                $cost === null || $lines[$line->id] = $cost;

                continue;
            }
            if ($isWhole) {
                $goods[$line->id] = [$line, $whole];
            }
            $bought = $cost === null && $line->state->isCommitted()
                ? new LineCost($whole, committed: $whole, spent: $line->state->isSpent() ? $whole : 0)
                : new LineCost($whole);
            $lines[$line->id] = $cost === null ? $bought : $cost->plus($bought);
            $vendor = $pieces > 0 && $build->vendors !== [] ? self::vendor($line, $cost !== null) : '';
            if ($vendor !== '' && isset($build->vendors[$vendor])) {
                $groups[$vendor][$line->id] = $whole;
                $vendors[$line->id] = $vendor;
            }
        }
        $terms = $before !== null && $known !== [] ? $before->terms : [];
        $withoutPost = self::land($groups, $lines, $build, $terms);

        return self::summed($build, $currency, $lines, $unpriced, $withoutRate, $vendors, $withoutPost, $goods, $terms);
    }

    /** How many are bought: what comes in packets is bought in whole ones, and its price is for a packet. */
    public static function packets(Line $line): int
    {
        return self::packetsOf($line, max(0, $line->quantity - $line->owned));
    }

    /** The price of one (or one packet) written on the line, else the first offer's; null when neither is known. */
    public static function unitPrice(Line $line): ?Money
    {
        return $line->price ?? $line->part->bestOffer()?->price;
    }

    /** Who sells a line that is still to be bought; "" when it is not to be bought, or nobody said. */
    private static function vendor(Line $line, bool $isOrdered): string
    {
        if ($line->origin->isFree() || (! $isOrdered && $line->state->isCommitted())) {
            return '';
        }

        return $line->vendor === '' ? ($line->part->bestOffer()->vendor ?? '') : $line->vendor;
    }

    private static function packetsOf(Line $line, int $pieces): int
    {
        return intdiv($pieces + $line->part->packetOf - 1, $line->part->packetOf);
    }

    /**
     * @param  list<Line>  $unpriced
     * @param  list<Line>  $withoutRate
     * @return ?int in hundredths at home; null when it is added to one of the lists
     */
    private static function goods(Line $line, int $pieces, Build $build, array &$unpriced, array &$withoutRate): ?int
    {
        $price = $line->price === null && $line->origin->isFree() ? Money::zero($build->brief->currency) : self::unitPrice($line);
        if ($price === null) {
            $unpriced[] = $line;

            return null;
        }
        $converted = $build->rates->convert($price->times(self::packetsOf($line, $pieces)), $build->brief->currency);
        if ($converted === null) {
            $withoutRate[] = $line;

            return null;
        }

        return Cents::of($converted);
    }

    /** What was ordered of a line; null when nothing was. */
    private static function ordered(Line $line, Build $build): ?LineCost
    {
        $cost = null;
        foreach (Progress::ordered($line, $build) as [$order, $item]) {
            $one = self::itemCost($item, $order->currency, $build);
            $cost = $cost === null ? $one : $cost->plus($one);
        }

        return $cost;
    }

    private static function itemCost(OrderItem $item, string $currency, Build $build): LineCost
    {
        // An order keeps the money of its day; without a rate between the two it is told as it was written.
        $home = static fn (int $cents): int => $build->rates->cents($cents, $currency, $build->brief->currency) ?? $cents;
        [$goods, $post, $duty, $tax, $refund] = array_map($home, [$item->goods, $item->post, $item->duty, $item->tax, $item->refund]);
        $spent = min($home($item->spent()), $goods + $post + $duty + $tax);

        return new LineCost($goods, $post, $duty, $tax, $refund, $goods + $post + $duty + $tax - $refund, $spent - $refund);
    }

    /**
     * Adds post, duty and tax to the lines that are still to be bought, as one order a vendor.
     *
     * @param  array<string, non-empty-array<string, int>>  $groups  goods by line, by vendor
     * @param  array<string, LineCost>  $lines
     * @param  array<string, list<Terms>>  $terms  by vendor
     * @return list<string> vendors whose post nobody knows
     */
    private static function land(array $groups, array &$lines, Build $build, array &$terms): array
    {
        $unknown = $grams = [];
        $bought = array_merge(...array_values($groups));
        foreach ($bought === [] ? [] : $build->lines as $line) {
            if (isset($bought[$line->id])) {
                $grams[$line->id] = ShoppingList::gramsOf($line->part) * $line->quantity;
            }
        }
        foreach ($groups as $name => $goods) {
            $vendor = $build->vendors[$name];
            $home = $build->brief->currency;
            $own = $build->rates->cents(array_sum($goods), $home, $vendor->currency);
            $terms[$name] ??= Terms::of($vendor, $build->rates, $home);
            $weight = array_sum(array_intersect_key($grams, $goods));
            $holding = $own === null ? null : Terms::holding($terms[$name], $vendor, $own, $weight);
            if ($holding !== null) {
                foreach (Landing::of($goods, $holding, $vendor) as $id => $cost) {
                    $lines[$id] = $lines[$id]->plus(new LineCost(0, $cost->post, $cost->duty, $cost->tax));
                }
            }
            if (! $vendor->saysPost) {
                $unknown[] = $name;
            }
        }

        return $unknown;
    }

    /**
     * @param  array<string, LineCost>  $lines
     * @param  list<Line>  $unpriced
     * @param  list<Line>  $withoutRate
     * @param  array<string, string>  $vendors
     * @param  list<string>  $withoutPost
     * @param  array<string, array{Line, int}>  $goods
     * @param  array<string, list<Terms>>  $terms
     */
    private static function summed(
        Build $build, string $currency, array $lines, array $unpriced, array $withoutRate, array $vendors, array $withoutPost, array $goods, array $terms,
    ): self {
        $apart = $build->orders === [] ? [] : self::apart($build);
        $sums = ['whole' => 0, 'committed' => 0, 'spent' => 0, 'refund' => 0];
        foreach ([...array_values($lines), ...array_values($apart)] as $cost) {
            $sums['whole'] += $cost->whole();
            $sums['committed'] += $cost->committed;
            $sums['spent'] += $cost->spent;
            $sums['refund'] += $cost->refund;
        }
        $money = static fn (int $cents): Money => Cents::money($cents, $currency);

        return new self(
            $money($sums['whole']), $money($sums['committed']), $money($sums['spent']), $money($sums['refund']),
            $lines, $apart, $unpriced, $withoutRate, $vendors, $withoutPost, $goods, $terms,
        );
    }

    /**
     * What was ordered for lines that are gone, not chosen any more, or hold another part by now.
     *
     * @return array<string, LineCost> by "order, name"
     */
    private static function apart(Build $build): array
    {
        $apart = [];
        foreach ($build->orders as $order) {
            foreach ($order->holds() ? $order->items : [] as $item) {
                $line = $build->line($item->line);
                if ($line === null || ! $line->chosen || $line->part->id !== $item->part) {
                    $key = "{$order->vendor}, {$item->name}";
                    $one = self::itemCost($item, $order->currency, $build);
                    $apart[$key] = isset($apart[$key]) ? $apart[$key]->plus($one) : $one;
                }
            }
        }

        return $apart;
    }
}
