# All parts of the commands, and everything they need: source it from the project's folder.
for part in say packages node cluster server own-house; do source "scripts/lib/$part.sh"; done

# ensure_all [PACKAGE...]: Node, PostgreSQL and the packages named, and node_modules.
ensure_all() {
  ensure_node
  ensure_packages postgresql "$@"
  ensure_modules
}
