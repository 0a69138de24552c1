<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use PocketPlot\Clipping\Filling;
use PocketPlot\Clipping\Proposal;
use PocketPlot\Clipping\Reader;
use PocketPlot\Clipping\RoleGuess;
use PocketPlot\File\Json;
use PocketPlot\Part\Role;

/** Reads the text of a part from standard input, without a database or a browser. */
final class ReadText extends Command
{
    protected $signature = 'plot:read {--role= : what the part is for; guessed by its words when left out} {--json : print what was found as JSON}';

    protected $description = 'Read figures, sockets, prices out of a pasted text: 0 something was found, 1 nothing, 3 unreadable';

    public function handle(): int
    {
        $text = (string) stream_get_contents(STDIN);
        $given = $this->option('role');
        $role = is_string($given) ? Role::tryFrom($given) : RoleGuess::of($text);
        if ($role === null) {
            $this->output->getErrorStyle()->writeln(is_string($given)
                ? "There is no role \"{$given}\"; choose one of ".implode(', ', array_map(static fn (Role $one): string => $one->value, Role::cases())).'.'
                : 'No word tells what this part is for; say it with --role.');

            return 3;
        }
        $finds = Reader::read($text, $role);
        if ($this->option('json') === true) {
            $this->line(Json::encode(['role' => $role->value, 'found' => array_map(static fn ($find): array => $find->toArray(), $finds)]));
        } else {
            $this->line($role->value);
            foreach ((new Filling($finds, $role, now()->toDateString(), $text))->proposals([]) as $one) {
                $this->line(self::row($text, $one));
            }
        }

        return $finds === [] ? 1 : 0;
    }

    private static function row(string $text, Proposal $one): string
    {
        $stands = trim((string) preg_replace('/\s+/', ' ', mb_substr($text, $one->find->start, $one->find->end - $one->find->start)));

        return sprintf('  %-24s %-28s "%s"%s', $one->label, $one->says, $stands, $one->find->isUnsure ? ' (unsure)' : '');
    }
}
