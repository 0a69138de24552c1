<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Validation\ValidationException;
use PocketPlot\Quantity\BadFigure;
use PocketPlot\Quantity\Day;
use PocketPlot\Quantity\Typed;

/** Turns typed text into figures through the core, and its complaint into one about the field. */
final class TypedInput
{
    /** Text becomes a number in the unit, empty text null; anything else is left for the rules to judge. */
    public static function figure(string $field, mixed $value, string $unit): mixed
    {
        if (! is_string($value)) {
            return $value;
        }

        return trim($value) === '' ? null : self::or($field, static fn (): float => Typed::figure($value, $unit));
    }

    /** A share as it is typed on a page that shows percent: "20", "20 %" and "0,2 %" alike; a number stays a share. */
    public static function percent(string $field, mixed $value): mixed
    {
        return self::figure($field, is_string($value) && preg_match('/^\s*[\d.,]+\s*$/', $value) === 1 ? "{$value} %" : $value, 'share');
    }

    /** A rule for days: one of the calendar, written year-month-day, as the core reads it. */
    public static function day(): \Closure
    {
        return static function (string $field, mixed $value, \Closure $fail): void {
            try {
                Day::of(is_string($value) ? $value : '');
            } catch (BadFigure) {
                $fail('Write the day as year-month-day, such as 2026-12-01.');
            }
        };
    }

    /** @return array{amount: string, currency: string} */
    public static function money(string $field, string $text, string $currency): array
    {
        $money = self::or($field, static fn () => Typed::money($text, $currency));

        return ['amount' => (string) $money->amount, 'currency' => $money->currency];
    }

    /**
     * @template T
     *
     * @param  callable(): T  $read
     * @return T
     */
    private static function or(string $field, callable $read): mixed
    {
        try {
            return $read();
        } catch (BadFigure $bad) {
            throw ValidationException::withMessages([$field => ucfirst($bad->getMessage()).'.']);
        }
    }
}
