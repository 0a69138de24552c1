<?php

declare(strict_types=1);

namespace App\Actions;

use App\Mapping\BuildMapper;
use App\Mapping\Today;
use App\Models\BuildRecord;
use App\Models\User;
use Illuminate\Support\Str;
use PocketPlot\Build\Line;
use PocketPlot\Build\SupplyState;
use PocketPlot\Clipping\Filling;
use PocketPlot\Clipping\Names;
use PocketPlot\Clipping\Proposal;
use PocketPlot\Clipping\Reader;

/** A thing found second-hand: what its label says of it, as a part; and, once bought, in its place on the list. */
final class TakeFind
{
    /**
     * @return array{array<string, mixed>, list<Proposal>} the part as far as the text is sure of it, and what was read
     */
    public static function read(Line $place, string $text, string $currency): array
    {
        $filling = new Filling(Reader::read($text, $place->role), $place->role, (string) Today::day(), $text, $currency);
        $part = ['name' => Str::limit(Names::first($text), 110, '…'), 'role' => $place->role->value, 'facets' => []];
        $read = array_values(array_filter($filling->proposals($part), static fn (Proposal $one): bool => $one->isPlaced && ! $one->find->isUnsure));

        return [[...$filling->put($part, array_map(static fn (Proposal $one): int => $one->id, $read)), 'name' => $part['name']], $read];
    }

    /**
     * @param  array{amount: string, currency: string}|null  $price
     * @param  string  $photo  as a data address; "" when there is none
     */
    public static function into(BuildRecord $build, User $user, string $key, string $text, ?array $price, string $photo = ''): void
    {
        $core = BuildMapper::toCore($build->load(BuildMapper::RELATIONS));
        $place = $core->line($key) ?? abort(404);
        [$part] = self::read($place, $text, $core->brief->currency);
        $own = KeepPart::asNew($user, [...array_diff_key($part, ['offers' => true]), 'clippings' => [['text' => $text, 'on' => (string) Today::day()]]]);
        $photo === '' || PartFiles::add($own, 'as it was found.jpg', $photo);
        SwapLine::in($build, $key, $own);
        Lines::find($build, $key)->fill([
            'state' => SupplyState::Arrived->value, 'price_amount' => $price['amount'] ?? null, 'price_currency' => $price['currency'] ?? null,
        ])->save();
    }
}
