<?php

declare(strict_types=1);

namespace PocketPlot\Check\Video;

use PocketPlot\Build\Line;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\WholeRule;
use PocketPlot\Check\Words;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Role;

final class FirstStart extends WholeRule
{
    public static function meta(): Meta
    {
        return new Meta('video.first-start', 'Something shows a picture at the first start, before anything is set up.', ['video.firstStart']);
    }

    /**
     * An image made for the board and its kit, a driver that is in, or a plain HDMI picture.
     *
     * @param  list<Line>  $displays
     */
    private function isWritten(Line $board, array $displays, Facts $facts): bool
    {
        foreach ($facts->with('image') as $holder) {
            if ($facts->with('kit') !== [] && $holder->part->image?->suits($board->part->software->generation ?? '') !== false) {
                return true;
            }
        }
        foreach ($displays as $display) {
            foreach ($display->part->sockets as $socket) {
                if ($socket->carries === 'hdmi' && $socket->takes()) {
                    return true;
                }
            }
        }

        return false;
    }

    /** A lead from the board's own picture socket to a television. */
    private function hasLead(Line $board, Facts $facts): bool
    {
        foreach ($facts->with('cable') as $lead) {
            foreach ($board->part->sockets as $socket) {
                if ($socket->carries === 'hdmi' && $lead->part->cable?->leadsFrom($socket->connector, 'hdmi') === 'hdmi-a') {
                    return true;
                }
            }
        }

        return false;
    }

    protected function ofWhole(Facts $facts): iterable
    {
        $board = $facts->board();
        $displays = $board === null ? [] : array_values(array_filter($facts->with('panel'), static fn (Line $line): bool => $line->id !== $board->id));
        if ($board === null || $displays === []) {
            return;
        }
        $first = $board->part->video?->firstStart;
        if ($first === null && $this->isWritten($board, $displays, $facts)) {
            yield $this->answer(Verdict::Fits, [$board, ...$displays], fn (): Words => new Words(
                "What {$displays[0]->name()} needs to show the first start is known to the system or on the card.",
                [],
                'lines on the card, a driver that is in, or a plain HDMI picture',
            ));

            return;
        }
        if ($first === null) {
            yield $this->unmeasured($board, 'video.firstStart', $displays, [], '', 'have another screen ready');

            return;
        }
        $working = [$this->text("{$board->name()} shows at first start on", implode(', ', $first))];
        foreach ($displays as $display) {
            foreach ($display->part->sockets as $socket) {
                if ($socket->takes() && in_array($socket->carries, $first, true)) {
                    yield $this->answer(
                        Verdict::Fits,
                        [$board, $display],
                        fn (): Words => new Words("{$display->name()} shows the first start.", $working, "by {$socket->carries}"),
                    );

                    return;
                }
            }
        }
        $spare = in_array('spare screen', $facts->brief()->tools ?? [], true)
            || array_filter($facts->with('serves'), static fn (Line $line): bool => in_array('spare screen', $line->part->work->serves, true)) !== [];

        $lead = $spare || ! in_array('hdmi', $first, true) || $this->hasLead($board, $facts);
        yield $this->answer($spare ? Verdict::Fits : ($lead ? Verdict::Fits : Verdict::Missing), [$board, ...$displays],
            fn (): Words => new Words($spare
                ? "The first start is done on the spare screen; {$displays[0]->name()} comes to life once it is set up."
                : "{$displays[0]->name()} stays dark until {$board->name()} is set up; the first start needs another screen.",
                $working,
                'another screen at first',
                [
                    Remedy::add(Role::Tool, 'Have a spare screen on the bench'),
                    Remedy::brief('Tick a spare screen in the brief, if there is one'),
                    Remedy::byHand('Set everything up from another computer over the network or a serial lead.'),
                ]));
    }
}
