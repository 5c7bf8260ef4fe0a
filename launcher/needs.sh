# shellcheck shell=bash
# What must be there before anything starts. ./zinc-tally sources this.

packages() { # command package...: installs what is missing, as root; else says what to install
  local missing=()
  while [ $# -gt 0 ]; do command -v "$1" >/dev/null 2>&1 || missing+=("$2"); shift 2; done
  [ ${#missing[@]} -eq 0 ] && return
  [ "$(id -u)" = 0 ] || fail "missing: ${missing[*]}. Install with: sudo apt-get install ${missing[*]}"
  say "Installing ${missing[*]} ..."
  # a freshly installed database server must not start by itself on its usual port
  local policy=/usr/sbin/policy-rc.d made=
  [ -e "$policy" ] || { printf '#!/bin/sh\nexit 101\n' > "$policy"; chmod +x "$policy"; made=1; }
  { apt-get update -q && DEBIAN_FRONTEND=noninteractive apt-get install -y -q --no-install-recommends "${missing[@]}"; } \
    > "$HOME_DIR/log/apt.log" 2>&1 || { [ -z "$made" ] || rm -f "$policy"; fail "could not install ${missing[*]}; see $HOME_DIR/log/apt.log"; }
  [ -z "$made" ] || rm -f "$policy"
}

room() {
  local free; free=$(df -Pk "$HOME_DIR" | awk 'NR==2 {print $4}')
  [ "$free" -gt 524288 ] || fail "less than 512 MiB is free in $HOME_DIR; make room there or set ZINC_HOME to another disk"
}

prepare() {
  mkdir -p "$HOME_DIR/log" "$HOME_DIR/run" 2>/dev/null || fail "cannot write in $HOME_DIR; set ZINC_HOME to a folder of yours"
  chmod -f go-rwx "$HOME_DIR"/log/* || true # what is written down of the work is for who keeps this machine
  room
  command -v javac >/dev/null 2>&1 || fail "a JDK 17 or later is missing. Install with: apt-get install openjdk-17-jdk-headless"
  [ -z "${ZINC_BACKUP_KEY:-}${ZINC_BACKUP_IDENTITY:-}" ] || packages age age
  packages mvn maven mariadbd mariadb-server mariadb-install-db mariadb-server
}

open_port() { (exec 3<>"/dev/tcp/$DB_ADDRESS/$1") 2>/dev/null; }
# also one that was killed and that nobody has buried yet is dead
alive() { [ -f "$1" ] && kill -0 "$(cat "$1")" 2>/dev/null && ! grep -qs '^State:.Z' "/proc/$(cat "$1")/status"; }
