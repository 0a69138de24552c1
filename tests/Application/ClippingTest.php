<?php

declare(strict_types=1);

use App\Actions\StartBuild;
use App\Models\PartRecord;

const PASTED = "Quoll 5 panel, 800x480, touch\nSupply 5 V, typ. 420 mA, max. 610 mA\nmicro HDMI in, 121 x 76 x 8 mm, 94 g\n€ 31,50";

beforeEach(function (): void {
    $this->travelTo('2026-11-26 12:00:00');
    $this->user = $this->builder();
    $this->actingAs($this->user);
});

it('reads a text, marks where each find stands, and stores nothing', function (): void {
    $answer = $this->assertShape($this->postJson('/api/clippings', ['text' => PASTED])->assertOk(), 'Clipping')->json();
    $says = array_column($answer['proposals'], 'says', 'label');
    expect($answer)->toMatchArray(['role' => 'display', 'name' => 'Quoll 5 panel', 'isList' => false, 'part' => null])
        ->and($says)->toMatchArray(['supply window' => '5 V', 'draw, idle to heavy' => '420, at most 610 mA', 'price' => '31.50 EUR', 'weight' => '94 g']);
    $price = collect($answer['proposals'])->firstWhere('what', 'price');
    expect(mb_substr(PASTED, $price['start'], $price['end'] - $price['start']))->toBe('€ 31,50')
        ->and(PartRecord::query()->where('user_id', $this->user->id)->count())->toBe(0);
});

it('puts the confirmed finds into the part that the editor holds, and nothing else', function (): void {
    $proposals = $this->postJson('/api/clippings', ['text' => PASTED, 'role' => 'display'])->json('proposals');
    $supply = collect($proposals)->firstWhere('label', 'supply window')['id'];
    $answer = $this->assertShape($this->postJson('/api/clippings', [
        'text' => PASTED, 'role' => 'display', 'take' => [$supply], 'part' => ['name' => 'Mine', 'role' => 'display', 'facets' => ['size' => ['massG' => ['typed' => '95 g', 'source' => 'measured']]]],
    ])->assertOk(), 'Clipping')->json();
    expect($answer['part'])->toEqual([
        'name' => 'Mine', 'role' => 'display',
        'facets' => ['size' => ['massG' => ['typed' => '95 g', 'source' => 'measured']], 'supply' => ['volts' => ['value' => 5, 'source' => 'listing', 'on' => '2026-11-26']]],
    ]);
    expect(collect($answer['proposals'])->firstWhere('label', 'weight')['was'])->toBe('95 g');
    $this->postJson('/api/parts', ['part' => $answer['part']])->assertCreated();
});

it('tells a list of names from a text', function (): void {
    $answer = $this->postJson('/api/clippings', ['text' => "- Tolmen X board\n- 5 inch panel\n- LiPo pack 5000\n- some gizmo"])->assertOk()->json();
    expect($answer['isList'])->toBeTrue()->and($answer['names'])->toBe([
        ['name' => 'Tolmen X board', 'role' => 'board', 'finds' => []], ['name' => '5 inch panel', 'role' => 'display', 'finds' => []],
        ['name' => 'LiPo pack 5000', 'role' => 'cells', 'finds' => [['label' => 'chemistry', 'says' => 'LiPo']]], ['name' => 'some gizmo', 'role' => null, 'finds' => []],
    ]);
});

it('takes a text for what its builder says: its lines are at hand as names', function (): void {
    $two = $this->postJson('/api/clippings', ['text' => "A board\n12 V, 60 W"])->assertOk();
    $two->assertJsonPath('isList', false)->assertJsonPath('names.1.name', '12 V, 60 W')->assertJsonPath('names.1.role', null);
    $this->postJson('/api/clippings', ['text' => 'LiPo cell 3.7 V'])->assertOk()->assertJsonPath('isList', false)->assertJsonPath('names', []);
    $long = $this->postJson('/api/clippings', ['text' => implode("\n", array_fill(0, 150, 'fan'))])->assertOk();
    expect($long->json('names'))->toHaveCount(100);
});

it('says what is wrong with a text', function (array $given, string $field, string $says): void {
    $this->postJson('/api/clippings', $given)->assertStatus(422)->assertJsonPath("fields.{$field}.0", $says);
})->with([
    'none' => [[], 'text', 'Paste a text first.'],
    'five megabytes' => [['text' => str_repeat('5 V ', 1_250_000)], 'text', 'The text has 5.0 MB; up to 0.2 MB are read. Paste the piece about this part.'],
    'no such role' => [['text' => '5 V', 'role' => 'toy'], 'role', 'Choose what the part is for.'],
]);

it('takes parts by name, each an own part and a line, in one edit', function (): void {
    $build = StartBuild::blank($this->user, 'New');
    $answer = $this->assertShape($this->postJson("/api/builds/{$build->id}/own", ['version' => 1, 'parts' => [
        ['name' => 'Tolmen X board'], ['name' => 'Gizmo', 'role' => 'tool'],
    ]])->assertOk(), 'Build')->json();
    expect($answer['version'])->toBe(2)->and(array_column($answer['lines'], 'role'))->toBe(['board', 'tool'])
        ->and(PartRecord::query()->where('user_id', $this->user->id)->orderBy('id')->pluck('name')->all())->toBe(['Tolmen X board', 'Gizmo']);
    $this->postJson("/api/builds/{$build->id}/own", ['version' => 2, 'parts' => [['name' => 'One more board'], ['name' => 'Thing']]])
        ->assertStatus(422)->assertJsonPath('fields', ['parts.1.role' => ['Choose what "Thing" is for; its name does not tell.']]);
    expect($build->refresh()->version)->toBe(2)->and(PartRecord::query()->where('user_id', $this->user->id)->count())->toBe(2);
    $this->postJson("/api/builds/{$build->id}/own", ['version' => 1, 'parts' => [['name' => 'A board']]])->assertStatus(409);
});

it('takes a part from a text with the finds that were confirmed, and keeps the text', function (): void {
    $build = StartBuild::blank($this->user, 'New');
    $proposals = $this->postJson('/api/clippings', ['text' => PASTED, 'role' => 'display'])->json('proposals');
    $this->postJson("/api/builds/{$build->id}/own", ['version' => 1, 'parts' => [
        ['name' => 'Quoll 5', 'role' => 'display', 'text' => PASTED, 'take' => array_column($proposals, 'id')],
    ]])->assertOk();
    $spec = PartRecord::query()->where('user_id', $this->user->id)->firstOrFail()->spec;
    expect($spec['facets']['panel'])->toEqual(['widthPx' => 800, 'heightPx' => 480, 'touch' => true])
        ->and($spec['facets']['supply']['drawMa'])->toEqual(['least' => 420, 'usual' => 420, 'most' => 610, 'source' => 'listing', 'on' => '2026-11-26'])
        ->and($spec['clippings'])->toBe([['text' => PASTED, 'on' => '2026-11-26']])
        ->and($spec['offers'][0]['price'])->toBe(['amount' => '31.50', 'currency' => 'EUR']);
});

it('lets nobody put parts on the list of another', function (): void {
    $build = StartBuild::blank($this->user, 'New');
    $this->actingAs($this->builder('other@example.test'));
    $this->postJson("/api/builds/{$build->id}/own", ['version' => 1, 'parts' => [['name' => 'A board']]])->assertNotFound();
    expect($build->refresh()->version)->toBe(1);
});

it('takes half-known parts, and what they lack one answer after the other', function (): void {
    $build = $this->postJson('/api/builds', ['name' => 'Half known'])->assertCreated()->json('id');
    $parts = [
        ['name' => 'Flat cell', 'role' => 'cells', 'text' => 'Flat cell, capacity 5000 mAh, 98 g', 'take' => [0, 1]],
        ['name' => 'A lead', 'role' => 'cable', 'text' => 'USB-C to USB-C cable, 1 m', 'take' => [0, 1, 2]],
        ['name' => 'An amplifier', 'role' => 'sound', 'text' => 'Amplifier 5 V, 3 W into 4 ohm', 'take' => [0, 1, 2, 3]],
        ['name' => 'A panel', 'role' => 'display', 'text' => 'Panel for 12 V, 300 cd/m2, touch', 'take' => [0, 1, 2]],
        ['name' => 'A screw', 'role' => 'fastener', 'text' => 'Screw, 6 mm long', 'take' => [0]],
    ];
    $after = $this->postJson("/api/builds/{$build}/own", ['version' => 1, 'parts' => $parts])->assertOk()->json();
    $open = static fn (array $build): array => array_column(array_filter($build['appraisal']['toMeasure'], static fn (array $one): bool => $one['line'] === 'cells'), 'figure');
    expect($open($after))->toContain('pack.chemistry', 'pack.series');
    $this->putJson("/api/builds/{$build}/lines/cells/figures", ['version' => 2, 'figure' => 'pack.chemistry', 'typed' => 'LiPo'])->assertOk();
    $whole = $this->putJson("/api/builds/{$build}/lines/cells/figures", ['version' => 3, 'figure' => 'pack.series', 'typed' => '1'])->assertOk()->json();
    // What was pasted before counts now: 5000 mAh.
    expect($open($whole))->not->toContain('pack.chemistry')->not->toContain('pack.series')->not->toContain('pack.capacityMah')
        ->and(collect($whole['lines'])->firstWhere('id', 'cells')['part']['keyFigures'])->toContain('5000 mAh');
});

it('reads a price without a currency in the money that is asked for', function (): void {
    $given = ['text' => "Tarn mini pc board, want 45 ono\n12 V, 100 x 100 mm", 'currency' => 'SEK'];
    $read = $this->assertShape($this->postJson('/api/clippings', $given)->assertOk(), 'Clipping');
    $price = collect($read->json('proposals'))->firstWhere('label', 'price');
    expect($price['says'])->toBe('45.00 SEK, in no currency said')->and($price['isUnsure'])->toBeTrue();
    $this->postJson('/api/clippings', [...$given, 'currency' => 'crowns'])->assertStatus(422)->assertJsonPath('fields.currency.0', 'Write the currency as three letters, such as EUR.');
});
