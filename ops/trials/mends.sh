# `up` mends whatever it finds: a supervisor that was killed, with its services left alone; nginx's worker without its master; lost files, the key among them.
. ops/trials/lib/folders.sh

TRIAL=$(mktemp -d /tmp/odd-spark-trial-XXXXXX); chmod 0755 "$TRIAL"
one=$(another_folder one)
trap 'in_folder "$one" 8917 down >/dev/null; rm -rf "$TRIAL"' EXIT
in_folder "$one" 8917 up >/dev/null || die 'it does not start.'
group() { cat "$one/var/run/app-$1.group"; }
answers_as_its_own() { curl -fsS -m 5 http://127.0.0.1:8917/up | grep -q '"up":true'; }
processes() { ps -eo user:32,args | grep -F "$one/var" | grep -cE '^[^ ]+ +(mariadbd|nginx: master|php-fpm: master|/usr/bin/python3)'; }
say "$(processes) masters run"
[ "$(processes)" -eq 5 ] || die 'that is not what should run.'

for what in supervisor 'supervisor nginx' 'supervisor db' 'supervisor fpm-bench fpm-pages nginx db'; do
    for program in $what; do
        if [ "$program" = supervisor ]; then kill -9 "$(cat "$one/var/run/app-supervisord.pid")"; else kill -9 "$(group "$program")"; fi
    done
    in_folder "$one" 8917 up >"$TRIAL/up.log" 2>&1 || { cat "$TRIAL/up.log"; die "up does not mend: $what killed."; }
    answers_as_its_own || die "it does not answer: $what killed."
    [ "$(processes)" -eq 5 ] || { ps -eo user:32,pid,args | grep -F "$one"; die "something runs twice: $what killed."; }
    say "ok: $what killed, up mends it"
done
echo 'not a number' >"$one/var/run/app-nginx.group"; rm -f "$one"/var/run/*.pid "$one/var/sock/app-fpm-bench.sock"
in_folder "$one" 8917 down >/dev/null; in_folder "$one" 8917 up >/dev/null || die 'up does not mend lost files.'
answers_as_its_own || die 'it does not answer: files were lost.'
in_folder "$one" 8917 up >"$TRIAL/up.log"; grep -q 'running already' "$TRIAL/up.log" || die 'a second up does something.'
say 'ok: lost files are mended, and what runs is left alone'
key=$(grep '^APP_KEY=' "$one/.env")
for how in 'rm -f' 'truncate -s 0'; do
    $how "$one/.env"
    in_folder "$one" 8917 up >"$TRIAL/up.log" 2>&1 || { cat "$TRIAL/up.log"; die "up does not mend: $how .env"; }
    [ "$(grep '^APP_KEY=' "$one/.env")" = "$key" ] || die 'the key is another: what was written with it cannot be read any more.'
    curl -fsS -m 10 http://127.0.0.1:8917/login >/dev/null || die "the sign-in does not answer: $how .env"
done
say 'ok: the key and the password come back from their copy'
