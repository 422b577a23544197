# A private PostgreSQL cluster under a folder of the project's own, on a free loopback port.
# cluster_start FOLDER sets DATABASE_URL (CLUSTER_FLAGS: what else the server is told); cluster_stop FOLDER ends it and leaves the data whole.

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

# A new cluster is made beside its place and moved there whole: a start that is broken off leaves none behind.
cluster_make() {
  local home=$1 secret=$2 bin=$3 making="$1.making"
  rm -rf "$making"
  mkdir -p "$making" || fail "The folder $(dirname "$home") cannot be written."
  chmod 700 "$making"
  [ "$(id -u)" = 0 ] && chown postgres "$making"
  [ -s "$secret" ] || new_secret "$secret"
  local pwfile="$making.pw"
  (umask 077 && cp "$secret" "$pwfile")
  [ "$(id -u)" = 0 ] && chown postgres "$pwfile"
  say "Making a private PostgreSQL cluster"
  if ! as_owner "$bin/initdb" -D "$making" -U velvet -A scram-sha-256 --pwfile="$pwfile" -E UTF8 --locale=C.UTF-8 > "$home.making.log" 2>&1; then
    say "The cluster could not be made:"
    tail -n 3 "$home.making.log" >&2
    rm -rf "$making" "$pwfile"
    exit 1
  fi
  rm -f "$pwfile" "$home.making.log"
  rm -rf "$home"
  mv "$making" "$home"
}

new_secret() {
  (umask 077 && head -c 24 /dev/urandom | base64 | tr -d '/+=\n' > "$1") || fail "The folder $(dirname "$1") cannot be written."
}

# Whether a cluster is running: a number left behind by a killed one may belong to another program by now.
cluster_runs() {
  local home=$1 bin=$2 pid
  [ -f "$home/postmaster.pid" ] || return 1
  pid=$(head -n 1 "$home/postmaster.pid")
  if ! grep -qa postgres "/proc/$pid/cmdline" 2> /dev/null; then
    rm -f "$home/postmaster.pid"
    return 1
  fi
  as_owner "$bin/pg_ctl" -D "$home" status > /dev/null 2>&1
}

# The owner's password is set anew, without the old one, while the cluster does not run.
cluster_reset_secret() {
  local home=$1 secret=$2 bin=$3
  cluster_runs "$home" "$bin" && as_owner "$bin/pg_ctl" -D "$home" -m fast -w stop > /dev/null 2>&1
  say "The database's password was gone; it gets a new one."
  new_secret "$secret"
  printf "alter user velvet password '%s'\n" "$(cat "$secret")" |
    as_owner "$bin/postgres" --single -D "$home" postgres > /dev/null 2>&1 ||
    fail "The password could not be set anew; the log is $home/server.log"
}

cluster_start() {
  local home bin socket secret port
  mkdir -p "$(dirname "$1")" || fail "The folder $(dirname "$1") cannot be written."
  home=$(cluster_home "$1")
  mkdir -p "$(dirname "$home")" || fail "The folder $(dirname "$home") cannot be written."
  bin=$(find_postgres)
  socket="/tmp/velvet-$(printf '%s' "$home" | sha256sum | cut -c1-12)"
  secret="$home.secret"
  mkdir -p "$socket"
  chmod 700 "$socket"
  [ "$(id -u)" = 0 ] && chown postgres "$socket"
  # pg_control is the last that is written of a whole cluster.
  [ -s "$home/global/pg_control" ] || cluster_make "$home" "$secret" "$bin"
  [ -s "$secret" ] || cluster_reset_secret "$home" "$secret" "$bin"
  if cluster_runs "$home" "$bin"; then
    port=$(sed -n 4p "$home/postmaster.pid")
  else
    port=$(free_port)
    as_owner "$bin/pg_ctl" -D "$home" -w -t 60 -l "$home/server.log" -o "-c listen_addresses=127.0.0.1 -c port=$port -c unix_socket_directories=$socket ${CLUSTER_FLAGS:-}" start > /dev/null 2>&1 9>&- ||
      fail "PostgreSQL did not start; its log is $home/server.log"
  fi
  export DATABASE_URL="postgres://velvet:$(cat "$secret")@127.0.0.1:$port/postgres"
}

cluster_stop() {
  local home
  home=$(cluster_home "$1")
  as_owner "$(find_postgres)/pg_ctl" -D "$home" -m fast -w stop > /dev/null 2>&1 || true
}

# copy_database FROM TO: a database of the running cluster, copied whole while nobody uses it.
copy_database() {
  "$(find_postgres)/psql" -q "${DATABASE_URL%/*}/template1" -c "create database $2 template $1"
}
