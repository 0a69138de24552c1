<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\DrawerPieceRecord;
use App\Models\OfferRecord;
use App\Models\User;
use App\Models\VendorRecord;
use Illuminate\Auth\Access\Response;

/** The drawer, offers and vendors that one wrote down are one's own; nobody else sees or changes them. */
final class OwnPolicy
{
    public function touch(User $user, DrawerPieceRecord|OfferRecord|VendorRecord $row): Response
    {
        return $row->user_id === $user->id ? Response::allow() : Response::denyAsNotFound();
    }
}
