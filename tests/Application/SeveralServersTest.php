<?php

declare(strict_types=1);

use App\Actions\DrawerPieces;
use App\Actions\EditBuild;
use App\Actions\OpenAccount;
use App\Actions\PartFiles;
use App\Http\CommitTracker;
use App\Http\Controllers\HealthController;
use App\Http\DatabaseError;
use App\Http\Middleware\TryAgain;
use App\Letters\Occasion;
use App\Letters\PostLetter;
use App\Mapping\BuildCards;
use App\Models\BuildRecord;
use App\Models\DrawerPieceRecord;
use App\Models\Letter;
use App\Models\LineRecord;
use App\Models\PartRecord;
use App\Models\User;
use App\Providers\AppServiceProvider;
use App\Sessions\SessionRows;
use Illuminate\Database\QueryException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Middleware\TrustProxies;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;

/** An error as MariaDB's driver tells it. */
function databaseError(int $number, string $says, bool $inStatement = true): PDOException
{
    $error = new PDOException("SQLSTATE[HY000]: General error: {$number} {$says}");
    $error->errorInfo = ['HY000', $number, $says];

    return $inStatement ? new QueryException('mariadb', 'update builds set version = 2', [], $error) : $error;
}

/**
 * @param  list<?Throwable>  $goes  how each try goes; null is well. The last one stands for all further ones
 * @return array{int, JsonResponse} the tries, and what was answered
 */
function tried(array $goes, ?BuildRecord $build = null, ?callable $during = null, ?TryAgain $gate = null): array
{
    $tries = 0;
    $request = Request::create('/api/builds/x/brief', 'PUT');
    $route = (new Illuminate\Routing\Route('PUT', 'api/builds/{build}/brief', []))->bind($request);
    $build === null || $route->setParameter('build', $build);
    $request->setRouteResolver(static fn () => $route);
    $answer = ($gate ?? app(TryAgain::class))->handle($request, static function () use ($goes, $during, &$tries): JsonResponse {
        $error = $goes[min($tries++, count($goes) - 1)];
        $during === null || $during();

        return $error === null ? new JsonResponse(['tries' => $tries]) : (new JsonResponse(['code' => 'failed'], 503))->withException($error);
    });
    expect($answer)->toBeInstanceOf(JsonResponse::class);

    return [$tries, $answer];
}

it('has every table with a primary key and in InnoDB, as several nodes need it', function (): void {
    $tables = DB::select('select t.table_name as name, t.engine as engine, count(k.column_name) as keys_of_it from information_schema.tables t
        left join information_schema.key_column_usage k on k.table_schema = t.table_schema and k.table_name = t.table_name and k.constraint_name = "PRIMARY"
        where t.table_schema = database() group by t.table_name, t.engine');
    expect(count($tables))->toBeGreaterThan(20);
    foreach ($tables as $table) {
        expect($table->engine)->toBe('InnoDB', $table->name)->and((int) $table->keys_of_it)->toBeGreaterThan(0, $table->name);
    }
});

describe('what an error of the database means', function (): void {
    it('is told by its number', function (int $number, string $says, DatabaseError $is): void {
        expect(DatabaseError::of(databaseError($number, $says)))->toBe($is)->and(DatabaseError::of(databaseError($number, $says, false)))->toBe($is);
    })->with([
        'two wait for each other' => [1213, 'Deadlock found when trying to get lock; try restarting transaction', DatabaseError::Conflict],
        'waited too long for a lock' => [1205, 'Lock wait timeout exceeded; try restarting transaction', DatabaseError::Conflict],
        'another node committed first' => [1213, 'WSREP detected deadlock/conflict and aborted the transaction. Try restarting the transaction', DatabaseError::Conflict],
        'cut off from the majority' => [1047, 'WSREP has not yet prepared node for application use', DatabaseError::Unavailable],
        'going down' => [1053, 'Server shutdown in progress', DatabaseError::Unavailable],
        'could not commit' => [1180, 'Got error 6 "No such device or address" during COMMIT', DatabaseError::Unavailable],
        'gone' => [2006, 'MySQL server has gone away', DatabaseError::Unavailable],
        'gone in the middle' => [2013, 'Lost connection to server during query', DatabaseError::Unavailable],
        'killed by the proxy' => [1927, 'Connection was killed', DatabaseError::Unavailable],
        'too many come at once' => [1040, 'Too many connections', DatabaseError::Unavailable],
        'a guest of the cluster' => [1290, 'The MariaDB server is running with the --read-only option so it cannot execute this statement', DatabaseError::Unavailable],
        'the table is full' => [1114, "The table 'builds' is full", DatabaseError::StorageFull],
        'the disk is full' => [1021, 'Disk full (/tmp/x); waiting for someone to free some space', DatabaseError::StorageFull],
        'no such column' => [1054, "Unknown column 'nothing' in 'field list'", DatabaseError::Other],
        'said twice' => [1062, "Duplicate entry '1-board' for key 'build_lines'", DatabaseError::Other],
    ]);

    it('is none where the database was not asked', function (): void {
        expect(DatabaseError::of(new RuntimeException('another matter')))->toBeNull();
    });

    it('is away as well when a store of sessions and limits is', function (): void {
        class_exists('RedisException') || eval('class RedisException extends Exception {}');
        expect(DatabaseError::of(new RedisException('Connection refused')))->toBe(DatabaseError::Unavailable);
    });

    it('refuses the connection where nothing listens', function (): void {
        config(['database.connections.nowhere' => [...(array) config('database.connections.mariadb'), 'port' => '1']]);
        try {
            DB::connection('nowhere')->select('select 1');
            $trouble = null;
        } catch (PDOException $error) {
            $trouble = DatabaseError::of($error);
        }
        expect($trouble)->toBe(DatabaseError::Unavailable);
    });
});

describe('a request whose transaction was outrun', function (): void {
    beforeEach(function (): void {
        $this->conflict = databaseError(1213, 'Deadlock found when trying to get lock; try restarting transaction');
        $this->unavailable = databaseError(2013, 'Lost connection to server during query');
    });

    it('is begun anew until it goes', function (): void {
        expect(tried([null])[0])->toBe(1);
        [$tries, $answer] = tried([$this->conflict, $this->conflict, null]);
        expect($tries)->toBe(3)->and($answer->getStatusCode())->toBe(200);
        [$tries, $answer] = tried([$this->unavailable, $this->conflict, null]);
        expect($tries)->toBe(3)->and($answer->getStatusCode())->toBe(200);
    });

    it('is told that somebody was faster, with the fresh build, after six tries', function (): void {
        $build = $this->refuge($this->builder());
        DB::table('builds')->where('id', $build->id)->update(['version' => 41]);
        [$tries, $answer] = tried([$this->conflict], $build);
        expect($tries)->toBe(6)->and($answer->getStatusCode())->toBe(409)
            ->and($answer->getData()->code)->toBe('stale')->and($answer->getData()->message)->toContain('faster')
            ->and($answer->getData()->fresh->version)->toBe(41);
        [$tries, $answer] = tried([$this->conflict]);
        expect($tries)->toBe(6)->and($answer->getStatusCode())->toBe(503);
    });

    it('waits no longer than somebody in front does', function (): void {
        expect((int) DB::selectOne('select @@innodb_lock_wait_timeout as seconds')->seconds)->toBe(5);
        [$tries, $answer] = tried([$this->conflict], $this->refuge($this->builder()), gate: new TryAgain(app(CommitTracker::class), 0.0));
        expect($tries)->toBe(1)->and($answer->getStatusCode())->toBe(409);
    });

    it('is never begun anew once something was kept', function (): void {
        [$tries] = tried([$this->conflict, null], during: static fn () => app(CommitTracker::class)->committed = true);
        expect($tries)->toBe(1);
        [$tries] = tried([$this->unavailable, null], during: static fn () => app(CommitTracker::class)->committed = true);
        expect($tries)->toBe(1);
    });

    it('is not begun anew when the connection was lost while it committed, for nobody knows whether it was kept', function (): void {
        [$tries] = tried([$this->unavailable, null], during: static fn () => app(CommitTracker::class)->attempted = true);
        expect($tries)->toBe(1);
        // One that another node outran at its commit was not kept.
        [$tries] = tried([$this->conflict, null], during: static fn () => app(CommitTracker::class)->attempted = true);
        expect($tries)->toBe(2);
    });

    it('begins with nothing of the try, or the request, before it', function (): void {
        $seen = [];
        tried([$this->conflict, null], during: static function () use (&$seen): void {
            $seen[] = session()->get('left behind');
            session()->put('left behind', 'by the first try');
        });
        expect($seen)->toBe([null, null]);
        app(CommitTracker::class)->committed = true;
        expect(tried([$this->conflict, null])[0])->toBe(2);
    });

    it('is told at once what no second try mends', function (): void {
        expect(tried([databaseError(1114, 'The table is full'), null])[0])->toBe(1)
            ->and(tried([databaseError(1054, 'Unknown column'), null])[0])->toBe(1)
            ->and(tried([new RuntimeException('no database'), null])[0])->toBe(1);
    });

    it('notices commits of work by itself, and those of limits not', function (): void {
        $commits = app(CommitTracker::class);
        $commits->reset();
        DB::connection('state')->transaction(static fn () => DB::connection('state')->select('select 1'));
        expect($commits->attempted)->toBeFalse()->and($commits->committed)->toBeFalse();
        // The test's own transaction stands around this one, so that nothing is kept yet.
        DB::transaction(static fn () => DB::select('select 1'));
        expect($commits->committed)->toBeFalse();
    });

    it('is begun anew on a fresh connection when the old one hangs in a transaction that is none any more', function (): void {
        DB::rollBack(0);
        $seen = [];
        $during = static function () use (&$seen): void {
            $seen[] = [DB::transactionLevel(), DB::selectOne('select connection_id() as id')->id];
            count($seen) === 1 && DB::beginTransaction();
        };
        [$tries] = tried([$this->conflict, $this->conflict, null], during: $during);
        expect($tries)->toBe(3)->and(array_column($seen, 0))->toBe([0, 0, 0])
            ->and($seen[1][1])->not->toBe($seen[0][1])->and($seen[2][1])->toBe($seen[1][1]);
    });

    it('stays the same builder in the same session, and writes once', function (): void {
        $ada = $this->builder();
        $build = $this->refuge($ada);
        $cookies = $this->signedIn($ada, 'database');
        $conflicts = 0;
        BuildRecord::saving(static function () use (&$conflicts): void {
            if (++$conflicts <= 2) {
                throw databaseError(1213, 'Deadlock found when trying to get lock; try restarting transaction');
            }
        });
        $answer = $this->browse($cookies, 'PATCH', "/api/builds/{$build->id}/lines/panel", ['version' => $build->version, 'note' => 'written once'])->assertOk();
        $id = static fn (string $cookie): string => explode('|', decrypt($cookie, false))[1];
        $session = $id($cookies['pocketplot_session']);
        expect($conflicts)->toBe(3)->and($answer->json('version'))->toBe($build->version + 1)
            ->and($session)->toHaveLength(40)->and($id((string) $answer->getCookie('pocketplot_session', false)?->getValue()))->toBe($session);
        $this->newServer();
        $this->browse($cookies, 'GET', '/api/session')->assertJsonPath('user.email', 'ada@example.test');
        DB::connection('state')->table('sessions')->where('id', $session)->delete();
    });

    it('gets its edit in once, behind somebody who holds the row', function (): void {
        // One waits for a lock, gives up after a second, and begins anew.
        $email = 'locked'.bin2hex(random_bytes(4)).'@example.test';
        $made = $this->process('$u = '.User::class.'::query()->create(["name" => "Locked", "email" => "'.$email.'", "password" => "a long enough one"]);
            echo App\Actions\ImportBuild::as($u, App\Actions\StartBuild::demoFile("thimble"))->id;');
        $id = trim($made->mustRun()->getOutput());
        $holder = DB::connection('state');
        $holder->beginTransaction();
        $holder->table('build_lines')->where('build_id', $id)->where('key', 'board')->lockForUpdate()->get();
        $racer = $this->process('Illuminate\Support\Facades\DB::statement("set session innodb_lock_wait_timeout = 1");
            $request = Illuminate\Http\Request::create("/api/builds/x");
            $request->setRouteResolver(fn () => (new Illuminate\Routing\Route("PUT", "x", []))->bind($request));
            $tries = 0;
            app('.TryAgain::class.'::class)->handle($request, function () use (&$tries) {
                $tries++;
                try {
                    $build = '.BuildRecord::class.'::query()->findOrFail("'.$id.'");
                    return '.EditBuild::class.'::run($build, 1, fn ($b) => App\Actions\ChangeLine::in($b, "board", ["note" => "in at last"]));
                } catch (PDOException $conflict) {
                    echo "conflict\n";
                    return (new Illuminate\Http\JsonResponse)->withException($conflict);
                }
            });
            echo "tries {$tries}\n";');
        $racer->start();
        $racer->waitUntil(static fn (string $type, string $said): bool => str_contains($said, 'conflict'));
        $holder->rollBack();
        $racer->wait();
        $after = $holder->table('builds')->where('id', $id)->value('version');
        $note = $holder->table('build_lines')->where('build_id', $id)->where('key', 'board')->value('note');
        $holder->table('users')->where('email', $email)->delete();
        expect($racer->getOutput())->toMatch('/(conflict\n)+tries [2-6]\n/')->and($after)->toBe(2)->and($note)->toBe('in at last');
    });
});

describe('what a transaction rests on', function (): void {
    it('is written when pieces of the drawer are counted, for another node knows of no lock', function (): void {
        $ada = $this->builder();
        $build = $this->refuge($ada);
        $piece = DrawerPieces::put($ada, ['name' => 'A spare', 'role' => 'material', 'part_key' => '', 'spec' => ['name' => 'A spare', 'role' => 'material', 'facets' => []], 'quantity' => 1]);
        $line = LineRecord::query()->where('build_id', $build->id)->where('owned', 0)->firstOrFail();
        $locks = static fn (): int => (int) DrawerPieceRecord::withTrashed()->findOrFail($piece->id)->getAttribute('locks');
        $this->actingAs($ada)->postJson("/api/builds/{$build->id}/claims", ['version' => $build->version, 'line' => $line->key, 'piece' => $piece->id, 'quantity' => 1])->assertOk();
        expect($locks())->toBe(1);
        $this->actingAs($ada)->deleteJson("/api/drawer/{$piece->id}")->assertUnprocessable();
        expect($locks())->toBe(1, 'what was refused was taken back');
    });

    it('is the account when files are counted', function (): void {
        $ada = $this->builder();
        $part = PartRecord::query()->create(['user_id' => $ada->id, 'key' => 'mine', 'name' => 'Mine', 'role' => 'board', 'maker' => '', 'summary' => '', 'spec' => ['id' => 'mine', 'name' => 'Mine', 'role' => 'board', 'facets' => []]]);
        $file = PartFiles::add($part, 'pins.txt', 'data:text/plain;base64,'.base64_encode('1 ground'));
        PartFiles::remove($part, $file->id);
        PartFiles::restore($part, $file->id);
        expect((int) $ada->refresh()->getAttribute('locks'))->toBe(2);
    });
});

describe('whether a server may be sent builders', function (): void {
    it('is yes while the database answers and has every table that it knows', function (): void {
        $this->get('/up')->assertOk()->assertExactJson(['database' => 'answers', 'schema' => 'complete'])->assertCookieMissing('pocketplot_session');
    });

    it('is no while the tables are older than it', function (): void {
        DB::table('migrations')->where('migration', '2026_12_01_000001_several_machines')->delete();
        $answer = $this->get('/up')->assertStatus(503)->assertHeader('Retry-After');
        expect($answer->json('schema'))->toBe('behind by 2026_12_01_000001_several_machines');
    });

    it('is yes while the tables are newer than it', function (): void {
        DB::table('migrations')->insert(['migration' => '2099_01_01_000001_of_a_later_version', 'batch' => 9]);
        $this->get('/up')->assertOk();
    });

    it('is no while the database does not answer', function (): void {
        config(['database.connections.nowhere' => [...(array) config('database.connections.mariadb'), 'port' => '1'], 'database.default' => 'nowhere']);
        $answer = (new HealthController)();
        config(['database.default' => 'mariadb']);
        expect($answer->getStatusCode())->toBe(503)->and($answer->getData()->database)->toBe('does not answer');
    });
});

describe('what several servers share', function (): void {
    it('is the session: a row, unreadable, without address or browser', function (): void {
        $rows = new SessionRows(DB::connection(), 'sessions', 480);
        $id = str_repeat('aB3', 13).'x';
        expect($rows->read($id))->toBe('');
        $rows->write($id, 'what is kept');
        $elsewhere = new SessionRows(DB::connection(), 'sessions', 480);
        expect($elsewhere->read($id))->toBe('what is kept')
            ->and($elsewhere->read(strtolower($id)))->toBe('', 'ids are told apart letter by letter')
            ->and(array_keys((array) DB::table('sessions')->where('id', $id)->first()))->toBe(['id', 'payload', 'last_activity']);
        $store = session()->driver('database');
        expect($store->getHandler())->toBeInstanceOf(SessionRows::class)->and($store)->toBeInstanceOf(Illuminate\Session\EncryptedStore::class);
    });

    it('is limits and locks, and a lock outlives any stream even where clocks differ by a minute', function (): void {
        config(['cache.stores.database.connection' => 'mariadb', 'cache.stores.database.lock_connection' => 'mariadb', 'cache.default' => 'database']);
        $one = cache()->store('database')->lock('stream 7', 150);
        expect($one->get())->toBeTrue()->and(cache()->store('database')->lock('stream 7', 150)->get())->toBeFalse();
        $this->travel(61 + 50)->seconds();
        expect(cache()->store('database')->lock('stream 7', 150)->get())->toBeFalse();
        $one->release();
        expect(cache()->store('database')->lock('stream 7', 150)->get())->toBeTrue();
        cache()->store('database')->put('tries', 0, 60);
        foreach (range(1, 3) as $count) {
            expect(cache()->store('database')->increment('tries'))->toBe($count);
        }
    });

    it('is the fingerprint of the rules, which goes by what they are and not by when they came', function (): void {
        $made = BuildCards::made();
        touch(base_path('core/src/Appraisal.php'));
        cache()->flush();
        expect(BuildCards::made())->toBe($made);
    });
});

describe('letters with a queue', function (): void {
    beforeEach(fn () => config(['queue.default' => 'database']));

    it('are kept before the answer, in the same transaction, and name nobody', function (): void {
        OpenAccount::askedFor('One', 'one@example.test', 'four calm grey herons');
        $payload = (string) DB::table('jobs')->value('payload');
        expect(DB::table('jobs')->count())->toBe(1)->and($payload)->not->toContain('one@example')->and(Letter::query()->count())->toBe(0);
        try {
            DB::transaction(static function (): void {
                OpenAccount::askedFor('Two', 'two@example.test', 'four calm grey herons');
                throw new RuntimeException('taken back');
            });
        } catch (RuntimeException) {
            expect(DB::table('jobs')->count())->toBe(1);
        }
    });

    it('are sent by a worker, once', function (): void {
        $this->builder('old@example.test');
        PostLetter::to('old@example.test', Occasion::AccountAskedFor, 'abc');
        PostLetter::to('new@example.test', Occasion::AccountAskedFor, 'abc');
        PostLetter::to('old@example.test', Occasion::PasswordChanged);
        PostLetter::to('old@example.test', Occasion::PasswordForgotten);
        PostLetter::to('nobody@example.test', Occasion::PasswordForgotten);
        // A worker stops when it has grown; this one has grown with all the tests before it.
        Artisan::call('queue:work', ['--queue' => 'letters', '--stop-when-empty' => true, '--memory' => 4000]);
        expect(Letter::query()->orderBy('id')->pluck('subject', 'id')->values()->all())->toBe([
            'You have an account already', 'Your account for Pocket Plot', 'Your password was changed', 'A new password for Pocket Plot',
        ])->and(DB::table('jobs')->count())->toBe(0);
    });

    it('wait for a mail server that does not answer', function (): void {
        PostLetter::to('one@example.test', Occasion::PasswordChanged);
        Mail::shouldReceive('raw')->once()->andThrow(new RuntimeException('no answer'));
        Artisan::call('queue:work', ['--queue' => 'letters', '--stop-when-empty' => true]);
        expect(DB::table('jobs')->count())->toBe(1)->and(DB::table('failed_jobs')->count())->toBe(0)
            ->and((int) DB::table('jobs')->value('available_at'))->toBeGreaterThan(now()->timestamp);
    });

    it('leave no account asked for twice when nothing answers the same on both ways', function (): void {
        $this->builder('taken@example.test');
        foreach (['taken@example.test', 'free@example.test'] as $email) {
            $this->postJson('/api/register', ['name' => 'One', 'email' => $email, 'password' => 'four calm grey herons'])->assertOk();
            $this->postJson('/api/forgot-password', ['email' => $email])->assertOk();
        }
        expect(DB::table('jobs')->count())->toBe(4);
    });
});

it('believes what a load balancer says of a caller only where it was told to', function (): void {
    $seen = fn (): ?string => tap(Request::create('/', server: ['REMOTE_ADDR' => '10.0.0.5', 'HTTP_X_FORWARDED_FOR' => '203.0.113.9', 'HTTP_X_FORWARDED_PROTO' => 'https']), function (Request $request): void {
        app(TrustProxies::class)->handle($request, static fn () => null);
    })->ip();
    expect($seen())->toBe('10.0.0.5');
    config(['pocketplot.proxies' => ['10.0.0.5']]);
    (new AppServiceProvider($this->app))->boot();
    expect($seen())->toBe('203.0.113.9');
    TrustProxies::flushState();
    Request::setTrustedProxies([], -1);
});
