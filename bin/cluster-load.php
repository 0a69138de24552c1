<?php

declare(strict_types=1);

/*
 * Builders for bin/cluster-test.
 *   cluster-load.php accounts FOLDER          makes ten accounts, and writes down their builds
 *   cluster-load.php run BASE FOLDER          twenty builders at once, until FOLDER/stop is there
 *   cluster-load.php verify FOLDER            holds what they saw against the database; 1 when something is wrong
 *   cluster-load.php answers FILE BUILD...    writes down what the API answers of these builds
 *   cluster-load.php speed BASE COUNT NAME    requests a second and p95, reads and edits 4 : 1
 *   cluster-load.php write BASE COUNT NAME    the same of edits only, one after the other
 *   cluster-load.php commit COUNT             milliseconds of a transaction of one row, one after the other
 */

use App\Mapping\BuildView;
use App\Models\BuildRecord;
use App\Models\User;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Facades\DB;
use Tests\Load\Account;
use Tests\Load\Editor;
use Tests\Load\UnderLoad;
use Tests\Load\Verification;

require __DIR__.'/../vendor/autoload.php';
$boot = static fn () => (require __DIR__.'/../bootstrap/app.php')->make(Kernel::class)->bootstrap();
[, $what, $one, $two, $three] = [...$argv, '', '', '', ''];

switch ($what) {
    case 'accounts':
        $boot();
        file_put_contents("{$one}/accounts.json", json_encode(array_map(Account::make(...), range(0, 9)), JSON_THROW_ON_ERROR));
        break;
    case 'run':
        $accounts = array_map(
            static fn (array $given): Account => new Account($given['email'], $given['builds'], $given['piece'], $given['line']),
            json_decode((string) file_get_contents("{$two}/accounts.json"), true, flags: JSON_THROW_ON_ERROR),
        );
        $children = [];
        for ($number = 0; $number < 20; $number++) {
            $child = pcntl_fork();
            if ($child === 0) {
                try {
                    // Sixteen edit, six accounts of them in two windows; four only read.
                    (new Editor("{$one}/api", $accounts[$number % 10], $number, $two, $number < 16))->run();
                } catch (Throwable $error) {
                    fwrite(STDERR, "builder {$number}: {$error->getMessage()}\n");
                    exit(1);
                }
                exit(0);
            }
            $children[] = $child;
        }
        $failed = 0;
        foreach ($children as $child) {
            pcntl_waitpid($child, $status);
            $failed += pcntl_wexitstatus($status) === 0 && pcntl_wifexited($status) ? 0 : 1;
        }
        exit($failed === 0 ? 0 : 1);
    case 'verify':
        $boot();
        $verification = new Verification($one);
        $verification->againstTheDatabase();
        ksort($verification->answers);
        printf("answers: %s\n", implode(', ', array_map(
            static fn (int|string $status, int $count): string => "{$count} x ".($status === 0 || $status === '0' ? 'cut off' : $status),
            array_keys($verification->answers), $verification->answers,
        )));
        printf("acknowledged: %s\n", implode(', ', array_map(
            static fn (string $kind, int $count): string => "{$count} {$kind}", array_keys($verification->acknowledged), $verification->acknowledged,
        )));
        $kills = [];
        foreach (is_file("{$one}/kills.txt") ? file("{$one}/kills.txt", FILE_IGNORE_NEW_LINES) ?: [] : [] as $line) {
            [$at, $kind] = explode(' ', $line, 2);
            $kills[$kind][] = (float) $at;
        }
        foreach ($kills as $kind => $moments) {
            $silences = $verification->silences($moments, array_merge(...array_values($kills)));
            sort($silences);
            $median = $silences[intdiv(count($silences), 2)];
            printf("%-40s %2d kills; nobody served for %.1f s (median), %.1f s (longest)\n", $kind, count($moments), $median, max($silences));
        }
        $wrong = array_values(array_unique($verification->wrong));
        printf("wrong: %d\n%s", count($wrong), implode('', array_map(static fn (string $one): string => "  {$one}\n", array_slice($wrong, 0, 30))));
        exit($wrong === [] ? 0 : 1);
    case 'answers':
        $boot();
        foreach (array_slice($argv, 3) as $id) {
            $answer = json_encode(BuildView::of(BuildRecord::query()->findOrFail($id)), JSON_PRESERVE_ZERO_FRACTION | JSON_THROW_ON_ERROR);
            file_put_contents($one, "{$answer}\n", FILE_APPEND);
        }
        break;
    case 'speed':
    case 'write':
        $boot();
        $count = (int) $two;
        $accounts = UnderLoad::accounts("{$one}/api", $what === 'speed' ? 8 : 1, "{$what}-{$three}");
        $load = $what === 'speed' ? UnderLoad::mixed("{$one}/api", $accounts) : UnderLoad::edits("{$one}/api", $accounts);
        $load->run($what === 'speed' ? 80 : 10);
        [$times, $rate] = $load->run($count);
        sort($times);
        printf("%.1f %.1f %.1f\n", $rate, $times[intdiv(count($times), 2)], $times[(int) (count($times) * 0.95)]);
        break;
    case 'commit':
        $boot();
        $id = User::shelf()->id;
        $times = [];
        for ($round = 0; $round < (int) $one; $round++) {
            $began = hrtime(true);
            DB::transaction(static fn () => DB::table('users')->where('id', $id)->increment('locks'));
            $times[] = (hrtime(true) - $began) / 1e6;
        }
        sort($times);
        printf("%.2f %.2f\n", $times[intdiv(count($times), 2)], $times[(int) (count($times) * 0.95)]);
        break;
    default:
        fwrite(STDERR, "see the head of bin/cluster-load.php\n");
        exit(2);
}
