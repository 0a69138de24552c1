<?php

declare(strict_types=1);

use CoreTests\Make;
use PocketPlot\Check\Video\FirstStart;
use PocketPlot\Check\Video\Ribbon;
use PocketPlot\Check\Video\Scaling;
use PocketPlot\Check\Video\SignalToLight;
use PocketPlot\Check\Video\VideoMode;

$mode = static fn (int $width, int $height): array => ['widthPx' => $width, 'heightPx' => $height, 'hz' => 60];
$socket = static fn (string $carries, string $direction, array $with = []): array => ['name' => "{$carries} socket", 'connector' => 'hdmi-a', 'carries' => $carries, 'direction' => $direction, ...$with];
$board = static fn (array $picture, string $signal = 'hdmi', array $with = []): array => ['role' => 'board', 'facets' => ['software' => ['card' => 'microsd'], 'sockets' => [$socket($signal, 'out', $with)], ...($picture === [] ? [] : ['video' => $picture])]];
$panel = static fn (array $panel = [], string $signal = 'hdmi', array $with = []): array => ['role' => 'display', 'facets' => ['panel' => ['widthPx' => 800, 'heightPx' => 480, ...$panel], 'sockets' => [$socket($signal, 'in', $with)]]];

describe(VideoMode::id(), function () use ($mode, $board, $panel): void {
    it('answers', function (array $lines, array $expected): void {
        expect(Make::verdicts(VideoMode::class, Make::build($lines)))->toBe($expected);
    })->with([
        'accepts the panel\'s own pixels' => [['board' => $board(['modes' => [$mode(640, 480), $mode(800, 480)]]), 'panel' => $panel()], ['fits panel']],
        'says tight when a line has to be set' => [['board' => $board(['modes' => [$mode(640, 480)], 'ownModes' => 'yes']), 'panel' => $panel()], ['tight panel']],
        'says tight when the display scales' => [['board' => $board(['modes' => [$mode(640, 480)], 'ownModes' => 'no']), 'panel' => $panel(['modes' => [$mode(640, 480)]])], ['tight panel']],
        'flags nothing in common' => [['board' => $board(['modes' => [$mode(640, 480)], 'ownModes' => 'no']), 'panel' => $panel(['modes' => [$mode(1280, 720)]])], ['clash panel']],
        'says nothing of panels that are driven pixel by pixel' => [['board' => $board([], 'dsi'), 'panel' => $panel([], 'dsi')], []],
        'accepts a board without formats' => [['board' => $board([]), 'panel' => $panel()], ['fits panel']],
        'does not know whether a line can be set' => [['board' => $board(['modes' => [$mode(640, 480)]]), 'panel' => $panel()], ['unmeasured board']],
        'does not know what the display takes' => [['board' => $board(['modes' => [$mode(640, 480)], 'ownModes' => 'no']), 'panel' => $panel()], ['unmeasured panel']],
    ]);
});

describe(Scaling::id(), function () use ($board, $panel): void {
    $games = static fn (int $width, int $height): array => ['games' => [['class' => 'some', 'pictureWidthPx' => $width, 'pictureHeightPx' => $height]]];
    it('answers', function (array $lines, array $brief, array $expected): void {
        expect(Make::verdicts(Scaling::class, Make::build($lines, $brief)))->toBe($expected);
    })->with([
        // 2 × (320 × 224) = 640 × 448 of 800 × 480: 74.7 % filled.
        'accepts a picture that fills most of it' => [['panel' => $panel()], $games(320, 224), ['fits panel']],
        // 1 × (426 × 256) of 800 × 480: 28.4 % filled.
        'says tight with wide borders' => [['panel' => $panel()], $games(426, 256), ['tight panel']],
        'says tight when it has to shrink' => [['panel' => $panel()], $games(1024, 600), ['tight panel']],
        'flags a picture of which less than half is left' => [['panel' => $panel()], $games(1920, 1080), ['clash panel']],
        'turns an upright panel when the board can' => [['board' => $board(['rotates' => 'yes']), 'panel' => $panel(['widthPx' => 480, 'heightPx' => 800, 'upright' => true])], $games(320, 224), ['fits panel']],
        'flags an upright panel when the board cannot' => [['board' => $board(['rotates' => 'no']), 'panel' => $panel(['upright' => true])], $games(320, 224), ['clash panel']],
        'does not know whether the board turns pictures' => [['board' => $board([]), 'panel' => $panel(['upright' => true])], $games(320, 224), ['unmeasured board']],
        'says nothing without games' => [['panel' => $panel()], [], []],
        'goes by the margin of the brief' => [['panel' => $panel()], [...$games(320, 224), 'margins' => ['border-share' => 0.2]], ['tight panel']],
    ]);
});

describe(FirstStart::id(), function () use ($board, $panel): void {
    it('answers', function (array $lines, array $brief, array $expected): void {
        expect(Make::verdicts(FirstStart::class, Make::build($lines, $brief)))->toBe($expected);
    })->with([
        'accepts a display that shows it' => [['board' => $board(['firstStart' => ['hdmi']]), 'panel' => $panel()], [], ['fits board']],
        'misses another screen for the first start' => [['board' => $board(['firstStart' => ['hdmi']], 'dsi'), 'panel' => $panel([], 'dsi')], [], ['missing board']],
        'accepts a spare screen on the bench' => [['board' => $board(['firstStart' => ['hdmi']], 'dsi'), 'panel' => $panel([], 'dsi')], ['tools' => ['spare screen']], ['fits board']],
        'accepts a spare screen on the list' => [['board' => $board(['firstStart' => ['hdmi']], 'dsi'), 'panel' => $panel([], 'dsi'), 'spare' => ['role' => 'tool', 'part' => ['serves' => ['spare screen']]]], [], ['fits board']],
        'accepts an unknown first start' => [['board' => $board([]), 'panel' => $panel()], [], ['fits board']],
        'says nothing without a display' => [['board' => $board([])], [], []],
    ]);
});

describe(SignalToLight::id(), function () use ($board, $panel): void {
    it('answers', function (array $lines, array $expected): void {
        expect(Make::verdicts(SignalToLight::class, Make::build($lines)))->toBe($expected);
    })->with([
        'accepts a panel that lights alone' => [['panel' => $panel(['needsSignal' => 'no'])], ['fits panel']],
        'accepts a panel that gets its picture' => [['board' => $board([]), 'panel' => $panel(['needsSignal' => 'yes'])], ['fits panel']],
        'says tight when nothing gives it one' => [['panel' => $panel(['needsSignal' => 'yes'])], ['tight panel']],
        'does not know an unknown panel' => [['board' => $board([]), 'panel' => $panel()], ['unmeasured panel']],
    ]);
});

describe(Ribbon::id(), function () use ($board, $panel): void {
    $end = static fn (int $contacts, ?float $pitch = 1.0, string $side = 'bottom', bool $own = false): array => ['connector' => "ribbon-{$contacts}", 'pitchMm' => $pitch, 'side' => $side, 'ownLead' => $own];
    $lead = static fn (string $sides): array => ['role' => 'cable', 'facets' => ['cable' => ['oneEnd' => 'ribbon-15', 'otherEnd' => 'ribbon-15', 'carries' => ['dsi'], 'sides' => $sides]]];
    $lines = static fn (array $from, array $to, array $more = []): array => ['board' => $board([], 'dsi', $from), 'panel' => $panel([], 'dsi', $to), ...$more];
    it('answers', function (array $lines, array $expected): void {
        expect(Make::verdicts(Ribbon::class, Make::build($lines)))->toBe($expected);
    })->with([
        'accepts count, pitch and side alike' => [$lines($end(15), $end(15, 1.0, 'bottom', true)), ['fits panel']],
        'flags another count' => [$lines($end(22), $end(15)), ['clash panel']],
        'flags another pitch' => [$lines($end(15, 0.5), $end(15)), ['clash panel']],
        'flags contacts that face the wrong way' => [$lines($end(15, 1.0, 'top'), $end(15)), ['clash panel']],
        'accepts a ribbon that turns the side' => [$lines($end(15, 1.0, 'top'), $end(15), ['lead' => $lead('opposite')]), ['fits panel']],
        'flags a ribbon that does not' => [$lines($end(15, 1.0, 'top'), $end(15), ['lead' => $lead('same')]), ['clash panel']],
        'accepts an unknown pitch' => [$lines($end(15, null), $end(15)), ['fits panel']],
        'does not know an unknown side' => [$lines($end(15), $end(15, 1.0, '')), ['unmeasured panel']],
        'does not know an unmarked ribbon' => [$lines($end(15), $end(15), ['lead' => $lead('')]), ['unmeasured lead']],
        'says nothing of other leads' => [['board' => $board([]), 'panel' => $panel()], []],
    ]);
});
