<?php

declare(strict_types=1);

namespace PocketPlot\Part;

use PocketPlot\Quantity\Figure;
use PocketPlot\Quantity\Number;

/** The few figures that tell parts of one role apart, in one line: "5 V · 0.6 to 1.3 A · 85 × 56 × 17 mm · 46 g". */
final class KeyFigures
{
    /** @return string "" where nothing of it is known */
    public static function of(Part $part): string
    {
        $own = match ($part->role) {
            Role::Board, Role::Cooling => self::supply($part),
            Role::Display => [...self::pixels($part), ...self::supply($part)],
            Role::Cells => self::pack($part),
            Role::Regulator, Role::Charger => [...self::window($part), ...self::outputs($part), ...self::charge($part)],
            Role::Controls => [...self::controls($part), ...self::supply($part)],
            Role::Sound => [...self::sound($part), ...self::supply($part)],
            Role::Storage => $part->storage?->capacityGb->isKnown() === true ? [Number::says($part->storage->capacityGb->usual()).' GB'] : [],
            Role::Cable => self::lead($part),
            Role::Switch_ => $part->switch?->ratingMa->isKnown() === true ? [self::amps($part->switch->ratingMa)] : [],
            default => [],
        };

        return implode(' · ', [...$own, ...self::size($part->size)]);
    }

    /** @return list<string> */
    private static function supply(Part $part): array
    {
        $input = $part->supply;

        return $input === null ? [] : [...self::window($part), ...($input->drawMa->isKnown() ? [self::amps($input->drawMa)] : [])];
    }

    /** @return list<string> */
    private static function window(Part $part): array
    {
        $volts = $part->supply === null ? $part->charger?->inputVolts : $part->supply->volts;
        $nominal = $part->supply?->nominalV;

        return $nominal !== null ? [Number::says($nominal).' V'] : ($volts !== null && $volts->isKnown() ? [$volts->says()] : []);
    }

    /** @return list<string> */
    private static function outputs(Part $part): array
    {
        $said = [];
        foreach (array_slice($part->outputs, 0, 2) as $output) {
            if ($output->volts->isKnown()) {
                $said[] = 'gives '.$output->volts->says().($output->continuousMa->isKnown() ? ', '.self::amps($output->continuousMa) : '');
            }
        }

        return $said;
    }

    /** @return list<string> */
    private static function charge(Part $part): array
    {
        $charger = $part->charger;

        return $charger === null || ! $charger->chargeMa->isKnown() ? [] : ['charges with '.self::amps($charger->chargeMa)];
    }

    /** @return list<string> */
    private static function pixels(Part $part): array
    {
        $panel = $part->panel;

        return $panel === null ? [] : ["{$panel->widthPx} × {$panel->heightPx}"];
    }

    /** @return list<string> */
    private static function pack(Part $part): array
    {
        $pack = $part->pack;
        if ($pack === null) {
            return self::halfKnownPack($part);
        }
        $volts = $pack->volts();

        return [
            "{$pack->chemistry} {$pack->series}S".($pack->parallel > 1 ? "{$pack->parallel}P" : ''),
            ...($volts->isKnown() && ! $pack->sealed ? [$volts->says()] : []),
            ...($pack->capacityMah->isKnown() ? [Number::says($pack->capacityMah->usual()).' mAh'] : []),
            ...($pack->sealed ? self::outputs($part) : []),
        ];
    }

    /** @return list<string> of a pack that says nothing yet, for something about it is still to be found out, what is written down */
    private static function halfKnownPack(Part $part): array
    {
        $facets = $part->raw['facets'] ?? null;
        $pack = is_array($facets) && is_array($facets['pack'] ?? null) ? $facets['pack'] : [];
        $capacity = $pack['capacityMah'] ?? null;
        $mah = is_array($capacity) ? $capacity['value'] ?? null : $capacity;

        return [
            ...(is_string($pack['chemistry'] ?? null) ? [$pack['chemistry']] : []),
            ...(is_int($mah) || is_float($mah) ? [Number::says((float) $mah).' mAh'] : []),
        ];
    }

    /** @return list<string> */
    private static function controls(Part $part): array
    {
        $controls = $part->controls;
        if ($controls === null) {
            return [];
        }
        $said = [];
        foreach (['d-pad' => $controls->dPads, 'button' => $controls->buttons, 'stick' => $controls->sticks, 'trigger' => $controls->triggers,
            'knob' => $controls->knobs] as $name => $count) {
            if ($count > 0) {
                $said[] = "{$count} {$name}".($count === 1 ? '' : 's');
            }
        }

        return $said === [] ? [] : [implode(', ', $said)];
    }

    /** @return list<string> */
    private static function sound(Part $part): array
    {
        [$amp, $speaker] = [$part->amp, $part->speaker];

        return [
            ...($amp !== null && $amp->watts->isKnown() ? [($amp->channels > 1 ? "{$amp->channels} × " : '').Number::says($amp->watts->usual()).' W'] : []),
            ...($speaker !== null && $speaker->ohm->isKnown() ? [Number::says($speaker->ohm->usual()).' Ω'] : []),
            ...($speaker !== null && $speaker->watts->isKnown() ? [Number::says($speaker->watts->usual()).' W'] : []),
        ];
    }

    /** @return list<string> */
    private static function lead(Part $part): array
    {
        $cable = $part->cable;
        if ($cable === null) {
            return [];
        }

        return [
            ...($cable->oneEnd !== '' && $cable->otherEnd !== '' ? ["{$cable->oneEnd} to {$cable->otherEnd}"] : []),
            ...($cable->lengthMm->isKnown() ? [Number::says($cable->lengthMm->usual()).' mm'] : []),
            ...($cable->gaugeAwg->isKnown() ? [Number::says($cable->gaugeAwg->usual()).' AWG'] : []),
        ];
    }

    /** @return list<string> */
    private static function size(Size $size): array
    {
        $sides = array_values(array_filter(
            [$size->lengthMm, $size->widthMm, $size->heightMm],
            static fn (Figure $side): bool => $side->isKnown(),
        ));

        return [
            ...(count($sides) < 2 ? [] : [implode(' × ', array_map(static fn (Figure $side): string => Number::says($side->usual()), $sides)).' mm']),
            ...($size->massG->isKnown() ? [Number::says($size->massG->usual()).' g'] : []),
        ];
    }

    /** "420 mA", "0.6 to 1.3 A": in amps from one amp on. */
    private static function amps(Figure $milliamps): string
    {
        $least = $milliamps->least();
        $most = $milliamps->most();
        $isAmps = $most >= 1000.0;
        $one = static fn (float $value): string => Number::says($isAmps ? $value / 1000 : $value);

        return ($one($least) === $one($most) ? $one($most) : "{$one($least)} to {$one($most)}").($isAmps ? ' A' : ' mA');
    }
}
