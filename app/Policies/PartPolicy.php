<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\PartRecord;
use App\Models\User;
use Illuminate\Auth\Access\Response;

/** Everyone changes only parts of their own, and sees only their files and history. */
final class PartPolicy
{
    public function touch(User $user, PartRecord $part): Response
    {
        return $part->user_id === $user->id ? Response::allow() : Response::denyAsNotFound();
    }
}
