# Installations beside this one, for trials.

another_folder() { # name; a copy of this one with nothing of its own in it
    local to=$TRIAL/$1
    mkdir -p "$to/var"
    git ls-files -z | xargs -0 cp --parents -t "$to"
    cp -r vendor node_modules "$to/"; cp -r core/vendor "$to/core/"; cp -r public/build "$to/public/"
    cp -r var/stamps "$to/var/"; rm -f "$to/var/stamps/up"
    printf '%s' "$to"
}
in_folder() { # folder, web port, then a spark command
    (cd "$1" && exec env -u SPARK_URL -u SPARK_SUPERVISOR SPARK_PORT="$2" SPARK_DB_PORT="$(($2 + 25000))" ./spark "${@:3}" 9>&-)
}
folder_socket() { (ROOT=$1; cd "$1" && . ops/lib.sh && db_socket app); }
