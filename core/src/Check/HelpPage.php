<?php

declare(strict_types=1);

namespace PocketPlot\Check;

/** The page that explains a rule: a title, then sections of paragraphs. Written in core/help, one page a rule. */
final readonly class HelpPage
{
    /** @param  array<string, list<string>>  $sections  heading => paragraphs */
    private function __construct(public string $title, public array $sections) {}

    /** Reads "# title", "## heading" and paragraphs parted by blank lines. */
    public static function parse(string $text): self
    {
        $title = '';
        $heading = null;
        $sections = [];
        foreach (preg_split('/\n\s*\n/', trim($text)) ?: [] as $block) {
            $block = trim($block);
            if (str_starts_with($block, '## ')) {
                $heading = trim(substr($block, 3));
                $sections[$heading] = [];
            } elseif (str_starts_with($block, '# ')) {
                $title = trim(substr($block, 2));
            } elseif ($heading !== null && $block !== '') {
                $sections[$heading][] = (string) preg_replace('/\s+/', ' ', $block);
            }
        }

        return new self($title, $sections);
    }

    /** @return array{title: string, sections: list<array{heading: string, paragraphs: list<string>}>} */
    public function toArray(): array
    {
        return ['title' => $this->title, 'sections' => array_map(
            static fn (string $heading, array $paragraphs): array => ['heading' => $heading, 'paragraphs' => $paragraphs],
            array_keys($this->sections), array_values($this->sections),
        )];
    }
}
