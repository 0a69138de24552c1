<?php

declare(strict_types=1);

namespace PocketPlot\Assembly;

use PocketPlot\Build\Fault;
use PocketPlot\Build\Line;
use PocketPlot\Build\Origin;
use PocketPlot\Build\SupplyState;
use PocketPlot\Check\Finding;
use PocketPlot\Check\Verdict;
use PocketPlot\Facts\Facts;
use PocketPlot\Power\Rail;
use PocketPlot\Quantity\Number;

/**
 * Likely causes of a gate that did not pass: the steps since the last gate that did, the rails, leads and parts that
 * the gate speaks of. Weights are our judgement: what was touched last is the first suspect, what was soldered more
 * than what was plugged, what was measured well before less. The next look is the one that halves them best.
 */
final class Suspects
{
    /** What a look leaves of the weight of those that it speaks against. */
    private const CLEARED = 0.03;

    /** @var array<string, Suspect> by key, the likeliest first */
    public readonly array $all;

    /** @var array<string, Look> by key */
    public readonly array $looks;

    private readonly Step $gate;

    /** @param  list<Finding>  $findings */
    public function __construct(private readonly Plan $plan, private readonly Facts $facts, private readonly array $findings, private readonly Fault $fault)
    {
        $this->gate = $plan->step($fault->step) ?? throw new \InvalidArgumentException('the gate is not there any more');
        $suspects = [];
        foreach ([...$this->steps(), ...$this->rails(), ...$this->leads(), ...$this->parts()] as $suspect) {
            $suspects[$suspect->key] = $suspect;
        }
        $this->looks = $this->makeLooks($suspects);
        foreach ($fault->looked as $key => $well) {
            $tells = array_flip($this->looks[$key]->tells ?? []);
            foreach ($suspects as $name => $suspect) {
                if ($tells !== [] && isset($tells[$name]) === $well) {
                    $suspects[$name] = $suspect->weighing($suspect->weight * self::CLEARED);
                }
            }
        }
        uasort($suspects, static fn (Suspect $a, Suspect $b): int => $b->weight <=> $a->weight);
        $this->all = $suspects;
    }

    /** @return array<string, float> how likely each is among them, 0 to 1, by key */
    public function shares(): array
    {
        $sum = array_sum(array_map(static fn (Suspect $one): float => $one->weight, $this->all));

        return array_map(static fn (Suspect $one): float => $sum > 0.0 ? $one->weight / $sum : 0.0, $this->all);
    }

    /** The look that comes closest to halving what is left; null when one suspect is left, or none can tell more. */
    public function next(): ?Look
    {
        $shares = $this->shares();
        $best = null;
        foreach ($this->looks as $look) {
            $share = $look->share($shares);
            if (isset($this->fault->looked[$look->key]) || $share < self::CLEARED || $share > 1 - self::CLEARED) {
                continue;
            }
            if ($best === null || abs($share - 0.5) < abs($best->share($shares) - 0.5)) {
                $best = $look;
            }
        }

        return $best;
    }

    /** @return list<string> ids of the steps that were done since the last gate that passed, the latest first */
    private function sinceLastGate(): array
    {
        $since = [];
        foreach (array_reverse($this->fault->doneThen) as $id) {
            $step = $this->plan->step($id);
            if ($step?->gate !== null) {
                break;
            }
            $since[] = $id;
        }

        return $since;
    }

    /** @return iterable<Suspect> */
    private function steps(): iterable
    {
        $concerned = array_flip(OnTheBench::ids(...$this->gate->lines));
        $latest = $this->sinceLastGate();
        // A gate that asks about its own work: what was soldered or put in at it is the latest of all.
        if ($this->gate->setup === Setup::Iron || $this->gate->reaches !== []) {
            yield new Suspect(
                "step {$this->gate->id}", "{$this->gate->title}: a joint, a plug or something the wrong way round",
                4.0, OnTheBench::ids(...$this->gate->lines), null,
                ['the last thing that was done'],
            );
        }
        foreach ($this->fault->doneThen as $id) {
            $step = $this->plan->step($id);
            if ($step === null || $step->gate !== null || $step->phase === Phase::Prove || $step->lines === []) {
                continue;
            }
            $isLate = in_array($id, $latest, true);
            $isNear = array_intersect_key($concerned, array_flip(OnTheBench::ids(...$step->lines))) !== [];
            $weight = ($isLate ? 4.0 : 0.6) * ($isNear ? 1.0 : 0.3) * ($step->setup === Setup::Iron ? 1.5 : 1.0);
            yield new Suspect(
                "step {$id}", "{$step->title}: a joint, a plug or something pinched", $weight, $step->reaches === [] ? OnTheBench::ids(...$step->lines) : $step->reaches, $id,
                array_values(array_filter([
                    $isLate ? 'done since the last test that passed' : 'done before the last test that passed',
                    $step->setup === Setup::Iron ? 'soldered' : '', $isNear ? 'on parts that this test is about' : '',
                ])),
            );
        }
    }

    /** @return iterable<Suspect> */
    private function rails(): iterable
    {
        foreach ($this->railsOfGate() as $rail) {
            $said = $this->said(static fn (Finding $one): bool => $one->subject->rail?->id === $rail->id
                || ($one->family() === 'power' && in_array($rail->line->id, $one->lines, true)));
            $passed = $this->readWell($rail);
            yield new Suspect(
                "rail {$rail->id}", "{$rail->says()}: volts sag or are not there", 2.0 * ($said === null ? 1.0 : 1.8) * ($passed === '' ? 1.0 : 0.5),
                [$rail->line->id], null, array_values(array_filter(['feeds what this test is about', $said ?? '', $passed])),
            );
        }
    }

    /** @return iterable<Suspect> */
    private function leads(): iterable
    {
        $seen = [];
        $gate = OnTheBench::ids(...$this->gate->lines);
        foreach ($this->gate->lines as $line) {
            if ($line->part->cable !== null) {
                $seen[$line->id] = $line;
            }
        }
        foreach ($this->facts->feeds() as $feed) {
            $lead = in_array($feed->line->id, $gate, true) ? $this->facts->leadOf($feed) : null;
            if ($lead !== null) {
                $seen[$lead->id] = $lead;
            }
        }
        foreach ($seen as $lead) {
            yield new Suspect("lead {$lead->id}", "{$lead->name()}: a bad contact, or the wrong way round", 1.5, [$lead->id], null, ['a lead is the part that breaks most often']);
        }
    }

    /** @return iterable<Suspect> */
    private function parts(): iterable
    {
        foreach ($this->gate->lines as $line) {
            if ($line->part->cable !== null || $line->part->body !== null) {
                continue;
            }
            $proof = $this->provenBy($line);
            $isUsed = $line->origin === Origin::Salvage || $line->state === SupplyState::Faulty;
            $said = $this->said(static fn (Finding $one): bool => ($one->lines[0] ?? '') === $line->id);
            yield new Suspect(
                "part {$line->id}", "{$line->name()} itself",
                ($proof === null ? 1.4 : 0.5) * ($isUsed ? 1.6 : 1.0) * ($said === null ? 1.0 : 1.5), [$line->id], null,
                array_values(array_filter([$proof === null ? 'not tried alone' : "passed: {$proof->title}", $isUsed ? 'salvaged' : '', $said ?? ''])),
            );
        }
    }

    /** @return array<string, Rail> rails from which something that the gate is about is fed, and the rails behind them */
    private function railsOfGate(): array
    {
        $rails = [];
        $open = $this->gate->lines;
        while ($open !== []) {
            $rail = $this->facts->railOf(array_shift($open));
            if ($rail !== null && ! isset($rails[$rail->id])) {
                $rails[$rail->id] = $rail;
                $open[] = $rail->line;
            }
        }

        return $rails;
    }

    /** @param  callable(Finding): bool  $isAbout */
    private function said(callable $isAbout): ?string
    {
        foreach ($this->findings as $finding) {
            if ($finding->verdict !== Verdict::Fits && $isAbout($finding)) {
                return "{$finding->verdict->value}: {$finding->says()}";
            }
        }

        return null;
    }

    /** What was read of a rail when a gate passed. */
    private function readWell(Rail $rail): string
    {
        foreach ($this->facts->build->ticks as $tick) {
            foreach ($this->plan->step($tick->step)->gate->measures ?? [] as $measure) {
                $read = $tick->read[$measure->key] ?? null;
                if ($measure->unit === 'V' && $measure->line === $rail->line->id && is_float($read)) {
                    return 'read '.Number::says($read).' V before';
                }
            }
        }

        return '';
    }

    private function provenBy(Line $line): ?Step
    {
        foreach ($this->fault->doneThen as $id) {
            $step = $this->plan->step($id);
            foreach ($step?->gate === null ? [] : $step->gives as $condition) {
                if ($condition->about === $line->id) {
                    return $step;
                }
            }
        }

        return null;
    }

    /**
     * @param  array<string, Suspect>  $suspects
     * @return array<string, Look>
     */
    private function makeLooks(array $suspects): array
    {
        $looks = [];
        foreach ($this->railsOfGate() as $rail) {
            $look = new Look(
                "volts {$rail->id}", "Meter {$rail->says()} at the far end, while it fails",
                $rail->volts->isKnown() ? $rail->volts->says() : 'steady volts', $this->upTo($rail, $suspects),
            );
            $looks[$look->key] = $look;
        }
        foreach ($suspects as $suspect) {
            [$kind, $about] = explode(' ', $suspect->key, 2);
            $look = match ($kind) {
                'step' => new Look("redo {$about}", "Packs unplugged, ring out and move what was done at: {$this->plan->step($about)?->title}", 'rings from end to end, nothing flickers', [
                    $suspect->key, ...$this->leadsOf($about, $suspects),
                ]),
                'lead' => new Look(
                    "swap {$about}",
                    "Another lead in the place of {$this->facts->line($about)?->name()}",
                    'it fails as before',
                    [$suspect->key],
                ),
                'part' => new Look("alone {$about}", "{$this->facts->line($about)?->name()} alone, from the bench supply, with the lead it was proved with", 'it works alone', [$suspect->key]),
                default => null,
            };
            if ($look !== null) {
                $looks[$look->key] = $look;
            }
        }

        return $looks;
    }

    /**
     * @param  array<string, Suspect>  $suspects
     * @return list<string> everything between the source and the far end of a rail
     */
    private function upTo(Rail $rail, array $suspects): array
    {
        $lines = [];
        $tells = [];
        for ($one = $rail; $one !== null && ! isset($lines[$one->line->id]); $one = $this->facts->railOf($one->line)) {
            $lines[$one->line->id] = true;
            array_push($tells, "rail {$one->id}", "part {$one->line->id}", "step rail/{$one->id}", "step fuse/{$one->line->id}", "step seat/{$one->line->id}");
            foreach ($this->facts->feedsFrom($one) as $feed) {
                $lead = $this->facts->leadOf($feed);
                $tells[] = 'lead '.($lead->id ?? '');
            }
        }

        return array_values(array_intersect(array_keys($suspects), $tells));
    }

    /**
     * @param  array<string, Suspect>  $suspects
     * @return list<string>
     */
    private function leadsOf(string $step, array $suspects): array
    {
        $lines = OnTheBench::ids(...($this->plan->step($step)->lines ?? []));

        return array_values(array_intersect(array_keys($suspects), array_map(static fn (string $id): string => "lead {$id}", $lines)));
    }
}
