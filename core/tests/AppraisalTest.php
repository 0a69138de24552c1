<?php

declare(strict_types=1);

use CoreTests\Make;
use PocketPlot\Appraisal;
use PocketPlot\Build\Build;
use PocketPlot\Check\Finding;
use PocketPlot\Check\RuleBook;
use PocketPlot\Check\Verdict;
use PocketPlot\File\BuildReader;
use PocketPlot\Part\Role;
use PocketPlot\Power\SupplyTree;
use PocketPlot\Quantity\Day;
use PocketPlot\WhatIf\Candidates;
use PocketPlot\WhatIf\Fix;
use PocketPlot\WhatIf\RemedyFinder;

it('gives the demo builds the verdicts they were made for', function (string $name, Verdict $verdict): void {
    expect(Make::appraise(Make::demo($name))->verdict)->toBe($verdict);
})->with([['refuge', Verdict::Clash], ['thimble', Verdict::Fits], ['barge', Verdict::Unmeasured]]);

it('shows a newcomer every verdict in Refuge', function (): void {
    $verdicts = array_unique(array_map(static fn (Finding $finding): string => $finding->verdict->value, Make::appraise(Make::demo('refuge'))->findings));
    expect(array_values($verdicts))->toBe(['clash', 'missing', 'unmeasured', 'tight', 'fits']);
});

it('gives the same appraisal for the same build and day', function (): void {
    expect(Make::appraise(Make::demo('refuge'))->toArray())->toEqual(Make::appraise(Make::demo('refuge'))->toArray());
});

it('tells findings apart by their keys', function (string $name): void {
    $keys = array_map(static fn (Finding $finding): string => $finding->key(), Make::appraise(Make::demo($name))->findings);
    expect($keys)->toBe(array_values(array_unique($keys)));
})->with(['refuge', 'thimble', 'barge']);

it('offers a way out of everything that does not fit', function (string $name): void {
    foreach (Make::appraise(Make::demo($name))->findings as $finding) {
        if ($finding->verdict !== Verdict::Fits) {
            expect($finding->remedies())->not->toBeEmpty("{$finding->key()} has no remedy");
        }
    }
})->with(['refuge', 'barge']);

it('finds for every clash of the demos a part that settles it and brings no new one', function (): void {
    $finder = new RemedyFinder(Make::library(), Make::today());
    $before = Make::appraise(Make::demo('refuge'));
    foreach ($before->findings as $finding) {
        if ($finding->verdict !== Verdict::Clash) {
            continue;
        }
        $found = $finder->find($before, $finding);
        expect($found)->not->toBeEmpty();
        foreach ($found as $one) {
            expect($one->effect->settled)->toContain($finding->key())->and($one->effect->newClashes)->toBe([]);
        }
    }
});

it('puts the remedy first that gives nothing away', function (): void {
    $before = Make::appraise(Make::demo('refuge'));
    $finding = $before->finding('control.coverage/paddles/1') ?? throw new RuntimeException('the planted clash is gone');
    $found = (new RemedyFinder(Make::library(), Make::today()))->find($before, $finding);
    // A radio pad even frees a socket; the wired one of the same make follows, and neither gives anything away.
    expect($found[0]->loss)->toBe(0)->and(array_map(static fn (Fix $one): ?string => $one->edits->part?->id, $found))->toContain('pad-plover-six');
});

it('judges a candidate as the whole appraisal would after the change', function (): void {
    $build = Make::demo('refuge');
    $displays = array_values(array_filter(Make::library(), static fn ($part): bool => $part->role === Role::Display));
    foreach (Candidates::judge($build, $displays, Role::Display, 'panel', Make::today()) as $one) {
        $after = Appraisal::of($build->withSwap('panel', $one['part']), Make::today());
        expect($one['effect']->vitals->toArray())->toEqual($after->vitals->toArray())
            ->and($one['effect']->whole)->toBe($after->verdict);
    }
});

it('knows what a swap on the way of the power changes, though nobody is fed anew', function (string $kind, string $line): void {
    $build = Make::trial($kind);
    $role = $build->line($line)->role ?? throw new RuntimeException("no line {$line}");
    $parts = array_values(array_filter(Make::library(), static fn ($part): bool => $part->role === $role));
    $parts = array_values(array_filter($parts, static fn (int $index): bool => $index % 4 === 0, ARRAY_FILTER_USE_KEY));
    expect(count($parts))->toBeGreaterThan(1);
    foreach (Candidates::judge($build, $parts, $role, $line, Make::today()) as $one) {
        expect($one['effect']->vitals->toArray())->toEqual(Appraisal::of($build->withSwap($line, $one['part']), Make::today())->vitals->toArray(), $one['part']->id);
    }
})->with(fn (): array => onTheWay());

/** @return array<string, array{string, string}> lines with protection, leads, fans, amplifiers or panels of the seven builds */
function onTheWay(): array
{
    $found = [];
    foreach (['fresh-body', 'small-pc-core', 'phone-core', 'lap-portable', 'upgrade-stack'] as $kind) {
        $build = Make::trial($kind);
        foreach ($build->chosen() as $line) {
            $part = $line->part;
            if ($part->protector !== null || $part->cable !== null || $part->amp !== null || $part->cooling !== null) {
                $found["{$kind}, {$line->id}"] = [$kind, $line->id];
            }
        }
    }

    return $found;
}

it('never answers fits once a figure is taken away that the answer had used', function (string $demo): void {
    $whole = Make::demoDocument($demo);
    // Who feeds whom is proposed from the volts; it is settled here, so that only the answers can change.
    foreach ((new SupplyTree(Make::demo($demo)))->feeds as $feed) {
        [$from, $output] = explode(':', $feed->railId, 2);
        $settled[] = ['kind' => 'power', 'from' => $from, 'to' => $feed->line->id, 'output' => $output];
    }
    $whole['joins'] = $settled ?? [];
    $fits = static function (array $document): array {
        $said = [];
        foreach (Make::appraise(BuildReader::read($document))->findings as $finding) {
            if ($finding->verdict === Verdict::Fits) {
                $said[] = json_encode([$finding->key(), $finding->says(), $finding->working()], JSON_THROW_ON_ERROR);
            }
        }

        return $said;
    };
    // Without its size a part has no place, and the columns are held against bounds again.
    $before = [...$fits($whole), ...$fits(array_diff_key($whole, ['fit' => true]))];
    $tried = 0;
    foreach (figurePaths($whole['parts']) as $path) {
        $document = $whole;
        $document['parts'] = without($document['parts'], $path);
        $tried++;
        // Without the draw an amplifier is taken to give all that it can: a harder case.
        $harder = static fn (string $said): bool => end($path) === 'drawMa' && str_contains($said, 'audio.load');
        if (in_array('sockets', $path, true) && end($path) === 'ratingMa') {
            // Below what the socket's family bears by its standard, nobody needs the maker's rating.
            continue;
        }
        if (end($path) === 'cutOffV') {
            // Without a cut-off, the pack is reckoned down to what its maker calls empty: a harder case.
            continue;
        }
        // What still fits said the very same, with the very same figures, when all of them were known; or it says which is only usual of its kind.
        $new = array_filter(array_diff($fits($document), $before), static fn (string $said): bool => ! str_contains($said, '"typical"') && ! $harder($said));
        expect(array_values($new))->toBe([], implode('/', $path));
    }
    expect($tried)->toBeGreaterThan(80);
})->with(['refuge', 'thimble', 'barge']);

it('gives the same answers when it judges again only what a swap can touch', function (string $demo, int $every): void {
    $before = Appraisal::toCompare(Make::demo($demo), Make::today());
    $said = static fn (Appraisal $appraisal): array => array_map(static fn (Finding $finding): array => [$finding->key(), $finding->verdict, $finding->says(), $finding->working()], $appraisal->findings);
    $tried = 0;
    foreach (Make::library() as $index => $part) {
        foreach ($index % $every === 0 ? $before->build->chosen() : [] as $line) {
            if ($line->role !== $part->role) {
                continue;
            }
            $build = $before->build->withSwap($line->id, $part);
            $again = $before->after($build, Make::today());
            expect($said($again))->toEqual($said(Appraisal::of($build, Make::today())), "{$line->id} by {$part->id}")
                ->and($again->vitals->toArray())->toEqual(Appraisal::of($build, Make::today())->vitals->toArray());
            $tried++;
        }
    }
    expect($tried)->toBeGreaterThan(80);
})->with([['refuge', 1], ['barge', 2], ['thimble', 2]]);

it('never shortens the run time with more capacity, nor lengthens it with more load', function (): void {
    $hours = static function (float $mah, float $ma): float {
        $lines = ['pack' => ['role' => 'cells', 'facets' => Make::ironPack($mah)], 'panel' => ['role' => 'display', 'facets' => Make::load(9, 16, $ma / 2, $ma, $ma * 2)]];

        return Make::appraise(Make::build($lines))->vitals->runTime->usual();
    };
    foreach ([1000, 2500, 7000, 20000] as $mah) {
        foreach ([50, 300, 900] as $ma) {
            expect($hours($mah * 1.5, $ma))->toBeGreaterThan($hours($mah, $ma))->and($hours($mah, $ma * 1.5))->toBeLessThan($hours($mah, $ma));
        }
    }
});

it('names the next thing to do in the order in which it matters', function (string $demo, ?callable $change, string $kind, string $says): void {
    $document = Make::demoDocument($demo);
    $next = Make::appraise(BuildReader::read($change === null ? $document : $change($document)))->vitals->next();
    expect($next['kind'])->toBe($kind)->and($next['says'])->toStartWith($says);
})->with([
    'a clash before all' => ['refuge', null, 'settle', 'Rook 9 panel needs'],
    'measuring before money goes out' => ['barge', null, 'measure', 'Nobody knows the supply window of Slate 10 panel'],
    'what is to be had' => ['thimble', null, 'order', 'Print Clip body, printed.'],
    'waiting goes by the first step that waits for nothing' => ['thimble', static function (array $d): array {
        $d['lines'][3]['state'] = 'arrived';

        return $d;
    }, 'step', 'Fuse and switch at Cobnut 500 cell'],
    'nothing at all' => ['thimble', static fn (array $d): array => [...$d, 'lines' => []], 'add', 'Add the first part'],
]);

describe('the day it can be finished', function (): void {
    $build = static fn (array $line, array $ticks = []): Build => Make::build(
        ['board' => ['role' => 'board', 'line' => $line, 'part' => ['offers' => [['vendor' => 'A', 'price' => ['amount' => '1', 'currency' => 'EUR'], 'leadDays' => 6]]]]],
        ['eveningMinutes' => 60], ['ticks' => $ticks],
    );
    // One board: first start 20 min, mounting 20, photographs 10; on the second evening of 60 the test before closing, 25, and
    // 35 of the 70 of the test after closing; on the third the rest of it and 15 for the record.
    it('counts evenings from today when all is here', function () use ($build): void {
        expect((string) Make::appraise($build(['state' => 'arrived']))->vitals->finish())->toBe('2026-11-25');
    });
    it('waits for what is expected', function () use ($build): void {
        expect((string) Make::appraise($build(['state' => 'ordered', 'expectedOn' => '2026-12-01']))->vitals->finish())->toBe('2026-12-03');
    });
    it('reckons with the offer when nothing is ordered yet', function () use ($build): void {
        expect((string) Make::appraise($build(['state' => 'chosen']))->vitals->finish())->toBe('2026-12-01');
    });
    it('does not know when an ordered part has no day', function () use ($build): void {
        $vitals = Make::appraise($build(['state' => 'ordered']))->vitals;
        expect($vitals->finish())->toBeNull()->and($vitals->undated())->toBe(1);
    });
    it('is not said of a build without parts', function (): void {
        expect(Make::appraise(Make::build([]))->vitals->finish())->toBeNull();
    });
    it('leaves out what is ticked', function () use ($build): void {
        $vitals = Make::appraise($build(['state' => 'arrived'], [['step' => 'first/board', 'on' => '2026-11-20'], ['step' => 'mount/board', 'on' => '2026-11-20'], ['step' => 'test-open', 'on' => '2026-11-21'], ['step' => 'test-closed', 'on' => '2026-11-22'], ['step' => 'photo', 'on' => '2026-11-21'], ['step' => 'keep', 'on' => '2026-11-22']]))->vitals;
        expect((string) $vitals->finish())->toBe('2026-11-23')->and($vitals->stepsLeft())->toBe(0);
    });
});

it('says which parts a step waits for', function (): void {
    $steps = Make::appraise(Make::demo('refuge'))->plan->sequence();
    $charge = array_values(array_filter($steps, static fn ($step): bool => $step->id === 'charge/pack'))[0];
    expect(array_map(static fn ($line): string => $line->id, $charge->waitsFor()))->toBe(['solar-board', 'solar'])
        ->and($charge->cautions[0])->toContain('Lithium cells can burn');
});

it('puts every test before what it guards', function (): void {
    $ids = array_map(static fn ($step): string => $step->id, Make::appraise(Make::demo('refuge'))->plan->sequence());
    $at = array_flip($ids);
    expect($at['charge/pack'])->toBeLessThan($at['heap'])
        ->and($at['set/five-volt'])->toBeLessThan($at['heap'])
        ->and($at['light/panel'])->toBeLessThan($at['mount/panel'])
        ->and($at['test-open'])->toBeLessThan($at['close/box'])
        ->and($at['close/box'])->toBeLessThan($at['test-closed']);
});

it('names every rule once, by family and name', function (): void {
    $ids = array_map(static fn (string $rule): string => $rule::id(), RuleBook::RULES);
    expect($ids)->toBe(array_values(array_unique($ids)))->and($ids)->each->toMatch('/^[a-z]+\.[a-z-]+$/');
    expect(Make::appraise(Make::demo('refuge'))->findings)->each(static fn ($finding) => $finding->rule->toBeIn($ids));
});

it('does not mind which day it is for what does not hang on it', function (): void {
    $build = Make::demo('refuge');
    expect(Appraisal::of($build, Day::of('2031-01-01'))->vitals->cost->rounded())->toBe(Make::appraise($build)->vitals->cost->rounded());
});

/**
 * Paths to every figure of the parts: where a group has a source, or a plain number stands.
 *
 * @param  array<array-key, mixed>  $tree
 * @param  list<array-key>  $at
 * @return list<list<array-key>>
 */
function figurePaths(array $tree, array $at = []): array
{
    $paths = [];
    foreach ($tree as $key => $value) {
        if (is_array($value)) {
            $paths = [...$paths, ...(isset($value['source']) ? [[...$at, $key]] : figurePaths($value, [...$at, $key]))];
        }
    }

    return $paths;
}

/**
 * @param  array<array-key, mixed>  $tree
 * @param  list<array-key>  $path
 * @return array<array-key, mixed>
 */
function without(array $tree, array $path): array
{
    $key = array_shift($path);
    if ($path === []) {
        $tree[$key] = ['source' => 'unknown'];
    } else {
        $tree[$key] = without($tree[$key], $path);
    }

    return $tree;
}
