# The minutes since a backup: the database's own log of every change of a row, kept for nine days beside it. A backup says where in it
# it stands, and a restore goes on from there up to a moment.

BINLOG_DAYS=9
# Who is signed in stands in a database of its own, of which no change is logged: a backup does not have those rows, and a change
# of a row that is not there could not be made again.
SIGNED_IN=kettle_signed_in

keeps_binlog() {
  ! outside || return 1
  case "${KETTLE_BINLOG:-$([ "$NAME" = main ] && echo 1)}" in '' | 0) return 1 ;; esac
}

# For the server, one a line. Its number tells logs of one place from those of another.
binlog_options() {
  printf -- '--%s\n' "log-bin=$KETTLE_VAR/binlog/log" binlog-format=ROW "binlog-ignore-db=$SIGNED_IN" sync-binlog=1 \
    "expire-logs-days=$BINLOG_DAYS" max-binlog-size=32M "server-id=$((16#$(printf '%s' "$DB_PASSWORD" | sha256sum | cut -c1-7) + 1))"
}

# As the administrator, what is not the house's to go over again.
unlogged() { sql --init-command='SET sql_log_bin=0' "$@"; }

logs_now() { [ "$(sql -e 'SELECT @@log_bin' 2>/dev/null)" = 1 ]; }

has_signed_in() { [ "$(sql -e "SELECT COUNT(*) FROM information_schema.tables WHERE table_schema = '$SIGNED_IN'")" != 0 ]; }

# Whoever is signed in stays so when a log begins to be kept, and when none is kept any more. In one place at a time: a session that
# was ended in one must not stand in the other.
sessions_aside() {
  if outside; then return 0; fi
  if keeps_binlog; then
    has_signed_in || unlogged -e "CREATE DATABASE IF NOT EXISTS $SIGNED_IN; CREATE TABLE $SIGNED_IN.sessions LIKE $DB_DATABASE.sessions;
      INSERT INTO $SIGNED_IN.sessions SELECT * FROM $DB_DATABASE.sessions; DELETE FROM $DB_DATABASE.sessions"
  elif has_signed_in; then
    unlogged -e "DELETE FROM $DB_DATABASE.sessions; INSERT INTO $DB_DATABASE.sessions SELECT * FROM $SIGNED_IN.sessions; DROP DATABASE $SIGNED_IN"
  fi
}

forget_signed_in() {
  ! has_signed_in || unlogged -e "DELETE FROM $SIGNED_IN.sessions"
}

# Where a dump stands in the log, for backup.json: its database, the file, how that begins, and the position.
binlog_place() {
  local place file
  place=$({ zcat "$1" 2>/dev/null || true; } | head -60 |
    sed -n "s/^-- CHANGE MASTER TO MASTER_LOG_FILE='\(log\.[0-9]*\)', MASTER_LOG_POS=\([0-9]*\);.*/\1 \2/p")
  [ -n "$place" ] || return 0
  file="$KETTLE_VAR/binlog/${place% *}"
  echo "$DB_DATABASE ${place% *} $(binlog_begins "$file") ${place#* }"
}

# When a file of the log was begun, and by which server.
binlog_begins() { od -An -v -tx1 -j4 -N9 "$1" 2>/dev/null | tr -d ' \n'; }

# What a backup, unpacked, says of it; nothing where no log was kept.
binlog_of() {
  php -r '$b = json_decode((string) file_get_contents($argv[1]), true); $l = $b["log"] ?? null;
    if (is_array($l)) { $all = implode(" ", array_map(strval(...), $l));
      echo preg_match("/^kettle(_\d{14})? log\.\d{6} [0-9a-f]{18} \d{1,15}$/", $all) ? $all : "?"; }' "$1"
}

# The files from the one where a backup stands to the last, one a line.
binlog_files() {
  local folder=$1 first=$2 begins=$3 each number want=
  [ "$(binlog_begins "$folder/$first")" = "$begins" ] || return 1
  for each in "$folder"/log.[0-9]*; do
    number=$((10#${each##*.}))
    [ "$number" -ge $((10#${first##*.})) ] || continue
    # One that is missing in the middle is not gone over.
    [ -z "$want" ] || [ "$number" = "$want" ] || return 1
    want=$((number + 1))
    echo "$each"
  done
}

# Goes over the log from where a backup stands, in the database it was loaded into, as one who may do so there and nowhere else.
go_over() {
  local into=$1 until=$2 database=$3 position=$4 password is=0
  shift 4
  password=$(secret)
  unlogged <<<"CREATE OR REPLACE USER kettle_replay@localhost IDENTIFIED BY '$password'; GRANT ALL ON $into.* TO kettle_replay@localhost;
    GRANT SUPER, SET USER, BINLOG ADMIN, BINLOG REPLAY ON *.* TO kettle_replay@localhost" || return 1
  # A file that the server did not come to shut may end in a piece of what was never done; any other must be whole.
  (
    set -o pipefail
    TZ=UTC mariadb-binlog --no-defaults --verify-binlog-checksum --database="$database" --rewrite-db="$database->$into" --disable-log-bin \
      --start-position="$position" --stop-datetime="$(date -u -d "@$until" '+%F %T')" "$@" |
      MYSQL_PWD="$password" mariadb --no-defaults --socket="$SOCKETS/db.sock" -u kettle_replay --max-allowed-packet=64M --batch "$into"
  ) || is=1
  unlogged -e 'DROP USER kettle_replay@localhost'
  return $is
}

# The newest backup here that was made before a moment and says where it stands in the log.
newest_before() {
  local until=$1 each made newest=0 file=
  for each in "$KETTLE_BACKUPS"/*.tar; do
    made=$(tar -xOf "$each" backup.json 2>/dev/null | php -r '$b = json_decode((string) stream_get_contents(STDIN), true);
      echo is_array($b["log"] ?? null) ? (int) strtotime($b["made_at"] ?? "") : 0;')
    if [ "$made" -gt "$newest" ] && [ "$made" -le "$until" ]; then newest=$made file=$each; fi
  done
  [ -n "$file" ] && echo "$file"
}

# Since when a backup can be gone on from; said by `kettle doctor`.
tell_binlog() {
  keeps_binlog || return 0
  local first
  if ! logs_now; then step "the log of changes: from the next start of the database on"; return 0; fi
  first=$(ls -1 "$KETTLE_VAR"/binlog/log.[0-9]* 2>/dev/null | head -1)
  [ -z "$first" ] || step "the log of changes: since $(date -d "@$((16#$(od -An -v -tx4 -j4 -N4 "$first" | tr -d ' ')))" '+%F %H:%M')"
}
