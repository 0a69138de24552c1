<?php

declare(strict_types=1);

namespace CoreTests\Learning;

use CoreTests\Texts;

/** Of all that decides what is learned: the texts, and the code that finds numbers and what surrounds them. */
final class Fingerprint
{
    public static function ofTexts(): string
    {
        $core = dirname(__DIR__, 2);
        $paths = [
            ...array_map(static fn (string $set): string => "{$core}/tests/texts/{$set}.txt", Texts::learnedFrom()), ...(glob("{$core}/tests/Learning/texts/*.txt") ?: []), "{$core}/tests/phrases.txt",
            "{$core}/tests/Learning/phrases.txt", "{$core}/tests/Learning/sentences.txt", "{$core}/tests/Learning/Examples.php",
            "{$core}/tests/Learning/Trainer.php",
            ...array_map(static fn (string $name): string => "{$core}/src/Clipping/Weighing/{$name}.php", ['Token', 'Tokens', 'Mentions', 'Mention', 'Surroundings', 'Taken', 'WordKinds', 'WholeText']),
            "{$core}/src/Clipping/RoleGuess.php", "{$core}/tests/Learning/lists.txt",
        ];

        return substr(hash('sha256', implode("\n", array_map(static fn (string $path): string => (string) hash_file('sha256', $path), $paths))), 0, 16);
    }
}
