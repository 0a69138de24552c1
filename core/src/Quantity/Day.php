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
        return $days === 0 ? $this : new self(self::text($this->number() + $days));
    }

    /** Days from this one to the other, 0 for the same, negative when the other lies before. */
    public function daysUntil(self $other): int
    {
        return $other->number() - $this->number();
    }

    public function isAfter(self $other): bool
    {
        return strcmp($this->text, $other->text) > 0;
    }

    public function latest(self $other): self
    {
        return $this->isAfter($other) ? $this : $other;
    }

    /**
     * Days since 0000-03-01, in whole numbers: plans ask for thousands of days. In years that begin in March the leap day
     * comes last, and a month's first day lies (153 m + 2) / 5 days after the year's (H. Hinnant, chrono-compatible low-level date
     * algorithms, 2013).
     */
    private function number(): int
    {
        $month = (int) substr($this->text, -5, 2);
        $year = (int) substr($this->text, 0, -6) - ($month < 3 ? 1 : 0);

        return 365 * $year + intdiv($year, 4) - intdiv($year, 100) + intdiv($year, 400)
            + intdiv(153 * (($month + 9) % 12) + 2, 5) + (int) substr($this->text, -2) - 1;
    }

    /** @param  int  $number  as number() counts them */
    private static function text(int $number): string
    {
        $era = intdiv($number, 146_097);
        $ofEra = $number % 146_097;
        $yearOfEra = intdiv($ofEra - intdiv($ofEra, 1460) + intdiv($ofEra, 36_524) - intdiv($ofEra, 146_096), 365);
        $ofYear = $ofEra - (365 * $yearOfEra + intdiv($yearOfEra, 4) - intdiv($yearOfEra, 100));
        $month = intdiv(5 * $ofYear + 2, 153);

        return sprintf(
            '%04d-%02d-%02d',
            400 * $era + $yearOfEra + ($month > 9 ? 1 : 0),
            ($month + 2) % 12 + 1,
            $ofYear - intdiv(153 * $month + 2, 5) + 1,
        );
    }

    public function __toString(): string
    {
        return $this->text;
    }
}
