<?php

declare(strict_types=1);

namespace PocketPlot\Sheet;

use PocketPlot\Build\Origin;
use PocketPlot\Clipping\RoleGuess;
use PocketPlot\Part\Role;

/** Reads the rows of a table into lines of a parts list. Nothing is dropped in silence: each row is taken, or says why not. */
final class SheetReader
{
    private const MOST_NAME_SIGNS = 120;

    private const MOST_VENDOR_SIGNS = 120;

    private const MOST_MAKER_SIGNS = 80;

    private const MOST_NOTE_SIGNS = 2000;

    private ?Role $group = null;

    /**
     * @param  list<string>  $headings
     * @param  list<Column>  $kinds  one a column
     */
    public function __construct(private readonly array $headings, private readonly array $kinds) {}

    /**
     * @param  list<list<string>>  $rows  those below the headings
     * @param  int  $first  the number of the first of them, as the spreadsheet counts, from 1
     * @return list<SheetRow> empty rows left out
     */
    public function read(array $rows, int $first): array
    {
        $this->group = null;
        $read = [];
        foreach ($rows as $at => $cells) {
            $cells = array_map(trim(...), $cells);
            if (array_filter($cells, static fn (string $cell): bool => $cell !== '') !== []) {
                $read[] = $this->row($cells, $first + $at);
            }
        }

        return $read;
    }

    /** @param  list<string>  $cells */
    private function row(array $cells, int $number): SheetRow
    {
        // What is too long for a name still says something of the part.
        $name = (string) preg_replace('/\s+/u', ' ', $this->first($cells, Column::Name));
        $problems = [];
        $leftOut = $this->whyNot($cells, $name);
        $quantityCell = $this->first($cells, Column::Quantity);
        $quantity = Cells::quantity($quantityCell);
        if ($quantity === null && $quantityCell !== '') {
            $problems[] = "\"{$quantityCell}\" is no number of pieces; one is taken.";
        }
        [$price, $currency] = $this->price($cells, $quantity ?? 1, $problems);
        $vendor = $this->first($cells, Column::Vendor);
        $stateCell = $this->first($cells, Column::State);
        $state = Cells::state($stateCell);
        $linkCell = $this->first($cells, Column::Link);
        $link = Cells::link($linkCell);
        $note = $this->note($cells);
        foreach ([[$stateCell, $state, 'state'], [$linkCell, $link, 'link']] as [$cell, $understood, $what]) {
            if ($cell !== '' && $understood === null) {
                $problems[] = '"'.mb_substr($cell, 0, 60)."\" is no {$what} that is known; it goes into the note.";
                $note = trim("{$note}\n{$cell}");
            }
        }
        $byVendor = Cells::origin($vendor);
        $origin = Origin::tryFrom(mb_strtolower($this->first($cells, Column::Origin))) ?? $byVendor;
        // The heading that a row stands under tells more than a name without a word that does.
        $role = Cells::role($this->first($cells, Column::Role)) ?? (RoleGuess::byWords($name) === null ? $this->group : null)
            ?? RoleGuess::of(trim("{$name}\n{$note}")) ?? $this->group;
        $maker = $this->first($cells, Column::Maker);

        return new SheetRow(
            $number, mb_substr($name, 0, self::MOST_NAME_SIGNS), $role, $quantity ?? 1, $price, $currency,
            $byVendor === null ? mb_substr($vendor, 0, self::MOST_VENDOR_SIGNS) : '', mb_substr($maker, 0, self::MOST_MAKER_SIGNS), $link ?? '',
            $state, $origin,
            mb_substr($note, 0, self::MOST_NOTE_SIGNS), $this->text($cells, $name), $leftOut === '' ? $problems : [], $leftOut,
        );
    }

    /**
     * @param  list<string>  $cells
     * @return string "" when the row is taken
     */
    private function whyNot(array $cells, string $name): string
    {
        $filled = array_values(array_filter($cells, static fn (string $cell): bool => $cell !== ''));
        if (preg_match('/^(?:grand |sub)?total\b|^sum(?:me)?\b|^gesamt|^zwischensumme|^(?:shipping|postage|delivery|post(?= ?(?:&|and\b|\+|$))|p ?& ?p|porto|freight|carriage)\b|^versand|'
            .'^(?:tax|vat|mwst|ust|customs|discount|rabatt|voucher)\b/iu',
            $name !== '' ? $name : $filled[0]) === 1) {
            return 'a sum, not a part';
        }
        if (count($filled) === 1 && count($this->kinds) > 1 && Cells::headsGroup($filled[0])) {
            $this->group = Cells::role($filled[0]);

            return 'the heading of a group'.($this->group === null ? '' : ": what its name does not tell is for {$this->group->says()}");
        }
        if ($name === '') {
            return 'no name';
        }
        if (preg_match('/\p{L}/u', $name) !== 1) {
            return "\"{$name}\" is no name";
        }
        if (mb_strtolower($name) === mb_strtolower(trim($this->headings[(int) array_search(Column::Name, $this->kinds, true)] ?? ''))) {
            return 'the headings once more';
        }

        return '';
    }

    /**
     * @param  list<string>  $cells
     * @param  list<string>  $problems
     * @return array{?string, string}
     */
    private function price(array $cells, int $quantity, array &$problems): array
    {
        foreach ([Column::Price, Column::Total] as $kind) {
            $cell = $this->first($cells, $kind);
            if ($cell === '' || preg_match('/^[-–?]+$/u', $cell) === 1) {
                continue;
            }
            [$amount, $currency] = Cells::money($cell);
            if ($amount === null) {
                $problems[] = "\"{$cell}\" is no price; none is taken.";

                continue;
            }
            $amount = $kind === Column::Total && $quantity > 1 ? self::shared($amount, $quantity) : $amount;

            return [$amount, strtoupper(substr($this->currency($cells, $kind, $currency), 0, 3))];
        }

        return [null, ''];
    }

    /** @param  list<string>  $cells */
    private function currency(array $cells, Column $kind, string $said): string
    {
        $cell = $this->first($cells, Column::Currency);
        $heading = $this->headings[(int) array_search($kind, $this->kinds, true)] ?? '';
        $unknown = preg_match('/^[A-Za-z]{3}$/', $cell) === 1 ? $cell : '';
        foreach ([$said, Cells::currency($cell), $unknown] as $one) {
            if ($one !== '') {
                return $one;
            }
        }

        return Cells::currency($heading);
    }

    private static function shared(string $amount, int $quantity): string
    {
        return rtrim(rtrim(bcdiv(is_numeric($amount) ? $amount : '0', (string) $quantity, 4), '0'), '.');
    }

    /** @param  list<string>  $cells */
    private function first(array $cells, Column $kind): string
    {
        foreach (array_keys($this->kinds, $kind, true) as $at) {
            if (($cells[$at] ?? '') !== '') {
                return $cells[$at];
            }
        }

        return '';
    }

    /** @param  list<string>  $cells */
    private function note(array $cells): string
    {
        return implode("\n", array_filter(array_map(static fn (int $at): string => $cells[$at] ?? '', array_keys($this->kinds, Column::Note, true)),
            static fn (string $one): bool => $one !== ''));
    }

    /**
     * What the row says of the part, as a text: its name, its other cells under their headings, its notes.
     *
     * @param  list<string>  $cells
     */
    private function text(array $cells, string $name): string
    {
        $lines = [$name];
        foreach (array_keys($this->kinds, Column::Figure, true) as $at) {
            if (($cells[$at] ?? '') !== '') {
                $heading = trim($this->headings[$at] ?? '');
                $lines[] = $heading === '' ? $cells[$at] : self::under($heading, $cells[$at]);
            }
        }
        $note = $this->note($cells);

        return trim(implode("\n", $note === '' ? $lines : [...$lines, $note]));
    }

    /** "Weight (g)" over "46" is "Weight: 46 g". */
    private static function under(string $heading, string $cell): string
    {
        if (preg_match('/^(.*?)\s*[([]\s*([^)\]]{1,8})\s*[)\]]$/u', $heading, $found) === 1 && preg_match('/\d$/', $cell) === 1) {
            return "{$found[1]}: {$cell} {$found[2]}";
        }

        return "{$heading}: {$cell}";
    }
}
