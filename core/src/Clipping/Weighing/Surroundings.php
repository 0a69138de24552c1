<?php

declare(strict_types=1);

namespace PocketPlot\Clipping\Weighing;

/**
 * What stands around a mention, as traits: short names of all that may say what it means. Which of them say what of a mention of its sort, and
 * how much, is learned; see Weights. A trait that begins with a role is of such parts only.
 */
final class Surroundings
{
    private const LEFT = 12;

    private const RIGHT = 9;

    /** Words at the head of a line that label what stands in it. */
    private const LABEL = 4;

    private const BREAKS_LEFT = [',', ';', '('];

    private const BREAKS_RIGHT = [',', ';', ')'];

    /** Up to these volts each: one cell, two of them, what a plug gives. */
    private const VOLTS = [1.35, 2.2, 2.95, 3.25, 3.45, 3.95, 4.45, 5.6, 7.0, 9.0, 11.0, 13.0, 17.0, 21.0, 26.0];

    private ?Taken $last = null;

    /** @var array<string, Taken> the last of each sort that said something */
    private array $lastOfSort = [];

    /** @var array<string, true> all labels so far */
    private array $said = [];

    /** @var array<int, string> what stands at a token's place: its text, or the sort of the mention that it is of; "" inside one */
    private array $signs = [];

    /**
     * @param  list<Token>  $tokens
     * @param  list<Mention>  $mentions
     */
    public function __construct(private array $tokens, private array $mentions, private string $role)
    {
        foreach ($tokens as $at => $token) {
            $this->signs[$at] = match ($token->kind) {
                Token::LINE_END => "\n",
                Token::NAME => '#name',
                default => $token->text,
            };
        }
        foreach ($mentions as $mention) {
            for ($at = $mention->from; $at <= $mention->to; $at++) {
                $this->signs[$at] = $at === $mention->from ? '#'.$mention->sort() : '';
            }
        }
    }

    /** What the next mention was taken for; every one in its order. */
    public function took(Mention $mention, string $label): void
    {
        $this->last = new Taken($label, $mention->sort(), $mention->written);
        if ($label !== '') {
            $this->said[$label] = true;
            $this->lastOfSort[$mention->sort()] = $this->last;
        }
    }

    /**
     * @param  int  $index  of the mention
     * @param  ?string  $rule  what the rules read it as; "" for nothing, null where they are not asked
     * @return list<string>
     */
    public function of(int $index, ?string $rule): array
    {
        $mention = $this->mentions[$index];
        $left = $this->side($mention->from, -1, self::LEFT);
        $right = $this->side($mention->to, 1, self::RIGHT);
        $both = [
            ...self::near($left, $right), ...self::words('L', $left, self::BREAKS_LEFT), ...self::words('R', $right, self::BREAKS_RIGHT),
            ...$this->label($mention), ...$this->joints($mention), ...$this->size($mention),
        ];
        $ofRole = "{$this->role}|";
        $traits = ['', $ofRole];
        foreach ($both as $trait) {
            $traits[] = $trait;
            $traits[] = $ofRole.$trait;
        }
        array_push($traits, ...self::pairs($left, $right), ...$this->kindPairs($left, $right, $mention), ...$this->history($mention, $left, $right));
        foreach ($left as $sign) {
            $traits[] = "ahead={$sign}";
        }
        if ($rule !== null) {
            array_push($traits, "rule={$rule}", "{$ofRole}rule={$rule}", "rule={$rule}|".($left[0] ?? '^'), "rule={$rule}|".($right[0] ?? '$').'>',
                "rule={$rule}|last=".($this->last->label ?? ''));
        }

        return array_values(array_unique($traits));
    }

    /**
     * What stands on one side, nearest first, up to the end of the sentence or the line.
     *
     * @return list<string>
     */
    private function side(int $from, int $step, int $most): array
    {
        $signs = [];
        for ($at = $from + $step; count($signs) < $most && isset($this->signs[$at]); $at += $step) {
            $sign = $this->signs[$at];
            if ($sign === "\n") {
                break;
            }
            if ($sign === '') {
                continue;
            }
            if ($sign === '.') {
                $signs[] = '.';
                if ($step > 0 || count($signs) > 1) {
                    break;
                }

                continue;
            }
            $signs[] = $sign;
        }

        return $signs;
    }

    /**
     * @param  list<string>  $left
     * @param  list<string>  $right
     * @return list<string>
     */
    private static function near(array $left, array $right): array
    {
        $l = [$left[0] ?? '^', $left[1] ?? '^', $left[2] ?? '^'];
        $r = [$right[0] ?? '$', $right[1] ?? '$', $right[2] ?? '$'];

        return ["l1={$l[0]}", "l2={$l[1]}", "l3={$l[2]}", "r1={$r[0]}", "r2={$r[1]}", "r3={$r[2]}", "l21={$l[1]} {$l[0]}", "r12={$r[0]} {$r[1]}",
            "r123={$r[0]} {$r[1]} {$r[2]}"];
    }

    /**
     * Words of one side and their kinds, each with whether another number or a comma stands between.
     *
     * @param  list<string>  $signs
     * @param  list<string>  $breaks
     * @return list<string>
     */
    private static function words(string $side, array $signs, array $breaks): array
    {
        $traits = [];
        $past = $commas = 0;
        foreach ($signs as $at => $sign) {
            if ($sign[0] === '#') {
                $past++;

                continue;
            }
            if (in_array($sign, $breaks, true)) {
                $commas++;

                continue;
            }
            $comma = min(1, $commas);
            $traits[] = $side.min(1, $past).$comma."={$sign}";
            foreach (WordKinds::of($sign) as $kind) {
                $traits[] = $side.'k'.min(2, $past).$comma."={$kind}";
                if ($at === 0) {
                    $traits[] = "{$side}k={$kind}";
                }
                if ($at < 3 && $past === 0) {
                    $traits[] = "{$side}kn={$kind}";
                }
            }
        }

        return $traits;
    }

    /** @return list<string> the words that the line begins with */
    private function label(Mention $mention): array
    {
        $from = $mention->from;
        while ($from > 0 && $this->tokens[$from - 1]->kind !== Token::LINE_END) {
            $from--;
        }
        $traits = [];
        for ($at = $from, $count = 0; $at < $mention->from && $count < self::LABEL; $at++) {
            $token = $this->tokens[$at];
            if (in_array($token->text, [':', '|', '='], true)) {
                break;
            }
            if ($token->kind === Token::WORD) {
                $count++;
                $traits[] = "head={$token->text}";
                foreach (WordKinds::of($token->text) as $kind) {
                    $traits[] = "headk={$kind}";
                }
            }
        }

        return $traits;
    }

    /** @return list<string> */
    private function joints(Mention $mention): array
    {
        return ["joint={$mention->next}/{$mention->before}", 'last='.($this->last->label ?? '^').$mention->before,
            'lastsort='.($this->last->sort ?? '^')];
    }

    /** @return list<string> how large the number is */
    private function size(Mention $mention): array
    {
        $traits = ['size='.($mention->value > 0.0 ? (int) round(3 * log10($mention->value)) : 0)];
        $traits[] = 'whole='.(fmod($mention->written, 1.0) !== 0.0 ? 'no' : 'yes').strlen((string) (int) $mention->written);
        if ($mention->unit === '' || $mention->unit === 'V') {
            $traits[] = 'value='.sprintf('%.2g', $mention->value);
        }
        if ($mention->unit === 'V' && ! $mention->isBox()) {
            $traits[] = 'volts='.self::volts($mention->value);
        }
        if ($mention->isUnitOfNext) {
            $traits[] = 'unit of next';
        }

        return $traits;
    }

    private static function volts(float $value): int
    {
        foreach (self::VOLTS as $at => $most) {
            if ($value <= $most) {
                return $at;
            }
        }

        return count(self::VOLTS);
    }

    /**
     * @param  list<string>  $left
     * @param  list<string>  $right
     * @return list<string>
     */
    private static function pairs(array $left, array $right): array
    {
        $traits = ['l321='.($left[2] ?? '^').' '.($left[1] ?? '^').' '.($left[0] ?? '^'), 'lr='.($left[0] ?? '^').' '.($right[0] ?? '$')];
        foreach (['l' => $left, 'r' => $right] as $side => $signs) {
            foreach ($signs as $at => $sign) {
                if ($sign[0] === '#') {
                    break;
                }
                $traits[] = "{$side}*={$sign}";
                if ($at > 0) {
                    $traits[] = "{$side}**={$signs[$at - 1]} {$sign}";
                }
            }
        }

        return $traits;
    }

    /**
     * @param  list<string>  $left
     * @param  list<string>  $right
     * @return list<string>
     */
    private function kindPairs(array $left, array $right, Mention $mention): array
    {
        $traits = [];
        foreach (WordKinds::of($left[0] ?? '^') as $kind) {
            foreach (WordKinds::of($right[0] ?? '$') as $other) {
                $traits[] = "lrk={$kind} {$other}";
            }
            foreach (WordKinds::of($left[1] ?? '^') as $other) {
                $traits[] = "llk={$other} {$kind}";
            }
            if ($mention->unit === 'V') {
                $traits[] = 'volts='.self::volts($mention->value)." {$kind}";
            }
        }

        return $traits;
    }

    /**
     * What was read before: the last mention of the same sort, and all that the text has said so far.
     *
     * @param  list<string>  $left
     * @param  list<string>  $right
     * @return list<string>
     */
    private function history(Mention $mention, array $left, array $right): array
    {
        $sort = $mention->sort();
        $last = $this->last->label ?? '^';
        $traits = ["last={$last}|".($left[0] ?? '^'), "last={$last}|".($right[0] ?? '$').'>'];
        $one = $this->lastOfSort[$sort] ?? null;
        if ($one !== null) {
            array_push($traits, "same={$one->label}", "{$this->role}|same={$one->label}", "same={$one->label}|".($left[0] ?? '^'),
                "{$this->role}|same={$one->label}".($mention->written > $one->written ? '>' : '<'));
        }
        foreach ($this->said as $label => $ignored) {
            $traits[] = "{$this->role}|said={$label}";
        }

        return $traits;
    }
}
