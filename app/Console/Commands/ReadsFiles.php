<?php

declare(strict_types=1);

namespace App\Console\Commands;

use PocketPlot\Build\Build;
use PocketPlot\File\BadFile;
use PocketPlot\File\BuildReader;
use PocketPlot\File\Fields;
use PocketPlot\File\Format;
use PocketPlot\File\Problem;
use PocketPlot\Part\Part;
use Symfony\Component\Console\Output\OutputInterface;

/** What the commands that work without a database have in common. */
trait ReadsFiles
{
    /** @throws BadFile with one problem a line */
    private function buildOf(string $name): Build
    {
        return BuildReader::read((new Format(Format::BUILD, $this->schema('build')))->decode($this->textOf($name)));
    }

    /** @throws BadFile when there is no such file */
    private function textOf(string $name): string
    {
        $text = $name === '-' ? stream_get_contents(STDIN) : (is_file($name) ? file_get_contents($name) : false);

        return $text === false ? throw BadFile::ofWhole("There is no file \"{$name}\" that can be read.") : $text;
    }

    /** @return list<Part> the parts that ship with the application */
    private function library(): array
    {
        $document = (new Format(Format::LIBRARY, $this->schema('library')))->decode((string) file_get_contents(base_path('demo/library.pocketplot.json')));

        return array_values(BuildReader::parts(new Fields($document)));
    }

    private function schema(string $name): string
    {
        return (string) file_get_contents(base_path("core/schema/{$name}.schema.json"));
    }

    /** @param  list<Problem|string>  $problems */
    private function unreadable(array $problems): int
    {
        foreach ($problems as $problem) {
            $this->output->getErrorStyle()->writeln((string) $problem, OutputInterface::OUTPUT_RAW);
        }

        return 3;
    }

    private function say(string $line): void
    {
        $this->output->writeln(rtrim($line), OutputInterface::OUTPUT_RAW);
    }

    private function printAsJson(mixed $value): void
    {
        $this->output->writeln(
            json_encode($value, JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR),
            OutputInterface::OUTPUT_RAW,
        );
    }
}
