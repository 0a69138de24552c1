<?php

declare(strict_types=1);

namespace PocketPlot\File;

use PocketPlot\Part\Body;
use PocketPlot\Part\Cable;
use PocketPlot\Part\Charger;
use PocketPlot\Part\Controls;
use PocketPlot\Part\Offer;
use PocketPlot\Part\Opening;
use PocketPlot\Part\Output;
use PocketPlot\Part\Pack;
use PocketPlot\Part\Panel;
use PocketPlot\Part\Part;
use PocketPlot\Part\Protection;
use PocketPlot\Part\Protector;
use PocketPlot\Part\Role;
use PocketPlot\Part\Sits;
use PocketPlot\Part\Size;
use PocketPlot\Part\Socket;
use PocketPlot\Part\Software;
use PocketPlot\Part\Storage;
use PocketPlot\Part\SupplyInput;

/** Makes a part out of its written form (see core/schema/build.schema.json, "part"). */
final class PartReader
{
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

        return new Part(
            id: $part->string('id'),
            name: $part->string('name'),
            role: $role,
            maker: $part->string('maker', ''),
            summary: $part->string('summary', ''),
            fills: array_values(array_unique([$role, ...$fills], SORT_REGULAR)),
            sits: $part->oneOf('sits', Sits::class, Sits::Inside),
            size: self::size($facets->child('size')),
            supply: self::supply($facets->child('supply')),
            outputs: array_map(self::output(...), $facets->children('outputs')),
            livesOn: $facets->string('livesOn', ''),
            pack: self::pack($facets->child('pack')),
            charger: self::charger($facets->child('charger')),
            protector: self::protector($facets->child('protector')),
            sockets: array_map(self::socket(...), $facets->children('sockets')),
            cable: self::cable($facets->child('cable')),
            panel: self::panel($facets->child('panel')),
            controls: self::controls($facets->child('controls')),
            body: self::body($facets->child('body')),
            storage: ($storage = $facets->child('storage')) === null ? null
                : new Storage($storage->figure('capacityGb', 'GB'), $storage->string('card', 'microsd')),
            software: ($software = $facets->child('software')) === null ? null
                : new Software($software->figure('imageGb', 'GB'), $software->string('card', 'microsd')),
            variantHas: $variant?->stringMap('has') ?? [],
            variantWants: $variant?->stringMap('wants') ?? [],
            skills: $part->strings('skills'),
            cautions: $part->strings('cautions'),
            offers: array_map(self::offer(...), $part->children('offers')),
            raw: $raw,
        );
    }

    private static function size(?Fields $size): Size
    {
        return $size === null ? Size::unknown() : new Size(
            $size->figure('lengthMm', 'mm'),
            $size->figure('widthMm', 'mm'),
            $size->figure('heightMm', 'mm'),
            $size->figure('massG', 'g'),
        );
    }

    private static function supply(?Fields $supply): ?SupplyInput
    {
        return $supply === null ? null : new SupplyInput(
            $supply->figure('volts', 'V'),
            $supply->figure('drawMa', 'mA'),
            $supply->figure('drawAtV', 'V'),
            $supply->figure('peakMa', 'mA'),
        );
    }

    private static function output(Fields $output): Output
    {
        return new Output(
            $output->string('name'),
            $output->figure('volts', 'V'),
            $output->figure('continuousMa', 'mA'),
            $output->figure('peakMa', 'mA'),
            $output->figure('efficiency', ''),
        );
    }

    private static function pack(?Fields $pack): ?Pack
    {
        return $pack === null ? null : new Pack(
            $pack->string('chemistry'),
            $pack->int('series'),
            $pack->figure('capacityMah', 'mAh'),
            $pack->figure('cellFullV', 'V'),
            $pack->figure('cellNominalV', 'V'),
            $pack->figure('cellEmptyV', 'V'),
            $pack->figure('usableShare', ''),
            $pack->figure('maxDischargeMa', 'mA'),
            $pack->figure('maxChargeMa', 'mA'),
            $pack->oneOf('protection', Protection::class, Protection::Unknown),
            $pack->bool('sealed'),
        );
    }

    private static function charger(?Fields $charger): ?Charger
    {
        return $charger === null ? null : new Charger(
            $charger->strings('chemistries'),
            $charger->int('seriesLeast'),
            $charger->int('seriesMost'),
            $charger->figure('inputVolts', 'V'),
            $charger->figure('chargeMa', 'mA'),
        );
    }

    private static function protector(?Fields $protector): ?Protector
    {
        return $protector === null ? null : new Protector($protector->strings('chemistries'), $protector->int('series'));
    }

    private static function socket(Fields $socket): Socket
    {
        return new Socket(
            $socket->string('name'),
            $socket->string('connector'),
            $socket->string('carries'),
            $socket->string('direction'),
            $socket->int('count', 1),
            $socket->bool('outside'),
            $socket->bool('ownLead'),
        );
    }

    private static function cable(?Fields $cable): ?Cable
    {
        return $cable === null ? null : new Cable($cable->string('oneEnd'), $cable->string('otherEnd'), $cable->strings('carries'));
    }

    private static function panel(?Fields $panel): ?Panel
    {
        return $panel === null ? null : new Panel($panel->int('widthPx'), $panel->int('heightPx'), $panel->bool('touch'));
    }

    private static function controls(?Fields $controls): ?Controls
    {
        return $controls === null ? null : new Controls(
            $controls->int('players', 1),
            $controls->int('directions', 0),
            $controls->int('buttons', 0),
            $controls->int('sticks', 0),
            $controls->int('knobs', 0),
            $controls->bool('touch'),
        );
    }

    private static function body(?Fields $body): ?Body
    {
        return $body === null ? null : new Body(
            $body->figure('cavityLengthMm', 'mm'),
            $body->figure('cavityWidthMm', 'mm'),
            $body->figure('cavityHeightMm', 'mm'),
            $body->figure('wallMm', 'mm'),
            $body->bool('drawn'),
            $body->bool('cuttable'),
            array_map(static fn (Fields $opening): Opening => new Opening(
                $opening->string('name'),
                $opening->string('connector'),
                $opening->figure('widthMm', 'mm'),
                $opening->figure('heightMm', 'mm'),
            ), $body->children('openings')),
        );
    }

    private static function offer(Fields $offer): Offer
    {
        return new Offer(
            $offer->string('vendor'),
            $offer->money('price') ?? throw BadFile::at($offer->path.'/price', 'is missing; write an amount and a currency'),
            $offer->int('leadDays', 7),
        );
    }
}
