# What ./start and ./test both need: packages, builds, and a PostgreSQL cluster of the project's own.
# Sourced by ./deepcurrent; ROOT is the project's folder.

say() { printf '\033[1m·\033[0m %s\n' "$*"; }
fail() { printf 'deepcurrent: %s\n' "$*" >&2; exit 1; }

as_admin() {
  if [ "$(id -u)" = 0 ]; then "$@"
  elif command -v sudo >/dev/null && sudo -n true 2>/dev/null; then sudo "$@"
  else fail "missing packages: run this as an administrator once: $*"; fi
}

# need COMMAND-OR-GLOB PACKAGE...
need() {
  local what=$1; shift
  command -v "$what" >/dev/null 2>&1 && return
  compgen -G "$what" >/dev/null && return
  say "Installing $*"
  [ -n "${APT_UPDATED:-}" ] || { as_admin apt-get update -qq >/dev/null; APT_UPDATED=1; }
  # Debian's package would start a cluster of its own; ours is separate.
  as_admin env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends "$@" >/dev/null || fail "could not install $*"
}

# The lighter headless browser where it can be had, the whole one where not.
need_browser() {
  command -v chromium-headless-shell >/dev/null 2>&1 || (need chromium-headless-shell chromium-headless-shell) || need chromium chromium
}

ensure_tools() {
  command -v dotnet >/dev/null || fail "the .NET SDK 10 is needed (dotnet on the PATH)"
  need node nodejs npm
  need '/usr/lib/postgresql/*/bin/initdb' postgresql
  need /usr/share/zoneinfo/Europe/London tzdata
  need '/usr/lib/*/libespeak-ng.so.1' libespeak-ng1 espeak-ng-data
  need lame lame
  need curl curl
}

PGBIN() { ls -d /usr/lib/postgresql/*/bin 2>/dev/null | sort -V | tail -1; }

# What the files below some folders come to, to know whether a build is still good.
fingerprint() { (cd "$ROOT" && find "$@" -type f -not -path '*/bin/*' -not -path '*/obj/*' -not -path '*/node_modules/*' -not -path '*/dist/*' -not -path '*/.out/*' -print0 2>/dev/null | LC_ALL=C sort -z | xargs -0 cat | sha256sum | cut -c1-32); }

# unless_same STAMP FINGERPRINT COMMAND...: runs the command unless it has run well for the same files before.
unless_same() {
  local stamp="$ROOT/.data/stamps/$1" print=$2; shift 2
  [ -f "$stamp" ] && [ "$(cat "$stamp")" = "$print" ] && return
  "$@" && mkdir -p "$(dirname "$stamp")" && printf %s "$print" >"$stamp"
}

npm_packages() { # FOLDER
  [ -d "$ROOT/$1/node_modules" ] || rm -f "$ROOT/.data/stamps/npm-$1"
  unless_same "npm-$1" "$(sha256sum "$ROOT/$1/package-lock.json" | cut -c1-32)" npm_fetch "$1"
}
npm_fetch() { # Not "npm ci": it refuses a lock file that leaves out optional packages of other platforms.
  say "Fetching the packages of $1/"
  (cd "$ROOT/$1" && npm install --no-save --no-audit --no-fund --loglevel=error >"$ROOT/.data/npm-$1.log" 2>&1) || { tail -20 "$ROOT/.data/npm-$1.log" >&2; fail "npm install failed in $1/"; }
}

build_web() {
  npm_packages web
  [ -f "$ROOT/web/dist/index.html" ] || rm -f "$ROOT/.data/stamps/web"
  unless_same web "$(fingerprint web languages)" build_web_now
}
build_web_now() { say "Building the pages"; (cd "$ROOT/web" && npx --no-install vite build --logLevel error); }

build_server() {
  [ -f "$ROOT/src/DeepCurrent.Web/bin/Release/net10.0/DeepCurrent.Web.dll" ] && [ -f "$ROOT/src/DeepCurrent.Cli/bin/Release/net10.0/DeepCurrent.Cli.dll" ] && [ -f "$ROOT/src/DeepCurrent.District/bin/Release/net10.0/DeepCurrent.District.dll" ] && [ -f "$ROOT/src/DeepCurrent.Listener/bin/Release/net10.0/DeepCurrent.Listener.dll" ] && [ -f "$ROOT/src/DeepCurrent.Voice/bin/Release/net10.0/DeepCurrent.Voice.dll" ] || rm -f "$ROOT/.data/stamps/server"
  unless_same server "$(fingerprint src languages Directory.Build.props Directory.Packages.props)" build_server_now
}
build_server_now() {
  say "Building the server (the first time takes a minute or two)"
  for project in Web Cli District Listener Voice; do
    dotnet build "$ROOT/src/DeepCurrent.$project" -c Release -v q --nologo >"$ROOT/.data/build.log" 2>&1 || { grep -E 'error|warn' "$ROOT/.data/build.log" | sort -u | head -20 >&2; fail "the build failed"; }
  done
}

free_port() { # FIRST
  local port=$1
  while (exec 3<>"/dev/tcp/127.0.0.1/$port") 2>/dev/null; do port=$((port + 1)); done
  echo "$port"
}

# PostgreSQL refuses to run as root; then the postgres user runs it.
as_pg() { if [ "$(id -u)" = 0 ]; then (cd / && runuser -u postgres -- "$@"); else "$@"; fi; }

# cluster NAME FIRST-PORT: makes and starts the cluster .data/NAME; sets CLUSTER, PGPORT_, PGPASS_.
cluster() {
  local name=$1 first=$2 base="$ROOT/.data"
  mkdir -p "$base"
  CLUSTER="$base/$name"
  if [ "$(id -u)" = 0 ] && ! as_pg test -x "$base"; then
    # A folder the postgres user cannot enter (such as root's home): the cluster goes where it can.
    CLUSTER="/var/tmp/deepcurrent-$(printf %s "$ROOT" | sha256sum | cut -c1-10)/$name"
    say "The database is kept in $CLUSTER, since the postgres user cannot enter this folder"
  fi
  if [ ! -f "$CLUSTER/data/PG_VERSION" ]; then
    say "Creating the database cluster"
    rm -rf "$CLUSTER"; mkdir -p "$CLUSTER"
    head -c 24 /dev/urandom | base64 | tr -d '/+=\n' >"$CLUSTER/password"
    chmod 600 "$CLUSTER/password"
    [ "$(id -u)" = 0 ] && chown -R postgres "$CLUSTER"
    as_pg "$(PGBIN)/initdb" -D "$CLUSTER/data" -U deepcurrent -A scram-sha-256 --pwfile="$CLUSTER/password" -E UTF8 --locale=C.UTF-8 >/dev/null || fail "could not create the cluster"
  fi
  if ! as_pg "$(PGBIN)/pg_ctl" -D "$CLUSTER/data" status >/dev/null 2>&1; then
    PGPORT_=$(free_port "$first")
    as_pg "$(PGBIN)/pg_ctl" -D "$CLUSTER/data" -w -t 60 -l "$CLUSTER/log" -o "-p $PGPORT_ -c listen_addresses=127.0.0.1 -c unix_socket_directories='' -c max_connections=120 -c shared_buffers=512MB -c max_wal_size=4GB -c wal_compression=on ${PG_EXTRA:-}" start >/dev/null || { tail -5 "$CLUSTER/log" >&2; fail "the database did not start"; }
  else
    PGPORT_=$(sed -n 4p "$CLUSTER/data/postmaster.pid")
  fi
  PGPASS_=$(cat "$CLUSTER/password")
}

stop_cluster() { [ -n "${CLUSTER:-}" ] && as_pg "$(PGBIN)/pg_ctl" -D "$CLUSTER/data" -m fast -w stop >/dev/null 2>&1 || true; }

sql() { PGPASSWORD=$PGPASS_ "$(PGBIN)/psql" -qtAX -h 127.0.0.1 -p "$PGPORT_" -U deepcurrent -d "${2:-postgres}" -c "$1"; }

# sql_file FILE DATABASE MORE…: runs a file of commands; MORE are arguments of psql.
sql_file() { PGPASSWORD=$PGPASS_ "$(PGBIN)/psql" -qtAX -v ON_ERROR_STOP=1 -h 127.0.0.1 -p "$PGPORT_" -U deepcurrent -d "$2" "${@:3}" -f "$1"; }

database() { [ "$(sql "select 1 from pg_database where datname = '$1'")" = 1 ] || sql "create database $1" >/dev/null; }

connection() { echo "Host=127.0.0.1;Port=$PGPORT_;Username=deepcurrent;Password=$PGPASS_;Database=$1;Maximum Pool Size=40"; }

# stand_ins FIRST-PORT: starts the voice, and what stands in for the district's roster server and for a listening device; sets STAND_INS (their processes) and the settings that lead to them.
stand_ins() {
  local port; port=$(free_port "$1")
  dotnet "$ROOT/src/DeepCurrent.District/bin/Release/net10.0/DeepCurrent.District.dll" --urls "http://127.0.0.1:$port" >"$ROOT/.data/district.log" 2>&1 &
  STAND_INS=$!
  export RosterSource__Name="Ellery Sound district" RosterSource__Address="http://127.0.0.1:$port/ims/oneroster/rostering/v1p2" RosterSource__TokenAddress="http://127.0.0.1:$port/token" RosterSource__ClientId=deep-current RosterSource__ClientSecret=simulated
  export ClassStream__Name="Ellery Sound stream" ClassStream__Address="http://127.0.0.1:$port/streams" ClassStream__TokenAddress="http://127.0.0.1:$port/token" ClassStream__ClientId=deep-current ClassStream__ClientSecret=simulated
  port=$(free_port "$((port + 1))")
  dotnet "$ROOT/src/DeepCurrent.Listener/bin/Release/net10.0/DeepCurrent.Listener.dll" --urls "http://127.0.0.1:$port" >"$ROOT/.data/listener.log" 2>&1 &
  STAND_INS="$STAND_INS $!"
  export Listener__Address="http://127.0.0.1:$port"
  port=$(free_port "$((port + 1))")
  dotnet "$ROOT/src/DeepCurrent.Voice/bin/Release/net10.0/DeepCurrent.Voice.dll" --urls "http://127.0.0.1:$port" >"$ROOT/.data/voice.log" 2>&1 &
  STAND_INS="$STAND_INS $!"
  export Voice__Address="http://127.0.0.1:$port"
}
