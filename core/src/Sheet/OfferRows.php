<?php

declare(strict_types=1);

namespace PocketPlot\Sheet;

/** Rows of somebody's spreadsheet as offers: which part, at whom, for how much. Each row is taken, or says why not. */
final class OfferRows
{
    /** A heading that says how many pieces its price is for. */
    private const PACKET = '/\b(?:packet|pack|packung|pcs|pieces|pro)\b/iu';

    /** @var array<string, int> part, vendor, packet and state => the row that was taken for it */
    private array $taken = [];

    /**
     * @param  array<string, string>  $parts  names, by part key
     * @param  array<string, string>  $vendors  currencies, by vendor's name
     */
    public function __construct(private readonly array $parts, private readonly array $vendors) {}

    /**
     * @param  list<list<string>>  $rows  of the sheet, headings and all
     * @return list<array{row: int, name: string, part: ?string, vendor: string, pieces: int, price: string, link: string, problem: string}>
     *   part is null and the problem told where a row is not taken
     */
    public function read(array $rows): array
    {
        $heading = Headings::find($rows);
        $headings = $heading === null ? [] : $rows[$heading];
        $first = $heading === null ? 0 : $heading + 1;
        $below = array_slice($rows, $first);
        $kinds = Headings::kinds($headings, $below);
        $quantity = array_search(Column::Quantity, $kinds, true);
        $isPacket = $quantity !== false && preg_match(self::PACKET, $headings[$quantity] ?? '') === 1;
        $index = new NameIndex(array_values($this->parts));
        $this->taken = [];

        return array_map(
            fn (SheetRow $row): array => $this->offer($row, $index, $isPacket ? $row->quantity : 1),
            (new SheetReader($headings, $kinds))->read($below, $first + 1),
        );
    }

    /** @return array{row: int, name: string, part: ?string, vendor: string, pieces: int, price: string, link: string, problem: string} */
    private function offer(SheetRow $row, NameIndex $index, int $pieces): array
    {
        $place = $row->leftOut === '' ? $index->find($row->name) : null;
        $key = $place === null ? null : (string) array_keys($this->parts)[$place];
        $vendor = $this->vendorOf($row->vendor);
        $problem = $this->problem($row, $key, $vendor, $pieces);
        if ($problem === '') {
            $this->taken["{$key}\t{$vendor}\t{$pieces}"] = $row->row;
        }

        return [
            'row' => $row->row, 'name' => $row->name, 'part' => $problem === '' ? $key : null, 'vendor' => $vendor ?? $row->vendor, 'pieces' => $pieces,
            'price' => $row->price === null ? '' : sprintf('%.2f', (float) $row->price), 'link' => $row->link, 'problem' => $problem,
        ];
    }

    private function problem(SheetRow $row, ?string $key, ?string $vendor, int $pieces): string
    {
        $currency = $vendor === null ? '' : $this->vendors[$vendor];

        return match (true) {
            $row->leftOut !== '' => $row->leftOut,
            $key === null => 'No part of this build goes by this name.',
            $row->vendor === '' => 'No vendor is named.',
            $vendor === null => "There is no vendor \"{$row->vendor}\". Write down its terms first.",
            $row->price === null || (float) $row->price <= 0.0 => 'No price can be read.',
            $row->currency !== '' && $row->currency !== $currency => "{$vendor} asks {$currency}, and this price is in {$row->currency}.",
            $pieces < 1 => 'A packet of none.',
            isset($this->taken["{$key}\t{$vendor}\t{$pieces}"]) => 'Row '.$this->taken["{$key}\t{$vendor}\t{$pieces}"].' offers the same. The first is taken.',
            default => '',
        };
    }

    private function vendorOf(string $name): ?string
    {
        foreach (array_keys($this->vendors) as $vendor) {
            if (mb_strtolower((string) $vendor) === mb_strtolower(trim($name))) {
                return (string) $vendor;
            }
        }

        return null;
    }
}
