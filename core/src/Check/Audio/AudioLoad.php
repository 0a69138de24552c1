<?php

declare(strict_types=1);

namespace PocketPlot\Check\Audio;

use PocketPlot\Build\Line;
use PocketPlot\Check\Finding;
use PocketPlot\Check\Meta;
use PocketPlot\Check\PairRule;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\Words;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Amp;
use PocketPlot\Part\Speaker;
use PocketPlot\Quantity\Figure;

final class AudioLoad extends PairRule
{
    public static function meta(): Meta
    {
        return new Meta(
            'audio.load',
            'The loudspeakers have no fewer ohms than the amplifier bears, and bear its watts.',
            ['amp.leastOhm', 'amp.watts', 'amp.atOhm', 'speaker.ohm', 'speaker.watts'],
        );
    }

    protected function pairs(Facts $facts): iterable
    {
        foreach ($facts->with('amp') as $amp) {
            foreach ($facts->with('speaker') as $speaker) {
                yield [$amp, $speaker];
            }
        }
    }

    protected function ofPair(Line $one, Line $other, Facts $facts): iterable
    {
        if ($one->part->amp !== null && $other->part->speaker !== null) {
            yield $this->judge($one, $one->part->amp, $other, $other->part->speaker);
        }
    }

    private function judge(Line $ampLine, Amp $amp, Line $line, Speaker $speaker): Finding
    {
        foreach ([
            [$ampLine, $amp->leastOhm, 'amp.leastOhm'],
            [$ampLine, $amp->watts, 'amp.watts'],
            [$ampLine, $amp->atOhm, 'amp.atOhm'],
            [$line, $speaker->ohm, 'speaker.ohm'],
            [$line, $speaker->watts, 'speaker.watts'],
        ] as [$owner, $figure, $key]) {
            if (! $figure->isKnown()) {
                return $this->unmeasured($owner, $key, [$ampLine, $line], [], "{$ampLine->id}/{$line->id}");
            }
        }
        $onEach = max(1, (int) ceil($line->quantity / max(1, $amp->channels)));
        $ohm = $speaker->ohm->least() / $onEach;
        // The same volts into other ohms: watts go with the inverse.
        $watts = $amp->watts->most() * $amp->atOhm->usual() / max(0.1, $speaker->ohm->least());
        [$verdict, $says] = match (true) {
            $ohm < $amp->leastOhm->most() - 1e-9 => [
                Verdict::Clash,
                sprintf('%s Ω is too little for %s, which bears no less than %s.', self::n($ohm), $ampLine->name(), $amp->leastOhm->says()),
            ],
            $watts > $speaker->watts->least() * 1.5 => [
                Verdict::Clash,
                sprintf('%s gives %s W; %s bears %s and will tear.', $ampLine->name(), self::n($watts), $line->name(), $speaker->watts->says()),
            ],
            $watts > $speaker->watts->least() => [
                Verdict::Tight,
                sprintf('%s gives %s W; %s bears %s. Keep the volume down.', $ampLine->name(), self::n($watts), $line->name(), $speaker->watts->says()),
            ],
            default => [Verdict::Fits, "{$line->name()} bears what {$ampLine->name()} gives."],
        };

        return $this->answer($verdict, [$line, $ampLine], fn (): Words => new Words($says, [
            $this->row("{$line->name()}", $speaker->ohm), ...($onEach > 1 ? [$this->row("{$onEach} of them on one channel", Figure::exactly($ohm, 'Ω'))] : []),
            $this->row(
                "{$ampLine->name()} bears at least",
                $amp->leastOhm,
            ), $this->row('Watts into each', Figure::exactly($watts, 'W')), $this->row("{$line->name()} bears", $speaker->watts),
        ], 'ohms against the least, watts against what it bears', [
            $this->swap($line, 'Take another loudspeaker'),
            $this->swap($ampLine, 'Take another amplifier'),
        ]), $ampLine->id);
    }
}
