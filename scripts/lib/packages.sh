# Debian packages the project needs: installed when root, named when not.

find_postgres() {
  local found
  found=$(ls -d /usr/lib/postgresql/*/bin 2>/dev/null | sort -V | tail -n 1)
  [ -n "$found" ] && [ -x "$found/initdb" ] && printf '%s' "$found"
}

find_chromium() { command -v chromium-headless-shell || true; }

# begin_packages postgresql chromium: installs whichever of them are wanted and missing, beside what comes next, until end_packages.
begin_packages() {
  local missing=()
  for wanted in "$@"; do
    case "$wanted" in
      postgresql) [ -n "$(find_postgres)" ] || missing+=(postgresql) ;;
      chromium) [ -n "$(find_chromium)" ] || missing+=(chromium-headless-shell fonts-liberation) ;;
    esac
  done
  INSTALLING=
  [ ${#missing[@]} -eq 0 ] && return 0
  if [ "$(id -u)" != 0 ]; then
    fail "These Debian packages are missing: ${missing[*]}. Install them with: sudo apt-get install ${missing[*]}"
  fi
  say "Installing from Debian: ${missing[*]}"
  install_packages "${missing[@]}" &
  INSTALLING=$!
}

end_packages() { [ -z "$INSTALLING" ] || wait "$INSTALLING" || fail "They could not be installed from Debian."; }

install_packages() {
  # The server that the package would start is not wanted: the project runs a private one.
  if [ ! -d /etc/postgresql-common ] || [ ! -e /etc/postgresql-common/createcluster.d/velvet.conf ]; then
    mkdir -p /etc/postgresql-common/createcluster.d
    printf 'create_main_cluster = false\n' > /etc/postgresql-common/createcluster.d/velvet.conf
  fi
  export DEBIAN_FRONTEND=noninteractive
  apt-get update -q -o DPkg::Lock::Timeout=300 >&2
  apt-get install -y -q --no-install-recommends -o DPkg::Lock::Timeout=300 "$@" >&2
}
