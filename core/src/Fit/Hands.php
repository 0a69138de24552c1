<?php

declare(strict_types=1);

namespace PocketPlot\Fit;

/** How an arrangement lies in two hands: what the thumbs reach, how thick it is to hold, where its weight is, whether it stands. */
final readonly class Hands
{
    /** Longer things lie on a lap or a desk; nobody holds them by both ends: twice a large hand's span less what lies between. */
    public const MOST_HELD_MM = 320.0;

    /** The thumb bends: what is nearer than this share of its length cannot be pressed with its tip. */
    private const NEAR_SHARE = 0.35;

    /** Up to this share of it a finger reaches without letting go, and with a stretch up to that one. */
    public const EASY_SHARE = 0.9;

    private const MOST_SHARE = 1.05;

    /** On a pad that spans the face, what a thumb is for lies no farther in than this. */
    private const PAD_MM = 30.0;

    private const THIN_MM = 15.0;

    private const THICK_MM = 40.0;

    /** A shoulder button lies this near to the upper edge at most. */
    private const SHOULDER_MM = 12.0;

    /** Weight that is off the middle by more than this share of the length pulls one hand down. */
    public const OFF_SHARE = 0.1;

    /**
     * @param  list<array{piece: Piece, side: string, finger: string, mm: float, hands: array<string, string>}>  $reaches  of each control, by hand "well", "stretch" or "out"
     * @param  array{float, float, float}|null  $centreMm  of what is weighed; null while nothing is
     * @param  list<string>  $unweighed  ids of lines
     */
    private function __construct(
        public bool $isHeld,
        public array $reaches,
        public float $thickMm,
        public ?array $centreMm,
        public array $unweighed,
        public float $offShare,
        public ?float $tipsAtDeg,
        /** @var array{left: float, right: float} how far down hands hold it */
        public array $gripsMm,
    ) {}

    public static function of(Fitted $fitted): self
    {
        $wall = $fitted->inventory->room === null ? 0.0 : $fitted->inventory->room->wallMm;
        $inside = $fitted->insideMm;
        $isHeld = $inside[0] + 2 * $wall <= self::MOST_HELD_MM && self::MOST_HELD_MM / 4 >= $inside[2] + 2 * $wall;
        [$centre, $unweighed] = self::centre($fitted);
        $off = $centre === null || $inside[0] <= 0.0 ? 0.0 : abs($centre[0] - $inside[0] / 2) / $inside[0];

        return new self(
            $isHeld, $isHeld ? self::reaches($fitted, $wall) : [], $inside[2] + 2 * $wall, $centre, $unweighed, $off,
            // On its lower edge it falls to the back once its weight is beyond that edge.
            $centre === null ? null : rad2deg(atan2(max(0.0, $inside[2] - $centre[2]), max(1.0, $inside[1] - $centre[1]))),
            ['left' => self::gripAt(self::held($fitted)['left'], $inside[1]), 'right' => self::gripAt(self::held($fitted)['right'], $inside[1])],
        );
    }

    /** @return array{left: list<PlacedPiece>, right: list<PlacedPiece>} what each thumb is for; a pad that spans the face is reached from both ends */
    private static function held(Fitted $fitted): array
    {
        $middle = $fitted->insideMm[0] / 2;
        $sides = ['left' => [], 'right' => []];
        foreach ($fitted->placed as $one) {
            if (! $one->piece->isControl || self::isShoulder($one)) {
                continue;
            }
            $x = $one->box->x + $one->box->l / 2;
            $spans = $one->box->x < $middle * 0.7 && $one->box->right() > $middle * 1.3;
            if ($spans || $x < $middle) {
                $sides['left'][] = $one;
            }
            if ($spans || $x >= $middle) {
                $sides['right'][] = $one;
            }
        }

        return $sides;
    }

    /** @return list<array{piece: Piece, side: string, finger: string, mm: float, hands: array<string, string>}> */
    private static function reaches(Fitted $fitted, float $wall): array
    {
        $reaches = [];
        foreach (self::held($fitted) as $side => $ones) {
            foreach ($ones as $one) {
                $x = $one->box->x + $one->box->l / 2;
                $fromRight = $fitted->insideMm[0] - max($x, $fitted->insideMm[0] - self::PAD_MM);
                $across = $wall + ($side === 'left' ? max($one->box->x, min($x, self::PAD_MM)) : max($fitted->insideMm[0] - $one->box->right(), $fromRight));
                $down = $one->box->y + $one->box->w / 2 - self::gripAt($ones, $fitted->insideMm[1]);
                $mm = hypot($across, $down);
                $hands = [];
                foreach (Hand::cases() as $hand) {
                    $hands[$hand->value] = self::how($mm, $hand->thumbMm());
                }
                $reaches[] = ['piece' => $one->piece, 'side' => $side, 'finger' => 'thumb', 'mm' => $mm, 'hands' => $hands];
            }
        }

        return [...$reaches, ...self::shoulders($fitted, $wall)];
    }

    /** "thin", "easy" or "thick" to hold for long: handles of 30 to 40 mm are easy to close a hand around, thin ones cramp it. */
    public function grip(): string
    {
        return $this->thickMm < self::THIN_MM ? 'thin' : ($this->thickMm > self::THICK_MM ? 'thick' : 'easy');
    }

    private static function how(float $mm, float $fingerMm): string
    {
        $share = $mm / $fingerMm;

        return $share > self::MOST_SHARE ? 'out' : ($share > self::EASY_SHARE || $share < self::NEAR_SHARE * 0.6 ? 'stretch' : 'well');
    }

    /**
     * Shoulder buttons are for the forefingers, which lie along the upper edge from both sides.
     *
     * @return list<array{piece: Piece, side: string, finger: string, mm: float, hands: array<string, string>}>
     */
    private static function shoulders(Fitted $fitted, float $wall): array
    {
        $reaches = [];
        foreach ($fitted->placed as $one) {
            if (! self::isShoulder($one)) {
                continue;
            }
            $x = $one->box->x + $one->box->l / 2;
            $side = $x < $fitted->insideMm[0] / 2 ? 'left' : 'right';
            $mm = hypot($side === 'left' ? $x + $wall : $fitted->insideMm[0] + $wall - $x, max(0.0, $one->box->y - self::SHOULDER_MM));
            $hands = [];
            foreach (Hand::cases() as $hand) {
                $hands[$hand->value] = self::how($mm, $hand->forefingerMm());
            }
            $reaches[] = ['piece' => $one->piece, 'side' => $side, 'finger' => 'forefinger', 'mm' => $mm, 'hands' => $hands];
        }

        return $reaches;
    }

    private static function isShoulder(PlacedPiece $one): bool
    {
        $controls = $one->piece->line->part->controls;

        return $controls !== null && $controls->triggers > 0 && $controls->dPads + $controls->buttons + $controls->sticks === 0;
    }

    /**
     * Hands hold it where the controls of their side are at the middle.
     *
     * @param  list<PlacedPiece>  $ones
     */
    private static function gripAt(array $ones, float $tallMm): float
    {
        $middles = array_map(static fn (PlacedPiece $one): float => $one->box->y + $one->box->w / 2, $ones);

        return $middles === [] ? $tallMm / 2 : (min($middles) + max($middles)) / 2;
    }

    /** @return array{array{float, float, float}|null, list<string>} */
    private static function centre(Fitted $fitted): array
    {
        $sum = [0.0, 0.0, 0.0];
        $mass = 0.0;
        $unweighed = [];
        foreach ($fitted->placed as $one) {
            $figure = $one->piece->line->part->size->massG;
            if (! $figure->isKnown()) {
                $unweighed[$one->piece->line->id] = $one->piece->line->id;

                continue;
            }
            $grams = $figure->usual() / $one->piece->split;
            $mass += $grams;
            $sum = [
                $sum[0] + $grams * ($one->box->x + $one->box->l / 2),
                $sum[1] + $grams * ($one->box->y + $one->box->w / 2),
                $sum[2] + $grams * ($one->box->z + $one->box->h / 2),
            ];
        }

        return [$mass > 0.0 ? [$sum[0] / $mass, $sum[1] / $mass, $sum[2] / $mass] : null, array_values($unweighed)];
    }
}
