<?php

declare(strict_types=1);

namespace PocketPlot\Clipping;

/**
 * A pasted text in plain signs: every sign stands for one sign of the original, so that places in it are places in the
 * original. Full-width and eastern figures become plain ones, all kinds of spaces, dashes, crosses and quotes one kind each,
 * tags of a web page blanks.
 */
final readonly class Plain
{
    private const SIGNS = [
        "\u{00A0}" => ' ', "\u{2007}" => ' ', "\u{2008}" => ' ', "\u{2009}" => ' ', "\u{200A}" => ' ', "\u{202F}" => ' ', "\u{2002}" => ' ',
        "\u{2003}" => ' ', "\u{3000}" => ' ', "\u{200B}" => ' ', "\u{200E}" => ' ', "\u{200F}" => ' ', "\u{202A}" => ' ', "\u{202B}" => ' ',
        "\u{202C}" => ' ', "\u{202D}" => ' ', "\u{202E}" => ' ', "\u{2066}" => ' ', "\u{2067}" => ' ', "\u{2069}" => ' ', "\u{FEFF}" => ' ',
        '−' => '-', '–' => '-', '—' => '-', '‒' => '-', '‐' => '-', '‑' => '-', '×' => 'x', '✕' => 'x', '⨯' => 'x', '∗' => '*', '＊' => '*',
        "''" => '" ', 'C5A' => 'C  ', '″' => '"', '“' => '"', '”' => '"', '„' => '"', '′' => "'", '’' => "'", '‘' => "'", 'µ' => 'u', 'μ' => 'u', 'Ω' => 'Ω',
        '⎓' => ' ',
        '∼' => '~',
        '￥' => '¥', '≦' => '≤', '≧' => '≥', '，' => ',', '。' => '.', '、' => ',', '℃' => '°', '⇒' => '=', '→' => '>',
    ];

    /** @param  ?string  $whole  the plain text, where some of it was blanked out since, in as many bytes */
    private function __construct(public string $text, public string $lower, private ?string $whole = null) {}

    public static function of(string $text): self
    {
        $text = mb_scrub(strtr($text, ["\r\n" => " \n", "\r" => "\n"]), 'UTF-8');
        $text = strtr($text, self::SIGNS + self::figures());
        $blank = static fn (array $found): string => (string) preg_replace('/[^\n]/u', ' ', is_string($found[0]) ? $found[0] : '');
        $text = (string) preg_replace_callback('#<(script|style)\b.*?</\1\s*>|</?[a-z!][^<>\n]{0,400}>#isu', $blank, $text);

        return new self($text, strtolower($text));
    }

    /** The same with some of it blanked out, in as many bytes. */
    public function with(string $text): self
    {
        return new self($text, strtolower($text), $this->whole ?? $this->text);
    }

    /** Where in the original, in signs, a place in this text in bytes is. */
    public function place(int $byte): int
    {
        return mb_strlen(substr($this->whole ?? $this->text, 0, $byte), 'UTF-8');
    }

    /** @return array<string, string> full-width signs and eastern figures */
    private static function figures(): array
    {
        $map = ["\u{066B}" => '.'];
        for ($sign = 0x21; $sign <= 0x7E; $sign++) {
            $map[mb_chr($sign + 0xFEE0, 'UTF-8')] = chr($sign);
        }
        for ($figure = 0; $figure <= 9; $figure++) {
            foreach ([0x0660, 0x06F0, 0x0966] as $zero) {
                $map[mb_chr($zero + $figure, 'UTF-8')] = (string) $figure;
            }
        }

        return $map;
    }
}
