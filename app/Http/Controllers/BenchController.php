<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\EditBuild;
use App\Actions\WriteReading;
use App\Http\Requests\EditRequest;
use App\Http\Requests\ReadingRequest;
use App\Mapping\BenchView;
use App\Mapping\BuildMapper;
use App\Mapping\Today;
use App\Models\BuildRecord;
use App\Standins\Bench\BenchInstrument;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use PocketPlot\Bench\LogReader;
use PocketPlot\Build\Reading\MeteredState;
use PocketPlot\WhatIf\ReadingEffect;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** What was measured, and the bench it was measured on. */
final class BenchController
{
    /** Of a sweep; as many as a reading holds. */
    private const MOST_STEPS = 400;

    public function show(BuildRecord $build): JsonResponse
    {
        return new JsonResponse(BenchView::of(BuildMapper::withReadings($build), $build));
    }

    public function write(ReadingRequest $request, BuildRecord $build): JsonResponse
    {
        return EditBuild::run(
            $build,
            $request->version(),
            static fn (BuildRecord $build) => WriteReading::in($build, $request->reading(), $request->string('photo')->toString()),
        );
    }

    public function remove(EditRequest $request, BuildRecord $build, string $reading): JsonResponse
    {
        return EditBuild::run($build, $request->version(), static fn (BuildRecord $build) => WriteReading::out($build, $reading));
    }

    public function restore(EditRequest $request, BuildRecord $build, string $reading): JsonResponse
    {
        return EditBuild::run($build, $request->version(), static fn (BuildRecord $build) => WriteReading::back($build, $reading));
    }

    /** What would move if the reading took the place of the spec figures. */
    public function effect(BuildRecord $build, string $reading): JsonResponse
    {
        $core = BuildMapper::withReadings($build);

        return new JsonResponse(ReadingEffect::of($core, $core->reading($reading) ?? abort(404), Today::day())->toArray());
    }

    public function use(EditRequest $request, BuildRecord $build, string $reading): JsonResponse
    {
        return EditBuild::run($build, $request->version(), static fn (BuildRecord $build) => WriteReading::use($build, $reading));
    }

    public function useNoMore(EditRequest $request, BuildRecord $build, string $reading): JsonResponse
    {
        return EditBuild::run($build, $request->version(), static fn (BuildRecord $build) => WriteReading::useNoMore($build, $reading));
    }

    public function photo(BuildRecord $build, string $reading): Response
    {
        $photo = WriteReading::find($build, $reading)->photo ?? abort(404);

        return new Response($photo->jpeg, 200, ['Content-Type' => 'image/jpeg', 'Cache-Control' => 'private, max-age=86400']);
    }

    /** Reads a meter's log; nothing is stored. */
    public function previewLog(Request $request): JsonResponse
    {
        $given = $request->validate(
            ['text' => ['required', 'string', 'max:12000000']],
            ['text.*' => 'Choose a log of at most 12 MB, as separated text: time, volts, amps.'],
        );

        return new JsonResponse(LogReader::read(is_string($given['text']) ? $given['text'] : '')->toArray());
    }

    /** The stand-in at work: one line of JSON a step. */
    public function simulated(Request $request, BuildRecord $build, BenchInstrument $bench): StreamedResponse
    {
        $given = $request->validate([
            'kind' => ['required', Rule::in(['sweep', 'draw', 'run'])], 'line' => ['required', 'string', 'max:80'],
            'state' => ['nullable', Rule::enum(MeteredState::class)], 'profile' => ['nullable', 'integer', 'min:0', 'max:20'],
            'from' => ['nullable', 'numeric', 'gt:0', 'max:60'], 'step' => ['nullable', 'numeric', 'min:0.01', 'max:5'], 'signal' => ['nullable', 'boolean'],
        ]);
        $number = static fn (string $key, float $else): float => is_numeric($given[$key] ?? null) ? (float) $given[$key] : $else;
        if ($given['kind'] === 'sweep' && $number('from', 12.0) / $number('step', 0.5) > self::MOST_STEPS) {
            throw ValidationException::withMessages(
                ['step' => sprintf('That would be more than %d steps; take wider ones, or begin lower.', self::MOST_STEPS)],
            );
        }
        $core = BuildMapper::toCore($build->load(BuildMapper::RELATIONS));
        $line = $core->line(is_string($given['line']) ? $given['line'] : '') ?? abort(404);
        $wait = is_int($pause = config('pocketplot.bench_pause_ms')) ? $pause : 0;

        return Stream::lines(static function (Stream $stream) use ($given, $core, $line, $bench, $number, $wait): void {
            $stream->tell(['instrument' => $bench->name(), 'simulated' => $bench->isSimulated()]);
            $steps = match ($given['kind']) {
                'sweep' => $bench->sweep(
                    $core,
                    $line,
                    $number('from', 12.0),
                    $number('step', 0.5),
                    filter_var($given['signal'] ?? true, FILTER_VALIDATE_BOOLEAN),
                ),
                'draw' => [$bench->draw($core, $line, is_string($given['state'] ?? null) ? $given['state'] : 'usual')],
                default => $bench->run($core, $line, (int) $number('profile', 0.0)),
            };
            foreach ($steps as $step) {
                $stream->tell($step);
                $stream->pause($wait);
            }
            $stream->tell(['end' => true]);
        });
    }
}
