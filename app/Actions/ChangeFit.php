<?php

declare(strict_types=1);

namespace App\Actions;

use App\Mapping\BuildMapper;
use App\Models\BuildRecord;
use Illuminate\Validation\ValidationException;
use PocketPlot\Build\FitAim;
use PocketPlot\Build\FitPlan;
use PocketPlot\Build\Pose;
use PocketPlot\Facts\Facts;
use PocketPlot\File\BadFile;
use PocketPlot\File\Fields;
use PocketPlot\File\FitFile;
use PocketPlot\Fit\Turn;

/** Puts, turns, pins and frees pieces, takes an arrangement, says what it shall be least of. */
final class ChangeFit
{
    /**
     * @param  array<string, mixed>  $given
     *
     * @throws ValidationException
     */
    public static function in(BuildRecord $build, string $did, array $given): void
    {
        try {
            $plan = FitFile::read(new Fields($build->fit ?? [], 'fit'));
            $changed = self::changed($plan, $did, new Fields(array_filter($given, static fn (mixed $value): bool => $value !== null), ''), $build);
            // Read back, so that what cannot be is refused here and not at the next look.
            $build->fit = FitFile::document(FitFile::read(new Fields(FitFile::document($changed), 'fit'))) ?: null;
        } catch (BadFile $bad) {
            throw Complaint::about($bad, 'fit');
        }
    }

    /** A part that takes another one's line has to find its own place; what is pinned stays. */
    public static function freed(BuildRecord $build, string $line): void
    {
        if ($build->fit !== null) {
            $build->fit = FitFile::document(FitFile::read(new Fields($build->fit, 'fit'))->freed($line)) ?: null;
        }
    }

    /** @throws BadFile|ValidationException */
    private static function changed(FitPlan $plan, string $did, Fields $given, BuildRecord $build): FitPlan
    {
        return match ($did) {
            'put' => self::put($plan, $given, $build),
            'turn' => self::turn($plan, $given),
            'pin' => $plan->withPose(self::pose($plan, $given)->pinned($given->bool('pinned', true))),
            'out' => $plan->with(['poses' => array_diff_key($plan->poses, [self::pose($plan, $given)->key() => true])]),
            'take' => self::take($plan, $given),
            'clear' => $plan->with(['poses' => $given->bool('all', true) ? [] : $plan->pinned()]),
            'aim' => $plan->with(['aim' => $given->oneOf('aim', FitAim::class, $plan->aim)]),
            'split' => self::split($plan, $given),
            default => throw ValidationException::withMessages(['did' => 'This cannot be done with an arrangement.']),
        };
    }

    /** @throws BadFile|ValidationException */
    private static function put(FitPlan $plan, Fields $given, BuildRecord $build): FitPlan
    {
        $line = $given->string('line');
        if (! $build->lines()->where('key', $line)->exists()) {
            throw ValidationException::withMessages(['line' => 'This line is not on the list (any more). Load the page anew.']);
        }
        $was = $plan->pose($line, $given->int('piece', 1));
        $turn = $given->string('turn', $was === null ? 'lwh' : $was->turn);
        $pose = FitFile::pose(new Fields([
            'line' => $line, 'piece' => $given->int('piece', 1), 'xMm' => $given->number('xMm'), 'yMm' => $given->number('yMm'), 'zMm' => $given->number('zMm'),
            'turn' => $turn, 'pinned' => $given->bool('pinned', $was?->isPinned === true),
        ], ''));

        return self::withinCorner($plan->withPose($pose), $build);
    }

    /** A body that is still to be drawn grows to the left and up as well: then everything else moves on instead. */
    private static function withinCorner(FitPlan $plan, BuildRecord $build): FitPlan
    {
        if (! $plan->reachesOut()) {
            return $plan;
        }
        $core = BuildMapper::toCore($build->load(BuildMapper::RELATIONS));

        return (new Facts($core))->bodyLine()?->part->body?->drawn === true ? $plan->withinCorner() : $plan;
    }

    /** @throws BadFile|ValidationException */
    private static function turn(FitPlan $plan, Fields $given): FitPlan
    {
        $pose = self::pose($plan, $given);
        $turn = Turn::of($pose->turn)->quarter($given->string('view', 'face'));

        return $plan->withPose(new Pose($pose->line, $pose->piece, $pose->xMm, $pose->yMm, $pose->zMm, $turn->code, $pose->isPinned, $pose->extra));
    }

    /** @throws BadFile */
    private static function take(FitPlan $plan, Fields $given): FitPlan
    {
        $poses = [];
        foreach ($given->children('poses') as $one) {
            $pose = FitFile::pose($one);
            // What the builder pinned stays where it is, whatever was found meanwhile.
            $was = $plan->poses[$pose->key()] ?? null;
            $poses[$pose->key()] = $was?->isPinned === true ? $was : $pose;
        }

        return $plan->with(['poses' => $poses + $plan->pinned(), 'split' => $given->has('split') ? $given->strings('split') : $plan->split]);
    }

    /** @throws BadFile */
    private static function split(FitPlan $plan, Fields $given): FitPlan
    {
        $line = $given->string('line');
        $split = $given->bool('on', true) ? array_values(array_unique([...$plan->split, $line])) : array_values(array_diff($plan->split, [$line]));

        // Its pieces are others now.
        return $plan->with(['split' => $split, 'poses' => array_filter($plan->poses, static fn (Pose $pose): bool => $pose->line !== $line)]);
    }

    /** @throws ValidationException|BadFile */
    private static function pose(FitPlan $plan, Fields $given): Pose
    {
        return $plan->pose($given->string('line'), $given->int('piece', 1))
            ?? throw ValidationException::withMessages(['line' => 'This piece has no place (any more). Load the page anew.']);
    }
}
