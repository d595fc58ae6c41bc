# MariaDB, php-fpm, nginx and the workers, kept by Debian's supervisor: what ends is begun again.
# An instance is "app" or, for the tests, "test"; each has a supervisor of its own.

supervise() { # instance, verb ...
    as_service supervisorctl -c "$VAR/run/$1-supervisor.conf" "${@:2}" 2>&1
}
is_supervised() { [ -S "$SOCKETS/$1-supervisor.sock" ] && supervise "$1" pid >/dev/null 2>&1 && [ "$(supervise "$1" pid)" -gt 0 ] 2>/dev/null; }
is_running() { [[ $(supervise "$1" status "$2") == *RUNNING* ]]; }

# The environment of everything that runs the application, in the supervisor's way of writing it.
app_environment() { # instance database web-port
    printf 'DB_SOCKET="%s",DB_PORT="%s",DB_DATABASE="%s",DB_QUEUE_RETRY_AFTER="1800",APP_URL="%s",APP_CONFIG_CACHE="%s",APP_ROUTES_CACHE="%s",SPARK_INSTANCE="%s",SPARK_BENCH="%s",SPARK_PUSH="%s",TMPDIR="%s"' \
        "$(db_socket "$1")" "$(db_port "$1")" "$2" "$(public_url "$1" "$3")" "$VAR/run/$1-config.php" "$VAR/run/$1-routes.php" "$TAG-$1" "${SPARK_BENCH:-0}" "$SOCKETS/$1-push.sock" "$VAR/tmp"
}
# The address that people use; the tests' instance is for the tests alone.
public_url() { if [ "$1" = app ]; then echo "${SPARK_PUBLIC_URL:-http://127.0.0.1:$2}"; else echo "http://127.0.0.1:$2"; fi; }
db_port() { if [ "$1" = app ]; then echo "$DB_PORT"; else echo "$((DB_PORT + 1))"; fi; }

# Where a server keeps its temporary tables. Each removes all that it finds there when it begins, another's too.
db_tmp() { echo "$VAR/tmp/db-$1"; }

# What makes and changes tables signs in by socket as the service user; what answers people has no right to.
OWNER=()
as_owner() { local OWNER=("DB_USERNAME=$SERVICE_USER" DB_PASSWORD=); "$@"; }

# Artisan, as the service user, on the database of an instance.
artisan() { # instance database, then the command
    as_service env "${OWNER[@]}" DB_SOCKET="$(db_socket "$1")" DB_PORT="$(db_port "$1")" DB_DATABASE="$2" DB_QUEUE_RETRY_AFTER=1800 APP_CONFIG_CACHE="${ARTISAN_CONFIG:-/nonexistent}" APP_ROUTES_CACHE="${ARTISAN_ROUTES:-/nonexistent}" TMPDIR="$VAR/tmp" \
        APP_URL="$(public_url "$1" "$([ "$1" = app ] && echo "$WEB_PORT" || echo "$((WEB_PORT + 1))")")" \
        SPARK_INSTANCE="$TAG-$1" php "${JIT[@]}" artisan "${@:3}"
}

program() { # instance name nice stop-signal stop-seconds environment command
    cat <<CONF
[program:$2]
command = $ROOT/ops/service $1 $2 $7
directory = $ROOT
environment = $6
autostart = $([ "$2" = db ] && echo true || echo false)
autorestart = true
startsecs = 0
startretries = 1000000
stopsignal = $4
stopwaitsecs = $5
stopasgroup = false
killasgroup = true
redirect_stderr = true
stdout_logfile = $VAR/log/$1-$2.log
stdout_logfile_maxbytes = 2MB
stdout_logfile_backups = 2

CONF
}

write_configuration() { # instance database web-port
    local name=$1 run=$VAR/run env; env=$(app_environment "$@")
    as_service mkdir -p -m 0700 "$(db_tmp "$name")"
    local php="php ${JIT[*]}" worker
    worker="$php -d memory_limit=2G $ROOT/artisan queue:work --sleep=0.5 --tries=1 --timeout=1500 --memory=1500 --max-time=86400"
    {
        cat <<CONF
[unix_http_server]
file = $SOCKETS/$name-supervisor.sock
chmod = 0600
[supervisord]
logfile = $VAR/log/$name-supervisor.log
logfile_maxbytes = 2MB
logfile_backups = 2
pidfile = $run/$name-supervisord.pid
directory = $ROOT
umask = 077
identifier = odd-spark-$TAG-$name
[supervisorctl]
serverurl = unix://$SOCKETS/$name-supervisor.sock
[rpcinterface:supervisor]
supervisor.rpcinterface_factory = supervisor.rpcinterface:make_main_rpcinterface

CONF
        program "$name" db 0 TERM 60 '' "mariadbd --no-defaults --datadir=$VAR/$name-db --socket=$(db_socket "$name") --pid-file=$run/$name-db.pid --port=$(db_port "$name") --bind-address=127.0.0.1 --character-set-server=utf8mb4 --collation-server=utf8mb4_unicode_ci --skip-name-resolve --innodb-buffer-pool-size=128M --max-allowed-packet=64M --tmpdir=$(db_tmp "$name") --performance-schema=OFF"
        # the bench by itself: what somebody computes on the other pages leaves it alone
        program "$name" fpm-bench 0 QUIT 10 "$env" "php-fpm8.2 -F -c $run/$name-php.ini -y $run/$name-fpm-bench.conf"
        program "$name" fpm-pages 5 QUIT 10 "$env" "nice -n 5 php-fpm8.2 -F -c $run/$name-php.ini -y $run/$name-fpm-pages.conf"
        program "$name" nginx 0 QUIT 10 '' "nginx -e stderr -g 'daemon off;' -c $run/$name-nginx.conf"
        # one for what somebody waits for, and one for long analyses, which helps when it has nothing else to do
        program "$name" worker-marks 10 TERM 5 "$env" "nice -n 10 $worker --queue=marks,asked --name=marks"
        program "$name" worker-analyses 10 TERM 5 "$env" "nice -n 12 $worker --queue=default,asked,marks --name=analyses"
    } | sed 's/%/%%/g' >"$run/$name-supervisor.conf"
    php_settings >"$run/$name-php.ini"
    fpm_configuration "$name" bench >"$run/$name-fpm-bench.conf"
    fpm_configuration "$name" pages >"$run/$name-fpm-pages.conf"
    nginx_configuration "$name" "$3" >"$run/$name-nginx.conf"
    [ "$(id -u)" -ne 0 ] || chown "$SERVICE_USER:" "$run/$name"-{supervisor.conf,php.ini,fpm-bench.conf,fpm-pages.conf,nginx.conf}
}

php_settings() {
    cat <<CONF
$(printf '%s\n' "${JIT_SETTINGS[@]}")
# what is new comes with ./spark up, which begins php-fpm anew: nothing is looked at again with every request
opcache.validate_timestamps = 0
memory_limit = 512M
max_execution_time = 30
post_max_size = 9M
upload_max_filesize = 1
file_uploads = 0
expose_php = 0
display_errors = 0
log_errors_max_len = 4096
sys_temp_dir = $VAR/tmp
CONF
}

fpm_configuration() { # instance pool
    cat <<CONF
[global]
pid = $VAR/run/$1-fpm-$2.pid
error_log = /proc/self/fd/2
log_limit = 8192
[odd-spark-$TAG-$2]
listen = $SOCKETS/$1-fpm-$2.sock
listen.mode = 0660
pm = dynamic
pm.max_children = 32
pm.start_servers = 4
pm.min_spare_servers = 3
pm.max_spare_servers = 6
pm.max_requests = 2000
clear_env = no
catch_workers_output = yes
decorate_workers_output = no
security.limit_extensions = .php
CONF
}

nginx_configuration() { # instance web-port
    local run=$VAR/run pass
    pass=$(cat <<CONF
            include /etc/nginx/fastcgi_params;
            fastcgi_param HTTP_HOST \$http_host;
            fastcgi_param HTTP_PROXY "";
            fastcgi_param SCRIPT_FILENAME $ROOT/public/index.php;
            fastcgi_param SCRIPT_NAME /index.php;
            fastcgi_read_timeout 60s;
CONF
)
    cat <<CONF
load_module /usr/lib/nginx/modules/ngx_nchan_module.so;
worker_processes 1;
worker_rlimit_nofile 8192;
pid $run/$1-nginx.pid;
# a line for each browser that listens, held here and not by php-fpm
events { worker_connections 4096; }
http {
    include /etc/nginx/mime.types;
    access_log off;
    server_tokens off;
    client_max_body_size 8m;
    client_body_buffer_size 64k;
    client_header_timeout 15s; client_body_timeout 15s; send_timeout 30s;
    large_client_header_buffers 4 16k;
    client_body_temp_path $run/$1-body; fastcgi_temp_path $run/$1-fastcgi; proxy_temp_path $run/$1-proxy; uwsgi_temp_path $run/$1-uwsgi; scgi_temp_path $run/$1-scgi;
    gzip on; gzip_types text/css application/javascript application/json image/svg+xml;
    # what browsers are told at once comes in here, from the application alone
    nchan_max_reserved_memory 16M;
    server {
        listen unix:$SOCKETS/$1-push.sock;
        location ~ ^/((wall|bench)-[0-9]+)\$ {
            nchan_publisher; nchan_channel_id \$1;
            nchan_message_buffer_length 100; nchan_message_timeout 2m;
        }
    }
    server {
        listen 127.0.0.1:$2;
        # the application says who may listen, and hands the line over to be held here
        location ~ ^/live/(wall|bench)/[0-9]+\$ {
$pass
            fastcgi_pass unix:$SOCKETS/$1-fpm-bench.sock;
        }
        location ~ ^/hold/((wall|bench)-[0-9]+)\$ {
            internal;
            nchan_subscriber eventsource; nchan_channel_id \$1;
            nchan_subscriber_first_message newest; nchan_eventsource_ping_interval 20;
        }
        # nothing but built files, three files by name, and the front controller
        location /build/ { root $ROOT/public; expires 1y; add_header Cache-Control "public, immutable"; add_header X-Content-Type-Options nosniff; try_files \$uri =404; }
        location = /favicon.svg { root $ROOT/public; add_header X-Content-Type-Options nosniff; }
        location = /robots.txt { root $ROOT/public; add_header X-Content-Type-Options nosniff; }
        location / {
$pass
            fastcgi_pass unix:$SOCKETS/$1-fpm-pages.sock;
        }
        location ~ ^/(attempts/[0-9]+(/(acts|play|next|waiting|said|hand|away))?|courses/[0-9]+/stopped|up)\$ {
$pass
            fastcgi_pass unix:$SOCKETS/$1-fpm-bench.sock;
        }
    }
}
CONF
}

# ---- the database of an instance ----------------------------------------------------------------

db_root() { as_service mariadb --no-defaults -S "$(db_socket "$1")" "${@:2}"; }

start_supervisor() { # instance database web-port
    end_former
    write_configuration "$@"
    if ! is_supervised "$1"; then
        rm -f "$SOCKETS/$1-supervisor.sock"
        prepare_db "$1"
        end_group "$VAR/run/$1-db.group" TERM 300
        answers "$(db_port "$1")" && die "port $(db_port "$1") is taken by another program. Stop it, or choose another with SPARK_DB_PORT."
        as_service supervisord -c "$VAR/run/$1-supervisor.conf" >/dev/null 9>&- || die "the supervisor did not start. See var/log/$1-supervisor.log."
    else
        supervise "$1" update >/dev/null
        is_running "$1" db || supervise "$1" start db >/dev/null
    fi
    local i
    for i in $(seq 1 240); do
        db_root "$1" -e 'SELECT 1' >/dev/null 2>&1 && break
        adopt_db "$1" && break
        sleep 0.25
        [ "$i" -eq 240 ] && die "MariaDB did not start. What it says is in var/log/$1-db.log."
    done
    secure_db "$1"
}

prepare_db() {
    local dir=$VAR/$1-db
    [ -f "$dir/.whole" ] && return 0
    [ ! -d "$dir" ] || [ -z "$(ls -A "$dir/odd_spark" 2>/dev/null)" ] || die "var/$1-db holds data but was not set up to the end. Move it away or restore a backup, then run this again."
    rm -rf "$dir"; as_service mkdir -p -m 0700 "$dir" "$(db_tmp "$1")"
    step "Preparing MariaDB ($1)" as_service mariadb-install-db --no-defaults --datadir="$dir" --tmpdir="$(db_tmp "$1")" --auth-root-authentication-method=socket --auth-root-socket-user="$SERVICE_USER" --skip-test-db
    as_service touch "$dir/.whole"
}

# A database that was set up when its administrator had no password yet.
adopt_db() {
    as_service mariadb --no-defaults -S "$(db_socket "$1")" -uroot -e "CREATE USER IF NOT EXISTS '$SERVICE_USER'@'localhost' IDENTIFIED VIA unix_socket; GRANT ALL ON *.* TO '$SERVICE_USER'@'localhost' WITH GRANT OPTION" >/dev/null 2>&1
}

# The administrator signs in by socket as the service user alone; the application has a password and its own tables only.
secure_db() {
    local password account database
    password=$(secret DB_PASSWORD)
    {
        printf "DROP USER IF EXISTS 'spark'@'localhost', 'spark'@'127.0.0.1';\n"
        db_root "$1" -N -r -e "SELECT CONCAT('DROP USER ', QUOTE(user), '@', QUOTE(host), ';') FROM mysql.user WHERE user = '' OR user = 'root' AND host <> 'localhost'"
        for account in "'odd_spark_app'@'localhost'" "'odd_spark_app'@'127.0.0.1'"; do
            printf "CREATE USER IF NOT EXISTS %s;\nALTER USER %s IDENTIFIED BY '%s';\nREVOKE ALL PRIVILEGES, GRANT OPTION FROM %s;\n" "$account" "$account" "$password" "$account"
            [ "$1" != test ] || printf 'GRANT ALL ON `odd\\_spark\\_test`.* TO %s;\n' "$account"
        done
        [ "$SERVICE_USER" = root ] || printf "ALTER USER IF EXISTS 'root'@'localhost' ACCOUNT LOCK;\n"
        printf 'FLUSH PRIVILEGES;\n'
    } | db_root "$1" >/dev/null || die "the accounts of MariaDB cannot be set. See var/log/$1-db.log."
    for database in odd_spark odd_spark_browser; do grant_tables "$1" "$database"; done
}
# What the application may do with each table: all but the audit log, which it reads and adds to. No right to make, change
# or empty a table. The tests of PHP make their own, in a database of their own.
grant_tables() { # instance database
    [ "$2" != odd_spark_test ] || return 0
    local account schema=${2//_/\\_}
    {
        for account in "'odd_spark_app'@'localhost'" "'odd_spark_app'@'127.0.0.1'"; do
            printf 'GRANT USAGE ON *.* TO %s;\n' "$account"
            printf 'GRANT ALL ON `%s`.* TO %s; REVOKE ALL ON `%s`.* FROM %s;\n' "$schema" "$account" "$schema" "$account"
            db_root "$1" -N -r -e "SELECT CONCAT('GRANT SELECT, INSERT', IF(table_name = 'audit_entries', '', ', UPDATE, DELETE'), ' ON $2.\`', table_name, '\` TO ') FROM information_schema.tables WHERE table_schema = '$2' AND table_type = 'BASE TABLE'" |
                sed "s/\$/$account;/"
        done
        printf 'FLUSH PRIVILEGES;\n'
    } | db_root "$1" >/dev/null || die "the rights on the tables cannot be set. See var/log/$1-db.log."
}
create_db() { db_root "$1" -e "CREATE DATABASE IF NOT EXISTS $2"; }

# ---- the site of an instance --------------------------------------------------------------------

# What answers at a port says whose it is.
is_own() { [ "$(curl -fsS -m 5 "http://127.0.0.1:$2/up" 2>/dev/null)" = "{\"up\":true,\"instance\":\"$TAG-$1\"}" ]; }

start_site() { # instance database web-port
    local name=$1 port=$3 i
    if ! is_running "$name" nginx; then
        end_group "$VAR/run/$name-nginx.group" QUIT 10
        answers "$port" && die "port $port is taken by another program. Stop it, or choose another with SPARK_PORT."
    fi
    rm -f "$VAR/run/$name-config.php" "$VAR/run/$name-routes.php"
    ARTISAN_CONFIG=$VAR/run/$name-config.php SESSION_SECURE_COOKIE=$([[ $(public_url "$name" "$port") == https:* ]] && echo true || echo false) SESSION_COOKIE=$([[ $(public_url "$name" "$port") == https:* ]] && echo __Host-odd_spark || echo odd_spark) APP_URL=$(public_url "$name" "$port") SPARK_BENCH=${SPARK_BENCH:-0} SPARK_PUSH=$SOCKETS/$name-push.sock artisan "$name" "$2" config:cache >/dev/null || die 'the configuration cannot be read. See the message above.'
    ARTISAN_CONFIG=$VAR/run/$name-config.php ARTISAN_ROUTES=$VAR/run/$name-routes.php artisan "$name" "$2" route:cache >/dev/null || die 'the addresses cannot be read. See the message above.'
    supervise "$name" restart fpm-bench fpm-pages nginx worker-marks worker-analyses >"$VAR/log/$name-start.log"
    for i in $(seq 1 160); do
        is_own "$name" "$port" && return 0
        sleep 0.25
    done
    die "the site does not answer on port $port. See var/log/$name-fpm-bench.log and var/log/$name-nginx.log."
}

stop_site() { is_supervised "$1" && supervise "$1" stop nginx fpm-bench fpm-pages worker-marks worker-analyses >/dev/null; return 0; }

stop_instance() {
    local pid program
    if is_supervised "$1"; then
        pid=$(supervise "$1" pid)
        supervise "$1" shutdown >/dev/null
        for _ in $(seq 1 900); do kill -0 "$pid" 2>/dev/null || break; sleep 0.1; done
    fi
    for program in nginx fpm-bench fpm-pages worker-marks worker-analyses; do end_group "$VAR/run/$1-$program.group" QUIT 20; done
    end_group "$VAR/run/$1-db.group" TERM 300
    rm -f "$VAR/run/$1"-*.group
    return 0
}

# Services as they were begun before there was a supervisor.
end_former() {
    local file pid
    for file in "$VAR"/run/{app,test}-{nginx,fpm,marks,analyses,worker,db}.pid; do
        [ -s "$file" ] && [ ! -f "${file%.pid}.group" ] || continue
        pid=$(cat "$file")
        if tr '\0' ' ' <"/proc/$pid/cmdline" 2>/dev/null | grep -qF "$VAR/"; then
            kill "$pid" 2>/dev/null
            for _ in $(seq 1 200); do kill -0 "$pid" 2>/dev/null || break; sleep 0.1; done
        fi
        rm -f "$file"
    done
}
