# Shared by bin/cluster and bin/cluster-test; not run by itself. Three database nodes, application servers and what stands
# in front of them, on loopback. Each node and server has a number, from 1 on; what is stopped or killed can be started again.

source "$(dirname "${BASH_SOURCE[0]}")/common.sh"

NODES=(1 2 3)
# Nodes of another set have folders of their own: what bin/cluster keeps is none of bin/cluster-test's business.
NODE_SET="${NODE_SET:-cluster-node}"
CLUSTER="$DATA/cluster"
declare -A NODE_PID NODE_FOLDER NODE_SOCKETS HEALTH_PID SERVER_PID LETTERS_PID
PROXY_PID=
NODE_OPTIONS=()
mkdir -p "$CLUSTER"
chmod 0711 "$CLUSTER"

need_cluster_packages() {
    local missing=()
    [ -e /usr/lib/galera/libgalera_smm.so ] || missing+=(galera-4)
    command -v rsync >/dev/null || missing+=(rsync)
    command -v haproxy >/dev/null || [ -x /usr/sbin/haproxy ] || missing+=(haproxy)
    command -v mariadb-dump >/dev/null || missing+=(mariadb-client)
    need_these "${missing[@]}" "$@"
}

# Ports in one block, from the first hundred that is free as a whole.
choose_ports() { # first
    local base="$1" port taken=yes
    while [ -n "$taken" ]; do
        taken=
        for port in $(seq "$base" $((base + 49))); do port_is_free "$port" || { taken=yes; base=$((base + 100)); break; }; done
    done
    PORTS="$base"
}
sql_port() { printf %s $((PORTS + $1)); }
group_port() { printf %s $((PORTS + 10 + 3 * $1)); }
health_port() { printf %s $((PORTS + 4 + $1)); }
server_port() { printf %s $((PORTS + 30 + $1)); }
database_port() { printf %s $((PORTS + 40)); }
any_node_port() { printf %s $((PORTS + 41)); }
redis_port() { printf %s $((PORTS + 45)); }

as_owner() { if [ "$(id -u)" -eq 0 ]; then printf -- '--user=%s' "$(database_owner)"; fi; }

# This machine's copy of the settings in deploy/cluster, with loopback addresses.
node_settings() { # number
    local folder="${NODE_FOLDER[$1]}" n addresses=()
    for n in "${NODES[@]}"; do addresses+=("127.0.0.1:$(group_port "$n")"); done
    sed -e "s|^wsrep-cluster-address.*|wsrep-cluster-address = gcomm://$(IFS=,; printf %s "${addresses[*]}")|" \
        -e "s|^wsrep-node-address.*|wsrep-node-address = 127.0.0.1:$(group_port "$1")|" \
        -e "\$ a wsrep-node-name = node$1" -e "\$ a wsrep-node-incoming-address = 127.0.0.1:$(sql_port "$1")" \
        -e "\$ a wsrep-sst-receive-address = 127.0.0.1:$(($(group_port "$1") + 2))" \
        -e "s|^wsrep-provider-options = \"|&gmcast.listen_addr=tcp://127.0.0.1:$(group_port "$1"); ist.recv_addr=127.0.0.1:$(($(group_port "$1") + 1)); |" \
        -e "s|gcache.size=512M|gcache.size=${GCACHE:-128M}|" \
        -e "s|^innodb-flush-log-at-trx-commit.*|innodb-flush-log-at-trx-commit = ${DB_FLUSH:-1}|" \
        deploy/cluster/galera.cnf >"$folder/galera.cnf"
}

make_node() { # number
    local owner folder
    NODE_FOLDER[$1]="$(database_folder "$NODE_SET-$1")"
    folder="${NODE_FOLDER[$1]}"
    owner="$(database_owner)"
    stop_left_behind "$folder/pid" "$folder/files"
    node_settings "$1"
    if [ ! -f "$folder/ready" ]; then
        rm -rf "$folder/files"
        mariadb-install-db --no-defaults $(as_owner) --datadir="$folder/files" --auth-root-authentication-method=socket \
            --auth-root-socket-user="$(id -un)" --skip-test-db >"$folder/install.log" 2>&1 \
            || { tail -20 "$folder/install.log" >&2; fail "node $1 could not make its data folder (full log: $folder/install.log)"; }
        touch "$folder/ready"
    fi
    mkdir -p "$folder/nowhere"
    NODE_SOCKETS[$1]="$(mktemp -d /tmp/pocketplot-XXXXXX)"
    chmod 0700 "${NODE_SOCKETS[$1]}" "$folder" "$folder/nowhere"
    [ "$(id -u)" -ne 0 ] || chown -R "$owner" "$folder" "${NODE_SOCKETS[$1]}"
}

node_socket() { printf %s "${NODE_SOCKETS[$1]}/db.sock"; }

node_server() { # number, options...
    local folder="${NODE_FOLDER[$1]}" server
    server="$(command -v mariadbd || echo /usr/sbin/mariadbd)"
    exec "$server" --defaults-file="$folder/galera.cnf" $(as_owner) --datadir="$folder/files" --bind-address=127.0.0.1 --port="$(sql_port "$1")" \
        --socket="$(node_socket "$1")" --secure-file-priv="$folder/nowhere" --skip-symbolic-links --pid-file="$folder/pid" "${@:2}"
}

# What was the last transaction that a node has kept, as "uuid:number".
node_position() { # number
    local log="${NODE_FOLDER[$1]}/position.log"
    : >"$log"
    (node_server "$1" --wsrep-recover --log-error="$log") >/dev/null 2>&1 || true
    sed -n 's/.*Recovered position: *\([0-9a-f-]*:-\{0,1\}[0-9]*\).*/\1/p' "$log" | tail -1
}

# Starts a node without waiting for it. With "new" it begins a cluster, else it looks for the others.
start_node() { # number, [new]
    local folder="${NODE_FOLDER[$1]}" position options=()
    position="$(node_position "$1")"
    [ -z "$position" ] || [[ "$position" == 00000000-* ]] || options+=(--wsrep-start-position="$position")
    if [ "${2:-}" = new ]; then
        [ ! -f "$folder/files/grastate.dat" ] || sed -i 's/^safe_to_bootstrap: 0/safe_to_bootstrap: 1/' "$folder/files/grastate.dat"
        options+=(--wsrep-new-cluster)
    fi
    (
        umask 077
        # Only bin/cluster-test sets this: no file may grow larger, as on a full disk.
        [ -z "${NODE_KILOBYTES:-}" ] || { trap '' XFSZ; ulimit -f "$NODE_KILOBYTES"; }
        node_server "$1" "${options[@]}" "${NODE_OPTIONS[@]}"
    ) >>"$folder/server.log" 2>&1 &
    NODE_PID[$1]=$!
    disown
}

ask_node() { # number, statement
    mariadb --no-defaults -N -u "$(id -un)" --socket="$(node_socket "$1")" --connect-timeout=3 -e "$2" 2>/dev/null
}

node_status() { # number, name of a status variable
    ask_node "$1" "show global status like '$2'" | cut -f2
}

node_state() { node_status "$1" wsrep_local_state_comment; } # number

wait_for_node() { # number, [seconds]
    for _ in $(seq $((${2:-120} * 5))); do
        [ "$(node_state "$1")" = Synced ] && return 0
        kill -0 "${NODE_PID[$1]}" 2>/dev/null || break
        sleep 0.2
    done
    tail -20 "${NODE_FOLDER[$1]}/server.log" >&2
    return 1
}

# Waits until a process, or with "-" in front a whole group, is gone; what takes too long is killed.
gone() { # process id, seconds
    for _ in $(seq $(($2 * 10))); do kill -0 -- "$1" 2>/dev/null || return 0; sleep 0.1; done
    kill -9 -- "$1" 2>/dev/null || true
    for _ in $(seq 50); do kill -0 -- "$1" 2>/dev/null || return 0; sleep 0.1; done
}

kill_node() { kill -9 "${NODE_PID[$1]}" 2>/dev/null || true; gone "${NODE_PID[$1]}" 10; }

stop_node() { # number
    [ -n "${NODE_PID[$1]:-}" ] || return 0
    kill "${NODE_PID[$1]}" 2>/dev/null || true
    gone "${NODE_PID[$1]}" 30
    NODE_PID[$1]=
}

# All nodes, the one that knows most first: whoever knows less takes over what it says.
start_nodes() {
    local n position number most=-2 first=1
    for n in "${NODES[@]}"; do make_node "$n"; done
    for n in "${NODES[@]}"; do
        position="$(node_position "$n")"
        number="${position##*:}"
        [[ "$number" =~ ^-?[0-9]+$ ]] || number=-1
        if [ "$number" -gt "$most" ]; then most="$number"; first="$n"; fi
    done
    start_node "$first" new
    wait_for_node "$first" || fail "node $first did not start (full log: ${NODE_FOLDER[$first]}/server.log)"
    for n in "${NODES[@]}"; do
        [ "$n" = "$first" ] && continue
        start_node "$n"
        wait_for_node "$n" 300 || fail "node $n did not join (full log: ${NODE_FOLDER[$n]}/server.log)"
    done
    FIRST_NODE="$first"
}

# The application's database and user, and one that may only ask how a node is.
make_cluster_database() { # name, user, password
    DB_SOCKET="$(node_socket "$FIRST_NODE")" make_database "$1" "$2" "$3"
    ask_node "$FIRST_NODE" "create user if not exists 'pocketplot_health'@'127.0.0.1' identified by ''" \
        || fail "the user for the nodes' health could not be made"
}

start_health() { # number
    (umask 077; cd deploy/cluster && NODE_PORT="$(sql_port "$1")" NODE_USER=pocketplot_health NODE_PASSWORD= PHP_CLI_SERVER_WORKERS=2 \
        exec setsid php -S "127.0.0.1:$(health_port "$1")" node-health.php) >"$CLUSTER/health-$1.log" 2>&1 &
    HEALTH_PID[$1]=$!
    disown
}

# What all application servers are told: everything that would be kept on one of them is kept where all find it.
export_server_settings() { # port that builders come in by
    export DB_HOST=127.0.0.1 DB_SYNC_READS=true SESSION_DRIVER="${SHARED_STORE:-database}" CACHE_STORE="${SHARED_STORE:-database}" QUEUE_CONNECTION=database
    export TRUSTED_PROXIES=127.0.0.1 APP_URL="http://127.0.0.1:$1" APP_DEBUG=false
    DB_PORT="$(database_port)"
    export DB_PORT
}

# One application server, without waiting for it, and beside it a worker that sends letters. Another version of the
# application is started from its own folder, SERVER_ROOT.
start_server() { # number, [command to put in front...]
    local n="$1"
    (
        umask 077
        cd "${SERVER_ROOT:-$ROOT}"
        export PHP_CLI_SERVER_WORKERS=7
        exec setsid "${@:2}" "${PHP_SERVE[@]}" -S "127.0.0.1:$(server_port "$n")" -t public bin/router.php
    ) >>"$CLUSTER/server-$n.log" 2>&1 &
    SERVER_PID[$n]=$!
    disown
    printf %s "${SERVER_PID[$n]}" >"$CLUSTER/server-$n.pid"
    (
        umask 077
        cd "${SERVER_ROOT:-$ROOT}"
        exec setsid bash -c 'while :; do php artisan queue:work --queue=letters --sleep=2 --max-time=900 --quiet || true; sleep 1; done'
    ) >>"$CLUSTER/letters-$n.log" 2>&1 &
    LETTERS_PID[$n]=$!
    disown
    printf %s "${LETTERS_PID[$n]}" >"$CLUSTER/letters-$n.pid"
}

wait_for_server() { # number, [seconds]
    for _ in $(seq $((${2:-60} * 5))); do
        curl -fs -o /dev/null --max-time 3 "http://127.0.0.1:$(server_port "$1")/up" && return 0
        kill -0 "${SERVER_PID[$1]}" 2>/dev/null || break
        sleep 0.2
    done
    tail -5 "$CLUSTER/server-$1.log" >&2
    return 1
}

end_group() { # signal, process id of the group's first
    [ -n "${2:-}" ] || return 0
    kill "-$1" -- "-$2" 2>/dev/null || true
    gone "-$2" 10
}

kill_server() { end_group KILL "${SERVER_PID[$1]:-}"; end_group KILL "${LETTERS_PID[$1]:-}"; SERVER_PID[$1]=; LETTERS_PID[$1]=; }
stop_server() { end_group TERM "${SERVER_PID[$1]:-}"; end_group TERM "${LETTERS_PID[$1]:-}"; SERVER_PID[$1]=; LETTERS_PID[$1]=; }

say_to_proxy() { deploy/cluster/say "$PLOT_ADMIN" "$1"; }

start_proxy() { # port, number of servers
    local n
    PROXY_FOLDER="$(mktemp -d /tmp/pocketplot-XXXXXX)"
    export PLOT_BIND="127.0.0.1:$1" PLOT_HOST=127.0.0.1 PLOT_ADMIN="$PROXY_FOLDER/admin.sock" PLOT_ERRORS="$ROOT/deploy/cluster"
    export PLOT_DB_BIND PLOT_ANY_BIND
    PLOT_DB_BIND="127.0.0.1:$(database_port)" PLOT_ANY_BIND="127.0.0.1:$(any_node_port)"
    for n in "${NODES[@]}"; do export "PLOT_NODE$n=127.0.0.1:$(sql_port "$n")" "PLOT_HEALTH$n=$(health_port "$n")"; done
    for n in $(seq "$2"); do export "PLOT_APP$n=127.0.0.1:$(server_port "$n")"; done
    PATH="$PATH:/usr/sbin" haproxy -c -f deploy/cluster/haproxy.cfg >"$CLUSTER/proxy.log" 2>&1 \
        || { cat "$CLUSTER/proxy.log" >&2; fail "HAProxy does not take deploy/cluster/haproxy.cfg"; }
    (PATH="$PATH:/usr/sbin"; exec haproxy -db -f deploy/cluster/haproxy.cfg) >>"$CLUSTER/proxy.log" 2>&1 &
    PROXY_PID=$!
    disown
}

wait_for_proxy() { # port, path
    for _ in $(seq 300); do
        curl -fs -o /dev/null --max-time 3 "http://127.0.0.1:$1$2" && return 0
        kill -0 "$PROXY_PID" 2>/dev/null || break
        sleep 0.2
    done
    tail -5 "$CLUSTER/proxy.log" >&2
    fail "nothing answers at http://127.0.0.1:$1$2"
}

# Everything that was started, the nodes last and one after the other, so that the last one knows all.
stop_cluster() {
    local n
    [ -z "$PROXY_PID" ] || { kill "$PROXY_PID" 2>/dev/null || true; gone "$PROXY_PID" 5; }
    PROXY_PID=
    for n in "${!SERVER_PID[@]}"; do stop_server "$n"; done
    for n in 3 2 1; do [ -z "${NODE_PID[$n]:-}" ] || stop_node "$n"; done
    for n in "${!HEALTH_PID[@]}"; do end_group TERM "${HEALTH_PID[$n]}"; done
    HEALTH_PID=()
    for n in "${!NODE_SOCKETS[@]}"; do rm -rf "${NODE_SOCKETS[$n]}"; done
    [ -z "${PROXY_FOLDER:-}" ] || rm -rf "$PROXY_FOLDER"
}
