<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\BuildRecord;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** A new build: blank, or a copy of a demo build. */
final class StartBuild
{
    public const DEMOS = ['refuge', 'thimble', 'barge'];

    /** Used until the builder sets their own. The stand-in for an exchange rate service. */
    public const RATES = ['base' => 'EUR', 'worth' => ['GBP' => '1.1700', 'SEK' => '0.0880'], 'asOf' => '2026-11-02', 'source' => 'shipped stand-in rates'];

    public static function blank(User $user, string $name): BuildRecord
    {
        return DB::transaction(static fn (): BuildRecord => BuildRecord::query()->create([
            'user_id' => $user->id,
            'name' => $name,
            'brief' => ['currency' => $user->home_currency],
            'rates' => self::RATES,
            'extra' => [],
        ])->refresh());
    }

    public static function fromDemo(User $user, string $demo, ?string $name): BuildRecord
    {
        return ImportBuild::as($user, self::demoFile($demo), $name);
    }

    public static function demoFile(string $demo): string
    {
        return (string) file_get_contents(base_path("demo/{$demo}.pocketplot.json"));
    }
}
