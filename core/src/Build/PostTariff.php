<?php

declare(strict_types=1);

namespace PocketPlot\Build;

/** What a vendor asks for post, in hundredths of its currency: by weight, and nothing from some sum on. */
final readonly class PostTariff
{
    /**
     * @param  non-empty-list<array{?int, int}>  $steps  up to so many grams (null for any weight) => what it costs, light before heavy
     * @param  ?int  $freeFrom  goods for which no post is asked, in hundredths; null when post is always asked
     */
    public function __construct(public array $steps, public ?int $freeFrom = null) {}

    public static function flat(int $cents, ?int $freeFrom = null): self
    {
        return new self([[null, $cents]], $freeFrom);
    }
}
