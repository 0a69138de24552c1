<?php

declare(strict_types=1);

namespace PocketPlot\Clipping\Weighing;

/** A word, a number or a sign of a text. */
final readonly class Token
{
    public const NUMBER = 'number';

    public const WORD = 'word';

    /** "qb-70", "m2.5": a number that is part of a name. */
    public const NAME = 'name';

    public const SIGN = 'sign';

    public const LINE_END = 'line end';

    public function __construct(
        /** In small letters. */
        public string $text,
        public string $kind,
        /** Bytes in the plain text. */
        public int $start,
        /** Whether it is written with a capital: "2 A" is a current, "2 a piece" is none. */
        public bool $isCapital = false,
    ) {}

    public function end(): int
    {
        return $this->start + strlen($this->text);
    }
}
