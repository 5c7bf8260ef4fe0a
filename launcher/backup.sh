# shellcheck shell=bash
# Backups that have been tried, and going back to one. ./zinc-tally sources this.

there_is() { [ -n "$(db_sql -N -e "show databases like '${1//_/\\_}'")" ]; }

check_database() { # database: what must hold in it
  ZINC_DB_URL="jdbc:mariadb://127.0.0.1:$DB_PORT/$1" ZINC_DB_USER=zinc ZINC_DB_PASSWORD=$(cat "$HOME_DIR/run/db.password") \
    java -Xmx1g -XX:+UseSerialGC -cp "$JAR" -Dloader.main=zinctally.store.check.CheckCommand \
    org.springframework.boot.loader.launch.PropertiesLauncher
}

dump() { # database: all of it as it is at one moment, whoever works in it; nobody's sessions
  MYSQL_PWD=$(cat "$HOME_DIR/run/db.password") mariadb-dump --no-defaults -h127.0.0.1 -P"$DB_PORT" -uzinc \
    --single-transaction --quick --hex-blob --ignore-table-data="$1.SPRING_SESSION" \
    --ignore-table-data="$1.SPRING_SESSION_ATTRIBUTES" "$1" | gzip
}

load() { # file database: empties the database first
  db_sql -e "drop database if exists $2; create database $2 character set utf8mb4 collate utf8mb4_unicode_ci" || return 1
  gzip -dc "$1" | db_sql "$2"
}

try_out() { # file: loads it aside and checks what is in it
  local log=$HOME_DIR/log/backup-check.log good=
  gzip -t "$1" 2>/dev/null || return 1
  if load "$1" zinc_tried 2> "$log" && check_database zinc_tried >> "$log" 2>&1; then good=1; fi
  db_sql -e 'drop database if exists zinc_tried'
  [ -n "$good" ]
}

noted() { # book file seconds: so that the owner sees it
  local name=${2//\\/\\\\} made; name=${name//\'/\'\'}; made=${2##*/zinc-"$1"-}
  db_sql "zinc_$1" -e "insert into backup_made (made_at, file, bytes, seconds) values
    (str_to_date('${made%%.*}', '%Y-%m-%d-%H%i%s'), left('$name', 500), $(stat -c %s "$2"), $3)" ||
    say "The book could not be told of it; it is of an earlier version."
}

thin() { # folder book: all of eight days stay, then one a week for six weeks, then one a month
  local file day age slot seen=" " now; now=$(date +%s)
  find "$1" -maxdepth 1 -name "zinc-$2-*.sql.gz" | sort -r | while IFS= read -r file; do
    day=${file##*/zinc-"$2"-}; day=${day:0:10}
    age=$(((now - $(date -d "$day" +%s)) / 86400))
    if [ "$age" -le 8 ]; then continue
    elif [ "$age" -le 42 ]; then slot=$(date -d "$day" +%G-%V)
    else slot=${day:0:7}; fi
    case $seen in *" $slot "*) rm -- "$file" ;; *) seen+="$slot " ;; esac
  done
}

nightly() { # folder book: a backup whenever the newest is almost a day old, once there is a book
  while alive "$HOME_DIR/run/web.pid"; do
    if [ -n "$(db_sql -N "zinc_$2" -e 'select 1 from book' 2>/dev/null)" ] && [ -z "$(find "$1" -maxdepth 1 -name "zinc-$2-*.sql.gz" -mmin -1380 -print -quit 2>/dev/null)" ]; then
      if (backup "$1" "$2"); then thin "$1" "$2"; else sleep 3000; fi
    fi
    sleep 60
  done
}

before_upgrade() { # book: kept as it is before a new version changes how it is kept
  local have want file
  there_is "zinc_$1" || return 0
  have=$(db_sql -N "zinc_$1" -e "select coalesce(max(cast(version as unsigned)), 0) from flyway_schema_history where success" 2>/dev/null) || return 0
  want=$(find "$ROOT/store/src/main/resources/db/migration" -name 'V*__*.sql' | sed 's/.*\/V\([0-9]*\)__.*/\1/' | sort -n | tail -1)
  [ "$have" -lt "$want" ] || return 0
  mkdir -p "$HOME_DIR/before-upgrade"
  file=$HOME_DIR/before-upgrade/zinc-$1-$(date +%Y-%m-%d-%H%M%S).sql.gz
  (umask 077; dump "zinc_$1" > "$file") && gzip -t "$file" || fail "the book could not be kept before the upgrade; nothing was changed"
  say "This version keeps the book differently; as it was it is kept in $file"
}

backup() { # folder book
  local folder=$1 book=$2 began=$SECONDS file
  there_is "zinc_$book" || fail "there is no $book book here yet"
  mkdir -p "$folder" 2>/dev/null || fail "cannot write in $folder"
  file=$folder/zinc-$book-$(date +%Y-%m-%d-%H%M%S).sql.gz
  (umask 077; dump "zinc_$book" > "$file.part") || { rm -f "$file.part"; fail "the backup could not be written to $folder"; }
  try_out "$file.part" || fail "what was written does not hold; it stays as $file.part, see $HOME_DIR/log/backup-check.log"
  mv "$file.part" "$file"
  noted "$book" "$file" "$((SECONDS - began))"
  say "$file: $(du -h "$file" | cut -f1), read back and checked, $((SECONDS - began)) s"
}

restore() { # file book
  local file=$1 book=$2 before
  [ -f "$file" ] || fail "there is no file $file"
  if alive "$HOME_DIR/run/web.pid" && [ "$(cat "$HOME_DIR/run/web.book")" = "$book" ]; then fail "the $book book is being served; ./zinc-tally stop first"; fi
  say "Reading $file ..."
  try_out "$file" || fail "$file does not hold a sound book; nothing was changed. See $HOME_DIR/log/backup-check.log"
  if there_is "zinc_$book"; then
    mkdir -p "$HOME_DIR/before-restore"
    before=$HOME_DIR/before-restore/zinc-$book-$(date +%Y-%m-%d-%H%M%S).sql.gz
    (umask 077; dump "zinc_$book" > "$before") || fail "the present book could not be kept; nothing was changed"
    say "The present book is kept as $before"
  fi
  load "$file" "zinc_$book" || fail "$file could not be read whole; restore ${before:-another file} to go back"
  say "The $book book is as it was in $file"
}
