<?php

declare(strict_types=1);

namespace PocketPlot\Check\Control;

use PocketPlot\Build\Line;
use PocketPlot\Check\Meta;
use PocketPlot\Check\PairRule;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\Words;
use PocketPlot\Facts\Facts;
use PocketPlot\Quantity\Figure;

final class Grip extends PairRule
{
    public static function meta(): Meta
    {
        return new Meta('control.grip', 'A pad that holds a phone is made for its length, width and thickness.', ['size']);
    }

    protected function pairs(Facts $facts): iterable
    {
        $board = $facts->board();
        if ($board === null) {
            return;
        }
        foreach ($facts->with('controls') as $pad) {
            $controls = $pad->part->controls;
            if ($pad->id !== $board->id && ($controls?->holdsLengthMm?->isKnown() === true || $controls?->holdsWidthMm?->isKnown() === true)) {
                yield [$pad, $board];
            }
        }
    }

    protected function ofPair(Line $one, Line $other, Facts $facts): iterable
    {
        $controls = $one->part->controls;
        $size = $other->part->size;
        // Cells and backs that lie on the phone make it thicker; a case around it adds its wall to each side.
        $onBack = array_sum(array_map(static fn (Line $line): float => $line->part->size->heightMm->most ?? 0.0, $this->onBack($facts, $other, $one)));
        $around = $this->around($facts);
        foreach ([
            ['long', $controls?->holdsLengthMm, $size->lengthMm, 2 * $around],
            ['wide', $controls?->holdsWidthMm, $size->widthMm, 2 * $around],
            ['thick', $controls?->holdsThickMm, $size->heightMm, $around + $onBack],
        ] as [$which, $holds, $side, $more]) {
            if ($holds === null || ! $holds->isKnown()) {
                continue;
            }
            if (! $side->isKnown()) {
                yield $this->unmeasured($other, 'size', [$one], [$this->row("{$one->name()} holds", $holds)], "{$one->id}/{$which}");

                continue;
            }
            $unsaid = $which === 'thick' ? $this->withoutHeight($facts, $other, $one) : null;
            if ($unsaid !== null) {
                yield $this->unmeasured($unsaid, 'size', [$one, $other], [$this->row("{$one->name()} holds", $holds)], $which);

                continue;
            }
            $is = $side->most() + $more;
            $fits = $is <= $holds->most() + 1e-9 && $is >= $holds->least() - 1e-9;
            yield $this->answer($fits ? Verdict::Fits : Verdict::Clash, [$one, $other], fn (): Words => new Words(
                sprintf(
                    '%s is %s mm %s%s; %s holds %s.',
                    $other->name(),
                    self::n($is),
                    $which,
                    $more > 0.0 ? ' with what lies on it' : '',
                    $one->name(),
                    $holds->says(),
                ),
                [
                    $this->row("{$other->name()}, {$which}", $side),
                    $this->row('With what lies on it or around it', Figure::exactly($is, 'mm')),
                    $this->row("{$one->name()} holds", $holds),
                ],
                'within what it holds',
                [$this->swap($one, 'Take a pad that opens wider'), Remedy::byHand('Take the case off to play, or leave the extra cell out.')],
            ), $which);
        }
    }

    /** @return list<Line> lines that the builder placed on the phone's back, and printed backs */
    private function onBack(Facts $facts, Line $phone, Line $pad): array
    {
        return array_values(array_filter(
            $facts->lines(),
            static fn (Line $line): bool => $line->id !== $phone->id && $line->id !== $pad->id && $line->place === 'back',
        ));
    }

    private function withoutHeight(Facts $facts, Line $phone, Line $pad): ?Line
    {
        foreach ($this->onBack($facts, $phone, $pad) as $line) {
            if (! $line->part->size->heightMm->isKnown()) {
                return $line;
            }
        }

        return null;
    }

    /** Millimetres that a case adds to each side. */
    private function around(Facts $facts): float
    {
        foreach ($facts->with('body') as $case) {
            if ($case->place !== 'back' && $case->part->body?->wallMm->isKnown() === true && ! $case->part->body->drawn) {
                return $case->part->body->wallMm->most();
            }
        }

        return 0.0;
    }
}
