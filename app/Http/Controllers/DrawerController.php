<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\DrawerPieces;
use App\Actions\EditBuild;
use App\Http\Requests\BreakUpRequest;
use App\Http\Requests\ClaimRequest;
use App\Http\Requests\DrawerPieceRequest;
use App\Http\Requests\EditRequest;
use App\Library\DrawerQueries;
use App\Models\BuildRecord;
use App\Models\DrawerPieceRecord;
use App\Models\PartRecord;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use PocketPlot\Clipping\RoleGuess;
use PocketPlot\Part\Role;

/** What a builder owns, and who has claimed it. */
final class DrawerController
{
    public function index(Request $request, User $user): JsonResponse
    {
        $given = $request->validate([
            'q' => ['nullable', 'string', 'max:200'], 'role' => ['nullable', 'string', 'max:20'], 'from' => ['nullable', 'integer', 'min:0', 'max:100000'],
        ]);
        $text = static fn (string $field): string => is_string($given[$field] ?? null) ? $given[$field] : '';
        [$total, $rows] = DrawerQueries::search($user, $text('q'), $text('role'), $request->integer('from'));

        return new JsonResponse(['total' => $total, 'pieces' => $rows->map(DrawerQueries::shown(...))->values()->all()]);
    }

    public function store(DrawerPieceRequest $request, User $user): JsonResponse
    {
        $part = $request->filled('part') ? PartRecord::visibleTo($user)->findOrFail($request->integer('part')) : null;
        $name = $part === null ? $request->string('name')->trim()->toString() : $part->name;
        $role = $part === null ? $this->role($request, $name) : $part->role;
        $photo = $request->string('photo')->toString();
        $piece = DB::transaction(static function () use ($request, $user, $part, $name, $role, $photo): DrawerPieceRecord {
            $piece = DrawerPieces::put($user, [
                ...$request->columns(), 'name' => $name, 'role' => $role, 'part_key' => $part->key ?? '',
                'spec' => $part->spec ?? ['name' => $name, 'role' => $role, 'facets' => []],
            ]);
            $photo === '' || DrawerPieces::picture($piece, $photo);

            return $piece;
        });

        return new JsonResponse(DrawerQueries::shown($piece->refresh()->load('claims.line')->loadExists('photo')), 201);
    }

    public function update(DrawerPieceRequest $request, DrawerPieceRecord $piece): JsonResponse
    {
        $name = $request->string('name')->trim()->toString();
        DrawerPieces::change($piece, $request->integer('version'), [
            ...$request->columns(), ...($name === '' || $piece->part_key !== '' ? [] : ['name' => $name, 'spec' => [...$piece->spec, 'name' => $name]]),
        ], $request->string('photo')->toString());

        return new JsonResponse(DrawerQueries::shown($piece->refresh()->load('claims.line')->loadExists('photo')));
    }

    public function photo(DrawerPieceRecord $piece): Response
    {
        $photo = $piece->photo()->firstOrFail();

        return new Response($photo->jpeg, 200, ['Content-Type' => 'image/jpeg', 'Cache-Control' => 'private, max-age=86400']);
    }

    public function destroy(DrawerPieceRecord $piece): JsonResponse
    {
        DrawerPieces::remove($piece);

        return new JsonResponse(['id' => $piece->id]);
    }

    public function restore(DrawerPieceRecord $piece): JsonResponse
    {
        DB::transaction(static fn () => $piece->restore());

        return new JsonResponse(DrawerQueries::shown($piece->load('claims.line')->loadExists('photo')));
    }

    public function breakUp(BreakUpRequest $request, DrawerPieceRecord $piece): JsonResponse
    {
        DrawerPieces::breakUp($piece, $request->whole());

        return new JsonResponse(['id' => $piece->id]);
    }

    /** What of the drawer would do for the lines of a build. */
    public function forBuild(User $user, BuildRecord $build): JsonResponse
    {
        return new JsonResponse(['lines' => (object) DrawerQueries::forBuild($user, $build)]);
    }

    public function claim(ClaimRequest $request, BuildRecord $build): JsonResponse
    {
        return EditBuild::run($build, $request->version(), static function (BuildRecord $build) use ($request): void {
            DrawerPieces::claim(
                $build, $request->string('line')->toString(), $request->integer('piece'), $request->integer('quantity'), $request->boolean('atValue'),
            );
        });
    }

    public function letGo(EditRequest $request, BuildRecord $build, string $line): JsonResponse
    {
        return EditBuild::run($build, $request->version(), static fn (BuildRecord $build) => DrawerPieces::letGo($build, $line));
    }

    /** @throws ValidationException when no word of the name tells what it is for */
    private function role(DrawerPieceRequest $request, string $name): string
    {
        $role = $request->enum('role', Role::class) ?? RoleGuess::of($name);

        return $role->value ?? throw ValidationException::withMessages(['role' => "Choose what \"{$name}\" is for; its name does not tell."]);
    }
}
