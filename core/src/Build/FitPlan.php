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
