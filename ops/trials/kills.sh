on_test_site ops/trials/kills.php "${KILL_ROUNDS:-2}" || exit 1
