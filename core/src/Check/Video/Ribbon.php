<?php

declare(strict_types=1);

namespace PocketPlot\Check\Video;

use PocketPlot\Build\Line;
use PocketPlot\Check\Finding;
use PocketPlot\Check\LineRule;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\Words;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\FigureRef;
use PocketPlot\Part\Role;
use PocketPlot\Part\Socket;

final class Ribbon extends LineRule
{
    public static function meta(): Meta
    {
        return new Meta(
            'video.ribbon',
            'Ribbons agree in the number of contacts, their pitch and the side they are on.',
            ['socket.pitchMm', 'socket.side', 'cable.sides'],
        );
    }

    protected function lines(Facts $facts): iterable
    {
        return $facts->filling(Role::Display);
    }

    protected function ofLine(Line $display, Facts $facts): iterable
    {
        $board = $facts->board();
        if ($board === null) {
            return;
        }
        if ($display->id === $board->id) {
            return;
        }
        foreach ($display->part->sockets as $takes) {
            if (! $takes->isRibbon() || ! $takes->takes()) {
                continue;
            }
            foreach ([$board, ...$facts->with('sockets')] as $giver) {
                $gives = $giver->id === $display->id ? null : self::partner($giver, $takes);
                if ($gives !== null) {
                    yield $this->judge($giver, $gives, $display, $takes, $facts);

                    break;
                }
            }
        }
    }

    private static function partner(Line $board, Socket $takes): ?Socket
    {
        foreach ($board->part->sockets as $gives) {
            if ($gives->gives() && $gives->isRibbon() && $gives->carries === $takes->carries) {
                return $gives;
            }
        }

        return null;
    }

    private function judge(Line $board, Socket $gives, Line $display, Socket $takes, Facts $facts): Finding
    {
        $lead = self::leadBetween($gives, $takes, $facts);
        $lines = $lead === null ? [$display, $board] : [$display, $board, $lead];
        $working = [$this->text("{$board->name()}, {$gives->name}", self::says($gives)), $this->text("{$display->name()}, {$takes->name}", self::says($takes))];
        $remedies = [
            $this->swap($display, 'Take the variant whose ribbon goes into this board'),
            Remedy::add(Role::Cable, 'Add a ribbon adapter or another ribbon'),
            ...($lead === null ? [] : [$this->swap($lead, 'Take another ribbon')]),
        ];
        $about = $takes->name;
        $clash = fn (string $says, string $why): Finding => $this->answer(
            Verdict::Clash,
            $lines,
            fn (): Words => new Words($says, $working, $why, $remedies),
            $about,
        );
        if ($lead === null && self::contacts($gives) !== self::contacts($takes)) {
            $says = 'The ribbon of %s has %d contacts, the socket of %s %d.';

            return $clash(sprintf($says, $display->name(), self::contacts($takes), $board->name(), self::contacts($gives)), 'contacts differ');
        }
        foreach ([[$board, $gives], [$display, $takes]] as [$owner, $socket]) {
            // One kind of socket by its name and count has one pitch, unless somebody measured two.
            if (! $socket->pitchMm->isKnown() && ! ($gives->connector === $takes->connector && ($gives->pitchMm->isKnown() || $takes->pitchMm->isKnown()))) {
                return $this->unmeasured($owner, FigureRef::socket($socket, 'pitchMm'), [$owner === $board ? $display : $board], $working, $about.'/pitch');
            }
            if ($socket->side === '' && ! $takes->ownLead) {
                return $this->unmeasured($owner, FigureRef::socket($socket, 'side'), [$owner === $board ? $display : $board], $working, $about.'/side');
            }
        }
        if ($lead === null && $gives->pitchMm->isKnown() && $takes->pitchMm->isKnown() && abs($gives->pitchMm->usual() - $takes->pitchMm->usual()) > 0.01) {
            $says = 'The ribbon of %s has its contacts %s mm apart, the socket of %s %s mm.';

            return $clash(sprintf($says, $display->name(), $takes->pitchMm->saysBand(), $board->name(), $gives->pitchMm->saysBand()), 'pitch differs');
        }
        $sides = $lead === null ? 'same' : ($lead->part->cable->sides ?? '');
        if ($lead !== null) {
            if ($sides === '') {
                return $this->unmeasured($lead, 'cable.sides', [$display, $board], $working, $about);
            }
            $working[] = $this->text("{$lead->name()}, contacts of both ends", "{$sides} side");
        }
        $agree = $gives->side === '' || $takes->side === '' || ($gives->side === $takes->side) === ($sides === 'same');

        return $this->answer($agree ? Verdict::Fits : Verdict::Clash, $lines,
            fn (): Words => new Words(
                $agree
                    ? "The ribbon of {$display->name()} goes into {$board->name()}: count, pitch and side agree."
                    : "The contacts face the wrong way: {$board->name()} has them on the {$gives->side}, {$display->name()} on the {$takes->side}.",
                $working,
                $agree ? 'count, pitch and side agree' : 'side differs',
                $remedies,
            ), $about);
    }

    private static function leadBetween(Socket $gives, Socket $takes, Facts $facts): ?Line
    {
        foreach ($facts->with('cable') as $line) {
            if ($line->part->cable?->joins($gives->connector, $takes->connector, $takes->carries) === true) {
                return $line;
            }
        }

        return null;
    }

    private static function contacts(Socket $socket): int
    {
        return $socket->contacts ?? (int) substr($socket->connector, strlen('ribbon-'));
    }

    private static function says(Socket $socket): string
    {
        return self::contacts($socket)
            .' contacts, '
            .($socket->pitchMm->isKnown() ? $socket->pitchMm->says().' apart' : 'pitch unknown')
            .', on the '
            .($socket->side === '' ? 'unknown side' : $socket->side);
    }
}
