on_test_site ops/trials/worst.php || exit 1
