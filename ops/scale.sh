# Beyond one machine, tried on one: two web tiers behind HAProxy, on a Galera of three MariaDB, of which the one that is
# written to is killed in the midst. docs/running.md says what a district needs.

SCALE_NODES=(1 2 3)

scale() { # ./spark check scale
    lock; environment; install_debian scale; install_packages; build
    local dir=$VAR/scale node tier
    trap end_scale EXIT
    end_scale; rm -rf "$dir"; as_service mkdir -m 0700 "$dir"
    for node in "${SCALE_NODES[@]}"; do as_service mkdir -p -m 0700 "$(db_tmp "scale-$node")"; done
    # one is set up, ended, and copied: so the others need no transfer of its state when they join
    step 'Preparing the first MariaDB' as_service mariadb-install-db --no-defaults --datadir="$dir/db-1" --tmpdir="$(db_tmp scale-1)" --auth-root-authentication-method=socket --auth-root-socket-user="$SERVICE_USER" --skip-test-db
    scale_join 1 --wsrep-new-cluster
    secure_db scale-1 2>/dev/null; create_db scale-1 odd_spark
    step 'Tables, models and demo data' scale_data
    scale_stop 1
    for node in 2 3; do as_service cp -a "$dir/db-1" "$dir/db-$node"; done
    scale_join 1 --wsrep-new-cluster
    for node in 2 3; do scale_join "$node"; done
    say "$(db_root scale-1 -N -e "SELECT CONCAT(variable_value, ' MariaDB in one cluster') FROM information_schema.global_status WHERE variable_name = 'wsrep_cluster_size'")"
    scale_balancer
    for tier in 1 2; do scale_tier "$tier"; done
    scale_answers site 'the balancer does not answer. See var/log/scale-haproxy.log.'
    as_service env SPARK_SCALE="$dir" SPARK_URL="http://127.0.0.1:$(scale_port site)" SPARK_TIERS="http://127.0.0.1:$(scale_port tier-1) http://127.0.0.1:$(scale_port tier-2)" \
        SPARK_NODES="$(for node in "${SCALE_NODES[@]}"; do db_socket "scale-$node"; printf ' '; done)" SPARK_NODE_PID="$dir/db-1.pid" \
        DB_USERNAME="$SERVICE_USER" DB_PASSWORD= DB_SOCKET="$(db_socket scale-3)" DB_DATABASE=odd_spark APP_CONFIG_CACHE=/nonexistent TMPDIR="$VAR/tmp" php ops/scale.php 9>&- || die 'the trial of two tiers and three databases failed.'
}

# Ports of their own, from one that nothing else of this folder uses.
scale_port() {
    case $1 in
        site) echo $((WEB_PORT + 20)) ;; tier-*) echo $((WEB_PORT + 20 + ${1#tier-})) ;;
        db) echo $((DB_PORT + 20)) ;; db-*) echo $((DB_PORT + 20 + ${1#db-})) ;;
        group-*) echo $((DB_PORT + 30 + 2 * ${1#group-})) ;; # and the next, for what one that comes late has missed
    esac
}

scale_run() { # name, then the command: in the background, as the service user, its number kept
    local name=$1; shift
    rm -f "$VAR/scale/$name.pid"
    rm -f "$VAR/log/scale-$name.log"
    as_service setsid sh -c 'echo $$ >"$0"; log=$1; shift; exec "$@" >"$log" 2>&1' "$VAR/scale/$name.pid" "$VAR/log/scale-$name.log" "$@" 2>/dev/null 9>&- </dev/null &
    for _ in $(seq 1 100); do [ -s "$VAR/scale/$name.pid" ] && return 0; sleep 0.1; done
    die "$name cannot be started. See var/log/scale-$name.log."
}

scale_db() { # node [--wsrep-new-cluster]
    local members node=$1; shift
    members=$(for n in "${SCALE_NODES[@]}"; do printf '127.0.0.1:%s,' "$(scale_port "group-$n")"; done)
    scale_run "db-$node" mariadbd --no-defaults --datadir="$VAR/scale/db-$node" --socket="$(db_socket "scale-$node")" --pid-file="$VAR/scale/mariadb-$node.pid" \
        --port="$(scale_port "db-$node")" --bind-address=127.0.0.1 --character-set-server=utf8mb4 --collation-server=utf8mb4_unicode_ci --skip-name-resolve \
        --innodb-buffer-pool-size=64M --max-allowed-packet=64M --tmpdir="$(db_tmp "scale-$node")" --performance-schema=OFF \
        --binlog-format=ROW --innodb-autoinc-lock-mode=2 --wsrep-on=ON --wsrep-provider=/usr/lib/galera/libgalera_smm.so --wsrep-cluster-name=odd-spark \
        --wsrep-cluster-address="gcomm://${members%,}" --wsrep-node-address="127.0.0.1:$(scale_port "group-$node")" --wsrep-node-name="node-$node" \
        --wsrep-provider-options="gmcast.listen_addr=tcp://127.0.0.1:$(scale_port "group-$node");ist.recv_addr=127.0.0.1:$(($(scale_port "group-$node") + 1));gcache.size=32M;evs.keepalive_period=PT0.3S;evs.suspect_timeout=PT1S;evs.inactive_timeout=PT3S;evs.inactive_check_period=PT0.2S" "$@"
}

# Begun again when it ends at once: Galera's thread may ask for its own number before it has one ("No such process").
scale_join() { # node, arguments of MariaDB
    local try i
    for try in 1 2 3 4 5 6 7 8 9 10; do
        scale_db "$@"
        for i in $(seq 1 480); do
            [ "$(db_root "scale-$1" -N -e "SELECT variable_value FROM information_schema.global_status WHERE variable_name = 'wsrep_ready'" 2>/dev/null)" = ON ] && return 0
            kill -0 "$(cat "$VAR/scale/db-$1.pid")" 2>/dev/null || break
            sleep 0.25
        done
    done
    die "MariaDB $1 does not join. See var/log/scale-db-$1.log."
}

scale_data() { migrate scale-1 odd_spark; SMALL_DEMO=yes demo scale-1 odd_spark; }

scale_stop() { # node
    local pid; pid=$(cat "$VAR/scale/db-$1.pid")
    db_root "scale-$1" -e SHUTDOWN
    for _ in $(seq 1 600); do kill -0 "$pid" 2>/dev/null || return 0; sleep 0.1; done
    die "MariaDB $1 does not end."
}

# One address for the site; one for the database, which goes to the first node that stands: all write to one, so that two
# of them never hold each other's rows.
scale_balancer() {
    cat >"$VAR/scale/haproxy.cfg" <<CONF
global
    maxconn 2000
    stats socket $SOCKETS/scale-haproxy.sock mode 600
defaults
    timeout connect 2s
    timeout client 65s
    timeout server 65s
    option redispatch
    retries 2
frontend site
    mode http
    bind 127.0.0.1:$(scale_port site)
    option forwardfor
    default_backend tiers
backend tiers
    mode http
    balance roundrobin
    option httpchk GET /up
    server tier-1 127.0.0.1:$(scale_port tier-1) check inter 1s
    server tier-2 127.0.0.1:$(scale_port tier-2) check inter 1s
listen database
    mode tcp
    bind 127.0.0.1:$(scale_port db)
    default-server check inter 300ms fall 2 rise 2 on-marked-down shutdown-sessions
    server node-1 127.0.0.1:$(scale_port db-1)
    server node-2 127.0.0.1:$(scale_port db-2) backup
    server node-3 127.0.0.1:$(scale_port db-3) backup
CONF
    [ "$(id -u)" -ne 0 ] || chown "$SERVICE_USER:" "$VAR/scale/haproxy.cfg"
    scale_run haproxy "$(command -v haproxy || echo /usr/sbin/haproxy)" -db -f "$VAR/scale/haproxy.cfg"
}

# php-fpm and nginx with files of their own: nothing that the tiers share but the database.
scale_tier() { # number
    local name=tier-$1 port storage pool; port=$(scale_port "tier-$1"); storage=$VAR/scale/storage-$1
    as_service mkdir -p "$storage"/{app,logs,framework/{cache/data,sessions,views,slots}}
    fpm_configuration "$name" bench >"$VAR/scale/$name-fpm-bench.conf"; fpm_configuration "$name" pages >"$VAR/scale/$name-fpm-pages.conf"
    nginx_configuration "$name" "$port" >"$VAR/scale/$name-nginx.conf"
    rm -f "$SOCKETS/$name"-*.sock # one that a killed program has left is in the way of the next
    php_settings >"$VAR/scale/php.ini"
    [ "$(id -u)" -ne 0 ] || chown "$SERVICE_USER:" "$VAR/scale/php.ini" "$VAR/scale/$name"-*.conf
    for pool in bench pages; do
        scale_run "$name-$pool" env LARAVEL_STORAGE_PATH="$storage" DB_HOST=127.0.0.1 DB_SOCKET= DB_PORT="$(scale_port db)" DB_DATABASE=odd_spark \
            APP_URL="http://127.0.0.1:$(scale_port site)" APP_CONFIG_CACHE=/nonexistent APP_ROUTES_CACHE=/nonexistent SPARK_INSTANCE="$TAG-$name" SPARK_PUSH="$SOCKETS/$name-push.sock" TMPDIR="$VAR/tmp" \
            php-fpm8.2 -F -c "$VAR/scale/php.ini" -y "$VAR/scale/$name-fpm-$pool.conf"
    done
    scale_run "$name-nginx" nginx -e stderr -g 'daemon off;' -c "$VAR/scale/$name-nginx.conf"
    scale_answers "tier-$1" "tier $1 does not answer. See var/log/scale-$name-bench.log."
}

scale_answers() { # port, what is said when it does not
    local i
    for i in $(seq 1 240); do curl -fsS -m 5 "http://127.0.0.1:$(scale_port "$1")/up" >/dev/null 2>&1 && return 0; sleep 0.25; done
    die "$2"
}

end_scale() {
    local file pid
    for file in "$VAR"/scale/*.pid; do
        [ -s "$file" ] && [[ $file != *mariadb-* ]] || continue
        pid=$(cat "$file"); is_ours "$pid" || continue
        kill -KILL -- "-$pid" 2>/dev/null; rm -f "$file"
    done
    sleep 0.5
}
