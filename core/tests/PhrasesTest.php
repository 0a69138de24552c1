<?php

declare(strict_types=1);

use PocketPlot\Clipping\Find;
use PocketPlot\Clipping\Reader;
use PocketPlot\Part\Role;

/**
 * Single phrases of many hands, in phrases.txt: role | phrase | what has to be found (all of its bounds), or "!what" for what must not be.
 *
 * @return iterable<string, array{Role, string, list<string>}>
 */
function phrases(): iterable
{
    foreach (file(__DIR__.'/phrases.txt', FILE_IGNORE_NEW_LINES | FILE_SKIP_EMPTY_LINES) ?: [] as $line) {
        [$role, $phrase, $wanted] = explode(' | ', $line, 3);
        yield "{$role}: {$phrase}" => [Role::from($role), $phrase, explode('; ', $wanted)];
    }
}

/** @return array{string, array<string, string>} what, and its keys */
function wantedOf(string $wanted): array
{
    preg_match_all('/ (\w+)=(.+?)(?= \w+=|$)/', $wanted, $keys);

    return [trim((string) preg_replace('/ \w+=.*$/', '', $wanted)), array_combine($keys[1], $keys[2])];
}

/** @param  array<string, string>  $keys */
function saysIt(Find $find, array $keys): bool
{
    foreach ($keys as $key => $value) {
        $said = $find->says[$key] ?? null;
        // Figures to a thousandth of themselves: inches and ounces are said in fewer digits than they have.
        $isSame = is_numeric($value) && is_numeric($said) ? abs((float) $said - (float) $value) <= 0.001 * abs((float) $value) : (string) $said === $value;
        if (! $isSame) {
            return false;
        }
    }
    $bounds = array_intersect_key($find->says, array_flip(['least', 'usual', 'most', 'height']));

    return array_diff_key($bounds, $keys) === [];
}

it('reads a phrase', function (Role $role, string $phrase, array $wanted): void {
    $found = Reader::read($phrase, $role);
    $said = array_map(static fn (Find $find): array => $find->toArray(), $found);
    foreach ($wanted as $one) {
        if (str_starts_with($one, '!')) {
            expect(array_column($said, 'what'))->not->toContain(substr($one, 1));

            continue;
        }
        [$what, $keys] = wantedOf($one);
        $fitting = array_filter($found, static fn (Find $find): bool => $find->what === $what && saysIt($find, $keys));
        expect($fitting)->not->toBeEmpty("{$one} is not in ".json_encode($said, JSON_UNESCAPED_UNICODE));
    }
})->with(phrases(...));
