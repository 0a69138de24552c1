<?php

declare(strict_types=1);

namespace PocketPlot\Check\Body;

use PocketPlot\Build\Line;
use PocketPlot\Check\Finding;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\WholeRule;
use PocketPlot\Check\Words;
use PocketPlot\Check\WorkingLine;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Fastener;
use PocketPlot\Part\FigureRef;
use PocketPlot\Part\Post;
use PocketPlot\Part\Role;
use PocketPlot\Quantity\Constants;

final class Fasteners extends WholeRule
{
    public static function meta(): Meta
    {
        return new Meta(
            'body.fasteners',
            'Each kind of post has a screw of its thread that holds and neither bottoms out nor stands proud.',
            ['body.post', 'fastener.lengthMm', 'fastener.head'],
        );
    }

    protected function ofWhole(Facts $facts): iterable
    {
        $bodyLine = $facts->bodyLine();
        if ($bodyLine === null) {
            return;
        }
        foreach ($bodyLine->part->body->posts ?? [] as $post) {
            $used = $post->pattern === 'halves'
                ? [$bodyLine]
                : array_values(array_filter($facts->with('mount'), static fn (Line $line): bool => $line->part->mount?->pattern === $post->pattern));
            if ($used !== [] && $post->thread !== '') {
                yield $this->judge($post, $bodyLine, $used[0], $facts);
            }
        }
    }

    private function judge(Post $post, Line $bodyLine, Line $held, Facts $facts): Finding
    {
        $same = array_values(array_filter($facts->with('fastener'), static fn (Line $line): bool => $line->part->fastener?->thread === $post->thread));
        $about = $post->pattern;
        $kit = $bodyLine->part->kit;
        if ($same === [] && $kit !== null && preg_grep('/screw/i', $kit->contains) !== []) {
            return $this->answer(
                Verdict::Fits,
                [$bodyLine, $held],
                fn (): Words => new Words(
                    "{$bodyLine->name()} brings its own screws.",
                    [$this->text('Contains', implode(', ', $kit->contains))],
                    'part of the kit',
                ),
                $about,
            );
        }
        if ($same === []) {
            return $this->answer(
                Verdict::Clash,
                [$bodyLine, $held],
                fn (): Words => new Words(
                    "No {$post->thread} screw is in the parts list to hold {$held->name()}.",
                    [$this->text('Post', "{$post->thread}, {$post->holdsBy}")],
                    'no screw',
                    [Remedy::add(Role::Fastener, "Add {$post->thread} screws")],
                ),
                $about,
            );
        }
        foreach ([
            'depthMm' => $post->depthMm,
            'clampMm' => $post->clampMm,
        ] as $figure) {
            if (! $figure->isKnown()) {
                return $this->unmeasured($bodyLine, FigureRef::of('body', 'post', $post->pattern), [$held], [], $about);
            }
        }
        $best = null;
        foreach ($same as $line) {
            $finding = $this->one($line, $line->part->fastener ?? throw new \LogicException('only fasteners are judged'), $post, $bodyLine, $held);
            $best = $best === null || $finding->verdict->weight() < $best->verdict->weight() ? $finding : $best;
        }

        return $best;
    }

    private function one(Line $line, Fastener $screw, Post $post, Line $bodyLine, Line $held): Finding
    {
        $about = $post->pattern;
        if (! $screw->lengthMm->isKnown()) {
            return $this->unmeasured($line, 'fastener.lengthMm', [$bodyLine], [], $about);
        }
        $hasHead = $post->headAcrossMm->isKnown() && $post->headHighMm->isKnown();
        if ($hasHead && (! $screw->headAcrossMm->isKnown() || ! $screw->headHighMm->isKnown())) {
            return $this->unmeasured($line, 'fastener.head', [$bodyLine], [], $about);
        }
        $thread = Constants::THREAD_MM[$post->thread] ?? 3.0;
        $grip = $screw->lengthMm->least() - $post->clampMm->most();
        $needs = $thread * (Constants::ENGAGEMENT_TIMES[$post->holdsBy] ?? 1.5);
        [$verdict, $says] = match (true) {
            $hasHead && $screw->headAcrossMm->most() > $post->headAcrossMm->least() => [
                Verdict::Clash,
                "The head of {$line->name()} is too wide for its hole in {$bodyLine->name()}.",
            ],
            $screw->lengthMm->most() - $post->clampMm->least() > $post->depthMm->least() => [
                Verdict::Clash,
                "{$line->name()} is too long: it comes out of the post and presses on what is behind.",
            ],
            $grip < $needs - 1e-9 => [
                Verdict::Clash,
                sprintf('%s reaches only %s mm into the %s; %s mm hold.', $line->name(), self::n($grip), $post->holdsBy, self::n($needs)),
            ],
            $hasHead && $screw->headHighMm->most() > $post->headHighMm->least() => [
                Verdict::Tight,
                "The head of {$line->name()} stands proud of {$bodyLine->name()}.",
            ],
            $screw->into !== '' && $screw->into !== $post->holdsBy => [
                Verdict::Tight,
                "{$line->name()} was made for a {$screw->into}; here it goes into a {$post->holdsBy}.",
            ],
            default => [Verdict::Fits, "{$line->name()} holds {$held->name()}."],
        };

        return $this->answer($verdict, [$line, $bodyLine], fn (): Words => new Words($says, [
            $this->row("{$line->name()}, length", $screw->lengthMm),
            $this->row('Clamped', $post->clampMm),
            $this->row('Post takes', $post->depthMm),
            $this->count(
                "Grip wanted in a {$post->holdsBy}",
                $needs,
                'mm',
                'datasheet',
            ),
            ...($hasHead ? self::heads($screw, $post) : []),
        ], 'clamped + grip ≤ length ≤ clamped + depth', [
            $this->swap($line, 'Take a screw of another length or head'),
            Remedy::byHand('A washer shortens, a file flattens; finger-tight, then a quarter turn.'),
        ]), $about);
    }

    /** @return list<WorkingLine> */
    private static function heads(Fastener $screw, Post $post): array
    {
        return [
            new WorkingLine(
                'Head',
                self::n($screw->headAcrossMm->most()).' across, '.self::n($screw->headHighMm->most()).' high',
                'mm',
                $screw->headAcrossMm->source->value,
            ),
            new WorkingLine(
                'Room for it',
                self::n($post->headAcrossMm->least()).' across, '.self::n($post->headHighMm->least()).' high',
                'mm',
                $post->headAcrossMm->source->value,
            ),
        ];
    }
}
