<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;
use PocketPlot\File\Json;
use PocketPlot\File\Upgrade\FromVersion1;

/** What is kept as JSON speaks the words of version 2 of the formats: parts, copies of parts, briefs, joins. */
return new class extends Migration
{
    public function up(): void
    {
        foreach (['parts', 'build_parts'] as $table) {
            DB::table($table)->select(['id', 'spec'])->orderBy('id')->each(static function (object $row) use ($table): void {
                DB::table($table)->where('id', $row->id)->update(['spec' => self::upgraded($row->spec, FromVersion1::part(...))]);
            }, 200);
        }
        DB::table('builds')->select(['id', 'brief'])->orderBy('id')->each(static function (object $row): void {
            DB::table('builds')->where('id', $row->id)->update(
                ['brief' => self::upgraded($row->brief, FromVersion1::brief(...)), 'card' => null, 'card_made' => ''],
            );
        }, 200);
        DB::table('build_joins')->where('kind', 'picture')->update(['kind' => 'video']);
    }

    public function down(): void
    {
        throw new LogicException('Version 2 cannot be turned back; take the copy that was made before the update.');
    }

    /** @param  callable(array<mixed>|stdClass): (array<mixed>|stdClass)  $upgrade */
    private static function upgraded(string $json, callable $upgrade): string
    {
        $value = json_decode($json, false, 64, JSON_THROW_ON_ERROR);

        return $value instanceof stdClass ? Json::encode($upgrade($value)) : $json;
    }
};
