<?php

declare(strict_types=1);

namespace PocketPlot\Assembly;

/** What stands at a step where somebody could get hurt, and what then belongs on the bench. */
final class Cautions
{
    public const CELLS = 'Lithium cells can burn. Never short them, never charge them unwatched, keep metal off the bench; follow the maker\'s instructions and local rules, and leave a doubtful pack to a qualified person.';

    public const IRON = 'Hot iron and fumes: stand the iron in its rest, open a window or run an extractor, wash your hands after.';

    public const DUST = 'Clamp the work, wear eye protection and a dust mask, and sand or cut away from electronics.';

    public const MAINS = 'Use only the closed, approved supply it came with. Leave anything inside a mains-powered box to a qualified person.';

    public const SPARK = 'Touch something earthed first; a spark from a sleeve is enough for a board.';

    public const PAINT = 'Paint and varnish give off vapour that burns: work outside or with the window open, away from flames and cells; follow what stands on the tin.';

    public const PRINTER = 'Nozzle and bed are hot, and resin harms the skin: gloves, air, and do not leave the room while the printer heats up; follow its maker\'s instructions.';

    public const FAN = 'Keep fingers, sleeves and wires out of the fan while it turns.';

    public const EDGES = 'Old shells and cut plastic have sharp edges, and old boxes may hold charged parts: unplug, wait, and leave anything with a mains lead to a qualified person.';

    /** @var array<string, list<string>> what belongs on the bench, by caution */
    private const PLACES = [
        self::CELLS => ['a surface that does not burn, for charging', 'a bucket of sand or a metal box within reach'],
        self::IRON => ['an open window or an extractor', 'eye protection'],
        self::DUST => ['eye protection', 'a dust mask', 'a clamp'],
        self::PAINT => ['an open window or the open air', 'gloves'],
        self::PRINTER => ['an open window or an extractor'],
        self::EDGES => ['gloves'],
    ];

    /**
     * @param  list<string>  $cautions
     * @return list<string>
     */
    public static function places(array $cautions): array
    {
        return array_values(array_unique(array_merge(...array_map(static fn (string $one): array => self::PLACES[$one] ?? [], $cautions))));
    }
}
