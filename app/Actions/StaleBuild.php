<?php

declare(strict_types=1);

namespace App\Actions;

/** An edit that was made on an older page than the one stored. */
final class StaleBuild extends \RuntimeException
{
    /** @param  array<string, mixed>  $fresh the build as it is now */
    public function __construct(public readonly array $fresh)
    {
        parent::__construct('the build was changed meanwhile');
    }
}
