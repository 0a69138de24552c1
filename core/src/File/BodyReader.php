<?php

declare(strict_types=1);

namespace PocketPlot\File;

use PocketPlot\Part\Block;
use PocketPlot\Part\Body;
use PocketPlot\Part\Door;
use PocketPlot\Part\Opening;
use PocketPlot\Part\Post;
use PocketPlot\Part\Slider;
use PocketPlot\Part\Zone;

/** Reads the body facet of a part. */
final class BodyReader
{
    /** @throws BadFile */
    public static function body(?Fields $body): ?Body
    {
        return $body === null ? null : new Body(
            $body->figure('cavityLengthMm', 'mm'),
            $body->figure('cavityWidthMm', 'mm'),
            $body->figure('cavityHeightMm', 'mm'),
            $body->figure('wallMm', 'mm'),
            $body->bool('drawn'),
            $body->bool('cuttable'),
            array_map(static fn (Fields $opening): Opening => new Opening(
                $opening->string('name'),
                $opening->has('connector') ? $opening->connector('connector') : '',
                $opening->figure('widthMm', 'mm'),
                $opening->figure('heightMm', 'mm'),
                $opening->string('face', ''),
                $opening->figure('offsetMm', 'mm'),
            ), $body->children('openings')),
            array_map(static fn (Fields $zone): Zone => new Zone(
                $zone->string('name'), $zone->figure('lengthMm', 'mm'), $zone->figure('widthMm', 'mm'), $zone->figure('depthMm', 'mm'),
                $zone->figure('xMm', 'mm'), $zone->figure('yMm', 'mm'), $zone->figure('zMm', 'mm'),
            ), $body->children('zones')),
            array_map(static fn (Fields $post): Post => new Post(
                $post->string('pattern'), $post->string('thread', ''), $post->figure('depthMm', 'mm'), $post->figure('clampMm', 'mm'),
                $post->figure('headAcrossMm', 'mm'), $post->figure('headHighMm', 'mm'), $post->string('holdsBy', 'post'),
                $post->figure('xMm', 'mm'), $post->figure('yMm', 'mm'),
            ), $body->children('posts')),
            array_map(
                static fn (Fields $slider): Slider => new Slider($slider->string('name'), $slider->string('moves', 'slide'), $slider->figure('travelMm', 'mm')),
                $body->children('sliders'),
            ),
            $body->strings('spots'),
            $body->figure('ventMm2', 'mm²'),
            $body->string('process', ''),
            $body->figureWithin('bedLengthMm', 'mm', 1.0),
            $body->figureWithin('bedWidthMm', 'mm', 1.0),
            $body->figure('bedHeightMm', 'mm'),
            $body->yesNo('fieldWindow'),
            array_map(
                static fn (Fields $door): Door => new Door($door->string('name'), $door->string('material', ''), $door->bool('insulated')),
                $body->children('doors'),
            ),
            $body->has('pieces') ? $body->atLeastOne('pieces') : null,
            $body->string('faceShape', ''),
            array_map(self::block(...), $body->children('ribs')),
        );
    }

    /** @throws BadFile */
    public static function block(Fields $block): Block
    {
        return new Block(
            $block->string('name', ''), $block->figure('xMm', 'mm'), $block->figure('yMm', 'mm'), $block->figure('zMm', 'mm'),
            $block->figure('lengthMm', 'mm'), $block->figure('widthMm', 'mm'), $block->figure('heightMm', 'mm'),
        );
    }
}
