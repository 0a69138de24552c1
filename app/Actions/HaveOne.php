<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\BuildRecord;
use App\Models\User;
use Illuminate\Validation\ValidationException;

/** The builder has one now: what stood for any of its kind becomes a part of one's own, its figures still in pencil until each is confirmed. */
final class HaveOne
{
    /** @throws ValidationException when the line's part is no typical one */
    public static function of(BuildRecord $build, User $user, string $line, string $name): void
    {
        $spec = Lines::partOf($build, $line)->spec;
        if (($spec['typical'] ?? false) !== true) {
            throw ValidationException::withMessages(['name' => 'This part is no typical one; swap it for another instead.']);
        }
        $own = [...array_diff_key($spec, ['typical' => true, 'offers' => true, 'id' => true]), 'name' => $name, 'summary' => ''];
        SwapLine::in($build, $line, KeepPart::asNew($user, $own));
    }
}
