# node_modules as the lock file says, and the production build as the sources say.

ensure_node() {
  command -v node > /dev/null || fail "Node.js 20 with npm is needed and was not found."
  local major
  major=$(node -p 'process.versions.node.split(".")[0]')
  [ "$major" -ge 20 ] || fail "Node.js 20 or newer is needed; this is $(node -v)."
}

# ensure_modules: the packages that build and run the application; ensure_modules tests: those that test it, too.
ensure_modules() {
  local stamp=node_modules/.velvet-lock lock left=()
  lock=$(sha256sum package-lock.json | cut -d' ' -f1)
  [ -f "$stamp" ] && case $(cat "$stamp") in "$lock tests" | "$lock ${1:-application}") return 0 ;; esac
  [ "${1:-application}" = tests ] || left=(--omit=dev)
  say "Installing the project's packages (npm ci)"
  npm ci "${left[@]}" --prefer-offline --no-audit --no-fund --loglevel=error >&2
  printf '%s' "$lock ${1:-application}" > "$stamp"
}

sources_hash() {
  find src package-lock.json next.config.ts tsconfig.json postcss.config.mjs -type f ! -name '*.test.ts' ! -name '*.test.tsx' -print0 |
    sort -z | xargs -0 sha256sum | sha256sum | cut -d' ' -f1
}

# What takes long runs in threads, whose code is one file of its own; src/server/threads/pool.ts names it too.
THREADS=node_modules/.cache/velvet-thumb/threads.cjs

build_threads() {
  npx esbuild src/server/threads/entry.ts --bundle --platform=node --target=node20 --format=cjs --external:verovio --log-level=error --outfile="$THREADS" >&2
}

ensure_threads() {
  local stamp="$THREADS.sources" wanted
  wanted=$(sources_hash)
  [ -f "$THREADS" ] && [ -f "$stamp" ] && [ "$(cat "$stamp")" = "$wanted" ] && return 0
  build_threads
  printf '%s' "$wanted" > "$stamp"
}

ensure_build() {
  local stamp=.next/velvet-sources wanted
  wanted=$(sources_hash)
  if [ ! -f "$stamp" ] || [ "$(cat "$stamp")" != "$wanted" ]; then
    say "Building the application"
    NEXT_TELEMETRY_DISABLED=1 npx next build >&2
    printf '%s' "$wanted" > "$stamp"
  fi
  ensure_threads
}

free_port() {
  node -e 'const s=require("net").createServer();s.listen(0,"127.0.0.1",()=>{console.log(String(s.address().port));s.close()})'
}
