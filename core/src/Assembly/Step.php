<?php

declare(strict_types=1);

namespace PocketPlot\Assembly;

use PocketPlot\Build\Line;

/** One thing to do at the bench. Its id stays the same while the parts it is about do. */
final readonly class Step
{
    /** @var list<Line> what has to lie on the bench */
    public array $lines;

    /**
     * @param  list<Line>  $lines
     * @param  list<string>  $cautions
     * @param  list<Condition>  $needs  what must have come about before
     * @param  list<Condition>  $gives  what comes about by it
     * @param  list<string>  $covers  ids of lines that nobody can get at afterwards
     * @param  list<string>  $reaches  ids of lines that the hands have to get at
     * @param  list<string>  $tools
     * @param  list<string>  $consumables
     * @param  list<string>  $skills
     * @param  list<string>  $places  what else belongs on the bench: "eye protection", "a surface that does not burn"
     * @param  list<string>  $after  ids of steps, which the builder wants before it
     * @param  list<string>  $before  ids of steps, which the builder wants after it
     */
    public function __construct(
        public string $id,
        public Phase $phase,
        public string $title,
        public string $says,
        array $lines,
        public Minutes $minutes,
        public Setup $setup = Setup::Hands,
        public array $cautions = [],
        /** A test that must pass before going on. */
        public ?Gate $gate = null,
        public Undo $undo = Undo::Freely,
        /** How it is undone, or what makes it final. */
        public string $undoSays = '',
        public array $needs = [],
        public array $gives = [],
        public array $covers = [],
        public array $reaches = [],
        public array $tools = [],
        public array $consumables = [],
        public array $skills = [],
        public array $places = [],
        public ?Alone $alone = null,
        /** Text to copy: lines for the board's set-up. */
        public string $text = '',
        /** Leaving it out can hurt somebody or something. */
        public bool $isSafety = false,
        /** What it leaves to be looked at later. */
        public string $leaves = '',
        public bool $isOwn = false,
        public array $after = [],
        public array $before = [],
        /** The builder's own note on it. */
        public string $note = '',
    ) {
        $unique = [];
        foreach ($lines as $line) {
            $unique[$line->id] = $line;
        }
        $this->lines = array_values($unique);
    }

    /** @return list<Line> what it waits for */
    public function waitsFor(): array
    {
        $waits = [];
        foreach ($this->lines as $line) {
            if (! $line->state->isAtHand()) {
                $waits[] = $line;
            }
        }

        return $waits;
    }

    /** @return list<string> what else belongs on the bench, its cautions' included */
    public function allPlaces(): array
    {
        return array_values(array_unique([...$this->places, ...Cautions::places($this->cautions)]));
    }

    /** Why it cannot be taken back; "" when it can. */
    public function cannotBeUndone(): string
    {
        return $this->undo === Undo::Never ? $this->undoSays : '';
    }

    /** The same step with the builder's own words and minutes; null leaves it as it is. */
    public function with(?string $title, ?string $says, ?Minutes $minutes, ?string $note): self
    {
        return new self(
            $this->id, $this->phase, $title ?? $this->title, $says ?? $this->says,
            $this->lines, $minutes ?? $this->minutes, $this->setup, $this->cautions, $this->gate,
            $this->undo, $this->undoSays, $this->needs, $this->gives, $this->covers,
            $this->reaches, $this->tools, $this->consumables, $this->skills, $this->places,
            $this->alone, $this->text, $this->isSafety, $this->leaves, $this->isOwn, $this->after, $this->before, $note ?? $this->note,
        );
    }
}
