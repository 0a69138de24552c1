<?php

declare(strict_types=1);

namespace App\Library;

use App\Models\BuildRecord;
use App\Models\DrawerClaimRecord;
use App\Models\DrawerPieceRecord;
use App\Models\User;
use Illuminate\Support\Collection;

/** What is asked of the drawer. */
final class DrawerQueries
{
    private const MOST = 60;

    /** Kinds of pieces that are offered for one line. */
    private const MOST_OFFERED = 4;

    /** Of these, one may do for another; a tape is no varnish. */
    private const LIKE = ['board', 'display', 'controls', 'case', 'cells', 'charger', 'regulator', 'sound', 'storage', 'switch'];

    /**
     * Every word stands in the name, the place, the note or where it came from.
     *
     * @return array{int, Collection<int, DrawerPieceRecord>} how many there are, and a page of them
     */
    public static function search(User $user, string $words, string $role, int $from): array
    {
        $query = DrawerPieceRecord::query()->with('claims.line')->withExists('photo')->where('user_id', $user->id);
        if ($role !== '') {
            $query->where('role', $role);
        }
        foreach (array_slice(preg_split('/\s+/u', trim($words), -1, PREG_SPLIT_NO_EMPTY) ?: [], 0, 8) as $word) {
            $query->whereRaw("concat_ws(' ', name, place, note, came_from) like ?", ['%'.addcslashes($word, '%_\\').'%']);
        }

        return [$query->count(), $query->orderBy('name')->orderBy('id')->offset($from)->limit(self::MOST)->get()];
    }

    /** @return array<string, mixed> as the API answers it (contract/openapi.json, "DrawerPiece") */
    public static function shown(DrawerPieceRecord $piece): array
    {
        return [
            'id' => $piece->id,
            'version' => $piece->version,
            'name' => $piece->name,
            'role' => $piece->role,
            'partKey' => $piece->part_key,
            'quantity' => $piece->quantity,
            'left' => $piece->quantity - $piece->claimed(),
            'place' => $piece->place,
            'condition' => $piece->condition,
            'origin' => $piece->origin,
            'cameFrom' => $piece->came_from,
            'value' => $piece->value_amount === null ? null : ['amount' => $piece->value_amount, 'currency' => $piece->value_currency ?? 'EUR'],
            'note' => $piece->note,
            'hasPhoto' => $piece->getAttribute('photo_exists') === true,
            'claims' => $piece->claims->map(static fn (DrawerClaimRecord $one): array => [
                'build' => $one->line->build_id ?? '', 'name' => self::nameOf($one), 'quantity' => $one->quantity,
            ])->values()->all(),
        ];
    }

    /** @return array<string, list<array<string, mixed>>> pieces that are left, by line: of the same part, of the same name, or for the same role */
    public static function forBuild(User $user, BuildRecord $build): array
    {
        /** @var Collection<int, DrawerPieceRecord> $all */
        $all = DrawerPieceRecord::query()->with('claims.line')->withExists('photo')->where('user_id', $user->id)->orderBy('name')->get();
        $pieces = $all->filter(static fn (DrawerPieceRecord $one): bool => $one->claimed() < $one->quantity);
        $build->load(['lines', 'parts']);
        $found = [];
        foreach ($build->lines->where('chosen', true) as $line) {
            $part = $build->parts->firstWhere('id', $line->build_part_id);
            $name = mb_strtolower(is_string($part?->spec['name'] ?? null) ? $part->spec['name'] : '');
            $same = $pieces->filter(static fn (DrawerPieceRecord $one): bool => ($one->part_key !== '' && $one->part_key === $part?->key)
                || ($name !== '' && str_starts_with(mb_strtolower($one->name), $name)));
            $sameRole = in_array($line->role, self::LIKE, true) ? $pieces->where('role', $line->role)->diff($same) : $same->take(0);
            $ids = $same->pluck('id')->all();
            $shown = array_values($same->concat($sameRole)->take(self::MOST_OFFERED)->map(
                static fn (DrawerPieceRecord $one): array => [...self::shown($one), 'same' => in_array($one->id, $ids, true)],
            )->all());
            if ($shown !== []) {
                $found[$line->key] = $shown;
            }
        }

        return $found;
    }

    private static function nameOf(DrawerClaimRecord $claim): string
    {
        $build = $claim->line === null ? null : BuildRecord::withTrashed()->find($claim->line->build_id);

        return $build->name ?? '';
    }
}
