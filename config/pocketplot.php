<?php

declare(strict_types=1);

return [
    // The demo door and the mailbox page exist only when this is on, and only for this machine itself.
    'demo' => (bool) env('POCKETPLOT_DEMO', false),
    // Printed by bin/start as part of the address; without it the demo door and the mailbox stay shut.
    'door_key' => (string) env('POCKETPLOT_DOOR_KEY', ''),
    'demo_email' => 'demo@pocketplot.invalid',
    // From one address, over all accounts. One account is tried five times a minute at most, whatever stands here.
    'sign_ins_a_minute' => (int) env('POCKETPLOT_SIGN_INS_A_MINUTE', 30),
    // What the simulated bench waits between two steps, so that they can be watched.
    'bench_pause_ms' => (int) env('POCKETPLOT_BENCH_PAUSE_MS', 60),
    // What one request may take: seconds of work (waiting does not count) and memory.
    'request_seconds' => (int) env('POCKETPLOT_REQUEST_SECONDS', 20),
    'request_megabytes' => (int) env('POCKETPLOT_REQUEST_MEGABYTES', 256),
    // Addresses of load balancers that stand in front, such as 10.0.0.5,10.0.0.6: only what they say of a caller's address is believed.
    'proxies' => array_values(array_filter(array_map(trim(...), explode(',', (string) env('TRUSTED_PROXIES', ''))))),
    'shelf_email' => 'shelf@pocketplot.invalid',

    // The account that owns the typical parts, which stand for any of their kind.
    'typical_email' => 'typical@pocketplot.invalid',
];
