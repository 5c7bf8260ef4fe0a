# shellcheck shell=bash
# What is measured and tried hard, on a database server of its own. ./zinc-tally sources this.

look_on() { # the database keeps count of what it does, for plans
  DB_MORE=(--performance-schema=ON); DB_GRANTS+=("grant select, drop on performance_schema.* to zinc@'$DB_CLIENT';")
}

build_measures() {
  prepare
  say "Building ..." >&2
  mvn -q -B -pl bench -am -Dmaven.test.skip=true package > "$HOME_DIR/log/build.log" 2>&1 || { tail -30 "$HOME_DIR/log/build.log" >&2; fail "the build failed; see $HOME_DIR/log/build.log"; }
}

bench_up() { # builds the measures and starts a database of their own
  build_measures
  HOME_DIR=$HOME_DIR/bench; DB_PORT_NAME=ZINC_BENCH_DB_PORT; DB_PORT=${ZINC_BENCH_DB_PORT:-8713}
  mkdir -p "$HOME_DIR/log" "$HOME_DIR/run"
  db_up; trap 'stop_one db' EXIT
  export ZINC_DB_SERVER="jdbc:mariadb://127.0.0.1:$DB_PORT/" ZINC_DB_USER=zinc
  ZINC_DB_PASSWORD=$(cat "$HOME_DIR/run/db.password"); export ZINC_DB_PASSWORD
}

bench_java() { java -Xmx1g -XX:+UseSerialGC -cp "$ROOT/bench/target/classes:$(cat "$ROOT/bench/target/class-path.txt")" "$@"; }

crash() { # rounds
  local acknowledged=$HOME_DIR/run/acknowledged worker
  : > "$acknowledged"; db_sql -e 'drop database if exists zinc_bench_crash'
  for round in $(seq "$1"); do
    java -Xmx512m -XX:+UseSerialGC -cp "$ROOT/bench/target/classes:$(cat "$ROOT/bench/target/class-path.txt")" \
      zinctally.bench.CrashWorker "$acknowledged" "$round" > "$HOME_DIR/run/working" 2> "$HOME_DIR/log/crash.log" &
    worker=$!
    for _ in $(seq 300); do grep -q working "$HOME_DIR/run/working" && break; kill -0 "$worker" 2>/dev/null || fail "the worker did not start; see $HOME_DIR/log/crash.log"; sleep 0.1; done
    sleep "$((1 + RANDOM % 4)).$((RANDOM % 10))"
    if [ $((round % 2)) = 0 ]; then
      say "round $round: the database is killed"
      { kill -9 "$(cat "$HOME_DIR/run/db.pid")"; sleep 0.5; kill -9 "$worker"; wait; } 2>/dev/null || true
      db_up
    else
      say "round $round: the program is killed"
      { kill -9 "$worker"; wait "$worker"; } 2>/dev/null || true
    fi
    bench_java zinctally.bench.CrashCheck "$acknowledged" crash || fail "round $round left faults"
  done
  db_sql -e 'drop database zinc_bench_crash'
}

book_up() { measured_up "$1" "$2" "zinc_bench_$1" own; } # book, port: serves one of the books that are measured

checked_up() { # book, port: the same, and waits until the check is over that looks through all of it after its start
  local checked; checked=$(db_sql -N "zinc_bench_$1" -e 'select count(*) from check_run')
  book_up "$1" "$2"
  for _ in $(seq 3600); do [ "$(db_sql -N "zinc_bench_$1" -e 'select count(*) from check_run')" = "$checked" ] || return 0; sleep 1; done
  fail "the check of $1 did not end in an hour"
}

measured_up() { # its name, port, database, profile
  local pid=$HOME_DIR/run/$1.pid
  (WEB_PORT=$2; WEB_ADDRESS=127.0.0.1; java_app "$3" --spring.profiles.active="$4" </dev/null >> "$HOME_DIR/log/$1.log" 2>&1) &
  echo $! > "$pid"
  answered "$pid" "$2" "$HOME_DIR/log/$1.log"
}

hands_up() { # where what is acknowledged goes: a new book for many hands, served
  HANDS_PORT=${ZINC_HANDS_PORT:-8714}
  packages curl curl
  ! open_port "$HANDS_PORT" || fail "port $HANDS_PORT is taken by another program; set ZINC_HANDS_PORT to a free one"
  : > "$1"; db_sql -e 'drop database if exists zinc_bench_hands'
  bench_java zinctally.bench.HandsBook
  trap 'kill -9 "$(cat "$HOME_DIR/run/hands.pid")" 2>/dev/null; stop_one db' EXIT
  book_up hands "$HANDS_PORT"
}

hands() { # seconds, kills
  local acknowledged=$HOME_DIR/run/hands-acknowledged people before
  hands_up "$acknowledged"
  bench_java zinctally.bench.Hands "http://127.0.0.1:$HANDS_PORT" "$acknowledged" "$1" 1 8 0 || fail "pages failed; see $HOME_DIR/log/hands.log"
  bench_java zinctally.bench.CrashCheck "$acknowledged" hands || fail "the book does not hold"
  for round in $(seq "$2"); do
    before=$(wc -l < "$acknowledged")
    bench_java zinctally.bench.Hands "http://127.0.0.1:$HANDS_PORT" "$acknowledged" 60 "$((round + 1))" 8 0 & people=$!
    for _ in $(seq 250); do [ "$(wc -l < "$acknowledged")" -eq "$before" ] || break; sleep 0.2; done
    sleep "$((2 + RANDOM % 9))" # into the middle of their work
    say "round $round: the program is killed"
    { kill -9 "$(cat "$HOME_DIR/run/hands.pid")"; } 2>/dev/null || true
    wait "$people" || fail "pages failed before the kill; see $HOME_DIR/log/hands.log"
    bench_java zinctally.bench.CrashCheck "$acknowledged" hands || fail "round $round left faults"
    book_up hands "$HANDS_PORT"
  done
  db_sql -e 'drop database zinc_bench_hands'
}

pages() { # every page of the small and of the big book
  local port=${ZINC_HANDS_PORT:-8714}
  packages curl curl
  there_is zinc_bench_big || fail "there is no big book yet; ./zinc-tally bench fill makes it"
  for taken in "$port" "$((port + 1))"; do ! open_port "$taken" || fail "port $taken is taken by another program; set ZINC_HANDS_PORT to a free one"; done
  trap 'stop_one small; stop_one big; stop_one db' EXIT
  checked_up small "$port"; checked_up big "$((port + 1))"
  bench_java zinctally.bench.pages.PagesBench "${1:-3000}" "http://127.0.0.1:$port" "http://127.0.0.1:$((port + 1))"
}

soak() { # seconds, people: they work all the time; what the program and the database hold meanwhile
  local acknowledged=$HOME_DIR/run/soak-acknowledged people until
  hands_up "$acknowledged"
  bench_java zinctally.bench.Hands "http://127.0.0.1:$HANDS_PORT" "$acknowledged" "$1" 1 "$2" 0 & people=$!
  until=$((SECONDS + $1))
  while [ "$SECONDS" -lt "$until" ] && kill -0 "$people" 2>/dev/null; do
    say "$(printf '%5d s' "$((SECONDS + $1 - until))"): $(held hands), threads $(ls "/proc/$(cat "$HOME_DIR/run/hands.pid")/task" | wc -l), acknowledged $(wc -l < "$acknowledged")"
    sleep "$(($1 < 600 ? 10 : $1 / 60))"
  done
  wait "$people" || fail "pages failed; see $HOME_DIR/log/hands.log"
  sleep 60; say "a minute later: $(held hands)"
  bench_java zinctally.bench.CrashCheck "$acknowledged" hands || fail "the book does not hold"
}

held() { # program: memory of it and of the database, connections, files
  local program database own
  own=$(cat "$HOME_DIR/run/$1.pid")
  program=$(awk '/VmRSS/ {print int($2 / 1000)}' "/proc/$own/status")
  database=$(awk '/VmRSS/ {print int($2 / 1000)}' "/proc/$(cat "$HOME_DIR/run/db.pid")/status")
  say "program $program MB, database $database MB, connections $(db_sql -N -e "show status like 'Threads_connected'" | cut -f2), files of the program $(ls "/proc/$own/fd" | wc -l)"
}

plans() { # pages: every page of the big book once; then what the database looked through most for a single answer
  local port=${ZINC_HANDS_PORT:-8714}
  packages curl curl
  there_is zinc_bench_big || fail "there is no big book yet; ./zinc-tally bench fill makes it"
  ! open_port "$port" || fail "port $port is taken by another program; set ZINC_HANDS_PORT to a free one"
  trap 'stop_one big; stop_one db' EXIT
  checked_up big "$port"
  db_sql -e 'truncate performance_schema.events_statements_summary_by_digest'
  bench_java zinctally.bench.pages.PagesBench "${1:-3000}" "http://127.0.0.1:$port"
  db_sql -t -e "select count_star as times, round(sum_rows_examined / count_star) as looked_at, round(sum_sort_rows / count_star) as sorted,
      round(max_timer_wait / 1e9) as longest_ms, left(replace(digest_text, 'SET STATEMENT MAX_STATEMENT_TIME = ? FOR ', ''), 160) as what
    from performance_schema.events_statements_summary_by_digest
    where schema_name = 'zinc_bench_big' and (digest_text like 'SELECT%' or digest_text like 'SET STATEMENT%') order by sum_rows_examined / count_star desc limit 40"
}

many_books() { # books, people at once, seconds: small books in one house, made of the demo book; what they cost
  local books=$1 people=$2 port=${ZINC_HOUSE_PORT:-8719} dump=$HOME_DIR/run/demo.sql.gz i
  ! open_port "$port" || fail "port $port is taken by another program; set ZINC_HOUSE_PORT to a free one"
  trap 'stop_one many; stop_one db' EXIT
  if ! there_is zinc_demo; then
    say "Making the demo book ..."
    measured_up many "$port" zinc_demo demo; stop_one many
  fi
  dump zinc_demo > "$dump"
  measured_up many "$port" zinc_house house
  say "Making $books books ..."
  for i in $(seq "$books"); do
    there_is "zinc_b_shop$i" && continue
    db_sql -e "create database zinc_b_shop$i character set utf8mb4 collate utf8mb4_unicode_ci"
    gzip -dc "$dump" | db_sql "zinc_b_shop$i"
    db_sql zinc_house -e "insert ignore into hosted (name, title, people_most, at_once_most, megabytes_most, made_at) values ('shop$i', 'Shop $i', 20, $people, 2000, now())"
  done
  stop_one many; measured_up many "$port" zinc_house house; say "at the start: $(held many)"
  bench_java -Djdk.httpclient.allowRestrictedHeaders=host \
    zinctally.bench.house.ManyBooks "http://127.0.0.1:$port" books.localhost "$books" "$people" "$3"
  say "after that: $(held many)"; busy many > /dev/null; sleep 120; say "in two minutes without anybody:"; busy many
}

busy() { # program: seconds of a processor that it and the database have used since this was asked last
  local now; now="$(worked "$1") $(worked db)"
  set -- $now ${BUSY:-0 0}
  say "program $((($1 - $3) / 100)) s, database $((($2 - $4) / 100)) s of a processor"
  BUSY="$1 $2"
}

worked() { awk '{print $14 + $15}' "/proc/$(cat "$HOME_DIR/run/$1.pid")/stat"; }
