<?php

declare(strict_types=1);

namespace PocketPlot\File\Facets;

use PocketPlot\Build\Vocabulary;
use PocketPlot\File\Facet;

final class ControlsFacet extends Facet
{
    public function label(): string
    {
        return 'Controls';
    }

    public function fields(): array
    {
        return [
            'players' => ['int', 'players'],
            'dPads' => ['int', 'd-pads'],
            'buttons' => ['int', 'buttons'],
            'sticks' => ['int', 'sticks'],
            'knobs' => ['int', 'knobs'],
            'triggers' => ['int', 'triggers'],
            'touch' => ['flag', 'touch'],
            'speaks' => ['words', 'ways to the computer', Vocabulary::CONTROL_LINKS],
            'padMode' => [
                'choice',
                'says it is',
                ['pad', 'keyboard', 'contacts', 'unknown'],
            ],
            'analogueTriggers' => ['yes-no', 'triggers are analogue'],
            'holdsLengthMm' => ['mm', 'holds a phone of this length'],
            'holdsWidthMm' => ['mm', 'holds a phone of this width'],
            'holdsThickMm' => ['mm', 'holds a phone of this thickness'],
            'heightMm' => ['mm', 'height above the face'],
            'travelMm' => ['mm', 'travel'],
            'madeFor' => ['text', 'made for the controller board'],
            'onOtherBoard' => ['int', 'buttons that lie on a second board'],
            'otherBoard' => ['text', 'name of that second board'],
            'faceShape' => ['choice', 'follow a face that is', Vocabulary::FACE_SHAPES],
            'boardName' => ['text', 'is the controller board'],
        ];
    }
}
