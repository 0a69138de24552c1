<?php

declare(strict_types=1);

namespace PocketPlot\Fit;

use PocketPlot\Part\Post;
use PocketPlot\Quantity\Figure;

/** Where a part that is screwed down has to lie: its holes over the posts of their pattern, where somebody wrote down where those stand. */
final class MountPlace
{
    /** The posts of a piece's pattern whose place is known. */
    public static function posts(Piece $piece, Room $room): ?Post
    {
        $pattern = $piece->line->part->mount?->pattern;
        foreach ($room->line->part->body->posts ?? [] as $post) {
            if ($post->pattern === $pattern && $post->xMm->isKnown() && $post->yMm->isKnown()) {
                return $post;
            }
        }

        return null;
    }

    public static function nameOf(Post $post): string
    {
        return "post {$post->pattern}";
    }

    /**
     * The corner of the piece, to the right and down, when its holes are over the posts; null when it lies so that they never are.
     *
     * @return array{float, float}|null
     */
    public static function corner(Piece $piece, Turn $turn, Post $post): ?array
    {
        $sides = $piece->shape->sides;
        $isFlat = $turn->axes[2] === 2;
        [$long, $wide] = array_pad(array_map(floatval(...), explode('x', $post->pattern)), 2, 0.0);
        if (! $isFlat || ($turn->axes[0] !== 0 && abs($long - $wide) > 0.1)) {
            return null;
        }
        $mount = $piece->line->part->mount;
        $middle = $turn->box(new Box(self::or($mount?->xMm, $sides[0] / 2), self::or($mount?->yMm, $sides[1] / 2), 0.0, 0.0, 0.0, 0.0), $sides);

        return [$post->xMm->usual() - $middle->x, $post->yMm->usual() - $middle->y];
    }

    private static function or(?Figure $figure, float $else): float
    {
        return $figure?->isKnown() === true ? $figure->usual() : $else;
    }
}
