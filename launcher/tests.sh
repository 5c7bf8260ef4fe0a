# shellcheck shell=bash
# Tests, on a database server of their own. ./zinc-tally sources this.

in_memory() { # their database, where there is room for it: they make hundreds of books, and nothing of them is kept
  local free; free=$(df -k --output=avail /dev/shm 2>/dev/null | tail -1)
  if alive "$HOME_DIR/run/db.pid" || [ "${free:-0}" -lt 4000000 ] || [ ! -w /dev/shm ]; then return; fi
  DB_DATA=/dev/shm/zinc-test-$(id -u)-$DB_PORT
  rm -rf "$DB_DATA"
}

tests() { # maven arguments...
  packages chromium chromium pdftotext poppler-utils
  # a database server of their own, so that tests disturb nobody
  HOME_DIR=$HOME_DIR/test; WEB_PORT=0; DB_PORT_NAME=ZINC_TEST_DB_PORT; DB_PORT=${ZINC_TEST_DB_PORT:-8712}
  mkdir -p "$HOME_DIR/log" "$HOME_DIR/run"
  in_memory
  house_settings
  # what the database takes tables to hold is set by a test of how lists are read
  local of; for of in table index; do DB_GRANTS+=("grant select, update on mysql.innodb_${of}_stats to zinc@'$DB_CLIENT';"); done
  db_up
  trap 'stop_one db; [ -z "$DB_DATA" ] || rm -rf "$DB_DATA"' EXIT
  ZINC_DB_SERVER="jdbc:mariadb://127.0.0.1:$DB_PORT/" ZINC_DB_USER=zinc ZINC_DB_PASSWORD=$(cat "$HOME_DIR/run/db.password") \
    ZINC_DB_APP_PASSWORD=$(cat "$HOME_DIR/run/app.password") \
    PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD=1 mvn -B -Pstrict "$@"
}

tests_alone() { # class, what it is told: one that the tests leave out
  tests -q verify -Dtest="$1" -Dsurefire.failIfNoSpecifiedTests=false "$2"
}
