# Messages to the person at the terminal.
say() { printf '%s\n' "$*" >&2; }
fail() { say "$*"; exit 1; }
