<?php

declare(strict_types=1);

namespace PocketPlot\File;

/**
 * Every facet a part can have; one file a facet, under Facets. The published schema, the part editor, the comparison
 * and the reading of typed figures all go by this one list.
 *
 * @phpstan-import-type Field from Facet
 */
final class FacetBook
{
    /** Roles and the facets that the editor asks for first, most telling first. */
    public const FOR_ROLE = [
        'board' => ['size', 'supply', 'outputs', 'sockets', 'video', 'pins', 'radio', 'software', 'heat', 'mount', 'surface'],
        'display' => ['size', 'panel', 'supply', 'sockets', 'pinNeeds', 'drivers', 'mount', 'surface', 'variant'],
        'controls' => ['size', 'controls', 'supply', 'sockets', 'pinNeeds', 'pins', 'radio', 'drivers', 'mount'],
        'case' => ['size', 'body', 'variant'],
        'cells' => ['size', 'pack', 'outputs', 'sockets', 'charger', 'gauge'],
        'charger' => ['size', 'charger', 'outputs', 'poweredBy', 'sockets', 'gauge', 'surface', 'spots'],
        'regulator' => ['size', 'supply', 'outputs', 'protector', 'heat', 'surface'],
        'sound' => ['size', 'amp', 'speaker', 'supply', 'sockets', 'pinNeeds', 'drivers'],
        'storage' => ['size', 'storage'],
        'cooling' => ['size', 'cooling', 'supply'],
        'switch' => ['size', 'switch', 'fuse'],
        'cable' => ['size', 'cable', 'sockets', 'supply'],
        'fastener' => ['fastener'],
        'material' => ['size', 'fuse'],
        'tool' => [],
    ];

    /** @var array<string, class-string<Facet>> by name, in the order in which the editor shows them */
    public const FACETS = [
        'size' => Facets\SizeFacet::class,
        'supply' => Facets\SupplyFacet::class,
        'supplies' => Facets\SuppliesFacet::class,
        'outputs' => Facets\OutputsFacet::class,
        'poweredBy' => Facets\PoweredByFacet::class,
        'pack' => Facets\PackFacet::class,
        'charger' => Facets\ChargerFacet::class,
        'protector' => Facets\ProtectorFacet::class,
        'gauge' => Facets\GaugeFacet::class,
        'fuse' => Facets\FuseFacet::class,
        'switch' => Facets\SwitchFacet::class,
        'sockets' => Facets\SocketsFacet::class,
        'cable' => Facets\CableFacet::class,
        'pins' => Facets\PinsFacet::class,
        'pinNeeds' => Facets\PinNeedsFacet::class,
        'panel' => Facets\PanelFacet::class,
        'video' => Facets\VideoFacet::class,
        'controls' => Facets\ControlsFacet::class,
        'radio' => Facets\RadioFacet::class,
        'amp' => Facets\AmpFacet::class,
        'speaker' => Facets\SpeakerFacet::class,
        'body' => Facets\BodyFacet::class,
        'mount' => Facets\MountFacet::class,
        'fastener' => Facets\FastenerFacet::class,
        'spots' => Facets\SpotsFacet::class,
        'surface' => Facets\SurfaceFacet::class,
        'heat' => Facets\HeatFacet::class,
        'cooling' => Facets\CoolingFacet::class,
        'storage' => Facets\StorageFacet::class,
        'software' => Facets\SoftwareFacet::class,
        'image' => Facets\ImageFacet::class,
        'stand' => Facets\StandFacet::class,
        'pogo' => Facets\PogoFacet::class,
        'coil' => Facets\CoilFacet::class,
        'drivers' => Facets\DriversFacet::class,
        'blocks' => Facets\BlocksFacet::class,
        'kit' => Facets\KitFacet::class,
        'variant' => Facets\VariantFacet::class,
    ];

    /** @var array<string, Facet> by name, those that were asked for */
    private static array $made = [];

    /** Made when it is asked for: most requests need one or two of them. */
    public static function facet(string $name): ?Facet
    {
        $class = self::FACETS[$name] ?? null;

        return $class === null ? null : self::$made[$name] ??= new $class;
    }

    /** @return array<string, Facet> by name */
    public static function all(): array
    {
        return array_filter(array_map(self::facet(...), array_combine(array_keys(self::FACETS), array_keys(self::FACETS))));
    }

    /** @return array<string, array{label: string, fields: array<string, Field>}> */
    public static function facets(): array
    {
        return array_map(static fn (Facet $facet): array => ['label' => $facet->label(), 'fields' => $facet->fields()], self::all());
    }

    /** Whether a facet holds a list of groups instead of one group. */
    public static function isMany(string $name): bool
    {
        return self::facet($name)?->isMany() === true;
    }

    /** Whether a field of this kind holds a physical figure. */
    public static function isFigure(string $kind): bool
    {
        return ! in_array($kind, ['int', 'text', 'flag', 'yes-no', 'words', 'choice', 'counts', 'texts', 'lists', 'many', 'modes', 'connector'], true);
    }

    /**
     * The schema of "facets" as published in core/schema.
     *
     * @return array<string, mixed>
     */
    public static function schema(): array
    {
        $properties = [];
        foreach (self::all() as $name => $facet) {
            $fields = $facet->fields();
            $properties[$name] = match (true) {
                isset($fields['']) => self::fieldSchema($fields['']),
                $facet->isMany() => ['type' => 'array', 'maxItems' => 60, 'items' => self::groupSchema($fields, $facet->required())],
                default => self::groupSchema($fields, $facet->mayWait() ? [] : $facet->required()),
            };
        }

        return ['type' => 'object', 'properties' => $properties];
    }

    /**
     * @param  array<string, Field>  $fields
     * @param  list<string>  $required
     * @return array<string, mixed>
     */
    private static function groupSchema(array $fields, array $required = []): array
    {
        $schema = ['type' => 'object', 'properties' => array_map(self::fieldSchema(...), $fields)];

        return $required === [] ? $schema : $schema + ['required' => $required];
    }

    /**
     * @param  Field  $field
     * @return array<string, mixed>
     */
    private static function fieldSchema(array $field): array
    {
        $more = $field[2] ?? null;

        return match ($field[0]) {
            'int' => ['type' => 'integer', 'minimum' => 0, 'maximum' => 20000],
            'text' => ['type' => 'string', 'maxLength' => 200],
            'connector' => ['type' => 'string', 'maxLength' => 60],
            'flag' => ['type' => 'boolean'],
            'yes-no' => ['enum' => ['yes', 'no', 'unknown']],
            'choice' => ['enum' => $more],
            'words' => is_array($more) && $more !== [] ? ['type' => 'array', 'maxItems' => 60, 'items' => ['enum' => $more]] : ['$ref' => '#/$defs/texts'],
            'texts' => ['$ref' => '#/$defs/textMap'],
            'counts' => ['type' => 'object', 'maxProperties' => 60, 'additionalProperties' => ['type' => 'integer', 'minimum' => 0, 'maximum' => 100]],
            'lists' => [
                'type' => 'object',
                'maxProperties' => 120,
                'additionalProperties' => ['type' => 'array', 'maxItems' => 20, 'items' => ['type' => 'string', 'maxLength' => 40]],
            ],
            'modes' => [
                'type' => 'array',
                'maxItems' => 40,
                'items' => self::groupSchema(['widthPx' => ['int', ''], 'heightPx' => ['int', ''], 'hz' => ['int', '']], ['widthPx', 'heightPx']),
            ],
            'many' => ['type' => 'array', 'maxItems' => 100, 'items' => self::groupSchema(self::nested($more))],
            'share' => ['$ref' => '#/$defs/share'],
            'mm±' => ['$ref' => '#/$defs/signedFigure'],
            default => ['$ref' => '#/$defs/figure'],
        };
    }

    /** @return array<string, Field> the fields of each group of a "many" field */
    public static function nested(mixed $more): array
    {
        $fields = [];
        foreach (is_array($more) ? $more : [] as $name => $field) {
            if (is_string($name) && is_array($field) && isset($field[0], $field[1]) && is_string($field[0]) && is_string($field[1])) {
                $fields[$name] = isset($field[2]) ? [$field[0], $field[1], $field[2]] : [$field[0], $field[1]];
            }
        }

        return $fields;
    }
}
