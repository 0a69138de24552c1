<?php

declare(strict_types=1);

namespace PocketPlot\Sourcing;

/** What cannot be done with an order as it stands: which field, what is wrong, what would be right. */
final class BadOrder extends \DomainException
{
    private function __construct(public readonly string $field, string $says)
    {
        parent::__construct($says);
    }

    public static function at(string $field, string $says): self
    {
        return new self($field, $says);
    }
}
