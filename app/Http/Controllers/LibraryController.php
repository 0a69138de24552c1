<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Library\PartQueries;
use App\Mapping\BuildView;
use App\Models\PartRecord;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use PocketPlot\Build\Reading\MeteredState;
use PocketPlot\Build\Reading\Stopped;
use PocketPlot\Build\Vocabulary;
use PocketPlot\File\PartReader;

/** The parts one can see, and the words that describe them. */
final class LibraryController
{
    public function search(Request $request, User $user): JsonResponse
    {
        $given = $request->validate([
            'q' => ['nullable', 'string', 'max:200'],
            'role' => ['nullable', 'string', 'max:20'],
            'facet' => ['nullable', 'string', 'regex:/^[a-zA-Z]{1,20}$/'],
            'own' => ['nullable', 'boolean'], 'typical' => ['nullable', 'boolean'], 'sort' => ['nullable', 'in:name,price,weight,size,date'],
            'from' => ['nullable', 'integer', 'min:0', 'max:100000'],
        ]);
        $text = static fn (string $field): ?string => is_string($given[$field] ?? null) ? $given[$field] : null;
        [$total, $rows] = PartQueries::search($user, [
            'q' => $text('q'), 'role' => $text('role'), 'facet' => $text('facet'), 'own' => $request->boolean('own'),
            'typical' => $request->boolean('typical'),
            'sort' => $text('sort'), 'from' => $request->integer('from'),
        ]);

        return new JsonResponse(
            [
                'total' => $total,
                'parts' => $rows->map(
                    static fn (PartRecord $row): array => [
                        'libraryId' => $row->id,
                        'own' => $row->user_id === $user->id,
                        ...BuildView::part(PartReader::read($row->spec)),
                    ],
                )->all(),
            ],
        );
    }

    /** The words that briefs and parts share. */
    public function vocabulary(): JsonResponse
    {
        return new JsonResponse([
            'skills' => Vocabulary::SKILLS,
            'tools' => Vocabulary::TOOLS,
            'consumables' => Vocabulary::CONSUMABLES,
            'connectors' => Vocabulary::CONNECTORS,
            'meteredStates' => array_map(static fn (MeteredState $one): string => $one->value, MeteredState::cases()),
            'stopped' => array_map(static fn (Stopped $one): string => $one->value, Stopped::cases()),
            'gamesClasses' => array_map(get_object_vars(...), Vocabulary::gamesClasses()),
        ]);
    }
}
