<?php

declare(strict_types=1);

return [
    // The demo door and the mailbox page exist only when this is on, and only for this machine itself.
    'demo' => (bool) env('POCKETPLOT_DEMO', false),
    'demo_email' => 'demo@pocketplot.invalid',
    'shelf_email' => 'shelf@pocketplot.invalid',
];
