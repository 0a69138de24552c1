<?php

declare(strict_types=1);

namespace App\Actions;

use App\Mapping\BuildMapper;
use App\Mapping\Today;
use App\Models\BuildRecord;
use App\Models\OrderRecord;
use Illuminate\Support\Arr;
use Illuminate\Validation\ValidationException;
use PocketPlot\Build\Order;
use PocketPlot\File\Fields;
use PocketPlot\File\OrderFile;
use PocketPlot\Quantity\Day;
use PocketPlot\Sourcing\BadOrder;
use PocketPlot\Sourcing\OrderChanges;
use PocketPlot\Sourcing\Progress;

/** What happens to an order: confirmed, sent, taken in piece by piece, tested, refunded, put away, cancelled; and each of it taken back. */
final class ChangeOrder
{
    /** Changes that can be taken back. */
    private const MOST_KEPT = 40;

    /**
     * @param  array<string, mixed>  $given  of OrderDidRequest
     *
     * @throws ValidationException when the order is past that
     */
    public static function in(BuildRecord $build, string $key, string $did, array $given): void
    {
        $row = OrderRecord::query()->where('build_id', $build->id)->where('key', $key)->firstOrFail();
        $order = OrderFile::read(new Fields($row->document, 'order'));
        if ($did === 'undo') {
            self::undo($row, $build);
        } else {
            try {
                $after = self::changed($order, $did, $given, $build);
            } catch (BadOrder $bad) {
                throw ValidationException::withMessages([$bad->field => $bad->getMessage()]);
            }
            $row->history = array_slice([
                ...$row->history, ['on' => (string) Today::day(), 'did' => $did, 'was' => $row->document],
            ], -self::MOST_KEPT);
            $row->document = OrderFile::document($after);
        }
        $row->save();
        SyncLines::of($build, $order);
    }

    /**
     * @param  array<string, mixed>  $given
     *
     * @throws BadOrder
     */
    private static function changed(Order $order, string $did, array $given, BuildRecord $build): Order
    {
        $text = static fn (string $field): string => is_string($given[$field] ?? null) ? $given[$field] : '';
        $count = static fn (string $field): int => is_numeric($given[$field] ?? null) ? (int) $given[$field] : 0;
        $at = $count('item');

        return match ($did) {
            'confirm' => OrderChanges::confirmed($order),
            'send' => OrderChanges::sent($order, $text('tracking')),
            'expect' => OrderChanges::expected($order, Day::of($text('expectedOn'))),
            'cancel' => OrderChanges::cancelled($order),
            'arrive' => OrderChanges::arrived($order, $at, [
                'right' => $count('right'), 'wrong' => $count('wrong'), 'broken' => $count('broken'), 'missing' => $count('missing'),
            ]),
            'test' => OrderChanges::tested($order, $at, $count('works'), $count('fails')),
            'refund' => OrderChanges::refunded($order, $at, self::cents($text('refund'))),
            'put-away' => self::putAway($order, $at, $count('pieces'), $text('place'), $build),
            default => throw BadOrder::at('did', 'This cannot be done with an order.'),
        };
    }

    /** Undoes the last change; what went into the drawer meanwhile is taken out of it again, where nobody claimed it. */
    private static function undo(OrderRecord $row, BuildRecord $build): void
    {
        $last = Arr::last($row->history) ?? throw ValidationException::withMessages(['did' => 'Nothing happened to this order that could be undone.']);
        if ($last['did'] === 'put-away') {
            DrawerPieces::takeBack($build->user_id, $row->key, $row->document, $last['was']);
        }
        $row->document = $last['was'];
        $row->history = array_slice($row->history, 0, -1);
    }

    /** @throws BadOrder */
    private static function putAway(Order $order, int $at, int $pieces, string $place, BuildRecord $build): Order
    {
        $core = BuildMapper::toCore($build->load(BuildMapper::RELATIONS));
        $item = $order->items[$at] ?? null;
        $line = $item === null ? null : $core->line($item->line);
        // Of a line that is gone, or holds another part by now, nothing is needed.
        $spare = $item === null ? 0 : ($line === null || $line->part->id !== $item->part ? $item->right : Progress::of($line, $core)->spare());
        $after = OrderChanges::putAway($order, $at, $pieces, $spare);
        DrawerPieces::fromOrder($build, $order, $after, $at, $place);

        return $after;
    }

    private static function cents(string $amount): int
    {
        return (int) round(((float) $amount) * 100);
    }
}
