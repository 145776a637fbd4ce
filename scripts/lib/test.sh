# ./test [PART [FILTER]]: installs what it needs, runs everything or one part, ends with "N passed, N failed".
# Parts: layout, core, formats, web, content, pages, browser. A filter is part of a test's name, or of a walk's.
parts="layout core formats web content pages browser"
part=${1:-} filter=${2:-}
[ -z "$part" ] || [[ " $parts " == *" $part "* ]] || fail "there is no part $part ($parts)"
wanted() { [ -z "$part" ] || [ "$part" = "$1" ]; }

# Everything in C# at once: the suites only run what is built.
build_all() {
  [ -f "$ROOT/tests/Web.Tests/bin/Release/net10.0/Web.Tests.dll" ] || rm -f "$ROOT/.data/stamps/all"
  unless_same all "$(fingerprint src tests bench languages Directory.Build.props Directory.Packages.props DeepCurrent.slnx)" build_all_now
}
build_all_now() {
  say "Building everything in C# (the first time takes a minute or two)"
  dotnet build "$ROOT/DeepCurrent.slnx" -c Release -v q --nologo >"$ROOT/.data/build.log" 2>&1 || { grep -E 'error|warn' "$ROOT/.data/build.log" | sort -u | head -20 >&2; fail "the build failed"; }
}

mkdir -p "$ROOT/.data"
# Every suite may read what ships.
export DEEPCURRENT_ROOT=$ROOT
# What runs for minutes does not win back what it costs to watch each method for how it is best compiled.
export DOTNET_TieredPGO=0
passed=0 failed=0 since=$SECONDS
log="$ROOT/.data/test.log"
ensure_tools
if wanted layout || wanted pages || wanted browser; then npm_packages web; fi
# Both read the PDFs that are made.
if wanted formats || wanted browser; then need pdftotext poppler-utils; fi
if wanted browser; then need_browser; fi
# The pages are built beside the rest: each of them keeps one processor busy.
beside=
if wanted browser; then (npm_packages e2e; build_web) >"$ROOT/.data/pages-build.log" 2>&1 & beside=$!; fi
if wanted core || wanted formats || wanted web || wanted content || wanted browser; then build_all; fi
if [ -n "$beside" ]; then wait "$beside" || { cat "$ROOT/.data/pages-build.log" >&2; fail "the pages could not be built"; }; fi
if wanted web || wanted browser; then PG_EXTRA="-c fsync=off" cluster testpg 54420; fi
app= lane=
trap 'kill $app $lane ${STAND_INS:-} 2>/dev/null; stop_cluster' EXIT

# told SENTENCE: says it, and how long it is since the last.
told() { local s=$((SECONDS - since)); since=$SECONDS; say "$1, $((s / 60)):$(printf %02d $((s % 60)))"; }
told "ready"

# check NAME COMMAND...: one check that passes or fails as a whole.
check() {
  local name=$1; shift
  if "$@" >"$log" 2>&1; then passed=$((passed + 1)); told "$name: passed"; else failed=$((failed + 1)); told "$name: FAILED"; tail -60 "$log"; fi
}

# check_of NAME FILES... -- COMMAND...: a check that asks nothing but those files; what it has found good is good until one of them changes.
check_of() {
  local name=$1 files=() stamp print; shift
  while [ "$1" != -- ]; do files+=("$1"); shift; done; shift
  stamp="$ROOT/.data/stamps/check-${name// /-}" print=$(fingerprint "${files[@]}")
  if [ -f "$stamp" ] && [ "$(cat "$stamp")" = "$print" ]; then passed=$((passed + 1)); told "$name: passed, nothing has changed"; return; fi
  local before=$failed
  check "$name" "$@"
  if [ "$failed" = "$before" ]; then mkdir -p "${stamp%/*}" && printf %s "$print" >"$stamp"; fi
}

# count NAME PASSED FAILED STATUS: a suite that counts by itself; one that counted nothing has failed.
count() {
  passed=$((passed + $2)) failed=$((failed + $3))
  if [ "$2" = 0 ] || { [ "$4" != 0 ] && [ "$3" = 0 ]; }; then failed=$((failed + 1)); tail -60 "$log"; fi
  told "$1: $2 passed, $3 failed"
}

number() { sed -nE "$1" | tail -1 | grep . || echo 0; }

dotnet_suite() {
  local status=0 line
  dotnet test "$ROOT/tests/$1" -c Release --no-build --nologo -v q --logger "console;verbosity=minimal" ${filter:+--filter "FullyQualifiedName~$filter"} >"$log" 2>&1 || status=$?
  line=$(grep -E 'Failed: +[0-9]+, Passed: +[0-9]+' "$log" | tail -1 || true)
  [ "$status" = 0 ] || grep -vE '^\s*$' "$log" | tail -80
  count "$1" "$(number 's/.*Passed: +([0-9]+).*/\1/p' <<<"$line")" "$(number 's/.*Failed: +([0-9]+).*/\1/p' <<<"$line")" "$status"
}

web_suite() {
  sql "drop database if exists deepcurrent_web with (force)" >/dev/null 2>&1
  database deepcurrent_web
  DEEPCURRENT_TEST_DATABASE=$(connection deepcurrent_web) dotnet_suite Web.Tests
}

page_checks() {
  check_of "types of the pages" web languages -- npm --prefix "$ROOT/web" run types
  check_of "sentences of the pages" web languages -- node "$ROOT/web/sentences.mjs"
  check_of "lint of the pages" web -- npm --prefix "$ROOT/web" run lint
  check_of "types agree with the API" web -- bash -c "cd '$ROOT/web' && node scripts/api.mjs '$ROOT/.data/schema.d.ts' && diff -u src/shared/schema.d.ts '$ROOT/.data/schema.d.ts'"
  check_of "units of the pages" web languages tests/vectors -- npm --prefix "$ROOT/web" test
}

# The demo's school in a database that is only copied: made once for the same code, texts and day.
demo() {
  [ "$(sql "select 1 from pg_database where datname = 'deepcurrent_demo'")" = 1 ] || rm -f "$ROOT/.data/stamps/demo"
  unless_same demo "$(date +%F) $(fingerprint src content languages)" demo_now
}
demo_now() {
  local port
  say "Making the demo's school"
  sql "drop database if exists deepcurrent_demo with (force)" >/dev/null 2>&1
  database deepcurrent_demo
  port=$(free_port 8450)
  ConnectionStrings__DeepCurrent=$(connection deepcurrent_demo) Content__Folder="$ROOT/content" Demo__Load=true ASPNETCORE_WEBROOT="$ROOT/web/dist" \
    dotnet "$ROOT/src/DeepCurrent.Web/bin/Release/net10.0/DeepCurrent.Web.dll" --urls "http://127.0.0.1:$port" >"$ROOT/.data/demo.log" 2>&1 &
  app=$!
  until curl -fs -o /dev/null "http://127.0.0.1:$port/health/ready"; do
    kill -0 "$app" 2>/dev/null || { tail -20 "$ROOT/.data/demo.log"; app=; return 1; }
    sleep 0.5
  done
  kill "$app"; wait "$app" 2>/dev/null || true; app=
}

browser_suite() {
  local status=0 walks=()
  # Made beside the other suites; where that failed, it has been told.
  [ "$(sql "select 1 from pg_database where datname = 'deepcurrent_demo'")" = 1 ] || return 0
  stand_ins 8475
  if [ -n "$filter" ]; then if [ -f "$ROOT/e2e/$filter.spec.mjs" ]; then walks=("$filter"); else walks=(-g "$filter"); fi; fi
  (cd "$ROOT/e2e" && npx --no-install playwright test "${walks[@]}") >"$log" 2>&1 || status=$?
  [ "$status" = 0 ] || tail -150 "$log"
  count "browser" "$(number 's/^ *([0-9]+) passed.*/\1/p' <"$log")" "$(number 's/^ *([0-9]+) failed.*/\1/p' <"$log")" "$status"
  kill $STAND_INS 2>/dev/null || true
}

first_lane() {
  if wanted layout; then check_of "layout of C#" src tests bench .config .csharpierrc.json -- bash -c "cd '$ROOT' && dotnet tool restore && dotnet csharpier check src tests bench"; fi
  if wanted formats; then dotnet_suite Formats.Tests; fi
  if wanted web; then web_suite; fi
  if wanted content; then check_of "content" content src -- dotnet "$cli" content check "$ROOT/content"; fi
}

second_lane() {
  if wanted layout; then check_of "layout of the pages" web e2e docs languages README.md CONTRIBUTING.md .prettierrc.json .prettierignore -- bash -c "cd '$ROOT' && web/node_modules/.bin/prettier --check ."; fi
  if wanted pages; then page_checks; fi
  if wanted browser && ! demo; then count "the demo's school" 0 1 1; fi
  # Beside the other suites of C#, which have one test after another in one database.
  if wanted core; then dotnet_suite Core.Tests; fi
}

rm -f "$ROOT/.data/pages.count"
# The two lanes do not wait for each other, and take about as long. What the second finds is told when the first is done.
(
  trap 'kill $app 2>/dev/null' EXIT
  log="$ROOT/.data/test-pages.log" since=$SECONDS
  second_lane
  echo "$passed $failed" >"$ROOT/.data/pages.count"
) >"$ROOT/.data/pages.out" 2>&1 &
lane=$!
first_lane
wait "$lane" || true
cat "$ROOT/.data/pages.out"
if [ -f "$ROOT/.data/pages.count" ]; then
  read -r more_passed more_failed <"$ROOT/.data/pages.count"
  passed=$((passed + more_passed)) failed=$((failed + more_failed))
else
  failed=$((failed + 1))
fi
told "beside that, the rest"
if wanted browser; then browser_suite; fi

stop_cluster
trap - EXIT
say "in all $((SECONDS / 60)):$(printf %02d $((SECONDS % 60)))"
echo "$passed passed, $failed failed"
[ "$failed" = 0 ]
