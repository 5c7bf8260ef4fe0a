# shellcheck shell=bash
# Three database servers that keep one book, and two programs that work at it. ./zinc-tally sources this.

CLUSTER_PORT=${ZINC_CLUSTER_PORT:-8730} # and those after it
GALERA=/usr/lib/galera/libgalera_smm.so

# number: where one of the servers lies and answers; each on a network of its own when they are APART
server_at() {
  HOME_DIR=$CLUSTER/$1; DB_PORT=$((CLUSTER_PORT + $1)); DB_ADDRESS=127.0.0.1; DB_CLIENT=127.0.0.1; DB_WITHIN=()
  [ -z "$APART" ] || { DB_ADDRESS=10.77.0.$1; DB_CLIENT=10.77.0.254; DB_WITHIN=(ip netns exec "zinc$1"); }
}

servers() { # what the programs, or with a word the servers themselves, know them by
  local n all=
  for n in 1 2 3; do all=$all,$(server_at "$n"; [ -z "${1:-}" ] || DB_PORT=$((CLUSTER_PORT + 10 * n)); printf '%s:%s' "$DB_ADDRESS" "$DB_PORT"); done
  printf '%s' "${all#,}"
}

going_on() { # file command...: starts a server from where it left off, so that it asks the others for no more than it lacks
  local log=$1 position; shift
  : > "$log"; "$@" --wsrep-recover --log-error="$log" >/dev/null 2>&1
  position=$(sed -n 's/.*Recovered position: *//p' "$log" | tail -1)
  exec "$@" ${position:+--wsrep-start-position="$position"}
}

server_ready() { # number: what a server of the cluster is started with, in OPTIONS
  local user own=$((CLUSTER_PORT + 10 * $1))
  server_at "$1"; mkdir -p "$HOME_DIR/run" "$HOME_DIR/log"; user=$(db_account)
  db_install "$user" "$HOME_DIR/db"; log_ready "$user"
  (umask 077; touch "$HOME_DIR/log/going-on.err"); [ "$user" != mysql ] || chown mysql "$HOME_DIR/log/going-on.err"
  db_options "$user" "$HOME_DIR/db"
  OPTIONS+=(--log-bin="$HOME_DIR/db-log/log" --log-slave-updates --binlog-format=row --innodb-autoinc-lock-mode=2 --wsrep-on=ON --wsrep-provider="$GALERA" --wsrep-auto-increment-control=OFF
    --wsrep-cluster-name=zinc --wsrep-cluster-address="gcomm://$(servers own)" --wsrep-node-name="server$1" --wsrep-node-address="$DB_ADDRESS:$own"
    --wsrep-node-incoming-address="$DB_ADDRESS:$DB_PORT" --wsrep-sst-method=rsync --wsrep-sst-receive-address="$DB_ADDRESS:$((own + 2))"
    --wsrep-provider-options="gmcast.listen_addr=tcp://$DB_ADDRESS:$own;ist.recv_addr=$DB_ADDRESS:$((own + 1));gcache.size=256M;evs.keepalive_period=PT0.5S;evs.suspect_timeout=PT3S;evs.inactive_timeout=PT8S")
}

server_up() ( # number, --wsrep-new-cluster for the first
  server_at "$1"; pid=$HOME_DIR/run/db.pid
  if alive "$pid"; then return; fi
  ! open_port "$DB_PORT" || fail "port $DB_PORT is taken by another program; set ZINC_CLUSTER_PORT so that it and the forty after it are free"
  server_ready "$1"
  rm -f "$pid"
  setsid bash -c "$(declare -f again going_on); again \"\$@\"" again "$pid" "${2:-}" going_on "$HOME_DIR/log/going-on.err" \
    "${DB_WITHIN[@]}" mariadbd "${OPTIONS[@]}" </dev/null >/dev/null 2>&1 &
  joined "$1" || fail "server $1 did not join; see $HOME_DIR/log/db.log"
)

status_of() ( # number, word: what a server says of itself
  server_at "$1"; HOME_DIR=$CLUSTER/1; db_sql --connect-timeout=2 -NBe "show status like 'wsrep_$2'" 2>/dev/null | cut -f2
)

joined() { # number: waits until a server is of the cluster and has what the others have
  for _ in $(seq 900); do
    [ "$(status_of "$1" local_state_comment)" != Synced ] || return 0
    sleep 0.2
  done
  return 1
}

first_server() { # the one that knows most, when all were stopped, or fell
  local n known most=-2 first=1
  for n in 1 2 3; do if grep -qs 'safe_to_bootstrap: 1' "$CLUSTER/$n/db/grastate.dat"; then say "$n"; return; fi; done
  for n in 1 2 3; do
    [ -e "$CLUSTER/$n/db/grastate.dat" ] || continue
    known=$(server_ready "$n"; : > "$HOME_DIR/log/going-on.err"
      "${DB_WITHIN[@]}" mariadbd "${OPTIONS[@]}" --wsrep-recover --log-error="$HOME_DIR/log/going-on.err" >/dev/null 2>&1
      sed -n 's/.*Recovered position: *.*:\(-*[0-9]*\).*/\1/p' "$HOME_DIR/log/going-on.err" | tail -1)
    if [ "${known:--1}" -gt "$most" ]; then most=${known:--1}; first=$n; fi
  done
  sed -i 's/^safe_to_bootstrap: 0/safe_to_bootstrap: 1/' "$CLUSTER/$first/db/grastate.dat" 2>/dev/null || true
  say "$first"
}

one_book() { # book command...: has a book made at the first server alone, before there are others
  local book=$1; shift
  [ ! -e "$CLUSTER/$book.made" ] || return 0
  (server_at 1; mkdir -p "$HOME_DIR/log" "$HOME_DIR/run"; db_up; "$@" && stop_one db && touch "$CLUSTER/$book.made") || fail "the book could not be made"
}

demo_made() { # at one server, by a program that ends when it is there
  SERVERS='' WEB_PORT=$((CLUSTER_PORT + 5)) program_up 1 demo && (HOME_DIR=$CLUSTER/program1; stop_one web)
}

program_up() ( # number, book: one of the programs, at all servers unless SERVERS is empty
  HOME_DIR=$CLUSTER/program$1; WEB_PORT=$((CLUSTER_PORT + 4 + $1)); WEB_ADDRESS=127.0.0.1
  if alive "$HOME_DIR/run/web.pid"; then return; fi
  ! open_port "$WEB_PORT" || fail "port $WEB_PORT is taken by another program; set ZINC_CLUSTER_PORT so that it and the forty after it are free"
  mkdir -p "$HOME_DIR/run" "$HOME_DIR/log"; cp "$CLUSTER"/1/run/*.password "$HOME_DIR/run/"
  profile=own; [ "$2" != demo ] || profile=demo
  [ -z "$SERVERS" ] || NEAR=$(server_at "$((4 - $1))"; printf '%s:%s' "$DB_ADDRESS" "$DB_PORT")
  (java_app "zinc_$2" --spring.profiles.active="$profile" </dev/null >> "$HOME_DIR/log/web.log" 2>&1) &
  echo $! > "$HOME_DIR/run/web.pid"
  answered "$HOME_DIR/run/web.pid" "$WEB_PORT" "$HOME_DIR/log/web.log"
)

cluster_ready() {
  packages curl curl rsync rsync
  [ -e "$GALERA" ] || packages galera-4 galera-4
  say "Starting ..."
}

cluster_up() { # book: all servers and both programs
  local n first=
  for n in 1 2 3; do ! alive "$CLUSTER/$n/run/db.pid" || first=none; done # some are there: the others join them
  [ -n "$first" ] || { first=$(first_server); server_up "$first" --wsrep-new-cluster; }
  for n in 1 2 3; do [ "$n" = "$first" ] || server_up "$n"; done
  SERVERS=$(servers)
  for n in 1 2; do program_up "$n" "$1"; done
}

cluster_stop() {
  local n
  for n in 1 2; do (HOME_DIR=$CLUSTER/program$n; stop_one web); done
  for n in 3 2 1; do (HOME_DIR=$CLUSTER/$n; stop_one db); done
}

cluster_demo() {
  CLUSTER=$HOME_DIR/cluster; mkdir -p "$CLUSTER"; chmod go+x "$CLUSTER"
  cluster_ready; one_book demo demo_made; cluster_up demo
  say "The demo book is at http://127.0.0.1:$((CLUSTER_PORT + 5))/ and at http://127.0.0.1:$((CLUSTER_PORT + 6))/, one program each, on $(status_of 1 cluster_size) database servers."
  say "Sign in as owner, bookkeeper, counter or reader; the password is: wickmere. ./zinc-tally cluster stop ends it."
}

networks() { # up|down: for each of the servers a network of its own, with a cable to this machine
  local n
  for n in 1 2 3; do ip netns del "zinc$n" 2>/dev/null || true; done
  ip link del zincs 2>/dev/null || true
  [ "$1" = up ] || return 0
  ip link add zincs type bridge; ip addr add 10.77.0.254/24 dev zincs; ip link set zincs up
  for n in 1 2 3; do
    ip netns add "zinc$n"
    ip link add "zinc$n" type veth peer name cable netns "zinc$n"; ip link set "zinc$n" master zincs up
    ip -n "zinc$n" addr add "10.77.0.$n/24" dev cable; ip -n "zinc$n" link set cable up; ip -n "zinc$n" link set lo up
  done
}

at_server() ( # number, program arguments...: a program that measures, at one of the servers
  n=$1; shift; server_at "$n"
  ZINC_DB_SERVER="jdbc:mariadb://$DB_ADDRESS:$DB_PORT/" ZINC_DB_USER=zinc ZINC_DB_PASSWORD=$(cat "$CLUSTER/1/run/db.password") bench_java "$@"
)

written_to() { # the number of the server that is written to
  local n at
  for n in 1 2 3; do
    at=$(server_at "$n"; HOME_DIR=$CLUSTER/1; db_sql --connect-timeout=2 -NBe 'select right(address, 1) from zinc_bench_hands.writing_server' 2>/dev/null) || continue
    say "$at"; return
  done
}

ends() { { kill -9 "$(cat "$1")"; } 2>/dev/null || true; }

trial_round() { # what, seconds: twenty people go on while it happens; then all must hold at every server
  local people victim n
  victim=$(written_to); [ "$1" != server ] || victim=$((victim % 3 + 1))
  at_server "$victim" zinctally.bench.Hands "http://127.0.0.1:$((CLUSTER_PORT + 5)),http://127.0.0.1:$((CLUSTER_PORT + 6))" \
    "$CLUSTER/acknowledged" "$2" "$((++ROUND))" 20 "$([ "$1" = nothing ] && echo 0 || echo 20)" & people=$!
  sleep "$(($2 / 3))"
  case $1 in
    nothing) say "nothing happens" ;;
    server) say "server $victim is killed, which is not written to"; ends "$CLUSTER/$victim/run/db.pid" ;;
    writer) say "server $victim is killed, which is written to"; ends "$CLUSTER/$victim/run/db.pid" ;;
    cut) say "server $victim is cut off, which is written to"; ip link set "zinc$victim" down ;;
    program) say "program 2 is killed"; ends "$CLUSTER/program2/run/web.pid" ;;
  esac
  if [ "$1" = cut ]; then sleep 20; say "it is there again"; ip link set "zinc$victim" up; fi
  wait "$people" || fail "more pages failed than were on their way; see $CLUSTER/program1/log/web.log"
  [ "$1" != program ] || program_up 2 bench_hands
  for n in 1 2 3; do
    joined "$n" || fail "server $n did not come back; see $CLUSTER/$n/log/db.log"
    at_server "$n" zinctally.bench.CrashCheck "$CLUSTER/acknowledged" hands || fail "the book does not hold at server $n"
  done
}

cluster_trial() { # seconds: what happens to twenty people when servers and programs die
  [ "$(id -u)" = 0 ] || fail "this needs networks of its own, which root alone can make"
  packages ip iproute2
  APART=1; ROUND=0; CLUSTER=$HOME_DIR/cluster-trial; rm -rf "$CLUSTER"; mkdir -p "$CLUSTER"; chmod go+x "$CLUSTER"; : > "$CLUSTER/acknowledged"
  trap 'cluster_stop; networks down' EXIT
  cluster_ready; networks up
  one_book bench_hands at_server 1 zinctally.bench.HandsBook
  cluster_up bench_hands
  for what in nothing server writer cut program; do trial_round "$what" "$1"; done
  cluster_stop; rm -rf "$CLUSTER"
}
