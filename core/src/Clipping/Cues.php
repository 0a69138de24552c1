<?php

declare(strict_types=1);

namespace PocketPlot\Clipping;

/**
 * Which words about a number with a unit tell what it says of a part of some role. The nearest cue decides; a cue whose meaning
 * is "" tells that the number is of something else. The bias is added to the distance in signs.
 */
final class Cues
{
    /** Roles of parts that draw, and give nothing. */
    public const LOADS = ['board', 'display', 'sound', 'controls', 'cooling', 'storage', 'case', 'cable'];

    /** The number is of what one should buy, of what lies in the box, of another part, or a condition of a test. */
    public const SUPPLY_ADVISED = '/recommend\w*|advis\w*|please use|should use|use (?:a|an|our)\b|always used|sold separately|not included|adapt[eo]r|'
        .'\bbrick\b|supply unit|power pack|ordered separately|to be (?:bought|ordered)|power supply of|\bpsu\b|wall ?wart|suggest(?:ed|s)?\b|'
        .'\bneeds? an? (?:proper|good|strong|decent|stable)|(?:proper|good|strong|'
            .'decent|stable) supply|the label (?:wants|says|asks)|bundl\w+|supplied with/';

    public const OTHER_PART = '/\bthe old\b|\bmy old (?=\d|[a-z]+ (?:inch|one|panel|board|screen|bank))|got rid of|\bold one\b|\bold [a-z]{0,4}\d{2,}\b|'
        .'went from|\breplaces\b|\bunlike\b|compared (?:to|with)|they sell|'
        .'also (?:sold|available) (?:as|in|with)|other version|predecessor|\bthat one\b|\bnot the (?=\d|[a-z]+ inch)|\b(?:swapped|replaced|traded|'
        .'upgraded) (?:out |'
        .'in )?(?:the|my)\b|\b(?:moved|'
        .'came|upgraded|switched) (?:on |up )?from (?:the|my|an?)\b|(?:my|the) (?:last|previous) (?:one|board|panel)/';

    public const IN_BOX = '/in the box|box contents|package (?:contents|includes)|ships? with|comes with|includ(?:ed|es|ing)\b|\bincl\b|bundled|'
        .'free (?:cable|adapter)|accessor/';

    /** @return list<array{string, string, float}> meaning, cue, bias */
    public static function volts(string $role): array
    {
        $limit = ['absolute maximum', '/\babs(?:olute)?\b\.?(?: ?max\w*\.?)?(?: (?:ratings?|supply|input|voltage|vin|vdd|vcc))*|any(?:thing|where)? (?:above|over|beyond|more than)(?= ?[\d.,]+[^;.]{0,50}\b(?:bang|pop|toast|dead|dies|smoke|fries|fry|gone|destroys?|kills?|cooks?|goodbye|magic)\b)'
            .'|never (?:above|over|more|'
            .'exceed)|(?:above|over)(?: it)? ?= ?smoke|\bkills?\b|destroys?|'
            .'not exceed|never (?:connect|put|feed|apply|give)\b|lets? the smoke|max(?:imum)?\.? ratings?|damag|\bfries\b|dies (?:above|over)|survives|'
            .'burns? out|breaks? (?:at|above)|smoke/', -12.0];
        $logic = ['logic level', '/(?<!supply )(?<!supply \()\blogic\b(?! (?:supply|electric|power|side))|\bvio\b|\biovcc|\bvddio|\bio ?vdd|\bgpio|\bi\/o\b|'
            .'\bio (?:level|voltage|pins)|'
            .'signal level|tolerant|'
            .'\blevel\b|data pins|^\W*pins|\bpins\b(?! (?:are )?not)/', -4.0];

        return match ($role) {
            'cells' => self::voltsOfCells($limit),
            'charger' => [
                $limit,
                ['', '/over.?(?:charge|fill)\w* protect|\bripple|\bsags?|droops?|falls to|drops to|dips?\b|tips|\bsolar cell/', -6.0],
                ['recovery voltage', '/before it (?:comes|starts|wakes)|comes? back/', -26.0],
                ['recovery voltage', '/re-?connect\w*|recover\w*|re-?starts charging/', -6.0],
                ['cut-off', '/lets (?:\w+ )?go|cuts? out|cuts? (?:the )?(?:load|output)|(?<!charging )cuts? ?(?:it )?.?off|stops? discharg\w*|'
                    .'over.?discharge|disconnect|under.?volt/', -6.0],
                ['full', '/charge(?:s|d)? (?:volt\w*|to\b|end|cut.?off|limit)|charging (?:voltage|cut.?off|end|stop)|\bfloat\b|full (?:charge|volt)|'
                    .'end.of.charge|termination|stops (?:at|charging)|'
                    .'final voltage/', -8.0],
                ['output voltage', '/(?<!cuts )(?<!cut )\bout(?:put|s)?\b|vout|\b(?:pd|qc)\b(?= ?\d)|\bgives|delivers|provides|boost(?:s|ed)? to|\bsag|'
                    .'droop/', 0.0],
                ['charge input voltage', '/\bin(?:put)?\b|\benter\b|\bvin\b|\bfrom\b|suppl|usb-?c|micro-?(?:usb|b)|\bfeed|accepts|\btakes|\bworks\b|'
                    .'\bdc in\b|panel/', 0.0],
            ],
            'regulator' => [
                $limit,
                $logic,
                ['', '/\bsags?|droops?|falls? to|drops to|\bgives up|\bfolds?\b|collaps\w*|\bthen (?=\d)|ripple|forward|hysteresis|\bfb\b|reference|feedback|'
                    .'enable (?:threshold|above|high|low)/', -6.0],
                ['dropout', '/drop.?out|drop voltage|above the output|more than the output|over the output|higher than (?:the )?out|more (?:at|on) the in|'
                    .'more in(?:put)? than|headroom|\bvdo\b|'
                    .'\bvdrop/', -14.0],
                ['', '/under.?voltage lock|uvlo/', -14.0],
                ['cut-off', '/cut.?off|over.?discharge/', -4.0],
                ['supply voltage', '/\bin(?:put)?\b|\bvin\b|\bfrom\b|suppl|accepts|\btakes|\bstarts?|\bfeed|runs (?:from|on)|works|\beats|\benter\b|'
                    .'source/', 0.0],
                ['output voltage', '/\bout(?:put)?\b[^,;.\d]{0,26}\b(?:from|between)\b/', -6.0],
                ['output voltage', '/\bout(?:put|s)?\b|\bvout\b|\binto\b|\bgives|hands? out|puts? out|holds|makes|fixed|delivers|provides|regulated|'
                    .'adjustable|settable|set (?:by|'
                    .'to)|trimmer|ldo/', 0.0],
            ],
            'switch' => [['switch rated voltage', '/\bdc\b|vdc|\brated|rating|\bat\b|@/', 0.0]],
            default => [
                $limit,
                ['', '/\bit resets|\bit reboots|dies (?:at|below|under)|\bgives up|goes (?:dark|out|off) (?:at|below|under)|stops (?:at|below|under)/', -12.0],
                ['', '/forward|\bvf\b|standby voltage|thresh|ripple|back.?light voltage|\blight (?=\d+ ?v)|brightness|dimm?ing/', -10.0],
                $logic,
                ['low-battery warning', '/low.?volt(?:age)? (?:warn\w*|sign|icon)|under.?voltage (?:warn|sign|icon)|\bwarns?\b|complain|lightning|'
                    .'brown.?out(?: \w*warn\w*)?/', -8.0],
                ['output voltage', '/(?<!brown-)(?<!brown )(?<!browned )\bout(?:put)?s?\b|\bprovides\b|\bdelivers\b|header gives/', 4.0],
                ['supply voltage', '/suppl\w*|power\w*|\binput\b|\bdc\b|\bvdd\b|\bvcc\b|voltage|\bruns?\b|\bfeed\w*|\bfed\b|\bvin\b|works?\b|operat\w*|'
                    .'\bwants|\bneeds|give it|\bmind\b|\blit\b|fine at|happy|\busb\b|lives|\btakes|\bin\b|drives?\b/', 0.0],
            ],
        };
    }

    /**
     * @param  array{string, string, float}  $limit
     * @return list<array{string, string, float}> what volts say of cells
     */
    private static function voltsOfCells(array $limit): array
    {
        return [
            $limit,
            ['', '/over.?(?:charge|fill)\w*|\boverfill|\brefill|lead.?acid|replac|ripple|\bcells? apart|balanc\w+ (?:at|from)/', -10.0],
            ['recovery voltage', '/before it (?:comes|starts|wakes)|comes? back/', -26.0],
            ['recovery voltage', '/re-?connect\w*|releas\w+|recover\w*|lets go|re-?starts|back on/', -8.0],
            ['cut-off', '/protection (?:trips|cuts|opens|stops)|\blets? go|\bopens?\b|cuts? (?:the )?(?:discharge|\bload|output|power)|\bcuts (?=at)|'
                .'cuts? ?(?:it )?.?off|over.?(?:discharge|'
                .'put|dis-charge)\w*|under.?volt\w*|disconnect\w*|stops? discharg\w*|protects? at|shuts? (?:down|off)|switches off at/', -6.0],
            ['empty', '/(?<!over)(?<!over.)discharge (?:cut|end|stop|voltage)|end of discharge|\bempty\b|final discharge|end voltage|(?:not|never|'
                .'n\'t) (?:\w+ ){0,4}(?:under|'
                .'below)|\bdown to|discharged? (?:down )?to|fully discharged|\bflat at/', -7.0],
            ['full', '/(?<!dis)(?<!dis-)charg\w* (?:cut|end|limit|volt|to\b|at\b|stop)\S*|\bfull\b|fully charged|charged? (?:to|at)|end.of.charge|'
                .'(?<!dis)(?<!dis-)\bcharg(?:e|ing)\b|topped|max(?:imum)? voltage|charging voltage/', -10.0],
            ['output voltage', '/\bout(?:put)?s?\b|\bport\b|usb-?a\b|boost/', 2.0],
            ['output voltage', '/usb/', 12.0],
            ['charge input voltage', '/\binput\b|\bin\b(?=[ :]*\d)|\benter\b|charge (?:port|input|socket)|\brecharge|\bover (?:micro|usb|c\b)/', 4.0],
            ['nominal', '/nominal|\bname\b|\brated|voltage|label|printed|pack|cell|battery|lipo|li-ion|poly\w*|\d ?mah|\d ?ah\b/', 8.0],
        ];
    }

    /** @return list<array{string, string, float}> */
    public static function amps(string $role): array
    {
        $own = '/quiescent|with(?:out| no) (?:a )?load|wast\w+|\bempty it\b|when empty|unloaded|nothing (?:hangs|on it)|not work|\bown (?:use|consumption|'
            .'current)|self.?(?:consum|discharge)\w*|no.?load|nothing (?:hangs|hanging)|doing nothing|\bground current|\bignd|\biq\b|\bidles?\b|'
            .'drain(?!ed)|\btakes? (?:\S+ ){0,2}for itself|for itself|'
                .'itself|nothing (?:attached|connected)|stand.?by|leak/';

        return match ($role) {
            'cells' => [
                ['switch-off current', '/off\b[^.;]{0,48}(?:below|under|less than)|self.?off|switch(?:es)? (?:itself )?off (?:below|under|at)|'
                    .'shuts? (?:itself )?off (?:below|under)|unless you (?:draw|take|pull)|auto.?off|turns (?:itself )?off (?:below|under)|(?:sleeps?|'
                    .'off) (?:below|under|if (?:less|'
                        .'below|under)|when (?:less|below|under))|low.?current|stays? on (?:only )?(?:for|with|at|if)/', -10.0],
                ['quiescent current', $own, -14.0],
                ['', '/over.?current|trips?|short.?circuit|detect/', -8.0],
                ['output peak current', '/\bpeaks?\b|burst|pulse|momentar|\bmoment\b|for \d+ ?s(?:ec\w*)?\b|surge|short(?:ly|-term)/', -4.0],
                ['charge input current', '/\binput\b|charge input|\bin\b(?=:| ?\d)/', 4.0],
                ['charge limit', '/(?<!dis)(?<!dis-)charg\w*|filling|\bfill\b|\bgive (?:it|them)\b/', -3.0],
                ['output current', '/\bout(?:put)?s?\b|usb-?a|usb-?c|\bport/', 4.0],
                ['discharge limit', '/dis-?charg\w*|work\w* current|continu\w*|\bcont\b|\bload\b|drain|delivers|good for|\bpull\b|for as long as/', 0.0],
                ['discharge limit', '/max(?:imum)? current|current/', 24.0],
            ],
            'charger' => [
                ['quiescent current', $own, -14.0],
                ['', '/~|\bac\b|mains|trips?|over.?current|fuse|\bsags?|above/', -2.0],
                ['output peak current', '/\bpeaks?\b|burst|surge/', -3.0],
                ['charge current', '/\bichg\b|\bcc\/cv|\bcc-cv|(?<!dis)charg(?:e|es|ing) (?:current|with|at|rate)|'
                    .'(?<!dis)(?<!while )(?<!while it )charg(?:e|es|ing)\b|(?:into|in) the (?:cell|'
                    .'battery|pack)|'
                    .'\bfill\w*|\btops?\b|\bcells? at (?=\d)/', -4.0],
                ['output current', '/\bout(?:put|s)?\b|\bgo out|\bload|delivers|\bgives|\brated|\b(?:pd|qc)\b(?= ?\d)|claim\w*|advertis\w*|promis\w*/', 0.0],
                ['charge input current', '/\bin(?:put)?\b|asks?|from (?:my|the) (?:plug|supply|charger)|draws|pulls|usb-?c|\btakes/', 0.0],
            ],
            'regulator' => [
                ['standby draw', '/shut.?down|\bsleep|disabled|\ben low|when off|\bishdn\b/', -10.0],
                ['quiescent current', $own, -14.0],
                ['', '/over.?current|current limit|short.?circuit|trips?|\bgives up|of load\b|(?:min(?:imum|\.)?|least) load|\bfolds?\b|collaps\w*|'
                    .'from the (?:cell|'
                    .'battery|source)|input current|efficien/', -6.0],
                ['output peak current', '/\bpeaks?\b|burst|surge|short(?:ly)?\b|moment/', -4.0],
                ['output current', '/\bout(?:put|s)?\b|\biout\b|\bcont(?:inuous)?\b|long.?time|all day|for hours|\bload|\brated|\bgives|delivers/', 0.0],
                ['output current', '/max(?:imum)?|current|up to/', 60.0],
            ],
            'switch' => [
                ['fuse rating', '/fuse|hold|trip/', -4.0],
                ['switch rating', '/rat|\bdc\b|\bac\b|contact|current|carries|switch/', 0.0],
            ],
            default => self::ampsOfLoads($role),
        };
    }

    /** @return list<array{string, string, float}> what a current says of a part that only takes current */
    private static function ampsOfLoads(string $role): array
    {
        return [
            ['', self::SUPPLY_ADVISED, -6.0],
            ['', '/header gives|\bgives\b|\bports?\b.{0,20}(?:give|up to|each)|\bhat\b|per pin|\dv pins?\b|supplies up to|ports give|pins? (?:give|sink)|fuse|'
                .'limit(?:er)? at|led strip/', -6.0],
            ['light draw', '/\bled back.?lights?\b|led (?:forward )?current|forward current|back.?light (?:current|alone|only)|light (?:current|alone|'
                .'only)|current of the (?:back)?light|(?:back)?light by itself|\bi_?led\b/', -10.0],
            ['start-up draw', '/\beinschalt\w*|\bboot\w*(?: spike| peak| surge)?|\binrush|plug.?in|start.?up|(?:when|as) it starts|(?:switch|power|'
                .'turn).?on(?: (?:surge|spike|peak|current|inrush))*|'
                .'\bstarting\b/', -8.0],
            ['peak draw', '/most i (?:ever )?(?:saw|caught|measured|read)|(?:i|has) ever (?:saw|seen|caught)|worst (?:i|it) (?:ever )?(?:saw|caught|'
                .'did)/', -30.0],
            ['light draw', '/light (?:on|by) its own|just the (?:back.?)?light/', -24.0],
            ['start-up draw', '/(?:during|at|on|while|when(?: it)?) (?:boot|start|switch.?on|plug)\w*|when you (?:switch|turn|plug)/', -24.0],
            ['standby draw', '/(?:powered|switched|turned|shut) (?:off|down)\b|suspend\w*|when (?:it is )?(?:off|closed?)\b|without (?:a )?(?:signal|picture)|'
                .'(?:goes to sleep|\bsleeps)[^.;]{0,40}(?:then|and) (?:needs|draws|\btakes|\buses)/', -24.0],
            ['standby draw', '/\basleep|\bsleeps?\b|stand.?by|deep.?sleep|shut.?down|when off|'
                .'(?<!light )(?<!light is )(?<!wifi )(?<!radio )(?<!sound )(?<!bluetooth )\boff\b(?! by)|'
                .'hibernat|\bhalted|(?:still|but) plugged'.($role === 'display' ? '|no signal' : '').'/', -6.0],
            ['peak draw', '/\bpeaks?\b|gulps?\b|\bkurz\w*|spitze\w*|\bhit\b|jump\w*|spikes?|surges?|bursts?|\binrush|short(?:ly)?\b|momentar|pulse/', -6.0],
            ['quiescent current', $role === 'sound' ? '/quiescent|\biq\b/' : '/\x00/', -4.0],
            ['draw', '/draws?\b|\bexpect|reckon with|count on|\bask(?:s|ed)? for|sits at|gets by|consum\w*|leerlauf|unter (?:voll)?last|verbrauch\w*|'
                .'zieht|braucht|\bidl\w+|game|play\w*|\bload|\btakes?|\beats|\bneeds|\buses|'
                .'pulls|took|\bat rest|\bmeter|measur\w*|bright|silen\w+|quiet/', 0.0],
            ['draw', '/together|altogether|in all\b|all told|in total/', -6.0],
            ['draw', '/current/', 60.0],
        ];
    }

    /** @return list<array{string, string, float}> */
    public static function watts(string $role): array
    {
        return match ($role) {
            'sound' => [
                ['', self::SUPPLY_ADVISED, -4.0],
                ['amp watts', '/amp|channel|into|\bclass|output|\bper\b|power|stereo|mono|\bat\b|road/', 0.0],
            ],
            'cells', 'charger' => [
                ['', '/no.?load|stand.?by|solar/', -5.0],
                ['total output power', '/total(?: (?:output|power|max\w*))*|together|all ports|combined/', -3.0],
                ['charge input power', '/\bin(?:put)?\b/', 2.0],
                ['output power', '/\bout(?:put)?\b|total|max|power|up to/', 0.0],
            ],
            'regulator' => [['', '/\bidle|no.?load|stand.?by/', -8.0], ['heat', '/heat|dissipat|gets rid|'
                .'\bloss/', -5.0], ['output power', '/\bout|max|power|up to/', 0.0]],
            'cooling' => [['draw power', '/\bfan|power|consum|draw/', 0.0], ['heat', '/heat|dissipat|tdp|carries|moves/', -3.0]],
            default => [
                ['', self::SUPPLY_ADVISED, -8.0],
                ['', '/power light|light power|(?:back.?light|\bleds?) (?:power|consum\w*|\btakes|alone)|^\W*(?:back.?light|leds?)\b/', -4.0],
                ['heat', '/heat|dissipat|\btdp\b|\bgives? off/', -3.0],
                ['standby power', '/stand.?by|sleep|(?<!gives )(?<!give )\boff\b/', -5.0],
                ['', '/speaker|\bspk\b|\bsound|\baudio/', -5.0],
                ['draw power', '/consum\w*|full on\b|in games|playing|on average|draws?|\btakes|idle|\buses|\bneeds|\bload|low|pulls|\beats|doing nothing|'
                    .'at the wall/', 0.0],
                ['draw power', '/power/', 30.0],
            ],
        };
    }

    /** @return list<array{string, string, float}> what a single length says */
    public static function lengths(string $role): array
    {
        $lead = ['lead length', '/cable|\bleads?\b|wires?\b|\bcord\b|\bline\b|\btail\b|pigtail/', 0.0];

        return [
            ['', '/diagonal|radius of view|\bstand\b(?! \d)|screw|holes? (?:dia|of)|Ø|ø|plug\b|\bball|drill|\btape|glue|\bpad\b thick|\bfilm|away|'
                .'distance to|shaft|'
                .'tabs?\b|glass alone|tolerance|bezel/', -3.0],
            ['ribbon pitch', '/pitch|raster|(?<=mm )apart|(?<=metre )apart|(?<=meter )apart|\bspacing of (?:the )?contacts/', -8.0],
            ['travel', '/travel|stroke|press(?:ed|es)?\b|slides?\b|each way|either (?:way|side|direction)|both ways|(?:to )?each side|\bthrow\b/', -6.0],
            ['bend room', '/\bbend|\bbent to|radius/', -6.0],
            ['height above face', '/(?:above|over) (?:the )?(?:face|shell|panel|case)|out of the (?:board|face|case|shell)|stands? (?:\S+ ){0,2}above|'
                .'sticks out|proud|'
                .'cap (?:height|stands)|protrud/', -6.0],
            ['wall', '/\bwalls?\b|\bsides? (?:are|is)\b|tinplate|sheets?\b|material thick|(?:solid |ply)wood|acrylic|\bsteel|\btin\b|everywhere|'
                .'all round/', -4.0],
            ...(in_array($role, ['display', 'board'], true) ? [] : [$lead]),
            ...($role === 'display' || $role === 'board' ? [['lead length', '/(?:fixed|attached|captive|own|permanent|soldered) (?:\w+ )?(?:cable|lead|'
                .'wire)|(?:cable|lead|wire) (?:fixed|attached)/', -6.0]] : []),
        ];
    }
}
