<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Http\Controllers\RuleController;
use Illuminate\Console\Command;
use PocketPlot\Check\RuleBook;
use Symfony\Component\Console\Output\OutputInterface;

/** The rule book: id, family, one sentence, the figures each rule compares. Needs no database. */
final class ListRules extends Command
{
    protected $signature = 'plot:rules {--json : print the book as JSON}';

    protected $description = 'List every rule with what it checks and the figures it compares';

    public function handle(): int
    {
        $rules = array_values(array_map(RuleController::rule(...), RuleBook::metas()));
        if ($this->option('json') === true) {
            $this->output->writeln(
                json_encode($rules, JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR),
                OutputInterface::OUTPUT_RAW,
            );

            return self::SUCCESS;
        }
        foreach (RuleBook::metas() as $meta) {
            $this->output->writeln(sprintf('%-26s %-9s %s', $meta->id, $meta->family(), $meta->sentence), OutputInterface::OUTPUT_RAW);
            if ($meta->figures !== []) {
                $this->output->writeln(str_repeat(' ', 37).'figures: '.implode(', ', $meta->figures), OutputInterface::OUTPUT_RAW);
            }
        }

        return self::SUCCESS;
    }
}
