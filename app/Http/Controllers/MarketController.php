<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\StalePart;
use App\Http\Requests\OfferRequest;
use App\Http\Requests\VendorRequest;
use App\Library\MarketQueries;
use App\Models\OfferRecord;
use App\Models\User;
use App\Models\VendorRecord;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Vendors with their terms, and offers that were seen. */
final class MarketController
{
    public function vendors(User $user): JsonResponse
    {
        return new JsonResponse(['vendors' => MarketQueries::vendors($user)->map(static fn (VendorRecord $one): array => self::vendor($one, $user))->all()]);
    }

    /** A vendor of one's own; one of the shelf written anew is one's own from then on. */
    public function keepVendor(VendorRequest $request, User $user): JsonResponse
    {
        $columns = $request->columns();
        $row = DB::transaction(static function () use ($user, $columns): VendorRecord {
            if (VendorRecord::query()->where('user_id', $user->id)->where('name', $columns['name'])->exists()) {
                throw ValidationException::withMessages(['name' => 'You have a vendor of this name. Change that one.']);
            }

            return VendorRecord::query()->create([...$columns, 'user_id' => $user->id])->refresh();
        });

        return new JsonResponse(self::vendor($row, $user), 201);
    }

    public function changeVendor(VendorRequest $request, User $user, VendorRecord $vendor): JsonResponse
    {
        $columns = $request->columns();
        $row = DB::transaction(static function () use ($vendor, $request, $columns, $user): VendorRecord {
            $locked = VendorRecord::query()->whereKey($vendor->id)->tap(static fn ($query) => $query->lockForUpdate())->firstOrFail();
            if ($locked->version !== $request->integer('version')) {
                throw new StalePart;
            }
            if (VendorRecord::query()->where('user_id', $user->id)->where('name', $columns['name'])->whereKeyNot($vendor->id)->exists()) {
                throw ValidationException::withMessages(['name' => 'You have another vendor of this name.']);
            }
            $locked->fill([...$columns, 'version' => $locked->version + 1])->save();

            return $locked;
        });

        return new JsonResponse(self::vendor($row, $user));
    }

    /** Orders keep the name, the day and the money of a vendor that is removed. */
    public function removeVendor(VendorRecord $vendor): JsonResponse
    {
        DB::transaction(static fn () => $vendor->delete());

        return new JsonResponse(['id' => $vendor->id]);
    }

    public function keepOffer(OfferRequest $request, User $user): JsonResponse
    {
        $row = DB::transaction(static function () use ($request, $user): OfferRecord {
            if (OfferRecord::query()->where('user_id', $user->id)->count() >= MarketQueries::MOST_OFFERS) {
                throw ValidationException::withMessages(['vendor' => 'You keep as many offers as can be kept. Remove old ones first.']);
            }
            self::refuseStranger($user, $request->string('vendor')->toString());

            return OfferRecord::query()->create([...$request->columns(), 'user_id' => $user->id])->refresh();
        });

        return new JsonResponse(self::offer($row), 201);
    }

    public function changeOffer(OfferRequest $request, User $user, OfferRecord $offer): JsonResponse
    {
        $row = DB::transaction(static function () use ($request, $user, $offer): OfferRecord {
            $locked = OfferRecord::query()->whereKey($offer->id)->tap(static fn ($query) => $query->lockForUpdate())->firstOrFail();
            if ($locked->version !== $request->integer('version')) {
                throw new StalePart;
            }
            self::refuseStranger($user, $request->string('vendor')->toString());
            $locked->fill([...$request->columns(), 'version' => $locked->version + 1])->save();

            return $locked;
        });

        return new JsonResponse(self::offer($row));
    }

    public function removeOffer(OfferRecord $offer): JsonResponse
    {
        DB::transaction(static fn () => $offer->delete());

        return new JsonResponse(['id' => $offer->id]);
    }

    /** @throws ValidationException */
    private static function refuseStranger(User $user, string $name): void
    {
        if (! MarketQueries::vendors($user)->contains('name', $name)) {
            throw ValidationException::withMessages(['vendor' => "There is no vendor \"{$name}\" yet. Write down its terms first."]);
        }
    }

    /** @return array<string, mixed> */
    private static function vendor(VendorRecord $row, User $user): array
    {
        $terms = $row->terms ?? [];

        return [
            'id' => $row->id, 'version' => $row->version, 'own' => $row->user_id === $user->id,
            'name' => $row->name, 'currency' => $row->currency, 'leadDays' => $row->lead_days, 'note' => $row->note,
            'saysPost' => isset($terms['post']), 'terms' => (object) $terms,
        ];
    }

    /** @return array<string, mixed> */
    private static function offer(OfferRecord $row): array
    {
        return [
            'id' => $row->id, 'version' => $row->version, 'partKey' => $row->part_key, 'vendor' => $row->vendor, 'variant' => $row->variant,
            'pieces' => $row->pieces, 'prices' => $row->prices, 'condition' => $row->condition, 'stock' => $row->stock,
            'seenOn' => substr($row->seen_on, 0, 10), 'link' => $row->link,
        ];
    }
}
