# Shared by bin/start, bin/test, bin/bench and bin/shots; not run by itself.
# Steps say what they do; what goes wrong is said with what to do about it.

ROOT="$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)"
cd "$ROOT"
DATA="${POCKETPLOT_DATA:-$ROOT/.data}"
mkdir -p "$DATA"
# Passwords, sessions and everybody's builds: nobody else on the machine looks in. Root's database runs under an
# account of its own, which has to pass through.
if [ "$(id -u)" -eq 0 ]; then chmod 0711 "$DATA"; else chmod 0700 "$DATA"; fi
mkdir -p storage/framework/{cache/data,sessions,views} storage/logs bootstrap/cache

chmod 0700 storage/framework/{cache/data,sessions} storage/logs

say() { printf '%s\n' "$*"; }
fail() { printf '\nCould not go on: %s\n' "$*" >&2; exit 1; }

APT_PACKAGES=(php8.2-cli php8.2-mysql php8.2-curl php8.2-zip php8.2-gd php8.2-bcmath php8.2-mbstring php8.2-xml php8.2-intl
    mariadb-server chromium composer unzip)

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
    # The tests hold baskets against another solver.
    if [ "${2:-}" = with-solver ]; then
        command -v glpsol >/dev/null || missing+=(glpk-utils)
        command -v openscad >/dev/null || missing+=(openscad)
    fi
    printf '%s\n' "${missing[@]}"
}

need_packages() {
    local missing
    mapfile -t missing < <(missing_packages "$@" | sed '/^$/d')
    need_these "${missing[@]}"
}

# Installs Debian packages, or says who can.
need_these() { # packages...
    [ $# -eq 0 ] && return 0
    if [ "$(id -u)" -ne 0 ]; then
        fail "these Debian packages are missing: $*
    Ask somebody with the rights to run: apt-get update && apt-get install -y $*"
    fi
    command -v apt-get >/dev/null || fail "these are missing and there is no apt-get to install them with: $*"
    say "Installing Debian packages: $*"
    { apt-get update -qq && DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends "$@"; } >"$DATA/apt.log" 2>&1 \
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

# The account that the database runs under: one's own, and one of its own where that would be root.
database_owner() {
    if [ "$(id -u)" -ne 0 ]; then id -un; return; fi
    id -u pocketplot-db >/dev/null 2>&1 || useradd --system --no-create-home --home-dir /nonexistent --shell /usr/sbin/nologin pocketplot-db >/dev/null 2>&1 \
        || fail "no account \"pocketplot-db\" could be made for the database, and it never runs as root. Make one: useradd --system pocketplot-db"
    printf pocketplot-db
}

# Whether an account may go through every folder above this one.
can_reach() { # account, folder
    [ "$(id -u)" -ne 0 ] || runuser -u "$1" -- test -x "$2" 2>/dev/null
}

# Where the database's files lie: in the project, or, where its own account may not go there, beside other services' data.
database_folder() { # name
    local owner folder="$DATA/$1"
    owner="$(database_owner)"
    mkdir -p "$folder"
    if [ "$(id -u)" -eq 0 ]; then
        chmod 0711 "$DATA"
        if ! can_reach "$owner" "$folder"; then
            folder="/var/lib/pocketplot/$(printf %s "$ROOT" | sha256sum | cut -c1-12)/$1"
            mkdir -p "$folder"
            chmod 0711 /var/lib/pocketplot "$(dirname "$folder")"
            # What an older version kept in the project moves along.
            [ ! -f "$DATA/$1/ready" ] || [ -f "$folder/ready" ] || mv "$DATA/$1"/* "$folder"/
            rmdir "$DATA/$1" 2>/dev/null || true
        fi
        chown "$owner" "$folder"
    fi
    chmod 0700 "$folder"
    printf %s "$folder"
}

# Starts MariaDB on loopback with its own folder; sets DB_PORT, DB_SOCKET and DB_PID. The caller stops it.
# Only the account that starts it is its administrator, by the socket and without a password; by TCP there is
# only the application's own user. Nobody reads or writes files through it.
start_database() { # folder, first port to try
    local folder="$1" owner admin server as=()
    server="$(command -v mariadbd || echo /usr/sbin/mariadbd)"
    owner="$(database_owner)"
    admin="$(id -un)"
    [ "$(id -u)" -eq 0 ] && as=(--user="$owner")
    stop_left_behind "$folder/files.pid" "$folder/files"
    stop_left_behind "$folder/pid" "$folder/files"
    if [ ! -f "$folder/ready" ]; then
        rm -rf "$folder/files"
        mariadb-install-db --no-defaults "${as[@]}" --datadir="$folder/files" \
            --auth-root-authentication-method=socket --auth-root-socket-user="$admin" --skip-test-db >"$folder/install.log" 2>&1 \
            || { tail -20 "$folder/install.log" >&2; fail "MariaDB could not make its data folder (full log: $folder/install.log)"; }
        touch "$folder/ready"
    fi
    mkdir -p "$folder/files" "$folder/nowhere"
    # Run before anybody can come in, at every start: folders made by an older version had a root without a password.
    cat >"$folder/lock-up.sql" <<SQL
delete from mysql.global_priv where not (User in ('mariadb.sys', 'PUBLIC') or User = 'pocketplot' or (User = '$admin' and Host = 'localhost'));
delete from mysql.db where User not in ('mariadb.sys', 'PUBLIC', 'pocketplot');
flush privileges;
create user if not exists '$admin'@'localhost' identified via unix_socket;
alter user '$admin'@'localhost' identified via unix_socket;
grant all on *.* to '$admin'@'localhost' with grant option;
flush privileges;
SQL
    chmod 0600 "$folder"/*.sql "$folder"/*.log 2>/dev/null || true
    [ "$(id -u)" -ne 0 ] || chown -R "$owner" "$folder"
    chmod 0700 "$folder" "$folder/files" "$folder/nowhere"
    DB_PORT="$(free_port "$2")"
    # In /tmp, for a socket's name may not be longer than 107 bytes; in a folder that only its owner enters.
    DB_SOCKETS="$(mktemp -d /tmp/pocketplot-XXXXXX)"
    chmod 0700 "$DB_SOCKETS"
    [ "$(id -u)" -ne 0 ] || chown "$owner" "$DB_SOCKETS"
    DB_SOCKET="$DB_SOCKETS/db.sock"
    "$server" --no-defaults "${as[@]}" --datadir="$folder/files" --bind-address=127.0.0.1 --port="$DB_PORT" --socket="$DB_SOCKET" --skip-name-resolve \
        --init-file="$folder/lock-up.sql" --secure-file-priv="$folder/nowhere" --local-infile=0 --skip-symbolic-links \
        --pid-file="$folder/pid" --skip-log-bin --character-set-server=utf8mb4 --collation-server=utf8mb4_unicode_ci \
        --innodb-flush-log-at-trx-commit="${DB_FLUSH:-1}" --innodb-buffer-pool-size=128M --max-allowed-packet=64M >"$folder/server.log" 2>&1 &
    DB_PID=$!
    for _ in $(seq 600); do
        [ -S "$DB_SOCKET" ] && mariadb-admin --no-defaults -u "$admin" --socket="$DB_SOCKET" ping >/dev/null 2>&1 && return 0
        kill -0 "$DB_PID" 2>/dev/null || break
        sleep 0.1
    done
    tail -20 "$folder/server.log" >&2
    fail "MariaDB did not start (full log: $folder/server.log)"
}

make_database() { # name, user, password
    mariadb --no-defaults -u "$(id -un)" --socket="$DB_SOCKET" <<SQL || fail "the database could not be set up"
create database if not exists \`$1\` character set utf8mb4 collate utf8mb4_unicode_ci;
create user if not exists '$2'@'127.0.0.1' identified by '$3';
alter user '$2'@'127.0.0.1' identified by '$3';
drop user if exists '$2'@'localhost';
revoke all privileges, grant option from '$2'@'127.0.0.1';
grant select, insert, update, delete, create, drop, alter, index, references, lock tables on \`$1\`.* to '$2'@'127.0.0.1';
flush privileges;
SQL
}

stop_database() {
    [ -n "${DB_PID:-}" ] || return 0
    kill "$DB_PID" 2>/dev/null || true
    wait "$DB_PID" 2>/dev/null || true
    DB_PID=
    rm -rf "${DB_SOCKETS:-}"
}

PHP_SERVE=(php -d opcache.enable=1 -d opcache.enable_cli=1 -d opcache.validate_timestamps=1 -d opcache.revalidate_freq=2
    -d memory_limit=256M -d post_max_size=40M -d expose_php=0 -d display_errors=0 -d log_errors=1)

# Starts PHP's own server; sets WEB_PID.
start_web() { # port, log
    (umask 077; PHP_CLI_SERVER_WORKERS=4 exec setsid "${PHP_SERVE[@]}" -S "127.0.0.1:$1" -t public bin/router.php >"$2" 2>&1) &
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

# Says what is wrong with a settings file before anything trips over it.
check_env() { # file
    local line number=0 name value
    ! grep -q $'\r' "$1" || fail "$1 has line ends of another system. Mend it: sed -i 's/\r\$//' $1"
    while IFS= read -r line || [ -n "$line" ]; do
        number=$((number + 1))
        [[ "$line" =~ ^[[:space:]]*(#|$) ]] && continue
        [[ "$line" =~ ^[[:space:]]*(export[[:space:]]+)?([A-Za-z_][A-Za-z0-9_]*)=(.*)$ ]] \
            || fail "$1, line $number: \"${line%%=*}\" is no setting. Write NAME=value, one a line."
        name="${BASH_REMATCH[2]}" value="${BASH_REMATCH[3]}"
        case "$value" in
            \"*) [[ "$value" =~ ^\"([^\"\\]|\\.)*\"[[:space:]]*(#.*)?$ ]] \
                || fail "$1, line $number: the quotes of $name are not closed, or something stands behind them." ;;
            \'*) [[ "$value" =~ ^\'[^\']*\'[[:space:]]*(#.*)?$ ]] \
                || fail "$1, line $number: the quotes of $name are not closed, or something stands behind them." ;;
            *[[:space:]]*) [[ "$value" =~ ^[^[:space:]]*[[:space:]]*(#.*)?$ ]] \
                || fail "$1, line $number: the value of $name holds a space. Put it in quotes: $name=\"$value\"" ;;
        esac
    done <"$1"
    for name in APP_KEY DB_PASSWORD DB_DATABASE DB_USERNAME; do
        [ "$(grep -c "^$name=" "$1")" -eq 1 ] || fail "$1: $name has to stand there once. Compare it with .env.example."
    done
}

# The value of a setting, without quotes or remark.
env_value() { # file, name
    sed -n "s/^$2=//p" "$1" | sed -E "s/^\"(.*)\"[[:space:]]*(#.*)?\$/\1/; t; s/^'(.*)'[[:space:]]*(#.*)?\$/\1/; t; s/[[:space:]]*#.*\$//"
}

# Makes what is missing of the settings, readable by their owner only.
make_env() {
    (umask 077; [ -f .env ] || cp .env.example .env)
    chmod 0600 .env
    check_env .env
    [ -n "$(env_value .env APP_KEY)" ] || sed -i "s|^APP_KEY=.*|APP_KEY=base64:$(head -c 32 /dev/urandom | base64)|" .env
    [ -n "$(env_value .env DB_PASSWORD)" ] || sed -i "s|^DB_PASSWORD=.*|DB_PASSWORD=$(head -c 24 /dev/urandom | base64 | tr -dc 'A-Za-z0-9')|" .env
    local key
    key="$(env_value .env APP_KEY)"
    [ "$(printf %s "${key#base64:}" | base64 -d 2>/dev/null | wc -c)" -eq 32 ] && [[ "$key" == base64:* ]] \
        || fail ".env: APP_KEY is no key of 32 bytes. Empty it (APP_KEY=) and a new one is made; everybody signs in anew then."
    [[ "$(env_value .env DB_PASSWORD)" =~ ^[A-Za-z0-9._-]+$ ]] \
        || fail ".env: DB_PASSWORD may hold letters, figures, points and dashes only. Empty it (DB_PASSWORD=) and a new one is made."
    [[ "$(env_value .env DB_DATABASE)" =~ ^[A-Za-z0-9_]+$ ]] && [[ "$(env_value .env DB_USERNAME)" =~ ^[A-Za-z0-9_]+$ ]] \
        || fail ".env: DB_DATABASE and DB_USERNAME may hold letters, figures and underlines only."
}

# The key of the demo door: whoever reads it here may come in without an account.
door_key() {
    [ -s "$DATA/door-key" ] || (umask 077; head -c 18 /dev/urandom | base64 | tr -dc 'A-Za-z0-9' >"$DATA/door-key")
    chmod 0600 "$DATA/door-key"
    cat "$DATA/door-key"
}

# Waits until the server or its database ends, and says which it was.
watch_both() {
    wait -n "$WEB_PID" "$DB_PID" || true
    if ! kill -0 "$DB_PID" 2>/dev/null; then
        tail -5 "$DB_FOLDER/server.log" >&2 || true
        fail "the database stopped by itself (full log: $DB_FOLDER/server.log). Nothing that was acknowledged is lost; start again with bin/start."
    fi
    tail -5 "$DATA/web.log" >&2 || true
    fail "the server stopped by itself (full log: .data/web.log). Start again with bin/start."
}
