<?php

declare(strict_types=1);

use Tests\TestCase;

uses(TestCase::class)->in('Application', 'Fuzz');
