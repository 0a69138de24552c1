<?php

declare(strict_types=1);

use CoreTests\Make;
use PocketPlot\Appraisal;
use PocketPlot\Clipping\Names;
use PocketPlot\Clipping\RoleGuess;
use PocketPlot\Clipping\SureFinds;
use PocketPlot\File\BuildReader;
use PocketPlot\Part\Role;

/** The build that comes of the pasted texts in a file, each under its role, taken as the page proposes it. */
function fromTexts(string $kind, array &$guessed = []): Appraisal
{
    $parts = $lines = [];
    foreach (array_slice(preg_split('/^# (\w+)\R/m', Make::read("core/tests/texts/kinds/{$kind}.txt"), -1, PREG_SPLIT_DELIM_CAPTURE) ?: [], 1) as $at => $piece) {
        if ($at % 2 === 0) {
            $role = Role::from($piece);

            continue;
        }
        $guessed[$role->value] = RoleGuess::of($piece)?->value;
        $id = "part-{$role->value}";
        $parts[] = SureFinds::into(['id' => $id, 'name' => Names::first($piece), 'role' => $role->value, 'facets' => []], $piece, $role, '2026-11-26');
        $lines[] = ['id' => $role->value, 'part' => $id];
    }

    return Make::appraise(BuildReader::read(['format' => 'pocketplot-build', 'version' => 2, 'name' => $kind, 'brief' => new stdClass, 'parts' => $parts, 'lines' => $lines]));
}

it('enters each kind of build from pasted texts alone', function (string $kind, array $said): void {
    $guessed = [];
    $appraisal = fromTexts($kind, $guessed);
    // What each text is for is guessed, or asked; it is never guessed wrong.
    foreach ($guessed as $role => $guess) {
        expect(in_array($guess, [$role, null], true))->toBeTrue("{$role} was taken for {$guess}");
    }
    $verdicts = [];
    foreach ($appraisal->findings as $finding) {
        $verdicts[$finding->key()] ??= $finding->verdict->value;
    }
    foreach ($said as $key => $verdict) {
        expect($verdicts[$key] ?? 'not said')->toBe($verdict, "{$kind}: {$key}");
    }
})->with([
    'fresh body' => ['fresh-body', ['power.supply-window/board' => 'fits', 'software.storage/board' => 'missing', 'power.charger-match/cells' => 'missing', 'video.path/display' => 'missing', 'power.cell-protection/cells' => 'fits']],
    'donor body' => ['donor-body', ['power.supply-window/display' => 'clash', 'power.supply-window/board' => 'unmeasured', 'video.path/display' => 'clash', 'software.storage/board' => 'missing']],
    'upgrade stack' => ['upgrade-stack', ['power.supply-window/board' => 'clash', 'power.supply-window/display' => 'clash', 'power.cell-protection/cells' => 'missing', 'power.charger-match/charger' => 'fits']],
    'phone core' => ['phone-core', ['control.grip/controls/long' => 'fits', 'power.lead/board/cells' => 'not said', 'power.supply-window/cooling' => 'fits']],
    'small-PC core' => ['small-pc-core', ['power.supply-window/display' => 'clash', 'power.charger-match/charger' => 'fits', 'software.storage/board' => 'not said', 'video.path/display' => 'missing']],
    'kit, no iron' => ['kit-no-iron', ['software.storage/board' => 'not said', 'power.supply-window/board' => 'fits', 'control.usb-slots/controls' => 'fits']],
    'lap portable' => ['lap-portable', ['video.path/display' => 'missing', 'control.path/controls' => 'fits', 'power.lead/board/cells' => 'fits', 'software.storage/board' => 'missing']],
]);
