<?php

declare(strict_types=1);

namespace PocketPlot\Check;

use PocketPlot\Part\FigureRef;
use PocketPlot\Part\Role;

/**
 * A way out of a finding. From a rule, a swap or an addition names only the line or the role;
 * RemedyFinder names the parts that really help.
 */
final readonly class Remedy
{
    private function __construct(
        public RemedyKind $kind,
        public string $says,
        public ?string $lineId = null,
        public ?Role $role = null,
        public ?FigureRef $figure = null,
    ) {}

    public static function swap(string $lineId, Role $role, string $says): self
    {
        return new self(RemedyKind::Swap, $says, $lineId, $role);
    }

    public static function add(Role $role, string $says): self
    {
        return new self(RemedyKind::Add, $says, null, $role);
    }

    public static function measure(string $lineId, FigureRef $figure): self
    {
        return new self(RemedyKind::Measure, Measuring::how($figure), $lineId, null, $figure);
    }

    public static function brief(string $says): self
    {
        return new self(RemedyKind::Brief, $says);
    }

    public static function byHand(string $says): self
    {
        return new self(RemedyKind::ByHand, $says);
    }

    /** @return array{kind: string, says: string, line: ?string, role: ?string, figure: ?string} */
    public function toArray(): array
    {
        return [
            'kind' => $this->kind->value,
            'says' => $this->says,
            'line' => $this->lineId,
            'role' => $this->role?->value,
            'figure' => $this->figure === null ? null : (string) $this->figure,
        ];
    }
}
