<?php

declare(strict_types=1);

namespace PocketPlot\Clipping\Weighing;

/**
 * What the mentions of a text mean, by what was learned from texts that were read by hand: a multinomial logistic model over the traits of
 * what surrounds each, read from left to right. bin/learn makes the weights.
 */
final readonly class Weigher
{
    /** The first sign of a packed weight, for label 0; and the one for a weight of 0. */
    public const FIRST = 40;

    public const ZERO = 83;

    /** What one step of a packed weight is. */
    public const STEP = 0.07;

    /**
     * @param  array<string, list<string>>  $labels  "draw:most", or "" for nothing, by the sort of mention
     * @param  array<string, list<int>>  $allowed  of these, those that it may have in a part of a role, by "sort|role"
     * @param  array<string, array<string, string>>  $weights  by sort and trait: two signs a label, which one and how much it weighs
     */
    public function __construct(private array $labels, private array $allowed, private array $weights) {}

    public static function learned(): self
    {
        return new self(Weights::labels(), Weights::allowed(), Weights::bySort());
    }

    /**
     * @param  list<Token>  $tokens
     * @param  list<Mention>  $mentions
     * @param  list<?string>  $rules  what the rules read each as; "" for nothing, null where they are not asked
     * @return list<Meaning> one a mention
     */
    public function meanings(array $tokens, array $mentions, string $role, array $rules): array
    {
        $around = new Surroundings($tokens, $mentions, $role);
        $meanings = [];
        foreach ($mentions as $index => $mention) {
            $sort = $mention->sort();
            $shares = $this->shares($around->of($index, $rules[$index] ?? null), $sort, $role);
            $meanings[] = self::meaning($shares);
            $around->took($mention, self::largest($shares));
        }

        return $meanings;
    }

    /** Whether anything was learned of when a mention of a sort says that of a part. */
    public function knows(string $what, string $sort, string $role): bool
    {
        foreach ($this->allowed["{$sort}|{$role}"] ?? [] as $label) {
            if (str_starts_with($this->labels[$sort][$label] ?? '', "{$what}:")) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param  list<string>  $traits
     * @return non-empty-array<string, float> share of each label, of all 1
     */
    public function shares(array $traits, string $sort, string $role): array
    {
        $labels = $this->labels[$sort] ?? [];
        $weights = $this->weights[$sort] ?? [];
        $sums = array_fill(0, max(1, count($labels)), 0);
        foreach ($traits as $trait) {
            $packed = $weights[$trait] ?? '';
            for ($at = 0, $end = strlen($packed); $at < $end; $at += 2) {
                $sums[ord($packed[$at]) - self::FIRST] += ord($packed[$at + 1]) - self::ZERO;
            }
        }
        $sums = array_intersect_key($sums, array_flip($this->allowed["{$sort}|{$role}"] ?? []));
        $most = $sums === [] ? 0 : max($sums);
        $shares = [];
        $all = 0.0;
        foreach ($sums as $label => $sum) {
            $share = exp(($sum - $most) * self::STEP);
            $shares[$labels[$label] ?? ''] = $share;
            $all += $share;
        }

        // Of what nothing was learned, nothing is thought.
        return $shares === [] ? ['' => 0.0] : array_map(static fn (float $share): float => $share / $all, $shares);
    }

    /** @param  non-empty-array<string, float>  $shares */
    private static function largest(array $shares): string
    {
        return (string) array_search(max($shares), $shares, true);
    }

    /**
     * The word that has the largest share over all its bounds, with the likeliest of these.
     *
     * @param  non-empty-array<string, float>  $shares
     */
    private static function meaning(array $shares): Meaning
    {
        $words = $bounds = [];
        foreach ($shares as $label => $share) {
            [$what, $bound] = [...explode(':', (string) $label), ''];
            $words[$what] = ($words[$what] ?? 0.0) + $share;
            if ($share > ($bounds[$what][1] ?? -1.0)) {
                $bounds[$what] = [$bound, $share];
            }
        }
        $what = self::largest($words);

        return new Meaning($what, $bounds[$what][0] ?? '', $words[$what] ?? 0.0, $words);
    }
}
