<?php

declare(strict_types=1);

namespace App\Sessions;

use Illuminate\Session\DatabaseSessionHandler;

/** Sessions as rows of the database, without the address and the browser of who began them: nobody needs these here. */
final class SessionRows extends DatabaseSessionHandler
{
    /**
     * @param  string  $data
     * @return array{payload: string, last_activity: int}
     */
    protected function getDefaultPayload($data): array
    {
        return ['payload' => base64_encode($data), 'last_activity' => $this->currentTime()];
    }
}
