<?php

declare(strict_types=1);

namespace PocketPlot\File;

use PocketPlot\Part\FigureRef;
use PocketPlot\Quantity\BadFigure;
use PocketPlot\Quantity\Source;
use PocketPlot\Quantity\Typed;

/**
 * Where an open figure stands in a part's written form, and how it is typed. Some keys stand for several
 * figures that are measured in one go ("60 x 40 x 5 mm").
 */
final readonly class FigurePlace
{
    /** Keys that stand for several fields, in the order in which they are typed. */
    private const TOGETHER = [
        'size' => ['size', ['lengthMm', 'widthMm', 'heightMm'], 'length × width × height'],
        'body.cavity' => ['body', ['cavityLengthMm', 'cavityWidthMm', 'cavityHeightMm'], 'length × width × depth'],
        'body.bed' => ['body', ['bedLengthMm', 'bedWidthMm', 'bedHeightMm'], 'length × width × height'],
        'body.openings' => ['body', ['widthMm', 'heightMm'], 'width × height'],
        'body.post' => ['body', ['depthMm', 'clampMm', 'headAcrossMm', 'headHighMm'], 'depth × clamped × head across × head height'],
        'fastener.head' => ['fastener', ['headAcrossMm', 'headHighMm'], 'across × height'],
        'panel.pixels' => ['panel', ['widthPx', 'heightPx'], 'across × down'],
        'pack.volts' => ['pack', ['cellEmptyV', 'cellNominalV', 'cellFullV'], 'one cell, empty / nominal / full'],
    ];

    /** Keys of one field inside a list of the body. */
    private const INSIDE_BODY = ['body.openings' => 'openings', 'body.post' => 'posts', 'body.zone' => 'zones', 'body.slider' => 'sliders'];

    private const ONE_OF_BODY = ['body.zone' => 'depthMm', 'body.slider' => 'travelMm', 'body.wall' => 'wallMm', 'body.material' => 'material'];

    /**
     * @param  string|null  $list  the list inside the facet that holds the group of this name
     * @param  list<string>  $fields
     * @param  string  $kind  a unit, "px", "yes-no", "choice", "int", "text", "words" (one or several of the choices) or "connector"
     * @param  list<string>  $choices
     */
    private function __construct(
        public string $facet,
        public ?string $list,
        public string $name,
        public array $fields,
        public string $kind,
        public array $choices,
        public string $asks,
    ) {}

    /** @return ?self null when it is no matter of one field */
    public static function of(FigureRef $figure): ?self
    {
        $key = $figure->key();
        $name = $figure->name;
        $list = self::INSIDE_BODY[$key] ?? null;
        if (isset(self::TOGETHER[$key])) {
            [$facet, $fields, $asks] = self::TOGETHER[$key];

            $kind = ['pack.volts' => 'V', 'panel.pixels' => 'px'][$key] ?? 'mm';

            return new self($facet, $list, $name, $fields, $kind, [], $asks);
        }
        if ($key === 'body.material') {
            return new self('size', null, '', ['material'], 'choice', ['plastic', 'metal', 'wood', 'glass', 'card'], 'made of');
        }
        $facet = ['output' => 'outputs', 'socket' => 'sockets'][$figure->facet] ?? $figure->facet;
        $field = self::ONE_OF_BODY[$key] ?? $figure->field;
        $fields = FacetBook::facet($facet)?->fields() ?? [];
        if ($list !== null) {
            $fields = FacetBook::nested($fields[$list][2] ?? []);
        }
        $kind = $fields[$field][0] ?? null;
        if ($kind === null || (! FacetBook::isFigure($kind) && ! in_array($kind, ['yes-no', 'choice', 'int', 'text', 'words', 'connector'], true))) {
            return null;
        }
        $choices = $kind === 'yes-no'
            ? ['yes', 'no']
            : array_values(
                array_filter(
                    is_array($fields[$field][2] ?? null) ? $fields[$field][2] : [],
                    static fn (mixed $choice): bool => is_string($choice) && $choice !== '' && $choice !== 'unknown',
                ),
            );

        return new self($facet, $list, $name, [$field], $kind, array_map(strval(...), $choices), $fields[$field][1]);
    }

    /**
     * The part with what was measured written beside what was stated.
     *
     * @param  array<string, mixed>  $raw
     * @param  string  $on  the day, year-month-day
     * @return array<string, mixed>
     *
     * @throws BadFigure when the text cannot be read
     * @throws BadFile when the part has no such group any more
     */
    public function write(array $raw, string $typed, string $on): array
    {
        $values = $this->read($typed);

        return $this->each($raw, static fn (mixed $before, int $index): mixed => self::measured($before, $values[$index], $on));
    }

    /**
     * The part with each of the fields here put through something.
     *
     * @param  array<string, mixed>  $raw
     * @param  callable(mixed, int): mixed  $put
     * @return array<string, mixed>
     *
     * @throws BadFile when the part has no such group any more
     */
    private function each(array $raw, callable $put): array
    {
        $fill = function (array $group) use ($put): array {
            foreach ($this->fields as $index => $field) {
                $group[$field] = $put($group[$field] ?? null, $index);
                if ($group[$field] === null) {
                    unset($group[$field]);
                }
            }

            return $group;
        };
        $facets = self::asGroup($raw['facets'] ?? null);
        $name = $this->facetIn($facets);
        $isMany = FacetBook::isMany($name);
        $facet = self::asGroup($facets[$name] ?? null);
        if ($name === 'protector' && $facet === []) {
            // A charge board that cuts off does so for the cells that it charges.
            $charger = self::asGroup($facets['charger'] ?? null);
            $facet = array_filter(['chemistries' => $charger['chemistries'] ?? null, 'series' => $charger['seriesLeast'] ?? null]);
        }
        if ($this->list !== null) {
            $groups = self::asGroup($facet[$this->list] ?? null);
            // An opening that nobody wrote down yet is the one for this plug.
            $isThere = $this->list !== 'openings' || in_array($this->name, array_column($groups, 'name'), true);
            $groups = $isThere ? $groups : [...array_values($groups), ['name' => $this->name, 'connector' => $this->name]];
            $index = $this->indexIn($groups);
            $facet[$this->list] = [...$groups, $index => $fill(self::asGroup($groups[$index]))];
        } elseif ($isMany) {
            // A part that is known by its name only has one, whatever it is called.
            $facet = $facet === [] && $this->name === '' && $name === 'outputs' ? [['name' => 'output']] : $facet;
            $index = $this->indexIn($facet);
            $facet[$index] = $fill(self::asGroup($facet[$index]));
        } else {
            $facet = $fill($facet);
        }

        return [...$raw, 'facets' => [...$facets, $name => $facet]];
    }

    /**
     * A part's main way in stands by itself, further ones in a list: which of the two holds the one of this name.
     *
     * @param  array<array-key, mixed>  $facets
     */
    private function facetIn(array $facets): string
    {
        $isMain = $this->facet !== 'supply' || $this->name === '' || (self::asGroup($facets['supply'] ?? null)['name'] ?? '') === $this->name;

        return $isMain ? $this->facet : 'supplies';
    }

    /**
     * Whether the part's measured figures here are just what is typed.
     *
     * @param  array<string, mixed>  $raw
     */
    public function holds(array $raw, string $typed): bool
    {
        $same = true;
        $this->each($raw, function (mixed $now, int $index) use (&$same, $typed): mixed {
            $wanted = self::measured(null, $this->read($typed)[$index], '');
            $is = is_array($now) && is_array($now['measured'] ?? null) ? array_diff_key($now['measured'], ['on' => true]) : $now;
            $same = $same
                && $is == (is_array($wanted) && is_array($wanted['measured'] ?? null) ? array_diff_key($wanted['measured'], ['on' => true]) : $wanted);

            return $now;
        });

        return $same;
    }

    /**
     * The part with its measurements here taken back; what was stated counts again.
     *
     * @param  array<string, mixed>  $raw
     * @return array<string, mixed>
     */
    public function takeBack(array $raw): array
    {
        return $this->each($raw, static fn (mixed $now): mixed => is_array($now) ? array_diff_key($now, ['measured' => true]) : $now);
    }

    /**
     * The part as its sheets have it: every measurement that stands beside a stated figure taken back. What is
     * known by measurement only stays.
     *
     * @param  array<string, mixed>  $raw
     * @return array<string, mixed>
     */
    public static function asStated(array $raw): array
    {
        $facets = self::asGroup($raw['facets'] ?? null);

        return $facets === [] ? $raw : [...$raw, 'facets' => array_map(self::stated(...), $facets)];
    }

    private static function stated(mixed $value): mixed
    {
        if (! is_array($value)) {
            return $value;
        }

        return array_map(
            self::stated(...),
            isset($value['value']) || isset($value['least']) || isset($value['most']) ? array_diff_key($value, ['measured' => true]) : $value,
        );
    }

    /** @return array<array-key, mixed> */
    private static function asGroup(mixed $value): array
    {
        return is_array($value) ? $value : [];
    }

    /** @param  string|int|list<string>|array{float, float, float}  $value */
    private static function measured(mixed $before, string|int|array $value, string $on): mixed
    {
        if (! is_array($value) || ! is_float($value[0] ?? null)) {
            return $value;
        }
        $stated = is_int($before) || is_float($before) ? ['value' => $before, 'source' => Source::Listing->value] : self::asGroup($before);
        $measured = $value[0] === $value[2] ? ['value' => $value[0]] : ['least' => $value[0], 'usual' => $value[1], 'most' => $value[2]];

        return [...$stated, 'measured' => [...$measured, 'on' => $on]];
    }

    /** @return array{asks: string, unit: string, choices: list<string>} how it is asked for */
    public function toArray(): array
    {
        return ['asks' => $this->asks, 'unit' => $this->unit(), 'choices' => $this->choices];
    }

    /** The unit as it is asked for beside the field. */
    public function unit(): string
    {
        return match ($this->kind) {
            'yes-no', 'choice', 'int', 'text', 'words', 'connector' => '',
            'share' => '%',
            'mm±' => 'mm',
            default => $this->kind,
        };
    }

    /** @return list<string|int|list<string>|array{float, float, float}> one for each field */
    private function read(string $typed): array
    {
        $typed = trim($typed);
        if ($this->kind === 'int') {
            return preg_match('/^\d{1,4}$/', $typed) === 1 ? [(int) $typed] : throw new BadFigure("\"{$typed}\" is no whole number; write one such as 2");
        }
        if ($this->kind === 'words') {
            return [$this->words($typed)];
        }
        if ($this->kind === 'text' || $this->kind === 'connector') {
            return $typed !== '' && mb_strlen($typed) <= 60 ? [$typed] : throw new BadFigure('write it in up to 60 signs');
        }
        if ($this->choices !== []) {

            return in_array($typed, $this->choices, true) ? [$typed] : throw new BadFigure("\"{$typed}\" is none of ".implode(', ', $this->choices));
        }
        if (count($this->fields) === 1) {
            return [Typed::band($typed, $this->kind)];
        }
        $pieces = preg_split('/\s*[x×*\/]\s*/u', trim($typed)) ?: [];
        if ($this->kind === 'px') {
            return preg_match('/^(\d{2,5})\s*[x×*]\s*(\d{2,5})(?:\s*(?:px|pixels))?$/u', trim($typed), $found) === 1
                ? [(int) $found[1], (int) $found[2]] : throw new BadFigure("\"{$typed}\" is no number of pixels; write {$this->asks}, such as 800 × 480");
        }
        if (count($pieces) !== count($this->fields)) {
            throw new BadFigure(
                "\"{$typed}\" has "
                    .count($pieces)
                    .' of '
                    .count($this->fields)
                    ." figures; write {$this->asks}, such as "
                    .implode(' × ', array_slice(['60', '40', '5', '2'], 0, count($this->fields)))
                    .' '
                    .$this->unit(),
            );
        }
        preg_match('/[a-zA-Z"]+\s*$/', (string) end($pieces), $unit);

        return array_map(
            fn (string $piece): array => Typed::band(preg_match('/[\d.,]\s*$/', $piece) === 1 ? $piece.($unit[0] ?? '') : $piece, $this->kind),
            $pieces,
        );
    }

    /** @return list<string> */
    private function words(string $typed): array
    {
        $words = array_values(array_unique(array_filter(array_map(trim(...), explode(',', $typed)), static fn (string $word): bool => $word !== '')));
        $odd = $this->choices === [] ? [] : array_diff($words, $this->choices);

        return match (true) {
            $words === [] => throw new BadFigure('write at least one'.($this->choices === [] ? '' : ' of '.implode(', ', $this->choices))),
            $odd !== [] => throw new BadFigure('"'.implode(', ', $odd).'" is none of '.implode(', ', $this->choices)),
            default => $words,
        };
    }

    /** @param  array<array-key, mixed>  $groups */
    private function indexIn(array $groups): int|string
    {
        foreach ($groups as $index => $group) {
            $isOnly = count($groups) === 1 && $this->name === '' && $this->facet === 'outputs';
            if (is_array($group) && ($isOnly || ($group[$this->list === 'posts' ? 'pattern' : 'name'] ?? '') === $this->name)) {
                return $index;
            }
        }

        throw BadFile::at("facets/{$this->facet}", "there is nothing named \"{$this->name}\"");
    }
}
