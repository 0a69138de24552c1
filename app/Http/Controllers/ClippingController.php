<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\ClippingRequest;
use App\Mapping\Today;
use Illuminate\Http\JsonResponse;
use PocketPlot\Clipping\Filling;
use PocketPlot\Clipping\Names;
use PocketPlot\Clipping\Proposal;
use PocketPlot\Clipping\Reader;
use PocketPlot\Clipping\RoleGuess;
use PocketPlot\Clipping\SureFinds;
use PocketPlot\Part\Role;

/** Reads pasted texts. Nothing is stored: what is confirmed comes back with the part. */
final class ClippingController
{
    /** What a text says of a part of some role; with "take", the part with those finds in it. */
    public function read(ClippingRequest $request): JsonResponse
    {
        $text = $request->string('text')->toString();
        $role = $request->enum('role', Role::class) ?? RoleGuess::of($text);
        $isList = Names::areIn($text);
        $filling = $role === null ? null : new Filling(Reader::read($text, $role), $role, (string) Today::day(), $text);
        $part = $request->part();

        return new JsonResponse([
            'role' => $role?->value,
            'name' => Names::first($text),
            'names' => $isList ? array_map(
                static fn (string $name): array => [
                    'name' => $name, 'role' => RoleGuess::of($name)?->value, 'finds' => SureFinds::says($name, RoleGuess::of($name)),
                ],
                array_slice(Names::of($text), 0, 100),
            ) : [],
            'proposals' => array_map(static fn (Proposal $one): array => $one->toArray(), $filling?->proposals($part) ?? []),
            'part' => $request->has('take') && $filling !== null ? (object) $filling->put($part, $request->take()) : null,
        ]);
    }
}
