# shellcheck shell=bash
# Tests, on a database server of their own. ./zinc-tally sources this.

tests() { # maven arguments...
  packages chromium chromium pdftotext poppler-utils
  # a database server of their own, so that tests disturb nobody
  HOME_DIR=$HOME_DIR/test; WEB_PORT=0; DB_PORT_NAME=ZINC_TEST_DB_PORT; DB_PORT=${ZINC_TEST_DB_PORT:-8712}
  mkdir -p "$HOME_DIR/log" "$HOME_DIR/run"
  db_up
  trap 'stop_one db' EXIT
  ZINC_DB_SERVER="jdbc:mariadb://127.0.0.1:$DB_PORT/" ZINC_DB_USER=zinc ZINC_DB_PASSWORD=$(cat "$HOME_DIR/run/db.password") \
    ZINC_DB_APP_PASSWORD=$(cat "$HOME_DIR/run/app.password") \
    PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD=1 mvn -B -Pstrict "$@"
}
