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
use PocketPlot\Part\Typical;
use PocketPlot\Quantity\Constants;
use PocketPlot\Quantity\Figure;
use PocketPlot\Quantity\Source;

final class AudioLoad extends PairRule
{
    /** Watts that hardly tear any loudspeaker that fits into a console. */
    private const HARMLESS_W = 3.0;

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
            yield $this->judge($one, $one->part->amp, $other, $other->part->speaker, $facts);
        }
    }

    /**
     * The most that the amplifier can give each loudspeaker where its sheet does not say: a bridge amplifier's sine at the
     * full swing of its supply, and no more than it takes from there.
     */
    private function boundWatts(Line $ampLine, Amp $amp, float $ohm, Facts $facts): Figure
    {
        $supply = $ampLine->part->supply;
        $rail = $facts->giverOf($ampLine);
        $bounds = [];
        if ($rail !== null && $rail->volts->isKnown()) {
            $bounds[] = ($rail->volts->usual() * Constants::AMP_USABLE_SHARE) ** 2 / (2 * $ohm);
        }
        if ($supply !== null && $supply->watts()->isKnown()) {
            $bounds[] = $supply->watts()->most() / max(1, $amp->channels);
        }

        return $bounds === [] ? Figure::unknown('W') : Figure::exactly(min($bounds), 'W', Source::Typical);
    }

    private function judge(Line $ampLine, Amp $amp, Line $line, Speaker $speaker, Facts $facts): Finding
    {
        $leastOhm = Typical::or($amp->leastOhm, Typical::AMP_LEAST_OHM);
        $bound = $speaker->ohm->isKnown() ? $this->boundWatts($ampLine, $amp, $speaker->ohm->least(), $facts) : Figure::unknown('W');
        $atOhm = $amp->atOhm->isKnown() ? $amp->atOhm : $leastOhm;
        $rated = $amp->watts->isKnown() && $speaker->ohm->isKnown() ? $amp->watts->most() * $atOhm->usual() / max(0.1, $speaker->ohm->least()) : null;
        // Whatever is printed on it, it gives no more than its supply lets it.
        $isBound = $bound->isKnown() && ($rated === null || $bound->most() < $rated);
        $ampWatts = $isBound ? $bound : $amp->watts;
        $atOhm = $isBound ? $speaker->ohm : $atOhm;
        // A small amplifier does no harm to a loudspeaker of which nobody knows the watts.
        $speakerWatts = $speaker->watts->isKnown() || ! $ampWatts->isKnown() || $ampWatts->most() > self::HARMLESS_W
            ? $speaker->watts
            : Figure::exactly($ampWatts->most(), 'W', Source::Typical);
        foreach ([
            [$ampLine, $ampWatts, 'amp.watts'],
            [$line, $speaker->ohm, 'speaker.ohm'],
            [$line, $speakerWatts, 'speaker.watts'],
        ] as [$owner, $figure, $key]) {
            if (! $figure->isKnown()) {
                return $this->unmeasured($owner, $key, [$ampLine, $line], [], "{$ampLine->id}/{$line->id}");
            }
        }
        $onEach = max(1, (int) ceil($line->quantity * $speaker->count / max(1, $amp->channels)));
        $ohm = $speaker->ohm->least() / $onEach;
        // The same volts into other ohms: watts go with the inverse.
        $watts = $ampWatts->most() * $atOhm->usual() / max(0.1, $speaker->ohm->least());
        [$verdict, $says] = match (true) {
            $ohm < $leastOhm->usual() - 1e-9 => [
                Verdict::Clash,
                sprintf('%s Ω is too little for %s, which bears no less than %s.', self::n($ohm), $ampLine->name(), $leastOhm->says()),
            ],
            $watts > $speakerWatts->least() * 1.5 => [
                Verdict::Clash,
                sprintf('%s gives %s W; %s bears %s and will tear.', $ampLine->name(), self::n($watts), $line->name(), $speakerWatts->says()),
            ],
            $watts > $speakerWatts->least() => [
                Verdict::Tight,
                sprintf('%s gives %s W; %s bears %s. Keep the volume down.', $ampLine->name(), self::n($watts), $line->name(), $speakerWatts->says()),
            ],
            default => [Verdict::Fits, "{$line->name()} bears what {$ampLine->name()} gives."],
        };

        return $this->answer($verdict, [$line, $ampLine], fn (): Words => new Words($says, [
            $this->row($line->name(), $speaker->ohm),
            ...($onEach > 1 ? [$this->row("{$onEach} of them on one channel", Figure::exactly($ohm, 'Ω'))] : []),
            $this->row("{$ampLine->name()} bears at least", $leastOhm),
            $this->row('Watts into each', Figure::exactly($watts, 'W', $ampWatts->source->with($speakerWatts->source))),
            $this->row("{$line->name()} bears", $speakerWatts),
        ], 'ohms against the least, watts against what it bears', [
            $this->swap($line, 'Take another loudspeaker'),
            $this->swap($ampLine, 'Take another amplifier'),
        ]), $ampLine->id);
    }
}
