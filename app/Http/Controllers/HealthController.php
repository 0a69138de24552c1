<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use Illuminate\Database\Migrations\Migrator;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;

/**
 * Whether this server may be sent builders: its database answers, is one that writes are kept by, and has every table
 * that this version of the application knows. Tables of a newer version do no harm: while an update rolls through the
 * servers, the old version goes on with them.
 */
final class HealthController
{
    public function __invoke(): JsonResponse
    {
        try {
            DB::select('select 1');
            $behind = self::behind();
        } catch (\PDOException) {
            return self::answer('does not answer', 'unknown');
        }

        return self::answer('answers', $behind === [] ? 'complete' : 'behind by '.implode(', ', $behind));
    }

    /** @return list<string> migrations that this version brings along and the database has not seen */
    private static function behind(): array
    {
        /** @var Migrator $migrator */
        $migrator = app('migrator');
        $there = $migrator->repositoryExists() ? $migrator->getRepository()->getRan() : [];

        return array_values(array_diff(array_keys($migrator->getMigrationFiles(database_path('migrations'))), $there));
    }

    private static function answer(string $database, string $schema): JsonResponse
    {
        $isWell = $database === 'answers' && $schema === 'complete';

        return new JsonResponse(['database' => $database, 'schema' => $schema], $isWell ? 200 : 503, $isWell ? [] : ['Retry-After' => '2']);
    }
}
