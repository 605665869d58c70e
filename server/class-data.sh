#!/usr/bin/env bash
# Starts the unpacked application once, asks it for a page, ends it, and keeps its loaded classes
# (a class-data archive), so that every later start takes about two thirds of the time.
# Usage: class-data.sh JAVA DIRECTORY
set -euo pipefail
java="$1"
app="$(cd "$2" && pwd)" # the archive holds for this path only
data="$(mktemp -d)"
"$java" -XX:TieredStopAtLevel=1 -XX:+UseSerialGC -XX:ArchiveClassesAtExit="$app/isokinon.jsa" -Xlog:cds=off \
  -Xlog:cds+dynamic=off -jar "$app/isokinon-app.jar" --isokinon.demo=true --isokinon.data="$data" --isokinon.port=0 \
  --logging.level.org.springframework.boot.web.embedded.tomcat=info \
  > "$app/class-data.log" 2>&1 &
running=$!
trap 'kill "$running" 2> /dev/null || true; rm -rf "$data"' EXIT

port=""
for _ in $(seq 1 600); do
  kill -0 "$running" 2> /dev/null || { cat "$app/class-data.log"; exit 1; }
  port="$(sed -nE 's/.*Tomcat started on port ([0-9]+).*/\1/p' "$app/class-data.log")"
  [ -z "$port" ] || break
  sleep 0.1
done
[ -n "$port" ] || { echo "The application did not say its port within a minute."; exit 1; }

# asks METHOD ADDRESS BODY: the answer, with its fields
asks() {
  exec 3<> "/dev/tcp/127.0.0.1/$port"
  printf '%s /api/v1/%s HTTP/1.0\r\nHost: 127.0.0.1:%s\r\nCookie: %s\r\nContent-Type: application/json\r\nContent-Length: %s\r\n\r\n%s' \
    "$1" "$2" "$port" "$cookie" "${#3}" "$3" >&3
  cat <&3
  exec 3>&-
}

# The made-up mill shows its PINs to everybody; the first may come before they are set.
cookie=""
for _ in $(seq 1 100); do
  cookie="$(asks POST session '{"initials": "RT", "pin": "1704", "device": ""}' | tr -d '\r' | sed -nE 's/^[Ss]et-[Cc]ookie: ([^;]+).*/\1/p' | head -n 1)"
  [ -z "$cookie" ] || break
  sleep 0.2
done
[ -n "$cookie" ] || { echo "Nobody could sign in at the mill."; exit 1; }
for page in floor pumps/EFF-08 stores diary life/finds setup sheets materials; do
  asks GET "$page" "" > /dev/null
done
kill "$running"
wait "$running" || true
[ -f "$app/isokinon.jsa" ] || { cat "$app/class-data.log"; exit 1; }
