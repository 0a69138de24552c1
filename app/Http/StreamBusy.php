<?php

declare(strict_types=1);

namespace App\Http;

use Symfony\Component\HttpKernel\Exception\TooManyRequestsHttpException;

/** Another stream of the same builder is still running (Controllers\Stream). */
final class StreamBusy extends TooManyRequestsHttpException
{
    public function __construct()
    {
        parent::__construct(5, 'Another measurement or sampling of yours is still running. Wait until it has ended, then try again.');
    }
}
