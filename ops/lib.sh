# What all verbs share: paths, words, and who the services run as. Sourced by spark and by ops/service.
VAR=$ROOT/var
WEB_PORT=${SPARK_PORT:-8717}
DB_PORT=${SPARK_DB_PORT:-33717}
# PHP gives up compiling at 8,192 places where compiled code can be left; the core has more than that, and was a fifth
# slower for it (./spark bench, one run after the other: 0.46 and 0.36 s for 150 cycles).
JIT_SETTINGS=(opcache.enable=1 opcache.jit=tracing opcache.jit_buffer_size=64M opcache.jit_max_exit_counters=200000
    opcache.jit_max_root_traces=9000 opcache.jit_max_side_traces=9000)
JIT=(-d opcache.enable_cli=1 -d memory_limit=1G)
for setting in "${JIT_SETTINGS[@]}"; do JIT+=(-d "$setting"); done
PATH=$PATH:/usr/sbin:/sbin
TAG=$(printf '%s' "$ROOT" | sha256sum | cut -c1-10)

say() { printf '· %s\n' "$*"; }
die() { printf 'spark: %s\n' "$*" >&2; exit 1; }

# Services never run as root: started by root they run as a system user of their own, else as whoever starts them.
if [ "$(id -u)" -eq 0 ]; then SERVICE_USER=${SPARK_USER:-odd-spark}; else SERVICE_USER=$(id -un); fi
as_service() {
    if [ "$(id -u)" -eq 0 ]; then
        HOME=$VAR/home setpriv --reuid="$SERVICE_USER" --regid="$SERVICE_USER" --init-groups --no-new-privs -- "$@"
    else
        "$@"
    fi
}

# Sockets lie in a folder that only the service user enters. A path to a socket has at most 107 letters (unix(7)).
if [ ${#VAR} -le 70 ]; then SOCKETS=$VAR/sock; else SOCKETS=/tmp/odd-spark-$(id -u "$SERVICE_USER" 2>/dev/null)-$TAG; fi
db_socket() { printf '%s/%s-db.sock' "$SOCKETS" "$1"; }

answers() { (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }

# Whether a process works in this folder: a number in an old file may be another program's by now.
is_ours() { case $(readlink "/proc/$1/cwd" 2>/dev/null) in "$ROOT" | "$ROOT"/*) return 0 ;; *) return 1 ;; esac; }

# Ends what an earlier run of a service has left, its workers too: all of its process group that work in this folder.
end_group() { # file with the number of the group, signal, tenths of a second until it is killed
    local group pid left i
    [ -s "$1" ] || return 0
    group=$(tr -cd "0-9" <"$1"); [ -n "$group" ] || return 0
    for i in $(seq 0 "$3"); do
        left=()
        for pid in $(ps -eo pgid=,pid= | awk -v group="$group" '$1 == group { print $2 }'); do
            if [ "$pid" != $$ ] && is_ours "$pid"; then left+=("$pid"); fi
        done
        [ ${#left[@]} -eq 0 ] && return 0
        [ "$i" -eq 0 ] && kill -s "$2" "${left[@]}" 2>/dev/null
        [ "$i" -lt "$3" ] && sleep 0.1
    done
    kill -KILL "${left[@]}" 2>/dev/null
    return 0
}
