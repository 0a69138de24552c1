<?php

declare(strict_types=1);

namespace PocketPlot\Quantity;

/** A calendar day without a time or a zone. */
final readonly class Day implements \Stringable
{
    private function __construct(private string $text) {}

    /** @throws BadFigure when the text is no day of the calendar written year-month-day */
    public static function of(string $text): self
    {
        $parts = explode('-', $text);
        if (preg_match('/^\d{4}-\d{2}-\d{2}$/', $text) !== 1 || ! checkdate((int) $parts[1], (int) $parts[2], (int) $parts[0])) {
            throw BadFigure::notADay($text);
        }

        return new self($text);
    }

    public function plusDays(int $days): self
    {
        return new self((new \DateTimeImmutable($this->text.' 00:00:00 UTC'))->modify(sprintf('%+d days', $days))->format('Y-m-d'));
    }

    /** Days from this one to the other, 0 for the same, negative when the other lies before. */
    public function daysUntil(self $other): int
    {
        return (int) (new \DateTimeImmutable($this->text))->diff(new \DateTimeImmutable($other->text))->format('%r%a');
    }

    public function isAfter(self $other): bool
    {
        return strcmp($this->text, $other->text) > 0;
    }

    public function latest(self $other): self
    {
        return $this->isAfter($other) ? $this : $other;
    }

    public function __toString(): string
    {
        return $this->text;
    }
}
