<?php

declare(strict_types=1);

namespace PocketPlot\File;

use PocketPlot\Build\Reading;
use PocketPlot\Part\YesNo;
use PocketPlot\Quantity\Number;

/** Reads and writes what was measured on the bench, each kind with the fields it needs. */
final class ReadingReader
{
    /** Rows of one log. */
    public const MOST_ROWS = 2000;

    public const KEYS = [
        'id', 'kind', 'line', 'takenOn', 'instrument', 'conditions', 'note', 'simulated', 'steps', 'signal', 'state', 'volts', 'milliamps',
        'profile', 'brightness', 'hours', 'stopped', 'fromShare', 'toShare', 'celsius', 'airC', 'figure', 'value', 'log', 'photo', 'part', 'wattHours',
    ];

    /** Fields without which a reading of the kind says nothing, and what to write. */
    private const NEEDS = [
        'draw' => ['state' => 'choose what the console was doing', 'volts' => 'write the volts at the part while the amps were read', 'milliamps' => 'write the amps that were read'],
        'run' => ['hours' => 'write how long it ran', 'stopped' => 'choose why it stopped'],
        'charge' => ['hours' => 'write how long it took'],
        'temperature' => ['celsius' => 'write the degrees of the part', 'airC' => 'write the degrees of the air around it'],
        'dimension' => ['figure' => 'choose the side that was measured', 'value' => 'write the millimetres'],
        'sweep' => ['steps' => 'write at least one step: the volts, and lit or dark'],
    ];

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
                throw BadFile::at("{$fields->path}/id", "\"{$reading->id}\" is used by two readings; give each its own");
            }
            $readings[$reading->id] = $reading;
        }

        return array_values($readings);
    }

    /** @throws BadFile naming the field and the fix */
    public static function read(Fields $fields): Reading
    {
        $kind = $fields->string('kind');
        if (! in_array($kind, Reading::KINDS, true)) {
            throw BadFile::at("{$fields->path}/kind", "\"{$kind}\" is no kind of reading; choose one of ".implode(', ', Reading::KINDS));
        }
        foreach (self::NEEDS[$kind] as $key => $fix) {
            if (! $fields->has($key)) {
                throw BadFile::at("{$fields->path}/{$key}", "is missing; {$fix}");
            }
        }
        foreach (['state' => Reading::STATES, 'stopped' => Reading::STOPPED, 'figure' => ['lengthMm', 'widthMm', 'heightMm']] as $key => $choices) {
            if ($fields->has($key) && ! in_array($fields->string($key), $choices, true)) {
                throw BadFile::at("{$fields->path}/{$key}", "\"{$fields->string($key)}\" is none of ".implode(', ', $choices));
            }
        }
        foreach (['hours' => [0.0, 10000.0, false], 'wattHours' => [0.0, 100000.0, false], 'volts' => [0.0, 500.0, true], 'milliamps' => [0.0, 100000.0, true], 'celsius' => [-60.0, 300.0, true], 'airC' => [-60.0, 100.0, true], 'value' => [0.0, 10000.0, false], 'fromShare' => [0.0, 1.0, true], 'toShare' => [0.0, 1.0, true], 'brightness' => [0.0, 1.0, true]] as $key => [$least, $most, $mayBeLeast]) {
            $value = $fields->number($key);
            if ($value !== null && ($value < $least || $value > $most || (! $mayBeLeast && $value === $least))) {
                throw BadFile::at("{$fields->path}/{$key}", sprintf('%s lies outside %s to %s', Number::says($value), Number::says($least), Number::says($most)));
            }
        }

        return new Reading(
            id: $fields->string('id'), kind: $kind, line: $fields->string('line'),
            takenOn: $fields->day('takenOn') ?? throw BadFile::at("{$fields->path}/takenOn", 'is missing; write the day it was measured'),
            instrument: $fields->string('instrument', ''), conditions: $fields->string('conditions', ''), note: $fields->string('note', ''),
            simulated: $fields->bool('simulated'),
            steps: self::steps($fields), signal: $fields->has('signal') ? $fields->yesNo('signal') : YesNo::Unknown,
            state: $fields->string('state', ''), volts: $fields->number('volts'), milliamps: $fields->number('milliamps'),
            profile: $fields->string('profile', ''), brightness: $fields->number('brightness'), hours: $fields->number('hours'), stopped: $fields->string('stopped', ''),
            fromShare: $fields->number('fromShare'), toShare: $fields->number('toShare'),
            celsius: $fields->number('celsius'), airC: $fields->number('airC'),
            figure: $fields->string('figure', ''), value: $fields->number('value'),
            log: self::log($fields), photo: $fields->string('photo', ''), part: $fields->string('part', ''), wattHours: $fields->number('wattHours'),
            extra: $fields->rest(self::KEYS),
        );
    }

    /** @return array<string, mixed> as a file keeps it */
    public static function document(Reading $reading): array
    {
        $all = [
            'id' => $reading->id, 'kind' => $reading->kind, 'line' => $reading->line, 'takenOn' => (string) $reading->takenOn,
            'instrument' => $reading->instrument, 'conditions' => $reading->conditions, 'note' => $reading->note, 'simulated' => $reading->simulated,
            'steps' => array_map(static fn (array $step): array => array_filter($step, static fn (mixed $value): bool => $value !== null), $reading->steps),
            'signal' => $reading->signal === YesNo::Unknown ? '' : $reading->signal->value,
            'state' => $reading->state, 'volts' => $reading->volts, 'milliamps' => $reading->milliamps, 'profile' => $reading->profile, 'brightness' => $reading->brightness,
            'hours' => $reading->hours, 'stopped' => $reading->stopped, 'fromShare' => $reading->fromShare, 'toShare' => $reading->toShare,
            'celsius' => $reading->celsius, 'airC' => $reading->airC, 'figure' => $reading->figure, 'value' => $reading->value,
            'log' => $reading->log, 'photo' => $reading->photo, 'part' => $reading->part, 'wattHours' => $reading->wattHours,
        ];

        return array_filter($all, static fn (mixed $value): bool => $value !== null && $value !== '' && $value !== [] && $value !== false) + $reading->extra;
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
            $volts = $step->number('volts') ?? throw BadFile::at("{$step->path}/volts", 'is missing; write the volts of this step');
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
                throw BadFile::at("{$fields->path}/log/{$index}", 'lies before the row above it; put the rows in order of time');
            }
            $last = $seconds;
            $log[] = [$seconds, $volts, $amps];
        }

        return $log;
    }
}
