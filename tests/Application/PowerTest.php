<?php

declare(strict_types=1);

use App\Models\BuildRecord;
use Illuminate\Support\Facades\Artisan;
use PocketPlot\File\Json;

beforeEach(function (): void {
    $this->travelTo('2026-11-24 12:00:00');
    config(['pocketplot.bench_pause_ms' => 0]);
    $this->user = $this->builder();
    $this->actingAs($this->user);
    $this->build = $this->refuge($this->user);
    $this->at = "/api/builds/{$this->build->id}";
});

/** @return list<array<string, mixed>> */
function lines(Illuminate\Testing\TestResponse $response): array
{
    return array_map(static fn (string $line): array => json_decode($line, true, 32, JSON_THROW_ON_ERROR), array_filter(explode("\n", $response->streamedContent())));
}

describe('power', function (): void {
    it('answers tree, run, budget, charge in the contract\'s shape', function (string $demo): void {
        $build = App\Actions\StartBuild::fromDemo($this->user, $demo, null);
        $this->assertShape($this->getJson("/api/builds/{$build->id}/power")->assertOk(), 'Power');
    })->with(['refuge', 'thimble', 'barge']);

    it('says the same as the vitals', function (): void {
        $power = $this->getJson("{$this->at}/power")->json();
        $vitals = $this->getJson($this->at)->json('appraisal.vitals.runTime');
        expect($power['sources'][0]['ends'][0]['usualHours'])->toEqualWithDelta($vitals['usualHours'], 0.01)
            ->and(min(array_column($power['sources'][0]['ends'], 'leastHours')))->toEqualWithDelta($vitals['leastHours'], 0.01);
    });

    it('goes by the way of playing and the weather that are asked for', function (): void {
        $hours = fn (string $query): float => $this->getJson("{$this->at}/power{$query}")->assertOk()->json('sources.0.run.hours');
        expect($hours('?profile=2'))->toBeLessThan($hours('?profile=0'))->and($hours('?celsius=0'))->toBeLessThan($hours(''));
        $this->getJson("{$this->at}/power?celsius=900")->assertStatus(422)->assertJsonPath('fields.celsius.0', 'Write degrees between -40 and 60.');
    });

    it('tells how far the sampling is, and ends with the answer', function (): void {
        $told = lines($this->get("{$this->at}/power/band")->assertOk());
        expect(array_column($told, 'done'))->toBe([...range(25, 500, 25), 500])->and(end($told)['band']['runs'])->toBe(500)->and(end($told)['band']['sensitivities'])->not->toBeEmpty();
        $this->assertShape(new Illuminate\Testing\TestResponse(new Illuminate\Http\JsonResponse(end($told))), 'PowerBand', 'band');
    });

    it('sizes from the shelf, each pack with the way to take it', function (): void {
        $answer = $this->getJson("{$this->at}/power/sizing?hours=".urlencode('6 h 30 min').'&cm3=400')->assertOk();
        expect(array_keys($answer->json('sizing.packs.0')))->toContain('sealed')->and($answer->json('sizing.hours'))->toBe(6.5)->and($answer->json('sizing.packs.0.does'))->toBeTrue();
        $take = $answer->json('sizing.packs.0');
        $version = $this->build->version;
        $swap = fn (int $version, int $quantity) => $this->postJson("{$this->at}/lines/{$answer->json('sizing.packLine')}/swap", ['version' => $version, 'part' => $take['libraryId'], 'quantity' => $quantity]);
        $swap($version, 0)->assertStatus(422)->assertJsonPath('fields.quantity.0', 'Write a whole number from 1 to 10000.');
        $after = $swap($version, $take['count'] + 1)->assertOk()->json();
        expect(array_column($after['lines'], 'part', 'id')['pack']['id'])->toBe($take['part'])->and(array_column($after['lines'], 'quantity', 'id')['pack'])->toBe($take['count'] + 1);
        // Fewer than there were before: what is taken is what was sized.
        expect(array_column($swap($version + 1, $take['count'])->assertOk()->json('lines'), 'quantity', 'id')['pack'])->toBe($take['count'])
            ->and($take['clashes'])->toBe([]);
    });

    it('sizes and charges in the air that is asked about', function (): void {
        $build = App\Actions\StartBuild::fromDemo($this->user, 'thimble', null);
        $one = fn (string $air): float => array_column($this->getJson("/api/builds/{$build->id}/power/sizing?hours=2{$air}")->assertOk()->json('sizing.packs'), 'oneHours', 'name')['Cobnut 500 cell'];
        $ends = fn (string $air): float => $this->getJson("/api/builds/{$build->id}/power?profile=0{$air}")->assertOk()->json('sources.0.ends.0.usualHours');
        expect($one('&celsius=0'))->toBeLessThan($one(''))->and($one('&celsius=0'))->toEqualWithDelta($ends('&celsius=0'), 0.002)->and($one(''))->toEqualWithDelta($ends(''), 0.002);
        $full = fn (string $air): float => $this->getJson("/api/builds/{$build->id}/power?profile=0{$air}")->json('sources.0.charge.atRest.hoursToFull');
        expect($full('&celsius=0'))->toBeLessThan($full(''));
    });

    it('knows the room that the body leaves, or what keeps it from being known', function (): void {
        $build = App\Actions\StartBuild::fromDemo($this->user, 'thimble', null);
        $sizing = $this->assertShape($this->getJson("/api/builds/{$build->id}/power/sizing?hours=2")->assertOk(), 'Sizing', 'sizing')->json('sizing');
        expect($sizing['leftCm3'])->toBeGreaterThan(10.0)->and($sizing['roomCm3'])->toBe($sizing['leftCm3'])->and($sizing['leftWants'])->toBeNull()->and($sizing['within'])->not->toBe([]);
        $sizing = $this->getJson("{$this->at}/power/sizing?hours=2")->json('sizing');
        expect($sizing['leftCm3'])->toBeNull()->and($sizing['leftWants'])->toBe('size of Bittern loudspeaker box')->and($sizing['roomCm3'])->toBeNull();
    });

    it('wants hours that are hours', function (string $hours, string $says): void {
        $this->getJson("{$this->at}/power/sizing?hours=".urlencode($hours))->assertStatus(422)->assertJsonPath('fields.hours.0', $says);
    })->with([['0', 'Write hours of more than nought, such as 4 h 30 min.'], ['soon', '"soon" cannot be read as a figure; write a number, with one of h, hours, hour, min if you like.']]);

    it('has nothing to size while a draw is missing', function (): void {
        $build = App\Actions\StartBuild::fromDemo($this->user, 'barge', null);
        $this->getJson("/api/builds/{$build->id}/power/sizing?hours=2")->assertOk()->assertJsonPath('sizing', null);
    });
});

describe('ways of playing', function (): void {
    it('keeps what is typed and moves the run time', function (): void {
        $after = $this->assertShape($this->putJson("{$this->at}/profiles", ['version' => 1, 'profiles' => [['name' => 'Slow', 'idle' => '80', 'usual' => '20 %', 'brightness' => '35 %', 'radio' => false]]])->assertOk(), 'Build');
        expect($after->json('appraisal.vitals.runTime.usualHours'))->toBeGreaterThan(12.0);
        expect($this->getJson("{$this->at}/power")->json('profiles.0'))->toMatchArray(['name' => 'Slow', 'idle' => 0.8, 'usual' => 0.2, 'brightness' => 0.35, 'radio' => false]);
        // With none of one's own, the house's count again.
        $this->putJson("{$this->at}/profiles", ['version' => 2, 'profiles' => []])->assertOk();
        expect($this->getJson("{$this->at}/power")->json('profilesAreDefaults'))->toBeTrue();
    });

    it('refuses what is no whole, at its field', function (array $profile, string $field, string $says): void {
        $answer = $this->putJson("{$this->at}/profiles", ['version' => 1, 'profiles' => [['name' => 'Odd', ...$profile]]])->assertStatus(422)->json('fields');
        expect($answer[$field][0] ?? json_encode($answer))->toContain($says);
        expect(BuildRecord::query()->findOrFail($this->build->id)->version)->toBe(1);
    })->with([
        [['idle' => '100', 'usual' => '100', 'heavy' => '100'], 'profiles.0.usual', 'add up to 300 %'],
        [['idle' => '0'], 'profiles.0.usual', 'add up to 0 %'],
        [['idle' => 'lots'], 'profiles.0.idle', 'cannot be read'],
        [['name' => '', 'usual' => '100'], 'profiles.0.name', 'Give it a name'],
    ]);
});

describe('the bench', function (): void {
    it('writes a draw down, shows what it would move, and lets it count', function (): void {
        $this->assertShape($this->postJson("{$this->at}/readings", ['version' => 1, 'kind' => 'draw', 'line' => 'board', 'state' => 'usual', 'volts' => '5 V', 'milliamps' => '1,3 A', 'instrument' => 'Meter'])->assertOk(), 'Build');
        $bench = $this->assertShape($this->getJson("{$this->at}/bench")->assertOk(), 'Bench')->json();
        $reading = $bench['readings'][0];
        expect($reading['milliamps'])->toEqual(1300)->and($reading['takenOn'])->toBe('2026-11-24')->and($reading['replaces'][0]['typed'])->toBe('650 / 1300 / 2080 mA');
        $effect = $this->assertShape($this->getJson("{$this->at}/readings/{$reading['id']}/effect")->assertOk(), 'ReadingEffect')->json();
        expect($effect['after']['runTime']['usualHours'])->toBeLessThan($effect['before']['runTime']['usualHours'])->and($effect['before']['cost'])->toBe($effect['after']['cost']);
        $after = $this->assertShape($this->postJson("{$this->at}/readings/{$reading['id']}/use", ['version' => 2])->assertOk(), 'Build');
        expect($after->json('appraisal.vitals'))->toEqual($effect['after']);
        expect($this->getJson("{$this->at}/bench")->json('readings.0.replaces.0'))->toMatchArray(['counts' => true, 'stated' => '500 to 1600 mA (datasheet)', 'typed' => '650 / 1300 / 2080 mA']);
        // What was stated stays beside what was measured.
        expect($this->getJson("{$this->at}/lines/board/part")->json('spec.facets.supply.drawMa'))->toMatchArray(['usual' => 1000, 'measured' => ['least' => 650, 'usual' => 1300, 'most' => 2080, 'on' => '2026-11-24']]);
        // And can be let count again.
        $back = $this->assertShape($this->deleteJson("{$this->at}/readings/{$reading['id']}/use", ['version' => 3])->assertOk(), 'Build');
        expect($back->json('appraisal.vitals'))->toEqual($effect['before'])->and($this->getJson("{$this->at}/bench")->json('readings.0.replaces.0.counts'))->toBeFalse()
            ->and($this->getJson("{$this->at}/lines/board/part")->json('spec.facets.supply.drawMa'))->not->toHaveKey('measured');
    });

    it('takes every kind', function (array $reading): void {
        $this->postJson("{$this->at}/readings", ['version' => 1, ...$reading])->assertOk();
        $shown = $this->assertShape($this->getJson("{$this->at}/bench"), 'Bench')->json('readings.0');
        expect($shown['kind'])->toBe($reading['kind'])->and($shown['says'])->not->toBe('');
    })->with([
        [['kind' => 'sweep', 'line' => 'panel', 'signal' => 'yes', 'steps' => [['volts' => '12', 'lit' => true, 'milliamps' => '430'], ['volts' => '8,5 V', 'lit' => false]]]],
        [['kind' => 'run', 'line' => 'pack', 'hours' => '9 h 40 min', 'stopped' => 'went dark', 'profile' => 'Two at the table', 'brightness' => '60']],
        [['kind' => 'charge', 'line' => 'pack', 'hours' => '7', 'fromShare' => '10 %', 'toShare' => '100 %']],
        [['kind' => 'temperature', 'line' => 'board', 'celsius' => '61', 'airC' => '23 °C', 'volts' => '5', 'milliamps' => '1200']],
        [['kind' => 'dimension', 'line' => 'board', 'figure' => 'heightMm', 'value' => '1/2 in']],
    ]);

    it('says at which field a reading is not whole, and keeps nothing', function (array $reading, string $field, string $says): void {
        $fields = $this->postJson("{$this->at}/readings", ['version' => 1, 'line' => 'board', ...$reading])->assertStatus(422)->json('fields');
        expect($fields[$field][0] ?? json_encode($fields))->toContain($says);
        $this->getJson("{$this->at}/bench")->assertJsonPath('readings', []);
    })->with([
        [['kind' => 'draw', 'state' => 'idle', 'volts' => '5'], 'milliamps', 'Is missing; write the amps'],
        [['kind' => 'draw', 'state' => 'idle', 'volts' => 'five', 'milliamps' => '3'], 'volts', 'cannot be read'],
        [['kind' => 'run', 'line' => 'pack', 'hours' => '3'], 'stopped', 'Is missing'],
        [['kind' => 'sweep', 'steps' => [['volts' => 'x', 'lit' => true]]], 'steps.0.volts', 'cannot be read'],
        [['kind' => 'taste'], 'kind', 'Choose what was measured'],
        [['kind' => 'run', 'hours' => '3', 'stopped' => 'went dark'], 'line', 'is no pack; choose the pack that was emptied'],
    ]);

    it('lays run tests beside the prediction and names those that cannot both be true', function (): void {
        $run = fn (int $version, string $hours) => $this->postJson("{$this->at}/readings", ['version' => $version, 'kind' => 'run', 'line' => 'pack', 'hours' => $hours, 'stopped' => 'went dark', 'profile' => 'Two at the table'])->assertOk();
        $run(1, '10');
        expect($this->getJson("{$this->at}/bench")->json('tests.0.within'))->toBeTrue()->and($this->getJson("{$this->at}/bench")->json('odd'))->toBeNull();
        $run(2, '5');
        $bench = $this->assertShape($this->getJson("{$this->at}/bench"), 'Bench')->json();
        expect($bench['odd']['says'])->toContain('cannot both be true')->and($bench['fit']['factors'][0]['tests'])->toBe(2);
    });

    it('puts a reading aside and takes it back', function (): void {
        $this->postJson("{$this->at}/readings", ['version' => 1, 'kind' => 'dimension', 'line' => 'board', 'figure' => 'heightMm', 'value' => '17'])->assertOk();
        $id = $this->getJson("{$this->at}/bench")->json('readings.0.id');
        $this->deleteJson("{$this->at}/readings/{$id}", ['version' => 2])->assertOk();
        $this->getJson("{$this->at}/bench")->assertJsonPath('readings', [])->assertJsonPath('removed', [$id]);
        $this->postJson("{$this->at}/readings/{$id}/restore", ['version' => 3])->assertOk();
        $this->getJson("{$this->at}/bench")->assertJsonPath('readings.0.id', $id);
    });

    it('lets no figure count whose reading is put aside, and none of a part that is gone', function (): void {
        $this->postJson("{$this->at}/readings", ['version' => 1, 'kind' => 'draw', 'line' => 'board', 'state' => 'usual', 'volts' => '5', 'milliamps' => '1400'])->assertOk();
        $before = $this->getJson($this->at)->json('appraisal.vitals.runTime');
        $id = $this->getJson("{$this->at}/bench")->json('readings.0.id');
        $counted = $this->postJson("{$this->at}/readings/{$id}/use", ['version' => 2])->assertOk()->json('appraisal.vitals.runTime');
        expect($counted['usualHours'])->toBeLessThan($before['usualHours']);
        expect($this->deleteJson("{$this->at}/readings/{$id}", ['version' => 3])->assertOk()->json('appraisal.vitals.runTime'))->toEqual($before);
        $this->postJson("{$this->at}/readings/{$id}/restore", ['version' => 4])->assertOk();
        $this->getJson("{$this->at}/bench")->assertJsonPath('readings.0.replaces.0.counts', false);
        // Another board in its place: the reading speaks of the old one and moves nothing.
        $other = $this->getJson('/api/parts?role=board')->json('parts.0');
        $swapped = $this->postJson("{$this->at}/lines/board/swap", ['version' => 5, 'part' => $other['libraryId']])->assertOk()->json('appraisal.vitals.runTime');
        $this->getJson("{$this->at}/bench")->assertJsonPath('readings.0.isOfThisPart', false)->assertJsonPath('readings.0.replaces', []);
        expect($this->postJson("{$this->at}/readings/{$id}/use", ['version' => 6])->json('appraisal.vitals.runTime'))->toEqual($swapped);
    });

    it('keeps a photograph small, without what a camera writes into it, and brings it through a file', function (): void {
        $picture = imagecreatetruecolor(2400, 1200);
        imagefill($picture, 0, 0, (int) imagecolorallocate($picture, 200, 120, 40));
        ob_start();
        imagepng($picture);
        $url = 'data:image/png;base64,'.base64_encode((string) ob_get_clean());
        $this->postJson("{$this->at}/readings", ['version' => 1, 'kind' => 'dimension', 'line' => 'board', 'figure' => 'heightMm', 'value' => '17', 'photo' => $url])->assertOk();
        $reading = $this->getJson("{$this->at}/bench")->json('readings.0');
        expect($reading['hasPhoto'])->toBeTrue();
        $jpeg = (string) $this->get("{$this->at}/readings/{$reading['id']}/photo")->assertOk()->assertHeader('Content-Type', 'image/jpeg')->getContent();
        expect(array_slice((array) getimagesizefromstring($jpeg), 0, 2))->toBe([1024, 512]);
        $file = (string) $this->get("{$this->at}/file")->getContent();
        $again = $this->postJson('/api/imports', ['text' => $file])->assertCreated()->json('id');
        expect($this->getJson("/api/builds/{$again}/bench")->json('readings.0'))->toMatchArray(['hasPhoto' => true, 'value' => 17]);
        $this->postJson("{$this->at}/readings", ['version' => 2, 'kind' => 'dimension', 'line' => 'board', 'figure' => 'heightMm', 'value' => '17', 'photo' => 'data:image/png;base64,bm90IGEgcGljdHVyZQ=='])
            ->assertStatus(422)->assertJsonPath('fields.photo.0', 'This file is no photograph that can be read; choose a JPEG, PNG or WebP.');
    });

    it('refuses an edit of a page that is not the latest', function (): void {
        $this->putJson("{$this->at}/profiles", ['version' => 1, 'profiles' => []])->assertOk();
        $this->postJson("{$this->at}/readings", ['version' => 1, 'kind' => 'dimension', 'line' => 'board', 'figure' => 'heightMm', 'value' => '17'])->assertStatus(409);
    });

    it('shows nobody another\'s bench', function (): void {
        $this->actingAs($this->builder('other@example.test'));
        foreach (['power', 'power/band', 'power/sizing?hours=2', 'bench', 'bench/simulated?kind=sweep&line=panel', 'readings/x/photo', 'readings/x/effect'] as $path) {
            expect($this->getJson("{$this->at}/{$path}")->status())->toBeIn([403, 404], $path);
        }
    });

    it('begins a sweep at the part\'s own volts, and doubts one that was lit above its sheet', function (): void {
        $bench = $this->assertShape($this->getJson("{$this->at}/bench"), 'Bench')->json();
        expect($bench['sweeps']['panel'])->toEqual(['fromV' => 12, 'mostV' => 13]);
        $this->postJson("{$this->at}/readings", ['version' => 1, 'kind' => 'sweep', 'line' => 'panel', 'signal' => 'yes', 'steps' => [['volts' => '19', 'lit' => true], ['volts' => '15', 'lit' => true], ['volts' => '12', 'lit' => false]]])->assertOk();
        $reading = $this->getJson("{$this->at}/bench")->json('readings.0');
        expect($reading['replaces'])->toBe([])->and(implode(' ', $reading['asks']))->toContain('lit only above the 13 V that its sheet allows');
    });

    it('reads a log and says line by line what it left out', function (): void {
        $answer = $this->assertShape($this->postJson('/api/logs/preview', ['text' => "time (min);volts;amps\n0;12,8;1,0\n60;12,6;1,0\n30;12,5;1,0\n120;12,4;1,0\n"])->assertOk(), 'LogPreview')->json();
        expect($answer['taken'])->toBe(3)->and($answer['troubles'][0]['line'])->toBe(4)->and($answer['milliampHours'])->toEqual(2000);
    });

    it('stands in for a bench, and says so', function (): void {
        $sweep = lines($this->get("{$this->at}/bench/simulated?kind=sweep&line=panel&from=14&step=0.5&signal=1"));
        expect($sweep[0])->toBe(['instrument' => 'Simulated bench', 'simulated' => true])->and(array_unique(array_column($sweep, 'lit')))->toBe([0 => true, count(array_filter($sweep, static fn (array $step): bool => $step['lit'] ?? false)) => false])
            ->and(end($sweep))->toBe(['end' => true]);
        // This panel stays dark without a picture.
        expect(array_filter(array_column(lines($this->get("{$this->at}/bench/simulated?kind=sweep&line=panel&signal=0")), 'lit')))->toBe([]);
        $run = array_values(array_filter(lines($this->get("{$this->at}/bench/simulated?kind=run&line=pack")), static fn (array $step): bool => isset($step['seconds'])));
        expect(count($run))->toBeGreaterThan(50)->and(end($run)['stopped'])->toBe('went dark')->and(end($run)['seconds'] / 3600)->toBeGreaterThan(6.0)->toBeLessThan(16.0);
        expect(lines($this->get("{$this->at}/bench/simulated?kind=draw&line=board&state=heavy"))[1]['milliamps'])->toBeGreaterThan(1000);
    });
});

describe('plot:power', function (): void {
    it('prints a file\'s power without a database', function (): void {
        config(['database.connections.mariadb.host' => 'nowhere.invalid']);
        expect(Artisan::call('plot:power', ['file' => base_path('demo/refuge.pocketplot.json'), '--cm3' => '600']))->toBe(0);
        $text = Artisan::output();
        foreach (['Ridge LiFePO4 pack, 12 Ah', 'USB sockets', 'watts', 'Two at the table:', 'first to give up:', 'charge by Flotsam solar charge board', 'Brightness of the panel', 'for 7 h:', 'goes into the body', 'clash: Flotsam solar charge board is not made for', 'in 600 cm³:', '2 × Cresset bank, 20000 mAh'] as $piece) {
            expect($text)->toContain($piece);
        }
        Artisan::call('plot:power', ['file' => base_path('demo/refuge.pocketplot.json'), '--cm3' => '9']);
        expect(Artisan::output())->toContain("in 9 cm³:\n  nothing of the library");
        Artisan::call('plot:power', ['file' => base_path('demo/thimble.pocketplot.json')]);
        expect(Artisan::output())->toContain(', which the body leaves:');
    });

    it('prints JSON, says what is unmeasured, and what it cannot read', function (): void {
        expect(Artisan::call('plot:power', ['file' => base_path('demo/barge.pocketplot.json'), '--json' => true]))->toBe(2);
        $all = json_decode(Artisan::output(), true, 32, JSON_THROW_ON_ERROR);
        expect($all['band'])->toBeNull()->and($all['sources'][1]['missing'][0]['figure'])->toBe('supply.drawMa');
        expect(Artisan::call('plot:power', ['file' => '/nowhere.json']))->toBe(3)->and(Artisan::call('plot:power', ['file' => base_path('demo/refuge.pocketplot.json'), '--profile' => 'Upside down']))->toBe(3)
            ->and(Artisan::call('plot:power', ['file' => base_path('demo/refuge.pocketplot.json'), '--hours' => '-1']))->toBe(3);
    });

    it('refuses ways of playing that are no whole', function (): void {
        $document = json_decode((string) file_get_contents(base_path('demo/refuge.pocketplot.json')), true);
        $document['profiles'] = [['name' => 'Wild', 'idle' => 1, 'usual' => 1, 'heavy' => 1]];
        file_put_contents($file = tempnam(sys_get_temp_dir(), 'wild'), Json::encode($document));
        expect(Artisan::call('plot:power', ['file' => $file]))->toBe(3);
        unlink($file);
    });
});

describe('plot:bench', function (): void {
    /** @param  list<array<string, mixed>>  $readings */
    $file = static function (array $readings): string {
        $document = json_decode((string) file_get_contents(base_path('demo/thimble.pocketplot.json')));
        $pack = collect($document->lines)->firstWhere('role', 'cells')->id;
        $document->readings = array_map(static fn (array $one, int $at): array => [
            'id' => "r{$at}", 'kind' => 'run', 'line' => $pack, 'takenOn' => "2026-11-1{$at}", 'stopped' => 'went dark', ...$one,
        ], $readings, array_keys($readings));
        file_put_contents($name = tempnam(sys_get_temp_dir(), 'bench'), Json::encode($document));

        return $name;
    };

    it('prints readings beside predictions, the odd one, its explanations and the measurement that would tell', function (float $odd, string $explains) use ($file): void {
        config(['database.connections.mariadb.host' => 'nowhere.invalid']);
        $name = $file([['hours' => 5.0], ['hours' => 5.2], ['hours' => $odd]]);
        expect(Artisan::call('plot:bench', ['file' => $name]))->toBe(1);
        $text = Artisan::output();
        expect($text)->toContain('2026-11-12')->toContain('h were predicted')->toContain('One test does not go with the 2 others')->toContain($explains)->toContain('once more from full with a meter');
        Artisan::call('plot:bench', ['file' => $name, '--json' => true]);
        $json = json_decode(Artisan::output(), true, 64, JSON_THROW_ON_ERROR);
        expect($json['odd']['readings'])->toBe(['r2'])->and($json['tests'])->toHaveCount(3);
        unlink($name);
    })->with(['too short' => [2.0, 'It did not start full'], 'too long' => [12.0, 'It was paused or asleep for']]);

    it('says when all agree, when nothing was measured, and when it cannot read', function () use ($file): void {
        $name = $file([['hours' => 5.0], ['hours' => 5.2]]);
        expect(Artisan::call('plot:bench', ['file' => $name]))->toBe(0)
            ->and(Artisan::call('plot:bench', ['file' => base_path('demo/thimble.pocketplot.json')]))->toBe(2)
            ->and(Artisan::call('plot:bench', ['file' => '/nowhere.json']))->toBe(3);
        unlink($name);
    });
});
