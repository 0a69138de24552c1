<?php

declare(strict_types=1);

use App\Models\Letter;
use App\Models\User;

it('registers, signs out, signs in', function (): void {
    $this->assertShape($this->postJson('/api/register', ['name' => 'Ada', 'email' => 'ada@example.test', 'password' => 'a long enough one'])->assertOk(), 'Session')
        ->assertJsonPath('user.name', 'Ada');
    $this->postJson('/api/sign-out')->assertOk()->assertJsonPath('user', null);
    $this->postJson('/api/sign-in', ['email' => 'ada@example.test', 'password' => 'a long enough one'])->assertOk()->assertJsonPath('user.email', 'ada@example.test');
});

it('keeps passwords only as hashes', function (): void {
    expect($this->builder()->getAuthPassword())->not->toContain('long enough')->toStartWith('$2y$');
});

it('says which field is wrong and how to mend it', function (array $given, string $field, string $words): void {
    $this->builder('taken@example.test');
    $response = $this->postJson('/api/register', [...['name' => 'Ada', 'email' => 'ada@example.test', 'password' => 'a long enough one'], ...$given])->assertStatus(422);
    expect($this->assertShape($response, 'Problem')->json("fields.{$field}.0"))->toContain($words);
})->with([
    [['email' => 'nonsense'], 'email', 'name@example.org'],
    [['email' => 'taken@example.test'], 'email', 'already'],
    [['password' => 'short'], 'password', '10 characters'],
    [['name' => ''], 'name', 'called'],
]);

it('does not say which of address and password was wrong', function (): void {
    $this->builder();
    $wrong = $this->postJson('/api/sign-in', ['email' => 'ada@example.test', 'password' => 'not this one'])->assertStatus(422)->json('fields');
    expect($this->postJson('/api/sign-in', ['email' => 'nobody@example.test', 'password' => 'not this one'])->assertStatus(422)->json('fields'))->toBe($wrong);
});

it('stops a guesser after five tries', function (): void {
    foreach (range(1, 5) as $try) {
        $this->postJson('/api/sign-in', ['email' => 'ada@example.test', 'password' => "guess {$try}"])->assertStatus(422);
    }
    $this->assertShape($this->postJson('/api/sign-in', ['email' => 'ada@example.test', 'password' => 'guess 6'])->assertStatus(429), 'Problem')->assertJsonPath('code', 'too-often');
});

it('sets a new password through a letter in the stand-in mailbox', function (): void {
    $this->builder();
    $this->postJson('/api/forgot-password', ['email' => 'ada@example.test'])->assertOk();
    $letter = Letter::query()->where('recipient', 'ada@example.test')->sole();
    expect(preg_match('/token=([a-f0-9]+)/', $letter->body, $found))->toBe(1);
    $this->getJson('/api/mailbox')->assertOk()->assertJsonPath('letters.0.subject', 'A new password for Pocket Plot');

    $given = ['token' => $found[1], 'email' => 'ada@example.test', 'password' => 'quite another one'];
    $this->postJson('/api/new-password', $given)->assertOk();
    $this->postJson('/api/sign-in', ['email' => 'ada@example.test', 'password' => 'quite another one'])->assertOk();
    $this->postJson('/api/new-password', $given)->assertStatus(422)->assertJsonPath('fields.token.0', 'This link has run out or was used. Ask for a new letter.');
});

it('says the same of an address that has no account, and sends nothing', function (): void {
    $this->postJson('/api/forgot-password', ['email' => 'nobody@example.test'])->assertOk();
    expect(Letter::query()->where('recipient', 'nobody@example.test')->exists())->toBeFalse();
});

describe('the demo door', function (): void {
    it('lets in from this machine in demo mode', function (): void {
        $this->postJson('/api/demo-door')->assertOk()->assertJsonPath('user.name', 'Demo builder');
    });
    it('is not there for others', function (array $server): void {
        $this->withServerVariables($server)->getJson('/api/session')->assertOk()->assertJsonPath('demoDoor', false);
        $this->withServerVariables($server)->postJson('/api/demo-door')->assertNotFound();
        $this->withServerVariables($server)->getJson('/api/mailbox')->assertNotFound();
    })->with([[['REMOTE_ADDR' => '192.0.2.7']]]);
    it('is not there under another name of this machine', function (): void {
        $this->postJson('http://console.example/api/demo-door')->assertNotFound();
    });
    it('is not there out of demo mode', function (): void {
        config(['pocketplot.demo' => false]);
        $this->postJson('/api/demo-door')->assertNotFound();
        $this->getJson('/api/session')->assertJsonPath('demoDoor', false);
    });
});

it('sends headers that keep others out', function (): void {
    $response = $this->get('/sign-in')->assertOk();
    expect($response->headers->get('Content-Security-Policy'))->toContain("script-src 'self'")->toContain("frame-ancestors 'none'")
        ->and($response->headers->get('X-Content-Type-Options'))->toBe('nosniff')
        ->and((string) $response->getContent())->not->toMatch('/<script(?![^>]*\bsrc=)/');
});

it('seeds one shelf that nobody can sign in to', function (): void {
    expect(User::shelf()->email)->toEndWith('.invalid');
    $this->postJson('/api/sign-in', ['email' => User::shelf()->email, 'password' => ''])->assertStatus(422);
});
