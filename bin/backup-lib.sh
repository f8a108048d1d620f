# Shared by bin/backup, bin/restore and bin/verify: the database they work on, and the program that does it.
# shellcheck shell=bash

backup_cli() { node "$root/server/dist/backup/cli.js" "$@"; }

build_server() {
  (cd "$root" && node node_modules/typescript7/bin/tsc -b core contract server)
}

# which_shop ["--demo"]: sets name to the database meant, one's own where there is one, else the demo's.
which_shop() {
  name=shop
  if [ "${1:-}" = --demo ]; then name=demo; fi
  if [ "$name" = shop ] && ! has_data shop && has_data demo; then name=demo; fi
}
has_data() { as_pg test -f "$(cluster_home "$1")/data/PG_VERSION"; }

# Sets OWNER_URL: the one given, else of the cluster `name`, which is started where it does not run, and stopped again.
need_database() {
  need_node
  need_npm_packages
  build_server
  [ -z "${OWNER_URL:-}" ] || return 0
  need_postgres
  cluster=$(cluster_home "$name")
  as_pg test -f "$cluster/data/PG_VERSION" || [ "$(basename "$0")" = restore ] ||
    fail "Neither bin/start nor bin/demo has run here yet: there is nothing to read."
  if as_pg "$pg/pg_ctl" -D "$cluster/data" status >/dev/null 2>&1; then
    # Line 4 of the file is its port, line 5 the folder of its socket.
    pg_port=$(as_pg sed -n 4p "$cluster/data/postmaster.pid")
    sockets=$(as_pg sed -n 5p "$cluster/data/postmaster.pid")
    export OWNER_URL="postgres://app@localhost:$pg_port/calvetta?host=$sockets"
  else
    start_cluster "$name"
    export OWNER_URL=$MIGRATE_URL
    trap stop_cluster EXIT
  fi
}
