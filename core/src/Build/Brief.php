<?php

declare(strict_types=1);

namespace PocketPlot\Build;

use PocketPlot\Quantity\Money;

/** What the build is for and what it may take. A target that is null was not set. */
final readonly class Brief
{
    /**
     * @param  array{float, float, float}|null  $largestMm  length, width, height
     * @param  list<GamesClass>  $games
     * @param  list<string>|null  $skills  null when the builder has not said
     * @param  list<string>|null  $tools
     * @param  list<string>  $mustHaves  wishes in words; "sound", "stereo" and "headphones" are checked
     * @param  list<string>|null  $consumables  what is at hand
     * @param  array<string, float>  $margins  the builder's own, by a key of Margins::DEFAULTS
     */
    public function __construct(
        public string $purpose = '',
        public ?float $runTimeHours = null,
        public ?Money $budget = null,
        public string $currency = 'EUR',
        public ?array $largestMm = null,
        public ?float $largestMassG = null,
        public ?float $gamesGb = null,
        public int $eveningMinutes = 120,
        public array $games = [],
        public ?array $skills = null,
        public ?array $tools = null,
        public array $mustHaves = [],
        public ?array $consumables = null,
        /** What a ready-made one would cost. */
        public ?Money $readyMade = null,
        /** Wants to play while it charges; null when not said. */
        public ?bool $playWhileCharging = null,
        /** Everything that is at hand or will be ordered is on the list; nothing lies in a drawer. Null when not said. */
        public ?bool $listIsWhole = null,
        /** Has the right to use the games; null when not said. */
        public ?bool $rights = null,
        /** Air around the build in use. */
        public float $roomC = 25.0,
        public array $margins = [],
    ) {}

    /** The same wishes with other hours on a charge. */
    public function asking(float $hours): self
    {
        return new self(
            $this->purpose,
            $hours,
            $this->budget,
            $this->currency,
            $this->largestMm,
            $this->largestMassG,
            $this->gamesGb,
            $this->eveningMinutes,
            $this->games,
            $this->skills,
            $this->tools,
            $this->mustHaves,
            $this->consumables,
            $this->readyMade,
            $this->playWhileCharging,
            $this->listIsWhole,
            $this->rights,
            $this->roomC,
            $this->margins,
        );
    }
}
