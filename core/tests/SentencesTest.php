<?php

declare(strict_types=1);

use CoreTests\Sentences;
use PocketPlot\Check\Measuring;
use PocketPlot\Check\Phrase;

/** What no sentence may say, since it reads like a form. `bin/sentences` prints them all, for somebody who reads them. */
const LIKE_A_FORM = [
    'one is singular' => '/\bthere are 1\b|\bare 1 \b|\b1 [a-z-]+s\b(?! of)(?<!1 figures)/',
    'no list of things called everything' => '/\bthe everything\b/',
    'no question as a name' => '/\bthe (what|who|which|how|your)\b/',
    'no heading instead of a sentence' => '/First to give up|wanted are/',
    'no figure twice' => '/\b(take up to) ([0-9.]+) mA, \2 mA\b/',
    'no thing beside itself' => '/\b([A-Z][^.;,]{3,}) and \1\b/',
    'nothing of nothing' => '/\b0\.00 [A-Z]{3}\b|there are 0\b/',
    'no games twice' => '/\bgames games\b/',
    'no negative watts' => '/-[0-9.]+ W\b/',
    'an end' => '/[^.]$/',
    'no hole' => '/  | ,| \.$|\(\)|""/',
];

it('says nothing that reads like a form', function (string $pattern): void {
    $all = Sentences::all();
    expect(count($all))->toBeGreaterThan(400)->and(array_values(preg_grep($pattern, $all) ?: []))->toBe([]);
})->with(LIKE_A_FORM);

it('names every figure so that it can stand in "nobody knows the … of the board"', function (): void {
    foreach (Measuring::keys() as $key) {
        expect(Measuring::name(PocketPlot\Part\FigureRef::parse($key)))->not->toMatch('/^(what|who|which|how|everything|where)\b|^way it|\bof$|\.$/', $key);
    }
});

it('puts small words right', function (string $says, string $is): void {
    expect($says)->toBe($is);
})->with([
    [Phrase::a('saw'), 'a saw'], [Phrase::a('iron'), 'an iron'], [Phrase::a('1.5 mm hex key'), 'a 1.5 mm hex key'], [Phrase::a('pliers'), 'pliers'],
    [Phrase::all(['saw']), 'saw'], [Phrase::all(['a saw', 'a drill']), 'a saw and a drill'], [Phrase::all(['a', 'b', 'c']), 'a, b and c'],
    [Phrase::count(0, 'sticks'), 'no stick'], [Phrase::count(1, 'd-pads'), 'one d-pad'], [Phrase::count(4, 'buttons'), '4 buttons'],
    [Phrase::games('arcade'), 'arcade games'], [Phrase::games('my own games'), 'my own games'],
    [Phrase::column('behind the panel'), 'behind the panel'], [Phrase::column('middle'), '"middle"'],
]);
