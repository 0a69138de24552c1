<?php

declare(strict_types=1);

namespace PocketPlot\Check;

use PocketPlot\Facts\Facts;

/** Which judgements of a build do not hold any more for one close by. Each topic is looked at once, whatever rests on it. */
final class Changes
{
    /** @var array<string, array<string, true>> by rule id and subject key, what has to be judged again */
    private array $again = [];

    /** @var array<string, true> by rule id, whose subjects have to be named again */
    private array $named = [];

    /**
     * @param  array<string, list<array{string, ?string}>>  $restsOn  by topic, what rests on it: the rule's id and the subject's
     *                                                               key; null for the list of its subjects
     */
    public function __construct(array $restsOn, Facts $facts)
    {
        foreach ($restsOn as $topic => $dependents) {
            if ($facts->isUnchanged($topic)) {
                continue;
            }
            foreach ($dependents as [$rule, $subject]) {
                if ($subject === null) {
                    $this->named[$rule] = true;
                } else {
                    $this->again[$rule][$subject] = true;
                }
            }
        }
    }

    /** Whether all that a rule said holds. */
    public function none(string $rule): bool
    {
        return ! isset($this->named[$rule]) && ! isset($this->again[$rule]);
    }

    /** Whether what was said of a subject holds; of null, whether the subjects are those that they were. */
    public function holds(string $rule, ?string $subject): bool
    {
        return $subject === null ? ! isset($this->named[$rule]) : ! isset($this->again[$rule][$subject]);
    }
}
