# shellcheck shell=bash
# Building and serving the application. ./zinc-tally sources this.

JAR=$ROOT/web/target/zinc-tally-app.jar

build() {
  if [ -f "$JAR" ] && [ -z "$(find pom.xml core store web \( -name target -o -path '*/src/test' \) -prune -o -type f -newer "$JAR" -print -quit)" ]; then return; fi
  say "Building ..."
  mvn -q -B -pl web -am -Dmaven.test.skip=true package > "$HOME_DIR/log/build.log" 2>&1 || { tail -30 "$HOME_DIR/log/build.log" >&2; fail "the build failed; see $HOME_DIR/log/build.log"; }
}

java_app() { # database profile-arguments...
  local db=$1; shift
  ZINC_DB_URL="jdbc:mariadb://127.0.0.1:$DB_PORT/$db?createDatabaseIfNotExist=true" ZINC_DB_USER=zinc \
  ZINC_DB_PASSWORD=$(cat "$HOME_DIR/run/db.password") ZINC_PORT=$WEB_PORT exec java -Xmx1g -XX:+UseSerialGC -XX:TieredStopAtLevel=4 -jar "$JAR" "$@"
}

serve() { # own|demo
  local book=$1 pid=$HOME_DIR/run/web.pid served=$HOME_DIR/run/web.book
  if alive "$pid" && [ "$(cat "$served")" = "$book" ]; then address "$book"; return; fi
  ! alive "$pid" || fail "the $(cat "$served") book is being served on port $WEB_PORT; ./zinc-tally stop ends that"
  ! open_port "$WEB_PORT" || fail "port $WEB_PORT is taken by another program; set ZINC_PORT to a free one"
  say "Starting ..."
  (java_app "zinc_$book" --spring.profiles.active="$book" </dev/null >> "$HOME_DIR/log/web.log" 2>&1) &
  echo $! > "$pid"; echo "$book" > "$served"
  for _ in $(seq 600); do
    if grep -q . <(curl -fs "http://127.0.0.1:$WEB_PORT/health" 2>/dev/null || wget -qO- "http://127.0.0.1:$WEB_PORT/health" 2>/dev/null); then address "$book"; return; fi
    alive "$pid" || { tail -20 "$HOME_DIR/log/web.log" >&2; fail "the application did not start; see $HOME_DIR/log/web.log"; }
    sleep 0.2
  done
  fail "the application did not answer in two minutes; see $HOME_DIR/log/web.log"
}

address() {
  say "Zinc Tally is at http://127.0.0.1:$WEB_PORT/"
  if [ "$1" = demo ]; then say "Sign in as owner, bookkeeper, counter or reader; the password is: wickmere"
  else say "The first visit makes the owner's sign-in."; fi
}

stop_one() {
  local file=$HOME_DIR/run/$1.pid
  if alive "$file"; then
    local id; id=$(cat "$file"); kill "$id" 2>/dev/null || true
    for _ in $(seq 150); do kill -0 "$id" 2>/dev/null || break; sleep 0.2; done
  fi
  rm -f "$file"
}
