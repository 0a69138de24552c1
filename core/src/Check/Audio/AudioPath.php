<?php

declare(strict_types=1);

namespace PocketPlot\Check\Audio;

use PocketPlot\Build\Line;
use PocketPlot\Check\Finding;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\WholeRule;
use PocketPlot\Check\Words;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Role;
use PocketPlot\Part\Socket;
use PocketPlot\Wiring\Leads;

final class AudioPath extends WholeRule
{
    public const SIGNALS = ['analogue-audio', 'i2s', 'usb-audio', 'hdmi-audio'];

    public static function meta(): Meta
    {
        return new Meta('audio.path', 'Sound travels from the board through an amplifier to something that can be heard.', ['sockets.audio']);
    }

    protected function ofWhole(Facts $facts): iterable
    {
        $board = $facts->board();
        $amps = $facts->with('amp');
        $wanted = array_intersect(['sound', 'stereo', 'headphones'], $facts->brief()->mustHaves) !== [];
        if ($board === null || ($amps === [] && $facts->with('speaker') === [] && ! $wanted)) {
            return;
        }
        $alone = array_values(array_filter($facts->with('speaker'), fn (Line $line): bool => $this->hearsByItself($line, $board, $facts)));
        if ($amps === [] && $alone !== [] && count($alone) === count($facts->with('speaker'))) {
            yield $this->answer(Verdict::Fits, [...$alone, $board], fn (): Words => new Words(
                "{$alone[0]->name()} needs no amplifier.",
                [],
                'driven by pins, heard over the air, or plugged into a headphone socket',
            ));

            return;
        }
        if ($amps === []) {
            $heard = $this->socketsGiving($facts, ['speaker', 'headphones']);
            if ($heard !== null) {
                yield $this->answer(
                    Verdict::Fits,
                    [$heard, ...$facts->with('speaker')],
                    fn (): Words => new Words(
                        "{$heard->name()} drives its own sound.",
                        [$this->text($heard->name(), 'amplifier on board')],
                        'nothing more needed',
                    ),
                );

                return;
            }
            yield $this->answer(Verdict::Missing, [...$facts->with('speaker'), $board], fn (): Words => new Words($facts->with('speaker') === []
                ? 'The brief wants sound, and nothing in the parts list makes any.'
                : "{$facts->with('speaker')[0]->name()} has no amplifier to drive it.", [], 'no amplifier', [
                    Remedy::add(Role::Sound, 'Add an amplifier'), Remedy::brief('Leave the sound out of the brief'),
                ]));

            return;
        }
        foreach ($amps as $amp) {
            yield $this->judge($amp, $board, $facts);
        }
        if ($facts->with('speaker') === [] && $this->socketsGiving($facts, ['headphones']) === null) {
            yield $this->answer(
                Verdict::Missing,
                [$amps[0]],
                fn (): Words => new Words(
                    "{$amps[0]->name()} has nothing to drive: no loudspeaker and no headphone socket.",
                    [],
                    'nothing to hear it with',
                    [Remedy::add(Role::Sound, 'Add a loudspeaker')],
                ),
                'ends',
            );
        }
    }

    /**
     * A computer's USB socket carries sound like anything else.
     *
     * @return list<Line>|null no lead needed, or null where it does not fit
     */
    private static function overUsb(Socket $gives, Socket $takes): ?array
    {
        return $gives->carries === 'usb' && $takes->carries === 'usb-audio' && $takes->ownLead && $gives->connector === $takes->connector ? [] : null;
    }

    /** A piezo on pins, radio earphones, or earphones with a socket that they go into. */
    private function hearsByItself(Line $line, Line $board, Facts $facts): bool
    {
        if ($line->part->speaker?->piezo === true || array_intersect($line->part->radio, $board->part->radio) !== []) {
            return true;
        }
        foreach ($line->part->sockets as $takes) {
            foreach ($takes->carries === 'headphones' && $takes->takes() ? $facts->with('sockets') : [] as $other) {
                foreach ($other->part->sockets as $gives) {
                    if ($gives->gives() && $gives->carries === 'headphones' && $gives->connector === $takes->connector) {
                        return true;
                    }
                }
            }
        }

        return false;
    }

    private function judge(Line $amp, Line $board, Facts $facts): Finding
    {
        $takes = array_values(
            array_filter($amp->part->sockets, static fn (Socket $socket): bool => $socket->takes() && in_array($socket->carries, self::SIGNALS, true)),
        );
        $wantsPins = isset($amp->part->pinNeeds?->wants['i2s']) || isset($amp->part->pinNeeds?->wants['audio']);
        if ($takes === [] && self::isMonitor($amp)) {
            return $this->answer(
                Verdict::Fits,
                [$amp, $board],
                fn (): Words => new Words(
                    "{$amp->name()} hears {$board->name()} with the picture.",
                    [$this->text('Way', 'hdmi')],
                    'sound comes with the picture',
                ),
            );
        }
        if ($takes === [] && ! $wantsPins) {
            return $this->unmeasured($amp, 'sockets.audio', [$board]);
        }
        $byPins = $wantsPins ? $this->byPins($amp, $facts) : null;
        if ($byPins !== null) {
            return $byPins;
        }
        $working = [$this->text("{$amp->name()} takes", implode(', ', array_map(static fn (Socket $s): string => "{$s->carries} at {$s->connector}", $takes)))];
        $near = null;
        foreach ([$board, ...$facts->with('sockets')] as $giver) {
            foreach ($giver->part->sockets as $gives) {
                foreach ($giver->id !== $amp->id && $gives->gives() ? $takes : [] as $socket) {
                    $lead = Leads::between($facts->with('cable'), $gives, $socket) ?? self::overUsb($gives, $socket);
                    if ($lead !== null) {
                        return $this->answer(
                            Verdict::Fits,
                            [$amp, $giver, ...$lead],
                            fn (): Words => new Words("{$amp->name()} hears {$giver->name()} by {$socket->carries}.", $working, 'a way was found'),
                        );
                    }
                    $near = $gives->carries === $socket->carries ? $giver : $near;
                }
            }
        }

        return $this->answer($near === null ? Verdict::Clash : Verdict::Missing, [$amp, $near ?? $board], fn (): Words => new Words($near === null
            ? "{$board->name()} gives no sound that {$amp->name()} understands."
            : "No lead goes from {$near->name()} to {$amp->name()}.", $working, $near === null ? 'no signal in common' : 'the lead is missing', [
                $this->swap($amp, 'Take an amplifier that the board can feed'),
                Remedy::add(Role::Cable, 'Add a lead or a USB sound adapter'),
                $this->swap($board, 'Take a board with that output'),
            ]));
    }

    /** @param  list<string>  $signals */
    private function socketsGiving(Facts $facts, array $signals): ?Line
    {
        foreach ($facts->with('sockets') as $line) {
            foreach ($line->part->sockets as $socket) {
                if ($socket->gives() && in_array($socket->carries, $signals, true)) {
                    return $line;
                }
            }
        }

        return null;
    }

    private function byPins(Line $amp, Facts $facts): ?Finding
    {
        $by = isset($amp->part->pinNeeds?->wants['i2s']) ? 'i2s' : 'audio';
        $hosts = array_values(
            array_filter(
                $facts->with('pins'),
                static fn (Line $line): bool => array_filter(
                    $line->part->pins->does ?? [],
                    static fn (array $does): bool => in_array($by, $does, true),
                ) !== [],
            ),
        );
        if ($hosts !== []) {
            return $this->answer(
                Verdict::Fits,
                [$amp, $hosts[0]],
                fn (): Words => new Words("{$amp->name()} hears {$hosts[0]->name()} over its {$by} pins.", [$this->text('Way', "{$by} pins")], 'by pins'),
            );
        }

        return null;
    }

    /** Its loudspeakers hear what comes with the picture. */
    private static function isMonitor(Line $line): bool
    {
        foreach ($line->part->panel === null ? [] : $line->part->sockets as $socket) {
            if ($socket->carries === 'hdmi' && $socket->takes()) {
                return true;
            }
        }

        return false;
    }
}
