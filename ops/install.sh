# What must be on the machine and in the folder before anything starts.

export COMPOSER_ALLOW_SUPERUSER=1 COMPOSER_NO_INTERACTION=1

# A step that takes long: its name first, its output kept, its end told.
step() {
    local name=$1 log; shift
    log=$VAR/log/$(printf '%s' "$name" | tr -c 'a-zA-Z0-9' '-').log
    printf '· %s …' "$name"
    local start=$SECONDS
    if "$@" >"$log" 2>&1 </dev/null; then printf ' %s s\n' "$((SECONDS - start))"; return 0; fi
    printf ' failed\n'; tail -n 15 "$log" >&2
    die "\"$name\" did not work. All that it printed is in ${log#"$ROOT"/}."
}

install_debian() {
    local missing=() module have folder; have=$(php -m 2>/dev/null)
    for module in pdo_mysql curl gd zip bcmath mbstring intl dom; do
        grep -qix "$module" <<<"$have" || missing+=("php8.2-$(case $module in pdo_mysql) echo mysql ;; dom) echo xml ;; *) echo "$module" ;; esac)")
    done
    command -v php-fpm8.2 >/dev/null || missing+=(php8.2-fpm)
    command -v mariadbd >/dev/null || missing+=(mariadb-server)
    command -v mariadb >/dev/null || missing+=(mariadb-client)
    command -v nginx >/dev/null || missing+=(nginx)
    [ -e /usr/lib/nginx/modules/ngx_nchan_module.so ] || missing+=(libnginx-mod-nchan)
    command -v supervisord >/dev/null || missing+=(supervisor)
    command -v ps >/dev/null || missing+=(procps)
    command -v curl >/dev/null || missing+=(curl)
    command -v setfacl >/dev/null || missing+=(acl)
    if [ "${1:-}" = tests ]; then
        [ -x /usr/bin/chromium-headless-shell ] || [ -x /usr/bin/chromium ] || missing+=(chromium-headless-shell)
        command -v ngspice >/dev/null || missing+=(ngspice)
    fi
    if [ "${1:-}" = scale ]; then
        [ -x /usr/sbin/haproxy ] || missing+=(haproxy)
        [ -e /usr/lib/galera/libgalera_smm.so ] || missing+=(galera-4)
    fi
    # the module looks for the folders that nginx itself makes when it is first begun as root
    local folders=(/var/lib/nginx/{body,fastcgi,proxy,scgi,uwsgi}) bare=''
    for folder in "${folders[@]}"; do [ -d "$folder" ] || bare=yes; done
    [ ${#missing[@]} -eq 0 ] && [ -z "$bare" ] && return 0
    local sudo=()
    if [ "$(id -u)" -ne 0 ]; then
        command -v sudo >/dev/null || die "Debian packages are missing (${missing[*]}) and there is neither root nor sudo. Have them installed, then run this again."
        sudo=(sudo)
    fi
    [ ${#missing[@]} -eq 0 ] || step "Installing Debian packages: ${missing[*]}" debian_packages "${missing[@]}"
    "${sudo[@]}" mkdir -p "${folders[@]}" || die "the folders of nginx cannot be made: ${folders[*]}."
}

# A machine that has just begun looks for updates by itself, and another folder may install too: whoever holds apt's
# locks is waited for, ten minutes at most.
debian_packages() { # names; "sudo" is the caller's
    local said tries=0
    until said=$("${sudo[@]}" env DEBIAN_FRONTEND=noninteractive LC_ALL=C bash -c \
        'apt-get update -q && apt-get install -y --no-install-recommends -q "$@"' _ "$@" 2>&1); do
        case $said in *'Could not get lock'* | *'Unable to acquire the dpkg frontend lock'*) ;; *) tries=120 ;; esac
        [ "$((tries++))" -lt 120 ] || { printf '%s\n' "$said"; return 1; }
        sleep 5
    done
    printf '%s\n' "$said"
}

# Runs a command unless the files it depends on are as they were when it last succeeded.
unchanged() { [ -f "$VAR/stamps/$1" ] && [ "$(cat "$VAR/stamps/$1")" = "$(cat "${@:2}" 2>/dev/null | sha256sum)" ]; }
stamp() { cat "${@:2}" 2>/dev/null | sha256sum >"$VAR/stamps/$1"; }

install_packages() {
    command -v composer >/dev/null || die 'Composer is missing. Install the Debian package composer, then run this again.'
    command -v npm >/dev/null || die 'npm is missing. Install Node.js 20 with npm, then run this again.'
    if [ ! -f vendor/autoload.php ] || ! unchanged composer composer.json; then
        step 'Installing Composer packages' composer install --no-scripts --no-progress
        open_code
        as_service php artisan package:discover >/dev/null || die 'Laravel does not start. See the message above.'
        stamp composer composer.json
    fi
    if [ ! -d node_modules ] || ! unchanged npm package.json package-lock.json; then
        step 'Installing npm packages' npm ci --no-audit --no-fund
        stamp npm package.json package-lock.json
    fi
}

sources() { find resources/js resources/views vite.config.ts package.json tsconfig.json -type f | sort; }
build() {
    local files; mapfile -t files < <(sources)
    [ -f public/build/manifest.json ] && unchanged build "${files[@]}" && return 0
    step 'Building the front end' npx vite build
    chmod -R a+rX public
    stamp build "${files[@]}"
}

# The service user reads the code and writes nowhere in it. A copy made under a strict umask is closed to him at first.
CODE=(app bench bootstrap config contract core database ops public resources routes tests)
open_code() {
    [ "$(id -u)" -eq 0 ] || return 0
    chmod -R a+rX "${CODE[@]}" artisan composer.json phpunit.xml || die "the code cannot be made readable for $SERVICE_USER."
    [ ! -d vendor ] || chmod -R a+rX vendor
    local way=$ROOT
    while [ "$way" != / ]; do
        if ! as_service test -x "$way"; then
            setfacl -m "u:$SERVICE_USER:--x" "$way" 2>/dev/null || die "the user $SERVICE_USER cannot pass through $way. Put the folder where it can, such as /opt/odd-spark."
            say "$SERVICE_USER may pass through $way now."
        fi
        way=$(dirname "$way")
    done
}

# Another folder may make the same user at the same moment: it holds the list of users, or was the first.
make_user() {
    local tries
    for tries in 1 2 3 4 5 6 7 8 9 10; do
        useradd --system --user-group --no-create-home --home-dir /nonexistent --shell /usr/sbin/nologin "$SERVICE_USER" && return 0
        id -u "$SERVICE_USER" >/dev/null 2>&1 && return 0
        sleep 1
    done
    die "the system user $SERVICE_USER cannot be made."
}

# Folders, secrets, and the user that the services run as. Whatever is in them is closed to everyone else.
environment() {
    if [ "$(id -u)" -eq 0 ] && ! id -u "$SERVICE_USER" >/dev/null 2>&1; then
        make_user
        [ ${#VAR} -le 70 ] || SOCKETS=/tmp/odd-spark-$(id -u "$SERVICE_USER")-$TAG
    fi
    umask 0022
    mkdir -p "$VAR"/{log,run,stamps,cache,home,tmp,backups} storage/app storage/framework/{cache/data,sessions,views,slots} storage/logs bootstrap/cache 2>/dev/null || die "cannot write in $ROOT. Run this as the owner of the folder."
    [ -w "$VAR/run" ] || die "the services of this folder belong to $(stat -c %U "$VAR"). Run this as that user, or as root."
    if [ ! -d "$SOCKETS" ]; then mkdir -m 0700 "$SOCKETS" || die "cannot make $SOCKETS."; [ "$(id -u)" -ne 0 ] || chown "$SERVICE_USER:" "$SOCKETS"; fi
    [ "$(stat -c %U:%a "$SOCKETS")" = "$SERVICE_USER:700" ] && [ ! -L "$SOCKETS" ] || die "$SOCKETS is not $SERVICE_USER's own and closed. Remove it, then run this again."
    secrets
    if [ "$(id -u)" -eq 0 ]; then
        # kept to one file system and no link followed: what is there may be another's making
        find "$VAR" storage bootstrap/cache -xdev ! -user "$SERVICE_USER" ! -path "$VAR/run/lock" -exec chown -h "$SERVICE_USER:" {} +
        chown "$SERVICE_USER:" .env
        open_code
    fi
    chmod 0700 "$VAR" "$VAR/backups" storage
    chmod 0600 .env
    umask 0077
}

# The keys and the password of the database: made once, at random. A copy lies with the data that cannot be read without them.
secrets() {
    if [ -z "$(secret APP_KEY)" ] && [ -f "$VAR/env" ]; then (umask 0077; cp "$VAR/env" .env.new) && mv .env.new .env; fi
    [ -f .env ] || { (umask 0077; cp .env.example .env.new) && mv .env.new .env; }
    [ -n "$(secret APP_KEY)" ] || set_secret APP_KEY "$(php -r 'echo "base64:".base64_encode(random_bytes(32));')"
    local password; password=$(secret DB_PASSWORD)
    if [ -z "$password" ] || [ "$password" = spark ]; then set_secret DB_PASSWORD "$(php -r 'echo bin2hex(random_bytes(24));')"; fi
    [ -n "$(secret SPARK_SIGNING_KEY)" ] || set_secret SPARK_SIGNING_KEY "$(php -r 'echo bin2hex(random_bytes(32));')"
    [ "$(secret DB_USERNAME)" = odd_spark_app ] || set_secret DB_USERNAME odd_spark_app
    cmp -s .env "$VAR/env" || { (umask 0077; cp .env "$VAR/env.new") && mv "$VAR/env.new" "$VAR/env"; }
}
secret() { sed -n "s/^$1=//p" .env 2>/dev/null | head -n 1; }
set_secret() { # name value; the value is not put on a command line that others can read
    (umask 0077; { grep -v "^$1=" .env; printf '%s=%s\n' "$1" "$2"; } >.env.new) && mv .env.new .env
}
