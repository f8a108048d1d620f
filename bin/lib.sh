# Shared by bin/demo and bin/test: what they need from the machine, and a private PostgreSQL cluster.
# shellcheck shell=bash

root=$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)
started_at=$(date +%s)

say() { printf '[%4ds] %s\n' "$(($(date +%s) - started_at))" "$*"; }
fail() { printf '\n%s\n' "$*" >&2; exit 2; }

need_node() {
  command -v node >/dev/null || fail "Node.js 20 is needed: install it, then run this again."
  node -e 'const [a,b]=process.versions.node.split(".").map(Number);process.exit(a===20&&b>=19||a>20?0:1)' ||
    fail "Node $(node -v) is too old: 20.19 or newer is needed."
}

# Installs Debian packages: as root directly, else by sudo, else says the one line and stops. Never half-installs.
need_packages() {
  if [ "$(id -u)" = 0 ]; then
    as_root=()
  elif command -v sudo >/dev/null && sudo -n true 2>/dev/null; then
    as_root=(sudo -n)
  else
    fail "Missing: $*. Run this once, then start again:
  sudo apt-get update && sudo apt-get install -y --no-install-recommends $*"
  fi
  say "installing $* (Debian packages)"
  # Without this Debian would also create and start a cluster of its own on port 5432.
  "${as_root[@]}" mkdir -p /etc/postgresql-common
  [ -e /etc/postgresql-common/createcluster.conf ] || echo 'create_main_cluster = false' | "${as_root[@]}" tee /etc/postgresql-common/createcluster.conf >/dev/null
  "${as_root[@]}" apt-get update -qq
  "${as_root[@]}" env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends "$@" >/dev/null
}

find_pg() {
  local dir
  for dir in $(ls -d /usr/lib/postgresql/*/bin 2>/dev/null | sort -t/ -k5 -n -r); do
    [ -x "$dir/initdb" ] && [ "$(basename "$(dirname "$dir")")" -ge 15 ] && { echo "$dir"; return; }
  done
}

need_postgres() {
  pg=$(find_pg)
  [ -n "$pg" ] || { need_packages postgresql; pg=$(find_pg); }
  [ -n "$pg" ] || fail "PostgreSQL 15 or newer was not found under /usr/lib/postgresql."
}

need_npm_packages() {
  local stamp="$root/node_modules/.calvetta-lock"
  cmp -s "$root/package-lock.json" "$stamp" 2>/dev/null && return
  say "installing packages (npm ci)"
  (cd "$root" && npm ci --no-audit --no-fund --loglevel=error) || fail "npm ci did not finish: nothing was started."
  cp "$root/package-lock.json" "$stamp"
}

# run_jest ARGUMENTS: TypeScript is read as it stands by scripts/tests/register.mjs.
run_jest() {
  NODE_OPTIONS="--import ./scripts/tests/register.mjs --conditions=@calvetta/source" NODE_NO_WARNINGS=1 \
    node node_modules/jest/bin/jest.js --ci --maxWorkers=2 "$@"
}

# Runs a PostgreSQL program as the user that may: postgres when we are root, ourselves otherwise.
as_pg() {
  if [ "$(id -u)" = 0 ]; then (cd / && runuser -u postgres -- "$@"); else "$@"; fi
}

free_port() { node -e 'const s=require("net").createServer().listen(0,"127.0.0.1",()=>{console.log(s.address().port);s.close()})'; }

# cluster_home NAME: where a private cluster may live; beside the checkout unless postgres cannot enter that.
cluster_home() {
  local home="$root/.calvetta/$1"
  mkdir -p "$root/.calvetta" 2>/dev/null || fail "$root/.calvetta cannot be written by $(id -un): it belongs to $(stat -c %U "$root/.calvetta" 2>/dev/null || echo someone else)."
  if [ "$(id -u)" = 0 ]; then
    mkdir -p "$home" && chown postgres:postgres "$home"
    if ! as_pg test -x "$home" || ! as_pg test -w "$home"; then
      home="/var/tmp/calvetta-$(printf %s "$root" | md5sum | cut -c1-8)-$1"
      mkdir -p "$home" && chown postgres:postgres "$home"
      say "postgres cannot enter this folder: the database lives in $home" >&2
    fi
  else
    mkdir -p "$home" 2>/dev/null
    [ -w "$home" ] || fail "$home belongs to $(stat -c %U "$home"), not to $(id -un): remove it, or run as that user."
  fi
  chmod 700 "$home"
  echo "$home"
}

# start_cluster NAME [extra postgres options]: data in NAME survives for the next start. Nobody reaches it but through a socket in a
# folder that only its owner may enter. Sets DATABASE_URL for the server, whose role owns nothing and is no superuser, and MIGRATE_URL
# for whoever lays the tables out.
start_cluster() {
  local name=$1; shift
  cluster=$(cluster_home "$name") || exit 2
  sockets=$cluster
  [ ${#sockets} -lt 80 ] || { sockets=$(as_pg mktemp -d /tmp/calvetta-XXXXXX); }
  if ! as_pg test -f "$cluster/data/PG_VERSION"; then
    say "creating a database in $cluster"
    as_pg rm -rf "$cluster/data"
    as_pg "$pg/initdb" -D "$cluster/data" -U app --auth-local=trust --auth-host=reject -E UTF8 --locale=C.UTF-8 >/dev/null || fail "initdb failed in $cluster"
  fi
  # A run that was killed leaves its postmaster behind: stop it before starting on a port of our own.
  as_pg "$pg/pg_ctl" -D "$cluster/data" status >/dev/null 2>&1 && { say "stopping a database left running"; as_pg "$pg/pg_ctl" -D "$cluster/data" -m fast -w stop >/dev/null; }
  pg_port=$(free_port)
  as_pg "$pg/pg_ctl" -D "$cluster/data" -l "$cluster/log" -w -o "-c listen_addresses='' -p $pg_port -k $sockets $*" start >/dev/null ||
    fail "PostgreSQL did not start; its log: $cluster/log"
  [ "$(ask "select count(*) from pg_database where datname='calvetta'" postgres)" = 1 ] ||
    as_pg "$pg/createdb" -h "$sockets" -p "$pg_port" -U app calvetta
  [ "$(ask "select count(*) from pg_roles where rolname='server'" postgres)" = 1 ] ||
    ask "create role server login" postgres
  export DATABASE_URL="postgres://server@localhost:$pg_port/calvetta?host=$sockets"
  export DATA_FOLDER="$cluster/data"
  export MIGRATE_URL="postgres://app@localhost:$pg_port/calvetta?host=$sockets"
}

# ask SQL [DATABASE]: one statement and its answer, as the owner.
ask() { as_pg env PGOPTIONS='-c client_min_messages=warning' "$pg/psql" -h "$sockets" -p "$pg_port" -U app -d "${2:-calvetta}" -v ON_ERROR_STOP=1 -Atqc "$1"; }

stop_cluster() {
  [ -n "${cluster:-}" ] || return 0
  as_pg "$pg/pg_ctl" -D "$cluster/data" -m fast -w stop >/dev/null 2>&1 || true
}
