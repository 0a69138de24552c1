<?php

declare(strict_types=1);

namespace App\Actions;

/** By what a part of one's own was changed. */
enum ChangedBy: string
{
    case Editor = 'editor';
    case File = 'file';
    case Merge = 'merge';
    /** Put back to what it was before a change. */
    case Back = 'back';
}
