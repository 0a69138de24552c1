<?php

declare(strict_types=1);

namespace PocketPlot\Check;

use PocketPlot\Facts\Facts;

/** What the rules said of a build, rule by rule and subject by subject, and on which facts each word rests. */
final class Judgements
{
    /** Findings of one rule. Some hold every part of one kind against every part of another: a thousand of each would never end. */
    private const MOST_FINDINGS = 3000;

    /** @var array<string, array<string, list<Finding>>> by rule id and subject key, what was said */
    private array $bySubject = [];

    /** @var array<string, list<Subject>> by rule id */
    private array $subjects = [];

    /** @var array<string, list<array{string, ?string}>> by topic, what rests on it: the rule's id and the subject's key; null for the list of its subjects */
    private array $restsOn = [];

    /** @var array<string, list<Finding>> by rule id, in the book's order */
    private array $said = [];

    /** @var list<Finding>|null */
    private ?array $sorted = null;

    /** @param  bool  $isNoting  whether to keep on which facts each word rests, so that Changes can be asked of builds close by */
    public function __construct(private readonly bool $isNoting = false) {}

    /** @return ?Changes what does not hold any more for these facts; null where nothing was noted */
    public function changes(Facts $facts): ?Changes
    {
        return $this->isNoting ? new Changes($this->restsOn, $facts) : null;
    }

    /**
     * Asks one rule of all its subjects; what was said before and still holds is taken over.
     *
     * @param  class-string<Rule>  $class
     * @param  ?Changes  $since  of `before`
     */
    public function of(string $class, Facts $facts, ?self $before = null, ?Changes $since = null): void
    {
        $id = $class::id();
        if ($before !== null && $since?->none($id) === true) {
            $this->said[$id] = $before->said[$id];

            return;
        }
        $rule = new $class;
        $said = [];
        foreach ($this->subjectsOf($rule, $facts, $before, $since) as $subject) {
            $findings = $since?->holds($id, $subject->key) === true ? $before?->bySubject[$id][$subject->key] ?? null : null;
            if ($findings === null) {
                $findings = $this->isNoting
                    ? $this->noted($rule, $subject, $facts)
                    : $rule->ask($subject, $facts, self::MOST_FINDINGS - count($said));
            }
            array_push($said, ...$findings);
            if (count($said) > self::MOST_FINDINGS) {
                $said = [...array_slice($said, 0, self::MOST_FINDINGS), self::rest($id)];
                break;
            }
        }
        $this->said[$id] = $said;
    }

    /** @param  list<Finding>  $findings */
    public function summarize(array $findings): void
    {
        $this->said['summary'] = $findings;
        $this->sorted = null;
    }

    /** @return list<Finding> as the rules said them */
    public function inOrder(): array
    {
        return array_merge(...array_values($this->said));
    }

    /** @return list<Finding> worst first, in the book's order among equals */
    public function worstFirst(): array
    {
        if ($this->sorted === null) {
            $clash = $missing = $unmeasured = $tight = $fits = [];
            foreach ($this->said as $findings) {
                foreach ($findings as $finding) {
                    match ($finding->verdict) {
                        Verdict::Clash => $clash[] = $finding,
                        Verdict::Missing => $missing[] = $finding,
                        Verdict::Unmeasured => $unmeasured[] = $finding,
                        Verdict::Tight => $tight[] = $finding,
                        Verdict::Fits => $fits[] = $finding,
                    };
                }
            }
            $this->sorted = [...$clash, ...$missing, ...$unmeasured, ...$tight, ...$fits];
        }

        return $this->sorted;
    }

    /** @return list<Subject> */
    private function subjectsOf(Rule $rule, Facts $facts, ?self $before, ?Changes $since): array
    {
        $id = $rule::id();
        if ($before !== null && $since?->holds($id, null) === true) {
            return $before->subjects[$id];
        }
        if (! $this->isNoting) {
            return iterator_to_array($rule->subjects($facts), false);
        }
        [$this->subjects[$id], $topics] = $facts->listen(static fn (): array => iterator_to_array($rule->subjects($facts), false));
        $this->note($id, null, $topics);

        return $this->subjects[$id];
    }

    /** @return list<Finding> */
    private function noted(Rule $rule, Subject $subject, Facts $facts): array
    {
        [$findings, $topics] = $facts->listen(static function () use ($rule, $subject, $facts): array {
            $findings = $rule->ask($subject, $facts, self::MOST_FINDINGS);
            // Words rest on facts, too.
            array_walk($findings, static fn (Finding $finding): string => $finding->says());

            return $findings;
        });
        $this->note($rule::id(), $subject->key, [...$topics, ...$subject->topics()]);

        return $this->bySubject[$rule::id()][$subject->key] = $findings;
    }

    /** @param  list<string>  $topics */
    private function note(string $rule, ?string $subject, array $topics): void
    {
        foreach ($topics as $topic) {
            $this->restsOn[$topic][] = [$rule, $subject];
        }
    }

    /** What was not judged is said: silence would read as *fits*. */
    private static function rest(string $rule): Finding
    {
        return new Finding($rule, Verdict::Unmeasured, [], static fn (): Words => new Words(sprintf(
            'This list is too long for this check: after %d answers the rest was left out. Divide the build into two.', self::MOST_FINDINGS,
        )), 'rest', true, Subject::whole());
    }
}
