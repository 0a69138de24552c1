<?php

declare(strict_types=1);

use CoreTests\Make;
use PocketPlot\Check\Finding;
use PocketPlot\Check\Verdict;

it('marks each tab by the worst inside it', function (string $demo): void {
    $appraisal = Make::appraise(Make::demo($demo));
    $tabs = $appraisal->tabs();
    $weight = static fn (string $verdict): int => Verdict::from($verdict)->weight();
    $heaviest = static fn (string $of): int => max([0, ...array_map(
        static fn (Finding $finding): int => str_starts_with($finding->rule, $of) ? $weight($finding->verdict->value) : 0, $appraisal->findings,
    )]);
    expect($weight($tabs['parts']['verdict']))->toBe($heaviest(''))->and($weight($tabs['checks']['verdict']))->toBe($heaviest(''))
        ->and($weight($tabs['power']['verdict']))->toBe($heaviest('power.'))->and($weight($tabs['buy']['verdict']))->toBe($heaviest('money.budget'));
})->with(['refuge', 'thimble', 'barge']);

it('says one figure of each', function (): void {
    $tabs = Make::appraise(Make::demo('refuge'))->tabs();
    expect(array_map(static fn (array $tab): string => $tab['figure'], $tabs))->toMatchArray(['brief' => '2 games', 'parts' => '17 lines', 'checks' => '6 open', 'buy' => '176.17', 'build' => '30 left', 'bench' => '2 to find'])
        ->and($tabs['power']['figure'])->toEndWith(' h');
});

it('calls nothing a fit on a blank page', function (): void {
    $tabs = Make::appraise(Make::build([]))->tabs();
    expect(array_unique(array_column($tabs, 'verdict')))->not->toContain('fits')->and($tabs['power']['figure'])->toBe('no pack')->and($tabs['parts']['figure'])->toBe('0 lines');
});

it('turns as soon as something waits or is open', function (array $lines, array $more, string $tab, string $verdict): void {
    expect(Make::appraise(Make::build($lines, [], $more))->tabs()[$tab]['verdict'])->toBe($verdict);
})->with([
    'a step waits for a part that is not here' => [['board' => ['role' => 'board', 'line' => ['state' => 'ordered', 'expectedOn' => '2026-12-01']]], [], 'build', 'tight'],
    'nobody knows when a part comes' => [['board' => ['role' => 'board', 'line' => ['state' => 'to-find']]], [], 'build', 'unmeasured'],
    'all is here' => [['board' => ['role' => 'board', 'line' => ['state' => 'tested']]], [], 'build', 'fits'],
    'a figure is open' => [['board' => ['role' => 'board']], [], 'bench', 'unmeasured'],
]);

it('calls the power no fit where no rule could judge it', function (array $lines, string $figure): void {
    expect(Make::appraise(Make::build($lines))->tabs()['power'])->toBe(['verdict' => 'unmeasured', 'figure' => $figure]);
})->with([
    'a board by name only' => [['board' => ['role' => 'board']], 'no pack'],
    'a board and a pack by name only' => [['board' => ['role' => 'board'], 'pack' => ['role' => 'cells']], 'unknown'],
]);
