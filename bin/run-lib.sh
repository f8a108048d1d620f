# Shared by bin/demo and bin/start: a private database, the server on it, its address, and both kept going.
# shellcheck shell=bash

# open_calvetta NAME [--fresh]: NAME is the database under .calvetta; `loaded_into ADDRESS`, where the caller has one, runs once the
# server answers.
open_calvetta() {
  name=$1
  need_node
  need_postgres
  need_npm_packages

  # One at a time: a second one would stop the first one's database. Children do not hold the lock.
  mkdir -p "$root/.calvetta"
  address_file="$root/.calvetta/$name.address"
  pid_file="$root/.calvetta/$name.pid"
  exec 9>"$root/.calvetta/$name.lock"
  flock -n 9 || fail "bin/$(basename "$0") is running already: $(cat "$address_file" 2>/dev/null || echo 'it is still starting')"

  say "building"
  npm run --silent build 9>&-

  server=
  stopping=
  trap stop_calvetta EXIT
  trap 'exit 130' INT TERM

  # A run that was killed may have left its server; its database is handled by start_cluster.
  if [ -f "$pid_file" ] && old=$(cat "$pid_file") && tr '\0' ' ' <"/proc/$old/cmdline" 2>/dev/null | grep -q 'server/dist/main.js'; then
    say "stopping a server left running"
    kill "$old" 2>/dev/null || true
    sleep 1
  fi

  home=$(cluster_home "$name")
  if [ "${2:-}" = --fresh ]; then
    as_pg "$pg/pg_ctl" -D "$home/data" -m fast -w stop >/dev/null 2>&1 || true
    as_pg rm -rf "$home/data"
    # Ends of the chain that was kept there belong to what goes.
    rm -f "$root/.calvetta/$name-secrets/heads.jsonl"
    say "starting afresh"
  fi
  start_cluster "$name" 9>&-

  log="$root/.calvetta/$name-server.log"
  say "starting the server"
  port=${PORT:-$(free_port)}
  scheme=http
  [ -z "${TLS_CERT:-}" ] || scheme=https
  start_server
  ! declare -F loaded_into >/dev/null || loaded_into "$scheme://127.0.0.1:$port"

  address="$scheme://${HOST:-127.0.0.1}:$port"
  say "Calvetta is at $address  (Ctrl-C stops it)"
  [ -n "${DISPLAY:-}" ] && command -v xdg-open >/dev/null && xdg-open "$address" >/dev/null 2>&1 || true
  echo "$address" >"$address_file"
  keep_going
}

start_server() {
  # The demo is nobody's record.
  [ "$name" = demo ] || export BACKUP_FOLDER=${BACKUP_FOLDER:-$root/backups/daily}
  PORT=$port LOG_LEVEL=warn SECRETS_FOLDER="${SECRETS_FOLDER:-$root/.calvetta/$name-secrets}" node server/dist/main.js >"$log" 2>&1 9>&- &
  server=$!
  echo "$server" >"$pid_file"
  for _ in $(seq 600); do
    grep -q '^listening ' "$log" && return
    kill -0 "$server" 2>/dev/null || { cat "$log" >&2; fail "the server did not start"; }
    sleep 0.1
  done
  fail "the server did not answer; its log: $log"
}

stop_calvetta() {
  [ -z "$stopping" ] || return 0
  stopping=1
  trap '' INT TERM
  say "stopping"
  # The server before the database: it must be able to finish what it is writing.
  if [ -n "$server" ]; then
    kill -TERM "$server" 2>/dev/null || true
    wait "$server" 2>/dev/null || true
  fi
  stop_cluster
  rm -f "$pid_file" "$address_file"
}

# A server that falls is started again, a few times; one that falls over and over is left lying, with its log.
keep_going() {
  falls=0
  while :; do
    began=$(date +%s)
    code=0
    wait "$server" || code=$?
    [ -z "$stopping" ] || exit 0
    # It ran for ten minutes: what went wrong before is forgotten.
    [ $(($(date +%s) - began)) -lt 600 ] || falls=0
    falls=$((falls + 1))
    [ "$falls" -le 5 ] || fail "the server fell $falls times: not started again. Its log: $log"
    say "the server fell (code $code): starting it again in $((falls * 2)) s, time $falls of 5"
    cp "$log" "$log.$falls"
    sleep $((falls * 2))
    start_server
    say "Calvetta is at $address again"
  done
}
