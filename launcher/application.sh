# shellcheck shell=bash
# Building and serving the application. ./zinc-tally sources this.

JAR=$ROOT/web/target/zinc-tally-app.jar
APP=$ROOT/web/target/app # the same, unpacked, so that classes can be read from an archive that was made of them
CLASSES=$APP/classes.jsa

build() {
  if [ -f "$JAR" ] && [ -d "$APP" ] && [ -z "$(find pom.xml core store web demo \( -name target -o -path '*/src/test' \) -prune -o -type f -newer "$JAR" -print -quit)" ]; then return; fi
  say "Building ..."
  mvn -q -B -pl web -am -Dmaven.test.skip=true package > "$HOME_DIR/log/build.log" 2>&1 || { tail -30 "$HOME_DIR/log/build.log" >&2; fail "the build failed; see $HOME_DIR/log/build.log"; }
  rm -rf "$APP"; java -Djarmode=tools -jar "$JAR" extract --destination "$APP" > /dev/null || fail "the program could not be unpacked into $APP"
}

archive_ready() { # one that was not written to its end would end whoever reads it
  [ ! -s "$CLASSES" ] && [ -s "$CLASSES.new" ] || return 0
  if java -Xshare:on -XX:+UnlockDiagnosticVMOptions -XX:ArchiveRelocationMode=1 -XX:ErrorFile=/dev/null -XX:+UseSerialGC \
    -XX:SharedArchiveFile="$CLASSES.new" -cp "$APP/zinc-tally-app.jar" -version >/dev/null 2>&1
  then mv "$CLASSES.new" "$CLASSES"; else rm -f "$CLASSES.new"; fi
} 2>/dev/null

on_loopback() { case $WEB_ADDRESS in 127.*|::1|localhost) ;; *) return 1 ;; esac; }

listens() { # how it is reached: certificate and proxy, as arguments in LISTENS
  LISTENS=(); SCHEME=http
  if [ -n "${ZINC_TLS_CERT:-}" ]; then
    [ -r "$ZINC_TLS_CERT" ] && [ -r "${ZINC_TLS_KEY:-}" ] || fail "ZINC_TLS_CERT and ZINC_TLS_KEY must name a certificate and its key as PEM files that can be read"
    SCHEME=https; LISTENS+=("--server.ssl.certificate=file:$(readlink -f "$ZINC_TLS_CERT")" "--server.ssl.certificate-private-key=file:$(readlink -f "$ZINC_TLS_KEY")")
  elif [ "${ZINC_TLS:-}" = self ]; then
    SCHEME=https; own_certificate
    LISTENS+=("--server.ssl.key-store=file:$HOME_DIR/run/tls.p12" --server.ssl.key-store-type=PKCS12)
    SERVER_SSL_KEY_STORE_PASSWORD=$(cat "$HOME_DIR/run/tls.password"); export SERVER_SSL_KEY_STORE_PASSWORD
  fi
  if [ -n "${ZINC_PROXY:-}" ]; then
    LISTENS+=(--server.forward-headers-strategy=native "--server.tomcat.remoteip.internal-proxies=${ZINC_PROXY//./\\.}")
  fi
  if [ -n "${ZINC_BACKUP:-}" ]; then
    mkdir -p "$ZINC_BACKUP" 2>/dev/null && [ -w "$ZINC_BACKUP" ] || fail "cannot write in $ZINC_BACKUP, where backups should go"
  fi
  on_loopback || [ "$SCHEME" = https ] || [ -n "${ZINC_PROXY:-}" ] || fail "without TLS everybody on the way could read the passwords: set ZINC_TLS_CERT and ZINC_TLS_KEY, or ZINC_TLS=self for a try, or ZINC_PROXY to the address of a proxy that has TLS"
}

own_certificate() { # for a try: browsers warn of it
  local store=$HOME_DIR/run/tls.p12 name; name=$(hostname -f 2>/dev/null || hostname)
  [ ! -f "$store" ] || return 0
  (umask 077; head -c 24 /dev/urandom | base64 | tr -d '/+=\n' > "$HOME_DIR/run/tls.password")
  (umask 077; keytool -genkeypair -alias zinc -keyalg EC -groupname secp256r1 -validity 397 -storetype PKCS12 -keystore "$store" \
    -storepass:file "$HOME_DIR/run/tls.password" -dname "CN=$name" -ext "SAN=dns:$name,dns:localhost,ip:127.0.0.1" >/dev/null 2>&1) || fail "keytool could not make a certificate"
}

answers() { # whether the application answers at the machine itself
  local at=127.0.0.1; case $WEB_ADDRESS in 127.*|0.0.0.0|::*|localhost) ;; *) at=$WEB_ADDRESS ;; esac
  grep -q . <(curl -fsk "$SCHEME://$at:$WEB_PORT/health" 2>/dev/null || wget --no-check-certificate -qO- "$SCHEME://$at:$WEB_PORT/health" 2>/dev/null)
}

java_app() { # database profile-arguments...
  local db=$1; shift
  [ ! -s "$CLASSES" ] || ARCHIVES=-XX:SharedArchiveFile=$CLASSES
  local url=jdbc:mariadb:${SERVERS:+sequential:}//${SERVERS:-127.0.0.1:$DB_PORT}/$db
  ZINC_DB_URL=$url ZINC_DB_USER=zinc_app_${db#zinc_} ZINC_DB_PASSWORD=$(cat "$HOME_DIR/run/app.password") \
  SPRING_FLYWAY_URL="$url?createDatabaseIfNotExist=true" SPRING_FLYWAY_USER=zinc SPRING_FLYWAY_PASSWORD=$(cat "$HOME_DIR/run/db.password") \
  ZINC_SERVERS=$SERVERS ZINC_NEAR=$NEAR ZINC_PORT=$WEB_PORT ZINC_ADDRESS=$WEB_ADDRESS ZINC_HOME_DIR=$HOME_DIR exec java -Xmx1g -XX:+UseSerialGC ${ARCHIVES:-} -jar "$APP/zinc-tally-app.jar" "$@"
}

answered() { # pid-file port log: waits until a program answers, or says why it does not
  for _ in $(seq 900); do
    if grep -q . <(curl -fs "http://127.0.0.1:$2/health" 2>/dev/null); then return; fi
    alive "$1" || fail "the program did not start; see $3"
    sleep 0.2
  done
  fail "the program did not answer in three minutes; see $3"
}

serve() { # own|demo
  local book=$1 pid=$HOME_DIR/run/web.pid served=$HOME_DIR/run/web.book
  if alive "$pid" && [ "$(cat "$served")" = "$book" ]; then address "$book"; return; fi
  ! alive "$pid" || fail "the $(cat "$served") book is being served on port $WEB_PORT; ./zinc-tally stop ends that"
  ! open_port "$WEB_PORT" || fail "port $WEB_PORT is taken by another program; set ZINC_PORT to a free one"
  local broken names=(-name "restoring-$book"); [ "$book" != house ] || names+=(-o -name 'restoring-b_*')
  broken=$(find "$HOME_DIR/run" "${names[@]}")
  [ -z "$broken" ] || fail "going back to a backup was broken off in the middle (${broken##*/restoring-}); do it again before the book is served. What it was before lies in $HOME_DIR/before-restore"
  case $book in own) before_upgrade own ;; house) of_each before_upgrade || return 1 ;; esac
  say "Starting ..."; archive_ready
  (umask 077; ARCHIVES=-XX:ArchiveClassesAtExit=$CLASSES.new # when it ends, for those that start after it
    java_app "zinc_$book" --spring.profiles.active="$book" "${LISTENS[@]}" "--logging.file.name=$HOME_DIR/log/web.log" --logging.threshold.console=off \
    </dev/null > "$HOME_DIR/log/start.log" 2>&1) &
  echo $! > "$pid"; echo "$book" > "$served"
  for _ in $(seq 600); do
    if answers; then [ "$book" = house ] || rm -f "$HOME_DIR/run/upgrading-$book"; address "$book"; by_night "$book"; return; fi
    alive "$pid" || { tail -n 20 "$HOME_DIR/log/start.log" >&2; tail -n 20 "$HOME_DIR/log/web.log" >&2; fail "the application did not start; see $HOME_DIR/log/web.log"; }
    sleep 0.2
  done
  fail "the application did not answer in two minutes; see $HOME_DIR/log/web.log"
}

by_night() { # book: backups by themselves, when a folder is set for them
  stop_one nightly # of a program that ended by itself
  [ -n "${ZINC_BACKUP:-}" ] && [ "$1" != demo ] || return 0
  ZINC_SERVERS=$SERVERS setsid "$ROOT/zinc-tally" nightly "$(readlink -f "$ZINC_BACKUP")" "$1" </dev/null >> "$HOME_DIR/log/backup.log" 2>&1 &
  echo $! > "$HOME_DIR/run/nightly.pid"
  say "A backup of each book is made into $ZINC_BACKUP once a day."
}

address() {
  local host=$WEB_ADDRESS; case $host in 0.0.0.0|::) host=$(hostname -f 2>/dev/null || hostname) ;; esac
  [ "$1" != house ] || host=${ZINC_HOUSE:-books.localhost}
  say "Zinc Tally is at $SCHEME://$host:$WEB_PORT/"
  if [ "$1" = demo ]; then say "Sign in as owner, bookkeeper, counter or reader; the password is: wickmere"
  elif [ -z "$(db_sql -N "zinc_$1" -e 'select 1 from app_user limit 1' 2>/dev/null)" ]; then
    say "The first visit makes the owner's sign-in; it must come from this machine itself."
  fi
}

stop_one() {
  local file=$HOME_DIR/run/$1.pid
  if alive "$file"; then
    local id; id=$(cat "$file"); kill "$id" 2>/dev/null || true
    for _ in $(seq 150); do kill -0 "$id" 2>/dev/null || break; sleep 0.2; done
  fi
  rm -f "$file"
}
