<?php

declare(strict_types=1);

namespace PocketPlot\Assembly;

/** Which steps come before which, and why: a partial order, or circles where the builder asks for what cannot be. */
final readonly class Links
{
    /**
     * @param  list<Link>  $all  without those that had to give way
     * @param  array<string, list<Link>>  $into  by the step they lead to
     * @param  array<string, list<Link>>  $from  by the step they lead from
     * @param  list<Circle>  $circles  that were broken, the shortest first
     * @param  list<array{step: string, asks: string}>  $lost  own links to steps that are not there (any more)
     */
    private function __construct(public array $all, public array $into, public array $from, public array $circles, public array $lost) {}

    /**
     * @param  array<string, Step>  $steps  by id
     * @param  array<string, Step>  $dropped  steps that are left out; what came before one still comes before what came after it
     */
    public static function of(array $steps, array $dropped = []): self
    {
        $known = $steps + $dropped;
        $links = [...self::needed($known), ...self::covered($known)];
        $lost = [];
        foreach ($known as $step) {
            foreach ([['after', $step->after], ['before', $step->before]] as [$side, $others]) {
                foreach ($others as $other) {
                    if (! isset($known[$other])) {
                        $lost[] = ['step' => $step->id, 'asks' => $other];
                    } else {
                        $links[] = $side === 'after'
                            ? new Link($other, $step->id, LinkKind::Own, 'as you want it')
                            : new Link($step->id, $other, LinkKind::Own, 'as you want it');
                    }
                }
            }
        }
        $links = self::without($dropped, self::once($links));
        $circles = [];
        while (($circle = Circle::shortest(array_keys($steps), $links)) !== null) {
            $circles[] = $circle;
            $links = array_values(array_filter($links, static fn (Link $link): bool => $link !== $circle->broken));
        }

        return new self($links, self::by($links, 'to'), self::by($links, 'from'), $circles, $lost);
    }

    /** @return array<string, true> ids of all steps that have to come before this one, however far */
    public function before(string $id): array
    {
        return self::closure($id, $this->into, 'from');
    }

    /** @return array<string, true> ids of all steps that have to come after this one, however far */
    public function after(string $id): array
    {
        return self::closure($id, $this->from, 'to');
    }

    /**
     * @param  array<string, list<Link>>  $by
     * @param  'from'|'to'  $end
     * @return array<string, true>
     */
    private static function closure(string $id, array $by, string $end): array
    {
        $found = [];
        $open = [$id];
        while ($open !== []) {
            foreach ($by[array_pop($open)] ?? [] as $link) {
                $next = $end === 'from' ? $link->from : $link->to;
                if (! isset($found[$next])) {
                    $found[$next] = true;
                    $open[] = $next;
                }
            }
        }

        return $found;
    }

    /**
     * @param  array<string, Step>  $steps
     * @return list<Link>
     */
    private static function needed(array $steps): array
    {
        $givers = [];
        foreach ($steps as $step) {
            foreach ($step->gives as $condition) {
                $givers[$condition->key][] = $step->id;
            }
        }
        $links = [];
        foreach ($steps as $step) {
            $known = [$step->id => true];
            foreach ($step->needs as $condition) {
                foreach ($givers[$condition->key] ?? [] as $giver) {
                    if (! isset($known[$giver])) {
                        $known[$giver] = true;
                        $links[] = new Link($giver, $step->id, LinkKind::Needs, $condition->milestone->value);
                    }
                }
            }
        }

        return $links;
    }

    /**
     * @param  array<string, Step>  $steps
     * @return list<Link>
     */
    private static function covered(array $steps): array
    {
        $reaching = [];
        foreach ($steps as $step) {
            foreach ($step->reaches as $line) {
                $reaching[$line][] = $step;
            }
        }
        $links = [];
        foreach ($steps as $step) {
            foreach ($step->covers as $line) {
                foreach ($reaching[$line] ?? [] as $other) {
                    if ($other->id !== $step->id) {
                        $links[] = new Link($other->id, $step->id, LinkKind::Reach, self::nameOf($line, $other));
                    }
                }
            }
        }

        return $links;
    }

    private static function nameOf(string $line, Step $step): string
    {
        foreach ($step->lines as $one) {
            if ($one->id === $line) {
                return "gets at {$one->name()}";
            }
        }

        return 'gets at what is covered';
    }

    /**
     * @param  list<Link>  $links
     * @return list<Link> one for each pair, the firmest
     */
    private static function once(array $links): array
    {
        $once = [];
        foreach ($links as $link) {
            $key = "{$link->from}\0{$link->to}";
            if (! isset($once[$key]) || ($once[$key]->kind->canGiveWay() && ! $link->kind->canGiveWay())) {
                $once[$key] = $link;
            }
        }

        return array_values($once);
    }

    /**
     * @param  array<string, Step>  $dropped
     * @param  list<Link>  $links
     * @return list<Link> led past the steps that are left out
     */
    private static function without(array $dropped, array $links): array
    {
        foreach (array_keys($dropped) as $id) {
            $in = array_filter($links, static fn (Link $link): bool => $link->to === $id && $link->from !== $id);
            $out = array_filter($links, static fn (Link $link): bool => $link->from === $id && $link->to !== $id);
            $links = array_filter($links, static fn (Link $link): bool => $link->to !== $id && $link->from !== $id);
            foreach ($in as $first) {
                foreach ($out as $second) {
                    if ($first->from !== $second->to) {
                        $kind = $first->kind->canGiveWay() ? $first->kind : $second->kind;
                        $links[] = new Link($first->from, $second->to, $kind, "past a step left out: {$first->why}");
                    }
                }
            }
        }

        return $dropped === [] ? array_values($links) : self::once(array_values($links));
    }

    /**
     * @param  list<Link>  $links
     * @param  'from'|'to'  $end
     * @return array<string, list<Link>>
     */
    private static function by(array $links, string $end): array
    {
        $by = [];
        foreach ($links as $link) {
            $by[$end === 'from' ? $link->from : $link->to][] = $link;
        }

        return $by;
    }
}
