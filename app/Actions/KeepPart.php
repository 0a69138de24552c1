<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\PartFileRecord;
use App\Models\PartRecord;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use PocketPlot\File\BadFile;
use PocketPlot\File\BuildReader;
use PocketPlot\File\Fields;
use PocketPlot\File\Format;
use PocketPlot\File\Json;
use PocketPlot\File\Problem;
use PocketPlot\File\TypedPart;
use PocketPlot\Part\Part;

/** Keeps parts in the builder's own library: new ones, changed ones, copies, and whole files of them. */
final class KeepPart
{
    /** As many as the schema of a library file lets in. */
    private const MOST_PARTS = 20_000;

    /** Bytes of a library file around its parts. */
    private const FRAME_BYTES = 200;

    /** How long what was taken out can be put back. */
    private const KEPT_DAYS = 30;

    /**
     * @param  array<string, mixed>  $given  as the editor sends it, figures as typed text; refused as BadFile with one problem a field
     */
    public static function asNew(User $user, array $given): PartRecord
    {
        return DB::transaction(
            static fn (): PartRecord => self::create($user, self::spec([...$given, 'id' => self::freeKey($user, self::text($given, 'name'))])),
        );
    }

    /**
     * @param  array<string, mixed>  $given  as for asNew()
     *
     * @throws StalePart when it was changed meanwhile
     */
    public static function over(PartRecord $part, int $version, array $given): PartRecord
    {
        return DB::transaction(static function () use ($part, $version, $given): PartRecord {
            $locked = self::locked([$part->id => $version])[$part->id];
            $before = $locked->spec;
            self::write($locked, self::spec([...$given, 'id' => $locked->key]));
            PartHistory::note($locked, $before, ChangedBy::Editor);

            return $locked;
        });
    }

    /**
     * Parts to be written over, in the order of their ids, so that two who want the same ones wait for each other.
     *
     * @param  array<int, int>  $versions  by id, the version that was opened
     * @return array<int, PartRecord> by id
     *
     * @throws StalePart when one was changed or taken out meanwhile
     */
    public static function locked(array $versions): array
    {
        $rows = PartRecord::query()->whereKey(array_keys($versions))->orderBy('id')->tap(static fn ($query) => $query->lockForUpdate())->get()->keyBy('id');
        foreach ($versions as $id => $version) {
            if ($rows->get($id)?->version !== $version) {
                throw new StalePart;
            }
        }

        return $rows->all();
    }

    /** @param  array<string, mixed>  $spec  as spec() gives it */
    public static function write(PartRecord $locked, array $spec): void
    {
        $locked->fill(self::columns($spec, BuildReader::parts(self::fields([$spec]))))->fill(['version' => $locked->version + 1])->save();
        self::refuseTooMuch(User::query()->findOrFail($locked->user_id));
    }

    public static function remove(PartRecord $part): void
    {
        DB::transaction(static fn () => self::takeOut($part));
    }

    /** Its files and history stay with it for a month; its key is free for another part at once. */
    public static function takeOut(PartRecord $part): void
    {
        self::letGoOld($part->user_id);
        $part->fill(['key' => Str::limit($part->key, 60, '')."~{$part->id}"])->save();
        $part->delete();
    }

    /** Of an account, parts and files that were taken out more than a month ago. */
    public static function letGoOld(int $user): void
    {
        $old = now()->subDays(self::KEPT_DAYS);
        PartRecord::onlyTrashed()->where('user_id', $user)->where('removed_at', '<', $old)->forceDelete();
        PartFileRecord::onlyTrashed()->where('removed_at', '<', $old)
            ->where(static fn ($query) => $query->whereIn('part_id', PartRecord::query()->where('user_id', $user)->select('id')))->forceDelete();
    }

    /** Puts back what was taken out, under its own key where that is still free. */
    public static function restore(PartRecord $part): PartRecord
    {
        return DB::transaction(static function () use ($part): PartRecord {
            self::putBack($part);
            self::refuseTooMuch(User::query()->findOrFail($part->user_id));

            return $part;
        });
    }

    public static function putBack(PartRecord $part): void
    {
        $user = User::query()->findOrFail($part->user_id);
        $key = self::text($part->spec, 'id');
        $isTaken = PartRecord::query()->where('user_id', $user->id)->where('key', $key)->exists();
        $key = $isTaken ? self::freeKey($user, $part->name) : $key;
        $part->restore();
        $part->fill(['key' => $key, 'spec' => [...$part->spec, 'id' => $key]])->save();
    }

    public static function copy(User $user, PartRecord $part): PartRecord
    {
        return DB::transaction(static function () use ($user, $part): PartRecord {
            $name = Str::limit($part->name, 108, '').', adjusted';

            return self::create($user, [...$part->spec, 'id' => self::freeKey($user, $name), 'name' => $name]);
        });
    }

    /**
     * Goes the whole way of an import and takes all of it back: what is told before is what happens after.
     *
     * @return array<string, Part>
     *
     * @throws BadFile naming each field
     */
    public static function tried(User $user, string $text): array
    {
        DB::beginTransaction();
        try {
            self::all($user, $text, true);

            return self::read($text);
        } finally {
            DB::rollBack();
        }
    }

    /**
     * Reads a file of parts.
     *
     * @return array<string, Part>
     *
     * @throws BadFile naming each field
     */
    public static function read(string $text): array
    {
        return BuildReader::parts(new Fields(self::format()->decode($text)));
    }

    /**
     * Stores every part of a file, all or nothing. A part that is there already under the same key is written over only when asked.
     *
     * @param  list<string>|bool  $overwrite  the keys of those that are written over; true for all
     * @return array{added: int, changed: int, left: int}
     *
     * @throws BadFile
     */
    public static function all(User $user, string $text, array|bool $overwrite): array
    {
        $parts = self::read($text);

        return DB::transaction(static function () use ($user, $parts, $overwrite): array {
            $there = PartRecord::query()->where('user_id', $user->id)->pluck('id', 'key');
            $now = now();
            $fresh = [];
            $changed = 0;
            foreach ($parts as $part) {
                $columns = self::columns($part->raw, [$part]);
                if (! $there->has($part->id)) {
                    $fresh[] = [
                        ...$columns,
                        'user_id' => $user->id,
                        'key' => $part->id,
                        'spec' => Json::encode($part->raw),
                        'version' => 1,
                        'created_at' => $now,
                        'updated_at' => $now,
                    ];
                } elseif ($overwrite === true || (is_array($overwrite) && in_array($part->id, $overwrite, true))) {
                    $row = PartRecord::query()->where(
                        'user_id',
                        $user->id)->where('key', $part->id)->tap(static fn ($query) => $query->lockForUpdate())->firstOrFail();
                    $before = $row->spec;
                    $row->fill($columns)->fill(['spec' => $part->raw, 'version' => $row->version + 1])->save();
                    PartHistory::note($row, $before, ChangedBy::File);
                    $changed++;
                }
            }
            foreach (array_chunk($fresh, 500) as $chunk) {
                PartRecord::query()->insert($chunk);
            }
            self::refuseTooMuch($user);

            return ['added' => count($fresh), 'changed' => $changed, 'left' => count($parts) - count($fresh) - $changed];
        });
    }

    /**
     * The written form of a part from the editor, held against the schema and read once.
     *
     * @param  array<string, mixed>  $given
     * @return array<string, mixed>
     *
     * @throws BadFile
     */
    public static function spec(array $given): array
    {
        $spec = TypedPart::raw($given);
        try {
            self::format()->decode(Json::encode(['format' => Format::LIBRARY, 'version' => Format::VERSION, 'parts' => [$spec]]));
            BuildReader::parts(self::fields([$spec]));
        } catch (BadFile $bad) {
            // The editor knows one part only.
            throw new BadFile(array_map(static fn (Problem $problem): Problem => $problem->without('parts/0'), $bad->problems));
        }

        return $spec;
    }

    /** @param  array<string, mixed>  $spec */
    private static function create(User $user, array $spec): PartRecord
    {
        $key = self::text($spec, 'id');

        $part = PartRecord::query()->create(
            [...self::columns($spec, BuildReader::parts(self::fields([$spec]))), 'user_id' => $user->id, 'key' => $key, 'version' => 1],
        );
        self::refuseTooMuch($user);

        return $part;
    }

    /** @throws ValidationException when the library would grow beyond what its file may hold */
    private static function refuseTooMuch(User $user): void
    {
        $kept = PartRecord::query()->where('user_id', $user->id)->toBase()->selectRaw(
            'count(*) as parts, coalesce(sum(length(spec) + 1), 0) as bytes',
        )->first();
        [$parts, $bytes] = is_object($kept) && is_numeric($kept->parts) && is_numeric($kept->bytes) ? [(int) $kept->parts, (int) $kept->bytes] : [0, 0];
        if ($parts > self::MOST_PARTS || $bytes > Format::MOST_BYTES - self::FRAME_BYTES) {
            throw ValidationException::withMessages(['part.name' => sprintf(
                'A library holds at most %d parts and %.0f MB, so that its file can always be taken in again. Remove some first.',
                self::MOST_PARTS,
                Format::MOST_BYTES / 1e6,
            )]);
        }
    }

    /**
     * @param  array<string, mixed>  $spec
     * @param  array<array-key, Part>  $parts  the one part that the spec says
     * @return array{name: string, role: string, maker: string, summary: string, spec: array<string, mixed>}
     */
    private static function columns(array $spec, array $parts): array
    {
        $part = array_values($parts)[0];

        return ['name' => $part->name, 'role' => $part->role->value, 'maker' => $part->maker, 'summary' => $part->summary, 'spec' => $spec];
    }

    /** @param  list<array<string, mixed>>  $specs */
    private static function fields(array $specs): Fields
    {
        return new Fields(['parts' => $specs]);
    }

    private static function format(): Format
    {
        return new Format(Format::LIBRARY, (string) file_get_contents(base_path('core/schema/library.schema.json')));
    }

    private static function freeKey(User $user, string $name): string
    {
        $base = Str::limit(Str::slug($name), 70, '');
        $base = $base === '' ? 'part' : $base;
        $taken = PartRecord::query()->whereIn('user_id', [$user->id, User::shelf()->id])->where(
            'key',
            'like',
            addcslashes($base, '%_\\').'%')->pluck('key')->flip();
        for ($number = 1; ; $number++) {
            $key = $number === 1 ? $base : "{$base}-{$number}";
            if (! $taken->has($key)) {
                return $key;
            }
        }
    }

    /** @param  array<string, mixed>  $given */
    private static function text(array $given, string $field): string
    {
        return is_string($given[$field] ?? null) ? $given[$field] : '';
    }
}
