<?php

declare(strict_types=1);

namespace PocketPlot\Check\Power;

use PocketPlot\Build\Line;
use PocketPlot\Build\Profile;
use PocketPlot\Check\Finding;
use PocketPlot\Check\Measuring;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\WholeRule;
use PocketPlot\Check\Words;
use PocketPlot\Check\WorkingLine;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\FigureRef;
use PocketPlot\Part\Role;
use PocketPlot\Power\EndCause;
use PocketPlot\Power\Feed;
use PocketPlot\Power\Missing;
use PocketPlot\Power\Rail;
use PocketPlot\Quantity\Figure;
use PocketPlot\Quantity\Number;
use PocketPlot\Quantity\Source;

final class RunTimeWanted extends WholeRule
{
    public static function meta(): Meta
    {
        return new Meta(
            'power.runtime',
            'One charge lasts as long as the brief wants, from full until the first part gives up.',
            [
                'supply.drawMa',
                'supply.drawAtV',
                'supply.peakMa',
                'supply.volts',
                'output.efficiency',
                'output.volts',
                'output.dropoutV',
                'pack.capacityMah',
                'pack.volts',
                'pack.cellNominalV',
                'pack.usableShare',
                'pack.internalResistanceMohm',
                'pack.cutOffV',
            ],
        );
    }

    protected function ofWhole(Facts $facts): iterable
    {
        $wanted = $facts->brief()->runTimeHours;
        $runTime = $facts->runTime();
        if ($wanted === null || $wanted <= 0.0 || $runTime->pack === null) {
            return;
        }
        $pack = $runTime->pack;
        $working = [$this->row("{$pack->name()}, energy at the cells", $runTime->wattHours)];
        $share = $pack->part->pack?->usableShare;
        if ($share !== null && $share->isKnown()) {
            $working[] = $this->row('Share of it that is usable', $share);
        }
        $hours = $runTime->hours;
        $main = $runTime->main;
        if (! $hours->isKnown() || $main === null || $runTime->heaviest === null || $runTime->lightest === null) {
            $missing = $runTime->missing[0] ?? null;
            yield $this->unmeasured($missing->line ?? $pack, $missing->figure ?? 'supply.drawMa', [$pack], $working, '', 'the run time is open');

            return;
        }
        $assumed = $runTime->assumed[0] ?? null;
        $verdict = self::reached($hours->usual(), $wanted, $facts->margin('runtime-share'), $assumed !== null);
        $working = [
            ...$working,
            $this->row('Taken at the pack half full, losses included', $runTime->watts),
            $this->count("\"{$runTime->heaviest->name}\", every figure at its bad end", round($hours->least(), 2), 'h'),
            $this->count("\"{$main->name}\", as it usually goes", round($hours->usual(), 2), 'h'),
            $this->count("\"{$runTime->lightest->name}\", every figure at its good end", round($hours->most(), 2), 'h'),
            ...($runTime->usual === null ? [] : [$this->count('Charge left inside by then', round($runTime->usual->chargeLeft * 100, 1), '%')]),
            ...$this->inPencil($facts),
            $this->row('Wanted', Figure::exactly($wanted, 'h', Source::Brief)),
        ];
        $held = $this->held($verdict, $hours, $main, $pack, $working, $facts);
        if ($held !== null) {
            yield $held;

            return;
        }
        $end = ($verdict === Verdict::Clash ? $runTime->usual : $runTime->shortest)?->end;
        yield $this->answer(
            $verdict, [$pack],
            fn (): Words => new Words(self::lasts($hours, $main->name, $runTime->heaviest->name, $end, $wanted)
                .($assumed === null || $verdict === Verdict::Clash
                    ? ''
                    : sprintf(
                        ' Nobody knows the %s of %s yet; a careful figure stands in.',
                        Measuring::name($assumed->figure),
                        $assumed->line->name(),
                    )), $working, 'the discharge of the whole supply tree, from full until the first part gives up', $verdict === Verdict::Fits
                        ? []
                        : $this->remedies($facts, $pack, $hours, $wanted, $runTime->assumed)),
        );
    }

    private static function lasts(Figure $hours, string $main, string $heaviest, ?EndCause $end, float $wanted): string
    {
        $until = $end === null ? '' : (string) preg_replace_callback('/^(The|A) /', static fn (array $m): string => lcfirst($m[0]), rtrim($end->says(), '.'));
        $wish = Number::says($wanted).' h '.($wanted === 1.0 ? 'is' : 'are').' wanted.';
        if ($hours->usual() < 0.005) {
            return "It does not run in \"{$main}\"".($until === '' ? '' : ": {$until}")."; {$wish}";
        }

        return sprintf(
            'One charge lasts %s h in "%s", %s h at the worst in "%s"%s; %s',
            Number::says($hours->usual()),
            $main,
            Number::says($hours->least()),
            $heaviest,
            $until === '' ? '' : ", until {$until}",
            $wish,
        );
    }

    private static function reached(float $usual, float $wanted, float $share, bool $isAssumed): Verdict
    {
        return match (true) {
            $usual >= $wanted * (2 - $share) => $isAssumed ? Verdict::Tight : Verdict::Fits,
            $usual >= $wanted * $share => Verdict::Tight,
            default => Verdict::Clash,
        };
    }

    /**
     * What keeps the hours from being a promise: something that plays is not fed, or the figures are hearsay.
     *
     * @param  list<WorkingLine>  $working
     */
    private function held(Verdict $verdict, Figure $hours, Profile $main, Line $pack, array $working, Facts $facts): ?Finding
    {
        $unfed = $facts->unfedInPlay();
        if ($unfed !== [] && $verdict !== Verdict::Clash) {
            return $this->answer(Verdict::Missing, [$pack, $unfed[0]], fn (): Words => new Words(
                sprintf(
                    '%s h in "%s" would be the run time, once %s is fed from %s: so far it is not.',
                    Number::says($hours->usual()),
                    $main->name,
                    $unfed[0]->name(),
                    $pack->name(),
                ),
                $working,
                'not everything that plays is fed',
            ));
        }
        $overfed = $verdict === Verdict::Fits ? $this->overfed($facts) : null;
        if ($overfed !== null) {
            [$feed, $rail] = $overfed;

            return $this->answer(Verdict::Tight, [$pack, $feed->line], fn (): Words => new Words(
                sprintf(
                    '%s h in "%s" would be the run time, once %s gets no more than the %s V it takes: %s gives up to %s V.',
                    Number::says($hours->usual()),
                    $main->name,
                    $feed->line->name(),
                    Number::says($feed->input->volts->most()),
                    $rail->says(),
                    Number::says($rail->volts->most()),
                ),
                $working,
                'holds once that is mended',
                [Remedy::add(Role::Regulator, 'Put a regulator between them'), $this->swap($feed->line)],
            ));
        }
        $hearsay = $this->isHearsay($facts);

        return $hearsay === null
            ? null
            : $this->unmeasured($hearsay[0], $hearsay[1], [$pack], $working, '', sprintf('%s h are no more than hearsay', Number::says($hours->usual())));
    }

    /** @return array{Feed, Rail}|null what plays and gets more volts than it bears, so that hours promise nothing yet */
    private function overfed(Facts $facts): ?array
    {
        $rails = $facts->rails();
        foreach ($facts->feeds() as $feed) {
            $rail = $rails[$feed->railId] ?? null;
            if ($rail === null || ! $rail->volts->isKnown() || ! $feed->input->volts->isKnown() || $facts->isFedByWallOnly($feed)) {
                continue;
            }
            $bears = max($feed->input->volts->most(), ($feed->input->nominalV ?? 0.0) * SupplyWindow::MAY_BEAR[1]);
            if ($rail->volts->most() > $bears + 1e-9) {
                return [$feed, $rail];
            }
        }

        return null;
    }

    /** @return array{Line, FigureRef}|null the board whose draw somebody guessed: nothing else weighs as much */
    private function isHearsay(Facts $facts): ?array
    {
        foreach ($facts->feeds() as $feed) {
            if ($feed->line->role === Role::Board && $feed->input->drawMa->source === Source::Guess) {
                return [$feed->line, FigureRef::supply($feed->input, 'drawMa')];
            }
        }

        return null;
    }

    /**
     * @param  list<Missing>  $assumed
     * @return list<Remedy>
     */
    private function remedies(Facts $facts, Line $pack, Figure $hours, float $wanted, array $assumed): array
    {
        return [
            ...($hours->usual() >= $wanted ? [] : [
                Remedy::swap($pack->id, $pack->role, 'Take a larger pack'),
                ...array_map(
                    static fn (Line $line): Remedy => Remedy::swap($line->id, $line->role, "Take something thriftier for {$line->name()}"),
                    [...$facts->filling(Role::Display), ...$facts->filling(Role::Board)],
                ),
            ]),
            ...array_map(static fn (Missing $one): Remedy => Remedy::measure($one->line->id, $one->figure), $assumed),
        ];
    }
}
