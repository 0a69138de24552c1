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
    /**
     * @param  list<Role>  $fills  roles this part takes care of, its own first
     * @param  list<Output>  $outputs
     * @param  list<Socket>  $sockets
     * @param  array<string, string>  $variantHas
     * @param  array<string, string>  $variantWants
     * @param  list<string>  $skills
     * @param  list<string>  $cautions
     * @param  list<Offer>  $offers
     * @param  array<string, mixed>  $raw
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
        public ?SupplyInput $supply,
        public array $outputs,
        /** What an output lives on when it is neither a pack nor the part's own input: "mains", "sun" or "". */
        public string $livesOn,
        public ?Pack $pack,
        public ?Charger $charger,
        public ?Protector $protector,
        public array $sockets,
        public ?Cable $cable,
        public ?Panel $panel,
        public ?Controls $controls,
        public ?Body $body,
        public ?Storage $storage,
        public ?Software $software,
        public array $variantHas,
        public array $variantWants,
        public array $skills,
        public array $cautions,
        public array $offers,
        public array $raw,
    ) {}

    /** Fed by one rail and giving another, with no picture, pad or computer of its own. */
    public function isConverter(): bool
    {
        return $this->supply !== null && $this->outputs !== [] && $this->role === Role::Regulator;
    }

    public function fills(Role $role): bool
    {
        return in_array($role, $this->fills, true);
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
            'converts' => $this->isConverter(),
            "feeds from {$this->livesOn}" => $this->livesOn !== '',
            'leads' => $this->cable !== null,
            'stores data' => $this->storage !== null,
            'shares usb' => $this->role === Role::Cable && array_filter($this->sockets, $gives('usb')) !== [],
            'sounds' => $this->role === Role::Sound,
            'cools' => $this->role === Role::Cooling,
            'switches' => $this->role === Role::Switch_,
        ]));
    }

    /** Whether this part can take the other's place without leaving undone what the other did. */
    public function canStandInFor(self $other): bool
    {
        $does = $other->does();

        return $does !== [] && array_diff($does, $this->does()) === [];
    }

    public function bestOffer(): ?Offer
    {
        return $this->offers[0] ?? null;
    }
}
