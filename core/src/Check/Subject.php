<?php

declare(strict_types=1);

namespace PocketPlot\Check;

use PocketPlot\Build\Line;
use PocketPlot\Facts\Facts;
use PocketPlot\Power\Feed;
use PocketPlot\Power\Rail;

/** What a rule judges at one time: a line, a feed with its rail, a rail, a pair of lines, or the whole build. */
final readonly class Subject
{
    private function __construct(
        public SubjectKind $kind,
        /** Tells the subjects of one rule apart. */
        public string $key,
        public ?Line $line = null,
        public ?Line $other = null,
        public ?Feed $feed = null,
        public ?Rail $rail = null,
    ) {}

    public static function line(Line $line): self
    {
        return new self(SubjectKind::Line, $line->id, $line);
    }

    public static function pair(Line $line, Line $other): self
    {
        return new self(SubjectKind::Pair, "{$line->id} {$other->id}", $line, $other);
    }

    public static function feed(Feed $feed, Rail $rail): self
    {
        return new self(SubjectKind::Feed, $feed->key(), $feed->line, null, $feed, $rail);
    }

    public static function rail(Rail $rail): self
    {
        return new self(SubjectKind::Rail, $rail->id, $rail->line, null, null, $rail);
    }

    public static function whole(): self
    {
        return new self(SubjectKind::Whole, 'whole');
    }

    /** Whether it is what it was, its lines untouched and its rail at the same volts and watts. */
    public function isSame(self $other, Facts $facts): bool
    {
        return $this->kind === $other->kind && $this->line === $other->line && $this->other === $other->other
            && ($this->feed === null || $facts->isUnchanged("feed {$this->feed->key()}")) && ($this->rail === null || $facts->isUnchanged(
                "rail {$this->rail->id}"));
    }

    /** @return array{kind: string, line: ?string, other: ?string, input: ?string, rail: ?string} */
    public function toArray(): array
    {
        return [
            'kind' => $this->kind->value,
            'line' => $this->line?->id,
            'other' => $this->other?->id,
            'input' => $this->feed?->input->name,
            'rail' => $this->rail?->id,
        ];
    }
}
