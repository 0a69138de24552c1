<?php

declare(strict_types=1);

namespace PocketPlot\Part;

use PocketPlot\Quantity\Figure;

/** What there is to press, push and turn, for one player or more. `directions` counts d-pads and their like. */
final readonly class Controls
{
    /** @param  list<string>  $speaks  ways to the computer, any of Vocabulary::CONTROL_LINKS; empty when nobody knows */
    public function __construct(
        public int $players,
        public int $dPads,
        public int $buttons,
        public int $sticks,
        public int $knobs,
        public bool $touch,
        public int $triggers = 0,
        public array $speaks = [],
        public PadMode $padMode = PadMode::Unknown,
        public YesNo $analogueTriggers = YesNo::Unknown,
        public ?Figure $heightMm = null,
        public ?Figure $travelMm = null,
        /** The controller board that these membranes or buttons were made for. */
        public string $madeFor = '',
        /** As a controller board: the name that membranes and buttons know it by. */
        public string $boardName = '',
        public ?Figure $holdsLengthMm = null,
        public ?Figure $holdsWidthMm = null,
        public ?Figure $holdsThickMm = null,
        /** The face that the buttons follow, one of Vocabulary::FACE_SHAPES; "" when they suit any. */
        public string $faceShape = '',
        /** How many of the buttons lie on a second controller board, and its name: start and select on a board of their own. */
        public int $onOtherBoard = 0,
        public string $otherBoard = '',
    ) {}

    /** Two sets of one player's controls laid together. */
    public function together(self $other): self
    {
        return new self(
            max($this->players, $other->players),
            $this->dPads + $other->dPads,
            $this->buttons + $other->buttons,
            $this->sticks + $other->sticks,
            $this->knobs + $other->knobs,
            $this->touch || $other->touch,
            $this->triggers + $other->triggers,
        );
    }

    /** So many of the same, laid together. */
    public function times(int $count): self
    {
        return new self(
            $this->players,
            $this->dPads * $count,
            $this->buttons * $count,
            $this->sticks * $count,
            $this->knobs * $count,
            $this->touch,
            $this->triggers * $count,
        );
    }
}
