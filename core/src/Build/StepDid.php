<?php

declare(strict_types=1);

namespace PocketPlot\Build;

enum StepDid: string
{
    case Done = 'done';
    case Failed = 'failed';
    case Later = 'later';
    case Undone = 'undone';
    case Noted = 'noted';
}
