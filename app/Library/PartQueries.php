<?php

declare(strict_types=1);

namespace App\Library;

use App\Models\BuildRecord;
use App\Models\PartRecord;
use App\Models\User;
use Illuminate\Support\Collection;
use PocketPlot\File\PartReader;
use PocketPlot\Part\Part;
use PocketPlot\Part\PartFilter;

/** What is asked of the library: the builder's own parts and those that ship with the application. */
final class PartQueries
{
    /** Parts of one answer to a search. */
    public const MOST = 50;

    /** Parts whose figures are read for one answer. */
    private const MOST_READ = 3000;

    /**
     * @param  array{q?: ?string, role?: ?string, facet?: ?string, own?: bool, typical?: bool, sort?: ?string, from?: int}  $asked
     * @return array{int, Collection<int, PartRecord>} how many there are, and those of one page
     */
    public static function search(User $user, array $asked): array
    {
        $from = ($asked['typical'] ?? false) ? PartRecord::query()->where('user_id', User::typical()->id) : PartRecord::visibleTo($user);
        [$words, $wanted] = PartFilter::among($asked['q'] ?? '');
        $query = PartRecord::matching($from, $words);
        $query->when($asked['role'] ?? null, static fn ($query, $role) => $query->where('role', $role))
            ->when($asked['facet'] ?? null, static fn ($query, $facet) => $query->whereRaw('json_contains_path(spec, \'one\', ?)', ["\$.facets.{$facet}"]))
            ->when($asked['own'] ?? false, static fn ($query) => $query->where('user_id', $user->id));

        $sort = $asked['sort'] ?? '';
        if ($wanted === [] && ! in_array($sort, ['price', 'weight', 'size'], true)) {
            $by = $sort === 'date' ? $query->clone()->orderByDesc('updated_at') : $query->clone()->orderBy('name');

            return [$query->count(), $by->orderBy('id')->offset($asked['from'] ?? 0)->limit(self::MOST)->get()];
        }
        // Figures stand inside the parts: those that are left are read.
        /** @var Collection<int, PartRecord> $rows */
        $rows = $query->orderBy('name')->orderBy('id')->limit(self::MOST_READ)->get();
        $kept = FigureFilter::kept($rows, $wanted, $sort);

        return [$kept->count(), $kept->slice($asked['from'] ?? 0, self::MOST)->values()];
    }

    /** @return Collection<int, PartRecord> by name */
    public static function ofRole(User $user, string $role, string $words = '', int $most = self::MOST, bool $typical = false): Collection
    {
        $from = $typical ? PartRecord::query()->where('user_id', User::typical()->id) : PartRecord::visibleTo($user);
        [$rest, $wanted] = PartFilter::among($words);
        $query = PartRecord::matching($from, $rest)->where('role', $role)->orderBy('name');

        /** @var Collection<int, PartRecord> $rows */
        $rows = $query->limit($wanted === [] ? $most : self::MOST_READ)->get();

        return $wanted === [] ? $rows : FigureFilter::kept($rows, $wanted, '')->take($most)->values();
    }

    /** @return Collection<int, PartRecord> the one part of that role, typical ones as well; none when the builder may not see it */
    public static function reachable(User $user, int $id, string $role): Collection
    {
        return PartRecord::reachableBy($user)->whereKey($id)->where('role', $role)->get();
    }

    /** @return list<array{id: int, name: string, isOwn: bool}> all that the builder may see, own ones first */
    public static function names(User $user): array
    {
        $rows = PartRecord::visibleTo($user)->orderByRaw('user_id = ? desc', [$user->id])->orderBy('id')->get(['id', 'name', 'user_id']);

        return array_values($rows->map(static fn (PartRecord $row): array => ['id' => $row->id, 'name' => $row->name,
            'isOwn' => $row->user_id === $user->id])->all());
    }

    /**
     * @param  list<int>  $ids
     * @return Collection<int, PartRecord> those of them that the builder may see, in the order of the ids
     */
    public static function byId(User $user, array $ids): Collection
    {
        return PartRecord::visibleTo($user)->whereIn('id', $ids)->orderByRaw('field(id, '.implode(', ', $ids).')')->get();
    }

    /** @return list<Part> the builder's own, by name */
    public static function ownParts(User $user): array
    {
        return array_map(PartReader::read(...), self::ownSpecs($user));
    }

    /**
     * @param  list<string>  $keys
     * @return Collection<string, PartRecord> those of them that are in the builder's own library, by key
     */
    public static function ownByKey(User $user, array $keys): Collection
    {
        return PartRecord::query()->where('user_id', $user->id)->whereIn('key', $keys)->get()->toBase()->keyBy('key');
    }

    /** @return list<array<string, mixed>> the builder's own parts as files keep them, by name */
    public static function ownSpecs(User $user): array
    {
        return array_values(
            PartRecord::query()->where('user_id', $user->id)->orderBy('name')->get()->map(static fn (PartRecord $row): array => $row->spec)->all(),
        );
    }

    /**
     * @param  list<string>  $keys
     * @return list<array{id: string, name: string}> the builder's builds with a copy of the part of one of these keys
     */
    public static function buildsWith(User $user, array $keys): array
    {
        $inUse = static fn ($lines) => $lines->select('build_part_id')->from('build_lines')->whereNull('removed_at');

        return array_values($user->builds()->whereHas('parts', static fn ($query) => $query->whereIn('key', $keys)->whereIn('id', $inUse))
            ->get()->map(static fn (BuildRecord $build): array => ['id' => $build->id, 'name' => $build->name])->all());
    }
}
