#!/usr/bin/env bash
# npm test: sets itself up (own cluster, own port, own data), then checks everything. Last line: N passed, N failed.
set -uo pipefail
cd "$(dirname "$0")/.."
source scripts/lib/all.sh
set -e
ensure_all
set +e

DATA="$PWD/.test-data/cluster"
RESULTS="$PWD/.test-data/results"
rm -rf "$RESULTS" && mkdir -p "$RESULTS"
trap 'cluster_stop "$DATA"' EXIT
trap 'exit 130' INT TERM HUP
own_cluster "$DATA"

# step NAME COMMAND...: one check that passes or fails as a whole.
step() {
  local name=$1
  shift
  say "== $name"
  if "$@"; then echo passed > "$RESULTS/$name.step"; else echo failed > "$RESULTS/$name.step"; fi
}
export NEXT_TELEMETRY_DISABLED=1
say "== set-up"
ensure_build
step types npm run -s typecheck
step lint npm run -s lint
step layers npm run -s layers
say "== unit tests"
npx jest --selectProjects unit screen --json --outputFile "$RESULTS/unit.json"
say "== database tests"
npx jest --selectProjects database --json --outputFile "$RESULTS/database.json"
say "== browser tests"
step demo-data npx tsx scripts/prepare-database.ts --demo
VELVET_PORT=$(free_port) npx playwright test
npx tsx scripts/tally.ts "$RESULTS"
