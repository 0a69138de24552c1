<?php

declare(strict_types=1);

use App\Actions\DrawerPieces;
use App\Mapping\BuildCards;
use App\Models\BuildRecord;
use App\Models\DrawerClaimRecord;
use App\Models\LineRecord;
use App\Models\StepEventRecord;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use PocketPlot\Appraisal;
use PocketPlot\Quantity\Day;
use Tests\Load\Account;
use Tests\Load\Answer;
use Tests\Load\Editor;
use Tests\Load\Verification;

/** What bin/cluster-test goes by has to notice what is wrong. */
beforeEach(function (): void {
    $this->folder = sys_get_temp_dir().'/trial-'.bin2hex(random_bytes(6));
    mkdir($this->folder);
    $this->ada = $this->builder();
    $this->kept = $this->refuge($this->ada);
    DB::table('builds')->where('id', $this->kept->id)->update(['version' => 9]);
    DB::table('build_lines')->where('build_id', $this->kept->id)->where('key', 'board')->update(['note' => 't-a t-b']);
    StepEventRecord::query()->create(['build_id' => $this->kept->id, 'key' => 't-r', 'document' => ['id' => 't-r', 'step' => 'x', 'did' => 'noted']]);
    /** Logs of editors, each a list of lines, and what is found wrong with them. */
    $this->verify = function (array ...$editors): array {
        foreach ($editors as $number => $lines) {
            file_put_contents("{$this->folder}/editor-{$number}.jsonl", implode('', array_map(static fn (array $line): string => json_encode($line)."\n", $lines)));
        }
        $verification = new Verification($this->folder);
        $verification->againstTheDatabase();

        return $verification->wrong;
    };
    $this->said = fn (string $what, int $version, string $token): array => ['what' => $what, 'build' => $this->kept->id, 'version' => $version, 'token' => $token];
});

afterEach(function (): void {
    array_map(unlink(...), glob("{$this->folder}/*") ?: []);
    rmdir($this->folder);
});

it('finds nothing wrong with what is all there', function (): void {
    expect(($this->verify)([($this->said)('noted', 4, 't-a'), ($this->said)('recorded', 6, 't-r')], [($this->said)('noted', 5, 't-b'), ($this->said)('claimed', 9, '')]))->toBe([]);
});

it('notices what was acknowledged and is not there', function (array $lines, string $says): void {
    $wrong = ($this->verify)(array_map(fn (array $line): array => ($this->said)(...$line), $lines));
    expect($wrong)->toHaveCount(1)->and($wrong[0])->toContain($says);
})->with([
    'a version beyond the last one' => [[['claimed', 10, '']], 'version 10 was acknowledged, version 9 is there'],
    'a version acknowledged twice' => [[['claimed', 8, ''], ['let-go', 8, '']], 'version 8 was acknowledged twice'],
    'a note that was written over' => [[['noted', 4, 't-a'], ['noted', 5, 't-gone'], ['noted', 6, 't-b']], 'acknowledged t-a t-gone t-b, there is t-a t-b'],
    'notes in another order' => [[['noted', 4, 't-b'], ['noted', 5, 't-a']], 'acknowledged t-b t-a, there is t-a t-b'],
    'an entry that is not there' => [[['recorded', 7, 't-none']], 'entry t-none was acknowledged and is there 0 times'],
]);

it('notices a piece that was given away twice', function (): void {
    $piece = DrawerPieces::put($this->ada, ['name' => 'The only one', 'role' => 'material', 'part_key' => '', 'spec' => [], 'quantity' => 1]);
    foreach (LineRecord::query()->where('build_id', $this->kept->id)->limit(2)->get() as $line) {
        DrawerClaimRecord::query()->create(['piece_id' => $piece->id, 'line_id' => $line->id, 'quantity' => 1]);
    }
    expect(($this->verify)([($this->said)('claimed', 8, '')]))->toBe(["piece {$piece->id}: 2 of 1 were given away"]);
});

it('passes on what a builder saw, counts answers, and knows how long nobody was served', function (): void {
    $answer = static fn (int $status, float $at, float $took): array => ['what' => 'answer', 'status' => $status, 'at' => $at, 'took' => $took, 'edit' => false];
    $wrong = ($this->verify)(
        [$answer(200, 100.0, 0.5), $answer(503, 101.0, 0.1), $answer(200, 104.0, 0.25), $answer(200, 130.0, 1.0)],
        [$answer(200, 100.2, 0.8), $answer(0, 101.5, 0.1), ['what' => 'wrong', 'says' => 'read in an older version']],
    );
    $verification = new Verification($this->folder);
    // Answers that were well came at 100.5, 101.0, 104.25 and 131.0.
    expect($wrong)->toBe(['read in an older version'])->and($verification->answers)->toEqual([200 => 4, 503 => 1, 0 => 1])
        ->and($verification->silences([100.75], [100.75]))->toBe([15.0 - 3.5])
        ->and($verification->silences([100.75, 104.5], [100.75, 104.5]))->toBe([3.25, 15.0]);
});

it('makes accounts of which each has two builds and one piece that both could use', function (): void {
    $account = Account::make(7);
    $lines = LineRecord::query()->whereIn('build_id', $account->builds)->where('key', $account->line)->get();
    expect($lines)->toHaveCount(2)->and($account->email)->toBe('editor-7@example.test');
    $this->postJson('/api/sign-in', ['email' => $account->email, 'password' => Tests\Load\Visitor::PASSWORD])->assertOk();
    foreach ($account->builds as $number => $build) {
        $version = BuildRecord::query()->findOrFail($build)->version;
        $this->postJson("/api/builds/{$build}/claims", ['version' => $version, 'line' => $account->line, 'piece' => $account->piece, 'quantity' => 1])
            ->assertStatus($number === 0 ? 200 : 422);
    }
});

it('reads the tokens out of a page, and knows which answers leave a write open', function (): void {
    expect(Editor::tokensOf(['lines' => [['id' => 'panel', 'note' => 't-no'], ['id' => 'board', 'note' => 'mine t-a-1-2 and t-b-1-3']]]))->toBe(['t-a-1-2', 't-b-1-3'])
        ->and(Editor::tokensOf([]))->toBe([])
        ->and((new Answer(503, [], 2))->isOpen())->toBeTrue()->and((new Answer(0, [], null))->isOpen())->toBeTrue()
        ->and((new Answer(409, [], null))->isOpen())->toBeFalse()->and((new Answer(200, [], null))->isWell())->toBeTrue();
});

describe('plot:recheck', function (): void {
    beforeEach(function (): void {
        BuildRecord::query()->whereKeyNot($this->kept->id)->delete();
        $appraisal = Appraisal::of(App\Mapping\BuildMapper::toCore($this->kept->refresh()->load(App\Mapping\BuildMapper::RELATIONS)), Day::of('2026-11-20'));
        $this->card = BuildCards::says($appraisal);
        $this->put = fn (array $card, string $made) => DB::table('builds')->where('id', $this->kept->id)->update(['card' => json_encode($card, JSON_PRESERVE_ZERO_FRACTION), 'card_made' => $made]);
        $this->made = '2026-11-20 '.explode(' ', BuildCards::made())[1];
    });

    it('finds every build as its card says, as of the day of the card', function (): void {
        ($this->put)($this->card, $this->made);
        expect(Artisan::call('plot:recheck'))->toBe(0)->and(Artisan::output())->toContain('1 as they were, 0 not');
    });

    it('notices a build that is another than its card says', function (): void {
        $this->card['vitals']['cost']['amount'] = '1.00';
        ($this->put)($this->card, $this->made);
        expect(Artisan::call('plot:recheck'))->toBe(1)->and(Artisan::output())->toContain("other: {$this->kept->id}, version 9");
    });

    it('says which build cannot be read, and which card is of other rules', function (): void {
        ($this->put)($this->card, '2026-11-20 of-other-rules');
        expect(Artisan::call('plot:recheck', ['--quiet-fits' => true]))->toBe(0)->and(Artisan::output())->toContain('1 whose card is of other rules');
        ($this->put)($this->card, $this->made);
        DB::table('build_parts')->where('build_id', $this->kept->id)->limit(1)->update(['spec' => '{"id": 7}']);
        expect(Artisan::call('plot:recheck'))->toBe(1)->and(Artisan::output())->toContain('1 that cannot be read');
    });
});
