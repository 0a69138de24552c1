<?php

declare(strict_types=1);

namespace PocketPlot\Check\Video;

use PocketPlot\Build\Line;
use PocketPlot\Check\Finding;
use PocketPlot\Check\LineRule;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\Words;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Mode;
use PocketPlot\Part\Panel;
use PocketPlot\Part\Role;
use PocketPlot\Part\VideoOut;
use PocketPlot\Part\YesNo;

final class VideoMode extends LineRule
{
    /** Signals whose format the two ends have to agree on; other panels are driven pixel by pixel. */
    private const AGREED = ['hdmi', 'edp'];

    public static function meta(): Meta
    {
        return new Meta(
            'video.mode',
            'The board gives a picture format that the display takes, best its own pixels.',
            ['video.modes', 'video.ownModes', 'panel.modes'],
        );
    }

    protected function lines(Facts $facts): iterable
    {
        return $facts->filling(Role::Display);
    }

    protected function ofLine(Line $display, Facts $facts): iterable
    {
        $board = $facts->board();
        if ($board === null) {
            return;
        }
        $panel = $display->part->panel;
        if ($panel === null && $display->id !== $board->id && ! $display->part->fills(Role::Board)) {
            yield $this->unmeasured($display, 'panel.pixels', [$board], [], 'pixels', 'nobody can say which format it wants, nor order a controller for it');

            return;
        }
        $signal = self::agreedSignal($board, $display);
        if ($panel !== null && $display->id !== $board->id && $signal === 'hdmi' && $board->part->video?->modes === null) {
            yield $this->asks($board, $display);
        } elseif ($panel !== null && $display->id !== $board->id && $signal !== null) {
            yield $this->judge($board, $board->part->video, $display, $panel);
        }
    }

    private static function agreedSignal(Line $board, Line $display): ?string
    {
        foreach ($display->part->sockets as $takes) {
            foreach ($board->part->sockets as $gives) {
                if ($takes->takes() && $gives->gives() && $takes->carries === $gives->carries && in_array($takes->carries, self::AGREED, true)) {
                    return $takes->carries;
                }
            }
        }

        return null;
    }

    private function judge(Line $board, ?VideoOut $video, Line $display, Panel $panel): Finding
    {
        $own = "{$panel->widthPx} × {$panel->heightPx}";
        $working = [$this->text("{$display->name()}, own pixels", $own)];
        if ($video === null || $video->modes === null) {
            return $this->unmeasured($board, 'video.modes', [$display], $working, $display->id);
        }
        $working[] = $this->text("{$board->name()} gives", implode(', ', array_map(static fn (Mode $mode): string => $mode->says(), $video->modes)));
        foreach ($video->modes as $mode) {
            if ($mode->widthPx === $panel->widthPx && $mode->heightPx === $panel->heightPx) {
                return $this->answer(
                    Verdict::Fits,
                    [$display, $board],
                    fn (): Words => new Words("{$board->name()} gives {$display->name()} its own {$own}.", $working, 'pixel for pixel'),
                );
            }
        }
        if ($video->ownModes === YesNo::Unknown) {
            return $this->unmeasured($board, 'video.ownModes', [$display], $working, $display->id);
        }
        if ($video->ownModes === YesNo::Yes) {
            return $this->answer(Verdict::Tight, [$display, $board], fn (): Words => new Words(
                "{$board->name()} gives {$display->name()} its {$own} once a line is set.",
                $working,
                'holds with a line in the set-up',
                [
                    Remedy::byHand("Set {$own} at 60 Hz as the board's own format before the first start with this display."),
                    $this->swap($display, 'Take a display with a common format'),
                ]));
        }
        if ($panel->modes === null) {
            return $this->unmeasured($display, 'panel.modes', [$board], $working);
        }
        $working[] = $this->text(
            "{$display->name()} also takes",
            implode(', ', array_map(static fn (Mode $mode): string => $mode->says(), $panel->modes)),
            'datasheet',
        );
        foreach ($video->modes as $mode) {
            foreach ($panel->modes as $taken) {
                if ($mode->widthPx === $taken->widthPx && $mode->heightPx === $taken->heightPx) {
                    return $this->answer(Verdict::Tight, [$display, $board], fn (): Words => new Words(
                        "{$board->name()} and {$display->name()} meet at {$mode->says()}, which the display has to scale to its {$own}.",
                        $working,
                        'scaled, so a little soft',
                        [$this->swap($display, 'Take a display whose own pixels the board gives'), $this->swap($board, 'Take a board that gives these pixels')],
                    ));
                }
            }
        }

        return $this->answer(Verdict::Clash, [$display, $board], fn (): Words => new Words(
            "No picture format is known to both {$board->name()} and {$display->name()}.",
            $working,
            'nothing in common',
            [$this->swap($display), $this->swap($board)],
        ));
    }

    private function asks(Line $board, Line $display): Finding
    {
        return $this->answer(
            Verdict::Fits,
            [$display, $board],
            fn (): Words => new Words("{$board->name()} asks {$display->name()} for its formats, as HDMI has it.", [], 'HDMI displays name their own formats'),
        );
    }
}
