<?php

declare(strict_types=1);

namespace PocketPlot\Check;

use PocketPlot\Facts\Facts;
use PocketPlot\Fit\Fitted;
use PocketPlot\Fit\Trouble;
use PocketPlot\Part\FigureRef;
use PocketPlot\Quantity\Source;

/** A rule about where the parts lie: it reads some kinds of trouble of the arrangement; without one it says nothing. */
abstract class FitRule extends WholeRule
{
    /** @return list<string> kinds of Trouble */
    abstract protected function kinds(): array;

    /** What it says where all holds; null when it does not concern this build. */
    abstract protected function fine(Fitted $fitted): ?string;

    final protected function ofWhole(Facts $facts): iterable
    {
        $fitted = $facts->fitted();
        if ($fitted === null || ! $fitted->isBegun()) {
            return;
        }
        $count = 0;
        foreach ($fitted->troubles as $trouble) {
            if (in_array($trouble->kind, $this->kinds(), true)) {
                $count++;
                yield $this->finding($trouble);
            }
        }
        $fine = $count === 0 && $fitted->isWhole() ? $this->fine($fitted) : null;
        if ($fine !== null) {
            $lines = array_map(static fn ($placed) => $placed->piece->line, $fitted->placed);
            yield $this->answer(Verdict::Fits, $lines, fn (): Words => new Words($fine, [
                $this->text('Pieces that have their place', (string) count($fitted->placed), 'worked out'),
            ], 'all of them held against it'), '', true);
        }
    }

    private function finding(Trouble $trouble): Finding
    {
        $piece = $trouble->piece;
        $lines = $trouble->other === null ? [$piece->line] : [$piece->line, $trouble->other->line];
        $about = implode('/', array_filter([
            $trouble->kind, $piece->number > 1 ? (string) $piece->number : '', $trouble->other?->key() ?? '', $trouble->what,
        ], static fn (string $some): bool => $some !== ''));
        if ($trouble->isOpen()) {
            if ($trouble->kind === 'travel-open') {
                return $this->unmeasured(
                    $piece->line, FigureRef::of('controls', 'travelMm'), $trouble->other === null ? [] : [$trouble->other->line], [], $about,
                    "nobody can say whether a press reaches {$trouble->other?->name()}",
                );
            }
            foreach ($piece->line->part->sockets as $one) {
                if ($one->outside && $one->face === '') {
                    return $this->unmeasured($piece->line, FigureRef::socket($one, 'face'), [], [], $about, 'nobody can say whether it stands at its opening');
                }
            }
        }

        return $this->answer($trouble->isClash() ? Verdict::Clash : Verdict::Tight, $lines, fn (): Words => new Words(
            TroubleSentence::of($trouble),
            [
                new WorkingLine($this->measured($trouble), round($trouble->mm, 2), 'mm', Source::WorkedOut->value),
                ...($trouble->wantedMm > 0.0 ? [new WorkingLine('Wanted', round($trouble->wantedMm, 2), 'mm', 'margin')] : []),
            ],
            $trouble->wantedMm > 0.0 ? self::n($trouble->mm).' mm, '.self::n($trouble->wantedMm).' mm wanted' : self::n($trouble->mm).' mm',
            [Remedy::byHand('Move or turn it on the page "Fit", or pin what is right and have the rest arranged.'), $this->swap($piece->line)],
        ), $about);
    }

    /** What the millimetres of a trouble are. */
    private function measured(Trouble $trouble): string
    {
        return match ($trouble->kind) {
            'overlap', 'rib', 'plug' => 'They share',
            'outside', 'zone' => 'It sticks out by',
            'lead' => 'The way is',
            'over-cell' => 'Over it by',
            'opening' => 'Beside its opening by',
            default => 'Between them',
        };
    }
}
