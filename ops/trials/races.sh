on_test_site ops/trials/races.php || exit 1
