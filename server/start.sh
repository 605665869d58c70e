# Sourced by ./demo and ./run: builds the application where anything has changed, and how it is started.

app="$PWD/server/target/app"
jar=$app/isokinon-app.jar

need_tools() {
  for tool in java mvn node npm; do
    command -v "$tool" > /dev/null || { echo "Isokinon needs Java 17, Maven and Node 20; $tool is not here."; exit 1; }
  done
}

need_port() {
  [[ "$1" =~ ^[0-9]+$ ]] && [ "$1" -ge 1 ] && [ "$1" -le 65535 ] || { echo "A port is a number from 1 to 65535; \"$1\" is not."; exit 2; }
  if (exec 3<> "/dev/tcp/127.0.0.1/$1") 2> /dev/null; then
    echo "Port $1 is in use. Choose another: $0 --port $(($1 + 1))"
    exit 1
  fi
}

build() {
  local sources=(pom.xml core/pom.xml core/src/main server/pom.xml server/src/main ui/pom.xml ui/package.json ui/package-lock.json ui/src ui/public ui/index.html ui/vite.config.ts library)
  if [ ! -f "$jar" ] || [ -n "$(find "${sources[@]}" -type f -newer "$jar" ! -name schema.d.ts -print -quit)" ]; then
    need_tools
    echo "Building, some minutes the first time."
    mvn -q -B install -DskipTests -Pquick -Dclass-data.skip=false -pl server -am
  fi
}

# Options that make it start quickly; the archive of classes belongs to this folder.
options=(-XX:TieredStopAtLevel=1 -XX:+UseSerialGC "-XX:SharedArchiveFile=$app/isokinon.jsa")

# Waits until it answers on a port, or has ended.
wait_for() {
  for _ in $(seq 1 600); do
    kill -0 "$2" 2> /dev/null || { echo "The application did not start; its words stand above."; exit 1; }
    if (exec 3<> "/dev/tcp/127.0.0.1/$1") 2> /dev/null; then return; fi
    sleep 0.2
  done
}
