<?php

declare(strict_types=1);

namespace App\Sheets;

/** A plan as rows of a spreadsheet: all of it, then one sheet a vendor, to send or to print. */
final class ShoppingTable
{
    private const HEADINGS = ['vendor', 'part', 'packets', 'pieces', 'needed', 'condition', 'goods', 'post', 'duty', 'tax', 'landed', 'currency', 'here by'];

    /**
     * @param  array<string, mixed>  $plan  as BasketReport writes it
     * @return non-empty-array<string, list<list<string|int|float>>>
     */
    public static function of(array $plan): array
    {
        $all = [self::HEADINGS];
        $sheets = [];
        foreach (is_array($plan['orders'] ?? null) ? $plan['orders'] : [] as $order) {
            $order = is_array($order) ? $order : [];
            $vendor = self::text($order, 'vendor');
            $rows = [];
            foreach (is_array($order['items'] ?? null) ? $order['items'] : [] as $item) {
                $item = is_array($item) ? $item : [];
                $rows[] = [
                    $vendor, self::text($item, 'name'), ...array_map(static fn (string $key): int => self::count($item, $key), ['packets', 'pieces', 'needed']),
                    self::text($item, 'condition'),
                    ...array_map(static fn (string $key): float => (float) self::text($item, $key), ['goods', 'post', 'duty', 'tax', 'landed']),
                    self::text($plan, 'currency'), self::text($order, 'arrives'),
                ];
            }
            $all = [...$all, ...$rows];
            // A sheet's name holds no brackets, slashes or colons, and 31 letters.
            $sheets[mb_substr((string) preg_replace('#[\[\]/\\\\:*?]#', ' ', $vendor), 0, 31)] = [self::HEADINGS, ...$rows];
        }

        return ['Shopping' => $all] + $sheets;
    }

    /** @param  array<array-key, mixed>  $from */
    private static function text(array $from, string $key): string
    {
        return is_string($from[$key] ?? null) ? $from[$key] : '';
    }

    /** @param  array<array-key, mixed>  $from */
    private static function count(array $from, string $key): int
    {
        return is_int($from[$key] ?? null) ? $from[$key] : 0;
    }
}
