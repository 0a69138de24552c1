<?php

declare(strict_types=1);

namespace PocketPlot\Clipping;

/** What a packet costs, and how many pieces are in it. */
final readonly class Prices
{
    private const CURRENCIES = [
        'AUD' => 'au ?\$|a\$|aud', 'CAD' => 'ca ?\$|c\$|cad', 'NZD' => 'nz ?\$|nzd', 'EUR' => '€|eur|euros?', 'USD' => 'us ?\$|\$|usd|dollars?|bucks', 'GBP' => '£|gbp|pounds?|quid', 'CHF' => 'chf|franken', 'PLN' => 'pln|zł|zl',
        'SEK' => 'sek|kr(?= ?\(sek\))|kr', 'NOK' => 'nok', 'DKK' => 'dkk', 'CZK' => 'czk|kč', 'JPY' => '¥|jpy|yen', 'HUF' => 'huf|ft(?= )',
    ];

    private const NUMBERS = ['one' => 1, 'a' => 1, 'two' => 2, 'pair' => 2, 'both' => 2, 'three' => 3, 'four' => 4, 'five' => 5, 'six' => 6, 'eight' => 8,
        'ten' => 10,
        'twelve' => 12, 'twenty' => 20, 'dozen' => 12];

    /** A sum that is not what the part costs: post, what it cost once, what another costs, more pieces. */
    private const NOT_THE_PRICE = '/\bpost(?:age)?\b|shipping|\bship\b|p ?& ?p|delivery|\bwas\b|\bold price|instead of|\bsav(?:e|ing)|\brrp\b|\bmsrp|'
        .'list price|retail|normally|regular(?:ly)?|\bnew for\b|originally|cost me|before\b|surcharge|extra|\bplus\b|\bmore$|deposit|voucher|coupon|off$|'
            .'insurance|customs|\bvat only|cost new|new (?:it )?(?:was|cost)/';

    /** Behind a number of pieces: no sum of their own, and no "or more". */
    private const NO_OTHER_SUM = '(?!\s*(?:for|pcs|pc|stk|pieces)?\W{0,3}(?:[€$£¥]|(?:us|au|eur|usd|gbp|chf)\b|\d+(?:[.,]\d+)? ?(?:[€$£¥]|eur|usd|gbp|chf)))'
        .'(?!\s*(?:pcs|pc|stk|pieces)?\s*(?:\+|or more|and more|and up))';

    /** What comes several to a part and is no packet of parts: lamps, screws, feet. */
    private const OF_THE_PART = '/(?:\bleds?|lamps?|lights?|screws?|spacers?|stands?|feet|holes?|buttons?|keys?|pins?|cells?|slots?|channels?|moq|min(?:imum)?'
        .'(?: order)?|from|\bab|over|up to|stock\W{0,2}|available\W{0,2})\W{0,2}(?:x ?)?$/';

    /**
     * @param  list<Clause>  $clauses
     * @return array{list<Find>, array<int, list<array{int, int}>>} finds, and by clause the stretches that hold money
     */
    public function of(array $clauses): array
    {
        $found = $taken = [];
        foreach ($clauses as $index => $clause) {
            $sums = $this->sums($clause);
            foreach ($sums === [] ? $this->bareSums($clause) : $sums as [$amount, $currency, $from, $to]) {
                $taken[$index][] = [$from, $to];
                if ($this->isThePrice($clause, $from, $to)) {
                    $found[] = [$clause, $amount, $currency, $from, $to];
                }
            }
        }
        $packet = $this->packet($clauses);
        $finds = $clauseOf = [];
        $isSaid = array_filter($found, fn (array $one): bool => ($this->packetBeside($one[0], $one[3], $one[4]) ?? 1) > 1) !== [];
        foreach ($found as [$clause, $amount, $currency, $from, $to]) {
            $own = $this->packetBeside($clause, $from, $to);
            // A packet that another sum is for says nothing of this one.
            $pieces = $own ?? ($isSaid ? 1 : $packet);
            $says = ['amount' => number_format($amount, 2, '.', ''), ...($currency === '' ? [] : ['currency' => $currency]), 'packet' => $pieces];
            $find = new Find('price', $says, $clause->start + $from, $clause->start + $to);
            // In which money, nobody says: it is shown, and taken when the builder says so.
            $find = $currency === '' ? $find->unsure() : $find;
            // One price a size of packet: the first one that is said; two in one breath are two versions.
            $before = $finds[$pieces] ?? null;
            $finds[$pieces] = $before === null ? $find : ($clauseOf[$pieces] === $clause && $before->says['amount'] !== $find->says['amount']
                ? $before->unsure() : $before);
            $clauseOf[$pieces] ??= $clause;
        }
        // Ten for less than one: what each costs from ten on.
        $one = (float) ($finds[1]->says['amount'] ?? 0);
        $finds = array_filter($finds, static fn (Find $find, int $pieces): bool => $pieces < 2 || (float) $find->says['amount'] > $one,
            ARRAY_FILTER_USE_BOTH);
        if ($finds === [] && $packet > 1) {
            return [[new Find('packet', ['usual' => $packet], $clauses[0]->start, $clauses[0]->start + strlen($clauses[0]->text))], $taken];
        }
        if (count($finds) > 1 && isset($finds[$packet]) && $packet > 1 && ($clauseOf[1] ?? null) !== $clauseOf[$packet]) {
            $finds = [$finds[$packet]];
        }

        return [array_values($finds), $taken];
    }

    /**
     * Sums without a currency, where the words leave no doubt that they are sums: "1.50 each", "3,- for one", "want 45 ono", "price 64.90".
     *
     * @return list<array{float, string, int, int}> as sums() gives them
     */
    private function bareSums(Clause $clause): array
    {
        $cents = '\d{1,4}[.,]\d{2}(?![\d.,]|\s?(?:mm|cm|v|ma|a|w|g|kg|wh|mah|x|%|ohm|hz)\b)';
        $round = '\d{1,4}(?![\d.,]|\s?(?:mm|cm|v|ma|a|w|g|kg|wh|mah|x|%|ohm|hz|px|pin|inch)\b)';
        $patterns = [
            "/(?<![\w.,])(\d{1,4})[.,]-(?=\W|$)/",
            "/(?<![\w.,])({$cents}|{$round})\s?(?:o\.?n\.?o\b|obo\b|vb\b|vhb\b|fixed price|firm\b)/",
            "/(?<![\w.,])({$cents})\s?(?:each|apiece|a piece|per piece|\/ ?pc|the (?:set|lot|pack|bag|pair)|for (?:one|two|three|four|five|six|all|the|\d+\b)|"
                .'all in|incl(?:uding|\.)?\b|posted|shipped|shipping incl)/',
            "/(?<![\w.,])(?:\d{1,3}|two|three|four|five|ten) for ({$cents})/",
            "/(?:bag|pack|packet|set|strip|reel)s? of \d+\W{1,3}({$cents})/",
            "/(?<![\w.,])\d+ ?(?:pcs|pc|pieces|stk)\W{1,3}({$cents})/",
            "/(?:asking|\bwants?|\bpreis|\bcosts?|\bprice(?: as shown| now)?|sells? (?:for|at))\W{1,3}(?:is |only |about )?({$cents}|{$round})/",
            "/(?:all (?:\w+ )?|the lot |everything |both )for ({$cents}|{$round})/",
            "/^\W*({$cents})\W*$/",
        ];
        if (preg_match('/^(?:unit |sale |our )?(?:price|preis|costs?)\b/', $clause->label) === 1) {
            $patterns[] = "/^\W*({$cents}|{$round})\b/";
        }
        $sums = [];
        foreach ($patterns as $pattern) {
            if (preg_match_all($pattern, $clause->lower, $all, PREG_SET_ORDER | PREG_OFFSET_CAPTURE) < 1) {
                continue;
            }
            foreach ($all as $match) {
                $from = $match[1][1];
                $to = $from + strlen($match[1][0]);
                if (array_filter($sums, static fn (array $one): bool => $from < $one[3] && $to > $one[2]) === []) {
                    $sums[] = [$this->money($match[1][0]), '', $from, $to];
                }
            }
        }
        usort($sums, static fn (array $a, array $b): int => $a[2] <=> $b[2]);

        return $sums;
    }

    /** @return list<array{float, string, int, int}> amount, currency, from, to */
    private function sums(Clause $clause): array
    {
        $sums = [];
        if (preg_match('/[€$£¥]|\d|\bzł|quid|pound|euro|dollar|bucks|fiver|tenner/u', $clause->lower) !== 1 || preg_match('/[€$£¥]|eur|usd|dollar|bucks|'
            .'gbp|pound|quid|chf|frank|fiver|tenner|pln|z[łl]\b|sek\b|aud|cad|nzd|'
            .'\bkr\b|nok|dkk|czk|kč|jpy|yen|huf|\bft\b/u', $clause->lower) !== 1) {
            return [];
        }
        $number = Amounts::NUMBER;
        foreach (self::CURRENCIES as $currency => $signs) {
            $pattern = "@(?<![a-z])(?:{$signs})\s?(?<a>{$number})(?:[.,]-)?(?!\s?(?:mm|v\b|ma\b|w\b|pcs))|"
                ."(?<![\w.,])(?<b>{$number})(?:[.,]-)?\s?(?:in )?(?:{$signs})(?![a-z])(?!(?<=[€\$£¥])\s?\d)@iu";
            if (preg_match_all($pattern, $clause->lower, $all, PREG_SET_ORDER | PREG_OFFSET_CAPTURE | PREG_UNMATCHED_AS_NULL) > 0) {
                foreach ($all as $match) {
                    $from = $match[0][1];
                    $text = (string) ($match['a'][0] ?? $match['b'][0]);
                    foreach ($sums as $known) {
                        if ($from < $known[3] && $from + strlen((string) $match[0][0]) > $known[2]) {
                            continue 2;
                        }
                    }
                    $to = $from + strlen((string) $match[0][0]);
                    // "2 euro 50"
                    $isSpoken = preg_match('/(?:eur|euros?|quid|pounds?|dollars?|franken)$/', (string) $match[0][0]) === 1
                        && preg_match('/^ (\d{2})(?!\d|[.,]\d|\s?(?:pcs|pieces|mm|v|ma|a|g)\b)/', substr($clause->lower, $to), $cents) === 1;
                    $sums[] = [$this->money($text) + ($isSpoken ? (int) $cents[1] / 100 : 0.0), $currency, $from, $isSpoken ? $to + 3 : $to];
                }
            }
        }
        foreach ($this->spelled($clause) as $one) {
            if (array_filter($sums, static fn (array $sum): bool => $one[2] < $sum[3] && $one[3] > $sum[2]) === []) {
                $sums[] = $one;
            }
        }
        usort($sums, static fn (array $a, array $b): int => $a[2] <=> $b[2]);
        // "15 eur, 2 for 25": the second sum is in the same money.
        $two = "/\b(?:\d+|two|three|four) for ({$number})(?!\s*(?:mm|v|a|w|g)\b)|(?:\b(?:or|and)|,) ({$number})(?= for (?:the (?:two|pair|three|four|lot)|both|"
            .'all))/';
        if ($sums !== [] && preg_match($two, $clause->lower, $match, PREG_OFFSET_CAPTURE | PREG_UNMATCHED_AS_NULL) === 1) {
            [$said, $from] = [(string) $match[0][0], (int) $match[0][1]];
            $isNew = array_filter($sums, static fn (array $sum): bool => $sum[2] < $from + strlen($said) && $sum[3] > $from) === [];
            if ($isNew) {
                $sums[] = [$this->money((string) ($match[1][0] ?? $match[2][0])), $sums[0][1], $from, $from + strlen($said)];
            }
        }

        return $sums;
    }

    /** @return list<array{float, string, int, int}> "six quid", "a fiver", as sums() gives them */
    private function spelled(Clause $clause): array
    {
        $words = ['two' => 2, 'three' => 3, 'four' => 4, 'five' => 5, 'six' => 6, 'seven' => 7, 'eight' => 8, 'nine' => 9, 'ten' => 10, 'twelve' => 12,
            'fifteen' => 15, 'twenty' => 20, 'thirty' => 30, 'forty' => 40, 'fifty' => 50];
        $names = implode('|', array_keys($words));
        $found = [];
        if (preg_match_all("/\b(?:({$names}) (quid|pounds?|euros?|dollars?|bucks)|a (fiver|tenner))\b/", $clause->lower, $all,
            PREG_SET_ORDER | PREG_OFFSET_CAPTURE | PREG_UNMATCHED_AS_NULL) > 0) {
            foreach ($all as $match) {
                $note = (string) ($match[3][0] ?? '');
                $currency = match (true) {
                    $note !== '', preg_match('/quid|pound/', (string) $match[2][0]) === 1 => 'GBP',
                    str_starts_with((string) $match[2][0], 'euro') => 'EUR',
                    default => 'USD',
                };
                $found[] = [(float) ($note === '' ? ($words[(string) $match[1][0]] ?? 0) : ['fiver' => 5, 'tenner' => 10][$note]), $currency,
                    (int) $match[0][1],
                    (int) $match[0][1] + strlen((string) $match[0][0])];
            }
        }

        return $found;
    }

    private function money(string $text): float
    {
        // Cents are two figures behind a point or a comma; anything else parts thousands.
        if (preg_match('/^(.*?)[.,](\d{2})$/', str_replace([' ', "'"], '', $text), $found) === 1) {
            return (float) (preg_replace('/\D/', '', $found[1]).'.'.$found[2]);
        }

        return preg_match('/^\d+[.,]\d$/', $text) === 1 ? (float) str_replace(',', '.', $text) : (float) preg_replace('/\D/', '', $text);
    }

    private function isThePrice(Clause $clause, int $from, int $to): bool
    {
        $before = ($from < 12 && $clause->label !== '' ? substr($clause->label, -28).': ' : '').$clause->before($from, 28);
        $cut = max((int) strrpos($before, ','), (int) strrpos($before, ')'), (int) strrpos($before, '-'));
        $near = substr($before, $cut);
        $after = $clause->after($to, 16);
        $isForMore = preg_match('/(?<!\d)(?:[2-9]|\d{2,})\s?-\s?\d+ ?(?:pcs|pc|pieces?|units)?\.?\W*$/', $before) === 1 || preg_match('/\d+ ?(?:pcs|'
            .'pieces?|pc|stk|off|units)?\.? (?:up|and up|and more|or more|'
            .'plus)\W*$/', $near) === 1 || preg_match('/(?:\bfrom|\bab|≥|>|'
            .'\bover) ?\d+ ?(?:pcs|pc|pieces|off|stk|units)?\.?\W*$/', $near) === 1
            || preg_match('/^\s*\((?:\d{2,})\)/', $after) === 1
            || preg_match('/^\s*(?:each )?for \d+ ?\+/', $after) === 1
            || preg_match('/^\s*(?:each )?(?:from|if you (?:take|buy)|at) (?:\d+|ten|five)/', $after) === 1 || preg_match('/\d+ ?\+ ?(?:pcs)?\W*$/',
                $near) === 1;
        $isOther = preg_match('/\b(?:spare|new|second|another|matching|the (?:touch|larger|big)\w*)\s+\w+(?:s)? (?:costs?|for|is|are)\W*$/',
            $clause->before($from, 40)) === 1 || preg_match('/(?:rubbers|membranes?|cable|adapter|case|stand) costs? *$/', $clause->before($from, 40)) === 1;

        $isOld = preg_match('/^\s*(?:\xE2\x86\x92|->|=>|,|\/)?\s*(?:now|jetzt|today|reduced to)\b/', $after) === 1;

        return ! $isForMore && ! $isOther && ! $isOld && preg_match(self::NOT_THE_PRICE, $near) !== 1
            && preg_match('/^\s*(?:off\b|more\b|extra|shipping(?! (?:is )?incl)|post(?:age)?\b(?! (?:is )?incl)|p&p|discount|less\b|voucher)/', $after) !== 1
            && ! $clause->isOfAnother($from);
    }

    private function packetBeside(Clause $clause, int $from, int $to): ?int
    {
        $words = '\d+|one|two|both|three|four|five|six|eight|ten|twelve|twenty';
        $near = substr($clause->lower, max(0, $from - 30), min(30, $from)).' # '.$clause->after($to, 24);
        $match = match (true) {
            preg_match('/(?<!\d)1\s?-\s?\d+ ?(?:pcs|pc|pieces|units)?\.?\W*# /', $near) === 1 => '1',
            preg_match("/# \W*for all ({$words})\b/", $near, $found) === 1 => $found[1],
            preg_match("/\ball ({$words}) for\W*# /", $near, $found) === 1 => $found[1],
            preg_match('/# \W*(?:the lot|for the lot|for everything)/', $near) === 1 => '1',
            preg_match("/({$words}) for\W*(?:us ?)?\W*# /", $near, $found) === 1 => $found[1],
            preg_match("/({$words}) for /", substr($clause->lower, $from, $to - $from), $found) === 1 => $found[1],
            preg_match("/(?:price )?for ({$words})\W{1,3}# /", $near, $found) === 1 => $found[1],
            preg_match("/({$words}) ?(?:pcs|pieces|pc|stk|units|off)\b[ .:,=>]*(?:for|price|only|at)?\W*(?:us ?)?# /", $near, $found) === 1 => $found[1],
            preg_match("/# \W*(?:for|per|\/) ?(?:the )?(?:bag|pack|set|lot)? ?\(?(?:of )?({$words})\b(?! ?(?:mm|v|a|days)\b)".self::NO_OTHER_SUM.'/', $near,
                $found) === 1 => $found[1],
            preg_match("/({$words}) pairs? for\W*# /", $near, $found) === 1 => (string) (2 * self::count($found[1])),
            preg_match("/({$words}) sets?\\W*# /", $near, $found) === 1 => $found[1],
            preg_match('/\bpair\b[^#]{0,10}# |# \W*(?:(?:the|a|per|for a) )?pair/', $near) === 1 => '2',
            preg_match('/# \W*(?:each|ea\b|a piece|apiece|per piece|\/ ?(?:pc|piece|st(?:ü|u)ck|unit)|pp\b|the piece)/', $near) === 1 => '1',
            default => null,
        };

        return $match === null ? null : self::count($match);
    }

    /**
     * Pieces in a packet as the whole text has it.
     *
     * @param  list<Clause>  $clauses
     */
    private function packet(array $clauses): int
    {
        $words = '\d+|two|three|four|five|six|eight|ten|twelve|twenty|a dozen';
        foreach ($clauses as $clause) {
            $text = $clause->label.' '.$clause->lower;
            if (preg_match('/\d+[ -]?(?:pcs|pack|pieces)\b\W{0,2}\?/', $text) === 1) {
                continue;
            }
            if (preg_match('/slots?\b|package includ|in the box|carton|(?:one|a|per|each) box|^pack(?:ing|age):? |in stock|\bstock\b|from \d+ p|'
                .'minimum order|\bmoq\b|sold out|per tray|shipping box/',
                $text) === 1) {
                continue;
            }
            $sets = 'bag|pack|packet|set|lot|bundle|tin|sleeve|blister|strip|reel|card|tube|bunch';
            foreach ([
                "/\b(?:value |multi|bulk )?pack\W{1,3}({$words}) (?:cells|pieces|pcs|batteries)/",
                "/\b(?:{$sets})s? (?:of|(?<=bag |pack |packet )with) (?:about )?({$words})\b(?!\.\d)/",
                "/(?<![\d.x])(?<!ab )(?<!from )\b({$words})[ -]?(?:pcs|pc|pieces|piece|pack|stk|st(?:ü|u)ck|pk|er[- ]?(?:pack|set))\b(?!\.? (?:x|and (?:more|up|above)|or more|screws|stands|"
                    .'cells? in))/',
                "/(?:qty|quantity|contents?|count)\W{1,3}({$words})\b(?! ?(?:v|a|ma|mm|w|x)\b)/",
                "/(?<![\w.])({$words}) (?:pieces|of them|boards|cells|modules|pcs)?\s?(?:[a-z]+ ){0,4}(?:per|to the|a|in (?:a|one|the|each)) (?:{$sets})\b/",
                "/\bsold (?:as|in|by(?: the)?|per) (?:(?:{$sets})s? of )?({$words})(?:'?s)?\b(?! ?(?:mm|v|a|ma|pairs?)\b)/",
                "/\bprice (?:is |holds )?for (?:a |the )?(?:(?:{$sets}) of )?({$words})\b(?! ?(?:mm|v|a|days)\b)/",
            ] as $pattern) {
                if (preg_match($pattern, $text, $found, PREG_OFFSET_CAPTURE) === 1 && self::count($found[1][0]) > 1
                    && preg_match(self::OF_THE_PART, substr($text, 0, $found[1][1])) !== 1
                    && (preg_match('/ (?:of|with) (?:about )?$/', substr($text, 0, $found[1][1])) === 1
                        || preg_match('/^'.self::NO_OTHER_SUM.'/u', substr($text, $found[1][1] + strlen($found[1][0]))) === 1)) {
                    return self::count($found[1][0]);
                }
            }
            if (preg_match('/\b(?:sold (?:as|in) (?:a )?pairs?|a pair\b(?! of)|price (?:per|for the) pair|pair of (?:them|these|cells|speakers|boards|'
                .'panels|pads|controllers|modules|batteries))|^\W*(?:(?:a|one|matched|new|used) )*pair of\b|\b(?:twin|double|duo)[- ]?pack\b/', $text) === 1) {
                return 2;
            }
        }

        return 1;
    }

    private static function count(string $word): int
    {
        return max(1, (int) (self::NUMBERS[str_replace('a ', '', $word)] ?? $word));
    }
}
