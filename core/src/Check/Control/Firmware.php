<?php

declare(strict_types=1);

namespace PocketPlot\Check\Control;

use PocketPlot\Build\GamesClass;
use PocketPlot\Build\Line;
use PocketPlot\Check\LineRule;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\Words;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\PadMode;
use PocketPlot\Part\YesNo;

final class Firmware extends LineRule
{
    public static function meta(): Meta
    {
        return new Meta(
            'control.firmware',
            'Controls present themselves as what the games expect: a pad, with analogue triggers where they are asked for.',
            ['controls.padMode', 'controls.analogueTriggers'],
        );
    }

    protected function lines(Facts $facts): iterable
    {
        return $facts->with('controls');
    }

    protected function ofLine(Line $line, Facts $facts): iterable
    {
        $triggers = array_filter($facts->brief()->games, static fn (GamesClass $games): bool => $games->triggers > 0) !== [];
        $controls = $line->part->controls;
        // Contacts become whatever the board's set-up makes of them; bare membranes say nothing.
        if ($controls === null || in_array('membrane', $controls->speaks, true)) {
            return;
        }
        if ($controls->padMode === PadMode::Unknown) {
            yield $this->unmeasured($line, 'controls.padMode', [], [], '', 'it may have to be mapped game by game');

            return;
        }
        $working = [$this->text("{$line->name()} says it is", match ($controls->padMode) {
            PadMode::Pad => 'a pad', PadMode::Keyboard => 'a keyboard', default => 'loose contacts, named in the set-up',
        })];
        if ($triggers && $controls->triggers > 0) {
            if ($controls->analogueTriggers === YesNo::Unknown) {
                yield $this->unmeasured($line, 'controls.analogueTriggers', [], $working, 'triggers');

                return;
            }
            $working[] = $this->text('Analogue triggers', $controls->analogueTriggers->value);
        }
        $onOff = $triggers && $controls->triggers > 0 && $controls->analogueTriggers === YesNo::No;
        $isKeyboard = $controls->padMode === PadMode::Keyboard;
        yield $this->answer($onOff || $isKeyboard ? Verdict::Tight : Verdict::Fits, [$line], fn (): Words => new Words(match (true) {
            $onOff => "The triggers of {$line->name()} are on or off; games that want a light touch do not get one.",
            $isKeyboard => "{$line->name()} says it is a keyboard; each system has to be told its keys.",
            default => "{$line->name()} is taken for what it is.",
        }, $working, $onOff || $isKeyboard ? 'holds once it is mapped' : 'nothing to map', [
            $this->swap($line, 'Take one that says it is a pad'), Remedy::byHand(
                'Write its other firmware, if its maker offers one, or map the keys once and keep the file.',
            ),
        ]));
    }
}
