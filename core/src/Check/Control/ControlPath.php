<?php

declare(strict_types=1);

namespace PocketPlot\Check\Control;

use PocketPlot\Build\Line;
use PocketPlot\Check\Finding;
use PocketPlot\Check\LineRule;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\Words;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Controls;
use PocketPlot\Part\PadMode;
use PocketPlot\Part\Role;
use PocketPlot\Part\Sits;

final class ControlPath extends LineRule
{
    public static function meta(): Meta
    {
        return new Meta(
            'control.path',
            'What is pressed reaches the computer: by its pins, a controller board, a lead or the air.',
            ['controls.speaks', 'pins.does'],
        );
    }

    protected function lines(Facts $facts): iterable
    {
        return $facts->with('controls');
    }

    protected function ofLine(Line $line, Facts $facts): iterable
    {
        $board = $facts->board();
        if ($board === null) {
            return;
        }
        if ($line->part->controls !== null) {
            yield $this->judge($line, $line->part->controls, $board, $facts);
        }
    }

    private function judge(Line $line, Controls $controls, Line $board, Facts $facts): Finding
    {
        if ($line->id === $board->id || in_array('own', $controls->speaks, true)) {
            return $this->answer(
                Verdict::Fits,
                [$line],
                fn (): Words => new Words("{$line->name()} brings its controls wired.", [$this->text('Way', 'its own')], 'nothing to join'),
            );
        }
        if ($controls->speaks === []) {
            return $this->unmeasured($line, 'controls.speaks', [$board]);
        }
        $tried = [];
        foreach ($controls->speaks as $way) {
            [$through, $note] = $this->way($way, $line, $controls, $board, $facts);
            if ($through instanceof Finding) {
                return $through;
            }
            $tried[] = $this->text("by {$way}", $note);
            if ($through !== null) {
                return $this->answer(
                    Verdict::Fits,
                    [$line, $through],
                    fn (): Words => new Words(
                        "{$line->name()} reaches "
                            .($through->id === $board->id ? $board->name() : "{$board->name()} through {$through->name()}")
                            .' by '
                            .($way === 'pins' ? 'its pins' : $way)
                            .'.',
                        $tried,
                        $note,
                    ),
                );
            }
        }

        return $this->answer(Verdict::Missing, [$line, $board], fn (): Words => new Words(
            "{$line->name()} speaks ".implode(' or ', $controls->speaks).', and nothing here listens.',
            $tried,
            'no way to the computer',
            [
                $this->swap($line, 'Take controls that the board hears'),
                Remedy::add(Role::Controls, 'Add a controller board'),
                Remedy::add(Role::Cable, 'Add a USB Wi-Fi and Bluetooth adapter, or a hub'),
                $this->swap($board, 'Take a board that hears them'),
            ]));
    }

    /** A controller board, an old handheld's own, or a pad's board: what a membrane can be pressed onto. */
    private static function hasContacts(Line $line, Controls $controls): bool
    {
        return $controls->boardName !== '' || in_array('own', $controls->speaks, true)
            || ($controls->players > 0 && $controls->padMode === PadMode::Pad && $line->part->sits === Sits::Inside);
    }

    /** @return array{Line|Finding|null, string} who listens, or that nobody knows; and what to say of it */
    private function way(string $way, Line $line, Controls $controls, Line $board, Facts $facts): array
    {
        $hears = static fn (Line $other): bool => $other->id !== $line->id;
        if ($way === 'usb') {
            foreach ($facts->with('sockets') as $other) {
                foreach ($hears($other) && $other->part->hostsUsb() ? $other->part->sockets : [] as $socket) {
                    if ($socket->carries === 'usb' && $socket->gives()) {
                        return [$other, 'no solder; a few milliseconds of lag'];
                    }
                }
            }

            return [null, 'no usb socket'];
        }
        if ($way === 'pins') {
            $others = array_values(array_filter($facts->with('pins'), $hears));
            if ($others === [] && $board->part->pins === null) {
                return [$this->unmeasured($board, 'pins.does', [$line], [], $line->id, 'nobody can say whether the controls can be wired to it'), ''];
            }

            return [$others[0] ?? null, $others === [] ? 'no pins' : 'solder; no lag worth naming'];
        }
        if ($way === 'membrane') {
            foreach ($facts->with('controls') as $other) {
                $mates = $other->part->controls;
                if ($hears($other) && $mates !== null && self::hasContacts($other, $mates)) {
                    return [$other, 'pressed onto a controller board'];
                }
            }

            return [null, 'no controller board'];
        }
        foreach ($facts->with('radio') as $other) {
            if ($hears($other) && in_array($way, $other->part->radio, true)) {
                return [$other, 'no wire; some lag, a cell of its own to charge, and it has to be paired'];
            }
        }

        return [null, "nobody here speaks {$way}"];
    }
}
