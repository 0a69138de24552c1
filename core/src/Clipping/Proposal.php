<?php

declare(strict_types=1);

namespace PocketPlot\Clipping;

/** A find as it is put before the builder: what it would be in the part, and what stands there now. */
final readonly class Proposal
{
    public function __construct(
        /** Its place in the list of finds. */
        public int $id,
        public Find $find,
        /** The field's name; the find's own where a part has no place for it. */
        public string $label,
        public string $says,
        /** What the part says there now; "" when nothing. */
        public string $was,
        /** Whether a part has a place for it. */
        public bool $isPlaced,
    ) {}

    /**
     * @return array{id: int, what: string, label: string, says: string, was: string, start: int, end: int, isUnsure: bool,
     *   isPlaced: bool} start and end in signs of the text
     */
    public function toArray(): array
    {
        return [
            'id' => $this->id,
            'what' => $this->find->what,
            'label' => $this->label,
            'says' => $this->says,
            'was' => $this->was,
            'start' => $this->find->start,
            'end' => $this->find->end,
            'isUnsure' => $this->find->isUnsure,
            'isPlaced' => $this->isPlaced,
        ];
    }
}
