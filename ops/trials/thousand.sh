on_test_site ops/trials/thousand.php
