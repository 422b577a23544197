#!/usr/bin/env bash
# npm test: sets itself up (own cluster, own port, own data), then checks everything. Last line: N passed, N failed.
set -uo pipefail
cd "$(dirname "$0")/.."
source scripts/lib/all.sh
set -e
ensure_all_for_tests
set +e

DATA="$PWD/.test-data/cluster"
RESULTS="$PWD/.test-data/results"
rm -rf "$RESULTS" && mkdir -p "$RESULTS"
BROWSER=
READ=
trap '[ -n "$BROWSER$READ" ] && kill $BROWSER $READ 2> /dev/null; cluster_stop "$DATA"' EXIT
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
# Unit tests only compute: alone on all cores they take a fifth of what they take beside others.
say "== unit tests"
npx jest --selectProjects unit screen --maxWorkers 2 --json --outputFile "$RESULTS/unit.json"
# What is only read is read beside all that follows; types are told when there is a build.
say "== set-up, and beside it what is read and not run"
BUILT="$RESULTS/built"
(
  step lint npm run -s lint
  step layers npm run -s layers
  step dead-code npm run -s dead
  until [ -f "$BUILT" ]; do sleep 1; done
  step types npm run -s typecheck
) > "$RESULTS/read.log" 2>&1 &
READ=$!
ensure_build
touch "$BUILT"
step demo-data npx tsx scripts/prepare-database.ts --demo
# Database tests that need the demo begin with a copy of it.
copy_database postgres velvet_demo
# The browser waits more than it computes: its tests run beside all others, on the demo's database.
say "== browser tests, beside the others"
(
  VELVET_PORT=$(free_port)
  export VELVET_PORT
  exec npx playwright test
) > "$RESULTS/browser.log" 2>&1 &
BROWSER=$!
say "== database tests"
npx jest --selectProjects database --maxWorkers 1 --json --outputFile "$RESULTS/database.json"
wait "$READ"
cat "$RESULTS/read.log"
wait "$BROWSER"
cat "$RESULTS/browser.log"
npx tsx scripts/tally.ts "$RESULTS"
