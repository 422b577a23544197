# All parts of the commands, and everything they need: source it from the project's folder.
for part in say processors packages node cluster server own-house; do source "scripts/lib/$part.sh"; done

# ensure_all: Node, PostgreSQL and what the application is built of.
ensure_all() {
  ensure_node
  begin_packages postgresql
  ensure_modules
  end_packages
}

# ensure_all_for_tests: with a browser and what tests are made of.
ensure_all_for_tests() {
  ensure_node
  begin_packages postgresql chromium
  ensure_modules tests
  end_packages
}
