#!/usr/bin/env bash
# npm run load: fifty players at work for five minutes, on one server process and then on two.
set -euo pipefail
cd "$(dirname "$0")/.."
source scripts/lib/all.sh
ensure_all_for_tests
ensure_build
own_house load
FIRST="http://127.0.0.1:$PORT"
VELVET_ADDRESSES="$FIRST" npx tsx bench/load.ts
ONE=$SERVER
SECOND_PORT=$(free_port)
server_start 127.0.0.1 "$SECOND_PORT" "$OWN_DATA.second.log"
SECOND=$SERVER
SERVER=$ONE
trap 'kill -TERM "$SECOND" 2> /dev/null; server_stop; cluster_stop "$OWN_DATA"' EXIT
VELVET_ADDRESSES="$FIRST,http://127.0.0.1:$SECOND_PORT" npx tsx bench/load.ts
