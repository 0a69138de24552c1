<?php

declare(strict_types=1);

namespace PocketPlot\Check\Body;

use PocketPlot\Build\Line;
use PocketPlot\Check\LineRule;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\Words;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Post;

final class Mounting extends LineRule
{
    public static function meta(): Meta
    {
        return new Meta('body.mounting', 'What is screwed down finds posts of its hole pattern.');
    }

    protected function lines(Facts $facts): iterable
    {
        return $facts->with('mount');
    }

    protected function ofLine(Line $line, Facts $facts): iterable
    {
        $bodyLine = $facts->bodyLine();
        $body = $bodyLine?->part->body;
        if ($bodyLine === null || $body === null || $body->drawn) {
            return;
        }
        $mount = $line->part->mount;
        if ($mount === null || ! $line->part->sits->takesRoom()) {
            return;
        }
        $pattern = preg_match('/^[0-9.]+x[0-9.]+$/', $mount->pattern) === 1 ? "{$mount->pattern} mm" : $mount->pattern;
        $patterns = array_map(static fn (Post $post): string => $post->pattern, $body->posts);
        [$verdict, $says] = match (true) {
            in_array($mount->pattern, $patterns, true) => [Verdict::Fits, "{$line->name()} sits on posts made for it."],
            $body->cuttable => [
                Verdict::Tight,
                "Holes for {$line->name()} ({$pattern}) have to be drilled into {$bodyLine->name()}, or it is glued down.",
            ],
            default => [Verdict::Clash, "{$bodyLine->name()} has no posts for the holes of {$line->name()} ({$pattern})."],
        };
        yield $this->answer($verdict, [$line, $bodyLine], fn (): Words => new Words($says, [
            $this->text("{$line->name()}, holes", $mount->pattern),
            $this->text("{$bodyLine->name()}, posts", $patterns === [] ? 'none' : implode(', ', $patterns)),
        ], 'hole pattern against posts', [
            $this->swap($line, 'Take one with the holes of this body'), $this->swap($bodyLine, 'Take a body made for it'),
            Remedy::byHand('Make a small plate that takes both patterns; glued posts count as a step that cannot be undone.'),
        ]));
    }
}
