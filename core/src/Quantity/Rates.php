<?php

declare(strict_types=1);

namespace PocketPlot\Quantity;

/** What one unit of a currency is worth in the base currency, on one day. */
final readonly class Rates
{
    /**
     * @param  array<string, string>  $worth  currency => exact decimal, in the base currency
     * @param  ?string  $asOf  year-month-day
     * @param  array<string, mixed>  $extra  keys of the file that this version does not know
     */
    public function __construct(public string $base, public array $worth, public ?string $asOf = null, public string $source = '', public array $extra = []) {}

    /**
     * In the currency asked for, going through the base; null when a rate is missing.
     */
    public function convert(Money $money, string $currency): ?Money
    {
        if ($money->currency === $currency) {
            return $money;
        }
        $from = $this->worthOf($money->currency);
        $to = $this->worthOf($currency);
        if ($from === null || $to === null) {
            return null;
        }
        $inBase = $money->amount->multipliedBy($from);
        if ($currency === $this->base) {
            return $money->become($inBase, $currency);
        }
        $amount = $inBase->dividedBy($to, 6, \Brick\Math\RoundingMode::HALF_UP);

        return $money->become($amount, $currency);
    }

    /** Hundredths of one currency in hundredths of another, half up; null when a rate is missing. */
    public function cents(int $cents, string $from, string $to): ?int
    {
        if ($from === $to) {
            return $cents;
        }
        $money = $this->convert(Cents::money($cents, $from), $to);

        return $money === null ? null : Cents::of($money);
    }

    private function worthOf(string $currency): ?string
    {
        return $currency === $this->base ? '1' : ($this->worth[$currency] ?? null);
    }

    /** @return array{base: string, worth: object, asOf: ?string, source: string} `worth` stays a group when it is empty */
    public function toArray(): array
    {
        return ['base' => $this->base, 'worth' => (object) $this->worth, 'asOf' => $this->asOf, 'source' => $this->source];
    }
}
