<?php

declare(strict_types=1);

namespace PocketPlot\Check;

use PocketPlot\Facts\Facts;

/** What the rules said of a build, rule by rule and subject by subject, and on which facts each word rests. */
final class Judgements
{
    /** Findings of one rule. Some hold every part of one kind against every part of another: a thousand of each would never end. */
    private const MOST_FINDINGS = 3000;

    /** @var array<string, array<string, array{Subject, list<Finding>, list<string>}>> by rule id and subject key: the subject, what was said, the topics it rests on */
    private array $bySubject = [];

    /** @var array<string, array{list<Subject>, list<string>}> by rule id: its subjects, and the topics they rest on */
    private array $subjects = [];

    /** @var list<list<Finding>> in the book's order */
    private array $said = [];

    /** @var list<Finding>|null */
    private ?array $sorted = null;

    /** Asks one rule of all its subjects, those that changed since `before` only. */
    public function of(Rule $rule, Facts $facts, ?self $before, bool $isNoting): void
    {
        $id = $rule::id();
        $subjects = $this->subjectsOf($rule, $facts, $before, $isNoting);
        $old = $before->bySubject[$id] ?? [];
        $said = [];
        foreach ($subjects as $subject) {
            $was = $old[$subject->key] ?? null;
            if ($was !== null && self::stillHolds($was[0], $was[2], $subject, $facts)) {
                $findings = $was[1];
            } elseif ($isNoting) {
                [$findings, $topics] = $facts->listen(static function () use ($rule, $subject, $facts): array {
                    $findings = $rule->ask($subject, $facts, self::MOST_FINDINGS);
                    // Words rest on facts, too.
                    array_walk($findings, static fn (Finding $finding): string => $finding->says());

                    return $findings;
                });
                $this->bySubject[$id][$subject->key] = [$subject, $findings, $topics];
            } else {
                $findings = $rule->ask($subject, $facts, self::MOST_FINDINGS - count($said));
            }
            array_push($said, ...$findings);
            if (count($said) > self::MOST_FINDINGS) {
                $said = [...array_slice($said, 0, self::MOST_FINDINGS), self::rest($id)];
                break;
            }
        }
        $this->said[] = $said;
    }

    /** @param  list<Finding>  $findings */
    public function summarize(array $findings): void
    {
        $this->said[] = $findings;
        $this->sorted = null;
    }

    /** @return list<Finding> as the rules said them */
    public function inOrder(): array
    {
        return array_merge(...$this->said);
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
    private function subjectsOf(Rule $rule, Facts $facts, ?self $before, bool $isNoting): array
    {
        $id = $rule::id();
        if ($before !== null && isset($before->subjects[$id]) && self::allUnchanged($before->subjects[$id][1], $facts)) {
            return $before->subjects[$id][0];
        }
        if (! $isNoting) {
            return iterator_to_array($rule->subjects($facts), false);
        }

        return ($this->subjects[$id] = $facts->listen(static fn (): array => iterator_to_array($rule->subjects($facts), false)))[0];
    }

    /** @param  list<string>  $topics */
    private static function stillHolds(Subject $was, array $topics, Subject $is, Facts $facts): bool
    {
        return ($was === $is || $was->isSame($is, $facts)) && self::allUnchanged($topics, $facts);
    }

    /** @param  list<string>  $topics */
    private static function allUnchanged(array $topics, Facts $facts): bool
    {
        foreach ($topics as $topic) {
            if (! $facts->isUnchanged($topic)) {
                return false;
            }
        }

        return true;
    }

    /** What was not judged is said: silence would read as *fits*. */
    private static function rest(string $rule): Finding
    {
        return new Finding($rule, Verdict::Unmeasured, [], static fn (): Words => new Words(sprintf(
            'This list is too long for this check: after %d answers the rest was left out. Divide the build into two.', self::MOST_FINDINGS,
        )), 'rest', true, Subject::whole());
    }
}
