#!/usr/bin/env bash
# npm run screenshots: one picture of each main view, from the demo data, into docs/screenshots.
set -euo pipefail
cd "$(dirname "$0")/.."
source scripts/lib/all.sh
ensure_all_for_tests
ensure_build
own_house screenshots
VELVET_ADDRESS="http://127.0.0.1:$PORT" npx tsx scripts/screenshots.ts
