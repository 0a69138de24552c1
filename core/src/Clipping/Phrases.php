<?php

declare(strict_types=1);

namespace PocketPlot\Clipping;

/** What a text says in words: chemistry, series, protection, touch, conversion, material, and counts of buttons and channels. */
final readonly class Phrases
{
    private const COUNT = '(\d{1,2}|one|two|three|four|five|six|eight|ten|twelve|a|an|single)';

    private const NUMBERS = ['one' => 1, 'a' => 1, 'an' => 1, 'single' => 1, 'two' => 2, 'three' => 3, 'four' => 4, 'five' => 5, 'six' => 6, 'eight' => 8,
        'ten' => 10, 'twelve' => 12];

    public function __construct(private string $role) {}

    /** @return list<Find> */
    public function of(Clause $clause): array
    {
        $found = match ($this->role) {
            'board' => [...$this->words($clause, self::radios()), ...$this->words($clause, self::card())],
            'display' => [...$this->words($clause, self::display()), ...$this->words($clause, self::contacts())],
            'cells' => [...$this->words($clause, self::cells()), ...$this->rows($clause), ...array_filter([YesOrNo::powerPath($clause)])],
            'charger' => [...self::orElse($this->words($clause, self::charger()), YesOrNo::powerPath($clause)), ...$this->rows($clause)],
            'regulator' => $this->words($clause, self::regulator()),
            'guard' => [...$this->words($clause, self::chemistry('chemistry')), ...$this->rows($clause)],
            'controls' => [...$this->words($clause, self::controls()), ...$this->words($clause, self::radios()), ...$this->buttons($clause)],
            'sound' => [...$this->channels($clause), ...$this->words($clause, ['enable pin' => ['yes' => '\bsd pin|shutdown pin|enable pin|mute pin']])],
            'case' => self::orElse($this->words($clause, self::case()), YesOrNo::cuttable($clause)),
            'storage' => $this->words($clause, self::card()),
            'cooling' => $this->words($clause, self::cooling()),
            'switch' => $this->words($clause, ['switch kind' => [
                'slide' => 'slid(?:e|ing)', 'rocker' => 'rocker', 'toggle' => 'toggle', 'soft' => 'soft.?(?:switch|power|latch)|latching (?:board|circuit)',
                'push' => 'push|\btact(?:ile)?\b|momentary',
            ]]),
            'cable' => $this->words($clause, ['lead carries' => [
                'hdmi' => 'hdmi', 'usb' => '\bdata\b|usb 2\.0|480 ?mb', 'power' => 'trigger (?:cable|lead)|power (?:cable|lead)|power only|charge only|'
                    .'charging only|no data', 'i2s' => '\bi2s\b',
                'dsi' => '\bdsi\b', 'speaker' => 'speaker',
            ], 'ribbon sides' => ['same' => '(?:same|one) side(?: \(type a\))?', 'opposite' => 'opposite (?:sides?|contacts)|reverse[d]? contacts']]),
            default => [],
        };

        if ($this->role === 'controls' && preg_match('/\b(?:made for|fits|for|of) the ([A-Z][\w-]+(?: [A-Z\d][\w-]*)?) (?:button |control(?:ler)? )?board/',
            $clause->text, $match, PREG_OFFSET_CAPTURE) === 1) {
            $found[] = new Find('made for', ['is' => $match[1][0]], $clause->start + $match[1][1], $clause->start + $match[1][1] + strlen($match[1][0]));
        }

        $found = [...$found, ...$this->threads($clause)];

        return array_values(array_filter($found, static fn (Find $one): bool => ! $clause->isOfAnother($one->start - $clause->start)));
    }

    /**
     * @param  array<string, array<string, string>>  $words  what => is => pattern; of each, the first that is said
     * @return list<Find>
     */
    private function words(Clause $clause, array $words): array
    {
        $found = [];
        foreach ($words as $what => $choices) {
            if (isset($choices['yes'], $choices['no'])) {
                // "Touch | none": the value says it; the label by itself says nothing.
                if (preg_match('/[:|\t]\s*$/', $clause->text) === 1) {
                    continue;
                }
                if ($clause->label !== '' && preg_match("/{$choices['yes']}/u", $clause->label) === 1
                    && preg_match("/{$choices['no']}/u", $clause->label) !== 1) {
                    $found[] = new Find($what, ['is' => YesOrNo::isDeniedByLabel($clause) ? 'no' : 'yes'], $clause->start,
                        $clause->start + strlen(rtrim($clause->text)));

                    continue;
                }
            }
            foreach ($choices as $is => $pattern) {
                $match = [];
                if (preg_match("/{$pattern}/u", $clause->lower, $match, PREG_OFFSET_CAPTURE) !== 1
                    && $clause->label !== '' && preg_match("/{$pattern}/u", "{$clause->label}: ".trim($clause->lower)) === 1 && preg_match("/{$pattern}/u",
                        $clause->label) !== 1) {
                    // "Backlight adjust: by button" says it only with its label.
                    $found[] = new Find($what, ['is' => $is], $clause->start, $clause->start + strlen(rtrim($clause->text)));

                    break;
                }
                if ($match !== []) {
                    $from = $match[0][1];
                    if (preg_match('/^\s*\?/', $clause->after($from + strlen($match[0][0]), 3)) === 1) {
                        continue;
                    }
                    if ($is === 'yes' && isset($choices['no']) && YesOrNo::isDenied($clause, $from, $from + strlen($match[0][0]))) {
                        $found[] = new Find($what, ['is' => 'no'], $clause->start + $from, $clause->start + $from + strlen($match[0][0]));

                        break;
                    }
                    if (! in_array($is, ['no', 'none'], true) && preg_match('/\b(?:no|not?|without|lacks|never|neither|nor)\s+(?:an? |any |built.in )?$/',
                        $clause->before($from, 20)) === 1) {
                        continue;
                    }
                    if (self::isLeftOut($clause, $from, $from + strlen($match[0][0]))) {
                        continue;
                    }
                    $found[] = new Find($what, ['is' => $is], $clause->start + $from, $clause->start + $from + strlen($match[0][0]));
                    if (! in_array($what, ['radio', 'charge chemistry', 'speaks', 'lead carries'], true)) {
                        break;
                    }
                }
            }
        }

        return $found;
    }

    /**
     * @param  list<Find>  $found
     * @return list<Find> with the other, where they say nothing of what it does, or where it denies that
     */
    private static function orElse(array $found, ?Find $other): array
    {
        $isSaid = $other !== null && array_filter($found, static fn (Find $find): bool => $find->what === $other->what) !== [];
        if ($other === null || ($isSaid && $other->says['is'] !== 'no')) {
            return $found;
        }

        return [...array_values(array_filter($found, static fn (Find $find): bool => $find->what !== $other->what)), $other];
    }

    /** What one may buy with it is not there yet: "optional wifi module (not included)". */
    private static function isLeftOut(Clause $clause, int $from, int $to): bool
    {
        return preg_match('/\boptional(?:ly)?\s+(?:an? )?$/', $clause->before($from, 20)) === 1
            || preg_match('/^\s*(?:module|card|stick|dongle|board)?\s*(?:is |are )?\(?\s*(?:not included|optional|sold separately|'
                .'as an extra|only with)/', $clause->after($to)) === 1;
    }

    /** @return array<string, array<string, string>> */
    private static function radios(): array
    {
        return ['radio' => ['wifi' => '\b802\.11|\bwi-?fi\b|\bwlan\b', 'bluetooth' => 'bluetooth|\bbt ?[45]\b',
            'pad radio' => '2\.4 ?ghz (?:dongle|receiver|wireless)']];
    }

    /** @return array<string, array<string, string>> */
    private static function card(): array
    {
        return ['card kind' => [
            'soldered' => 'emmc|flash on board|on.?board (?:flash|storage)|soldered (?:flash|storage)',
            'microsd' => 'micro ?-?sd|memory card,? micro|micro memory card|\btf card', 'm2-slot' => '\bnvme\b|\bm\.2\b', 'sd' => '\bsd ?card|\bsd slot',
        ]];
    }

    /** @return array<string, array<string, string>> */
    private static function display(): array
    {
        return [
            'touch' => ['no' => 'not a touch|(?:does|do)(?:n.t| not) (?:do|have|support|come with) touch|not react[^.;]{0,10}(?:fingers|touch)|'
                .'touch\W.{0,14}\bnot on|(?:there(?:.s| is)|they (?:do|sell|have|make|'
                .'offer)|also|exists) (?:also )?(?:with |'
                .'an? )?touch (?:version|one|model|variant)|\bno touch|without touch|touch\W{1,3}(?:no\b|none|have not|has not|nein)|\b(?:kein|'
                .'ohne) touch|non.?touch|'
                .'not touch', 'yes' => 'touch(?!pad| sensor| key| button|less)|\bt(?:a|á)ctil\b|tactile(?! switch)|digiti[sz]er|\bfeels?\b[^.;]{0,16}fingers|react\w* to fingers'],
            'dimming' => [
                'wheel' => '\bknob\b[^.;,]{0,20}(?:light|bright|dim)|(?:light|bright\w*|dim\w*)\b[^.;]{0,24}\b(?:knob|wheel)|\bpoti\b|(?:dim|bright)\w*[^.;]{0,20}\bknob|(?:thumb ?)?wheel|\bpot\b|potentiometer|'
                    .'trimmer', 'software' => '(?:bright\w*|\blight\b|dim\w*|r(?:é|e)glable|helligkeit)[^.;\n]{0,34}(?:\bsoftware|logiciel|config|command|\bpwm\b|\bddc|\bi2c|(?:tool|program)\b|hold select)|'
                    .'\bpwm (?:it|on|to)\b|(?:by|via) pwm|dimm\w* in software|\bdim\w*[^.;]{0,30}(?:from the computer|by software|over (?:two|i2c))|'
                    .'brightness (?:by|in|from|via|over) (?:software|pwm|i2c|ddc)|'
                    .'software (?:dimm|bright)|(?:adjust|dimm|control)\w* (?:by|via|with|over|through) (?:pwm|i2c|ddc|software)|pwm (?:dimm|pin|bright|'
                    .'input)|ddc',
                'buttons' => '(?:bright\w*|\blight\b|back.?light|helligkeit|dim(?:s|ming|med)?)\b[^.;\n]{0,30}(?:buttons?\b|\bkeys?\b|\btasten?\b|touch sensor|push)|'
                    .'(?:buttons?|\bkeys?|\btasten?)\b[^.;\n]{0,20}(?:bright\w*|\blight\b|helligkeit|\bdim)|\bosd (?:by )?(?:\d )?(?:keys?|buttons?)|\d.?(?:key|button) pad for bright\w*|buttons? (?:on (?:the )?\w+ )?(?:\w+ )?for (?:the )?(?:bright|menu)|(?:brightness|menu|'
                    .'osd|back.?light)\W{0,3}(?:by |with |: ?)?(?:\w+ )?buttons?|buttons? for|luminosit\S* [^.;,]{0,24}boutons?|\bkeys? adjust|(?:light|'
                    .'brightness):? [^.;,]{0,36}\bbuttons?\b|osd keys?|'
                    .'key ?pad for|buttons on the (?:back|control|side|'
                        .'driver)|bright\w* buttons?|(?:light|brightness) adjust\w*\W{1,3}(?:by )?(?:buttons?|keys?)|brightness keys|'
                            .'adjust\w* (?:the )?(?:light|brightness) (?:by|with) (?:keys?|buttons?)',
                'none' => '\bno (?:back)?light\b|without (?:a )?(?:back)?light|(?:cannot|can.?t|can not) dim|brightness(?: is)? f(?:ixed|est)\b|brightness (?:cannot|can.?t|can not) be|no (?:brightness|'
                    .'dimm)|not dimmable|fixed brightness|'
                    .'brightness is fixed|cannot be dimmed|no dimming',
            ],
        ];
    }

    /** @return array<string, array<string, string>> */
    private static function contacts(): array
    {
        return ['contact side' => ['top' => '(?:top|upper)[- ](?:side )?contacts?|contacts? (?:on |at |face |facing )?(?:the )?(?:top|upper|up\b)',
            'bottom' => '(?:bottom|lower)[- ](?:side )?contacts?|contacts? (?:on |at |face |facing )?(?:the )?(?:bottom|lower|down|below|underneath)']];
    }

    /** @return array<string, array<string, string>> */
    private static function chemistry(string $what): array
    {
        return [$what => [
            'LiFePO4' => 'lifepo ?4|\blife (?=[2-8]s\b)|life ?po|iron.?phosph\w+|\blfp\b', 'LiPo' => 'li-?po\b|lipo(?:ly)?\b|lithium.?poly\w*|polymer (?:lithium|battery|cell|'
                .'pack)|poly.?lithium|li-?polymer|\blip\b',
            'Li-ion' => 'li-?ion|lithium.?ion|\b(?:18650|21700|14500|16340|26650)s?\b(?! size)', 'NiMH' => 'ni-?mh|nickel.?metal', 'alkaline' => 'alkaline',
        ]];
    }

    /** @return array<string, array<string, string>> */
    private static function cells(): array
    {
        return [
            ...self::chemistry('chemistry'),
            'protection' => [
                'none' => 'unprotected|bare,? no board|no (?:protect(?:ion|or)?|pcb|pcm|bms)\b|w\/o (?:protection|pcb|pcm|bms)|without (?:protection|pcb|pcm|bms|a protection)|bare cell|not protected|'
                    .'protection\W{1,3}(?:none|no\b)',
                'built-in' => 'board inside cuts|(?:little|small|tiny) board[^.;]{0,40}(?:cuts|protect|over-?(?:dis)?charge)|protection (?:inside|built|'
                    .'board|on board)|'
                    .'\bbms\b|\bpcm\b|\bpcb\b|'
                    .'protection (?:board|circuit|pcb|plate|ic)|protect (?:plate|board)|'
                    .'\bprotected|with protection|built.in protect|'
                    .'protection\W{1,3}(?:yes|built)|protection against',
            ],
            'sealed bank' => ['yes' => 'power ?bank|\w+bank\b|mah bank|\b(?:old|my|this|the) bank\b'],
            'loose cells' => ['yes' => 'slides? in and out|loose cells|(?:must|has|have|need) (?:to )?be (?:removed|taken out)[^.;]{0,20}charg|remove[^.;]{0,20} charg|'
                .'taken out to (?:be )?charge|(?:leave|out of) the holder (?:for|to) charg|remove to charge|'
                .'charge outside'],
        ];
    }

    /** @return array<string, array<string, string>> */
    private static function charger(): array
    {
        return [
            ...self::chemistry('charge chemistry'),
            'powered by' => ['mains' => '\b(?:100|110|220|230)\s?-?\s?(?:240|250)?\s?v(?:ac)?\b|\bmains\b|wall (?:plug|supply|charger|adapter)|'
                .'plug-in (?:power )?supply', 'sun' => '\bsolar'],
            'power path' => [
                'no' => 'not for playing while charg|unplugging makes a gap|no output while charg|output (?:switches|goes|turns|is) off (?:when|while|'
                    .'as soon)|no (?:(?:load.?)?shar\w+|power.?path|'
                    .'pass.?through)|does(?:n\'t| not) feed|not (?:run|power|'
                    .'feed) (?:\w+ ){0,3}while (?:it )?charg|without (?:load.?shar|power.?path)|(?:load.?shar\w+|power.?path|pass.?through)\W{1,3}no\b|'
                        .'output (?:is )?off while charging|cuts? the output while',
                'yes' => 'keeps? (?:playing|running|going)[^.;]{0,30}(?:plug|charg)|pull the plug[^.;]{0,40}(?:keeps|goes on|stays)|side (?:fill|'
                    .'charge)\W? ?side (?:put|use|discharge)|(?:gives|feeds|powers|runs|'
                    .'supplies)[^.;]{0,30}while (?:it )?charg|power.?path|power (?:goes|passes) through|'
                    .'works while (?:it )?charg|load.?shar\w+|shares the load|pass.?through|'
                    .'feeds? the (?:console|\bload) while|while (?:it )?charg\w+,? (?:no blip|'
                    .'without|the output stays|works)|same time|while plugged in|output stays (?:on|up|alive)|(?:also|even) (?:during|while) charging|'
                    .'during charging|'
                        .'play (?:and|'
                        .'while) (?:it |you )?charg|(?:use|used|usable) (?:it )?while (?:it )?(?:is )?charging|does feed|charge.and.play|simultaneous',
            ],
            'charger type' => ['switching' => 'switch(?:ing|ed)?[ -](?:mode|type|charger|converter|buck)|buck (?:charger|type|switching)|switching',
                'linear' => '\blinear\b'],
            'conversion' => ['buck-boost' => 'buck.?boost|up.?(?:and|\/).?down', 'boost' => '\bboost|step.?up|makes 5[\d.]* ?v out of (?:the|one|'
                .'a) (?:single )?cell'],
        ];
    }

    /** @return array<string, array<string, string>> */
    private static function regulator(): array
    {
        return [
            'conversion' => [
                'buck-boost' => 'step.?up.{0,5}step.?down|buck.?\/?.?boost|step.?(?:up.?(?:and|\/).?(?:step.?)?down|down.?(?:and|\/).?up)|up.?(?:and|or|'
                    .'\/).?down|sepic',
                'boost' => 'aufw(?:ä|ae)rtswandler|\bboost\w*\b|step.?up\b|stepup', 'buck' => 'abw(?:ä|ae)rtswandler|\bbuck\b|(?<!\d )\bbucks\b|'
                    .'step.?down\b|stepdown|'
                    .'voltage reduc',
                'linear' => '\bldo\b|\blinear\b|low.?drop',
            ],
            'enable pin' => ['no' => 'no enable|without enable|no en\b|(?:enable|\ben)\W{1,3}(?:no|none)\b',
                'yes' => '\ben\b (?:is )?(?:pulled|tied|=)|\bshdn\b|\bon\/off (?:pin|input|pad)|\bstby pin|enable per|(?:via|by|with) en\b|\ben to (?:gnd|ground)|enable (?:pin|input|pad)|\ben (?:is )?(?:pin|low|high|pad)|pin en\b|'
                    .'has (?:an )?enable|shutdown pin|'
                    .'\benable\b'],
        ];
    }

    /** @return array<string, array<string, string>> */
    private static function controls(): array
    {
        return [
            'speaks' => [
                'bluetooth' => 'bluetooth|\bbt ?[45]\b', 'pad radio' => '2\.4 ?g(?:hz)?\b|\breceiver\b|wireless dongle',
                'membrane' => 'membrane|carbon pads|rubber (?:pads|mat)|conductive rubber',
                'usb' => '\busb\b(?! (?:charging|to charge|receiver|dongle|stick))', 'pins' => '\bi2c\b|to (?:the )?(?:gpio|pins)|\bpots?\b|matrix|'
                    .'common ground|'
                    .'analog(?:ue)? out|gpio',
            ],
            'pad mode' => [
                'keyboard' => '^\W*(?:mini |thumb |usb )*keyboard\b|(?:as|is|like) (?:a )?(?:usb )?keyboard|hid keyboard|keyboard mode|keyboard encoder',
                'pad' => '\(hid\)|hid device|(?:as|like|is an?) (?:an? |two |2 )?(?:\w+ )?(?:game ?pads?|joy ?pads?|controllers?|pads?\b|joysticks?)|'
                    .'hid (?:game ?pad|joystick)|x-?input|d-?input|recogni[sz]ed as a (?:game)?pad',
                'contacts' => 'closes a contact|only contacts|just contacts|bare contacts|(?<!\d )(?<!ribbon )\bcontacts\b|common ground|switch contacts|'
                    .'plain switches',
            ],
            'analogue triggers' => ['yes' => 'analog(?:ue)? triggers?|hall triggers?|triggers?,? \(?analog',
                'no' => 'digital triggers?|triggers? (?:are )?(?:on\/?off|digital|clicky)'],
        ];
    }

    /** @return array<string, array<string, string>> */
    private static function case(): array
    {
        return [
            'material' => ['plastic' => '\babs\b|\bpla\b|\bpetg\b|plastic|acryl\w*|polycarb\w*|nylon|\bpa12\b|\bresin\b|\basa\b|polyprop\w*|\bpp\b|\bpc(?=,| (?:shell|plastic|case))',
                'metal' => 'tinplate|\btin\b|alumin\w+|\balu\b|\bsteel\b|\bmetal\b|brass', 'wood' => '\bwood\w*|plywood|bamboo|\boak\b|walnut|\bmdf\b|'
                    .'beech', 'card' => 'cardboard',
                'glass' => '\bglass\b', 'rubber' => 'silicone|rubber'],
            'process' => [
                'printed resin' => 'resin.?print\w*|\bsla\b|\bmsla\b|printed (?:in )?resin|resin (?:shell|print)',
                'printed powder' => '\bsls\b|\bmjf\b|powder(?!.?coat)', 'printed filament' => '\bfdm\b|\bfff\b|filament|3d.?print\w*|\bprints? (?:in|on|as) |printed (?:shell|in p|'
                    .'body|'
                    .'case)|(?:petg|pla|asa) print|printed',
                'cut sheet' => 'cut sheet|laser.?cut|layered|sheets? \d|layers', 'folded metal' => 'folded|\bbent\b|sheet metal',
                'milled' => '\bmilled\b(?! out)|\bcnc\b', 'moulded' => 'mould\w*|molded|injection|gespritzt|spritzguss', 'wood' => 'plywood|bamboo|wooden|\bwood\b|\bbeech|\boak\b|walnut',
            ],
            'cuttable' => [
                'no' => '(?:do not|don\'t|cannot be|can\'t be|not to be|never) (?:drill|cut|mill|fil|saw|dremel)\w*|not cuttable|will crack',
                'yes' => 'machining ok|(?:drill|mill|file|cut|saw)\w*(?: and \w+)?(?: it)? yourself|you (?:can|may) (?:file|drill|cut|mill|saw)|(?:may|'
                    .'can) be (?:drilled|cut|milled|filed|sawn)|easy to (?:drill|cut|file)|'
                    .'cuts? (?:well|easily)|drills? (?:well|easily)|filed larger|drilled and',
            ],
        ];
    }

    /** @return array<string, array<string, string>> */
    private static function cooling(): array
    {
        return [
            'fan' => ['no' => 'no fan|without (?:a )?fan|passive', 'yes' => '\bfan\b|blower|\brpm\b'],
            'weak fan' => ['no' => 'heat ?sinks?|heat spreader'],
            'material' => ['metal' => 'alumin\w+|\balu?\b|copper|brass|\bmetal\b', 'plastic' => '\bplastic\b|\bpbt\b'],
        ];
    }

    /** @return list<Find> series and parallel */
    private function rows(Clause $clause): array
    {
        $found = [];
        $prefix = $this->role === 'charger' ? 'charge cells' : 'series';
        $isWritten = preg_match('/(?<![\w.])(\d{1,2})S(?:(\d{1,2})P)?(?!\w)/', $clause->text, $match, PREG_OFFSET_CAPTURE) === 1
            || (preg_match('/(?<![\w.])(\d{1,2})s(?:(\d{1,2})p)?(?!\w)(?! ?(?:burst|peak|\)))/', $clause->lower, $match, PREG_OFFSET_CAPTURE) === 1
                && preg_match('/(?:for|peak|under|after)\s*$|\(\s*$/', substr($clause->lower, 0, $match[0][1])) !== 1);
        if ($isWritten) {
            [$from, $to] = self::place($clause, $match[0]);
            $found[] = new Find($prefix, ['usual' => (int) $match[1][0]], $from, $to);
            if (isset($match[2]) && $this->role !== 'charger') {
                $found[] = new Find('parallel', ['usual' => (int) $match[2][0]], $from, $to);
            }
        } elseif (preg_match('/(?<![\w.])(\d)\s?s\s?(?:-|to)\s?(\d)\s?s\b/', $clause->lower, $match, PREG_OFFSET_CAPTURE) === 1
            && $this->role === 'charger') {
            [$from, $to] = self::place($clause, $match[0]);
            $found[] = new Find($prefix, ['least' => (int) $match[1][0], 'most' => (int) $match[2][0]], $from, $to);
        } elseif ($this->role === 'charger' && preg_match('/\b(\d|two|three|four) (?:lithium|li-?ion|li-?po|cells?|batter\w+)(?: \w+)? in (?:series|a row)/',
            $clause->lower, $match, PREG_OFFSET_CAPTURE) === 1) {
            [$from, $to] = self::place($clause, $match[0]);
            $found[] = new Find($prefix, ['usual' => self::number($match[1][0])], $from, $to);
        } elseif ($this->role === 'cells' && preg_match('/\b(\d|one|two|three|four|six) (?:cells )?(?:in )?parallel,? (?:and )?(\d|one|two|three|four|'
            .'six) (?:cells )?(?:in )?series/',
            $clause->lower, $match, PREG_OFFSET_CAPTURE) === 1) {
            [$from, $to] = self::place($clause, $match[0]);
            $found[] = new Find('parallel', ['usual' => self::number($match[1][0])], $from, $to);
            $found[] = new Find('series', ['usual' => self::number($match[2][0])], $from, $to);
        } elseif ($this->role === 'charger' && preg_match('/\b(\d) ?(?:to|-) ?(\d) cells/', $clause->lower, $match, PREG_OFFSET_CAPTURE) === 1) {
            [$from, $to] = self::place($clause, $match[0]);
            $found[] = new Find($prefix, ['least' => (int) $match[1][0], 'most' => (int) $match[2][0]], $from, $to);
        } elseif ($this->role === 'charger' && preg_match('/\b(\d|one|single|two|three|four)[- ](?:\S+ (?:or \S+ )?)?(?:cells?\b(?! is| low| when)|18650|'
            .'21700|lipo\b)/', $clause->lower, $match, PREG_OFFSET_CAPTURE) === 1) {
            [$from, $to] = self::place($clause, $match[0]);
            $found[] = new Find($prefix, ['usual' => self::number($match[1][0])], $from, $to);
        } elseif ($this->role === 'cells' && preg_match('/\b(\d{1,2}) ?x ?(?:aaa?|[cd])\b(?=.*(?:holder|series|together))/', $clause->lower, $match,
            PREG_OFFSET_CAPTURE) === 1) {
            [$from, $to] = self::place($clause, $match[0]);
            $found[] = new Find('series', ['usual' => (int) $match[1][0]], $from, $to);
        } elseif ($this->role === 'cells' && preg_match('/\b(\d|two|three|four|five|six) ?x? ?(?:cells?|18650s?|21700s?|of (?:them|these)) in (?:series|'
            .'a row)/', $clause->lower,
            $match, PREG_OFFSET_CAPTURE) === 1) {
            [$from, $to] = self::place($clause, $match[0]);
            $found[] = new Find('series', ['usual' => self::number($match[1][0])], $from, $to);
        }

        return $this->role === 'cells' ? [...$found, ...$this->besides($clause, $found !== [])] : $found;
    }

    /** @return list<Find> strings side by side, and the charges that cells have been through */
    private function besides(Clause $clause, bool $isSaid): array
    {
        $found = [];
        if (preg_match('/\b(two|three|four|[2-4])(?: of them|'
            .' cells)? side by side\b/', $clause->lower, $match, PREG_OFFSET_CAPTURE) === 1) {
            [$from, $to] = self::place($clause, $match[0]);
            $found[] = new Find('parallel', ['usual' => self::number($match[1][0])], $from, $to);
        }
        if (! $isSaid && $found === [] && preg_match('/(?<![\w.-])([2-9])p\b/', $clause->lower, $match, PREG_OFFSET_CAPTURE) === 1
            && $clause->says('/mah|\bah\b|cells?\b/')) {
            [$from, $to] = self::place($clause, $match[0]);
            $found[] = new Find('parallel', ['usual' => (int) $match[1][0]], $from, $to);
        }
        if (preg_match('/\b(?:ca\.? |about |approx\.? |~)?(\d{1,4}) (?:full )?(?:charges|(?:charge[- ]?)?cycles)\b(?: on it|'
            .' so far| used|'
            .' done)?/', $clause->lower, $match, PREG_OFFSET_CAPTURE) === 1
            && (preg_match('/so far|on (?:it|them)|used|\bhas (?:been|seen)|been through|counter|\bdone\b/', $clause->lower) === 1
                || (preg_match('/^(?:ca|about|approx|~)/', $match[0][0]) === 1 && preg_match('/life|promis|\brated|guarant|\bup to|>|'
                .'\+/', $clause->lower) !== 1))) {
            [$from, $to] = self::place($clause, $match[0]);
            $found[] = new Find('cycles so far', ['usual' => (int) $match[1][0]], $from, $to);
        }

        return $found;
    }

    /**
     * @param  array{string, int}  $match
     * @return array{int, int}
     */
    private static function place(Clause $clause, array $match): array
    {
        return [$clause->start + $match[1], $clause->start + $match[1] + strlen($match[0])];
    }

    private static function counted(Clause $clause, string $what, int $number, string $match, int $at): Find
    {
        return new Find($what, ['usual' => $number], $clause->start + $at, $clause->start + $at + strlen($match));
    }

    /** How many a digit or a small number word says. */
    private static function number(string $word): int
    {
        return self::NUMBERS[$word] ?? (int) $word;
    }

    /** @return list<Find> */
    private function buttons(Clause $clause): array
    {
        $found = [];
        $count = self::COUNT;
        $text = $clause->lower;
        $add = static function (string $what, int $number, string $match, int $at) use (&$found, $clause): void {
            $found[] = self::counted($clause, $what, $number, $match, $at);
        };
        if (preg_match("/(?:\b{$count} )?(?:\bcross\b(?! ?over)|d-?pads?\b|direction(?:al)? pad|joystick,? (?:8|eight|4|four)[- ]way|"
            ."(?:ball.?top )?lever\b|\b(?:4|four|8|"
            .'eight)[- ]way (?:pad|cross)|arcade (?:stick|'
            ."joystick)|\b(?:eight|8|four|4).way (?:lever|"
            .'joystick|stick|switch))/',
            $text, $match, PREG_OFFSET_CAPTURE | PREG_UNMATCHED_AS_NULL) === 1 && ! str_contains($text, 'no d-pad')) {
            $add('d-pads', ($match[1][0] ?? null) === null ? 1 : max(1, self::number((string) $match[1][0])), (string) $match[0][0], (int) $match[0][1]);
        }
        $total = 0;
        $first = null;
        if (preg_match_all("/\b{$count}[- ](?:(?:\d+ ?mm|face|action|shoulder|menu|side|front|fire|top|round|tact|arcade|extra|system|function|clicky|"
            .'rubber|big|'
            ."small) )*(?:push ?)?(?:buttons?|keys?|(?<=tact )switches)\b/", $text, $all, PREG_SET_ORDER | PREG_OFFSET_CAPTURE) > 0) {
            foreach ($all as $match) {
                if (preg_match('/bag|pack|set of|pcs/', $clause->before($match[0][1], 10)) === 1 || preg_match('/^\s*(?:each|for (?:bright|volume))/',
                    $clause->after($match[0][1] + strlen($match[0][0]), 16)) === 1) {
                    continue;
                }
                $total += self::number($match[1][0]);
                $first ??= $match[0];
            }
        }
        if ($first !== null && preg_match_all("/\b{$count} (?:action|face|shoulder|front|fire)\b(?! (?:push )?buttons)/", $text, $kinds,
            PREG_SET_ORDER) > 0) {
            foreach ($kinds as $kind) {
                $total += self::number($kind[1]);
            }
        }
        $hasNamed = preg_match_all('/(?<=[ ,(\/])(?:start|select|home|mode|turbo|menu)\b/', $text, $named);
        $letters = preg_match_all('/(?<=[ ,(\/])(?:[ABXY]|[LR][12]?)(?=[ ,)\/]|$)/', $clause->text, $letter);
        if ($first !== null && preg_match('/\d buttons? ?\([^)]*[a-z]{3}/', $text) === 1 && preg_match('/\) ?(?:,|and|\+) ?(?:start|select)/', $text) !== 1) {
            $add('buttons', $total, $first[0], $first[1]);
        } elseif ($first !== null) {
            $add('buttons', $total + (preg_match('/buttons?(?: \([^)]*\))?[^(]*(?:,|and|\+) ?(?:start|select)/', $text) === 1 ? $hasNamed : 0), $first[0],
                $first[1]);
        } elseif (preg_match_all("/\b{$count} (?:action|face|shoulder|front|fire)\b/", $text, $kinds, PREG_SET_ORDER | PREG_OFFSET_CAPTURE) > 0) {
            $sum = 0;
            foreach ($kinds as $kind) {
                $sum += self::number($kind[1][0]);
            }
            $add('buttons', $sum + $hasNamed, $kinds[0][0][0], $kinds[0][0][1]);
        } elseif ($letters >= 2) {
            preg_match('/(?<=[ ,(\/])[ABXYLR](?=[ ,)\/]|$)/', $clause->text, $match, PREG_OFFSET_CAPTURE);
            $add('buttons', $letters + $hasNamed, $match[0][0] ?? '', $match[0][1] ?? 0);
        }

        return [...$found, ...$this->otherControls($clause)];
    }

    /** @return list<Find> sticks, triggers, knobs and players */
    private function otherControls(Clause $clause): array
    {
        $found = [];
        if (preg_match('/\b(?:for|holds?|fits?|\btakes?|stretch\w*)\b[^.;\d]{0,24}\b(?:phones?|devices?|tablets?)\b[^.;\d]{0,16}(\d{2,3}) ?(?:mm ?)?(?:to|-|'
            .'–) ?(\d{2,3}) ?mm/u',
            $clause->lower, $match, PREG_OFFSET_CAPTURE) === 1) {
            [$from, $to] = self::place($clause, $match[0]);
            $found[] = new Find('holds length', ['least' => (float) $match[1][0], 'most' => (float) $match[2][0]], $from, $to);
        }
        $count = self::COUNT;
        $text = $clause->lower;
        $add = static function (string $what, int $number, string $match, int $at) use (&$found, $clause): void {
            $found[] = self::counted($clause, $what, $number, $match, $at);
        };
        if (preg_match("/(?:\b{$count} )?(?:analog(?:ue)? |thumb |slide |hall )*(?:thumb ?)?(?<!joy)(?:sticks?|thumbsticks?|joysticks?)\b(?!-on)/", $text,
            $match, PREG_OFFSET_CAPTURE | PREG_UNMATCHED_AS_NULL) === 1
            && preg_match('/\bno\s+$|arcade |way $/', substr($text, 0, (int) $match[0][1])) !== 1
                && preg_match('/analog|thumb|slide|hall|sticks|^\s*(?:two|one|2|1) stick/', (string) $match[0][0]) === 1) {
            $isMany = ($match[1][0] ?? null) === null && str_ends_with((string) $match[0][0], 's');
            $add($isMany ? 'weak sticks' : 'sticks', ($match[1][0] ?? null) === null ? ($isMany ? 2 : 1) : self::number((string) $match[1][0]),
                (string) $match[0][0], (int) $match[0][1]);
        }
        if (preg_match("/\b{$count} (?:analog(?:ue)? |digital |hall )?triggers?\b/", $text, $match, PREG_OFFSET_CAPTURE) === 1
            || preg_match('/triggers? \(x?(\d)\)/', $text, $match, PREG_OFFSET_CAPTURE) === 1) {
            $add('triggers', self::number($match[1][0]), $match[0][0], $match[0][1]);
        }
        if (preg_match('/(?<!\w )\brotary (?:knob|encoder)\b/', $text, $match, PREG_OFFSET_CAPTURE) === 1) {
            $add('knobs', 1, $match[0][0], $match[0][1]);
        } elseif (preg_match("/\b{$count} (?:rotary |volume )?(?:knobs?|encoders?|spinners?|wheels?)\b/", $text, $match, PREG_OFFSET_CAPTURE) === 1) {
            $add('knobs', self::number($match[1][0]), $match[0][0], $match[0][1]);
        }
        if (preg_match("/\b{$count} players?\b/", $text, $match, PREG_OFFSET_CAPTURE) === 1) {
            $add('players', self::number($match[1][0]), $match[0][0], $match[0][1]);
        }

        return $found;
    }

    /** @return list<Find> channels of an amplifier; a loudspeaker has none */
    private function channels(Clause $clause): array
    {
        if (preg_match('/^channels?$/', $clause->label) === 1 && preg_match('/^\s*([12])\b/', $clause->text, $match, PREG_OFFSET_CAPTURE) === 1) {
            return [new Find('amp channels', ['usual' => (int) $match[1][0]], $clause->start, $clause->start + strlen(rtrim($clause->text)))];
        }
        $patterns = ['2' => '\bstereo (?:amp|class|digital|board|power)\w*|\bstereo\b(?! jack| plug| socket|,| you)|two (?:sound road|channels)|\b2 ?(?:x|'
            .'\*) ?\d+(?:[.,]\d+)? ?w\b|\bdual channel|two.channel|per (?:side|channel)|2 channels|2-channel|\d+ ?w ?\+ ?\d+ ?w',
            '1' => '\bmono\b(?!chrome)|single channel|1 channel|one channel'];
        foreach ($patterns as $channels => $pattern) {
            if (preg_match("/{$pattern}/", $clause->lower, $match, PREG_OFFSET_CAPTURE) === 1 && preg_match('/(?:for|need two for|two for)\s*$/',
                substr($clause->lower, 0, $match[0][1])) !== 1) {
                return [new Find('amp channels', ['usual' => (int) $channels], $clause->start + $match[0][1],
                    $clause->start + $match[0][1] + strlen($match[0][0]))];
            }
        }

        return [];
    }

    /** @return list<Find> */
    private function threads(Clause $clause): array
    {
        // In a name it stands between other words with capitals: "Model M2 Quad".
        $name = '(?<=[a-z] )(?-i:M)\d (?-i:(?=[A-Z]))(?!\w+ ?[x×]|hole|screw)';
        if (! in_array($this->role, ['board', 'display', 'case', 'regulator', 'charger', 'sound'], true)
            || preg_match("/\"[^\"]{0,24}\"(*SKIP)(*F)|(?:{$name})(*SKIP)(*F)|(?<![\\w.\\/])m(1[.,]6|2[.,]5|2|3|4)(?:\\b|"
            .'(?=x\\d))(?![.,]\\d)(?!\\.2)/i', $clause->text, $match,
                PREG_OFFSET_CAPTURE) !== 1
            || preg_match('/^\s*(?:slot|key|ssd|socket)/', $clause->after($match[0][1] + strlen($match[0][0]), 8)) === 1) {
            return [];
        }
        if (! $clause->isAbout('/hole|screw|mount|thread|fasten|insert|take|bolt|spacer|post|\d/')) {
            return [];
        }

        return [new Find('thread', ['is' => 'M'.str_replace(',', '.', $match[1][0])], $clause->start + $match[0][1],
            $clause->start + $match[0][1] + strlen($match[0][0]))];
    }
}
