<?php

declare(strict_types=1);

namespace Tests;

use App\Actions\StartBuild;
use App\Http\Middleware\HoldsSession;
use App\Http\Middleware\OnlyHere;
use App\Mapping\BuildMapper;
use App\Models\BuildRecord;
use App\Models\PartRecord;
use App\Models\User;
use Illuminate\Contracts\Auth\Authenticatable;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Testing\DatabaseTransactions;
use Illuminate\Foundation\Testing\TestCase as LaravelTestCase;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Session;
use Illuminate\Testing\TestResponse;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use Symfony\Component\Process\Process;

/** Runs against a real, migrated and seeded MariaDB; what a test writes is rolled back. */
abstract class TestCase extends LaravelTestCase
{
    use DatabaseTransactions;

    public const PASSWORD = 'four calm grey herons';

    public function createApplication(): Application
    {
        /** @var Application $app */
        $app = require __DIR__.'/../bootstrap/app.php';
        // The builder's own .env, if there is one, is none of a test's business.
        $app->loadEnvironmentFrom('.env.example');
        $app->make(Kernel::class)->bootstrap();

        return $app;
    }

    public function builder(string $email = 'ada@example.test'): User
    {
        return User::query()->create(['name' => 'A builder', 'email' => $email, 'password' => self::PASSWORD, 'sessions_key' => User::newSessionsKey()]);
    }

    /** Signed in, with a session begun as a sign-in begins it. */
    public function actingAs(Authenticatable $user, $guard = null): static
    {
        return parent::actingAs($user, $guard)->withSession([HoldsSession::KEY => $user instanceof User ? $user->sessions_key : '']);
    }

    /** Some PHP with the application booted, in a process of its own, as several browsers or servers are: outside of the test's transaction. */
    public function process(string $code): Process
    {
        $boot = 'require "'.base_path('vendor/autoload.php').'"; $app = require "'.base_path('bootstrap/app.php').'";'
            .' $app->make(Illuminate\Contracts\Console\Kernel::class)->bootstrap(); ';

        return new Process([PHP_BINARY, '-r', $boot.$code], base_path());
    }

    /** What comes next comes to a server that knows nothing of what was asked before. */
    public function newServer(): void
    {
        Auth::forgetGuards();
        Session::forgetDrivers();
        $this->app->forgetInstance('session.store');
    }

    /**
     * Signs in by the page and gives the cookies with which call() goes on, whichever server it comes to.
     *
     * @param  'database'|'file'  $driver  where sessions are kept
     * @return array<string, string>
     */
    public function signedIn(User $user, string $driver): array
    {
        config(['session.driver' => $driver]);
        $this->newServer();
        $answer = $this->postJson('/api/sign-in', ['email' => $user->email, 'password' => self::PASSWORD])->assertOk();
        $this->newServer();

        return ['pocketplot_session' => (string) $answer->getCookie('pocketplot_session', false)?->getValue()];
    }

    /**
     * A request of a browser with these cookies.
     *
     * @param  array<string, string>  $cookies
     * @param  array<string, mixed>  $body
     */
    public function browse(array $cookies, string $method, string $path, array $body = []): TestResponse
    {
        return $this->call($method, $path, cookies: $cookies, server: ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'],
            content: $body === [] ? null : json_encode($body, JSON_THROW_ON_ERROR));
    }

    /** As a browser that opened the address which bin/start printed. */
    public function withDoorKey(): static
    {
        return $this->withCredentials()->withCookie(OnlyHere::COOKIE, 'for-tests');
    }

    public function refuge(User $user): BuildRecord
    {
        return StartBuild::fromDemo($user, 'refuge', null)->load(BuildMapper::RELATIONS);
    }

    public function part(string $key): int
    {
        return PartRecord::query()->where('key', $key)->where('user_id', User::shelf()->id)->firstOrFail()->id;
    }

    /** Holds an answer, or what stands in it under a key, against the contract's schema of this name. */
    public function assertShape(TestResponse $response, string $schema, ?string $key = null): TestResponse
    {
        /** @var object{components: object} $contract */
        $contract = json_decode((string) file_get_contents(base_path('contract/openapi.json')), false, 64, JSON_THROW_ON_ERROR);
        $answer = json_decode((string) $response->getContent(), false, 64, JSON_THROW_ON_ERROR);
        $result = (new Validator)->validate(
            $key === null ? $answer : $answer->{$key},
            (object) ['$schema' => 'https://json-schema.org/draft/2020-12/schema', '$ref' => "#/components/schemas/{$schema}", 'components' => $contract->components],
        );
        $error = $result->error();
        $this->assertTrue($result->isValid(), $error === null ? '' : json_encode((new ErrorFormatter)->format($error), JSON_THROW_ON_ERROR));

        return $response;
    }
}
