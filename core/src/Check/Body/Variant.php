<?php

declare(strict_types=1);

namespace PocketPlot\Check\Body;

use PocketPlot\Build\Line;
use PocketPlot\Check\LineRule;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\Words;
use PocketPlot\Check\WorkingLine;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Role;

final class Variant extends LineRule
{
    public static function meta(): Meta
    {
        return new Meta('body.variant', 'Parts that look alike but differ are of the variant that the others were made for.', ['variant']);
    }

    protected function lines(Facts $facts): iterable
    {
        return $facts->with('variant');
    }

    protected function ofLine(Line $line, Facts $facts): iterable
    {
        foreach ($line->part->variantWants as $key => $wanted) {
            $having = array_values(array_filter($facts->with('variant'), static fn (Line $other): bool => isset($other->part->variantHas[$key])));
            $need = new WorkingLine("{$line->name()} was made for {$key}", $wanted, '', 'datasheet');
            if ($having === []) {
                $others = array_values(array_filter($facts->lines(), static fn (Line $other): bool => $other->role->value === explode('.', $key)[0]));
                if ($others !== []) {
                    yield $this->unmeasured($others[0], 'variant', [$line], [$need], $key);
                } elseif (Role::tryFrom(explode('.', $key)[0]) === null) {
                    // It names no role: any part may have it, and none says so.
                    yield $this->unmeasured($line, 'variant', [], [$need], $key, "nobody can say whether its counterpart is \"{$wanted}\" ({$key})");
                }

                continue;
            }
            foreach ($having as $other) {
                $has = $other->part->variantHas[$key];
                $working = [$need, new WorkingLine("{$other->name()} is", $has, '', 'datasheet')];
                yield $has === $wanted
                    ? $this->answer(
                        Verdict::Fits,
                        [$line, $other],
                        fn (): Words => new Words("{$other->name()} is the variant that {$line->name()} was made for.", $working, 'same'),
                        $key,
                    )
                    : $this->answer(Verdict::Clash, [$line, $other], fn (): Words => new Words(
                        "{$line->name()} was made for {$wanted}; {$other->name()} is {$has}.",
                        $working,
                        'different',
                        [
                            Remedy::swap($line->id, $line->role, "Take the other variant of {$line->name()}"),
                            Remedy::swap($other->id, $other->role, "Take the other variant of {$other->name()}"),
                        ]), $key);
            }
        }
    }
}
