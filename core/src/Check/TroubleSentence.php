<?php

declare(strict_types=1);

namespace PocketPlot\Check;

use PocketPlot\Fit\Trouble;
use PocketPlot\Quantity\Number;

/** What is said of a trouble of an arrangement: by the rule in the margin, and beside the drawing. */
final class TroubleSentence
{
    public static function of(Trouble $trouble): string
    {
        $name = $trouble->piece->name();
        $other = $trouble->other?->name() ?? '';
        $mm = Number::says($trouble->mm);
        $wanted = Number::says($trouble->wantedMm);

        return match ($trouble->kind) {
            'overlap' => "{$name} and {$other} run into each other by {$mm} mm.",
            'outside' => "{$name} sticks out {$mm} mm at the {$trouble->what}.",
            'rib' => "{$name} runs {$mm} mm into the {$trouble->what}.",
            'post' => "{$name} lies {$mm} mm beside the posts for its holes ({$trouble->what}).",
            'zone' => "{$name} sticks {$mm} mm out of the {$trouble->what}.",
            'close' => "{$name} and {$other} are {$mm} mm apart; {$wanted} mm lets a hand and a wire in.",
            'face' => "{$name} lies {$mm} mm behind the face.",
            'over-cell' => "{$name} lies over {$other}: a press goes through to the cell.",
            'travel' => "Under {$name} there are {$mm} mm to {$other}; its buttons move {$wanted} mm.",
            'travel-open' => "Nobody knows how far the buttons of {$name} move; {$other} lies {$mm} mm beneath them.",
            'heat' => "{$name} lies {$mm} mm from {$other}, which gets hot.",
            'air' => "{$name} gets hot and is shut in on every side; the widest gap is {$mm} mm.",
            'coil' => "{$other} lies between {$name} and the back: the field does not get through.",
            'coil-far' => "{$name} lies {$mm} mm from the back; senders reach about {$wanted} mm past a wall.",
            'lead' => "From {$name} to {$other} it is {$mm} mm; the lead is {$wanted} mm long.",
            'no-way' => "From {$name} to {$other} no way is free but through gaps between parts; the lead is {$wanted} mm long, {$mm} mm are straight.",
            default => self::ofSocket($trouble, $name, $other, $mm),
        };
    }

    private static function ofSocket(Trouble $trouble, string $name, string $other, string $mm): string
    {
        $what = $trouble->what === '' ? 'socket' : $trouble->what;

        return match ($trouble->kind) {
            'socket' => "The {$what} of {$name} stands {$mm} mm behind the nearest wall: no plug reaches it.",
            'opening' => $trouble->mm > 0.0
                ? "The {$what} of {$name} stands {$mm} mm beside its opening."
                : "The {$what} of {$name} is at a side that has no opening for it.",
            'opening-out' => "The {$what} is written down {$mm} mm beyond the end of its side: correct the place of the opening.",
            'plug' => $other === ''
                ? "The plug in the {$what} of {$name} would go {$mm} mm into the wall."
                : "{$other} lies {$mm} mm in the way of the plug in the {$what} of {$name}.",
            'card' => "The {$what} of {$name} has {$mm} mm before it".($other === '' ? '' : " to {$other}").': the card cannot be pulled out.',
            'unplug' => "The {$what} of {$name} has {$mm} mm before it to {$other}: nobody can unplug it.",
            default => "Nobody knows at which edge the socket of {$name} sits.",
        };
    }
}
