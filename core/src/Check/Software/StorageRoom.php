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
use PocketPlot\Part\Role;
use PocketPlot\Part\Software;
use PocketPlot\Quantity\Figure;
use PocketPlot\Quantity\Number;
use PocketPlot\Quantity\Source;

final class StorageRoom extends LineRule
{
    /** Cards of another kind that are named; more of them say nothing new. */
    private const MOST_WRONG = 12;

    public static function meta(): Meta
    {
        return new Meta(
            'software.storage',
            'The board\'s image and the games in the brief go onto a card that the board takes.',
            ['software.imageGb', 'storage.capacityGb'],
        );
    }

    protected function lines(Facts $facts): iterable
    {
        return $facts->with('software');
    }

    protected function ofLine(Line $line, Facts $facts): iterable
    {
        if ($line->part->software !== null) {
            yield $this->judge($line, $facts);
        }
    }

    private function judge(Line $board, Facts $facts): Finding
    {
        $software = $board->part->software ?? throw new \LogicException('only lines with software are judged');
        if ($software->card === 'built-in' && array_filter(
            $facts->with('storage'),
            static fn (Line $line): bool => $line->part->storage?->card === 'built-in',
        ) === []) {
            return $this->answer(Verdict::Fits, [$board], fn (): Words => new Words("What {$board->name()} runs is built in.", [], 'nothing to write'));
        }
        if ($software->card === '') {
            return $this->unmeasured($board, 'software.card', [], [], '', 'nobody can say what to write the system to');
        }
        $stores = array_values(array_filter($facts->with('storage'), static fn (Line $line): bool => $line->part->storage?->card === $software->card));
        if ($stores === []) {
            return $this->noStore($board, $software, $facts);
        }
        $store = $stores[0];
        $capacity = $store->part->storage->capacityGb ?? Figure::unknown('GB');
        $games = $facts->brief()->gamesGb ?? 0.0;
        $working = [
            $this->row("{$board->name()}, image", $software->imageGb),
            $this->row('Games', Figure::exactly($games, 'GB', Source::Brief)),
            $this->row("{$store->name()}", $capacity),
        ];
        if (! $software->imageGb->isKnown() && $software->card === 'built-in') {
            return $this->answer(
                Verdict::Fits,
                [$board],
                fn (): Words => new Words(
                    "What {$board->name()} runs is built in.",
                    [...$working, $this->text('What runs on it', 'built in, as usual of its kind', Source::Typical->value)],
                    'nothing to write',
                ),
            );
        }
        if (! $software->imageGb->isKnown()) {
            return $this->unmeasured($board, 'software.imageGb', [$store], array_slice($working, 1));
        }
        if (! $capacity->isKnown()) {
            return $this->unmeasured($store, 'storage.capacityGb', [$board], array_slice($working, 0, 2));
        }
        $need = $software->imageGb->most() + $games;
        $share = $capacity->least() > 0.0 ? $need / $capacity->least() : INF;
        $tightAt = $facts->margin('storage-share');
        $verdict = match (true) {
            $share > 1.0 => Verdict::Clash,
            $share > $tightAt => Verdict::Tight,
            default => Verdict::Fits,
        };

        return $this->answer($verdict, [$store, $board],
            fn (): Words => new Words(
                sprintf('Image and games need %s GB; %s has %s.', Number::says($need), $store->name(), $capacity->says()),
                $working,
                sprintf('%s %% full; above %s %% counts as tight', Number::says($share * 100), Number::says($tightAt * 100)),
                $verdict === Verdict::Fits
                    ? []
                    : [Remedy::swap($store->id, $store->role, 'Take a larger card'), Remedy::brief('Plan fewer games in the brief')],
            ));
    }

    private function noStore(Line $board, Software $software, Facts $facts): Finding
    {
        $wrong = array_slice($facts->with('storage'), 0, self::MOST_WRONG);

        return $this->answer($wrong === [] ? Verdict::Missing : Verdict::Clash, [$board, ...$wrong],
            fn (): Words => new Words($wrong === []
                ? "{$board->name()} starts from {$software->card}, and there is none in the parts list."
                : "{$board->name()} starts from {$software->card}; {$wrong[0]->name()} is something else.", [], 'nothing to write the image to', [
                    Remedy::add(Role::Storage, 'Add a card'),
                    ...array_map(static fn (Line $line): Remedy => Remedy::swap($line->id, $line->role, 'Take a card that goes in'), $wrong),
                ]));
    }
}
