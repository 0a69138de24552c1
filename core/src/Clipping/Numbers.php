<?php

declare(strict_types=1);

namespace PocketPlot\Clipping;

use PocketPlot\Quantity\Constants;

/** What the numbers with units in a clause say of a part, by the nearest cue. */
final readonly class Numbers
{
    /** Signs beyond which a word says nothing of a number any more; see Clause::distance(). */
    private const FAR = 90.0;

    /** Of several, the one that was chosen. */
    private const TICKED = '/^ ?\((?:selected|chosen|this one)\)/';

    /** "5 V 3 A supply": what feeds the part, not what the part takes. */
    private const OF_A_SUPPLY = '/^(?:\s*[\/,]?\s*[\d.,]+ ?a\b)?\s*(?:[a-z]+ )?(?:supply|adapt[eo]r|brick|charger|psu|wart|source|plug(?! in))\b/';

    /** A sentence that begins with the part asleep is about that, wherever its number stands; nothing else may be said in it. */
    private const ASLEEP_FIRST = '/^\W*(?:without (?:a )?(?:signal|picture)|(?:switched|powered|turned|shut) (?:off|down)|asleep|when off|(?:in|'
        .'on) standby|turn(?:ed)? it off|'
        .'with everything (?:off|asleep))\b(?!.*\d ?m?a\b.*\d ?m?a\b)/';

    /** Figures that say at which volts something happens: a bound before one is a word about that. */
    private const AT_WHICH = ['cut-off voltage', 'recovery voltage', 'low-battery warning', 'dropout'];

    private BareNumbers $bare;

    public function __construct(private string $role, private Amounts $amounts, private bool $isMainsSupply, private bool $isBank, private bool $isGuard)
    {
        $this->bare = new BareNumbers($role, $amounts);
    }

    /**
     * @param  list<array{int, int}>  $taken  stretches that something else was read from, in bytes of the clause
     * @return list<Find>
     */
    public function of(Clause $clause, array $taken): array
    {
        if (preg_match('/\d/', $clause->figures) !== 1) {
            return [];
        }
        $all = $this->amounts->in($clause->figures, $clause->start);
        $isFree = static function (Amount $one) use ($taken, $clause): bool {
            foreach ($taken as [$from, $to]) {
                if ($one->start - $clause->start < $to && $one->end - $clause->start > $from) {
                    return false;
                }
            }

            return true;
        };
        $free = array_values(array_filter($all, $isFree));
        // What its writer asks himself is not so yet: "(pitch 2.54?)".
        $free = array_values(array_filter($free, static fn (Amount $one): bool => ! $clause->isOfAnother($one->start - $clause->start)
            && preg_match('/^\s*\?/', $clause->after($one->end - $clause->start, 3)) !== 1));
        $found = $this->bare->in($clause, $free);
        $isNew = static fn (Amount $one): bool => array_filter($found, static fn (Find $find): bool => $find->start < $one->end
            && $find->end > $one->start) === [];
        $inherited = array_values(array_filter(array_filter($this->amounts->inherited($clause->figures, $all, $clause->start), $isFree), $isNew));
        $free = [...$free, ...array_filter($inherited, static fn (Amount $one): bool => ! $clause->isOfAnother($one->start - $clause->start))];
        usort($free, static fn (Amount $a, Amount $b): int => $a->start <=> $b->start);
        $isTicked = $clause->says('/\d ?(?:mm|cm|m) ?\((?:selected|chosen|this one)\)/');
        $chosen = preg_match('/you (?:selected|chose|picked|ordered)|(?:selected|chosen|picked|ordered|choice):|'
            .'your choice/', $clause->lower, $pick, PREG_OFFSET_CAPTURE) === 1 ? $pick[0][1] : 0;
        $before = [];
        foreach ($free as $amount) {
            $isLeft = ($amount->unit === 'mm' && $amount->start - $clause->start < $chosen) || ($isTicked && $amount->unit === 'mm'
                && preg_match(self::TICKED, $clause->after($amount->end - $clause->start)) !== 1);
            $find = $isLeft ? null : $this->read($clause, $amount, $free);
            if ($find === null && ! $isLeft && in_array($amount, $inherited, true) && isset($before[$amount->unit])
                && ($amount->usual === null || $before[$amount->unit]->what === 'draw'
                    || States::of($clause, $amount->start - $clause->start, $amount->end - $clause->start, $free) !== '')) {
                // A bound, or another state, of what the number before it was.
                $find = new Find($before[$amount->unit]->what, [...$amount->bounds(), ...$this->circumstances($clause, $amount->start - $clause->start,
                    $amount->end - $clause->start, $free)], $amount->start, $amount->end);
            }
            $source = $before[$amount->unit] ?? null;
            if ($find !== null && $source !== null && $source->what === $find->what && isset($source->says['metered']) && in_array($amount, $inherited, true)) {
                $find = $find->saying([...$find->says, 'metered' => 'yes']);
            }
            if ($find !== null) {
                $before[$amount->unit] = $find;
            }
            if ($find !== null) {
                $found[] = $find;
            }
        }

        return $found;
    }

    /**
     * What a sentence that goes on about a draw says, whose unit stands in the one before.
     *
     * @param  bool  $isAmps  whether the draw was written in amps
     * @return list<Find>
     */
    public function goesOn(Clause $clause, Find $draw, bool $isAmps): array
    {
        $own = array_filter($this->amounts->in($clause->figures, $clause->start), static fn (Amount $one): bool => in_array($one->unit, ['mA', 'V', 'W'],
            true));
        $before = $draw->number('usual') ?? $draw->number('most') ?? $draw->number('least') ?? 0.0;
        if ($own !== [] || $before <= 0.0) {
            return [];
        }
        $amounts = $this->amounts->goingOn($clause->figures, $before, $isAmps, $clause->start);

        return array_map(static fn (Amount $one): Find => new Find('draw', [...$one->bounds(), 'state' => States::of($clause, $one->start - $clause->start,
            $one->end - $clause->start, $amounts), ...array_intersect_key($draw->says, ['metered' => true])], $one->start, $one->end), $amounts);
    }

    /** @param  list<Amount>  $others */
    private function read(Clause $clause, Amount $amount, array $others): ?Find
    {
        $from = $amount->start - $clause->start;
        $to = $amount->end - $clause->start;
        $before = $clause->before($from);
        $after = $clause->after($to);
        // "IOUT = 10 mA", "(R = 1.2k)": a condition of a test, not a word about the part.
        if (preg_match('/(?<!\d )(?<!\d)\b[a-z]{1,5}\d? ?= ?$/', $before) === 1 && ($clause->label !== '' || $clause->says('/unless|condition|noted/')
            || preg_match('/\([^)]*$/', $before) === 1)) {
            return null;
        }

        if ($this->isOfWhatFeeds($clause, $amount, $others, $from, $to, $after)) {
            return null;
        }

        return match ($amount->unit) {
            'V' => $this->volts($clause, $amount, $others, $from, $to, $before, $after),
            'mA' => $this->amps($clause, $amount, $others, $from, $to, $after),
            'W' => $this->watts($clause, $amount, $others, $from, $to, $before),
            'C' => $this->role !== 'cells' ? $this->heat($clause, $amount, $others, $from, $to) : $this->multiple($clause, $amount, $others, $from, $to),
            'mAh' => in_array($this->role, ['cells', 'controls'], true) && ! ($this->isBank
                && $this->isNear($clause, '/\brated|output capacity|real output/', $from, $to, $others, 24.0))
                && preg_match('/^\s*(?:out\b(?! of)|usable|(?:at|@) ?5)/', $after) !== 1 ? Find::figure('capacity', $amount) : null,
            'Wh' => $this->role === 'cells' ? Find::figure('energy', $amount) : null,
            'mm' => $this->length($clause, $amount, $others, $from, $to, $after),
            'mm²' => $this->role === 'case' || $this->role === 'cooling' ? $this->vent($clause, $amount, $after) : null,
            'g' => $this->mass($clause, $amount, $others, $from, $to),
            '%' => $this->share($clause, $amount, $others, $from, $to),
            'ohm' => $this->ohms($clause, $amount, $others, $from, $to),
            'GB' => $this->bytes($clause, $amount, $others, $from, $to),
            'Hz' => $this->role === 'display' && $amount->value() >= 24 && ! $clause->isAbout('/~|mains|\bac\b|pwm|polling|supports? up to|input modes?|'
                .'\bup to \S+ ?@/')
                ? Find::figure('refresh', $amount) : null,
            '°C', '°' => $this->heat($clause, $amount, $others, $from, $to),
            's' => $this->isNear($clause, '/shut.?down|power(?:s|ed)? (?:off|down)|\bhalts?\b|before you cut|led off|switch(?:es)? off cleanly|'
                .'safe to (?:cut|unplug)|cut the power/', $from, $to, $others, 70.0)
                && ! $this->isNear($clause, '/starts? in|boots? in|start.?up/', $from, $to, $others, 14.0) ? Find::figure('shutdown time', $amount) : null,
            'K/W' => $this->role === 'cooling' ? Find::figure('temperature rise', $amount->isRange() ? $amount
                : new Amount('K/W', null, $amount->value(), null, $amount->start, $amount->end)) : null,
            'AWG' => Find::figure('wire gauge', $amount),
            default => null,
        };
    }

    /**
     * Whether a figure is of the solar panel in front of a charger, of the plug that one should buy for it, of what a
     * converter takes, or of filling up a pad's own cell.
     *
     * @param  list<Amount>  $others
     */
    private function isOfWhatFeeds(Clause $clause, Amount $amount, array $others, int $from, int $to, string $after): bool
    {
        if (! in_array($amount->unit, ['V', 'mA', 'W'], true)) {
            return false;
        }

        return match ($this->role) {
            'cells' => preg_match('/\bcharger\b[^,;]{0,14}$/', $clause->before($from)) === 1 && $clause->isAbout('/includ|comes with|in the box|\bwith a\b/'),
            'charger' => preg_match('/^\s*(?:solar )?panels?\b/', $after) === 1 || ($clause->says('/panel/') && $amount->unit === 'W')
                || (! $this->isMainsSupply && $this->isNear($clause, '/suggest\w*|recommend\w*|advis\w*|please use|best with/', $from, $to, $others, 30.0)
                    && $clause->says('/head\b|plug\b|adapt[eo]r|brick|charger\b/')),
            // "94 % (12 V in, 1 A)": at which it is so efficient.
            'regulator' => preg_match('/(?:%|percent)[^()]*\((?![^()]*(?:abs|max|limit))[^()]*$/', substr($clause->lower, 0, $from)) === 1
                || $amount->unit === 'mA'
                && ((preg_match('/\bat (?:\d[^,;]{0,16})?$/', $clause->before($from)) === 1
                && $clause->isAbout('/efficien|\beff\b|%|saw|measured/')) || preg_match('/^[\s*_]{0,3}in(?:put)?\b(?! (?:to|at))/', $after) === 1),
            'controls' => $this->isNear($clause, '/(?<!dis)charg\w*/', $from, $to, $others, 75.0),
            default => false,
        };
    }

    /**
     * @param  list<array{string, string, float}>  $cues
     * @param  list<Amount>  $others
     * @return array{string, float}|null the meaning of the nearest cue, and how far it is
     */
    private function nearest(Clause $clause, array $cues, int $from, int $to, array $others): ?array
    {
        $best = null;
        foreach ($cues as [$meaning, $pattern, $bias]) {
            $far = $clause->distance($pattern, $from, $to, $others);
            if ($far !== null && ($far <= self::FAR || $far === Clause::FROM_HEADING) && ($best === null || $far + $bias < $best[1])) {
                $best = [$meaning, $far + $bias];
            }
        }

        return $best;
    }

    /** @param  list<Amount>  $others */
    private function isNear(Clause $clause, string $pattern, int $from, int $to, array $others, float $within = 60.0): bool
    {
        $far = $clause->distance($pattern, $from, $to, $others);

        return $far !== null && $far <= $within;
    }

    /** @param  list<Amount>  $others */
    private function volts(Clause $clause, Amount $amount, array $others, int $from, int $to, string $before, string $after): ?Find
    {
        $value = $amount->value();
        if ($this->role === 'display' && $clause->says('/^\W*(?:the |its )?(?:bl|leds?|back.?light)\b/')) {
            return null;
        }
        $isLoad = in_array($this->role, Cues::LOADS, true);
        if ($value >= 90.0 || in_array($this->role, ['case', 'storage', 'cable'], true) || ($this->role === 'switch' && $clause->isAbout('/\bac\b|~/')
            && ! $clause->isAbout('/dc/'))) {
            return null;
        }
        $isAt = preg_match('/(?:\bat|@|\ball at|\bwhile at)\s*(?:about |approx\.? )?$/', $before) === 1
            || ($isLoad && ! $amount->isRange() && preg_match('/\(\s*$/', $before) === 1 && preg_match('/^\s*\)/', $after) === 1 && $this->hasUnit($others,
                'mA'));
        if ($isLoad && $clause->says('/^\W*(?:all|everything)(?: of (?:it|that|this))? at\b/')) {
            return Find::figure('draw taken at', $amount);
        }
        if ($isLoad && $isAt && ($this->hasUnit($others, 'mA') || preg_match('/current|consum|draw/',
            $clause->label.$clause->heading.substr($clause->lower, 0, $from)) === 1) && ! $this->hasUnit($others, 'ohm')) {
            return Find::figure('draw taken at', $amount);
        }
        $isMetered = $clause->says('/\btester\b|\bmeter (?:says|shows)/')
            || (! $this->hasUnit($others, 'mA') && $clause->says('/\bmeter(?:ed)?\b|in line\b|bench supply/'));
        if ($isLoad && $amount->isOne() && $isMetered && preg_match('/(?:runs?|works?|feeds?|fed|powered) (?:off|from|on|with|by) $/', $before) !== 1) {
            return Find::figure('draw taken at', $amount);
        }
        if ($this->areVoltsOfAnother($clause, $value, $before, $after)) {
            return null;
        }
        if ($this->role === 'sound' && $this->hasUnit($others, 'W') && ($isAt || preg_match('/(?:\/|ohm|Ω)\s*$/', $before) === 1)) {
            return null;
        }
        if ($this->role === 'cells' && $isAt && $this->hasUnit($others, 'mAh') && $value <= 3.95) {
            return $this->ofCells($amount, 'nominal');
        }
        if (! $isLoad && $isAt && $this->role !== 'switch' && ! $this->isNear($clause, '/charg|cut|lets|full|empty|flat|\bends?\b|reconnect|recover|'
            .'releas|\bback\b|switch/', $from, $to, $others, 25.0)) {
            return $this->role === 'charger' ? $this->byCue($clause, $amount, $others, $from, $to) : null;
        }
        if ($this->role === 'controls' && preg_match('/\d ?m?a,? *$/', $before) === 1 && str_contains(substr($clause->lower, $from, $to - $from + 3), 'dc')) {
            return null;
        }
        if ($isLoad && preg_match('/\bnot\s+$|(?:\bnot|n.t|never) (?:feed|give|put|connect|'
            .'use)(?: it)?\s+$/', $before) === 1 && ! $clause->says('/never (?:give|feed|put)/')) {
            return null;
        }
        if ($isLoad && ($this->isNear($clause, Cues::SUPPLY_ADVISED, $from, $to, $others, 45.0) || preg_match(self::OF_A_SUPPLY, $after) === 1)) {
            return Find::figure('weak supply voltage', $amount);
        }

        return $this->byCue($clause, $amount, $others, $from, $to);
    }

    /** Whether volts are of what hangs on the part, of a jumper nobody set, of a protection against too much, or a condition of a test. */
    private function areVoltsOfAnother(Clause $clause, float $value, string $before, string $after): bool
    {
        $own = match ($this->role) {
            'sound' => preg_match('/^\W*(?:go )?out\w*.*(?:ω|Ω|ohm)/u', trim($clause->label.' '.$clause->lower)) === 1,
            'cells' => $value > 4.21 && $value < 4.5 && preg_match('/protection\W{1,3}(?:yes|built.in)?\W*\([^)]*$/', $before) === 1,
            'regulator' => preg_match('/\d ?[mµu]?a (?:from|at|off|out of) (?:a )?$/', $before) === 1
                || preg_match('/^\s*(?:screens?|panels?|monitors?|boards?|consoles?|amp\w*|fans?|toys?|cameras?)\b/', $after) === 1,
            default => false,
        };

        return $own || preg_match('/^\s*(?:w\/|with|by) (?:a |the )?jumper/', $after) === 1;
    }

    /** @param  list<Amount>  $others */
    private function byCue(Clause $clause, Amount $amount, array $others, int $from, int $to): ?Find
    {
        if (self::breaksIt($clause->after($to))) {
            return new Find('absolute maximum', ['most' => $amount->value()], $amount->start, $amount->end);
        }
        if ($this->role === 'charger' && preg_match('/^\s*(?:\w+ )?(?:packs?|batter\w+|cells?|lipos?)\b/', $clause->after($to)) === 1
            && ! $this->isCellVolts($amount)) {
            return null;
        }
        $best = $this->nearest($clause, Cues::volts($this->isGuard ? 'cells' : $this->role), $from, $to, $others);
        if ($this->role === 'regulator' && ($best === null || $best[1] > 30.0) && $clause->isAbout('/efficien|\beff\b/')) {
            return null;
        }
        if ($this->role === 'regulator' && in_array($best[0] ?? '', ['supply voltage', 'output voltage', ''], true)) {
            $best = match (true) {
                preg_match('/^\s*(?:in |dc )?(?:-?>|(?:down |up )?to|into)\s*\d/', $clause->after($to)) === 1 => ['supply voltage', 0.0],
                preg_match('/\d ?v?(?:olts?)?(?:dc)? *(?:in )?(?:-?>|(?:down |up )?to|into)\s*$/', $clause->before($from)) === 1 => ['output voltage', 0.0],
                preg_match('/^\s*"?\s*(?:out )?(?:from|out of)\b/', $clause->after($to)) === 1 => ['output voltage', 0.0],
                ($best === null || $best[1] > 25.0) && preg_match('/^\s*(?:@|\/|at)\s*[\d.,]+ ?m?a\b/', $clause->after($to)) === 1 => ['output voltage', 0.0],
                default => $best,
            };
        }
        $meaning = $this->meaningOfVolts($clause, $amount, $best);
        if ($this->role === 'cells' && ($meaning === 'absolute maximum' || ($amount->isRange() && $clause->isAbout('/window|working range|voltage range|'
            .'operat\w* range/')))) {
            return null;
        }
        $isOfTest = $meaning === 'empty' && $clause->says('/\btested\b|\bmeasured\b/')
            && ($this->hasUnit($others, 'mAh') || $clause->says('/\bdown to\b/'));
        if ($isOfTest || ($meaning === 'output voltage' && $this->role === 'controls')) {
            return null;
        }
        if ($this->isBank && in_array($meaning, [null, 'nominal'], true) && $amount->value() > 4.4) {
            return $clause->isAbout('/\bout|usb/') ? Find::figure('output voltage', $amount) : null;
        }
        if ($this->role === 'cells' && in_array($meaning, [null, 'nominal', 'full', 'empty'], true)) {
            if ($meaning === 'empty' && $amount->usual === null && ! $amount->isRange()) {
                $amount = new Amount($amount->unit, null, $amount->value(), null, $amount->start, $amount->end);
            }

            return $this->ofCells($amount, $meaning ?? (count($others) > 1 || strlen(trim($clause->text)) < 40 ? 'nominal' : ''));
        }
        if ($this->role === 'charger' && $meaning === 'full') {
            return $this->ofCells($amount, 'full');
        }
        if ($meaning === 'cut-off' && preg_match('/^\s*(?:per|a|each) cell/', $clause->after($to)) === 1 && count($others) > 1) {
            return null;
        }
        if ($meaning === 'cut-off') {
            $meaning = 'cut-off voltage';
        }
        $meaning ??= $this->voltsWithoutCue($clause, $amount, $others, $from, $to);
        if (in_array($meaning, ['supply voltage', 'weak output voltage'], true) && $this->isAboveWindow($clause, $amount, $others, $from)) {
            $meaning = 'absolute maximum';
        }
        if ($meaning === 'logic level' && $amount->value() > 5.5) {
            return null;
        }

        return $meaning === null || $meaning === '' ? null : Find::figure($meaning, $this->settled($clause, $meaning, $amount));
    }

    /**
     * "6 to 32 V, maximal 35 V": a most that stands above the window beside it is where it breaks.
     *
     * @param  list<Amount>  $others
     */
    private function isAboveWindow(Clause $clause, Amount $amount, array $others, int $from): bool
    {
        $most = $amount->most ?? $amount->usual;
        if ($most === null || $amount->least !== null || preg_match('/\bmax\w*\.?\W{0,3}$/', $clause->before($from)) !== 1) {
            return false;
        }
        $windows = array_filter($others, static fn (Amount $one): bool => $one->unit === 'V' && $one->isRange() && $one->most < $most
            && $most <= 1.5 * $one->most);

        return $windows !== [];
    }

    /** An amount as the figure that it is of has it: where something happens is no bound, and what breaks a part is the most. */
    private function settled(Clause $clause, string $meaning, Amount $amount): Amount
    {
        $isBound = $amount->usual === null && ($amount->least === null || $amount->most === null);
        $isFromTo = $this->role === 'regulator' && preg_match($meaning === 'output voltage' ? '/\bdown to\b/' : '/\bfrom [\d.,]+ ?v(?:olts?)? (?:down |'
            .'up )?to [\d.,]+ ?v/', $clause->lower) === 1;
        if ($isBound && ($isFromTo || (in_array($meaning, self::AT_WHICH, true) && ! ($meaning === 'dropout' && $amount->most !== null)))) {
            // "Never below 2.5 V": where it ends, and no limit of that.
            $amount = new Amount($amount->unit, null, $amount->least ?? $amount->most, null, $amount->start, $amount->end);
        }
        if ($meaning === 'absolute maximum') {
            $amount = new Amount($amount->unit, null, null, $amount->most ?? $amount->usual ?? $amount->least, $amount->start, $amount->end);
        }

        return $amount;
    }

    /** "40 V (absolute)", "6 V, above it dies": what stands behind volts that no part survives. */
    private static function breaksIt(string $after): bool
    {
        return preg_match('/^\s*,?\s*\(?abs(?:olute)?\.?(?: max\w*\.?)?\s*(?:\)|,|$)/', $after) === 1
            || preg_match('/^\s*\)?,?\s*(?:above|over|more|beyond)\b[^\d]{0,10}(?:smoke|dead|dies|kills?|damag|breaks)/', $after) === 1;
    }

    /**
     * @param  array{string, float}|null  $best  the nearest cue
     * @return ?string null where no cue is near, "" where it is of something else
     */
    private function meaningOfVolts(Clause $clause, Amount $amount, ?array $best): ?string
    {
        $meaning = $best[0] ?? null;
        if ($this->isGuard && in_array($meaning, ['full', 'nominal', 'output voltage', 'supply voltage', null], true)) {
            return '';
        }
        if ($this->role === 'display' && (preg_match('/^(?:led|back.?light|bright|dimm)/', $clause->label) === 1
            || $clause->says('/^\W*(?:the |its )?(?:bl|leds?|back.?light)\b/'))) {
            return '';
        }
        if ($this->isGuard && $meaning === 'empty') {
            $meaning = 'cut-off';
        }
        if ($meaning === 'empty' && $clause->isAbout('/\bbms\b|\bpcm\b|protect(?:ion)? (?:board|circuit|ic)|\(pcm|\(bms/')) {
            $meaning = 'cut-off';
        }
        if ($meaning === 'cut-off' && $this->role === 'cells' && ! $clause->isAbout('/protect|\bbms\b|\bpcm\b|\bpcb\b|board|over|lets|shuts?|switch|'
            .'disconnect/') && $amount->value() <= 3.4) {
            $meaning = 'empty';
        }
        if ($this->role === 'charger' && $this->isMainsSupply && in_array($meaning, ['charge input voltage', 'full', null], true)) {
            $meaning = 'output voltage';
        }
        if ($this->role === 'charger' && ($best === null || $best[1] > 25.0) && $this->isCellVolts($amount)) {
            $meaning = 'full';
        }

        return $meaning;
    }

    /** @param  list<Amount>  $others */
    private function voltsWithoutCue(Clause $clause, Amount $amount, array $others, int $from, int $to): ?string
    {
        if (in_array($this->role, Cues::LOADS, true)) {
            $isPlain = $amount->isRange() || $this->hasUnit($others, 'mA') || strlen(trim($clause->text)) < 30 || ($clause->isAbout('/\bv\b/')
                && count($others) === 1);

            return $isPlain ? 'supply voltage' : 'weak supply voltage';
        }
        if ($this->role === 'switch' && str_contains(substr($clause->lower, $from, $to - $from + 4), 'dc')) {
            return 'switch rated voltage';
        }

        return $this->role === 'regulator' ? 'weak output voltage' : null;
    }

    private function isCellVolts(Amount $amount): bool
    {
        foreach ([3.6, 4.2, 3.65, 4.35, 8.4, 12.6, 14.6, 16.8, 7.3] as $full) {
            if (abs($amount->value() - $full) < 0.011) {
                return true;
            }
        }

        return false;
    }

    private function ofCells(Amount $amount, string $meaning): ?Find
    {
        $value = $amount->value();

        return match ($meaning) {
            'full' => Find::figure($value <= 4.6 ? 'cell full voltage' : 'pack full voltage', $amount),
            'empty' => Find::figure($value <= 3.4 ? 'cell empty voltage' : 'pack empty voltage', $amount),
            'nominal' => Find::figure($value <= 3.95 ? 'cell nominal voltage' : 'pack nominal voltage', $amount),
            default => null,
        };
    }

    /** @param  list<Amount>  $others */
    private function amps(Clause $clause, Amount $amount, array $others, int $from, int $to, string $after): ?Find
    {
        if (in_array($this->role, ['case', 'storage', 'cable'], true) || ($this->role === 'switch'
            && preg_match('/^\s*\/?\s*(?:at |@ ?)?\d+ ?v(?:ac|~| ac)/', $after) === 1)) {
            return null;
        }
        if ($this->role === 'charger' && $clause->isAbout('/\b(?:100|110|220|230|240) ?-? ?(?:240|250)? ?v/') && $this->isOfMains($clause, $from, $to)) {
            return null;
        }
        $best = $this->nearest($clause, Cues::amps($this->isGuard ? 'cells' : $this->role), $from, $to, $others);
        $meaning = $this->meaningOfAmps($clause, $amount, $best[0] ?? null, $after);
        if ($this->isOfAnother($clause, $amount, $from, $after, $best[1] ?? null)) {
            return null;
        }
        if ($this->role === 'charger' && $this->isMainsSupply && ($meaning === null || $meaning === 'charge input current')) {
            $meaning = 'output current';
        }
        if ($meaning === 'charge input current' && $this->role === 'charger' && ($best[1] ?? 0.0) > 100.0) {
            $meaning = null;
        }
        $meaning ??= $this->ampsWithoutCue($clause, $others, $from, $to);
        if ($meaning === 'discharge limit' || ($meaning === 'charge limit' && $amount->isOne() && $amount->most === null
            && $this->isNear($clause, '/\bmax|biggest|largest|up to/', $from, $to, $others, 45.0)
            && ! $this->isNear($clause, '/standard|recommend|suggest|usual|normal/', $from, $to, $others, 20.0))) {
            $amount = new Amount($amount->unit, null, null, $amount->value(), $amount->start, $amount->end);
        }
        if ($this->role === 'cells' && ! $this->isBank && ! $this->isGuard) {
            $meaning = match (true) {
                preg_match('/^\s*in\b/', $after) === 1, $meaning === 'charge input current' => 'charge limit',
                $meaning === 'output current' => 'discharge limit',
                default => $meaning,
            };
        }
        if ($meaning === 'output peak current' && $this->role !== 'regulator') {
            $meaning = null;
        }

        $isDraw = $meaning === null && $amount->usual === null && $amount->least === null && in_array($this->role, ['board', 'display'], true);
        if ($isDraw && ! $clause->isAbout('/port|header|pin\b|suppl|adapt|led/')) {
            $meaning = 'draw';
        }
        if (in_array($meaning, ['peak draw', 'start-up draw', 'output peak current'], true) && $amount->usual === null && $amount->least === null
            && (preg_match('/^\s*\)?\s*peak/', $after) === 1 || preg_match('/(?:hair|just|little|bit) (?:under|below)\s*$/', $clause->before($from)) === 1)) {
            $amount = new Amount($amount->unit, null, $amount->most, null, $amount->start, $amount->end);
        }
        if ($meaning === 'switch-off current') {
            return Find::figure($meaning, new Amount($amount->unit, null, $amount->value(), null, $amount->start, $amount->end));
        }
        if ($meaning === 'draw, dimmed') {
            return new Find('draw', [...$amount->bounds(), 'state' => 'idle'], $amount->start, $amount->end);
        }

        return $meaning === null || $meaning === '' ? null : new Find($meaning,
            [...$amount->bounds(), ...$this->circumstances($clause, $from, $to, $others)], $amount->start, $amount->end);
    }

    /** @param  ?string  $meaning  of the nearest cue */
    private function meaningOfAmps(Clause $clause, Amount $amount, ?string $meaning, string $after): ?string
    {
        $isUnsaid = $meaning === null || $this->isGuard || $meaning === 'charge input current';
        if (in_array($this->role, ['regulator', 'charger'], true) && $amount->value() < 1.0 && $isUnsaid) {
            $meaning = 'quiescent current';
        }
        if ($this->role === 'cells' && $meaning === 'discharge limit' && $clause->isAbout('/(?<!dis)(?<!dis-)charg/')
            && ! $clause->isAbout('/dis-?charg|\bload|continuous|drain|work|deliver|good for/')) {
            $meaning = 'charge limit';
        }
        if ($this->role === 'cells' && $meaning === null && ! $this->isBank && preg_match('/mah(?: and|,|'
            .' \/)? $/', $clause->before($amount->start - $clause->start)) === 1) {
            $meaning = 'discharge limit';
        }
        if (in_array($this->role, Cues::LOADS, true) && in_array($meaning, ['draw', null], true) && $clause->says(self::ASLEEP_FIRST)) {
            $meaning = 'standby draw';
        }
        $isForSeconds = preg_match('/^\s*\)?\s*(?:max\.? ?|peak ?)?\(?(?:for )?(?:\d+ ?|a few |some )?s(?:ec\w*)?\b/', $after) === 1;
        if (in_array($meaning, ['output current', 'discharge limit'], true) && $isForSeconds) {
            $meaning = 'output peak current';
        }
        if ($this->isGuard) {
            $meaning = match ($meaning) {
                'quiescent current' => $meaning,
                'discharge limit', 'output current', null => 'protector current',
                default => '',
            };
        }
        if ($this->role === 'display' && (preg_match('/^(?:led|back.?light)/', $clause->label) === 1 || $clause->says('/^\W*(?:the |its )?(?:bl|leds?|'
            .'back.?light)\b/'))) {
            $meaning = 'light draw';
        }
        if ($meaning === 'standby draw' && $this->role === 'display' && $clause->isAbout('/back.?light|brightness|\blamp\b/')) {
            // "Backlight on: 0.48 A; off: 0.14 A" plays on.
            return 'draw, dimmed';
        }
        if ($meaning === null && $this->role === 'charger' && $clause->isAbout('/(?<!dis)charg/') && ! $this->isMainsSupply) {
            $meaning = 'charge current';
        }

        return $meaning;
    }

    /**
     * Whether a current is of what feeds the part, a rating of its contacts, or a condition of a test.
     *
     * @param  ?float  $far  how far its nearest cue is
     */
    private function isOfAnother(Clause $clause, Amount $amount, int $from, string $after, ?float $far): bool
    {
        $before = substr($clause->lower, 0, $from);
        $isLoad = in_array($this->role, Cues::LOADS, true);
        // "5 V/3 A" beside a socket is what to feed it with.
        $isSupply = in_array($this->role, ['board', 'display'], true) && preg_match('/\d ?v(?:dc)?\s?[\/,]?\s?$/', $before) === 1
            && ($amount->isOne() || $amount->isRange()) && $amount->value() >= 1000.0 && ($far === null || $far > 20.0) && ! $clause->says('/draw|consum|'
                .'\btyp(?:ical)?\b|\btakes/');

        return $isSupply
            || ($isLoad && preg_match(self::OF_A_SUPPLY, $after) === 1)
            || ($this->role === 'controls' && preg_match('/^,? *\/? *\d+ ?v ?dc/', $after) === 1)
            || ($this->role === 'regulator' && preg_match('/(?:@|\bat)\s*$/', $before) === 1 && $clause->isAbout('/drop.?out|efficien|\bvdo\b/'));
    }

    /** @param  list<Amount>  $others */
    private function ampsWithoutCue(Clause $clause, array $others, int $from, int $to): ?string
    {
        $isDraw = in_array($this->role, Cues::LOADS, true)
            && ($this->hasUnit($others, 'V') || (strlen(trim($clause->text)) < 60 && ! str_contains($clause->lower, '": '))
                || States::of($clause, $from, $to, $others) !== '');

        return match (true) {
            $this->role === 'regulator' => 'output current',
            $this->role === 'switch' => 'switch rating',
            $isDraw => 'draw',
            default => null,
        };
    }

    /**
     * In which state it was taken, and whether it was metered.
     *
     * @param  list<Amount>  $others
     * @return array<string, string>
     */
    private function circumstances(Clause $clause, int $from, int $to, array $others): array
    {
        $isMetered = $this->isNear($clause, States::MEASURED, $from, $to, $others, 70.0)
            || (in_array($this->role, ['board', 'display'], true) && $clause->says(States::MEASURED) && ! $clause->says('/\b(?:reckoned|calculated|says|'
            .'claims?|printed|sheet|label|seller|shop|\brated|stated?)\b/'));

        return ['state' => States::of($clause, $from, $to, $others), ...($isMetered ? ['metered' => 'yes'] : [])];
    }

    /** Whether the volts that stand nearest to a current are those of the mains. */
    private function isOfMains(Clause $clause, int $from, int $to): bool
    {
        $best = null;
        foreach ($this->amounts->in($clause->figures, $clause->start) as $one) {
            if ($one->unit === 'V' || $one->unit === 'V~') {
                $at = $one->start - $clause->start;
                $far = $at < $from ? $from - ($one->end - $clause->start) : 12 + $at - $to;
                $best = $best === null || $far < $best[0] ? [$far, $one->value() >= 90.0] : $best;
            }
        }

        return $best !== null && $best[1];
    }

    /** @param  list<Amount>  $others */
    private function multiple(Clause $clause, Amount $amount, array $others, int $from, int $to): ?Find
    {
        if ($this->role !== 'cells') {
            return null;
        }
        $best = $this->nearest($clause, [
            ['', '/\bpeak|burst|pulse|for \d+ ?s(?:ec\w*)?\b|temp/', -4.0],
            ['charge limit', '/(?<!dis)(?<!dis-)charg\w*|filling/', 0.0],
            ['discharge limit', '/dis-?charg\w*|continuous|\bload|drain/', -2.0],
        ], $from, $to, $others);
        $meaning = $best[0] ?? 'discharge limit';

        return $meaning === '' ? null : new Find("{$meaning} in C", ['state' => States::of($clause, $from, $to, $others), ...$amount->bounds()],
            $amount->start, $amount->end);
    }

    /** @param  list<Amount>  $others */
    private function watts(Clause $clause, Amount $amount, array $others, int $from, int $to, string $before): ?Find
    {
        if ($this->role === 'sound' && ! $clause->isAbout(Cues::SUPPLY_ADVISED)) {
            return $this->isNear($clause, '/heat|dissipat|stand.?by|\bidle\b/', $from, $to, $others, 20.0) ? null : new Find('sound watts',
                [...$amount->bounds(), 'ohm' => $this->ohmOf($clause, $amount, $others)], $amount->start, $amount->end);
        }
        if (in_array($this->role, ['case', 'storage', 'cable', 'switch', 'controls'], true) && ! $clause->isAbout('/consum|power|draw/')) {
            return null;
        }
        if ($this->role === 'cooling' && preg_match('/(?:chips?|boards?|cpus?)[^,;]{0,12}$/', $before) === 1) {
            return null;
        }
        if ($this->role === 'cooling' && preg_match('/^\s*(?:board|chip|computer|cpu)\b/', $clause->after($to)) === 1) {
            return null;
        }
        $best = $this->nearest($clause, Cues::watts($this->role), $from, $to, $others);
        $meaning = $best[0] ?? (in_array($this->role, Cues::LOADS, true) && ($this->hasUnit($others, 'V')
            || (strlen(trim($clause->text)) < 50 && in_array($this->role, ['board', 'display'], true))) ? 'draw power' : '');
        if ($meaning === 'heat' && $this->role === 'cooling' && $clause->isAbout('/up to|max|for (?:boards|chips)/')) {
            return null;
        }
        if ($meaning === 'output power' && ($this->role === 'regulator' || preg_match('/k\W*$/', $before) === 1)) {
            return null;
        }
        if (in_array($meaning, ['', 'standby power', 'charge input power'], true)) {
            return null;
        }

        return new Find($meaning, [...$amount->bounds(), 'state' => States::of($clause, $from, $to, $others)], $amount->start, $amount->end);
    }

    /** @param  list<Amount>  $others */
    private function ohmOf(Clause $clause, Amount $watts, array $others): float
    {
        $best = null;
        foreach ($others as $one) {
            if ($one->unit === 'ohm' && $one->value() >= 2.0) {
                $far = $one->start >= $watts->end ? $one->start - $watts->end : 40 + $watts->start - $one->end;
                $best = $best === null || $far < $best[0] ? [$far, $one->usual ?? $one->most ?? $one->least ?? 0.0] : $best;
            }
        }
        if ($best === null && preg_match('/\b(\d{1,2}(?:\.\d)?) ?(?:Ω|ohm)/u', $clause->label, $found) === 1) {
            return (float) $found[1];
        }
        if ($best === null && preg_match('/^\W{0,4}(?:into|at|@|\/)?\s*(4|6|8|16|32)\b(?!\s*(?:v|w|mm))/', $clause->after($watts->end - $clause->start, 14),
            $found) === 1) {
            return (float) $found[1];
        }

        return $best !== null && $best[0] < 40 ? $best[1] : 0.0;
    }

    /** @param  list<Amount>  $others */
    private function length(Clause $clause, Amount $amount, array $others, int $from, int $to, string $after): ?Find
    {
        if (preg_match('/(?:"|in|inch|inches|incher)$/', substr($clause->lower, $from, $to - $from)) === 1) {
            if ($this->role === 'cable' && $amount->isOne()) {
                return Find::figure('lead length', $amount);
            }
            if ($this->role === 'case' && $amount->isOne() && $amount->value() < 13.0 && $this->isNear($clause, '/\bwalls?\b/', $from, $to, $others, 30.0)) {
                return Find::figure('wall', $amount);
            }

            return $this->role === 'display' && $amount->isOne() && $amount->value() >= Constants::MM_PER_INCH * 0.9 && ! $this->isNear($clause, '/cable|'
                .'lead|wire|box|stand/',
                $from, $to, $others, 15.0)
                ? new Find('diagonal', ['usual' => round($amount->value() / Constants::MM_PER_INCH, 4)], $amount->start, $amount->end) : null;
        }
        $segment = (string) strrchr(','.substr($clause->lower, max(0, $from - 40), min(40, $from)), ',');
        if ($this->role !== 'cable' && ($clause->isAbout('/in the box|package/') || preg_match(Cues::IN_BOX, $segment) === 1) && $this->isNear($clause,
            '/cable|lead/', $from, $to, $others, 20.0)) {
            return null;
        }
        if ($amount->value() >= 20.0 && $this->role !== 'display' && preg_match('/^(?:\w+ )?(?:wires?|cables?|leads?|line|'
            .'cord)$/', $clause->label) === 1 && preg_match('/thick|wide|diam/', $clause->before($from, 10)) !== 1) {
            return Find::figure('lead length', $amount);
        }
        $best = $this->nearest($clause, Cues::lengths($this->role), $from, $to, $others);
        $meaning = $best === null || $best[1] > 90.0 ? null : $best[0];
        if ($amount->isOne() && in_array(round($amount->value(), 2), [0.3, 0.5, 0.8, 1.0, 1.25], true) && $clause->says('/ribbon|\\bfpc|\\bffc/')
            && $this->isNear($clause, '/\\bat\\b|pins?|contacts|pitch|ribbon|\dp\b|\bfpc|\bffc/', $from, $to, $others, 70.0)
            && preg_match('/^\s*thick/', $after) !== 1) {
            return Find::figure('ribbon pitch', $amount);
        }
        if (! in_array($this->role, ['display', 'board', 'case'], true) && $amount->value() >= 20.0
            && preg_match('/^\s*(?:of |long )?(?:\w+ )?(?:wires?|cables?|leads?|awg ?\d)/', $after) === 1) {
            return Find::figure('lead length', $amount);
        }
        if ($meaning === null && $this->role === 'charger' && $this->isMainsSupply && $amount->value() >= 300.0) {
            $meaning = 'lead length';
        }
        if ($meaning === null && $this->role === 'cable' && $amount->value() >= 20.0 && ! $this->isNear($clause, '/pitch|bend|radius|thick|wide|diam/',
            $from, $to, $others, 14.0)) {
            $meaning = 'lead length';
        }
        if ($meaning === 'lead length' && $amount->value() < 12.0) {
            return null;
        }
        if ($meaning === 'travel' && ! in_array($this->role, ['controls', 'switch'], true)) {
            return null;
        }
        if ($meaning === 'wall' && ! in_array($this->role, ['case'], true)) {
            return null;
        }
        if ($meaning === 'ribbon pitch' && $amount->value() > 2.6) {
            return $this->role === 'cable' && $amount->value() >= 20.0 ? Find::figure('lead length', $amount) : null;
        }

        if ($meaning === 'height above face' && $amount->usual === null && ! $amount->isRange()) {
            $amount = new Amount($amount->unit, null, $amount->value(), null, $amount->start, $amount->end);
        }

        return $meaning === null || $meaning === '' ? null : Find::figure($meaning, $amount);
    }

    private function vent(Clause $clause, Amount $amount, string $after): ?Find
    {
        if (! $clause->isAbout('/\bvent|\bair|grill|slots?|openings?/')) {
            return null;
        }
        $times = preg_match('/\b(two|three|four|six|\d+)\s+(?:\w+ )?(?:fields|grills|openings|slots|vents)/', $clause->lower, $found) === 1
            && str_contains($after, 'each')
            ? (['two' => 2, 'three' => 3, 'four' => 4, 'six' => 6][$found[1]] ?? (int) $found[1]) : 1;

        return new Find('vent area', array_map(static fn (float $value): float => $value * $times, $amount->bounds()), $amount->start, $amount->end);
    }

    /** @param  list<Amount>  $others */
    private function mass(Clause $clause, Amount $amount, array $others, int $from, int $to): ?Find
    {
        $skip = '/g\. ?w\b|gross|packed|packing|carton|shipp\w+|package|parcel|with (?:box|packaging)|total weight of the (?:set|bag)|in the box|\bload|bears|'
            .'holds|\brated for|screw|per metre|up to/';
        if (preg_match('/memory|\bram\b|disk|\bstate\b|storage|flash/', $clause->label) === 1) {
            // "Solid state: 64G" are no grams.
            return in_array($this->role, ['board', 'storage'], true) && preg_match('/memory|\bram\b/', $clause->label) !== 1
                ? Find::figure('storage capacity', $amount) : null;
        }
        if (preg_match('/(?:emmc|flash|storage|ssd|memory|ram)\W{0,3}$/', substr($clause->lower, 0, $from)) === 1) {
            return null;
        }
        if (preg_match('/^\s*(?:box|parcel|(?:the|a|per) pair)/', $clause->after($to)) === 1) {
            return null;
        }
        if (preg_match('/\d\s?G$/', substr($clause->text, $from, $to - $from)) === 1 && preg_match('/(?:slot|cards?|max|\bsd|'
            .'\btf)\W*(?:max\W*)?$/', $clause->before($from, 16)) === 1) {
            // "TF slot (max 32G)" weighs nothing.
            return null;
        }
        if ($amount->value() < 0.2 || preg_match('/^(?:pack(?:ing|age)?|carton|box|'
            .'shipp\w+)\b/', $clause->label) === 1 || $this->isNear($clause, $skip, $from, $to, $others, 22.0)) {
            return null;
        }
        $isWeak = $this->isNear($clause, '/with (?:the )?(?:stand|cable|case|lens|battery|batteries|feet|cells?)|each|per cell/', $from, $to, $others, 16.0)
            && ! $this->isNear($clause, '/each|per cell/', $from, $to, $others, 16.0);

        return Find::figure($isWeak ? 'weak mass' : 'mass', $amount);
    }

    /** @param  list<Amount>  $others */
    private function share(Clause $clause, Amount $amount, array $others, int $from, int $to): ?Find
    {
        $isEfficiency = in_array($this->role, ['regulator', 'charger', 'sound', 'cells'], true)
            && $this->isNear($clause, '/efficien\w*|\beff\b/', $from, $to, $others, 60.0) && ! $this->isNear($clause, '/thd|distortion|vat|tax|save|off\b/',
                $from, $to, $others, 8.0);
        $isEfficiency = $isEfficiency || ($this->role === 'regulator' && $amount->value() >= 0.6
            && ! $clause->isAbout('/vat|off\b|save|ripple|\bload reg|humid|thd|charge|duty|tax|discount/'));
        if (! $isEfficiency || $amount->value() > 1.0 || $amount->value() < 0.3) {
            return null;
        }

        return $this->role === 'sound' ? null : Find::figure('efficiency', $amount);
    }

    /** @param  list<Amount>  $others */
    private function ohms(Clause $clause, Amount $amount, array $others, int $from, int $to): ?Find
    {
        if ($this->role === 'cells') {
            return $amount->value() < 1.0 || $clause->isAbout('/resist|impedance|\bir\b|\bdcr\b|\bacr\b|\bri\b/')
                ? new Find('internal resistance', array_map(static fn (float $ohm): float => round($ohm * 1000, 4), $amount->bounds()), $amount->start,
                    $amount->end)
                : null;
        }
        if ($this->role !== 'sound' || $amount->value() < 2.0 || $amount->value() > 64.0) {
            return null;
        }

        if (preg_match('/(?:\bnot\b|n.t\b|never|nothing)[^.;]{0,30}\b(?:below|under|less than)\s*$/', $clause->before($from)) === 1) {
            return new Find('least load', ['usual' => $amount->value()], $amount->start, $amount->end);
        }
        $isLoad = $this->isNear($clause, '/\bload\b|min(?:imum|\.)? (?:speaker )?impedance|speakers? (?:from|of at least)/', $from, $to, $others, 46.0)
            && $this->isNear($clause, '/\b(?:min|\bload)/', $from, $to, $others, 46.0) && ! $clause->says('/\d ?w\b/');
        if ($isLoad) {
            return Find::figure('least load', new Amount('ohm', null, $amount->least ?? $amount->value(), null, $amount->start, $amount->end));
        }

        return new Find('ohm', $amount->bounds(), $amount->start, $amount->end);
    }

    /** @param  list<Amount>  $others */
    private function bytes(Clause $clause, Amount $amount, array $others, int $from, int $to): ?Find
    {
        $best = $this->nearest($clause, [
            ['', '/\bneeds?\b|requires?|at least|does it|enough|suffic\w+|will do|\bram\b|memory|ddr\d?|cards? (?:up )?to|max(?:imum)? card|up to|supports|'
                .'download|packed|\bfree\b|\/s\b|speed|read|write|games|want|advis|recommend|zip/', -3.0],
            ['image size', '/written to|unpacks? to|when unpacked/', -14.0],
            ['image size', '/unpack\w*|image|unzipped|extract\w*|installed|written/', -4.0],
            ['storage capacity', '/\bflash\b|emmc|storage|\bssd\b|on.?board|built.?in|card|drive|\bsd\b|disk|capacity|stick/', 0.0],
        ], $from, $to, $others);
        if (preg_match('/^\s*(?:\/s|ps|bit)/', $clause->after($to, 6)) === 1) {
            return null;
        }
        if ($this->role === 'board' && preg_match('/^\s*(?:micro ?)?(?:sd ?)?card/', $clause->after($to)) === 1) {
            return null;
        }
        $meaning = $best[0] ?? ($this->role === 'storage' ? 'storage capacity' : '');

        return $meaning === '' || ($meaning === 'storage capacity' && ! in_array($this->role, ['storage', 'board'], true)) ? null : Find::figure($meaning,
            $amount);
    }

    /** @param  list<Amount>  $others */
    private function heat(Clause $clause, Amount $amount, array $others, int $from, int $to): ?Find
    {
        $limit = '/throttl\w*|slows? (?:itself )?down|slows\b|shut.?down temp\w*|thermal (?:shut.?down|limit|cut)|shuts? (?:itself )?(?:down|off)|'
            .'under.?clock\w*|pulls? (?:itself )?back|clock (?:drops|falls|goes down)|gets slow\w*|'
            .'over.?temp\w*|auto(?:matic(?:ally)?)? (?:close|off|shut)|\btsd\b|hot limit|max(?:imum)? (?:chip|junction|core|cpu|soc|die) temp/';
        $not = '/never (?:\w+ )?(?:slow|throttl)|operat|ambient|storage|\bair|\broom|\btape|glue|melts|soften/';

        return $amount->value() >= 50.0 && ($this->isNear($clause, $limit, $from, $to, $others, 60.0)
            || $this->isNear($clause, '/throttl\w*|slows? (?:itself )?down/', $from, $to, $others, 128.0))
            && ! $this->isNear($clause, $not, $from, $to, $others,
                40.0)
            ? Find::figure('temperature limit', $amount->isRange() ? $amount
                    : new Amount($amount->unit, null, $amount->value(), null, $amount->start, $amount->end)) : null;
    }

    /** @param  list<Amount>  $others */
    private function hasUnit(array $others, string $unit): bool
    {
        return array_filter($others, static fn (Amount $one): bool => $one->unit === $unit) !== [];
    }
}
