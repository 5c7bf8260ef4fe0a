# shellcheck shell=bash
# The database server on loopback. ./zinc-tally sources this.

db_account() { # the Unix user the server runs as
  [ "$(id -u)" = 0 ] || { id -un; return; }
  if id mysql >/dev/null 2>&1 && setpriv --reuid mysql --regid mysql --clear-groups test -x "$HOME_DIR" 2>/dev/null; then echo mysql; else echo root; fi
}

secret() { # file: words nobody knows, made once
  [ -f "$HOME_DIR/run/$1" ] || (umask 077; head -c 24 /dev/urandom | base64 | tr -d '/+=\n' > "$HOME_DIR/run/$1")
}

# zinc makes, migrates and keeps books; the application has an account for each book, which zinc gives what it needs
db_sql() { MYSQL_PWD=$(cat "$HOME_DIR/run/db.password") mariadb --no-defaults -h"$DB_ADDRESS" -P"$DB_PORT" -uzinc "$@"; }

again() { # pid-file first-option command...: runs it, and again when it was killed or gave up; no more once another runs in its place
  local pid=$1 first=$2 delay=${AGAIN_IN:-5} own; shift 2
  while :; do
    "$@" ${first:+"$first"} & own=$!; first=
    echo "$own" > "$pid"
    ! wait "$own" || return 0
    sleep "$delay"
    [ "$(cat "$pid" 2>/dev/null)" = "$own" ] || return 0
    [ "$delay" -ge 300 ] || delay=$((delay * 2))
  done
}

db_options() { # user, data: what a server is started with, in OPTIONS
  local socket=$2/s; [ ${#socket} -lt 100 ] || socket=/tmp/zinc-$DB_PORT.sock
  OPTIONS=(--no-defaults --user="$1" --datadir="$2" --tmpdir="$HOME_DIR/db-tmp" --port="$DB_PORT" --bind-address="$DB_ADDRESS"
    --socket="$socket" --pid-file="$2/pid" --log-error="$HOME_DIR/log/db.log"
    --character-set-server=utf8mb4 --collation-server=utf8mb4_unicode_ci --skip-name-resolve
    --sql-mode=STRICT_ALL_TABLES,NO_ZERO_DATE,NO_ZERO_IN_DATE,ERROR_FOR_DIVISION_BY_ZERO,NO_ENGINE_SUBSTITUTION
    --innodb-flush-log-at-trx-commit=1 --innodb-buffer-pool-size=512M --innodb-log-file-size=256M
    "${DB_MORE[@]}" --local-infile=0 --max-allowed-packet=64M --max-connections="$DB_CONNECTIONS" --tmp-table-size=128M --max-heap-table-size=128M)
}

elsewhere() { # the first that answers of the servers that keep the book, which run by themselves
  local server
  for word in db app; do [ -s "$HOME_DIR/run/$word.password" ] || fail "$HOME_DIR/run/$word.password must hold the password of the account that $word stands for (docs/operating.md)"; done
  for server in ${SERVERS//,/ }; do
    DB_ADDRESS=${server%:*}; DB_PORT=${server##*:}
    ! db_sql --connect-timeout=3 -e 'select 1' >/dev/null 2>&1 || return 0
  done
  return 1
}

db_install() { # user, data: what a server needs before its first start
  # a folder of its own for temporary tables: a server that starts clears them away
  mkdir -p "$HOME_DIR/db-tmp"; [ "$1" != mysql ] || chown mysql "$HOME_DIR/db-tmp"
  if [ ! -d "$2/mysql" ]; then
    mkdir -p "$2"; [ "$1" = root ] || [ "$(id -u)" != 0 ] || chown -R "$1" "$2"
    mariadb-install-db --no-defaults --user="$1" --datadir="$2" --tmpdir="$HOME_DIR/db-tmp" --auth-root-authentication-method=normal --skip-test-db \
      > "$HOME_DIR/log/db-install.log" 2>&1 || fail "could not make the database; see $HOME_DIR/log/db-install.log"
  fi
  (umask 077; touch "$HOME_DIR/log/db.log"); [ "$1" != mysql ] || chown mysql "$HOME_DIR/log/db.log"
}

db_up() {
  if [ -n "$SERVERS" ]; then
    elsewhere || fail "none of the servers $SERVERS answers, or the password in $HOME_DIR/run/db.password is not theirs"
    return
  fi
  local data=${DB_DATA:-$HOME_DIR/db} pid=$HOME_DIR/run/db.pid client=$DB_CLIENT user
  if alive "$pid"; then return; fi
  [ ! -d "$data/zinc_house" ] || house_settings # once there is a house, whatever else is begun beside it
  ! open_port "$DB_PORT" || fail "port $DB_PORT is taken by another program; set ${DB_PORT_NAME:-ZINC_DB_PORT} to a free one"
  user=$(db_account)
  secret db.password; secret app.password
  log_ready "$user"
  db_install "$user" "$data"
  local init=$HOME_DIR/run/db-init.sql word app
  word=$(cat "$HOME_DIR/run/db.password"); app=$(cat "$HOME_DIR/run/app.password")
  (umask 077; cat > "$init" <<SQL
create user if not exists zinc@'$client' identified by '$word';
alter user zinc@'$client' identified by '$word';
revoke all privileges, grant option from zinc@'$client';
grant all on \`zinc\_%\`.* to zinc@'$client' with grant option;
grant binlog monitor, binlog replay, binlog admin on *.* to zinc@'$client';
$(printf '%s\n' "${DB_GRANTS[@]}")
$(for book in own demo bench_hands bench_small bench_big; do printf "create user if not exists zinc_app_%s@'$client' identified by '%s';\nalter user zinc_app_%s@'$client' identified by '%s';\n" "$book" "$app" "$book" "$app"; done)
create user if not exists zinc_app@'$client' identified by '$app';
alter user zinc_app@'$client' identified by '$app';
alter user root@localhost identified via unix_socket;
SQL
  )
  [ "$user" != mysql ] || chown mysql "$init"
  db_options "$user" "$data"
  local server=("${DB_WITHIN[@]}" mariadbd "${OPTIONS[@]}"
    --log-bin="$HOME_DIR/db-log/log" --binlog-format=row --binlog-do-db=zinc_own --sync-binlog=1 --max-binlog-size=16M --expire-logs-days=35)
  rm -f "$pid"
  setsid bash -c "$(declare -f again); again \"\$@\"" again "$pid" --init-file="$init" "${server[@]}" </dev/null >/dev/null 2>&1 &
  for _ in $(seq 600); do # a server that was killed recovers first
    if open_port "$DB_PORT" && db_sql -e 'select 1' >/dev/null 2>&1; then rm -f "$init"; return; fi
    [ ! -s "$pid" ] || alive "$pid" || break
    sleep 0.2
  done
  rm -f "$pid" # nobody tries again
  fail "the database did not start; see $HOME_DIR/log/db.log"
}
