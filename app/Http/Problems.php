<?php

declare(strict_types=1);

namespace App\Http;

use App\Actions\StaleBuild;
use App\Actions\StalePart;
use App\Mapping\BuildView;
use App\Mapping\UnreadableBuild;
use App\Models\BuildRecord;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Database\QueryException;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Http\Exceptions\PostTooLargeException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Log;
use Illuminate\Validation\ValidationException;
use PocketPlot\File\BadFile;
use PocketPlot\File\Problem;
use Symfony\Component\ErrorHandler\Error\FatalError;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;

/**
 * Every error the API answers has one shape (contract/openapi.json, "Problem"): a code for the
 * page, a sentence for the builder saying what now, and fields or problems where there are some.
 */
final class Problems
{
    private const RETRY_AFTER_SECONDS = 2;

    public static function register(Exceptions $exceptions): void
    {
        $exceptions->dontReport([StaleBuild::class, StalePart::class, BadFile::class]);
        // Begun anew (Middleware\TryAgain), which says so when it gives up.
        $exceptions->dontReportWhen(
            static fn (\Throwable $error): bool => DatabaseError::of($error) === DatabaseError::Conflict || is_a($error, 'RedisException'),
        );
        // A database's message holds the values that were to be stored; only its code and the statement's shape are written down.
        $exceptions->report(static function (QueryException $error): bool {
            Log::error('a statement failed', ['code' => $error->getCode(), 'driver' => $error->errorInfo[1] ?? null, 'statement' => $error->getSql()]);

            return false;
        });
        $exceptions->report(static function (\PDOException $error): bool {
            Log::error('the database failed', ['code' => $error->getCode(), 'driver' => $error->errorInfo[1] ?? null]);

            return false;
        });
        $exceptions->report(static function (UnreadableBuild $error): bool {
            Log::error('a build cannot be read', ['build' => $error->record->id, 'why' => get_debug_type($error->getPrevious())]);

            return false;
        });
        // By the path as it was sent: one that is no text has no decoded form.
        $isApi = static fn (Request $request): bool => preg_match('#^/+api(/|$)#', $request->getPathInfo()) === 1;
        $exceptions->shouldRenderJsonWhen($isApi);
        $exceptions->render(static fn (\Throwable $error, Request $request): ?JsonResponse => $isApi($request) ? self::answer($error) : null);
    }

    private static function answer(\Throwable $error): ?JsonResponse
    {
        return match (true) {
            $error instanceof StaleBuild => self::json(
                409,
                'stale',
                'Somebody, perhaps you in another window, changed this build meanwhile. What you typed is still here; look at the fresh page and save again.',
                ['fresh' => $error->fresh],
            ),
            $error instanceof StalePart => self::json(
                409,
                'stale-part',
                'This part was changed meanwhile, perhaps by you in another window. What you typed is still here; copy it, open the part again and save once more.',
            ),
            $error instanceof UnreadableBuild => self::json(
                422,
                'unreadable',
                'This build cannot be read. It is kept as it is: save it as a file, correct what is named here, and import that.',
                ['problems' => self::listed($error->problems), 'build' => $error->record->id],
            ),
            $error instanceof FatalError => self::exhausted($error),
            $error instanceof BadFile => self::json(
                422,
                'bad-file',
                'The file was not taken, and nothing was changed.',
                ['problems' => self::listed($error->problems)],
            ),
            $error instanceof ValidationException => self::json(
                422,
                'bad-input',
                'Something written here cannot be taken; see the marked fields.',
                ['fields' => $error->errors()],
            ),
            $error instanceof AuthenticationException => self::json(
                401,
                'signed-out',
                'You are signed out. Sign in again in another window, then save once more; what you typed is still here.',
            ),
            $error instanceof PostTooLargeException => self::json(
                413,
                'too-large',
                'That is more than can be taken at once. Build and library files of up to 16 MB and logs of up to 12 MB are read.',
            ),
            ($database = DatabaseError::of($error)) !== null => self::database($database),
            $error instanceof HttpExceptionInterface => self::http($error),
            default => config('app.debug') === true
                ? null
                : self::json(500, 'broken', 'Something broke on our side and is written to the log. Nothing was changed.'),
        };
    }

    /** A request that met its own limit of time or memory (Middleware\Limits); its transaction was never committed. */
    private static function exhausted(FatalError $error): JsonResponse
    {
        return preg_match('/^Maximum execution time|^Allowed memory size/', $error->getMessage()) === 1
            ? self::json(
                503,
                'too-much',
                'This is more work than one request may take. Nothing was changed. Divide the build, or take out what is not needed, and try again.',
            )
            : self::json(500, 'broken', 'Something broke on our side and is written to the log. Nothing was changed.');
    }

    /**
     * Another transaction was faster, several times.
     *
     * @return JsonResponse 409 with the build as it is now, in the shape of one that was edited on an older page
     */
    public static function conflict(BuildRecord $fresh): JsonResponse
    {
        return self::json(
            409,
            'stale',
            'Somebody, perhaps you in another window, was faster several times in a row. What you typed is still here; look at the fresh page and save again.',
            ['fresh' => BuildView::of($fresh)],
        );
    }

    private static function database(DatabaseError $error): JsonResponse
    {
        return match ($error) {
            DatabaseError::Unavailable => self::json(
                503,
                'database-away',
                'The database does not answer at this moment. What you typed is still here. Wait a little, look whether it was saved, and save once more if it was not.',
            ),
            DatabaseError::Conflict => self::json(
                503,
                'busy',
                'The database could not take this at this moment, because others were writing or a machine is away. Nothing was changed; what you typed is still here. Save once more.',
            ),
            DatabaseError::StorageFull => self::json(
                503,
                'full',
                'There is no room left to write to. Nothing was changed; what you typed is still here. Whoever runs this site has to make room.',
            ),
            DatabaseError::Other => self::json(500, 'broken', 'Something broke on our side and is written to the log. Nothing was changed.'),
        };
    }

    private static function http(HttpExceptionInterface $error): JsonResponse
    {
        $status = $error->getStatusCode();

        return match ($status) {
            403, 404 => self::json(404, 'not-found', 'There is nothing here for you under this address.'),
            419 => self::json(
                419,
                'signed-out',
                'The page was open too long and its key has run out. Load it again in another window and sign in, then save once more.',
            ),
            429 => self::json(429, 'too-often', $error instanceof StreamBusy ? $error->getMessage() : 'Too many tries. Wait a minute, then try again.'),
            415 => self::json(415, 'refused', 'What is sent here is JSON, and says so in its Content-Type.'),
            400 => self::json(400, 'refused', $error instanceof OtherName ? $error->getMessage() : 'That was not understood.'),
            default => self::json($status, 'refused', 'That was not understood.'),
        };
    }

    /**
     * @param  list<Problem>  $problems
     * @return list<array{field: string, wrong: string, fix: string}>
     */
    private static function listed(array $problems): array
    {
        return array_map(static fn (Problem $problem): array => $problem->toArray(), $problems);
    }

    /** @param  array<string, mixed>  $more */
    private static function json(int $status, string $code, string $message, array $more = []): JsonResponse
    {
        // What will not do at once does in a moment, but for what is too much at any time.
        $headers = $status === 503 && $code !== 'too-much' ? ['Retry-After' => (string) self::RETRY_AFTER_SECONDS] : [];

        return new JsonResponse(['code' => $code, 'message' => $message, ...$more], $status, $headers);
    }
}
