<?php

declare(strict_types=1);

use App\Actions\Complaint;
use PocketPlot\File\BadFile;
use PocketPlot\File\Problem;

it('names the field of the page, not the place in a file', function (array $problems, string $root, array $fields): void {
    expect(Complaint::about(new BadFile($problems), $root)->errors())->toBe($fields);
})->with([
    'a piece of its own' => [[new Problem('reading/milliamps', 'is missing', 'write the amps')], 'reading', ['milliamps' => ['Is missing; write the amps.']]],
    'a list in it' => [[new Problem('reading/steps/0/volts', 'lies outside 0 to 500')], 'reading', ['steps.0.volts' => ['Lies outside 0 to 500.']]],
    'a whole path' => [[new Problem('profiles/2/usual', 'the shares add up to 300 %')], '', ['profiles.2.usual' => ['The shares add up to 300 %.']]],
    'two about one field' => [[new Problem('join/gaugeAwg', 'is no gauge'), new Problem('join/gaugeAwg', 'is too fine')], 'join', ['gaugeAwg' => ['Is no gauge.', 'Is too fine.']]],
    'a name that only begins alike' => [[new Problem('joiner/from', 'is unknown')], 'join', ['joiner.from' => ['Is unknown.']]],
]);
