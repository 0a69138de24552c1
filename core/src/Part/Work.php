<?php

declare(strict_types=1);

namespace PocketPlot\Part;

/** What fitting a part asks of the builder, and what a part brings to the bench itself. */
final readonly class Work
{
    /**
     * @param  list<string>  $skills
     * @param  list<string>  $tools
     * @param  list<string>  $consumables
     * @param  list<string>  $serves  the tools or consumables that this part is
     * @param  array<string, Work>  $extras  what only an extra asks for, by what it gives: wires soldered on "for headphones"
     */
    public function __construct(public array $skills, public array $tools, public array $consumables, public array $serves, public array $extras = []) {}

    /**
     * The work that is really asked: of the extras, only those that the brief wants.
     *
     * @param  list<string>  $mustHaves  wishes of the brief
     */
    public function asked(array $mustHaves): self
    {
        $wanted = array_values(array_filter(
            $this->extras,
            static fn (string $gives): bool => in_array($gives, $mustHaves, true),
            ARRAY_FILTER_USE_KEY,
        ));

        return $wanted === [] ? $this : new self(
            self::all($this->skills, array_map(static fn (self $one): array => $one->skills, $wanted)),
            self::all($this->tools, array_map(static fn (self $one): array => $one->tools, $wanted)),
            self::all($this->consumables, array_map(static fn (self $one): array => $one->consumables, $wanted)),
            $this->serves,
        );
    }

    /**
     * The wishes that could be given up: without them nothing of what lacks is asked any more.
     *
     * @param  list<string>  $mustHaves  wishes of the brief
     * @param  list<string>  $lacking  skills or tools
     * @return list<string> none when the part itself asks for some of it
     */
    public function wishesThatAsk(array $mustHaves, array $lacking): array
    {
        if (array_intersect($lacking, [...$this->skills, ...$this->tools]) !== []) {
            return [];
        }

        return array_keys(array_filter(
            $this->extras,
            static fn (self $one, string $gives): bool => in_array($gives, $mustHaves, true)
                && array_intersect($lacking, [...$one->skills, ...$one->tools]) !== [],
            ARRAY_FILTER_USE_BOTH,
        ));
    }

    /**
     * @param  list<string>  $own
     * @param  list<list<string>>  $more
     * @return list<string>
     */
    private static function all(array $own, array $more): array
    {
        return array_values(array_unique([...$own, ...array_merge(...$more)]));
    }
}
