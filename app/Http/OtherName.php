<?php

declare(strict_types=1);

namespace App\Http;

use Symfony\Component\HttpKernel\Exception\BadRequestHttpException;

/** Asked under a name that is not this application's (Middleware\OwnName). */
final class OtherName extends BadRequestHttpException
{
    public function __construct()
    {
        parent::__construct('This server goes by another name.');
    }
}
