<?php

declare(strict_types=1);

namespace PocketPlot\Check\Software;

use PocketPlot\Build\GamesClass;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\WholeRule;
use PocketPlot\Check\Words;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\YesNo;

final class Rights extends WholeRule
{
    public static function meta(): Meta
    {
        return new Meta('software.rights', 'Only games are put on it that the builder has the right to use.');
    }

    protected function ofWhole(Facts $facts): iterable
    {
        foreach ($facts->with('storage') as $card) {
            if ($card->part->storage?->soldWithGames === YesNo::Yes) {
                yield $this->answer(Verdict::Clash, [$card], fn (): Words => new Words(
                    "{$card->name()} comes with games that its seller had no right to pass on.",
                    [$this->text('Sold with games on it', 'yes', 'listing')],
                    'not yours to use',
                    [$this->swap($card, 'Take an empty card'), Remedy::byHand('Wipe it, and put only games on it that you have the right to use.')],
                ), 'card');
            }
        }
        $games = $facts->brief()->games;
        if ($games === []) {
            return;
        }
        $rights = $facts->brief()->rights;
        yield $this->answer(match ($rights) {
            true => Verdict::Fits, false => Verdict::Clash, null => Verdict::Tight,
        }, [], fn (): Words => new Words(match ($rights) {
            true => 'Only games that you have the right to use go onto it.',
            false => 'The brief says that you may not use these games. Copying them can break the law where you live.',
            null => 'Put only games on it that you have the right to use, and say so in the brief.',
        }, [$this->text(
            'Games in the brief',
            implode(', ', array_map(static fn (GamesClass $one): string => $one->class, $games)),
            'brief',
        ), $this->text('You have the right to use them', match ($rights) {
            true => 'yes', false => 'no', null => 'not said',
        }, 'brief')], 'your word in the brief', [
            Remedy::brief('Say in the brief that you have the right to use the games'),
            Remedy::byHand('Take games that are given away freely, or ones you wrote or bought for this use.'),
        ]), 'games', true);
    }
}
