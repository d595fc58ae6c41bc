# What the school keeps: tables brought up to date, the demo data, backups.

migrate() { # instance database
    step "Bringing the tables up to date ($2)" as_owner artisan "$1" "$2" migrate --force
    step "Sealing the audit log ($2)" as_owner artisan "$1" "$2" audit:seal
    grant_tables "$1" "$2"
    step "Bringing shipped models and rules up to date ($2)" artisan "$1" "$2" shipped:load
}
demo() { # instance database [--if-empty]
    step "Loading the demo data ($2)" as_owner artisan "$1" "$2" demo:load "${@:3}" ${SMALL_DEMO:+--small}
    grant_tables "$1" "$2"
}

# A backup is one file: the database as it stood at one moment, the key, the files that are kept, and what each should hold.
backup() { # file
    local to=$1 work; work=$VAR/tmp/backup-$$
    [ ! -e "$to" ] || die "$to exists already. Name another file."
    (umask 0077; : >"$to.part") 2>/dev/null || die "cannot write $to."
    rm -rf "$work"; as_service mkdir -m 0700 "$work"
    # --single-transaction: one moment of all tables, while people go on working
    if ! as_service mariadb-dump --no-defaults -S "$(db_socket app)" --single-transaction --quick --hex-blob --skip-lock-tables --skip-triggers \
        --ignore-table-data=odd_spark.cache --ignore-table-data=odd_spark.cache_locks odd_spark >"$work/database.sql" 2>"$VAR/log/backup.log"; then
        rm -rf "$work" "$to.part"; die "the database could not be read. See var/log/backup.log."
    fi
    if ! { printf 'odd-spark-backup 1\nmade %s\nAPP_KEY %s\nSPARK_SIGNING_KEY %s\n' "$(date -u +%Y-%m-%dT%H:%M:%SZ)" "$(secret APP_KEY)" "$(secret SPARK_SIGNING_KEY)" >"$work/about" &&
        mkdir -p "$work/files" && cp -a storage/app/. "$work/files/" &&
        (cd "$work" && find . -type f ! -name sums -print0 | sort -z | xargs -0 sha256sum >sums) &&
        tar -C "$work" -czf "$to.part" . && mv "$to.part" "$to"; } 2>>"$VAR/log/backup.log"; then
        rm -rf "$work" "$to.part"; die "the backup could not be written to $to: is the disk full? See var/log/backup.log."
    fi
    rm -rf "$work"
    say "Backup in $to ($(du -h "$to" | cut -f1)). It holds passwords' hashes and the key: keep it closed."
}
backup_name() { printf '%s/backups/odd-spark-%s%s.tar.gz' "$VAR" "$(date -u +%Y%m%d-%H%M%S)" "${1:-}"; }

holds_data() { [ -n "$(db_root app -N -e "SELECT 1 FROM information_schema.tables WHERE table_schema='odd_spark' AND table_name='users'")" ] && [ "$(db_root app -N -e 'SELECT EXISTS (SELECT 1 FROM odd_spark.users)')" = 1 ]; }

# Everything is read and checked beside what is there, and then put in its place in one statement.
restore() { # file [--replace-everything]
    local from=$1 work tables; work=$VAR/tmp/restore
    rm -rf "$work"
    [ -r "$from" ] || die "$from cannot be read."
    if holds_data; then
        [ "${2:-}" = --replace-everything ] || die "there is data here already, and nothing was changed. To replace all of it: ./spark restore $from --replace-everything (a backup of what is here is made first)."
        backup "$(backup_name -before-restore)"
    fi
    mkdir -m 0700 "$work"
    tar --no-same-owner -C "$work" -xzf "$from" 2>/dev/null && [ -f "$work/about" ] && [ -f "$work/sums" ] || die "$from is not a backup of Odd Spark, or a damaged one. Nothing was changed."
    [ "$(head -n 1 "$work/about")" = 'odd-spark-backup 1' ] || die "$from was made by a newer version of Odd Spark. Nothing was changed."
    (cd "$work" && sha256sum --quiet --strict -c sums >/dev/null 2>&1 && [ "$(find . -type f ! -name sums | wc -l)" -eq "$(wc -l <sums)" ]) || die "$from is damaged: what it holds is not what was put in. Nothing was changed."
    db_root app -e 'DROP DATABASE IF EXISTS odd_spark_incoming; CREATE DATABASE odd_spark_incoming'
    db_root app --max-allowed-packet=64M odd_spark_incoming <"$work/database.sql" 2>"$VAR/log/restore.log" || die "the database of the backup cannot be read. Nothing was changed; see var/log/restore.log."
    tables=$(db_root app -N -e "SELECT table_name FROM information_schema.tables WHERE table_schema='odd_spark_incoming'")
    [ -n "$tables" ] || die "$from holds no tables. Nothing was changed."
    stop_site app
    db_root app -e 'DROP DATABASE IF EXISTS odd_spark_outgoing; CREATE DATABASE odd_spark_outgoing; CREATE DATABASE IF NOT EXISTS odd_spark'
    local list='' table trigger
    # a table with a trigger stays where it is; migrate makes them anew
    for trigger in $(db_root app -N -e "SELECT CONCAT(trigger_schema, '.', trigger_name) FROM information_schema.triggers WHERE trigger_schema IN ('odd_spark', 'odd_spark_incoming')"); do db_root app -e "DROP TRIGGER $trigger"; done
    for table in $(db_root app -N -e "SELECT table_name FROM information_schema.tables WHERE table_schema='odd_spark'"); do list+=",odd_spark.$table TO odd_spark_outgoing.$table"; done
    for table in $tables; do list+=",odd_spark_incoming.$table TO odd_spark.$table"; done
    db_root app -e "RENAME TABLE ${list#,}" 2>"$VAR/log/restore.log" || die "the tables could not be put in place. What was here is still here; see var/log/restore.log."
    db_root app -e 'DROP DATABASE odd_spark_outgoing; DROP DATABASE odd_spark_incoming'
    local made; made=$(sed -n 's/^made //p' "$work/about")
    set_secret APP_KEY "$(sed -n 's/^APP_KEY //p' "$work/about")"
    local signing; signing=$(sed -n 's/^SPARK_SIGNING_KEY //p' "$work/about")
    [ -z "$signing" ] || set_secret SPARK_SIGNING_KEY "$signing"
    rm -rf storage/app; cp -a "$work/files" storage/app
    rm -rf "$work"
    environment # what was put in place is the service user's
    migrate app odd_spark
    start_site app odd_spark "$WEB_PORT"
    say "Restored from $from, made $made. Everybody signs in with the password of then."
}
