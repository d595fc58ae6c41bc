on_test_site ops/trials/thousand.php || exit 1
