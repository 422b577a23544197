#!/usr/bin/env bash
# npm run demo: from nothing to the application in the browser; run again, it starts in seconds and keeps the data.
set -euo pipefail
cd "$(dirname "$0")/.."
for part in say packages node cluster server; do source "scripts/lib/$part.sh"; done

ensure_node
ensure_packages postgresql chromium
ensure_modules

DATA="$PWD/data/cluster"
SERVER=
CLUSTER_STARTED=
finish() {
  trap - EXIT INT TERM HUP
  server_stop
  [ -z "$CLUSTER_STARTED" ] || cluster_stop "$DATA"
}
trap finish EXIT
trap 'exit 130' INT
trap 'exit 143' TERM HUP

cluster_start "$DATA"
npx tsx scripts/prepare-database.ts --demo
ensure_build

PORT=${PORT:-$(free_port)}
HOST=${HOST:-127.0.0.1}
server_start "$HOST" "$PORT" data/server.log
say "Velvet Thumb is ready; Ctrl-C stops it and keeps the data."
echo "http://$HOST:$PORT"
wait "$SERVER"
