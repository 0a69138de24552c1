<?php

declare(strict_types=1);

namespace PocketPlot\Check\Video;

use PocketPlot\Build\GamesClass;
use PocketPlot\Build\Line;
use PocketPlot\Check\Finding;
use PocketPlot\Check\LineRule;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Phrase;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\Words;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Panel;
use PocketPlot\Part\YesNo;

final class Scaling extends LineRule
{
    public static function meta(): Meta
    {
        return new Meta(
            'video.scaling',
            'Each class of games in the brief fills enough of the panel at a whole-number scale, the right way up.',
            ['video.rotates'],
        );
    }

    protected function lines(Facts $facts): iterable
    {
        return $facts->with('panel');
    }

    protected function ofLine(Line $display, Facts $facts): iterable
    {
        $panel = $display->part->panel;
        if ($panel === null) {
            return;
        }
        $board = $facts->board();
        if ($panel->upright && $board !== null && $board->id !== $display->id) {
            $turns = $board->part->video->rotates ?? YesNo::Unknown;
            $working = [
                $this->text("{$display->name()} scans", 'upright'),
                $this->text("{$board->name()} turns pictures", $turns === YesNo::Unknown ? '' : $turns->value),
            ];
            if ($turns === YesNo::Unknown) {
                yield $this->unmeasured($board, 'video.rotates', [$display], [$working[0]], $display->id, 'the picture may lie on its side');

                return;
            }
            if ($turns === YesNo::No) {
                yield $this->answer(
                    Verdict::Clash,
                    [$display, $board],
                    fn (): Words => new Words(
                        "{$display->name()} scans upright and {$board->name()} cannot turn the picture.",
                        $working,
                        'on its side',
                        [$this->swap($display), $this->swap($board)],
                    ),
                    'turned',
                );

                return;
            }
        }
        foreach ($facts->brief()->games as $index => $games) {
            if ($games->pictureWidthPx > 0 && $games->pictureHeightPx > 0) {
                yield $this->judge($display, $panel, $games, (string) $index, $facts->margin('border-share'));
            }
        }
    }

    private function judge(Line $display, Panel $panel, GamesClass $games, string $about, float $mostBorder): Finding
    {
        [$width, $height] = $panel->upright ? [$panel->heightPx, $panel->widthPx] : [$panel->widthPx, $panel->heightPx];
        $ratio = min($width / $games->pictureWidthPx, $height / $games->pictureHeightPx);
        $scale = (int) floor($ratio);
        $border = 1.0 - $scale ** 2 * $games->pictureWidthPx * $games->pictureHeightPx / ($width * $height);
        [$verdict, $says] = match (true) {
            $ratio < 0.5 => [
                Verdict::Clash,
                sprintf('%s has less than half the pixels that %s were drawn with; text cannot be read.', $display->name(), Phrase::games($games->class)),
            ],
            $scale === 0 => [
                Verdict::Tight,
                sprintf('%s have to be shrunk to %s %% on %s and lose lines.', ucfirst(Phrase::games($games->class)), self::n($ratio * 100), $display->name()),
            ],
            $border > $mostBorder => [
                Verdict::Tight,
                sprintf(
                    '%s fill %s %% of %s at %d ×; the rest stays black, or the pixels get uneven.',
                    ucfirst(Phrase::games($games->class)),
                    self::n((1 - $border) * 100),
                    $display->name(),
                    $scale,
                ),
            ],
            default => [
                Verdict::Fits,
                sprintf('%s fill %s %% of %s at %d ×.', ucfirst(Phrase::games($games->class)), self::n((1 - $border) * 100), $display->name(), $scale),
            ],
        };

        return $this->answer($verdict, [$display], fn (): Words => new Words($says, [
            $this->text("{$display->name()}".($panel->upright ? ', turned' : ''), "{$width} × {$height}"), $this->text(
                ucfirst(Phrase::games($games->class)).' games',
                "{$games->pictureWidthPx} × {$games->pictureHeightPx}",
                'brief',
            ),
            $this->count('Largest whole-number scale', $scale, '×'), $this->count('Left black', round($border * 100), '%'),
        ], 'whole-number scale; at most '.self::n($mostBorder * 100).' % black', [
            $this->swap($display, 'Take a panel whose pixels are a multiple'), Remedy::byHand('Let it scale unevenly and soften it; many do not mind.'),
        ]), $about);
    }
}
