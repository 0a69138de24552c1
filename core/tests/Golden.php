<?php

declare(strict_types=1);

namespace CoreTests;

use PocketPlot\Appraisal;
use PocketPlot\Build\Build;
use PocketPlot\Check\Finding;
use PocketPlot\Check\Verdict;
use PocketPlot\File\Json;
use PocketPlot\Part\Part;
use PocketPlot\Part\Role;
use PocketPlot\Report\PowerReport;
use PocketPlot\WhatIf\Fix;
use PocketPlot\WhatIf\RemedyFinder;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * What the core says of every build in the tree and of some hundred drawn by lot from the shelf, frozen. bin/golden
 * writes it and shows, finding by finding, what is said differently now.
 */
final class Golden
{
    public const FILE = __DIR__.'/golden/said.jsonl.gz';

    /** Builds drawn by lot. */
    public const DRAWN = 200;

    /** Of them, so many in bin/test. */
    public const FEW = 30;

    public const IN_TREE = ['refuge', 'thimble', 'barge'];

    public const TRIALS = ['fresh-body', 'donor-body', 'upgrade-stack', 'phone-core', 'small-pc-core', 'kit-no-iron', 'lap-portable'];

    /** What most builds have one of, and how many more of these they may have. */
    private const LIKELY = [
        Role::Board->value => [1, 1], Role::Display->value => [1, 1], Role::Controls->value => [1, 2], Role::Case_->value => [1, 0], Role::Cells->value => [1, 1], Role::Charger->value => [1, 0],
        Role::Regulator->value => [0, 2], Role::Sound->value => [0, 2], Role::Storage->value => [1, 0], Role::Cooling->value => [0, 1], Role::Switch_->value => [0, 1], Role::Cable->value => [0, 3],
        Role::Fastener->value => [0, 1], Role::Material->value => [0, 1], Role::Tool->value => [0, 1],
    ];

    /** @return iterable<string, Build> by name, those of the tree first */
    public static function builds(int $drawn = self::DRAWN): iterable
    {
        foreach (self::IN_TREE as $name) {
            yield $name => Make::demo($name);
        }
        foreach (self::TRIALS as $name) {
            yield $name => Make::trial($name);
        }
        for ($seed = 1; $seed <= $drawn; $seed++) {
            yield "drawn {$seed}" => self::drawn($seed);
        }
    }

    /** @return array<string, array<string, mixed>> what was said before, by the build's name */
    public static function before(): array
    {
        $before = [];
        foreach (explode("\n", trim((string) gzdecode((string) file_get_contents(self::FILE)))) as $line) {
            $one = json_decode($line, true, 64, JSON_THROW_ON_ERROR);
            $before[$one['name']] = $one['said'];
        }

        return $before;
    }

    /**
     * What was said without asking the library, which takes most of the time.
     *
     * @param  array<string, mixed>  $said
     * @return array<string, mixed>
     */
    public static function withoutLibrary(array $said): array
    {
        foreach ($said['findings'] as $key => $findings) {
            foreach (array_keys($findings) as $at) {
                unset($said['findings'][$key][$at]['tried']);
            }
        }
        unset($said['power']['scatter'], $said['power']['sizing']);

        return $said;
    }

    /** Whether anything is said differently of some builds, without asking the library: seconds, not minutes. */
    public static function isOther(int $drawn): bool
    {
        $before = self::before();
        foreach (self::builds($drawn) as $name => $build) {
            if (self::differences(self::withoutLibrary($before[$name]), self::plain(self::said("drawn {$name}", $build))) !== []) {
                return true;
            }
        }

        return false;
    }

    /** What a build of version 1 makes the core say, with the words that are others since version 2 (golden/words.php). */
    public static function inTodaysWords(mixed $said): mixed
    {
        static $words = null;
        $words ??= require __DIR__.'/golden/words.php';
        $patterns = array_map(static fn (string $pattern): string => "#{$pattern}#u", array_keys($words));
        static $known = [];
        $today = static function (string $text) use ($patterns, $words, &$known): string {
            return $known[$text] ??= (string) preg_replace($patterns, array_values($words), $text);
        };
        $walk = static function (mixed $value) use (&$walk, $today): mixed {
            if (is_array($value)) {
                $changed = [];
                foreach ($value as $key => $inner) {
                    $changed[is_string($key) ? $today($key) : $key] = $walk($inner);
                }
                if (($value['asks'] ?? null) === 'moves the voltage') {
                    $changed['choices'] = ['boost', 'buck', 'buck-boost', 'linear'];
                }
                if (($value['label'] ?? null) === 'It moves the voltage') {
                    $changed['value'] = ['up' => 'boost', 'down' => 'buck'][$value['value']] ?? $changed['value'];
                }

                return $changed;
            }

            return is_string($value) ? $today($value) : $value;
        };

        return $walk($said);
    }

    /** @return array<string, mixed> everything that is said of one build; with remedies and scatter for those of the tree only, which take seconds */
    public static function said(string $name, Build $build): array
    {
        $isOfTree = ! str_starts_with($name, 'drawn');
        $appraisal = Appraisal::of($build, Make::today());
        $finder = new RemedyFinder(Make::library(), Make::today());
        $findings = [];
        foreach ($appraisal->findings as $finding) {
            $findings[$finding->key()][] = [
                'verdict' => $finding->verdict->value, 'lines' => $finding->lines, 'says' => $finding->says(), 'comparison' => $finding->comparison(),
                'working' => array_map(static fn ($row): array => $row->toArray(), $finding->working()),
                'remedies' => array_map(static fn ($remedy): array => $remedy->toArray(), $finding->remedies()),
                ...($isOfTree ? ['tried' => self::tried($finder, $appraisal, $finding)] : []),
            ];
        }
        $all = $appraisal->toArray();
        // Where a figure stands printed is help, and no answer.
        $all['toMeasure'] = array_map(static fn (array $one): array => array_diff_key($one, ['stands' => true]), $all['toMeasure']);
        $report = new PowerReport($build);
        $power = $report->toArray();
        if ($isOfTree) {
            $power['scatter'] = $report->scatter()?->toArray();
            $power['sizing'] = $report->sizing($build->brief->runTimeHours ?? 4.0, array_values(array_filter(Make::library(), static fn (Part $part): bool => $part->pack !== null)))?->toArray();
        }

        return ['findings' => $findings, 'rest' => [...array_diff_key($all, ['findings' => true, 'tabs' => true]), 'steps' => $appraisal->stepList(), 'grid' => $appraisal->grid()], 'power' => $power];
    }

    /**
     * @param  array<string, mixed>  $was
     * @param  array<string, mixed>  $is
     * @return list<string> one line for each place where the two differ
     */
    public static function differences(array $was, array $is, string $path = ''): array
    {
        $found = [];
        foreach ($was + $is as $key => $value) {
            $at = $path === '' ? (string) $key : "{$path} › {$key}";
            $before = $was[$key] ?? null;
            $now = $is[$key] ?? null;
            if (is_array($before) && is_array($now)) {
                $found = [...$found, ...self::differences($before, $now, $at)];
            } elseif ($before !== $now) {
                $found[] = "{$at}: ".self::short($before).' → '.self::short($now);
            }
        }

        return $found;
    }

    /** As it comes back from the file: numbers and empty groups in the form that JSON gives them. */
    public static function plain(mixed $said): mixed
    {
        return json_decode(Json::encode(self::rounded($said)), true, 64, JSON_THROW_ON_ERROR);
    }

    /** Twelve digits: the last ones differ from one processor to another. */
    private static function rounded(mixed $value): mixed
    {
        return match (true) {
            is_float($value) => is_finite($value) ? (float) sprintf('%.11e', $value) : (string) $value,
            is_array($value) => array_map(self::rounded(...), $value),
            $value instanceof \stdClass => (object) array_map(self::rounded(...), get_object_vars($value)),
            default => $value,
        };
    }

    /** @return list<array{string, string, int, int}> */
    private static function tried(RemedyFinder $finder, Appraisal $appraisal, Finding $finding): array
    {
        return $finding->verdict === Verdict::Fits ? [] : array_map(
            static fn (Fix $one): array => [$one->edits->kind(), $one->edits->part->id ?? $one->edits->settles->from ?? '', count($one->effect->settled), count($one->effect->newClashes)],
            $finder->find($appraisal, $finding),
        );
    }

    private static function short(mixed $value): string
    {
        $text = Json::encode($value);

        return mb_strlen($text) > 160 ? mb_substr($text, 0, 159).'…' : $text;
    }

    public static function drawn(int $seed): Build
    {
        $random = new Randomizer(new Mt19937($seed));
        $one = static fn (array $of): mixed => array_values($of)[$random->getInt(0, count($of) - 1)];
        $byRole = [];
        foreach (Make::library() as $part) {
            $byRole[$part->role->value][] = $part->raw;
        }
        $lines = $parts = [];
        foreach (self::LIKELY as $role => [$least, $more]) {
            // Now and then even the likely is not there yet.
            $count = ($random->getInt(0, 9) === 0 ? 0 : $least) + $random->getInt(0, $more);
            for ($index = 0; $index < $count; $index++) {
                $part = $one($byRole[$role]);
                $parts[$part['id']] = $part;
                $id = $role.($index === 0 ? '' : '-'.($index + 1));
                $lines[$id] = ['id' => $id, 'part' => $part['id'], 'quantity' => $random->getInt(0, 5) === 0 ? $random->getInt(2, 4) : 1, 'state' => $one(['chosen', 'ordered', 'arrived', 'to-find'])];
            }
        }
        $joins = [];
        $built = static fn (array $joins): Build => \PocketPlot\File\BuildReader::read([
            'format' => 'pocketplot-build', 'version' => 2, 'name' => "Drawn {$seed}",
            'brief' => [
                'currency' => 'EUR', 'runTimeHours' => $random->getInt(1, 9), 'budget' => ['amount' => (string) $random->getInt(60, 500), 'currency' => 'EUR'],
                'largestMm' => ['lengthMm' => $random->getInt(90, 400), 'widthMm' => $random->getInt(60, 300), 'heightMm' => $random->getInt(18, 120)], 'largestMassG' => $random->getInt(150, 4000),
                'games' => [['class' => 'some', 'players' => $random->getInt(1, 2), 'dPads' => 1, 'buttons' => $random->getInt(2, 8), 'sticks' => $random->getInt(0, 2), 'pictureWidthPx' => 320, 'pictureHeightPx' => 240]],
                ...($random->getInt(0, 1) === 0 ? [] : ['skills' => ['soldering'], 'tools' => ['voltmeter']]), ...($random->getInt(0, 1) === 0 ? [] : ['playWhileCharging' => true]),
            ],
            'rates' => ['base' => 'EUR', 'worth' => ['GBP' => '1.17', 'SEK' => '0.088']],
            'parts' => array_values($parts), 'lines' => array_values($lines), 'joins' => $joins,
        ]);
        // One in three builds has a join that the builder settled, wise or not.
        if ($random->getInt(0, 2) === 0 && count($lines) > 2) {
            $from = $one(array_keys($lines));
            $to = $one(array_keys($lines));
            $joins = $from === $to ? [] : [['kind' => 'power', 'from' => $from, 'to' => $to]];
        }

        return $built($joins);
    }
}
