<?php

declare(strict_types=1);

namespace PocketPlot\Check;

use PocketPlot\Build\Line;
use PocketPlot\Power\Feed;
use PocketPlot\Power\Giver;
use PocketPlot\Power\Rail;

/** What a rule judges at one time: a line, a feed with what gives it, a rail, a pair of lines, or the whole build. */
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
        public ?Giver $giver = null,
    ) {}

    public static function line(Line $line): self
    {
        return new self(SubjectKind::Line, $line->id, $line);
    }

    public static function pair(Line $line, Line $other): self
    {
        return new self(SubjectKind::Pair, "{$line->id} {$other->id}", $line, $other);
    }

    public static function feed(Feed $feed, Giver $giver): self
    {
        return new self(SubjectKind::Feed, $feed->key(), $feed->line, null, $feed, null, $giver);
    }

    public static function rail(Rail $rail): self
    {
        return new self(SubjectKind::Rail, $rail->id, $rail->line, null, null, $rail);
    }

    public static function whole(): self
    {
        return new self(SubjectKind::Whole, 'whole');
    }

    /**
     * @return list<string> topics of Facts that have to be as they were for it to be the same: its lines untouched, a feed from
     *                      the same volts, a rail at the same volts and watts
     */
    public function topics(): array
    {
        return array_values(array_filter([
            $this->line === null ? '' : "line {$this->line->id}",
            $this->other === null ? '' : "line {$this->other->id}",
            $this->feed === null ? '' : "feed {$this->feed->key()}",
            $this->giver === null ? '' : "giver {$this->giver->id}",
            $this->rail === null ? '' : "rail {$this->rail->id}",
        ]));
    }

    /** @return array{kind: string, line: ?string, other: ?string, input: ?string, rail: ?string} */
    public function toArray(): array
    {
        return [
            'kind' => $this->kind->value,
            'line' => $this->line?->id,
            'other' => $this->other?->id,
            'input' => $this->feed?->input->name,
            'rail' => $this->rail->id ?? $this->giver?->id,
        ];
    }
}
