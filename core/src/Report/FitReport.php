<?php

declare(strict_types=1);

namespace PocketPlot\Report;

use PocketPlot\Build\Build;
use PocketPlot\Build\FitPlan;
use PocketPlot\Build\Line;
use PocketPlot\Check\TroubleSentence;
use PocketPlot\Check\Verdict;
use PocketPlot\Facts\Facts;
use PocketPlot\File\FitFile;
use PocketPlot\Fit\Arrangement;
use PocketPlot\Fit\Box;
use PocketPlot\Fit\Cutout;
use PocketPlot\Fit\Fitted;
use PocketPlot\Fit\Halves;
use PocketPlot\Fit\Hand;
use PocketPlot\Fit\Hands;
use PocketPlot\Fit\Inventory;
use PocketPlot\Fit\Piece;
use PocketPlot\Fit\PlacedPiece;
use PocketPlot\Fit\Room;
use PocketPlot\Fit\Shell;
use PocketPlot\Fit\Spacing;
use PocketPlot\Fit\Template;
use PocketPlot\Fit\ThicknessMap;
use PocketPlot\Fit\Trouble;

/** Everything the page "Fit" shows: where the pieces lie, what does not hold, the thickness, the hands, the body to print. */
final readonly class FitReport
{
    private function __construct(public Fitted $fitted, private FitPlan $plan) {}

    public static function of(Build $build, ?FitPlan $plan = null): self
    {
        $facts = new Facts($build);

        return new self(Fitted::of($build, $facts->bodyLine(), $facts->inBody(), $plan), $plan ?? $build->fit);
    }

    /** Of a build whose places were judged already. */
    public static function from(Facts $facts): self
    {
        return new self($facts->fitted() ?? Fitted::of($facts->build, $facts->bodyLine(), $facts->inBody()), $facts->build->fit);
    }

    public static function inventory(Build $build, ?FitPlan $plan = null): Inventory
    {
        $facts = new Facts($build);

        return Inventory::of($build, $facts->bodyLine(), $facts->inBody(), $plan);
    }

    /** @return array<string, mixed> contract/openapi.json, "Fit" */
    public function toArray(): array
    {
        $inventory = $this->fitted->inventory;
        $shell = Shell::of($this->fitted);

        return [
            'room' => $inventory->room === null ? null : $this->room($inventory->room),
            'body' => $inventory->room?->line->id,
            'aim' => $this->plan->aim->value,
            'isWhole' => $this->fitted->isWhole(),
            'pieces' => array_map(fn (Piece $piece): array => $this->piece($piece), $inventory->pieces),
            'unsized' => self::ids($inventory->unsized),
            'soft' => self::ids($inventory->soft),
            'inZones' => self::ids($inventory->inZones),
            'isCutShort' => $inventory->isCutShort,
            'filledCm3' => round($inventory->filledMm3() / 1000, 1),
            'splittable' => (object) $this->splittable(),
            'split' => $this->plan->split,
            'troubles' => array_map(self::trouble(...), $this->fitted->troubles),
            'map' => $this->fitted->isBegun() ? self::map(ThicknessMap::of($this->fitted)) : null,
            'hands' => $this->fitted->isBegun() ? self::hands(Hands::of($this->fitted)) : null,
            'shell' => $shell === null ? null : $this->shell($shell),
        ];
    }

    /**
     * What is told of an arrangement that was found, before it is taken.
     *
     * @return array<string, mixed> contract/openapi.json, "Arrangement"
     */
    public static function arrangement(Build $build, Arrangement $found): array
    {
        $split = $build->fit->split;
        foreach ($found->poses as $pose) {
            $line = $build->line($pose->line);
            if ($line !== null && $pose->piece > $line->quantity && ! in_array($line->id, $split, true)) {
                $split[] = $line->id;
            }
        }
        $plan = $build->fit->with(['poses' => $found->poses, 'split' => $split]);
        $report = self::of($build, $plan);
        $fitted = $report->fitted;
        $map = ThicknessMap::of($fitted);
        $hands = Hands::of($fitted);
        $clashes = $fitted->clashes();

        return [
            'style' => $found->style->value,
            'says' => $found->style->says(),
            'aim' => $plan->aim->value,
            'unit' => $plan->aim->unit(),
            'measure' => round($found->measure, 2),
            'bound' => round($found->bound, 2),
            'isProved' => $found->isProved,
            'slack' => round($found->slack(), 4),
            'steps' => $found->steps,
            'insideMm' => array_map(static fn (float $mm): float => round($mm, 1), $fitted->insideMm),
            'outsideMm' => $fitted->outsideMm() === null ? null : array_map(static fn (float $mm): float => round($mm, 1), $fitted->outsideMm()),
            'split' => $split,
            'lost' => array_map(static fn (Piece $piece): string => $piece->key(), $found->lost),
            'poses' => array_values(array_map(FitFile::poseDocument(...), $found->poses)),
            'solids' => array_map(
                static fn (PlacedPiece $one): array => [
                    'key' => $one->piece->key(),
                    'line' => $one->piece->line->id,
                    'boxes' => array_map(static fn (Box $box): array => $box->toList(), $one->solid),
                ],
                $fitted->placed,
            ),
            'deepMm' => round($map->deepMm, 1),
            'deciding' => array_map(static fn (PlacedPiece $one): string => $one->piece->line->id, $map->deciding),
            'decidingSays' => $map->saysDeciding(),
            'verdict' => self::verdict($found, $fitted)->value,
            'worst' => array_map(
                self::trouble(...),
                array_slice([...$clashes, ...array_filter($fitted->troubles, static fn (Trouble $one): bool => ! $one->isClash())], 0, 4),
            ),
            'leadMm' => round(self::leadMm($build, $fitted)),
            'out' => count(array_filter($hands->reaches, static fn (array $reach): bool => ($reach['hands'][Hand::Middle->value] ?? '') === 'out')),
            'offShare' => round($hands->offShare, 3),
        ];
    }

    private static function verdict(Arrangement $found, Fitted $fitted): Verdict
    {
        return match (true) {
            $found->lost !== [] || $fitted->clashes() !== [] => Verdict::Clash,
            $fitted->isOpen() => Verdict::Unmeasured,
            $fitted->troubles !== [] => Verdict::Tight,
            default => Verdict::Fits,
        };
    }

    /** @return array<string, mixed> */
    private function room(Room $room): array
    {
        $inside = $this->fitted->isBegun() ? $this->fitted->insideMm : null;
        $spacing = Spacing::of($this->fitted->inventory->build->brief);

        return [
            'drawn' => $room->drawn,
            'limitMm' => array_map(static fn (float $mm): ?float => is_infinite($mm) ? null : round($mm, 2), $room->limit),
            'insideMm' => $inside === null ? null : array_map(static fn (float $mm): float => round($mm, 2), $inside),
            'wallMm' => round($room->wallMm, 2),
            'gapsMm' => [$spacing->besideMm, $spacing->besideMm, $spacing->layerMm],
            'ribs' => array_map(static fn (Box $rib): array => ['name' => $rib->name, 'box' => $rib->toList()], $room->ribs),
            'zones' => array_values(array_map(static fn (Box $zone): array => ['name' => $zone->name, 'box' => $zone->toList()], $room->zones)),
        ];
    }

    /** @return array<string, mixed> */
    private function piece(Piece $piece): array
    {
        $placed = null;
        foreach ($this->fitted->placed as $one) {
            $placed = $one->piece->key() === $piece->key() ? $one : $placed;
        }

        return [
            'key' => $piece->key(),
            'line' => $piece->line->id,
            'piece' => $piece->number,
            'name' => $piece->name(),
            'kind' => match (true) {
                $piece->isPanel => 'panel',
                $piece->isControl => 'control',
                $piece->isCell => 'cell',
                $piece->isCoil => 'coil',
                $piece->isHot => 'hot',
                default => 'other',
            },
            'isFace' => $piece->isFace,
            'sidesMm' => array_map(static fn (float $mm): float => round($mm, 2), $piece->shape->sides),
            'pose' => $placed === null ? null : [
                'xMm' => round($placed->box->x, 2), 'yMm' => round($placed->box->y, 2), 'zMm' => round($placed->box->z, 2),
                'turn' => $placed->turn->code, 'pinned' => $placed->pose->isPinned,
            ],
            'box' => $placed?->box->toList(),
            'solid' => $placed === null ? [] : array_map(static fn (Box $box): array => $box->toList(), $placed->solid),
            'free' => $placed === null ? [] : array_map(static fn (Box $box): array => $box->toList(), $placed->free),
        ];
    }

    /** @return array<string, int> line id => pieces it may be taken apart into */
    private function splittable(): array
    {
        $may = [];
        foreach ($this->fitted->inventory->pieces as $piece) {
            $count = Piece::mayLieApart($piece->line);
            if ($count > 1) {
                $may[$piece->line->id] = $count;
            }
        }

        return $may;
    }

    /** @return array<string, mixed> */
    private static function trouble(Trouble $trouble): array
    {
        return [
            'kind' => $trouble->kind,
            'verdict' => ($trouble->isOpen() ? Verdict::Unmeasured : ($trouble->isClash() ? Verdict::Clash : Verdict::Tight))->value,
            'piece' => $trouble->piece->key(),
            'other' => $trouble->other?->key(),
            'mm' => round($trouble->mm, 2),
            'where' => $trouble->where?->toList(),
            'says' => TroubleSentence::of($trouble),
        ];
    }

    /** @return array<string, mixed> */
    private static function map(ThicknessMap $map): array
    {
        return [
            'deepMm' => round($map->deepMm, 2),
            'deciding' => array_map(static fn (PlacedPiece $one): string => $one->piece->key(), $map->deciding),
            'says' => $map->saysDeciding(),
            'fields' => array_map(static fn (array $field): array => [
                'at' => [round($field['x'], 2), round($field['y'], 2), round($field['l'], 2), round($field['w'], 2)],
                'deepMm' => round($field['deepMm'], 2), 'solidMm' => round($field['solidMm'], 2), 'pieces' => $field['pieces'],
            ], $map->fields),
        ];
    }

    /** @return array<string, mixed> */
    private static function hands(Hands $hands): array
    {
        return [
            'isHeld' => $hands->isHeld,
            'thickMm' => round($hands->thickMm, 1),
            'grip' => $hands->grip(),
            'gripsMm' => array_map(static fn (float $mm): float => round($mm, 1), $hands->gripsMm),
            'easyMm' => array_combine(
                array_map(static fn (Hand $hand): string => $hand->value, Hand::cases()),
                array_map(static fn (Hand $hand): float => round(Hands::EASY_SHARE * $hand->thumbMm(), 1), Hand::cases()),
            ),
            'reaches' => array_map(static fn (array $reach): array => [
                'piece' => $reach['piece']->key(), 'side' => $reach['side'],
                'finger' => $reach['finger'], 'mm' => round($reach['mm'], 1), 'hands' => $reach['hands'],
            ], $hands->reaches),
            'centreMm' => $hands->centreMm === null ? null : array_map(static fn (float $mm): float => round($mm, 1), $hands->centreMm),
            'offShare' => round($hands->offShare, 3),
            'unweighed' => $hands->unweighed,
            'tipsAtDeg' => $hands->tipsAtDeg === null ? null : round($hands->tipsAtDeg, 1),
        ];
    }

    /** @return array<string, mixed> */
    private function shell(Shell $shell): array
    {
        $bed = $this->bedMm();

        return [
            'isDrawn' => $shell->isDrawn,
            'outsideMm' => array_map(static fn (float $mm): float => round($mm, 2), $shell->outsideMm()),
            'splitMm' => $shell->splitMm,
            'posts' => $shell->posts,
            'postMm' => Shell::POST_MM,
            'postsMissing' => $shell->postsMissing(),
            'cutouts' => array_map(static fn (Cutout $one): array => [
                'side' => $one->side, 'kind' => $one->kind, 'name' => $one->name, 'isRound' => $one->isRound,
                'across' => round($one->across, 2), 'along' => round($one->along, 2), 'wide' => round($one->wide, 2), 'high' => round($one->high, 2),
            ], $shell->cutouts),
            'prints' => $shell->isDrawn ? self::printNames(new Halves($shell, $bed)) : [],
            'sides' => (new Template($shell))->sides(),
        ];
    }

    /** The printer's bed, along which a long half is cut. */
    public function bedMm(): ?float
    {
        $body = $this->fitted->inventory->room?->line->part->body;
        $bed = $body?->bedLengthMm->isKnown() === true ? max($body->bedLengthMm->least(), $body->bedWidthMm->least ?? 0.0) : null;
        if ($body?->pieces !== null && $body->pieces > 1) {
            $long = $this->fitted->insideMm[0] + 2 * $this->fitted->inventory->room->wallMm;

            return $bed === null ? $long / $body->pieces : min($bed, $long / $body->pieces);
        }

        return $bed;
    }

    /** @return list<string> */
    private static function printNames(Halves $halves): array
    {
        $count = count($halves->pieces()) - 1;
        $names = [];
        foreach (['front', 'back'] as $half) {
            for ($i = 1; $i <= $count; $i++) {
                $names[] = $half.($count > 1 ? "-{$i}" : '');
            }
        }

        return $names;
    }

    /** Straight along the axes, from middle to middle of what is joined. */
    private static function leadMm(Build $build, Fitted $fitted): float
    {
        $first = [];
        foreach ($fitted->placed as $one) {
            $first[$one->piece->line->id] ??= $one->box;
        }
        $sum = 0.0;
        foreach ($build->joins as $join) {
            [$a, $b] = [$first[$join->from] ?? null, $first[$join->to] ?? null];
            if ($a !== null && $b !== null) {
                $sum += abs($a->x + $a->l / 2 - $b->x - $b->l / 2) + abs($a->y + $a->w / 2 - $b->y - $b->w / 2) + abs($a->z + $a->h / 2 - $b->z - $b->h / 2);
            }
        }

        return $sum;
    }

    /**
     * @param  list<Line>  $lines
     * @return list<string>
     */
    private static function ids(array $lines): array
    {
        return array_map(static fn (Line $line): string => $line->id, $lines);
    }
}
