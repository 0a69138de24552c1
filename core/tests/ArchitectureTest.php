<?php

declare(strict_types=1);

/** Rooms from the bottom to the top. A room may use itself and those below it. */
const ROOMS = ['Quantity' => 0, 'Part' => 1, 'Build' => 2, 'Power' => 3, 'Sourcing' => 3, 'Fit' => 3, 'Wiring' => 3, 'Heat' => 3, 'Check' => 4, 'Bench' => 4, 'Assembly' => 5, 'File' => 6];

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

it('lets arrows run only downwards', function (): void {
    foreach (sources() as $path => $code) {
        $room = explode('/', $path)[0];
        if (! isset(ROOMS[$room])) {
            // The front door stands above all rooms.
            continue;
        }
        preg_match_all('/^use PocketPlot\\\\(\w+)\\\\/m', $code, $used);
        foreach ($used[1] as $other) {
            expect(ROOMS[$other] <= ROOMS[$room])->toBeTrue("{$path} uses {$other}, which stands above {$room}");
        }
    }
});

it('declares strict types everywhere', function (): void {
    foreach (sources() as $path => $code) {
        expect(str_contains($code, 'declare(strict_types=1);'))->toBeTrue($path);
    }
});
