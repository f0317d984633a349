# What bin/demo and bin/test share: packages, libraries, the build, and a private PostgreSQL on loopback.

root="$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)"
cd "$root"
export WAX_HOME="${WAX_HOME:-$root/.local}"
export WAX_PORT="${WAX_PORT:-4310}"
mkdir -p "$WAX_HOME"
WAX_HOME="$(cd "$WAX_HOME" && pwd)"

say() { printf '%s\n' "$*"; }
fail() { printf '%s\n' "$*" >&2; exit 1; }

as_root() { if [ "$(id -u)" = 0 ]; then "$@"; else sudo "$@"; fi; }

# Debian packages that are not here yet.
need_packages() {
  local missing=() package
  for package in "$@"; do
    dpkg-query -W -f '${Status}' "$package" 2>/dev/null | grep -q 'ok installed' || missing+=("$package")
  done
  if [ "${#missing[@]}" -eq 0 ]; then return; fi
  say "Installing from Debian: ${missing[*]}"
  as_root apt-get update -qq || fail 'The Debian package lists could not be fetched. Is the network there?'
  as_root env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends "${missing[@]}" >"$WAX_HOME/apt.log" 2>&1 \
    || fail "Installing failed; see $WAX_HOME/apt.log"
}

# Node.js libraries, again only when the lock file has changed.
need_libraries() {
  local wanted have=''
  wanted="$(sha256sum package-lock.json | cut -d' ' -f1)"
  [ -f node_modules/.locked ] && have="$(cat node_modules/.locked)"
  if [ "$wanted" = "$have" ]; then return; fi
  say 'Installing libraries (npm ci) …'
  npm ci --no-fund --no-audit --loglevel error || fail 'npm ci failed.'
  printf '%s' "$wanted" >node_modules/.locked
}

# Whether nothing that goes into the web application is newer than what was built.
built() {
  [ -f web/dist/index.html ] &&
    [ -z "$(find web core contract package-lock.json -newer web/dist/index.html -type f -not -path '*/dist/*' -not -path '*/node_modules/*' | head -1)" ]
}
need_build() {
  if built; then return; fi
  say 'Building the web application …'
  npm run --silent build >"$WAX_HOME/build.log" 2>&1 || { tail -30 "$WAX_HOME/build.log"; fail 'The build failed.'; }
}

# Server, worker and command line in a few files: a process begins in a fifth of the time. They take a second to make.
programs_built() {
  [ -f "$root/dist/.built" ] &&
    [ -z "$(cd "$root" && find core contract server cli bin/bundle.js package-lock.json -newer dist/.built -type f \( -name '*.ts' -o -name '*.js' -o -name '*.json' \) -not -path '*/node_modules/*' | head -1)" ]
}
need_programs() {
  if programs_built; then return; fi
  mkdir -p "$root/dist"
  # Whoever else makes them is waited for.
  (
    flock 9
    programs_built || node "$root/bin/bundle.js"
  ) 9>"$root/dist/.lock" || fail 'Server and command line could not be bundled.'
}

# A port on loopback that nobody listens on.
free_port() { node -e "const s=require('net').createServer().listen(0,'127.0.0.1',()=>{console.log(s.address().port);s.close()})"; }
port_taken() { (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }

# PostgreSQL refuses to run as root, so then its own user runs it; that user has to reach the folder.
database_home() { if [ "$(id -u)" = 0 ]; then printf '/var/lib/postgresql/wax-fist-%s' "$(printf '%s' "$WAX_HOME" | sha256sum | cut -c1-12)"; else printf '%s/postgres' "$WAX_HOME"; fi; }
as_database_owner() { if [ "$(id -u)" = 0 ]; then runuser -u postgres -- "$@"; else "$@"; fi; }

# For data that is thrown away: what a crash of the machine would cost is of no interest, what writing it down costs is.
throwaway_database='-c fsync=off -c synchronous_commit=off -c full_page_writes=off -c autovacuum_naptime=10min'
run_database() {
  as_database_owner "$pg_ctl" -D "$1" -l "$1/log" -w -t 60 \
    -o "-p $WAX_PG_PORT -c listen_addresses=127.0.0.1 -c unix_socket_directories='' ${database_options:-}" start >/dev/null
}

start_database() {
  local bin data password_file
  bin="$(find /usr/lib/postgresql -maxdepth 2 -name bin | sort -V | tail -1)"
  data="$(database_home)"
  pg_ctl="$bin/pg_ctl"
  if [ "$(id -u)" = 0 ]; then install -d -o postgres -g postgres -m 700 "$data"; else mkdir -p "$data"; fi
  if [ -f "$data/PG_VERSION" ] && [ ! -f "$WAX_HOME/database-password" ]; then
    fail "The folder $WAX_HOME is new, but its database is still there, and its password is gone with the old folder. Put the folder back, or remove $data to begin anew."
  fi
  if [ ! -f "$WAX_HOME/database-password" ]; then
    (umask 077 && head -c 18 /dev/urandom | base64 | tr '+/' '-_' >"$WAX_HOME/database-password")
  fi
  if [ ! -f "$data/PG_VERSION" ]; then
    say 'Making a private database …'
    password_file="$(mktemp)"
    cp "$WAX_HOME/database-password" "$password_file"
    if [ "$(id -u)" = 0 ]; then chown postgres "$password_file"; fi
    as_database_owner "$bin/initdb" -D "$data" -U wax --pwfile "$password_file" --auth scram-sha-256 -E UTF8 --locale C.UTF-8 >"$WAX_HOME/initdb.log" 2>&1 \
      || { cat "$WAX_HOME/initdb.log"; fail 'The database could not be made.'; }
    rm -f "$password_file"
  fi
  if [ -z "${WAX_PG_PORT:-}" ]; then WAX_PG_PORT="$(free_port)"; fi
  if as_database_owner "$pg_ctl" -D "$data" status >/dev/null 2>&1; then
    fail "The database of $WAX_HOME is running already: another copy uses this folder. Stop it, or set WAX_HOME to another one."
  fi
  if port_taken "$WAX_PG_PORT"; then fail "Port $WAX_PG_PORT is taken; set WAX_PG_PORT to a free one."; fi
  run_database "$data" || fail "The database did not start; see $data/log"
  # Only what was started here is stopped here.
  pg_data="$data"
  export WAX_DATABASE_URL="postgresql://wax:$(cat "$WAX_HOME/database-password")@127.0.0.1:$WAX_PG_PORT/postgres"
}

# The database that WAX_DATABASE_URL names, or the one of this home: as it runs, or started for as long as this takes.
use_database() {
  if [ -n "${WAX_DATABASE_URL:-}" ]; then return; fi
  local port
  port="$(as_database_owner sed -n 4p "$(database_home)/postmaster.pid" 2>/dev/null || true)"
  if [ -n "$port" ] && port_taken "$port"; then
    export WAX_DATABASE_URL="postgresql://wax:$(cat "$WAX_HOME/database-password")@127.0.0.1:$port/postgres"
    return
  fi
  start_database
  trap stop_database EXIT
}

# Whether the database answers; what was started here and is gone is started again.
keep_database() {
  as_database_owner "$pg_ctl" -D "$pg_data" status >/dev/null 2>&1 && return
  say 'The database has stopped; it is started again.'
  run_database "$pg_data" || true
}

stop_database() {
  if [ -n "${pg_data:-}" ]; then as_database_owner "$pg_ctl" -D "$pg_data" -m fast -w stop >/dev/null 2>&1 || true; fi
}
