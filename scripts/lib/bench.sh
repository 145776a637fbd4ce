# ./deepcurrent bench: measures the figures anew and writes bench/results.md.
mkdir -p "$ROOT/.data"
ensure_tools
build_web
build_server
dotnet build "$ROOT/bench/DeepCurrent.Bench" -c Release -v q --nologo >"$ROOT/.data/build.log" 2>&1 || fail "the bench did not build, see .data/build.log"
PG_EXTRA="-c shared_preload_libraries=pg_stat_statements -c pg_stat_statements.track_planning=on" cluster benchpg 54520
app=
trap '[ -n "$app" ] && kill "$app" 2>/dev/null; stop_cluster' EXIT
sql "drop database if exists deepcurrent_bench with (force)" >/dev/null 2>&1
database deepcurrent_bench
sql "create extension if not exists pg_stat_statements" deepcurrent_bench >/dev/null
port=$(free_port 8550)
ConnectionStrings__DeepCurrent=$(connection deepcurrent_bench) Content__Folder="$ROOT/content" Demo__Load=true ASPNETCORE_WEBROOT="$ROOT/web/dist" SignIn__FreeTriesOfAnAddress=5000 \
  dotnet "$ROOT/src/DeepCurrent.Web/bin/Release/net10.0/DeepCurrent.Web.dll" --urls "http://127.0.0.1:$port" >"$ROOT/.data/bench-server.log" 2>&1 &
app=$!
for _ in $(seq 1 600); do curl -fs -o /dev/null "http://127.0.0.1:$port/health/ready" && break; sleep 0.5; done
results="$ROOT/bench/results.md"
{
  echo "# Figures"
  echo
  echo "Measured by \`./deepcurrent bench\` on $(nproc) cores of $(sed -nE 's/^model name\s*: //p' /proc/cpuinfo | head -1), $(free -g | awk '/Mem/{print $2}') GiB, .NET $(dotnet --version), PostgreSQL $("$(PGBIN)/postgres" --version | awk '{print $3}'). The machine is shared: medians of several runs."
  echo
  echo "| what | figure | wanted |"
  echo "| --- | --- | --- |"
  dotnet "$ROOT/bench/DeepCurrent.Bench/bin/Release/net10.0/DeepCurrent.Bench.dll" "$ROOT/content"
  node "$ROOT/bench/class-page.mjs" "http://127.0.0.1:$port" reset
  sql "select pg_stat_statements_reset()" deepcurrent_bench >/dev/null
  node "$ROOT/bench/class-page.mjs" "http://127.0.0.1:$port" measure "$ROOT/.data/class-page.json"
  spent=$(sql "select sum(total_exec_time + total_plan_time) from pg_stat_statements s join pg_database d on d.oid = s.dbid where d.datname = 'deepcurrent_bench'" deepcurrent_bench)
  node "$ROOT/bench/class-page.mjs" report "$ROOT/.data/class-page.json" "$spent"
  node "$ROOT/bench/bundles.mjs" "$ROOT/web/dist"
} >"$results"
cat "$results"
