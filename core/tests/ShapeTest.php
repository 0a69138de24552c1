<?php

declare(strict_types=1);

/** Lines of a function from its head to its closing bracket, and letters of a line, that may be without a reason. */
const MOST_LINES = 60;
const MOST_LETTERS = 160;

/** @return iterable<string, list<string>> lines of every hand-written file of the core and the application, by path */
function handWritten(): iterable
{
    $root = dirname(__DIR__, 2);
    foreach (['core/src', 'app', 'routes', 'database'] as $folder) {
        foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator("{$root}/{$folder}", FilesystemIterator::SKIP_DOTS)) as $file) {
            /** @var SplFileInfo $file */
            if ($file->getFilename() === 'Weights.php') {
                // Made by bin/learn.
                continue;
            }
            yield substr($file->getPathname(), strlen($root) + 1) => explode("\n", (string) file_get_contents($file->getPathname()));
        }
    }
}

it('has no function of more lines than can be seen at once', function (): void {
    $long = [];
    foreach (handWritten() as $path => $lines) {
        $from = null;
        foreach ($lines as $at => $line) {
            if (preg_match('/^    (?:final |public |private |protected |static |abstract )*function (\w+)/', $line, $name) === 1) {
                $from = [$at, $name[1]];
            }
            if ($line === '    }' && $from !== null) {
                // A reason stands in the function itself.
                $hasReason = preg_grep('#^ +// .*longer than other functions#', array_slice($lines, $from[0], $at - $from[0])) !== [];
                if ($at - $from[0] > MOST_LINES && ! $hasReason) {
                    $long[] = "{$path}: {$from[1]}, ".($at - $from[0]);
                }
                $from = null;
            }
        }
    }
    expect($long)->toBe([]);
});

it('has no line that runs off the page', function (): void {
    $wide = [];
    foreach (handWritten() as $path => $lines) {
        foreach ($lines as $at => $line) {
            // Sentences stay whole, and so do the shapes in docblocks.
            $bare = (string) preg_replace('/\'(?:[^\'\\\\]|\\\\.)*\'|"(?:[^"\\\\]|\\\\.)*"/u', "''", $line);
            $isSentence = mb_strlen($bare) <= 120 && mb_strlen($line) - mb_strlen($bare) > 60;
            if (mb_strlen($line) > MOST_LETTERS && ! $isSentence && preg_match('#^\s*(\*|/\*\*)#', $line) !== 1) {
                $wide[] = "{$path}:".($at + 1);
            }
        }
    }
    expect($wide)->toBe([]);
});
