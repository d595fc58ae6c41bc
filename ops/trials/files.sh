# Who can read what: no secret, socket or kept file is open to another user of this machine, and no service runs as root.

say 'What others could read or write'
# what lies within a folder that others cannot enter is closed to them, whatever its own mode
open=$(find "$VAR" .env storage "$SOCKETS" -xdev -type d ! -perm /o=rwx -prune -o ! -type l -perm /o=rwx -printf '%M %u %p\n')
stat -c '%A %U:%G %n' .env "$VAR" storage "$SOCKETS" "$SOCKETS"/* "$VAR"/*-db "$VAR/run/test-config.php" "$VAR/backups" 2>/dev/null
[ -z "$open" ] || { printf '%s\n' "$open" | head -n 20; die 'others can read or write that.'; }

if [ "$(id -u)" -eq 0 ]; then
    as_nobody() { setpriv --reuid=65534 --regid=65534 --clear-groups --no-new-privs -- "$@" 2>/dev/null; }
    for path in .env "$VAR" storage "$(db_socket test)" "$SOCKETS/test-fpm-bench.sock" "$SOCKETS/test-supervisor.sock" "$VAR/run/test-config.php"; do
        if as_nobody test -r "$path" || as_nobody test -w "$path"; then die "nobody can get at $path."; fi
    done
    if as_nobody mariadb --no-defaults -h 127.0.0.1 -P "$(db_port test)" -uroot -e 'SELECT 1' >/dev/null; then die 'the administrator of the database has no password on TCP.'; fi
    if mariadb --no-defaults -S "$(db_socket test)" -uroot -e 'SELECT 1' >/dev/null 2>&1; then die 'root signs in to the database without a password.'; fi
    running=$(ps -eo user:32,pid,args | grep -F "$ROOT" | grep -E 'supervisord|mariadbd|php-fpm|nginx|queue:work' | grep -v grep)
    printf '%s\n' "$running" | awk '$1 == "root"' | grep -q . && die 'a service runs as root.'
fi
more=$(db_root test -N -r -e "SELECT 'anything at all' FROM information_schema.user_privileges WHERE GRANTEE LIKE '%odd_spark_app%' AND PRIVILEGE_TYPE <> 'USAGE'
    UNION SELECT table_schema FROM information_schema.schema_privileges WHERE GRANTEE LIKE '%odd_spark_app%' AND REPLACE(table_schema, CHAR(92), '') NOT IN ('odd_spark_test', 'odd_spark_browser')")
[ -z "$more" ] || die "the application has rights on $more."
open=$(find "$SOCKETS" -type s -perm /o=rwx); [ -z "$open" ] || die "a socket is open to others: $open"
password=$(secret DB_PASSWORD); [ ${#password} -ge 40 ] || die 'the password of the database is short.'

say 'What the application may do with its own tables'
as_app() { MYSQL_PWD=$(secret DB_PASSWORD) mariadb --no-defaults -S "$(db_socket test)" -u odd_spark_app odd_spark_browser -e "$1" 2>/dev/null; }
as_app 'SELECT COUNT(*) FROM audit_entries; UPDATE users SET name = name WHERE id = 0' >/dev/null || die 'the application cannot do its work.'
for change in "UPDATE audit_entries SET act = 'x'" 'DELETE FROM audit_entries' 'TRUNCATE audit_entries' 'DROP TABLE audit_entries' 'DROP TRIGGER audit_entries_no_delete' \
    'ALTER TABLE audit_entries ADD x INT' 'RENAME TABLE audit_entries TO elsewhere' 'DROP TABLE entries' 'CREATE TABLE more (id INT)'; do
    ! as_app "$change" || die "the application may do this: $change"
done

say 'A copy that its owner keeps to himself'
if [ "$(id -u)" -eq 0 ]; then
    copy=$(mktemp -d /tmp/odd-spark-trial-XXXXXX)
    (umask 0077; git ls-files -z | xargs -0 cp --parents -t "$copy"; cd "$copy" && ROOT=$copy open_code) >/dev/null || die 'the copy cannot be opened to the services.'
    closed=$(cd "$copy" && as_service find . -mindepth 2 ! -path './.ci/*' ! -path './docs/*' ! -path './e2e/*' ! -path './storage/*' ! -readable)
    rm -rf "$copy"
    [ -z "$closed" ] || { printf '%s\n' "$closed" | head -n 20; die 'the services could not read that.'; }
fi

say 'What the site serves'
for path in /.env /index.php /../.env /.htaccess /storage/logs /vendor/autoload.php /build/ /build/../index.php /composer.json /var/run/app-config.php; do
    text=$(curl -s --path-as-is "$SPARK_URL$path")
    case $text in *'<?php'* | *APP_KEY* | *DB_PASSWORD*) die "$path shows what it should not." ;; esac
done
curl -s -D - -o /dev/null "$SPARK_URL/login" | grep -qi "^content-security-policy: .*script-src 'self';" || die 'the pages have no policy.'
curl -s -H 'Host: evil.example' -o /dev/null -w '%{http_code}' "$SPARK_URL/login" | grep -q 400 || die 'another host name is answered to.'
if curl -s "$SPARK_URL/login" | grep -E '<script' | grep -qvE 'src="[^"]*/build/|application/json'; then die 'there is script within a page.'; fi
say 'ok: closed to others, nothing runs as root, nothing is served but the site'
