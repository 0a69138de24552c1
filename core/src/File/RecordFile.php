<?php

declare(strict_types=1);

namespace PocketPlot\File;

use PocketPlot\Build\StepDid;
use PocketPlot\Build\StepEvent;

/** What happened at the bench, as files and rows keep it. */
final class RecordFile
{
    private const KEYS = ['id', 'step', 'did', 'on', 'at', 'title', 'with', 'read', 'note', 'minutes', 'photo'];

    /**
     * @return list<StepEvent>
     *
     * @throws BadFile
     */
    public static function all(Fields $file): array
    {
        $events = [];
        foreach ($file->children('record') as $one) {
            $event = self::read($one);
            if (isset($events[$event->id])) {
                throw BadFile::at("{$one->path}/id", "\"{$event->id}\" stands there twice", 'give each its own');
            }
            $events[$event->id] = $event;
        }

        return array_values($events);
    }

    /** @throws BadFile naming the field */
    public static function read(Fields $one): StepEvent
    {
        return new StepEvent(
            $one->string('id'), $one->string('step'), $one->oneOf('did', StepDid::class),
            $one->day('on') ?? throw BadFile::at("{$one->path}/on", 'is missing', 'write a day'),
            $one->string('title', ''), $one->stringMap('with'), WorkFile::readings($one->child('read')), $one->string('note', ''), $one->string('at', ''),
            $one->has('minutes') ? $one->int('minutes') : null, $one->string('photo', ''), $one->rest(self::KEYS),
        );
    }

    /** @return array<string, mixed> */
    public static function document(StepEvent $event): array
    {
        return ['id' => $event->id, 'step' => $event->step, 'did' => $event->did->value, 'on' => (string) $event->on] + array_filter([
            'at' => $event->at, 'title' => $event->title, 'with' => $event->with, 'read' => $event->read, 'note' => $event->note,
            'minutes' => $event->minutes, 'photo' => $event->photo,
        ], static fn (mixed $some): bool => $some !== '' && $some !== [] && $some !== null) + $event->extra;
    }
}
