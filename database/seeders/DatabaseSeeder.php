<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Actions\DrawerPieces;
use App\Actions\StartBuild;
use App\Models\BuildRecord;
use App\Models\OfferRecord;
use App\Models\PartRecord;
use App\Models\User;
use App\Models\VendorRecord;
use Illuminate\Database\Seeder;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use PocketPlot\File\BuildReader;
use PocketPlot\File\Fields;
use PocketPlot\File\Format;

/** The shared shelf of parts and vendors, and the demo builder with the demo builds. Runs once; again it only freshens the shelf: what the shelf no longer has goes; builds and builders keep their own copies. */
final class DatabaseSeeder extends Seeder
{
    public function run(): void
    {
        // Each whole or not at all: a start that is killed here begins again where it was.
        DB::transaction($this->shelf(...));
        if (config('pocketplot.demo') === true) {
            DB::transaction($this->demoBuilder(...));
        }
    }

    private function shelf(): void
    {
        $shelf = User::query()->firstOrCreate(
            ['email' => config('pocketplot.shelf_email')],
            ['name' => 'The shared shelf', 'password' => Str::random(40), 'sessions_key' => User::newSessionsKey()],
        );
        $document = self::library('library');
        $names = [];
        foreach ($document->children('vendors') as $vendor) {
            $names[] = $vendor->string('name');
            VendorRecord::query()->updateOrCreate(
                ['user_id' => $shelf->id, 'name' => $vendor->string('name')],
                [
                    'currency' => $vendor->string('currency'), 'lead_days' => $vendor->int('leadDays', 7), 'note' => $vendor->string('note', ''),
                    'terms' => $vendor->rest(['name', 'currency', 'leadDays', 'note']) ?: null,
                ],
            );
        }
        VendorRecord::query()->where('user_id', $shelf->id)->whereNotIn('name', $names)->delete();
        self::parts($shelf, $document);
        self::offers($shelf, $document);
        $typical = User::query()->firstOrCreate(
            ['email' => config('pocketplot.typical_email')],
            ['name' => 'Typical parts', 'password' => Str::random(40), 'sessions_key' => User::newSessionsKey()],
        );
        self::parts($typical, self::library('typical'));
    }

    private static function library(string $name): Fields
    {
        $schema = (string) file_get_contents(base_path('core/schema/library.schema.json'));

        return new Fields((new Format(Format::LIBRARY, $schema))->decode((string) file_get_contents(base_path("demo/{$name}.pocketplot.json"))));
    }

    private static function offers(User $shelf, Fields $document): void
    {
        OfferRecord::query()->where('user_id', $shelf->id)->delete();
        foreach ($document->children('offers') as $offer) {
            OfferRecord::query()->create([
                'user_id' => $shelf->id, 'part_key' => $offer->string('part'), 'vendor' => $offer->string('vendor'), 'pieces' => $offer->atLeastOne('pieces'),
                'prices' => array_map(
                    static fn (Fields $one): array => ['from' => $one->atLeastOne('from'), 'price' => $one->string('price')], $offer->children('prices'),
                ),
                'condition' => $offer->string('condition', 'new'), 'stock' => $offer->has('stock') ? $offer->int('stock') : null,
                'seen_on' => (string) $offer->day('seenOn'), 'link' => $offer->string('link', ''),
            ]);
        }
    }

    private static function parts(User $owner, Fields $document): void
    {
        $keys = [];
        foreach (BuildReader::parts($document) as $part) {
            $keys[] = $part->id;
            PartRecord::query()->updateOrCreate(
                ['user_id' => $owner->id, 'key' => $part->id],
                ['name' => $part->name, 'role' => $part->role->value, 'maker' => $part->maker, 'summary' => $part->summary, 'spec' => $part->raw],
            );
        }
        PartRecord::query()->where('user_id', $owner->id)->whereNotIn('key', $keys)->delete();
    }

    private function demoBuilder(): void
    {
        $demo = User::query()->firstOrCreate(
            ['email' => config('pocketplot.demo_email')],
            ['name' => 'Demo builder', 'password' => Str::random(40), 'sessions_key' => User::newSessionsKey()],
        );
        if ($demo->wasRecentlyCreated || $this->wasCutShort($demo)) {
            foreach (array_reverse(StartBuild::DEMOS) as $slug) {
                StartBuild::fromDemo($demo, $slug, null);
            }
            self::drawer($demo);
        }
    }

    private static function drawer(User $demo): void
    {
        $document = new Fields((array) json_decode((string) file_get_contents(base_path('demo/drawer.json')), true, flags: JSON_THROW_ON_ERROR));
        foreach ($document->children('pieces') as $piece) {
            $part = $piece->has('part') ? PartRecord::query()->where('user_id', User::shelf()->id)->where('key', $piece->string('part'))->firstOrFail() : null;
            $name = $part->name ?? $piece->string('name');
            $role = $part->role ?? $piece->string('role');
            DrawerPieces::put($demo, [
                'name' => $name, 'role' => $role, 'part_key' => $part->key ?? '', 'spec' => $part->spec ?? ['name' => $name, 'role' => $role, 'facets' => []],
                'quantity' => $piece->int('quantity', 1), 'place' => $piece->string('place', ''), 'condition' => $piece->string('condition'),
                'origin' => $piece->string('origin'), 'came_from' => $piece->string('cameFrom', ''),
                'value_amount' => $piece->has('value') ? $piece->string('value') : null, 'value_currency' => $piece->has('value') ? 'EUR' : null,
                'note' => $piece->string('note', ''),
            ]);
        }
    }

    /** A demo builder without a build of any age was made by a first start that was killed; one who threw all of them away has them still, put aside. */
    private function wasCutShort(User $demo): bool
    {
        return ! BuildRecord::withTrashed()->where('user_id', $demo->id)->exists();
    }
}
