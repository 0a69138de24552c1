<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\AskPriceFeed;
use App\Actions\ChangeOrder;
use App\Actions\EditBuild;
use App\Actions\PlaceOrder;
use App\Actions\TakeFind;
use App\Actions\TakeOffers;
use App\Http\Requests\FindRequest;
use App\Http\Requests\FoundRequest;
use App\Http\Requests\OffersSheetRequest;
use App\Http\Requests\OrderDidRequest;
use App\Http\Requests\PlaceOrderRequest;
use App\Http\Requests\RatesRequest;
use App\Http\Requests\ShoppingRequest;
use App\Library\MarketQueries;
use App\Library\PartQueries;
use App\Mapping\BuildMapper;
use App\Mapping\OrdersView;
use App\Mapping\Today;
use App\Models\BuildRecord;
use App\Models\PartRecord;
use App\Models\User;
use App\Sheets\ArrivalsCalendar;
use App\Sheets\SheetFile;
use App\Sheets\SheetOut;
use App\Sheets\ShoppingTable;
use App\Standins\Post\ParcelPost;
use App\Standins\Prices\PriceFeed;
use App\Standins\Rates\RateService;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use PocketPlot\Appraisal;
use PocketPlot\Clipping\Proposal;
use PocketPlot\File\BuildReader;
use PocketPlot\File\BuildWriter;
use PocketPlot\File\Fields;
use PocketPlot\File\PartReader;
use PocketPlot\Part\Part;
use PocketPlot\Part\Role;
use PocketPlot\Quantity\Rates;
use PocketPlot\Report\MoneyReport;
use PocketPlot\Report\SecondHand;
use PocketPlot\Report\Shopping;

/** Shopping for a build: what to buy and where, what was ordered, what it comes to, and what a find in a shop is worth. */
final class ShoppingController
{
    /** Parts among which a cure for a find's clashes is looked for. */
    private const MOST_TRIED = 40;

    public function show(ShoppingRequest $request, BuildRecord $build): JsonResponse
    {
        return new JsonResponse($this->shopping($request, $build)->toArray());
    }

    /** What the plan buys, as a spreadsheet: one sheet a vendor. */
    public function sheet(ShoppingRequest $request, BuildRecord $build, string $format): Response
    {
        $plan = $this->shopping($request, $build)->plans()[0]['report'];

        return SheetOut::answer(ShoppingTable::of($plan->toArray()), $format, 'shopping-'.(Str::slug($build->name) ?: 'build'));
    }

    public function order(PlaceOrderRequest $request, BuildRecord $build): JsonResponse
    {
        $why = $request->string('why')->trim()->toString();

        return EditBuild::run(
            $build, $request->version(),
            static fn (BuildRecord $build) => PlaceOrder::in($build, $request->string('vendor')->toString(), $request->items(), $why),
        );
    }

    public function did(OrderDidRequest $request, BuildRecord $build, string $order): JsonResponse
    {
        /** @var array<string, mixed> $given */
        $given = $request->validated();

        $did = $request->string('did')->toString();

        return EditBuild::run($build, $request->version(), static fn (BuildRecord $build) => ChangeOrder::in($build, $order, $did, $given));
    }

    public function orders(BuildRecord $build, ParcelPost $post): JsonResponse
    {
        return new JsonResponse(['post' => $post->name(), 'orders' => OrdersView::of($build, $post->track(...))]);
    }

    /** The days on which something is expected, for any calendar. */
    public function calendar(BuildRecord $build): Response
    {
        return new Response(ArrivalsCalendar::of(BuildMapper::toCore($build->load(BuildMapper::RELATIONS)), $build->id), 200, [
            'Content-Type' => 'text/calendar; charset=utf-8',
            'Content-Disposition' => 'attachment; filename="arrivals-'.(Str::slug($build->name) ?: 'build').'.ics"',
        ]);
    }

    public function money(BuildRecord $build): JsonResponse
    {
        return new JsonResponse((new MoneyReport(self::appraise($build)))->toArray());
    }

    /** A find in a shop, judged; nothing is stored. */
    public function find(FindRequest $request, User $user, BuildRecord $build): JsonResponse
    {
        $before = Appraisal::toCompare(BuildMapper::toCore($build->load(BuildMapper::RELATIONS)), Today::day());
        $place = $before->build->line($request->string('line')->toString()) ?? abort(404);
        [$spec, $read] = TakeFind::read($place, $request->string('text')->toString(), $before->build->brief->currency);
        $price = $request->price();
        $spec['offers'] = $price === null ? [] : [['vendor' => 'seen in a shop', 'price' => $price, 'leadDays' => 0]];
        $part = PartReader::read([...$spec, 'id' => 'found']);
        $rows = PartQueries::ofRole($user, Role::Regulator->value, '', self::MOST_TRIED);
        $library = array_values($rows->map(static fn (PartRecord $row): Part => PartReader::read($row->spec))->all());

        return new JsonResponse([
            'read' => array_map(static fn (Proposal $one): array => ['label' => $one->label, 'says' => $one->says], $read),
            'name' => $part->name,
            ...(new SecondHand($before, $place, $part, $library, Today::day()))->toArray(),
        ]);
    }

    /** It was bought: a part of one's own in its place, at the price that was paid. */
    public function found(FoundRequest $request, User $user, BuildRecord $build): JsonResponse
    {
        return EditBuild::run($build, $request->version(), static function (BuildRecord $build) use ($request, $user): void {
            $text = fn (string $field): string => $request->string($field)->toString();
            TakeFind::into($build, $user, $text('line'), $text('text'), $request->price(), $text('photo'));
        });
    }

    /** Offers out of a spreadsheet, row by row; noted when that is said. */
    public function offers(OffersSheetRequest $request, BuildRecord $build): JsonResponse
    {
        $sheet = $request->string('sheet')->toString();
        $rows = TakeOffers::preview($build, SheetFile::read($request->bytes(), $sheet === '' ? null : $sheet)->rows);
        $noted = $request->boolean('take') ? DB::transaction(static fn (): int => TakeOffers::note($build, $rows)) : 0;

        return new JsonResponse(['rows' => $rows, 'noted' => $noted]);
    }

    /** What vendors ask today, as their feed has it. */
    public function feed(BuildRecord $build, PriceFeed $feed): JsonResponse
    {
        $changes = DB::transaction(static fn (): array => AskPriceFeed::about($build, $feed->look(...)));

        return new JsonResponse(['service' => $feed->name(), 'changes' => $changes]);
    }

    /** Today's rates, from whoever is asked for them; or those that the builder writes down. */
    public function rates(RatesRequest $request, BuildRecord $build, RateService $service): JsonResponse
    {
        $own = $request->worth();

        return EditBuild::run($build, $request->version(), static function (BuildRecord $build) use ($service, $own): void {
            $today = $service->today(Today::day());
            $before = BuildReader::rates(new Fields($build->rates, 'rates'), $today->base);
            $build->rates = BuildWriter::rates($own === null ? $today : new Rates($before->base, $own, (string) Today::day(), 'written down', $before->extra));
        });
    }

    private function shopping(ShoppingRequest $request, BuildRecord $build): Shopping
    {
        $appraisal = self::appraise($build);

        return new Shopping(
            $appraisal, MarketQueries::of($build, $appraisal->build), $request->wishes(), $request->spares(), $request->onlyNew(), $request->boolean('choose'),
        );
    }

    private static function appraise(BuildRecord $build): Appraisal
    {
        return Appraisal::of(BuildMapper::toCore($build->load(BuildMapper::RELATIONS)), Today::day());
    }
}
