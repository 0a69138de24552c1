<?php

declare(strict_types=1);

namespace PocketPlot;

use PocketPlot\Assembly\Plan;
use PocketPlot\Assembly\Step;
use PocketPlot\Build\Brief;
use PocketPlot\Build\Build;
use PocketPlot\Build\FaultState;
use PocketPlot\Build\Line;
use PocketPlot\Build\Margins;
use PocketPlot\Build\Origin;
use PocketPlot\Build\SupplyState;
use PocketPlot\Check\Finding;
use PocketPlot\Check\Verdict;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Role;
use PocketPlot\Quantity\Day;
use PocketPlot\Quantity\Figure;

/** The line at the head of every page: each figure beside its target from the brief. */
final readonly class Vitals
{
    /**
     * @param  list<float>  $sidesMm
     */
    private function __construct(
        public Quantity\Money $cost,
        public ?Quantity\Money $budget,
        public Verdict $costVerdict,
        public Figure $runTime,
        public ?float $runTimeWanted,
        public Verdict $runTimeVerdict,
        public bool $hasPack,
        public array $sidesMm,
        public bool $sizeEstimated,
        /** @var array{float, float, float}|null */
        public ?array $largestMm,
        public Verdict $sizeVerdict,
        public float $massG,
        public int $unweighed,
        public ?float $largestMassG,
        public Verdict $massVerdict,
        /** Findings of each kind, as Checks and the cards count them. */
        public int $clashes,
        public int $missing,
        public int $unmeasured,
        /** Different figures that these findings wait for. */
        public int $figures,
        /** Chosen lines that stand for any of their kind: the figures above rest on them. */
        public int $pencil,
        private Build $build,
        /** @var list<Finding> */
        private array $findings,
        private Plan $plan,
    ) {}

    /**
     * @param  list<Finding>  $findings
     */
    public static function of(Facts $facts, array $findings, Plan $plan): self
    {
        $build = $facts->build;
        $brief = $build->brief;
        $costs = $facts->costs();
        $budget = $brief->budget === null ? null : ($build->rates->convert($brief->budget, $brief->currency) ?? $brief->budget);
        $hours = $facts->runTime()->hours;
        $size = $facts->bodySize();
        [$mass, $unweighed] = self::mass($facts);
        $figures = [];
        $counts = ['clash' => 0, 'missing' => 0, 'unmeasured' => 0];
        $worst = ['money.budget' => Verdict::Fits, 'power.runtime' => Verdict::Fits, 'body.fits-inside' => Verdict::Fits];
        foreach ($findings as $finding) {
            // Of the room, only what the brief says of the outside counts for the size.
            if (isset($worst[$finding->rule]) && ($finding->rule !== 'body.fits-inside' || $finding->about === 'brief')) {
                $worst[$finding->rule] = $worst[$finding->rule]->worseOf($finding->verdict);
            }
            // The summary of what is open counts nothing twice.
            if (isset($counts[$finding->verdict->value]) && ! ($finding->rule === 'whole.unmeasured' && $finding->ofWhole)) {
                $counts[$finding->verdict->value]++;
            }
            foreach ($finding->verdict === Verdict::Unmeasured ? $finding->waitsFor : [] as [$line, $figure]) {
                $figures["{$line} {$figure}"] = true;
            }
        }

        return new self(
            cost: $costs->planned,
            budget: $budget,
            costVerdict: $worst['money.budget'],
            runTime: $hours,
            runTimeWanted: $brief->runTimeHours,
            runTimeVerdict: $worst['power.runtime'],
            hasPack: self::hasCells($facts),
            sidesMm: $size->size->sidesMm(),
            sizeEstimated: $size->estimated,
            largestMm: $brief->largestMm,
            sizeVerdict: $worst['body.fits-inside'],
            massG: $mass,
            unweighed: $unweighed,
            largestMassG: $brief->largestMassG,
            massVerdict: self::massVerdict($brief, $mass, $unweighed),
            clashes: $counts['clash'],
            missing: $counts['missing'],
            unmeasured: $counts['unmeasured'],
            figures: count($figures),
            pencil: count(array_filter($build->chosen(), static fn (Line $line): bool => $line->part->isTypical)),
            build: $build,
            findings: $findings,
            plan: $plan,
        );
    }

    /** The earliest day on which it can be finished; null while nobody can name one. Worked out when somebody asks, like all that hangs on the plan. */
    public function finish(): ?Day
    {
        return $this->plan->finish();
    }

    /** Lines that have to come and of which nobody knows when. */
    public function undated(): int
    {
        return count($this->plan->undatedLines());
    }

    public function stepsLeft(): int
    {
        return count($this->plan->open());
    }

    /** The id of the line that the day waits for the longest; null when it waits for none. */
    public function waitsFor(): ?string
    {
        return $this->plan->chain()['parcel']?->id;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            ...$this->figures(),
            'finish' => $this->day(),
            'stepsLeft' => $this->stepsLeft(),
            'next' => $this->next(),
        ];
    }

    /** @return array{on: ?string, undated: int} */
    public function day(): array
    {
        return ['on' => $this->finish() === null ? null : (string) $this->finish(), 'undated' => $this->undated()];
    }

    /** @return array<string, mixed> without what hangs on the plan */
    public function figures(): array
    {
        return [
            'cost' => [
                'amount' => $this->cost->rounded(),
                'currency' => $this->cost->currency,
                'target' => $this->budget?->rounded(),
                'verdict' => $this->costVerdict->value,
            ],
            'runTime' => [
                'leastHours' => self::round($this->runTime->least),
                'usualHours' => self::round($this->runTime->usual),
                'mostHours' => self::round($this->runTime->most),
                'targetHours' => $this->runTimeWanted, 'fromPack' => $this->hasPack, 'verdict' => $this->runTimeVerdict->value,
            ],
            'size' => [
                'sidesMm' => $this->sidesMm,
                'estimated' => $this->sizeEstimated,
                'targetMm' => $this->largestMm,
                'verdict' => $this->sizeVerdict->value,
            ],
            'mass' => [
                'grams' => round($this->massG, 1),
                'unweighed' => $this->unweighed,
                'targetGrams' => $this->largestMassG,
                'verdict' => $this->massVerdict->value,
            ],
            'clashes' => $this->clashes,
            'missing' => $this->missing,
            'figures' => $this->figures,
            'unmeasured' => $this->unmeasured,
            'pencil' => $this->pencil,
        ];
    }

    private static function round(?float $hours): ?float
    {
        return $hours === null ? null : round($hours, 2);
    }

    private static function massVerdict(Brief $brief, float $mass, int $unweighed): Verdict
    {
        return match (true) {
            $brief->largestMassG === null => Verdict::Fits,
            $mass > $brief->largestMassG => Verdict::Clash,
            $unweighed > 0 => Verdict::Unmeasured,
            $mass > $brief->largestMassG * Margins::of('target-share', $brief->margins) => Verdict::Tight,
            default => Verdict::Fits,
        };
    }

    /** @return array{float, int} grams of what is weighed and carried, and how many lines are not weighed */
    private static function mass(Facts $facts): array
    {
        $mass = 0.0;
        $unweighed = 0;
        foreach ($facts->lines() as $line) {
            if (! $line->part->sits->takesRoom()) {
                continue;
            }
            if ($line->part->size->massG->isKnown()) {
                $mass += $line->part->size->massG->usual() * $line->quantity;
            } else {
                $unweighed++;
            }
        }

        return [$mass, $unweighed];
    }

    /**
     * Clashes before money goes out; then what failed at the bench; then orders, since post takes longest; then measuring; then the bench.
     *
     * @return array{kind: string, says: string, station: string, ref: ?string}
     */
    public function next(): array
    {
        [$build, $findings, $plan] = [$this->build, $this->findings, $this->plan];
        $worst = $findings[0] ?? null;
        if ($build->chosen() === []) {
            return ['kind' => 'add', 'says' => 'Add the first part: the board.', 'station' => 'parts', 'ref' => null];
        }
        if ($worst !== null && $worst->verdict->isFault()) {
            return ['kind' => 'settle', 'says' => $worst->says(), 'station' => 'parts', 'ref' => $worst->key()];
        }
        $failed = self::failed($build, $plan);
        if ($failed !== null) {
            return ['kind' => 'step', 'says' => "Find out why it failed: {$failed->title}.", 'station' => 'build', 'ref' => $failed->id];
        }
        $wanted = array_values(
            array_filter(
                $build->chosen(),
                static fn (Line $line): bool => in_array($line->state, [SupplyState::ToFind, SupplyState::Chosen, SupplyState::Faulty], true),
            ),
        );
        if ($wanted !== [] && $worst?->verdict !== Verdict::Unmeasured) {
            $first = $wanted[0];
            $verb = match ($first->state) {
                SupplyState::ToFind => 'Find',
                SupplyState::Faulty => 'Replace',
                default => match (true) {
                    $first->origin === Origin::Print => 'Print',
                    $first->origin->isFree() => 'Get out',
                    default => 'Order',
                },
            };
            $more = count($wanted) > 1 ? sprintf(' and %d more', count($wanted) - 1) : '';

            return ['kind' => 'order', 'says' => "{$verb} {$first->name()}{$more}.", 'station' => 'buy', 'ref' => $first->id];
        }
        if ($worst !== null && $worst->verdict === Verdict::Unmeasured) {
            return ['kind' => 'measure', 'says' => $worst->says(), 'station' => 'parts', 'ref' => $worst->key()];
        }
        $step = $plan->next();
        if ($step !== null) {
            return ['kind' => 'step', 'says' => "{$step->title}.", 'station' => 'build', 'ref' => $step->id];
        }

        return $plan->open() === [] ? ['kind' => 'done', 'says' => 'Everything is ticked. Play.', 'station' => 'build', 'ref' => null] : self::waiting($plan);
    }

    /** The gate of the first fault that waits for nobody else. */
    private static function failed(Build $build, Plan $plan): ?Step
    {
        foreach ($build->work->openFaults() as $fault) {
            if ($fault->state === FaultState::Open && $plan->step($fault->step) !== null) {
                return $plan->step($fault->step);
            }
        }

        return null;
    }

    /** @return array{kind: string, says: string, station: string, ref: ?string} */
    private static function waiting(Plan $plan): array
    {
        foreach ($plan->openInOrder() as $step) {
            if ($step->waitsFor() !== []) {
                return ['kind' => 'wait', 'says' => "Wait for {$step->waitsFor()[0]->name()}.", 'station' => 'buy', 'ref' => $step->waitsFor()[0]->id];
            }
        }

        return ['kind' => 'step', 'says' => "Mend what failed: {$plan->open()[0]->title}.", 'station' => 'build', 'ref' => $plan->open()[0]->id];
    }

    /** A pack of which no figure is known yet is a pack. */
    private static function hasCells(Facts $facts): bool
    {
        return $facts->runTime()->pack !== null
            || array_filter($facts->build->chosen(), static fn (Line $line): bool => $line->role === Role::Cells) !== [];
    }
}
