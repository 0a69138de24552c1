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

    /** On a pad that spans the face, what a thumb is for lies no farther in than this. */
    private const PAD_MM = 30.0;

    /** Weight that is off the middle by more than this share of the length pulls one hand down. */
    public const OFF_SHARE = 0.1;

    /**
     * @param  list<array{piece: Piece, side: string, mm: float, hands: array<string, string>}>  $reaches  of each control, by hand "well", "stretch" or "out"
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
        );
    }

    /** @return list<array{piece: Piece, side: string, mm: float, hands: array<string, string>}> */
    private static function reaches(Fitted $fitted, float $wall): array
    {
        $controls = array_values(array_filter($fitted->lying, static fn (Lying $one): bool => $one->piece->isControl));
        $middle = $fitted->insideMm[0] / 2;
        $sides = ['left' => [], 'right' => []];
        foreach ($controls as $one) {
            $x = $one->box->x + $one->box->l / 2;
            $spans = $one->box->x < $middle * 0.7 && $one->box->right() > $middle * 1.3;
            if ($spans || $x < $middle) {
                $sides['left'][] = [$one, max($one->box->x, min($x, self::PAD_MM)) + $wall];
            }
            if ($spans || $x >= $middle) {
                $fromRight = $fitted->insideMm[0] - max($x, $fitted->insideMm[0] - self::PAD_MM);
                $sides['right'][] = [$one, max($fitted->insideMm[0] - $one->box->right(), $fromRight) + $wall];
            }
        }
        $reaches = [];
        foreach ($sides as $side => $ones) {
            foreach ($ones as [$one, $across]) {
                $down = $one->box->y + $one->box->w / 2 - self::gripAt(array_column($ones, 0));
                $mm = hypot($across, $down);
                $hands = [];
                foreach (Hand::cases() as $hand) {
                    $share = $mm / $hand->thumbMm();
                    $hands[$hand->value] = $share > 1.05 ? 'out' : ($share > 0.9 || $share < self::NEAR_SHARE * 0.6 ? 'stretch' : 'well');
                }
                $reaches[] = ['piece' => $one->piece, 'side' => $side, 'mm' => $mm, 'hands' => $hands];
            }
        }

        return $reaches;
    }

    /**
     * Hands hold it where the controls of their side are at the middle.
     *
     * @param  list<Lying>  $ones
     */
    private static function gripAt(array $ones): float
    {
        $middles = array_map(static fn (Lying $one): float => $one->box->y + $one->box->w / 2, $ones);

        return $middles === [] ? 0.0 : (min($middles) + max($middles)) / 2;
    }

    /** @return array{array{float, float, float}|null, list<string>} */
    private static function centre(Fitted $fitted): array
    {
        $sum = [0.0, 0.0, 0.0];
        $mass = 0.0;
        $unweighed = [];
        foreach ($fitted->lying as $one) {
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
