<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Mapping\BuildCards;
use App\Mapping\BuildMapper;
use App\Mapping\UnreadableBuild;
use App\Models\BuildRecord;
use Illuminate\Console\Command;
use PocketPlot\Appraisal;
use PocketPlot\Quantity\Day;

/** For after a restore or an update: appraises every build that is kept, and holds each against the card that was written with its last edit. */
final class RecheckCards extends Command
{
    protected $signature = 'plot:recheck {--quiet-fits : say nothing of each build that is as it was}';

    protected $description = 'Appraise every kept build anew and hold it against its card: 0 all as they were, 1 some are not';

    public function handle(): int
    {
        $counts = ['same' => 0, 'other' => 0, 'unreadable' => 0, 'old' => 0];
        $rules = self::rulesOf(BuildCards::made());
        foreach (BuildRecord::query()->with(BuildMapper::RELATIONS)->lazyById(50) as $build) {
            $result = $this->one($build, $rules);
            $counts[$result]++;
            if ($result !== 'same' || $this->option('quiet-fits') !== true) {
                $this->line("{$result}: {$build->id}, version {$build->version}");
            }
        }
        $this->line("{$counts['same']} as they were, {$counts['other']} not, {$counts['unreadable']} that cannot be read, {$counts['old']} whose card is of other rules or was never made");

        return $counts['other'] + $counts['unreadable'] === 0 ? 0 : 1;
    }

    /** @return 'same'|'other'|'unreadable'|'old' */
    private function one(BuildRecord $build, string $rules): string
    {
        if ($build->card === null || self::rulesOf($build->card_made) !== $rules) {
            return 'old';
        }
        try {
            // As of the day on which the card was written.
            $card = BuildCards::says(Appraisal::of(BuildMapper::toCore($build), Day::of(explode(' ', $build->card_made)[0])));
        } catch (UnreadableBuild) {
            return 'unreadable';
        }

        // As it comes back out of the database.
        return json_decode((string) json_encode($card, JSON_PRESERVE_ZERO_FRACTION), true) == $build->card ? 'same' : 'other';
    }

    private static function rulesOf(string $made): string
    {
        return explode(' ', "{$made} ")[1];
    }
}
