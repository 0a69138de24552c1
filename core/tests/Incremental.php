<?php

declare(strict_types=1);

namespace CoreTests;

use PocketPlot\Appraisal;
use PocketPlot\Build\Build;
use PocketPlot\Build\Line;
use PocketPlot\File\Json;
use PocketPlot\File\PartReader;
use PocketPlot\Part\Part;
use PocketPlot\Part\Role;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * The answer after a change against the answer from nothing: lines swapped, added and gone, by parts of the shelf
 * as they are, with facets left out, and with facets of other parts put in. bin/incremental makes thousands.
 */
final class Incremental
{
    /** Trials in bin/test. */
    public const FEW = 150;

    /** @return iterable<array{string, list<string>}> what was tried, and where the two answers differ */
    public static function trials(int $count, int $seed): iterable
    {
        $random = new Randomizer(new Mt19937($seed));
        $one = static fn (array $of): mixed => array_values($of)[$random->getInt(0, count($of) - 1)];
        $done = 0;
        for ($drawn = 1; $done < $count; $drawn++) {
            $build = Golden::drawn($seed * 1000 + $drawn);
            $before = Appraisal::toCompare($build, Make::today());
            for ($turn = 0; $turn < 8 && $done < $count; $turn++, $done++) {
                [$what, $after] = self::changed($build, $random, $one);
                yield ["seed {$seed}, build {$drawn}, {$what}", Golden::differences(
                    self::said(Appraisal::of($after, Make::today())), self::said($before->after($after, Make::today())),
                )];
            }
        }
    }

    /** @return array{string, Build} */
    private static function changed(Build $build, Randomizer $random, callable $one): array
    {
        $part = self::odd($random, $one);
        $line = $build->lines === [] ? null : $one($build->lines);
        $kind = $line === null ? 1 : $random->getInt(0, 4);

        return match (true) {
            $kind <= 1 => ["{$part->id} added", $build->withLine(new Line('trial', $part, $part->role, 'trial', quantity: $random->getInt(1, 3)))],
            $kind === 2 => ["{$part->id} added as a ".($role = $one(Role::cases()))->value, $build->withLine(new Line('trial', $part, $role, 'trial'))],
            default => ["{$part->id} for {$line->id}", $build->withSwap($line->id, $part)],
        };
    }

    /** A part of the shelf; half of them with a facet left out, or with one of another part, or with none at all. */
    private static function odd(Randomizer $random, callable $one): Part
    {
        $raw = $one(Make::library())->raw;
        $other = $one(Make::library())->raw;
        $facets = (array) ($raw['facets'] ?? []);
        switch ($random->getInt(0, 5)) {
            case 0:
                unset($facets[$one([...array_keys($facets), ''])]);
                break;
            case 1:
                $theirs = (array) ($other['facets'] ?? []);
                $key = $one([...array_keys($theirs), '']);
                if ($key !== '' && ! in_array($key, ['supplies', 'supply'], true)) {
                    $facets[$key] = $theirs[$key];
                }
                break;
            case 2:
                $facets = [];
                break;
            default:
        }
        $raw['facets'] = $facets;
        $raw['id'] = "{$raw['id']}-odd";

        return PartReader::read($raw);
    }

    /** @return array<string, mixed> */
    private static function said(Appraisal $appraisal): array
    {
        $findings = [];
        foreach ($appraisal->findings as $finding) {
            $findings[] = [
                $finding->key(), $finding->verdict->value, $finding->lines, $finding->subject->toArray(), $finding->says(), $finding->comparison(),
                array_map(static fn ($row): array => $row->toArray(), $finding->working()), array_map(static fn ($remedy): array => $remedy->toArray(), $finding->remedies()),
            ];
        }
        $rest = [...$appraisal->toArray(), 'steps' => $appraisal->stepList(), 'grid' => $appraisal->grid()];
        unset($rest['findings']);

        return ['findings' => $findings, 'rest' => json_decode(Json::encode($rest), true, 64, JSON_THROW_ON_ERROR)];
    }
}
