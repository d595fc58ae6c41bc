# A full disk: one plain sentence, nothing half written; with room again, all goes on.
. ops/trials/lib/folders.sh

TRIAL=$(mktemp -d /tmp/odd-spark-trial-XXXXXX); chmod 0755 "$TRIAL"
full=$(another_folder full); cp -r "$full/var" "$TRIAL/var"
mkdir -p "$full/storage"
if ! mount -t tmpfs -o size=700m,mode=0755 tmpfs "$full/var" 2>/dev/null; then rm -rf "$TRIAL"; say 'left out: no small disk can be made here'; return 0; fi
cp -r "$TRIAL/var/." "$full/var/"
trap 'in_folder "$full" 8937 down >/dev/null; umount "$full/var"; rm -rf "$TRIAL"' EXIT
in_folder "$full" 8937 up >/dev/null || die 'it does not start.'
(cd "$full" && as_service env DB_SOCKET="$(folder_socket "$full")" DB_DATABASE=odd_spark APP_CONFIG_CACHE=/nonexistent SPARK_URL=http://127.0.0.1:8937 FULL="$full/var/tmp/filler" php ops/trials/lib/disk-full.php 9>&-) || die 'see above.'
