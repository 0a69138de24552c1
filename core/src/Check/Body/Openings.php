<?php

declare(strict_types=1);

namespace PocketPlot\Check\Body;

use PocketPlot\Build\Line;
use PocketPlot\Build\Origin;
use PocketPlot\Check\Finding;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\WholeRule;
use PocketPlot\Check\Words;
use PocketPlot\Check\WorkingLine;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\FigureRef;
use PocketPlot\Part\Opening;
use PocketPlot\Part\Role;
use PocketPlot\Part\Socket;
use PocketPlot\Quantity\Constants;

final class Openings extends WholeRule
{
    public static function meta(): Meta
    {
        return new Meta(
            'body.openings',
            'Every socket that must be reached with the body closed meets an opening on its side that its plug goes through.',
            ['body.openings', 'socket.offsetMm'],
        );
    }

    protected function ofWhole(Facts $facts): iterable
    {
        $bodyLine = $facts->bodyLine();
        $body = $bodyLine?->part->body;
        if ($bodyLine === null || $body === null || $body->drawn) {
            // A body drawn around its parts gets its openings with them.
            return;
        }
        $free = $body->openings;
        foreach ($facts->inBody() as $line) {
            foreach ($line->part->sockets as $socket) {
                if ($socket->outside) {
                    yield $this->judge($line, $socket, $bodyLine, $body->cuttable, $free, $facts);
                }
            }
        }
    }

    /** Out of the same box. */
    private function comesWith(Line $line, Line $bodyLine): bool
    {
        return $line === $bodyLine || ($bodyLine->part->kit !== null && $line->origin === Origin::Gift);
    }

    /** @param  array<int, Opening>  $free openings nobody uses yet; the one found is taken out */
    private function judge(Line $line, Socket $socket, Line $bodyLine, bool $cuttable, array &$free, Facts $facts): Finding
    {
        $about = $socket->name;
        $shell = Constants::PLUG_SHELL_MM[$socket->connector] ?? null;
        $need = new WorkingLine(
            "Plug of the {$socket->name}",
            $shell === null ? $socket->connector : self::n($shell[0]).' × '.self::n($shell[1]),
            $shell === null ? '' : 'mm',
            'datasheet',
        );
        $index = $this->find($socket, $free);
        if ($index === null && ! $cuttable && ($bodyLine->part->body->openings ?? []) === []) {
            return $this->comesWith($line, $bodyLine)
                ? $this->answer(Verdict::Fits, [$line, $bodyLine], fn (): Words => new Words(
                    "{$bodyLine->name()} was made for {$line->name()}.", [$need], 'one kit',
                ), $about)
                : $this->unmeasured($bodyLine, FigureRef::of('body', 'openings', $socket->connector), [$line], [$need], $line->id.'/'.$about);
        }
        if ($index === null) {
            return $this->answer($cuttable ? Verdict::Tight : Verdict::Clash, [$line, $bodyLine],
                fn (): Words => new Words($cuttable ? "An opening for the {$socket->name} of {$line->name()} has to be cut into {$bodyLine->name()}."
                    : "{$bodyLine->name()} has no opening for the {$socket->name} of {$line->name()}, and cannot be cut.",
                    [$need],
                    'no opening for it',
                    $this->remedies($line, $bodyLine, $cuttable)), $about);
        }
        $opening = $free[$index];
        unset($free[$index]);

        return $this->through($line, $socket, $bodyLine, $cuttable, $opening, $need, $facts);
    }

    /** Whether the plug of a socket goes through its opening. */
    private function through(Line $line, Socket $socket, Line $bodyLine, bool $cuttable, Opening $opening, WorkingLine $need, Facts $facts): Finding
    {
        $about = $socket->name;
        $shell = Constants::PLUG_SHELL_MM[$socket->connector] ?? null;
        if (! $opening->widthMm->isKnown() || ! $opening->heightMm->isKnown() || $shell === null) {
            return $this->unmeasured($bodyLine, FigureRef::of('body', 'openings', $opening->name), [$line], [$need], $line->id.'/'.$about);
        }
        $working = [
            $need,
            new WorkingLine(
                "{$bodyLine->name()}, {$opening->name}",
                self::n($opening->widthMm->least()).' × '.self::n($opening->heightMm->least()),
                'mm',
                $opening->widthMm->source->value,
            ),
        ];
        $wanted = $facts->margin('opening-mm');
        $margin = min($opening->widthMm->least() - $shell[0], $opening->heightMm->least() - $shell[1]);
        if ($margin >= 0.0 && ! $opening->offsetMm->isKnown() && $socket->offsetMm->isKnown() && ! $cuttable && ! $this->comesWith($line, $bodyLine)) {
            return $this->unmeasured($bodyLine, FigureRef::of('body', 'openings', $opening->name), [$line], $working, $line->id.'/'.$about,
                "nobody can say whether the {$socket->name} lines up with it");
        }
        if ($margin < 0.0 || ! $opening->offsetMm->isKnown()) {
            return $this->bySize($margin, $wanted, $line, $socket, $bodyLine, $opening, $cuttable, $working, $about);
        }
        // An opening whose place is fixed meets the socket only where the part's own drawing says so.
        if (! $socket->offsetMm->isKnown()) {
            return $this->unmeasured(
                $line,
                FigureRef::socket($socket, 'offsetMm'),
                [$bodyLine],
                $working,
                $about,
                "nobody can say whether it lines up with the {$opening->name}",
            );
        }
        [$beside, $working] = $this->beside($margin, $line, $socket, $bodyLine, $opening, $cuttable, $working, $facts);

        return $beside ?? $this->bySize($margin, $wanted, $line, $socket, $bodyLine, $opening, $cuttable, $working, $about);
    }

    /**
     * What stands too far beside its opening; null when it meets it.
     *
     * @param  list<WorkingLine>  $working
     * @return array{?Finding, list<WorkingLine>} with the working so far
     */
    private function beside(float $margin, Line $line, Socket $socket, Line $bodyLine, Opening $opening, bool $cuttable, array $working, Facts $facts): array
    {
        $off = abs($opening->offsetMm->usual() - $socket->offsetMm->usual());
        $may = $margin / 2 + $facts->margin('offset-mm');
        $working = [
            ...$working,
            $this->row("{$socket->name}, from the middle of its edge", $socket->offsetMm),
            $this->row("{$opening->name}, from the middle", $opening->offsetMm),
        ];
        $finding = $off <= $may
            ? null
            : $this->answer($cuttable ? Verdict::Tight : Verdict::Clash, [$line, $bodyLine],
                fn (): Words => new Words(
                    sprintf(
                        'The %s of %s sits %s mm beside the %s%s',
                        $socket->name,
                        $line->name(),
                        self::n($off),
                        $opening->name,
                        $cuttable ? '; it has to be cut wider or the part moved.' : '.',
                    ),
                    $working,
                    sprintf('%s mm beside, %s mm may be', self::n($off), self::n($may)),
                    [...$this->remedies($line, $bodyLine, $cuttable), Remedy::add(Role::Cable, 'Bring the socket to the opening with a short extension')],
                ), $socket->name);

        return [$finding, $working];
    }

    /** @param  list<WorkingLine>  $working */
    private function bySize(
        float $margin,
        float $wanted,
        Line $line,
        Socket $socket,
        Line $bodyLine,
        Opening $opening,
        bool $cuttable,
        array $working,
        string $about,
    ): Finding {
        $verdict = $margin < 0.0 && $cuttable ? Verdict::Tight : self::byMargin($margin, $wanted);

        return $this->answer($verdict, [$line, $bodyLine], fn (): Words => new Words(match (true) {
            $verdict === Verdict::Fits => "The plug of {$line->name()}'s {$socket->name} goes through the {$opening->name}.",
            $margin >= 0.0 => sprintf(
                "The plug of %s's %s goes through the %s with only %s mm to spare.",
                $line->name(),
                $socket->name,
                $opening->name,
                self::n($margin),
            ),
            $cuttable => sprintf('The %s has to be cut %s mm wider for the plug of %s.', $opening->name, self::n(-$margin), $line->name()),
            default => sprintf('The plug of %s\'s %s is %s mm too large for the %s.', $line->name(), $socket->name, self::n(-$margin), $opening->name),
        }, $working, sprintf('%s mm to spare, %s mm wanted', self::n($margin), self::n($wanted)), $this->remedies($line, $bodyLine, $cuttable)), $about);
    }

    /** @param  array<int, Opening>  $free */
    private function find(Socket $socket, array $free): ?int
    {
        $any = null;
        foreach ($free as $index => $opening) {
            if ($opening->connector !== $socket->connector) {
                continue;
            }
            if ($socket->face === '' || $opening->face === '' || $opening->face === $socket->face) {
                return $index;
            }
            // On another side: the part may still be turned.
            $any ??= $index;
        }

        return $any;
    }

    /** @return list<Remedy> */
    private function remedies(Line $line, Line $bodyLine, bool $cuttable): array
    {
        return [
            ...($cuttable
                ? [
                    Remedy::byHand(
                        'Cut it before anything is mounted: mark, drill the corners, saw, file. Clamp the work, wear eye protection, keep the dust out of your lungs.',
                    ),
                ]
                : []),
            $this->swap($bodyLine, 'Take a body with an opening for it'),
            $this->swap($line),
        ];
    }
}
