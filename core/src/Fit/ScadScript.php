<?php

declare(strict_types=1);

namespace PocketPlot\Fit;

/** A drawn body as a script of the OpenSCAD language, its figures by name, so that each can be changed. */
final readonly class ScadScript
{
    public function __construct(private Shell $shell) {}

    public function text(): string
    {
        $s = $this->shell;
        $halves = new Halves($s);
        [$a, $b, $c] = array_map(self::n(...), $s->inside);
        $posts = implode(', ', array_map(static fn (array $post): string => '['.self::n($post[0]).', '.self::n($post[1]).']', $s->posts));
        $figures = [
            'wall' => self::n($s->wall),
            'inside' => "[{$a}, {$b}, {$c}]",
            'split' => self::n($s->splitMm),
            'lip' => self::n($halves->hasLip() ? Shell::LIP_MM : 0.0),
            'lip_air' => self::n(Shell::LIP_AIR_MM),
            'post' => self::n(Shell::POST_MM),
            'insert' => self::n(Shell::INSERT_MM),
            'insert_deep' => self::n(Halves::INSERT_DEEP_MM),
            'screw' => self::n(Shell::SCREW_MM),
            'corners' => (string) Hole::CORNERS,
            'posts' => "[{$posts}]",
            'front_openings' => self::openings($halves->openingsOf('front')),
            'back_openings' => self::openings($halves->openingsOf('back')),
        ];
        $lines = [
            '// '.self::plain($s->name).': a body drawn by Pocket Plot. Millimetres; to the right, down, and from the face into the depth.',
            '// Show "front", "back" or "both".',
            'show = "both";',
        ];
        foreach ($figures as $name => $value) {
            $lines[] = "{$name} = {$value};";
        }

        return implode("\n", $lines)."\n".self::MODULES;
    }

    private const MODULES = <<<'SCAD'

// An opening is [side, name, across, along, wide, high, round].
module opening(o) {
    if (o[0] == "front") translate([o[2], o[3], -wall / 2]) through([0, 0, 0], o);
    if (o[0] == "back") translate([o[2], o[3], inside[2] + wall / 2]) through([0, 0, 0], o);
    if (o[0] == "left") translate([-wall / 2, o[2], o[3]]) through([90, 0, 90], o);
    if (o[0] == "right") translate([inside[0] + wall / 2, o[2], o[3]]) through([90, 0, 90], o);
    if (o[0] == "top") translate([o[2], -wall / 2, o[3]]) through([90, 0, 0], o);
    if (o[0] == "bottom") translate([o[2], inside[1] + wall / 2, o[3]]) through([90, 0, 0], o);
}
module through(turn, o) rotate(turn)
    if (o[6]) rotate([0, 0, 180 / corners]) cylinder(d = o[4], h = wall + 0.02, center = true, $fn = corners);
    else cube([o[4], o[5], wall + 0.02], center = true);
module block(from, size) translate(from) cube(size);
// Round the room inside, so far out, from one depth to another.
module ring(out, from, to) block([-out, -out, from], [inside[0] + 2 * out, inside[1] + 2 * out, to - from]);
module column(p, air, from, to) block([p[0] - post / 2 - air, p[1] - post / 2 - air, from], [post + 2 * air, post + 2 * air, to - from]);
module front() difference() {
    union() {
        difference() {
            ring(wall, -wall, split);
            ring(0, 0, split + 1);
            if (lip > 0) ring(wall / 2, split - lip - lip_air, split + 1);
            for (o = front_openings) opening(o);
        }
        for (p = posts) column(p, 0, -0.001, split);
    }
    for (p = posts) translate([p[0], p[1], max(0, split - insert_deep)]) cylinder(d = insert, h = insert_deep + 1, $fn = corners);
}
module back() difference() {
    union() {
        difference() {
            union() {
                ring(wall, split, inside[2] + wall);
                if (lip > 0) ring(wall / 2 - lip_air, split - lip, split + 0.001);
            }
            ring(0, split - lip - 1, inside[2]);
            for (p = posts) if (lip > 0) column(p, lip_air, split - lip - 1, split);
            for (o = back_openings) opening(o);
        }
        for (p = posts) column(p, 0, split, inside[2] + wall);
    }
    for (p = posts) translate([p[0], p[1], split - 1]) cylinder(d = screw, h = inside[2] + wall - split + 2, $fn = corners);
}
if (show != "back") front();
if (show != "front") translate([0, show == "both" ? 2 * inside[1] + 4 * wall + 10 : 0, 0]) rotate([180, 0, 0]) back();

SCAD;

    /** @param  list<array{Cutout, bool}>  $openings */
    private static function openings(array $openings): string
    {
        if ($openings === []) {
            return '[]';
        }

        return "[\n".implode(",\n", array_map(static fn (array $one): string => sprintf(
            '    ["%s", "%s", %s, %s, %s, %s, %s]', $one[0]->side, self::plain($one[0]->name), self::n($one[0]->across), self::n($one[0]->along),
            self::n($one[0]->wide), self::n($one[0]->high), $one[1] ? 'true' : 'false',
        ), $openings))."\n]";
    }

    /** A name that cannot end its quotes or its line. */
    private static function plain(string $name): string
    {
        return (string) preg_replace('/[^\p{L}\p{N} .,()+-]/u', ' ', $name);
    }

    private static function n(float $value): string
    {
        return rtrim(rtrim(number_format($value, 4, '.', ''), '0'), '.');
    }
}
