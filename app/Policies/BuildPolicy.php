<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\BuildRecord;
use App\Models\User;

/** Everyone sees and changes only what is theirs. */
final class BuildPolicy
{
    public function touch(User $user, BuildRecord $build): bool
    {
        return $build->user_id === $user->id;
    }
}
