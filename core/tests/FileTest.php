<?php

declare(strict_types=1);

use CoreTests\Make;
use PocketPlot\File\BadFile;
use PocketPlot\File\BuildReader;
use PocketPlot\File\BuildWriter;
use PocketPlot\File\FigurePlace;
use PocketPlot\File\Format;
use PocketPlot\File\Json;

/** @return list<string> the problems that decoding and reading a text finds */
function problems(string $text): array
{
    try {
        BuildReader::read(Make::buildFormat()->decode($text));
    } catch (BadFile $bad) {
        return array_map(strval(...), $bad->problems);
    }

    return [];
}

/** @param  callable(array<string, mixed>): array<string, mixed>  $spoil */
function spoiled(callable $spoil): string
{
    return Json::encode($spoil(Make::demoDocument('thimble')));
}

it('writes what it read', function (string $name): void {
    $document = Make::demoDocument($name);
    $build = BuildReader::read($document);
    expect(BuildWriter::document($build, $document['brief']))->toEqual($document)
        ->and(Make::buildFormat()->decode(BuildWriter::json(BuildWriter::document($build, $document['brief']))))->toEqual($document);
})->with(['refuge', 'thimble', 'barge']);

it('keeps keys that it does not know, at every level', function (): void {
    $document = Make::demoDocument('thimble');
    $document['x-photos'] = ['front.jpg'];
    $document['brief']['x-mood'] = 'patient';
    $document['lines'][0]['x-bin'] = 7;
    $document['parts'][0]['x-colour'] = 'green';
    $document['x-empty'] = new stdClass;
    $document['rates']['x-bank'] = 'the one at the corner';
    $document['joins'] = [['kind' => 'power', 'from' => 'cell', 'to' => 'board', 'x-wire' => 'red']];
    $document['ticks'][0]['x-by'] = 'Ada';
    $document['parts'][0]['facets']['x-smell'] = ['of' => 'pine'];
    $build = BuildReader::read(Make::buildFormat()->decode(Json::encode($document)));
    expect(BuildWriter::document($build, $document['brief']))->toEqual($document);
});

it('keeps a price to the last digit', function (): void {
    $document = Make::demoDocument('thimble');
    $document['lines'][0]['price'] = ['amount' => '0.0375', 'currency' => 'EUR'];
    expect(BuildWriter::document(BuildReader::read($document), $document['brief'])['lines'][0]['price']['amount'])->toBe('0.0375');
});

it('names the place and the trouble of bad input', function (string $text, string $place): void {
    expect(implode("\n", problems($text)))->toContain($place);
})->with([
    'no JSON' => ['{"format":', 'not readable as JSON'],
    'a foreign file' => ['{"name":"a recipe"}', 'not of ours'],
    'a list' => ['[1,2]', 'not of ours'],
    'a newer version' => [spoiled(static fn (array $d): array => [...$d, 'version' => 4]), 'version 4'],
    'a wrong type' => [spoiled(static function (array $d): array {
        $d['lines'][2]['quantity'] = 'two';

        return $d;
    }), 'lines/2/quantity'],
    'a negative figure' => [spoiled(static function (array $d): array {
        $d['parts'][0]['facets']['size']['lengthMm'] = -5;

        return $d;
    }), 'parts/0/facets/size/lengthMm'],
    'an absurd figure' => [spoiled(static function (array $d): array {
        $d['parts'][0]['facets']['size']['massG'] = 1e12;

        return $d;
    }), 'parts/0/facets/size/massG'],
    'least above most' => [spoiled(static function (array $d): array {
        $d['parts'][0]['facets']['supply']['volts'] = ['least' => 6, 'most' => 5, 'source' => 'datasheet'];

        return $d;
    }), 'parts/0/facets/supply/volts: least 6'],
    'an unknown part' => [spoiled(static function (array $d): array {
        $d['lines'][1]['part'] = 'nothing-like-it';

        return $d;
    }), 'lines/1/part: no part "nothing-like-it"'],
    'a line twice' => [spoiled(static function (array $d): array {
        $d['lines'][1]['id'] = 'board';

        return $d;
    }), 'used by two lines'],
    'two candidates chosen' => [spoiled(static function (array $d): array {
        $d['lines'][1]['slot'] = 'board';

        return $d;
    }), 'both chosen'],
    'a join to nowhere' => [spoiled(static fn (array $d): array => [...$d, 'joins' => [['from' => 'cell', 'to' => 'moon']]]), 'joins/0/to: there is no line "moon"'],
    'a day that is none' => [spoiled(static function (array $d): array {
        $d['lines'][0]['expectedOn'] = '2026-02-30';

        return $d;
    }), 'lines/0/expectedOn: "2026-02-30" is not a day'],
    'an unknown chemistry' => [spoiled(static function (array $d): array {
        $d['parts'][4]['facets']['pack']['chemistry'] = 'moonlight';

        return $d;
    }), 'parts/4/facets/pack/chemistry'],
]);

it('refuses figures that could only be slips, naming field and fix', function (array $facets, string $says): void {
    try {
        Make::build(['part' => ['role' => 'display', 'facets' => $facets]]);
        $this->fail('it went through');
    } catch (BadFile $bad) {
        expect((string) $bad->problems[0])->toContain($says);
    }
})->with([
    'a panel without pixels' => [['panel' => ['widthPx' => 0, 'heightPx' => 480]], 'panel/widthPx: 0 is too few'],
    'a loudspeaker without resistance' => [['speaker' => ['ohm' => 0, 'watts' => 2]], 'speaker/ohm: 0 Ω is less than 0.1 Ω; correct it, or leave it open'],
    'a measured loudspeaker without resistance' => [['speaker' => ['ohm' => ['value' => 8, 'measured' => ['value' => 0]], 'watts' => 2]], 'speaker/ohm: 0 Ω is less than'],
    'a bed of no length' => [['body' => ['bedLengthMm' => 0, 'bedWidthMm' => 220, 'bedHeightMm' => 250]], 'body/bedLengthMm: 0 mm is less than 1 mm'],
    'a wire too fine to be one' => [['cable' => ['oneEnd' => 'usb-a', 'otherEnd' => 'usb-c', 'carries' => ['usb'], 'gaugeAwg' => 400]], 'cable/gaugeAwg: 400 AWG is more than 50 AWG'],
]);

it('takes all measurements beside a stated figure back, and no others', function (array $facets, array $stated): void {
    expect(FigurePlace::asStated(['id' => 'x', 'facets' => $facets]))->toBe(['id' => 'x', 'facets' => $stated]);
})->with([
    'a figure with its source' => [
        ['supply' => ['drawMa' => ['least' => 100, 'usual' => 200, 'most' => 400, 'source' => 'datasheet', 'measured' => ['value' => 260, 'on' => '2026-11-20']]]],
        ['supply' => ['drawMa' => ['least' => 100, 'usual' => 200, 'most' => 400, 'source' => 'datasheet']]],
    ],
    'one of several outputs' => [
        ['outputs' => [['name' => 'a', 'efficiency' => ['value' => 0.9, 'measured' => ['value' => 0.85]]], ['name' => 'b', 'efficiency' => 0.8]]],
        ['outputs' => [['name' => 'a', 'efficiency' => ['value' => 0.9]], ['name' => 'b', 'efficiency' => 0.8]]],
    ],
    'known by measurement only' => [['size' => ['heightMm' => ['measured' => ['value' => 17]]]], ['size' => ['heightMm' => ['measured' => ['value' => 17]]]]],
    'words and yes or no stay' => [['pack' => ['latches' => 'yes', 'chemistry' => 'Li-ion', 'series' => 2]], ['pack' => ['latches' => 'yes', 'chemistry' => 'Li-ion', 'series' => 2]]],
]);

it('leaves a part without facets as it is', function (): void {
    expect(FigurePlace::asStated(['id' => 'x']))->toBe(['id' => 'x']);
});

it('says all the problems of a file, not only the first', function (): void {
    $text = spoiled(static function (array $d): array {
        $d['lines'][0]['quantity'] = -1;
        $d['lines'][1]['state'] = 'lost';

        return $d;
    });
    expect(implode("\n", problems($text)))->toContain('lines/0/quantity')->toContain('lines/1/state');
});

it('refuses what is too large before reading it', function (): void {
    expect(problems(str_repeat(' ', Format::MOST_BYTES + 1))[0])->toContain('at most 16.0 MB');
});

it('accepts its own library', function (): void {
    $roles = array_unique(array_map(static fn ($part): string => $part->role->value, Make::library()));
    expect(Make::library())->not->toBeEmpty()->and($roles)->toHaveCount(15);
});

describe('what cannot be kept', function (): void {
    it('is refused with its place', function (callable $spoil, string $says): void {
        expect(implode("\n", problems($spoil(Json::encode(Make::demoDocument('thimble'))))))->toContain($says);
    })->with([
        'unknown keys too deep' => [static fn (string $text): string => '{"x-deep": '.str_repeat('[', 30).'1.5'.str_repeat(']', 30).','.substr($text, 1), 'lies more than 24 groups deep'],
        'deeper than any reader goes' => [static fn (string $text): string => '{"x-deep": '.str_repeat('{"a":', 600).'1'.str_repeat('}', 600).','.substr($text, 1), 'not readable as JSON'],
        'a number beyond a double' => [static fn (string $text): string => '{"x-far": [1, 1e999],'.substr($text, 1), 'x-far/1: is a number too large to be kept'],
        'a figure beyond a double' => [static fn (string $text): string => str_replace('"name":"Thimble"', '"name":"Thimble","x":{"y":-1e400}', $text), 'x/y: is a number too large'],
        'the year nought' => [static fn (string $text): string => '{"ticks": [{"step": "a", "on": "0000-01-01"}],'.substr((string) preg_replace('/"ticks":\[.*?\],?/', '', $text), 1), '"0000-01-01" is not a day'],
    ]);

    it('keeps what lies deep, but not too deep', function (): void {
        $text = '{"x-deep": '.str_repeat('[', 22).'1.5'.str_repeat(']', 22).','.substr(Json::encode(Make::demoDocument('thimble')), 1);
        expect(problems($text))->toBe([]);
    });

    it('judges the rows of a log itself, since the schema would take seconds', function (mixed $log, string $says): void {
        $document = Make::demoDocument('thimble');
        $document['readings'] = [['id' => 'run', 'kind' => 'run', 'line' => 'cell', 'takenOn' => '2026-11-20', 'hours' => 5, 'stopped' => 'went dark', 'log' => $log]];
        expect(implode("\n", problems(Json::encode($document))))->toBe($says);
    })->with([
        'three figures a row' => [[[0, 4.1, 0.2], [10, 4.0, 0.2]], ''],
        'too many rows' => [array_fill(0, 2001, [0, 4.1, 0.2]), 'readings/0/log: Array should have at most 2000 items, 2001 found'],
        'two figures' => [[[0, 4.1]], 'readings/0/log/0: has to be three numbers: seconds, volts, amps'],
        'four figures' => [[[0, 4.1, 0.2, 9]], 'readings/0/log/0: has to be three numbers: seconds, volts, amps'],
        'a word' => [[[0, 'full', 0.2]], 'readings/0/log/0: has to be three numbers: seconds, volts, amps'],
        'no rows' => ['long', 'readings/0/log: The data (string) must match the type: array'],
        'back in time' => [[[10, 4.1, 0.2], [0, 4.1, 0.2]], 'readings/0/log/1: lies before the row above it; put the rows in order of time'],
    ]);
});

it('holds one piece against its part of the schema', function (string $piece, mixed $value, array $says): void {
    try {
        Make::buildFormat()->refuseBadPiece($piece, $value);
        $found = [];
    } catch (BadFile $bad) {
        $found = array_map(strval(...), $bad->problems);
    }
    expect($found)->toBe($says);
})->with([
    'a good brief' => ['brief', ['currency' => 'EUR', 'budget' => ['amount' => '12', 'currency' => 'EUR']], []],
    'an empty brief' => ['brief', new stdClass, []],
    'an amount as a number' => ['brief', ['budget' => ['amount' => 12, 'currency' => 'EUR']], ['brief/budget/amount: The data (integer) must match the type: string']],
    'no money at all' => ['brief', ['readyMade' => ['amount' => 'much', 'currency' => 'EUR']], ['brief/readyMade/amount: The string should match pattern: ^\d{1,9}(\.\d{1,4})?$']],
    'what JSON cannot say' => ['brief', ['roomC' => INF], ['brief: cannot be written down (Inf and NaN cannot be JSON encoded); correct it']],
    'a part without a name' => ['part', ['id' => 'x', 'role' => 'display'], ['part: The required properties (name) are missing']],
]);
