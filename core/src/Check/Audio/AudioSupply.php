<?php

declare(strict_types=1);

namespace PocketPlot\Check\Audio;

use PocketPlot\Build\Line;
use PocketPlot\Check\Finding;
use PocketPlot\Check\LineRule;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\Words;
use PocketPlot\Facts\Facts;
use PocketPlot\Power\Giver;
use PocketPlot\Quantity\Constants;
use PocketPlot\Quantity\Figure;

final class AudioSupply extends LineRule
{
    public static function meta(): Meta
    {
        return new Meta(
            'audio.supply',
            'At its rail\'s lowest volts the amplifier can still be heard: those made for a car or a wall supply are the usual surprise.',
            ['supply.volts', 'pack.volts', 'output.volts', 'speaker.ohm'],
        );
    }

    protected function lines(Facts $facts): iterable
    {
        return $facts->with('amp');
    }

    protected function ofLine(Line $line, Facts $facts): iterable
    {
        $rail = $facts->giverOf($line);
        $speaker = $facts->with('speaker')[0] ?? null;
        if ($rail !== null && $speaker !== null) {
            yield $this->judge($line, $rail, $speaker);
        }
    }

    private function judge(Line $amp, Giver $rail, Line $speaker): Finding
    {
        $ohm = $speaker->part->speaker->ohm ?? Figure::unknown('Ω');
        if (! $rail->volts->isKnown()) {
            return $this->unmeasured($rail->line, $rail->voltsRef(), [$amp], [], "sound/{$amp->id}");
        }
        if (! $ohm->isKnown()) {
            return $this->unmeasured($speaker, 'speaker.ohm', [$amp], [], 'sound');
        }
        $window = $amp->part->supply->volts ?? Figure::unknown('V');
        if (! $window->isKnown()) {
            return $this->unmeasured($amp, 'supply.volts', [$rail->line], [], 'sound');
        }
        $swing = $rail->volts->least() * Constants::AMP_USABLE_SHARE;
        $watts = $swing ** 2 / (2 * $ohm->most());
        $dies = $rail->volts->least() < $window->least();
        $verdict = $dies || $watts < Constants::AUDIBLE_W ? Verdict::Tight : Verdict::Fits;

        return $this->answer($verdict, [$amp, $rail->line, $speaker], fn (): Words => new Words(match (true) {
            $dies => "{$amp->name()} falls silent when {$rail->says()} gets down to ".self::n($rail->volts->least()).' V.',
            $verdict === Verdict::Tight => sprintf('At the lowest volts %s has only %s W for %s: a whisper.', $amp->name(), self::n($watts), $speaker->name()),
            default => sprintf('Even at the lowest volts %s has %s W for %s.', $amp->name(), self::n($watts), $speaker->name()),
        }, [
            $this->row("{$rail->says()}, at its lowest", Figure::exactly($rail->volts->least(), 'V')),
            $this->row("{$speaker->name()}", $ohm),
            $this->row('Left for the sound', Figure::exactly($watts, 'W')),
            $this->row("{$amp->name()} needs", $window),
        ], '(0.8 × volts)² ÷ (2 × ohm), for a bridge amplifier', [
            $this->swap($amp, 'Take an amplifier made for this rail'),
            $this->swap($speaker, 'Take a loudspeaker of fewer ohms'),
        ]));
    }
}
