<?php

declare(strict_types=1);

namespace PocketPlot\Build;

/** The words that briefs and parts share, and what each class of games usually asks of its controls. */
final class Vocabulary
{
    public const SKILLS = ['soldering', 'fine soldering', 'crimping', '3d printing', 'woodwork', 'writing images', 'cell wiring', 'mains wiring'];

    public const TOOLS = ['soldering iron', 'meter', 'bench supply', 'printer', 'saw', 'drill', 'callipers', 'crimping tongs'];

    /** @return list<GamesClass> */
    public static function gamesClasses(): array
    {
        return [
            new GamesClass('two-button eight-bit', 1, 1, 4, 0, 0, false, 256, 240),
            new GamesClass('six-button sixteen-bit', 1, 1, 8, 0, 0, false, 320, 224),
            new GamesClass('twin-stick', 1, 1, 12, 2, 0, false, 640, 480),
            new GamesClass('touch', 1, 0, 0, 0, 0, true, 800, 480),
            new GamesClass('knob', 1, 0, 1, 0, 1, false, 240, 240),
        ];
    }
}
