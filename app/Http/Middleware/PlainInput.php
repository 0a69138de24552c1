<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;
use Symfony\Component\HttpKernel\Exception\UnsupportedMediaTypeHttpException;

/** What is sent is JSON; its text is UTF-8 and holds no nul: what no keyboard writes is refused at its field, before anything looks at it. */
final class PlainInput
{
    /** Groups within groups of one request. */
    private const MOST_DEPTH = 64;

    /** Where a drawing is read as it is, and nothing of it is kept. */
    private const DRAWINGS = 'api/stl';

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        if (! self::isPlain(rawurldecode($request->getPathInfo()))) {
            throw new NotFoundHttpException('There is nothing under such an address.');
        }
        $isDrawing = $request->is(self::DRAWINGS) && $request->headers->get('Content-Type') === 'application/octet-stream';
        if (! $request->isJson() && ! $isDrawing && ! $request->isMethodSafe() && $request->getContent() !== '') {
            throw new UnsupportedMediaTypeHttpException('What is sent here is JSON, and says so.');
        }
        foreach ([$request->query->all(), $request->isJson() ? $request->json()->all() : $request->request->all()] as $input) {
            self::refuse($input, '', 0);
        }

        return $next($request);
    }

    private static function isPlain(string $text): bool
    {
        return ! str_contains($text, "\0") && mb_check_encoding($text, 'UTF-8');
    }

    private static function refuse(mixed $value, string $field, int $depth): void
    {
        if (is_string($value) ? ! self::isPlain($value) : $depth > self::MOST_DEPTH) {
            throw ValidationException::withMessages([$field === '' ? 'input' : $field => 'This holds something that no keyboard writes. Write it anew.']);
        }
        if (is_array($value)) {
            foreach ($value as $key => $inner) {
                if (! is_int($inner) && ! is_float($inner)) {
                    self::refuse((string) $key, $field === '' ? 'input' : $field, $depth);
                    self::refuse($inner, $field === '' ? (string) $key : "{$field}.{$key}", $depth + 1);
                }
            }
        }
    }
}
