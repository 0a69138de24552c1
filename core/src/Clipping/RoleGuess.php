<?php

declare(strict_types=1);

namespace PocketPlot\Clipping;

use PocketPlot\Clipping\Weighing\Weigher;
use PocketPlot\Clipping\Weighing\WholeText;
use PocketPlot\Part\Role;

/**
 * What a part is for, by the words of its name or text, the earliest telling most, and by all that was learned of texts about parts.
 */
final class RoleGuess
{
    /** The special before the plain: a "charge board" is no board, a "panel cable" no panel. */
    private const WORDS = [
        'cable' => '\b(?:cables?|kabel|lead|ribbon(?! panel)|pigtails?|extension|jumper wires?|ffc|adapter lead|usb hub|hub)\b',
        'charger' => '\b(?:chargers?|(?:stecker)?netzteil|ladegerät|lademodul|laderegler|'
            .'(?:charge|charging)(?: (?:and|with) boost)? (?:board|module)|(?:wall|plug.in) (?:plug|wart|supply)|'
            .'(?:power|barrel|usb-?c|\d+ ?[vw]) supply|psu|solar panel|bricks?|mains adapter|ups board)\b',
        'regulator' => '\b(?:spannungsregler|wandler|abwärtswandler|aufwärtswandler|'
            .'buck|boost|step.?(?:up|down)|regulators?|ldo|converters?|bms|protection board|pcm)\b',
        'cells' => '\b(?:battery|batteries|li-?po|li-?ion|lifepo4?|nimh|18650|21700|power ?bank|accu|akkus?|batterien?|cells?|packs?)\b',
        'sound' => '\b(?:amp|lautsprecher|verstärker|amplifier|speakers?|loudspeaker|dac|sound (?:card|board)|buzzers?|headphones)\b',
        'storage' => '\b(?:micro ?sd|sd cards?|(?:memory|\d+ ?gb) card|ssd|usb stick|flash drive|nvme)\b',
        'cooling' => '\b(?:fans?|lüfter|kühlkörper|heat ?sinks?|cooler|blower|heat spreader)\b',
        'switch' => '\b(?:schalter|sicherung|(?:slide|rocker|toggle|power|push) switch(?:es)?|switch|fuses?|polyfuse)\b',
        'display' => '\b(?:displays?|screens?|monitors?|lcd|oled|tft|ips panel|touch ?screen|panels?|bildschirm|anzeige)\b',
        'controls' => '\b(?:controllers?|game ?pads?|joy ?sticks?|paddles?|d-?pads?|buttons?|(?:thumb|analogu?e?) ?sticks?|arcade|'
            .'taster|drucktaster|membranes?|encoders?|keypads?|pad)\b',
        'case' => '\b(?:case|shell|enclosure|housing|(?:tool|lunch ?)?box|gehäuse|console kit|dead (?:\w+ )?(?:player|console|toy|radio)|donor)\b',
        'fastener' => '\b(?:screws?|schrauben?|muttern|bolts?|nuts?|inserts?|standoffs?|spacers?)\b',
        'tool' => '\b(?:multimeter|soldering iron|drill|pliers|callipers?|calipers?|tweezers|screwdriver|saw|crimp(?:er|ing tool))\b',
        'material' => '\b(?:tape(?! (?:player|deck|recorder))|solder|glue|wire|heat.?shrink|filament|paint|foam|flux|thermal pads?)\b',
        'board' => '\b(?:board|mainboard|sbc|computer|motherboard|mini pc|thin client|module|phone|console|einplatinenrechner|platine)\b',
    ];

    /** Signs of a text that are looked at: the name and what stands beside it. */
    private const MOST_SIGNS = 400;

    /** In what was learned, a text as a whole has this sort, and a part of any role. */
    public const SORT = 'text';

    private const ANY_ROLE = '';

    /** Shares from which on a role is taken, and from which on it is although a word tells one of which no texts were learned. */
    private const LIKELY = 0.5;

    private const SURE = 0.8;

    private const BY_WORDS_ALONE = [Role::Fastener, Role::Tool, Role::Material];

    /** @return ?Role null when nothing tells */
    public static function of(string $text, ?Weigher $weigher = null): ?Role
    {
        $byWords = self::byWords($text);
        if (trim($text) === '') {
            return null;
        }
        $shares = ($weigher ?? Weigher::learned())->shares(WholeText::traits($text, $byWords->value ?? ''), self::SORT, self::ANY_ROLE);
        $likeliest = (string) array_search(max($shares), $shares, true);

        return $shares[$likeliest] >= (in_array($byWords, self::BY_WORDS_ALONE, true) ? self::SURE : self::LIKELY) ? Role::tryFrom($likeliest) : $byWords;
    }

    /** By words that name a kind of part. */
    public static function byWords(string $text): ?Role
    {
        $lower = mb_strtolower(mb_substr($text, 0, self::MOST_SIGNS));
        // What stands before the first comma or line's end is the name, and says it surest.
        $name = preg_split('/[,;:\n(]/u', ltrim($lower))[0] ?? '';

        return self::in($name) ?? self::in($lower);
    }

    private static function in(string $lower): ?Role
    {
        $best = null;
        foreach (array_keys(self::WORDS) as $rank => $role) {
            if (preg_match('/'.self::WORDS[$role].'/u', $lower, $found, PREG_OFFSET_CAPTURE) === 1) {
                // A kind of its own counts for more than a word that others use, too.
                $far = $found[0][1] + 4 * $rank;
                $best = $best === null || $far < $best[0] ? [$far, $role] : $best;
            }
        }

        return $best === null ? null : Role::from($best[1]);
    }
}
