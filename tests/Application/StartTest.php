<?php

declare(strict_types=1);

use App\Actions\StartBuild;
use App\Models\BuildRecord;
use App\Models\PartRecord;
use App\Models\User;
use App\Models\VendorRecord;
use Database\Seeders\DatabaseSeeder;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Symfony\Component\Process\Process;

/** Runs lines of bash with the project's own functions at hand, in a data folder of the test's own. */
function bash(string $lines, string $data): Process
{
    // The environment of the tests' own database is none of theirs.
    $process = new Process(['bash', '-c', "set -euo pipefail\nsource bin/common.sh\n{$lines}"], base_path(), ['POCKETPLOT_DATA' => $data, 'DB_SOCKET' => false, 'DB_PORT' => false], null, 300);
    $process->run();

    return $process;
}

beforeEach(function (): void {
    $this->data = sys_get_temp_dir().'/pocketplot-test-'.bin2hex(random_bytes(6));
    File::makeDirectory($this->data, 0711);
    $this->env = "{$this->data}/env";
});

afterEach(function (): void {
    File::deleteDirectory($this->data);
});

it('starts a database that lets in nobody but its owner and the application, also over a folder of an older version', function (): void {
    $said = bash(<<<'BASH'
        folder="$(database_folder old)"
        # As older versions made it: an administrator without a password, by TCP as well.
        as=(); [ "$(id -u)" -eq 0 ] && as=(--user="$(database_owner)")
        mariadb-install-db --no-defaults "${as[@]}" --datadir="$folder/files" --auth-root-authentication-method=normal >"$folder/install.log" 2>&1
        touch "$folder/ready"
        start_database "$folder" 14106
        trap stop_database EXIT
        make_database kept pocketplot right-password
        tcp() { mariadb --no-defaults --protocol=TCP -h 127.0.0.1 -P "$DB_PORT" "$@" 2>&1; }
        app() { tcp -u pocketplot -pright-password kept "$@"; }
        for user in root "$(id -un)" mysql pocketplot ''; do
            tcp -u "$user" -N -e 'select "in"' | grep -qx in && echo "open by TCP: $user"
        done
        app -N -e 'select "application in"'
        app -e 'select 1 into outfile "/tmp/pocketplot-out"' | grep -oE 'Access denied|secure' | head -1 || true
        app -N -e 'select coalesce(load_file("/etc/passwd"), "reads no files")'
        app -N -e 'select count(*) from mysql.global_priv' | grep -oE 'denied' | head -1 || true
        app -e 'create user x@localhost' | grep -oE 'denied' | head -1 || true
        mariadb --no-defaults -u "$(id -un)" --socket="$DB_SOCKET" -N -e 'select 1 into outfile "/tmp/pocketplot-out"' 2>&1 | grep -oE 'secure-file-priv' || true
        mariadb --no-defaults -u "$(id -un)" --socket="$DB_SOCKET" -N -e "select concat('account ', User, '@', Host) from mysql.global_priv where User not in ('mariadb.sys', 'PUBLIC', '$(id -un)') order by 1"
        echo "runs as root: $([ "$(stat -c %U "/proc/$DB_PID")" = root ] && echo yes || echo no)"
        echo "socket folder $(stat -c %a "$DB_SOCKETS"), data $(stat -c %a "$folder"), files $(stat -c %a "$folder/files")"
        BASH, $this->data);
    expect($said->getExitCode())->toBe(0, $said->getErrorOutput())->and(explode("\n", trim($said->getOutput())))->toBe([
        'application in', 'Access denied', 'reads no files', 'denied', 'denied', 'secure-file-priv', 'account pocketplot@127.0.0.1', 'runs as root: no', 'socket folder 700, data 700, files 700',
    ])->and(File::exists('/tmp/pocketplot-out'))->toBeFalse();
});

describe('settings', function (): void {
    it('that are wrong are named, with their line and what would be right', function (string $text, string $says): void {
        File::put($this->env, $text);
        $said = bash('check_env "$DATA/env"', $this->data);
        expect($said->getExitCode())->toBe(1)->and($said->getErrorOutput())->toContain($says);
    })->with([
        'line ends of another system' => ["APP_KEY=x\r\nDB_PASSWORD=y\r\n", 'line ends of another system'],
        'no setting at all' => ["APP_KEY=x\njust words\n", 'line 2: "just words" is no setting'],
        'quotes left open' => ["APP_KEY=\"abc\n", 'line 1: the quotes of APP_KEY are not closed'],
        'single quotes left open' => ["APP_KEY='abc\n", 'line 1: the quotes of APP_KEY are not closed'],
        'a space without quotes' => ["APP_NAME=Pocket Plot\n", 'line 1: the value of APP_NAME holds a space. Put it in quotes'],
        'a missing key' => ["APP_NAME=x\nDB_PASSWORD=y\nDB_DATABASE=z\nDB_USERNAME=u\n", 'APP_KEY has to stand there once'],
        'a key twice' => ["APP_KEY=a\nAPP_KEY=b\nDB_PASSWORD=y\nDB_DATABASE=z\nDB_USERNAME=u\n", 'APP_KEY has to stand there once'],
    ]);

    it('of all the right forms are taken, and read', function (): void {
        File::put($this->env, "# a remark\n\nexport APP_NAME=\"Pocket Plot\" # why\nAPP_KEY=base64:abc=\nDB_PASSWORD='p w'\nDB_DATABASE=z # here\nDB_USERNAME=u");
        $said = bash('check_env "$DATA/env"; for name in APP_KEY DB_PASSWORD DB_DATABASE DB_USERNAME; do env_value "$DATA/env" $name; done', $this->data);
        expect($said->getErrorOutput())->toBe('')->and(explode("\n", trim($said->getOutput())))->toBe(['base64:abc=', 'p w', 'z', 'u']);
    });

    it('are made for their owner only, once', function (): void {
        $said = bash('cp .env.example "$DATA/.env.example"; cd "$DATA"; make_env; stat -c %a .env; first="$(cat .env)"; make_env; [ "$first" = "$(cat .env)" ] && echo same; chmod 644 .env; make_env; stat -c %a .env; door_key >/dev/null; stat -c %a door-key', $this->data);
        expect($said->getErrorOutput())->toBe('')->and(explode("\n", trim($said->getOutput())))->toBe(['600', 'same', '600', '600']);
    });

    it('with a key that is none are refused', function (string $key): void {
        $said = bash("cp .env.example \"\$DATA/.env.example\"; cd \"\$DATA\"; make_env; sed -i 's|^APP_KEY=.*|APP_KEY={$key}|' .env; make_env", $this->data);
        expect($said->getExitCode())->toBe(1)->and($said->getErrorOutput())->toContain('APP_KEY is no key of 32 bytes');
    })->with(['short', 'base64:c2hvcnQ=', 'base64:####']);
});

it('says which of the two it was when server or database end by themselves', function (string $which, string $says): void {
    $said = bash("DB_FOLDER=\"\$DATA\"; sleep 60 & DB_PID=\$!; sleep 60 & WEB_PID=\$!; trap 'kill \$DB_PID \$WEB_PID 2>/dev/null || true' EXIT; kill \${$which}; watch_both", $this->data);
    expect($said->getExitCode())->toBe(1)->and($said->getErrorOutput())->toContain($says);
})->with([['DB_PID', 'the database stopped by itself'], ['WEB_PID', 'the server stopped by itself']]);

it('clears the shelf of what it no longer has, and of nothing that is a builder\'s own', function (): void {
    $shelf = User::shelf();
    $builder = $this->builder();
    $spec = ['id' => 'panel-of-old', 'name' => 'Panel of old', 'role' => 'display'];
    $of = static fn (User $user): array => ['user_id' => $user->id, 'key' => $spec['id'], 'name' => $spec['name'], 'role' => 'display', 'maker' => '', 'summary' => '', 'spec' => $spec];
    $old = PartRecord::query()->create($of($shelf));
    PartRecord::query()->create($of($builder));
    VendorRecord::query()->create(['user_id' => $shelf->id, 'name' => 'Vendor of old', 'currency' => 'EUR', 'lead_days' => 3, 'note' => '']);
    $this->actingAs($builder);
    $build = StartBuild::fromDemo($builder, 'thimble', null);
    $this->postJson("/api/builds/{$build->id}/lines", ['version' => $build->version, 'part' => $old->id, 'role' => 'display'])->assertOk();
    $there = PartRecord::query()->where('user_id', $shelf->id)->count();
    $this->seed(DatabaseSeeder::class);
    expect(PartRecord::query()->where('user_id', $shelf->id)->count())->toBe($there - 1)
        ->and(PartRecord::query()->where('key', 'panel-of-old')->pluck('user_id')->all())->toBe([$builder->id])
        ->and(VendorRecord::query()->where('name', 'Vendor of old')->exists())->toBeFalse()
        ->and(array_column($this->getJson("/api/builds/{$build->id}")->json('lines.*.part'), 'name'))->toContain('Panel of old');
});

describe('a start that is killed while it loads the demo', function (): void {
    it('leaves nothing half, and the next one goes on', function (): void {
        $demo = User::query()->where('email', config('pocketplot.demo_email'))->sole();
        BuildRecord::withTrashed()->where('user_id', $demo->id)->forceDelete();
        $demo->delete();
        $inserts = 0;
        $breakAt = 30;
        DB::listen(static function ($query) use (&$inserts, &$breakAt): void {
            if (str_starts_with($query->sql, 'insert into `build_') && ++$inserts === $breakAt) {
                throw new RuntimeException('killed');
            }
        });
        expect(fn () => $this->seed(DatabaseSeeder::class))->toThrow(RuntimeException::class);
        expect(User::query()->where('email', config('pocketplot.demo_email'))->exists())->toBeFalse();
        $breakAt = null;
        $this->seed(DatabaseSeeder::class);
        expect(User::query()->where('email', config('pocketplot.demo_email'))->sole()->builds()->count())->toBe(3);
        // Once more changes nothing.
        $this->seed(DatabaseSeeder::class);
        expect(User::query()->where('email', config('pocketplot.demo_email'))->sole()->builds()->count())->toBe(3);
    });

    it('is mended where an older version left a demo builder without builds', function (): void {
        $demo = User::query()->where('email', config('pocketplot.demo_email'))->sole();
        BuildRecord::withTrashed()->where('user_id', $demo->id)->forceDelete();
        $this->seed(DatabaseSeeder::class);
        expect($demo->builds()->count())->toBe(3)->and(PartRecord::query()->where('user_id', User::shelf()->id)->count())->toBeGreaterThan(300);
    });
});
