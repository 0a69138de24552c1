<?php

declare(strict_types=1);

namespace PocketPlot\File;

use PocketPlot\Build\FitAim;
use PocketPlot\Build\FitPlan;
use PocketPlot\Build\Pose;
use PocketPlot\Fit\Turn;

/** Places of the pieces in the body, as files and rows keep them. */
final class FitFile
{
    private const KEYS = ['poses', 'aim', 'split'];

    private const POSE_KEYS = ['line', 'piece', 'xMm', 'yMm', 'zMm', 'turn', 'pinned'];

    /** @throws BadFile naming the field */
    public static function read(Fields $fit): FitPlan
    {
        $poses = [];
        foreach ($fit->children('poses') as $one) {
            $pose = self::pose($one);
            if (isset($poses[$pose->key()])) {
                throw BadFile::at($one->path, "is a second place for piece {$pose->piece} of \"{$pose->line}\"", 'keep one of them');
            }
            $poses[$pose->key()] = $pose;
        }

        return new FitPlan($poses, $fit->oneOf('aim', FitAim::class, FitAim::Thickness), $fit->strings('split'), $fit->rest(self::KEYS));
    }

    /** @throws BadFile */
    public static function pose(Fields $one): Pose
    {
        $turn = $one->string('turn', 'lwh');
        if (! Turn::isCode($turn)) {
            throw BadFile::at(
                "{$one->path}/turn",
                "\"{$turn}\" is none of the 24 turns",
                'write which own axes lie along those of the body, such as "lwh" or "-wlh"',
            );
        }
        $at = [];
        foreach (['xMm', 'yMm', 'zMm'] as $key) {
            $mm = $one->number($key) ?? throw BadFile::at("{$one->path}/{$key}", 'is missing', 'write millimetres from the front top left corner');
            if (abs($mm) > Pose::MOST_MM) {
                throw BadFile::at(
                    "{$one->path}/{$key}",
                    'is farther out than five metres',
                    'write millimetres from the front top left corner of the room inside',
                );
            }
            $at[] = $mm;
        }

        return new Pose($one->string('line'), $one->atLeastOne('piece', 1), $at[0], $at[1], $at[2], $turn, $one->bool('pinned'), $one->rest(self::POSE_KEYS));
    }

    /** @return array<string, mixed> empty where nothing lies anywhere */
    public static function document(FitPlan $fit): array
    {
        return array_filter([
            'poses' => array_map(self::poseDocument(...), array_values($fit->poses)),
            'aim' => $fit->aim === FitAim::Thickness ? null : $fit->aim->value,
            'split' => $fit->split,
        ], static fn (mixed $some): bool => $some !== [] && $some !== null) + $fit->extra;
    }

    /** @return array<string, mixed> */
    public static function poseDocument(Pose $pose): array
    {
        return ['line' => $pose->line, 'piece' => $pose->piece, 'xMm' => round($pose->xMm, 2), 'yMm' => round($pose->yMm, 2), 'zMm' => round($pose->zMm, 2)]
            + ($pose->turn === 'lwh' ? [] : ['turn' => $pose->turn]) + ($pose->isPinned ? ['pinned' => true] : []) + $pose->extra;
    }
}
