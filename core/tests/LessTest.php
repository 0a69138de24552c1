<?php

declare(strict_types=1);

use CoreTests\Golden;
use CoreTests\Make;
use CoreTests\Told;
use PocketPlot\Appraisal;
use PocketPlot\Build\Build;
use PocketPlot\Check\Finding;
use PocketPlot\Check\Verdict;
use PocketPlot\File\BadFile;
use PocketPlot\File\BuildReader;
use PocketPlot\File\PartReader;
use PocketPlot\Quantity\Source;

/**
 * Who takes something away from a build may lose an answer, and never gets a better one, but where a rule counts
 * together what is there: then less is less, and the rule stands here with its reason.
 */
const LESS_IS_LESS = [
    'power.runtime' => 'a load less takes less, and the charge lasts longer',
    'power.switch-rating' => 'a load less behind the switch',
    'power.rail-current' => 'a load less on the rail',
    'power.source-current' => 'a load less on the pack',
    'power.port-current' => 'without its lead the part hangs on the next socket that a lead goes to',
    'heat.limits' => 'a load less warms less',
    'money.ready-made' => 'the sum is smaller',
    'body.fits-inside' => 'a part less takes room',
    'body.print-bed' => 'a body drawn around less is smaller',
    'control.grip' => 'what lay on the back made it thicker',
    'video.path' => 'with a wrong lead gone, the right one is only missing',
];

/** @return list<string> "key: verdict to verdict" of what became milder */
function milder(Appraisal $before, Appraisal $after, callable $counts): array
{
    $is = [];
    foreach ($after->findings as $finding) {
        $is[$finding->key()] = $finding;
    }
    $milder = [];
    foreach ($before->findings as $finding) {
        $now = $is[$finding->key()] ?? null;
        // Between other lines it is another question: what is not there or not known is proposed to hang elsewhere.
        if ($now !== null && $now->lines === $finding->lines && $now->verdict->weight() < $finding->verdict->weight() && $counts($finding, $now)) {
            $milder[] = "{$finding->key()}: {$finding->verdict->value} to {$now->verdict->value}";
        }
    }

    return $milder;
}

/** @return list<list<int|string>> where a figure stands in a part: a number, or a group with its ends or its source */
function numberPaths(array $tree, array $at = []): array
{
    $paths = [];
    foreach ($tree as $key => $value) {
        if (is_array($value)) {
            $isFigure = array_intersect(['value', 'least', 'usual', 'most'], array_keys($value)) !== [];
            $paths = [...$paths, ...($isFigure ? [[...$at, $key]] : numberPaths($value, [...$at, $key]))];
        } elseif ((is_int($value) || is_float($value)) && is_string($key)) {
            $paths[] = [...$at, $key];
        }
    }

    return $paths;
}

/** @param  list<int|string>  $path */
function cut(array $tree, array $path): array
{
    $key = array_shift($path);
    if ($path === []) {
        unset($tree[$key]);
    } else {
        $tree[$key] = cut($tree[$key], $path);
    }

    return $tree;
}

/** @return array<string, Build> */
function treeBuilds(): array
{
    $builds = [];
    foreach (Told::names() as $name) {
        $builds[$name] = Told::build($name);
    }
    foreach (['refuge', 'thimble', 'barge'] as $name) {
        $builds[$name] = Make::demo($name);
    }
    foreach (Golden::TRIALS as $name) {
        $builds[$name] = Make::trial($name);
    }

    return $builds;
}

it('gives no better answer about the rest when a line is taken away', function (): void {
    $tried = 0;
    foreach (treeBuilds() as $name => $build) {
        $before = Make::appraise($build);
        foreach ($build->chosen() as $line) {
            $better = milder($before, Make::appraise($build->without($line->id)), static fn (Finding $was): bool => ! in_array($line->id, $was->lines, true)
                && ! isset(LESS_IS_LESS[$was->rule]));
            expect($better)->toBe([], "{$name} without {$line->id}");
            $tried++;
        }
    }
    expect($tried)->toBeGreaterThan(300);
});

it('loses no run time and no finding when a lead is taken away, and gains none', function (): void {
    $tried = 0;
    foreach (treeBuilds() as $name => $build) {
        $before = Make::appraise($build);
        foreach ($build->chosen() as $line) {
            if ($line->part->cable === null) {
                continue;
            }
            $after = Make::appraise($build->without($line->id));
            $longer = $before->vitals->runTime->isKnown() && $after->vitals->runTime->isKnown()
                && $after->vitals->runTime->usual() > $before->vitals->runTime->usual() + 1e-6 && $after->keysOf(Verdict::Missing) === $before->keysOf(Verdict::Missing);
            expect($longer)->toBeFalse("{$name} without {$line->id}");
            $tried++;
        }
    }
    expect($tried)->toBeGreaterThan(30);
});

it('never turns a fault into a yes when a figure is taken away, but by a figure that is usual of its kind, or by saying what nobody knows', function (string $name): void {
    $path = match (true) {
        in_array($name, Told::names(), true) => "core/tests/builds/told/{$name}",
        in_array($name, Golden::TRIALS, true) => "core/tests/builds/{$name}",
        default => "demo/{$name}",
    };
    $document = json_decode(Make::read("{$path}.pocketplot.json"), true, 64, JSON_THROW_ON_ERROR);
    $before = Make::appraise(BuildReader::read($document));
    $tried = 0;
    foreach (numberPaths($document['parts']) as $path) {
        try {
            $less = BuildReader::read([...$document, 'parts' => cut($document['parts'], $path)]);
        } catch (BadFile) {
            // The format asks for it.
            continue;
        }
        // A yes that rests on what is written and is milder than before.
        $better = milder($before, Make::appraise($less), static fn (Finding $was, Finding $now): bool => $now->verdict->weight() < Verdict::Unmeasured->weight()
            // What hung behind it is proposed to hang elsewhere once nobody knows the volts.
            && $was->rule !== 'power.port-current'
            && ! str_contains(json_encode($now->working(), JSON_THROW_ON_ERROR), Source::Typical->value) && ! str_contains($now->says(), 'Nobody knows'));
        expect($better)->toBe([], implode('/', $path));
        $tried++;
    }
    expect($tried)->toBeGreaterThan(5);
})->with([...array_values(array_diff(Told::names(), ['d6-names'])), 'refuge', 'thimble', 'barge', ...Golden::TRIALS]);

/**
 * Rules that may answer better when nobody knows a figure of another part any more, in builds drawn by lot: what hung behind
 * it hangs elsewhere, or counts for less.
 */
const OTHERS_UNKNOWN_IS_LESS = [
    ...LESS_IS_LESS,
    'control.pins' => 'fewer pins are wanted', 'heat.dissipation' => 'less is drawn', 'power.linear-heat' => 'less is drawn',
    'power.short-circuit' => 'less flows through the fuse', 'power.keep-awake' => 'more hangs on the bank',
    'power.play-while-charging' => 'less is drawn', 'power.charger-match' => 'a coil, or an inlet for five volts',
    'control.coverage' => 'without a number of players, controls are loose ones',
    'body.openings' => 'where nobody knows either place, a part is laid where the opening is',
];

/** The same of a figure of the very part that is spoken of. */
const OWN_UNKNOWN_IS_LESS = [
    'control.pins' => 'fewer pins are wanted', 'control.coverage' => 'without a number of players, controls are loose ones',
    'power.charge-rate' => 'a kit is trusted', 'power.charger-match' => 'a coil, or an inlet for five volts',
    'power.rail-current' => 'without its volts an output feeds what others feed as well',
    'power.linear-heat' => 'without its volts it is fed from elsewhere',
    'body.fits-inside' => 'a part less takes room',
];

it('never turns a fault into a yes when a figure of a build drawn by lot is taken away', function (int $seed): void {
    $build = Golden::drawn($seed);
    $before = Make::appraise($build);
    $tried = 0;
    foreach ($build->lines as $line) {
        $raw = json_decode(json_encode($line->part->raw, JSON_THROW_ON_ERROR), true, 64, JSON_THROW_ON_ERROR);
        foreach (numberPaths($raw['facets'] ?? [], ['facets']) as $nth => $path) {
            // One in four, another quarter by each seed. A pack counts as one cell in series until somebody says more: it is asked for elsewhere.
            if ($nth % 4 !== $seed % 4 || end($path) === 'series') {
                continue;
            }
            try {
                $after = Make::appraise($build->withPart($line->part->id, PartReader::read(cut($raw, $path))));
            } catch (BadFile|DomainException) {
                continue;
            }
            $better = milder($before, $after, static fn (Finding $was, Finding $now): bool => $now->verdict->weight() < Verdict::Unmeasured->weight()
                && ! isset((($was->lines[0] ?? '') === $line->id ? OWN_UNKNOWN_IS_LESS : OTHERS_UNKNOWN_IS_LESS)[$was->rule])
                && ! str_contains($now->says(), 'Nobody knows')
                && ! str_contains(json_encode($now->working(), JSON_THROW_ON_ERROR), Source::Typical->value));
            expect($better)->toBe([], "{$line->id} without ".implode('/', $path));
            $tried++;
        }
    }
    expect($tried)->toBeGreaterThan(5);
})->with(range(5001, 5032));
