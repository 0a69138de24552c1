<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use PocketPlot\Build\Margins;
use PocketPlot\Check\HelpPage;
use PocketPlot\Check\Measuring;
use PocketPlot\Check\Meta;
use PocketPlot\Check\RuleBook;
use PocketPlot\File\FacetBook;
use PocketPlot\Part\FigureRef;
use PocketPlot\Quantity\BadFigure;
use PocketPlot\Quantity\Typed;

/** The rule book and the words that figures are written in. */
final class RuleController
{
    public function index(): JsonResponse
    {
        return new JsonResponse([
            'rules' => array_values(array_map(self::rule(...), RuleBook::metas())),
            'margins' => array_map(
                static fn (string $key, array $margin): array => ['key' => $key, 'house' => $margin[0], 'unit' => $margin[1], 'says' => $margin[2]],
                array_keys(Margins::DEFAULTS),
                array_values(Margins::DEFAULTS),
            ),
        ]);
    }

    public function show(string $rule): JsonResponse
    {
        foreach (RuleBook::metas() as $meta) {
            if ($meta->id === $rule) {
                return new JsonResponse(
                    [...self::rule($meta), 'page' => HelpPage::parse((string) file_get_contents(base_path("core/help/{$meta->id}.md")))->toArray()],
                );
            }
        }
        abort(404);
    }

    /** Facets and fields, for the part editor. */
    public function facets(): JsonResponse
    {
        $facets = [];
        foreach (FacetBook::facets() as $name => $facet) {
            $facets[] = [
                'facet' => $name,
                'label' => $facet['label'],
                'many' => FacetBook::isMany($name),
                'fields' => self::fields($facet['fields']),
            ];
        }

        return new JsonResponse(['facets' => $facets, 'forRole' => FacetBook::FOR_ROLE]);
    }

    /** @return list<array<string, mixed>> */
    private static function fields(mixed $group): array
    {
        $answer = [];
        foreach (FacetBook::nested($group) as $name => $field) {
            $more = $field[2] ?? null;
            $answer[] = [
                'field' => $name, 'kind' => $field[0], 'label' => $field[1], 'isFigure' => FacetBook::isFigure($field[0]),
                'choices' => in_array($field[0], ['choice', 'words'], true) && is_array($more)
                    ? array_values(array_map(static fn (mixed $choice): string => is_string($choice) ? $choice : '', $more))
                    : [],
                'fields' => $field[0] === 'many' ? self::fields($more) : [],
            ];
        }

        return $answer;
    }

    /** Echoes what was understood of a typed figure. */
    public function typed(Request $request): JsonResponse
    {
        $given = $request->validate(['text' => ['required', 'string', 'max:200'], 'unit' => ['required', 'string', 'max:10']]);
        $unit = is_string($given['unit']) ? $given['unit'] : '';
        try {
            [$least, $usual, $most] = Typed::band(is_string($given['text']) ? $given['text'] : '', $unit);
        } catch (BadFigure $bad) {
            return new JsonResponse(['says' => null, 'problem' => ucfirst($bad->getMessage()).'.']);
        }
        [$times, $shown] = match ($unit) {
            'share' => [100.0, '%'],
            'mm±' => [1.0, 'mm'],
            default => [1.0, $unit],
        };
        // Echoed to the last digit that was typed, not rounded as in a sentence.
        $exact = static fn (float $value): string => (string) round($value * $times, 6);
        $says = $least === $most
            ? $exact($least)
            : $exact($least).' to '.$exact($most).(abs($usual - ($least + $most) / 2) < 1e-9 ? '' : ', usually '.$exact($usual));

        return new JsonResponse(['says' => "{$says} {$shown}", 'problem' => null]);
    }

    /** @return array{id: string, family: string, sentence: string, figures: list<array{key: string, name: string, how: string}>} */
    public static function rule(Meta $meta): array
    {
        return [
            'id' => $meta->id, 'family' => $meta->family(), 'sentence' => $meta->sentence,
            'figures' => array_map(
                static fn (string $key): array => [
                    'key' => $key,
                    'name' => Measuring::name(FigureRef::parse($key)),
                    'how' => Measuring::how(FigureRef::parse($key)),
                ],
                $meta->figures,
            ),
        ];
    }
}
