<?php

declare(strict_types=1);

namespace App\Actions;

use App\Mapping\BuildMapper;
use App\Models\BuildPartRecord;
use App\Models\BuildRecord;
use App\Models\DrawerClaimRecord;
use App\Models\DrawerPhotoRecord;
use App\Models\DrawerPieceRecord;
use App\Models\LineRecord;
use App\Models\RowLock;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use PocketPlot\Build\Order;
use PocketPlot\Build\Origin;
use PocketPlot\Build\SupplyState;
use PocketPlot\Part\Role;
use PocketPlot\Quantity\Cents;
use PocketPlot\Sourcing\Costs;

/**
 * What is owned, across builds. A claim reserves pieces for a line; the same piece is never claimed twice: the build is locked first,
 * then the piece, always in this order.
 *
 * @phpstan-type Given array{name: string, role: string, quantity: int, part_key: string, spec: array<string, mixed>, place?: string, condition?: string,
 *     origin?: string, came_from?: string, value_amount?: ?string, value_currency?: ?string, note?: string}
 */
final class DrawerPieces
{
    /** How a line's origin is told of a piece. */
    private const ORIGINS = ['buy' => 'bought', 'gift' => 'gift', 'salvage' => 'salvaged'];

    /** Pieces of one builder, kinds of them; each may be many. */
    private const MOST = 20_000;

    /** @param  Given  $given */
    public static function put(User|int $user, array $given): DrawerPieceRecord
    {
        $id = $user instanceof User ? $user->id : $user;
        if (DrawerPieceRecord::query()->where('user_id', $id)->count() >= self::MOST) {
            throw ValidationException::withMessages(['name' => 'The drawer holds at most '.self::MOST.' kinds of pieces.']);
        }

        return DrawerPieceRecord::query()->create([
            'place' => '', 'condition' => 'new', 'origin' => 'bought', 'came_from' => '', 'note' => '', ...$given, 'user_id' => $id,
        ]);
    }

    /** Keeps a photograph of it, in the place of the one before. */
    public static function picture(DrawerPieceRecord $piece, string $dataUrl): void
    {
        DrawerPhotoRecord::query()->updateOrCreate(['piece_id' => $piece->id], ['jpeg' => Photo::jpeg($dataUrl)]);
    }

    /** @param  array<string, mixed>  $given  validated fields of DrawerPieceRequest, by column */
    public static function change(DrawerPieceRecord $piece, int $version, array $given, string $photo = ''): void
    {
        DB::transaction(static function () use ($piece, $version, $given, $photo): void {
            $locked = self::locked($piece->id);
            if ($locked->version !== $version) {
                throw new StalePart;
            }
            $quantity = is_int($given['quantity'] ?? null) ? $given['quantity'] : $locked->quantity;
            if ($quantity < $locked->claimed()) {
                throw ValidationException::withMessages(['quantity' => "{$locked->claimed()} of these are claimed by builds. Let go of those first."]);
            }
            $locked->fill([...$given, 'version' => $version + 1])->save();
            $photo === '' || self::picture($locked, $photo);
        });
    }

    public static function remove(DrawerPieceRecord $piece): void
    {
        DB::transaction(static function () use ($piece): void {
            $locked = self::locked($piece->id);
            if ($locked->claimed() > 0) {
                throw ValidationException::withMessages(['piece' => 'A build has claimed some of these. Let go of them there first.']);
            }
            $locked->delete();
        });
    }

    /**
     * Takes a donor apart: one of it goes, what came out of it is put in.
     *
     * @param  list<array{name: string, role: string, quantity: int, condition: string}>  $parts
     */
    public static function breakUp(DrawerPieceRecord $piece, array $parts): void
    {
        DB::transaction(static function () use ($piece, $parts): void {
            $donor = self::locked($piece->id);
            if ($donor->quantity - $donor->claimed() < 1) {
                throw ValidationException::withMessages(['piece' => 'All of these are claimed by builds. Let go of one first.']);
            }
            foreach ($parts as $part) {
                self::put($donor->user_id, [
                    'name' => $part['name'], 'role' => $part['role'], 'quantity' => $part['quantity'], 'condition' => $part['condition'],
                    'part_key' => '', 'spec' => ['name' => $part['name'], 'role' => $part['role'], 'facets' => []],
                    'place' => $donor->place, 'origin' => 'salvaged', 'came_from' => $donor->name,
                ]);
            }
            $donor->quantity === 1 ? $donor->delete() : $donor->fill(['quantity' => $donor->quantity - 1, 'version' => $donor->version + 1])->save();
        });
    }

    /**
     * Reserves pieces for a line; inside of the edit of its build. A piece of another part than the line's takes its place.
     *
     * @throws ValidationException when there are not so many left, or the line needs no more
     */
    public static function claim(BuildRecord $build, string $lineKey, int $pieceId, int $quantity, bool $atValue): void
    {
        $line = Lines::find($build, $lineKey);
        $piece = self::locked($pieceId, $build->user_id);
        $left = $piece->quantity - $piece->claimed();
        $already = DrawerClaimRecord::query()->where('line_id', $line->id)->where('piece_id', $piece->id)->first();
        if ($quantity > $left) {
            $says = $left === 0 ? "No {$piece->name} is left in the drawer." : "{$left} of {$piece->name} are left in the drawer.";
            throw ValidationException::withMessages(['quantity' => $says]);
        }
        if ($line->owned + $quantity > $line->quantity) {
            throw ValidationException::withMessages(['quantity' => "The line needs {$line->quantity}, and {$line->owned} are claimed for it already."]);
        }
        if ($piece->part_key !== '' && BuildPartRecord::query()->findOrFail($line->build_part_id)->key !== $piece->part_key && $line->owned === 0) {
            $line->build_part_id = Lines::copyOf($build, $piece->part_key, $piece->spec)->id;
        }
        DrawerClaimRecord::query()->updateOrCreate(
            ['line_id' => $line->id, 'piece_id' => $piece->id], ['quantity' => ($already->quantity ?? 0) + $quantity],
        );
        $line->owned += $quantity;
        if ($line->owned === $line->quantity) {
            $line->fill(['origin' => $piece->origin === 'salvaged' ? Origin::Salvage->value : Origin::Own->value, 'expected_on' => null]);
            $line->state = $piece->condition === 'used-tested' ? SupplyState::Tested->value : SupplyState::Arrived->value;
            // At its value where the builder wants it counted, else at nothing.
            $line->fill($atValue
                ? ['price_amount' => $piece->value_amount, 'price_currency' => $piece->value_amount === null ? null : $piece->value_currency]
                : ['price_amount' => null, 'price_currency' => null]);
        }
        $line->save();
    }

    /** Gives back what a line has claimed; it is to be bought again. */
    public static function letGo(BuildRecord $build, string $lineKey): void
    {
        $line = Lines::find($build, $lineKey);
        if ($line->owned > 0) {
            DrawerClaimRecord::query()->where('line_id', $line->id)->delete();
            $line->fill([
                'owned' => 0, 'state' => SupplyState::Chosen->value, 'origin' => Origin::Buy->value, 'price_amount' => null, 'price_currency' => null,
            ])->save();
        }
    }

    /** What a build that is given up has claimed goes back into the drawer. */
    public static function letGoAll(BuildRecord $build): void
    {
        foreach (LineRecord::query()->where('build_id', $build->id)->where('owned', '>', 0)->pluck('key') as $key) {
            self::letGo($build, is_string($key) ? $key : '');
        }
    }

    /** What a finished or given-up build has at hand goes into the drawer, at what it cost; there the next build finds it. */
    public static function leave(BuildRecord $build): void
    {
        self::letGoAll($build);
        $core = BuildMapper::toCore($build->unsetRelations()->load(BuildMapper::RELATIONS));
        $costs = Costs::of($core);
        foreach ($core->chosen() as $line) {
            if (! $line->state->isAtHand()) {
                continue;
            }
            $cents = intdiv(($costs->lines[$line->id] ?? null)?->whole() ?? 0, max(1, $line->quantity));
            self::put($build->user_id, [
                'name' => mb_substr($line->part->name, 0, 120), 'role' => $line->role->value, 'quantity' => $line->quantity,
                'part_key' => $line->part->id, 'spec' => $line->part->raw,
                'condition' => $line->state === SupplyState::Tested ? 'used-tested' : 'used-untested',
                'origin' => self::ORIGINS[$line->origin->value] ?? 'salvaged', 'came_from' => $build->name,
                'value_amount' => $cents === 0 ? null : Cents::says($cents), 'value_currency' => $cents === 0 ? null : $core->brief->currency,
            ]);
            Lines::find($build, $line->id)->fill(['state' => SupplyState::Chosen->value, 'origin' => Origin::Buy->value])->save();
        }
    }

    /** Pieces that came with an order and are not needed for the build. */
    public static function fromOrder(BuildRecord $build, Order $before, Order $after, int $at, string $place): void
    {
        [$was, $is] = [$before->items[$at], $after->items[$at]];
        $wrong = min($was->wrong, $is->putAway) - min($was->wrong, $was->putAway);
        $right = $is->putAway - $was->putAway - $wrong;
        $spec = BuildPartRecord::query()->where('build_id', $build->id)->where('key', $is->part)->first()->spec ?? ['name' => $is->name, 'facets' => []];
        $role = is_string($spec['role'] ?? null) ? $spec['role'] : Role::Material->value;
        foreach (array_filter(['right' => $right, 'wrong' => $wrong]) as $how => $pieces) {
            $isWrong = $how === 'wrong';
            self::put($build->user_id, [
                'name' => mb_substr($is->name.($isWrong ? ' (wrong variant)' : ''), 0, 120), 'role' => $role, 'quantity' => $pieces,
                // What came instead is another part than the one that was ordered: of its figures nothing is known.
                'part_key' => $isWrong ? '' : $is->part,
                'spec' => $isWrong ? ['name' => $is->name.' (wrong variant)', 'role' => $role, 'facets' => []] : $spec,
                'place' => $place, 'condition' => $is->tested > 0 && ! $isWrong ? 'used-tested' : 'new', 'came_from' => "{$after->vendor}, {$after->id}",
                'value_amount' => number_format($is->landed() / max(1, $is->pieces) / 100, 2, '.', ''), 'value_currency' => $after->currency,
            ]);
        }
    }

    /**
     * Takes out of the drawer again what an order put in, when that is undone.
     *
     * @param  array<string, mixed>  $after  the order's document as it stands
     * @param  array<string, mixed>  $before  as it is to be again
     *
     * @throws ValidationException when a build has claimed it meanwhile
     */
    public static function takeBack(int $user, string $order, array $after, array $before): void
    {
        $vendor = is_string($after['vendor'] ?? null) ? $after['vendor'] : '';
        $last = DrawerPieceRecord::query()->where('user_id', $user)->where('came_from', "{$vendor}, {$order}")->latest('id')->get();
        foreach ($last->take(self::kinds($after, $before)) as $row) {
            $piece = self::locked($row->id);
            if ($piece->claimed() > 0) {
                throw ValidationException::withMessages(['did' => "{$piece->name} is claimed by a build by now. Let go of it there first."]);
            }
            $piece->delete();
        }
    }

    /**
     * How many rows the last putting away made: wrong and right ones lie apart.
     *
     * @param  array<string, mixed>  $after
     * @param  array<string, mixed>  $before
     */
    private static function kinds(array $after, array $before): int
    {
        $kinds = 0;
        $items = static fn (array $order): array => is_array($order['items'] ?? null) ? $order['items'] : [];
        foreach ($items($after) as $at => $is) {
            $was = $items($before)[$at] ?? [];
            $count = static fn (mixed $item, string $key): int => is_array($item) && is_numeric($item[$key] ?? null) ? (int) $item[$key] : 0;
            $away = $count($is, 'putAway') - $count($was, 'putAway');
            $wrong = min($count($is, 'wrong'), $count($is, 'putAway')) - min($count($is, 'wrong'), $count($was, 'putAway'));
            $kinds += ($wrong > 0 ? 1 : 0) + ($away - $wrong > 0 ? 1 : 0);
        }

        return $kinds;
    }

    private static function locked(int $id, ?int $user = null): DrawerPieceRecord
    {
        $piece = DrawerPieceRecord::query()->whereKey($id)->when($user !== null, static fn ($query) => $query->where('user_id', $user));
        RowLock::on($piece->clone());

        return $piece->tap(static fn ($query) => $query->lockForUpdate())->firstOrFail()
            // Read under the lock as well: the transaction's own picture is older than what another one has just claimed.
            ->load(['claims' => static fn ($claims) => $claims->lockForUpdate()]);
    }
}
