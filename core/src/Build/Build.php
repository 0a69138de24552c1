<?php

declare(strict_types=1);

namespace PocketPlot\Build;

use PocketPlot\Part\Pack;
use PocketPlot\Part\Part;
use PocketPlot\Quantity\Rates;

/** A build as it stands on the page. Changes give a new build. */
final readonly class Build
{
    private const ORDINALS = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth'];

    /** @var list<Line> */
    public array $lines;

    /**
     * @param  list<Line>  $lines
     * @param  list<Join>  $joins
     * @param  array<string, Tick>  $ticks  by step id, in the order in which they were made
     * @param  array<string, mixed>  $extra  keys of the file that this version does not know
     * @param  list<Profile>  $profiles  ways of playing that the builder named, the first being the one that counts
     * @param  list<Reading>  $readings  what was measured on the bench
     * @param  array<string, Vendor>  $vendors  terms of those who sell, by name
     * @param  list<StepEvent>  $record  what happened at the bench; edits do not need it
     * @param  list<Order>  $orders  what was ordered for it, the first before the later
     */
    public function __construct(
        public string $name,
        public Brief $brief,
        array $lines,
        public Rates $rates,
        public array $joins = [],
        public array $ticks = [],
        public array $extra = [],
        public array $profiles = [],
        public array $readings = [],
        public array $vendors = [],
        public array $orders = [],
        public WorkPlan $work = new WorkPlan,
        public array $record = [],
        public FitPlan $fit = new FitPlan,
    ) {
        $this->lines = self::toldApart($lines);
    }

    /** @return list<Line> the lines that count */
    public function chosen(): array
    {
        return array_values(array_filter($this->lines, static fn (Line $line): bool => $line->chosen));
    }

    public function line(string $id): ?Line
    {
        foreach ($this->lines as $line) {
            if ($line->id === $id) {
                return $line;
            }
        }

        return null;
    }

    /** @return non-empty-list<Profile> the builder's own; the defaults while there are none */
    public function profilesOrDefaults(): array
    {
        return $this->profiles === [] ? Profile::defaults() : $this->profiles;
    }

    /** @param  list<Reading>  $readings */
    public function withReadings(array $readings): self
    {
        return $this->with(['readings' => $readings]);
    }

    /** The same build with other hours asked for in its brief. */
    public function asking(float $hours): self
    {
        return $this->with(['brief' => $this->brief->asking($hours)]);
    }

    /** The same build with the display at this brightness, 0 to 1, in the way of playing that counts. */
    public function dimmed(float $brightness): self
    {
        $profiles = $this->profilesOrDefaults();
        $profiles[0] = $profiles[0]->with(brightness: $brightness);

        return $this->with(['profiles' => $profiles]);
    }

    /** @return non-empty-list<Line> the chosen packs that are in parallel with this one, itself first */
    public function inParallelWith(Line $pack): array
    {
        $found = [$pack->id => $pack];
        do {
            $before = count($found);
            foreach ($this->joins as $join) {
                if ($join->kind === JoinKind::Parallel && isset($found[$join->from]) !== isset($found[$join->to])) {
                    $other = $this->line(isset($found[$join->from]) ? $join->to : $join->from);
                    if ($other !== null && $other->chosen && $other->part->pack !== null && $pack->part->pack?->mayJoin($other->part->pack) === true) {
                        $found[$other->id] = $other;
                    }
                }
            }
        } while (count($found) > $before);

        return array_values($found);
    }

    /** The first protection board of the parts list that is made for this pack. */
    public function protectorOf(Pack $pack): ?Line
    {
        foreach ($this->lines as $line) {
            if ($line->chosen && $line->part->protector?->protects($pack) === true) {
                return $line;
            }
        }

        return null;
    }

    /** The first charger of the parts list that is made for this pack. */
    public function chargerOf(Pack $pack): ?Line
    {
        foreach ($this->lines as $line) {
            // What fills a bank from within fills nothing else.
            if ($line->chosen && $line->part->charger?->takes($pack) === true && ($line->part->pack === null || $line->part->pack === $pack)) {
                return $line;
            }
        }

        return null;
    }

    public function reading(string $id): ?Reading
    {
        foreach ($this->readings as $reading) {
            if ($reading->id === $id) {
                return $reading;
            }
        }

        return null;
    }

    /** The same build without a line. */
    public function without(string $lineId): self
    {
        return $this->withLines(array_values(array_filter($this->lines, static fn (Line $line): bool => $line->id !== $lineId)));
    }

    public function withLine(Line $line): self
    {
        return $this->withLines([...$this->lines, $line]);
    }

    public function withSwap(string $lineId, Part $part, ?int $quantity = null): self
    {
        $swapped = $this->withLines(array_map(
            static fn (Line $line): Line => $line->id === $lineId ? $line->takenBy($part, $quantity) : $line,
            $this->lines,
        ));

        return $this->fit->poses === [] ? $swapped : $swapped->withFit($this->fit->freed($lineId));
    }

    /** Every line of a part holds this one instead; nothing else about the lines changes. */
    public function withPart(string $partId, Part $part): self
    {
        return $this->withLines(array_map(static fn (Line $line): Line => $line->part->id === $partId ? $line->holding($part) : $line, $this->lines));
    }

    /** The same build with this join in the place of what was settled of the same input before. */
    public function withJoin(Join $join): self
    {
        return $this->withJoins([...$this->withoutJoin($join)->joins, $join]);
    }

    /** The same build with nothing settled of what this join settles. */
    public function withoutJoin(Join $join): self
    {
        return $this->withJoins(array_values(array_filter(
            $this->joins,
            static fn (Join $other): bool => [$other->kind, $other->to, $other->input] !== [$join->kind, $join->to, $join->input],
        )));
    }

    /** @param  array<string, Vendor>  $vendors  by name */
    public function withVendors(array $vendors): self
    {
        return $this->with(['vendors' => $vendors]);
    }

    public function order(string $id): ?Order
    {
        foreach ($this->orders as $order) {
            if ($order->id === $id) {
                return $order;
            }
        }

        return null;
    }

    /** The same build with this order in the place of the one of the same name; as a new one, where there is none. */
    public function withOrder(Order $order): self
    {
        $orders = array_map(static fn (Order $one): Order => $one->id === $order->id ? $order : $one, $this->orders);

        return $this->with(['orders' => $this->order($order->id) === null ? [...$orders, $order] : $orders]);
    }

    /** @param  array<string, Tick>  $ticks  by step id */
    public function withTicks(array $ticks): self
    {
        return $this->with(['ticks' => $ticks]);
    }

    /** @param  list<StepEvent>  $record */
    public function withRecord(array $record): self
    {
        return $this->with(['record' => $record]);
    }

    public function withFit(FitPlan $fit): self
    {
        return $this->with(['fit' => $fit]);
    }

    public function withWork(WorkPlan $work): self
    {
        return $this->with(['work' => $work]);
    }

    /** @param  list<Join>  $joins */
    private function withJoins(array $joins): self
    {
        return $this->with(['joins' => $joins]);
    }

    /** @param  list<Line>  $lines */
    private function withLines(array $lines): self
    {
        return $this->with(['lines' => $lines]);
    }

    /** @param  array{brief?: Brief, lines?: list<Line>, joins?: list<Join>, profiles?: list<Profile>, readings?: list<Reading>, orders?: list<Order>, vendors?: array<string, Vendor>, ticks?: array<string, Tick>, work?: WorkPlan, record?: list<StepEvent>, fit?: FitPlan}  $changed */
    private function with(array $changed): self
    {
        return new self(
            $this->name,
            $changed['brief'] ?? $this->brief,
            $changed['lines'] ?? $this->lines,
            $this->rates,
            $changed['joins'] ?? $this->joins,
            $changed['ticks'] ?? $this->ticks,
            $this->extra,
            $changed['profiles'] ?? $this->profiles,
            $changed['readings'] ?? $this->readings,
            $changed['vendors'] ?? $this->vendors,
            $changed['orders'] ?? $this->orders,
            $changed['work'] ?? $this->work,
            $changed['record'] ?? $this->record,
            $changed['fit'] ?? $this->fit,
        );
    }

    /**
     * Lines that count and have the same name are told apart by where they go, or else by their order.
     *
     * @param  list<Line>  $lines
     * @return list<Line>
     */
    private static function toldApart(array $lines): array
    {
        $named = [];
        foreach ($lines as $at => $line) {
            if ($line->chosen) {
                $named[$line->part->name][] = $at;
            }
        }
        $marks = [];
        foreach ($named as $same) {
            $places = array_filter(array_map(static fn (int $at): string => $lines[$at]->place, $same), static fn (string $place): bool => $place !== '');
            $isPlaced = count(array_unique($places)) === count($same);
            foreach ($same as $nth => $at) {
                $marks[$at] = match (true) {
                    count($same) === 1 => '',
                    $isPlaced => $lines[$at]->place,
                    default => self::ORDINALS[$nth] ?? 'no. '.($nth + 1),
                };
            }
        }

        return array_map(static function (Line $line, int $at) use ($marks): Line {
            $mark = $marks[$at] ?? '';

            return $mark === $line->mark ? $line : $line->marked($mark);
        }, $lines, array_keys($lines));
    }
}
