# The production server on a port: server_start HOST PORT LOG sets SERVER to its process and waits until it answers.

# Whether what answers at an address is this server: anything may listen on a port.
is_ours() {
  node -e 'fetch(process.argv[1],{signal:AbortSignal.timeout(3000)}).then(r=>r.json()).then(a=>process.exit(a.name==="velvet-thumb"?0:1)).catch(()=>process.exit(1))' "$1" 2> /dev/null
}

# check_address HOST PORT: says what is wrong with them before anything is begun.
check_address() {
  case "$2" in
    '' | *[!0-9]*) fail "PORT is \"$2\", which is no port: it is a number from 1 to 65535." ;;
  esac
  { [ "$2" -ge 1 ] && [ "$2" -le 65535 ]; } || fail "PORT is $2, which is no port: it is a number from 1 to 65535."
  node -e '
    const s = require("net").createServer();
    s.on("error", (e) => { console.log(e.code); process.exit(1); });
    s.listen({ port: Number(process.argv[2]), host: process.argv[1], exclusive: true }, () => s.close(() => process.exit(0)));
  ' "$1" "$2" > /tmp/velvet-address.$$ 2> /dev/null && { rm -f /tmp/velvet-address.$$; return 0; }
  local why
  why=$(cat /tmp/velvet-address.$$ 2> /dev/null)
  rm -f /tmp/velvet-address.$$
  case "$why" in
    EADDRINUSE) fail "Port $2 is taken by another program. Choose another with PORT, or leave PORT out." ;;
    EACCES) fail "Port $2 may not be used by this user. Choose one over 1023 with PORT, or leave PORT out." ;;
    *) fail "HOST is \"$1\", which is no address of this machine. Leave HOST out to listen on this machine alone." ;;
  esac
}

# Others than this machine come in by a passphrase alone.
check_door() {
  case "$1" in
    127.* | localhost | ::1) return 0 ;;
  esac
  [ -n "${VELVET_PASSPHRASE:-}" ] || fail "HOST is $1, so that others may reach Velvet Thumb: set VELVET_PASSPHRASE to a passphrase that lets them in."
}

server_start() {
  node node_modules/next/dist/bin/next start -H "$1" -p "$2" > "$3" 2>&1 9>&- &
  SERVER=$!
  local at=$1
  case "$at" in 0.0.0.0 | ::) at=127.0.0.1 ;; esac
  for _ in $(seq 1 120); do
    if ! kill -0 "$SERVER" 2> /dev/null; then
      say "The server did not start. The end of its log, $3:"
      tail -n 5 "$3" >&2
      exit 1
    fi
    is_ours "http://$at:$2/health" && return 0
    sleep 0.5
  done
  fail "The server does not answer; its log is $3"
}

server_stop() {
  if [ -n "${SERVER:-}" ]; then
    kill -TERM "$SERVER" 2> /dev/null && wait "$SERVER" 2> /dev/null || true
  fi
}
