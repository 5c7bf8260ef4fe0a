# shellcheck shell=bash
# Backups that have been tried, and going back to one. ./zinc-tally sources this.

there_is() { [ -n "$(db_sql -N -e "show databases like '${1//_/\\_}'")" ]; }

check_book() { # book
  there_is "zinc_$1" || fail "there is no $1 book here yet; ./zinc-tally $([ "$1" = own ] && echo start || echo "$1") makes it"
  say "zinc_$1:"; check_database "zinc_$1"
}

check_database() { # database: what must hold in it
  ZINC_DB_URL="jdbc:mariadb://$DB_ADDRESS:$DB_PORT/$1" ZINC_DB_USER=zinc ZINC_DB_PASSWORD=$(cat "$HOME_DIR/run/db.password") \
    java -Xmx1g -XX:+UseSerialGC -cp "$JAR" -Dloader.main=zinctally.store.check.CheckCommand \
    org.springframework.boot.loader.launch.PropertiesLauncher
}

dump() { # database: all of it as it is at one moment, whoever works in it; nobody's sessions
  { say "-- the log is $(log_name)"
    MYSQL_PWD=$(cat "$HOME_DIR/run/db.password") mariadb-dump --no-defaults -h"$DB_ADDRESS" -P"$DB_PORT" -uzinc \
      --single-transaction --master-data=2 --quick --hex-blob --routines --ignore-table-data="$1.SPRING_SESSION" \
      --ignore-table-data="$1.SPRING_SESSION_ATTRIBUTES" "$1"
  } | gzip
}

load() { # file database moment: empties the database first; goes on to the moment, if one is given
  local quiet='set sql_log_bin = 0'
  db_sql -e "$quiet; drop database if exists $2; create database $2 character set utf8mb4 collate utf8mb4_unicode_ci" || return 1
  gzip -dc "$1" | db_sql --init-command="$quiet" "$2" || return 1
  [ -z "$3" ] || forward "$2" "$3" | db_sql --binary-mode --init-command="$quiet" "$2"
}

try_out() { # file moment: loads it aside and checks what is in it
  local log=$HOME_DIR/log/backup-check.log good=
  gzip -t "$1" 2>/dev/null || return 1
  if load "$1" zinc_tried "$2" 2> "$log" && check_database zinc_tried >> "$log" 2>&1; then good=1; fi
  db_sql -e 'drop database if exists zinc_tried'
  [ -n "$good" ]
}

noted() { # book file seconds: so that the owner sees it
  local name=${2//\\/\\\\} made; name=${name//\'/\'\'}; made=$(made_at "$2")
  db_sql "zinc_$1" -e "insert into backup_made (made_at, file, bytes, seconds) values
    (str_to_date('$made', '%Y-%m-%d-%H%i%s'), left('$name', 500), $(stat -c %s "$2"), $3)" ||
    say "The book could not be told of it; it is of an earlier version."
}

backups() { # folder book: its backups, newest first
  find "$1" -maxdepth 1 \( -name "zinc-$2-*.sql.gz" -o -name "zinc-$2-*.sql.gz.age" \) | sort -r
}

newest_before() { # folder book moment: the newest backup not after it; of any time, when it is empty
  local file
  while IFS= read -r file; do
    if [ -z "$3" ] || ! [[ $(made_at "$file") > $3 ]]; then printf '%s\n' "$file"; return; fi
  done < <(backups "$1" "$2")
}

served() { # book: whether it is, by itself or with others of its house
  local now; now=$(cat "$HOME_DIR/run/web.book")
  [ "$now" = "$1" ] || { [ "$now" = house ] && [[ $1 == b_* ]]; }
}

made_at() { # file: the moment its name tells, as 2026-11-25-140500
  local name=${1##*/zinc-}; name=${name#*-}; printf '%s\n' "${name%%.*}"
}

thin() { # folder book: all of eight days stay, then one a week for six weeks, then one a month
  local file day age slot seen=" " now; now=$(date +%s)
  backups "$1" "$2" | while IFS= read -r file; do
    day=$(made_at "$file"); day=${day:0:10}
    age=$(((now - $(date -d "$day" +%s)) / 86400))
    if [ "$age" -le 8 ]; then continue
    elif [ "$age" -le 42 ]; then slot=$(date -d "$day" +%G-%V)
    else slot=${day:0:7}; fi
    case $seen in *" $slot "*) rm -- "$file" ;; *) seen+="$slot " ;; esac
  done
}

due() { # folder book: whether the newest backup is almost a day old, or none leads into the log there is now
  local newest; newest=$(newest_before "$1" "$2" "")
  [ -z "$newest" ] || [ ! -e "$1/log-$(log_name)/begins" ] || [ -z "$(find "$newest" -mmin -1380)" ]
}

nightly() { # folder book: a backup whenever the newest is almost a day old, once there is a book; its log twice a minute
  local again=0 # what could not be backed up is tried again after some time; its log goes on meanwhile
  while alive "$HOME_DIR/run/web.pid"; do
    [ -z "$SERVERS" ] || elsewhere || { sleep 30; continue; } # the one that answered last may be gone
    if [ "$SECONDS" -ge "$again" ] && [ -n "$(db_sql -N "zinc_$2" -e 'select 1 from book' 2>/dev/null)" ] && due "$1" "$2"; then
      if (backup "$1" "$2"); then thin "$1" "$2"; else again=$((SECONDS + 3000)); fi
    fi
    keep_log "$1" || say "The log could not be kept in $1."
    sleep 30
  done
}

before_upgrade() { # book: kept as it is before a new version changes how it is kept; one that was broken off begins again
  local mark=$HOME_DIR/run/upgrading-$1 have want wrote file to began=
  there_is "zinc_$1" || return 0
  have=$(db_sql -N "zinc_$1" -e "select coalesce(max(cast(version as unsigned)), 0) from flyway_schema_history where success" 2>/dev/null) || return 0
  want=$(find "$ROOT/store/src/main/resources/db/migration" -name 'V*__*.sql' | sed 's/.*\/V\([0-9]*\)__.*/\1/' | sort -n | tail -1)
  [ "$have" -lt "$want" ] || { rm -f "$mark"; return 0; }
  # only when it did not get to its end, and nobody has written in the book since
  wrote=$(db_sql -N "zinc_$1" -e "select coalesce(max(id), 0) from audit" 2>/dev/null) || wrote=none
  if [ -s "$mark" ] && read -r to began file < "$mark" && [ "$have" -lt "$to" ] && [ "$wrote" = "$began" ] && gzip -t "$file" 2>/dev/null; then
    # a book of a house is upgraded when it is first asked for, so it may just not have been
    case $1 in house|b_*) [ -n "$(db_sql -N "zinc_$1" -e 'select 1 from flyway_schema_history where not success limit 1')" ] || return 0 ;; esac
    say "The upgrade was broken off in the middle; the book is made what it was before, and upgraded again"
    load "$file" "zinc_$1" "" || fail "the book as it was before the upgrade could not be read back; it lies in $file"
    return 0
  fi
  mkdir -p "$HOME_DIR/before-upgrade"
  file=$HOME_DIR/before-upgrade/zinc-$1-$(date +%Y-%m-%d-%H%M%S).sql.gz
  (umask 077; dump "zinc_$1" > "$file") && gzip -t "$file" || fail "the book could not be kept before the upgrade; nothing was changed"
  say "$want $wrote $file" > "$mark"
  say "This version keeps the book differently; as it was it is kept in $file"
}

backup() { # folder book
  local folder=$1 book=$2 began=$SECONDS file part=$HOME_DIR/run/backup.part
  there_is "zinc_$book" || fail "there is no $book book here yet"
  mkdir -p "$folder" 2>/dev/null && [ -w "$folder" ] || fail "cannot write in $folder"
  file=$folder/zinc-$book-$(date +%Y-%m-%d-%H%M%S).sql.gz
  (umask 077; dump "zinc_$book" > "$part") || { rm -f "$part"; fail "the backup could not be written"; }
  try_out "$part" "" || fail "what was written does not hold; it stays as $part, see $HOME_DIR/log/backup-check.log"
  [ -z "${ZINC_BACKUP_KEY:-}" ] || file=$file.age
  (umask 077; hidden < "$part" > "$file.part") && mv "$file.part" "$file" || { rm -f "$file.part" "$part"; fail "the backup could not be written to $folder"; }
  rm -f "$part"
  if [ "$book" = own ]; then keep_log "$folder" && mkdir -p "$folder/log-$(log_name)" && touch "$folder/log-$(log_name)/begins" || fail "the log could not be kept in $folder"; fi
  noted "$book" "$file" "$((SECONDS - began))"
  say "$file: $(du -h "$file" | cut -f1), read back and checked, $((SECONDS - began)) s"
}

restore() { # file-or-folder book moment
  local file=$1 book=$2 moment=$3 before plain=$HOME_DIR/run/restore.sql.gz upto=
  if [ -n "$moment" ]; then
    upto=$(date -d "$moment" +%Y-%m-%d-%H%M%S 2>/dev/null) || fail "\"$moment\" is not a moment such as \"2026-11-25 14:05\""
    moment=$(date -d "$moment" '+%Y-%m-%d %H:%M:%S')
  fi
  if [ -d "$file" ]; then
    LOGS=$file
    file=$(newest_before "$LOGS" "$book" "$upto")
    [ -n "$file" ] || fail "there is no backup of the $book book ${moment:+from before $moment }in $LOGS"
    moment=${moment:-last}
  else
    LOGS=$(dirname "$file")
    [ -f "$file" ] || fail "there is no file or folder $file"
  fi
  if alive "$HOME_DIR/run/web.pid" && served "$book"; then fail "the $book book is being served; ./zinc-tally stop first"; fi
  say "Reading $file ..."
  (umask 077; shown "$file" > "$plain") || { rm -f "$plain"; fail "$file cannot be read; nothing was changed"; }
  [ -z "$moment" ] || [ "$book" != own ] || after "$plain" "$LOGS" || fail "the log after $file is not in $LOGS; nothing was changed. restore $file goes back to the backup itself"
  [ "$book" = own ] || moment=
  try_out "$plain" "$moment" || fail "$file does not hold a sound book; nothing was changed. See $HOME_DIR/log/backup-check.log"
  if there_is "zinc_$book"; then
    mkdir -p "$HOME_DIR/before-restore"
    before=$HOME_DIR/before-restore/zinc-$book-$(date +%Y-%m-%d-%H%M%S).sql.gz
    (umask 077; dump "zinc_$book" > "$before") || fail "the present book could not be kept; nothing was changed"
    say "The present book is kept as $before"
  fi
  [ "$book" != own ] || [ ! -d "$LOGS/log-$(log_name)" ] || keep_log "$LOGS" || fail "the log could not be kept in $LOGS; nothing was changed"
  touch "$HOME_DIR/run/restoring-$book"
  load "$plain" "zinc_$book" "$moment" || fail "$file could not be read whole; restore ${before:-another file} to go back"
  rm -rf "$plain" "$HOME_DIR/run/after" "$HOME_DIR/run/restoring-$book"
  say "The $book book is as it was $(case $moment in "") echo "in $file" ;; last) echo "at the last moment that was kept" ;; *) echo "on $moment" ;; esac)"
  # what is kept from now on goes on from the restored book
  if [ "$book" = own ]; then
    log_begins
    [ -z "${ZINC_BACKUP:-}" ] || backup "$ZINC_BACKUP" own
  fi
}
