<?php

declare(strict_types=1);

namespace PocketPlot\Check\Power;

use PocketPlot\Build\Line;
use PocketPlot\Check\Finding;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Rule;
use PocketPlot\Check\Subject;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\Words;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\FigureRef;
use PocketPlot\Part\Musts;
use PocketPlot\Part\Role;
use PocketPlot\Power\ChargeLeft;
use PocketPlot\Power\Feed;
use PocketPlot\Power\Giver;
use PocketPlot\Quantity\Figure;

final class SupplyWindow extends Rule
{
    /** Shares of the voltage that a part is sold for, between which some bear it and some do not: sweeps of panels and amplifiers end all over them. */
    public const MAY_BEAR = [0.7, 1.3];

    /** Shares of a raw pack's charge that lie below a window: up to the one nobody minds, beyond the other the pack does not suit. */
    private const SOME_CHARGE = 0.15;

    private const MUCH_CHARGE = 0.25;

    public static function meta(): Meta
    {
        return new Meta(
            'power.supply-window',
            'Every part that is fed gets a voltage inside its window, from the full pack to the empty one.',
            ['supply.volts', 'pack.volts', 'output.volts'],
        );
    }

    public function subjects(Facts $facts): iterable
    {
        yield Subject::whole();
        $rails = $facts->rails();
        foreach ($facts->feeds() as $feed) {
            yield Subject::feed($feed, $rails[$feed->railId]);
        }
    }

    protected function findings(Subject $subject, Facts $facts): iterable
    {
        if ($subject->feed !== null && $subject->feed->line->id === $subject->giver?->line->id) {
            return [];
        }

        return $subject->feed === null || $subject->giver === null
            ? $this->misfed($facts)
            : [$this->compare($subject->feed, $subject->giver, $facts->margin('supply-volts'))];
    }

    /** @return iterable<Finding> */
    private function misfed(Facts $facts): iterable
    {
        [$unfed, $inCircles, $impossible] = $facts->misfed();
        foreach ($inCircles as $line) {
            yield $this->answer(
                Verdict::Clash,
                [$line],
                fn (): Words => new Words(
                    "{$line->name()} would be fed from itself.",
                    [],
                    'a circle',
                    [Remedy::byHand('Join it to a rail that it does not feed.')],
                ),
                'circle',
            );
        }
        foreach ($impossible as $join) {
            $from = $facts->line($join->from);
            $to = $facts->line($join->to);
            if ($from !== null && $to !== null) {
                yield $this->answer(
                    Verdict::Clash,
                    [$to, $from],
                    fn (): Words => new Words(
                        "The join from {$from->name()} to {$to->name()} cannot be: "
                            .($join->output === '' ? 'one gives no power or the other wants none.' : "there is no output \"{$join->output}\" any more."),
                        [],
                        'an impossible join',
                        [Remedy::byHand('Take the join away or choose another output.')],
                    ),
                    "join/{$from->id}",
                );
            }
        }
        $open = $this->unknownPack($facts);
        foreach ($unfed as $line) {
            if ($open !== null) {
                yield $this->unmeasured($open[0], $open[1], [$line], [], "for/{$line->id}", "nobody can say whether it feeds {$line->name()}");

                continue;
            }
            yield $this->answer(Verdict::Missing, [$line], fn (): Words => new Words("Nothing in the parts list feeds {$line->name()}.", [
                $this->row("{$line->name()} needs", $line->part->supply->volts ?? Figure::unknown('V')),
            ], 'no rail at all', [
                Remedy::add(Role::Cells, 'Add a pack or a power bank'),
                Remedy::add(Role::Regulator, 'Add a regulator'),
            ]));
        }
    }

    /** @return array{Line, FigureRef}|null a pack on the list of which nobody knows what it gives, and what to find out first */
    private function unknownPack(Facts $facts): ?array
    {
        foreach ($facts->lines() as $line) {
            $lacking = $line->role === Role::Cells && $line->part->pack === null && ! $line->part->isWanted ? Musts::lacking($line->part, $line->role) : [];
            if ($lacking !== [] && $line->part->outputs === []) {
                return [$line, $lacking[0]];
            }
        }

        return null;
    }

    private function compare(Feed $feed, Giver $giver, float $wanted): Finding
    {
        $line = $feed->line;
        $window = $feed->input->volts;
        $about = $feed->key() === $line->id ? '' : $feed->input->name;
        $at = $about === '' ? $line->name() : "{$line->name()} ({$about})";
        $working = [
            $this->row("{$at} needs", $window),
            $this->row("{$giver->says()} gives", $giver->volts),
        ];
        if (! $window->isKnown()) {
            return $this->unmeasured(
                $line,
                FigureRef::supply($feed->input, 'volts'),
                [$giver->line],
                [$working[1]],
                $about,
                "nobody can say whether {$giver->says()} suits it",
            );
        }
        if (! $giver->volts->isKnown()) {
            return $this->unmeasured($giver->line, $giver->voltsRef(), [$line], [$working[0]], $feed->key());
        }
        $below = $giver->volts->least() - $window->least();
        $above = $window->most() - $giver->volts->most();
        $limit = $feed->input->absoluteMaxV;
        if ($limit->isKnown()) {
            $working[] = $this->row("{$at}: absolute maximum", $limit);
        }
        $breaks = $limit->isKnown() && $giver->volts->most() > $limit->least();
        if (! $breaks && min($below, $above) < -1e-9 && $this->mayBear($feed, $giver)) {
            return $this->soldForOne($feed, $giver, $at, $about);
        }
        // What a raw pack keeps below the window is play lost, not harm: it counts by its share of the charge.
        $lost = $giver->isRawPack && $below < $wanted ? ChargeLeft::below($giver->line, $window->least()) : 0.0;
        $verdict = $breaks ? Verdict::Clash : ($giver->isRawPack ? self::ofPack($above, $lost) : self::byMargin(min($below, $above), $wanted));
        if ($lost > 0.0) {
            $working[] = $this->count('Charge that stays in the pack below that', round($lost * 100), '%');
        }

        return $this->answer(
            $verdict,
            [$line, $giver->line],
            fn (): Words => new Words("{$at} needs {$window->says()}. {$giver->says()} gives {$giver->volts->says()}."
            .($breaks ? ' That is above its absolute maximum.' : self::weaker($feed, $giver)), $working, sprintf(
                '%s V to spare at the low end, %s V at the high end; wanted %s V (rail: %s)',
                self::n($below),
                self::n($above),
                self::n($wanted),
                $feed->reason,
            ), $verdict === Verdict::Fits ? [] : [
                Remedy::add(Role::Regulator, 'Add a regulator between them'),
                $this->swap($line),
                ...(in_array($giver->line->role, [Role::Regulator, Role::Cells, Role::Charger], true) ? [$this->swap($giver->line)] : []),
            ]), $about);
    }

    /** Within its window and below what it is rated at, it does less of what it is for. */
    private static function weaker(Feed $feed, Giver $giver): string
    {
        $rated = $feed->input->ratedV;
        if ($rated === null || $giver->volts->most() >= $rated - 1e-9) {
            return '';
        }
        $how = match ($feed->line->role) {
            Role::Cooling => 'slower',
            Role::Display => 'dimmer',
            Role::Sound => 'quieter',
            default => 'weaker',
        };

        return " It runs {$how} than at the ".self::n($rated).' V that it is rated at.';
    }

    /** Nothing goes higher than the full pack; what it keeps below the window is lost play. */
    private static function ofPack(float $above, float $lost): Verdict
    {
        return $lost > self::MUCH_CHARGE
            ? Verdict::Clash
            : self::byMargin($above, 0.0)->worseOf($lost > self::SOME_CHARGE ? Verdict::Tight : Verdict::Fits);
    }

    /** Whether what is sold for one voltage may bear this rail, though nobody says so. */
    private function mayBear(Feed $feed, Giver $giver): bool
    {
        $nominal = $feed->input->nominalV;

        return $nominal !== null && $giver->volts->least() >= $nominal * self::MAY_BEAR[0] && $giver->volts->most() <= $nominal * self::MAY_BEAR[1];
    }

    private function soldForOne(Feed $feed, Giver $giver, string $at, string $about): Finding
    {
        $nominal = $feed->input->nominalV ?? 0.0;

        return $this->unmeasured(
            $feed->line,
            FigureRef::supply($feed->input, 'volts'),
            [$giver->line],
            [$this->count("{$at} is sold for", $nominal, 'V', $feed->input->volts->source->value), $this->row("{$giver->says()} gives", $giver->volts)],
            $about,
            "nobody can say whether it lives from {$giver->volts->says()}; it is sold for ".self::n($nominal).' V',
        );
    }
}
