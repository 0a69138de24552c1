<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use PocketPlot\File\Json;
use PocketPlot\File\Upgrade\FromVersion2;

/** Places in the body; parts and builds as version 3 of the formats has them. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('builds', fn (Blueprint $table) => $table->json('fit')->nullable());
        // Only what names one of the new keys by chance is another afterwards.
        foreach (['parts', 'build_parts'] as $table) {
            foreach (DB::table($table)->where('spec', 'like', '%"blocks"%')->orWhere('spec', 'like', '%"ribs"%')->get(['id', 'spec']) as $row) {
                $spec = is_string($row->spec) ? json_decode($row->spec, false, 64, JSON_THROW_ON_ERROR) : null;
                if ($spec instanceof stdClass) {
                    DB::table($table)->where('id', $row->id)->update(['spec' => Json::encode(FromVersion2::part($spec))]);
                }
            }
        }
        foreach (DB::table('builds')->where('extra', 'like', '%"fit"%')->get(['id', 'extra']) as $row) {
            $extra = is_string($row->extra) ? json_decode($row->extra, false, 64, JSON_THROW_ON_ERROR) : null;
            if ($extra instanceof stdClass && property_exists($extra, 'fit')) {
                $extra->{'own-fit'} = $extra->fit;
                unset($extra->fit);
                DB::table('builds')->where('id', $row->id)->update(['extra' => Json::encode($extra)]);
            }
        }
        DB::table('builds')->update(['card' => null, 'card_made' => '']);
    }

    public function down(): void
    {
        Schema::table('builds', fn (Blueprint $table) => $table->dropColumn('fit'));
    }
};
