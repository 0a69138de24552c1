<?php

declare(strict_types=1);

namespace PocketPlot\Wiring;

/**
 * Which contact of a board serves which need. Augmenting paths (Kuhn's method for matchings in two-sided
 * graphs): finds an assignment whenever there is one. The work grows with the contacts and with the kinds of
 * wants, never with how many pieces are wanted.
 *
 * @phpstan-type Want array{who: string, function: string}
 */
final class PinPlan
{
    /** @var array<array-key, int> pin => index of the want it serves */
    private array $taken = [];

    /** @var array<string, list<array-key>> function => pins that can do it */
    private array $pinsFor = [];

    /**
     * @param  array<string, list<string>>  $does  pin => functions
     * @param  list<array{who: string, function: string, count: int}>  $wants
     */
    private function __construct(array $does, private readonly array $wants)
    {
        foreach ($does as $pin => $functions) {
            foreach (array_unique($functions) as $function) {
                $this->pinsFor[$function][] = $pin;
            }
        }
    }

    /**
     * @param  array<string, list<string>>  $does  pin => functions
     * @param  list<array{who: string, function: string, count: int}>  $wants  `count` pins each, the pickiest first for a plan that reads well
     * @return array{assigned: array<array-key, Want>, unmet: list<array{who: string, function: string, count: int}>}
     */
    public static function of(array $does, array $wants): array
    {
        $plan = new self($does, $wants);
        $unmet = $exhausted = [];
        foreach ($wants as $index => $want) {
            $placed = 0;
            // What one of a kind cannot find, no other of that kind will: the search is the same.
            while ($placed < $want['count'] && ! isset($exhausted[$want['function']])) {
                $tried = [];
                if ($plan->place($index, $tried)) {
                    $placed++;
                } else {
                    $exhausted[$want['function']] = true;
                }
            }
            if ($placed < $want['count']) {
                $unmet[] = [...$want, 'count' => $want['count'] - $placed];
            }
        }

        return [
            'assigned' => array_map(static fn (int $index): array => ['who' => $wants[$index]['who'], 'function' => $wants[$index]['function']], $plan->taken),
            'unmet' => $unmet,
        ];
    }

    /** @param  array<array-key, true>  $tried */
    private function place(int $index, array &$tried): bool
    {
        foreach ($this->pinsFor[$this->wants[$index]['function']] ?? [] as $pin) {
            if (isset($tried[$pin])) {
                continue;
            }
            $tried[$pin] = true;
            if (! isset($this->taken[$pin]) || $this->place($this->taken[$pin], $tried)) {
                $this->taken[$pin] = $index;

                return true;
            }
        }

        return false;
    }
}
