<?php

declare(strict_types=1);

namespace PocketPlot\Bench;

use PocketPlot\Build\Reading\Sweep as SweepReading;
use PocketPlot\Part\DrawKind;
use PocketPlot\Part\SupplyInput;
use PocketPlot\Part\YesNo;
use PocketPlot\Quantity\Number;

/** What a voltage sweep says: the least volts at which the part still works, how surely, and what its draw keeps. */
final readonly class Sweep
{
    /** Steps with a current that are needed before anything is said about how the draw follows the volts. */
    private const STEPS_FOR_KIND = 3;

    /**
     * @param  ?float  $worksAtV  the lowest volts at which it was lit
     * @param  ?float  $darkAtV  the highest volts below that at which it was dark; null when it never went dark
     * @param  list<string>  $asks  what should be looked at again
     */
    private function __construct(
        public ?float $worksAtV,
        public ?float $darkAtV,
        public ?DrawKind $keeps,
        public string $says,
        public array $asks,
    ) {}

    /**
     * Where a sweep of a part begins, in volts: where its draw was taken, since it is known to work there, else at
     * the top of its window; and the volts that it may not be given more of.
     *
     * @return array{fromV: ?float, mostV: ?float} null where the sheet does not say
     */
    public static function begin(SupplyInput $supply): array
    {
        $most = $supply->absoluteMaxV->least ?? $supply->volts->most;

        return ['fromV' => $supply->drawAtV->usual ?? $supply->volts->most, 'mostV' => $most];
    }

    /** Whether it was lit nowhere but above what the part may be given: then the reading or the sheet is wrong. */
    public function isBeyond(SupplyInput $supply): bool
    {
        $most = self::begin($supply)['mostV'];

        return $this->worksAtV !== null && $most !== null && $this->worksAtV > $most + 1e-9;
    }

    public static function of(SweepReading $reading): self
    {
        $steps = $reading->steps;
        usort($steps, static fn (array $a, array $b): int => $b['volts'] <=> $a['volts']);
        $lit = array_values(array_filter($steps, static fn (array $step): bool => $step['lit']));
        if ($steps === []) {
            return new self(null, null, null, 'No step was taken down.', []);
        }
        if ($lit === []) {
            return self::darkThroughout($steps[0]['volts'], $reading->signal);
        }
        $works = $lit[count($lit) - 1]['volts'];
        $dark = null;
        $asks = [];
        foreach ($steps as $step) {
            if (! $step['lit'] && $step['volts'] > $works) {
                $asks[] = sprintf(
                    'It was dark at %s V but lit at %s V: sweep again, slowly, and wait at each step.',
                    Number::says($step['volts']),
                    Number::says($works),
                );
            }
            if (! $step['lit'] && $step['volts'] < $works) {
                $dark ??= $step['volts'];
            }
        }
        if ($dark === null) {
            $asks[] = 'It never went dark: go on downwards until it does.';
        } elseif ($works - $dark > 0.5) {
            $asks[] = sprintf('Between %s and %s V nothing was tried: smaller steps there tell more.', Number::says($dark), Number::says($works));
        }
        $says = $dark === null
            ? sprintf('It works down to %s V at least.', Number::says($works))
            : sprintf(
                'It works at %s V and is dark at %s V: the least lies between, %s V ± %s V.',
                Number::says($works),
                Number::says($dark),
                Number::says(($works + $dark) / 2),
                Number::says(($works - $dark) / 2),
            );

        return new self($works, $dark, self::keeps($lit), $says, array_values(array_unique($asks)));
    }

    private static function darkThroughout(float $highest, YesNo $signal): self
    {
        return $signal === YesNo::Yes
            ? new self(
                null,
                null,
                null,
                sprintf('It was dark at every step up to %s V, with a picture signal.', Number::says($highest)),
                ['Check the lead and the polarity first; then try it on its own supply. It may need more volts, or be broken.'],
            )
            : new self(
                null,
                null,
                null,
                sprintf('It was dark at every step up to %s V.', Number::says($highest)),
                ['Did the panel have a picture signal? Many stay dark without one, so a dark panel proves nothing alone: feed it a picture and sweep again.'],
            );
    }

    /**
     * The slope of ln(amps) over ln(volts): about -1 for constant power, 0 for constant current, 1 for a resistance.
     *
     * @param  list<array{volts: float, lit: bool, milliamps: ?float}>  $lit
     */
    private static function keeps(array $lit): ?DrawKind
    {
        $points = [];
        foreach ($lit as $step) {
            if ($step['milliamps'] !== null && $step['milliamps'] > 0.0 && $step['volts'] > 0.0) {
                $points[] = [log($step['volts']), log($step['milliamps'])];
            }
        }
        if (count($points) < self::STEPS_FOR_KIND) {
            return null;
        }
        $meanX = array_sum(array_column($points, 0)) / count($points);
        $meanY = array_sum(array_column($points, 1)) / count($points);
        $over = $under = 0.0;
        foreach ($points as [$x, $y]) {
            $over += ($x - $meanX) * ($y - $meanY);
            $under += ($x - $meanX) ** 2;
        }
        if ($under < 1e-6) {
            return null;
        }
        $slope = $over / $under;

        return match (true) {
            $slope < -0.5 => DrawKind::Power,
            $slope < 0.5 => DrawKind::Current,
            default => DrawKind::Resistance,
        };
    }
}
