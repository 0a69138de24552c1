<?php

declare(strict_types=1);

namespace PocketPlot\Check;

/** What one rule says of some parts: the verdict, one sentence, the working and the ways out. */
final readonly class Finding
{
    private string $key;

    /**
     * @param  list<string>  $lines  ids of the lines concerned, the one it stands beside first
     * @param  list<WorkingLine>  $working
     * @param  list<Remedy>  $remedies
     * @param  string  $about  tells findings of one rule on the same lines apart
     */
    public function __construct(
        public string $rule,
        public Verdict $verdict,
        public array $lines,
        public string $says,
        public array $working = [],
        public string $comparison = '',
        public array $remedies = [],
        public string $about = '',
        /** About the whole build; the lines are only examples and may change while the finding stays. */
        public bool $ofWhole = false,
    ) {
        $this->key = $rule.'/'.($ofWhole ? 'build' : ($lines[0] ?? 'build')).($about === '' ? '' : '/'.$about);
    }

    /** Stays the same while the finding is about the same thing, whatever its verdict. */
    public function key(): string
    {
        return $this->key;
    }

    /** @return array{key: string, rule: string, family: string, verdict: string, lines: list<string>, ofWhole: bool, says: string} what stands in the margin */
    public function toArray(): array
    {
        return [
            'key' => $this->key,
            'rule' => $this->rule,
            'family' => explode('.', $this->rule)[0],
            'verdict' => $this->verdict->value,
            'lines' => $this->lines,
            'ofWhole' => $this->ofWhole || $this->lines === [],
            'says' => $this->says,
        ];
    }

    /** @return array<string, mixed> with the working and the ways out, for whoever opens the note */
    public function inFull(): array
    {
        return $this->toArray() + [
            'working' => array_map(static fn (WorkingLine $line): array => $line->toArray(), $this->working),
            'comparison' => $this->comparison,
            'remedies' => array_map(static fn (Remedy $remedy): array => $remedy->toArray(), $this->remedies),
        ];
    }
}
