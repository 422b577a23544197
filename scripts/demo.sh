#!/usr/bin/env bash
# npm run demo: from nothing to the application in the browser; run again, it starts in seconds and keeps the data.
set -euo pipefail
cd "$(dirname "$0")/.."
for part in say packages node cluster; do source "scripts/lib/$part.sh"; done

ensure_node
ensure_packages postgresql chromium
ensure_modules

DATA="$PWD/data/cluster"
SERVER=
CLUSTER_STARTED=
finish() {
  trap - EXIT INT TERM HUP
  [ -n "$SERVER" ] && kill -TERM "$SERVER" 2> /dev/null && wait "$SERVER" 2> /dev/null || true
  [ -n "$CLUSTER_STARTED" ] && cluster_stop "$DATA"
}
trap finish EXIT
trap 'exit 130' INT
trap 'exit 143' TERM HUP

cluster_start "$DATA"
npx tsx scripts/prepare-database.ts --demo
ensure_build

PORT=${PORT:-$(free_port)}
HOST=${HOST:-127.0.0.1}
node node_modules/next/dist/bin/next start -H "$HOST" -p "$PORT" > data/server.log 2>&1 &
SERVER=$!
for _ in $(seq 1 120); do
  kill -0 "$SERVER" 2> /dev/null || fail "The server did not start; its log is data/server.log"
  node -e 'fetch(process.argv[1]).then(()=>process.exit(0),()=>process.exit(1))' "http://$HOST:$PORT/health" 2> /dev/null && break
  sleep 0.5
done
say "Velvet Thumb is ready; Ctrl-C stops it and keeps the data."
echo "http://$HOST:$PORT"
wait "$SERVER"
