<?php

declare(strict_types=1);

namespace App\Policies;

use App\Journal\Journal;
use App\Models\BuildRecord;
use App\Models\User;

/** Everyone sees and changes only what is theirs. */
final class BuildPolicy
{
    public function touch(User $user, BuildRecord $build): bool
    {
        if ($build->user_id !== $user->id) {
            Journal::note('somebody else\'s build was refused', ['build' => $build->id]);

            return false;
        }

        return true;
    }
}
