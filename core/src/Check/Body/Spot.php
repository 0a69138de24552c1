<?php

declare(strict_types=1);

namespace PocketPlot\Check\Body;

use PocketPlot\Build\Line;
use PocketPlot\Check\Finding;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\WholeRule;
use PocketPlot\Check\Words;
use PocketPlot\Facts\Facts;

final class Spot extends WholeRule
{
    public static function meta(): Meta
    {
        return new Meta('body.spot', 'No two add-ons want the same place, and the place exists.');
    }

    protected function ofWhole(Facts $facts): iterable
    {
        $body = $facts->bodyLine();
        $named = $body?->part->body->spots ?? [];
        $taken = [];
        foreach ($facts->with('spots') as $line) {
            $spot = $line->place !== '' ? $line->place : ($line->part->spots->takes ?? '');
            $taken[$spot][] = $line;
        }
        foreach ($taken as $spot => $lines) {
            if (count($lines) > 1 || $lines[0]->quantity > 1) {
                yield $this->shared((string) $spot, $lines, $named, array_keys($taken));
            } elseif ($body !== null && $named !== [] && ! in_array($spot, $named, true)) {
                yield $this->answer(
                    Verdict::Clash,
                    [$lines[0], $body],
                    fn (): Words => new Words("{$lines[0]->name()} goes to the {$spot}, and {$body->name()} has no such place.", [
                        $this->text("{$body->name()}, places", implode(', ', $named)),
                    ], 'no such place', [
                        $this->swap($lines[0]),
                        $this->swap($body, 'Take a body with that place'),
                        Remedy::byHand(self::elsewhere($lines[0], $named, array_keys($taken))),
                    ]));
            } else {
                yield $this->answer(
                    Verdict::Fits,
                    [$lines[0]],
                    fn (): Words => new Words("{$lines[0]->name()} has the {$spot} to itself.", [$this->text('Place', (string) $spot)], 'nobody else is there'),
                );
            }
        }
    }

    /**
     * @param  non-empty-list<Line>  $lines
     * @param  list<string>  $named
     * @param  list<array-key>  $taken
     */
    private function shared(string $spot, array $lines, array $named, array $taken): Finding
    {
        $names = implode(' and ', array_map(static fn (Line $line): string => $line->name(), $lines));

        return $this->answer(Verdict::Clash, $lines, fn (): Words => new Words("{$names} want the same place: the {$spot}.", array_map(
            fn (Line $line) => $this->text(
                $line->name(),
                $spot.(($line->part->spots->orElse ?? []) === [] ? '' : ', or '.implode(', ', $line->part->spots->orElse ?? [])),
            ),
            $lines,
        ), 'one place, more than one part', [
            ...array_map(
                fn (Line $line): Remedy => $this->swap($line, "Take something that goes elsewhere for {$line->name()}"),
                $lines,
            ), ...array_map(static fn (Line $line): Remedy => Remedy::byHand(self::elsewhere($line, $named, $taken)), $lines),
        ]), $spot);
    }

    /**
     * @param  list<string>  $named
     * @param  list<array-key>  $taken
     */
    private static function elsewhere(Line $line, array $named, array $taken): string
    {
        $free = array_values(
            array_filter(
                $line->part->spots->orElse ?? [],
                static fn (string $spot): bool => ! in_array($spot, $taken, true) && ($named === [] || in_array($spot, $named, true)),
            ),
        );

        return $free === []
            ? "{$line->name()} can go nowhere else that is known; ask its maker."
            : "Put {$line->name()} at the ".implode(' or the ', $free).': write it as its place on the Parts page.';
    }
}
