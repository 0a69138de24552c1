<?php

declare(strict_types=1);

use CoreTests\Make;
use CoreTests\Power;
use PocketPlot\Build\Build;
use PocketPlot\Build\Profile;
use PocketPlot\Check\Verdict;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Part;
use PocketPlot\Power\Assumption;
use PocketPlot\Power\ChargePlan;
use PocketPlot\Power\Chemistry;
use PocketPlot\Power\Discharge;
use PocketPlot\Power\Gaps;
use PocketPlot\Power\PackModel;
use PocketPlot\Power\PackNeed;
use PocketPlot\Power\Scatter;
use PocketPlot\Power\Sizing;
use PocketPlot\Power\TripBehaviour;
use PocketPlot\Report\PowerReport;
use PocketPlot\WhatIf\PackChoice;
use PocketPlot\WhatIf\PackChoices;

$charger = static fn (array $with = []): array => ['role' => 'charger', 'facets' => ['charger' => [
    'chemistries' => ['Li-ion', 'NiMH'], 'seriesLeast' => 1, 'seriesMost' => 4, 'inputVolts' => Make::band(4.5, 5.5), 'chargeMa' => 1000, 'powerPath' => 'no', ...$with,
]]];
$wall = static fn (float $ma, float $volts = 5.0): array => ['role' => 'charger', 'facets' => ['poweredBy' => 'mains', 'outputs' => [['name' => 'plug', 'volts' => $volts, 'continuousMa' => $ma, 'peakMa' => $ma]]]];
$plan = static function (array $lines): ChargePlan {
    $facts = new Facts(Make::build($lines));
    $pack = $facts->with('pack')[0];

    return ChargePlan::of($facts->build, $pack, isset($lines['panel']) ? Power::circuit($lines) : null) ?? throw new RuntimeException('no charge');
};

describe('charging', function () use ($charger, $wall, $plan): void {
    it('takes capacity ÷ current while nothing holds it back', function () use ($charger, $plan): void {
        // 2 Ah ÷ 1 A = 2 h; 99 % of what goes in comes out: 2.02 h; 80 % after 1.616 h. No resistance, so the volts never reach full early.
        $one = $plan(['pack' => Power::pack('Li-ion', 1, 2000), 'charger' => $charger()])->atRest;
        expect($one?->hoursToFull)->toEqualWithDelta(2.02, 0.01)->and($one?->hoursTo80)->toEqualWithDelta(1.616, 0.01);
    });

    it('knows the hours between two shares of the charge', function () use ($charger, $plan): void {
        // 20 to 70 % of 2 Ah at 1 A and 99 %: 1.01 h.
        $one = $plan(['pack' => Power::pack('Li-ion', 1, 2000), 'charger' => $charger()])->atRest;
        expect($one?->hoursBetween(0.2, 0.7))->toEqualWithDelta(1.01, 0.01)->and($one?->hoursBetween(0.0, 1.0))->toEqualWithDelta($one?->hoursToFull, 0.01);
    });

    it('slows down at full volts where the cell has a resistance', function () use ($charger, $plan): void {
        $plain = $plan(['pack' => Power::pack('Li-ion', 1, 2000), 'charger' => $charger()])->atRest;
        $one = $plan(['pack' => Power::pack('Li-ion', 1, 2000, ['internalResistanceMohm' => 40]), 'charger' => $charger()])->atRest;
        $amps = array_column($one->rows ?? [], 'amps');
        expect($one?->hoursAtFullVolts)->toBeGreaterThan(1.0)->and($one?->hoursToFull)->toBeGreaterThan($plain?->hoursToFull)
            // A tenth of the current ends it.
            ->and($amps[count($amps) - 2])->toBeLessThan(0.35)->and(max(array_column($one->rows ?? [], 'volts')))->toEqualWithDelta(4.2, 1e-6);
    });

    it('fills an ordinary cell as makers\' sheets have it', function (string $chemistry, float $mah, float $fullVoltsAt, float $hours) use ($charger, $plan): void {
        // One ampere-hour for each ampere-hour of charge and 1 A: 1 Ah is charged at all of its capacity an hour, 2 Ah at half of it.
        $pack = Power::pack($chemistry, 1, $mah, ['internalResistanceMohm' => Chemistry::cellOhm($chemistry, $mah / 1000) * 1000]);
        $one = $plan(['pack' => $pack, 'charger' => $charger(['chemistries' => [$chemistry]])])->atRest;
        $share = ($one?->hoursAtFullVolts ?? 0.0) * 1000 / $mah * Chemistry::takesIn($chemistry);
        expect($share)->toEqualWithDelta($fullVoltsAt, 0.03)->and($one?->hoursToFull)->toEqualWithDelta($hours, 0.1 * $hours);
    })->with([
        'Li-ion, half' => ['Li-ion', 2000, 0.85, 2.4], 'Li-ion, whole' => ['Li-ion', 1000, 0.66, 1.45],
        'LiPo, half' => ['LiPo', 2000, 0.86, 2.4], 'LiFePO4, whole' => ['LiFePO4', 1000, 0.97, 1.1],
    ]);

    it('counts what nickel cells turn to warmth', function () use ($charger, $plan): void {
        // 2 Ah ÷ (1 A × 0.75) = 2.667 h.
        expect($plan(['pack' => Power::pack('NiMH', 2, 2000), 'charger' => $charger()])->atRest?->hoursToFull)->toEqualWithDelta(2.667, 0.01);
    });

    it('is held back by a weak supply', function () use ($charger, $wall, $plan): void {
        // A linear charger passes amps on: 0.5 A at the plug are 0.5 A at the pack. 2 ÷ (0.5 × 0.99) = 4.04 h.
        $one = $plan(['pack' => Power::pack('Li-ion', 1, 2000), 'charger' => $charger(['topology' => 'linear']), 'wall' => $wall(500)]);
        expect($one->atRest?->hoursToFull)->toEqualWithDelta(4.04, 0.02)->and($one->atRest?->heldBack)->toBeTrue()
            ->and($one->weak[0]['hoursToFull'])->toEqualWithDelta(4.04, 0.02)->and($one->weak[2]['hoursToFull'])->toEqualWithDelta(2.02, 0.01);
    });

    it('knows the warmth of a linear charger, worst with the emptiest pack', function () use ($charger, $wall, $plan): void {
        // (5 V − 3.0 V) × 1 A = 2 W at first, falling as the pack fills; 30 K/W above 25 °C.
        $lines = ['pack' => Power::pack('Li-ion', 1, 2000), 'charger' => $charger(['topology' => 'linear']), 'wall' => $wall(2000)];
        $lines['charger']['facets']['heat'] = ['riseKPerW' => 30];
        $one = $plan($lines);
        expect($one->atRest?->mostHeatW)->toEqualWithDelta(2.0, 0.05)->and($one->hottestC)->toEqualWithDelta(25 + 60, 2);
    });

    it('knows the warmth of a switching charger by its efficiency, and none without it', function () use ($charger, $wall, $plan): void {
        // 4.2 V × 1 A × (1 ÷ 0.9 − 1) = 0.467 W with the full pack.
        $lines = static fn (array $with): array => ['pack' => Power::pack('Li-ion', 1, 2000), 'charger' => $charger(['topology' => 'switching', ...$with]), 'wall' => $wall(2000)];
        expect($plan($lines(['efficiency' => 0.9]))->atRest?->mostHeatW)->toEqualWithDelta(0.467, 0.01)
            ->and($plan($lines([]))->atRest?->mostHeatW)->toBeNull()->and((string) $plan($lines([]))->missing[0]->figure)->toBe('charger.efficiency');
    });

    it('says what is left for the pack during play', function () use ($charger, $wall, $plan): void {
        // 1 A from the charger, 1.8 W ÷ 3.6 V = 0.5 A to the play: about 0.5 A is left at half charge.
        $lines = ['pack' => Power::pack('Li-ion', 1, 2000), 'charger' => $charger(['topology' => 'linear']), 'wall' => $wall(3000), 'panel' => Power::steady(500, 3.6), 'join' => ['role' => 'tool']];
        $half = (new PackModel(Make::build($lines)->lines[0], 'Li-ion', 1, 7200, 7200, 0, 4.2, 3.6, 3.0, null, null))->openCircuitVolts(0.5);
        expect($plan($lines)->netMa)->toEqualWithDelta(1000 - 1800 / $half, 2);
        // Past the pack, the play takes its 1.8 W from the 15 W of the plug and the pack gets its whole ampere.
        $lines['charger'] = $charger(['topology' => 'linear', 'powerPath' => 'yes']);
        expect($plan($lines)->netMa)->toEqualWithDelta(1000, 1);
        // A plug of 0.2 A gives 1 W: 0.8 W come out of the pack all the same.
        $lines['wall'] = $wall(200);
        expect($plan($lines)->netMa)->toEqualWithDelta(-800 / $half, 2);
    });

    it('does not know without the current, and never charges alkaline cells', function () use ($charger): void {
        $lines = ['pack' => Power::pack('Li-ion', 1, 2000), 'charger' => $charger(['chargeMa' => null])];
        unset($lines['charger']['facets']['charger']['chargeMa']);
        $facts = new Facts(Make::build($lines));
        expect((string) ChargePlan::of($facts->build, $facts->with('pack')[0], null)?->missing[0]->figure)->toBe('charger.chargeMa');
        $facts = new Facts(Make::build(['pack' => Power::pack('alkaline', 1, 2000), 'charger' => $charger()]));
        expect(ChargePlan::of($facts->build, $facts->with('pack')[0], null))->toBeNull();
    });
});

describe('sizing', function (): void {
    $lines = ['pack' => Power::pack('Li-ion', 2, 3000), 'five' => Power::converter(5, 0.9, 'buck'), 'panel' => Power::steady(1000, 5, leastV: 4.6, with: ['volts' => Make::band(4.6, 5.4)])];
    $lines['five']['facets']['supply']['volts'] = Make::band(5.5, 18);

    it('finds the pack that the wish asks for', function () use ($lines): void {
        $needs = Sizing::needs(Power::circuit($lines), 4.0, Make::library());
        $need = array_values(array_filter($needs, static fn (PackNeed $need): bool => $need->chemistry === 'Li-ion' && $need->series === 3))[0];
        // 5 W ÷ 0.9 × 4 h = 22.2 Wh at the cells; a tenth of what is printed does not come out: about 24.7 Wh, a little more for sag and cut-off.
        expect($need->wattHours)->toBeGreaterThan(24.0)->toBeLessThan(27.0)->and($need->ampHours)->toEqualWithDelta($need->wattHours / 10.8, 1e-6);
        // So many watt-hours really run that long.
        $trial = Discharge::hours(Power::circuit([...$lines, 'pack' => Power::pack('Li-ion', 3, $need->ampHours * 1000, ['usableShare' => Sizing::USABLE, 'internalResistanceMohm' => 3 * 120 / $need->ampHours, 'protection' => 'built-in', 'cutOffV' => 9.0])]));
        expect($trial->hours)->toEqualWithDelta(4.0, 0.02);
    });

    it('says why a size cannot run', function () use ($lines): void {
        $why = static fn (string $chemistry, int $series): ?string => array_values(array_filter(Sizing::needs(Power::circuit($lines), 4.0, []), static fn (PackNeed $need): bool => $need->chemistry === $chemistry && $need->series === $series))[0]->why;
        expect($why('Li-ion', 1))->toContain('Five gives up')->and($why('Li-ion', 3))->toBeNull();
        $lines['five']['facets']['supply']['volts'] = Make::band(5.5, 12);
        expect(array_values(array_filter(Sizing::needs(Power::circuit($lines), 4.0, []), static fn (PackNeed $need): bool => $need->chemistry === 'Li-ion' && $need->series === 4))[0]->why)->toContain('16.8 V; it takes 12 V at most');
    });

    it('tries every pack of the library and marks what goes into the body', function (): void {
        $build = Make::demo('thimble');
        $pack = (new Facts($build))->with('pack')[0];
        $choices = (new PackChoices($build, $pack, $build->profiles[0]))->among(Make::library(), 8.0);
        $packs = array_filter(Make::library(), static fn (Part $part): bool => $part->pack !== null);
        expect(count($choices))->toBe(count($packs));
        foreach ($choices as $choice) {
            if ($choice->does) {
                expect($choice->reached?->hours)->toBeGreaterThanOrEqual(8.0)->and($choice->tooHigh)->toBeNull();
            } else {
                expect($choice->toArray()['why'])->not->toBeNull();
            }
        }
        $does = array_filter($choices, static fn (PackChoice $choice): bool => $choice->does);
        expect(array_unique(array_map(static fn (PackChoice $choice): ?bool => $choice->fits, $does)))->toContain(true)->toContain(false);
        // What does it, clashes with nothing and fits stands first, the smallest of them at the top.
        $volumes = array_map(static fn (PackChoice $choice): ?float => $choice->cm3, array_filter($choices, static fn (PackChoice $choice): bool => $choice->does && $choice->clashes === [] && $choice->fits === true));
        $sorted = $volumes;
        sort($sorted);
        expect(array_values($volumes))->toBe($sorted)->and($choices[0]->does && $choices[0]->fits)->toBeTrue();
    });

    it('says what else a pack would bring, and names it after those that bring nothing', function (string $file, string $name, array $clashes): void {
        $build = Make::trial($file);
        $line = (new Facts($build))->with('pack')[0];
        $choices = (new PackChoices($build, $line, $build->profilesOrDefaults()[0]))->among(Make::library(), $build->brief->runTimeHours ?? 4.0);
        $found = array_values(array_filter($choices, static fn (PackChoice $choice): bool => $choice->part->name === $name))[0];
        expect($found->does)->toBeTrue();
        foreach ($clashes as $says) {
            expect(implode(' ', $found->clashes))->toContain($says);
        }
        expect(count($found->clashes) === 0)->toBe($clashes === []);
        // The same as the whole appraisal says after the swap.
        $keys = static fn (Build $of): array => array_filter([...Make::appraise($of)->keysOf(Verdict::Clash), ...Make::appraise($of)->keysOf(Verdict::Missing)], static fn (string $key): bool => str_starts_with($key, 'power.') && ! str_starts_with($key, 'power.runtime'));
        $is = $keys($build->withSwap($line->id, $found->part, $found->count));
        $new = array_filter($is, static fn (string $key): bool => ! in_array($key, $keys($build), true) || str_starts_with(explode('/', $key, 2)[1], $line->id));
        expect(count($found->clashes))->toBe(count($new));
        $ranks = array_map(static fn (PackChoice $choice): int => $choice->does ? ($choice->clashes === [] ? 0 : 1) : 2, $choices);
        $sorted = $ranks;
        sort($sorted);
        expect($ranks)->toBe($sorted);
    })->with([
        'bare cells where the board guards four in a row' => ['small-pc-core', 'Two bare round cells', ['no protection']],
        // 49 W on average at 5 to 20 V: more than its socket gives.
        'a bank whose socket is too weak' => ['small-pc-core', 'Cresset bank, 20000 mAh', ['high socket']],
        // Its board lets 9 A through, whatever the cells give.
        'the pack that is there' => ['small-pc-core', 'Block pack, 4S, 7800 mAh', ['9000 mA']],
        'a nickel pack on a lithium charger' => ['upgrade-stack', 'Round cells, nickel, three', ['harge']],
        'a larger cell of the same kind' => ['upgrade-stack', 'Cobnut 2000 cell', []],
    ]);

    it('goes by the air that is asked about, in sizing as in charging', function (): void {
        $build = Make::demo('thimble');
        $at = static fn (float $celsius): PowerReport => new PowerReport($build, 0, $celsius);
        $hours = static fn (PowerReport $report): float => array_values(array_filter($report->sizing(2.0, Make::library())->choices ?? [], static fn (PackChoice $choice): bool => $choice->part->name === 'Cobnut 500 cell'))[0]->one->hours ?? 0.0;
        expect($hours($at(25)))->toEqualWithDelta($at(25)->sources()[0]->ends[0]->usual?->hours, 1e-6)
            ->and($hours($at(0)))->toEqualWithDelta($at(0)->sources()[0]->ends[0]->usual?->hours, 1e-6)->and($hours($at(0)))->toBeLessThan(0.9 * $hours($at(25)));
        // A cold cell takes less, and its charger starts from colder air.
        $charge = static fn (float $celsius): ?float => $at($celsius)->sources()[0]->charge?->atRest?->hoursToFull;
        expect($charge(0))->toBeLessThan($charge(25));
    });

    it('offers no pack of ten times what is needed, and says why', function (): void {
        $build = Make::build(['pack' => Power::pack('Li-ion', 1, 2000), 'panel' => Power::steady(200, 3.6)]);
        $part = static fn (string $id, float $mah): Part => Make::build([$id => Power::pack('Li-ion', 1, $mah)])->lines[0]->part;
        // 0.72 W out of 7.2 Wh: 10 h of 2 h; out of 72 Wh: 100 h.
        $choices = (new PackChoices($build, $build->lines[0], new Profile('steady')))->among([$part('some', 2000), $part('oversized', 20000)], 2.0);
        $by = array_combine(array_map(static fn (PackChoice $one): string => $one->part->name, $choices), $choices);
        expect($by['Some']->does)->toBeTrue()->and($by['Oversized']->does)->toBeFalse()->and($by['Oversized']->toArray()['why'])->toContain('many times what is asked for');
    });

    it('does not blame a pack for what clashes with any', function (): void {
        // Nothing charges any of them; only the weak one is asked for more than it gives: 3.6 W ÷ 3.0 V = 1.2 A of 0.5 A.
        $weak = ['internalResistanceMohm' => 50, 'protection' => 'built-in', 'cutOffV' => 3.0, 'maxDischargeMa' => 500, 'maxChargeMa' => 500];
        $build = Make::build(['pack' => Power::pack('Li-ion', 1, 2000, $weak), 'panel' => Power::steady(1000, 3.6)]);
        expect(Make::appraise($build)->keysOf(Verdict::Missing))->toContain('power.charger-match/pack');
        $part = static fn (string $id, array $with): Part => Make::build([$id => Power::pack('Li-ion', 1, 4000, [...$weak, ...$with])])->lines[0]->part;
        $choices = (new PackChoices($build, $build->lines[0], new Profile('steady')))->among([$part('weak', []), $part('strong', ['maxDischargeMa' => 4000])], 1.0);
        $clashes = array_combine(array_map(static fn (PackChoice $one): string => $one->part->name, $choices), array_map(static fn (PackChoice $one): int => count($one->clashes), $choices));
        expect($clashes)->toBe(['Strong' => 0, 'Weak' => 1]);
    });

    it('says the same of a pack as the appraisal after the swap', function (): void {
        $build = Make::demo('thimble');
        $pack = (new Facts($build))->with('pack')[0];
        foreach (array_slice((new PackChoices($build, $pack, $build->profiles[0]))->among(Make::library(), 2.0), 0, 6) as $choice) {
            expect($choice->one?->hours)->toEqualWithDelta(Make::appraise($build->withSwap($pack->id, $choice->part, 1))->vitals->runTime->usual(), 1e-6);
        }
    });

    it('knows what the body leaves for the pack', function (array $body, array $brief, ?float $cm3, ?string $wants = null): void {
        $sized = static fn (float $long, float $wide, float $high): array => ['size' => ['lengthMm' => $long, 'widthMm' => $wide, 'heightMm' => $high]];
        $lines = ['pack' => Power::pack('Li-ion', 1, 3000), 'board' => ['role' => 'board', 'facets' => $sized(100, 50, 20)], 'case' => ['role' => 'case', 'facets' => ['body' => $body]]];
        $lines['pack']['facets'] += $sized(70, 20, 20);
        $lines['panel'] = Power::steady(100, 3.6);
        $lines['panel']['facets'] += $sized(100, 60, 10);
        $sizing = (new PowerReport(Make::build($lines, $brief)))->sizing(2.0, Make::library());
        expect($sizing?->left->cm3)->toBe($cm3)->and($sizing?->toArray()['leftWants'])->toBe($wants)->and($sizing?->roomCm3)->toBe($cm3)->and($cm3 === null || $cm3 === 0.0 || $sizing->within !== [])->toBeTrue();
    })->with([
        // 200 × 100 × 40 mm are 800 cm³, of which 60 % are easily filled: 480, less 100 of the board and 60 of the panel.
        'a body that is there' => [['cavityLengthMm' => 200, 'cavityWidthMm' => 100, 'cavityHeightMm' => 40], ['margins' => ['packing-easy' => 0.6]], 320.0],
        // (124 − 4) × (84 − 4) × (54 − 4) mm are 480 cm³; 60 % are 288, less 160.
        'a body to be drawn, within the brief' => [['drawn' => true, 'wallMm' => 2], ['largestMm' => ['lengthMm' => 124, 'widthMm' => 84, 'heightMm' => 54], 'margins' => ['packing-easy' => 0.6]], 128.0],
        'too small for the rest already' => [['cavityLengthMm' => 100, 'cavityWidthMm' => 60, 'cavityHeightMm' => 10], [], 0.0],
        'a body without a depth' => [['cavityLengthMm' => 200, 'cavityWidthMm' => 100], [], null, 'room inside of Case'],
        'a body to be drawn without its wall' => [['drawn' => true], ['largestMm' => ['lengthMm' => 124, 'widthMm' => 84, 'heightMm' => 54]], null, 'thickness of the wall of Case'],
        'a body to be drawn as large as one likes' => [['drawn' => true, 'wallMm' => 2], [], null],
    ]);

    it('fills a room with what runs longest', function (): void {
        $build = Make::demo('thimble');
        $pack = (new Facts($build))->with('pack')[0];
        $packs = new PackChoices($build, $pack, $build->profiles[0]);
        $choices = $packs->among(Make::library(), 2.0);
        $small = $packs->within($choices, 12.5);
        $large = $packs->within($choices, 40.0);
        expect($small[0]['hours'])->toBeLessThan($large[0]['hours'])->and($packs->within($choices, 0.1))->toBe([]);
        foreach ($small as $one) {
            expect($one['count'] * $one['part']->size->volumeCm3())->toBeLessThanOrEqual(12.5);
        }
    });
});

describe('how sure it is', function (): void {
    $report = static fn (string $name): PowerReport => new PowerReport(Make::demo($name));

    it('draws the same sample for the same seed, inside the corners', function () use ($report): void {
        $one = $report('refuge')->scatter(120)?->toArray();
        expect($one)->toEqual($report('refuge')->scatter(120)?->toArray())->and($one)->not->toEqual($report('refuge')->scatter(120, 7)?->toArray())
            ->and(array_sum(array_column($one['histogram'] ?? [], 'runs')))->toBe(120);
        $ends = $report('refuge')->toArray()['sources'][0]['ends'][0];
        expect($one['middle'][0])->toBeGreaterThan($ends['leastHours'])->and($one['middle'][4])->toBeLessThan($ends['mostHours'])
            ->and($one['middle'][0])->toBeLessThan($one['middle'][2])->and($one['middle'][2])->toBeLessThan($one['middle'][4]);
    });

    it('tells each run as it is done', function () use ($report): void {
        $told = [];
        $report('thimble')->scatter(10, after: static function (int $done) use (&$told): void {
            $told[] = $done;
        });
        expect($told)->toBe(range(1, 10));
    });

    it('ranks what things are worth, and has the signs right', function () use ($report): void {
        $found = $report('refuge')->scatter(5)?->toArray()['sensitivities'] ?? [];
        $worth = array_column($found, 'worthHours');
        $sorted = $worth;
        rsort($sorted);
        expect($worth)->toBe($sorted)->and(array_column($found, 'what'))->toContain('Brightness of the panel')->toContain('Cold');
        foreach ($found as $one) {
            expect($one['goodHours'])->toBeGreaterThan($one['badHours'], $one['what']);
        }
    });

    it('is not sure of anything while a figure is missing', function () use ($report): void {
        expect($report('barge')->scatter(5))->toBeNull()->and($report('barge')->sizing(2, []))->toBeNull();
    });

    it('knows the middle of a sample', function (): void {
        expect((new Scatter(range(1.0, 100.0), 1, []))->middle())->toBe([6.0, 26.0, 51.0, 76.0, 96.0])->and((new Scatter([], 1, []))->middle())->toBe([0.0, 0.0, 0.0, 0.0, 0.0]);
        // A hundred runs in twenty bars: five each.
        expect(array_column((new Scatter(range(1.0, 100.0), 1, []))->histogram(), 'runs'))->toBe(array_fill(0, 20, 5));
    });
});

describe('protection', function (): void {
    $guard = static function (array $with, array $more = []): TripBehaviour {
        $lines = ['pack' => Power::pack('Li-ion', 1, 3000, $with), 'panel' => Power::steady(800, 3.6), ...$more];
        $facts = new Facts(Make::build($lines));
        $line = $facts->with('pack')[0];

        return TripBehaviour::of($facts->build, $line, $line->part->pack ?? throw new RuntimeException, Discharge::run(Power::circuit($lines)));
    };

    it('says what the load sees', function (array $with, string $says) use ($guard): void {
        expect(implode(' ', $guard(['protection' => 'built-in', 'cutOffV' => 3.2, ...$with])->says))->toContain($says);
    })->with([
        'a latch' => [['latches' => 'yes'], 'stays off until a charger is plugged in'],
        'one that lets go again too soon' => [['latches' => 'no', 'recoveryV' => 3.25, 'internalResistanceMohm' => 200], 'starts, drops out and starts again'],
        'one that waits' => [['latches' => 'no', 'recoveryV' => 3.6], 'stays dark until it is charged'],
        'nobody knows' => [[], 'Nobody knows whether it stays off'],
    ]);

    it('warns of a pack that nothing cuts off', function () use ($guard): void {
        expect(implode(' ', $guard([])->says))->toContain('Nothing cuts Pack off')->toContain('can burn')
            ->and((string) $guard(['protection' => 'unknown'])->open[0]->figure)->toBe('pack.protection');
    });

    it('holds the notice against the time of a shutdown', function () use ($guard): void {
        $board = static fn (float $warns): array => ['board' => ['role' => 'board', 'facets' => [
            'software' => ['needsShutdown' => 'yes', 'shutdownSeconds' => 20],
            'supply' => ['volts' => Make::band(2.9, 5), 'drawMa' => 500, 'peakMa' => 500, 'drawAtV' => 3.6, 'warnVolts' => $warns],
        ]]];
        expect(implode(' ', $guard(['protection' => 'built-in', 'cutOffV' => 3.2], $board(3.5))->says))->toContain('From its own low-voltage warning to the end')->toContain('time enough')
            ->and(implode(' ', $guard(['protection' => 'built-in', 'cutOffV' => 3.2], $board(2.0))->says))->toContain('Nothing tells Board in time')
            ->and(implode(' ', $guard(['protection' => 'built-in', 'cutOffV' => 3.2], [...$board(2.0), 'gauge' => ['role' => 'charger', 'facets' => ['gauge' => ['warningSeconds' => 10]]]])->says))->toContain('too short');
    });
});

it('reports every source with its tree, its budget and its ends', function (): void {
    $report = (new PowerReport(Make::demo('refuge')))->toArray();
    $source = $report['sources'][0];
    $nodes = array_column($source['nodes'], null, 'id');
    expect($report['profiles'][0]['name'])->toBe('Two at the table')->and($nodes['feed board']['parent'])->toBe('five-volt:5 V')->and($nodes['five-volt:5 V']['parent'])->toBe('feed five-volt');
    foreach ($source['nodes'] as $node) {
        // What hangs on a node adds up to what it gives, in each state: amps on raw volts and rails alike.
        foreach (['idle', 'usual', 'heavy'] as $state) {
            $children = array_filter($source['nodes'], static fn (array $child): bool => $child['parent'] === $node['id']);
            if (in_array($node['kind'], ['source', 'rail'], true)) {
                expect(array_sum(array_map(static fn (array $child): float => $child['values'][$state]['amps'], $children)))->toEqualWithDelta($node['values'][$state]['amps'], 0.001, "{$node['id']} {$state}");
            }
        }
    }
    $budget = $source['budget'];
    expect(array_sum(array_column($budget['rows'], 'share')))->toBeGreaterThan(0.98)->toBeLessThanOrEqual(1.0001)
        ->and(array_sum(array_column($budget['rows'], 'fromSource')))->toEqualWithDelta($budget['mean'], 0.02 * $budget['mean'])
        ->and($budget['total']['heavy'])->toBeGreaterThan($budget['total']['usual']);
});

it('draws the shape of a tree whose figures are not known', function (): void {
    $report = (new PowerReport(Make::demo('barge')))->toArray();
    $pack = array_values(array_filter($report['sources'], static fn (array $source): bool => $source['isPack']))[0];
    expect(array_column($pack['missing'], 'figure'))->toContain('supply.drawMa')->and($pack['run'])->toBeNull()
        ->and(array_column($pack['nodes'], 'name'))->toContain('Slate 10 panel');
    // What the sheets say alone still stands: 5 V × 0.9 A for the board and what hangs on it.
    $values = array_column($pack['nodes'], 'values', 'id');
    expect($values['feed panel']['usual'])->toBeNull()->and($values['feed desk']['usual'])->toMatchArray(['volts' => 5.0, 'watts' => 0.2]);
});

it('doubles the store and halves the resistance of two side by side', function (): void {
    $line = Make::build(['pack' => Power::pack('Li-ion', 2, 3000, ['internalResistanceMohm' => 80])])->lines[0];
    $cells = PackModel::of($line, $line->part->pack ?? throw new RuntimeException, Assumption::usual(), 25, null, null, new Gaps) ?? throw new RuntimeException;
    expect($cells->times(2)->coulombs)->toBe(2 * 10800.0)->and($cells->times(2)->ohm)->toBe(0.04)->and($cells->times(2)->drain(3.0))->toBeLessThan($cells->drain(3.0));
});
