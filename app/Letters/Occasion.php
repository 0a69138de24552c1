<?php

declare(strict_types=1);

namespace App\Letters;

/** Why a letter is written. */
enum Occasion: string
{
    case AccountAskedFor = 'account asked for';
    case PasswordForgotten = 'password forgotten';
    case PasswordChanged = 'password changed';
}
