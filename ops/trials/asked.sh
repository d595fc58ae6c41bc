# A verb that is asked about, or given what it does not take, begins nothing.

said=$(./spark help)
for verb in up down status demo restore backup instructor administrator test test-again check record trial shots bench; do
    [ "$(./spark "$verb" --help)" = "$said" ] || die "./spark $verb --help does something."
done
for call in 'up --emty' 'down now' 'status x' 'check all' 'demo --replace' 'restore /nowhere --yes' 'backup here there' 'test-again often' 'tset'; do
    # shellcheck disable=SC2086
    if ./spark $call >/dev/null 2>&1; then die "./spark $call was taken."; fi
done
say 'ok: what is not understood begins nothing'
