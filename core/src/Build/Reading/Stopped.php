<?php

declare(strict_types=1);

namespace PocketPlot\Build\Reading;

/** Why a run ended. */
enum Stopped: string
{
    case WentDark = 'went dark';
    case PictureWent = 'picture went';
    case Restarted = 'restarted';
    case Warning = 'warning';
    case ByHand = 'switched off by hand';
    case ByItself = 'shut itself down';
    case StillRunning = 'still running';

    /** Whether something gave up, so that the length of the run says something about the pack. */
    public function isAnEnd(): bool
    {
        return $this !== self::ByHand && $this !== self::StillRunning;
    }
}
