# shellcheck shell=bash
# The log of all changes of your own book: kept beside its backups, so that one can go on from a backup
# to a moment. ./zinc-tally sources this.

log_name() { cat "$HOME_DIR/db-log/name" 2>/dev/null || say none; }

log_begins() { # under a name that no other log has: backups before it lead into another
  printf '%s-%s\n' "$(date +%Y%m%d%H%M%S)" "$RANDOM" > "$HOME_DIR/db-log/name"
}

log_ready() { # user: a folder for the log
  local folder=$HOME_DIR/db-log
  [ -d "$folder" ] || { mkdir -p "$folder"; log_begins; }
  chmod 700 "$folder"; [ "$1" != mysql ] || chown mysql "$folder"
}

hidden() { # encrypts what it reads, when a key is given
  if [ -z "${ZINC_BACKUP_KEY:-}" ]; then cat
  else age -r "$ZINC_BACKUP_KEY"; fi
}

shown() { # file: as it was before it was encrypted
  case $1 in
    *.age)
      [ -r "${ZINC_BACKUP_IDENTITY:-}" ] || fail "$1 is encrypted; ZINC_BACKUP_IDENTITY must name the file with the key's other half"
      age -d -i "$ZINC_BACKUP_IDENTITY" "$1" ;;
    *) cat "$1" ;;
  esac
}

keep_log() { # folder: copies what the log has gained; what is older than its reach goes
  [ -z "$SERVERS" ] || return 0 # it lies at the servers, which keep it themselves
  local to file copy
  to=$1/log-$(log_name); mkdir -p "$to" || return 1
  for file in "$HOME_DIR"/db-log/log.[0-9]*; do
    copy=$to/${file##*/}${ZINC_BACKUP_KEY:+.age}
    [ ! -e "$copy" ] || [ "$file" -nt "$copy" ] || continue
    touch -r "$file" "$copy.at" || return 1 # before it is read: what comes meanwhile is for the next time
    (umask 077; hidden < "$file" > "$copy.part") && touch -r "$copy.at" "$copy.part" && mv "$copy.part" "$copy" && rm "$copy.at" || return 1
  done
  find "$1" -path "$1/log-*/log.*" -mtime +35 -delete
}

after() { # backup folder: lays ready in run/after the log from that backup on; fails when a part is missing
  local ready=$HOME_DIR/run/after name first from file at next
  rm -rf "$ready"; mkdir -p "$ready"; chmod 700 "$ready"
  name=$(gzip -dc "$1" | sed -n '1s/^-- the log is //p;1q'); [ -n "$name" ] || return 1
  at=$(gzip -dc "$1" | sed -n "s/^-- CHANGE MASTER TO MASTER_LOG_FILE='\([^']*\)', MASTER_LOG_POS=\([0-9]*\).*/\1 \2/p;40q")
  first=${at% *}; [ -n "$first" ] || return 1
  say "${at#* }" > "$ready/position"
  from=$2/log-$name
  [ "$name" != "$(log_name)" ] || [ ! -e "$HOME_DIR/db-log/$first" ] || from=$HOME_DIR/db-log
  next=$((10#${first#log.}))
  for file in "$from"/log.[0-9]*; do
    case $file in *.part | *.at) continue ;; esac
    at=${file##*/}; at=${at%.age}
    [[ ! $at < $first ]] || continue
    [ "$((10#${at#log.}))" = "$next" ] || return 1 # one between is not there
    next=$((next + 1))
    shown "$file" > "$ready/$at" || return 1
  done
  [ -e "$ready/$first" ]
}

forward() { # database moment: what was done after the backup, up to the moment or to the last, as statements
  local ready=$HOME_DIR/run/after files options from
  [ -s "$ready/position" ] || return 0
  files=("$ready"/log.[0-9]*)
  options=(--no-defaults --skip-annotate-row-events --rewrite-db="zinc_own->$1")
  [ "$2" = last ] || options+=(--stop-datetime="$2")
  from=(--start-position="$(cat "$ready/position")")
  if [ ${#files[@]} -gt 1 ]; then
    mariadb-binlog "${options[@]}" "${from[@]}" "${files[@]:0:${#files[@]}-1}" || return 1
    from=()
  fi
  # the newest file may end in the middle of something that was just being done: that is left out
  mariadb-binlog "${options[@]}" "${from[@]}" "${files[-1]}" 2>> "$HOME_DIR/log/backup-check.log" || true
}
