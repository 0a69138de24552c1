<?php

declare(strict_types=1);

namespace PocketPlot\Check;

use Closure;
use PocketPlot\Part\FigureRef;

/** What one rule says of one subject. The verdict and what it is about are values; the words are made when somebody reads them. */
final class Finding
{
    /** Beyond so many, a finding names no more lines, rows and remedies: nobody reads them, and all of them against all would never end. */
    public const MOST_NAMED = 80;

    private readonly string $key;

    private ?Words $words = null;

    /**
     * @param  list<string>  $lines  ids of the lines concerned, the one it stands beside first
     * @param  Closure(): Words  $makeWords
     * @param  string  $about  tells findings of one rule on the same lines apart
     * @param  bool  $ofWhole  about the whole build; the lines are only examples and may change while the finding stays
     * @param  list<array{string, FigureRef}>  $waitsFor  line id and figure, each of which has to be found out first
     */
    public function __construct(
        public readonly string $rule,
        public readonly Verdict $verdict,
        public readonly array $lines,
        private readonly Closure $makeWords,
        public readonly string $about,
        public readonly bool $ofWhole,
        public readonly Subject $subject,
        public readonly array $waitsFor = [],
    ) {
        $this->key = $rule.'/'.($ofWhole ? 'build' : ($lines[0] ?? 'build')).($about === '' ? '' : '/'.$about);
    }

    /** Stays the same while the finding is about the same thing, whatever its verdict. */
    public function key(): string
    {
        return $this->key;
    }

    /** One sentence. */
    public function says(): string
    {
        return $this->words()->says;
    }

    /** @return list<WorkingLine> */
    public function working(): array
    {
        return $this->words()->working;
    }

    public function comparison(): string
    {
        return $this->words()->comparison;
    }

    /** @return list<Remedy> */
    public function remedies(): array
    {
        return $this->words()->remedies;
    }

    public function family(): string
    {
        return explode('.', $this->rule)[0];
    }

    /** Where in the notebook it is worked on. */
    public function station(): string
    {
        return match ($this->family()) {
            'power' => 'power',
            'money' => 'buy',
            'fit' => 'fit',
            default => 'parts',
        };
    }

    /** @return array{key: string, rule: string, family: string, station: string, verdict: string, subject: string, rail: ?string, lines: list<string>, ofWhole: bool, says: ?string} what stands in the margin; of what fits, the sentence comes when somebody asks for it */
    public function toArray(): array
    {
        return [
            'key' => $this->key,
            'rule' => $this->rule,
            'family' => $this->family(),
            'station' => $this->station(),
            'verdict' => $this->verdict->value,
            'subject' => $this->subject->kind->value,
            'rail' => $this->subject->kind === SubjectKind::Rail ? $this->subject->rail?->id : null,
            'lines' => $this->lines,
            'ofWhole' => $this->ofWhole || $this->lines === [],
            'says' => $this->verdict === Verdict::Fits ? null : $this->says(),
        ];
    }

    /** @return array<string, mixed> with the sentence, the working and the fixes, for whoever opens the note */
    public function inFull(): array
    {
        return [...$this->toArray(),
            'says' => $this->says(),
            'about' => ['line' => $this->subject->line?->id, 'other' => $this->subject->other?->id, 'input' => $this->subject->feed?->input->name],
            'working' => array_map(static fn (WorkingLine $line): array => $line->toArray(), $this->working()),
            'comparison' => $this->comparison(),
            'remedies' => array_map(static fn (Remedy $remedy): array => $remedy->toArray(), $this->remedies()),
        ];
    }

    private function words(): Words
    {
        return $this->words ??= $this->capped(($this->makeWords)());
    }

    private function capped(Words $words): Words
    {
        $remedies = $this->verdict === Verdict::Fits ? [] : array_slice($words->remedies, 0, self::MOST_NAMED);

        return new Words($words->says, array_slice($words->working, 0, self::MOST_NAMED), $words->comparison, $remedies);
    }
}
