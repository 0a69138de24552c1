<?php

declare(strict_types=1);

namespace PocketPlot\Clipping;

use PocketPlot\Clipping\Weighing\Meaning;
use PocketPlot\Clipping\Weighing\Mention;
use PocketPlot\Clipping\Weighing\Mentions;
use PocketPlot\Clipping\Weighing\Token;
use PocketPlot\Clipping\Weighing\Tokens;
use PocketPlot\Clipping\Weighing\Weigher;
use PocketPlot\Part\Role;
use PocketPlot\Quantity\Constants;

/**
 * What the rules read, read once more by what was learned from many texts: a number that they passed over is added where it is sure enough what
 * it says, one that says nothing of the part is left out, one that says something else is taken for that.
 */
final readonly class SecondReading
{
    /** Shares of what a mention may mean, from which on it is added, left out, taken for something else. */
    private const ADD = 0.8;

    private const LEAVE_OUT = 0.7;

    private const TAKE_FOR = 0.7;

    /** Below this, what the rules read is not kept whatever else it may be; below that, it is not taken without a look. */
    private const LEAST = 0.3;

    private const LIKELY = 0.5;

    /** From which on something else is likely enough to doubt what the rules read. */
    private const SAYS_SOMETHING = 0.4;

    /** From which on it may be taken without a look at the text. */
    private const SURE = 0.95;

    /** Words that the rules say of what is decided only when all is laid together, and words that they may come to. */
    private const COMES_TO = [
        'ohm' => ['amp load', 'least load', 'speaker impedance'], 'sound watts' => ['amp watts', 'speaker watts'],
        'charge limit in C' => ['charge limit'], 'discharge limit in C' => ['discharge limit'],
    ];

    /** Too much hangs on more than the number alone. */
    private const NOT_ADDED = ['price', 'packet', 'socket', 'amp watts', 'amp load', 'speaker watts', 'speaker impedance', 'least load'];

    /** "2S3P" and "1 d-pad" say themselves what they are. */
    private const NOT_DOUBTED = ['series', 'parallel', 'd-pads'];

    private const MILLIAMPS = [
        'draw', 'peak draw', 'start-up draw', 'standby draw', 'output current', 'output peak current', 'quiescent current', 'switch-off current',
        'discharge limit', 'charge limit', 'protector current', 'charge input current', 'charge current', 'fuse rating', 'switch rating', 'light draw',
    ];

    /** Amps that nobody writes as milliamps without saying so, and amp-hours. */
    private const MOST_AMPS = 12.0;

    private const MOST_AMP_HOURS = 60.0;

    private const SIDES = [
        'size' => ['length', 'width', 'height'], 'room inside' => ['length', 'width', 'height'], 'printer bed' => ['length', 'width', 'height'],
        'hole spacing' => ['length', 'width'], 'picture area' => ['width', 'height'], 'pixels' => ['width', 'height'], 'opening' => ['width', 'height'],
        'video mode' => ['width', 'height'],
    ];

    /** Shares of a value by which two are the same. */
    private const ALIKE = 0.004;

    /** @var list<Token> */
    private array $tokens;

    /** @var list<Mention> */
    private array $mentions;

    public function __construct(Plain $plain, private Role $role)
    {
        $this->tokens = Tokens::of($plain->text);
        $this->mentions = Mentions::of($this->tokens, new Amounts(Amounts::hasCommas($plain->text)));
    }

    /** @return list<Mention> */
    public function mentions(): array
    {
        return $this->mentions;
    }

    /** @return list<Token> */
    public function tokens(): array
    {
        return $this->tokens;
    }

    /** @return list<string> what something that is read comes to, where that is decided when all is laid together */
    public static function comesTo(string $what): array
    {
        return str_starts_with($what, 'weak ') ? [substr($what, 5)] : self::COMES_TO[$what] ?? [$what];
    }

    /**
     * What the rules read each mention as.
     *
     * @param  list<Find>  $finds
     * @return list<string> "" where they passed it over
     */
    public function asRead(array $finds): array
    {
        return array_map(static fn (array $own): string => ($own[0] ?? null)->what ?? '', $this->readFrom($finds));
    }

    /**
     * @param  list<Find>  $finds  what the rules read, each where it stands
     * @return list<Find>
     */
    public function of(array $finds, Weigher $weigher): array
    {
        $read = $this->readFrom($finds);
        $meanings = $weigher->meanings($this->tokens, $this->mentions, $this->role->value,
            array_map(static fn (array $own): string => ($own[0] ?? null)->what ?? '', $read));
        $kept = $this->kept($read, $meanings, $weigher);
        $added = [];
        foreach ($this->mentions as $index => $mention) {
            $meaning = $meanings[$index];
            $isOpen = array_filter($read[$index], static fn (Find $find): bool => isset($kept[spl_object_id($find)])) === [];
            $least = $read[$index] === [] ? self::ADD : self::TAKE_FOR;
            if (! $isOpen || $meaning->what === '' || in_array($meaning->what, self::NOT_ADDED, true) || $meaning->share < $least) {
                continue;
            }
            $says = $this->says($meaning, $mention, $index);
            if ($says !== []) {
                $added[$index] = new Find($meaning->what, $says, $mention->start, $mention->end, $meaning->share < self::SURE);
            }
        }
        // What stands at no number, nothing more is known of.
        $seen = self::byId(array_merge(...$read));
        $left = array_filter($finds, static fn (Find $find): bool => ! isset($seen[spl_object_id($find)]) || isset($kept[spl_object_id($find)]));

        return [...array_map(static fn (Find $find): Find => ($kept[spl_object_id($find)] ?? 1.0) < self::LIKELY ? $find->unsure() : $find,
            array_values($left)), ...$this->inRanges($added)];
    }

    /**
     * What the rules read and what is still thought after what was learned: of a range, where one of its ends is.
     *
     * @param  list<list<Find>>  $read  by mention
     * @param  list<Meaning>  $meanings
     * @return array<int, float> how likely each is, by the number of the find
     */
    private function kept(array $read, array $meanings, Weigher $weigher): array
    {
        $kept = [];
        foreach ($read as $index => $own) {
            $meaning = $meanings[$index];
            $isAgreed = array_filter($own, static fn (Find $find): bool => in_array($meaning->what, self::comesTo($find->what), true)) !== [];
            $isOther = ! $isAgreed && $meaning->share >= ($meaning->what === '' ? self::LEAVE_OUT : self::TAKE_FOR)
                && ! in_array($meaning->what, self::NOT_ADDED, true);
            foreach ($own as $find) {
                $share = $isAgreed || $meaning->share < self::SAYS_SOMETHING ? 1.0 : $meaning->shareOf(self::comesTo($find->what));
                $isDoubted = $isOther || $share < self::LEAST;
                $sort = $this->mentions[$index]->sort();
                $isKnown = array_filter(self::comesTo($find->what), fn (string $what): bool => $weigher->knows($what, $sort, $this->role->value)) !== [];
                // "want 45": what is asked for it says so only by what is not said.
                $isTaken = ! $isKnown || in_array($find->what, self::NOT_DOUBTED, true) || ($find->what === 'price' && $this->mentions[$index]->unit === '');
                if ($isTaken || ! $isDoubted) {
                    // Of a range, as likely as its likelier end.
                    $kept[spl_object_id($find)] = max($kept[spl_object_id($find)] ?? 0.0, $isTaken ? 1.0 : $share);
                }
            }
        }

        return $kept;
    }

    /**
     * @param  list<Find>  $finds
     * @return list<list<Find>> of each mention, those that say its number and stand where it does
     */
    private function readFrom(array $finds): array
    {
        usort($finds, static fn (Find $a, Find $b): int => $a->start <=> $b->start);
        $read = [];
        $open = [];
        $next = 0;
        foreach ($this->mentions as $mention) {
            while (isset($finds[$next]) && $finds[$next]->start < $mention->end) {
                $open[] = $finds[$next++];
            }
            $open = array_filter($open, static fn (Find $find): bool => $find->end > $mention->start);
            $read[] = array_values(array_filter($open, static fn (Find $find): bool => self::isSaid($mention, $find)));
        }

        return $read;
    }

    private static function isSaid(Mention $mention, Find $find): bool
    {
        $numbers = [];
        foreach ($find->says as $said) {
            if (is_numeric($said)) {
                $numbers[] = (float) $said;
            }
        }
        if ($mention->isBox()) {
            return array_filter($mention->sides, static fn (float $side): bool => ! self::isAmong($side, $numbers)) === [];
        }

        return self::isAmong($mention->value, $numbers) || self::isAmong($mention->written, $numbers) || self::isAmong($mention->value * 1000.0, $numbers)
            || self::isAmong($mention->value / Constants::MM_PER_INCH, $numbers);
    }

    /**
     * @param  list<Find>  $finds
     * @return array<int, true>
     */
    private static function byId(array $finds): array
    {
        return array_fill_keys(array_map(spl_object_id(...), $finds), true);
    }

    /** @param  list<float>  $numbers */
    private static function isAmong(float $value, array $numbers): bool
    {
        foreach ($numbers as $number) {
            if (abs($value - $number) <= self::ALIKE * max(abs($value), abs($number))) {
                return true;
            }
        }

        return false;
    }

    /** @return array<string, float|int> least, usual, most or sides; [] where the number can't be that */
    private function says(Meaning $meaning, Mention $mention, int $index): array
    {
        $sides = self::SIDES[$meaning->what] ?? null;
        if ($mention->isBox()) {
            return $sides === null || $meaning->bound !== 'box' ? [] : array_combine(array_slice($sides, 0, count($mention->sides)),
                array_slice($mention->sides, 0, count($sides)));
        }
        $isSide = in_array($meaning->bound, ['length', 'width', 'height'], true);
        if ($meaning->bound === 'box' || ($isSide && ($sides === null || $meaning->what !== 'size')) || ($sides !== null && ! $isSide)) {
            return [];
        }

        return [$meaning->bound => $this->number($meaning->what, $mention, $index)];
    }

    /** In the unit of the word; a number without a unit in the one that is likely. */
    private function number(string $what, Mention $mention, int $index): float
    {
        $isBare = $mention->unit === '';

        return round(match (true) {
            $what === 'diagonal' && ! $isBare => $mention->value / Constants::MM_PER_INCH,
            $what === 'internal resistance' && ! $isBare => $mention->value * 1000.0,
            $what === 'efficiency' && $isBare && $mention->value > 1.0 => $mention->value / 100.0,
            $isBare && in_array($what, self::MILLIAMPS, true) => $mention->value * ($this->isInAmps($mention, $index) ? 1000.0 : 1.0),
            $isBare && $what === 'capacity' => $mention->value * ($mention->value < self::MOST_AMP_HOURS ? 1000.0 : 1.0),
            default => $mention->value,
        }, 6);
    }

    /** As the current before it was written, where one is alike; else by its size. */
    private function isInAmps(Mention $mention, int $index): bool
    {
        for ($at = $index - 1; $at >= 0; $at--) {
            $before = $this->mentions[$at];
            if ($before->unit === 'mA' && ! $before->isBox()) {
                $isAmps = $before->value > 1.5 * $before->written;
                $times = $mention->written / max(1e-6, $before->written);

                return $times > 0.01 && $times < 100.0 ? $isAmps : $mention->written < self::MOST_AMPS;
            }
        }

        return $mention->written < self::MOST_AMPS;
    }

    /**
     * The two ends of a range as one.
     *
     * @param  array<int, Find>  $added  by their mention
     * @return list<Find>
     */
    private function inRanges(array $added): array
    {
        foreach ($added as $index => $find) {
            $next = $added[$index + 1] ?? null;
            if ($next !== null && $next->what === $find->what && array_keys($find->says) === ['least'] && array_keys($next->says) === ['most']
                && in_array($this->mentions[$index]->next, Mention::TO, true)) {
                $added[$index] = new Find($find->what, [...$find->says, ...$next->says], $find->start, $next->end, $find->isUnsure || $next->isUnsure);
                unset($added[$index + 1]);
            }
        }

        return array_values($added);
    }
}
