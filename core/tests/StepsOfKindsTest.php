<?php

declare(strict_types=1);

use CoreTests\Make;
use PocketPlot\Assembly\Plan;
use PocketPlot\Assembly\Step;
use PocketPlot\Facts\Facts;

/*
 * What has to come before what in each of the seven kinds of build, written down by hand before any step was made
 * by the program. "a < b" means every step that matches a comes before every step that matches b; both must be there.
 */

/** @return list<string> step ids in the order of the plan */
function sequenceOf(string $build): array
{
    return array_map(static fn (Step $step): string => $step->id, Plan::of(new Facts(Make::trial($build)), Make::today())->sequence());
}

/** @return list<int> places of those that match "rail/*" or "close/body" */
function placesOf(string $pattern, array $sequence): array
{
    return array_keys(array_filter($sequence, static fn (string $id): bool => fnmatch($pattern, $id)));
}

it('keeps to the order that a builder would want', function (string $build, string $before, string $after): void {
    $sequence = sequenceOf($build);
    [$first, $second] = [placesOf($before, $sequence), placesOf($after, $sequence)];
    expect($first)->not->toBe([], "{$build}: no step {$before}")->and($second)->not->toBe([], "{$build}: no step {$after}")
        ->and(max($first))->toBeLessThan(min($second), "{$build}: {$before} < {$after}");
})->with(function (): iterable {
    $expected = [
        'fresh-body' => '
            charge/cell < meter/cell, meter/cell < fuse/cell, fuse/cell < heap, set/up < heap, set/up < first/board, image/board < first/board,
            image/board < lines/board, lines/board < hear/amp, first/board < light/panel, first/board < press/pad, light/panel < heap, press/pad < heap,
            light/panel < draw/body, press/pad < draw/body, draw/body < sample/body, sample/body < print/body, print/body < dry/body, heap < dry/body,
            dry/body < rail/*, sink/sink < mount/board, mount/panel < mount/board, insulate < mount/board, rail/* < ring, mount/* < ring, ring < seat/cell,
            seat/cell < test-open, photo < close/body, test-open < close/body, shutdown/board < close/body, close/body < test-closed, test-closed < run/cell',
        'donor-body' => '
            strip/deck < dry/deck, strip/deck < cut/deck, meter/supply < first/board, image/board < first/board, first/board < light/panel,
            first/board < pair/pads, pair/pads < press/pads, charge/pads < pair/pads,
            light/panel < dry/deck, dry/deck < cut/deck, cut/deck < insulate, cut/deck < mount/panel,
            insulate < mount/board, mount/panel < mount/board, mount/board < plug/lead, plug/lead < ring, ring < test-open, photo < close/deck,
            test-open < close/deck, close/deck < test-closed, first/board < cut/deck, light/panel < cut/deck',
        'upgrade-stack' => '
            charge/cell < meter/cell, meter/cell < fuse/cell, fuse/cell < heap, set/three < heap, set/three < light/panel, first/board < light/panel,
            first/board < press/pads, light/panel < heap, heap < dry/shell, dry/shell < rail/*, dry/shell < addon/glow, dry/shell < addon/clock,
            addon/glow < mount/board, addon/clock < mount/board, mount/pads < mount/board, mount/panel < mount/board, rail/* < ring, addon/* < ring,
            ring < seat/cell, seat/cell < test-open, test-open < close/shell, photo < close/shell, close/shell < test-closed, test-closed < run/cell',
        'phone-core' => '
            charge/phone < first/phone, charge/bank < meter/bank, meter/bank < heap, first/phone < pair/pad, pair/pad < press/pad, charge/pad < pair/pad,
            spin/fan < heap, press/pad < heap, first/phone < heap,
            press/pad < draw/body, draw/body < sample/body, sample/body < print/body, print/body < dry/body,
            heap < dry/body, dry/body < mount/phone, mount/fan < mount/phone, mount/* < test-open, photo < close/body, test-open < close/body,
            close/body < test-closed, test-closed < run/bank',
        'small-pc-core' => '
            protect/pack < charge/pack, charge/pack < meter/pack, meter/pack < fuse/pack,
            fuse/pack < heap, meter/wall < heap, meter/wall < charge/pack, set/nineteen < first/pc,
            set/twelve < light/panel, image/pc < first/pc, first/pc < light/panel, first/pc < press/pad, light/panel < heap, spin/fan < heap, heap < dry/crate,
            dry/crate < cut/crate, cut/crate < mount/pc, cut/crate < rail/*,
            mount/panel < ribbon/ribbon, mount/pc < ribbon/ribbon, rail/* < ring, ring < seat/pack,
            seat/pack < test-open, shutdown/pc < close/crate, test-open < shutdown/pc, photo < close/crate, close/crate < test-closed, test-closed < run/pack',
        'kit-no-iron' => '
            unpack/kit < dry/kit, unpack/kit < mount/board, image/board < first/board, first/board < light/panel,
            first/board < press/pad, charge/bank < meter/bank, meter/bank < heap, light/panel < heap, press/pad < heap, heap < dry/kit, dry/kit < mount/board,
            sink/sink < mount/board, mount/panel < mount/board, mount/board < test-open, photo < close/kit, test-open < close/kit, shutdown/board < close/kit,
            close/kit < test-closed, test-closed < run/bank',
        'lap-portable' => '
            charge/bank < meter/bank, meter/bank < heap, image/board < first/board, first/board < light/panel, first/board < press/keys, light/panel < heap,
            press/keys < heap, light/panel < draw/shell, press/keys < draw/shell,
            draw/shell < sample/shell, sample/shell < print/shell, print/shell < dry/shell, heap < dry/shell,
            dry/shell < mount/panel, sink/sink < mount/board, insulate < mount/board, mount/panel < plug/lead, mount/board < plug/lead, mount/* < test-open,
            test-open < close/shell, shutdown/board < close/shell, photo < close/shell, close/shell < test-closed, test-closed < run/bank',
    ];
    foreach ($expected as $build => $pairs) {
        foreach (explode(',', $pairs) as $pair) {
            [$before, $after] = array_map(trim(...), explode('<', $pair));
            yield "{$build}: {$before} < {$after}" => [$build, $before, $after];
        }
    }
});
