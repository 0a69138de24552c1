<?php

declare(strict_types=1);

use App\Http\Middleware\HoldsSession;
use App\Http\Middleware\OnlyHere;
use App\Models\Letter;
use App\Models\PendingAccount;
use App\Models\User;
use Illuminate\Hashing\HashManager;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Tests\TestCase;

/** The key in the newest letter to an address. */
function keyFor(string $email): string
{
    preg_match('/token=([a-f0-9]+)/', Letter::query()->where('recipient', $email)->latest('id')->firstOrFail()->body, $found);

    return $found[1] ?? '';
}

$wish = static fn (array $given = []): array => [...['name' => 'Ada', 'email' => 'ada@example.test', 'password' => TestCase::PASSWORD], ...$given];

describe('an account', function () use ($wish): void {
    it('is asked for, opened with the letter, left and entered again', function () use ($wish): void {
        $this->assertShape($this->postJson('/api/register', $wish())->assertOk(), 'Message');
        expect(User::query()->where('email', 'ada@example.test')->exists())->toBeFalse();
        $this->assertShape($this->postJson('/api/open-account', ['token' => keyFor('ada@example.test')])->assertOk(), 'Session')->assertJsonPath('user.name', 'Ada');
        $this->postJson('/api/sign-out')->assertOk()->assertJsonPath('user', null);
        $this->postJson('/api/sign-in', ['email' => 'Ada@Example.test', 'password' => TestCase::PASSWORD])->assertOk()->assertJsonPath('user.email', 'ada@example.test');
    });

    it('opens once, and not after a day', function () use ($wish): void {
        $this->postJson('/api/register', $wish())->assertOk();
        $key = keyFor('ada@example.test');
        $this->travel(25)->hours();
        $this->postJson('/api/open-account', ['token' => $key])->assertStatus(422)->assertJsonPath('fields.token.0', 'This link has run out or was used. Sign in, or ask for an account once more.');
        $this->travelBack();
        $this->postJson('/api/open-account', ['token' => $key])->assertOk();
        $this->postJson('/api/open-account', ['token' => $key])->assertStatus(422);
        $this->postJson('/api/open-account', ['token' => 'nonsense'])->assertStatus(422);
    });

    it('is one, though two asked for it at once', function () use ($wish): void {
        $this->postJson('/api/register', $wish())->assertOk();
        $first = keyFor('ada@example.test');
        $this->postJson('/api/register', $wish(['name' => 'Not Ada']))->assertOk();
        $second = keyFor('ada@example.test');
        // Somebody else's row between the look and the write.
        User::query()->create(['name' => 'Third', 'email' => 'ada@example.test', 'password' => TestCase::PASSWORD]);
        foreach ([$first, $second] as $key) {
            $this->postJson('/api/open-account', ['token' => $key])->assertStatus(422)->assertJsonPath('fields.token.0', 'This address has an account by now. Sign in, or ask for a new password.');
        }
        expect(User::query()->where('email', 'ada@example.test')->count())->toBe(1);
    });

    it('says which field is wrong and how to mend it', function (array $given, string $field, string $words) use ($wish): void {
        $before = PendingAccount::query()->count();
        $response = $this->postJson('/api/register', $wish($given))->assertStatus(422);
        expect($this->assertShape($response, 'Problem')->json("fields.{$field}")[0])->toContain($words)->and(PendingAccount::query()->count())->toBe($before);
    })->with([
        [['email' => 'nonsense'], 'email', 'name@example.org'],
        [['email' => ['a@b.test']], 'email', 'name@example.org'],
        [['email' => "ada\0@example.test"], 'email', 'no keyboard writes'],
        [['password' => 'short'], 'password', '12 characters'],
        [['password' => ['a long enough one']], 'password', '12 characters'],
        [['password' => "four calm\0grey herons"], 'password', 'no keyboard writes'],
        [['name' => ''], 'name', 'called'],
        [['name' => ['Ada']], 'name', 'called'],
    ]);
});

describe('a password', function () use ($wish): void {
    it('is refused when it is tried first by who guesses', function (string $password, string $why) use ($wish): void {
        expect($this->postJson('/api/register', $wish(['name' => 'Meadowlark', 'email' => 'bramblewick@example.test', 'password' => $password]))->assertStatus(422)->json('fields.password.0'))->toContain($why);
    })->with([
        ['password1234', 'commonest'], ['Passw0rd2026!', 'commonest'], ['p@$$w0rd!!!!!', 'commonest'], ['iloveyou1234', 'commonest'], ['qwertyuiopqw', 'row of keys'], ['098765432109', 'row of keys'],
        ['1q2w3e4r5t6y', 'row of keys'], ['abcdefghijkl', 'row of keys'], ['aaaaaaaaaaaa', 'few letters'], ['abababababab', 'few letters'], ['dragondragon', 'commonest'], ['meadowlark12', 'your name'],
        ['bramblewick!', 'your name or address'], ['monkeymonkeymonkey', 'commonest'], ['letmein20252', 'commonest'], ['changeme!!!!', 'commonest'],
    ]);

    it('is taken when it is none of these', function (string $password) use ($wish): void {
        $this->postJson('/api/register', $wish(['password' => $password]))->assertOk();
    })->with(['four calm grey herons', 'Zaunkönig mit Hut', 'x7#kVq2!mPz9', 'passwords are for gates', 'äöüßéèçñøåœþ', '十分に長い合言葉を使います', str_repeat('heron on a gate ', 12)]);

    it('is kept only as a hash, and counts to its last letter', function () use ($wish): void {
        // Seventy-two bytes are alike; the rest decides.
        $long = str_repeat('ten letter', 8);
        $this->postJson('/api/register', $wish(['password' => "{$long} and a heron"]))->assertOk();
        $this->postJson('/api/open-account', ['token' => keyFor('ada@example.test')])->assertOk();
        expect(User::query()->where('email', 'ada@example.test')->sole()->getAuthPassword())->not->toContain('heron')->toStartWith('$argon2id$');
        $this->postJson('/api/sign-in', ['email' => 'ada@example.test', 'password' => "{$long} and a gull"])->assertStatus(422);
        $this->postJson('/api/sign-in', ['email' => 'ada@example.test', 'password' => "{$long} and a heron"])->assertOk();
    });

    it('of an older kind still lets in, and is hashed anew', function (): void {
        $user = $this->builder();
        DB::table('users')->where('id', $user->id)->update(['password' => password_hash(TestCase::PASSWORD, PASSWORD_BCRYPT, ['cost' => 4])]);
        $this->postJson('/api/sign-in', ['email' => $user->email, 'password' => 'not this one'])->assertStatus(422);
        $this->postJson('/api/sign-in', ['email' => $user->email, 'password' => TestCase::PASSWORD])->assertOk();
        expect($user->refresh()->getAuthPassword())->toStartWith('$argon2id$')->and(Hash::check(TestCase::PASSWORD, $user->getAuthPassword()))->toBeTrue();
    });
});

describe('nobody learns whether an address has an account', function () use ($wish): void {
    it('from the words and the status', function (string $path, array $given): void {
        $this->builder('there@example.test');
        $ask = fn (string $email) => $this->postJson("/api/{$path}", ['email' => $email, ...$given]);
        $there = $ask('there@example.test');
        $nobody = $ask('nobody@example.test');
        expect($nobody->getStatusCode())->toBe($there->getStatusCode())->and($nobody->json())->toBe($there->json());
    })->with([
        ['sign-in', ['password' => 'not this one']], ['forgot-password', []], ['register', ['name' => 'Ada', 'password' => TestCase::PASSWORD]],
        ['new-password', ['token' => 'abc', 'password' => TestCase::PASSWORD]],
    ]);

    it('from the work that is done before the answer', function (string $path, array $given): void {
        $this->builder('there@example.test');
        $done = [];
        DB::listen(static function ($query) use (&$done): void {
            $done[] = $query->sql;
        });
        Hash::swap(new class($this->app, static function () use (&$done): void {
            $done[] = 'a password checked';
        }) extends HashManager
        {
            public function __construct($app, private readonly Closure $tell)
            {
                parent::__construct($app);
            }

            public function check($value, $hashedValue, array $options = []): bool
            {
                ($this->tell)();

                return parent::check($value, $hashedValue, $options);
            }
        });
        $work = function (string $email) use ($path, $given, &$done): array {
            $done = [];
            $this->postJson("/api/{$path}", ['email' => $email, ...$given]);

            return $done;
        };
        // Once before, for what is made only once.
        $work('first@example.test');
        $there = $work('there@example.test');
        expect($there)->not->toBe([])->and($work('nobody@example.test'))->toBe($there);
    })->with([['sign-in', ['password' => 'not this one']], ['register', ['name' => 'Ada', 'password' => TestCase::PASSWORD]]]);

    it('but the owner of the address is told by letter', function () use ($wish): void {
        $this->builder();
        $this->postJson('/api/register', $wish())->assertOk();
        expect(Letter::query()->where('recipient', 'ada@example.test')->sole()->subject)->toBe('You have an account already');
    });

    it('and nothing is sent to an address that has none', function (): void {
        $this->postJson('/api/forgot-password', ['email' => 'nobody@example.test'])->assertOk();
        expect(Letter::query()->where('recipient', 'nobody@example.test')->exists())->toBeFalse();
    });
});

describe('a guesser', function (): void {
    it('is stopped after five tries', function (): void {
        foreach (range(1, 5) as $try) {
            $this->postJson('/api/sign-in', ['email' => 'ada@example.test', 'password' => "guess {$try}"])->assertStatus(422);
        }
        $this->assertShape($this->postJson('/api/sign-in', ['email' => 'ada@example.test', 'password' => 'guess 6'])->assertStatus(429), 'Problem')->assertJsonPath('code', 'too-often');
    });

    it('is stopped however the address is written', function (): void {
        $this->builder('renee@example.test');
        foreach (['renee@example.test', 'RENEE@example.test', ' renee@example.test', 'Renee@Example.Test', 'reneE@example.test'] as $email) {
            $this->postJson('/api/sign-in', ['email' => $email, 'password' => 'guess'])->assertStatus(422);
        }
        $this->postJson('/api/sign-in', ['email' => 'renee@EXAMPLE.test', 'password' => TestCase::PASSWORD])->assertStatus(429);
    });

    it('does not reach an account by letters that look alike', function (string $alike): void {
        $this->builder('renee@example.test');
        $this->postJson('/api/sign-in', ['email' => $alike, 'password' => TestCase::PASSWORD])->assertStatus(422);
        $this->postJson('/api/forgot-password', ['email' => $alike])->assertOk();
        expect(Letter::query()->where('recipient', 'renee@example.test')->exists())->toBeFalse();
    })->with(['renée@example.test', 'reneé@example.test', 'ŕenee@example.test']);

    it('is stopped over many addresses of its own', function (): void {
        $this->builder();
        foreach (range(1, 30) as $try) {
            $this->withServerVariables(['REMOTE_ADDR' => "192.0.2.{$try}"])->postJson('/api/sign-in', ['email' => 'ada@example.test', 'password' => 'guess'])->assertStatus(422);
        }
        $this->withServerVariables(['REMOTE_ADDR' => '192.0.2.99'])->postJson('/api/sign-in', ['email' => 'ada@example.test', 'password' => 'guess'])->assertStatus(429);
    });

    it('who sends lists and noughts gets an answer, not an error', function (mixed $email): void {
        foreach (['sign-in', 'forgot-password', 'register', 'new-password', 'open-account'] as $path) {
            $this->assertShape($this->postJson("/api/{$path}", ['email' => $email, 'password' => $email, 'token' => $email])->assertStatus(422), 'Problem');
        }
    })->with([[['x']], [['a' => ['b' => 'c']]], ["\0"], [12], [true], [null]]);
});

describe('a new password', function (): void {
    it('is set through a letter in the stand-in mailbox', function (): void {
        $this->builder();
        $this->postJson('/api/forgot-password', ['email' => 'ada@example.test'])->assertOk();
        $this->withDoorKey()->getJson('/api/mailbox')->assertOk()->assertJsonPath('letters.0.subject', 'A new password for Pocket Plot');
        $given = ['token' => keyFor('ada@example.test'), 'email' => 'ada@example.test', 'password' => 'quite another heron'];
        $this->postJson('/api/new-password', $given)->assertOk();
        $this->postJson('/api/sign-in', ['email' => 'ada@example.test', 'password' => 'quite another heron'])->assertOk();
        $this->postJson('/api/new-password', $given)->assertStatus(422)->assertJsonPath('fields.token.0', 'This link has run out or was used. Ask for a new letter.');
    });

    it('ends every other session, by letter or when signed in', function (string $way): void {
        $user = $this->builder();
        $old = $user->sessions_key;
        $this->actingAs($user);
        $this->getJson('/api/session')->assertJsonPath('user.email', 'ada@example.test');
        if ($way === 'letter') {
            $this->postJson('/api/forgot-password', ['email' => 'ada@example.test'])->assertOk();
            $this->postJson('/api/new-password', ['token' => keyFor('ada@example.test'), 'email' => 'ada@example.test', 'password' => 'quite another heron'])->assertOk();
        } else {
            $this->putJson('/api/password', ['current' => TestCase::PASSWORD, 'password' => 'quite another heron'])->assertOk()->assertJsonPath('user.email', 'ada@example.test');
            // Here one stays signed in.
            $this->getJson('/api/builds')->assertOk();
        }
        // Another device, whose session was begun before.
        $this->app['auth']->forgetGuards();
        $this->withSession(['login_web_'.sha1(Illuminate\Auth\SessionGuard::class) => $user->id, HoldsSession::KEY => $old])->getJson('/api/builds')->assertUnauthorized();
    })->with(['letter', 'signed in']);

    it('ends remembered sign-ins', function (): void {
        $user = $this->builder();
        $this->postJson('/api/sign-in', ['email' => $user->email, 'password' => TestCase::PASSWORD, 'remember' => true])->assertOk();
        $before = $user->refresh()->getRememberToken();
        $this->putJson('/api/password', ['current' => TestCase::PASSWORD, 'password' => 'quite another heron'])->assertOk();
        expect($user->refresh()->getRememberToken())->not->toBe($before);
    });

    it('wants the one that holds now, and another than that', function (): void {
        $this->actingAs($this->builder());
        $this->putJson('/api/password', ['current' => 'not this one', 'password' => 'quite another heron'])->assertStatus(422)->assertJsonPath('fields.current.0', 'This is not the password that holds now.');
        $this->putJson('/api/password', ['current' => TestCase::PASSWORD, 'password' => TestCase::PASSWORD])->assertStatus(422)->assertJsonPath('fields.password.0', 'This is the password that holds now; write another.');
        $this->putJson('/api/password', ['current' => TestCase::PASSWORD, 'password' => 'password12345'])->assertStatus(422);
        foreach (range(1, 3) as $try) {
            $this->putJson('/api/password', ['current' => "guess {$try}", 'password' => 'quite another heron']);
        }
        $this->putJson('/api/password', ['current' => TestCase::PASSWORD, 'password' => 'quite another heron'])->assertStatus(429);
    });

    it('goes by this application\'s own name, whatever name the page was asked by', function (): void {
        config(['app.url' => 'https://plot.example.org']);
        $this->builder();
        $this->postJson('http://localhost/api/forgot-password', ['email' => 'ada@example.test'])->assertOk();
        expect(Letter::query()->where('recipient', 'ada@example.test')->sole()->body)->toContain('https://plot.example.org/new-password?token=')->not->toContain('localhost');
    });
});

describe('signing in', function (): void {
    it('is remembered only when that was asked for', function (): void {
        $user = $this->builder();
        $recaller = Illuminate\Support\Facades\Auth::getRecallerName();
        $this->postJson('/api/sign-in', ['email' => $user->email, 'password' => TestCase::PASSWORD])->assertOk()->assertCookieMissing($recaller);
        $this->postJson('/api/sign-in', ['email' => $user->email, 'password' => TestCase::PASSWORD, 'remember' => true])->assertOk()->assertCookie($recaller);
    });

    it('ends everywhere at once', function (): void {
        $user = $this->builder();
        $old = $user->sessions_key;
        $this->actingAs($user);
        $this->postJson('/api/sign-out-everywhere')->assertOk()->assertJsonPath('user', null);
        expect($user->refresh()->sessions_key)->not->toBe($old);
        $this->app['auth']->forgetGuards();
        $this->withSession(['login_web_'.sha1(Illuminate\Auth\SessionGuard::class) => $user->id, HoldsSession::KEY => $old])->getJson('/api/builds')->assertUnauthorized();
    });
});

it('tells the owner by letter that the password was changed', function (): void {
    $this->actingAs($this->builder());
    $this->putJson('/api/password', ['current' => TestCase::PASSWORD, 'password' => 'quite another heron'])->assertOk();
    expect(Letter::query()->where('recipient', 'ada@example.test')->sole()->subject)->toBe('Your password was changed');
});

it('throws an account away with all that is its own, when its password is given', function (): void {
    $user = $this->builder();
    $this->actingAs($user);
    $build = $this->refuge($user);
    $away = $this->refuge($user);
    $this->deleteJson("/api/builds/{$away->id}")->assertOk();
    $this->postJson('/api/parts', ['part' => ['name' => 'Mine', 'role' => 'tool']])->assertCreated();
    $others = $this->refuge($this->builder('other@example.test'));
    $this->deleteJson('/api/account', ['password' => 'not this one'])->assertStatus(422)->assertJsonPath('fields.password.0', 'This is not the password that holds now.');
    $this->deleteJson('/api/account', ['password' => TestCase::PASSWORD])->assertOk()->assertJsonPath('user', null);
    expect(User::query()->whereKey($user->id)->exists())->toBeFalse();
    foreach (['builds' => 'id', 'build_lines' => 'build_id', 'build_parts' => 'build_id', 'build_ticks' => 'build_id'] as $table => $column) {
        expect(DB::table($table)->whereIn($column, [$build->id, $away->id])->count())->toBe(0)->and($table === 'build_ticks' || DB::table($table)->where($column, $others->id)->exists())->toBeTrue();
    }
    expect(DB::table('parts')->where('user_id', $user->id)->count())->toBe(0);
});

it('takes JSON that says so, and nothing else', function (): void {
    $this->actingAs($this->builder());
    $this->assertShape($this->call('POST', '/api/builds', [], [], [], ['CONTENT_TYPE' => 'application/x-www-form-urlencoded'], 'name=Sent+by+a+form'), 'Problem')->assertStatus(415);
    $this->getJson('/api/builds')->assertJsonPath('total', 0)->assertHeader('Content-Disposition', 'attachment; filename="api.json"');
});

describe('the demo door', function (): void {
    it('lets in who opened the printed address on this machine', function (): void {
        $this->withDoorKey()->postJson('/api/demo-door')->assertOk()->assertJsonPath('user.name', 'Demo builder')->assertJsonPath('user.isDemo', true);
    });
    it('gives the key a cookie and takes it out of the address', function (): void {
        $this->get('/sign-in?key=for-tests')->assertRedirect('/sign-in')->assertCookie(OnlyHere::COOKIE, 'for-tests');
        $this->get('/sign-in?key=guessed')->assertRedirect('/sign-in')->assertCookieMissing(OnlyHere::COOKIE);
    });
    it('is not there without the key', function (): void {
        $this->getJson('/api/session')->assertOk()->assertJsonPath('demoDoor', false)->assertJsonPath('demoMode', true);
        $this->postJson('/api/demo-door')->assertNotFound();
        $this->getJson('/api/mailbox')->assertNotFound();
        $this->withCredentials()->withCookie(OnlyHere::COOKIE, 'guessed')->postJson('/api/demo-door')->assertNotFound();
        config(['pocketplot.door_key' => '']);
        $this->withCredentials()->withCookie(OnlyHere::COOKIE, '')->postJson('/api/demo-door')->assertNotFound();
    });
    it('is not there for others, nor through a proxy, key or not', function (array $server): void {
        $this->withDoorKey()->withServerVariables($server)->getJson('/api/session')->assertOk()->assertJsonPath('demoDoor', false);
        $this->withDoorKey()->withServerVariables($server)->postJson('/api/demo-door')->assertNotFound();
        $this->withDoorKey()->withServerVariables($server)->getJson('/api/mailbox')->assertNotFound();
    })->with([
        [['REMOTE_ADDR' => '192.0.2.7']], [['HTTP_X_FORWARDED_FOR' => '127.0.0.1']], [['HTTP_X_FORWARDED_PROTO' => 'http']], [['HTTP_FORWARDED' => 'for=127.0.0.1']],
        [['HTTP_VIA' => '1.1 here']], [['HTTP_X_REAL_IP' => '127.0.0.1']], [['SERVER_PROTOCOL' => 'HTTP/1.0']],
    ]);
    it('is not there under another name of this machine', function (): void {
        $this->withDoorKey()->postJson('http://console.example/api/demo-door')->assertStatus(400)->assertJsonPath('message', 'This server goes by another name.');
    });
    it('is not there out of demo mode', function (): void {
        config(['pocketplot.demo' => false]);
        $this->withDoorKey()->postJson('/api/demo-door')->assertNotFound();
        $this->withDoorKey()->getJson('/api/session')->assertJsonPath('demoDoor', false)->assertJsonPath('demoMode', false);
        $this->get('/?key=for-tests')->assertOk()->assertCookieMissing(OnlyHere::COOKIE);
    });
});

it('answers only under its own name', function (): void {
    config(['app.url' => 'https://plot.example.org', 'pocketplot.demo' => false]);
    $this->get('https://plot.example.org/')->assertOk();
    foreach (['http://127.0.0.1/', 'http://localhost/', 'http://evil.example/'] as $other) {
        $this->get($other)->assertStatus(400);
    }
});

it('sends headers that keep others out', function (): void {
    $response = $this->get('/sign-in')->assertOk();
    expect($response->headers->get('Content-Security-Policy'))->toContain("script-src 'self'")->toContain("frame-ancestors 'none'")
        ->and($response->headers->get('X-Content-Type-Options'))->toBe('nosniff')
        ->and((string) $response->getContent())->not->toMatch('/<script(?![^>]*\bsrc=)/');
});

it('answers every wrong address under /api in JSON', function (string $path): void {
    $this->actingAs($this->builder());
    foreach (['GET', 'POST', 'PUT', 'PATCH', 'DELETE'] as $method) {
        $response = $this->assertShape($this->json($method, $path), 'Problem');
        expect($response->getStatusCode())->toBeGreaterThanOrEqual(400)->toBeLessThan(500);
    }
})->with(['/api', '/api/', '/api/nowhere', '/api/builds/%FF', '/api/builds/%00', '/api/builds/x%27%20or%201=1', '/api/parts/99999999999999999999999', '/api/rules/no-such-rule', '/api/builds/01arz3ndektsv4rrffq69g5fav/lines/%C3%28', '/api/../api/none']);

it('seeds one shelf that nobody can sign in to', function (): void {
    expect(User::shelf()->email)->toEndWith('.invalid');
    $this->postJson('/api/sign-in', ['email' => User::shelf()->email, 'password' => ''])->assertStatus(422);
});
