<?php

declare(strict_types=1);

namespace Tests\Load;

use Illuminate\Support\Facades\DB;

/** What all editors of a trial saw, held against what the database has now. */
final class Verification
{
    /** @var array<string, int> answers by status; 0 is a connection that was cut */
    public array $answers = [];

    /** @var array<string, int> what was acknowledged, by kind */
    public array $acknowledged = [];

    /** @var list<string> */
    public array $wrong = [];

    /** @var list<array{float, float}> when an answer that was well began and came */
    private array $well = [];

    /** @var array<string, array<int, string>> by build and version, what was acknowledged with it */
    private array $versions = [];

    /** @var array<string, array<int, string>> by build and version, the tokens of notes */
    private array $notes = [];

    /** @var array<string, list<string>> by build, the entries of the record */
    private array $recorded = [];

    public function __construct(private readonly string $folder)
    {
        foreach (glob("{$folder}/editor-*.jsonl") ?: [] as $file) {
            foreach (file($file, FILE_IGNORE_NEW_LINES) ?: [] as $line) {
                $this->read((array) json_decode($line, true, flags: JSON_THROW_ON_ERROR));
            }
        }
    }

    /** Against the tables. Needs the application booted on the same database. */
    public function againstTheDatabase(): void
    {
        foreach ($this->versions as $build => $versions) {
            $row = DB::table('builds')->where('id', $build)->first();
            $last = max(array_keys($versions));
            if ($row === null || $row->version < $last) {
                $this->wrong[] = "build {$build}: version {$last} was acknowledged, version ".($row->version ?? 'none').' is there';

                continue;
            }
            $this->holdNotes($build, (int) $row->version);
            $there = DB::table('step_events')->where('build_id', $build)->pluck('key')->countBy();
            foreach ($this->recorded[$build] ?? [] as $token) {
                if ($there->get($token) !== 1) {
                    $this->wrong[] = "build {$build}: entry {$token} was acknowledged and is there ".($there->get($token) ?? 0).' times';
                }
            }
        }
        $over = DB::select('select p.id, p.quantity, sum(c.quantity) as claimed from drawer_pieces p
            join drawer_claims c on c.piece_id = p.id group by p.id, p.quantity having claimed > p.quantity');
        foreach ($over as $piece) {
            $this->wrong[] = "piece {$piece->id}: {$piece->claimed} of {$piece->quantity} were given away";
        }
    }

    /**
     * How long nobody got an answer that was well, after each of these moments and before what happened next.
     *
     * @param  list<float>  $moments
     * @param  list<float>  $all  of everything that happened
     * @return list<float> seconds
     */
    public function silences(array $moments, array $all): array
    {
        usort($this->well, static fn (array $one, array $other): int => $one[1] <=> $other[1]);
        $silences = [];
        foreach ($moments as $moment) {
            $until = min([$moment + 15.0, ...array_filter($all, static fn (float $other): bool => $other > $moment)]);
            $longest = 0.0;
            $last = $moment;
            foreach ($this->well as [, $came]) {
                if ($came < $moment) {
                    continue;
                }
                $longest = max($longest, min($came, $until) - $last);
                $last = $came;
                if ($came > $until) {
                    break;
                }
            }
            $silences[] = $longest;
        }

        return $silences;
    }

    /** @param  array<mixed>  $line */
    private function read(array $line): void
    {
        $what = (string) $line['what'];
        if ($what === 'answer') {
            $status = (string) $line['status'];
            $this->answers[$status] = ($this->answers[$status] ?? 0) + 1;
            if ($line['status'] >= 200 && $line['status'] < 300) {
                $this->well[] = [$line['at'], $line['at'] + $line['took']];
            }

            return;
        }
        if ($what === 'wrong') {
            $this->wrong[] = (string) $line['says'];

            return;
        }
        $this->acknowledged[$what] = ($this->acknowledged[$what] ?? 0) + 1;
        if ($what === 'kept') {
            return;
        }
        [$build, $version, $token] = [(string) $line['build'], (int) $line['version'], (string) $line['token']];
        if ($what === 'recorded') {
            // One that was in already is acknowledged with a version of its own all the same.
            $this->recorded[$build][] = $token;
        }
        if (isset($this->versions[$build][$version])) {
            $this->wrong[] = "build {$build}: version {$version} was acknowledged twice, for {$this->versions[$build][$version]} and {$what} {$token}";
        }
        $this->versions[$build][$version] = "{$what} {$token}";
        if ($what === 'noted') {
            $this->notes[$build][$version] = $token;
        }
    }

    /** Tokens that were acknowledged last stand in the note, in the order of their versions. */
    private function holdNotes(string $build, int $version): void
    {
        $tokens = $this->notes[$build] ?? [];
        ksort($tokens);
        // Each version puts one token in at most, so that this many cannot have made room yet.
        $last = array_filter($tokens, static fn (int $at): bool => $at > $version - 25, ARRAY_FILTER_USE_KEY);
        $note = (string) DB::table('build_lines')->where('build_id', $build)->where('key', 'board')->value('note');
        $there = array_values(array_intersect(explode(' ', $note), $last));
        if ($there !== array_values($last)) {
            $this->wrong[] = "build {$build}: acknowledged ".implode(' ', $last).', there is '.implode(' ', $there);
        }
    }
}
