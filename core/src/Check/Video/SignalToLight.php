<?php

declare(strict_types=1);

namespace PocketPlot\Check\Video;

use PocketPlot\Build\Line;
use PocketPlot\Check\LineRule;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\Words;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Role;
use PocketPlot\Part\YesNo;

final class SignalToLight extends LineRule
{
    public static function meta(): Meta
    {
        return new Meta(
            'video.signal-to-light',
            'It is known whether a panel stays dark without a picture, so that a dark panel on the bench is read rightly.',
            ['panel.needsSignal'],
        );
    }

    protected function lines(Facts $facts): iterable
    {
        return $facts->with('panel');
    }

    protected function ofLine(Line $line, Facts $facts): iterable
    {
        $board = $facts->board();
        $panel = $line->part->panel;
        if ($panel === null || $line->id === $board?->id) {
            return;
        }
        if ($panel->needsSignal === YesNo::Unknown) {
            yield $this->unmeasured($line, 'panel.needsSignal', [], [], '', 'a dark panel on the bench proves nothing');

            return;
        }
        $needs = $panel->needsSignal === YesNo::Yes;
        $alone = $needs && $board === null;
        yield $this->answer($alone ? Verdict::Tight : Verdict::Fits, $board === null ? [$line] : [$line, $board], fn (): Words => new Words(match (true) {
            $alone => "{$line->name()} lights only with a picture, and there is no board to give one.",
            $needs => "{$line->name()} lights only with a picture: test it with ".($board?->name() ?? 'a board').' connected.',
            default => "{$line->name()} lights as soon as it has its voltage.",
        }, [
            $this->text("{$line->name()} is dark without a picture", $panel->needsSignal->value),
        ], $needs ? 'test with a picture' : 'test with the voltage alone', [Remedy::add(Role::Board, 'Add a board to test it with')]));
    }
}
