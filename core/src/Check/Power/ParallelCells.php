<?php

declare(strict_types=1);

namespace PocketPlot\Check\Power;

use PocketPlot\Build\JoinKind;
use PocketPlot\Build\Line;
use PocketPlot\Check\Finding;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Rule;
use PocketPlot\Check\Subject;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\Words;
use PocketPlot\Check\WorkingLine;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Pack;
use PocketPlot\Quantity\Source;

final class ParallelCells extends Rule
{
    public static function meta(): Meta
    {
        return new Meta('power.parallel-cells', 'Packs in parallel are of one kind, and levelled before they are joined.', ['pack.capacityMah']);
    }

    public function subjects(Facts $facts): iterable
    {
        foreach ($facts->with('pack') as $line) {
            yield Subject::line($line);
        }
        foreach ($facts->joins() as $join) {
            $one = $facts->line($join->from);
            $other = $facts->line($join->to);
            if ($join->kind === JoinKind::Parallel && $one !== null && $other !== null && $one->chosen && $other->chosen) {
                yield Subject::pair($one, $other);
            }
        }
    }

    protected function findings(Subject $subject, Facts $facts): iterable
    {
        $one = $subject->line;
        if ($one !== null && $subject->other !== null) {
            yield $this->pair($one, $subject->other, $facts);
        } elseif ($one?->part->pack !== null && $one->quantity > 1 && ! $one->part->pack->sealed && ! $one->part->pack->loose) {
            yield $this->levelled([$one], $one->part->pack, "{$one->quantity} × {$one->name()}", $facts);
        }
    }

    private function pair(Line $one, Line $other, Facts $facts): Finding
    {
        $a = $one->part->pack;
        $b = $other->part->pack;
        if ($a === null || $b === null) {
            $none = $a === null ? $one : $other;

            return $this->answer(
                Verdict::Clash,
                [$none, $none === $one ? $other : $one],
                fn (): Words => new Words(
                    "{$none->name()} is no pack; only packs can be in parallel.",
                    [],
                    'an impossible join',
                    [Remedy::byHand('Take the join away.')],
                ),
                "{$one->id}/{$other->id}",
            );
        }
        $working = [$this->text($one->name(), "{$a->chemistry}, {$a->series}S"), $this->text($other->name(), "{$b->chemistry}, {$b->series}S")];
        if ($a->chemistry !== $b->chemistry || $a->series !== $b->series) {
            return $this->answer(Verdict::Clash, [$one, $other], fn (): Words => new Words(
                "{$one->name()} and {$other->name()} must not be in parallel: one would pour into the other.",
                $working,
                'chemistry or cell count differ',
                [
                    $this->swap($one), $this->swap($other), Remedy::byHand('Take the join away and use one of them alone.'),
                ]), $other->id);
        }
        $apart = abs($a->cellFullV->most() - $b->cellFullV->most());
        if ($apart > Pack::FULL_APART_V) {
            [$higher, $lower] = $a->cellFullV->most() > $b->cellFullV->most() ? [$one, $other] : [$other, $one];

            return $this->answer(Verdict::Clash, [$one, $other], fn (): Words => new Words(
                sprintf(
                    '%s is charged to %s V a cell more than %s bears, and the fuller one pours into the other the moment they meet. This can burn.',
                    $higher->name(),
                    self::n($apart),
                    $lower->name(),
                ),
                [$this->row("{$one->name()}, one cell full", $a->cellFullV), $this->row("{$other->name()}, one cell full", $b->cellFullV)],
                'full volts differ',
                [Remedy::byHand('Leave each pack to its own charger. More energy comes from a power bank at the charging socket.'), $this->swap($lower)],
            ), $other->id);
        }
        foreach ([$one, $other] as $line) {
            if ($one->part->id !== $other->part->id && $line->part->pack?->cellFullV->source === Source::Typical) {
                // Some cells of one kind are charged higher than usual; side by side that can burn.
                return $this->unmeasured($line, 'pack.volts', [$one, $other], $working, $other->id);
            }
        }

        return $this->alike($one, $other, $a, $b, $working, $facts);
    }

    /** @param  list<WorkingLine>  $working */
    private function alike(Line $one, Line $other, Pack $a, Pack $b, array $working, Facts $facts): Finding
    {
        foreach ([[$one, $a], [$other, $b]] as [$line, $pack]) {
            if (! $pack->capacityMah->isKnown()) {
                return $this->unmeasured($line, 'pack.capacityMah', [$one, $other], $working, 'parallel');
            }
        }
        if (abs($a->capacityMah->usual() - $b->capacityMah->usual()) > 0.1 * max($a->capacityMah->usual(), $b->capacityMah->usual())) {
            return $this->answer(
                Verdict::Tight,
                [$one, $other],
                fn (): Words => new Words("{$one->name()} and {$other->name()} differ in capacity; the smaller one ages faster.", [
                    ...$working, $this->row($one->name(), $a->capacityMah), $this->row($other->name(), $b->capacityMah),
                ], 'more than a tenth apart', [$this->swap($other, 'Take two of a kind')]), $other->id);
        }

        $who = $one->part->name === $other->part->name ? "Both {$one->part->name}" : "{$one->name()} and {$other->name()}";

        return $this->levelled([$one, $other], $a, $who, $facts);
    }

    /** @param  non-empty-list<Line>  $lines */
    private function levelled(array $lines, Pack $pack, string $who, Facts $facts): Finding
    {
        $volts = $facts->margin('parallel-volts');

        return $this->answer(Verdict::Fits, $lines, fn (): Words => new Words("{$who} suit each other in parallel: level them to within "
            .self::n($volts)
            .' V before they are joined, or one pours into the other.', [
                $this->text('Chemistry', $pack->chemistry), $this->count('Apart at most when joined', $volts, 'V', 'brief'),
            ], 'holds when they are levelled first', [
                Remedy::byHand(
                    'Charge each one full on its own, let them rest an hour, meter both. Join them only when they agree, with a fuse each. Unsure? Leave it to someone who knows packs.',
                ),
                $this->swap($lines[0], 'Take one pack of the whole capacity'),
            ]), 'side-by-side');
    }
}
