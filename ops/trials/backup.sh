# A backup made while people work, put back over what has changed since, and into an empty folder: every mark, override,
# model version and attempt is as it was, and an attempt that was open goes on. Two folders never touch each other's data.

. ops/trials/lib/folders.sh

kept() { # folder: all that a school keeps, as text
    (cd "$1" && as_service mariadb-dump --no-defaults -S "$(folder_socket "$1")" --skip-comments --skip-extended-insert --hex-blob --single-transaction \
        --ignore-table-data=odd_spark.cache --ignore-table-data=odd_spark.cache_locks --ignore-table=odd_spark.sessions --ignore-table=odd_spark.jobs --ignore-table=odd_spark.tasks odd_spark)
}
idle() { # folder: what was asked for has been worked out
    local i
    for i in $(seq 1 1200); do
        [ "$(cd "$1" && as_service mariadb --no-defaults -S "$(folder_socket "$1")" -N -e 'SELECT COUNT(*) FROM jobs' odd_spark)" = 0 ] && return 0
        sleep 0.5
    done
    die 'the queue does not come to an end.'
}
client() { # folder, port, script
    (cd "$1" && as_service env DB_SOCKET="$(folder_socket "$1")" DB_DATABASE=odd_spark APP_CONFIG_CACHE=/nonexistent SPARK_URL="http://127.0.0.1:$2" php ops/trials/backup.php "${@:3}" 9>&-)
}

TRIAL=$(mktemp -d /tmp/odd-spark-trial-XXXXXX); chmod 0755 "$TRIAL"
one=$(another_folder one); two=$(another_folder two)
trap 'in_folder "$one" 8917 down >/dev/null; in_folder "$two" 8927 down >/dev/null; rm -rf "$TRIAL"' EXIT
in_folder "$one" 8917 up || die 'the first folder does not start.'
client "$one" 8917 work || die 'nobody could work there.'

say 'A backup while somebody works'
client "$one" 8917 busy &
busy=$!
in_folder "$one" 8917 backup "$TRIAL/kept.tar.gz" || die 'no backup was made.'
wait "$busy" || die 'somebody was disturbed by the backup.'
[ "$(stat -c %a "$TRIAL/kept.tar.gz")" = 600 ] || die 'others can read the backup.'
client "$one" 8917 remember >"$TRIAL/marks" || die 'the marks could not be read.'
chmod 0644 "$TRIAL/marks"
idle "$one"; kept "$one" >"$TRIAL/before.sql"

say 'What would be lost is not, without being told so'
if in_folder "$one" 8917 demo >/dev/null 2>&1; then die 'the demo data was put over a draft and an override.'; fi
if in_folder "$one" 8917 restore "$TRIAL/kept.tar.gz" >/dev/null 2>&1; then die 'a backup was put over data.'; fi
head -c 2000 "$TRIAL/kept.tar.gz" >"$TRIAL/half.tar.gz"
if in_folder "$one" 8917 restore "$TRIAL/half.tar.gz" --replace-everything >/dev/null 2>&1; then die 'half a backup was taken for one.'; fi
kept "$one" >"$TRIAL/after.sql"
diff "$TRIAL/before.sql" "$TRIAL/after.sql" | cut -c1-200 | head -n 20 | grep . && die 'a refusal changed something.'

say 'Put back over what has changed since'
in_folder "$one" 8917 demo --replace-everything >/dev/null || die 'the demo data could not be put back.'
ls "$one"/var/backups/*before-demo* >/dev/null || die 'no backup was made before the demo data was put back.'
in_folder "$one" 8917 restore "$TRIAL/kept.tar.gz" --replace-everything || die 'the backup could not be put back.'
client "$one" 8917 compare "$TRIAL/marks" || die 'something is not as it was.'
client "$one" 8917 go-on || die 'the attempt that was open does not go on.'
client "$one" 8917 remember >"$TRIAL/marks-on" || die 'the marks could not be read.'
chmod 0644 "$TRIAL/marks-on"

say 'Into an empty folder, beside the first'
if in_folder "$two" 8917 up --empty >/dev/null 2>&1; then die 'a second folder started on the port of the first.'; fi
in_folder "$two" 8927 restore "$TRIAL/kept.tar.gz" || die 'the backup could not be put into an empty folder.'
client "$two" 8927 compare "$TRIAL/marks" || die 'something is not as it was.'
client "$two" 8927 go-on || die 'the attempt that was open does not go on.'
in_folder "$two" 8927 demo --replace-everything >/dev/null || die 'the demo data could not be put back in the second folder.'
in_folder "$two" 8927 down >/dev/null
client "$one" 8917 compare "$TRIAL/marks-on" || die 'the second folder touched the data of the first.'
in_folder "$one" 8917 down >/dev/null
say 'ok: marks, overrides, versions and attempts are the same to the digit'
