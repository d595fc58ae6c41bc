# Tests, pictures and measurements. They have an instance of their own, and leave the application's alone.

run_tests() { # all of them, or: core | feature | front | browser, with the runner's own arguments
    lock; environment; install_debian tests; install_packages; build; core_packages
    if [ $# -gt 0 ]; then run_one "$@"; return; fi
    rm -rf "$VAR/results"; as_service mkdir -p "$VAR/results"
    local failed=0 beside
    trap '[ -z "${beside:-}" ] || kill -- "-$beside" 2>/dev/null; stop_instance test' EXIT
    start_supervisor test odd_spark_browser "$((WEB_PORT + 1))"; create_db test odd_spark_test
    rm -rf "$VAR/run/feature-done" "$VAR"/run/taken-*
    set -m # a group of its own, to be ended with what it has begun
    beside_the_browser >"$VAR/log/beside.log" 2>&1 9>&- </dev/null &
    beside=$!
    set +m
    start_browser_site
    say 'Browser'; browser_tests || failed=1
    # the feature tests need the database that is killed now
    while kill -0 "$beside" 2>/dev/null && [ ! -e "$VAR/run/feature-done" ]; do sleep 1; done
    start_browser_site # with the demo data as it came; what is killed now nobody else uses
    KILL_ROUNDS=1 TOGETHER_ROUNDS=1 sample_of_trials asked races kills files together || failed=1
    core_suites || failed=1
    wait "$beside" || failed=1
    cat "$VAR/log/beside.log"
    stop_instance test; trap - EXIT
    php bench/totals.php "$VAR/results" "$failed"
}

beside_the_browser() { # the core asks for no service, and the feature tests for the database alone
    local failed=0
    say 'Style'; vendor/bin/pint --test --quiet && styled || failed=1
    say 'Front end'; npx vitest run --reporter=default --reporter=json --outputFile.json="$VAR/results/front.json" 9>&- || failed=1
    say 'Feature'; feature_tests || failed=1
    : >"$VAR/run/feature-done"
    core_suites || failed=1
    return "$failed"
}

core_suites() { # whichever of the two lanes is free takes the next one
    local suite failed=0
    for suite in core marking suspects building; do
        as_service mkdir "$VAR/run/taken-$suite" 2>/dev/null || continue
        say "Core: $suite"; core_tests "$suite" || failed=1
    done
    return "$failed"
}

core_tests() { # a suite of core/phpunit.xml
    as_service php "${JIT[@]}" core/vendor/bin/phpunit -c core/phpunit.xml --testsuite "$1" --no-progress --log-junit "$VAR/results/$1.xml"
}

sample_of_trials() { # names
    local trial passed=0 bad=0
    for trial in "$@"; do
        say "Trial: $trial"
        if (. "ops/trials/$trial.sh"); then passed=$((passed + 1)); else bad=$((bad + 1)); fi
    done
    printf '{"passed": %d, "failed": %d}' "$passed" "$bad" >"$VAR/results/trials.json"
    [ "$bad" -eq 0 ]
}

run_one() {
    case $1 in
        core) as_service php "${JIT[@]}" core/vendor/bin/phpunit -c core/phpunit.xml "${@:2}" ;;
        front) npx vitest run "${@:2}" ;;
        feature) trap 'stop_instance test' EXIT; start_supervisor test odd_spark_browser "$((WEB_PORT + 1))"; create_db test odd_spark_test; feature_tests "${@:2}" ;;
        browser) trap 'stop_instance test' EXIT; start_browser_site; browser_tests "${@:2}" ;;
        *) die "there are no tests called $1: core, feature, front or browser." ;;
    esac
}

core_packages() {
    [ -d core/vendor ] && unchanged core core/composer.json && return 0
    step 'Installing packages of the core' composer install --working-dir=core --no-progress
    chmod -R a+rX core
    stamp core core/composer.json
}

feature_tests() {
    as_service env DB_SOCKET="$(db_socket test)" DB_PORT="$(db_port test)" TMPDIR="$VAR/tmp" php "${JIT[@]}" vendor/bin/phpunit --no-progress --log-junit "$VAR/results/feature.xml" "$@" 9>&-
}
browser_tests() {
    PLAYWRIGHT_JSON_OUTPUT_NAME=$VAR/results/browser.json npx playwright test --reporter=list,json "$@" 9>&-
}

# A site with the demo data as it comes: for the browser tests and the pictures.
start_browser_site() {
    local port=$((WEB_PORT + 1))
    start_supervisor test odd_spark_browser "$port"
    stop_site test
    local loaded=$VAR/tmp/browser-demo.sql
    db_root test -e 'DROP DATABASE IF EXISTS odd_spark_browser'; create_db test odd_spark_browser
    if [ "${DEMO_LOADED:-}" = yes ]; then
        db_root test odd_spark_browser <"$loaded"; grant_tables test odd_spark_browser
    else
        migrate test odd_spark_browser; SMALL_DEMO=yes demo test odd_spark_browser
        (umask 0077; as_service mariadb-dump --no-defaults -S "$(db_socket test)" --triggers --hex-blob odd_spark_browser >"$loaded")
        DEMO_LOADED=yes # the next site of this run begins with the same
    fi
    start_site test odd_spark_browser "$port"
    export SPARK_URL=http://127.0.0.1:$port SPARK_SUPERVISOR=$VAR/run/test-supervisor.conf
}

with_browser_site() { # a command and its arguments, with a site of the tests' own
    lock; environment; install_debian tests; install_packages; build; core_packages
    trap 'stop_instance test' EXIT
    start_browser_site >&2
    "$@"
}

shots() { mkdir -p docs/screenshots; node e2e/shots.mjs "$@" 9>&-; }

measure() {
    as_service env DB_SOCKET="$(db_socket test)" DB_DATABASE=odd_spark_browser DB_PORT="$(db_port test)" APP_CONFIG_CACHE="$VAR/run/test-config.php" SPARK_URL="$SPARK_URL" php "${JIT[@]}" bench/bench.php "$@" 9>&-
}

check() {
    lock; environment; install_debian tests; install_packages; build; core_packages
    vendor/bin/pint --test && vendor/bin/phpstan analyse --memory-limit=1G --no-progress && npx tsc --noEmit && styled && record &&
        all_of_what_is_sampled &&
        SPARK_FACTS=1 php "${JIT[@]}" vendor/bin/phpunit -c core/phpunit.xml --no-progress --filter FactsTest &&
        SPARK_ALL_FAULTS=1 with_browser_site browser_tests -g 'every shipped model|from an empty board with nothing' &&
        with_browser_site trials
}

# The tests that try a sample in each run, whole: all that ask for it, so that none is forgotten; each by itself, since
# what they keep adds up.
all_of_what_is_sampled() {
    local file files failed=0; mapfile -t files < <(sampled core/tests)
    for file in "${files[@]}"; do
        say "All of $(basename "$file" .php)"
        SPARK_ALL_FAULTS=1 as_service php "${JIT[@]}" core/vendor/bin/phpunit -c core/phpunit.xml --no-progress "$file" || failed=1
    done
    mapfile -t files < <(sampled tests/Feature)
    for file in "${files[@]}"; do
        say "All of $(basename "$file" .php)"
        (SPARK_ALL_FAULTS=1 run_one feature "$file") || failed=1
    done
    [ "$failed" -eq 0 ]
}
sampled() { grep -rlE 'SPARK_ALL_FAULTS|Models::some|Sample::of' "$1" --include='*Test.php' | sort; } # folder

styled() { npx eslint --max-warnings 0 resources/js e2e && npx prettier --check --log-level warn resources/js e2e; }

record() { as_service env TMPDIR="$VAR/tmp" php "${JIT[@]}" -d memory_limit=2G core/tests/record.php "$@"; } # what is computed for every call, attempt and model

on_test_site() { # a PHP script and its arguments, as the service user
    as_service env DB_SOCKET="$(db_socket test)" DB_DATABASE=odd_spark_browser DB_PORT="$(db_port test)" APP_CONFIG_CACHE=/nonexistent SPARK_URL="$SPARK_URL" SPARK_SUPERVISOR="$SPARK_SUPERVISOR" TMPDIR="$VAR/tmp" php "$@" 9>&-
}

# The whole run again and again, the last few beside four busy loops: a test that fails once is one to mend.
again_and_again() { # times, of them busy
    local times=${1:-10} busy=${2:-3} i log loops=() bad=0
    mkdir -p "$VAR/log"
    for i in $(seq 1 "$times"); do
        log=$VAR/log/whole-run-$i.log loops=()
        if [ "$i" -gt $((times - busy)) ]; then for _ in 1 2 3 4; do (while :; do :; done) & loops+=($!); done; fi
        SECONDS=0
        "$ROOT/spark" test >"$log" 2>&1 || bad=$((bad + 1))
        [ ${#loops[@]} -eq 0 ] || kill "${loops[@]}"
        printf '%2d%s  %4d s  %s\n' "$i" "$([ ${#loops[@]} -eq 0 ] || echo ' (busy)')" "$SECONDS" "$(tail -n 1 "$log")"
    done
    [ "$bad" -eq 0 ]
}

# Trials that take minutes: kills, fuzzed requests, one who does his worst, backups, who can read what.
trials() {
    local trial
    for trial in ops/trials/*.sh; do
        case " ${*:-all} " in *' all '* | *" $(basename "$trial" .sh) "*) say "Trial: $(basename "$trial" .sh)"; (. "$trial") || die "the trial $(basename "$trial" .sh) failed." ;; esac
    done
}
