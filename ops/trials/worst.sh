on_test_site ops/trials/worst.php
