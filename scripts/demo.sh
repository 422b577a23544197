#!/usr/bin/env bash
# npm run demo: from nothing to the application in the browser; run again, it starts in seconds and keeps the data.
set -euo pipefail
cd "$(dirname "$0")/.."
source scripts/lib/all.sh

HOST=${HOST:-127.0.0.1}
check_door "$HOST"
ensure_all

# One demo at a time: a second one says where the first is.
mkdir -p data
exec 9> data/demo.lock
if ! flock -n 9; then
  say "The demo is running already:"
  cat data/address 2> /dev/null
  exit 0
fi

DATA="$PWD/data/cluster"
SERVER=
BUILD=
finish() {
  trap '' INT TERM HUP
  rm -f data/address
  [ -n "$BUILD" ] && kill "$BUILD" 2> /dev/null
  server_stop
  cluster_stop "$DATA"
}
trap finish EXIT
trap 'exit 130' INT
trap 'exit 143' TERM HUP

PORT=${PORT:-$(free_port)}
check_address "$HOST" "$PORT"
# The application is built beside the making of its data.
ensure_build &
BUILD=$!
cluster_start "$DATA"
ensure_threads
npx tsx scripts/prepare-database.ts --demo
wait "$BUILD" || fail "The application could not be built."
BUILD=

# By which sessions are sealed; kept, so that who was let in stays in.
[ -s data/session.secret ] || new_secret data/session.secret
VELVET_SECRET=$(cat data/session.secret)
export VELVET_SECRET
server_start "$HOST" "$PORT" data/server.log
say "Velvet Thumb is ready; Ctrl-C stops it and keeps the data."
echo "http://$HOST:$PORT" | tee data/address
wait "$SERVER"
