<?php

declare(strict_types=1);

namespace App\Actions;

use App\Library\MarketQueries;
use App\Mapping\BuildMapper;
use App\Mapping\Today;
use App\Models\BuildRecord;
use App\Models\LineRecord;
use App\Models\OrderRecord;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use PocketPlot\Appraisal;
use PocketPlot\Build\Build;
use PocketPlot\File\OrderFile;
use PocketPlot\Report\Shopping;
use PocketPlot\Sourcing\Choice;
use PocketPlot\Sourcing\OrderPricing;
use PocketPlot\Sourcing\Placing;
use PocketPlot\Sourcing\PlannedOrder;
use PocketPlot\Sourcing\Wishes;

/**
 * Writes down what was ordered at one vendor: these offers, at what they really cost today.
 *
 * @phpstan-type Item array{line: string, offer: string, pieces: int}
 */
final class PlaceOrder
{
    /**
     * @param  list<Item>  $items
     *
     * @throws ValidationException when an offer is gone or too small, or a part clashes and no reason is given
     */
    public static function in(BuildRecord $build, string $vendor, array $items, string $why): void
    {
        $core = BuildMapper::toCore($build->load(BuildMapper::RELATIONS));
        $market = MarketQueries::of($build, $core);
        $planned = OrderPricing::order($core, $market, $vendor, $items);
        if (! $planned instanceof PlannedOrder) {
            throw ValidationException::withMessages($planned);
        }
        $core = self::choosing($build, $core, $planned);
        self::refuseClashes($core, $planned, $why, new Shopping(Appraisal::of($core, Today::day()), $market, new Wishes));
        $order = Placing::of($planned, $core, 'order-'.Str::lower((string) Str::ulid()), Today::day(), $why);
        $document = OrderFile::document($order);
        OrderRecord::query()->create([
            'build_id' => $build->id, 'key' => $order->id, 'document' => $document, 'history' => [],
        ]);
        $lines = array_map(static fn ($item): string => $item->line, $order->items);
        LineRecord::query()->where('build_id', $build->id)->whereIn('key', $lines)->update(['vendor' => $vendor]);
        SyncLines::of($build, $order);
    }

    /** Where a plan took another candidate of a place, that one is chosen now. */
    private static function choosing(BuildRecord $build, Build $core, PlannedOrder $planned): Build
    {
        $chosen = false;
        foreach ($planned->choices as $choice) {
            $line = Placing::lineOf($choice, $core);
            if ($line !== null && ! $line->chosen) {
                Lines::chooseOnly($build, Lines::find($build, $line->id));
                $chosen = true;
            }
        }

        return $chosen ? BuildMapper::toCore($build->unsetRelations()->load(BuildMapper::RELATIONS)) : $core;
    }

    /** @throws ValidationException */
    private static function refuseClashes(Build $core, PlannedOrder $planned, string $why, Shopping $shopping): void
    {
        if ($why !== '') {
            return;
        }
        $clashes = array_filter(array_map(static function (Choice $choice) use ($core, $shopping): ?string {
            $line = Placing::lineOf($choice, $core);

            return $line === null ? null : $shopping->clash($line);
        }, $planned->choices));
        if ($clashes !== []) {
            throw ValidationException::withMessages(['why' => [
                'Something in this order clashes: '.implode(' ', $clashes).' Settle it first, or write why it is to be ordered anyway.',
            ]]);
        }
    }
}
