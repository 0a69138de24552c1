<?php

declare(strict_types=1);

namespace CoreTests;

use PocketPlot\Appraisal;
use PocketPlot\Check\OpenFigure;
use PocketPlot\Clipping\SpokenPlace;
use PocketPlot\File\BuildReader;
use PocketPlot\File\FigurePlace;
use PocketPlot\Part\FigureRef;

/** A builder who has parts by name only, knows every answer, and is asked until nothing is unmeasured. */
final class Interview
{
    /** @var array<string, list<string>> by what has been answered, what is open */
    private array $open = [];

    /**
     * @param  array<string, string>  $names  the role of each part, by the id of its line
     * @param  array<string, string>  $knows  what is answered to "line figure", or to a figure of whatever line
     */
    public function __construct(private readonly array $names, private readonly array $knows) {}

    /** @return list<string> "line figure" of each question, in the order in which the application asks */
    public function asked(): array
    {
        $asked = [];
        while (($open = $this->openAfter($asked)) !== []) {
            $asked[] = $open[0];
        }

        return $asked;
    }

    /** The fewest questions after which nothing is open, whatever the order: all orders are gone through. */
    public function fewest(): int
    {
        $ways = [[]];
        for ($count = 0; ; $count++) {
            $next = [];
            foreach ($ways as $asked) {
                $open = $this->openAfter($asked);
                if ($open === []) {
                    return $count;
                }
                foreach ($open as $question) {
                    $next[self::key([...$asked, $question])] ??= [...$asked, $question];
                }
            }
            $ways = $next;
        }
    }

    /**
     * @param  list<string>  $asked
     * @return list<string>
     */
    private function openAfter(array $asked): array
    {
        return $this->open[self::key($asked)] ??= array_map(
            static fn (OpenFigure $one): string => "{$one->line->id} {$one->figure}",
            Appraisal::of(BuildReader::read($this->answered($asked)), Make::today())->open,
        );
    }

    /**
     * @param  list<string>  $asked
     * @return array<string, mixed>
     */
    private function answered(array $asked): array
    {
        $document = Make::document(array_map(static fn (string $role): array => ['role' => $role], $this->names));
        foreach ($asked as $question) {
            [$line, $figure] = explode(' ', $question, 2);
            $typed = $this->knows[$question] ?? $this->knows[$figure] ?? throw new \RuntimeException("nobody knows {$question}");
            if ($figure === 'price') {
                $at = array_search($line, array_column($document['lines'], 'id'), true);
                $document['lines'][$at]['price'] = ['amount' => $typed, 'currency' => 'EUR'];

                continue;
            }
            $at = array_search("part-{$line}", array_column($document['parts'], 'id'), true);
            $ref = FigureRef::parse($figure);
            $place = FigurePlace::of($ref) ?? SpokenPlace::of($ref) ?? throw new \RuntimeException("{$question} cannot be answered");
            $document['parts'][$at] = $place->write($document['parts'][$at], $typed, '2026-11-26');
        }

        return $document;
    }

    /** @param  list<string>  $asked */
    private static function key(array $asked): string
    {
        sort($asked);

        return implode('|', $asked);
    }
}
