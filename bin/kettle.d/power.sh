# The machine's power, cut under writes: the database stands on a disk of its own, an image that is mounted. Cut, all of it is killed
# and the image is copied as it is: what was written and not synced is in the memory of this machine and not in the copy, as it
# would be gone with the power. The copy is mounted in its place, and the database begins from it.

POWER_MB=2048

run_power() {
  [ "$(id -u)" = 0 ] || die "A disk of its own is mounted by root alone."
  export KETTLE_DURABLE="${KETTLE_DURABLE-1}" KETTLE_BINLOG=1
  instance bench
  away_disk
  empty_bench
  trap 'stop_instance; away_disk; rm -rf "$KETTLE_VAR/db" "$KETTLE_VAR/binlog"' EXIT
  rm -rf "$KETTLE_VAR/binlog"
  make_env production
  read_env
  start_database
  stop_part mariadb
  truncate -s "${POWER_MB}M" "$KETTLE_VAR/disk.img"
  quietly "a disk of its own" mkfs.ext4 -q "$KETTLE_VAR/disk.img"
  mkdir -p "$KETTLE_VAR/disk"
  mount -o loop "$KETTLE_VAR/disk.img" "$KETTLE_VAR/disk" || die "No disk can be mounted here."
  mv "$KETTLE_VAR/db" "$KETTLE_VAR/binlog" "$KETTLE_VAR/disk/"
  ln -s disk/db "$KETTLE_VAR/db"
  ln -s disk/binlog "$KETTLE_VAR/binlog"
  sync
  start_instance production
  rm -rf "$KETTLE_BACKUPS"
  backup
  local is=0 stands
  KETTLE_POWER="$PWD/kettle" php perf/kills.php "$@" || is=1
  # All that the database has is in its log, too.
  stands=$(sql "$DB_DATABASE" -e 'SELECT COUNT(*), MAX(id) FROM log_entries')
  # Up to now is all of the seconds before this one.
  sleep 2
  (restore --until now --stopped)
  read_env
  [ "$(sql "$DB_DATABASE" -e 'SELECT COUNT(*), MAX(id) FROM log_entries')" = "$stands" ] ||
    { step "its log of changes does not come to the same: $stands"; is=1; }
  return $is
}

away_disk() {
  ! mountpoint -q "$KETTLE_VAR/disk" || umount "$KETTLE_VAR/disk"
  rm -f "$KETTLE_VAR/disk.img" "$KETTLE_VAR"/{db,binlog} 2>/dev/null || true
}

# The cut itself, and the power back.
cut_power() {
  read_env
  sv once "$SV/mariadb" >/dev/null
  kill -9 -- "-$(cat "$RUN/mariadb.pid")"
  cp --sparse=always "$KETTLE_VAR/disk.img" "$KETTLE_VAR/disk.cut"
  local i
  for ((i = 0; i < 100; i++)); do umount "$KETTLE_VAR/disk" 2>/dev/null && break; sleep 0.05; done
  mv "$KETTLE_VAR/disk.cut" "$KETTLE_VAR/disk.img"
  mount -o loop "$KETTLE_VAR/disk.img" "$KETTLE_VAR/disk"
  sv up "$SV/mariadb" >/dev/null
}
