<?php

declare(strict_types=1);

namespace PocketPlot\Check\Whole;

use PocketPlot\Build\Build;
use PocketPlot\Build\Line;
use PocketPlot\Check\Finding;
use PocketPlot\Check\LineRule;
use PocketPlot\Check\Measuring;
use PocketPlot\Check\Meta;
use PocketPlot\Check\OpenFigure;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\Words;
use PocketPlot\Check\WorkingLine;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Musts;
use PocketPlot\Part\Role;

final class Unmeasured extends LineRule
{
    public static function meta(): Meta
    {
        return new Meta('whole.unmeasured', 'What to measure next: the figures still open, by how many verdicts each would settle.', ['facets']);
    }

    protected function lines(Facts $facts): iterable
    {
        return $facts->lines();
    }

    protected function ofLine(Line $line, Facts $facts): iterable
    {
        if (in_array($line->role, [Role::Tool, Role::Material, Role::Fastener], true)) {
            return;
        }
        foreach (Musts::lacking($line->part, $line->role) as $must) {
            yield $this->unmeasured($line, $must, [], [], (string) $must, 'no rule can judge it');
        }
    }

    /**
     * Speaks after all other rules, of what they left open.
     *
     * @param  list<Finding>  $said
     * @return list<Finding>
     */
    public function summary(array $said, Build $build): array
    {
        $open = OpenFigure::among($said, $build);
        if ($open === []) {
            return [];
        }
        $first = $open[0];
        $settles = count($first->findings);

        return [
            $this->answer(
                Verdict::Unmeasured,
                [$first->line],
                fn (): Words => new Words(
                    sprintf(
                        '%d figure%s still open. %s first: %s.',
                        count($open),
                        count($open) === 1 ? ' is' : 's are',
                        in_array($first->figure->key(), Measuring::OF_BRIEF, true)
                            ? 'Write '.Measuring::name($first->figure).' into the brief'
                            : 'Find out the '.Measuring::name($first->figure)." of {$first->line->name()}",
                        $settles === 1 ? 'one verdict waits for it' : "{$settles} verdicts wait for it",
                    ),
                    array_map(
                        fn (OpenFigure $one): WorkingLine => $this->count(
                            ucfirst(Measuring::name($one->figure))." of {$one->line->name()}",
                            count($one->findings),
                            count($one->findings) === 1 ? 'verdict' : 'verdicts',
                        ),
                        array_slice($open, 0, 12),
                    ),
                    'ranked by the verdicts that wait',
                    [Remedy::measure($first->line->id, $first->figure)],
                ),
                'list',
                true,
                [[$first->line->id, $first->figure]],
            ),
        ];
    }
}
