<?php

declare(strict_types=1);

use App\Library\DrawerQueries;
use App\Models\DrawerPieceRecord;
use App\Models\PartRecord;
use App\Models\User;
use CoreTests\Arrangements;
use CoreTests\LinearModel;
use CoreTests\Markets;
use CoreTests\Texts;
use Illuminate\Contracts\Console\Kernel;
use PocketPlot\Appraisal;
use PocketPlot\Assembly\Plan;
use PocketPlot\Build\Brief;
use PocketPlot\Build\Build;
use PocketPlot\Build\GamesClass;
use PocketPlot\Build\Line;
use PocketPlot\Build\OwnStep;
use PocketPlot\Build\WorkPlan;
use PocketPlot\Clipping\Reader;
use PocketPlot\Clipping\SureFinds;
use PocketPlot\Facts\Facts;
use PocketPlot\File\PartReader;
use PocketPlot\Fit\Arranger;
use PocketPlot\Fit\Fitted;
use PocketPlot\Fit\Halves;
use PocketPlot\Fit\Shell;
use PocketPlot\Fit\Style;
use PocketPlot\Part\Part;
use PocketPlot\Part\Role;
use PocketPlot\Power\Assumption;
use PocketPlot\Power\Circuit;
use PocketPlot\Power\Discharge;
use PocketPlot\Power\Gaps;
use PocketPlot\Quantity\Day;
use PocketPlot\Quantity\Money;
use PocketPlot\Quantity\Rates;
use PocketPlot\Report\FitReport;
use PocketPlot\Report\PowerReport;
use PocketPlot\Sheet\Headings;
use PocketPlot\Sheet\NameIndex;
use PocketPlot\Sheet\SheetReader;
use PocketPlot\Sourcing\Basket;
use PocketPlot\Sourcing\Costs;
use PocketPlot\Sourcing\Wishes;
use PocketPlot\WhatIf\Candidates;
use Tests\Load\UnderLoad;
use Tests\Load\Visitor;

require __DIR__.'/../vendor/autoload.php';
(require __DIR__.'/../bootstrap/app.php')->make(Kernel::class)->bootstrap();

/** @return array{float, float, float} least, median, most milliseconds */
function timed(int $rounds, callable $work): array
{
    $work();
    $times = [];
    for ($round = 0; $round < $rounds; $round++) {
        $began = hrtime(true);
        $work();
        $times[] = (hrtime(true) - $began) / 1e6;
    }
    sort($times);

    return [$times[0], $times[intdiv($rounds, 2)], $times[$rounds - 1]];
}

/** @param  array{float, float, float}  $times */
function row(string $what, array $times, string $target): void
{
    printf("%-52s %8.2f %8.2f %8.2f   %s\n", $what, $times[0], $times[1], $times[2], $target);
}

$today = Day::of('2026-11-23');
$shelf = PartRecord::query()->where('user_id', User::shelf()->id)->orderBy('id')->get()->map(
    static fn (PartRecord $row): Part => PartReader::read($row->spec),
)->all();

/** Refuge, widened to so many lines by what a large build has more of: leads, screws, switches, sound, cooling, materials. */
$refuge = PocketPlot\File\BuildReader::read(App\Actions\ImportBuild::read(App\Actions\StartBuild::demoFile('refuge'))[0]);
$more = array_values(
    array_filter(
        $shelf,
        static fn (Part $part): bool => in_array(
            $part->role,
            [Role::Cable, Role::Fastener, Role::Switch_, Role::Sound, Role::Cooling, Role::Material, Role::Controls, Role::Storage, Role::Tool],
            true,
        ),
    ),
);
$build = static function (int $size) use ($refuge, $more): Build {
    $build = $refuge;
    for ($index = 0; count($build->lines) < $size; $index++) {
        $part = $more[($index * 5) % count($more)];
        $build = $build->withLine(new Line("more-{$index}", $part, $part->role, "more-{$index}"));
    }

    return $build;
};
/** The worst there is: every part of the shelf in turn, packs and boards and all, one body only. */
$medley = static function (int $size) use ($shelf): Build {
    $pool = array_values(array_filter($shelf, static fn (Part $part): bool => $part->body === null || $part->id === 'case-barge-desk'));
    $lines = array_map(
        static fn (int $index): Line => new Line(
            "line-{$index}",
            $pool[($index * 7) % count($pool)],
            $pool[($index * 7) % count($pool)]->role,
            "slot-{$index}",
        ),
        range(0, $size - 1),
    );

    return new Build(
        'bench',
        new Brief(
            'bench',
            5.0,
            Money::of('900', 'EUR'),
            'EUR',
            [450.0, 350.0, 140.0],
            9000.0,
            20.0,
            120,
            [new GamesClass('twin-stick', 2, 1, 12, 2, 0, false, 640, 480)],
            ['soldering'],
        ),
        $lines,
        new Rates('EUR', ['GBP' => '1.17', 'SEK' => '0.088']),
    );
};

printf("%-52s %8s %8s %8s   %s\n", 'milliseconds', 'least', 'median', 'most', 'target');
$sixty = $build(60);
$before = memory_get_usage();
memory_reset_peak_usage();
row('appraise() of a 60-line build', timed(60, static fn () => Appraisal::of($sixty, $today)->vitals->toArray()), '5 ms where an empty route takes 7');
$peak = (memory_get_peak_usage() - $before) / 1e6;
$two = $build(200);
row('appraise() of a 200-line build', timed(20, static fn () => Appraisal::of($two, $today)->vitals->toArray()), '40 ms or less');
$displays = array_values(array_filter($shelf, static fn (Part $part): bool => $part->role === Role::Display));
$fifty = array_map(static fn (int $index): Part => $displays[$index % count($displays)], range(0, 49));
row('appraise() of 60 parts of every kind in one build', timed(20, static fn () => Appraisal::of($medley(60), $today)->vitals->toArray()), '');
row(
    'verdicts of 50 candidates for a role, 18 lines',
    timed(20, static fn () => Candidates::judge($refuge, $fifty, Role::Display, 'panel', $today)),
    '20 ms or less',
);
row(
    'verdicts of 50 candidates for a role, 60 lines',
    timed(10, static fn () => Candidates::judge($sixty, $fifty, Role::Display, 'panel', $today)),
    '60 ms or less',
);
/** What the rules have asked for anyway is there; nothing of the plan itself is known from before. */
$ready = static function (Build $build) use ($today): Facts {
    return Appraisal::of($build, $today)->facts;
};
$sixtyFacts = $ready($sixty);
$later = $today;
$plan = static function (Facts $facts) use (&$later): void {
    $later = $later->plusDays(1);
    Plan::of($facts, $later)->sequence();
};
row('steps and their order, 60 lines', timed(20, static fn () => $plan($sixtyFacts)), '15 ms or less');
// 400 steps of the builder's own, three links each to earlier ones by a fixed draw.
mt_srand(400);
$own = array_map(static fn (int $nth): OwnStep => new OwnStep(
    "own/{$nth}", "Step {$nth}", minutes: 10 + $nth % 50,
    after: $nth < 3 ? [] : array_values(array_unique(array_map(static fn (): string => 'own/'.mt_rand(0, $nth - 1), range(1, 3)))),
), range(0, 399));
$many = $refuge->withWork(new WorkPlan(own: $own));
$manyFacts = $ready($many);
row('400 own steps with 1,200 links beside them', timed(5, static fn () => $plan($manyFacts)), '60 ms or less');
// The dry fit.
$arranged = static function (int $count, float $seconds, int $seed = 1): array {
    $build = Arrangements::crowd($count, 1);
    $end = microtime(true) + $seconds;
    $found = (new Arranger(FitReport::inventory($build), $build->fit, $seed))->arrange(Style::Free, static fn (): bool => microtime(true) < $end);

    return [$build, $found];
};
[$crowd, $places] = $arranged(40, 2.0);
$crowd = $crowd->withFit($crowd->fit->with(['poses' => $places->poses]));
$crowdFacts = new Facts($crowd);
[$crowdBody, $inCrowd] = [$crowdFacts->bodyLine(), $crowdFacts->inBody()];
row('where 40 parts lie, judged', timed(40, static fn () => Fitted::of($crowd, $crowdBody, $inCrowd)), '5 ms or less');
$crowdShell = Shell::of(Fitted::of($crowd, $crowdBody, $inCrowd));
row('both halves around them, as STL', timed(10, static function () use ($crowdShell): void {
    foreach ((new Halves($crowdShell))->meshes() as $mesh) {
        $mesh->stl('half');
    }
}), '300 ms or less');
foreach ([[12, 2.0], [25, 10.0]] as [$count, $seconds]) {
    [, $short] = $arranged($count, $seconds);
    [, $long] = $arranged($count, 4 * $seconds, 2);
    printf("%-52s %8.2f %8.2f %8.2f   %s\n", "{$count} parts arranged in {$seconds} s: mm, in 4 times that, bound", $short->measure, $long->measure, $short->bound, 'within 5 % of either');
}
row('landed cost of a 60-line build', timed(20, static fn () => Costs::of($sixty)), '5 ms or less');
$drawer = User::query()->firstOrCreate(['email' => 'drawer@example.test'], ['name' => 'Drawer', 'password' => 'not to be signed in with', 'sessions_key' => User::newSessionsKey()]);
foreach (array_chunk(range(1, 5000), 500) as $numbers) {
    DrawerPieceRecord::query()->insert(array_map(static fn (int $number): array => [
        'user_id' => $drawer->id, 'part_key' => '', 'name' => "Piece {$number} of a kind", 'role' => 'switch', 'spec' => '{}', 'quantity' => 1,
        'place' => 'box '.$number % 40, 'condition' => 'new', 'origin' => 'bought', 'came_from' => '', 'note' => '',
    ], $numbers));
}
row('drawer of 5,000 pieces searched', timed(20, static fn () => DrawerQueries::search($drawer, 'kind box 7', '', 0)), '40 ms or less');
$baskets = array_map(static fn (int $seed): array => Markets::drawn(1000 + $seed, 40, 8), range(1, 50));
$each = $others = [];
foreach ($baskets as [$demands, $market]) {
    $began = hrtime(true);
    Basket::cheapest($demands, $market, new Wishes);
    $each[] = (hrtime(true) - $began) / 1e6;
    $model = LinearModel::of($demands, $market);
    $began = hrtime(true);
    $isThere = LinearModel::solved($model) !== null;
    $others[] = $isThere ? (hrtime(true) - $began) / 1e6 : NAN;
}
sort($each);
sort($others);
row('basket of 40 demands and 8 vendors, exact, 50 cases', [$each[0], $each[25], $each[49]], '500 ms or less');
row('the same models by glpsol (nan where it is not there)', [$others[0], $others[25], $others[49]], 'ours not slower');
[$demands, $market] = Markets::drawn(7, 120, 15);
$large = Basket::cheapest($demands, $market, new Wishes);
row('basket of 120 demands and 15 vendors', timed(2, static fn () => Basket::cheapest($demands, $market, new Wishes)), '2 s or less');
printf("%-52s %8.2f %%\n", 'its distance from the bound', 100 * ($large->total() - $large->bound()) / $large->bound());
$loads = static fn (int $count): array => array_map(static fn (int $index): array => [
    'id' => "load-{$index}", 'name' => "Load {$index}", 'role' => 'display',
    'facets' => [
        'supply' => [
            'volts' => ['least' => 4.5, 'most' => 5.5],
            'drawMa' => ['least' => 4, 'usual' => 8 + $index, 'most' => 20 + 2 * $index],
            'peakMa' => 60 + $index,
            'drawAtV' => 5,
        ],
    ],
], range(1, $count));
$supply = static function () use ($loads): Build {
    $parts = [
        [
            'id' => 'pack',
            'name' => 'Pack',
            'role' => 'cells',
            'facets' => [
                'pack' => [
                    'chemistry' => 'Li-ion',
                    'series' => 2,
                    'capacityMah' => 2600,
                    'cellFullV' => 4.2,
                    'cellNominalV' => 3.6,
                    'cellEmptyV' => 3.0,
                    'usableShare' => ['least' => 0.85, 'usual' => 0.9, 'most' => 0.95],
                    'internalResistanceMohm' => 90,
                    'protection' => 'built-in',
                    'cutOffV' => 6.0,
                ],
            ],
        ],
        [
            'id' => 'five',
            'name' => 'Five',
            'role' => 'regulator',
            'facets' => [
                'supply' => ['volts' => ['least' => 5.4, 'most' => 18]],
                'outputs' => [
                    [
                        'name' => 'out',
                        'volts' => 5,
                        'continuousMa' => 3000,
                        'peakMa' => 4000,
                        'efficiency' => ['least' => 0.86, 'usual' => 0.9, 'most' => 0.93],
                        'topology' => 'buck',
                        'dropoutV' => 0.3,
                    ],
                ],
            ],
        ],
        ...$loads(15),
    ];

    return PocketPlot\File\BuildReader::read([
        'format' => 'pocketplot-build', 'version' => 2, 'name' => 'fifteen loads', 'brief' => ['runTimeHours' => 10], 'parts' => $parts,
        'lines' => array_map(static fn (array $part): array => ['id' => $part['id'], 'part' => $part['id']], $parts),
        'joins' => [
            ['kind' => 'power', 'from' => 'pack', 'to' => 'five'],
            ...array_map(
                static fn (int $index): array => ['kind' => 'power', 'from' => 'five', 'to' => "load-{$index}", 'gaugeAwg' => 26, 'lengthMm' => 150],
                range(1, 15),
            ),
        ],
    ]);
};
$fifteen = $supply();
$facts = new Facts($fifteen);
$circuit = static fn (): Circuit => Circuit::of(
    $fifteen,
    $facts->supplyTree(),
    $facts->lines()[0],
    $fifteen->profilesOrDefaults()[0],
    Assumption::usual(),
    $facts->leadOhms(),
    25.0,
    new Gaps,
) ?? throw new RuntimeException('figures are missing');
$run = Discharge::run($circuit());
row(
    sprintf('a discharge of a 15-load tree, %.1f simulated hours', $run->hours),
    timed(40, static fn () => Discharge::run($circuit())),
    '25 ms or less, for 10 h',
);
row('the same, hours and end only', timed(100, static fn () => Discharge::hours($circuit())), '');
row('the band of it, 500 samples', timed(5, static fn () => (new PowerReport($fifteen))->scatter()), '1500 ms or less');
$packs = array_values(array_filter($shelf, static fn (Part $part): bool => $part->pack !== null));
$manyPacks = array_map(static fn (int $index): Part => $packs[$index % count($packs)], range(0, 249));
row('sizing over 250 packs, 18 lines', timed(5, static fn () => (new PowerReport($refuge))->sizing(7.0, $manyPacks)), '300 ms or less');
$texts = implode("\n", array_map(static fn (array $text): string => $text['text'], array_merge(...array_map(Texts::of(...), ['told', 'before', 'after']))));
row('a pasted text of 20 kB, read', timed(10, static fn () => Reader::read(substr($texts, 0, 20_000), Role::Board)), '50 ms or less');
$names = array_map(
    static fn (int $index): string => $shelf[$index % count($shelf)]->name.($index < count($shelf) ? '' : ' no '.intdiv($index, count($shelf))),
    range(0, 1999),
);
$cells = array_map(static fn (int $index): array => $index % 2 === 0
    ? [strrev(implode(' ', array_reverse(explode(' ', strrev($shelf[$index % count($shelf)]->name))))), '1', '€ 7,50', 'ordered', '']
    : ["Flat LiPo cell 3.7 V {$index}0 mAh, protected", '2', '14.50 EUR', 'here', '98'], range(0, 499));
row('a spreadsheet of 500 rows, against 2,000 parts', timed(3, static function () use ($names, $cells): void {
    $headings = ['Item', 'Qty', 'Price', 'Status', 'Weight (g)'];
    $index = new NameIndex($names);
    foreach ((new SheetReader($headings, Headings::kinds($headings, $cells)))->read($cells, 2) as $row) {
        $index->find($row->name) ?? SureFinds::says($row->text, $row->role);
    }
}), '2 s or less');
row('everything the Power page asks for, 18 lines', timed(20, static fn () => (new PowerReport($refuge))->toArray()), '');
printf("%-52s %8.1f MB                  %s\n", 'memory of one appraisal, at its peak', $peak, '32 MB or less');

$visitor = new Visitor((string) getenv('BASE_URL').'/api');
$visitor->open('/?key='.getenv('POCKETPLOT_DOOR_KEY'));
$visitor->ask('GET', '/session');
$visitor->ask('POST', '/demo-door');
$opened = $visitor->ask('POST', '/builds', ['demo' => 'refuge']);
$version = $opened['version'];
$edits = $nothings = [];
$edit = static function () use ($visitor, $opened, &$version): void {
    $version = $visitor->ask('PATCH', "/builds/{$opened['id']}/lines/panel", ['version' => $version, 'note' => "round {$version}"])['version'];
};
for ($round = 0; $round < 40; $round++) {
    // In turns, so that both meet the same moments of the machine.
    $began = hrtime(true);
    $visitor->ask('GET', '/nothing');
    $nothings[] = (hrtime(true) - $began) / 1e6;
    $began = hrtime(true);
    $edit();
    $edits[] = (hrtime(true) - $began) / 1e6;
}
$median = static function (array $times): array {
    sort($times);

    return [$times[0], $times[intdiv(count($times), 2)], $times[count($times) - 1]];
};
row('an empty route, over HTTP', $median($nothings), '');
row('an edit\'s whole answer, over HTTP', $median($edits), '');
$ticks = [];
for ($round = 0; $round < 40; $round++) {
    $began = hrtime(true);
    $visitor->ask('POST', "/builds/{$opened['id']}/record", ['events' => [['id' => "bench-{$round}", 'step' => 'hear/speaker', 'did' => $round % 2 === 0 ? 'done' : 'undone', 'read' => ['clean' => true]]]]);
    $ticks[] = (hrtime(true) - $began) / 1e6;
}
row('a tick at the bench, the plan found again', $median($ticks), 'as an edit');
$version += 40;
$puts = [];
for ($round = 0; $round < 40; $round++) {
    $began = hrtime(true);
    $version = $visitor->ask('POST', "/builds/{$opened['id']}/fit", ['version' => $version, 'did' => 'put', 'line' => 'board', 'xMm' => $round, 'yMm' => 0, 'zMm' => 60])['build']['version'];
    $puts[] = (hrtime(true) - $began) / 1e6;
}
row('a piece put elsewhere, judged and told', $median($puts), 'as an edit');
printf("%-52s %8.1f times                %s\n", 'edit against empty route, medians', $median($edits)[1] / $median($nothings)[1], '2.5 times or less');

foreach (range(1, 99) as $copy) {
    $visitor->ask('POST', '/builds', ['demo' => $copy % 2 === 0 ? 'refuge' : 'thimble']);
}
$visitor->ask('GET', '/builds');
/** Two routes asked in turns, so that both meet the same moments of the machine. */
$inTurns = static function (string $path) use ($visitor): array {
    $nothings = $pages = [];
    for ($round = 0; $round < 40; $round++) {
        $began = hrtime(true);
        $visitor->ask('GET', '/nothing');
        $nothings[] = (hrtime(true) - $began) / 1e6;
        $began = hrtime(true);
        $visitor->ask('GET', $path);
        $pages[] = (hrtime(true) - $began) / 1e6;
    }

    return [$nothings, $pages];
};
[$nothings, $pages] = $inTurns('/builds');
row('the page of 100 builds, over HTTP', $median($pages), '');
printf("%-52s %8.1f times                %s\n", 'page against empty route, medians', $median($pages)[1] / $median($nothings)[1], '2 times or less');
$words = "/builds/{$opened['id']}/candidates?role=display&swap=panel&q=panel";
$visitor->ask('GET', $words);
[$nothings, $pages] = $inTurns($words);
printf("%-52s %8.1f times                %s\n", 'one more search word among judged candidates', $median($pages)[1] / $median($nothings)[1], '');

$base = (string) getenv('BASE_URL').'/api';
$accounts = UnderLoad::accounts($base, 4, 'load');
$empty = UnderLoad::empty($base, ...array_column($accounts, 'jar'));
$mixed = UnderLoad::mixed($base, $accounts);
$p95 = static function (array $times): float {
    sort($times);

    return $times[(int) (count($times) * 0.95)];
};
$empty->run(60);
$mixed->run(60);
// In turns, so that both meet the same moments of the machine.
$emptyTimes = $mixedTimes = $emptyRates = $mixedRates = [];
foreach (range(1, 5) as $turn) {
    [$times, $emptyRates[]] = $empty->run(200);
    $emptyTimes = [...$emptyTimes, ...$times];
    [$times, $mixedRates[]] = $mixed->run(200);
    $mixedTimes = [...$mixedTimes, ...$times];
}
printf("%-52s %8.1f /s       p95 %6.1f ms\n", 'an empty route, four at once', $median($emptyRates)[1], $p95($emptyTimes));
printf("%-52s %8.1f /s       p95 %6.1f ms\n", 'reads and edits 4 : 1, four at once', $median($mixedRates)[1], $p95($mixedTimes));
printf("%-52s %8.1f times                %s\n", 'p95 of the mixed load against the empty route', $p95($mixedTimes) / $p95($emptyTimes), '6 times or less');

$demo = User::query()->where('email', config('pocketplot.demo_email'))->firstOrFail();
$makers = ['Heron', 'Moss', 'Cairn', 'Willow', 'Slate', 'Amber', 'Copper', 'Linen'];
foreach (array_chunk(range(1, 10000), 500) as $chunk) {
    PartRecord::query()->insert(array_map(static fn (int $number): array => [
        'user_id' => $demo->id, 'key' => "bench-{$number}", 'name' => $makers[$number % 8]." part {$number}", 'role' => Role::cases()[$number % 15]->value,
        'maker' => $makers[($number * 3) % 8].' Works', 'summary' => 'A part with '.$makers[($number * 5) % 8].' and number '.$number,
        'spec' => json_encode(
            ['id' => "bench-{$number}", 'name' => "Part {$number}", 'role' => Role::cases()[$number % 15]->value],
        ), 'created_at' => now(), 'updated_at' => now(),
    ], $chunk));
}
$search = static fn (string $words) => PartRecord::matching(PartRecord::visibleTo($demo), $words)->orderBy('name')->limit(50)->get()->map(
    static fn (PartRecord $row): Part => PartReader::read($row->spec),
);
row('library search among 10,000 parts, a common word', timed(20, static fn () => $search('heron')), '40 ms or less');
row('library search among 10,000 parts, two words', timed(20, static fn () => $search('cairn 77')), '40 ms or less');

/** @var array<string, array{file: string, imports?: list<string>}> $manifest */
$manifest = json_decode((string) file_get_contents(__DIR__.'/../public/build/manifest.json'), true);
$files = [];
$collect = static function (string $entry) use (&$collect, &$files, $manifest): void {
    if (! isset($files[$manifest[$entry]['file']])) {
        $files[$manifest[$entry]['file']] = strlen((string) gzencode((string) file_get_contents(__DIR__.'/../public/build/'.$manifest[$entry]['file']), 6));
        array_map($collect, $manifest[$entry]['imports'] ?? []);
    }
};
$collect('resources/js/main.tsx');
$collect('resources/js/stations/parts/PartsStation.tsx');
printf("%-52s %8.1f kB                  %s\n", 'script until Parts stands, compressed', array_sum($files) / 1000, '200 kB or less');
