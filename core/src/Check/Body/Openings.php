<?php

declare(strict_types=1);

namespace PocketPlot\Check\Body;

use PocketPlot\Build\Line;
use PocketPlot\Check\Answers;
use PocketPlot\Check\Facts;
use PocketPlot\Check\Finding;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Rule;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\WorkingLine;
use PocketPlot\Constants;
use PocketPlot\Part\Opening;
use PocketPlot\Part\Socket;
use PocketPlot\Quantity\Number;

final class Openings implements Rule
{
    use Answers;

    public static function id(): string
    {
        return 'body.openings';
    }

    public static function sentence(): string
    {
        return 'Every socket that must be reached with the body closed has an opening its plug goes through.';
    }

    public function check(Facts $facts): iterable
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
                    yield $this->judge($line, $socket, $bodyLine, $body->cuttable, $free);
                }
            }
        }
    }

    /** @param  array<int, Opening>  $free openings nobody uses yet; the one found is taken out */
    private function judge(Line $line, Socket $socket, Line $bodyLine, bool $cuttable, array &$free): Finding
    {
        $about = $socket->name;
        $shell = Constants::PLUG_SHELL_MM[$socket->connector] ?? null;
        $need = new WorkingLine("Plug of the {$socket->name}", $shell === null ? $socket->connector : Number::says($shell[0]).' × '.Number::says($shell[1]), $shell === null ? '' : 'mm', 'datasheet');
        foreach ($free as $index => $opening) {
            if ($opening->connector !== $socket->connector) {
                continue;
            }
            unset($free[$index]);
            if (! $opening->widthMm->isKnown() || ! $opening->heightMm->isKnown() || $shell === null) {
                return $this->unmeasured($bodyLine, 'body.openings', [$line], [$need], $line->id.'/'.$about);
            }
            $margin = min($opening->widthMm->least() - $shell[0], $opening->heightMm->least() - $shell[1]);
            $hole = new WorkingLine("{$bodyLine->name()}, {$opening->name}", Number::says($opening->widthMm->least()).' × '.Number::says($opening->heightMm->least()), 'mm', $opening->widthMm->source->value);
            $verdict = match (true) {
                $margin >= Constants::OPENING_MARGIN_MM => Verdict::Fits,
                $margin >= 0.0 || $cuttable => Verdict::Tight,
                default => Verdict::Clash,
            };
            $says = match (true) {
                $verdict === Verdict::Fits => "The plug of {$line->name()}'s {$socket->name} goes through the {$opening->name}.",
                $margin >= 0.0 => sprintf("The plug of %s's %s goes through the %s with only %s mm to spare.", $line->name(), $socket->name, $opening->name, Number::says($margin)),
                $cuttable => sprintf('The %s has to be cut %s mm wider for the plug of %s.', $opening->name, Number::says(-$margin), $line->name()),
                default => sprintf('The plug of %s\'s %s is %s mm too large for the %s.', $line->name(), $socket->name, Number::says(-$margin), $opening->name),
            };

            return $this->answer($verdict, [$line, $bodyLine], $says, [$need, $hole], sprintf('%s mm to spare, %s mm wanted', Number::says($margin), Number::says(Constants::OPENING_MARGIN_MM)),
                $verdict === Verdict::Fits ? [] : $this->remedies($line, $bodyLine, $cuttable), $about);
        }

        return $this->answer($cuttable ? Verdict::Tight : Verdict::Clash, [$line, $bodyLine],
            $cuttable ? "An opening for the {$socket->name} of {$line->name()} has to be cut into {$bodyLine->name()}."
                : "{$bodyLine->name()} has no opening for the {$socket->name} of {$line->name()}, and cannot be cut.",
            [$need], 'no opening for it', $this->remedies($line, $bodyLine, $cuttable), $about);
    }

    /** @return list<Remedy> */
    private function remedies(Line $line, Line $bodyLine, bool $cuttable): array
    {
        return [
            ...($cuttable ? [Remedy::byHand('Cut it before anything is mounted: mark, drill the corners, saw, file. Clamp the work, wear eye protection, keep the dust out of your lungs.')] : []),
            Remedy::swap($bodyLine->id, $bodyLine->role, 'Take a body with an opening for it'),
            Remedy::swap($line->id, $line->role, "Take another part for {$line->name()}"),
        ];
    }
}
