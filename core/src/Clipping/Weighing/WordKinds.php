<?php

declare(strict_types=1);

namespace PocketPlot\Clipping\Weighing;

/**
 * Words that say much the same of a number beside them, by what they say: what is learned of one is known of all. A word may be of several
 * kinds, and what a kind says of a number is learned, not set down here.
 */
final class WordKinds
{
    /** Kind => its words, in small letters. */
    private const WORDS = [
        'idle' => 'idle idles idling quiet menu desktop launcher dim dimmed dimmest darkest black dark nothing rest resting quiescent '
            .'waiting waits lowest leerlauf static empty unloaded silence silent sitting paused pause dashboard ruhe home lightest '
            .'lazy',
        'busy' => 'busy full max maximum maximal heavy heaviest worst flat stress stressed bright brightest load loaded loud hard hardest '
            .'peaks last white shouting gaming 3d emulating emulator volllast turbo tops highest everything cores benchmark '
            .'hammering hammered crank cranked pushed',
        'usual' => 'game games playing typical typ usual usually normal normally average avg nominal play gameplay everyday ordinary '
            .'mostly mean medium standard betrieb spielen working',
        'off' => 'off standby asleep sleep sleeps sleeping suspend suspended shutdown hibernate unused stby',
        'peak' => 'peak spike spikes burst bursts moment briefly momentary momentarily instant pulse ms surge short second seconds brief '
            .'jumps',
        'start' => 'boot boots booting inrush startup start starts starting spin spins plugging einschalten kick',
        'breaks' => 'dies die died kills kill killed dead fry fries fried smoke smokes bang burns burn damage damages damaged destroys '
            .'destroyed absolute abs exceed exceeds exceeding survives survive blow blows blew pop pops cooked toast magic goodbye '
            .'rating ratings zerstört breakdown',
        'needs' => 'needs need wants want takes take eats eat draws draw pulls pull uses use using consumes consume consumption drew took '
            .'pulled used sips sip drinks drink current stromaufnahme verbrauch demand demands requires require hungry burns eating '
            .'drawing pulling metered measured reads',
        'feeds' => 'supply supplied powered power feed fed feeds runs run ran running input vin vcc vdd works work working operating '
            .'versorgung rail accepts accept fine happy lives operates operate between betriebsspannung dc',
        'source' => 'adapter adaptor brick charger psu supply wart plug recommend recommended recommends suggested suggest advise advised '
            .'rated source netzteil least better',
        'out' => 'out output outputs gives give delivers deliver provides provide makes make produces vout iout ausgang supplies spits '
            .'puts ships yields export',
        'in' => 'in input vin iin eingang into feeds accepts entrance import',
        'charges' => 'charge charges charged charging charger recharge refill laden ladestrom topped tops fill fills',
        'discharges' => 'discharge discharges discharging continuous continuously entladen load deliver pull drain',
        'full' => 'full fully charged topped float termination terminates ladeschluss',
        'empty' => 'empty flat drained depleted drain discharged under',
        'cuts' => 'cut cuts cutoff trips trip protection protects disconnects disconnect stops drops overdischarge uvlo bms pcm shuts uvp '
            .'quits gives lets',
        'wakes' => 'recovers recover recovery wakes wake again release releases reconnects reconnect back anew resume resumes',
        'warns' => 'warning warns warn bolt lightning undervoltage complains complain brownout brown sags icon nags',
        'logic' => 'logic gpio pins pin signal level levels io i/o uart i2c spi ttl',
        'weight' => 'weight weighs weigh weighed weighing heavy mass net n w gewicht wiegt scale scales light',
        'boxed' => 'boxed gross packed packing package packaging shipping incl including box g parcel',
        'high' => 'high tall thick thickness height tallest thickest dicke höhe deep depth highest hoch slim',
        'long' => 'long length länge wide width breite',
        'outer' => 'outside outer outline overall dimensions dimension size measures measure board module body frame bezel abmessungen '
            .'maße masse case housing physical total footprint',
        'inner' => 'inside inner internal cavity room interior innen usable',
        'view' => 'visible active view viewable viewing aa picture glass screen seen see',
        'holes' => 'holes hole mounting centers centres spacing apart pitch pattern lochabstand posts screw screws',
        'lead' => 'lead cable cord wire wires kabel leads pigtail ribbon ffc fpc',
        'another' => 'old older previous last another other others competitor compared than instead versus vs predecessor earlier former '
            .'unlike',
        'not' => 'not no never don\'t doesn\'t didn\'t won\'t isn\'t cannot can\'t without nor wouldn\'t',
        'up to' => 'max maximum most up under below beyond over exceed more higher than tops limit limited ≤ less max. bis höchstens '
            .'ceiling',
        'down to' => 'min minimum least down lowest above from lower ≥ starting mindestens ab floor',
        'about' => 'about around roughly approx ca circa some nearly almost just near ~ ungefähr maybe',
        'while' => 'at @ when while bei with',
        'efficient' => 'efficiency eff efficient wirkungsgrad conversion η',
        'drops' => 'dropout drop drops headroom ldo loses loss below differential',
        'hot' => 'throttles throttle throttling slows slow shuts thermal overheats limit tjmax hot',
        'ambient' => 'ambient operating storage environment umgebung room humidity',
        'price' => 'price cost costs paid asking each only sale eur preis sold buy bought gekauft got',
        'post' => 'post postage shipping shipped delivery posted versand delivered p&p vat mwst moms',
        'memory' => 'ram memory ddr speicher arbeitsspeicher lpddr',
        'storage' => 'storage flash emmc ssd capacity card disk',
        'amplifier' => 'channel channels per into speaker speakers ohm class rms stereo mono amp amplifier',
        'cell' => 'cell cells zelle per each',
        'pack' => 'pack battery batterie akku series',
        'cycles' => 'cycles cycle zyklen times charges',
        'resistance' => 'resistance impedance esr ir innenwiderstand',
        'pieces' => 'pcs pieces pack bag lot set qty pair pairs stück per',
        'diagonal' => 'diagonal inch inches zoll screen display',
        'light' => 'backlight led leds light lamp brightness',
        'travel' => 'travel stroke throw actuation press',
        'wall' => 'wall walls thick wandstärke thickness skin',
        'fan' => 'rpm cfm dba noise',
        'rating' => 'rated rating switching contact contacts ac vac',
        'shuts' => 'shutdown shut halt halts down off safely poweroff',
        'refresh' => 'refresh rate frame fps frequency',
    ];

    /** @var array<string, list<string>>|null */
    private static ?array $byWord = null;

    /** @return list<string> */
    public static function of(string $word): array
    {
        self::$byWord ??= self::byWord();

        return self::$byWord[$word] ?? [];
    }

    /** @return array<string, list<string>> */
    private static function byWord(): array
    {
        $kinds = [];
        foreach (self::WORDS as $kind => $words) {
            foreach (explode(' ', $words) as $word) {
                $kinds[$word][] = $kind;
            }
        }

        return $kinds;
    }
}
