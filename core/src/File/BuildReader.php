<?php

declare(strict_types=1);

namespace PocketPlot\File;

use PocketPlot\Build\Brief;
use PocketPlot\Build\Build;
use PocketPlot\Build\GamesClass;
use PocketPlot\Build\Join;
use PocketPlot\Build\JoinKind;
use PocketPlot\Build\Line;
use PocketPlot\Build\Margins;
use PocketPlot\Build\Order;
use PocketPlot\Build\Origin;
use PocketPlot\Build\Profile;
use PocketPlot\Build\SupplyState;
use PocketPlot\Build\Vendor;
use PocketPlot\Part\Output;
use PocketPlot\Part\Part;
use PocketPlot\Part\Role;
use PocketPlot\Part\SupplyInput;
use PocketPlot\Quantity\Number;
use PocketPlot\Quantity\Rates;

/** Makes a build out of a decoded and schema-checked build file. */
final class BuildReader
{
    /** Keys of a line that mean something to this version; all others travel along untouched. */
    public const LINE_KEYS = ['id', 'part', 'role', 'slot', 'chosen', 'quantity', 'state', 'origin', 'price', 'vendor', 'expectedOn', 'note', 'place', 'owned'];

    public const JOIN_KEYS = ['kind', 'from', 'to', 'output', 'input', 'through', 'gaugeAwg', 'lengthMm'];

    public const BUILD_KEYS = ['format', 'version', 'name', 'brief', 'rates', 'parts', 'lines', 'joins', 'ticks', 'profiles', 'readings', 'vendors', 'orders', 'work', 'fit', 'record'];

    public const PROFILE_KEYS = ['name', 'off', 'idle', 'usual', 'heavy', 'brightness', 'volume', 'fan', 'radio'];

    /**
     * @param  array<string, mixed>  $document
     *
     * @throws BadFile naming each field that cannot be read
     */
    public static function read(array $document): Build
    {
        $file = new Fields($document);
        $parts = self::parts($file);
        $brief = self::brief($file->child('brief') ?? new Fields([]));
        $lines = [];
        foreach ($file->children('lines') as $fields) {
            $partId = $fields->string('part');
            $line = self::line($fields, $parts[$partId] ?? throw BadFile::at(
                "{$fields->path}/part", "no part \"{$partId}\" is in the file; add it under \"parts\" or remove the line",
            ));
            if (isset($lines[$line->id])) {
                throw BadFile::at("{$fields->path}/id", "\"{$line->id}\" is used by two lines", 'give each its own');
            }
            $lines[$line->id] = $line;
        }
        self::refuseTwoChosen(array_values($lines));

        return new Build(
            $file->string('name'),
            $brief,
            array_values($lines),
            self::rates($file->child('rates'), $brief->currency),
            self::joins($file, $lines),
            WorkFile::ticks($file),
            $file->rest(self::BUILD_KEYS),
            self::profiles($file),
            ReadingReader::all($file, array_keys($lines)),
            self::vendors($file),
            self::orders($file),
            WorkFile::read($file->child('work') ?? new Fields([])),
            RecordFile::all($file),
            FitFile::read($file->child('fit') ?? new Fields([])),
        );
    }

    public static function line(Fields $fields, Part $part): Line
    {
        $id = $fields->string('id');

        return new Line(
            id: $id,
            part: $part,
            role: $fields->oneOf('role', Role::class, $part->role),
            slot: $fields->string('slot', $id),
            chosen: $fields->bool('chosen', true),
            quantity: $fields->int('quantity', 1),
            state: $fields->oneOf('state', SupplyState::class, SupplyState::Chosen),
            origin: $fields->oneOf('origin', Origin::class, Origin::Buy),
            price: $fields->money('price'),
            vendor: $fields->string('vendor', ''),
            expectedOn: $fields->day('expectedOn'),
            note: $fields->string('note', ''),
            place: $fields->string('place', ''),
            extra: $fields->rest(self::LINE_KEYS),
            owned: max(0, min($fields->int('owned', 0), $fields->int('quantity', 1))),
        );
    }

    public static function brief(Fields $brief): Brief
    {
        $budget = $brief->money('budget');
        $largest = $brief->child('largestMm');
        $sides = $largest === null ? [] : [$largest->number('lengthMm'), $largest->number('widthMm'), $largest->number('heightMm')];

        return new Brief(
            purpose: $brief->string('purpose', ''),
            runTimeHours: $brief->number('runTimeHours'),
            budget: $budget,
            currency: $brief->string('currency', $budget === null ? 'EUR' : $budget->currency),
            largestMm: isset($sides[0], $sides[1], $sides[2]) ? [$sides[0], $sides[1], $sides[2]] : null,
            largestMassG: $brief->number('largestMassG'),
            gamesGb: $brief->number('gamesGb'),
            eveningMinutes: max(10, $brief->int('eveningMinutes', 120)),
            games: array_map(static fn (Fields $games): GamesClass => new GamesClass(
                $games->string('class'),
                $games->int('players', 1),
                $games->int('dPads', 0),
                $games->int('buttons', 0),
                $games->int('sticks', 0),
                $games->int('knobs', 0),
                $games->bool('touch'),
                $games->int('pictureWidthPx', 0),
                $games->int('pictureHeightPx', 0),
                $games->int('triggers', 0),
            ), $brief->children('games')),
            skills: $brief->has('skills') ? $brief->strings('skills') : null,
            tools: $brief->has('tools') ? $brief->strings('tools') : null,
            mustHaves: $brief->strings('mustHaves'),
            consumables: $brief->has('consumables') ? $brief->strings('consumables') : null,
            readyMade: $brief->money('readyMade'),
            playWhileCharging: $brief->has('playWhileCharging') ? $brief->bool('playWhileCharging') : null,
            listIsWhole: $brief->has('listIsWhole') ? $brief->bool('listIsWhole') : null,
            rights: $brief->has('rights') ? $brief->bool('rights') : null,
            roomC: $brief->number('roomC') ?? 25.0,
            margins: self::margins($brief->child('margins')),
        );
    }

    /**
     * @return array<string, Vendor> by name
     *
     * @throws BadFile
     */
    public static function vendors(Fields $file): array
    {
        $vendors = [];
        foreach ($file->children('vendors') as $one) {
            $vendor = VendorReader::read($one);
            $vendors[$vendor->name] = $vendor;
        }

        return $vendors;
    }

    /**
     * @return list<Order>
     *
     * @throws BadFile
     */
    public static function orders(Fields $file): array
    {
        $orders = [];
        foreach ($file->children('orders') as $one) {
            $order = OrderFile::read($one);
            if (isset($orders[$order->id])) {
                throw BadFile::at("{$one->path}/id", "\"{$order->id}\" is used by two orders", 'give each its own');
            }
            $orders[$order->id] = $order;
        }

        return array_values($orders);
    }

    public static function rates(?Fields $rates, string $base): Rates
    {
        return $rates === null ? new Rates($base, []) : new Rates(
            $rates->string('base', $base),
            $rates->stringMap('worth'),
            $rates->has('asOf') ? (string) $rates->day('asOf') : null,
            $rates->string('source', ''),
            $rates->rest(['base', 'worth', 'asOf', 'source']),
        );
    }

    /**
     * @return array<string, Part>
     *
     * @throws BadFile with one problem a part
     */
    public static function parts(Fields $file): array
    {
        $parts = $problems = [];
        foreach ($file->children('parts') as $fields) {
            try {
                $part = PartReader::read($fields->rest([]), $fields->path);
                if (isset($parts[$part->id])) {
                    $problems[] = new Problem("{$fields->path}/id", "\"{$part->id}\" is used by two parts", 'give each its own');
                }
                $parts[$part->id] = $part;
            } catch (BadFile $bad) {
                $problems = [...$problems, ...$bad->problems];
            }
        }
        if ($problems !== []) {
            throw new BadFile($problems);
        }

        return $parts;
    }

    /**
     * @param  array<string, Line>  $lines
     * @return list<Join>
     */
    private static function joins(Fields $file, array $lines): array
    {
        $joins = [];
        foreach ($file->children('joins') as $fields) {
            $join = self::join($fields);
            foreach (['from' => $join->from, 'to' => $join->to] as $end => $id) {
                if (! isset($lines[$id])) {
                    throw BadFile::at("{$fields->path}/{$end}", "there is no line \"{$id}\"");
                }
            }
            self::refuseToItself($join, $fields->path);
            // What cannot be joined any more, since a part was swapped, is kept and shown as a clash.
            $joins[] = $join;
        }

        return $joins;
    }

    /** @throws BadFile */
    public static function join(Fields $fields): Join
    {
        return new Join(
            $fields->oneOf('kind', JoinKind::class, JoinKind::Power),
            $fields->string('from'),
            $fields->string('to'),
            $fields->string('output', ''),
            $fields->string('input', ''),
            $fields->string('through', ''),
            $fields->number('gaugeAwg'), $fields->number('lengthMm'), $fields->rest(self::JOIN_KEYS),
        );
    }

    /** @throws BadFile */
    private static function refuseToItself(Join $join, string $path): void
    {
        if ($join->from === $join->to) {
            throw BadFile::at("{$path}/to", $join->kind === JoinKind::Power ? 'a line cannot feed itself' : 'a line cannot be joined to itself');
        }
    }

    /** @throws BadFile when the two lines cannot be joined this way */
    public static function refuseImpossible(Join $join, Line $from, Line $to, string $path): void
    {
        self::refuseToItself($join, $path);
        if ($join->kind === JoinKind::Parallel) {
            foreach (['from' => $from, 'to' => $to] as $end => $line) {
                if ($line->part->pack === null) {
                    throw BadFile::at("{$path}/{$end}", "{$line->name()} is no pack", 'only packs can be in parallel');
                }
            }
        }
        if ($join->kind !== JoinKind::Power) {
            return;
        }
        if ($to->part->supplies === []) {
            throw BadFile::at("{$path}/to", "{$to->name()} wants no feeding", 'choose a part with a supply input');
        }
        $names = array_map(static fn (Output $output): string => $output->name, $from->part->outputs);
        if ($from->part->pack !== null && ! $from->part->pack->sealed) {
            $names[] = 'pack';
        }
        if ($names === []) {
            throw BadFile::at("{$path}/from", "{$from->name()} gives no power", 'choose a pack, a regulator or another part with an output');
        }
        if ($join->output !== '' && ! in_array($join->output, $names, true)) {
            throw BadFile::at("{$path}/output", "{$from->name()} has no output \"{$join->output}\"", 'it has '.implode(', ', $names));
        }
        $inputs = array_map(static fn (SupplyInput $input): string => $input->name, $to->part->supplies);
        if ($join->input !== '' && ! in_array($join->input, $inputs, true)) {
            throw BadFile::at("{$path}/input", "{$to->name()} has no input \"{$join->input}\"");
        }
    }

    /**
     * @return array<string, float>
     *
     * @throws BadFile
     */
    private static function margins(?Fields $margins): array
    {
        $own = [];
        foreach (array_keys($margins->data ?? []) as $key) {
            $value = $margins?->number((string) $key);
            // A margin that a later version knows is carried along in the brief as it was written.
            if (isset(Margins::DEFAULTS[$key]) && $value !== null) {
                $own[(string) $key] = $value;
            }
        }

        return $own;
    }

    /**
     * @return list<Profile>
     *
     * @throws BadFile
     */
    public static function profiles(Fields $file): array
    {
        $profiles = [];
        foreach ($file->children('profiles') as $fields) {
            $share = static fn (string $key): float => $fields->number($key) ?? 0.0;
            $profile = new Profile(
                $fields->string('name'), $share('off'), $share('idle'), $share('usual'), $share('heavy'),
                $fields->number('brightness'), $fields->number('volume'), $fields->number('fan'), $fields->has('radio') ? $fields->bool('radio') : null,
                $fields->rest(self::PROFILE_KEYS),
            );
            self::refuseImpossibleProfile($profile, $fields->path);
            if (isset($profiles[$profile->name])) {
                throw BadFile::at("{$fields->path}/name", "\"{$profile->name}\" is there twice", 'give each its own name');
            }
            $profiles[$profile->name] = $profile;
        }

        return array_values($profiles);
    }

    /** @throws BadFile */
    private static function refuseImpossibleProfile(Profile $profile, string $path): void
    {
        foreach (['off', 'idle', 'usual', 'heavy', 'brightness', 'volume', 'fan'] as $key) {
            $value = $profile->{$key};
            if (is_float($value) && ($value < 0.0 || $value > 1.0)) {
                throw BadFile::at("{$path}/{$key}", Number::says($value * 100).' % lies outside 0 to 100 %', 'write a share of the whole');
            }
        }
        if (abs($profile->shares() - 1.0) > Profile::ROUNDING) {
            throw BadFile::at(
                "{$path}/usual",
                sprintf(
                    'the shares of off, idle, usual and heavy add up to %s %%, not to 100 %%; change one of them by %s %%',
                    Number::says($profile->shares() * 100),
                    Number::says(abs($profile->shares() - 1.0) * 100),
                ),
            );
        }
    }

    /** @param  list<Line>  $lines */
    private static function refuseTwoChosen(array $lines): void
    {
        $taken = [];
        foreach ($lines as $line) {
            if (! $line->chosen) {
                continue;
            }
            if (isset($taken[$line->slot])) {
                throw BadFile::at('lines', "\"{$taken[$line->slot]}\" and \"{$line->id}\" are candidates for one place and both chosen", 'choose one');
            }
            $taken[$line->slot] = $line->id;
        }
    }
}
