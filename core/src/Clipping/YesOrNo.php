<?php

declare(strict_types=1);

namespace PocketPlot\Clipping;

/** What a clause says a part has or can, and what it denies: "touch: none", "no pass-through", "disconnect the load while charging". */
final class YesOrNo
{
    private const DENIED_BEFORE = '/(?:\b(?:no|not|non|without|sin|sans|ohne|keine?[nm]?|senza|lacks?|never|zero)|n\'t(?: have| support| do)?|w\/o)[\s-]+(?:an? |any |real )?$/';

    private const DENIED_AFTER = '/^\w*(?:[ -](?:panel|layer|screen|function|film|foil|display|option|support|glass|mode))?\W{0,4}(?:none|no\b|not\b|isn.?t|aren.?t|w\/o|'
        .'without|never|n\/a|absent|missing|nein|nope|sadly|i wish)/';

    /** A value that stands behind its label: "Touch | none". */
    private const DENIED_VALUE = '/^\W*(?:none|no\b|not\b|w\/o|without|n\/a|nein|keine?\b|-\s*$|absent|missing|ha(?:s|ve) ?n[o\'.]t|✗|✘)/u';

    private const CHARGING = '/pass.?through|power.?path|load.?shar\w*|(?:charg\w*|fill\w*)[^.;,]{0,18}(?:while|and|during|\+|&)[^.;,]{0,22}(?:play\w*|us(?:e|ed|ing)\b|'
        .'discharg\w*|runn?\w*|load|out\b)|(?:play\w*|\bus(?:e|ed|able|ing)\b|run\w*|output|load|feeds?|on)\b[^.;]{0,30}(?:while|during|when|\+|&|and)[^.;,]{0,14}charg\w*|'
        .'while charging|simultaneous\w*|gleichzeitig|(?:charg|discharg)\w*[^.;]{0,24}(?:at (?:once|the same time)|same time)|feed\w* (?:the |your |my )?(?:console|load|device|game)|'
        .'load is fed from (?:the )?input/';

    private const NOT_CHARGING = '/\b(?:no|not|cannot|never|without|disconnect\w*|dead|off)\b|n\'t|must (?:be )?(?:dis|off)|switch (?:the |your )?load/';

    private const CUT = '/\b(?:drill|mill|fil(?:e|ing|ed)\b|cut(?!-?out| for| sheet)|rout(?:e|ing)\b|saw|machin|bohr|fräs)\w*/u';

    private const MAY_CUT = '/\b(?:can|may|could|easy|easily|fine|ok|okay|possible|service|no problem|otherwise|well|yourself|if you|step drill|lässt|laesst|nicely)\b/u';

    private const NEVER_CUT = '/(?:do not|don\'t|cannot|can\'t|never|must not|not to be|nicht|no) (?:be )?(?:drill|cut|mill|fil|saw|machin)|(?:brittle|(?<!n\'t )(?<!not )cracks?\b|shatter)/';

    public static function isDenied(Clause $clause, int $from, int $to): bool
    {
        return preg_match(self::DENIED_BEFORE, $clause->before($from, 24)) === 1 || preg_match(self::DENIED_AFTER, $clause->after($to, 30)) === 1;
    }

    /** Whether what stands behind its label denies it; a row of a table says its label once more. */
    public static function isDeniedByLabel(Clause $clause): bool
    {
        $value = str_starts_with($clause->lower, $clause->label) ? ltrim(substr($clause->lower, strlen($clause->label)), ': ') : $clause->lower;

        return preg_match(self::DENIED_VALUE, $value) === 1;
    }

    /** Whether the load is fed while it charges; null where nothing is said of it. */
    public static function powerPath(Clause $clause): ?Find
    {
        if (preg_match('/[:|\t]\s*$/', $clause->text) === 1) {
            return null;
        }
        if (preg_match(self::CHARGING, $clause->label) === 1 && preg_match('/^\W*(?:yes|ja|oui|s(?:í|i)\b|ok)/', $clause->lower) === 1) {
            return self::find($clause, 'yes');
        }
        $said = $clause->label === '' ? $clause->lower : "{$clause->label}: {$clause->lower}";
        if (preg_match(self::CHARGING, $said, $cue, PREG_OFFSET_CAPTURE) !== 1) {
            return preg_match('/\bno (?:load )?outputs?\b(?! (?:cap|volt|cur))|no load output|(?:doesn.t|does not) give anything out/', $said) === 1 && strlen($said) < 90
                ? self::find($clause, 'no') : null;
        }
        $near = substr($said, max(0, $cue[0][1] - 34), 34 + strlen($cue[0][0]) + 26);

        return preg_match('/^[^?]*\?\s*$/', $said) === 1 ? null : self::find($clause, preg_match(self::NOT_CHARGING, $near) === 1
            && preg_match('/no (?:blip|reboot|gap|interruption|break|flicker|blink|drop ?out|restart)|(?:not|n\'t)(?: even)? (?:blink|blip|reboot|flicker)|without (?:a )?(?:blip|gap|'
                .'interruption)/', $near) !== 1 ? 'no' : 'yes');
    }

    /** Whether one may drill and cut it. */
    public static function cuttable(Clause $clause): ?Find
    {
        if (preg_match(self::CUT, $clause->lower, $cue) !== 1) {
            return null;
        }
        $isNever = preg_match(self::NEVER_CUT, $clause->lower) === 1;

        return $isNever || preg_match(self::MAY_CUT, $clause->lower) === 1
            ? new Find('cuttable', ['is' => $isNever ? 'no' : 'yes'], $clause->start, $clause->start + strlen(rtrim($clause->text))) : null;
    }

    private static function find(Clause $clause, string $is): Find
    {
        return new Find('power path', ['is' => $is], $clause->start, $clause->start + strlen(rtrim($clause->text)));
    }
}
