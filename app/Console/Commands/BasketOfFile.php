<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use PocketPlot\File\BadFile;
use PocketPlot\File\BuildReader;
use PocketPlot\File\Format;
use PocketPlot\File\Json;
use PocketPlot\File\MarketFile;
use PocketPlot\File\MarketReader;
use PocketPlot\Report\BasketReport;
use PocketPlot\Sourcing\PlannedOrder;

/** The cheapest way to buy what a file wants, without a database or a browser. */
final class BasketOfFile extends Command
{
    use ReadsFiles;

    /** How each condition is told. */
    private const CONDITIONS = [
        'needBy' => 'a day it has to be here by', 'avoid' => 'vendors that are avoided', 'usedAllowed' => 'only new', 'mostParcels' => 'so few parcels',
        'prefer' => 'vendors that are preferred',
    ];

    protected $signature = 'plot:basket {file : a file of a market (core/schema/market.schema.json), or - for standard input} {--json : print everything as JSON}';

    protected $description = 'The cheapest way to buy a list, with post, tax and duty: 0 everything can be bought, 1 not all of it, 3 unreadable';

    public function handle(): int
    {
        $given = $this->argument('file');
        try {
            $file = $this->marketOf(is_string($given) ? $given : '');
        } catch (BadFile $bad) {
            return $this->unreadable($bad->problems);
        }
        $report = new BasketReport($file->demands, $file->market, $file->wishes);
        $plan = $report->plan;
        if ($this->option('json') === true) {
            $this->printAsJson($report->toArray());
        } else {
            $this->say($file->name === '' ? 'Basket' : $file->name);
            array_map(fn (PlannedOrder $order) => $this->printOrder($order, $file->market->home), $plan->orders);
            $this->printSums($report, $file->market->home);
        }

        return $plan->isPossible && $plan->unmet === [] ? 0 : 1;
    }

    /** @throws BadFile */
    private function marketOf(string $name): MarketFile
    {
        $document = (new Format(Format::MARKET, $this->schema('market')))->decode($this->textOf($name));
        $build = $document['build'] ?? null;

        return MarketReader::read(
            $document,
            $build === null ? null : BuildReader::read((new Format(Format::BUILD, $this->schema('build')))->decode(Json::encode($build))),
        );
    }

    private function printOrder(PlannedOrder $order, string $home): void
    {
        $sum = BasketReport::sum(...);
        $this->say('');
        $this->say("{$order->vendor->name}: {$sum($order->total())} {$home}, here by {$order->arrives} (at the latest {$order->latest})");
        $landed = $order->landed();
        foreach ($order->choices as $one) {
            $packets = $one->offer->pieces > 1 ? "{$one->packets} packets of {$one->offer->pieces}" : "{$one->packets}";
            $costs = [$sum($one->atHome), $sum($landed[$one->demand->id]->whole())];
            $this->say(sprintf('  %-44s %-18s %10s   landed %10s', mb_substr($one->demand->name, 0, 44), $packets, ...$costs));
        }
        $this->say("  goods {$sum($order->goods())}, post {$sum($order->terms->post)}, duty {$sum($order->duty())}, tax {$sum($order->tax())}");
    }

    private function printSums(BasketReport $report, string $home): void
    {
        $plan = $report->plan;
        $sum = BasketReport::sum(...);
        $this->say('');
        if (! $plan->isPossible) {
            $this->say('Under these conditions it cannot be bought: no order reaches what its vendor asks for at least, or there are too few parcels.');
        } else {
            $this->say("Together {$sum($plan->total())} {$home}, ".($plan->isExact()
                ? 'and nothing is cheaper.'
                : "at most {$sum($plan->total() - $plan->bound())} more than the least there can be."));
        }
        $last = $plan->decides();
        if ($last !== null && count($plan->orders) > 1) {
            $this->say("All is here by {$last->arrives}; {$last->vendor->name} decides that.");
        }
        foreach ($plan->unmet as $one) {
            $this->say("Nobody sells under these conditions: {$one->pieces} × {$one->name}");
        }
        foreach ($report->without() as $other) {
            $day = $other['arrives'] === null ? '' : ", here by {$other['arrives']}";
            $this->say('Without '.self::CONDITIONS[$other['condition']].": {$other['total']} {$home}, {$other['saves']} less{$day}.");
        }
    }
}
