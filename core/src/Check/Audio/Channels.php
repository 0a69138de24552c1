<?php

declare(strict_types=1);

namespace PocketPlot\Check\Audio;

use PocketPlot\Build\Line;
use PocketPlot\Check\LineRule;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\Words;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Role;

final class Channels extends LineRule
{
    public static function meta(): Meta
    {
        return new Meta('audio.channels', 'Both sides of a stereo sound are heard, or the two are brought together.');
    }

    protected function lines(Facts $facts): iterable
    {
        return $facts->with('amp');
    }

    protected function ofLine(Line $line, Facts $facts): iterable
    {
        $stereo = in_array('stereo', $facts->brief()->mustHaves, true);
        $speakers = array_sum(array_map(static fn (Line $line): int => $line->quantity * ($line->part->speaker->count ?? 1), $facts->with('speaker')));
        $channels = ($line->part->amp->channels ?? 1) * $line->quantity;
        if ($speakers === 0 && ! $stereo) {
            return;
        }
        [$verdict, $says] = match (true) {
            $stereo && ($channels < 2 || ($speakers > 0 && $speakers < 2)) => [
                Verdict::Clash,
                'The brief wants stereo; there '.($channels < 2 ? 'is one channel.' : 'is one loudspeaker.'),
            ],
            $channels > 1 && $speakers === 1 => [
                Verdict::Tight,
                "{$line->name()} has two channels and one loudspeaker: set the board to one channel, or one side is lost.",
            ],
            default => [Verdict::Fits, $channels > 1 ? 'Each side has its loudspeaker.' : 'One channel drives what there is.'],
        };
        yield $this->answer($verdict, [$line, ...$facts->with('speaker')], fn (): Words => new Words($says, [
            $this->count("{$line->name()}, channels", $channels, '', 'datasheet'),
            $this->count('Loudspeakers', $speakers),
            $this->text('The brief wants', $stereo ? 'stereo' : 'sound', 'brief'),
        ], 'channels against loudspeakers', [
            Remedy::add(Role::Sound, 'Add a second loudspeaker'), $this->swap($line, 'Take another amplifier'), Remedy::byHand(
                'Set the sound to one channel in the board\'s set-up.',
            ),
        ]));
    }
}
