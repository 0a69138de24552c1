<?php

declare(strict_types=1);

namespace PocketPlot\Build;

/** One class of games the build must play, with what each player needs at hand and the picture it was made for. */
final readonly class GamesClass
{
    public function __construct(
        public string $class,
        public int $players,
        public int $dPads,
        public int $buttons,
        public int $sticks,
        public int $knobs,
        public bool $touch,
        public int $pictureWidthPx,
        public int $pictureHeightPx,
        public int $triggers = 0,
    ) {}
}
