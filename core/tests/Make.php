<?php

declare(strict_types=1);

namespace CoreTests;

use PocketPlot\Appraisal;
use PocketPlot\Build\Build;
use PocketPlot\Check\Finding;
use PocketPlot\Check\Rule;
use PocketPlot\Check\RuleBook;
use PocketPlot\Facts\Facts;
use PocketPlot\File\BuildReader;
use PocketPlot\File\Fields;
use PocketPlot\File\Format;
use PocketPlot\Part\Part;
use PocketPlot\Quantity\Day;

/** Small builds for tests, written as the file format writes them. */
final class Make
{
    public const TODAY = '2026-11-23';

    public static function today(): Day
    {
        return Day::of(self::TODAY);
    }

    /**
     * @param  array<string, array{role: string, facets?: array<string, mixed>, part?: array<string, mixed>, line?: array<string, mixed>}>  $lines
     * @param  array<string, mixed>  $brief
     * @param  array<string, mixed>  $more
     */
    public static function build(array $lines, array $brief = [], array $more = []): Build
    {
        return BuildReader::read(self::document($lines, $brief, $more));
    }

    /**
     * @param  array<string, array{role: string, facets?: array<string, mixed>, part?: array<string, mixed>, line?: array<string, mixed>}>  $lines
     * @param  array<string, mixed>  $brief
     * @param  array<string, mixed>  $more
     * @return array<string, mixed>
     */
    public static function document(array $lines, array $brief = [], array $more = []): array
    {
        return [
            'format' => Format::BUILD, 'version' => 2, 'name' => 'Trial', 'brief' => $brief,
            'parts' => array_map(static fn (string $id, array $line): array => [
                'id' => "part-{$id}", 'name' => ucfirst($id), 'role' => $line['role'], 'facets' => $line['facets'] ?? [], ...($line['part'] ?? []),
            ], array_keys($lines), $lines),
            'lines' => array_map(static fn (string $id, array $line): array => ['id' => $id, 'part' => "part-{$id}", ...($line['line'] ?? [])], array_keys($lines), $lines),
            ...$more,
        ];
    }

    /**
     * @param  class-string<Rule>  $rule
     * @return list<string> "verdict line" of each finding, in the rule's order
     */
    public static function verdicts(string $rule, Build $build): array
    {
        return array_map(
            static fn (Finding $finding): string => $finding->verdict->value.' '.($finding->ofWhole ? 'build' : ($finding->lines[0] ?? 'build')),
            RuleBook::askOne(new $rule, new Facts($build)),
        );
    }

    /**
     * @param  class-string<Rule>  $rule
     * @return list<Finding>
     */
    public static function findings(string $rule, Build $build): array
    {
        return RuleBook::askOne(new $rule, new Facts($build));
    }

    public static function demo(string $name): Build
    {
        return BuildReader::read(self::demoDocument($name));
    }

    /** One of the seven builds, one of each kind. */
    public static function trial(string $kind): Build
    {
        return BuildReader::read(self::buildFormat()->decode(self::read("core/tests/builds/{$kind}.pocketplot.json")));
    }

    /** @return array<string, mixed> */
    public static function demoDocument(string $name): array
    {
        return self::buildFormat()->decode(self::read("demo/{$name}.pocketplot.json"));
    }

    public static function buildFormat(): Format
    {
        return new Format(Format::BUILD, self::read('core/schema/build.schema.json'));
    }

    public static function appraise(Build $build): Appraisal
    {
        return Appraisal::of($build, self::today());
    }

    /** @var list<Part>|null read once: parts never change */
    private static ?array $library = null;

    /** @return list<Part> the parts that ship with the application */
    public static function library(): array
    {
        return self::$library ??= array_values(BuildReader::parts(new Fields(
            (new Format(Format::LIBRARY, self::read('core/schema/library.schema.json')))->decode(self::read('demo/library.pocketplot.json')),
        )));
    }

    /** @return list<Part> the typical parts that ship with the application */
    public static function typical(): array
    {
        return array_values(BuildReader::parts(new Fields(
            (new Format(Format::LIBRARY, self::read('core/schema/library.schema.json')))->decode(self::read('demo/typical.pocketplot.json')),
        )));
    }

    public static function read(string $path): string
    {
        return (string) file_get_contents(dirname(__DIR__, 2)."/{$path}");
    }

    /** A figure of the file format, from the datasheet.
     * @return array<string, mixed>
     */
    public static function band(float $least, float $most, ?float $usual = null): array
    {
        return ['least' => $least, 'most' => $most, 'source' => 'datasheet', ...($usual === null ? [] : ['usual' => $usual])];
    }

    /**
     * @return array<string, mixed> a four-in-a-row LiFePO4 pack: 10.0 V empty, 12.8 V nominal, 14.6 V full
     */
    public static function ironPack(float $mah = 10000, string $protection = 'built-in'): array
    {
        return ['pack' => [
            'chemistry' => 'LiFePO4', 'series' => 4, 'capacityMah' => $mah, 'cellFullV' => 3.65, 'cellNominalV' => 3.2, 'cellEmptyV' => 2.5,
            'usableShare' => self::band(0.8, 0.9, 0.85), 'maxDischargeMa' => 10000, 'maxChargeMa' => 5000, 'protection' => $protection, 'internalResistanceMohm' => 20, 'cutOffV' => 10,
        ]];
    }

    /**
     * @return array<string, mixed> a load with a window in volts and a draw in milliamps at 12 V
     */
    public static function load(float $least, float $most, float $idle = 100, float $usual = 200, float $heavy = 400, float $atV = 12): array
    {
        return ['supply' => ['volts' => self::band($least, $most), 'drawMa' => self::band($idle, $heavy, $usual), 'drawAtV' => $atV, 'peakMa' => $heavy]];
    }

    /**
     * @return array<string, mixed> a converter's facets
     */
    public static function converter(float $least, float $most, float $out, float $continuousMa, float $efficiency = 0.9): array
    {
        return [
            'supply' => ['volts' => self::band($least, $most)],
            'outputs' => [['name' => 'out', 'volts' => $out, 'continuousMa' => $continuousMa, 'peakMa' => $continuousMa * 1.2, 'efficiency' => $efficiency]],
        ];
    }
}
