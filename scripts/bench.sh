#!/usr/bin/env bash
# npm run bench: figures of the core, then of the real interface in the real browser.
set -euo pipefail
cd "$(dirname "$0")/.."
source scripts/lib/all.sh
ensure_all_for_tests
ensure_build
npx tsx bench/run.ts
own_house bench
npx tsx bench/server.ts
npx tsx bench/years.ts
VELVET_ADDRESS="http://127.0.0.1:$PORT" npx tsx bench/browser.ts
