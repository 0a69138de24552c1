<?php

declare(strict_types=1);

namespace PocketPlot\Power;

/** How one way of playing ends: with every figure at its bad end, as it usually goes, with every figure at its good end. */
final readonly class ProfileRunTimes
{
    /** Each end is null while figures are missing. */
    public function __construct(public string $way, public ?RunEnd $worst, public ?RunEnd $usual, public ?RunEnd $best) {}

    /** @return array{profile: string, leastHours: ?float, usualHours: ?float, mostHours: ?float, says: string} hours; null when unknown or without end */
    public function toArray(): array
    {
        return [
            'profile' => $this->way,
            'leastHours' => self::hours($this->worst),
            'usualHours' => self::hours($this->usual),
            'mostHours' => self::hours($this->best),
            'says' => $this->usual?->end?->says() ?? '',
        ];
    }

    private static function hours(?RunEnd $end): ?float
    {
        return $end === null || ! is_finite($end->hours) ? null : round($end->hours, 3);
    }
}
