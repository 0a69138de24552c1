# Shared by bin/start, bin/test, bin/bench and bin/shots; not run by itself.
# Steps say what they do; what goes wrong is said with what to do about it.

ROOT="$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)"
cd "$ROOT"
DATA="$ROOT/.data"
mkdir -p "$DATA" storage/framework/{cache/data,sessions,views} storage/logs bootstrap/cache

say() { printf '%s\n' "$*"; }
fail() { printf '\nCould not go on: %s\n' "$*" >&2; exit 1; }

APT_PACKAGES=(php8.2-cli php8.2-mysql php8.2-curl php8.2-zip php8.2-gd php8.2-bcmath php8.2-mbstring php8.2-xml php8.2-intl mariadb-server chromium composer unzip)

missing_packages() {
    local missing=()
    command -v php >/dev/null || missing+=(php8.2-cli)
    if command -v php >/dev/null; then
        local modules
        modules="$(php -m | tr '[:upper:]' '[:lower:]')"
        local pair
        for pair in pdo_mysql:mysql curl:curl zip:zip gd:gd bcmath:bcmath mbstring:mbstring dom:xml intl:intl; do
            grep -qx "${pair%%:*}" <<<"$modules" || missing+=("php8.2-${pair##*:}")
        done
    fi
    command -v composer >/dev/null || missing+=(composer unzip)
    [ -x /usr/sbin/mariadbd ] || command -v mariadbd >/dev/null || missing+=(mariadb-server)
    if [ "${1:-}" = with-browser ]; then
        command -v chromium >/dev/null || missing+=(chromium)
    fi
    printf '%s\n' "${missing[@]}"
}

need_packages() {
    local missing
    mapfile -t missing < <(missing_packages "${1:-}" | sed '/^$/d')
    [ "${#missing[@]}" -eq 0 ] && return 0
    if [ "$(id -u)" -ne 0 ]; then
        fail "these Debian packages are missing: ${missing[*]}
    Ask somebody with the rights to run: apt-get update && apt-get install -y ${missing[*]}"
    fi
    command -v apt-get >/dev/null || fail "these are missing and there is no apt-get to install them with: ${missing[*]}"
    say "Installing Debian packages: ${missing[*]}"
    { apt-get update -qq && DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends "${missing[@]}"; } >"$DATA/apt.log" 2>&1 \
        || { tail -20 "$DATA/apt.log" >&2; fail "apt-get did not install them (full log: .data/apt.log)"; }
}

need_node() {
    command -v node >/dev/null && command -v npm >/dev/null || fail "Node.js 20 or newer with npm is needed; install Debian's nodejs and npm, or your own."
    [ "$(node -p 'process.versions.node.split(".")[0]')" -ge 20 ] || fail "Node.js 20 or newer is needed; this is $(node --version)."
}

# Runs a command when the fingerprint of its inputs differs from that of its last success.
when_changed() { # name, inputs..., --, command...
    local name="$1"; shift
    local inputs=()
    while [ "$1" != -- ]; do inputs+=("$1"); shift; done
    shift
    local print
    print="$(find "${inputs[@]}" -type f -print0 2>/dev/null | sort -z | xargs -0 sha256sum | sha256sum)"
    if [ -f "$DATA/$name.done" ] && [ "$(cat "$DATA/$name.done")" = "$print" ]; then return 0; fi
    rm -f "$DATA/$name.done"
    "$@" >"$DATA/$name.log" 2>&1 || { tail -40 "$DATA/$name.log" >&2; fail "$name did not work (full log: .data/$name.log)"; }
    printf '%s' "$print" >"$DATA/$name.done"
}

install_dependencies() {
    [ -f vendor/autoload.php ] || rm -f "$DATA/composer.done"
    [ -d node_modules/vite ] || rm -f "$DATA/npm.done"
    when_changed composer composer.json -- composer update --no-interaction --no-progress --prefer-dist
    when_changed npm package-lock.json -- npm ci --no-audit --no-fund
}

build_front_end() {
    [ -f public/build/manifest.json ] || rm -f "$DATA/build.done"
    when_changed build resources vite.config.ts package-lock.json -- npm run build
}

port_is_free() { ! (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }

free_port() { # first, the port to begin looking at
    local port="$1"
    until port_is_free "$port"; do port=$((port + 1)); done
    printf '%s' "$port"
}

# Stops what an interrupted run left running, if the process is still the one we mean.
stop_left_behind() { # file with the process id, words of its command line
    local pid
    [ -f "$1" ] || return 0
    pid="$(cat "$1")"
    rm -f "$1"
    [ -n "$pid" ] && [ -r "/proc/$pid/cmdline" ] || return 0
    tr '\0' ' ' <"/proc/$pid/cmdline" 2>/dev/null | grep -qF -- "$2" || return 0
    say "Stopping what an earlier run left running"
    kill -TERM -- "-$pid" 2>/dev/null || kill "$pid" 2>/dev/null || true
    for _ in $(seq 150); do kill -0 "$pid" 2>/dev/null || return 0; sleep 0.1; done
    kill -9 "$pid" 2>/dev/null || true
}

# Starts MariaDB on loopback with its own folder; sets DB_PORT and DB_PID. The caller stops it.
start_database() { # folder, first port to try
    local folder="$1" as=() server
    server="$(command -v mariadbd || echo /usr/sbin/mariadbd)"
    [ "$(id -u)" -eq 0 ] && as=(--user=root)
    mkdir -p "$folder"
    stop_left_behind "$folder/pid" "$folder/files"
    if [ ! -f "$folder/ready" ]; then
        rm -rf "$folder/files"
        mariadb-install-db --no-defaults "${as[@]}" --datadir="$folder/files" --auth-root-authentication-method=normal --skip-test-db >"$folder/install.log" 2>&1 \
            || { tail -20 "$folder/install.log" >&2; fail "MariaDB could not make its data folder (full log: $folder/install.log)"; }
        touch "$folder/ready"
    fi
    DB_PORT="$(free_port "$2")"
    # Short path: a socket's name may not be longer than 107 bytes.
    DB_SOCKET="$(mktemp -u /tmp/pocketplot-XXXXXX.sock)"
    "$server" --no-defaults "${as[@]}" --datadir="$folder/files" --bind-address=127.0.0.1 --port="$DB_PORT" --socket="$DB_SOCKET" \
        --pid-file="$folder/pid" --skip-log-bin --character-set-server=utf8mb4 --collation-server=utf8mb4_unicode_ci \
        --innodb-flush-log-at-trx-commit="${DB_FLUSH:-1}" --innodb-buffer-pool-size=128M >"$folder/server.log" 2>&1 &
    DB_PID=$!
    for _ in $(seq 300); do
        [ -S "$DB_SOCKET" ] && mariadb-admin --no-defaults -u root --socket="$DB_SOCKET" ping >/dev/null 2>&1 && return 0
        kill -0 "$DB_PID" 2>/dev/null || break
        sleep 0.1
    done
    tail -20 "$folder/server.log" >&2
    fail "MariaDB did not start (full log: $folder/server.log)"
}

make_database() { # name, user, password
    mariadb --no-defaults -u root --socket="$DB_SOCKET" <<SQL || fail "the database could not be set up"
create database if not exists \`$1\` character set utf8mb4 collate utf8mb4_unicode_ci;
create user if not exists '$2'@'127.0.0.1' identified by '$3';
create user if not exists '$2'@'localhost' identified by '$3';
alter user '$2'@'127.0.0.1' identified by '$3';
alter user '$2'@'localhost' identified by '$3';
grant all on \`$1\`.* to '$2'@'127.0.0.1';
grant all on \`$1\`.* to '$2'@'localhost';
flush privileges;
SQL
}

stop_database() {
    [ -n "${DB_PID:-}" ] || return 0
    kill "$DB_PID" 2>/dev/null || true
    wait "$DB_PID" 2>/dev/null || true
    DB_PID=
}

PHP_SERVE=(php -d opcache.enable=1 -d opcache.enable_cli=1 -d opcache.validate_timestamps=1 -d opcache.revalidate_freq=2 -d memory_limit=256M -d post_max_size=14M)

# Starts PHP's own server; sets WEB_PID.
start_web() { # port, log
    PHP_CLI_SERVER_WORKERS=4 setsid "${PHP_SERVE[@]}" -S "127.0.0.1:$1" -t public bin/router.php >"$2" 2>&1 &
    WEB_PID=$!
    for _ in $(seq 150); do
        curl -fs -o /dev/null "http://127.0.0.1:$1/api/session" && return 0
        kill -0 "$WEB_PID" 2>/dev/null || break
        sleep 0.1
    done
    tail -5 "$2" >&2
    grep -ahE '^\[.*(ERROR|CRITICAL)' storage/logs/pocketplot.log 2>/dev/null | tail -1 | cut -c1-600 >&2 || true
    fail "the server did not answer on port $1 (full log: $2)"
}

stop_web() {
    [ -n "${WEB_PID:-}" ] || return 0
    # The whole group: the server and its workers.
    kill -TERM -- "-$WEB_PID" 2>/dev/null || kill "$WEB_PID" 2>/dev/null || true
    wait "$WEB_PID" 2>/dev/null || true
    WEB_PID=
}
