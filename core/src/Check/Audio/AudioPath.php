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
            yield $this->answer(Verdict::Clash, [...$facts->with('speaker'), $board], fn (): Words => new Words($facts->with('speaker') === []
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
                Verdict::Clash,
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

    private function judge(Line $amp, Line $board, Facts $facts): Finding
    {
        $takes = array_values(
            array_filter($amp->part->sockets, static fn (Socket $socket): bool => $socket->takes() && in_array($socket->carries, self::SIGNALS, true)),
        );
        $wantsPins = isset($amp->part->pinNeeds?->wants['i2s']) || isset($amp->part->pinNeeds?->wants['audio']);
        if ($takes === [] && ! $wantsPins) {
            return $this->unmeasured($amp, 'sockets.audio', [$board]);
        }
        if ($wantsPins) {
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
        }
        $working = [$this->text("{$amp->name()} takes", implode(', ', array_map(static fn (Socket $s): string => "{$s->carries} at {$s->connector}", $takes)))];
        $near = null;
        foreach ([$board, ...$facts->with('sockets')] as $giver) {
            foreach ($giver->part->sockets as $gives) {
                foreach ($giver->id !== $amp->id && $gives->gives() ? $takes : [] as $socket) {
                    $lead = Leads::between($facts->with('cable'), $gives, $socket);
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

        return $this->answer(Verdict::Clash, [$amp, $near ?? $board], fn (): Words => new Words($near === null
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
}
