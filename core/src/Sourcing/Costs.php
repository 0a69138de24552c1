<?php

declare(strict_types=1);

namespace PocketPlot\Sourcing;

use PocketPlot\Build\Build;
use PocketPlot\Build\Line;
use PocketPlot\Quantity\Money;

/**
 * What the chosen lines cost in the brief's currency. Planned holds everything; committed what is
 * ordered or here; spent what is here. Each holds the next.
 */
final readonly class Costs
{
    /**
     * @param  array<string, Money>  $byLine  line id => price of the whole line, converted
     * @param  list<Line>  $unpriced  lines that will cost something nobody knows yet
     * @param  list<Line>  $withoutRate  lines priced in a currency that has no exchange rate
     * @param  array<string, float>  $worth  `byLine` as floats, to sort by
     * @param  array<string, Line>  $priced  the lines whose price stands in `byLine`
     */
    private function __construct(
        public Money $planned,
        public Money $committed,
        public Money $spent,
        public array $byLine,
        public array $unpriced,
        public array $withoutRate,
        private array $priced,
        public array $worth,
    ) {}

    /**
     * Exact sums in the brief's currency; what has no price or no rate is named, not guessed.
     *
     * @param  self|null  $before  costs of the same build with one line changed, at the same rates
     */
    public static function of(Build $build, ?self $before = null): self
    {
        $currency = $build->brief->currency;
        $planned = $committed = $spent = Money::zero($currency);
        $byLine = $unpriced = $withoutRate = $priced = $worth = [];
        foreach ($build->chosen() as $line) {
            $isSame = $before !== null && ($before->priced[$line->id] ?? null) === $line && $before->planned->currency === $currency;
            if (! $isSame) {
                $price = $line->price === null && $line->origin->isFree() ? Money::zero($currency) : self::unitPrice($line);
                if ($price === null) {
                    $unpriced[] = $line;

                    continue;
                }
                $converted = $build->rates->convert($price, $currency);
                if ($converted === null) {
                    $withoutRate[] = $line;

                    continue;
                }
                $packets = self::packets($line);
            }
            $whole = $isSame ? $before->byLine[$line->id] : ($packets === 1 ? $converted : $converted->times($packets));
            $byLine[$line->id] = $whole;
            $priced[$line->id] = $line;
            $worth[$line->id] = $isSame ? $before->worth[$line->id] : $whole->amount->toFloat();
            $planned = $planned->plus($whole);
            $committed = $line->state->isCommitted() ? $committed->plus($whole) : $committed;
            $spent = $line->state->isSpent() ? $spent->plus($whole) : $spent;
        }

        return new self($planned, $committed, $spent, $byLine, $unpriced, $withoutRate, $priced, $worth);
    }

    /** How many are bought: what comes in packets is bought in whole ones, and its price is for a packet. */
    public static function packets(Line $line): int
    {
        return intdiv($line->quantity + $line->part->packetOf - 1, $line->part->packetOf);
    }

    /** The price of one (or one packet) written on the line, else the first offer's; null when neither is known. */
    public static function unitPrice(Line $line): ?Money
    {
        return $line->price ?? $line->part->bestOffer()?->price;
    }
}
