<?php

declare(strict_types=1);

namespace PocketPlot\Sheet;

/**
 * Finds a part by its name as somebody else wrote it: other order, other marks, a letter wrong. Numbers and units have to
 * agree, since "5 V, 4 A" and "5 V, 6 A" are two parts.
 */
final class NameIndex
{
    /** Of the weight of both names' words, so much has to be shared. */
    private const LEAST_SHARE = 0.75;

    /** Words of a part shorter than this have to be spelt right. */
    private const LEAST_SIGNS_TO_SLIP = 4;

    /** @var array<string, list<int>> word => places of the parts that have it */
    private array $places = [];

    /** @var array<string, list<string>> a word with one letter left out => the words it may be */
    private array $slips = [];

    /** @var list<list<string>> the words of each part */
    private array $words = [];

    /** @var array<string, int> a name as it is written, plain => place */
    private array $exact = [];

    /** @param  list<string>  $names */
    public function __construct(array $names)
    {
        foreach ($names as $place => $name) {
            $words = self::wordsOf($name);
            $this->words[$place] = $words;
            $this->exact[implode(' ', $words)] ??= $place;
            foreach (array_unique($words) as $word) {
                if (! isset($this->places[$word])) {
                    foreach (self::without($word) as $slip) {
                        $this->slips[$slip][] = $word;
                    }
                }
                $this->places[$word][] = $place;
            }
        }
    }

    /** @return int|null the place of the part in the list given; null when none is surely meant */
    public function find(string $name): ?int
    {
        $words = self::wordsOf($name);
        if (isset($this->exact[implode(' ', $words)])) {
            return $this->exact[implode(' ', $words)];
        }
        $shared = [];
        $own = 0.0;
        foreach (array_unique($words) as $word) {
            $known = $this->known($word);
            $weight = $this->weight($known ?? $word);
            $own += $weight;
            if ($known !== null) {
                foreach ($this->places[$known] as $place) {
                    $shared[$place] = ($shared[$place] ?? 0.0) + $weight;
                }
            }
        }
        $best = null;
        $most = self::LEAST_SHARE;
        $isTied = false;
        foreach ($shared as $place => $both) {
            if (! self::numbersAgree($words, $this->words[$place])) {
                continue;
            }
            $theirs = array_sum(array_map($this->weight(...), array_unique($this->words[$place])));
            $share = $both / max($own, $theirs, 1e-9);
            if ($share >= $most) {
                $isTied = $best !== null && abs($share - $most) < 1e-9;
                [$best, $most] = [$place, $share];
            }
        }

        return $isTied ? null : $best;
    }

    /** A word of some part that this one is, perhaps with a letter wrong, too many or too few. */
    private function known(string $word): ?string
    {
        if (isset($this->places[$word])) {
            return $word;
        }
        if (strlen($word) < self::LEAST_SIGNS_TO_SLIP - 1 || preg_match('/\d/', $word) === 1) {
            return null;
        }
        $nearest = [3, null];
        foreach ([$word, ...self::without($word)] as $slip) {
            foreach ([...($this->slips[$slip] ?? []), ...(isset($this->places[$slip]) ? [$slip] : [])] as $candidate) {
                $far = abs(strlen($candidate) - strlen($word)) <= 1 ? levenshtein($candidate, $word) : 3;
                $nearest = $far < $nearest[0] ? [$far, $candidate] : $nearest;
            }
        }

        return $nearest[1];
    }

    /** Rare words tell more than common ones. */
    private function weight(string $word): float
    {
        return log(1.0 + count($this->words) / (1 + count($this->places[$word] ?? [])));
    }

    /**
     * @param  list<string>  $one
     * @param  list<string>  $other
     */
    private static function numbersAgree(array $one, array $other): bool
    {
        [$ones, $others] = [self::numbers($one), self::numbers($other)];

        // A number that only one of them has may be left out; two that differ are two parts.
        return $ones === [] || $others === [] || array_diff($ones, $others) === [] || array_diff($others, $ones) === [];
    }

    /**
     * @param  list<string>  $words
     * @return list<string>
     */
    private static function numbers(array $words): array
    {
        return array_values(array_unique(array_filter($words, static fn (string $word): bool => preg_match('/^\d/', $word) === 1)));
    }

    /** @return list<string> plain small letters; "5V" and "5 V" alike, "Board" and "boards" alike */
    private static function wordsOf(string $name): array
    {
        $plain = mb_strtolower($name);
        $plain = strtr($plain, ['ä' => 'a', 'ö' => 'o', 'ü' => 'u', 'ß' => 'ss', 'é' => 'e', 'è' => 'e', 'ê' => 'e', 'á' => 'a', 'à' => 'a', 'ó' => 'o',
            'ø' => 'o', 'å' => 'a', '×' => 'x']);
        $plain = (string) preg_replace(['/(?<=\d),(?=\d)/', '/(?<=\d)\s+(?=(?:v|a|w|ma|mah|wh|mm|gb|in|ohm)\b)/', '/[^a-z0-9.]+/', '/\.(?!\d)|(?<!\d)\./'],
            ['.', '', ' ', ' '], $plain);
        $words = array_values(array_filter(explode(' ', $plain), static fn (string $word): bool => $word !== '' && ! in_array($word,
            ['the', 'a', 'an', 'with', 'and', 'for', 'of', 'in'], true)));

        return array_map(static fn (string $word): string => strlen($word) > 4 && preg_match('/\d/', $word) !== 1 ? (string) preg_replace('/(?<=[^s])s$/',
            '', $word) : $word, $words);
    }

    /** @return list<string> the word with each of its letters left out once; none of short ones and of numbers */
    private static function without(string $word): array
    {
        if (strlen($word) < self::LEAST_SIGNS_TO_SLIP || strlen($word) > 24 || preg_match('/\d/', $word) === 1) {
            return [];
        }
        $without = [];
        for ($at = 0; $at < strlen($word); $at++) {
            $without[] = substr($word, 0, $at).substr($word, $at + 1);
        }

        return array_values(array_unique($without));
    }
}
