<?php

declare(strict_types=1);

namespace CoreTests;

use PocketPlot\Build\Profile;
use PocketPlot\Facts\Facts;
use PocketPlot\Power\Assumption;
use PocketPlot\Power\Chemistry;
use PocketPlot\Power\Circuit;
use PocketPlot\Power\Discharge;
use PocketPlot\Power\Gaps;
use PocketPlot\Power\Run;
use RuntimeException;

/** Small supplies whose run can be worked out by hand. */
final class Power
{
    /**
     * A pack without resistance or protection, all of whose capacity counts, unless said otherwise.
     *
     * @param  array<string, mixed>  $with
     * @return array<string, mixed>
     */
    public static function pack(string $chemistry, int $series, float $mah, array $with = []): array
    {
        [$full, $nominal, $empty] = Chemistry::cellVolts($chemistry);

        return ['role' => 'cells', 'facets' => ['pack' => [
            'chemistry' => $chemistry, 'series' => $series, 'capacityMah' => $mah, 'cellFullV' => $full, 'cellNominalV' => $nominal, 'cellEmptyV' => $empty,
            'usableShare' => 1, 'maxDischargeMa' => 20000, 'internalResistanceMohm' => 0, 'protection' => 'none', ...$with,
        ]]];
    }

    /**
     * A load that always draws the same at these volts.
     *
     * @param  array<string, mixed>  $with
     * @return array<string, mixed>
     */
    public static function steady(float $ma, float $atV, string $keeps = 'power', float $leastV = 0.1, array $with = []): array
    {
        return ['role' => 'display', 'facets' => ['supply' => ['volts' => Make::band($leastV, 60), 'drawMa' => $ma, 'peakMa' => $ma, 'drawAtV' => $atV, 'drawKind' => $keeps, ...$with]]];
    }

    /**
     * @param  array<string, mixed>  $with  of the output
     * @return array<string, mixed>
     */
    public static function converter(float $out, float $efficiency, string $topology = 'buck-boost', array $with = []): array
    {
        return ['role' => 'regulator', 'facets' => [
            'supply' => ['volts' => Make::band(0.1, 60)],
            'outputs' => [['name' => 'out', 'volts' => $out, 'continuousMa' => 20000, 'peakMa' => 20000, 'efficiency' => $efficiency, 'topology' => $topology, 'dropoutV' => 0.3, ...$with]],
        ]];
    }

    /**
     * @param  array<string, mixed>  $lines
     * @param  array<string, mixed>  $more
     */
    public static function circuit(array $lines, ?Profile $profile = null, float $celsius = 25, array $more = []): Circuit
    {
        return self::of(new Facts(Make::build($lines, [], $more)), $profile ?? new Profile('steady'), Assumption::usual(), $celsius);
    }

    /** The circuit of the first pack that feeds something. */
    public static function of(Facts $facts, Profile $profile, Assumption $at, float $celsius = 25): Circuit
    {
        $gaps = new Gaps;
        foreach ($facts->supplyTree()->sources() as $source) {
            if ($source->part->pack !== null) {
                return Circuit::of($facts->build, $facts->supplyTree(), $source, $profile, $at, $facts->leadOhms(), $celsius, $gaps)
                    ?? throw new RuntimeException('missing: '.implode(', ', array_map(static fn ($one): string => (string) $one->figure, $gaps->allMissing())));
            }
        }
        throw new RuntimeException('nothing is fed');
    }

    /**
     * @param  array<string, mixed>  $lines
     * @param  array<string, mixed>  $more
     */
    public static function run(array $lines, ?Profile $profile = null, float $celsius = 25, array $more = []): Run
    {
        return Discharge::run(self::circuit($lines, $profile, $celsius, $more));
    }
}
