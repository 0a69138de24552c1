<?php

declare(strict_types=1);

namespace PocketPlot\WhatIf;

use PocketPlot\Build\Build;
use PocketPlot\Build\Line;
use PocketPlot\Check\Finding;
use PocketPlot\Check\Phrase;
use PocketPlot\Check\Verdict;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Role;
use PocketPlot\Part\Socket;
use PocketPlot\Part\Typical;
use PocketPlot\Power\Feed;
use PocketPlot\Power\Wire;
use PocketPlot\Quantity\Constants;
use PocketPlot\Quantity\Figure;
use PocketPlot\Quantity\Number;

/**
 * Names what is missing: for a finding that something is not there, or that nothing at hand mends, the part that would do,
 * as figures worked out from this build.
 */
final readonly class Needs
{
    /** Volts that supplies and converters are commonly sold for. */
    private const VOLTS = [3.3, 5.0, 9.0, 12.0, 15.0, 19.0, 24.0];

    /** Milliamps that fuses are commonly sold for. */
    private const FUSES_MA = [500.0, 1000.0, 2000.0, 3000.0, 5000.0, 7500.0, 10000.0, 15000.0, 20000.0, 30000.0];

    /** Gigabytes that cards are sold in. */
    private const CARDS_GB = [8.0, 16.0, 32.0, 64.0, 128.0, 256.0, 512.0];

    /** Gauges (AWG) that leads are sold in, thin to thick. */
    private const GAUGES = [28.0, 26.0, 24.0, 22.0, 20.0, 18.0, 16.0];

    /** More than the sum of the peaks, since nobody wants to run a part at its limit. */
    private const TO_SPARE = 1.15;

    /** A fuse carries three quarters of what is printed on it for good, as its makers' curves have it. */
    private const FUSE_TIMES = 1.25;

    /** A protection board near empty: the sag of the cells and a third to spare. */
    private const GUARD_TIMES = 1.3;

    /** Capacity that cells of one kind differ by. */
    private const CELLS_DIFFER = 1.06;

    /** Share of the wire's allowed loss that a lead is chosen for: plugs wear. */
    private const LEAD_SHARE = 0.8;

    private Build $build;

    public function __construct(private Facts $facts)
    {
        $this->build = $facts->build;
    }

    /** @return list<Need> none where what is wanted cannot be put into figures */
    public function of(Finding $finding): array
    {
        if (! $finding->verdict->isFault() && $finding->verdict !== Verdict::Unmeasured) {
            return [];
        }
        $line = $finding->lines === [] ? null : $this->build->line($finding->lines[0]);
        $need = match ($finding->rule) {
            'power.supply-window', 'power.in-play', 'power.converter-headroom' => $line === null ? null : $this->power($line),
            'power.rail-current' => $this->stronger($finding),
            'power.keep-awake' => $line === null ? null : $this->awake($line),
            'audio.path' => $line === null ? null : $this->amplifier($line),
            'power.charger-match' => $this->charger($finding),
            'power.lead' => $this->lead($finding, 300.0, null),
            'power.cable-drop' => $this->lead($finding, null, $finding->subject->feed === null ? null : $this->facts->leadOf($finding->subject->feed)),
            'power.cable-ends' => $this->flatLead(),
            'video.path' => $this->pictureLead($finding),
            'software.programming' => $line === null ? null : $this->dataLead($line),
            'power.short-circuit' => $line === null ? null : $this->fuse($line),
            'power.cell-protection', 'power.deep-discharge' => $line === null ? null : $this->guard($line),
            'power.runtime' => $line === null ? null : $this->pack($line),
            'software.storage' => $this->card($finding),
            'software.safe-shutdown' => $this->warning(),
            'control.board-fit' => $line === null ? null : $this->controllerBoard($line, $finding->about),
            'whole.missing-role' => $this->role($finding->about),
            'people.tools' => $line === null ? null : $this->tool($line),
            default => null,
        };

        return $need === null ? [] : [$need];
    }

    /** A converter between the pack and what it does not suit; a bank where there is no pack at all. */
    private function power(Line $line): ?Need
    {
        $feed = $this->mainFeed($line);
        $input = $feed->input ?? $line->part->supply;
        if ($line->part->isConverter() && $line->part->outputs !== []) {
            // The converter does not get what it wants: another one has to make the same from what there is.
            $output = $line->part->outputs[0];

            return $output->volts->isKnown()
                ? $this->converter($output->volts->usual(), $this->wattsBehind($line), "what {$line->name()} is to make")->insteadOf($line)
                : null;
        }
        if ($input === null || ! $input->volts->isKnown()) {
            return null;
        }
        $volts = self::standard($input->leastVolts() ?? $input->volts->least(), $input->volts->most(), $input->nominalV);
        $watts = max($input->peakWatts()->most ?? 0.0, $input->watts()->most ?? 0.0) * $line->quantity;
        if ($feed !== null) {
            // With what hangs on the part in its turn: a pad and a panel at a board's sockets.
            [$usual, $peak] = $this->facts->demandOf($feed);
            $watts = max($watts, $usual->most ?? 0.0, $peak->most ?? 0.0);
        }

        return $this->converter($volts, $watts, "{$line->name()} needs {$input->volts->says()}");
    }

    private function converter(float $volts, float $watts, string $why): Need
    {
        $milliamps = self::up($watts / $volts * 1000 * self::TO_SPARE, 100.0);
        $source = $this->rawPack();
        $gives = $source === null ? null : $this->facts->rail("{$source->id}:pack")?->volts;
        if ($source === null || $gives === null || ! $gives->isKnown()) {
            return new Need(Role::Cells, 'power bank', [
                ['what' => 'gives', 'says' => self::n($volts).' V', 'why' => $why],
                ['what' => '', 'says' => self::n($milliamps).' mA or more', 'why' => 'all peaks at once, and a little to spare'],
                ...$this->energyWanted($watts),
            ], [
                'pack' => ['chemistry' => 'Li-ion', 'series' => 1, 'sealed' => true, 'protection' => 'built-in', ...$this->capacity($watts)],
                'outputs' => [['name' => 'socket', 'volts' => $volts, 'continuousMa' => $milliamps, 'switchOffMa' => 0]],
            ], ['sits' => 'outside']);
        }
        $topology = match (true) {
            $gives->most() < $volts => 'boost',
            $gives->least() > $volts + Typical::DROPOUT_V[1] => 'buck',
            default => 'buck-boost',
        };

        return new Need(Role::Regulator, "{$topology} converter", [
            ['what' => 'takes', 'says' => $gives->says(), 'why' => "{$source->name()} from empty to full"],
            ['what' => 'gives', 'says' => self::n($volts).' V', 'why' => $why],
            ['what' => '', 'says' => self::n($milliamps).' mA or more', 'why' => 'the peak, and a little to spare'],
            ...$this->noHigher(),
        ], [
            'supply' => ['volts' => ['least' => $gives->least(), 'most' => $gives->most()]],
            'outputs' => [[
                'name' => self::n($volts).' V', 'volts' => $volts, 'continuousMa' => $milliamps, 'peakMa' => $milliamps, 'topology' => $topology,
                ...($topology === 'buck' ? ['dropoutV' => round($gives->least() - $volts - 0.1, 2)] : []),
            ]],
        ]);
    }

    /** A converter like the one there is that bears what hangs on it. */
    private function stronger(Finding $finding): ?Need
    {
        $rail = $finding->subject->rail;
        if ($rail === null) {
            return null;
        }
        $watts = max($rail->watts->most ?? 0.0, $rail->peakWatts->most ?? 0.0);

        return ! $rail->line->part->isConverter() || ! $rail->volts->isKnown() || $watts <= 0.0
            ? null
            : $this->converter($rail->volts->usual(), $watts, "what hangs on {$rail->says()}")->insteadOf($rail->line);
    }

    /** The same bank, but for its habit of going to sleep. */
    private function awake(Line $bank): Need
    {
        $facets = self::map($bank->part->raw['facets'] ?? null);
        $outputs = [];
        foreach (is_array($facets['outputs'] ?? null) ? $facets['outputs'] : [] as $output) {
            $outputs[] = [...self::map($output), 'switchOffMa' => 0];
        }
        $rail = $this->facts->railsOf($bank)[0] ?? null;
        $least = $rail === null ? null : $rail->currentMa()->least;

        return new Need(Role::Cells, 'power bank that stays on', [
            ['what' => 'stays on at', 'says' => self::n(round($least ?? 0.0)).' mA', 'why' => 'all that is taken in a quiet moment'],
        ], [...$facets, 'outputs' => $outputs], ['sits' => $bank->part->sits->value], $bank->id);
    }

    private function amplifier(Line $speaker): ?Need
    {
        $box = $speaker->part->speaker;
        if ($box === null || ! $box->ohm->isKnown()) {
            return null;
        }
        $watts = $box->watts->isKnown() ? $box->watts->least() : null;

        return new Need(Role::Sound, 'amplifier', [
            ['what' => 'bears', 'says' => self::n($box->ohm->least()).' Ω or less', 'why' => $speaker->name()],
            ...($watts === null ? [] : [['what' => '', 'says' => self::n($watts).' W a channel or less', 'why' => 'more than that tears it']]),
        ], ['amp' => [
            'channels' => max(1, min(2, $speaker->quantity * $box->count)), 'atOhm' => $box->ohm->usual(), 'leastOhm' => $box->ohm->least(),
            ...($watts === null ? [] : ['watts' => $watts]),
        ]]);
    }

    private function charger(Finding $finding): ?Need
    {
        foreach ($finding->lines as $id) {
            $line = $this->build->line($id);
            $pack = $line?->part->pack;
            if ($line === null || $pack === null) {
                continue;
            }
            $right = $this->facts->chargerOf($line);
            if ($right !== null && $right->part->charger !== null) {
                return $this->wallFor($right->name(), $right->part->charger->inputVolts, $right->part->charger->chargeMa);
            }
            if ($line->part->livesFromOwnCell() || $pack->sealed) {
                return $this->wallFor($line->name(), Figure::exactly(5.0, 'V'), Figure::exactly(2000.0, 'mA'));
            }
            $most = $pack->maxChargeMa->isKnown() ? $pack->maxChargeMa->least() * $line->quantity : null;
            $wanted = $pack->capacityMah->isKnown() ? $pack->capacityMah->usual() * $line->quantity / 2 : 1000.0;
            $charge = floor(min($most ?? $wanted, $wanted) / 50) * 50;

            return new Need(Role::Charger, 'charger', [
                ['what' => 'for', 'says' => "{$pack->chemistry}, {$pack->series}S", 'why' => $line->name()],
                ['what' => 'ends at', 'says' => $pack->volts()->isKnown() ? self::n($pack->volts()->most()).' V' : 'the full volts', 'why' => 'full cells'],
                [
                    'what' => 'with about',
                    'says' => self::n($charge).' mA',
                    'why' => $most === null ? 'half the capacity an hour' : 'no more than '.self::n($most).' mA',
                ],
            ], [
                'poweredBy' => 'mains',
                'charger' => [
                    'chemistries' => [$pack->chemistry],
                    'seriesLeast' => $pack->series,
                    'seriesMost' => $pack->series,
                    'chargeMa' => $charge,
                    'powerPath' => 'no',
                ],
            ], ['sits' => 'outside']);
        }

        return null;
    }

    private function wallFor(string $what, Figure $volts, Figure $milliamps): Need
    {
        $at = $volts->isKnown() ? self::standard($volts->least(), $volts->most(), null) : 5.0;
        $ma = self::up(max(1000.0, ($milliamps->most ?? 1000.0) * self::TO_SPARE), 500.0);

        return new Need(Role::Charger, 'wall supply', [
            ['what' => 'gives', 'says' => self::n($at).' V', 'why' => "what {$what} takes at its input"],
            ['what' => '', 'says' => self::n($ma).' mA or more', 'why' => 'its charge current'],
        ], ['poweredBy' => 'mains', 'outputs' => [['name' => 'plug', 'volts' => $at, 'continuousMa' => $ma]]], ['sits' => 'outside']);
    }

    /** @param  ?float  $lengthMm  null takes what is there, and half of it until a gauge does */
    private function lead(Finding $finding, ?float $lengthMm, ?Line $there): ?Need
    {
        $feed = $finding->subject->feed;
        if ($feed === null) {
            return null;
        }
        $rail = $this->facts->rail($feed->railId);
        $ends = $this->ends($feed);
        $volts = $rail?->volts;
        $peak = $this->facts->demandOf($feed)[1];
        if ($rail === null || $volts === null || ! $volts->isKnown() || ! $peak->isKnown() || $ends === null) {
            return null;
        }
        $amps = $peak->most() / max(0.1, $volts->least());
        $least = max($feed->input->leastVolts() ?? 0.0, $feed->input->warnVolts->most ?? 0.0);
        $may = max(0.05, $volts->least() - $least) / max(0.001, $amps);
        for ($length = $lengthMm ?? 500.0; $length >= 100.0; $length /= 2) {
            foreach (self::GAUGES as $gauge) {
                if (Wire::leadOhm($gauge, $length, $ends[0], $ends[1], 1.0) <= $may * self::LEAD_SHARE) {
                    return $this->leadOf(
                        $ends[0],
                        $ends[1],
                        ['power', 'usb'],
                        $gauge,
                        $length,
                        self::n(round($amps * 1000)).' mA at the peak may lose '.self::n(round($may * $amps, 2)).' V',
                    )->insteadOf($there);
                }
            }
        }

        return $this->leadOf($ends[0], $ends[1], ['power', 'usb'], 16.0, 100.0, 'the shortest and thickest there is')->insteadOf($there);
    }

    /** @param  list<string>  $carries */
    private function leadOf(string $one, string $other, array $carries, ?float $gauge, ?float $length, string $why): Need
    {
        return new Need(Role::Cable, 'lead', [
            ['what' => '', 'says' => "{$one} to {$other}", 'why' => 'the sockets of both parts'],
            ['what' => 'carries', 'says' => implode(' and ', $carries), 'why' => 'what goes over it'],
            ...($gauge === null || $length === null ? [] : [
                ['what' => '', 'says' => self::n($gauge).' AWG or thicker, '.self::n($length).' mm or shorter', 'why' => $why],
            ]),
        ], ['cable' => [
            'oneEnd' => $one, 'otherEnd' => $other, 'carries' => $carries,
            ...($gauge === null || $length === null ? [] : ['gaugeAwg' => $gauge, 'lengthMm' => $length]),
        ]]);
    }

    private function flatLead(): Need
    {
        return $this->leadOf('usb-a', 'usb-c', ['power', 'usb'], null, null, '');
    }

    private function dataLead(Line $line): ?Need
    {
        $by = $line->part->software->programmedBy ?? '';

        return $by === '' ? null : $this->leadOf('usb-a', $by, ['power', 'usb'], null, null, '');
    }

    private function pictureLead(Finding $finding): ?Need
    {
        $display = $this->build->line($finding->lines[0] ?? '');
        $board = $this->build->line($finding->lines[1] ?? '');
        if ($display === null || $board === null) {
            return null;
        }
        foreach ($display->part->sockets as $takes) {
            foreach ($board->part->sockets as $gives) {
                if ($takes->takes() && $gives->gives() && $takes->carries === $gives->carries && $takes->carries !== 'usb' && $takes->carries !== 'power') {
                    return $this->leadOf($gives->connector, $takes->connector, [$gives->carries], null, null, '');
                }
            }
        }

        return null;
    }

    private function fuse(Line $line): ?Need
    {
        $pack = $line->part->pack;
        [$watts, $peak, $missing] = $this->facts->wattsFrom($line);
        $volts = $this->facts->rail("{$line->id}:pack")?->volts;
        if ($pack === null || $missing !== [] || $volts === null || ! $volts->isKnown()) {
            return null;
        }
        $need = max($watts->most(), $peak->most()) / max(0.1, $volts->least()) * 1000;
        $most = ($pack->maxDischargeMa->least ?? INF) * Constants::FUSE_MOST_TIMES;
        $rating = self::next(self::FUSES_MA, $need * self::FUSE_TIMES);
        $rating = $rating > $most ? self::next(self::FUSES_MA, $need) : $rating;

        return new Need(Role::Switch_, 'fuse', [
            [
                'what' => '',
                'says' => self::n($rating / 1000).' A',
                'why' => 'above the '.self::n(round($need)).' mA that flow at the worst'.(is_finite($most) ? ', below what a short surely drives' : ''),
            ],
            ['what' => 'at', 'says' => 'the plus of the pack', 'why' => 'before any wire that can be pinched'],
        ], ['fuse' => ['ratingMa' => $rating]]);
    }

    private function guard(Line $line): ?Need
    {
        $pack = $line->part->pack;
        if ($pack === null) {
            return null;
        }
        [$watts, $peak, $missing] = $this->facts->wattsFrom($line);
        $empty = $pack->volts()->isKnown() ? $pack->volts()->least() : (Constants::CELL_FLOOR_V[$pack->chemistry] ?? 3.0) * $pack->series;
        $most = $missing !== [] || $empty <= 0.0 ? null : self::up(max($watts->most(), $peak->most()) / $empty * 1000 * self::GUARD_TIMES, 500.0);

        return new Need(Role::Regulator, 'protection board', [
            ['what' => 'for', 'says' => "{$pack->chemistry}, {$pack->series}S", 'why' => $line->name()],
            ['what' => 'cuts off at', 'says' => self::n($empty).' V', 'why' => 'what its maker calls empty'],
            ...($most === null ? [] : [['what' => 'carries', 'says' => self::n($most).' mA or more', 'why' => 'the peak near empty, and a third to spare']]),
        ], ['protector' => [
            'chemistries' => [$pack->chemistry], 'series' => $pack->series, 'cutOffV' => $empty,
            ...($most === null ? [] : ['mostMa' => $most]),
        ]]);
    }

    /** The same kind of pack with as much more in it as the wish asks for. */
    private function pack(Line $line): ?Need
    {
        $pack = $line->part->pack;
        $wanted = $this->build->brief->runTimeHours;
        $hours = $this->facts->runTime()->hours;
        if ($pack === null || $wanted === null || ! $hours->isKnown() || $hours->usual() <= 0.05 || ! $pack->capacityMah->isKnown()) {
            return null;
        }
        $mah = self::up($pack->capacityMah->usual() * $wanted / $hours->usual() * self::CELLS_DIFFER, 100.0);
        $facets = self::map($line->part->raw['facets'] ?? null);
        $own = self::map($facets['pack'] ?? null);
        unset($facets['size'], $own['energyOutWh'], $own['internalResistanceMohm']);
        $volts = $pack->cellNominalV->isKnown() ? $pack->cellNominalV->usual() * $pack->series : null;

        return new Need(Role::Cells, $pack->sealed ? 'power bank' : 'pack', [
            ['what' => '', 'says' => "{$pack->chemistry}, {$pack->series}S", 'why' => 'what charger and loads were chosen for'],
            [
                'what' => '',
                'says' => self::n($mah).' mAh or more',
                'why' => self::n($wanted).' h are wanted, '.self::n(round($hours->usual(), 1)).' h come out of '.self::n($pack->capacityMah->usual()).' mAh',
            ],
            ...($volts === null ? [] : [['what' => '', 'says' => self::n(round($mah * $volts / 1000, 1)).' Wh', 'why' => 'the same at the cells']]),
        ], [...$facets, 'pack' => [...$own, 'capacityMah' => $mah]], insteadOf: $line->id);
    }

    /** @return array<string, mixed> */
    private static function map(mixed $value): array
    {
        $map = [];
        foreach (is_array($value) ? $value : [] as $key => $one) {
            $map[(string) $key] = $one;
        }

        return $map;
    }

    private function card(Finding $finding): ?Need
    {
        $lines = array_filter(array_map($this->build->line(...), $finding->lines));
        $software = null;
        $store = null;
        foreach ($lines as $line) {
            $software ??= $line->part->software;
            $store ??= $line->part->software === null && $line->part->storage !== null ? $line : null;
        }
        if ($software === null || $software->card === '' || $software->card === 'built-in') {
            return null;
        }
        $need = ($software->imageGb->most ?? 0.0) + ($this->build->brief->gamesGb ?? 0.0);
        $gb = self::next(self::CARDS_GB, $need / $this->facts->margin('storage-share'));

        return new Need(Role::Storage, $software->card, [
            ['what' => '', 'says' => self::n($gb).' GB or more', 'why' => 'image and games take '.self::n(round($need, 1)).' GB'],
        ], ['storage' => ['capacityGb' => $gb, 'card' => $software->card]], insteadOf: $store?->id);
    }

    private function warning(): Need
    {
        $board = $this->facts->board();
        $seconds = self::up(($board?->part->software->shutdownSeconds->most ?? 60.0) * 2, 10.0);

        return new Need(Role::Charger, 'low-battery warning', [
            ['what' => '', 'says' => self::n($seconds).' s before the end or earlier', 'why' => 'twice the time of a shutdown'],
            ['what' => 'told to', 'says' => $board?->name() ?? 'the board', 'why' => 'it has to shut down by itself'],
        ], ['gauge' => ['warningSeconds' => $seconds]]);
    }

    private function role(string $about): ?Need
    {
        return match (Role::tryFrom($about)) {
            Role::Controls => $this->controls(),
            Role::Display => $this->display(),
            Role::Case_ => $this->case(),
            Role::Board => new Need(
                Role::Board,
                'board',
                [['what' => '', 'says' => 'a computer that runs what the brief names', 'why' => 'everything else hangs on it']],
                [],
            ),
            Role::Cells => $this->converter(5.0, 10.0, 'what most boards take'),
            default => null,
        };
    }

    private function controls(): Need
    {
        $most = ['players' => 1, 'dPads' => 0, 'buttons' => 0, 'sticks' => 0, 'triggers' => 0];
        foreach ($this->build->brief->games as $games) {
            foreach (array_keys($most) as $key) {
                $most[$key] = max($most[$key], $games->{$key});
            }
        }
        $counted = array_filter($most, static fn (int $count, string $key): bool => $count > 0 && $key !== 'players', ARRAY_FILTER_USE_BOTH);
        $names = ['dPads' => 'd-pads', 'buttons' => 'buttons', 'sticks' => 'sticks', 'triggers' => 'triggers'];

        return new Need(Role::Controls, 'controls', $counted === [] ? [
            [
                'what' => 'for',
                'says' => Phrase::count($most['players'], 'players'),
                'why' => 'the games in the brief; name them there to have the buttons counted',
            ],
        ] : array_map(
            static fn (string $key, int $count): array => ['what' => '', 'says' => "{$count} {$names[$key]} or more", 'why' => 'the games in the brief'],
            array_keys($counted),
            $counted,
        ), ['controls' => [...$most, 'speaks' => ['usb'], 'padMode' => 'pad']]);
    }

    /** The board that membranes and buttons were made for, the second of them where it is that one. */
    private function controllerBoard(Line $line, string $which): ?Need
    {
        $controls = $line->part->controls;
        $name = $which === 'second' ? $controls->otherBoard ?? '' : $controls->madeFor ?? '';

        return $name === '' ? null : new Need(Role::Controls, 'controller board', [
            ['what' => 'is', 'says' => "\"{$name}\"", 'why' => "{$line->name()} was made for it"],
        ], ['controls' => ['boardName' => $name, 'speaks' => ['pins'], 'padMode' => 'contacts']]);
    }

    private function display(): Need
    {
        $wide = $high = 0;
        foreach ($this->build->brief->games as $games) {
            [$wide, $high] = [max($wide, $games->pictureWidthPx), max($high, $games->pictureHeightPx)];
        }
        [$wide, $high] = [max(320, $wide), max(240, $high)];

        return new Need(Role::Display, 'display', [
            ['what' => '', 'says' => "{$wide} × {$high} pixels or more", 'why' => 'the largest picture of the games in the brief'],
        ], ['panel' => ['widthPx' => $wide, 'heightPx' => $high]], ['sits' => 'face']);
    }

    private function case(): Need
    {
        $sides = [0.0, 0.0, 0.0];
        $volume = 0.0;
        foreach ($this->facts->inBody() as $line) {
            foreach ($line->part->size->sidesMm() as $index => $side) {
                $sides[$index] = max($sides[$index] ?? 0.0, $side);
            }
            $volume += ($line->part->size->volumeCm3() ?? 0.0) * $line->quantity;
        }
        $room = $volume / $this->facts->margin('packing-easy');

        return new Need(Role::Case_, 'case', $volume <= 0.0 ? [] : [
            ['what' => 'room for', 'says' => implode(' × ', array_map(self::n(...), $sides)).' mm', 'why' => 'the longest sides of what goes in'],
            ['what' => '', 'says' => self::n(round($room)).' cm³ inside or more', 'why' => 'all parts as blocks, with room for wires'],
        ], ['body' => ['drawn' => true]]);
    }

    private function tool(Line $line): ?Need
    {
        $lacking = array_values(array_diff($line->part->work->asked($this->build->brief->mustHaves)->tools, $this->build->brief->tools ?? []));

        return $lacking === [] ? null : new Need(
            Role::Tool,
            $lacking[0],
            [['what' => 'for', 'says' => $line->name(), 'why' => 'it asks for one']],
            [],
            ['sits' => 'nowhere', 'serves' => [$lacking[0]]],
        );
    }

    private function mainFeed(Line $line): ?Feed
    {
        return $this->facts->feeds()[$line->id] ?? null;
    }

    /** The first pack whose raw volts can be reached. */
    private function rawPack(): ?Line
    {
        foreach ($this->facts->with('pack') as $line) {
            if ($line->part->pack?->sealed === false && ! $line->part->livesFromOwnCell()) {
                return $line;
            }
        }

        return null;
    }

    private function wattsBehind(Line $converter): float
    {
        $watts = 0.0;
        foreach ($this->facts->railsOf($converter) as $rail) {
            $watts += max($rail->watts->most ?? 0.0, $rail->peakWatts->most ?? 0.0);
        }

        return $watts;
    }

    /** @return array{string, string}|null the connectors at both ends */
    private function ends(Feed $feed): ?array
    {
        [$from, $to] = $this->facts->socketsOf($feed);
        if ($from !== null && $to !== null) {
            return [$from->connector, $to->connector];
        }
        $power = static fn (Socket $socket): bool => $socket->carries === 'power' || $socket->carries === 'usb';
        $giver = $this->facts->rail($feed->railId)?->line;
        foreach ($giver === null ? [] : array_filter($giver->part->sockets, static fn (Socket $socket): bool => $power($socket) && $socket->gives()) as $one) {
            foreach (array_filter($feed->line->part->sockets, static fn (Socket $socket): bool => $power($socket) && $socket->takes()) as $other) {
                return [$one->connector, $other->connector];
            }
        }

        return null;
    }

    /** @return list<array{what: string, says: string, why: string}> */
    private function energyWanted(float $watts): array
    {
        $hours = $this->build->brief->runTimeHours;

        return $hours === null ? [] : [
            ['what' => '', 'says' => self::n(round($watts * $hours / Typical::BANK_EFFICIENCY[1])).' Wh or more', 'why' => 'for '.self::n($hours).' h at that'],
        ];
    }

    /** @return array<string, float> */
    private function capacity(float $watts): array
    {
        $hours = $this->build->brief->runTimeHours;

        return $hours === null ? [] : ['capacityMah' => self::up($watts * $hours / Typical::BANK_EFFICIENCY[1] / Typical::CELL_V['Li-ion'][1] * 1000, 100.0)];
    }

    /** @return list<array{what: string, says: string, why: string}> */
    private function noHigher(): array
    {
        $body = $this->facts->bodyLine();
        $height = $body?->part->body?->cavityHeightMm;

        return $body === null || $height === null || ! $height->isKnown() ? [] : [
            ['what' => 'no higher than', 'says' => self::n($height->least()).' mm', 'why' => "the room inside {$body->name()}"],
        ];
    }

    /** The usual voltage that lies in a window, the middle of it where none does. */
    private static function standard(float $least, float $most, ?float $nominal): float
    {
        if ($nominal !== null) {
            return $nominal;
        }
        $within = array_values(array_filter(self::VOLTS, static fn (float $volts): bool => $volts >= $least * 1.02 && $volts <= $most * 0.98));
        usort($within, static fn (float $a, float $b): int => abs($a - ($least + $most) / 2) <=> abs($b - ($least + $most) / 2));

        return $within[0] ?? round(($least + $most) / 2, 1);
    }

    /** @param  non-empty-list<float>  $steps  rising */
    private static function next(array $steps, float $value): float
    {
        foreach ($steps as $step) {
            if ($step >= $value - 1e-9) {
                return $step;
            }
        }

        return $steps[count($steps) - 1];
    }

    private static function up(float $value, float $step): float
    {
        return max($step, ceil($value / $step - 1e-9) * $step);
    }

    private static function n(float $value): string
    {
        return Number::says($value);
    }
}
