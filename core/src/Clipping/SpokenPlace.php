<?php

declare(strict_types=1);

namespace PocketPlot\Clipping;

use PocketPlot\Part\FigureRef;
use PocketPlot\Part\Role;
use PocketPlot\Quantity\BadFigure;

/** What is no single field is said in words, and read as a text is: "2 × USB-A, mini HDMI out". */
final readonly class SpokenPlace
{
    /** Key of the figure => the facet it is written into ("" for all that is understood), how it is asked for. */
    private const OF = [
        'sockets' => ['sockets', 'its sockets, such as "2 × USB-A, mini HDMI out, USB-C power in"'],
        'sockets.audio' => ['sockets', 'where its sound comes out, such as "headphone socket 3.5 mm"'],
        'controls' => ['controls', 'what it has, such as "1 d-pad, 8 buttons, 2 sticks"'],
        'charger' => ['', 'what it does, such as "charges 1 LiPo cell at 1 A, input 5 V" or "12 V 3 A wall supply"'],
        'cable' => ['', 'its two ends, such as "USB-C to USB-A, 30 cm, power and data"'],
        'switch' => ['', 'what it is, such as "slide switch, 3 A" or "fuse 2 A"'],
    ];

    private function __construct(private string $facet, public string $asks) {}

    /** @return ?self null when it is not said in words */
    public static function of(FigureRef $figure): ?self
    {
        $place = self::OF[$figure->key()] ?? null;

        return $place === null ? null : new self($place[0], $place[1]);
    }

    /**
     * @param  array<string, mixed>  $raw  a part as it is written in a file
     * @param  string  $on  the day, year-month-day
     * @return array<string, mixed>
     *
     * @throws BadFigure when nothing of the kind was understood
     */
    public function write(array $raw, string $typed, string $on): array
    {
        $role = Role::tryFrom(is_string($raw['role'] ?? null) ? $raw['role'] : '') ?? Role::Board;
        $finds = Reader::read($typed, $role);
        $facet = static fn (Find $find): string => $find->what === 'socket' ? 'sockets' : Places::of($find->what, $role->value, false)[0] ?? '';
        $take = array_keys(array_filter($finds, fn (Find $find): bool => $this->facet === '' || $facet($find) === $this->facet));
        $written = (new Filling($finds, $role, $on))->put($raw, $take);
        if ($written === $raw) {
            throw new BadFigure("nothing new was understood in \"{$typed}\"; write {$this->asks}");
        }

        return $written;
    }

    /** @return array{asks: string, unit: string, choices: list<string>} as FigurePlace gives it */
    public function toArray(): array
    {
        return ['asks' => $this->asks, 'unit' => '', 'choices' => []];
    }
}
