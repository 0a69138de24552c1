<?php

declare(strict_types=1);

namespace PocketPlot\Part;

use PocketPlot\Quantity\Figure;

/** A case: the room inside it and the openings in its walls, or one that is drawn around the parts. */
final readonly class Body
{
    /**
     * @param  list<Opening>  $openings
     * @param  list<Zone>  $zones  rooms inside with a depth of their own
     * @param  list<Post>  $posts
     * @param  list<Slider>  $sliders
     * @param  list<string>  $spots  named places for add-ons
     */
    public function __construct(
        public Figure $cavityLengthMm,
        public Figure $cavityWidthMm,
        public Figure $cavityHeightMm,
        public Figure $wallMm,
        public bool $drawn,
        public bool $cuttable,
        public array $openings,
        public array $zones,
        public array $posts,
        public array $sliders,
        public array $spots,
        /** All air openings together. */
        public Figure $ventMm2,
        /** How it is made: a key of Constants::WALL_LEAST_MM, "" when not said. */
        public string $process,
        public Figure $bedLengthMm,
        public Figure $bedWidthMm,
        public Figure $bedHeightMm,
        /** Has a part that lets radio and charging fields through. */
        public YesNo $fieldWindow,
        /** @var list<Door> */
        public array $doors = [],
        /** Pieces along its length that are printed apart; null when not said. */
        public ?int $pieces = null,
        /** How its face runs where the buttons come through, one of Vocabulary::FACE_SHAPES. */
        public string $faceShape = '',
        /** @var list<Block> what stands in the room inside */
        public array $ribs = [],
    ) {}

    public function cavity(): Size
    {
        return new Size($this->cavityLengthMm, $this->cavityWidthMm, $this->cavityHeightMm, Figure::unknown('g'));
    }
}
