<?php

declare(strict_types=1);

namespace PocketPlot\Build;

/** A step that the builder wrote down. */
final readonly class OwnStep
{
    /**
     * @param  list<string>  $lines  ids of what it is about
     * @param  list<string>  $after  ids of steps that come first
     * @param  list<string>  $before  ids of steps that it has to come before
     * @param  list<string>  $tools
     * @param  array<string, mixed>  $extra  keys of the file that this version does not know
     */
    public function __construct(
        public string $id,
        public string $title,
        public string $says = '',
        public int $minutes = 15,
        public array $lines = [],
        public array $after = [],
        public array $before = [],
        public array $tools = [],
        /** What has to hold before going on; "" when it is no gate. */
        public string $asks = '',
        public bool $canBeUndone = true,
        public float $aloneHours = 0.0,
        public array $extra = [],
    ) {}
}
