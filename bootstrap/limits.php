<?php

declare(strict_types=1);

// A request that met its limit still has to say so: what answers for it needs room and a moment of its own.
register_shutdown_function(static function (): void {
    if (preg_match('/^Maximum execution time|^Allowed memory size/', (string) (error_get_last()['message'] ?? '')) === 1) {
        ini_set('memory_limit', '1G');
        set_time_limit(5);
    }
});
