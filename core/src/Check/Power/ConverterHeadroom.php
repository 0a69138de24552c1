<?php

declare(strict_types=1);

namespace PocketPlot\Check\Power;

use PocketPlot\Build\Line;
use PocketPlot\Check\Finding;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Rule;
use PocketPlot\Check\Subject;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\Words;
use PocketPlot\Check\WorkingLine;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\FigureRef;
use PocketPlot\Part\Output;
use PocketPlot\Part\Topology;
use PocketPlot\Power\Feed;
use PocketPlot\Power\Giver;

final class ConverterHeadroom extends Rule
{
    public static function meta(): Meta
    {
        return new Meta(
            'power.converter-headroom',
            'Each converter can make its output from what it gets, with its dropout left over at the lowest input.',
            ['output.topology', 'output.dropoutV', 'output.volts', 'pack.volts'],
        );
    }

    public function subjects(Facts $facts): iterable
    {
        foreach ($facts->rails() as $rail) {
            if ($rail->line->part->isConverter()) {
                yield Subject::rail($rail);
            }
        }
    }

    protected function findings(Subject $subject, Facts $facts): iterable
    {
        $output = $subject->rail?->output();
        $above = $subject->rail === null ? null : $facts->giverOf($subject->rail->line);
        if ($subject->rail !== null && $output !== null && $above !== null) {
            [$wanted, $spare] = [$facts->margin('headroom-volts'), $facts->margin('supply-volts')];
            yield $this->judge($subject->rail->line, $output, $above, $wanted, $facts->feedsFrom($subject->rail), $spare);
        }
    }

    /** @param  list<Feed>  $feeds */
    private function liveFrom(array $feeds, float $volts): bool
    {
        foreach ($feeds as $feed) {
            if (! $feed->input->volts->isKnown() || $feed->input->volts->least() > $volts + 1e-9) {
                return false;
            }
        }

        return $feeds !== [];
    }

    /**
     * @param  list<Feed>  $below  what the converter feeds
     * @param  float  $spare  volts that a supply window wants to spare
     */
    private function judge(Line $line, Output $output, Giver $rail, float $wanted, array $below, float $spare): Finding
    {
        $about = $output->name;
        $working = [
            $this->row("{$rail->says()} gives", $rail->volts),
            $this->row("{$line->name()} makes", $output->volts),
            $this->text('Topology', $output->topology === Topology::Unknown ? '' : $output->topology->value),
        ];
        $open = $this->open($line, $output, $rail, $working);
        if ($open !== null) {
            return $open;
        }
        if ($output->topology === Topology::BuckBoost) {
            return $this->answer(
                Verdict::Fits,
                [$line, $rail->line],
                fn (): Words => new Words("{$line->name()} makes {$output->volts->says()} from above and from below.", $working, 'buck-boost'),
                $about,
            );
        }
        $raises = $output->topology === Topology::Boost;
        if (! $raises && ! $output->dropoutV->isKnown()) {
            return $this->unmeasured($line, FigureRef::output($output, 'dropoutV'), [$rail->line], $working, $about);
        }
        $margin = $raises ? $output->volts->least() - $rail->volts->most() : $rail->volts->least() - $output->dropoutV->most() - $output->volts->most();
        if (! $raises) {
            $working[] = $this->row("{$line->name()}, dropout", $output->dropoutV);
        }
        // One that gets too little passes on what it gets, less its dropout; who lives from that minds nothing.
        $passes = $raises ? null : $rail->volts->least() - $output->dropoutV->usual();
        $verdict = self::byMargin($margin, $wanted);
        if ($verdict !== Verdict::Fits && $passes !== null && $this->liveFrom($below, $passes)) {
            $close = array_values(array_filter($below, fn (Feed $feed): bool => ! $this->liveFrom([$feed], $passes - $spare)));

            return $this->passesOn($line, $output, $rail, $passes, $working, $close);
        }

        return $this->answer($verdict, [$line, $rail->line], fn (): Words => new Words(match (true) {
            $verdict === Verdict::Clash && $raises => "{$line->name()} is a boost converter and can only raise the voltage, but {$rail->says()} goes up to "
                .self::n($rail->volts->most())
                .' V.',
            $verdict === Verdict::Clash => "{$line->name()} cannot hold {$output->volts->says()} once {$rail->says()} falls to "
                .self::n($rail->volts->least())
                .' V.',
            default => "{$line->name()} holds {$output->volts->says()} over the whole of {$rail->says()}.",
        }, $working, self::n($margin).' V of headroom, '.self::n($wanted).' V wanted', [
            $this->swap($line, 'Take a buck-boost converter, or one that needs less'),
            $this->swap($rail->line, "Take another source than {$rail->line->name()}"),
        ]), $about);
    }

    /**
     * @param  non-empty-list<WorkingLine>  $working
     * @return ?Finding what has to be found out before anything can be said
     */
    private function open(Line $line, Output $output, Giver $rail, array $working): ?Finding
    {
        $about = $output->name;
        if ($output->topology === Topology::Unknown) {
            return $this->unmeasured(
                $line,
                FigureRef::output($output, 'topology'),
                [$rail->line],
                array_slice($working, 0, 2),
                $about,
                'nobody can say whether it still works at the lowest input',
            );
        }
        if (! $rail->volts->isKnown()) {
            return $this->unmeasured($rail->line, $rail->voltsRef(), [$line], array_slice($working, 1, 1), "{$line->id}/{$about}");
        }
        if (! $output->volts->isKnown()) {
            return $this->unmeasured($line, FigureRef::output($output, 'volts'), [$rail->line], array_slice($working, 0, 1), $about);
        }

        return null;
    }

    /**
     * @param  list<WorkingLine>  $working
     * @param  list<Feed>  $close  that live from it with next to nothing to spare
     */
    private function passesOn(Line $line, Output $output, Giver $rail, float $passes, array $working, array $close): Finding
    {
        $verdict = $close === [] ? Verdict::Fits : Verdict::Tight;

        return $this->answer(
            $verdict,
            [$line, $rail->line, ...array_map(static fn (Feed $feed): Line => $feed->line, $close)],
            fn (): Words => new Words(
                sprintf(
                    'Below %s V %s passes on what it gets less its dropout, down to %s V; everything behind it lives from that'
                    .($verdict === Verdict::Fits ? '.' : ', with next to nothing to spare.'),
                    self::n($output->volts->usual() + $output->dropoutV->usual()),
                    $line->name(),
                    self::n($passes),
                ),
                $working,
                'what is left against the windows behind it',
                [$this->swap($line, 'Take a buck-boost converter, or one that needs less')],
            ),
            $output->name,
        );
    }
}
