<?php

declare(strict_types=1);

namespace PocketPlot\Assembly;

/** What stands at a step where somebody could get hurt. */
final class Cautions
{
    public const CELLS = 'Lithium cells can burn. Never short them, never charge them unwatched, keep metal off the bench; follow the maker\'s instructions and local rules, and leave a doubtful pack to a qualified person.';

    public const IRON = 'Hot iron and fumes: stand the iron in its rest, open a window or run an extractor, wash your hands after.';

    public const DUST = 'Clamp the work, wear eye protection and a dust mask, and sand or cut away from electronics.';

    public const MAINS = 'Use only the closed, approved supply it came with. Leave anything inside a mains-powered box to a qualified person.';

    public const SPARK = 'Touch something earthed first; a spark from a sleeve is enough for a board.';
}
