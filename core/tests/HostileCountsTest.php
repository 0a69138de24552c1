<?php

declare(strict_types=1);

use CoreTests\Make;
use PocketPlot\Appraisal;
use PocketPlot\Build\Build;
use PocketPlot\Check\Finding;
use PocketPlot\File\BuildReader;
use PocketPlot\Part\Part;

/**
 * So many lines of one kind of part, each so many times.
 *
 * @param  list<array<string, mixed>>  $parts  of the library
 */
function crowd(array $parts, int $lines, int $quantity): Build
{
    $document = ['format' => 'pocketplot-build', 'version' => 1, 'name' => 'crowd', 'brief' => ['games' => [['class' => 'all', 'players' => 8, 'buttons' => 1000]]], 'parts' => [], 'lines' => []];
    for ($index = 0; $index < $lines; $index++) {
        $id = "p{$index}";
        $document['parts'][] = [...$parts[($index * 7) % count($parts)], 'id' => $id];
        $document['lines'][] = ['id' => "l{$index}", 'part' => $id, 'quantity' => $quantity];
    }

    return BuildReader::read($document);
}

/** @return list<array<string, mixed>> the shelf as it is written */
function libraryParts(): array
{
    return array_map(static fn (Part $part): array => $part->raw, Make::library());
}

dataset('kinds of parts', static function (): array {
    $kinds = [];
    foreach (libraryParts() as $part) {
        $kinds[$part['role']][] = $part;
    }

    return array_map(static fn (array $parts): array => [$parts], [...$kinds, 'all of them' => libraryParts()]);
});

it('grows with the lines, not with their quantities', function (array $parts): void {
    $count = static fn (int $quantity): int => count(Appraisal::of(crowd($parts, 60, $quantity), Make::today())->findings);
    memory_reset_peak_usage();
    $before = memory_get_usage();
    $many = $count(10000);
    expect(memory_get_peak_usage() - $before)->toBeLessThan(32_000_000)
        // Quantities move verdicts and may call up a rule or two; they never multiply what is said.
        ->and(abs($many - $count(1)))->toBeLessThan(240);
})->with('kinds of parts');

it('ends with a thousand lines of one kind, and says what it left out', function (array $parts): void {
    $appraisal = Appraisal::of(crowd($parts, 1000, 10000), Make::today());
    $byRule = array_count_values(array_map(static fn (Finding $finding): string => $finding->rule, $appraisal->findings));
    expect(max([0, ...$byRule]))->toBeLessThanOrEqual(3001);
    foreach ($byRule as $rule => $count) {
        if ($count > 3000) {
            expect($appraisal->finding("{$rule}/build/rest")?->says())->toContain('the rest was left out');
        }
    }
    expect(max(array_map(static fn (Finding $finding): int => max(count($finding->working()), count($finding->remedies()), count($finding->lines)), $appraisal->findings)))->toBeLessThanOrEqual(81);
})->with('kinds of parts');
