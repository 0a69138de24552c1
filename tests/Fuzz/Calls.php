<?php

declare(strict_types=1);

namespace Tests\Fuzz;

/** Calls of every route that writes, made from the contract: bodies as it describes them, filled with what the build holds. */
final class Calls
{
    /** @var list<array{method: string, path: string, body: array<string, mixed>}> */
    public readonly array $routes;

    /** @param  array<string, mixed>  $contract  contract/openapi.json */
    public function __construct(private readonly array $contract, private readonly Lot $lot)
    {
        $routes = [];
        foreach ($contract['paths'] as $path => $methods) {
            foreach ($methods as $method => $operation) {
                if ($method !== 'get' && preg_match('#^/(builds|parts|imports|logs|typed)#', $path) === 1) {
                    $routes[] = ['method' => strtoupper($method), 'path' => $path, 'body' => $operation['requestBody']['content']['application/json']['schema'] ?? ['type' => 'object', 'properties' => []]];
                }
            }
        }
        $this->routes = $routes;
    }

    /**
     * A value as the contract's schema describes it.
     *
     * @param  array<string, mixed>  $schema
     * @param  array<string, list<mixed>>  $pools  by the name of a field, what it may hold in this build
     */
    public function fill(array $schema, array $pools, string $name = '', int $depth = 0): mixed
    {
        if (isset($pools[$name]) && $pools[$name] !== []) {
            return $this->lot->one($pools[$name]);
        }
        if (isset($schema['$ref'])) {
            return $this->fill($this->contract['components']['schemas'][basename($schema['$ref'])], $pools, $name, $depth);
        }
        foreach (['anyOf', 'oneOf'] as $either) {
            if (isset($schema[$either])) {
                return $this->fill($this->lot->one($schema[$either]), $pools, $name, $depth);
            }
        }
        if (isset($schema['enum'])) {
            return $this->lot->one($schema['enum']);
        }
        $type = is_array($schema['type'] ?? null) ? $this->lot->one($schema['type']) : ($schema['type'] ?? 'string');

        return match ($type) {
            'object' => $this->object($schema, $pools, $depth),
            'array' => array_map(fn (): mixed => $this->fill(is_array($schema['items'] ?? null) ? $schema['items'] : [], $pools, $name.'*', $depth + 1), array_fill(0, $depth > 3 ? 0 : $this->lot->upTo(3), 0)),
            'integer' => $this->lot->one([0, 1, 2, 7, 100]),
            'number' => $this->lot->one([0, 0.5, 1, 3.7, 12, 250]),
            'boolean' => $this->lot->happens(0.5),
            'null' => null,
            default => $this->lot->one(['x', 'a note', '5', '12 V', 'EUR', '2026-12-01', 'usual']),
        };
    }

    /**
     * @param  array<string, mixed>  $schema
     * @param  array<string, list<mixed>>  $pools
     * @return array<string, mixed>
     */
    private function object(array $schema, array $pools, int $depth): array
    {
        $object = [];
        foreach ($schema['properties'] ?? [] as $key => $inner) {
            if (in_array($key, $schema['required'] ?? [], true) || ($depth < 5 && $this->lot->happens(0.4))) {
                $object[$key] = $this->fill($inner, $pools, (string) $key, $depth + 1);
            }
        }

        return $object;
    }
}
