<?php

declare(strict_types=1);

namespace PocketPlot\Clipping\Weighing;

use PocketPlot\Clipping\Amounts;

/**
 * Finds every number of a text: with a unit, without one, several with crosses between them.
 *
 * @phpstan-type Raw array{from: int, to: int, written: float, unit: string, times: float, start: int, end: int, next: string, before: string, isOfNext: bool}
 */
final class Mentions
{
    private const MONEY = '/^(?:€|\$|£|eur|usd|gbp|chf|euros?|dollars?|bucks|quid|pounds|kr|sek|nok|dkk|pln|zł|cad|aud|yen|jpy|¥)$/u';

    private const JOINTS = '/^(?:-|to|~|\. ?\.(?: ?\.)?|…|÷|x|\*|by|\/|±|\+ \/ -|\+ -|up to|and|or|bis|through|:|→|>|\(?[lwhbtdø]\)? ?[x*]|\( [lwh] \) x)$/u';

    /** Tokens between two mentions that may join them. */
    private const MOST_BETWEEN = 3;

    private const MOST_SIDES = 3;

    /**
     * @param  list<Token>  $tokens
     * @return list<Mention>
     */
    public static function of(array $tokens, Amounts $amounts): array
    {
        $raw = self::joined(self::numbers($tokens, $amounts), $tokens);
        $mentions = [];
        for ($at = 0, $count = count($raw); $at < $count; $at++) {
            $group = [$raw[$at]];
            while ($raw[$at]['next'] === 'x' && isset($raw[$at + 1]) && count($group) < self::MOST_SIDES) {
                $group[] = $raw[++$at];
            }
            $isBox = count($group) > 1 && array_filter($group, static fn (array $one): bool => ! in_array($one['unit'], ['', 'mm'], true)) === [];
            array_push($mentions, ...($isBox ? [self::box($group)] : array_map(self::single(...), $group)));
        }

        return $mentions;
    }

    /**
     * @param  list<Token>  $tokens
     * @return list<Raw>
     */
    private static function numbers(array $tokens, Amounts $amounts): array
    {
        $found = [];
        foreach ($tokens as $at => $token) {
            if ($token->kind !== Token::NUMBER) {
                continue;
            }
            $next = $tokens[$at + 1] ?? null;
            $gap = $next === null ? PHP_INT_MAX : $next->start - $token->end();
            $unit = $next !== null && $gap <= 2 ? self::unit($next->text, $gap > 0, $tokens[$at + 2]->text ?? '') : null;
            $isPrefixed = $at > 0 && preg_match(self::MONEY, $tokens[$at - 1]->text) === 1 && $token->start - $tokens[$at - 1]->end() <= 1;
            $to = $unit !== null ? $at + 1 : $at;
            $unit ??= $isPrefixed ? [Mention::MONEY, 1.0] : ['', 1.0];
            $found[] = ['from' => $at, 'to' => $to, 'written' => $amounts->number($token->text), 'unit' => $unit[0], 'times' => $unit[1],
                'start' => $token->start, 'end' => $tokens[$to]->end(), 'next' => '', 'before' => '', 'isOfNext' => false];
        }

        return $found;
    }

    /** @return array{string, float}|null */
    private static function unit(string $sign, bool $isApart, string $behind): ?array
    {
        $isWord = match (true) {
            in_array($sign, ['a', 'r', 'c', '"'], true) => $isApart,
            $sign === 'in' => $isApart && preg_match('/^(?:x|by|[,.)]|screen|high|wide|long|thick|deep|)$/', $behind) !== 1,
            default => false,
        };
        if ($isWord) {
            return null;
        }
        if (preg_match(self::MONEY, $sign) === 1) {
            return [Mention::MONEY, 1.0];
        }
        $unit = Amounts::unit($sign);

        return $unit === null ? null : [$unit[0] === '°' ? '°C' : $unit[0], $unit[1]];
    }

    /**
     * With what joins each to the next, and the unit of the next where it has none of its own: "6 to 14 V".
     *
     * @param  list<Raw>  $raw
     * @param  list<Token>  $tokens
     * @return list<Raw>
     */
    private static function joined(array $raw, array $tokens): array
    {
        for ($at = 0, $last = count($raw) - 1; $at < $last; $at++) {
            $between = array_slice($tokens, $raw[$at]['to'] + 1, $raw[$at + 1]['from'] - $raw[$at]['to'] - 1);
            $words = implode(' ', array_map(static fn (Token $token): string => $token->text, $between));
            if (count($between) <= self::MOST_BETWEEN && preg_match(self::JOINTS, $words) === 1) {
                $joint = preg_match('/[x*]$|^by$/', $words) === 1 ? 'x' : str_replace('. .', '..', str_replace('. . .', '...', $words));
                $raw[$at]['next'] = $joint;
                $raw[$at + 1]['before'] = $joint;
            }
        }
        $joints = [...Mention::TO, ...Mention::GIVE_OR_TAKE];
        for ($at = count($raw) - 2; $at >= 0; $at--) {
            if ($raw[$at]['unit'] === '' && $raw[$at + 1]['unit'] !== '' && in_array($raw[$at]['next'], $joints, true)) {
                $raw[$at] = [...$raw[$at], 'unit' => $raw[$at + 1]['unit'], 'times' => $raw[$at + 1]['times'], 'isOfNext' => true];
            }
        }

        return $raw;
    }

    /** @param  Raw  $one */
    private static function single(array $one): Mention
    {
        return new Mention($one['from'], $one['to'], $one['unit'], $one['written'], round($one['written'] * $one['times'], 7), [], $one['start'],
            $one['end'], $one['next'], $one['before'], $one['isOfNext']);
    }

    /** @param  non-empty-list<Raw>  $group */
    private static function box(array $group): Mention
    {
        $first = $group[0];
        $last = $group[count($group) - 1];
        $units = array_values(array_filter($group, static fn (array $one): bool => $one['unit'] !== ''));
        $times = $units === [] ? 1.0 : $units[count($units) - 1]['times'];
        $sides = array_map(static fn (array $one): float => round($one['written'] * $times, 5), $group);

        return new Mention($first['from'], $last['to'], $units === [] ? '' : 'mm', $first['written'], $sides[0], $sides, $first['start'], $last['end'],
            $last['next'], $first['before'], false);
    }
}
