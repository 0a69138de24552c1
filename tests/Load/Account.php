<?php

declare(strict_types=1);

namespace Tests\Load;

use App\Actions\DrawerPieces;
use App\Actions\StartBuild;
use App\Models\BuildRecord;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** An account of the trial: two builds, and one piece in the drawer that both could use. */
final readonly class Account
{
    /** @param  list<string>  $builds ids */
    public function __construct(public string $email, public array $builds, public int $piece, public string $line) {}

    /** One that Visitor::signIn() comes in by. Needs the application booted on the same database, as what follows does. */
    public static function open(string $email): User
    {
        return User::query()->create(['name' => 'Under load', 'email' => $email, 'password' => Visitor::PASSWORD, 'sessions_key' => User::newSessionsKey()]);
    }

    public static function make(int $number): self
    {
        return DB::transaction(static function () use ($number): self {
            $email = "editor-{$number}@example.test";
            $user = self::open($email);
            $builds = array_map(static fn (): BuildRecord => StartBuild::fromDemo($user, 'thimble', null), [1, 2]);
            $line = $builds[0]->lines()->where('owned', 0)->where('quantity', 1)->firstOrFail();
            $part = $line->getRelationValue('part') ?? $builds[0]->parts()->findOrFail($line->build_part_id);
            $piece = DrawerPieces::put($user, [
                'name' => 'The only one', 'role' => $line->role, 'part_key' => $part->key, 'spec' => $part->spec, 'quantity' => 1,
            ]);

            return new self($email, array_map(static fn (BuildRecord $build): string => $build->id, $builds), $piece->id, $line->key);
        });
    }
}
