<?php

declare(strict_types=1);

namespace PocketPlot\Part;

/**
 * A part as a set of facets. A facet that is null does not apply: a screw has no supply input.
 * A figure inside a facet may still be unknown. `raw` is the part as it was written, with keys
 * this version does not know, so that nothing is lost on the way out.
 */
final readonly class Part
{
    /** The first way in, for the many parts that have just one. */
    public ?SupplyInput $supply;

    public bool $givesUsb;

    public bool $takesUsb;

    /** Stands for a part that is still to be found; its figures are what that one has to do. */
    public bool $isWanted;

    /** Stands for any part of its kind, by nobody: its figures are wide, and all in pencil. */
    public bool $isTypical;

    /** @var list<string> facets it has, and "role:…" for each role it fills: what a swap of this part can touch */
    public array $touches;

    /**
     * @param  list<Role>  $fills  roles this part takes care of, its own first
     * @param  list<SupplyInput>  $supplies
     * @param  list<Output>  $outputs
     * @param  list<Socket>  $sockets
     * @param  list<string>  $radio  what it speaks over the air
     * @param  list<Driver>  $drivers
     * @param  array<string, string>  $variantHas
     * @param  array<string, string>  $variantWants
     * @param  list<string>  $cautions
     * @param  list<Offer>  $offers
     * @param  list<FigureRef>  $waitsFor  without which something that is written down says nothing yet
     * @param  array<string, mixed>  $raw
     * @param  list<Block>  $blocks  what it is made of, where it is no plain box
     * @param  int  $packetOf  pieces in a packet; prices are for a packet
     */
    public function __construct(
        public string $id,
        public string $name,
        public Role $role,
        public string $maker,
        public string $summary,
        public array $fills,
        public Sits $sits,
        public Size $size,
        public array $supplies,
        public array $outputs,
        public PoweredBy $poweredBy,
        public ?Pack $pack,
        public ?Charger $charger,
        public ?Protector $protector,
        public ?Gauge $gauge,
        public ?Fuse $fuse,
        public ?PowerSwitch $switch,
        public array $sockets,
        public ?Cable $cable,
        public ?Pins $pins,
        public ?PinNeeds $pinNeeds,
        public ?Panel $panel,
        public ?VideoOut $video,
        public ?Controls $controls,
        public array $radio,
        public ?Amp $amp,
        public ?Speaker $speaker,
        public ?Body $body,
        public ?Mount $mount,
        public ?Fastener $fastener,
        public ?Spots $spots,
        public YesNo $bare,
        public ?Heat $heat,
        public ?Cooling $cooling,
        public ?Storage $storage,
        public ?Software $software,
        public array $drivers,
        public ?Image $image,
        public ?Stand $stand,
        public ?Pogo $pogo,
        public ?Coil $coil,
        public ?Kit $kit,
        public int $packetOf,
        public array $variantHas,
        public array $variantWants,
        public Work $work,
        public array $cautions,
        public array $offers,
        public array $waitsFor,
        public array $raw,
        public array $blocks = [],
    ) {
        $this->supply = $supplies[0] ?? null;
        $usb = array_filter($sockets, static fn (Socket $socket): bool => $socket->carries === 'usb');
        $this->givesUsb = array_filter($usb, static fn (Socket $socket): bool => $socket->gives()) !== [];
        $this->takesUsb = array_filter($usb, static fn (Socket $socket): bool => $socket->direction === Direction::In) !== [];
        $this->isWanted = ($raw['wanted'] ?? false) === true;
        $this->isTypical = ($raw['typical'] ?? false) === true;
        $this->touches = self::touchedBy($raw, $fills);
    }

    /** Fed by one rail and giving another, with no picture, pad or computer of its own. */
    public function isConverter(): bool
    {
        return $this->supply !== null && $this->outputs !== [] && $this->pack === null && $this->software === null
            && ($this->charger !== null || in_array(Role::Regulator, $this->fills, true));
    }

    /** Takes power at its input and gives it on at outputs of its own. */
    public function passesPowerOn(): bool
    {
        return $this->outputs !== [] && $this->poweredBy === PoweredBy::ItsOwn && ($this->pack === null || $this->livesFromOwnCell());
    }

    /** A computer, or a hub that passes one on: what a pad or a sound stick can be plugged into. A bank's socket only gives power. */
    public function hostsUsb(): bool
    {
        return $this->givesUsb && $this->poweredBy === PoweredBy::ItsOwn && ($this->pack === null || $this->livesFromOwnCell());
    }

    /** Has a cell of its own inside and lives from it: a phone, a radio pad. What is plugged in only charges it. */
    public function livesFromOwnCell(): bool
    {
        return $this->pack !== null && ! $this->pack->sealed
            && in_array($this->role, [Role::Board, Role::Display, Role::Controls, Role::Sound, Role::Cooling], true);
    }

    public function fills(Role $role): bool
    {
        return in_array($role, $this->fills, true);
    }

    /** Nothing is written down about it that a rule could use. */
    public function isBlank(): bool
    {
        return ! isset($this->raw['facets']) || $this->raw['facets'] === [] || $this->raw['facets'] instanceof \stdClass;
    }

    /**
     * What the part does in a build, so that another can be asked to take its place.
     *
     * @return list<string>
     */
    public function does(): array
    {
        $gives = static fn (string $signal): \Closure => static fn (Socket $socket): bool => $socket->carries === $signal && $socket->gives();

        return array_keys(array_filter([
            'computes' => $this->software !== null,
            'shows' => $this->panel !== null,
            'controls' => $this->controls !== null,
            'houses' => $this->body !== null,
            'stores energy' => $this->pack !== null,
            'charges' => $this->charger !== null,
            'protects' => $this->protector !== null,
            'topology' => $this->isConverter(),
            "feeds from {$this->poweredBy->value}" => $this->poweredBy !== PoweredBy::ItsOwn,
            'leads' => $this->cable !== null,
            'stores data' => $this->storage !== null,
            'shares usb' => $this->role === Role::Cable && array_filter($this->sockets, $gives('usb')) !== [],
            'amplifies' => $this->amp !== null,
            'sounds' => $this->speaker !== null,
            'cools' => $this->cooling !== null,
            'switches' => $this->switch !== null,
            'fuses' => $this->fuse !== null,
            'fastens' => $this->fastener !== null,
            'warns' => $this->gauge !== null,
            ...array_fill_keys(array_map(static fn (string $what): string => "serves as {$what}", $this->work->serves), true),
        ]));
    }

    /** Whether this part can take the other's place without leaving undone what the other did. */
    public function canStandInFor(self $other): bool
    {
        $does = $other->does();
        if ($does === [] && $other->isWanted) {
            return $this->fills($other->role) && ! $this->isWanted;
        }

        return $does !== [] && ! $this->isWanted && array_diff($does, $this->does()) === [];
    }

    public function bestOffer(): ?Offer
    {
        return $this->offers[0] ?? null;
    }

    /**
     * @param  array<string, mixed>  $raw
     * @param  list<Role>  $fills
     * @return list<string>
     */
    private static function touchedBy(array $raw, array $fills): array
    {
        $facets = is_array($raw['facets'] ?? null) ? array_keys($raw['facets']) : [];

        return array_values(array_unique([
            ...array_map(strval(...), $facets),
            ...array_intersect(['skills', 'tools', 'consumables', 'serves', 'packetOf', 'cautions', 'wanted'], array_keys($raw)),
            ...(isset($raw['extras']) ? ['skills', 'tools', 'consumables'] : []),
            ...array_map(static fn (Role $role): string => "role:{$role->value}", $fills),
            'any',
        ]));
    }
}
