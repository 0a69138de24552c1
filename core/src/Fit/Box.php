<?php

declare(strict_types=1);

namespace PocketPlot\Fit;

/** A block of millimetres: its front top left corner, and how far it goes to the right, down and into the depth. */
final readonly class Box
{
    public function __construct(
        public float $x,
        public float $y,
        public float $z,
        public float $l,
        public float $w,
        public float $h,
        public string $name = '',
    ) {}

    public function right(): float
    {
        return $this->x + $this->l;
    }

    public function bottom(): float
    {
        return $this->y + $this->w;
    }

    public function back(): float
    {
        return $this->z + $this->h;
    }

    public function volumeMm3(): float
    {
        return $this->l * $this->w * $this->h;
    }

    public function at(float $x, float $y, float $z): self
    {
        return new self($this->x + $x, $this->y + $y, $this->z + $z, $this->l, $this->w, $this->h, $this->name);
    }

    /** @return array{float, float, float} millimetres between the two along each axis; below nought where they overlap along it */
    public function apart(self $other): array
    {
        return [
            max($other->x - $this->right(), $this->x - $other->right()),
            max($other->y - $this->bottom(), $this->y - $other->bottom()),
            max($other->z - $this->back(), $this->z - $other->back()),
        ];
    }

    /** What both of them take up; null where they do not meet. */
    public function overlap(self $other): ?self
    {
        $x = max($this->x, $other->x);
        $y = max($this->y, $other->y);
        $z = max($this->z, $other->z);
        $l = min($this->right(), $other->right()) - $x;
        $w = min($this->bottom(), $other->bottom()) - $y;
        $h = min($this->back(), $other->back()) - $z;

        return $l > 1e-6 && $w > 1e-6 && $h > 1e-6 ? new self($x, $y, $z, $l, $w, $h) : null;
    }

    /**
     * The smallest box around all of them.
     *
     * @param  non-empty-list<self>  $boxes
     */
    public static function around(array $boxes): self
    {
        $x = min(array_map(static fn (self $box): float => $box->x, $boxes));
        $y = min(array_map(static fn (self $box): float => $box->y, $boxes));
        $z = min(array_map(static fn (self $box): float => $box->z, $boxes));

        return new self(
            $x, $y, $z,
            max(array_map(static fn (self $box): float => $box->right(), $boxes)) - $x,
            max(array_map(static fn (self $box): float => $box->bottom(), $boxes)) - $y,
            max(array_map(static fn (self $box): float => $box->back(), $boxes)) - $z,
        );
    }

    /** @return array{float, float, float, float, float, float} */
    public function toList(): array
    {
        return [round($this->x, 2), round($this->y, 2), round($this->z, 2), round($this->l, 2), round($this->w, 2), round($this->h, 2)];
    }
}
