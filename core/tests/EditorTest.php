<?php

declare(strict_types=1);

use CoreTests\Make;
use PocketPlot\Check\Finding;
use PocketPlot\Check\Grid;
use PocketPlot\Check\Subject;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\VerdictChanges;
use PocketPlot\Check\Words;
use PocketPlot\File\BadFile;
use PocketPlot\File\BuildReader;
use PocketPlot\File\Fields;
use PocketPlot\File\FigurePlace;
use PocketPlot\File\PartReader;
use PocketPlot\File\PartSheet;
use PocketPlot\File\TypedPart;
use PocketPlot\Part\FigureRef;
use PocketPlot\Quantity\BadFigure;
use PocketPlot\Quantity\Source;
use PocketPlot\Quantity\Typed;

it('reads figures as people write them', function (string $text, string $unit, array $band): void {
    expect(Typed::band($text, $unit))->toEqualWithDelta($band, 1e-6);
})->with([
    ['1/8 in', 'mm', [3.175, 3.175, 3.175]],
    ['1 1/2 in', 'mm', [38.1, 38.1, 38.1]],
    ['2,5A', 'mA', [2500, 2500, 2500]],
    ['7.4 V', 'V', [7.4, 7.4, 7.4]],
    ['2x2200mAh', 'mAh', [4400, 4400, 4400]],
    ['19 V ± 1', 'V', [18, 19, 20]],
    ['5 V ± 5%', 'V', [4.75, 5, 5.25]],
    ['9 to 14 V', 'V', [9, 11.5, 14]],
    ['9-14V', 'V', [9, 11.5, 14]],
    ['3.0–4.2V', 'V', [3, 3.6, 4.2]],
    ['250 / 430 / 560 mA', 'mA', [250, 430, 560]],
    ['85 %', 'share', [0.85, 0.85, 0.85]],
    ['8 ohm', 'Ω', [8, 8, 8]],
    ['-3 mm', 'mm±', [-3, -3, -3]],
    ['60', 'mm', [60, 60, 60]],
]);

it('says what can be written instead', function (string $text, string $unit): void {
    expect(static fn () => Typed::band($text, $unit))->toThrow(BadFigure::class);
})->with([['about five', 'V'], ['14 to 9 V', 'V'], ['5 kg', 'V'], ['1 to 2 to 3 to 4', 'V'], ['', 'mm'], ['5 V', 'furlongs']]);

$panel = static fn (array $facets): array => ['id' => 'p', 'name' => 'Panel', 'role' => 'display', 'facets' => $facets];

describe('a measurement', function () use ($panel): void {
    it('outranks the datasheet and leaves it visible', function () use ($panel): void {
        $raw = $panel(['supply' => ['volts' => ['least' => 9, 'most' => 13, 'source' => 'datasheet']]]);
        $measured = FigurePlace::of(FigureRef::parse('supply.volts'))?->write($raw, '8.2 to 14 V', '2026-11-20') ?? [];
        $volts = PartReader::read($measured)->supply?->volts;
        expect($volts?->says())->toBe('8.2 to 14 V')->and($volts?->source)->toBe(Source::Measured)->and($volts?->on)->toBe('2026-11-20')
            ->and($volts?->stated)->toBe('9 to 13 V (datasheet)');
    });
    it('stands alone where nothing was known', function () use ($panel): void {
        $measured = FigurePlace::of(FigureRef::parse('supply.peakMa'))?->write($panel([]), '0,75 A', '2026-11-20') ?? [];
        expect(PartReader::read($measured)->supply?->peakMa->usual())->toBe(750.0)->and(PartReader::read($measured)->supply?->peakMa->stated)->toBeNull();
    });
    it('of a second way in never touches the main one', function () use ($panel): void {
        $raw = $panel(['supply' => ['name' => 'plug', 'volts' => 5], 'supplies' => [['name' => 'aux', 'volts' => 12]]]);
        foreach (['plug' => [7.0, 12.0], 'aux' => [5.0, 7.0], '' => [7.0, 12.0]] as $name => [$plug, $aux]) {
            $place = FigurePlace::of(FigureRef::of('supply', 'volts', $name));
            $measured = $place?->write($raw, '7 V', '2026-11-20') ?? [];
            $part = PartReader::read($measured);
            expect($part->supplies[0]->volts->usual())->toBe($plug)->and($part->supplies[1]->volts->usual())->toBe($aux)
                ->and($place?->holds($measured, '7 V'))->toBeTrue();
            $back = PartReader::read($place?->takeBack($measured) ?? []);
            expect([$back->supplies[0]->volts->usual(), $back->supplies[1]->volts->usual()])->toBe([5.0, 12.0]);
        }
    });
    it('finds the one of several by its name', function () use ($panel): void {
        $raw = $panel(['outputs' => [['name' => '5 V'], ['name' => '3.3 V', 'volts' => 3.3]]]);
        $part = PartReader::read(FigurePlace::of(FigureRef::parse('output.efficiency@3.3 V'))?->write($raw, '88 %', '2026-11-20') ?? []);
        expect($part->outputs[1]->efficiency->usual())->toBe(0.88)->and($part->outputs[0]->efficiency->source->value)->toBe('typical')->and($part->outputs[1]->volts->usual())->toBe(3.3);
    });
    it('takes several figures in one go', function (string $figure, array $facets, string $typed, callable $look, array $expected) use ($panel): void {
        expect($look(PartReader::read(FigurePlace::of(FigureRef::parse($figure))?->write($panel($facets), $typed, '2026-11-20') ?? [])))->toEqualWithDelta($expected, 1e-9);
    })->with([
        ['size', [], '6 x 4 x 0,5 cm', static fn ($part): array => $part->size->sidesMm(), [60, 40, 5]],
        ['body.openings@slot', ['body' => ['openings' => [['name' => 'slot', 'connector' => 'usb-c']]]], '13 × 7 mm', static fn ($part): array => [$part->body->openings[0]->widthMm->usual(), $part->body->openings[0]->heightMm->usual()], [13, 7]],
        ['pack.volts', ['pack' => ['chemistry' => 'Li-ion', 'series' => 2]], '3 / 3.6 / 4.2 V', static fn ($part): array => [$part->pack->volts()->least(), $part->pack->volts()->most()], [6, 8.4]],
    ]);
    it('answers questions that are no numbers', function () use ($panel): void {
        $part = PartReader::read(FigurePlace::of(FigureRef::parse('panel.needsSignal'))?->write($panel(['panel' => ['widthPx' => 9, 'heightPx' => 9]]), 'yes', '2026-11-20') ?? []);
        expect($part->panel?->needsSignal->value)->toBe('yes');
    });
    it('refuses what cannot be', function (string $figure, string $typed) use ($panel): void {
        expect(static fn () => FigurePlace::of(FigureRef::parse($figure))?->write($panel(['outputs' => [['name' => 'a']]]), $typed, '2026-11-20'))->toThrow(DomainException::class);
    })->with([['size', '60 x 40'], ['panel.needsSignal', 'perhaps'], ['output.volts@b', '5 V'], ['supply.volts', '14 to 9 V']]);
    it('leaves to the editor what is more than a field', function (string $figure): void {
        expect(FigurePlace::of(FigureRef::parse($figure)))->toBeNull();
    })->with(['sockets', 'drivers', 'variant', 'price', 'skills', 'pins.does']);
    it('settles the verdicts that waited for it', function (): void {
        $document = Make::demoDocument('barge');
        $before = Make::appraise(BuildReader::read($document));
        $open = $before->open[0];
        foreach ($document['parts'] as $index => $part) {
            if ($part['id'] === $open->line->part->id) {
                $document['parts'][$index] = FigurePlace::of($open->figure)?->write($part, '300 / 500 / 700 mA', '2026-11-20');
            }
        }
        $after = Make::appraise(BuildReader::read($document));
        $still = array_map(static fn ($one): string => "{$one->line->id} {$one->figure}", $after->open);
        expect($still)->not->toContain("{$open->line->id} {$open->figure}");
    });
});

describe('the part editor', function () use ($panel): void {
    it('reads what was typed, with its source and day', function () use ($panel): void {
        $raw = TypedPart::raw($panel(['supply' => ['volts' => ['typed' => '9 to 13 V', 'source' => 'datasheet', 'on' => '2026-05-01'], 'peakMa' => ['typed' => '']], 'sockets' => [['name' => 's', 'connector' => 'hdmi-a', 'carries' => 'hdmi', 'direction' => 'in', 'depthMm' => ['typed' => '1 1/8 in', 'source' => 'measured']]]]));
        $part = PartReader::read($raw);
        expect($part->supply?->volts->says())->toBe('9 to 13 V')->and($part->supply?->volts->on)->toBe('2026-05-01')->and($part->supply?->peakMa->isKnown())->toBeFalse()
            ->and($part->sockets[0]->depthMm->usual())->toEqualWithDelta(28.575, 1e-6);
    });
    it('complains field by field', function () use ($panel): void {
        try {
            TypedPart::raw($panel(['supply' => ['volts' => ['typed' => 'plenty'], 'peakMa' => ['typed' => '5 kg']]]));
            throw new RuntimeException('it was taken');
        } catch (BadFile $bad) {
            expect($bad->problems)->toHaveCount(2)->and((string) $bad->problems[0])->toStartWith('facets/supply/volts: ')->and((string) $bad->problems[1])->toStartWith('facets/supply/peakMa: ');
        }
    });
    it('refuses figures that contradict each other, naming the field', function (array $facets, string $field) use ($panel): void {
        try {
            PartReader::read($panel($facets));
            throw new RuntimeException('it was taken');
        } catch (BadFile $bad) {
            expect((string) $bad->problems[0])->toStartWith("part/facets/{$field}: ");
        }
    })->with([
        'least above most' => [['size' => ['lengthMm' => ['least' => 9, 'most' => 3, 'source' => 'guess']]], 'size/lengthMm'],
        'full below empty' => [['pack' => ['chemistry' => 'Li-ion', 'series' => 1, 'cellFullV' => 2.9, 'cellEmptyV' => 3.0]], 'pack/cellFullV'],
        'a limit below the window' => [['supply' => ['volts' => ['least' => 9, 'most' => 13, 'source' => 'guess'], 'absoluteMaxV' => 12]], 'supply/absoluteMaxV'],
        'a peak below the continuous current' => [['outputs' => [['name' => 'a', 'continuousMa' => 1000, 'peakMa' => 900]]], 'outputs/0/peakMa'],
        'an unknown chemistry' => [['pack' => ['chemistry' => 'moonlight', 'series' => 1]], 'pack/chemistry'],
        'an unknown connector' => [['sockets' => [['name' => 'a', 'connector' => 'usb-d', 'carries' => 'usb', 'direction' => 'in']]], 'sockets/0/connector'],
        'no cells at all' => [['pack' => ['chemistry' => 'Li-ion', 'series' => 0]], 'pack/series'],
        'a charger for more cells at least than at most' => [['charger' => ['chemistries' => [], 'seriesLeast' => 4, 'seriesMost' => 2]], 'charger/seriesLeast'],
    ]);
    it('lets a builder name a connector of their own', function () use ($panel): void {
        expect(PartReader::read($panel(['sockets' => [['name' => 'a', 'connector' => 'other:brass bayonet', 'carries' => 'power', 'direction' => 'in']]]))->sockets[0]->connector)->toBe('other:brass bayonet');
    });
    it('lays a part out field by field', function (): void {
        foreach (Make::library() as $part) {
            foreach (PartSheet::of($part) as $facet) {
                foreach ($facet['rows'] as $row) {
                    expect($row['says'])->not->toBe('', "{$part->id} {$facet['facet']} {$row['field']}");
                }
            }
        }
        $library = array_column(Make::library(), null, 'id');
        $sheet = array_column(PartSheet::of($library['panel-rook-9']), null, 'facet');
        expect(array_column($sheet['supply']['rows'], 'says', 'field'))->toMatchArray(['volts' => '9 to 13 V', 'peakMa' => '750 mA']);
    });
});

describe('a join that can never be', function (): void {
    $lines = ['pack' => ['role' => 'cells', 'facets' => Make::ironPack()], 'panel' => ['role' => 'display', 'facets' => Make::load(9, 16)], 'box' => ['role' => 'case']];
    $problem = static function (callable $work): string {
        try {
            $work();
        } catch (BadFile $bad) {
            return (string) $bad->problems[0];
        }

        return '';
    };

    it('is refused when somebody settles it, naming the end', function (array $join, string $field) use ($lines, $problem): void {
        $build = Make::build($lines);
        $given = BuildReader::join(new Fields($join, 'join'));
        $from = $build->line($given->from) ?? throw new LogicException;
        $to = $build->line($given->to) ?? throw new LogicException;
        expect($problem(static fn () => BuildReader::refuseImpossible($given, $from, $to, 'join')))->toStartWith("join/{$field}: ");
    })->with([
        [['from' => 'panel', 'to' => 'pack'], 'to'], [['from' => 'panel', 'to' => 'panel'], 'to'], [['from' => 'box', 'to' => 'panel'], 'from'], [['from' => 'pack', 'to' => 'box'], 'to'],
        [['from' => 'pack', 'to' => 'panel', 'output' => 'nowhere'], 'output'], [['from' => 'pack', 'to' => 'panel', 'input' => 'nowhere'], 'input'], [['kind' => 'parallel', 'from' => 'pack', 'to' => 'panel'], 'to'],
    ]);

    it('is refused in a file when it says nothing at all', function (array $join, string $field) use ($lines, $problem): void {
        expect($problem(static fn () => Make::build($lines, [], ['joins' => [$join]])))->toStartWith("joins/0/{$field}: ");
    })->with([[['from' => 'panel', 'to' => 'panel'], 'to'], [['kind' => 'magic', 'from' => 'pack', 'to' => 'panel'], 'kind'], [['from' => 'gone', 'to' => 'panel'], 'from']]);

    it('is taken in a file and shown as a clash, for a swap may have left it there', function (array $join) use ($lines): void {
        $before = Make::appraise(Make::build($lines))->keysOf(Verdict::Clash);
        $after = Make::appraise(Make::build($lines, [], ['joins' => [$join]]))->keysOf(Verdict::Clash);
        expect(array_diff($after, $before))->not->toBe([]);
    })->with([
        [['from' => 'panel', 'to' => 'pack']], [['from' => 'box', 'to' => 'panel']], [['from' => 'pack', 'to' => 'box']],
        [['from' => 'pack', 'to' => 'panel', 'input' => 'nowhere']], [['kind' => 'parallel', 'from' => 'pack', 'to' => 'panel']],
    ]);
});

it('sets part against part with the worst mark between them', function (): void {
    $appraisal = Make::appraise(Make::demo('refuge'));
    $cells = [];
    foreach (Grid::of($appraisal->findings) as $cell) {
        $cells["{$cell['one']} {$cell['other']}"] = $cell;
    }
    expect($cells['pack panel']['verdict'])->toBe('clash')->and($cells['pack panel']['findings'])->toContain('power.supply-window/panel')
        ->and($cells['board panel']['verdict'])->not->toBe('clash')->and($cells)->not->toHaveKey('panel pack');
});

it('tells what became better and worse since the last look', function (): void {
    $finding = static fn (string $about, Verdict $verdict): Finding => new Finding('body.wall', $verdict, ['x'], static fn (): Words => new Words("It is {$verdict->value}."), $about, false, Subject::whole());
    $changes = VerdictChanges::compare(['body.wall/x/a' => 'fits', 'body.wall/x/b' => 'clash', 'body.wall/x/c' => 'tight', 'body.wall/x/gone' => 'clash', 'body.wall/x/was-fine' => 'fits'], [
        $finding('a', Verdict::Clash), $finding('b', Verdict::Tight), $finding('c', Verdict::Tight), $finding('new', Verdict::Unmeasured), $finding('new-fit', Verdict::Fits),
    ]);
    expect(array_map(static fn (array $change): array => [$change['key'], $change['better']], $changes))->toBe([
        ['body.wall/x/a', false], ['body.wall/x/b', true], ['body.wall/x/new', false], ['body.wall/x/gone', true],
    ]);
    $now = Make::appraise(Make::demo('refuge'))->findings;
    expect(VerdictChanges::compare(VerdictChanges::keep($now), $now))->toBe([]);
});
