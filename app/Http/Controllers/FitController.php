<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ChangeFit;
use App\Actions\EditBuild;
use App\Http\Requests\FitRequest;
use App\Library\ThinnerParts;
use App\Mapping\BuildMapper;
use App\Models\BuildRecord;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use PocketPlot\Appraisal;
use PocketPlot\Build\Build;
use PocketPlot\Build\FitAim;
use PocketPlot\Fit\Arrangement;
use PocketPlot\Fit\Arranger;
use PocketPlot\Fit\BadStl;
use PocketPlot\Fit\Halves;
use PocketPlot\Fit\Piece;
use PocketPlot\Fit\ScadScript;
use PocketPlot\Fit\Shell;
use PocketPlot\Fit\StlBox;
use PocketPlot\Fit\Style;
use PocketPlot\Fit\Template;
use PocketPlot\Report\FitReport;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** Where the parts lie: the dry fit, arrangements, the body to print and its templates. */
final class FitController
{
    /** Seconds of looking for one style. */
    private const SECONDS = 1.0;

    private const MOST_SECONDS = 10.0;

    /** How often the page hears that it goes on. */
    private const TELL_SECONDS = 0.25;

    private const MOST_STL_BYTES = 32_000_000;

    public function show(BuildRecord $build): JsonResponse
    {
        return new JsonResponse(FitReport::of(self::core($build))->toArray());
    }

    public function change(FitRequest $request, BuildRecord $build): JsonResponse
    {
        /** @var array<string, mixed> $given */
        $given = $request->validated();
        $did = $request->string('did')->toString();
        $fit = [];
        $answer = EditBuild::run(
            $build,
            $request->version(),
            static fn (BuildRecord $build) => ChangeFit::in($build, $did, $given),
            static function (Appraisal $appraisal) use (&$fit): void {
                $fit = FitReport::from($appraisal->facts)->toArray();
            },
        );

        // The build is encoded already.
        return JsonResponse::fromJsonString('{"build":'.$answer->getContent().',"fit":'.json_encode($fit, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE).'}');
    }

    /** Looks for arrangements, one style after another; a line of JSON now and then, and one for each that was found. */
    public function arrange(Request $request, User $user, BuildRecord $build): StreamedResponse
    {
        $given = $request->validate([
            'aim' => ['nullable', Rule::enum(FitAim::class)], 'seed' => ['nullable', 'integer', 'min:1', 'max:1000000'],
            'seconds' => ['nullable', 'numeric', 'min:0.1', 'max:'.self::MOST_SECONDS],
        ], ['*.*' => 'Choose what is to be least, and up to 10 seconds.']);
        $core = self::core($build);
        $aim = is_string($given['aim'] ?? null) ? FitAim::from($given['aim']) : $core->fit->aim;
        $core = $core->withFit($core->fit->with(['aim' => $aim]));
        $seconds = is_numeric($given['seconds'] ?? null) ? (float) $given['seconds'] : self::SECONDS;
        $arranger = new Arranger(FitReport::inventory($core), $core->fit, is_numeric($given['seed'] ?? null) ? (int) $given['seed'] : 1);

        return Stream::lines(static function (Stream $stream) use ($core, $arranger, $seconds, $user): void {
            $styles = $arranger->styles();
            $seconds = min($seconds, self::MOST_SECONDS / max(1, count($styles)));
            $stream->tell(['styles' => array_map(static fn (Style $style): array => ['style' => $style->value, 'says' => $style->says()], $styles)]);
            $seen = [];
            $best = null;
            foreach ($styles as $style) {
                $found = self::looked($style, $arranger, $seconds, $stream);
                if (! $found instanceof Arrangement) {
                    $stream->tell(['style' => $style->value, 'goesNowhere' => array_map(static fn (Piece $piece): string => $piece->key(), $found)]);

                    continue;
                }
                $pattern = $found->pattern(FitReport::inventory($core)->pieces);
                $same = $seen[$pattern] ?? null;
                $seen[$pattern] ??= $style->value;
                $stream->tell(['style' => $style->value, ...($same === null ? ['found' => FitReport::arrangement($core, $found)] : ['sameAs' => $same])]);
                $best = $found->lost === [] && ($best === null || $found->measure < $best->measure) ? $found : $best;
            }
            $stream->tell([
                'end' => true,
                'best' => $best?->style->value,
                'thinner' => $best === null ? null : ThinnerParts::for($user, $core, $best),
            ]);
        });
    }

    /** A half to print, the script of it, or a side at 1 : 1. */
    public function file(BuildRecord $build, string $what, string $format): Response
    {
        $core = self::core($build);
        $report = FitReport::of($core);
        $shell = Shell::of($report->fitted) ?? abort(404, 'Nothing has its place yet.');
        [$text, $type] = match ($format) {
            'stl' => [$this->stl($shell, $report->bedMm(), $what), 'model/stl'],
            'scad' => [$shell->isDrawn ? (new ScadScript($shell))->text() : abort(404), 'text/plain; charset=utf-8'],
            default => [self::svg($shell, $what), 'image/svg+xml'],
        };

        return new Response($text, 200, [
            'Content-Type' => $type,
            'Content-Disposition' => 'attachment; filename="'.(Str::slug($build->name) ?: 'build')."-{$what}.{$format}\"",
            'Content-Security-Policy' => "default-src 'none'; style-src 'unsafe-inline'; sandbox",
        ]);
    }

    /** The outer box of an STL file, offered as figures; nothing is kept. */
    public function stlBox(Request $request): JsonResponse
    {
        $given = $request->validate(['unit' => ['nullable', Rule::in(['mm', 'in', 'm'])]], ['unit.*' => 'Choose millimetres, inches or metres.']);
        if ((int) $request->headers->get('Content-Length', '0') > self::MOST_STL_BYTES) {
            throw ValidationException::withMessages(['file' => 'The file is larger than 32 MB. Export it coarser, or type its outer size.']);
        }
        $stream = fopen('php://temp/maxmemory:4194304', 'w+b');
        if ($stream === false) {
            abort(503);
        }
        try {
            $body = $request->getContent(true);
            stream_copy_to_stream($body, $stream, self::MOST_STL_BYTES + 1);
            rewind($stream);
            $box = StlBox::read($stream, is_string($given['unit'] ?? null) ? $given['unit'] : null);
        } catch (BadStl $bad) {
            throw ValidationException::withMessages(['file' => $bad->getMessage()]);
        } finally {
            fclose($stream);
        }

        return new JsonResponse([
            'sidesMm' => array_map(static fn (float $mm): float => round($mm, 2), $box->sidesMm), 'volumeCm3' => round($box->volumeMm3 / 1000, 2),
            'triangles' => $box->triangles, 'isClosed' => $box->isClosed, 'unit' => $box->unit,
        ]);
    }

    /** @return Arrangement|list<Piece> */
    private static function looked(Style $style, Arranger $arranger, float $seconds, Stream $stream): Arrangement|array
    {
        $begun = microtime(true);
        $told = $begun;

        return $arranger->arrange($style, static function () use ($begun, &$told, $seconds, $style, $stream): bool {
            $now = microtime(true);
            if ($now - $told > self::TELL_SECONDS) {
                $told = $now;
                // Ends all when nobody listens any more.
                $stream->tell(['style' => $style->value, 'share' => round(min(1.0, ($now - $begun) / $seconds), 3)]);
            }

            return $now - $begun < $seconds;
        });
    }

    private function stl(Shell $shell, ?float $bedMm, string $what): string
    {
        $mesh = $shell->isDrawn ? (new Halves($shell, $bedMm))->meshes()[$what] ?? null : null;

        return $mesh === null ? abort(404) : $mesh->stl("{$what}, made by Pocket Plot, millimetres");
    }

    private static function svg(Shell $shell, string $what): string
    {
        $template = new Template($shell);

        return match (true) {
            $what === 'sheet' => $template->net(),
            in_array($what, $template->sides(), true) => $template->svg($what),
            default => abort(404),
        };
    }

    private static function core(BuildRecord $build): Build
    {
        return BuildMapper::toCore($build->load(BuildMapper::RELATIONS));
    }
}
