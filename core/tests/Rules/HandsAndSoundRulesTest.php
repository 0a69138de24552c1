<?php

declare(strict_types=1);

use CoreTests\Make;
use PocketPlot\Check\Audio\AudioLoad;
use PocketPlot\Check\Audio\AudioPath;
use PocketPlot\Check\Audio\AudioSupply;
use PocketPlot\Check\Audio\Channels;
use PocketPlot\Check\Audio\HeadphoneSense;
use PocketPlot\Check\Control\BoardFit;
use PocketPlot\Check\Control\ControlPath;
use PocketPlot\Check\Control\ControlRoom;
use PocketPlot\Check\Control\Firmware;
use PocketPlot\Check\Control\PinAssignment;
use PocketPlot\Wiring\PinPlan;

$board = static fn (array $facets = []): array => ['role' => 'board', 'facets' => ['software' => ['card' => 'microsd'], ...$facets]];
$pad = static fn (array $controls, array $facets = [], array $part = []): array => ['role' => 'controls', 'facets' => ['controls' => ['players' => 1, 'buttons' => 4, ...$controls], ...$facets], 'part' => $part];
$usb = static fn (string $direction): array => ['sockets' => [['name' => 'USB', 'connector' => 'usb-a', 'carries' => 'usb', 'direction' => $direction]]];
$pins = static fn (array $does, float $volts = 3.3): array => ['pins' => ['logicV' => $volts, 'does' => $does]];

describe(ControlPath::id(), function () use ($board, $pad, $usb, $pins): void {
    it('answers', function (array $lines, array $expected): void {
        expect(Make::verdicts(ControlPath::class, Make::build($lines)))->toBe($expected);
    })->with([
        'accepts a lead into the board' => [['board' => $board($usb('out')), 'pad' => $pad(['speaks' => ['usb']], $usb('in'))], ['fits pad']],
        'accepts the board\'s pins' => [['board' => $board($pins(['P1' => ['gpio']])), 'pad' => $pad(['speaks' => ['pins']])], ['fits pad']],
        'accepts the air' => [['board' => $board(['radio' => ['bluetooth']]), 'pad' => $pad(['speaks' => ['bluetooth']])], ['fits pad']],
        'accepts a membrane on a controller board' => [['board' => $board($usb('out')), 'pad' => $pad(['speaks' => ['membrane']]), 'ctl' => $pad(['speaks' => ['usb'], 'boardName' => 'tern'])], ['fits pad', 'fits ctl']],
        'accepts a second way when the first is shut' => [['board' => $board($usb('out')), 'pad' => $pad(['speaks' => ['bluetooth', 'usb']], $usb('in'))], ['fits pad']],
        'misses: radio that nobody hears' => [['board' => $board(['radio' => ['wifi']]), 'pad' => $pad(['speaks' => ['pad radio']])], ['missing pad']],
        'misses: a lead without a socket' => [['board' => $board(), 'pad' => $pad(['speaks' => ['usb']])], ['missing pad']],
        'does not know an unknown way' => [['board' => $board($usb('out')), 'pad' => $pad([])], ['unmeasured pad']],
        'does not know a board without a pin map' => [['board' => $board(), 'pad' => $pad(['speaks' => ['pins']])], ['unmeasured board']],
    ]);
});

describe(PinAssignment::id(), function () use ($board, $pad, $pins): void {
    $needs = static fn (array $wants, float $volts = 3.3): array => ['pinNeeds' => ['logicV' => $volts, 'wants' => $wants]];
    $map = ['A' => ['gpio', 'spi'], 'B' => ['gpio', 'audio'], 'C' => ['gpio'], 'D' => ['gpio']];
    it('answers', function (array $lines, array $expected): void {
        expect(Make::verdicts(PinAssignment::class, Make::build($lines)))->toBe($expected);
    })->with([
        'accepts what finds room' => [['board' => $board($pins($map)), 'pad' => $pad([], $needs(['gpio' => 4]))], ['fits board']],
        'accepts sound and panel beside the buttons' => [['board' => $board($pins($map)), 'pad' => $pad([], $needs(['gpio' => 2])), 'sound' => ['role' => 'sound', 'facets' => $needs(['audio' => 1])], 'panel' => ['role' => 'display', 'facets' => $needs(['spi' => 1])]], ['fits board']],
        'flags a sound pin that is wanted as a button, too' => [['board' => $board($pins($map)), 'pad' => $pad([], $needs(['gpio' => 4])), 'sound' => ['role' => 'sound', 'facets' => $needs(['audio' => 1])]], ['clash board']],
        'flags a function that no pin has' => [['board' => $board($pins($map)), 'pad' => $pad([], $needs(['knob' => 1]))], ['clash board']],
        'flags a higher logic level' => [['board' => $board($pins($map)), 'pad' => $pad([], $needs(['gpio' => 1], 5.0))], ['clash pad', 'fits board']],
        'does not know a board without a pin map' => [['board' => $board(), 'pad' => $pad([], $needs(['gpio' => 1]))], ['unmeasured board']],
        'does not know an unknown logic level' => [['board' => $board(['pins' => ['does' => $map]]), 'pad' => $pad([], $needs(['gpio' => 1]))], ['unmeasured board', 'fits board']],
        'says nothing when nothing takes pins' => [['board' => $board($pins($map))], []],
    ]);
    it('shows the assignment', function () use ($board, $pad, $pins, $needs, $map): void {
        [$finding] = Make::findings(PinAssignment::class, Make::build(['board' => $board($pins($map)), 'pad' => $pad([], $needs(['gpio' => 1])), 'sound' => ['role' => 'sound', 'facets' => $needs(['audio' => 1])]]));
        expect(array_map(static fn ($row): string => "{$row->label}: {$row->value}", $finding->working()))->toContain('B: Sound: audio');
    });
    it('takes what a quantity wants at once, however large', function () use ($board, $pad, $pins, $needs, $map): void {
        $many = Make::build(['board' => $board($pins($map)), 'pad' => [...$pad([], $needs(['gpio' => 1000])), 'line' => ['quantity' => 10000]]]);
        expect(Make::findings(PinAssignment::class, $many)[0]->says())->toBe('Board lacks pins: 9999996 × gpio for Pad.');
    });
    it('moves earlier wants aside when that lets all of them in', function (): void {
        $want = static fn (string $function): array => ['who' => $function, 'function' => $function, 'count' => 1];
        $plan = PinPlan::of(['A' => ['x', 'y'], 'B' => ['y', 'z'], 'C' => ['z', 'x']], [$want('x'), $want('y'), $want('z')]);
        expect($plan['unmet'])->toBe([])->and(count($plan['assigned']))->toBe(3);
        expect(PinPlan::of(['A' => ['x', 'y']], [$want('x'), $want('y')])['unmet'])->toHaveCount(1);
    });
});

describe(Firmware::id(), function () use ($pad): void {
    $brief = ['games' => [['class' => 'some', 'triggers' => 2]]];
    it('answers', function (array $controls, array $brief, array $expected) use ($pad): void {
        expect(Make::verdicts(Firmware::class, Make::build(['pad' => $pad($controls)], $brief)))->toBe($expected);
    })->with([
        'accepts a pad' => [['padMode' => 'pad', 'speaks' => ['usb']], [], ['fits pad']],
        'accepts loose contacts' => [['padMode' => 'contacts', 'speaks' => ['pins']], [], ['fits pad']],
        'says tight of a keyboard' => [['padMode' => 'keyboard', 'speaks' => ['usb']], [], ['tight pad']],
        'accepts analogue triggers' => [['padMode' => 'pad', 'triggers' => 2, 'analogueTriggers' => 'yes'], $brief, ['fits pad']],
        'says tight of triggers that are on or off' => [['padMode' => 'pad', 'triggers' => 2, 'analogueTriggers' => 'no'], $brief, ['tight pad']],
        'does not ask for triggers nobody wants' => [['padMode' => 'pad', 'triggers' => 2], [], ['fits pad']],
        'does not know unknown triggers' => [['padMode' => 'pad', 'triggers' => 2], $brief, ['unmeasured pad']],
        'does not know what an unnamed pad says it is' => [['speaks' => ['usb']], [], ['unmeasured pad']],
        'says nothing of membranes' => [['speaks' => ['membrane']], [], []],
    ]);
});

describe(BoardFit::id(), function () use ($pad): void {
    $ctl = static fn (string $name): array => $pad(['boardName' => $name]);
    it('answers', function (array $lines, array $expected): void {
        expect(Make::verdicts(BoardFit::class, Make::build($lines)))->toBe($expected);
    })->with([
        'accepts the board they were made for' => [['pads' => $pad(['madeFor' => 'tern']), 'ctl' => $ctl('tern')], ['fits pads']],
        'flags another board' => [['pads' => $pad(['madeFor' => 'tern']), 'ctl' => $ctl('linnet')], ['clash pads']],
        'misses a board that is not there' => [['pads' => $pad(['madeFor' => 'tern'])], ['missing pads']],
        'accepts the second board of a set' => [
            ['pads' => $pad(['madeFor' => 'tern', 'onOtherBoard' => 2, 'otherBoard' => 'side']), 'ctl' => $ctl('tern'), 'side' => $ctl('side')],
            ['fits pads', 'fits pads'],
        ],
        'misses the second board of a set' => [
            ['pads' => $pad(['madeFor' => 'tern', 'onOtherBoard' => 2, 'otherBoard' => 'side']), 'ctl' => $ctl('tern')],
            ['fits pads', 'missing pads'],
        ],
        'misses it too where nobody counted' => [['pads' => $pad(['otherBoard' => 'side'])], ['missing pads']],
        'says nothing of controls that stand alone' => [['pads' => $pad([]), 'ctl' => $ctl('tern')], []],
    ]);
});

describe(ControlRoom::id(), function () use ($pad): void {
    $size = static fn (?float $length, float $width, float $height): array => ['size' => ['lengthMm' => $length, 'widthMm' => $width, 'heightMm' => $height]];
    $face = ['sits' => 'face'];
    // The face is 100 × 50 mm, the room 20 mm deep.
    $box = ['role' => 'case', 'facets' => ['body' => ['cavityLengthMm' => 100, 'cavityWidthMm' => 50, 'cavityHeightMm' => 20]]];
    $panel = static fn (float $length): array => ['role' => 'display', 'facets' => ['panel' => ['widthPx' => 9, 'heightPx' => 9], ...$size($length, 50, 5)], 'part' => $face];
    $cell = static fn (float $height): array => ['role' => 'cells', 'facets' => ['pack' => ['chemistry' => 'Li-ion', 'series' => 1], ...$size(50, 20, $height)]];
    it('answers', function (array $lines, array $expected) use ($box): void {
        expect(Make::verdicts(ControlRoom::class, Make::build(['box' => $box, ...$lines])))->toBe($expected);
    })->with([
        // Panel 50 × 50 = 25 cm², buttons 30 × 50 = 15 cm² of 50 cm²: 80 %.
        'accepts a face with a frame left' => [['panel' => $panel(50), 'pad' => $pad([], $size(30, 50, 8), $face)], ['fits box']],
        'says tight when hardly any is left' => [['panel' => $panel(60), 'pad' => $pad([], $size(30, 50, 8), $face)], ['tight box']],
        'flags more than the face' => [['panel' => $panel(80), 'pad' => $pad([], $size(30, 50, 8), $face)], ['clash box']],
        // A cell of 18 mm under a control of 8 mm does not go into 20 mm: its 10 cm² are lost to controls.
        'keeps controls off thick cells' => [['panel' => $panel(60), 'pad' => $pad([], $size(30, 50, 8), $face), 'cell' => $cell(18)], ['clash box']],
        'lets controls lie over flat cells' => [['panel' => $panel(50), 'pad' => $pad([], $size(30, 50, 8), $face), 'cell' => $cell(6)], ['fits box']],
        'says nothing of pads held in the hands' => [['panel' => $panel(80), 'pad' => $pad([], $size(30, 50, 8), ['sits' => 'outside'])], []],
        'does not know an unknown size' => [['panel' => $panel(50), 'pad' => $pad([], $size(null, 50, 8), $face)], ['unmeasured pad']],
    ]);
});

$amp = static fn (array $amp = [], array $facets = []): array => ['role' => 'sound', 'facets' => ['amp' => ['channels' => 1, 'watts' => 2, 'atOhm' => 4, 'leastOhm' => 4, ...$amp], ...$facets]];
$speaker = static fn (?float $ohm = 4, ?float $watts = 3, int $quantity = 1): array => ['role' => 'sound', 'facets' => ['speaker' => ['ohm' => $ohm, 'watts' => $watts]], 'line' => ['quantity' => $quantity]];
$sound = static fn (string $carries, string $direction, string $connector = 'wires'): array => ['sockets' => [['name' => 'sound', 'connector' => $connector, 'carries' => $carries, 'direction' => $direction]]];

describe(AudioPath::id(), function () use ($board, $amp, $speaker, $sound, $pins): void {
    it('answers', function (array $lines, array $brief, array $expected): void {
        expect(Make::verdicts(AudioPath::class, Make::build($lines, $brief)))->toBe($expected);
    })->with([
        'accepts wires from board to amplifier' => [['board' => $board($sound('analogue-audio', 'out')), 'amp' => $amp([], $sound('analogue-audio', 'in')), 'speaker' => $speaker()], [], ['fits amp']],
        'accepts sound over pins' => [['board' => $board($pins(['P1' => ['i2s']])), 'amp' => $amp([], ['pinNeeds' => ['wants' => ['i2s' => 1]]]), 'speaker' => $speaker()], [], ['fits amp']],
        'misses a lead' => [['board' => $board($sound('analogue-audio', 'out', 'jack-3.5')), 'amp' => $amp([], $sound('analogue-audio', 'in', 'jack-3.5')), 'speaker' => $speaker()], [], ['missing amp']],
        'flags another kind of sound' => [['board' => $board($sound('hdmi-audio', 'out')), 'amp' => $amp([], $sound('analogue-audio', 'in')), 'speaker' => $speaker()], [], ['clash amp']],
        'misses: a loudspeaker without an amplifier' => [['board' => $board(), 'speaker' => $speaker()], [], ['missing speaker']],
        'accepts a board that drives it itself' => [['board' => $board($sound('speaker', 'out')), 'speaker' => $speaker()], [], ['fits board']],
        'misses: an amplifier with nothing to drive' => [['board' => $board($sound('analogue-audio', 'out')), 'amp' => $amp([], $sound('analogue-audio', 'in'))], [], ['fits amp', 'missing amp']],
        'misses: silence when the brief wants sound' => [['board' => $board()], ['mustHaves' => ['sound']], ['missing board']],
        'says nothing of silence that is wanted' => [['board' => $board()], [], []],
        'does not know an amplifier without known inputs' => [['board' => $board($sound('analogue-audio', 'out')), 'amp' => $amp(), 'speaker' => $speaker()], [], ['unmeasured amp']],
    ]);
});

describe(AudioSupply::id(), function () use ($amp, $speaker): void {
    $supply = static fn (float $least): array => ['supply' => ['volts' => Make::band($least, 16), 'drawMa' => 10, 'drawAtV' => 5, 'peakMa' => 20]];
    $cell = static fn (float $empty): array => ['role' => 'cells', 'facets' => ['pack' => ['chemistry' => 'Li-ion', 'series' => 1, 'cellFullV' => 4.2, 'cellNominalV' => 3.7, 'cellEmptyV' => $empty]]];
    it('answers', function (array $lines, array $expected): void {
        expect(Make::verdicts(AudioSupply::class, Make::build($lines)))->toBe($expected);
    })->with([
        // (0.8 × 3.0 V)² ÷ (2 × 4 Ω) = 0.72 W.
        'accepts what can be heard' => [['cell' => $cell(3.0), 'amp' => $amp([], $supply(2.5)), 'speaker' => $speaker()], ['fits amp']],
        // The same into 32 Ω: 0.09 W.
        'says tight of a whisper' => [['cell' => $cell(3.0), 'amp' => $amp([], $supply(2.5)), 'speaker' => $speaker(32)], ['tight amp']],
        'says tight of one that falls silent early' => [['cell' => $cell(3.0), 'amp' => $amp([], $supply(3.3)), 'speaker' => $speaker()], ['tight amp']],
        'does not know an unknown loudspeaker' => [['cell' => $cell(3.0), 'amp' => $amp([], $supply(2.5)), 'speaker' => $speaker(null)], ['unmeasured speaker']],
        'does not know an unknown window' => [['cell' => $cell(3.0), 'amp' => $amp([], ['supply' => ['drawMa' => 10]]), 'speaker' => $speaker()], ['unmeasured amp']],
    ]);
});

describe(AudioLoad::id(), function () use ($amp, $speaker): void {
    it('answers', function (array $lines, array $expected): void {
        expect(Make::verdicts(AudioLoad::class, Make::build($lines)))->toBe($expected);
    })->with([
        'accepts a loudspeaker that bears it' => [['amp' => $amp(), 'speaker' => $speaker()], ['fits speaker']],
        'says tight when the volume has to stay down' => [['amp' => $amp(['watts' => 4]), 'speaker' => $speaker()], ['tight speaker']],
        'flags one that tears' => [['amp' => $amp(['watts' => 8]), 'speaker' => $speaker()], ['clash speaker']],
        'flags too few ohms' => [['amp' => $amp(), 'speaker' => $speaker(3.2)], ['clash speaker']],
        // Two of 4 Ω on one channel are 2 Ω.
        'flags two on one channel' => [['amp' => $amp(), 'speaker' => $speaker(4, 3, 2)], ['clash speaker']],
        'accepts one on each of two channels' => [['amp' => $amp(['channels' => 2]), 'speaker' => $speaker(4, 3, 2)], ['fits speaker']],
        // 2 W into 4 Ω are 1 W into 8 Ω.
        'counts fewer watts into more ohms' => [['amp' => $amp(), 'speaker' => $speaker(8, 1)], ['fits speaker']],
        'does not know unknown ohms' => [['amp' => $amp(), 'speaker' => $speaker(null)], ['unmeasured speaker']],
        'accepts an unknown least load' => [['amp' => $amp(['leastOhm' => null]), 'speaker' => $speaker()], ['fits speaker']],
    ]);
});

describe(Channels::id(), function () use ($amp, $speaker): void {
    it('answers', function (array $lines, array $brief, array $expected): void {
        expect(Make::verdicts(Channels::class, Make::build($lines, $brief)))->toBe($expected);
    })->with([
        'accepts one and one' => [['amp' => $amp(), 'speaker' => $speaker()], [], ['fits amp']],
        'accepts two and two' => [['amp' => $amp(['channels' => 2]), 'speaker' => $speaker(4, 3, 2)], ['mustHaves' => ['stereo']], ['fits amp']],
        'says tight when one side is lost' => [['amp' => $amp(['channels' => 2]), 'speaker' => $speaker()], [], ['tight amp']],
        'flags one channel when stereo is wanted' => [['amp' => $amp(), 'speaker' => $speaker(4, 3, 2)], ['mustHaves' => ['stereo']], ['clash amp']],
        'flags one loudspeaker when stereo is wanted' => [['amp' => $amp(['channels' => 2]), 'speaker' => $speaker()], ['mustHaves' => ['stereo']], ['clash amp']],
    ]);
});

describe(HeadphoneSense::id(), function () use ($speaker): void {
    $jack = static fn (string $sense): array => ['role' => 'sound', 'facets' => ['sockets' => [['name' => 'jack', 'connector' => 'jack-3.5', 'carries' => 'headphones', 'direction' => 'out', 'sense' => $sense]]]];
    it('answers', function (array $lines, array $expected): void {
        expect(Make::verdicts(HeadphoneSense::class, Make::build($lines)))->toBe($expected);
    })->with([
        'accepts a socket with a switch' => [['jack' => $jack('yes'), 'speaker' => $speaker()], ['fits jack']],
        'says tight of a plain one' => [['jack' => $jack('no'), 'speaker' => $speaker()], ['tight jack']],
        'says nothing without a loudspeaker' => [['jack' => $jack('no')], []],
        'does not know an unknown socket' => [['jack' => $jack('unknown'), 'speaker' => $speaker()], ['unmeasured jack']],
    ]);
});
