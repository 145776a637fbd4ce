# ./dev: the database, a server that starts again when its code changes, and Vite, together. Ctrl-C stops all of it.
mkdir -p "$ROOT/.data"
ensure_tools
npm_packages web
build_server
cluster pg 54320
database deepcurrent
started=()
stop() {
  trap - INT TERM EXIT
  kill ${STAND_INS:-} 2>/dev/null || true
  # Each of them has children of its own, so whole groups are ended; what does not listen is ended all the same.
  for pid in "${started[@]}"; do kill -TERM -- "-$pid" 2>/dev/null || true; done
  sleep 2
  for pid in "${started[@]}"; do kill -KILL -- "-$pid" 2>/dev/null || true; done
  stop_cluster
}
trap 'stop; exit 0' INT TERM
trap stop EXIT
stand_ins 8470
# The pages' own server passes /api on to this port; see web/vite.config.ts.
ConnectionStrings__DeepCurrent=$(connection deepcurrent) Content__Folder="$ROOT/content" Demo__Load=true ASPNETCORE_URLS=http://127.0.0.1:5199 \
  setsid dotnet watch --project "$ROOT/src/DeepCurrent.Web" --non-interactive --no-hot-reload run --no-launch-profile &
started+=($!)
(cd "$ROOT/web" && exec setsid npx --no-install vite --host 127.0.0.1 --port "$(free_port 5173)") &
started+=($!)
wait -n
