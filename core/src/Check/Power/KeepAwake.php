<?php

declare(strict_types=1);

namespace PocketPlot\Check\Power;

use PocketPlot\Check\Finding;
use PocketPlot\Check\Meta;
use PocketPlot\Check\RailRule;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\Words;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\FigureRef;
use PocketPlot\Part\Output;
use PocketPlot\Power\Rail;

final class KeepAwake extends RailRule
{
    /** Times the switch-off current that a quiet console should take at least: banks of one kind differ by a tenth. */
    private const TO_SPARE = 1.1;

    public static function meta(): Meta
    {
        return new Meta(
            'power.keep-awake',
            'No power bank switches itself off because the console takes too little.',
            ['output.switchOffMa', 'supply.drawMa', 'supply.drawAtV', 'output.efficiency', 'output.volts'],
        );
    }

    protected function ofRail(Rail $rail, Facts $facts): iterable
    {
        $output = $rail->output();
        if ($output !== null && $rail->line->part->pack?->sealed === true) {
            yield $this->judge($rail, $output);
        }
    }

    private function judge(Rail $rail, Output $output): Finding
    {
        $bank = $rail->line;
        if (! $output->switchOffMa->isKnown()) {
            return $this->unmeasured($bank, FigureRef::output($output, 'switchOffMa'), [], [], $output->name, 'it may go dark in quiet moments');
        }
        $working = [$this->row("{$rail->says()} switches off below", $output->switchOffMa)];
        if ($output->switchOffMa->most() <= 0.0) {
            return $this->answer(
                Verdict::Fits,
                [$bank],
                fn (): Words => new Words("{$bank->name()} stays on however little is taken.", $working, 'never switches off'),
                $output->name,
            );
        }
        if ($rail->missing !== []) {
            return $this->unmeasured(
                $rail->missing[0]->line,
                $rail->missing[0]->figure,
                [$bank],
                $working,
                "awake/{$bank->id}",
                "nobody can say whether {$bank->name()} stays awake",
            );
        }
        $takes = $rail->currentMa();
        if (! $takes->isKnown()) {
            return $this->unmeasured($bank, FigureRef::output($output, 'volts'), [], $working, $output->name);
        }
        $working[] = $this->row('Taken, idle to heavy', $takes);
        $off = $output->switchOffMa->most();
        $verdict = match (true) {
            $takes->least() > $off * self::TO_SPARE => Verdict::Fits,
            $takes->least() > $off => Verdict::Tight,
            default => Verdict::Clash,
        };

        return $this->answer($verdict, [$bank, ...$rail->loads], fn (): Words => new Words(match ($verdict) {
            Verdict::Fits => "{$bank->name()} stays awake: never less than ".self::n($takes->least()).' mA are taken.',
            Verdict::Tight => "Left idle, {$bank->name()} hardly stays awake: "
                .self::n($takes->least())
                .' mA are taken, it switches off below '
                .self::n($off)
                .' mA.',
            default => "{$bank->name()} goes to sleep ".($takes->usual() > $off ? 'in a quiet moment: ' : 'in the middle of the play: ')
                .self::n($takes->usual() > $off ? $takes->least() : $takes->usual())
                .' mA are taken, it switches off below '
                .self::n($off)
                .' mA.',
        }, $working, 'least current against the switch-off', [
            $this->swap($bank, 'Take a bank that stays on'),
            Remedy::byHand('A small load that pulses keeps some banks awake; it costs run time. Follow the bank maker\'s instructions.'),
        ]), $output->name);
    }
}
