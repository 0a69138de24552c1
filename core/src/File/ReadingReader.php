<?php

declare(strict_types=1);

namespace PocketPlot\File;

use PocketPlot\Build\Reading;
use PocketPlot\Build\Reading\Charge;
use PocketPlot\Build\Reading\Dimension;
use PocketPlot\Build\Reading\Draw;
use PocketPlot\Build\Reading\MeteredState;
use PocketPlot\Build\Reading\ReadingKind;
use PocketPlot\Build\Reading\Run;
use PocketPlot\Build\Reading\Side;
use PocketPlot\Build\Reading\Stopped;
use PocketPlot\Build\Reading\Sweep;
use PocketPlot\Build\Reading\TakenAs;
use PocketPlot\Build\Reading\Temperature;
use PocketPlot\Build\Reading\Volts;
use PocketPlot\Part\YesNo;
use PocketPlot\Quantity\Number;

/** Reads and writes what was measured on the bench, each kind with the fields it needs. */
final class ReadingReader
{
    /** Rows of one log. */
    public const MOST_ROWS = 2000;

    public const KEYS = ['id', 'kind', 'line', 'takenOn', 'instrument', 'conditions', 'note', 'simulated', 'photo', 'part'];

    /**
     * @param  list<int|string>  $lines  ids of the lines there are
     * @return list<Reading>
     *
     * @throws BadFile
     */
    public static function all(Fields $file, array $lines): array
    {
        $readings = [];
        foreach ($file->children('readings') as $fields) {
            $reading = self::read($fields);
            if (! in_array($reading->line, array_map(strval(...), $lines), true)) {
                throw BadFile::at("{$fields->path}/line", "there is no line \"{$reading->line}\"");
            }
            if (isset($readings[$reading->id])) {
                throw BadFile::at("{$fields->path}/id", "\"{$reading->id}\" is used by two readings", 'give each its own');
            }
            $readings[$reading->id] = $reading;
        }

        return array_values($readings);
    }

    /** Least, most, and whether it may be the least itself. */
    private const WITHIN = [
        'hours' => [0.0, 10000.0, false],
        'wattHours' => [0.0, 100000.0, false],
        'volts' => [0.0, 500.0, true],
        'milliamps' => [0.0, 100000.0, true],
        'celsius' => [-60.0, 300.0, true],
        'airC' => [-60.0, 100.0, true],
        'value' => [0.0, 10000.0, false],
        'fromShare' => [0.0, 1.0, true],
        'toShare' => [0.0, 1.0, true],
        'brightness' => [0.0, 1.0, true],
    ];

    /** @throws BadFile naming the field and the fix */
    public static function read(Fields $fields): Reading
    {
        $kind = ReadingKind::tryFrom($fields->string('kind'));
        if ($kind === null) {
            $kinds = implode(', ', array_map(static fn (ReadingKind $one): string => $one->value, ReadingKind::cases()));
            throw BadFile::at("{$fields->path}/kind", "\"{$fields->string('kind')}\" is no kind of reading", "choose one of {$kinds}");
        }
        foreach ($kind->needs() as $key => $fix) {
            if (! $fields->has($key)) {
                throw BadFile::at("{$fields->path}/{$key}", 'is missing', "{$fix}");
            }
        }
        self::refuseOutside($fields, $kind);
        $taken = new TakenAs(
            id: $fields->string('id'), line: $fields->string('line'),
            takenOn: $fields->day('takenOn') ?? throw BadFile::at("{$fields->path}/takenOn", 'is missing', 'write the day it was measured'),
            instrument: $fields->string('instrument', ''), conditions: $fields->string('conditions', ''), note: $fields->string('note', ''),
            simulated: $fields->bool('simulated'), photo: $fields->string('photo', ''), part: $fields->string('part', ''),
            extra: $fields->rest([...self::KEYS, ...$kind->fields()]),
        );
        $number = static fn (string $key): float => $fields->number($key) ?? 0.0;

        return match ($kind) {
            ReadingKind::Sweep => new Sweep($taken, self::steps($fields), $fields->has('signal') ? $fields->yesNo('signal') : YesNo::Unknown),
            ReadingKind::Draw => new Draw($taken, $fields->oneOf('state', MeteredState::class), $number('volts'), $number('milliamps')),
            ReadingKind::Run => new Run(
                $taken,
                $number('hours'),
                $fields->oneOf('stopped', Stopped::class),
                $fields->string('profile', ''),
                $fields->number('brightness'),
                $fields->number('airC'),
                $fields->number('wattHours'),
                self::log($fields),
            ),
            ReadingKind::Charge => new Charge(
                $taken,
                $number('hours'),
                $fields->number('fromShare'),
                $fields->number('toShare'),
                $fields->number('wattHours'),
                self::log($fields),
            ),
            ReadingKind::Temperature => new Temperature($taken, $number('celsius'), $number('airC'), $fields->number('volts'), $fields->number('milliamps')),
            ReadingKind::Dimension => new Dimension($taken, $fields->oneOf('figure', Side::class), $number('value')),
            ReadingKind::Volts => new Volts($taken, $number('volts'), $fields->string('at', '')),
        };
    }

    /** @throws BadFile for a number that no such reading can have */
    private static function refuseOutside(Fields $fields, ReadingKind $kind): void
    {
        foreach (array_intersect_key(self::WITHIN, array_flip($kind->fields())) as $key => [$least, $most, $mayBeLeast]) {
            $value = $fields->number($key);
            if ($value !== null && ($value < $least || $value > $most || (! $mayBeLeast && $value === $least))) {
                throw BadFile::at(
                    "{$fields->path}/{$key}",
                    sprintf('%s lies outside %s to %s', Number::says($value), Number::says($least), Number::says($most)),
                );
            }
        }
    }

    /** @return array<string, mixed> as a file keeps it */
    public static function document(Reading $reading): array
    {
        $taken = $reading->taken;
        $all = [
            'id' => $taken->id, 'kind' => $reading->kind()->value, 'line' => $taken->line, 'takenOn' => (string) $taken->takenOn,
            'instrument' => $taken->instrument, 'conditions' => $taken->conditions, 'note' => $taken->note, 'simulated' => $taken->simulated,
            ...$reading->ownFields(), 'photo' => $taken->photo, 'part' => $taken->part,
        ];

        return array_filter($all, static fn (mixed $value): bool => $value !== null && $value !== '' && $value !== [] && $value !== false) + $taken->extra;
    }

    /**
     * @return list<array{volts: float, lit: bool, milliamps: ?float}>
     *
     * @throws BadFile
     */
    private static function steps(Fields $fields): array
    {
        $steps = [];
        foreach ($fields->children('steps') as $step) {
            $volts = $step->number('volts') ?? throw BadFile::at("{$step->path}/volts", 'is missing', 'write the volts of this step');
            if ($volts < 0.0 || $volts > 500.0) {
                throw BadFile::at("{$step->path}/volts", Number::says($volts).' V cannot be a step of a bench supply');
            }
            $steps[] = ['volts' => $volts, 'lit' => $step->bool('lit'), 'milliamps' => $step->number('milliamps')];
        }

        return $steps;
    }

    /**
     * @return list<array{float, float, float}>
     *
     * @throws BadFile
     */
    private static function log(Fields $fields): array
    {
        $rows = $fields->data['log'] ?? [];
        if (! is_array($rows) || count($rows) > self::MOST_ROWS) {
            throw BadFile::at("{$fields->path}/log", sprintf('has to be a list of at most %d rows: seconds, volts, amps', self::MOST_ROWS));
        }
        $log = [];
        $last = -INF;
        foreach (array_values($rows) as $index => $row) {
            $cells = is_array($row) ? array_values($row) : [];
            $numbers = array_values(array_filter($cells, static fn (mixed $value): bool => is_int($value) || (is_float($value) && is_finite($value))));
            if (count($numbers) !== 3 || count($cells) !== 3) {
                throw BadFile::at("{$fields->path}/log/{$index}", 'has to be three numbers: seconds, volts, amps');
            }
            [$seconds, $volts, $amps] = [(float) $numbers[0], (float) $numbers[1], (float) $numbers[2]];
            if ($seconds < $last) {
                throw BadFile::at("{$fields->path}/log/{$index}", 'lies before the row above it', 'put the rows in order of time');
            }
            $last = $seconds;
            $log[] = [$seconds, $volts, $amps];
        }

        return $log;
    }
}
