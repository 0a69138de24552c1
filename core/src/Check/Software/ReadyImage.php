<?php

declare(strict_types=1);

namespace PocketPlot\Check\Software;

use PocketPlot\Build\Line;
use PocketPlot\Check\Finding;
use PocketPlot\Check\LineRule;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\Words;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Image;
use PocketPlot\Part\YesNo;

final class ReadyImage extends LineRule
{
    public static function meta(): Meta
    {
        return new Meta('software.image', 'There is a system that is ready to be written for the board.', ['software.image']);
    }

    protected function lines(Facts $facts): iterable
    {
        return $facts->with('software');
    }

    private function madeFor(Line $board, string $generation, Line $holder, Image $image, ?bool $suits): Finding
    {
        $lines = $holder === $board ? [$board] : [$board, $holder];
        if ($suits === null) {
            return $this->unmeasured($board, 'software.generation', $holder === $board ? [] : [$holder], [
                $this->text("{$holder->name()} was made for", implode(', ', $image->madeFor)),
            ]);
        }

        return $this->answer($suits ? Verdict::Fits : Verdict::Clash, $lines, fn (): Words => new Words(
            $suits
                ? "{$holder->name()} was made for {$board->name()}."
                : "{$holder->name()} was made for ".implode(' and ', $image->madeFor)."; {$board->name()} is {$generation} and does not start from it.",
            [$this->text("{$holder->name()} was made for", implode(', ', $image->madeFor)), $this->text("{$board->name()} is", $generation)],
            'generation of the board',
            [
                $this->swap($board, 'Take a board that the image was made for'),
                Remedy::byHand('Look at the page of the image again, or ask its makers: newer boards are often added later.'),
            ],
        ));
    }

    protected function ofLine(Line $line, Facts $facts): iterable
    {
        $software = $line->part->software;
        if ($software === null) {
            return;
        }
        foreach ($facts->with('image') as $holder) {
            $image = $holder->part->image;
            $suits = $image?->suits($software->generation);
            if ($image !== null && $image->madeFor !== []) {
                yield $this->madeFor($line, $software->generation, $holder, $image, $suits);

                return;
            }
        }
        if ($software->image === YesNo::Unknown && $software->card === 'built-in') {
            yield $this->answer(
                Verdict::Fits,
                [$line],
                fn (): Words => new Words("What {$line->name()} runs is built in.", [$this->text('Starts from', $software->card)], 'nothing to write'),
            );

            return;
        }
        if ($software->image === YesNo::Unknown) {
            yield $this->unmeasured($line, 'software.image');

            return;
        }
        $ready = $software->image === YesNo::Yes;
        yield $this->answer($ready ? Verdict::Fits : Verdict::Tight, [$line], fn (): Words => new Words($ready
            ? "A system for {$line->name()} is ready to be written."
            : "Nobody offers a ready system for {$line->name()}; it has to be put together.", [
                $this->text('Ready system', $software->image->value),
            ], $ready ? 'one exists' : 'evenings of work', [
                $this->swap($line, 'Take a board with a ready system'),
                Remedy::byHand('Plan two or three evenings for it, and keep notes of every line.'),
            ]));
    }
}
