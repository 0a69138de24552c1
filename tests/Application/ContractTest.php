<?php

declare(strict_types=1);

use Illuminate\Routing\Route as LaravelRoute;
use Illuminate\Support\Facades\Route;

/** @return list<string> "METHOD /path" of every route under /api, parameters by name */
function routes(): array
{
    $found = [];
    /** @var LaravelRoute $route */
    foreach (Route::getRoutes() as $route) {
        $path = '/'.$route->uri();
        if (! str_starts_with($path, '/api/') || str_contains($path, '{anything') || $path === '/api/nothing') {
            continue;
        }
        foreach (array_diff($route->methods(), ['HEAD']) as $method) {
            $found[] = $method.' '.substr($path, 4);
        }
    }

    return $found;
}

it('describes every route and no other', function (): void {
    $contract = json_decode((string) file_get_contents(base_path('contract/openapi.json')), true, 64, JSON_THROW_ON_ERROR);
    $described = [];
    foreach ($contract['paths'] as $path => $methods) {
        foreach (array_keys($methods) as $method) {
            $described[] = strtoupper($method)." {$path}";
        }
    }
    // Files for people, not answers for the page.
    $downloads = ['GET /builds/{build}/readings/{reading}/photo', 'GET /builds/{build}/file', 'GET /builds/{build}/parts.{format}', 'GET /parts/file', 'GET /parts/{part}/files/{file}', 'GET /parts/sheet.{format}', 'GET /builds/{build}/shopping.{format}', 'GET /builds/{build}/arrivals.ics', 'GET /drawer/{piece}/photo', 'GET /builds/{build}/evenings.ics', 'GET /builds/{build}/record/{entry}/photo', 'GET /builds/{build}/fit/{what}.{format}'];
    expect(array_values(array_diff(routes(), $described, $downloads)))->toBe([])
        ->and(array_values(array_diff($described, routes())))->toBe([]);
});

it('guards every route of a build with its policy, and every other with a session or a limit', function (): void {
    /** @var LaravelRoute $route */
    foreach (Route::getRoutes() as $route) {
        $path = '/'.$route->uri();
        if (! str_starts_with($path, '/api/') || str_contains($path, '{anything') || in_array($path, ['/api/nothing', '/api/session'], true)) {
            continue;
        }
        $guards = implode(' ', $route->gatherMiddleware());
        expect(preg_match(str_contains($path, '{build}') ? '/auth.*can:touch,build/' : '/auth|throttle:sign-in|OnlyHere/', $guards))->toBe(1, $path);
    }
});

it('answers the smaller questions in the contract\'s shape', function (): void {
    $this->actingAs($this->builder());
    expect($this->getJson('/api/vendors')->assertOk()->json('vendors'))->toHaveCount(6);
    $vocabulary = $this->getJson('/api/vocabulary')->assertOk()->json();
    expect($vocabulary['skills'])->toContain('soldering')->and(array_column($vocabulary['gamesClasses'], 'class'))->toBe(['two-button eight-bit', 'six-button sixteen-bit', 'twin-stick', 'touch', 'knob']);
    $this->getJson('/api/parts?role=cooling')->assertOk()->assertJsonCount(8, 'parts');
    $this->assertShape($this->getJson('/api/not/a/route')->assertNotFound(), 'Problem');
});
