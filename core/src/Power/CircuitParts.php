<?php

declare(strict_types=1);

namespace PocketPlot\Power;

use PocketPlot\Build\Line;
use PocketPlot\Build\Profile;
use PocketPlot\Part\DrawKind;
use PocketPlot\Part\FigureRef;
use PocketPlot\Part\Output;
use PocketPlot\Part\Role;
use PocketPlot\Part\Topology;
use PocketPlot\Quantity\Constants;
use PocketPlot\Quantity\Figure;

/** Makes the branches and output stages of a circuit out of the supply tree, and notes what nobody knows. */
final class CircuitParts
{
    /** @var list<array{Branch, float, float}> branch, its draw on a peak, watts that the peak adds */
    private array $peaks = [];

    private bool $peakKnown = true;

    /** @param  array<string, float>  $leadOhms  by Feed::key() */
    public function __construct(
        private readonly SupplyTree $tree,
        private readonly Profile $profile,
        private readonly Assumption $at,
        private readonly array $leadOhms,
        private readonly Gaps $gaps,
        private readonly PlayState $heaviest,
    ) {}

    /** @return list<Branch> */
    public function branches(Rail $rail): array
    {
        return array_map($this->branch(...), $this->tree->feedsFrom($rail));
    }

    /** Null when nothing hangs on it or a figure is missing. */
    public function stage(Line $line, Output $output, bool $lossless = false): ?OutputStage
    {
        $rail = $this->tree->rails["{$line->id}:{$output->name}"] ?? null;
        if ($rail === null || $rail->loads === []) {
            return null;
        }
        $isLinear = $output->topology === Topology::Linear;
        $efficiency = $isLinear || $lossless ? 1.0 : $this->share($line, $output);
        if (! $output->volts->isKnown()) {
            $this->gaps->missing($line, FigureRef::output($output, 'volts'));
        }
        $dropout = 0.0;
        if ($output->topology === Topology::Buck || $isLinear) {
            $output->dropoutV->isKnown()
                ? $dropout = $this->at->of("{$line->id} dropout", $output->dropoutV, false)
                : $this->gaps->assumed($line, FigureRef::output($output, 'dropoutV'));
        } elseif ($output->topology === Topology::Unknown && $line->part->isConverter()) {
            $this->gaps->assumed($line, FigureRef::output($output, 'topology'));
        }
        $branches = $this->branches($rail);
        if ($efficiency === null || ! $output->volts->isKnown()) {
            return null;
        }
        $curve = $isLinear || $lossless ? [] : $output->efficiencyAt;
        usort($curve, static fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return new OutputStage(
            $rail->id, $line, $output->name, $output->volts->usual(), $output->topology, $dropout, $efficiency,
            $curve === [] ? 1.0 : $efficiency / $output->efficiency->usual(), $curve,
            $output->continuousMa->isKnown() ? $output->continuousMa->usual() / 1000 * $line->quantity : 0.0,
            $output->idleMa->isKnown() ? $this->at->of("{$line->id} idle", $output->idleMa, false) / 1000 * $line->quantity : 0.0,
            $output->switchOffMa->isKnown() ? $output->switchOffMa->most() / 1000 : 0.0,
            $branches,
        );
    }

    /**
     * Lets one part at a time peak: the one whose peak adds most. All others go on as in the heaviest state.
     *
     * @param  list<Branch>  $branches
     * @param  list<OutputStage>  $stages
     */
    public function addPeak(array $branches, array $stages): bool
    {
        $worst = null;
        foreach ($this->peaks as $one) {
            $one[0]->draw[PlayState::Peak->value] = $one[0]->draw[$this->heaviest->value];
            $worst = $worst === null || $one[2] > $worst[2] ? $one : $worst;
        }
        if ($worst === null || $worst[2] <= 1e-9 || ! $this->peakKnown || $this->heaviest->value < PlayState::Usual->value) {
            return false;
        }
        $worst[0]->draw[PlayState::Peak->value] = max($worst[1], $worst[0]->draw[$this->heaviest->value]);

        return true;
    }

    private function share(Line $line, Output $output): ?float
    {
        if (! $output->efficiency->isKnown()) {
            $this->gaps->missing($line, FigureRef::output($output, 'efficiency'));

            return null;
        }
        $share = $this->at->of("{$line->id} efficiency", $output->efficiency, true);
        if ($share <= 0.0 || $share > 1.0) {
            throw BadSupply::at($line, FigureRef::output($output, 'efficiency'), 'lies outside 0 to 100 %; write watts out divided by watts in');
        }

        return $share;
    }

    private function branch(Feed $feed): Branch
    {
        $line = $feed->line;
        $input = $feed->input;
        $stages = [];
        if ($feed->key() === $line->id && $line->part->passesPowerOn()) {
            foreach ($line->part->outputs as $output) {
                $stage = $this->stage($line, $output);
                $stages = $stage === null ? $stages : [...$stages, $stage];
            }
        }
        if (! $input->volts->isKnown()) {
            $this->gaps->assumed($line, FigureRef::supply($input, 'volts'));
        }
        [$draw, $peak] = $this->draws($feed);
        $key = $feed->key();
        $branch = new Branch(
            $key, $line, $feed->railId, $this->leadOhms[$key] ?? 0.0, $input->drawKind, $draw,
            $line->part->livesFromOwnCell() ? null : $input->leastVolts(),
            $input->volts->isKnown() && ! $line->part->livesFromOwnCell() ? $input->volts->most() : null,
            $input->warnVolts->isKnown() ? $input->warnVolts->usual() : null,
            $stages,
        );
        $atV = $input->drawAtV->isKnown() ? $input->drawAtV->usual() : 0.0;
        $this->peaks[] = [$branch, $peak, match ($input->drawKind) {
            DrawKind::Power => 1.0,
            DrawKind::Current => $atV,
            DrawKind::Resistance => $atV * $atV,
        } * ($peak - $draw[$this->heaviest->value])];

        return $branch;
    }

    /**
     * @return array{array<int, float>, float} by state, and on a peak: watts, amps or siemens as the draw's kind says
     */
    private function draws(Feed $feed): array
    {
        $line = $feed->line;
        $input = $feed->input;
        $nothing = [[0.0, 0.0, 0.0, 0.0, 0.0], 0.0];
        if ($line->part->isConverter() && ! $input->drawMa->isKnown()) {
            return $nothing;
        }
        if (! $input->drawMa->isKnown() || ! $input->drawAtV->isKnown()) {
            $this->gaps->missing($line, FigureRef::supply($input, $input->drawMa->isKnown() ? 'drawAtV' : 'drawMa'));

            return $nothing;
        }
        $volts = $input->drawAtV->usual();
        if ($volts <= 0.0) {
            throw BadSupply::at($line, FigureRef::supply($input, 'drawAtV'), 'is nought; write the volts at which the draw was taken');
        }
        if (! $input->offMa->isKnown() && $this->profile->off > 0.0) {
            $this->gaps->missing($line, FigureRef::supply($input, 'offMa'));
        }
        if (! $input->peakMa->isKnown()) {
            $this->peakKnown = false;
            $this->gaps->assumed($line, FigureRef::supply($input, 'peakMa'));
        }
        $off = $input->offMa->most ?? 0.0;
        [$idle, $usual, $heavy] = $this->milliamps($feed);
        $spread = Constants::DRAW_SPREAD[$input->drawMa->source->value];
        $times = $line->quantity / 1000 * (1.0 - $spread * $this->at->at("{$line->id} draw")) * match ($input->drawKind) {
            DrawKind::Power => $volts,
            DrawKind::Current => 1.0,
            DrawKind::Resistance => 1 / $volts,
        };

        return [
            [$off * $times, $idle * $times, $usual * $times, $heavy * $times, 0.0],
            max($input->peakMa->most ?? 0.0, $input->startUpMa->most ?? 0.0, $heavy) * $times,
        ];
    }

    /**
     * Idle, usual and heavy milliamps, with the profile's own word on brightness, volume, fan and radio: the
     * light is straight between dim and bright, the loudness's power goes with the square of the volume, the
     * fan's with the cube of its speed (affinity law).
     *
     * @return array{float, float, float}
     */
    private function milliamps(Feed $feed): array
    {
        $part = $feed->line->part;
        $draw = $feed->input->drawMa;
        $isMain = $feed->input === $part->supply;
        $between = static function (float $share) use ($draw): array {
            $one = $draw->least() + $share * ($draw->most() - $draw->least());

            return [$one, $one, $one];
        };
        $profile = $this->profile;
        if ($part->panel !== null && $profile->brightness !== null && $isMain) {
            return $this->lit($draw, $part->panel->lightMa, $profile->brightness) ?? $between($profile->brightness);
        }
        if ($profile->radio === false && $part->radio !== [] && $part->role === Role::Cable) {
            return [0.0, 0.0, 0.0];
        }
        if ($part->amp !== null && $profile->volume !== null && $isMain && $part->software === null) {
            return $between($profile->volume ** 2);
        }
        if ($part->cooling?->fan === true && $profile->fan !== null && $isMain) {
            return $between($profile->fan ** 3);
        }

        return [$draw->least(), $draw->usual(), $draw->most()];
    }

    /** @return array{float, float, float}|null the draw with its light at this brightness; null when the light is not known apart */
    private function lit(Figure $draw, Figure $light, float $brightness): ?array
    {
        if (! $light->isKnown()) {
            return null;
        }
        $lit = $light->least() + $brightness * ($light->most() - $light->least());

        return [
            max(0.0, $draw->least() - $light->least()) + $lit,
            max(0.0, $draw->usual() - $light->usual()) + $lit,
            max(0.0, $draw->most() - $light->most()) + $lit,
        ];
    }
}
