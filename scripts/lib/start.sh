# ./start [--fresh | --empty] [--port N]
fresh=0 demo=true port=8350
while [ $# -gt 0 ]; do
  case $1 in
    --fresh) fresh=1 ;;
    --empty) fresh=1 demo=false ;;
    --port) port=${2:?--port needs a number}; shift ;;
    *) fail "unknown: $1 (./start [--fresh | --empty] [--port N])" ;;
  esac
  shift
done

mkdir -p "$ROOT/.data"
running="$ROOT/.data/running"
if [ -f "$running" ] && read -r pid address <"$running" && kill -0 "$pid" 2>/dev/null; then say "Deep Current is running already: $address"; exit 0; fi

ensure_tools
build_web
build_server
cluster pg 54320
app=
stop() {
  trap - INT TERM EXIT
  if [ -n "$app" ]; then kill -TERM "$app" 2>/dev/null || true; wait "$app" 2>/dev/null || true; fi
  kill ${STAND_INS:-} 2>/dev/null || true
  stop_cluster
  rm -f "$running"
  echo
  say "Stopped. What was done is kept; ./start goes on from here."
}
trap 'stop; exit 0' INT TERM
trap stop EXIT

# An empty installation stays empty until --fresh asks for the demo world again.
[ "$fresh" = 1 ] && { say "Beginning again"; sql "drop database if exists deepcurrent with (force)" >/dev/null 2>&1; }
[ "$fresh" = 1 ] && { [ "$demo" = false ] && touch "$ROOT/.data/empty" || rm -f "$ROOT/.data/empty"; }
[ -f "$ROOT/.data/empty" ] && demo=false
database deepcurrent

[ "$demo" = true ] && stand_ins 8470
port=$(free_port "$port")
address="http://127.0.0.1:$port"
ConnectionStrings__DeepCurrent=$(connection deepcurrent) Content__Folder="$ROOT/content" Demo__Load=$demo ASPNETCORE_WEBROOT="$ROOT/web/dist" ASPNETCORE_ENVIRONMENT=Production \
  dotnet "$ROOT/src/DeepCurrent.Web/bin/Release/net10.0/DeepCurrent.Web.dll" --urls "$address" &
app=$!
echo "$app $address" >"$running"
for _ in $(seq 1 600); do
  curl -fs -o /dev/null "$address/health/ready" 2>/dev/null && break
  kill -0 "$app" 2>/dev/null || fail "the application stopped before it was ready"
  sleep 0.5
done
echo
say "Deep Current is at $address"
if [ "$demo" = true ]; then
  cat <<SIGNINS
    school lead  ines  password  low water at nine     (the whole school)
    teacher   marit   password  low water at nine      (4 Tern, 6 Heron)
    teacher   teo     password  low water at nine      (2 Plover)
    assistant bram    password  low water at nine      (4 Tern)
    guardian  lucia   password  low water at nine      (Mateo)
    reader    $address/read   class code TERN46, Mateo, pictures boat, gull, shell
    stream    $ClassStream__Address/Tern?home=$address   (once a class is connected with "Tern": Assignments, Share)
SIGNINS
else
  say "There is no school yet: open the address to create it and its first teacher"
fi
say "Ctrl-C stops it"
wait "$app"
