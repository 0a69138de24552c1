<?php

declare(strict_types=1);

namespace PocketPlot\Sheet;

use PocketPlot\Build\Origin;
use PocketPlot\Build\SupplyState;
use PocketPlot\Part\Role;

/** What people write into the cells of a parts list, understood. */
final class Cells
{
    private const CURRENCIES = ['€' => 'EUR', 'eur' => 'EUR', 'euro' => 'EUR', 'euros' => 'EUR', '$' => 'USD', 'us$' => 'USD', 'usd' => 'USD', '£' => 'GBP',
        'gbp' => 'GBP',
        'chf' => 'CHF', 'fr.' => 'CHF', 'sek' => 'SEK', 'nok' => 'NOK', 'dkk' => 'DKK', 'pln' => 'PLN', 'zł' => 'PLN', 'czk' => 'CZK', 'kč' => 'CZK',
        'jpy' => 'JPY',
        '¥' => 'JPY', 'cad' => 'CAD', 'aud' => 'AUD', 'huf' => 'HUF'];

    private const STATES = [
        'faulty' => 'faulty|broken|dead|defect(?:ive)?|doa|kaputt|defekt',
        'tested' => 'tested|works|working|proven|getestet|geprüft',
        'arrived' => 'arrived|here|received|delivered|got(?: it)?|have(?: it)?|in (?:the )?(?:drawer|stock|hand|box)|owned?|da|erhalten|vorhanden|'
            .'angekommen|geliefert|yes|y|ja|x|✓|✔|☑|done|1|true',
        'ordered' => 'ordered|bought|paid|shipped|in transit|on (?:the|its) way|bestellt|unterwegs|gekauft|bezahlt',
        'chosen' => 'chosen|decided|picked|to (?:buy|order)|buy|planned|ausgesucht|kaufen|zu (?:kaufen|bestellen)',
        'to-find' => 'to find|needed|missing|open|todo|to do|tbd|\?+|no|n|nein|fehlt|offen|gesucht|need|wanted|0|false|☐|not yet|-',
    ];

    /** Words that people head a group with, beside the names of the roles. */
    private const ROLES = [
        'board' => 'boards?|computer|compute|sbc|mainboard|motherboard|brain|main ?board|cpu|platine',
        'display' => 'displays?|screens?|panels?|lcd|video|bildschirm|anzeige',
        'controls' => 'controls?|inputs?|buttons?|pads?|controllers?|joysticks?|steuerung|tasten',
        'case' => 'cases?|shells?|body|enclosures?|housing|gehäuse',
        'cells' => 'cells?|batter(?:y|ies)|power source|akkus?|batterien?|packs?', 'charger' => 'chargers?|charging|ladegerät|laden',
        'regulator' => 'regulators?|converters?|voltage|regler|wandler', 'sound' => 'sound|audio|speakers?|ton|lautsprecher',
        'storage' => 'storage|memory|cards?|sd|speicher',
        'cooling' => 'cooling|fans?|thermal|kühlung', 'switch' => 'switch(?:es)?|fuses?|schalter',
        'cable' => 'cables?|leads?|adapters?|wiring|kabel|connectors?',
        'fastener' => 'fasteners?|screws?|hardware|schrauben|mechanical', 'material' => 'materials?|consumables?|material|verbrauch',
        'tool' => 'tools?|werkzeuge?',
    ];

    /** @return array{?string, string} exact amount and currency, null and "" where the cell says none */
    public static function money(string $cell): array
    {
        $text = trim($cell);
        $currency = '';
        $plain = preg_replace_callback('/us\$|[€$£¥]|zł|kč|fr\.|\p{L}{2,5}/iu', static function (array $found) use (&$currency): string {
            $currency = self::CURRENCIES[mb_strtolower($found[0])] ?? $currency;

            return ' ';
        }, $text) ?? '';
        if (preg_match('/^\W*(\d[\d.,\x{2019}\'\s]*)(?:[.,]?[-–]+)?\W*$/u', $plain, $found) !== 1) {
            return [preg_match('/^(?:free|gratis|umsonst|gift|geschenkt)$/iu', $text) === 1 ? '0' : null, $currency];
        }

        return [self::decimal($found[1]), $currency];
    }

    /** @return string three letters, of a cell or a heading that names a currency without an amount: "€", "EUR", "Price in £"; "" where none is named */
    public static function currency(string $cell): string
    {
        return self::money(preg_replace('/\d/', '', $cell).' 1')[1];
    }

    /** "1.234,50", "1,234.50", "12,5", "1 200": the last mark with one or two figures behind it is the decimal one. */
    public static function decimal(string $text): ?string
    {
        $text = rtrim((string) preg_replace("/[\\s'\u{2019}]/u", '', $text), '.,');
        if (preg_match('/^([\d.,]*)[.,](\d{1,2}|\d{4})$/', $text, $found) === 1 || preg_match('/^(0)[.,](\d{3})$/', $text, $found) === 1) {
            $whole = preg_replace('/\D/', '', $found[1]);

            return ($whole === '' || $whole === null ? '0' : $whole).'.'.$found[2];
        }
        $whole = (string) preg_replace('/\D/', '', $text);

        return $whole === '' || strlen($whole) > 9 ? null : $whole;
    }

    /** @return int|null null when the cell says no number of pieces */
    public static function quantity(string $cell): ?int
    {
        $text = mb_strtolower(trim($cell));
        if (preg_match('/^(?:x|×)?\s?(\d{1,5})(?:[.,]0+)?\s?(?:x|×|pcs?\.?|pieces?|stk\.?|stück|sets?|packs?|units?|ea\.?)?$/u', $text, $found) === 1) {
            return (int) $found[1] > 0 && (int) $found[1] <= 10000 ? (int) $found[1] : null;
        }

        return ['one' => 1, 'two' => 2, 'a pair' => 2, 'pair' => 2, 'three' => 3, 'four' => 4, 'five' => 5, 'six' => 6, 'ein' => 1, 'zwei' => 2, 'drei' => 3,
            'vier' => 4][$text] ?? null;
    }

    public static function state(string $cell): ?SupplyState
    {
        $own = SupplyState::tryFrom(mb_strtolower(trim($cell)));
        if ($own !== null) {
            return $own;
        }
        foreach (self::STATES as $state => $pattern) {
            if (preg_match('/^(?:'.$pattern.')[.!]?$/iu', trim($cell)) === 1) {
                return SupplyState::from($state);
            }
        }

        return null;
    }

    /** Where a part comes from, by what stands where a shop would. */
    public static function origin(string $vendor): ?Origin
    {
        return match (true) {
            preg_match('/^(?:own(?:ed)?|drawer|my drawer|stock|in stock|parts bin|have|had|junk box|from the drawer|vorhanden|eigen|schublade|'
                .'bastelkiste)$/iu', $vendor) === 1 => Origin::Own,
            preg_match('/^(?:salvaged?|donor|scrap|from an? old .*|ausgebaut|ausgeschlachtet)$/iu', $vendor) === 1 => Origin::Salvage,
            preg_match('/^(?:print(?:ed)?(?: myself| at home)?|self[- ]printed|3d[- ]print(?:ed)?|gedruckt|druck)$/iu', $vendor) === 1 => Origin::Print,
            preg_match('/^(?:gift|present|geschenk)$/iu', $vendor) === 1 => Origin::Gift,
            default => null,
        };
    }

    /** A role by its own name or by a word people head a group with. */
    public static function role(string $cell): ?Role
    {
        $word = mb_strtolower(trim($cell, " \t:-–—=*#"));
        foreach (self::ROLES as $role => $pattern) {
            if ($word === $role || $word === Role::from($role)->says() || preg_match("/^(?:{$pattern})$/iu", $word) === 1) {
                return Role::from($role);
            }
        }

        return null;
    }

    /** Whether a cell that stands alone in its row heads those below it. */
    public static function headsGroup(string $cell): bool
    {
        return self::role($cell) !== null || str_ends_with(trim($cell), ':')
            || preg_match('/^\W*(?:power|electronics?|electrical|other|others|misc(?:ellaneous)?|optional|extras?|accessor(?:y|ies)|strom(?:versorgung)?|'
                .'elektronik|sonstiges|main parts?)\W*$/iu', trim($cell)) === 1
            || preg_match('/^\W*\p{Lu}[\p{Lu} &\/]{3,}\W*$/u', trim($cell)) === 1;
    }

    /** Only links that lead to a page. */
    public static function link(string $cell): ?string
    {
        $link = trim($cell);
        $link = preg_match('/^www\./i', $link) === 1 ? "https://{$link}" : $link;

        return preg_match('~^https?://[^\s"<>]{3,}$~i', $link) === 1 && strlen($link) <= 500 ? $link : null;
    }
}
