#!/usr/bin/env bash
# Runs the unit tests, with everything of the server's, on a PostgreSQL server instead of PGlite. Uses Debian's
# postgresql, in a folder and on a port of its own, and takes both away afterwards.
set -euo pipefail
cd "$(dirname "$0")/.."

bin=$(ls -d /usr/lib/postgresql/*/bin 2>/dev/null | sort -V | tail -n 1 || true)
if [ -z "$bin" ] || [ ! -x "$bin/initdb" ]; then
  echo "Installing Debian's postgresql."
  apt-get update -qq
  DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends postgresql >/dev/null
  bin=$(ls -d /usr/lib/postgresql/*/bin | sort -V | tail -n 1)
fi

folder=$(mktemp -d)
port=$((20000 + RANDOM % 20000))
as=()
# PostgreSQL refuses to run as root.
if [ "$(id -u)" = 0 ]; then
  id postgres >/dev/null 2>&1 || useradd --system --no-create-home postgres
  chown postgres "$folder"
  as=(setpriv --reuid=postgres --regid="$(id -g postgres)" --clear-groups)
fi
finish() {
  (cd / && "${as[@]}" "$bin/pg_ctl" -D "$folder/data" -m immediate stop >/dev/null 2>&1) || true
  rm -rf "$folder"
}
trap finish EXIT
(
  cd /
  "${as[@]}" "$bin/initdb" -D "$folder/data" -U maker -A trust -E UTF8 --locale=C.UTF-8 >/dev/null
  "${as[@]}" "$bin/pg_ctl" -D "$folder/data" -w -l "$folder/log" \
    -o "-p $port -k $folder -c listen_addresses=127.0.0.1 -c fsync=off" start >/dev/null
)
echo "On $("$bin/postgres" --version)"
DATABASE_URL="postgres://maker@127.0.0.1:$port/postgres" NODE_OPTIONS="--experimental-vm-modules --no-warnings" \
  node_modules/.bin/jest --selectProjects unit --testPathPatterns 'server/' "$@"
