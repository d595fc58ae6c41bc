# Folders that are set up at one moment on one machine: no database takes another's temporary tables away, at set-up or later.

many=(together-{1..8})
forget() { local name; for name in "${many[@]}"; do rm -rf "$VAR/$name-db" "$(db_tmp "$name")"; done; }
trap forget EXIT
for round in $(seq 1 "${TOGETHER_ROUNDS:-3}"); do
    forget; begun=() bad=0
    for name in "${many[@]}"; do (prepare_db "$name" >/dev/null 2>&1) & begun+=($!); done
    for pid in "${begun[@]}"; do wait "$pid" || bad=$((bad + 1)); done
    [ "$bad" -eq 0 ] || die "$bad of ${#many[@]} databases could not be set up at once, in round $round."
done
say "ok: ${#many[@]} databases set up at once, ${TOGETHER_ROUNDS:-3} times"
shared=$(ps -eo args | grep -E '^([^ ]*/)?mariadbd ' | grep -F "$VAR/" | grep -oE -- '--tmpdir=[^ ]+' | sort | uniq -d)
[ -z "$shared" ] || die "two databases keep their temporary tables in one folder: $shared"
