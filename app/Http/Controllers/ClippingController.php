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
    /** Parts that are put on a list at once. */
    private const MOST_NAMES = 100;

    /** What a text says of a part of some role; with "take", the part with those finds in it. */
    public function read(ClippingRequest $request): JsonResponse
    {
        $text = $request->string('text')->toString();
        $role = $request->enum('role', Role::class) ?? RoleGuess::of($text);
        $lines = Names::of($text);
        $currency = $request->filled('currency') ? $request->string('currency')->toString() : 'EUR';
        $filling = $role === null ? null : new Filling(Reader::read($text, $role), $role, (string) Today::day(), $text, $currency);
        $part = $request->part();

        return new JsonResponse([
            'role' => $role?->value,
            'name' => Names::first($text),
            'isList' => Names::areIn($text),
            'names' => count($lines) < 2 ? [] : array_map(self::named(...), array_slice($lines, 0, self::MOST_NAMES)),
            'proposals' => array_map(static fn (Proposal $one): array => $one->toArray(), $filling?->proposals($part) ?? []),
            'part' => $request->has('take') && $filling !== null ? (object) $filling->put($part, $request->take()) : null,
        ]);
    }

    /** @return array{name: string, role: ?string, finds: list<array{label: string, says: string}>} */
    private static function named(string $name): array
    {
        $role = RoleGuess::of($name);

        return ['name' => $name, 'role' => $role?->value, 'finds' => SureFinds::says($name, $role)];
    }
}
