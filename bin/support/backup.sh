# Copies of a school: made, looked at in a scratch place, kept by age. Sourced after common.sh and serve.sh.
#
# A copy is one archive: manifest (a count of rows for every table, a SHA-256 for every file), database.sql, files/ and settings.
# Its moment is that of the database's snapshot: files are never changed once they are kept, and while `backup-under-way` lies among
# them none is taken away, so every file that the snapshot names is there.

backups_folder() { printf '%s' "${LARKSPUR_BACKUPS:-$(setting BACKUP_FOLDER | grep . || printf '%s/backups' "$state")}"; }
files_folder() { printf '%s/storage/app/private' "$state"; }

dump_database() { # into a file
  as_root install -d -m 700 "$state/schema"
  as_root sh -c "umask 077
    word=\$(sed -n 's/^BACKUP_PASSWORD=//p' '$state/secrets')
    printf '[client]\nuser=larkspur_backup\npassword=%s\nsocket=%s\n' \"\$word\" '$(db_socket)' >'$state/schema/backup.cnf'
    mariadb-dump --defaults-file='$state/schema/backup.cnf' --single-transaction --skip-lock-tables --skip-extended-insert --no-autocommit \
      --skip-dump-date --hex-blob '$(setting DB_DATABASE)' >'$1'"
  as_root tail -n 1 "$1" | grep -q '^-- Dump completed' || give_up 'The copy of the database is not whole.'
}

# Rows for each table, as they stand in a dump: counts_of_dump FILE
counts_of_dump() {
  as_root awk '/^CREATE TABLE `/ { split($0, part, "`"); many[part[2]] = 0 }
    /^INSERT INTO `/ { split($0, part, "`"); many[part[2]]++ }
    END { for (table in many) print "rows " table " " many[table] }' "$1" | sort
}

# Makes a copy and looks at it: make_backup WHY. Prints where it lies.
make_backup() {
  local why=$1 at folder work archive recipient
  at=$(date -u +%Y-%m-%dT%H%M%SZ)
  folder=$(backups_folder)
  as_root install -d -m 700 "$folder"
  work=$(as_root mktemp -d "$folder/.making.XXXXXX")
  as_root touch "$(files_folder)/backup-under-way"
  {
    as_root chown "$web_user" "$(files_folder)/backup-under-way"
    dump_database "$work/database.sql"
    as_root cp -a --reflink=auto "$(files_folder)" "$work/files"
  } || { as_root rm -rf "$work" "$(files_folder)/backup-under-way"; give_up 'The copy could not be made.'; }
  as_root rm -f "$(files_folder)/backup-under-way" "$work/files/backup-under-way"
  as_root find "$work/files" -name '*.part' -delete
  as_root cp "$state/env" "$work/settings"
  {
    printf 'larkspur-backup 1\nat %s\nwhy %s\n' "$at" "$why"
    counts_of_dump "$work/database.sql"
    (cd / && as_root sh -c "cd '$work' && find files settings database.sql -type f -print0 | sort -z | xargs -0 sha256sum" | sed 's/^/file /')
  } | as_root sh -c "cat >'$work/manifest'"
  archive=$folder/larkspur-$at-$why.tar.gz
  recipient=$(setting BACKUP_RECIPIENT)
  if [ -n "$recipient" ]; then
    archive=$archive.age
    as_root sh -c "tar -C '$work' -cf - . | gzip -1 | age -r '$recipient' -o '$archive.part'"
  else
    as_root sh -c "umask 077; tar -C '$work' -cf - . | gzip -1 >'$archive.part'"
  fi
  look_at_folder "$work"
  as_root rm -rf "$work"
  as_root sync "$archive.part"
  as_root mv "$archive.part" "$archive"
  forget_old_backups "$folder"
  printf '%s\n' "$archive"
}

# Unpacks an archive: unpack_backup ARCHIVE FOLDER [IDENTITY]
unpack_backup() {
  as_root install -d -m 700 "$2"
  case $1 in
    *.age)
      [ -n "${3:-}" ] || give_up 'This copy is encrypted: name the file with your key, --identity FILE.'
      as_root bash -c "set -o pipefail; age -d -i '$3' '$1' | tar -C '$2' -xzf -" || give_up 'It can’t be opened with this key.' ;;
    *) as_root tar -C "$2" -xzf "$1" || give_up 'This is no copy, or it is not whole.' ;;
  esac
}

# Loads an unpacked copy into a scratch database and compares every count and every hash: look_at_folder FOLDER
look_at_folder() {
  local work=$1 scratch socket found tries=0 ok=yes
  as_root head -n 1 "$work/manifest" 2>/dev/null | grep -qx 'larkspur-backup 1' || give_up 'This is no copy of a Larkspur school.'
  (cd / && as_root sh -c "cd '$work' && sed -n 's/^file //p' manifest | sha256sum --quiet -c -") || give_up 'A file of the copy is not what it was.'
  scratch=$(as_root mktemp -d /tmp/larkspur-look.XXXXXX)
  as_root chown mysql "$scratch"
  socket=$scratch/s
  quietly as_root mariadb-install-db --no-defaults --user=mysql --datadir="$scratch/data" --auth-root-authentication-method=socket \
    --auth-root-socket-user=root --skip-test-db
  # No network, and no care for the disk: it is thrown away.
  as_root sh -c "cd / && mariadbd --no-defaults --user=mysql --datadir='$scratch/data' --socket='$socket' --skip-networking \
    --pid-file='$scratch/pid' --innodb-flush-log-at-trx-commit=0 --innodb-doublewrite=0 >'$scratch/log' 2>&1 9>&- &"
  until as_root mariadb --no-defaults --socket="$socket" -e 'DO 1' >/dev/null 2>&1; do
    tries=$((tries + 1)); [ "$tries" -lt 300 ] || { ok=no; break; }
    sleep 0.1
  done
  as_root mariadb --no-defaults --socket="$socket" -e 'CREATE DATABASE scratch' && \
    as_root sh -c "mariadb --no-defaults --socket='$socket' scratch <'$work/database.sql'" || ok=no
  found=$(as_root sed -n 's/^rows \([^ ]*\) .*/\1/p' "$work/manifest" | while read -r table; do
    printf 'rows %s %s\n' "$table" "$(as_root mariadb --no-defaults --socket="$socket" -N scratch -e "SELECT COUNT(*) FROM \`$table\`")"
  done | sort)
  [ "$found" = "$(as_root grep '^rows ' "$work/manifest" | sort)" ] || ok=no
  # Every log that the records name lies there, and is what its name says.
  missing=$(as_root mariadb --no-defaults --socket="$socket" -N scratch -e 'SELECT DISTINCT sha256 FROM flight_logs' 2>/dev/null \
    | while read -r hash; do
    as_root grep -q "^file $hash  files/logs/" "$work/manifest" || printf '%s\n' "$hash"
  done)
  as_root sh -c "kill -KILL \$(cat '$scratch/pid')" 2>/dev/null || true
  as_root rm -rf "$scratch"
  [ "$ok" = yes ] || give_up 'The copy could not be read back as it was written.'
  [ -z "$missing" ] || printf 'Not in the copy, and not in what was copied: the bytes of %s log(s); larkspur:check-files names them.\n' "$(wc -l <<<"$missing")" >&2
}

# By age: all of two days, one a day for two weeks, one a week for two months, one a month for two years.
forget_old_backups() { # folder
  local kept='' slot name at age
  as_root ls -r "$1" | grep '^larkspur-.*\.tar\.gz' | grep -v '\.part$' | while read -r name; do
    at=${name#larkspur-}; at=${at:0:10}
    age=$((($(date -u +%s) - $(date -u -d "$at" +%s)) / 86400))
    [ "$age" -gt 2 ] || continue
    if [ "$age" -le 14 ]; then slot="day $at"
    elif [ "$age" -le 62 ]; then slot="week $(date -u -d "$at" +%G-%V)"
    elif [ "$age" -le 731 ]; then slot="month ${at:0:7}"
    else slot=''; fi
    # The newest of a slot stays.
    case "|$kept|" in *"|$slot|"*) ;; *) [ -z "$slot" ] || { kept="$kept|$slot"; continue; } ;; esac
    as_root rm -f "$1/$name"
  done
}
