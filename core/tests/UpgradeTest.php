<?php

declare(strict_types=1);

use CoreTests\Golden;
use CoreTests\Make;
use PocketPlot\File\BuildReader;
use PocketPlot\File\Fields;
use PocketPlot\File\Format;
use PocketPlot\File\Json;
use PocketPlot\File\Upgrade\FromVersion1;
use PocketPlot\File\Upgrade\FromVersion2;

$old = static fn (string $name): string => Make::read("core/tests/version1/{$name}.pocketplot.json");

/**
 * At which edge a socket sits was written down in the demo builds when their parts got their places.
 *
 * @param  array<string, mixed>  $document
 * @return array<string, mixed>
 */
function withEdges(array $document, string $name): array
{
    $faces = [];
    foreach (in_array($name, Golden::IN_TREE, true) ? Make::demoDocument($name)['parts'] : [] as $part) {
        foreach (is_array($part['facets'] ?? null) ? $part['facets']['sockets'] ?? [] : [] as $socket) {
            $faces += isset($socket['face']) ? [$socket['name'] => $socket['face']] : [];
        }
    }
    foreach ($document['parts'] as $at => $part) {
        foreach (is_array($part['facets'] ?? null) ? $part['facets']['sockets'] ?? [] : [] as $nth => $socket) {
            $face = ($socket['outside'] ?? false) === true ? $faces[$socket['name']] ?? null : null;
            $document['parts'][$at]['facets']['sockets'][$nth] = $face === null ? $socket : ['face' => $face] + $socket;
        }
    }

    return $document;
}

it('opens a build of version 1, whose appraisal differs only in names', function (string $name) use ($old): void {
    $build = BuildReader::read(withEdges(Make::buildFormat()->decode($old($name)), $name));
    // Places came with version 3.
    $build = in_array($name, Golden::IN_TREE, true) ? $build->withFit(Make::demo($name)->fit) : $build;
    // Without what the library offers: that is asked of the library as it is now.
    $said = Golden::inTodaysWords(Golden::plain(Golden::said("drawn {$name}", $build)));
    $before = Golden::withoutLibrary(Golden::before()[$name]);
    expect(Golden::differences($before, $said))->toBe([]);
})->with([...Golden::IN_TREE, ...Golden::TRIALS]);

it('opens a library of version 1, and every part is still read', function () use ($old): void {
    $document = (new Format(Format::LIBRARY, Make::read('core/schema/library.schema.json')))->decode($old('library'));
    expect($document['version'])->toBe(3)->and(count(BuildReader::parts(new Fields($document))))->toBe(count(Make::library()));
});

it('keeps beside what a file of version 2 had as its own under the names of version 3', function (): void {
    $own = ['facets' => [
        'blocks' => 'x',
        'mount' => ['pattern' => '1x1', 'xMm' => 'left'],
        'body' => ['ribs' => 2, 'zones' => [['name' => 'grip', 'zMm' => 'deep']]],
    ]];
    foreach ([$own, json_decode(Json::encode($own))] as $part) {
        expect(Json::encode(FromVersion2::part($part)))->toBe(Json::encode([
            'facets' => [
                'own-blocks' => 'x', 'mount' => ['pattern' => '1x1', 'own-xMm' => 'left'], 'body' => [
                    'own-ribs' => 2,
                    'zones' => [['name' => 'grip', 'own-zMm' => 'deep']],
                ],
            ],
        ]));
    }
});

it('gives keys and words their new names', function (array $was, array $is): void {
    $facets = static fn (array $facets): array => ['id' => 'x', 'facets' => $facets];
    expect(FromVersion1::part($facets($was)))->toBe($facets($is));
    // The same of groups that were decoded as objects.
    $asObject = static fn (array $part): mixed => json_decode(Json::encode($part));
    expect(Json::encode(FromVersion1::part($asObject($facets($was)))))->toBe(Json::encode($facets($is)));
})->with([
    'the wall' => [['livesOn' => 'mains'], ['poweredBy' => 'mains']],
    'an absolute maximum' => [['supply' => ['volts' => 5, 'limitVolts' => 6]], ['supply' => ['volts' => 5, 'absoluteMaxV' => 6]]],
    'a further input' => [['supplies' => [['name' => 'aux', 'limitVolts' => 6]]], ['supplies' => [['name' => 'aux', 'absoluteMaxV' => 6]]]],
    'a boost converter' => [['outputs' => [['name' => 'out', 'converts' => 'up']]], ['outputs' => [['name' => 'out', 'topology' => 'boost']]]],
    'a buck converter' => [['outputs' => [['name' => 'out', 'converts' => 'down']]], ['outputs' => [['name' => 'out', 'topology' => 'buck']]]],
    'a buck-boost converter' => [['outputs' => [['converts' => 'up-and-down']]], ['outputs' => [['topology' => 'buck-boost']]]],
    'a linear one' => [['outputs' => [['converts' => 'linear']]], ['outputs' => [['topology' => 'linear']]]],
    'a pack' => [
        ['pack' => ['chemistry' => 'iron-phosphate', 'resistanceMohm' => 30, 'releaseV' => 11]],
        ['pack' => ['chemistry' => 'LiFePO4', 'internalResistanceMohm' => 30, 'recoveryV' => 11]],
    ],
    'a charger' => [
        ['charger' => ['chemistries' => ['lithium-ion', 'lithium-polymer', 'nickel-metal-hydride', 'alkaline'], 'way' => 'linear']],
        ['charger' => ['chemistries' => ['Li-ion', 'LiPo', 'NiMH', 'alkaline'], 'topology' => 'linear']],
    ],
    'a protection board' => [
        ['protector' => ['chemistries' => ['lithium-ion'], 'releaseV' => 3]],
        ['protector' => ['chemistries' => ['Li-ion'], 'recoveryV' => 3]],
    ],
    'a gauge' => [['gauge' => ['noticeSeconds' => 30]], ['gauge' => ['warningSeconds' => 30]]],
    'video' => [['picture' => ['turns' => 'yes', 'ownModes' => 'no']], ['video' => ['rotates' => 'yes', 'ownModes' => 'no']]],
    'controls' => [['controls' => ['directions' => 1, 'buttons' => 4]], ['controls' => ['dPads' => 1, 'buttons' => 4]]],
    'nothing that has a new name' => [
        ['size' => ['lengthMm' => 3], 'sockets' => [['name' => 'in', 'direction' => 'in']]],
        ['size' => ['lengthMm' => 3], 'sockets' => [['name' => 'in', 'direction' => 'in']]],
    ],
    'a key of its own that has a meaning now' => [['livesOn' => 'sun', 'poweredBy' => 'hope'], ['poweredBy' => 'sun', 'own-poweredBy' => 'hope']],
    'what is not what it should be' => [
        ['supply' => 'none', 'outputs' => ['x', 5], 'pack' => 7, 'charger' => ['chemistries' => 'lithium-ion']],
        ['supply' => 'none', 'outputs' => ['x', 5], 'pack' => 7, 'charger' => ['chemistries' => 'Li-ion']],
    ],
]);

it('upgrades the brief, the joins and the tools', function (): void {
    $was = [
        'version' => 1, 'brief' => ['tools' => ['meter', 'saw', 'crimping tongs'], 'games' => [['class' => 'x', 'directions' => 1]]], 'own' => ['kept' => true],
        'parts' => [['id' => 'a', 'tools' => ['meter'], 'serves' => ['crimping tongs']]], 'joins' => [
            ['kind' => 'picture', 'from' => 'a', 'to' => 'b'],
            ['kind' => 'power', 'from' => 'c', 'to' => 'd'],
        ],
    ];
    expect(FromVersion1::document($was))->toBe([
        'version' => 2, 'brief' => ['tools' => ['multimeter', 'saw', 'crimping tool'], 'games' => [['class' => 'x', 'dPads' => 1]]], 'own' => ['kept' => true],
        'parts' => [['id' => 'a', 'tools' => ['multimeter'], 'serves' => ['crimping tool']]], 'joins' => [
            ['kind' => 'video', 'from' => 'a', 'to' => 'b'],
            ['kind' => 'power', 'from' => 'c', 'to' => 'd'],
        ],
    ]);
});
