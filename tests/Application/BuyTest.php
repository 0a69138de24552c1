<?php

declare(strict_types=1);

use App\Actions\DrawerPieces;
use App\Actions\StartBuild;
use App\Models\BuildRecord;
use App\Models\DrawerPieceRecord;
use App\Models\OfferRecord;
use App\Models\User;
use App\Models\VendorRecord;
use Illuminate\Testing\TestResponse;
use PocketPlot\File\Json;
use Symfony\Component\Process\Process;

/*
 * Buying for a build, from the drawer to the last parcel.
 */

beforeEach(function (): void {
    $this->travelTo('2026-11-27 12:00:00');
    $this->user = $this->builder();
    $this->actingAs($this->user);
    $this->build = StartBuild::fromDemo($this->user, 'refuge', null);
    $this->path = "/api/builds/{$this->build->id}";
    $this->version = fn (): int => BuildRecord::query()->findOrFail($this->build->id)->version;
    $this->send = fn (string $method, string $path, array $given = []): TestResponse => $this->json($method, "{$this->path}/{$path}", ['version' => ($this->version)(), ...$given]);
    $this->line = fn (string $id): array => collect($this->getJson($this->path)->json('lines'))->firstWhere('id', $id);
    $this->shopping = fn (string $query = ''): TestResponse => $this->assertShape($this->getJson("{$this->path}/shopping{$query}")->assertOk(), 'Shopping');
    $this->orderPlanned = function (array $order, string $why = 'it is settled'): TestResponse {
        return ($this->send)('POST', 'orders', ['vendor' => $order['vendor'], 'why' => $why, 'items' => array_map(
            static fn (array $item): array => ['line' => $item['id'], 'offer' => $item['offer'], 'pieces' => $item['needed']], $order['items'],
        )]);
    };
    $this->orders = fn (): array => $this->assertShape($this->getJson("{$this->path}/orders")->assertOk(), 'Orders')->json('orders');
    $this->did = fn (string $order, string $did, array $more = []): TestResponse => ($this->send)('POST', "orders/{$order}/did", ['did' => $did, ...$more]);
    $this->piece = fn (string $name, int $quantity, array $more = [], ?User $user = null): int => DrawerPieces::put($user ?? $this->user, [
        'name' => $name, 'role' => 'switch', 'quantity' => $quantity, 'part_key' => '', 'spec' => ['name' => $name, 'role' => 'switch', 'facets' => []], ...$more,
    ])->id;
    $this->pieces = fn () => DrawerPieceRecord::query()->where('user_id', $this->user->id);
    $this->cents = static fn (string $sum): int => (int) round((float) $sum * 100);
});

describe('from the list to the parcel', function (): void {
    it('plans, orders, takes in a wrong variant, orders again, and the drawer keeps the spare', function (): void {
        $plans = ($this->shopping)('?avoid[]=Low+Shelf+Electronics')->json('plans');
        expect($plans[0]['exact'])->toBeTrue()->and(count($plans[0]['orders']))->toBeGreaterThan(0);
        $order = $plans[0]['orders'][0];
        $before = $this->getJson($this->path)->json('appraisal');
        $after = $this->assertShape(($this->orderPlanned)($order)->assertOk(), 'Build');
        expect($after->json('appraisal.costs.committed'))->not->toBe($before['costs']['committed'])
            ->and(($this->line)('paddles'))->toMatchArray(['state' => 'ordered', 'vendor' => $order['vendor'], 'expectedOn' => $order['arrives']]);
        $placed = ($this->orders)()[0];
        expect($placed['total'])->toBe($order['total'])->and(array_sum(array_map($this->cents, array_column($placed['items'], 'landed'))))->toBe(($this->cents)($order['total']));

        $at = array_search('paddles', array_column($placed['items'], 'line'), true);
        expect($placed['items'][$at]['checks'])->not->toBe([]);
        ($this->did)($placed['id'], 'arrive', ['item' => $at, 'right' => 1, 'wrong' => 1])->assertOk();
        expect(($this->line)('paddles')['state'])->toBe('faulty');
        $row = collect(($this->shopping)()->json('list'))->firstWhere('line', 'paddles');
        expect([$row['toBuy'], $row['here']])->toBe([1, 1]);

        // Ordered again, elsewhere: the day and the money move.
        $this->travelTo('2026-12-03 12:00:00');
        $again = collect(($this->shopping)('?needBy=2027-02-01')->json('plans.0.orders'))->first(static fn (array $one): bool => in_array('paddles', array_column($one['items'], 'id'), true));
        ($this->orderPlanned)($again)->assertOk();
        expect(($this->line)('paddles'))->toMatchArray(['state' => 'ordered', 'expectedOn' => $again['arrives']])
            ->and($this->getJson($this->path)->json('appraisal.vitals.finish.on'))->not->toBe($before['vitals']['finish']['on']);

        // The wrong one comes back as money or stays as a spare.
        ($this->did)($placed['id'], 'put-away', ['item' => $at, 'pieces' => 1, 'place' => 'drawer 4'])->assertOk();
        $this->getJson('/api/drawer?q=wrong+drawer+4')->assertOk()->assertJsonPath('total', 1)->assertJsonPath('pieces.0.left', 1);
        ($this->did)($placed['id'], 'refund', ['item' => $at, 'refund' => '2,50'])->assertOk();
        $money = $this->assertShape($this->getJson("{$this->path}/money")->assertOk(), 'MoneyReport');
        expect($money->json('refunded'))->toBe('2.50')->and(array_sum(array_map($this->cents, array_column($money->json('lines'), 'whole'))))->toBe(($this->cents)($money->json('planned')))
            ->and($money->json('planned'))->toBe($this->getJson($this->path)->json('appraisal.costs.planned'))->and($money->json('sums.whole'))->toBe($money->json('planned'));
    });

    it('orders another candidate of a place where the plan took it, and chooses it', function (): void {
        $order = collect(($this->shopping)('?choose=1&used=0&needBy=2027-02-01')->json('plans.0.orders'))->first(static fn (array $one): bool => in_array('panel-sash-7', array_column($one['items'], 'part'), true));
        expect($order)->not->toBeNull();
        ($this->orderPlanned)($order)->assertOk();
        expect(($this->line)('panel-small'))->toMatchArray(['chosen' => true, 'state' => 'ordered', 'vendor' => $order['vendor']])->and(($this->line)('panel')['chosen'])->toBeFalse();
    });

    it('undoes what happened, one by one, and takes the spare out of the drawer again', function (): void {
        $order = 'order-november-2';
        ($this->did)($order, 'arrive', ['item' => 0, 'wrong' => 1])->assertOk();
        ($this->did)($order, 'put-away', ['item' => 0, 'pieces' => 1])->assertOk();
        expect(($this->pieces)()->count())->toBe(1)->and(array_column(($this->orders)()[0]['history'], 'did'))->toBe(['arrive', 'put-away']);
        ($this->did)($order, 'undo')->assertOk();
        expect(($this->pieces)()->count())->toBe(0)->and(($this->line)('solar-board')['state'])->toBe('faulty');
        ($this->did)($order, 'undo')->assertOk();
        expect(($this->line)('solar-board')['state'])->toBe('ordered');
        ($this->did)($order, 'undo')->assertUnprocessable()->assertJsonPath('fields.did.0', 'Nothing happened to this order that could be undone.');
    });

    it('does not undo what a build has claimed meanwhile', function (): void {
        ($this->did)('order-november-2', 'arrive', ['item' => 0, 'wrong' => 1])->assertOk();
        ($this->did)('order-november-2', 'put-away', ['item' => 0, 'pieces' => 1])->assertOk();
        ($this->send)('POST', 'claims', ['line' => 'switch', 'piece' => ($this->pieces)()->sole()->id, 'quantity' => 1])->assertOk();
        ($this->did)('order-november-2', 'undo')->assertUnprocessable();
        expect(($this->orders)()[0]['history'])->toHaveCount(2);
    });

    it('counts a parcel once when two windows take it in', function (): void {
        $given = ['version' => ($this->version)(), 'did' => 'arrive', 'item' => 0, 'right' => 1];
        $this->postJson("{$this->path}/orders/order-november-2/did", $given)->assertOk();
        $this->postJson("{$this->path}/orders/order-november-2/did", $given)->assertConflict()->assertJsonPath('code', 'stale');
        ($this->did)('order-november-2', 'arrive', ['item' => 0, 'right' => 1])->assertUnprocessable()->assertJsonPath('fields.right.0', static fn (string $says): bool => str_contains($says, 'none is awaited'));
        expect(($this->orders)()[0]['items'][0]['right'])->toBe(1);
    });

    it('asks for a reason before something is ordered that clashes, and keeps it', function (): void {
        $order = collect(($this->shopping)()->json('plans.0.orders'))->first(static fn (array $one): bool => in_array('paddles', array_column($one['items'], 'id'), true));
        ($this->orderPlanned)($order, '')->assertUnprocessable()->assertJsonPath('fields.why.0', static fn (string $says): bool => str_contains($says, 'clashes'));
        ($this->orderPlanned)($order, 'for the other build')->assertOk();
        expect(($this->orders)()[0]['why'])->toBe('for the other build');
    });

    it('cancels, and the line is to be bought again', function (): void {
        ($this->did)('order-november-2', 'cancel')->assertOk();
        expect(($this->line)('solar-board')['state'])->toBe('chosen');
        ($this->did)('order-november-1', 'cancel')->assertUnprocessable();
    });

    it('is late by days, travels as the stand-in says, and goes into a calendar', function (): void {
        $late = ($this->orders)()[0];
        expect([$late['daysLate'], $late['tracking']])->toBe([7, 'KW 4410 207'])->and($late['track'])->not->toBe([]);
        ($this->did)('order-november-2', 'expect', ['expectedOn' => '2026-12-04'])->assertOk();
        $calendar = (string) $this->get("{$this->path}/arrivals.ics")->assertOk()->assertHeader('Content-Type', 'text/calendar; charset=utf-8')->getContent();
        expect($calendar)->toContain('BEGIN:VEVENT')->toContain('DTSTART;VALUE=DATE:20261204')->toContain('parcel from Kestrel');
        expect(Sabre\VObject\Reader::read($calendar)->validate())->toBe([]);
    });

    it('keeps what is on the way when another part takes the place', function (): void {
        ($this->send)('POST', 'lines/solar-board/swap', ['part' => $this->part('chg-flotsam-solar') + 0])->assertOk();
        $planned = $this->getJson($this->path)->json('appraisal.costs.planned');
        ($this->send)('POST', 'lines/picture-lead/swap', ['part' => $this->part('lead-mini-full')])->assertOk();
        $money = $this->getJson("{$this->path}/money")->json();
        expect(collect($money['lines'])->firstWhere('line', null)['whole'])->toBe('6.86')->and(($this->cents)($money['planned']))->toBeGreaterThan(($this->cents)($planned));
    });
});

it('leaves a line alone whose part is another by now, whatever comes of the old order', function (): void {
    ($this->send)('POST', 'lines/picture-lead/swap', ['part' => $this->part('lead-mini-full')])->assertOk();
    ($this->send)('PATCH', 'lines/picture-lead', ['state' => 'arrived'])->assertOk();
    ($this->did)('order-november-2', 'arrive', ['item' => 1, 'right' => 1])->assertOk();
    expect(($this->line)('picture-lead')['state'])->toBe('arrived');
    // What came of the old part is nobody's: all of it can be put away.
    expect(collect(($this->orders)())->firstWhere('id', 'order-november-2')['items'][1]['leftOver'])->toBe(1);
});

describe('bad orders', function (): void {
    it('are refused in words', function (array $given, string $field): void {
        ($this->send)('POST', 'orders', $given)->assertUnprocessable()->assertJsonStructure(['fields' => [$field]]);
        expect(($this->orders)())->toHaveCount(2);
    })->with([
        'nobody knows the vendor' => [['vendor' => 'Nobody', 'items' => [['line' => 'switch', 'offer' => 'x', 'pieces' => 1]]], 'vendor'],
        'an offer that is gone' => [['vendor' => 'Kestrel & Wick', 'items' => [['line' => 'switch', 'offer' => 'noted 999999', 'pieces' => 1]]], 'items.0.pieces'],
        'nothing' => [['vendor' => 'Kestrel & Wick', 'items' => []], 'items'],
        'no piece' => [['vendor' => 'Kestrel & Wick', 'items' => [['line' => 'switch', 'offer' => 'x', 'pieces' => 0]]], 'items.0.pieces'],
    ]);

    it('for more than there are say how many there are', function (): void {
        $this->postJson('/api/offers', ['partKey' => 'sw-latch', 'vendor' => 'Kestrel & Wick', 'pieces' => 1, 'prices' => [['from' => 1, 'price' => '1.00']], 'stock' => 2])->assertCreated();
        $offer = collect(collect(($this->shopping)()->json('list'))->firstWhere('line', 'switch')['offers'])->firstWhere('stock', 2);
        ($this->send)('POST', 'orders', ['vendor' => 'Kestrel & Wick', 'items' => [['line' => 'switch', 'offer' => $offer['id'], 'pieces' => 3]]])
            ->assertUnprocessable()->assertJsonPath('fields', static fn (array $fields): bool => str_contains($fields['items.0.pieces'][0], '2 packets'));
    });
});

describe('the drawer', function (): void {
    it('keeps, finds, changes, takes out and puts back', function (): void {
        $piece = $this->assertShape($this->postJson('/api/drawer', ['name' => 'Slide switch 3 A', 'quantity' => 2, 'place' => 'tin', 'value' => '1,50 GBP'])->assertCreated(), 'DrawerPiece');
        expect($piece->json('role'))->toBe('switch')->and($piece->json('value'))->toBe(['amount' => '1.50', 'currency' => 'GBP']);
        $id = $piece->json('id');
        $this->putJson("/api/drawer/{$id}", ['version' => 1, 'quantity' => 5, 'place' => 'box'])->assertOk()->assertJsonPath('quantity', 5);
        $this->putJson("/api/drawer/{$id}", ['version' => 1, 'quantity' => 6])->assertConflict();
        $this->getJson('/api/drawer?q=slide+box&role=switch')->assertOk()->assertJsonPath('total', 1);
        $this->getJson('/api/drawer?q=slide+tin')->assertOk()->assertJsonPath('total', 0);
        $this->deleteJson("/api/drawer/{$id}")->assertOk();
        $this->getJson('/api/drawer')->assertJsonPath('total', 0);
        $this->postJson("/api/drawer/{$id}/restore")->assertOk();
        $this->getJson('/api/drawer')->assertJsonPath('total', 1);
    });

    it('keeps a photograph, made smaller, for its owner only', function (): void {
        $image = imagecreatetruecolor(2400, 1200);
        ob_start();
        imagepng($image);
        $photo = 'data:image/png;base64,'.base64_encode((string) ob_get_clean());
        $id = $this->postJson('/api/drawer', ['name' => 'Slide switch', 'quantity' => 1, 'photo' => $photo])->assertCreated()->assertJsonPath('hasPhoto', true)->json('id');
        [$wide, $high] = getimagesizefromstring((string) $this->get("/api/drawer/{$id}/photo")->assertOk()->assertHeader('Content-Type', 'image/jpeg')->getContent());
        expect([$wide, $high])->toBe([1024, 512]);
        $this->postJson('/api/drawer', ['name' => 'Slide switch', 'quantity' => 1, 'photo' => 'data:image/png;base64,eA=='])->assertUnprocessable()->assertJsonStructure(['fields' => ['photo']]);
        $this->getJson('/api/drawer')->assertJsonPath('total', 1);
        $this->actingAs($this->builder('bea@example.test'))->get("/api/drawer/{$id}/photo")->assertNotFound();
    });

    it('is searched to the letter', function (): void {
        ($this->piece)('50 % cheaper_switch', 1);
        $this->getJson('/api/drawer?q='.urlencode('%'))->assertJsonPath('total', 1);
        $this->getJson('/api/drawer?q='.urlencode('cheaper_'))->assertJsonPath('total', 1);
        $this->getJson('/api/drawer?q='.urlencode('cheaper%switch'))->assertJsonPath('total', 0);
    });

    it('takes a donor apart, what broke left out', function (): void {
        $id = ($this->piece)('Old frame', 1, ['role' => 'display', 'place' => 'box']);
        $this->postJson("/api/drawer/{$id}/break-up", ['parts' => [['name' => 'loudspeaker 4 ohm', 'quantity' => 2], ['name' => 'panel', 'broken' => true]]])->assertOk();
        expect(($this->pieces)()->get()->map->only('name', 'role', 'quantity', 'origin', 'came_from', 'place')->all())
            ->toBe([['name' => 'loudspeaker 4 ohm', 'role' => 'sound', 'quantity' => 2, 'origin' => 'salvaged', 'came_from' => 'Old frame', 'place' => 'box']]);
    });

    it('says what would do for which line, and a claim settles it', function (): void {
        $id = ($this->piece)('Latch slide switch, 6 A', 1, ['part_key' => 'sw-latch', 'condition' => 'used-tested', 'value_amount' => '1.00', 'value_currency' => 'EUR']);
        $match = $this->getJson("{$this->path}/drawer")->assertOk();
        expect($match->json('lines.switch.0.same'))->toBeTrue()->and($match->json('lines'))->not->toHaveKey('board');
        ($this->send)('POST', 'claims', ['line' => 'switch', 'piece' => $id, 'quantity' => 1])->assertOk();
        expect(($this->line)('switch'))->toMatchArray(['owned' => 1, 'origin' => 'own', 'state' => 'tested', 'price' => null]);
        $this->getJson('/api/drawer')->assertJsonPath('pieces.0.left', 0)->assertJsonPath('pieces.0.claims.0.name', 'Refuge');
        // What is claimed can neither be taken out nor be claimed again.
        $this->deleteJson("/api/drawer/{$id}")->assertUnprocessable();
        $this->putJson("/api/drawer/{$id}", ['version' => 1, 'quantity' => 1, 'value' => '1 EUR'])->assertOk();
        $other = StartBuild::fromDemo($this->user, 'refuge', 'Other');
        $this->postJson("/api/builds/{$other->id}/claims", ['version' => 1, 'line' => 'switch', 'piece' => $id, 'quantity' => 1])->assertUnprocessable()->assertJsonStructure(['fields' => ['quantity']]);
        ($this->send)('DELETE', 'claims/switch')->assertOk();
        expect(($this->line)('switch'))->toMatchArray(['owned' => 0, 'origin' => 'buy', 'state' => 'chosen']);
        $this->postJson("/api/builds/{$other->id}/claims", ['version' => 1, 'line' => 'switch', 'piece' => $id, 'quantity' => 1, 'atValue' => true])->assertOk();
        expect(collect($this->getJson("/api/builds/{$other->id}")->json('lines'))->firstWhere('id', 'switch')['price'])->toBe(['amount' => '1.00', 'currency' => 'EUR']);
    });

    it('has part of what a line needs, and the rest is bought', function (): void {
        ($this->send)('POST', 'claims', ['line' => 'paddles', 'piece' => ($this->piece)('Paddle', 1, ['role' => 'controls']), 'quantity' => 1])->assertOk();
        expect(($this->line)('paddles'))->toMatchArray(['owned' => 1, 'origin' => 'buy', 'state' => 'chosen'])
            ->and(collect(($this->shopping)()->json('list'))->firstWhere('line', 'paddles')['toBuy'])->toBe(1);
        ($this->send)('POST', 'claims', ['line' => 'paddles', 'piece' => ($this->piece)('More paddles', 5, ['role' => 'controls']), 'quantity' => 2])->assertUnprocessable();
    });

    it('gets back what a line or a build lets go', function (Closure $letGo): void {
        $id = ($this->piece)('Switch', 1);
        ($this->send)('POST', 'claims', ['line' => 'switch', 'piece' => $id, 'quantity' => 1])->assertOk();
        $letGo->call($this);
        $this->getJson('/api/drawer')->assertJsonPath('pieces.0.left', 1);
    })->with([
        'the line is removed' => [fn () => ($this->send)('DELETE', 'lines/switch')->assertOk()],
        'another part takes its place' => [fn () => ($this->send)('POST', 'lines/switch/swap', ['part' => $this->part('sw-rocker')])->assertOk()],
        'more are needed than there were' => [fn () => ($this->send)('PATCH', 'lines/switch', ['quantity' => 2])->assertOk()],
        'the build is given up' => [fn () => $this->deleteJson($this->path)->assertOk()],
    ]);

    it('gets what a finished build leaves, at what it cost', function (): void {
        ($this->send)('POST', 'claims', ['line' => 'switch', 'piece' => ($this->piece)('Switch', 1), 'quantity' => 1])->assertOk();
        $this->deleteJson($this->path, ['leave' => true])->assertOk();
        $pieces = ($this->pieces)()->with('claims')->get()->keyBy('name');
        expect($pieces->get('Brook 5 V buck, 4 A')?->only('quantity', 'came_from', 'value_amount', 'origin'))->toBe(['quantity' => 1, 'came_from' => 'Refuge', 'value_amount' => '10.70', 'origin' => 'bought'])
            ->and($pieces->get('Thrift card, 32 GB')?->condition)->toBe('used-tested')->and($pieces->has('Rook 9 panel'))->toBeFalse()->and($pieces->get('Switch')?->claimed())->toBe(0);
        // Taken out again, the build has nothing twice.
        $this->postJson("{$this->path}/restore")->assertOk();
        expect(($this->line)('card')['state'])->toBe('chosen');
    });

    it('is nobody else\'s', function (): void {
        $id = ($this->piece)('Switch', 1, [], $this->builder('bea@example.test'));
        $this->getJson('/api/drawer')->assertJsonPath('total', 0);
        $this->putJson("/api/drawer/{$id}", ['version' => 1, 'quantity' => 1])->assertNotFound();
        $this->postJson("/api/drawer/{$id}/break-up", ['parts' => [['name' => 'x', 'role' => 'tool']]])->assertNotFound();
        ($this->send)('POST', 'claims', ['line' => 'switch', 'piece' => $id, 'quantity' => 1])->assertNotFound();
    });

    it('gives the last piece to one of two builds that claim it at one moment', function (): void {
        // Outside the test's transaction, in processes of their own, as two browsers are.
        $email = 'drawer'.bin2hex(random_bytes(4)).'@example.test';
        $script = static fn (string $code): Process => new Process([PHP_BINARY, '-r', 'require "'.base_path('vendor/autoload.php').'"; $app = require "'.base_path('bootstrap/app.php').'"; $app->make(Illuminate\Contracts\Console\Kernel::class)->bootstrap(); '.$code], base_path());
        $made = $script('$u = '.User::class.'::query()->create(["name" => "Claimer", "email" => "'.$email.'", "password" => "a long enough one"]); $p = App\Actions\DrawerPieces::put($u, ["name" => "Switch", "role" => "switch", "quantity" => 1, "part_key" => "", "spec" => ["name" => "Switch", "role" => "switch", "facets" => []]]); echo $p->id; foreach ([1, 2] as $n) echo " ", '.StartBuild::class.'::fromDemo($u, "refuge", null)->id;');
        [$piece, $one, $two] = explode(' ', trim($made->mustRun()->getOutput()));
        $racers = array_map(static function (string $id) use ($script, $piece): Process {
            $process = $script('try { App\Actions\EditBuild::run('.BuildRecord::class."::query()->findOrFail('{$id}'), 1, fn (\$b) => App\\Actions\\DrawerPieces::claim(\$b, 'switch', {$piece}, 1, false)); echo 'has it'; } catch (Illuminate\\Validation\\ValidationException) { echo 'none left'; }");
            $process->start();

            return $process;
        }, [$one, $two]);
        $answers = array_map(static function (Process $process): string {
            $process->wait();

            return $process->getOutput();
        }, $racers);
        sort($answers);
        expect($answers)->toBe(['has it', 'none left']);
        $script(User::class.'::query()->where("email", "'.$email.'")->delete();')->mustRun();
    });
});

describe('vendors and offers', function (): void {
    $terms = ['name' => 'The Ford', 'currency' => 'GBP', 'lead' => ['least' => 2, 'usual' => 4, 'most' => 9], 'post' => ['steps' => [['upToGrams' => 500, 'price' => '3.00'], ['price' => '6.00']], 'freeFrom' => '80.00'], 'taxPercent' => 20, 'closures' => [['from' => '2026-12-20', 'to' => '2027-01-02']]];

    it('keeps terms, and one\'s own before the shelf\'s', function () use ($terms): void {
        $this->assertShape($this->postJson('/api/vendors', $terms)->assertCreated(), 'Vendor');
        $before = $this->getJson($this->path)->json('appraisal.costs.planned');
        $own = $this->postJson('/api/vendors', ['name' => 'Kestrel & Wick', 'currency' => 'EUR', 'lead' => ['usual' => 4], 'post' => ['steps' => [['price' => '30.00']]]])->assertCreated();
        expect(collect($this->getJson('/api/vendors')->json('vendors'))->where('name', 'Kestrel & Wick')->pluck('own')->all())->toBe([true])
            ->and(($this->cents)($this->getJson($this->path)->json('appraisal.costs.planned')))->toBeGreaterThan(($this->cents)($before));
        $this->putJson("/api/vendors/{$own->json('id')}", ['version' => 1, 'name' => 'Kestrel & Wick', 'currency' => 'EUR', 'lead' => ['usual' => 5]])->assertOk()->assertJsonPath('saysPost', false);
        $this->putJson("/api/vendors/{$own->json('id')}", ['version' => 1, 'name' => 'Kestrel & Wick', 'currency' => 'EUR', 'lead' => ['usual' => 5]])->assertConflict();
        // One that orders were placed at can go: they keep its name and their money.
        $this->deleteJson("/api/vendors/{$own->json('id')}")->assertOk();
        expect(($this->orders)()[0]['vendor'])->toBe('Kestrel & Wick');
    });

    it('refuses terms that make no sense', function (array $more, string $field) use ($terms): void {
        $this->postJson('/api/vendors', [...$terms, ...$more])->assertUnprocessable()->assertJsonPath('fields', static fn (array $fields): bool => array_key_exists($field, $fields));
    })->with([
        'an unknown currency' => [['currency' => 'euro'], 'currency'], 'days out of order' => [['lead' => ['least' => 9, 'usual' => 4, 'most' => 5]], 'lead'],
        'weights out of order' => [['post' => ['steps' => [['price' => '3.00'], ['upToGrams' => 500, 'price' => '6.00']]]], 'post.steps.1.upToGrams'],
        'a closure that ends before it begins' => [['closures' => [['from' => '2026-12-20', 'to' => '2026-12-02']]], 'closures.0'],
        'a price in words' => [['leastOrder' => 'ten'], 'leastOrder'], 'a tax of 900 %' => [['taxPercent' => 900], 'taxPercent'], 'no days' => [['lead' => null], 'lead'],
    ]);

    it('has every vendor once', function () use ($terms): void {
        $this->postJson('/api/vendors', $terms)->assertCreated();
        $this->postJson('/api/vendors', $terms)->assertUnprocessable()->assertJsonStructure(['fields' => ['name']]);
    });

    it('leaves the shelf\'s and others\' vendors alone', function () use ($terms): void {
        $shelf = VendorRecord::query()->where('name', 'Low Shelf Electronics')->sole();
        $this->deleteJson("/api/vendors/{$shelf->id}")->assertNotFound();
        $theirs = VendorRecord::query()->create(['user_id' => $this->builder('bea@example.test')->id, 'name' => 'Hers', 'currency' => 'EUR', 'lead_days' => 1, 'note' => '']);
        $this->putJson("/api/vendors/{$theirs->id}", ['version' => 1, ...$terms])->assertNotFound();
        expect(collect($this->getJson('/api/vendors')->json('vendors'))->pluck('name')->all())->not->toContain('Hers');
    });

    it('refuses offers that make no sense', function (array $more, string $field): void {
        $this->postJson('/api/offers', ['partKey' => 'sw-latch', 'vendor' => 'Kestrel & Wick', 'pieces' => 1, 'prices' => [['from' => 1, 'price' => '1.00']], ...$more])
            ->assertUnprocessable()->assertJsonPath('fields', static fn (array $fields): bool => array_key_exists($field, $fields));
    })->with([
        'a packet of none' => [['pieces' => 0], 'pieces'], 'nobody knows the vendor' => [['vendor' => 'Nobody'], 'vendor'],
        'no price for one packet' => [['prices' => [['from' => 5, 'price' => '1.00']]], 'prices'],
        'breaks that rise' => [['prices' => [['from' => 1, 'price' => '1.00'], ['from' => 5, 'price' => '2.00']]], 'prices'],
        'two prices from the same number on' => [['prices' => [['from' => 1, 'price' => '1.00'], ['from' => 1, 'price' => '0.90']]], 'prices.1.from'],
        'a link that is none' => [['link' => 'javascript:alert(1)'], 'link'], 'three decimals' => [['prices' => [['from' => 1, 'price' => '1.005']]], 'prices.0.price'],
    ]);

    it('counts an offer that was noted, and the feed says what became of it', function (): void {
        $offer = $this->assertShape($this->postJson('/api/offers', ['partKey' => 'sw-latch', 'vendor' => 'Low Shelf Electronics', 'pieces' => 1, 'prices' => [['from' => 1, 'price' => '0.10']], 'condition' => 'used-tested'])->assertCreated(), 'Offer');
        $best = collect(($this->shopping)()->json('list'))->firstWhere('line', 'switch')['offers'][0];
        expect([$best['goods'], $best['condition']])->toBe(['0.10', 'used-tested'])
            ->and(collect(($this->shopping)('?used=0')->json('plans.0.orders'))->flatMap(static fn (array $one): array => $one['items'])->pluck('condition')->unique()->all())->toBe(['new']);
        $feed = $this->postJson("{$this->path}/price-feed")->assertOk()->assertJsonPath('service', static fn (string $name): bool => str_contains($name, 'Stand-in'))->json('changes');
        // Every third has become dearer, some are sold out; a second look finds them as they are by now.
        expect($feed)->not->toBe([])->and(OfferRecord::query()->where('user_id', $this->user->id)->count())->toBeGreaterThan(count($feed) - 1);
        $dearer = collect($feed)->first(static fn (array $one): bool => $one['now'] !== $one['was']);
        expect(collect(($this->shopping)()->json('list'))->flatMap(static fn (array $row): array => $row['offers'])->where('vendor', $dearer['vendor'])->pluck('prices.0.price'))->toContain($dearer['now']);
        $this->deleteJson("/api/offers/{$offer->json('id')}")->assertOk();
    });
});

describe('offers out of a spreadsheet', function (): void {
    $text = "Part\tVendor\tPrice\nLatch slide switch, 6 A\tKestrel & Wick\t0.20\nlatch slide switch 6A\tkestrel & wick\t0.30\nNylon posts\tNobody\t1.00\nMoon cheese\tKestrel & Wick\t9.00\nNylon posts\tHarrow Lane Parts\t1.10 EUR\nNylon posts\tHarrow Lane Parts\t";

    it('are told row by row, and noted once that is confirmed', function () use ($text): void {
        $rows = $this->postJson("{$this->path}/offers-sheet", ['text' => $text])->assertOk()->assertJsonPath('noted', 0)->json('rows');
        expect(array_map(static fn (array $row): string => $row['problem'], $rows))->toBe([
            '', 'Row 2 offers the same. The first is taken.', 'There is no vendor "Nobody". Write down its terms first.', 'No part of this build goes by this name.',
            'Harrow Lane Parts asks GBP, and this price is in EUR.', 'No price can be read.',
        ])->and(OfferRecord::query()->where('user_id', $this->user->id)->count())->toBe(0);
        $this->postJson("{$this->path}/offers-sheet", ['text' => $text, 'take' => true])->assertOk()->assertJsonPath('noted', 1);
        // Taken in again, it is there once.
        $this->postJson("{$this->path}/offers-sheet", ['text' => $text, 'take' => true])->assertOk();
        expect(OfferRecord::query()->where('user_id', $this->user->id)->count())->toBe(1)
            ->and(collect(($this->shopping)()->json('list'))->firstWhere('line', 'switch')['offers'][0]['goods'])->toBe('0.20');
    });

    it('fifty thousand of them are refused in words', function (): void {
        $this->postJson("{$this->path}/offers-sheet", ['text' => "Part\tVendor\tPrice\n".str_repeat("Nylon posts\tKestrel & Wick\t1.00\n", 50_000), 'take' => true])
            ->assertUnprocessable()->assertJsonPath('fields', static fn (array $fields): bool => str_contains((string) json_encode($fields), 'rows'));
        expect(OfferRecord::query()->where('user_id', $this->user->id)->count())->toBe(0);
    });
});

describe('a find in a shop', function (): void {
    it('is judged without being stored, and taken when it is paid', function (): void {
        $given = ['line' => 'panel', 'text' => "Field monitor 7 inch\nHDMI in, 1024x600, 9-36 V DC, 450 mA at 12 V", 'price' => '15 GBP'];
        $judged = $this->assertShape($this->postJson("{$this->path}/find", $given)->assertOk(), 'SecondHand');
        expect(($this->version)())->toBe(1)->and($judged->json('read'))->not->toBe([])->and($judged->json('vitals.cost.amount'))->not->toBe($judged->json('before.cost.amount'))
            ->and($judged->json('look'))->not->toBe([]);
        $this->assertShape(($this->send)('POST', 'found', $given)->assertOk(), 'Build');
        expect(($this->line)('panel'))->toMatchArray(['state' => 'arrived', 'price' => ['amount' => '15.00', 'currency' => 'GBP']])
            ->and(($this->line)('panel')['part']['name'])->toContain('Field monitor')
            ->and($this->getJson($this->path)->json('appraisal.vitals.cost.amount'))->toBe($judged->json('vitals.cost.amount'));
    });

    it('says what is missing to judge it', function (array $more, string $field): void {
        $this->postJson("{$this->path}/find", ['line' => 'panel', 'text' => 'A panel', ...$more])->assertUnprocessable()->assertJsonPath('fields', static fn (array $fields): bool => array_key_exists($field, $fields));
    })->with(['no text' => [['text' => ''], 'text'], 'a price in no money' => [['price' => '12 clams'], 'price'], 'no place' => [['line' => null], 'line']]);
});

it('saves the plan as a spreadsheet with one sheet a vendor', function (): void {
    $csv = (string) $this->get("{$this->path}/shopping.csv")->assertOk()->getContent();
    expect($csv)->toContain('vendor,part,packets')->toContain('Kestrel & Wick')->and((string) $this->get("{$this->path}/shopping.xlsx")->assertOk()->getContent())->toStartWith('PK');
});

it('takes rates of the day from the stand-in, which says so', function (): void {
    ($this->send)('POST', 'rates')->assertOk()->assertJsonPath('rates.asOf', '2026-11-27')->assertJsonPath('rates.source', 'stand-in for a rate service');
});

it('takes rates that are written down, and names a currency that has none', function (): void {
    ($this->send)('POST', 'rates', ['worth' => [['currency' => 'GBP', 'worth' => '1,5']]])->assertOk()->assertJsonPath('rates.worth', ['GBP' => '1.5']);
    // Nobody can be asked in crowns any more: what is sold in them only is bought by nobody.
    expect(collect(($this->shopping)('?avoid[]=Kestrel+%26+Wick&avoid[]=Harrow+Lane+Parts')->json('plans.0.unmet'))->pluck('id'))->toContain('solar');
    expect(($this->shopping)()->json('withoutRate'))->toBe(['SEK']);
    ($this->send)('POST', 'rates', ['worth' => [['currency' => 'pounds', 'worth' => '1.5'], ['currency' => 'GBP', 'worth' => 'much']]])->assertUnprocessable()
        ->assertJsonPath('fields', static fn (array $fields): bool => isset($fields['worth.0.currency'], $fields['worth.1.worth']));
});

it('reckons new builds and values in one\'s home currency', function (): void {
    $this->assertShape($this->putJson('/api/home-currency', ['currency' => 'GBP'])->assertOk(), 'Session')->assertJsonPath('user.homeCurrency', 'GBP');
    $this->putJson('/api/home-currency', ['currency' => 'pounds'])->assertUnprocessable()->assertJsonStructure(['fields' => ['currency']]);
    expect($this->postJson('/api/builds', ['name' => 'Pounds'])->assertCreated()->json('appraisal.costs.currency'))->toBe('GBP')
        ->and($this->postJson('/api/drawer', ['name' => 'Slide switch', 'quantity' => 1, 'value' => '2'])->json('value.currency'))->toBe('GBP');
});

it('buys rather at a preferred vendor, as long as that is not too dear', function (): void {
    $vendors = fn (string $query): array => collect(($this->shopping)($query)->json('plans.0.orders'))->pluck('vendor')->all();
    expect(count($vendors('')))->toBeGreaterThan(1)->and($vendors('?prefer[]=Kestrel+%26+Wick&preferUpTo=9,50'))->toBe(['Kestrel & Wick']);
    $this->getJson("{$this->path}/shopping?prefer[]=Kestrel+%26+Wick&preferUpTo=much")->assertUnprocessable()->assertJsonStructure(['fields' => ['preferUpTo']]);
});

it('says what each thing is worth second-hand', function (): void {
    $rows = collect(($this->shopping)()->json('list'))->keyBy('line');
    expect($rows->get('panel')['worth'])->toBe('47.96')->and($rows->get('board')['worth'])->toBeNull();
});

it('lists what is needed and on no line yet', function (): void {
    expect(array_column(($this->shopping)()->json('missing'), 'says'))->not->toBe([]);
});

it('saves orders and terms with the build, and takes them in again', function (): void {
    ($this->did)('order-november-2', 'arrive', ['item' => 0, 'broken' => 1])->assertOk();
    $file = Json::decode((string) $this->get("{$this->path}/file")->assertOk()->getContent());
    expect($file['orders'][1]['items'][0]['broken'])->toBe(1);
    $again = $this->postJson('/api/imports', ['text' => Json::encode($file)])->assertCreated();
    expect($this->getJson("/api/builds/{$again->json('id')}/money")->json())->toBe($this->getJson("{$this->path}/money")->json());
});
