on_test_site ops/trials/fuzz.php "${FUZZ:-10000}" "${FUZZ_SEED:-1}" || exit 1
