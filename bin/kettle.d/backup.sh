# Backups: all that the database holds, pictures too, in one consistent reading, and the secrets sealed with a
# passphrase, in one tar file that plain tools open: backup.json, database.sql.gz, secrets.sealed, SHA256SUMS.
# A restore is loaded beside what is there, and takes its place only when all of it is in.

BACKUP_DAYS=7
BACKUP_WEEKS=8
NIGHT_AT=03:00

own_database() {
  ! outside && [ "$DB_HOST" = 127.0.0.1 ] && [ -d "$KETTLE_VAR/db/mysql" ] || die "The database of this house is not one of ours: back it up where it runs."
}

# backup [--nightly] [FILE]
backup() {
  local nightly= file= work began
  while [ $# -gt 0 ]; do
    case "$1" in --nightly) nightly=1 ;; -*) die "backup knows no $1." ;; *) file=$1 ;; esac
    shift
  done
  read_env
  own_database
  alive mariadb || die "The database does not run: start it with ./kettle up"
  (umask 077 && mkdir -p "$KETTLE_BACKUPS")
  # House says when the last was made; what is in them is for who made them alone.
  [ -z "$AS" ] || { chown root "$KETTLE_BACKUPS" && chmod 711 "$KETTLE_BACKUPS"; }
  exec 9>"$KETTLE_BACKUPS/.lock"
  flock -n 9 || die "Another backup is being made."
  if [ -n "$nightly" ] && made_tonight; then return 0; fi
  began=$(date -u +%Y%m%d-%H%M%S)
  [ -n "$file" ] || file="$KETTLE_BACKUPS/${nightly:+nightly-}warm-kettle-$began.tar"
  file=$(realpath -m "$file")
  [ -d "$(dirname "$file")" ] || die "There is no folder $(dirname "$file")."
  [ ! -e "$file" ] || die "$file is there already, and is not written over."
  work=$(umask 077 && mktemp -d "$KETTLE_BACKUPS/.making.XXXXXX")
  # What was not finished is nobody's backup.
  if (umask 077 && write_backup "$work" "$file"); then
    rm -rf "$work"
  else
    rm -rf "$work" "$file.part"
    die "The backup was not made; see above. What was backed up before is as it was."
  fi
  told_last "$file"
  [ -z "$nightly" ] || prune_nightly
  step "backed up: $file ($(du -h "$file" | cut -f1)$([ -n "${KETTLE_PASSPHRASE:-}" ] || echo '; without the secrets, for no passphrase was given'))"
}

write_backup() {
  local work=$1 file=$2 made place= master=
  # A server that was begun before a log was to be kept has none yet.
  if keeps_binlog && logs_now; then master=--master-data=2; fi
  made=$(date -u +%Y-%m-%dT%H:%M:%SZ)
  # Who is signed in is nobody's to restore; and a trigger is of whoever restores it.
  mariadb-dump --no-defaults --socket="$SOCKETS/db.sock" -u "$(id -un)" --single-transaction --quick --hex-blob --triggers \
    --no-tablespaces --ignore-table-data="$DB_DATABASE.sessions" $master "$DB_DATABASE" |
    sed '/^\/\*!50003 CREATE\*\/ /s/DEFINER=`[^`]*`@`[^`]*`//' | gzip -6 >"$work/database.sql.gz" || return 1
  sql "$DB_DATABASE" -e 'SELECT migration FROM migrations ORDER BY id' >"$work/migrations" || return 1
  place=$(binlog_place "$work/database.sql.gz") || return 1
  php -r '[, $made, $file, $place] = $argv; echo json_encode(["format" => "warm-kettle-backup", "version" => 1, "made_at" => $made,
    "migrations" => file($file, FILE_IGNORE_NEW_LINES),
    ...$place === "" ? [] : ["log" => array_combine(["database", "file", "begins", "position"], explode(" ", $place))]], JSON_PRETTY_PRINT), "\n";' \
    "$made" "$work/migrations" "$place" >"$work/backup.json" || return 1
  rm "$work/migrations"
  if [ -n "${KETTLE_PASSPHRASE:-}" ]; then
    php bin/seal.php shut <"$ENV_FILE" >"$work/secrets.sealed" || return 1
  fi
  local parts='backup.json database.sql.gz'
  [ ! -f "$work/secrets.sealed" ] || parts+=' secrets.sealed'
  # shellcheck disable=SC2086
  (cd "$work" && sha256sum $parts >SHA256SUMS && tar -cf "$file.part" $parts SHA256SUMS) || return 1
  sync "$file.part" && mv "$file.part" "$file"
}

# Said to whoever looks at House, and to `kettle doctor`.
told_last() {
  php -r '[, $file] = $argv; echo json_encode(["made_at" => gmdate("Y-m-d\TH:i:s\Z"), "file" => $file, "bytes" => filesize($file)]), "\n";' \
    "$1" >"$KETTLE_BACKUPS/last.json.new" && mv "$KETTLE_BACKUPS/last.json.new" "$KETTLE_BACKUPS/last.json"
}

# Whether there is one since three at night: a machine that slept then makes it when it wakes.
made_tonight() {
  local newest since
  newest=$(ls -1 "$KETTLE_BACKUPS"/nightly-*.tar 2>/dev/null | tail -1)
  [ -n "$newest" ] || return 1
  since=$(date -d "today $NIGHT_AT" +%s)
  [ "$(date +%s)" -ge "$since" ] || since=$(date -d "yesterday $NIGHT_AT" +%s)
  [ "$(stat -c %Y "$newest")" -ge "$since" ]
}

# The newest of each of seven days, and of each of eight weeks; the rest has had its day.
prune_nightly() {
  local each name day week
  declare -A days=() weeks=()
  for each in $(ls -1r "$KETTLE_BACKUPS"/nightly-*.tar 2>/dev/null); do
    name=$(basename "$each")
    day=$(grep -oE '[0-9]{8}' <<<"$name" | head -1)
    week=$(date -d "$day" +%G%V)
    if [ -z "${days[$day]:-}" ] && [ "${#days[@]}" -lt "$BACKUP_DAYS" ]; then days[$day]=1; weeks[$week]=1
    elif [ -z "${weeks[$week]:-}" ] && [ "${#weeks[@]}" -lt "$BACKUP_WEEKS" ]; then weeks[$week]=1
    else rm -f "$each"
    fi
  done
}

# Looks at every part of a backup, unpacked into a folder, before anything is touched.
check_backup() {
  local file=$1 work=$2 names unknown
  [ -r "$file" ] || die "There is no file $file, or it cannot be read."
  names=$(tar -tf "$file" 2>/dev/null | sort | tr '\n' ' ') || die "$file is no backup: it cannot be unpacked."
  case "$names" in
    'SHA256SUMS backup.json database.sql.gz ' | 'SHA256SUMS backup.json database.sql.gz secrets.sealed ') ;;
    *) die "$file is no backup of Warm Kettle." ;;
  esac
  tar -C "$work" --no-same-owner -xf "$file" || die "$file is damaged."
  (cd "$work" && sha256sum --check --quiet --strict SHA256SUMS >/dev/null 2>&1) || die "$file is damaged: its checksums do not agree."
  [ "$(wc -l <"$work/SHA256SUMS")" = $(($(wc -w <<<"$names") - 1)) ] || die "$file is damaged: a checksum is missing."
  zcat "$work/database.sql.gz" 2>/dev/null | tail -1 | grep -q '^-- Dump completed' || die "$file is damaged: the database in it does not come to its end."
  unknown=$(php -r '$b = json_decode((string) file_get_contents($argv[1]), true);
    if (($b["format"] ?? "") !== "warm-kettle-backup" || ($b["version"] ?? 0) !== 1 || ! is_array($b["migrations"] ?? null)) { echo "?"; exit; }
    foreach ($b["migrations"] as $m) { if (! is_string($m) || ! is_file("database/migrations/".basename($m).".php")) { echo is_string($m) ? $m : "?"; exit; } }' "$work/backup.json")
  [ "$unknown" != '?' ] || die "$file is no backup that this version reads."
  [ -z "$unknown" ] || die "$file was made by a newer version ($unknown). Bring this one up to date first."
}

# restore FILE [--without-secrets] [--stopped] [--until MOMENT [--log FOLDER]] | restore --back [--stopped]
restore() {
  local file= without= stopped= back= until= said= folder="$KETTLE_VAR/binlog"
  while [ $# -gt 0 ]; do
    case "$1" in
      --back) back=1 ;;
      --without-secrets) without=1 ;;
      --stopped) stopped=1 ;;
      --until | --log)
        [ -n "${2:-}" ] || die "$1 wants $([ "$1" = --until ] && echo "a moment: --until '2026-11-28 14:05'" || echo 'a folder: --log FOLDER')"
        if [ "$1" = --until ]; then said=$2; else folder=$2; fi
        shift ;;
      -*) die "restore knows no $1." ;;
      *) file=$1 ;;
    esac
    shift
  done
  if [ -n "$back" ]; then restore_back $stopped; return; fi
  if [ -n "$said" ]; then
    until=$(date -d "$said" +%s 2>/dev/null) || die "“$said” is no moment. Say it as '2026-11-28 14:05', in this machine's time."
    [ "$until" -le "$(date +%s)" ] || die "$(date -d "@$until" '+%F %T') is not yet."
    [ -n "$file" ] || file=$(KETTLE_BACKUPS="$KETTLE_VAR/backups" newest_before "$until") ||
      die "There is no backup in ${KETTLE_VAR#"$ROOT"/}/backups that was made before $(date -d "@$until" '+%F %T') and can be gone on from."
  fi
  [ -n "$file" ] || die "Say which: ./kettle restore FILE"
  file=$(realpath -m "$file")
  local work into log=() place=()
  # What another left when it was killed.
  rm -rf "$KETTLE_VAR"/tmp/restore.*
  work=$(umask 077 && mktemp -d "$KETTLE_VAR/tmp/restore.XXXXXX")
  # shellcheck disable=SC2064
  trap "rm -rf '$work'" EXIT
  check_backup "$file" "$work"
  if [ -n "$until" ]; then check_binlog "$file" "$work" "$until" "$folder"; fi
  if [ -f "$work/secrets.sealed" ] && [ -z "$without" ]; then
    [ -n "${KETTLE_PASSPHRASE:-}" ] || ask_passphrase || die "Its secrets are sealed. Say the passphrase in KETTLE_PASSPHRASE, or restore it --without-secrets: all sign in anew then."
    (umask 077 && php bin/seal.php open <"$work/secrets.sealed" >"$work/env") || die "Nothing was changed."
  fi
  make_env production
  read_env
  start_database
  own_database
  into="kettle_$(date -u +%Y%m%d%H%M%S)"
  step "loading it beside what is there"
  unlogged -e "CREATE DATABASE $into" || die "Nothing was changed."
  if ! zcat "$work/database.sql.gz" | unlogged "$into"; then
    unlogged -e "DROP DATABASE $into" || true
    die "It could not be loaded; see above. Nothing was changed."
  fi
  if [ -n "$until" ]; then
    step "going on by the log of changes, up to $(date -d "@$until" '+%F %T')"
    if ! go_over "$into" "$until" "${place[0]}" "${place[3]}" "${log[@]}"; then
      unlogged -e "DROP DATABASE $into" || true
      die "The log could not be gone over; see above. Nothing was changed. An earlier moment may do."
    fi
  fi
  step "setting aside what was there"
  stop_web
  drop_aside "$into"
  (umask 077 && cp "$ENV_FILE" "$KETTLE_VAR/aside.env" && restored_env "$into" "$work/env" >"$ENV_FILE.new")
  sync "$ENV_FILE.new" && mv "$ENV_FILE.new" "$ENV_FILE"
  begin_again $stopped
  step "restored: as of $([ -n "$until" ] && date -d "@$until" '+%F %T' || made_at "$work"). What was there is set aside: ./kettle restore --back"
}

# When a backup that is unpacked was made.
made_at() { php -r 'echo json_decode((string) file_get_contents($argv[1]), true)["made_at"];' "$1/backup.json"; }

# Sets `place` and `log` of whoever restores, or says why it cannot be gone on from there.
check_binlog() {
  local file=$1 work=$2 until=$3 folder=$4 made all
  made=$(date -d "$(made_at "$work")" +%s)
  [ "$until" -ge "$made" ] || die "$file was made after $(date -d "@$until" '+%F %T'): take one from before."
  read -r -a place < <(binlog_of "$work/backup.json" && echo) || true
  [ "${#place[@]}" = 4 ] || die "$file does not say where it stands in a log of changes: none was kept then. Restore it without --until."
  all=$(binlog_files "$folder" "${place[1]}" "${place[2]}") || die "The log of changes in $folder does not go back to $file, or a piece of it is missing."
  mapfile -t log <<<"$all"
}

ask_passphrase() {
  [ -t 0 ] || return 1
  read -r -s -p 'Passphrase: ' KETTLE_PASSPHRASE </dev/tty
  printf '\n' >&2
  export KETTLE_PASSPHRASE
}

# What is of this place stays: its ports and its database's password. The rest is as it was backed up, where that was sealed.
restored_env() {
  local into=$1 sealed=$2
  php -r '[, $here, $into, $sealed] = $argv;
    $read = function (string $file): array { $all = [];
      foreach (is_file($file) ? file($file, FILE_IGNORE_NEW_LINES) : [] as $line) { if (preg_match("/^([A-Z_]+)=/", $line, $m)) { $all[$m[1]] = $line; } }
      return $all; };
    $stay = ["APP_URL", "WEB_PORT", "DB_CONNECTION", "DB_HOST", "DB_PORT", "DB_DATABASE", "DB_USERNAME", "DB_PASSWORD"];
    $all = [...$read($here), ...array_diff_key($read($sealed), array_flip($stay)), "DB_DATABASE" => "DB_DATABASE=".$into];
    echo implode("\n", $all), "\n";' "$ENV_FILE" "$into" "$sealed"
}

# What was set aside by the restore before this one is let go, and what one that was killed had loaded.
drop_aside() {
  local old
  for old in $(sql -e 'SHOW DATABASES'); do
    [[ $old =~ ^kettle(_[0-9]{14})?$ ]] && [ "$old" != "$DB_DATABASE" ] && [ "$old" != "$1" ] && unlogged -e "DROP DATABASE $old"
  done
  return 0
}

restore_back() {
  [ -f "$KETTLE_VAR/aside.env" ] || die "Nothing is set aside here."
  read_env
  stop_web
  cp -p "$ENV_FILE" "$ENV_FILE.new"
  mv "$KETTLE_VAR/aside.env" "$ENV_FILE" && mv "$ENV_FILE.new" "$KETTLE_VAR/aside.env"
  begin_again "${1:-}"
  step "what was set aside is back; what stood meanwhile is set aside now"
}

# All parts anew, with the settings as they stand now.
begin_again() {
  stop_instance
  rm -f "$KETTLE_VAR"/cache/*.php "$RUN/started"
  read_env
  start_database
  # Who was signed in need not be who has that number now.
  forget_signed_in
  [ -n "${1:-}" ] || start_instance
}

# Of the last backup: when, and whether it is too long ago. Ends with 1 where it is.
tell_backup() {
  local ago
  if outside; then step "backup: of a database that is elsewhere, made there"; return 0; fi
  [ -f "$KETTLE_BACKUPS/last.json" ] || { step "backup: none yet; one is made each night"; return 0; }
  ago=$((($(date +%s) - $(stat -c %Y "$KETTLE_BACKUPS/last.json")) / 3600))
  step "backup: the last $ago hours ago"
  [ "$ago" -le 50 ] || [ "$(sv status "$SV/scheduler" 2>/dev/null | grep -oE '\) [0-9]+s' | grep -oE '[0-9]+' || echo 0)" -lt 7200 ]
}
