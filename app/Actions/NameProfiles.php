<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\BuildRecord;
use Illuminate\Validation\ValidationException;
use PocketPlot\File\BadFile;
use PocketPlot\File\BuildReader;
use PocketPlot\File\BuildWriter;
use PocketPlot\File\Fields;

/** The builder's own ways of playing; with none of them the defaults count. */
final class NameProfiles
{
    /**
     * @param  list<array<string, mixed>>  $profiles
     *
     * @throws ValidationException when the shares are not a whole, naming the field and the fix
     */
    public static function in(BuildRecord $build, array $profiles): void
    {
        try {
            $read = BuildReader::profiles(new Fields(['profiles' => $profiles]));
        } catch (BadFile $bad) {
            throw Complaint::about($bad);
        }
        $build->profiles = $read === [] ? null : array_map(BuildWriter::profile(...), $read);
    }
}
