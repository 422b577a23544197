# A cluster and a server of this command's own, with the demo data in them, gone again at the end.
# own_house NAME: sets DATABASE_URL, PORT and SERVER.
own_house() {
  OWN_DATA="$PWD/.test-data/$1"
  SERVER=
  trap 'server_stop; cluster_stop "$OWN_DATA"' EXIT
  trap 'exit 130' INT TERM HUP
  own_cluster "$OWN_DATA"
  npx tsx scripts/prepare-database.ts --demo
  PORT=$(free_port)
  server_start 127.0.0.1 "$PORT" "$OWN_DATA.log"
}

# own_cluster FOLDER: a new, empty cluster; whatever was there before is removed. It is thrown away, so it need not wait for the disk.
own_cluster() {
  cluster_stop "$1"
  rm -rf "$(cluster_home "$1")"
  CLUSTER_FLAGS="-c fsync=off" cluster_start "$1"
}
