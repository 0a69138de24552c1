<?php

declare(strict_types=1);

namespace App\Http\Controllers;

/** Ends a stream whose page was left. */
final class NobodyListens extends \RuntimeException {}
