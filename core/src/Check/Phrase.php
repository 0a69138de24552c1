<?php

declare(strict_types=1);

namespace PocketPlot\Check;

/** Small words that depend on what they stand beside. */
final class Phrase
{
    /** "a saw", "an iron"; what is many by itself, or has its article already, stays as it is. */
    public static function a(string $thing): string
    {
        return match (true) {
            preg_match('/^(a|an|the|pliers|tweezers) ?/', $thing) === 1 && preg_match('/^(a|an|the)[a-z]/', $thing) !== 1, str_ends_with($thing, 's') => $thing,
            preg_match('/^[aeiou]/i', $thing) === 1 => "an {$thing}",
            default => "a {$thing}",
        };
    }

    /** @param  list<string>  $things */
    public static function all(array $things): string
    {
        $last = array_pop($things);

        return $things === [] ? (string) $last : implode(', ', $things)." and {$last}";
    }

    /** "one button", "3 buttons", "no button"; the word as it is for many. */
    public static function count(int $count, string $many): string
    {
        $one = preg_replace('/s$/', '', $many);

        return match ($count) {
            0 => "no {$one}",
            1 => "one {$one}",
            default => "{$count} {$many}",
        };
    }

    /** "Arcade games"; "My own games" as it is. */
    public static function games(string $class): string
    {
        return str_ends_with(strtolower($class), 'games') ? $class : "{$class} games";
    }

    /** "behind the panel" as it is; a name that somebody gave between marks. */
    public static function column(string $name): string
    {
        return preg_match('/^(at|behind|over|under|beside|in) /', $name) === 1 ? $name : "\"{$name}\"";
    }
}
