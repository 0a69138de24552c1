<?php

declare(strict_types=1);

namespace PocketPlot\Clipping;

/** Where in a part of a role a find belongs: its facet and field. */
final class Places
{
    /** Finds that are one figure or word of one field, whatever the role. */
    private const FIELDS = [
        'mass' => ['size', 'massG'], 'material' => ['size', 'material'],
        'supply voltage' => ['supply', 'volts'], 'absolute maximum' => ['supply', 'absoluteMaxV'], 'draw' => ['supply', 'drawMa'],
        'draw taken at' => ['supply', 'drawAtV'], 'peak draw' => ['supply', 'peakMa'], 'start-up draw' => ['supply', 'startUpMa'],
        'standby draw' => ['supply', 'offMa'], 'low-battery warning' => ['supply', 'warnVolts'],
        'series' => ['pack', 'series'], 'parallel' => ['pack', 'parallel'], 'capacity' => ['pack', 'capacityMah'], 'chemistry' => ['pack', 'chemistry'],
        'cell nominal voltage' => ['pack', 'cellNominalV'], 'cell full voltage' => ['pack', 'cellFullV'], 'cell empty voltage' => ['pack', 'cellEmptyV'],
        'discharge limit' => ['pack', 'maxDischargeMa'], 'charge limit' => ['pack', 'maxChargeMa'], 'internal resistance' => ['pack',
            'internalResistanceMohm'],
        'protection' => ['pack', 'protection'], 'cut-off voltage' => ['pack', 'cutOffV'], 'recovery voltage' => ['pack', 'recoveryV'],
        'cycles so far' => ['pack', 'cycles'], 'sealed bank' => ['pack', 'sealed'], 'loose cells' => ['pack', 'loose'], 'total output power' => ['pack',
            'totalW'],
        'protector current' => ['protector', 'mostMa'],
        'charge input voltage' => ['charger', 'inputVolts'], 'charge input current' => ['charger', 'inputMa'], 'charge current' => ['charger', 'chargeMa'],
        'power path' => ['charger', 'powerPath'], 'charger type' => ['charger', 'topology'], 'charge chemistry' => ['charger', 'chemistries'],
        'touch' => ['panel', 'touch'], 'light draw' => ['panel', 'lightMa'], 'dimming' => ['panel', 'dims'],
        'd-pads' => ['controls', 'dPads'], 'buttons' => ['controls', 'buttons'], 'sticks' => ['controls', 'sticks'], 'knobs' => ['controls', 'knobs'],
        'triggers' => ['controls', 'triggers'], 'players' => ['controls', 'players'], 'speaks' => ['controls', 'speaks'], 'pad mode' => ['controls',
            'padMode'],
        'analogue triggers' => ['controls', 'analogueTriggers'], 'height above face' => ['controls', 'heightMm'],
        'made for' => ['controls', 'madeFor'], 'holds length' => ['controls', 'holdsLengthMm'],
        'amp channels' => ['amp', 'channels'], 'amp watts' => ['amp', 'watts'], 'amp load' => ['amp', 'atOhm'], 'least load' => ['amp', 'leastOhm'],
        'speaker impedance' => ['speaker', 'ohm'], 'speaker watts' => ['speaker', 'watts'],
        'wall' => ['body', 'wallMm'], 'process' => ['body', 'process'], 'cuttable' => ['body', 'cuttable'],
        'thread' => ['mount', 'thread'], 'heat' => ['heat', 'watts'], 'temperature limit' => ['heat', 'limitC'], 'temperature rise' => ['heat', 'riseKPerW'],
        'fan' => ['cooling', 'fan'], 'storage capacity' => ['storage', 'capacityGb'], 'image size' => ['software', 'imageGb'],
        'shutdown time' => ['software', 'shutdownSeconds'], 'logic level' => ['pins', 'logicV'],
        'fuse rating' => ['fuse', 'ratingMa'], 'switch kind' => ['switch', 'kind'], 'switch rating' => ['switch', 'ratingMa'],
        'switch rated voltage' => ['switch', 'ratingV'],
        'lead length' => ['cable', 'lengthMm'], 'wire gauge' => ['cable', 'gaugeAwg'], 'bend room' => ['cable', 'bendMm'], 'lead carries' => ['cable',
            'carries'],
        'ribbon contacts' => ['cable', 'contacts'], 'ribbon pitch' => ['cable', 'pitchMm'], 'ribbon sides' => ['cable', 'sides'],
        'radio' => ['radio', ''], 'powered by' => ['poweredBy', ''],
    ];

    /** Finds about an output; several outputs are told apart by their order in the text. */
    public const OUTPUT = [
        'output voltage' => 'volts', 'output current' => 'continuousMa', 'output peak current' => 'peakMa', 'efficiency' => 'efficiency',
        'conversion' => 'topology',
        'dropout' => 'dropoutV', 'quiescent current' => 'idleMa', 'switch-off current' => 'switchOffMa', 'enable pin' => 'enable',
    ];

    /** Fields that hold a whole number and no figure with a source. */
    public const WHOLE = [
        'series', 'parallel', 'dPads', 'buttons', 'sticks', 'knobs', 'triggers', 'players', 'channels', 'contacts',
    ];

    /** Fields that are a tick. */
    public const TICKS = ['touch', 'cuttable', 'fan', 'sealed', 'loose'];

    /** Fields that hold several words. */
    public const WORDS = ['speaks', 'chemistries', 'carries', 'radio'];

    /** @return array{string, string}|null facet and field; null where a part of this role has no place for it */
    public static function of(string $what, string $role, bool $isGuard): ?array
    {
        if ($isGuard) {
            $guard = ['chemistry' => 'chemistries', 'series' => 'series', 'cut-off voltage' => 'cutOffV', 'recovery voltage' => 'recoveryV'][$what] ?? null;
            if ($guard !== null) {
                return ['protector', $guard];
            }
        }
        $place = match (true) {
            $what === 'travel' => $role === 'switch' ? ['switch', 'travelMm'] : ['controls', 'travelMm'],
            $what === 'vent area' => $role === 'cooling' ? ['cooling', 'ventMm2'] : ['body', 'ventMm2'],
            $what === 'card kind' => $role === 'storage' ? ['storage', 'card'] : ['software', 'card'],
            default => self::FIELDS[$what] ?? null,
        };
        $isElsewhere = $place === null
            || ($place[0] === 'cable' && $role !== 'cable')
            || ($place[0] === 'pack' && $role !== 'cells')
            || ($place[0] === 'mount' && $role === 'case');

        return $isElsewhere ? null : $place;
    }
}
