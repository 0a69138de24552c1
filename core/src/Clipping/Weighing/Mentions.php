<?php

declare(strict_types=1);

namespace PocketPlot\Clipping\Weighing;

use PocketPlot\Clipping\Amounts;

/**
 * Finds every number of a text: with a unit, without one, several with crosses between them.
 *
 * @phpstan-type Raw array{from: int, to: int, written: float, unit: string, times: float, isOfNext: bool}
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
        $numbers = self::numbers($tokens, $amounts);
        $joints = self::joints($numbers, $tokens);
        $numbers = self::withUnits($numbers, $joints);
        $mentions = [];
        for ($at = 0, $count = count($numbers); $at < $count; $at++) {
            $first = $at;
            while ($joints[$at] === 'x' && $at - $first < self::MOST_SIDES - 1) {
                $at++;
            }
            $group = array_slice($numbers, $first, $at - $first + 1);
            $isBox = count($group) > 1 && array_filter($group, static fn (array $one): bool => ! in_array($one['unit'], ['', 'mm'], true)) === [];
            foreach ($isBox ? [$group] : array_map(static fn (array $one): array => [$one], $group) as $nth => $one) {
                $mentions[] = self::mention($one, $tokens, $joints[$isBox ? $at : $first + $nth], $joints[$first + $nth - 1] ?? '');
            }
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
            $unit = $next !== null && $gap <= 2 ? self::unit($next, $gap > 0, $tokens[$at + 2]->text ?? '') : null;
            $isPrefixed = $at > 0 && preg_match(self::MONEY, $tokens[$at - 1]->text) === 1 && $token->start - $tokens[$at - 1]->end() <= 1;
            $to = $unit !== null ? $at + 1 : $at;
            $unit ??= $isPrefixed ? [Mention::MONEY, 1.0] : ['', 1.0];
            $found[] = ['from' => $at, 'to' => $to, 'written' => $amounts->part($token->text, $unit), 'unit' => $unit[0], 'times' => $unit[1],
                'isOfNext' => false];
        }

        return $found;
    }

    /** @return array{string, float}|null */
    private static function unit(Token $next, bool $isApart, string $behind): ?array
    {
        $sign = $next->text;
        $isWord = match (true) {
            in_array($sign, ['a', 'r', 'c', '"'], true) => $isApart && ! $next->isCapital,
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
     * What joins each number to the next: "" where something else stands between them, and behind the last.
     *
     * @param  list<Raw>  $numbers
     * @param  list<Token>  $tokens
     * @return list<string>
     */
    private static function joints(array $numbers, array $tokens): array
    {
        $joints = [];
        foreach ($numbers as $at => $number) {
            $next = $numbers[$at + 1] ?? null;
            $between = $next === null ? [] : array_slice($tokens, $number['to'] + 1, $next['from'] - $number['to'] - 1);
            $words = implode(' ', array_map(static fn (Token $token): string => $token->text, $between));
            $joints[] = match (true) {
                count($between) > self::MOST_BETWEEN || preg_match(self::JOINTS, $words) !== 1 => '',
                preg_match('/[x*]$|^by$/', $words) === 1 => 'x',
                default => strtr($words, ['. . .' => '...', '. .' => '..']),
            };
        }

        return $joints;
    }

    /**
     * With the unit of the next where one has none of its own: "6 to 14 V".
     *
     * @param  list<Raw>  $numbers
     * @param  list<string>  $joints
     * @return list<Raw>
     */
    private static function withUnits(array $numbers, array $joints): array
    {
        $all = [];
        $next = null;
        foreach (array_reverse($numbers, true) as $at => $number) {
            if ($number['unit'] === '' && $next !== null && $next['unit'] !== '' && in_array($joints[$at] ?? '',
                [...Mention::TO, ...Mention::GIVE_OR_TAKE], true)) {
                $number = [...$number, 'unit' => $next['unit'], 'times' => $next['times'], 'isOfNext' => true];
            }
            $all[] = $next = $number;
        }

        return array_reverse($all);
    }

    /**
     * @param  list<Raw>  $group  one number, or the sides of a box
     * @param  list<Token>  $tokens
     */
    private static function mention(array $group, array $tokens, string $next, string $before): Mention
    {
        $first = $group[0] ?? throw new \LogicException('A mention has a number.');
        $last = $group[count($group) - 1];
        $unit = $first['unit'];
        $times = $first['times'];
        foreach ($group as $one) {
            [$unit, $times] = $one['unit'] === '' ? [$unit, $times] : [$one['unit'], $one['times']];
        }
        $sides = count($group) > 1 ? array_map(static fn (array $one): float => round($one['written'] * $times, 5), $group) : [];

        return new Mention($first['from'], $last['to'], $unit, $first['written'], round($first['written'] * $times, 7), $sides,
            $tokens[$first['from']]->start, $tokens[$last['to']]->end(), $next, $before, $first['isOfNext'] && $sides === []);
    }
}
