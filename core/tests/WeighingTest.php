<?php

declare(strict_types=1);

use CoreTests\Learning\Examples;
use CoreTests\Learning\Fingerprint;
use CoreTests\Learning\Marked;
use CoreTests\Learning\Trainer;
use CoreTests\Texts;
use PocketPlot\Clipping\Amounts;
use PocketPlot\Clipping\Find;
use PocketPlot\Clipping\Reader;
use PocketPlot\Clipping\RoleGuess;
use PocketPlot\Clipping\SecondReading;
use PocketPlot\Clipping\Weighing\Mention;
use PocketPlot\Clipping\Weighing\Mentions;
use PocketPlot\Clipping\Weighing\Surroundings;
use PocketPlot\Clipping\Weighing\Token;
use PocketPlot\Clipping\Weighing\Tokens;
use PocketPlot\Clipping\Weighing\Weigher;
use PocketPlot\Clipping\Weighing\Weights;
use PocketPlot\Clipping\Weighing\WholeText;
use PocketPlot\Clipping\Weighing\WordKinds;
use PocketPlot\Part\Role;

/** @return list<Mention> */
function mentionsOf(string $text): array
{
    return Mentions::of(Tokens::of($text), new Amounts(Amounts::hasCommas($text)));
}

/**
 * A weigher for one sort of mention in boards, as if it had been learned.
 *
 * @param  list<string>  $labels
 * @param  array<string, array<int, int>>  $weights  steps by label, by trait
 */
function weigherOf(string $sort, array $labels, array $weights): Weigher
{
    $pack = static fn (array $steps): string => implode('', array_map(static fn (int $label, int $step): string => chr(Weigher::FIRST + $label)
        .chr(Weigher::ZERO + $step), array_keys($steps), $steps));

    return new Weigher([$sort => $labels], ["{$sort}|board" => array_keys($labels)], [$sort => array_map($pack, $weights)]);
}

/** @return list<array<string, mixed>> */
function readAgain(string $text, Weigher $weigher): array
{
    $plain = Reader::plain($text);

    return array_map(static fn (Find $find): array => $find->toArray(),
        (new SecondReading($plain, Role::Board))->of(Reader::byRules($plain, Role::Board), $weigher));
}

it('parts a text into words, numbers, names and signs', function (string $text, array $tokens): void {
    expect(array_map(static fn (Token $token): string => "{$token->kind} {$token->text}", Tokens::of($text)))->toBe($tokens);
})->with([
    ['Idle 0.3A', ['word idle', 'number 0.3', 'word a']],
    ['the QB-70 at 5 V', ['word the', 'name qb-70', 'word at', 'number 5', 'word v']],
    ['max. 2 A. New', ['word max', 'number 2', 'word a', 'sign .', 'word new']],
    ["one\ntwo", ['word one', "line end \n", 'word two']],
    ['85x56mm', ['number 85', 'sign x', 'number 56', 'word mm']],
    ['DC5V', ['word dc', 'number 5', 'word v']],
    ['7V...25V', ['number 7', 'word v', 'sign .', 'sign .', 'sign .', 'number 25', 'word v']],
    ['5 degrees per watt', ['number 5', 'word degrees per watt']],
    ['', []],
]);

it('finds numbers with their units, and what joins them', function (string $text, array $mentions): void {
    expect(array_map(static fn (Mention $one): array => [$one->sort(), $one->isBox() ? $one->sides : $one->value, $one->next], mentionsOf($text)))
        ->toEqual($mentions);
})->with([
    ['450 mA', [['mA', 450, '']]],
    ['0.45 A', [['mA', 450, '']]],
    ['6 to 14 V', [['V', 6, 'to'], ['V', 14, '']]],
    ['6–14', [['bare', 6, ''], ['bare', 14, '']]],
    ['6-14', [['bare', 6, '-'], ['bare', 14, '']]],
    ['5 V ±0.25 V', [['V', 5, '±'], ['V', 0.25, '']]],
    ['85 x 56 x 17 mm', [['box3mm', [85, 56, 17], '']]],
    ['3.35" x 2.2"', [['box2mm', [85.09, 55.88], '']]],
    ['800 x 480', [['box2', [800, 480], '']]],
    ['2x3W', [['bare', 2, 'x'], ['W', 3, '']]],
    ['$12.50', [['money', 12.5, '']]],
    ['12,50 EUR', [['money', 12.5, '']]],
    ['10.000 mAh', [['mAh', 10000, '']]],
    ['two and a half volts', [['V', 2.5, '']]],
    ['2 a piece', [['bare', 2, '']]],
    ['no numbers here', []],
]);

it('keeps the places of mentions in the text', function (): void {
    $text = 'Größe 85 x 56 mm, weighs one hundred grams';
    expect(array_map(static fn (Mention $one): string => substr($text, $one->start, $one->end - $one->start), mentionsOf($text)))
        ->toBe(['85 x 56 mm', 'red grams']);
});

it('says what stands around a number, up to the end of the sentence and the line', function (): void {
    $text = "Supply 5 V. Asleep it takes 12 mA, off 3 mA\nnext line";
    $around = new Surroundings(Tokens::of($text), mentionsOf($text), 'board');
    $around->took(mentionsOf($text)[0], 'supply voltage:usual');
    $traits = $around->of(1, 'standby draw');
    expect($traits)->toContain('l1=takes', 'board|l1=takes', 'l21=it takes', 'L00=asleep', 'Lk00=off', 'Rk01=off', 'rule=standby draw',
        'last=supply voltage:usual', 'board|said=supply voltage:usual', 'head=supply')
        ->not->toContain('L00=supply', 'R00=next', 'L10=supply')
        ->and($around->of(1, null))->not->toContain('rule=standby draw');
});

it('knows words of a kind', function (): void {
    expect(WordKinds::of('asleep'))->toContain('off')->and(WordKinds::of('smoke'))->toContain('breaks')->and(WordKinds::of('tarvik'))->toBe([]);
});

it('gives each label its share', function (): void {
    // Labels weigh 0, 10 and 20 steps of 0.07: e^0 = 1, e^0.7 = 2.0138, e^1.4 = 4.0552; of all 7.0690 that is 0.1415, 0.2849 and 0.5737.
    $weigher = weigherOf('mA', ['', 'draw:usual', 'standby draw:usual'], ['off' => [2 => 25, 1 => 10], 'it' => [2 => -5]]);
    $shares = $weigher->shares(['off', 'it', 'unheard of'], 'mA', 'board');
    expect(array_map(static fn (float $share): float => round($share, 4), $shares))->toBe(['' => 0.1415, 'draw:usual' => 0.2849, 'standby draw:usual' => 0.5737])
        ->and($weigher->shares(['off'], 'V', 'board'))->toBe(['' => 0.0]);
});

it('adds what is sure, leaves out what says nothing, takes for something else what is something else', function (array $weights, array $found): void {
    $weigher = weigherOf('mA', ['', 'draw:usual', 'standby draw:usual', 'peak draw:usual'], $weights);
    $read = readAgain('Current 450 mA', $weigher);
    expect(array_map(static fn (array $one): array => array_diff_key($one, ['state' => 1]), $read))->toEqual($found);
})->with([
    'nothing known' => [[], [['what' => 'draw', 'usual' => 450]]],
    'agreed' => [['' => [1 => 40]], [['what' => 'draw', 'usual' => 450]]],
    // e^(25 × 0.07) = 5.75 against three times 1: a share of 0.66, too little to take it for that; a draw has 0.11, too little to keep it.
    'rather a peak' => [['' => [3 => 25]], []],
    // e^(25 × 0.07) = 5.75 and e^(18 × 0.07) = 3.53 of 11.28: 0.51 for a peak, 0.31 for the draw.
    'a peak or a draw' => [['' => [3 => 25, 1 => 18]], [['what' => 'draw', 'usual' => 450, 'unsure' => true]]],
    // e^(12 × 0.07) = 2.32 of 5.32: 0.44 for a peak; e^0 of it, 0.19, for the draw. With e^(8 × 0.07) = 1.75 for it: 0.38 and 0.29, and nothing is likely.
    'nothing likely' => [['' => [3 => 12, 1 => 8]], [['what' => 'draw', 'usual' => 450]]],
    // e^(40 × 0.07) = 16.4: 0.85.
    'taken for a peak' => [['' => [3 => 40]], [['what' => 'peak draw', 'usual' => 450, 'unsure' => true]]],
    // e^(60 × 0.07) = 66.7: 0.96.
    'surely a peak' => [['' => [3 => 60 - 20, 0 => -20, 1 => -20, 2 => -20]], [['what' => 'peak draw', 'usual' => 450]]],
    'left out' => [['' => [0 => 40]], []],
]);

it('adds a number without a unit in the unit that is likely', function (string $text, float $milliamps): void {
    $found = readAgain($text, weigherOf('bare', ['', 'peak draw:usual'], ['' => [1 => 30]]));
    expect(array_values(array_filter($found, static fn (array $one): bool => $one['what'] === 'peak draw')))->toEqual([['what' => 'peak draw', 'usual' => $milliamps, 'unsure' => true]]);
})->with([['nonsense 1.9', 1900.0], ['nonsense 700', 700.0], ['0.4 A nonsense 2', 2000.0], ['95 mA nonsense 11', 11.0]]);

it('leaves a range as it is while one of its ends is what it was read as', function (): void {
    $weigher = weigherOf('V', ['', 'supply voltage:least'], ['l1=to' => [0 => 40], 'board|l1=supply' => [1 => 40]]);
    expect(readAgain('supply 6 to 14 V', $weigher))->toEqual([['what' => 'supply voltage', 'least' => 6.0, 'most' => 14.0]]);
});

it('learns from examples, and the same from the same', function (): void {
    $say = static fn (string $word, string $label): array => ['traits' => ['', "l1={$word}"], 'sort' => 'mA', 'role' => 'board', 'labels' => [$label]];
    $examples = [];
    for ($round = 0; $round < 8; $round++) {
        array_push($examples, $say('asleep', 'standby draw:usual'), $say('playing', 'draw:usual'), $say('fuse', ''));
    }
    $learned = (new Trainer)->learn($examples);
    $weigher = Trainer::weigher($learned);
    foreach (['asleep' => 'standby draw:usual', 'playing' => 'draw:usual', 'fuse' => ''] as $word => $label) {
        $shares = $weigher->shares(['', "l1={$word}"], 'mA', 'board');
        expect(array_search(max($shares), $shares, true))->toBe($label);
    }
    expect((new Trainer)->learn($examples))->toBe($learned);
});

it('reads marks', function (): void {
    $text = Marked::in('t', "= board\nidles at {d< 190 mA}, {sv 5 V}\n\n= case\nwall {wall 2}")[0];
    expect($text['text'])->toBe('idles at 190 mA, 5 V')->and($text['role'])->toBe('board')
        ->and(array_map(static fn (array $span): array => [$span['what'], $span['bound'], substr($text['text'], $span['start'], $span['end'] - $span['start'])],
            $text['spans']))->toBe([['draw', 'least', '190 mA'], ['supply voltage', 'usual', '5 V']])
        ->and(static fn () => Marked::in('t', "= board\n{nonsense 5 V}"))->toThrow(UnexpectedValueException::class, 'no word is short for "nonsense"');
});

it('finds a number at nearly every mark', function (): void {
    $marks = $met = 0;
    foreach (Marked::all() as $text) {
        $plain = Reader::plain($text['text']);
        $reading = new SecondReading($plain, Role::from($text['role']));
        $marks += count($text['spans']);
        $met += count(array_filter(Examples::meant($text, $reading, $plain), static fn (array $labels): bool => $labels[0] !== ''));
    }
    // Ranges are two numbers at one mark.
    expect($marks)->toBeGreaterThan(3000)->and($met)->toBeGreaterThan($marks);
});

it('was learned from the texts as they are', function (): void {
    expect(Weights::LEARNED_FROM)->toBe(Fingerprint::ofTexts(), 'Texts or what reads them changed: run bin/learn.');
});

it('names what may say what a text is about', function (): void {
    expect(WholeText::traits("Brook buck, 5 V\nnot for lamps", 'regulator'))->toBe(['', 'words=regulator', 'w=brook', 's=brook', 'b=^ brook', 'n=brook', 'nb=^ brook',
        'words=regulator|brook', 'w=buck', 's=buck', 'b=brook buck', 'n=buck', 'nb=brook buck', 'words=regulator|buck', 'unit=v', 'b=^ #', 'w=v', 's=v', 'b=# v',
        'w=not', 's=not', 'b=^ not', 'w=for', 's=for', 'b=not for', 'w=lamps', 's=lamps', 'b=for lamps'])
        ->and(WholeText::traits('', ''))->toBe(['', 'words=']);
});

it('takes a role that is likely, and else what words tell', function (array $weights, ?Role $role): void {
    $weigher = new Weigher([RoleGuess::SORT => ['regulator', 'cells']], [RoleGuess::SORT.'|' => [0, 1]], [RoleGuess::SORT => array_map(
        static fn (array $ofLabels): string => implode('', array_map(static fn (int $label, int $steps): string => chr(Weigher::FIRST + $label).chr(Weigher::ZERO + $steps),
            array_keys($ofLabels), $ofLabels)), $weights)]);
    expect(RoleGuess::of('Screws, for a buck', $weigher))->toBe($role);
})->with([
    // e^(30 × 0.07) = 8.2 of 9.2: 0.89, enough to outweigh the screws.
    'surely a regulator' => [['w=buck' => [0 => 30]], Role::Regulator],
    // e^(10 × 0.07) = 2.0 of 3.0: 0.67, which is not.
    'rather a regulator' => [['w=buck' => [0 => 10]], Role::Fastener],
    'nothing learned' => [[], Role::Fastener],
]);

it('keeps two lessons apart', function (): void {
    $say = static fn (string $sort, string $label): array => array_fill(0, 8, ['traits' => ['', 'x'], 'sort' => $sort, 'role' => '', 'labels' => [$label]]);
    $both = Trainer::together((new Trainer)->learn($say('mA', 'draw:usual')), (new Trainer)->learn($say(RoleGuess::SORT, 'board')));
    expect(array_keys($both['labels']))->toBe(['mA', RoleGuess::SORT])->and(Trainer::weigher($both)->shares(['x'], RoleGuess::SORT, ''))->toHaveKey('board');
});

it('learns nothing from what is set aside', function (): void {
    expect(Texts::learnedFrom())->toContain('told', 'new1')->not->toContain('aside1', 'aside2')
        ->and(file_get_contents(__DIR__.'/Learning/Examples.php'))->not->toContain('texts/*');
});

it('reads sentences that no rule was made for', function (Role $role, string $text, array $says): void {
    $found = array_map(static fn (Find $find): array => array_diff_key($find->toArray(), ['unsure' => 1]), Reader::read($text, $role));
    expect($found)->toContainEqual($says);
})->with([
    [Role::Regulator, 'Feed it 6 to 20, get a clean 5.15 out.', ['what' => 'supply voltage', 'least' => 6.0, 'most' => 20.0]],
    [Role::Cells, 'Goes flat at 3.0 and is full at 4.2.', ['what' => 'cell full voltage', 'usual' => 4.2]],
    [Role::Board, 'The old board pulled 1.1 A, this thing is happy with 0.6.', ['what' => 'draw', 'usual' => 600.0]],
]);
