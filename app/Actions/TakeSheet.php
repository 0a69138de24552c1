<?php

declare(strict_types=1);

namespace App\Actions;

use App\Mapping\Today;
use App\Models\BuildRecord;
use App\Models\PartRecord;
use App\Models\User;
use Illuminate\Validation\ValidationException;
use PocketPlot\Build\SupplyState;
use PocketPlot\Clipping\RoleGuess;
use PocketPlot\Clipping\SureFinds;
use PocketPlot\Part\Role;

/**
 * Takes the confirmed rows of a spreadsheet: into a build as lines, or into the library as parts. A row is a part that is
 * known, or a new one of which the row says what it says.
 *
 * @phpstan-type Row array{name: string, role?: ?string, part?: ?int, quantity?: int, price?: ?array{amount: string, currency: ?string}, vendor?: ?string,
 *   maker?: ?string, link?: ?string, state?: ?string, origin?: ?string, note?: ?string, text?: ?string}
 */
final class TakeSheet
{
    /** Of a price that says none, where there is no build to ask. */
    private const CURRENCY = 'EUR';

    /**
     * @param  list<Row>  $rows
     *
     * @throws ValidationException naming the row
     */
    public static function into(BuildRecord $build, User $user, array $rows): void
    {
        $currency = $build->brief['currency'] ?? null;
        foreach ($rows as $index => $row) {
            $row = self::priced($row, is_string($currency) ? $currency : self::CURRENCY);
            $part = isset($row['part'])
                ? PartRecord::visibleTo($user)->find($row['part']) ?? self::refuse($index, 'part', "\"{$row['name']}\" is not in your library any more. Read the sheet again.")
                : self::newPart($user, $row, $index);
            Lines::refuseTooMany($build);
            $role = isset($row['part']) ? Role::from($part->role) : self::role($row, $index);
            $state = $row['state'] ?? (($part->spec['offers'] ?? []) === [] && ! isset($row['price']) ? 'to-find' : 'chosen');
            $line = Lines::add($build, Lines::ownCopy($build, $part), $role->value, null, $row['quantity'] ?? 1, SupplyState::from($state));
            ChangeLine::in($build, $line->key, array_filter([
                'origin' => $row['origin'] ?? null, 'price' => $row['price'] ?? null, 'vendor' => $row['vendor'] ?? null, 'note' => $row['note'] ?? null,
            ], static fn (mixed $given): bool => $given !== null && $given !== ''));
        }
    }

    /**
     * @param  list<Row>  $rows
     * @return int how many are new; those that are known are left as they are
     *
     * @throws ValidationException naming the row
     */
    public static function intoLibrary(User $user, array $rows): int
    {
        $new = array_filter($rows, static fn (array $row): bool => ! isset($row['part']));
        foreach ($new as $index => $row) {
            self::newPart($user, self::priced($row, self::CURRENCY), $index);
        }

        return count($new);
    }

    /** @param  Row  $row */
    private static function newPart(User $user, array $row, int $index): PartRecord
    {
        $role = self::role($row, $index);
        $text = $row['text'] ?? '';
        $part = ['name' => $row['name'], 'role' => $role->value, 'facets' => []];
        if ($text !== '' && $text !== $row['name']) {
            $part['clippings'] = [['text' => $text, 'on' => (string) Today::day()]];
        }
        if ($text !== '') {
            $part = SureFinds::into($part, $text, $role, (string) Today::day());
        }
        if (($row['maker'] ?? '') !== '') {
            $part['maker'] = $row['maker'];
        }
        if (($row['link'] ?? '') !== '') {
            $part['link'] = $row['link'];
        }
        if (isset($row['price'])) {
            // The row's own price is worth more than one that its text says.
            $part['offers'] = [['vendor' => ($row['vendor'] ?? '') === '' ? 'not said' : $row['vendor'], 'price' => $row['price']]];
        }

        return KeepPart::asNew($user, $part);
    }

    /**
     * @param  Row  $row
     * @return Row
     */
    private static function priced(array $row, string $currency): array
    {
        if (isset($row['price']) && ($row['price']['currency'] ?? '') === '') {
            $row['price']['currency'] = $currency;
        }

        return $row;
    }

    /** @param  Row  $row */
    private static function role(array $row, int $index): Role
    {
        return Role::tryFrom($row['role'] ?? '') ?? RoleGuess::of(trim($row['name']."\n".($row['text'] ?? '')))
            ?? self::refuse($index, 'role', "Choose what \"{$row['name']}\" is for; its name does not tell.");
    }

    private static function refuse(int $index, string $field, string $words): never
    {
        throw ValidationException::withMessages(["rows.{$index}.{$field}" => $words]);
    }
}
