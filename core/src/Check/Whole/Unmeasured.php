<?php

declare(strict_types=1);

namespace PocketPlot\Check\Whole;

use PocketPlot\Check\Answers;
use PocketPlot\Check\Measuring;
use PocketPlot\Check\Meta;
use PocketPlot\Check\OpenFigure;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Rule;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\WorkingLine;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Role;

final class Unmeasured implements Rule
{
    use Answers;

    public static function meta(): Meta
    {
        return new Meta('whole.unmeasured', 'What to measure next: the figures still open, by how many verdicts each would settle.', ['any'], ['facets']);
    }

    /** Speaks after all other rules, of what they left open. */
    public function check(Facts $facts): iterable
    {
        foreach ($facts->lines() as $line) {
            if ($line->part->isBlank() && ! in_array($line->role, [Role::Tool, Role::Material, Role::Fastener], true)) {
                yield $this->unmeasured($line, 'facets', [], [], 'blank', 'no rule can judge it');
            }
        }
        $open = OpenFigure::among($facts->findings(), $facts->build);
        if ($open === []) {
            return;
        }
        $first = $open[0];
        $settles = count($first->findings);
        yield $this->answer(Verdict::Unmeasured, [$first->line], sprintf('%d figure%s still open. Measure the %s of %s first: %s.', count($open), count($open) === 1 ? ' is' : 's are', Measuring::name($first->figure), $first->line->name(), $settles === 1 ? 'one verdict waits for it' : "{$settles} verdicts wait for it"),
            array_map(fn (OpenFigure $one): WorkingLine => $this->count(ucfirst(Measuring::name($one->figure))." of {$one->line->name()}", count($one->findings), count($one->findings) === 1 ? 'verdict' : 'verdicts'), array_slice($open, 0, 12)),
            'ranked by the verdicts that wait', [Remedy::measure($first->line->id, $first->figure)], 'list', true);
    }
}
