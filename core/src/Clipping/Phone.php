<?php

declare(strict_types=1);

namespace PocketPlot\Clipping;

use PocketPlot\Part\Typical;

/** What a used phone or tablet surely is, which its text takes for granted: board, panel and cell in one, and a host at its one socket. */
final class Phone
{
    /** Signs of a text in which it says what it is. */
    private const NAME_SIGNS = 80;

    public static function isMeant(string $text): bool
    {
        return preg_match('/\b(?:smart ?)?phone\b|\btablet\b|\bhandy\b/i', mb_substr($text, 0, self::NAME_SIGNS)) === 1
            && preg_match('/\b(?:for|fits|holds?|clip|mount|case) (?:\w+ ){0,2}(?:phones?|tablets?)/i', mb_substr($text, 0, self::NAME_SIGNS)) !== 1;
    }

    /**
     * @param  array<string, mixed>  $part  as it is written in a file
     * @param  string  $on  the day, year-month-day
     * @return array<string, mixed>
     */
    public static function put(array $part, string $text, string $on): array
    {
        $facets = is_array($part['facets'] ?? null) ? $part['facets'] : [];
        $figure = static fn (float $value): array => ['value' => $value, 'source' => 'listing', 'on' => $on];
        if (! isset($facets['pack']) && preg_match('/(\d[\d., ]{2,6})\s?mah\b/i', $text, $found) === 1) {
            $facets['pack'] = ['chemistry' => 'LiPo', 'series' => 1, 'capacityMah' => $figure((float) preg_replace('/\D/', '', $found[1])),
                'protection' => 'built-in'];
        }
        $sockets = is_array($facets['sockets'] ?? null) ? array_values(array_filter($facets['sockets'], is_array(...))) : [];
        $connector = static fn (array $one): string => is_string($one['connector'] ?? null) ? $one['connector'] : '';
        $inlets = array_values(array_filter($sockets, static fn (array $one): bool => str_starts_with($connector($one), 'usb')));
        $hosts = array_filter($inlets, static fn (array $one): bool => ($one['carries'] ?? '') === 'usb');
        if ($inlets !== [] && $hosts === []) {
            // The same socket charges it and takes a pad.
            $others = array_values(array_filter($sockets, static fn (array $one): bool => $one !== $inlets[0]));
            $facets['sockets'] = [...$others, [...$inlets[0], 'name' => 'USB socket', 'carries' => 'usb', 'direction' => 'both']];
            $facets['outputs'] ??= [['name' => 'USB socket', 'volts' => ['least' => Typical::USB_V[0], 'usual' => Typical::USB_V[1],
                'most' => Typical::USB_V[2], 'source' => 'guess', 'on' => $on]]];
        }

        return [...$part, 'fills' => ['board', 'display'], 'sits' => 'face', 'facets' => $facets];
    }
}
