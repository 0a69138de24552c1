<?php

declare(strict_types=1);

namespace PocketPlot\Check\Body;

use PocketPlot\Build\Line;
use PocketPlot\Check\Finding;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\WholeRule;
use PocketPlot\Check\Words;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\FigureRef;
use PocketPlot\Part\Slider;
use PocketPlot\Quantity\Figure;

final class Travel extends WholeRule
{
    public static function meta(): Meta
    {
        return new Meta(
            'body.travel',
            'Caps of the body move the switches and buttons beneath them all the way.',
            ['body.slider', 'switch.travelMm', 'controls.travelMm'],
        );
    }

    protected function ofWhole(Facts $facts): iterable
    {
        $bodyLine = $facts->bodyLine();
        foreach ($bodyLine?->part->body->sliders ?? [] as $slider) {
            foreach ([...$facts->with('switch'), ...$facts->with('controls')] as $line) {
                $switch = $line->part->switch;
                $moved = $slider->moves === 'button'
                    ? $line->part->controls !== null && $line->part->sits->takesRoom() && $line->part->controls->buttons > 0
                    : $switch?->kind === $slider->moves;
                if ($bodyLine !== null && $moved) {
                    $needs = ($slider->moves === 'button' ? $line->part->controls?->travelMm : $switch?->travelMm) ?? Figure::unknown('mm');
                    yield $this->judge($bodyLine, $slider, $line, $needs, $facts->margin('travel-mm'));
                }
            }
        }
    }

    private function judge(Line $bodyLine, Slider $slider, Line $line, Figure $needs, float $wanted): Finding
    {
        if (! $needs->isKnown()) {
            return $this->unmeasured($line, $slider->moves === 'button' ? 'controls.travelMm' : 'switch.travelMm', [$bodyLine], [], $slider->name);
        }
        if (! $slider->travelMm->isKnown()) {
            return $this->unmeasured($bodyLine, FigureRef::of('body', 'slider', $slider->name), [$line], [], $line->id);
        }
        $margin = $slider->travelMm->least() - $needs->most();
        $verdict = self::byMargin($margin, $wanted);

        return $this->answer($verdict, [$line, $bodyLine], fn (): Words => new Words(match ($verdict) {
            Verdict::Clash => sprintf('The %s of %s stops %s mm short of what %s needs.', $slider->name, $bodyLine->name(), self::n(-$margin), $line->name()),
            default => "The {$slider->name} of {$bodyLine->name()} moves {$line->name()} all the way.",
        }, [
            $this->row("{$slider->name}, moves", $slider->travelMm),
            $this->row("{$line->name()}, needs", $needs),
        ], self::n($margin).' mm to spare, '.self::n($wanted).' mm wanted', [
            $this->swap($line, 'Take one with less travel'), $this->swap($bodyLine), Remedy::byHand(
                'Lengthen the cap\'s finger with a drop of filler, or file its slot; little by little, and test between.',
            ),
        ]), $slider->name);
    }
}
