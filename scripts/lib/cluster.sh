# A private PostgreSQL cluster under a folder of the project's own, on a free loopback port.
# cluster_start FOLDER sets DATABASE_URL; cluster_stop FOLDER ends it and leaves the data whole.

# Root may not run the server, so then the user postgres does, from /.
as_owner() {
  if [ "$(id -u)" = 0 ]; then
    (cd / && runuser -u postgres -- "$@")
  else
    "$@"
  fi
}

# Where the data really lies: the folder itself, or a place under /var/lib when the user postgres cannot reach it.
cluster_home() {
  local folder=$1
  if [ "$(id -u)" = 0 ] && ! as_owner test -x "$(dirname "$folder")" 2> /dev/null; then
    printf '/var/lib/velvet-thumb/%s' "$(printf '%s' "$folder" | sha256sum | cut -c1-16)"
  else
    printf '%s' "$folder"
  fi
}

cluster_start() {
  local home bin socket secret port
  mkdir -p "$(dirname "$1")"
  home=$(cluster_home "$1")
  bin=$(find_postgres)
  socket="/tmp/velvet-$(printf '%s' "$home" | sha256sum | cut -c1-12)"
  secret="$home.secret"
  mkdir -p "$home" "$socket"
  chmod 700 "$home" "$socket"
  [ "$(id -u)" = 0 ] && chown postgres "$home" "$socket"
  if [ ! -s "$home/PG_VERSION" ]; then
    [ -f "$secret" ] || (umask 077 && head -c 24 /dev/urandom | base64 | tr -d '/+=\n' > "$secret")
    local pwfile="$socket/pw"
    (umask 077 && cp "$secret" "$pwfile")
    [ "$(id -u)" = 0 ] && chown postgres "$pwfile"
    say "Making a private PostgreSQL cluster"
    as_owner "$bin/initdb" -D "$home" -U velvet -A scram-sha-256 --pwfile="$pwfile" -E UTF8 --locale=C.UTF-8 > /dev/null
    rm -f "$pwfile"
  fi
  if as_owner "$bin/pg_ctl" -D "$home" status > /dev/null 2>&1; then
    port=$(sed -n 4p "$home/postmaster.pid")
  else
    port=$(free_port)
    as_owner "$bin/pg_ctl" -D "$home" -w -t 60 -l "$home/server.log" -o "-c listen_addresses=127.0.0.1 -c port=$port -c unix_socket_directories=$socket" start > /dev/null 9>&- ||
      fail "PostgreSQL did not start; its log is $home/server.log"
  fi
  export DATABASE_URL="postgres://velvet:$(cat "$secret")@127.0.0.1:$port/postgres"
}

cluster_stop() {
  local home
  home=$(cluster_home "$1")
  as_owner "$(find_postgres)/pg_ctl" -D "$home" -m fast -w stop > /dev/null 2>&1 || true
}
