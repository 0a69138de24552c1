<?php

declare(strict_types=1);

namespace PocketPlot\Fit;

/** One side of a body at 1 : 1 as SVG: its outline, openings, drill marks with their sizes, and a ruler to check the printer by. */
final readonly class Template
{
    public const SIDES = ['front', 'back', 'left', 'right', 'top', 'bottom'];

    private const EDGE_MM = 8.0;

    private const RULER_MM = 100;

    public function __construct(private Shell $shell) {}

    /** @return list<string> sides that have something to cut; of a body that is drawn, all of them */
    public function sides(): array
    {
        return array_values(array_filter(self::SIDES, fn (string $side): bool => $this->shell->isDrawn || $this->cutouts($side) !== []));
    }

    /** As seen from outside. */
    public function svg(string $side): string
    {
        [$wide, $high] = $this->sideMm($side);
        $marks = [self::rect(0.0, 0.0, $wide, $high, 'class="edge"')];
        $names = [];
        foreach ($this->cutouts($side) as $cutout) {
            $marks[] = $this->cutout($cutout, $this->numbered($cutout, $names));
        }

        return $this->page($wide, $high, self::title($this->shell->name, $side), implode("\n", $marks), $names);
    }

    /** All six sides of a body that is folded from one sheet: full lines are cut, broken ones folded. */
    public function net(): string
    {
        [$a, $b, $c] = $this->shell->outsideMm();
        $at = ['front' => [$c, $c], 'left' => [0.0, $c], 'right' => [$c + $a, $c], 'top' => [$c, 0.0], 'bottom' => [$c, $c + $b], 'back' => [$c, 2 * $c + $b]];
        $marks = $names = [];
        foreach ($at as $side => [$x, $y]) {
            [$wide, $high] = $this->sideMm($side);
            $inner = [];
            foreach ($this->cutouts($side) as $cutout) {
                $inner[] = $this->cutout($cutout, $this->numbered($cutout, $names));
            }
            $marks[] = '<g transform="translate('.self::n($x).' '.self::n($y).')">'.self::rect(
                0.0,
                0.0,
                $wide,
                $high,
                $side === 'front' ? 'class="fold"' : 'class="edge"',
            )
                .implode('', $inner).'</g>';
        }
        foreach ([[$c, $c + $b, $c + $a, $c + $b], [$c, 2 * $c + $b, $c + $a, 2 * $c + $b]] as [$x1, $y1, $x2, $y2]) {
            $marks[] = '<line class="fold" x1="'.self::n($x1).'" y1="'.self::n($y1).'" x2="'.self::n($x2).'" y2="'.self::n($y2).'"/>';
        }

        return $this->page($a + 2 * $c, 2 * $b + 2 * $c, self::title($this->shell->name, 'one sheet'), implode("\n", $marks), $names);
    }

    /** @return array{float, float} outside, width and height as seen from outside */
    public function sideMm(string $side): array
    {
        [$a, $b, $c] = $this->shell->outsideMm();

        return match ($side) {
            'left', 'right' => [$c, $b],
            'top', 'bottom' => [$a, $c],
            default => [$a, $b],
        };
    }

    /** @return list<Cutout> */
    private function cutouts(string $side): array
    {
        return array_values(array_filter($this->shell->cutouts, static fn (Cutout $cutout): bool => $cutout->side === $side));
    }

    /** @return array{float, float, float, float} middle and sizes of an opening, as seen from outside */
    public function place(Cutout $cutout): array
    {
        $t = $this->shell->wall;
        [$a, , $c] = $this->shell->outsideMm();
        [$u, $v] = [$cutout->across + $t, $cutout->along + $t];

        return match ($cutout->side) {
            'back' => [$a - $u, $v, $cutout->wide, $cutout->high],
            'left' => [$c - $v, $u, $cutout->high, $cutout->wide],
            'right' => [$v, $u, $cutout->high, $cutout->wide],
            'top' => [$u, $c - $v, $cutout->wide, $cutout->high],
            default => [$u, $v, $cutout->wide, $cutout->high],
        };
    }

    /**
     * The number by which an opening stands in the list below; slots of one kind share theirs.
     *
     * @param  list<string>  $names
     *
     * @param-out list<string>  $names
     */
    private function numbered(Cutout $cutout, array &$names): int
    {
        [, , $wide, $high] = $this->place($cutout);
        $size = $cutout->isRound ? 'drill '.self::n(round($cutout->wide, 1)) : self::n(round($wide, 1)).' × '.self::n(round($high, 1));
        $name = "{$cutout->name}, {$size} mm";
        $at = array_search($name, $names, true);
        if (! is_int($at)) {
            $names[] = $name;
            $at = count($names) - 1;
        }

        return $at + 1;
    }

    private function cutout(Cutout $cutout, int $number): string
    {
        [$x, $y, $wide, $high] = $this->place($cutout);
        $shape = $cutout->isRound
            ? '<circle class="cut" cx="'.self::n($x).'" cy="'.self::n($y).'" r="'.self::n($cutout->wide / 2).'"/>'
            : self::rect($x - $wide / 2, $y - $high / 2, $wide, $high, 'class="cut"');
        $cross = '<path class="mark" d="M'.self::n($x - 2).' '.self::n($y).'h4M'.self::n($x).' '.self::n($y - 2).'v4"/>';
        $isLarge = $wide > 7.0 && $high > 5.0;
        $label = '<text x="'.self::n($isLarge ? $x + 2.2 : $x + $wide / 2 + 1.8).'" y="'.self::n($isLarge ? $y - 1.2 : $y + 0.9).'">'.$number.'</text>';

        return "<g>{$shape}{$cross}{$label}</g>";
    }

    /** @param  list<string>  $names  of the openings, by their numbers */
    private function page(float $wide, float $high, string $title, string $marks, array $names): string
    {
        $e = self::EDGE_MM;
        $full = max($wide, (float) self::RULER_MM) + 2 * $e;
        $tall = $high + 3 * $e + 17.0 + 4.0 * count($names);
        $ticks = '';
        for ($mm = 0; $mm <= self::RULER_MM; $mm += 5) {
            $ticks .= 'M'.$mm.' 0v'.($mm % 10 === 0 ? 4 : 2);
        }
        $list = '';
        foreach ($names as $at => $name) {
            $list .= '<text class="list" x="0" y="'.self::n(19.0 + 4.0 * $at).'">'.($at + 1).'  '.self::text($name).'</text>';
        }
        $style = '.edge,.cut,.ruler{fill:none;stroke:#000;stroke-width:.2}.fold{fill:none;stroke:#000;stroke-width:.2;stroke-dasharray:3 2}'
            .'.mark{stroke:#888;stroke-width:.15;fill:none}text{font:2.8px sans-serif;text-anchor:middle}.list{text-anchor:start}';

        return implode("\n", [
            '<?xml version="1.0" encoding="UTF-8"?>',
            sprintf('<svg xmlns="http://www.w3.org/2000/svg" width="%1$smm" height="%2$smm" viewBox="0 0 %1$s %2$s">', self::n($full), self::n($tall)),
            '<title>'.self::text($title).'</title>',
            "<style>{$style}</style>",
            '<g transform="translate('.self::n($e).' '.self::n($e).')">',
            $marks,
            '</g>',
            '<g id="ruler" transform="translate('.self::n($e).' '.self::n($high + 2 * $e).')"><path class="ruler" d="M0 0h'.self::RULER_MM.$ticks.'"/>'
                .'<text class="list" x="0" y="9">This line is '.self::RULER_MM.' mm long. If it is not, print at 100 %.</text>'
                .'<text class="list" x="0" y="13">'.self::text($title).'</text>'.$list.'</g>',
            '</svg>',
            '',
        ]);
    }

    private static function title(string $name, string $what): string
    {
        return "{$name}: {$what}, seen from outside";
    }

    private static function rect(float $x, float $y, float $wide, float $high, string $more): string
    {
        return '<rect '.$more.' x="'.self::n($x).'" y="'.self::n($y).'" width="'.self::n($wide).'" height="'.self::n($high).'"/>';
    }

    private static function text(string $text): string
    {
        return htmlspecialchars($text, ENT_QUOTES | ENT_XML1);
    }

    private static function n(float $value): string
    {
        return rtrim(rtrim(number_format($value, 3, '.', ''), '0'), '.');
    }
}
