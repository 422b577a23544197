# The production server on a port: server_start HOST PORT LOG sets SERVER to its process and waits until it answers.
server_start() {
  node node_modules/next/dist/bin/next start -H "$1" -p "$2" > "$3" 2>&1 &
  SERVER=$!
  for _ in $(seq 1 120); do
    kill -0 "$SERVER" 2> /dev/null || fail "The server did not start; its log is $3"
    node -e 'fetch(process.argv[1]).then(()=>process.exit(0),()=>process.exit(1))' "http://$1:$2/health" 2> /dev/null && return 0
    sleep 0.5
  done
  fail "The server does not answer; its log is $3"
}

server_stop() {
  if [ -n "${SERVER:-}" ]; then
    kill -TERM "$SERVER" 2> /dev/null && wait "$SERVER" 2> /dev/null || true
  fi
}
