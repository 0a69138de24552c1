<?php

declare(strict_types=1);

namespace App\Actions;

/** A part was changed by somebody else since the page that is being saved was opened. */
final class StalePart extends \RuntimeException {}
