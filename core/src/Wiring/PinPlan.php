<?php

declare(strict_types=1);

namespace PocketPlot\Wiring;

/**
 * Which contact of a board serves which need. Augmenting paths (Kuhn's method for matchings in two-sided
 * graphs): finds an assignment whenever there is one.
 */
final class PinPlan
{
    /** @var array<string, int> pin => index of the want it serves */
    private array $taken = [];

    /** @param  array<string, list<string>>  $does  pin => functions */
    private function __construct(private readonly array $does) {}

    /**
     * @param  array<string, list<string>>  $does  pin => functions
     * @param  list<array{who: string, function: string}>  $wants  one entry a pin wanted
     * @return array{assigned: array<string, array{who: string, function: string}>, unmet: list<array{who: string, function: string}>}
     */
    public static function of(array $does, array $wants): array
    {
        $plan = new self($does);
        $unmet = [];
        foreach ($wants as $index => $want) {
            $tried = [];
            if (! $plan->place($index, $wants, $tried)) {
                $unmet[] = $want;
            }
        }
        $assigned = [];
        foreach ($plan->taken as $pin => $index) {
            $assigned[$pin] = $wants[$index];
        }

        return ['assigned' => $assigned, 'unmet' => $unmet];
    }

    /**
     * @param  list<array{who: string, function: string}>  $wants
     * @param  array<string, true>  $tried
     */
    private function place(int $index, array $wants, array &$tried): bool
    {
        foreach ($this->does as $pin => $functions) {
            if (isset($tried[$pin]) || ! in_array($wants[$index]['function'], $functions, true)) {
                continue;
            }
            $tried[$pin] = true;
            if (! isset($this->taken[$pin]) || $this->place($this->taken[$pin], $wants, $tried)) {
                $this->taken[$pin] = $index;

                return true;
            }
        }

        return false;
    }
}
