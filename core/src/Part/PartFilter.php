<?php

declare(strict_types=1);

namespace PocketPlot\Part;

use PocketPlot\Quantity\Figure;

/**
 * A figure that is asked of a part in a search: "6 to 9 V" (it works somewhere in there, or gives something of it), "5 V", "under
 * 20 mm" (its shortest side), "under 100 g", "over 5000 mAh", "2 A".
 */
final readonly class PartFilter
{
    private const NUMBER = '(\d+(?:[.,]\d+)?)';

    private function __construct(private string $unit, private float $least, private float $most) {}

    /** @return array{string, list<self>} the words that are no figures, and the figures */
    public static function among(string $words): array
    {
        $filters = [];
        $number = self::NUMBER;
        $unit = '(v|ma|mah|a|mm|g|wh|w|gb)(?![a-z])';
        $kinds = [
            'between' => "/(?<![\\w.]){$number}\\s?(?:to|-|–|bis)\\s?{$number}\\s?{$unit}/iu",
            'under' => "/(?:under|below|less than|up to|at most|<=?|≤|unter|bis)\\s?{$number}\\s?{$unit}/iu",
            'over' => "/(?:over|above|more than|from|at least|>=?|≥|über|ab)\\s?{$number}\\s?{$unit}/iu",
            'of' => "/(?<![\\w.,]){$number}\\s?{$unit}/iu",
        ];
        foreach ($kinds as $kind => $pattern) {
            while (preg_match($pattern, $words, $found) === 1) {
                $filters[] = self::made($kind, array_slice($found, 1));
                $words = str_replace($found[0], ' ', $words);
            }
        }

        return [trim((string) preg_replace('/\s+/', ' ', $words)), $filters];
    }

    /** @param  list<string>  $said  one number or two, and the unit */
    private static function made(string $kind, array $said): self
    {
        $unit = strtolower((string) array_pop($said));
        [$one, $other] = [...array_map(static fn (string $text): float => (float) str_replace(',', '.', $text), $said), 0.0, 0.0];
        [$least, $most] = match ($kind) {
            'between' => [$one, $other],
            'under' => [0.0, $one],
            'over' => [$one, INF],
            default => [$one, $one],
        };
        $times = $unit === 'a' ? 1000.0 : 1.0;

        return new self($unit === 'a' ? 'ma' : $unit, $least * $times, $most * $times);
    }

    /** Whether the part's figure of this unit meets what is asked; a part without one does not. */
    public function keeps(Part $part): bool
    {
        foreach ($this->figures($part) as $figure) {
            if ($figure->isKnown() && $figure->least() <= $this->most + 1e-9 && $figure->most() >= $this->least - 1e-9) {
                return true;
            }
        }

        return false;
    }

    /** @return list<Figure> */
    private function figures(Part $part): array
    {
        $sides = array_values(array_filter([$part->size->lengthMm, $part->size->widthMm, $part->size->heightMm],
            static fn (Figure $side): bool => $side->isKnown()));
        usort($sides, static fn (Figure $a, Figure $b): int => $a->usual() <=> $b->usual());
        $packs = $part->pack === null ? [] : [$part->pack];
        $drawn = $part->outputs === [] ? array_column($part->supplies, 'drawMa') : [];

        return match ($this->unit) {
            'v' => [...array_column($part->supplies, 'volts'), ...array_column($part->outputs, 'volts'),
                ...array_map(static fn (Pack $pack): Figure => $pack->volts(), $packs)],
            'ma' => [...array_column($part->outputs, 'continuousMa'), ...$drawn, ...($part->charger === null ? [] : [$part->charger->chargeMa])],
            'mah' => array_column($packs, 'capacityMah'),
            'wh' => array_map(static fn (Pack $pack): Figure => $pack->wattHours(), $packs),
            'w' => array_map(static fn (SupplyInput $input): Figure => $input->watts(), $part->supplies),
            'g' => [$part->size->massG],
            'gb' => $part->storage === null ? [] : [$part->storage->capacityGb],
            // How thick it is; what is asked from so many millimetres on is its longest side.
            'mm' => $sides === [] ? [] : [$this->least > 0.0 && $this->most === INF ? $sides[count($sides) - 1] : $sides[0]],
            default => [],
        };
    }
}
