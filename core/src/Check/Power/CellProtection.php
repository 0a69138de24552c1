<?php

declare(strict_types=1);

namespace PocketPlot\Check\Power;

use PocketPlot\Check\Answers;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Rule;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\WorkingLine;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Protection;
use PocketPlot\Part\Role;

final class CellProtection implements Rule
{
    use Answers;

    /** Chemistries that can burn when shorted or emptied too far. */
    private const NEEDING = ['lithium-ion', 'lithium-polymer', 'iron-phosphate'];

    public static function meta(): Meta
    {
        return new Meta('power.cell-protection', 'Each lithium pack has one protection that is known to exist: its own, a board\'s or a charger\'s.',
            ['pack', 'protector'],
            ['pack.protection']);
    }

    public function check(Facts $facts): iterable
    {
        foreach ($facts->lines() as $line) {
            $pack = $line->part->pack;
            if ($pack === null || ! in_array($pack->chemistry, self::NEEDING, true)) {
                continue;
            }
            $working = [new WorkingLine("{$line->name()}, own protection", $pack->protection->value, '', $pack->protection === Protection::Unknown ? 'unknown' : 'datasheet')];
            if ($pack->protection === Protection::BuiltIn) {
                yield $this->answer(Verdict::Fits, [$line], "{$line->name()} has its own protection.", $working);

                continue;
            }
            $guard = $facts->build->guardOf($pack);
            if ($guard !== null) {
                yield $this->answer(Verdict::Fits, [$line, $guard], "{$guard->name()} protects {$line->name()}.", [
                    ...$working, new WorkingLine($guard->name(), 'cuts off for '.$pack->series.' in a row', '', 'datasheet'),
                ]);

                continue;
            }
            if ($pack->protection === Protection::Unknown) {
                yield $this->unmeasured($line, 'pack.protection', [], $working, '', 'it must not be trusted');

                continue;
            }
            yield $this->answer(Verdict::Clash, [$line],
                "{$line->name()} has no protection and nothing in the parts list cuts it off. A shorted or over-emptied lithium cell can burn.",
                $working, 'one known protection is wanted', [
                    Remedy::add(Role::Regulator, 'Add a protection board for it'),
                    Remedy::swap($line->id, $line->role, 'Take a protected pack'),
                ]);
        }
    }
}
