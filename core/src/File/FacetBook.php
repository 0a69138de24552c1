<?php

declare(strict_types=1);

namespace PocketPlot\File;

use PocketPlot\Build\Vocabulary;
use PocketPlot\Part\Role;
use PocketPlot\Quantity\Constants;

/**
 * Every facet a part can have, field by field: what it is called, its unit or kind. The published
 * schema, the part editor, the comparison and the reading of typed figures all go by this one list.
 *
 * A field is [kind, label] or [kind, label, more]. Kinds: a unit of Quantity\Typed for a figure;
 * "int", "text", "flag", "yes-no", "words" (a list), "choice" (more: the choices), "counts" and
 * "texts" (maps), "lists" (map of lists), "many" (more: the fields of each).
 *
 * @phpstan-type Field array{0: string, 1: string, 2?: mixed}
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

    /** Facets that hold a list of groups instead of one group. */
    public const MANY = ['supplies', 'outputs', 'sockets', 'drivers'];

    private const SUPPLY = [
        'name' => ['text', 'name of the input'],
        'volts' => ['V', 'supply window'],
        'absoluteMaxV' => ['V', 'absolute maximum'],
        'drawMa' => ['mA', 'draw, idle to heavy'],
        'drawAtV' => ['V', 'draw taken at'],
        'peakMa' => ['mA', 'peak'],
        'startUpMa' => ['mA', 'start-up'],
        'offMa' => ['mA', 'draw when off'],
        'warnVolts' => ['V', 'low-voltage warning at'],
        'drawKind' => ['choice', 'draw keeps', ['power', 'current', 'resistance']],
        'isAlternative' => ['flag', 'one of several ways in'],
    ];

    /** @return array<string, array{label: string, fields: array<string, Field>}> */
    public static function facets(): array
    {
        $connectors = ['connector', 'connector'];

        return [
            'size' => ['label' => 'Size and weight', 'fields' => [
                'lengthMm' => ['mm', 'length'], 'widthMm' => ['mm', 'width'], 'heightMm' => ['mm', 'height, tallest spot'],
                'massG' => ['g', 'weight'], 'material' => ['choice', 'mostly made of', Vocabulary::MATERIALS],
            ]],
            'supply' => ['label' => 'Supply', 'fields' => self::SUPPLY],
            'supplies' => ['label' => 'Further supply inputs', 'fields' => self::SUPPLY],
            'outputs' => ['label' => 'Outputs', 'fields' => [
                'name' => ['text', 'name'], 'volts' => ['V', 'output voltage'], 'continuousMa' => ['mA', 'continuous current'], 'peakMa' => ['mA', 'short peak'],
                'efficiency' => ['share', 'efficiency'], 'efficiencyAt' => [
                    'many',
                    'efficiency by load',
                    ['load' => ['share', 'share of the current'], 'share' => ['share', 'efficiency']],
                ],
                'topology' => ['choice', 'topology', ['boost', 'buck', 'buck-boost', 'linear', 'unknown']],
                'dropoutV' => ['V', 'dropout'], 'idleMa' => ['mA', 'own idle draw'], 'switchOffMa' => ['mA', 'switches off below'], 'enable' => ['yes-no', 'has an enable pin'],
            ]],
            'poweredBy' => ['label' => 'Powered by', 'fields' => ['' => ['choice', 'powered by', ['', 'mains', 'sun']]]],
            'pack' => ['label' => 'Pack', 'fields' => [
                'chemistry' => ['choice', 'chemistry', Vocabulary::CHEMISTRIES], 'series' => ['int', 'cells in series'], 'parallel' => ['int', 'strings in parallel'],
                'capacityMah' => ['mAh', 'capacity'], 'cellFullV' => ['V', 'one cell, full'], 'cellNominalV' => ['V', 'one cell, nominal'], 'cellEmptyV' => ['V', 'one cell, empty'],
                'usableShare' => ['share', 'usable share'], 'maxDischargeMa' => ['mA', 'largest discharge'], 'maxChargeMa' => ['mA', 'largest charge'], 'internalResistanceMohm' => ['mΩ', 'internal resistance'],
                'protection' => [
                    'choice',
                    'own protection',
                    ['built-in', 'none', 'unknown'],
                ], 'cutOffV' => ['V', 'cuts off at'], 'totalW' => ['W', 'all sockets together'],
                'canSplit' => ['yes-no', 'can be split in two'], 'loose' => ['flag', 'cells are taken out to be charged'], 'sealed' => ['flag', 'sealed bank'],
                'cycles' => ['', 'full charges so far'], 'recoveryV' => ['V', 'recovery voltage'], 'latches' => ['yes-no', 'stays off once tripped'],
            ]],
            'charger' => ['label' => 'Charger', 'fields' => [
                'chemistries' => ['words', 'chemistries', Vocabulary::CHEMISTRIES], 'seriesLeast' => ['int', 'cells in series, least'], 'seriesMost' => ['int', 'cells in series, most'],
                'inputVolts' => ['V', 'input window'], 'chargeMa' => ['mA', 'charge current'], 'powerPath' => ['yes-no', 'feeds the loads past the pack'], 'wireless' => ['flag', 'through a coil'],
                'topology' => ['choice', 'topology', ['', 'linear', 'switching']], 'efficiency' => ['share', 'efficiency, when switching'],
            ]],
            'protector' => ['label' => 'Protection board', 'fields' => [
                'chemistries' => ['words', 'chemistries', Vocabulary::CHEMISTRIES], 'series' => ['int', 'cells in series'], 'cutOffV' => ['V', 'cuts off at'], 'mostMa' => ['mA', 'carries at most'],
                'recoveryV' => ['V', 'recovery voltage'], 'latches' => ['yes-no', 'stays off once tripped'],
            ]],
            'gauge' => ['label' => 'Low-battery warning', 'fields' => ['warningSeconds' => ['s', 'warning before the power goes']]],
            'fuse' => ['label' => 'Fuse', 'fields' => ['ratingMa' => ['mA', 'rating']]],
            'switch' => ['label' => 'Switch', 'fields' => [
                'kind' => [
                    'choice',
                    'kind',
                    ['slide', 'rocker', 'toggle', 'push', 'soft'],
                ], 'ratingMa' => ['mA', 'rating'], 'ratingV' => ['V', 'rated volts'], 'travelMm' => ['mm', 'travel'], 'carriesPower' => ['flag', 'carries the whole current'],
            ]],
            'sockets' => ['label' => 'Sockets', 'fields' => [
                'name' => ['text', 'name'], 'connector' => $connectors, 'carries' => ['choice', 'carries', Vocabulary::SIGNALS], 'direction' => ['choice', 'direction', ['in', 'out', 'both']], 'count' => ['int', 'how many'],
                'outside' => ['flag', 'reached with the body closed'], 'ownLead' => ['flag', 'brings its own lead'], 'face' => ['choice', 'edge', Vocabulary::FACES], 'offsetMm' => ['mm±', 'from the middle of the edge'],
                'depthMm' => ['mm', 'depth with its plug'], 'ratingMa' => ['mA', 'rating'], 'sense' => ['yes-no', 'sense resistors or plug switch'], 'contacts' => ['int', 'ribbon contacts'], 'pitchMm' => ['mm', 'ribbon pitch'], 'side' => ['choice', 'contacts on the', ['', 'top', 'bottom']],
            ]],
            'cable' => ['label' => 'Lead', 'fields' => [
                'oneEnd' => $connectors, 'otherEnd' => $connectors, 'carries' => ['words', 'carries', Vocabulary::SIGNALS], 'gaugeAwg' => ['AWG', 'power wires'], 'lengthMm' => ['mm', 'length'], 'bendMm' => ['mm', 'room to bend'],
                'contacts' => ['int', 'ribbon contacts'], 'pitchMm' => ['mm', 'ribbon pitch'], 'sides' => [
                    'choice',
                    'contacts of both ends',
                    ['', 'same', 'opposite'],
                ],
            ]],
            'pins' => ['label' => 'Pins it has', 'fields' => ['logicV' => ['V', 'logic level'], 'does' => ['lists', 'pin and what it can do']]],
            'pinNeeds' => ['label' => 'Pins it takes', 'fields' => ['logicV' => ['V', 'logic level'], 'wants' => ['counts', 'function and how many']]],
            'panel' => ['label' => 'Panel', 'fields' => [
                'widthPx' => ['int', 'pixels across'], 'heightPx' => ['int', 'pixels down'], 'touch' => ['flag', 'touch'], 'activeWidthMm' => ['mm', 'picture width'], 'activeHeightMm' => ['mm', 'picture height'],
                'modes' => ['modes', 'takes'], 'lightMa' => ['mA', 'backlight, dim to bright'], 'dims' => [
                    'choice',
                    'dimmed by',
                    ['', 'software', 'buttons', 'wheel', 'none'],
                ], 'needsSignal' => ['yes-no', 'dark without a picture signal'], 'upright' => ['flag', 'scans in portrait'],
            ]],
            'video' => ['label' => 'Video out', 'fields' => [
                'modes' => ['modes', 'gives'], 'firstStart' => [
                    'words',
                    'shows at first start on',
                    Vocabulary::SIGNALS,
                ], 'ownModes' => ['yes-no', 'takes other formats by a line'], 'rotates' => ['yes-no', 'can rotate the picture'],
            ]],
            'controls' => ['label' => 'Controls', 'fields' => [
                'players' => ['int', 'players'], 'dPads' => ['int', 'd-pads'], 'buttons' => ['int', 'buttons'], 'sticks' => ['int', 'sticks'], 'knobs' => ['int', 'knobs'], 'triggers' => ['int', 'triggers'], 'touch' => ['flag', 'touch'],
                'speaks' => ['words', 'ways to the computer', Vocabulary::CONTROL_LINKS], 'padMode' => [
                    'choice',
                    'says it is',
                    ['pad', 'keyboard', 'contacts', 'unknown'],
                ], 'analogueTriggers' => ['yes-no', 'triggers are analogue'],
                'heightMm' => ['mm', 'height above the face'], 'travelMm' => ['mm', 'travel'], 'madeFor' => ['text', 'made for the controller board'], 'boardName' => ['text', 'is the controller board'],
            ]],
            'radio' => ['label' => 'Radio', 'fields' => ['' => ['words', 'speaks', Vocabulary::RADIOS]]],
            'amp' => [
                'label' => 'Amplifier',
                'fields' => [
                    'channels' => ['int', 'channels'],
                    'watts' => ['W', 'watts a channel'],
                    'atOhm' => ['Ω', 'into'],
                    'leastOhm' => ['Ω', 'least load'],
                ],
            ],
            'speaker' => ['label' => 'Loudspeaker', 'fields' => ['ohm' => ['Ω', 'impedance'], 'watts' => ['W', 'takes']]],
            'body' => ['label' => 'Body', 'fields' => [
                'cavityLengthMm' => ['mm', 'room inside, length'], 'cavityWidthMm' => ['mm', 'room inside, width'], 'cavityHeightMm' => ['mm', 'room inside, depth'], 'wallMm' => ['mm', 'wall'],
                'drawn' => ['flag', 'drawn around the parts'], 'cuttable' => ['flag', 'can be cut'], 'process' => [
                    'choice',
                    'made by',
                    ['', ...array_keys(Constants::WALL_LEAST_MM)],
                ],
                'openings' => [
                    'many',
                    'openings',
                    [
                        'name' => ['text', 'name'],
                        'connector' => $connectors,
                        'widthMm' => ['mm', 'width'],
                        'heightMm' => ['mm', 'height'],
                        'face' => ['choice', 'face', Vocabulary::FACES],
                        'offsetMm' => ['mm±', 'from the middle'],
                    ],
                ],
                'zones' => [
                    'many',
                    'rooms with their own depth',
                    ['name' => ['text', 'name'], 'lengthMm' => ['mm', 'length'], 'widthMm' => ['mm', 'width'], 'depthMm' => ['mm', 'depth']],
                ],
                'posts' => [
                    'many',
                    'posts',
                    [
                        'pattern' => ['text', 'hole pattern'],
                        'thread' => ['text', 'thread'],
                        'depthMm' => ['mm', 'depth for the screw'],
                        'clampMm' => ['mm', 'thickness clamped'],
                        'headAcrossMm' => ['mm', 'room for the head'],
                        'headHighMm' => ['mm', 'height for the head'],
                        'holdsBy' => ['choice', 'holds by', ['post', 'insert', 'nut']],
                    ],
                ],
                'sliders' => [
                    'many',
                    'caps that move something',
                    ['name' => ['text', 'name'], 'moves' => ['choice', 'moves', ['slide', 'push', 'button']], 'travelMm' => ['mm', 'travel']],
                ],
                'spots' => ['words', 'places for add-ons', []], 'ventMm2' => ['mm²', 'air openings together'], 'bedLengthMm' => ['mm', 'printer bed, length'], 'bedWidthMm' => ['mm', 'printer bed, width'], 'bedHeightMm' => ['mm', 'printer, height'], 'fieldWindow' => ['yes-no', 'lets radio and coils through'],
            ]],
            'mount' => ['label' => 'Mounting holes', 'fields' => ['pattern' => ['text', 'hole pattern'], 'thread' => ['text', 'thread']]],
            'fastener' => [
                'label' => 'Fastener',
                'fields' => [
                    'thread' => ['text', 'thread'],
                    'lengthMm' => ['mm', 'length under the head'],
                    'headAcrossMm' => ['mm', 'head across'],
                    'headHighMm' => ['mm', 'head height'],
                    'into' => ['choice', 'goes into', ['post', 'insert', 'nut']],
                ],
            ],
            'spots' => ['label' => 'Place it takes', 'fields' => ['takes' => ['text', 'place'], 'orElse' => ['words', 'or else', []]]],
            'surface' => ['label' => 'Surface', 'fields' => ['bare' => ['yes-no', 'bare contacts outside']]],
            'heat' => [
                'label' => 'Heat',
                'fields' => [
                    'watts' => ['W', 'turned into heat'],
                    'limitC' => ['°C', 'throttles or fails at'],
                    'riseKPerW' => ['K/W', 'rise, still air'],
                    'riseFanKPerW' => ['K/W', 'rise, with cooling'],
                ],
            ],
            'cooling' => ['label' => 'Cooling', 'fields' => ['fan' => ['flag', 'has a fan'], 'ventMm2' => ['mm²', 'wants openings of']]],
            'storage' => ['label' => 'Storage', 'fields' => ['capacityGb' => ['GB', 'capacity'], 'card' => ['text', 'kind of card']]],
            'software' => ['label' => 'Software', 'fields' => [
                'imageGb' => ['GB', 'size of the image'], 'card' => ['text', 'starts from'], 'family' => ['text', 'family of boards'], 'image' => ['yes-no', 'ready image exists'], 'needsShutdown' => ['yes-no', 'has to be shut down'], 'shutdownSeconds' => ['s', 'a shutdown takes'],
            ]],
            'drivers' => [
                'label' => 'Drivers',
                'fields' => [
                    'family' => ['text', 'family of boards'],
                    'state' => ['choice', 'state', ['in', 'lines', 'open', 'none', 'unknown']],
                    'lines' => ['words', 'lines to set', []],
                    'lookAgainOn' => ['text', 'look again on'],
                    'note' => ['text', 'note'],
                ],
            ],
            'kit' => [
                'label' => 'Kit',
                'fields' => [
                    'contains' => ['words', 'contains', []],
                    'lacks' => [
                        'many',
                        'leaves out',
                        ['role' => ['choice', 'role', array_map(static fn (Role $role): string => $role->value, Role::cases())], 'what' => ['text', 'what']],
                    ],
                ],
            ],
            'variant' => ['label' => 'Variant', 'fields' => ['has' => ['texts', 'is'], 'wants' => ['texts', 'was made for']]],
        ];
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
        foreach (self::facets() as $name => $facet) {
            $properties[$name] = match (true) {
                isset($facet['fields']['']) => self::fieldSchema($facet['fields']['']),
                in_array($name, self::MANY, true) => [
                    'type' => 'array',
                    'maxItems' => 60,
                    'items' => self::groupSchema($facet['fields'], self::required($name)),
                ],
                default => self::groupSchema($facet['fields'], self::required($name)),
            };
        }

        return ['type' => 'object', 'properties' => $properties];
    }

    /** @return list<string> fields without which a group cannot be read */
    private static function required(string $facet): array
    {
        return match ($facet) {
            'outputs' => ['name'],
            'sockets' => ['name', 'connector', 'carries', 'direction'],
            'cable' => ['oneEnd', 'otherEnd', 'carries'],
            'pack' => ['chemistry', 'series'],
            'charger' => ['chemistries', 'seriesLeast', 'seriesMost'],
            'protector' => ['chemistries', 'series'],
            'panel' => ['widthPx', 'heightPx'],
            'amp' => ['channels'],
            'mount' => ['pattern'],
            'fastener' => ['thread'],
            'drivers' => ['family', 'state'],
            'spots' => ['takes'],
            'supplies' => ['name'],
            default => [],
        };
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
