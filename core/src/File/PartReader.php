<?php

declare(strict_types=1);

namespace PocketPlot\File;

use PocketPlot\Part\Amp;
use PocketPlot\Part\Cable;
use PocketPlot\Part\Coil;
use PocketPlot\Part\Controls;
use PocketPlot\Part\Cooling;
use PocketPlot\Part\Direction;
use PocketPlot\Part\Driver;
use PocketPlot\Part\DriverState;
use PocketPlot\Part\Fastener;
use PocketPlot\Part\FigureRef;
use PocketPlot\Part\Fuse;
use PocketPlot\Part\Gauge;
use PocketPlot\Part\Heat;
use PocketPlot\Part\Image;
use PocketPlot\Part\Kit;
use PocketPlot\Part\Mode;
use PocketPlot\Part\Mount;
use PocketPlot\Part\Offer;
use PocketPlot\Part\PadMode;
use PocketPlot\Part\Panel;
use PocketPlot\Part\Part;
use PocketPlot\Part\PinNeeds;
use PocketPlot\Part\Pins;
use PocketPlot\Part\Pogo;
use PocketPlot\Part\PoweredBy;
use PocketPlot\Part\Role;
use PocketPlot\Part\Sits;
use PocketPlot\Part\Size;
use PocketPlot\Part\Socket;
use PocketPlot\Part\Software;
use PocketPlot\Part\Speaker;
use PocketPlot\Part\Spots;
use PocketPlot\Part\Stand;
use PocketPlot\Part\Storage;
use PocketPlot\Part\Typical;
use PocketPlot\Part\VideoOut;
use PocketPlot\Part\Work;
use PocketPlot\Part\YesNo;

/** Makes a part out of its written form (see core/schema/build.schema.json, "part"). */
final class PartReader
{
    /** Gauges of wire that are made: 0 is as thick as a pencil, 50 finer than a hair. */
    public const GAUGES = [0.0, 50.0];

    /**
     * @param  array<string, mixed>  $raw
     * @param  string  $path  where the part stands in its file, for complaints
     *
     * @throws BadFile naming the field
     */
    public static function read(array $raw, string $path = 'part'): Part
    {
        $part = new Fields($raw, $path);
        $facets = $part->child('facets') ?? new Fields([], "{$path}/facets");
        $role = $part->oneOf('role', Role::class);
        $variant = $facets->child('variant');
        $fills = array_map(
            static fn (string $text): Role => Role::tryFrom($text) ?? throw BadFile::at("{$path}/fills", "\"{$text}\" is no role"),
            $part->strings('fills'),
        );
        $supply = $facets->child('supply');
        $gauge = $facets->child('gauge');
        $fuse = $facets->child('fuse');
        $amp = $facets->child('amp');
        $speaker = $facets->child('speaker');
        $mount = $facets->child('mount');
        $fastener = $facets->child('fastener');
        $spots = $facets->child('spots');
        $heat = $facets->child('heat');
        $cooling = $facets->child('cooling');
        $storage = $facets->child('storage');

        $sockets = array_map(self::socket(...), $facets->children('sockets'));
        $charger = TypicalFigures::charger(PowerReader::charger(self::whole($facets, 'charger')), $sockets);
        $controls = self::controls($facets->child('controls'));
        $pack = PowerReader::pack(self::whole($facets, 'pack'));
        $supplies = TypicalFigures::supplies(
            array_map(PowerReader::supply(...), [...($supply === null ? [] : [$supply]), ...$facets->children('supplies')]), $charger, $controls, $sockets,
        );
        $fills = array_values(array_unique([$role, ...$fills], SORT_REGULAR));

        // One call, one line a facet: longer than other functions, and plain to read.
        return new Part(
            id: $part->string('id'),
            name: $part->string('name'),
            role: $role,
            maker: $part->string('maker', ''),
            summary: $part->string('summary', ''),
            fills: $fills,
            sits: $part->oneOf('sits', Sits::class, Sits::Inside),
            size: self::size($facets->child('size')),
            supplies: $supplies,
            outputs: TypicalFigures::outputs(array_map(PowerReader::output(...), $facets->children('outputs')), $pack, $supplies, $sockets, $fills),
            poweredBy: $facets->oneOf('poweredBy', PoweredBy::class, PoweredBy::ItsOwn),
            pack: $pack,
            charger: $charger,
            protector: PowerReader::protector($facets->child('protector')),
            gauge: $gauge === null ? null : new Gauge($gauge->figure('warningSeconds', 's'), $gauge->figure('atCharge', ''), $gauge->figure('atV', 'V')),
            fuse: $fuse === null ? null : new Fuse($fuse->figure('ratingMa', 'mA')),
            switch: PowerReader::switch($facets->child('switch')),
            sockets: $sockets,
            cable: self::cable(self::whole($facets, 'cable')),
            pins: self::pins($facets->child('pins')),
            pinNeeds: self::pinNeeds($facets->child('pinNeeds')),
            panel: self::panel(self::whole($facets, 'panel')),
            video: self::video($facets->child('video')),
            controls: $controls,
            radio: $facets->strings('radio'),
            amp: $amp === null ? null : new Amp($amp->int('channels'), $amp->figure('watts', 'W'), $amp->figure('atOhm', 'Ω'), $amp->figure('leastOhm', 'Ω')),
            speaker: $speaker === null ? null : new Speaker(
                $speaker->figureWithin('ohm', 'Ω', 0.1),
                $speaker->figure('watts', 'W'),
                $speaker->atLeastOne('count'),
                $speaker->bool('piezo'),
            ),
            body: BodyReader::body($facets->child('body')),
            mount: $mount === null ? null : new Mount(
                $mount->string('pattern'), $mount->string('thread', ''), $mount->figure('xMm', 'mm'), $mount->figure('yMm', 'mm'),
            ),
            fastener: $fastener === null ? null : new Fastener(
                $fastener->string('thread'),
                $fastener->figure('lengthMm', 'mm'),
                $fastener->figure('headAcrossMm', 'mm'),
                $fastener->figure('headHighMm', 'mm'),
                $fastener->string('into', ''),
            ),
            spots: $spots === null ? null : new Spots($spots->string('takes'), $spots->strings('orElse')),
            bare: $facets->child('surface')?->yesNo('bare') ?? YesNo::Unknown,
            heat: $heat === null
                ? null
                : new Heat(
                    $heat->figure('watts', 'W'),
                    $heat->figure('limitC', '°C'),
                    $heat->figure('riseKPerW', 'K/W'),
                    $heat->figure('riseFanKPerW', 'K/W'),
                    $heat->figure('measuredC', '°C'),
                ),
            cooling: $cooling === null ? null : new Cooling($cooling->bool('fan'), $cooling->figure('ventMm2', 'mm²')),
            storage: $storage === null ? null : new Storage(
                $storage->figure('capacityGb', 'GB'),
                $storage->string('card', 'microsd'),
                $storage->yesNo('soldWithGames'),
            ),
            software: self::software($facets->child('software')),
            drivers: array_map(self::driver(...), $facets->children('drivers')),
            image: ($image = $facets->child('image')) === null ? null : new Image($image->strings('madeFor')),
            stand: self::stand($facets->child('stand')),
            pogo: ($pogo = $facets->child('pogo')) === null ? null : new Pogo(
                $pogo->figure('freeMm', 'mm'),
                $pogo->figure('pressMm', 'mm'),
                $pogo->figure('spacerMm', 'mm'),
            ),
            coil: ($coil = $facets->child('coil')) === null ? null : new Coil($coil->string('side', 'receiver'), $coil->figure('watts', 'W')),
            kit: self::kit($facets->child('kit')),
            packetOf: $part->atLeastOne('packetOf'),
            variantHas: $variant?->stringMap('has') ?? [],
            variantWants: $variant?->stringMap('wants') ?? [],
            work: self::work($part),
            cautions: $part->strings('cautions'),
            offers: array_map(self::offer(...), $part->children('offers')),
            waitsFor: self::waitsFor($facets),
            raw: $raw,
            blocks: array_map(BodyReader::block(...), $facets->children('blocks')),
        );
    }

    /** A group with all that it needs to say something; null while some of that is not known. */
    private static function whole(Fields $facets, string $name): ?Fields
    {
        $group = $facets->child($name);

        return $group === null || self::lacking($group, $name) !== [] ? null : $group;
    }

    /** @return list<string> fields */
    private static function lacking(Fields $group, string $name): array
    {
        return array_values(array_filter(FacetBook::facet($name)?->required() ?? [], static fn (string $field): bool => ! $group->has($field)));
    }

    /** @return list<FigureRef> what groups that are begun lack */
    private static function waitsFor(Fields $facets): array
    {
        $waits = [];
        foreach (FacetBook::all() as $name => $facet) {
            $group = $facet->mayWait() ? $facets->child($name) : null;
            foreach ($group === null ? [] : self::lacking($group, $name) as $field) {
                // Pixels are asked for in one go.
                $waits[$name === 'panel' ? 'panel.pixels' : "{$name}.{$field}"] = true;
            }
        }

        return array_map(FigureRef::parse(...), array_keys($waits));
    }

    private static function size(?Fields $size): Size
    {
        return $size === null ? Size::unknown() : new Size(
            $size->figure('lengthMm', 'mm'),
            $size->figure('widthMm', 'mm'),
            $size->figure('heightMm', 'mm'),
            $size->figure('massG', 'g'),
            $size->string('material', ''),
        );
    }

    private static function socket(Fields $socket): Socket
    {
        return new Socket(
            $socket->string('name'),
            $socket->connector('connector'),
            $socket->string('carries'),
            $socket->oneOf('direction', Direction::class),
            $socket->int('count', 1),
            $socket->bool('outside'),
            $socket->bool('ownLead'),
            $socket->string('face', ''),
            $socket->figure('offsetMm', 'mm'),
            $socket->figure('depthMm', 'mm'),
            $socket->figure('ratingMa', 'mA'),
            $socket->yesNo('sense'),
            $socket->has('contacts') ? $socket->int('contacts') : null,
            $socket->figure('pitchMm', 'mm'),
            $socket->string('side', ''),
            $socket->yesNo('polarity'),
            $socket->int('unknownContacts', 0),
        );
    }

    private static function cable(?Fields $cable): ?Cable
    {
        return $cable === null ? null : new Cable(
            $cable->connector('oneEnd'),
            $cable->connector('otherEnd'),
            $cable->strings('carries'),
            $cable->figureWithin('gaugeAwg', 'AWG', ...self::GAUGES),
            $cable->figure('lengthMm', 'mm'),
            $cable->figure('bendMm', 'mm'),
            $cable->has('contacts') ? $cable->int('contacts') : null,
            $cable->figure('pitchMm', 'mm'),
            $cable->string('sides', ''),
        );
    }

    private static function pins(?Fields $pins): ?Pins
    {
        if ($pins === null) {
            return null;
        }
        $does = [];
        $map = $pins->child('does');
        foreach (array_keys($map->data ?? []) as $pin) {
            $does[(string) $pin] = $map?->strings((string) $pin) ?? [];
        }

        return new Pins($pins->figure('logicV', 'V'), $does, $pins->figure('absoluteMaxV', 'V'));
    }

    private static function pinNeeds(?Fields $needs): ?PinNeeds
    {
        if ($needs === null) {
            return null;
        }
        $wants = [];
        $map = $needs->child('wants');
        foreach (array_keys($map->data ?? []) as $function) {
            $wants[(string) $function] = $map?->int((string) $function) ?? 0;
        }

        return new PinNeeds(
            $needs->figure('logicV', 'V'),
            $wants,
            $needs->strings('takes'),
            $needs->strings('shares'),
            $needs->yesNo('followsSupply'),
            $needs->figure('highShare', ''),
        );
    }

    private static function panel(?Fields $panel): ?Panel
    {
        return $panel === null ? null : new Panel(
            $panel->atLeastOne('widthPx', null),
            $panel->atLeastOne('heightPx', null),
            $panel->bool('touch'),
            $panel->figure('activeWidthMm', 'mm'),
            $panel->figure('activeHeightMm', 'mm'),
            self::modes($panel),
            $panel->figure('lightMa', 'mA'),
            $panel->string('dims', ''),
            $panel->yesNo('needsSignal'),
            $panel->bool('upright'),
            $panel->figure('activeXMm', 'mm'),
            $panel->figure('activeYMm', 'mm'),
        );
    }

    private static function video(?Fields $video): ?VideoOut
    {
        return $video === null ? null : new VideoOut(
            self::modes($video),
            $video->has('firstStart') ? $video->strings('firstStart') : null,
            $video->yesNo('ownModes'),
            $video->yesNo('rotates'),
        );
    }

    /** @return list<Mode>|null */
    private static function modes(Fields $fields): ?array
    {
        return $fields->has('modes') ? array_map(
            static fn (Fields $mode): Mode => new Mode($mode->int('widthPx'), $mode->int('heightPx'), $mode->int('hz', 60)),
            $fields->children('modes'),
        ) : null;
    }

    private static function controls(?Fields $controls): ?Controls
    {
        return $controls === null ? null : new Controls(
            $controls->int('players', 1),
            $controls->int('dPads', 0),
            $controls->int('buttons', 0),
            $controls->int('sticks', 0),
            $controls->int('knobs', 0),
            $controls->bool('touch'),
            $controls->int('triggers', 0),
            $controls->strings('speaks'),
            $controls->oneOf('padMode', PadMode::class, PadMode::Unknown),
            $controls->yesNo('analogueTriggers'),
            $controls->figure('heightMm', 'mm'),
            $controls->figure('travelMm', 'mm'),
            $controls->string('madeFor', ''),
            $controls->string('boardName', ''),
            $controls->figure('holdsLengthMm', 'mm'),
            $controls->figure('holdsWidthMm', 'mm'),
            $controls->figure('holdsThickMm', 'mm'),
            $controls->string('faceShape', ''),
            $controls->int('onOtherBoard', 0),
            $controls->string('otherBoard', ''),
        );
    }

    private static function software(?Fields $software): ?Software
    {
        return $software === null ? null : new Software(
            $software->string('card', '') === 'built-in' ? $software->figure('imageGb', 'GB') : Typical::or(
                $software->figure('imageGb', 'GB'),
                Typical::IMAGE_GB,
            ),
            $software->string('card', ''),
            $software->string('family', ''),
            $software->yesNo('image'),
            $software->yesNo('needsShutdown'),
            Typical::or($software->figure('shutdownSeconds', 's'), Typical::SHUTDOWN_S),
            $software->string('generation', ''),
            $software->has('programmedBy') ? $software->connector('programmedBy') : '',
        );
    }

    private static function stand(?Fields $stand): ?Stand
    {
        return $stand === null ? null : new Stand(
            $stand->figure('lidMassG', 'g'),
            $stand->figure('lidCentreMm', 'mm'),
            $stand->figure('stopsDeg', '°'),
            $stand->figure('baseMassG', 'g'),
            $stand->figure('baseCentreMm', 'mm'),
            $stand->figure('feetMm', 'mm'),
            $stand->figure('torqueNm', 'N·m'),
        );
    }

    private static function driver(Fields $driver): Driver
    {
        return new Driver(
            $driver->string('family'),
            $driver->oneOf('state', DriverState::class),
            $driver->strings('lines'),
            $driver->has('lookAgainOn') ? (string) $driver->day('lookAgainOn') : null,
            $driver->string('note', ''),
        );
    }

    private static function kit(?Fields $kit): ?Kit
    {
        return $kit === null ? null : new Kit(
            $kit->strings('contains'),
            array_map(
                static fn (Fields $lack): array => ['role' => $lack->oneOf('role', Role::class), 'what' => $lack->string('what')],
                $kit->children('lacks'),
            ),
        );
    }

    private static function offer(Fields $offer): Offer
    {
        return new Offer(
            $offer->string('vendor'),
            $offer->money('price') ?? throw BadFile::at($offer->path.'/price', 'is missing', 'write an amount and a currency'),
            $offer->int('leadDays', 7),
        );
    }

    private static function work(Fields $part): Work
    {
        $extras = [];
        foreach ($part->children('extras') as $extra) {
            $extras[$extra->string('gives')] = new Work($extra->strings('skills'), $extra->strings('tools'), $extra->strings('consumables'), []);
        }

        return new Work($part->strings('skills'), $part->strings('tools'), $part->strings('consumables'), $part->strings('serves'), $extras);
    }
}
