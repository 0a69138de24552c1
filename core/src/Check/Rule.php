<?php

declare(strict_types=1);

namespace PocketPlot\Check;

use Closure;
use PocketPlot\Build\Line;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\FigureRef;
use PocketPlot\Quantity\Figure;
use PocketPlot\Quantity\Number;
use PocketPlot\Quantity\Source;

/**
 * One thing an experienced builder would check. One file a rule; its id never changes. A rule names its subjects
 * and judges one at a time; what it asks of Facts while it judges is noted, and nothing else may sway it.
 */
abstract class Rule
{
    /** @var array<class-string<self>, string> */
    private static array $ids = [];

    private ?Subject $subject = null;

    abstract public static function meta(): Meta;

    /** @return iterable<Subject> in the order in which they are read; none when the rule does not apply to this build */
    abstract public function subjects(Facts $facts): iterable;

    /** @return iterable<Finding> */
    abstract protected function findings(Subject $subject, Facts $facts): iterable;

    final public static function id(): string
    {
        return self::$ids[static::class] ??= static::meta()->id;
    }

    /** @return list<Finding> what it says of one subject; no more than `most` and one */
    final public function ask(Subject $subject, Facts $facts, int $most = PHP_INT_MAX): array
    {
        $this->subject = $subject;
        $said = [];
        foreach ($this->findings($subject, $facts) as $finding) {
            if ($finding->waitsFor !== [] && self::waitsForWanted($finding, $facts)) {
                continue;
            }
            $said[] = $finding;
            if (count($said) > $most) {
                break;
            }
        }

        return $said;
    }

    /** Of what is only wanted there is nothing to find out: that it is missing is said once. Its price may still be asked for. */
    private static function waitsForWanted(Finding $finding, Facts $facts): bool
    {
        if ($finding->verdict !== Verdict::Unmeasured || $finding->family() === 'money') {
            return false;
        }
        foreach ($finding->waitsFor as [$lineId]) {
            if ($facts->line($lineId)?->part->isWanted !== true) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param  list<Line>  $lines  concerned, the one it stands beside first
     * @param  Closure(): Words  $words
     * @param  string  $about  tells findings of one rule on the same lines apart
     * @param  bool  $ofWhole  about the whole build; the lines are only examples
     * @param  list<array{string, FigureRef}>  $waitsFor  line id and figure, each of which has to be found out first
     */
    final protected function answer(Verdict $verdict, array $lines, Closure $words, string $about = '', bool $ofWhole = false, array $waitsFor = []): Finding
    {
        $ids = [];
        foreach (count($lines) > Finding::MOST_NAMED ? array_slice($lines, 0, Finding::MOST_NAMED) : $lines as $line) {
            if ($ids === [] || ! in_array($line->id, $ids, true)) {
                $ids[] = $line->id;
            }
        }

        return new Finding(self::id(), $verdict, $ids, $words, $about, $ofWhole, $this->subject ?? Subject::whole(), $waitsFor);
    }

    /**
     * @param  list<Line>  $others
     * @param  list<WorkingLine>  $working
     * @param  string  $so  what stays open until it is known
     */
    final protected function unmeasured(
        Line $line,
        string|FigureRef $figure,
        array $others = [],
        array $working = [],
        string $about = '',
        string $so = '',
    ): Finding {
        $figure = $figure instanceof FigureRef ? $figure : FigureRef::parse($figure);

        return $this->answer(Verdict::Unmeasured, [$line, ...$others], static function () use ($line, $figure, $working, $so): Words {
            $name = Measuring::name($figure);

            return new Words(
                "Nobody knows the {$name} of {$line->name()} yet".($so === '' ? '.' : ", so {$so}."),
                [...array_slice($working, 0, Finding::MOST_NAMED - 1), new WorkingLine("{$line->name()}: {$name}", null, '', 'unknown')],
                'cannot be compared yet',
                [Remedy::measure($line->id, $figure)],
            );
        }, $about, false, [[$line->id, $figure]]);
    }

    final protected function row(string $label, Figure $figure): WorkingLine
    {
        return WorkingLine::figure($label, $figure);
    }

    final protected function count(string $label, int|float $value, string $unit = '', string $source = 'worked out'): WorkingLine
    {
        return new WorkingLine($label, (float) $value, $unit, $source);
    }

    /** @return list<WorkingLine> a row for what is written in pencil, where it is */
    final protected function inPencil(Facts $facts): array
    {
        return $facts->isDrawInPencil() ? [
            new WorkingLine('Some draws or losses are', 'usual of their kind, not written down', '', Source::Typical->value),
        ] : [];
    }

    final protected function text(string $label, string $value, string $source = 'datasheet'): WorkingLine
    {
        return new WorkingLine($label, $value === '' ? null : $value, '', $value === '' ? 'unknown' : $source);
    }

    final protected static function n(float $value): string
    {
        return Number::says($value);
    }

    final protected function swap(Line $line, string $says = ''): Remedy
    {
        return Remedy::swap($line->id, $line->role, $says === '' ? "Take another part for {$line->name()}" : $says);
    }

    /** Fits with the wanted margin, tight with less, clash below nought. */
    final protected static function byMargin(float $margin, float $wanted): Verdict
    {
        return match (true) {
            $margin < -1e-9 => Verdict::Clash,
            $margin < $wanted - 1e-9 => Verdict::Tight,
            default => Verdict::Fits,
        };
    }

    /** Fits up to the tight share, tight up to the whole, clash beyond. */
    final protected static function byShare(float $share, float $tightAt): Verdict
    {
        return match (true) {
            $share > 1.0 + 1e-9 => Verdict::Clash,
            $share > $tightAt + 1e-9 => Verdict::Tight,
            default => Verdict::Fits,
        };
    }
}
