<?php

declare(strict_types=1);

namespace CoreTests;

use FilesystemIterator;
use PhpParser\Node;
use PhpParser\NodeTraverser;
use PhpParser\NodeVisitor\NameResolver;
use PhpParser\NodeVisitorAbstract;
use PhpParser\ParserFactory;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use SplFileInfo;

/**
 * Which class uses which, read from the code itself: imported names, fully qualified ones, and those of the same
 * namespace; in types, calls, attributes and docblocks.
 */
final class CodeMap
{
    /** The core's rooms from the bottom to the top. A room may use itself and those below it. "" is the front door. */
    public const CORE = ['Quantity', 'Part', 'Build', 'Power', 'Sourcing', 'Fit', 'Wiring', 'Heat', 'Facts', 'Check', 'Bench', 'Assembly', 'File', 'Clipping', 'Sheet', '', 'WhatIf', 'Report'];

    /** The application's, in the same manner; all of them may use the core. */
    public const APP = ['Journal', 'Models', 'Letters', 'Sessions', 'Policies', 'Mapping', 'Library', 'Sheets', 'Standins', 'Actions', 'Http', 'Console', 'Providers'];

    /** @var array<string, list<string>> path from the root of the project => classes it uses, each once */
    public readonly array $uses;

    /** @param  string  $root  of the project */
    public function __construct(string $root)
    {
        $parser = (new ParserFactory)->createForHostVersion();
        $uses = [];
        foreach (['core/src', 'app'] as $folder) {
            foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator("{$root}/{$folder}", FilesystemIterator::SKIP_DOTS)) as $file) {
                /** @var SplFileInfo $file */
                $names = new class extends NodeVisitorAbstract
                {
                    /** @var array<string, true> */
                    public array $found = [];

                    public function enterNode(Node $node): null
                    {
                        if ($node instanceof Node\Name\FullyQualified) {
                            $this->found[$node->toString()] = true;
                        }

                        return null;
                    }
                };
                $code = (string) file_get_contents($file->getPathname());
                $traverser = new NodeTraverser(new NameResolver, $names);
                $traverser->traverse($parser->parse($code) ?? []);
                // What a docblock alone names is used as well.
                preg_match_all('/^use ([\w\\\\]+);/m', $code, $imported);
                $found = array_keys($names->found + array_fill_keys($imported[1], true));
                sort($found);
                $uses[substr($file->getPathname(), strlen($root) + 1)] = $found;
            }
        }
        ksort($uses);
        $this->uses = $uses;
    }

    /** "core/src/Check/Power/CableDrop.php" and "PocketPlot\Check\Rule" both stand in "core Check"; null outside of the project. */
    public static function roomOf(string $pathOrClass): ?string
    {
        $name = str_replace(['core/src/', 'app/', '/', '.php'], ['PocketPlot\\', 'App\\', '\\', ''], $pathOrClass);
        $steps = explode('\\', $name);

        return match ($steps[0]) {
            'PocketPlot' => 'core '.(count($steps) > 2 ? $steps[1] : ''),
            'App' => 'app '.(count($steps) > 2 ? $steps[1] : ''),
            default => null,
        };
    }

    /** How high a room stands; null for one that nobody gave a place. */
    public static function heightOf(string $room): ?int
    {
        [$house, $name] = [...explode(' ', $room, 2), ''];
        $at = array_search($name, $house === 'core' ? self::CORE : self::APP, true);

        return $at === false ? null : $at + ($house === 'core' ? 0 : count(self::CORE));
    }

    /** @return array<string, array<string, list<string>>> from a room to another => "path → class" of each use */
    public function arrows(): array
    {
        $arrows = [];
        foreach ($this->uses as $path => $classes) {
            $from = (string) self::roomOf($path);
            foreach ($classes as $class) {
                $to = self::roomOf($class);
                if ($to !== null && $to !== $from) {
                    $arrows[$from][$to][] = "{$path} → {$class}";
                }
            }
        }

        return $arrows;
    }

    /** @return list<list<string>> files of one room that use each other in a circle */
    public function circles(): array
    {
        $paths = $graph = [];
        foreach (array_keys($this->uses) as $path) {
            $paths[str_replace(['core/src/', 'app/', '/', '.php'], ['PocketPlot\\', 'App\\', '\\', ''], $path)] = $path;
        }
        foreach ($this->uses as $path => $classes) {
            $graph[$path] = array_values(array_filter(array_map(static fn (string $class): ?string => $paths[$class] ?? null, $classes), static fn (?string $other): bool => $other !== null && $other !== $path));
        }

        return self::knots($graph);
    }

    /**
     * Strongly connected parts of more than one file (Tarjan, SIAM J. Comput. 1, 1972).
     *
     * @param  array<string, list<string>>  $graph
     * @return list<list<string>>
     */
    private static function knots(array $graph): array
    {
        $index = $low = $stack = $on = $knots = [];
        $visit = function (string $one) use (&$visit, &$index, &$low, &$stack, &$on, &$knots, $graph): void {
            $index[$one] = $low[$one] = count($index);
            $stack[] = $one;
            $on[$one] = true;
            foreach ($graph[$one] ?? [] as $other) {
                if (! isset($index[$other])) {
                    $visit($other);
                    $low[$one] = min($low[$one], $low[$other]);
                } elseif (isset($on[$other])) {
                    $low[$one] = min($low[$one], $index[$other]);
                }
            }
            if ($low[$one] === $index[$one]) {
                $knot = [];
                do {
                    $last = (string) array_pop($stack);
                    unset($on[$last]);
                    $knot[] = $last;
                } while ($last !== $one);
                if (count($knot) > 1) {
                    sort($knot);
                    $knots[] = $knot;
                }
            }
        };
        foreach (array_keys($graph) as $path) {
            if (! isset($index[$path])) {
                $visit($path);
            }
        }

        return $knots;
    }
}
