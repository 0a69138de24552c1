<?php

declare(strict_types=1);

namespace PocketPlot\Check\Whole;

use PocketPlot\Build\Line;
use PocketPlot\Check\Answers;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Rule;
use PocketPlot\Check\Verdict;
use PocketPlot\Facts\Facts;

final class KitGaps implements Rule
{
    use Answers;

    public static function meta(): Meta
    {
        return new Meta('whole.kit-gaps', 'What a kit leaves out is on the list.',
            ['kit', 'role:board', 'role:display', 'role:controls', 'role:case', 'role:cells', 'role:charger', 'role:regulator', 'role:sound', 'role:storage', 'role:cooling', 'role:switch', 'role:cable', 'role:fastener', 'role:material', 'role:tool'], []);
    }

    public function check(Facts $facts): iterable
    {
        foreach ($facts->with('kit') as $line) {
            $kit = $line->part->kit;
            if ($kit === null) {
                continue;
            }
            $gaps = [];
            $working = [$this->text("{$line->name()} contains", implode(', ', $kit->contains))];
            foreach ($kit->lacks as $lack) {
                $fillers = array_values(array_filter($facts->filling($lack['role']), static fn (Line $other): bool => $other->id !== $line->id));
                $working[] = $this->text("leaves out {$lack['what']}", $fillers === [] ? 'not on the list' : $fillers[0]->name(), 'worked out');
                if ($fillers === []) {
                    $gaps[] = $lack;
                }
            }
            if ($gaps === []) {
                yield $this->answer(Verdict::Fits, [$line], "Everything that {$line->name()} leaves out is on the list.", $working, 'no gap');

                continue;
            }
            foreach ($gaps as $gap) {
                yield $this->answer(Verdict::Clash, [$line], "{$line->name()} comes without {$gap['what']}, and there is none on the list.", $working, 'left out of the box', [Remedy::add($gap['role'], "Add {$gap['what']}")], $gap['what']);
            }
        }
    }
}
