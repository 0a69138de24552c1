<?php

declare(strict_types=1);

namespace PocketPlot\Build;

/** Where the parts of a build lie, and what the builder wants of their arrangement. */
final readonly class FitPlan
{
    /**
     * @param  array<string, Pose>  $poses  by Pose::key()
     * @param  list<string>  $split  ids of lines whose pack may lie as separate cells
     * @param  array<string, mixed>  $extra  keys of the file that this version does not know
     */
    public function __construct(
        public array $poses = [],
        public FitAim $aim = FitAim::Thickness,
        public array $split = [],
        public array $extra = [],
    ) {}

    public function pose(string $line, int $piece): ?Pose
    {
        return $this->poses[Pose::keyOf($line, $piece)] ?? null;
    }

    public function withPose(Pose $pose): self
    {
        return $this->with(['poses' => [...$this->poses, $pose->key() => $pose]]);
    }

    /** Whether something lies left of, above or before the corner from which all is counted. */
    public function reachesOut(): bool
    {
        return array_filter($this->poses, static fn (Pose $pose): bool => min($pose->xMm, $pose->yMm, $pose->zMm) < 0.0) !== [];
    }

    /** The same, everything moved on to the right and down so that nothing does; nothing lies before the face. */
    public function withinCorner(): self
    {
        $left = min(0.0, ...array_values(array_map(static fn (Pose $pose): float => $pose->xMm, $this->poses)));
        $up = min(0.0, ...array_values(array_map(static fn (Pose $pose): float => $pose->yMm, $this->poses)));

        return $this->with(['poses' => array_map(static fn (Pose $pose): Pose => new Pose(
            $pose->line, $pose->piece, $pose->xMm - $left, $pose->yMm - $up, max(0.0, $pose->zMm), $pose->turn, $pose->isPinned, $pose->extra,
        ), $this->poses)]);
    }

    /** The same, the free pieces of a line without a place: another part has to find its own. */
    public function freed(string $line): self
    {
        return $this->with(['poses' => array_filter($this->poses, static fn (Pose $pose): bool => $pose->line !== $line || $pose->isPinned)]);
    }

    /** @return array<string, Pose> those that no arrangement may move */
    public function pinned(): array
    {
        return array_filter($this->poses, static fn (Pose $pose): bool => $pose->isPinned);
    }

    /** @param  array{poses?: array<string, Pose>, aim?: FitAim, split?: list<string>}  $changed */
    public function with(array $changed): self
    {
        return new self($changed['poses'] ?? $this->poses, $changed['aim'] ?? $this->aim, $changed['split'] ?? $this->split, $this->extra);
    }
}
