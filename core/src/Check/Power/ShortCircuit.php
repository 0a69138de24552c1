<?php

declare(strict_types=1);

namespace PocketPlot\Check\Power;

use PocketPlot\Build\Line;
use PocketPlot\Check\Finding;
use PocketPlot\Check\LineRule;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\Words;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Fuse;
use PocketPlot\Part\Pack;
use PocketPlot\Part\Protection;
use PocketPlot\Part\Role;
use PocketPlot\Quantity\Constants;
use PocketPlot\Quantity\Figure;

final class ShortCircuit extends LineRule
{
    public static function meta(): Meta
    {
        return new Meta(
            'power.short-circuit',
            'A fuse or its like near each pack opens before a short can set anything on fire.',
            ['fuse.ratingMa', 'pack.protection', 'supply.drawMa', 'supply.drawAtV', 'supply.peakMa', 'output.efficiency', 'pack.volts', 'pack.maxDischargeMa'],
        );
    }

    protected function lines(Facts $facts): iterable
    {
        return array_filter($facts->with('pack'), static fn (Line $line): bool => ! $line->part->livesFromOwnCell());
    }

    protected function ofLine(Line $line, Facts $facts): iterable
    {
        $pack = $line->part->pack;
        if ($pack !== null && ! $pack->sealed) {
            yield $this->judge($line, $pack, $facts);
        }
    }

    private function judge(Line $line, Pack $pack, Facts $facts): Finding
    {
        $fuse = $facts->with('fuse')[0] ?? null;
        if ($fuse !== null && $fuse->part->fuse !== null) {
            return $this->rated($line, $pack, $fuse, $fuse->part->fuse, $facts);
        }
        $working = [$this->text("{$line->name()}, own protection", $pack->protection === Protection::Unknown ? '' : $pack->protection->value)];
        if ($pack->protection === Protection::BuiltIn) {
            return $this->answer(
                Verdict::Fits,
                [$line],
                fn (): Words => new Words("The protection inside {$line->name()} opens on a short.", $working, 'its own protection counts'),
            );
        }
        $guard = $facts->protectorOf($line);
        // A board that stands by itself leaves the wires between it and the cells bare; one that the cells sit on or plug into does not.
        if ($guard !== null && ($guard->part->charger !== null || $guard->part->outputs !== [])) {
            return $this->answer(
                Verdict::Fits,
                [$line, $guard],
                fn (): Words => new Words("{$guard->name()} opens on a short of {$line->name()}.", $working, 'a protection board counts'),
            );
        }
        if (! $pack->isLithium()) {
            return $this->answer(
                Verdict::Fits,
                [$line],
                fn (): Words => new Words(
                    "{$line->name()} gets by without a fuse: small nickel and alkaline cells get hot when shorted, and do not burn.",
                    $working,
                    'a fuse does no harm',
                ),
            );
        }
        if ($guard === null && $pack->protection === Protection::Unknown) {
            return $this->unmeasured($line, 'pack.protection', [], [], 'short', 'put a fuse at its plus');
        }

        $board = $facts->silentGuardOf($line);
        if ($guard === null && $board !== null) {
            return $this->unmeasured(
                $board,
                'protector.cutOffV',
                [$line],
                $working,
                $line->id,
                "nobody can say whether it opens on a short of {$line->name()}",
            );
        }

        return $this->answer(Verdict::Missing, [$line],
            fn (): Words => new Words(
                "Nothing opens when {$line->name()} is shorted: wires glow before the cells are empty.",
                $working,
                'no fuse and no protection',
                [
                    Remedy::add(Role::Material, 'Add a fuse near the pack'),
                    Remedy::add(Role::Regulator, 'Add a protection board'),
                    $this->swap($line, 'Take a protected pack'),
                ]));
    }

    private function rated(Line $line, Pack $pack, Line $fuseLine, Fuse $fuse, Facts $facts): Finding
    {
        if (! $fuse->ratingMa->isKnown()) {
            return $this->unmeasured($fuseLine, 'fuse.ratingMa', [$line], [], $line->id);
        }
        $working = [$this->row("{$fuseLine->name()} opens above", $fuse->ratingMa)];
        [$watts, $peak, $missing] = $facts->wattsFrom($line);
        if ($missing !== []) {
            return $this->unmeasured(
                $missing[0]->line,
                $missing[0]->figure,
                [$fuseLine, $line],
                $working,
                "fuse/{$line->id}",
                "nobody can say whether {$fuseLine->name()} holds",
            );
        }
        if (! $pack->volts()->isKnown() || $pack->volts()->least() <= 0.0) {
            return $this->unmeasured($line, 'pack.volts', [$fuseLine], $working, 'fuse');
        }
        $need = max($watts->most(), $peak->most()) / $pack->volts()->least() * 1000;
        $working[] = $this->row('At the worst moment', Figure::exactly($need, 'mA', $watts->source->with($peak->source)));
        if (! $pack->maxDischargeMa->isKnown()) {
            return $this->unmeasured($line, 'pack.maxDischargeMa', [$fuseLine], $working, 'fuse', "nobody can say whether a short blows {$fuseLine->name()}");
        }
        $working[] = $this->row("{$line->name()} gives at most", $pack->maxDischargeMa->times($line->quantity));
        $rating = $fuse->ratingMa->usual();
        $tooLarge = $rating > $pack->maxDischargeMa->least() * $line->quantity * Constants::FUSE_MOST_TIMES;
        [$verdict, $says] = match (true) {
            $need > $rating => [Verdict::Clash, sprintf('%s blows in ordinary use: %s mA flow at the worst moment.', $fuseLine->name(), self::n($need))],
            $tooLarge => [Verdict::Tight, "{$fuseLine->name()} is so large that {$line->name()} may not blow it; the wires glow first."],
            default => [Verdict::Fits, "{$fuseLine->name()} stands between {$line->name()} and a short."],
        };

        return $this->answer(
            $verdict,
            [$fuseLine, $line],
            fn (): Words => new Words($says, $working, 'worst moment < fuse < what the pack gives', [$this->swap($fuseLine, 'Take a fuse of the right size')]),
            $line->id,
        );
    }
}
