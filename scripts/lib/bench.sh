# ./deepcurrent bench: measures the figures anew and writes bench/results.md. With library, groups, signals, plan, reports, voice, slow, rosters, load, fuzz or house after it, prints the rows of that part alone.
mkdir -p "$ROOT/.data"
ensure_tools
npm_packages e2e
npm_packages bench
need_browser
build_web
build_server
dotnet build "$ROOT/bench/DeepCurrent.Bench" -c Release -v q --nologo >"$ROOT/.data/build.log" 2>&1 || fail "the bench did not build, see .data/build.log"
PG_EXTRA="-c shared_preload_libraries=pg_stat_statements -c pg_stat_statements.track_planning=on" cluster benchpg 54520
app=
trap '[ -n "$app" ] && kill "$app" 2>/dev/null; stop_cluster' EXIT

# serve DATABASE DEMO: starts the application on a database; sets app, address.
serve() {
  local port; port=$(free_port 8550)
  address="http://127.0.0.1:$port"
  ConnectionStrings__DeepCurrent=$(connection "$1") Content__Folder="$ROOT/content" Demo__Load=$2 ASPNETCORE_WEBROOT="$ROOT/web/dist" SignIn__FreeTriesOfAnAddress=5000 \
    dotnet "$ROOT/src/DeepCurrent.Web/bin/Release/net10.0/DeepCurrent.Web.dll" --urls "$address" >>"$ROOT/.data/bench-server.log" 2>&1 &
  app=$!
  for _ in $(seq 1 600); do curl -fs -o /dev/null "$address/health/ready" && break; sleep 0.5; done
}
halt() { kill "${1:--TERM}" "$app" 2>/dev/null || true; wait "$app" 2>/dev/null || true; app=; }
fresh() { sql "drop database if exists $1 with (force)" >/dev/null 2>&1; database "$1"; }
bench_dll="$ROOT/bench/DeepCurrent.Bench/bin/Release/net10.0/DeepCurrent.Bench.dll"

rosters() { # the figures of rosters: a district's, one that is killed in the middle, and a school of 3,000
  local zip="$ROOT/.data/bench-roster.zip" id
  dotnet "$bench_dll" roster-zip "$zip" 100000 5000 400000
  fresh deepcurrent_bench_roster
  serve deepcurrent_bench_roster false
  node "$ROOT/bench/roster.mjs" "$address" "$app" import "$zip"
  halt
  fresh deepcurrent_bench_roster
  serve deepcurrent_bench_roster false
  id=$(node "$ROOT/bench/roster.mjs" "$address" "$app" half "$zip")
  halt -KILL
  echo "| Readers in the database after the server was killed in the middle of writing | $(sql "select count(*) from reader" deepcurrent_bench_roster) | 0, or all of them |"
  serve deepcurrent_bench_roster false
  node "$ROOT/bench/roster.mjs" "$address" "$app" after "$id"
  halt
  dotnet "$bench_dll" roster-zip "$zip" 3158 90 3090
  fresh deepcurrent_bench_roster
  serve deepcurrent_bench_roster false
  node "$ROOT/bench/roster.mjs" "$address" "$app" fill "$zip"
  halt
  serve deepcurrent_bench_roster false
  node "$ROOT/bench/roster.mjs" "$address" "$app" school
  (cd "$ROOT/e2e" && DEEPCURRENT_URL=$address node "$ROOT/bench/keystroke.mjs")
  halt
  rm -f "$zip"
}

library() { # searching 100,000 texts, after the demo world is there
  serve deepcurrent_bench true
  halt
  dotnet "$bench_dll" library-texts "$(connection deepcurrent_bench)" "$ROOT/content" 100000
  serve deepcurrent_bench true
  node "$ROOT/bench/library.mjs" "$address"
  halt
}

load() { # a whole school at once, with pgbench beside it
  fresh deepcurrent_bench_load
  serve deepcurrent_bench_load false
  dotnet "$bench_dll" load "$address" "$(connection deepcurrent_bench_load)" "$(PGBIN)/pgbench"
  halt
}

fuzz() { # damaged files, in every way in that takes files
  fresh deepcurrent_bench_fuzz
  serve deepcurrent_bench_fuzz false
  dotnet "$bench_dll" fuzz "$address" "$(connection deepcurrent_bench_fuzz)" "$ROOT/content"
  halt
}

plan() { # giving much at once, and who is where
  serve deepcurrent_bench true
  node "$ROOT/bench/plan.mjs" "$address" give
  sql "select pg_stat_statements_reset()" deepcurrent_bench >/dev/null
  node "$ROOT/bench/plan.mjs" "$address" places "$ROOT/.data/places.json"
  node "$ROOT/bench/plan.mjs" report "$ROOT/.data/places.json" "$(spent)"
  (cd "$ROOT/e2e" && DEEPCURRENT_URL=$address node "$ROOT/bench/where.mjs")
  halt
}

# year CLASS READINGS [ANSWERS]: fills a class's year; prints one of its assignments.
year() {
  sql_file "$ROOT/bench/reports.sql" deepcurrent_bench -v "class=$1" -v "readings=$2" -v "answers=${3:-true}" | tail -1
}

reports() { # results of 150 readers, a class's year, and what leaves as a file
  local id
  serve deepcurrent_bench true
  node "$ROOT/bench/reports.mjs" "$address" make "Results 150" 150
  node "$ROOT/bench/reports.mjs" "$address" make "Report 36" 36
  id=$(year "Results 150" 1)
  year "Report 36" 120 >/dev/null
  for _ in 1 2; do node "$ROOT/bench/reports.mjs" "$address" results "$id" "$ROOT/.data/results.json"; done
  sql "select pg_stat_statements_reset()" deepcurrent_bench >/dev/null
  node "$ROOT/bench/reports.mjs" "$address" results "$id" "$ROOT/.data/results.json"
  node "$ROOT/bench/reports.mjs" report results "$ROOT/.data/results.json" "$(spent)"
  sql "select pg_stat_statements_reset()" deepcurrent_bench >/dev/null
  node "$ROOT/bench/reports.mjs" "$address" year "Report 36" "$ROOT/.data/year.json"
  node "$ROOT/bench/reports.mjs" report year "$ROOT/.data/year.json" "$(spent)"
  (cd "$ROOT/e2e" && DEEPCURRENT_URL=$address node "$ROOT/bench/paint.mjs" "Report 36")
  node "$ROOT/bench/reports.mjs" "$address" make "School 1000" 1000
  year "School 1000" 120 false >/dev/null
  node "$ROOT/bench/reports.mjs" "$address" school "$ROOT/.data/school.json"
  sql "select pg_stat_statements_reset()" deepcurrent_bench >/dev/null
  node "$ROOT/bench/reports.mjs" "$address" school "$ROOT/.data/school.json"
  node "$ROOT/bench/reports.mjs" report school "$ROOT/.data/school.json" "$(spent)"
  node "$ROOT/bench/reports.mjs" "$address" files
  halt
}

# What the database has spent on the demo's since it was asked to forget.
spent() { sql "select sum(total_exec_time + total_plan_time) from pg_stat_statements s join pg_database d on d.oid = s.dbid where d.datname = 'deepcurrent_bench'" deepcurrent_bench; }

voice() { # how soon the voice speaks
  stand_ins 8570
  Voice__Ahead=false serve deepcurrent_bench true
  node "$ROOT/bench/voice.mjs" "$address"
  halt
  kill $STAND_INS
}

slow() { # a reader's side on a slow tablet and a slow line
  serve deepcurrent_bench true
  (cd "$ROOT/e2e" && DEEPCURRENT_URL=$address node "$ROOT/bench/slow.mjs")
  halt
}

groups() { dotnet "$bench_dll" groups; } # forming groups: proofs, large schools, conflicts
signals() { dotnet "$bench_dll" signals; } # false signals of ordinary classes, readers in trouble who are found

house() { node "$ROOT/bench/house.mjs" "$ROOT"; } # what the code itself measures

fresh deepcurrent_bench
sql "create extension if not exists pg_stat_statements" deepcurrent_bench >/dev/null
if [ -n "${1:-}" ]; then case "$1" in library | groups | signals | plan | reports | voice | slow | rosters | load | fuzz | house) "$1"; exit ;; *) fail "there is no part $1 (library, groups, signals, plan, reports, voice, slow, rosters, load, fuzz, house)" ;; esac; fi
serve deepcurrent_bench true
results="$ROOT/bench/results.md"
{
  echo "# Figures"
  echo
  echo "Measured by \`./deepcurrent bench\` on $(nproc) cores of $(sed -nE 's/^model name\s*: //p' /proc/cpuinfo | head -1), $(free -g | awk '/Mem/{print $2}') GiB, .NET $(dotnet --version), PostgreSQL $("$(PGBIN)/postgres" --version | awk '{print $3}'). The machine is shared: medians of several runs."
  echo
  echo "| what | figure | wanted |"
  echo "| --- | --- | --- |"
  dotnet "$bench_dll" "$ROOT/content"
  node "$ROOT/bench/readability.mjs" "$ROOT"
  DEEPCURRENT_URL=$address node "$ROOT/bench/formats.mjs"
  node "$ROOT/bench/class-page.mjs" "$address" reset
  sql "select pg_stat_statements_reset()" deepcurrent_bench >/dev/null
  node "$ROOT/bench/class-page.mjs" "$address" measure "$ROOT/.data/class-page.json"
  node "$ROOT/bench/class-page.mjs" report "$ROOT/.data/class-page.json" "$(spent)"
  halt
  plan
  reports
  voice
  slow
  library
  rosters
  load
  fuzz
  node "$ROOT/bench/bundles.mjs" "$ROOT/web/dist"
  node "$ROOT/bench/house.mjs" "$ROOT"
} >"$results"
cat "$results"
