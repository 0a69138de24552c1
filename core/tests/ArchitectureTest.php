<?php

declare(strict_types=1);

use CoreTests\CodeMap;

/**
 * @return array<string, string> path under core/src => code
 */
function sources(): array
{
    $root = dirname(__DIR__).'/src';
    $found = [];
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator($root, FilesystemIterator::SKIP_DOTS)) as $file) {
        /** @var SplFileInfo $file */
        $found[substr($file->getPathname(), strlen($root) + 1)] = (string) file_get_contents($file->getPathname());
    }

    return $found;
}

/** @return list<string> calls, variables and statements of the code, comments and texts left out */
function words(string $code): array
{
    $words = [];
    foreach (token_get_all($code) as $token) {
        if (is_array($token) && ! in_array($token[0], [T_COMMENT, T_DOC_COMMENT, T_CONSTANT_ENCAPSED_STRING, T_ENCAPSED_AND_WHITESPACE, T_WHITESPACE], true)) {
            $words[] = ltrim(strtolower($token[1]), '\\');
        }
    }

    return $words;
}

it('keeps the core free of framework, clock, globals and files', function (): void {
    $forbidden = [
        'now', 'time', 'microtime', 'date', 'hrtime', 'rand', 'mt_rand', 'random_int', 'shuffle', 'getenv', 'env', 'config', 'app',
        'fopen', 'file_get_contents', 'file_put_contents', 'file', 'readfile', 'glob', 'scandir', 'is_file', 'unlink', 'include', 'require', 'require_once', 'include_once',
        'echo', 'header', 'exit', 'die', 'global', '$_get', '$_post', '$_server', '$_env', '$_session', '$globals',
    ];
    expect(sources())->not->toBeEmpty();
    foreach (sources() as $path => $code) {
        $words = words($code);
        // `->date(` and `::file(` of our own classes are caught, too: the core has none.
        expect(array_values(array_intersect($words, $forbidden)))->toBe([], $path);
        expect(preg_grep('/^(illuminate|app|symfony|laravel|carbon)\\\\/', $words))->toBe([], $path);
    }
});

it('lets arrows run only downwards, in the core and in the application', function (): void {
    $arrows = (new CodeMap(dirname(__DIR__, 2)))->arrows();
    expect(count($arrows))->toBeGreaterThan(15);
    foreach ($arrows as $from => $targets) {
        expect(CodeMap::heightOf($from))->not->toBeNull("no place among the rooms for {$from}");
        foreach ($targets as $to => $uses) {
            expect(CodeMap::heightOf($to) ?? PHP_INT_MAX)->toBeLessThan(CodeMap::heightOf($from), "{$from} looks up at {$to}: {$uses[0]}");
        }
    }
});

it('has no circle of files', function (): void {
    expect((new CodeMap(dirname(__DIR__, 2)))->circles())->toBe([]);
});

it('names every room in the document', function (): void {
    $document = (string) file_get_contents(dirname(__DIR__, 2).'/docs/ARCHITECTURE.md');
    foreach ([...array_filter(CodeMap::CORE), ...CodeMap::APP] as $room) {
        expect($document)->toContain("`{$room}/`");
    }
});

it('lets rules ask Facts and nobody else, so that what they rest on is known', function (): void {
    foreach (sources() as $path => $code) {
        if (preg_match('#^Check/\w+/#', $path) === 1) {
            expect(preg_match('/\$facts->(build|supplyTree|leadOhms)\b/', $code))->toBe(0, $path);
        }
    }
});

it('declares strict types everywhere', function (): void {
    foreach (sources() as $path => $code) {
        expect(str_contains($code, 'declare(strict_types=1);'))->toBeTrue($path);
    }
});
