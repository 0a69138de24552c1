<?php

declare(strict_types=1);

// The core's tests run alone: pest --configuration core/phpunit.xml --test-directory core/tests
