<?php

declare(strict_types=1);

namespace ZipStream\Exception;

/** More than a ZIP file without 64-bit sizes holds. */
final class OverflowException extends \RuntimeException {}
