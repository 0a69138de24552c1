<?php

declare(strict_types=1);

namespace PocketPlot\Assembly;

/** A milestone of one line, or of the whole where no line is named: "proven panel", "run as a heap". */
final readonly class Condition
{
    public string $key;

    private function __construct(public Milestone $milestone, public string $about)
    {
        $this->key = "{$milestone->value} {$about}";
    }

    /** @param  string  $about  the line's id; "" for the whole */
    public static function of(Milestone $milestone, string $about = ''): self
    {
        return new self($milestone, $about);
    }

    /**
     * @param  iterable<string>  $lines  ids
     * @return list<self>
     */
    public static function each(Milestone $milestone, iterable $lines): array
    {
        $all = [];
        foreach ($lines as $line) {
            $all[] = new self($milestone, $line);
        }

        return $all;
    }
}
