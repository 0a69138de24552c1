<?php

declare(strict_types=1);

namespace PocketPlot\WhatIf;

use PocketPlot\Build\Build;
use PocketPlot\Build\Line;
use PocketPlot\Check\Body\FitsInside;
use PocketPlot\Check\Body\StackHeight;
use PocketPlot\Check\Finding;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Power\CellProtection;
use PocketPlot\Check\Power\DeepDischarge;
use PocketPlot\Check\Power\RailCurrent;
use PocketPlot\Check\Power\RunTimeWanted;
use PocketPlot\Check\Power\ShortCircuit;
use PocketPlot\Check\Power\SourceCurrent;
use PocketPlot\Check\Rule;
use PocketPlot\Check\RuleBook;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Part;

/** What another pack in the place of the one in use does to the rest of the build: clashes about power that it brings, and whether it goes into the body. */
final readonly class PackTrial
{
    /** Rules that ask the pack itself: what they say of the one in use says nothing about another. */
    private const ITS_OWN = [SourceCurrent::class, RailCurrent::class, CellProtection::class, DeepDischarge::class, ShortCircuit::class];

    /** @var list<class-string<Rule>> all about power but the run time */
    private array $rules;

    /** @var array<string, Finding> clashes about power as it is, by key */
    private array $clashes;

    /** @var array<string, Finding> what does not go into the body as it is and has nothing to do with the pack, by key */
    private array $misfits;

    /** @param  Line  $source  the line whose pack is in question */
    public function __construct(private Build $build, private Line $source)
    {
        $this->rules = array_keys(
            array_filter(RuleBook::metas(), static fn (Meta $meta): bool => $meta->family() === 'power' && $meta->id !== RunTimeWanted::meta()->id),
        );
        $facts = new Facts($build);
        $this->clashes = self::clashesOf($this->rules, $facts);
        $this->misfits = array_filter(self::misfits($facts), static fn (Finding $finding): bool => ! in_array($source->id, $finding->lines, true));
    }

    /** The build with so many of this pack in the place of the one in use. */
    public function with(Part $part, int $count): Facts
    {
        return new Facts($this->build->withSwap($this->source->id, $part, $count));
    }

    /** @return list<string> a sentence for each clash about power that is new, or that each pack answers for itself; how long it lasts is told apart */
    public function clashes(Facts $facts): array
    {
        return array_values(array_map(
            static fn (Finding $finding): string => $finding->says(),
            array_filter(
                self::clashesOf($this->rules, $facts),
                fn (Finding $finding): bool => ! isset($this->clashes[$finding->key()]) || $this->isItsOwn($finding),
            ),
        ));
    }

    /** Whether the pack goes into the body by its sides; null without a body, or while the pack's own size is not known. */
    public function goesIn(Facts $facts): ?bool
    {
        $size = $facts->build->line($this->source->id)?->part->size;

        return $facts->bodyLine() === null || $size === null || ! $size->hasAllSides() ? null : array_diff_key(self::misfits($facts), $this->misfits) === [];
    }

    private function isItsOwn(Finding $finding): bool
    {
        return ($finding->lines[0] ?? null) === $this->source->id
            && in_array($finding->rule, array_map(static fn (string $rule): string => RuleBook::metas()[$rule]->id, self::ITS_OWN), true);
    }

    /** @return array<string, Finding> by key */
    private static function misfits(Facts $facts): array
    {
        return self::clashesOf([FitsInside::class, StackHeight::class], $facts);
    }

    /**
     * @param  list<class-string<Rule>>  $rules
     * @return array<string, Finding> by key
     */
    private static function clashesOf(array $rules, Facts $facts): array
    {
        $clashes = [];
        foreach ($rules as $rule) {
            foreach (RuleBook::askOne(new $rule, $facts) as $finding) {
                if ($finding->verdict->isFault()) {
                    $clashes[$finding->key()] = $finding;
                }
            }
        }

        return $clashes;
    }
}
