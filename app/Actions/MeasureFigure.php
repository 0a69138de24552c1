<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\BuildPartRecord;
use App\Models\BuildRecord;
use Illuminate\Validation\ValidationException;
use PocketPlot\Clipping\SpokenPlace;
use PocketPlot\File\BadFile;
use PocketPlot\File\FigurePlace;
use PocketPlot\File\PartReader;
use PocketPlot\Part\FigureRef;
use PocketPlot\Quantity\BadFigure;

/** Writes what the builder measured into the build's own copy of a part; what was stated stays beside it. */
final class MeasureFigure
{
    /** @throws ValidationException when the figure or what was typed cannot be taken */
    public static function in(BuildRecord $build, string $line, FigureRef $figure, string $typed): void
    {
        $place = FigurePlace::of($figure) ?? SpokenPlace::of($figure) ?? throw ValidationException::withMessages(
            ['figure' => 'This is more than one field; open the part and write it there.'],
        );
        $part = BuildPartRecord::query()->findOrFail(Lines::find($build, $line)->build_part_id);
        try {
            $spec = $place->write($part->spec, $typed, now()->toDateString());
            PartReader::read($spec);
        } catch (BadFigure $bad) {
            throw ValidationException::withMessages(['typed' => ucfirst($bad->getMessage()).'.']);
        } catch (BadFile $bad) {
            throw ValidationException::withMessages(['typed' => ucfirst((string) $bad->problems[0]).'.']);
        }
        $part->spec = $spec;
        $part->save();
    }
}
