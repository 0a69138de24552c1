<?php

declare(strict_types=1);

namespace PocketPlot\File\Facets;

use PocketPlot\Build\Vocabulary;
use PocketPlot\File\Facet;
use PocketPlot\Quantity\Constants;

final class BodyFacet extends Facet
{
    public function label(): string
    {
        return 'Body';
    }

    public function fields(): array
    {
        return [
            'cavityLengthMm' => ['mm', 'room inside, length'],
            'cavityWidthMm' => ['mm', 'room inside, width'],
            'cavityHeightMm' => ['mm', 'room inside, depth'],
            'wallMm' => ['mm', 'wall'],
            'drawn' => ['flag', 'drawn around the parts'],
            'cuttable' => ['flag', 'can be cut'],
            'process' => [
                'choice',
                'made by',
                ['', ...array_keys(Constants::WALL_LEAST_MM)],
            ],
            'openings' => [
                'many',
                'openings',
                [
                    'name' => ['text', 'name'],
                    'connector' => ['connector', 'connector'],
                    'widthMm' => ['mm', 'width'],
                    'heightMm' => ['mm', 'height'],
                    'face' => ['choice', 'face', Vocabulary::FACES],
                    'offsetMm' => ['mm±', 'from the middle'],
                ],
            ],
            'zones' => [
                'many',
                'rooms with their own depth',
                [
                    'name' => ['text', 'name'], 'lengthMm' => ['mm', 'length'], 'widthMm' => ['mm', 'width'], 'depthMm' => ['mm', 'depth'],
                    'xMm' => ['mm', 'from the left'], 'yMm' => ['mm', 'from the top'], 'zMm' => ['mm', 'from the face'],
                ],
            ],
            'ribs' => ['many', 'ribs inside', BlocksFacet::FIELDS],
            'doors' => [
                'many',
                'doors and covers',
                ['name' => ['text', 'name'], 'material' => ['choice', 'material', Vocabulary::MATERIALS], 'insulated' => ['flag', 'insulated inside']],
            ],
            'faceShape' => ['choice', 'face under the buttons', Vocabulary::FACE_SHAPES],
            'pieces' => ['int', 'printed in so many pieces along its length'],
            ...self::fixings(),
            'spots' => ['words', 'places for add-ons', []],
            'ventMm2' => ['mm²', 'air openings together'],
            'bedLengthMm' => ['mm', 'printer bed, length'],
            'bedWidthMm' => ['mm', 'printer bed, width'],
            'bedHeightMm' => ['mm', 'printer, height'],
            'fieldWindow' => ['yes-no', 'lets radio and coils through'],
        ];
    }

    /** @return array<string, array{0: string, 1: string, 2?: mixed}> */
    private static function fixings(): array
    {
        return [
            'posts' => [
                'many',
                'posts',
                [
                    'pattern' => ['text', 'hole pattern'],
                    'thread' => ['text', 'thread'],
                    'depthMm' => ['mm', 'depth for the screw'],
                    'clampMm' => ['mm', 'thickness clamped'],
                    'headAcrossMm' => ['mm', 'room for the head'],
                    'headHighMm' => ['mm', 'height for the head'],
                    'holdsBy' => ['choice', 'holds by', ['post', 'insert', 'nut']],
                    'xMm' => ['mm', 'its middle, from the left'],
                    'yMm' => ['mm', 'its middle, from the top'],
                ],
            ],
            'sliders' => [
                'many',
                'caps that move something',
                ['name' => ['text', 'name'], 'moves' => ['choice', 'moves', ['slide', 'push', 'button']], 'travelMm' => ['mm', 'travel']],
            ],
        ];
    }
}
