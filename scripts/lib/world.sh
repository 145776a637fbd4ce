# deepcurrent world NAME PORT: serves the demo's school from a database of its own, made anew from the one that ./test keeps
# (deepcurrent_demo), so that walks can run side by side. Called by e2e/world.mjs.
# deepcurrent world NAME anew: makes that database anew under the server; it finds out, and is ready again in a moment.
# deepcurrent world NAME sql FILE MORE…: runs a file of SQL there; MORE are arguments of psql.
name=$1 port=$2
cluster testpg 54420
if [ "$port" = sql ]; then sql_file "$3" "$name" "${@:4}"; exit; fi
sql "drop database if exists $name with (force)" >/dev/null 2>&1
sql "create database $name template deepcurrent_demo" >/dev/null
if [ "$port" = anew ]; then exit; fi
DOTNET_TieredPGO=0 Voice__Ahead=false ConnectionStrings__DeepCurrent=$(connection "$name") Content__Folder="$ROOT/content" ASPNETCORE_WEBROOT="$ROOT/web/dist" SignIn__FreeTries=200 SignIn__FreeTriesOfAnAddress=5000 \
  exec dotnet "$ROOT/src/DeepCurrent.Web/bin/Release/net10.0/DeepCurrent.Web.dll" --urls "http://127.0.0.1:$port" >>"$ROOT/.data/$name.log" 2>&1
