<?php

declare(strict_types=1);

use CoreTests\Make;
use PocketPlot\Check\Money\Packets;
use PocketPlot\Check\Money\ReadyMade;
use PocketPlot\Check\People\Consumables;
use PocketPlot\Check\People\Tools;
use PocketPlot\Check\Software\DriverKnown;
use PocketPlot\Check\Software\ReadyImage;
use PocketPlot\Check\Software\Rights;
use PocketPlot\Check\Software\SafeShutdown;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\Whole\KitGaps;

$board = static fn (array $software): array => ['role' => 'board', 'facets' => ['software' => ['card' => 'microsd', ...$software]]];

describe(ReadyImage::id(), function () use ($board): void {
    it('answers', function (string $image, array $expected) use ($board): void {
        expect(Make::verdicts(ReadyImage::class, Make::build(['board' => $board(['image' => $image])])))->toBe($expected);
    })->with(['accepts a ready one' => ['yes', ['fits board']], 'says tight of none' => ['no', ['tight board']], 'does not know' => ['unknown', ['unmeasured board']]]);
});

describe(DriverKnown::id(), function () use ($board): void {
    $panel = static fn (array ...$drivers): array => ['role' => 'display', 'facets' => ['drivers' => $drivers]];
    it('answers', function (array $panel, array $expected) use ($board): void {
        expect(Make::verdicts(DriverKnown::class, Make::build(['board' => $board(['family' => 'larch']), 'panel' => $panel])))->toBe($expected);
    })->with([
        'accepts one that comes with the system' => [$panel(['family' => 'larch', 'state' => 'in']), ['fits panel']],
        'accepts one with lines to set' => [$panel(['family' => 'larch', 'state' => 'lines', 'lines' => ['panel=a']]), ['fits panel']],
        'accepts one for every family' => [$panel(['family' => '*', 'state' => 'in']), ['fits panel']],
        'goes by the family before the rest' => [$panel(['family' => 'larch', 'state' => 'none'], ['family' => '*', 'state' => 'in']), ['clash panel']],
        'says tight of one that is being written' => [$panel(['family' => 'larch', 'state' => 'open', 'lookAgainOn' => '2027-01-15']), ['tight panel']],
        'flags none' => [$panel(['family' => 'larch', 'state' => 'none']), ['clash panel']],
        'does not know another family' => [$panel(['family' => 'fern', 'state' => 'in']), ['unmeasured panel']],
    ]);
    it('says when to look again', function () use ($board, $panel): void {
        [$finding] = Make::findings(DriverKnown::class, Make::build(['board' => $board(['family' => 'larch']), 'panel' => $panel(['family' => 'larch', 'state' => 'open', 'lookAgainOn' => '2027-01-15'])]));
        expect($finding->says())->toContain('look again on 2027-01-15');
    });
});

describe(SafeShutdown::id(), function () use ($board): void {
    $pack = ['role' => 'cells', 'facets' => ['pack' => ['chemistry' => 'Li-ion', 'series' => 1]]];
    $gauge = static fn (?float $seconds): array => ['role' => 'charger', 'facets' => ['gauge' => ['warningSeconds' => $seconds]]];
    it('answers', function (array $lines, array $expected): void {
        expect(Make::verdicts(SafeShutdown::class, Make::build($lines)))->toBe($expected);
    })->with([
        'accepts a board that can just go dark' => [['board' => $board(['needsShutdown' => 'no']), 'pack' => $pack], ['fits board']],
        'accepts notice enough' => [['board' => $board(['needsShutdown' => 'yes', 'shutdownSeconds' => 20]), 'pack' => $pack, 'gauge' => $gauge(60)], ['fits board']],
        'says tight within five seconds' => [['board' => $board(['needsShutdown' => 'yes', 'shutdownSeconds' => 20]), 'pack' => $pack, 'gauge' => $gauge(23)], ['tight board']],
        'flags notice that comes too late' => [['board' => $board(['needsShutdown' => 'yes', 'shutdownSeconds' => 20]), 'pack' => $pack, 'gauge' => $gauge(10)], ['clash board']],
        'misses a low-battery warning' => [['board' => $board(['needsShutdown' => 'yes', 'shutdownSeconds' => 20]), 'pack' => $pack], ['missing board']],
        'says nothing of a build without a pack' => [['board' => $board(['needsShutdown' => 'yes'])], []],
        'does not know an unknown board' => [['board' => $board([]), 'pack' => $pack], ['unmeasured board']],
        'does not know unknown notice' => [['board' => $board(['needsShutdown' => 'yes', 'shutdownSeconds' => 20]), 'pack' => $pack, 'gauge' => $gauge(null)], ['unmeasured gauge']],
    ]);
});

describe(Rights::id(), function (): void {
    $games = ['games' => [['class' => 'some']]];
    it('answers', function (array $brief, array $expected): void {
        expect(Make::verdicts(Rights::class, Make::build([], $brief)))->toBe($expected);
    })->with([
        'accepts your word' => [[...$games, 'rights' => true], ['fits build']],
        'says tight without it' => [$games, ['tight build']],
        'flags games you may not use' => [[...$games, 'rights' => false], ['clash build']],
        'says nothing without games' => [[], []],
    ]);
});

describe(Tools::id(), function (): void {
    $part = ['role' => 'board', 'part' => ['tools' => ['multimeter', 'soldering iron']]];
    it('answers', function (array $lines, array $brief, array $expected): void {
        expect(Make::verdicts(Tools::class, Make::build($lines, $brief)))->toBe($expected);
    })->with([
        'accepts a bench that has them' => [['part' => $part], ['tools' => ['multimeter', 'soldering iron']], ['fits part']],
        'accepts one that is on the list' => [['part' => $part, 'iron' => ['role' => 'tool', 'part' => ['serves' => ['soldering iron']]]], ['tools' => ['multimeter']], ['fits part']],
        'misses a tool' => [['part' => $part], ['tools' => ['multimeter']], ['missing part']],
        'does not know a bench nobody described' => [['part' => $part], [], ['unmeasured part']],
        'says nothing when no tool is wanted' => [['part' => ['role' => 'board']], [], []],
    ]);
    it('names the price of what is missing', function () use ($part): void {
        [$finding] = Make::findings(Tools::class, Make::build(['part' => $part], ['tools' => []]));
        // Meter 20.00 and iron 35.00.
        expect($finding->says())->toContain('55.00 EUR');
    });
});

describe(Consumables::id(), function (): void {
    $part = ['role' => 'board', 'part' => ['consumables' => ['solder', 'flux']]];
    it('answers', function (array $lines, array $brief, array $expected): void {
        expect(Make::verdicts(Consumables::class, Make::build($lines, $brief)))->toBe($expected);
    })->with([
        'accepts a full drawer' => [['part' => $part], ['consumables' => ['solder', 'flux', 'glue']], ['fits part']],
        'accepts what is on the list' => [['part' => $part, 'flux' => ['role' => 'material', 'part' => ['serves' => ['flux']]]], ['consumables' => ['solder']], ['fits part']],
        'says tight of what is nowhere' => [['part' => $part], ['consumables' => ['solder']], ['tight part']],
    ]);
});

describe(ReadyMade::id(), function (): void {
    $line = static fn (?string $price): array => ['part' => ['role' => 'board', 'line' => $price === null ? [] : ['price' => ['amount' => $price, 'currency' => 'EUR']]]];
    $brief = ['currency' => 'EUR', 'readyMade' => ['amount' => '100', 'currency' => 'EUR']];
    it('answers', function (array $lines, array $brief, array $expected): void {
        expect(Make::verdicts(ReadyMade::class, Make::build($lines, $brief)))->toBe($expected);
    })->with([
        'accepts the same price' => [$line('100'), $brief, ['fits build']],
        'says so when it is dearer' => [$line('100.01'), $brief, ['tight build']],
        'says nothing without a price to compare' => [$line('100'), [], []],
        'does not know while a price is missing' => [$line(null), $brief, ['unmeasured part']],
        'does not know without a rate' => [$line('10'), ['currency' => 'EUR', 'readyMade' => ['amount' => '100', 'currency' => 'SEK']], ['unmeasured part']],
    ]);
});

describe(Packets::id(), function (): void {
    $line = static fn (int $quantity, array $with = [], int $of = 10): array => ['caps' => ['role' => 'material', 'part' => ['packetOf' => $of], 'line' => ['quantity' => $quantity, ...$with]]];
    it('answers', function (array $lines, array $expected): void {
        expect(Make::verdicts(Packets::class, Make::build($lines)))->toBe($expected);
    })->with([
        'accepts a packet that is used' => [$line(8), ['fits caps']],
        'says tight when hardly any is used' => [$line(12, [], 200), ['tight caps']],
        'counts several packets' => [$line(12), ['fits caps']],
        'says nothing of what is in the drawer' => [$line(2, ['origin' => 'own']), []],
    ]);
    it('buys whole packets', function (int $quantity, string $cost) use ($line): void {
        expect(Make::appraise(Make::build($line($quantity, ['price' => ['amount' => '2.50', 'currency' => 'EUR']])))->vitals->cost->rounded())->toBe($cost);
    })->with([[1, '2.50'], [10, '2.50'], [11, '5.00']]);
});

describe(KitGaps::id(), function (): void {
    $kit = ['role' => 'case', 'facets' => ['kit' => ['contains' => ['shell'], 'lacks' => [['role' => 'storage', 'what' => 'a card'], ['role' => 'cells', 'what' => 'the cell']]]]];
    it('answers', function (array $lines, array $expected): void {
        expect(Make::verdicts(KitGaps::class, Make::build($lines)))->toBe($expected);
    })->with([
        'accepts a list that fills the gaps' => [['kit' => $kit, 'card' => ['role' => 'storage'], 'cell' => ['role' => 'cells']], ['fits kit']],
        'misses: each gap' => [['kit' => $kit], ['missing kit', 'missing kit']],
        'misses: the one that is left' => [['kit' => $kit, 'card' => ['role' => 'storage']], ['missing kit']],
        'says nothing of builds without a kit' => [['card' => ['role' => 'storage']], []],
    ]);
});

describe('whole.unmeasured', function (): void {
    it('ranks what is open by the verdicts that wait for it', function (): void {
        $appraisal = Make::appraise(Make::demo('barge'));
        $counts = array_map(static fn ($open): int => count($open->findings), $appraisal->open);
        $sorted = $counts;
        rsort($sorted);
        expect($counts)->toBe($sorted)->and($appraisal->open[0]->line->id)->toBe('panel')->and((string) $appraisal->open[0]->figure)->toBe('supply.drawMa');
        expect($appraisal->finding('whole.unmeasured/build/list')?->says())->toContain('Find out the current draw of Slate 10 panel first');
    });
    it('flags a part of which nothing is known', function (): void {
        $finding = Make::appraise(Make::build(['board' => ['role' => 'board'], 'iron' => ['role' => 'tool']]))->finding('whole.unmeasured/board/supply.volts');
        expect($finding?->verdict)->toBe(Verdict::Unmeasured)
            ->and(Make::appraise(Make::build(['iron' => ['role' => 'tool']]))->finding('whole.unmeasured/iron/blank'))->toBeNull();
    });
    it('says nothing when nothing is open', function (): void {
        expect(Make::appraise(Make::demo('thimble'))->finding('whole.unmeasured/build/list'))->toBeNull();
    });
});
