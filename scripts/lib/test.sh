# ./test: installs what it needs, runs everything, ends with "N passed, N failed".
mkdir -p "$ROOT/.data"
passed=0 failed=0
log="$ROOT/.data/test.log"
ensure_tools
need chromium chromium
need pdftotext poppler-utils
npm_packages web
npm_packages e2e
build_web
build_server
PG_EXTRA="-c fsync=off" cluster testpg 54420
app=
trap 'kill $app ${STAND_INS:-} 2>/dev/null; stop_cluster' EXIT

# check NAME COMMAND...: one check that passes or fails as a whole.
check() {
  local name=$1; shift
  if "$@" >"$log" 2>&1; then passed=$((passed + 1)); say "$name: passed"; else failed=$((failed + 1)); say "$name: FAILED"; tail -60 "$log"; fi
}

# count NAME PASSED FAILED STATUS: a suite that counts by itself; one that counted nothing has failed.
count() {
  passed=$((passed + $2)) failed=$((failed + $3))
  if [ "$2" = 0 ] || { [ "$4" != 0 ] && [ "$3" = 0 ]; }; then failed=$((failed + 1)); tail -60 "$log"; fi
  say "$1: $2 passed, $3 failed"
}

dotnet_suite() {
  local status=0 line
  dotnet test "$ROOT/tests/$1" -c Release --nologo -v q >"$log" 2>&1 || status=$?
  line=$(grep -E 'Failed: +[0-9]+, Passed: +[0-9]+' "$log" | tail -1 || true)
  [ "$status" = 0 ] || grep -vE '^\s*$' "$log" | tail -80
  count "$1" "$(sed -nE 's/.*Passed: +([0-9]+).*/\1/p' <<<"${line:-}" | grep . || echo 0)" "$(sed -nE 's/.*Failed: +([0-9]+).*/\1/p' <<<"${line:-}" | grep . || echo 0)" "$status"
}

dotnet_suite Core.Tests
dotnet_suite Formats.Tests
sql "drop database if exists deepcurrent_web with (force)" >/dev/null 2>&1
database deepcurrent_web
DEEPCURRENT_TEST_DATABASE=$(connection deepcurrent_web) DEEPCURRENT_ROOT=$ROOT dotnet_suite Web.Tests

check "content" dotnet "$cli" content check "$ROOT/content"
check "types of the pages" npm --prefix "$ROOT/web" run types
check "lint of the pages" npm --prefix "$ROOT/web" run lint
check "types agree with the API" bash -c "cd '$ROOT/web' && npx --no-install openapi-typescript openapi.json -o '$ROOT/.data/schema.d.ts' && diff -u src/shared/schema.d.ts '$ROOT/.data/schema.d.ts'"
check "units of the pages" npm --prefix "$ROOT/web" test

say "Starting the application for the browser"
sql "drop database if exists deepcurrent_e2e with (force)" >/dev/null 2>&1
database deepcurrent_e2e
stand_ins 8475
port=$(free_port 8450)
ConnectionStrings__DeepCurrent=$(connection deepcurrent_e2e) Content__Folder="$ROOT/content" Demo__Load=true ASPNETCORE_WEBROOT="$ROOT/web/dist" SignIn__FreeTries=200 SignIn__FreeTriesOfAnAddress=5000 \
  dotnet "$ROOT/src/DeepCurrent.Web/bin/Release/net10.0/DeepCurrent.Web.dll" --urls "http://127.0.0.1:$port" >"$ROOT/.data/e2e-server.log" 2>&1 &
app=$!
for _ in $(seq 1 600); do curl -fs -o /dev/null "http://127.0.0.1:$port/health/ready" && break; kill -0 "$app" 2>/dev/null || { tail -20 "$ROOT/.data/e2e-server.log"; break; }; sleep 0.5; done
status=0
(cd "$ROOT/e2e" && DEEPCURRENT_URL="http://127.0.0.1:$port" npx --no-install playwright test) >"$log" 2>&1 || status=$?
[ "$status" = 0 ] || tail -150 "$log"
count "browser" "$(sed -nE 's/^ *([0-9]+) passed.*/\1/p' "$log" | tail -1 | grep . || echo 0)" "$(sed -nE 's/^ *([0-9]+) failed.*/\1/p' "$log" | tail -1 | grep . || echo 0)" "$status"

kill "$app" $STAND_INS 2>/dev/null; wait "$app" 2>/dev/null || true; app=
stop_cluster
trap - EXIT
echo "$passed passed, $failed failed"
[ "$failed" = 0 ]
