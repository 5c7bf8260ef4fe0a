# shellcheck shell=bash
# Many books served by one program: a house. ./zinc-tally sources this.

house_settings() { # what a database server that keeps many books needs besides
  DB_CONNECTIONS=${ZINC_DB_CONNECTIONS:-600}
  DB_GRANTS+=("grant create user on *.* to zinc@'$DB_CLIENT';") # an account for each book
}

house_ready() { # that the server that runs was started for it
  [ -n "$(db_sql -N -e 'show grants' | grep -F 'CREATE USER')" ] || fail "the database runs, and was not started for a house; ./zinc-tally stop first"
}

houses_books() { # the house itself, and each of its books, as the names of their databases go on
  local all; all=$(db_sql -N -e "show databases like 'zinc\_b\_%'") || return 1
  say house; [ -z "$all" ] || printf '%s\n' "${all//zinc_b_/b_}"
}

named_book() { # own, demo, or the name of a book of the house: as the name of its database goes on
  case $1 in own|demo|house) say "$1"; return ;; esac
  [ -n "$(db_sql -N zinc_house -e "select 1 from hosted where name = '${1//[^a-z0-9-]/?}'" 2>/dev/null)" ] || fail "there is no book $1: own, demo, or the name of one in the house"
  say "b_${1//-/_}"
}

of_each() { # command, arguments before the book...: for the house and each book; what fails keeps no other from its turn
  local book failed=0
  for book in $(houses_books); do ("${@:1}" "$book") || failed=1; done
  return "$failed"
}

house_nightly() { # folder: each book whenever its newest backup is almost a day old
  local book newest
  while alive "$HOME_DIR/run/web.pid"; do
    for book in $(houses_books); do
      newest=$(newest_before "$1" "$book" "")
      if [ -z "$newest" ] || [ -z "$(find "$newest" -mmin -1380)" ]; then (backup "$1" "$book") && thin "$1" "$book" || say "$book could not be backed up; it is tried again"; fi
    done
    sleep 600
  done
}
