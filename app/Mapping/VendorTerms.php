<?php

declare(strict_types=1);

namespace App\Mapping;

use App\Models\BuildRecord;
use App\Models\User;
use App\Models\VendorRecord;
use Illuminate\Support\Collection;
use PocketPlot\Build\Build;
use PocketPlot\Build\Vendor;
use PocketPlot\File\Fields;
use PocketPlot\File\VendorReader;

/** Whose terms count for a build: the builder's own notes, else what came with the build's file, else the shared shelf. */
final class VendorTerms
{
    /** @return array<string, Vendor> all that one can buy from, by name: a part that is only thought of may be sold by any of them */
    public static function of(BuildRecord $build): array
    {
        // Asked by the owners, so that the index of the vendors is used, whoever else has written down some.
        $owners = User::query()->select('id')->where('email', config('pocketplot.shelf_email'))->orWhere('id', $build->user_id);
        $rows = VendorRecord::query()->whereIn('user_id', $owners);
        $documents = [];
        $ranks = [];
        /** @var Collection<int, VendorRecord> $found */
        $found = $rows->get();
        foreach ($found as $row) {
            $rank = $row->user_id === $build->user_id ? 2 : 0;
            if ($rank >= ($ranks[$row->name] ?? 0)) {
                [$documents[$row->name], $ranks[$row->name]] = [$row->document(), $rank];
            }
        }
        foreach ($build->vendors ?? [] as $document) {
            $name = $document['name'] ?? null;
            if (is_string($name) && ($ranks[$name] ?? 0) < 2) {
                $documents[$name] = $document;
            }
        }

        return array_map(static fn (array $one): Vendor => VendorReader::read(new Fields($one, 'vendors')), $documents);
    }

    /** The build with the terms that go into its file: of those it buys or could buy its parts from, and those that came with a file. */
    public static function toSave(BuildRecord $record, Build $build): Build
    {
        $names = array_fill_keys(array_filter(array_column($record->vendors ?? [], 'name'), is_string(...)), true);
        foreach ($build->lines as $line) {
            $names[$line->vendor] = true;
            foreach ($line->part->offers as $offer) {
                $names[$offer->vendor] = true;
            }
        }
        foreach ($build->orders as $order) {
            $names[$order->vendor] = true;
        }

        return $build->withVendors(array_intersect_key($build->vendors, $names));
    }
}
