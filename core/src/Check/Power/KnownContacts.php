<?php

declare(strict_types=1);

namespace PocketPlot\Check\Power;

use PocketPlot\Build\Line;
use PocketPlot\Check\LineRule;
use PocketPlot\Check\Meta;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\FigureRef;

final class KnownContacts extends LineRule
{
    public static function meta(): Meta
    {
        return new Meta('power.contacts', 'It is known what every contact of a power plug is for.', ['socket.unknownContacts']);
    }

    protected function lines(Facts $facts): iterable
    {
        return $facts->with('sockets');
    }

    protected function ofLine(Line $line, Facts $facts): iterable
    {
        foreach ($line->part->sockets as $socket) {
            if ($socket->carries === 'power' && $socket->unknownContacts > 0) {
                yield $this->unmeasured(
                    $line,
                    FigureRef::socket($socket, 'unknownContacts'),
                    [],
                    [$this->count("{$line->name()}, {$socket->name}: contacts nobody knows", $socket->unknownContacts)],
                    $socket->name,
                    'nobody can say whether it starts',
                );
            }
        }
    }
}
