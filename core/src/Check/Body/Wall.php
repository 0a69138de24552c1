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
use PocketPlot\Quantity\Constants;

final class Wall extends LineRule
{
    public static function meta(): Meta
    {
        return new Meta('body.wall', 'The wall is thick enough for the way the body is made.', ['body.wall', 'body.process']);
    }

    protected function lines(Facts $facts): iterable
    {
        return $facts->with('body');
    }

    protected function ofLine(Line $line, Facts $facts): iterable
    {
        $body = $line->part->body;
        // A body that is bought has stood up to its maker's own judgement.
        if ($body === null || ! $body->drawn && ! str_starts_with($body->process, 'printed')) {
            return;
        }
        if ($body->process === '') {
            yield $this->unmeasured($line, 'body.process');

            return;
        }
        if (! $body->wallMm->isKnown()) {
            yield $this->unmeasured($line, 'body.wall', [], [], 'wall');

            return;
        }
        [$least, $wanted] = Constants::WALL_LEAST_MM[$body->process];
        $wall = $body->wallMm->least();
        $verdict = match (true) {
            $wall < $least - 1e-9 => Verdict::Clash,
            $wall < $wanted - 1e-9 => Verdict::Tight,
            default => Verdict::Fits,
        };
        yield $this->answer($verdict, [$line], fn (): Words => new Words(sprintf('A wall of %s mm, %s, %s.', self::n($wall), $body->process, match ($verdict) {
            Verdict::Clash => 'breaks in the hands', Verdict::Tight => 'is on the thin side', default => 'holds',
        }), [
            $this->row('Wall', $body->wallMm),
            $this->count('Least that holds', $least, 'mm', 'datasheet'),
            $this->count('Wanted', $wanted, 'mm', 'datasheet'),
        ], 'wall by process', [
            Remedy::byHand('Make it thicker, or add ribs inside where it is wide.'), $this->swap($line, 'Take a body made another way'),
        ]));
    }
}
