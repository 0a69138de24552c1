<?php

declare(strict_types=1);

namespace PocketPlot\File;

use PocketPlot\Build\LeadTime;
use PocketPlot\Build\PostTariff;
use PocketPlot\Build\Vendor;
use PocketPlot\Quantity\BadFigure;
use PocketPlot\Quantity\Money;

/** Reads a vendor's terms, as files of markets and of builds have them. */
final class VendorReader
{
    /** @throws BadFile */
    public static function read(Fields $fields): Vendor
    {
        $currency = $fields->string('currency');
        // A vendor that was written down before terms were known says its usual days only.
        $lead = $fields->child('lead') ?? new Fields(['usual' => $fields->int('leadDays', 0)], "{$fields->path}/lead");
        [$least, $usual, $most] = [$lead->int('least', $lead->int('usual')), $lead->int('usual'), $lead->int('most', $lead->int('usual'))];
        if ($least > $usual || $usual > $most) {
            throw BadFile::at($lead->path, "{$least}, {$usual} and {$most} days are in no order", 'write least, usual and most in this order');
        }
        $closures = [];
        foreach ($fields->children('closures') as $one) {
            $days = [$one->day('from'), $one->day('to')];
            if ($days[0] === null || $days[1] === null || $days[0]->isAfter($days[1])) {
                throw BadFile::at($one->path, 'ends before it begins', 'write the first and the last day of it');
            }
            $closures[] = [$days[0], $days[1]];
        }

        return new Vendor(
            $fields->string('name'), $currency, self::post($fields, $currency), new LeadTime($least, $usual, $most), $closures,
            self::cents($fields, 'leastOrder', $currency) ?? 0,
            self::share($fields, 'taxPercent'), self::share($fields, 'dutyPercent'), self::cents($fields, 'dutyFreeUpTo', $currency) ?? 0,
            $fields->has('post'), $fields->rest([]),
        );
    }

    /** @throws BadFile */
    private static function post(Fields $vendor, string $currency): PostTariff
    {
        $fields = $vendor->child('post') ?? new Fields([], "{$vendor->path}/post");
        $steps = [];
        $before = 0;
        foreach ($fields->children('steps') as $at => $one) {
            $upTo = $one->has('upToGrams') ? $one->int('upToGrams') : null;
            if ($before === null || ($upTo !== null && $upTo <= $before)) {
                throw BadFile::at("{$one->path}/upToGrams", 'the steps of the post are not in order of weight', 'put the lightest first, and the one without a weight last');
            }
            $steps[] = [$upTo, self::cents($one, 'price', $currency) ?? 0];
            $before = $upTo;
        }

        return new PostTariff($steps === [] ? [[null, 0]] : $steps, self::cents($fields, 'freeFrom', $currency));
    }

    /** @throws BadFile when the sum has more than two decimals */
    public static function cents(Fields $fields, string $key, string $currency): ?int
    {
        if (! $fields->has($key)) {
            return null;
        }
        try {
            return Money::of($fields->string($key), $currency)->times(100)->amount->toInt();
        } catch (BadFigure $bad) {
            throw BadFile::at("{$fields->path}/{$key}", $bad->getMessage(), 'write it as 12.40');
        } catch (\Brick\Math\Exception\MathException) {
            throw BadFile::at("{$fields->path}/{$key}", 'has more than two decimals', 'write it as 12.40');
        }
    }

    /** @throws BadFile */
    private static function share(Fields $fields, string $key): int
    {
        $percent = $fields->number($key) ?? 0.0;
        if ($percent < 0.0 || $percent > 200.0) {
            throw BadFile::at("{$fields->path}/{$key}", "{$percent} % is no share of a price", 'write a number from 0 to 200');
        }

        return (int) round($percent * 100);
    }
}
