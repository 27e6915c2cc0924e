# One running instance: a database, PHP workers, a queue worker, a scheduler and a web server, all on
# loopback, all its files under var/NAME. The demo, the tests and the bench each have their own.
# runit (Debian's) watches over each part and starts it again when it ends, however it ended.

# In the order they are started; what is stopped is stopped the other way round.
ALL_PARTS="mariadb fpm caddy queue long scheduler live devices"

instance() {
  NAME=$1
  export KETTLE_VAR="$ROOT/var/$NAME"
  RUN="$KETTLE_VAR/run"
  SV="$KETTLE_VAR/sv"
  ENV_FILE="$KETTLE_VAR/env"
  [ "$NAME" = main ] && ENV_FILE="$ROOT/.env"
  mkdir -p "$RUN" "$SV" "$KETTLE_VAR"/{log,cache,tmp}
  mkdir -p "$KETTLE_VAR"/storage/{app,logs,framework/{views,cache/data}}
  # A house is backed up each night; what is started for a test is not.
  PARTS=$ALL_PARTS
  [ "$NAME" != main ] || PARTS+=" nightly"
  own_user
  if [ -n "$AS" ]; then chown root:"$AS" "$KETTLE_VAR" && chmod 750 "$KETTLE_VAR"; else chmod 700 "$KETTLE_VAR"; fi
}

# Where root starts it, what runs is a user of its own, who may read the code, and write where an instance keeps what it has.
# What root reads or runs again (settings, how a part is run, backups) stays root's. KETTLE_OWN_USER=0 leaves it with root.
OWN_USER=warm-kettle
own_user() {
  AS=
  [ "$(id -u)" = 0 ] || return 0
  # Tests run as whoever runs them, but where this is what they try.
  case "${KETTLE_OWN_USER:-$([ "$NAME" = main ] && echo 1)}" in '' | 0) return 0 ;; esac
  command -v chpst >/dev/null || return 0
  id -u "$OWN_USER" >/dev/null 2>&1 || useradd --system --no-create-home --home-dir /nonexistent --shell /usr/sbin/nologin "$OWN_USER"
  AS=$OWN_USER
  reads_code && return 0
  # Some packages come with files that only their owner may read.
  [ ! -d vendor ] || chmod -R o+rX vendor
  reads_code && return 0
  step "$ROOT cannot be read by others than root, and so root runs it. In /srv or /opt it runs as $OWN_USER"
  AS=
}

reads_code() { as_own test -r "$ROOT/public/index.php" -a -r "$ROOT/data/words.json" && { [ ! -f vendor/autoload.php ] || as_own php -r 'require "vendor/autoload.php";' 2>/dev/null; }; }

as_own() { if [ -n "$AS" ]; then chpst -u "$AS" "$@"; else "$@"; fi; }

# What the parts write is theirs, also what root or an earlier start left there.
hand_over() {
  [ -z "${KETTLE_SHARED:-}" ] || (umask 077 && mkdir -p "$KETTLE_SHARED/transfers")
  [ -n "$AS" ] || return 0
  [ -z "${KETTLE_SHARED:-}" ] || chown -h "$AS:" "$KETTLE_SHARED/transfers"
  touch "$RUN"/{queue,long,scheduler,devices}.beat
  # In a folder that is root's they could make none themselves.
  mkdir -p -m 700 "$KETTLE_VAR/tls"
  chown -Rh "$AS": "$KETTLE_VAR"/{cache,storage,log,tmp,tls} "$RUN"/*.beat "$SOCKETS"
  # Sourced by root: it may be read by what runs, and written by root alone.
  chown "root:$AS" "$ENV_FILE" && chmod 640 "$ENV_FILE"
}

artisan() { as_own php artisan "$@"; }

free_port() {
  php -r '$s = stream_socket_server("tcp://127.0.0.1:0"); echo explode(":", stream_socket_get_name($s, false))[1];'
}

port_taken() { php -r 'exit(@fsockopen("127.0.0.1", (int) $argv[1], $e, $m, 1) ? 0 : 1);' "$1"; }

secret() { php -r 'echo bin2hex(random_bytes(20));'; }

# Fresh secrets at the first start, never committed.
make_env() {
  [ -f "$ENV_FILE" ] && return 0
  step "fresh secrets in ${ENV_FILE#"$ROOT"/}"
  # What was cached from the secrets before would be believed instead.
  rm -f "$KETTLE_VAR"/cache/*.php
  local port db
  port=${KETTLE_PORT:-$(free_port)}
  db=${KETTLE_DB_PORT:-$(free_port)}
  (
    umask 077
    cat >"$ENV_FILE" <<ENV
APP_NAME="Warm Kettle"
APP_ENV=${1:-production}
APP_DEBUG=false
APP_KEY=base64:$(php -r 'echo base64_encode(random_bytes(32));')
APP_URL=http://127.0.0.1:$port
KETTLE_DEMO=true
WEB_PORT=$port
DB_CONNECTION=mariadb
DB_HOST=127.0.0.1
DB_PORT=$db
DB_DATABASE=kettle
DB_USERNAME=kettle
DB_PASSWORD=$(secret)
SESSION_DRIVER=database
SESSION_LIFETIME=${SESSION_LIFETIME:-43200}
QUEUE_CONNECTION=database
CACHE_STORE=file
LOG_CHANNEL=single
LOG_LEVEL=warning
ENV
  )
}

read_env() {
  [ -f "$ENV_FILE" ] || die "Nothing has been started here yet. Start with ./kettle demo"
  set -a
  # shellcheck disable=SC1090
  source "$ENV_FILE"
  set +a
  if [ -n "${KETTLE_PORT:-}" ] && [ "$NAME" = main ]; then
    export WEB_PORT=$KETTLE_PORT APP_URL="http://127.0.0.1:$KETTLE_PORT"
  fi
  export KETTLE_BACKUPS="$KETTLE_VAR/backups"
  ! keeps_binlog || export SESSION_TABLE="$SIGNED_IN.sessions"
  # Kept on another machine, it is backed up there.
  if outside; then PARTS=${ALL_PARTS#mariadb }; elif [ "$NAME" = main ]; then export KETTLE_NIGHTLY=1; fi
  on_this_machine
  # A socket's path must be short, and a clone's may be long.
  SOCKETS="/tmp/kettle-$(id -u)-$(printf '%s' "$KETTLE_VAR" | sha256sum | cut -c1-10)"
}

# One of several machines: which parts run on it, the cache that they share, and the folder.
on_this_machine() {
  local each
  for each in ${KETTLE_PARTS:-}; do
    [[ " $PARTS " == *" $each "* ]] || die "KETTLE_PARTS in ${ENV_FILE#"$ROOT"/} names “$each”. There are here: $PARTS."
  done
  PARTS=${KETTLE_PARTS:-$PARTS}
  outside || [[ " $PARTS " == *" mariadb "* ]] || die "KETTLE_PARTS in ${ENV_FILE#"$ROOT"/} leaves out mariadb: say KETTLE_DB=outside, and where it is."
  [[ "${KETTLE_REDIS:-redis://}" =~ ^(redis|tls):// ]] || die "KETTLE_REDIS in ${ENV_FILE#"$ROOT"/} is to begin with redis:// or tls://."
  [ -d "${KETTLE_SHARED:-/}" ] || die "There is no folder $KETTLE_SHARED, which KETTLE_SHARED in ${ENV_FILE#"$ROOT"/} names."
}

# Whether the database is not one of ours: .env says KETTLE_DB=outside, and where it is.
outside() { [ "${KETTLE_DB:-}" = outside ]; }

alive() { sv status "$SV/$1" 2>/dev/null | grep -q '^run: '; }

# Between two lives it is waited for: it is begun anew within three seconds, and to say then that it does not run
# would be to fetch somebody for nothing. What ends again and again is not well, though it lives when it is asked.
settled() {
  local i
  for ((i = 0; i < 50; i++)); do
    sv status "$SV/$1" 2>/dev/null | grep -qE '^finish: |, want up' || break
    sleep 0.1
  done
  alive "$1"
}
restless() {
  [ "$(cat "$RUN/$1.faults" 2>/dev/null || echo 0)" -ge 10 ] && [ $(($(date +%s) - $(stat -c %Y "$RUN/$1.faults"))) -le 5 ]
}

# Whether a process is there, and not only waiting to be forgotten.
living() { case "$(ps -o stat= -p "$1" 2>/dev/null)" in ''|Z*) return 1 ;; esac; }

watched() { [ -f "$RUN/watch.pid" ] && living "$(cat "$RUN/watch.pid")"; }

# Lays down how a part is run: in a process group of its own, so that nothing of it is left behind, and after
# a fault with a little more patience each time, up to three seconds.
part() {
  local name=$1 as=; shift
  [ -z "$AS" ] || [ "$name" = nightly ] || as="-u $AS "
  mkdir -p "$SV/$name"
  [ -p "$SV/$name/supervise/ok" ] || touch "$SV/$name/down"
  {
    printf '#!/usr/bin/env bash\ncd %q\n' "$ROOT"
    printf '[ -f %q ] && kill -9 -- "-$(cat %q)" 2>/dev/null\n' "$RUN/$name.pid" "$RUN/$name.pid"
    # Its log is opened by who runs it: root follows no link that another laid there.
    printf 'echo $$ >%q\nexec chpst %s-P bash -c %q bash %q ' "$RUN/$name.pid" "$as" 'log=$1; shift; exec >>"$log" 2>&1 </dev/null; exec "$@"' "$KETTLE_VAR/log/$name.log"
    printf '%q ' "$@"
    printf '\n'
  } >"$SV/$name/run.new"
  {
    printf '#!/usr/bin/env bash\n[ -f %q ] && kill -9 -- "-$(cat %q)" 2>/dev/null\n' "$RUN/$name.pid" "$RUN/$name.pid"
    printf 'rm -f %q\nn=$(cat %q 2>/dev/null || echo 0)\nnow=$(date +%%s)\n' "$RUN/$name.pid" "$RUN/$name.faults"
    printf 'last=$(stat -c %%Y %q 2>/dev/null || echo 0)\n[ $((now - last)) -gt 30 ] && n=0\necho $((n + 1)) >%q\n' "$RUN/$name.faults" "$RUN/$name.faults"
    printf '[ "$n" -lt 3 ] || sleep $((n < 6 ? 1 : 2))\n'
  } >"$SV/$name/finish.new"
  chmod +x "$SV/$name/run.new" "$SV/$name/finish.new"
  mv "$SV/$name/run.new" "$SV/$name/run"
  mv "$SV/$name/finish.new" "$SV/$name/finish"
}

# The one that watches, in a session of its own.
watch_parts() {
  watched && return 0
  rm -f "$SV"/*/supervise/lock
  setsid runsvdir -P "$SV" >>"$RUN/watch.log" 2>&1 </dev/null &
  echo $! >"$RUN/watch.pid"
}

begin_part() {
  local name=$1 i
  rm -f "$SV/$name/down" "$RUN/$name.faults"
  for ((i = 0; i < 100; i++)); do sv up "$SV/$name" >/dev/null 2>&1 && return 0; sleep 0.1; done
  die "“$name” could not be started. Its log is in ${KETTLE_VAR#"$ROOT"/}/log."
}

wait_for() {
  local what=$1 tries=$2; shift 2
  local i
  for ((i = 0; i < tries; i++)); do
    "$@" >/dev/null 2>&1 && return 0
    sleep 0.1
  done
  die "$what did not come up. Its log is in ${KETTLE_VAR#"$ROOT"/}/log."
}

start_instance() {
  make_env "$@"
  read_env
  start_database
  local code
  # Settings that were changed by hand count as code does.
  code=$(find app core config routes bootstrap/*.php database data "$ENV_FILE" -type f -newer "$RUN/started" 2>/dev/null | head -1 || true)
  if alive caddy && alive fpm && [ -z "$code" ] && [ -f "$RUN/started" ]; then
    step "running already"
    return 0
  fi
  stop_web
  # What was cached of the code before is not of this one.
  rm -f "$KETTLE_VAR"/cache/*.php
  step "database tables"
  outside || grant_rows "$DB_DATABASE"
  (as_administrator && php artisan migrate --force --no-interaction) >>"$RUN/migrate.log" 2>&1 ||
    { tail -20 "$RUN/migrate.log" >&2; die "The tables could not be made; see above."; }
  sessions_aside
  # No part is told who may.
  unset KETTLE_MIGRATE_USERNAME KETTLE_MIGRATE_PASSWORD
  hand_over
  if [ "$APP_ENV" = production ]; then artisan optimize >/dev/null; else artisan optimize:clear >/dev/null; fi
  start_web
  touch "$RUN/started"
}

# Settings of who may make tables: whoever runs the server, by its socket, or who was named for one that is elsewhere. Writes into
# no folder of the parts.
as_administrator() {
  mkdir -p "$RUN/migrate"
  export KETTLE_VAR="$RUN/migrate" LOG_CHANNEL=stderr
  if outside; then
    export DB_USERNAME="${KETTLE_MIGRATE_USERNAME:-$DB_USERNAME}" DB_PASSWORD="${KETTLE_MIGRATE_PASSWORD:-$DB_PASSWORD}"
  else
    export DB_SOCKET="$SOCKETS/db.sock" DB_USERNAME DB_PASSWORD=''
    DB_USERNAME=$(id -un)
  fi
}

start_database() {
  mkdir -p "$SOCKETS" && chmod 700 "$SOCKETS"
  if outside; then
    hand_over
    sql -e 'SELECT 1' >/dev/null || die "The database at $DB_HOST:$DB_PORT does not let us in; see above."
    return 0
  fi
  alive mariadb && return 0
  local data="$KETTLE_VAR/db" me by
  me=$(id -un)
  by=${AS:-$me}
  port_taken "$DB_PORT" && die "Port $DB_PORT is taken. Set another with KETTLE_DB_PORT, in ${ENV_FILE#"$ROOT"/}, or stop what holds it."
  if [ ! -d "$data/mysql" ]; then
    rm -rf "$data"
    quietly "a database of its own" mariadb-install-db --no-defaults --datadir="$data" --user="$by" --auth-root-authentication-method=socket --auth-root-socket-user="$me" --skip-test-db
  fi
  hand_over
  [ "$(stat -c %U "$data")" = "$by" ] || chown -Rh "$by:" "$data"
  step "starting the database on 127.0.0.1:$DB_PORT"
  local fast= log=()
  if keeps_binlog; then
    mkdir -p -m 700 "$KETTLE_VAR/binlog" && chown -RhH "$by:" "$KETTLE_VAR/binlog"
    mapfile -t log < <(binlog_options)
  fi
  [ "$NAME" = main ] || [ -n "${KETTLE_DURABLE:-}" ] || fast="--innodb-flush-log-at-trx-commit=0 --skip-innodb-doublewrite"
  # shellcheck disable=SC2086
  part mariadb mariadbd --no-defaults --datadir="$data" --user="$by" --socket="$SOCKETS/db.sock" --pid-file="$data/mariadbd.pid" \
    --bind-address=127.0.0.1 --port="$DB_PORT" --skip-name-resolve --character-set-server=utf8mb4 \
    --sql-mode=STRICT_ALL_TABLES,NO_ENGINE_SUBSTITUTION,ERROR_FOR_DIVISION_BY_ZERO --innodb-buffer-pool-size=96M --max-allowed-packet=64M $fast "${log[@]}"
  watch_parts
  begin_part mariadb
  wait_for "The database" 300 mariadb-admin --no-defaults --socket="$SOCKETS/db.sock" -u "$me" ping
  [ -f "$data/kettle-ready" ] && return 0
  # Whoever runs the server is its administrator, by the socket and without a password.
  unlogged -e "CREATE DATABASE IF NOT EXISTS $DB_DATABASE; CREATE USER IF NOT EXISTS 'kettle'@'127.0.0.1' IDENTIFIED BY '$DB_PASSWORD'"
  grant_rows "$DB_DATABASE"
  touch "$data/kettle-ready"
}

# As the server's administrator, by its socket; as the application, where the server is elsewhere.
sql() {
  if outside; then
    MYSQL_PWD="$DB_PASSWORD" mariadb --no-defaults --host="$DB_HOST" --port="$DB_PORT" -u "$DB_USERNAME" ${DB_TLS_CA:+--ssl-ca="$DB_TLS_CA"} \
      --connect-timeout=5 --batch --skip-column-names "$@"
    return
  fi
  mariadb --no-defaults --socket="$SOCKETS/db.sock" -u "$(id -un)" --batch --skip-column-names "$@"
}

# The application reads and writes rows, and nothing else: no table, no trigger of a logbook is its to change. What migrates
# is the administrator. The tests of the application make databases of their own.
grant_rows() {
  local rows="SELECT, INSERT, UPDATE, DELETE" me="'kettle'@'127.0.0.1'" tests=
  [ "$NAME" != test ] || tests="CREATE DATABASE IF NOT EXISTS kettle_app_tests; GRANT ALL ON \`kettle_app_tests%\`.* TO $me;"
  ! keeps_binlog || tests+="GRANT $rows ON $SIGNED_IN.* TO $me;"
  unlogged -e "REVOKE ALL PRIVILEGES, GRANT OPTION FROM $me; GRANT $rows ON $1.* TO $me; $tests"
}

start_web() {
  port_taken "$WEB_PORT" && die "Port $WEB_PORT is taken. Set another with KETTLE_PORT, or stop what holds it."
  write_fpm_conf
  if [ -n "${KETTLE_LAN:-}" ]; then
    for each in "$KETTLE_TLS_PORT" "$KETTLE_TRUST_PORT"; do port_taken "$each" && die "Port $each is taken. Set KETTLE_TLS_PORT and KETTLE_TRUST_PORT in ${ENV_FILE#"$ROOT"/}, or stop what holds it."; done
  fi
  write_caddyfile
  step "starting the PHP workers and the web server"
  local root= preload=
  [ "$(id -u)" != 0 ] || [ -n "$AS" ] || root=-R
  # Where the code does not change while it runs, it is in memory before the first request.
  if [ "$APP_ENV" = production ]; then
    if as_own php "$ROOT/bin/preload.php" "$KETTLE_VAR/cache/preload.php"; then
      preload="-d opcache.preload=$KETTLE_VAR/cache/preload.php"
      [ -z "$root" ] || preload+=" -d opcache.preload_user=root"
    fi
  fi
  # shellcheck disable=SC2086
  part fpm "$(command -v php-fpm8.2 || echo /usr/sbin/php-fpm8.2)" $root -F -y "$RUN/fpm.conf" -d opcache.enable=1 $preload -d opcache.memory_consumption=128 -d opcache.max_accelerated_files=12000 -d realpath_cache_size=2M
  part caddy env XDG_DATA_HOME="$KETTLE_VAR/tmp" XDG_CONFIG_HOME="$KETTLE_VAR/tmp" caddy run --config "$RUN/Caddyfile" --adapter caddyfile
  part queue php artisan queue:work --sleep=3 --tries=3 --max-time=3600
  # Whole houses out and in, whatever their size, in so much memory.
  part long php -d memory_limit=64M artisan queue:work long --queue=long --sleep=2 --tries=4 --timeout=7200 --max-time=3600
  part scheduler php artisan schedule:work
  part live php artisan kettle:live "$SOCKETS/live.sock"
  part devices php artisan kettle:devices
  # By who may read the whole database; looked at each quarter of an hour, for a machine that slept at night makes it when it wakes.
  [[ $PARTS != *nightly* ]] || part nightly bash -c 'while sleep 900; do ./kettle backup --nightly || true; done'
  watch_parts
  for each in $PARTS; do [ "$each" = mariadb ] || begin_part "$each"; done
  if [[ " $PARTS " == *" fpm "* && " $PARTS " == *" caddy "* ]]; then wait_for "The web server" 900 curl -fsS -o /dev/null "$APP_URL/api/me"; fi
  lan_page
}

# Two pools: what is quick, and what may take its time (whole houses, PDFs, calendars), so that the one never waits
# for the other.
write_fpm_conf() {
  local both=$'clear_env = no\ncatch_workers_output = yes\nphp_admin_value[post_max_size] = 24M\nphp_admin_value[expose_php] = 0'
  [ "$(id -u)" != 0 ] || [ -n "$AS" ] || both+=$'\nuser = root\ngroup = root\nlisten.owner = root\nlisten.mode = 0600'
  cat >"$RUN/fpm.conf" <<CONF
[global]
error_log = /proc/self/fd/2
daemonize = no
[kettle]
listen = $SOCKETS/fpm.sock
pm = static
pm.max_children = 4
pm.max_requests = 2000
request_terminate_timeout = 30s
php_admin_value[memory_limit] = 192M
$both
[heavy]
listen = $SOCKETS/heavy.sock
pm = ondemand
pm.max_children = 2
pm.process_idle_timeout = 60s
pm.max_requests = 200
request_terminate_timeout = 90s
php_admin_value[memory_limit] = 256M
$both
CONF
}

# Ends a part for good, and all that it started.
stop_part() {
  local name=$1 pid
  if [ -p "$SV/$name/supervise/ok" ]; then
    touch "$SV/$name/down"
    sv -w 15 force-stop "$SV/$name" >/dev/null 2>&1 || true
  fi
  if [ -f "$RUN/$name.pid" ]; then
    pid=$(cat "$RUN/$name.pid")
    kill -9 -- "-$pid" 2>/dev/null || true
    rm -f "$RUN/$name.pid"
  fi
}

# All are told at once, and then each is waited for.
stop_web() {
  local each
  for each in nightly devices live scheduler long queue caddy fpm; do
    [ ! -p "$SV/$each/supervise/ok" ] || { touch "$SV/$each/down" && sv down "$SV/$each" >/dev/null 2>&1; } || true
  done
  for each in nightly devices live scheduler long queue caddy fpm; do stop_part "$each"; done
}

stop_instance() {
  stop_web
  stop_part mariadb
  # First the one that would begin them again, then those that watch over each part.
  if watched; then kill -TERM "$(cat "$RUN/watch.pid")" 2>/dev/null || true; fi
  local each
  for each in $ALL_PARTS nightly; do
    [ ! -p "$SV/$each/supervise/ok" ] || sv -w 10 force-shutdown "$SV/$each" >/dev/null 2>&1 || true
  done
  rm -rf "$RUN/watch.pid" "$SV"/*/supervise
  SOCKETS="/tmp/kettle-$(id -u)-$(printf '%s' "$KETTLE_VAR" | sha256sum | cut -c1-10)"
  rm -rf "$SOCKETS"
}

# Whether a file was touched within so many seconds: the sign of life of what has no door to knock at.
beats() { [ -f "$RUN/$1.beat" ] && [ $(($(date +%s) - $(stat -c %Y "$RUN/$1.beat"))) -le "$2" ]; }

# Whether a part answers, as it is asked by those who need it.
answers() {
  case "$1" in
    mariadb) mariadb-admin --no-defaults --socket="$SOCKETS/db.sock" -u "$(id -un)" --connect-timeout=3 ping ;;
    fpm) curl -fsS -m 5 -o /dev/null "$APP_URL/api/me" ;;
    caddy) [ "$(curl -s -m 5 -o /dev/null -w '%{http_code}' "$APP_URL/index.php")" = 404 ] ;;
    live) curl -s -m 3 -o /dev/null --unix-socket "$SOCKETS/live.sock" http://kettle/ ;;
    queue) beats queue 90 ;;
    # While it carries a house it says so in the queue.
    long) beats long 90 || [ "$(sql "$DB_DATABASE" -e "SELECT COUNT(*) FROM jobs WHERE queue = 'long' AND reserved_at > UNIX_TIMESTAMP() - 300")" != 0 ] ;;
    devices) beats devices 30 ;;
    scheduler) beats scheduler 150 ;;
    nightly) true ;;
  esac >/dev/null 2>&1
}

# Says of every part whether it lives and answers. Ends with 1 where one does not.
doctor() {
  local ill=0 name says
  read_env
  watched || { step "nothing watches over the parts: start with ./kettle up"; ill=1; }
  for name in $PARTS; do
    if ! settled "$name"; then says="does not run"; ill=1
    elif restless "$name"; then says="ends again and again"; ill=1
    elif answers "$name"; then says="runs and answers"
    # What was begun just now has had no time for a sign of life.
    elif [ "$(sv status "$SV/$name" | grep -oE '\) [0-9]+s' | grep -oE '[0-9]+')" -lt 60 ]; then says="runs, begun just now"
    else says="runs, and does not answer"; ill=1
    fi
    step "$name: $says"
  done
  tell_backup || ill=1
  tell_binlog
  tell_cache || ill=1
  return $ill
}

# Whether the cache that several machines share answers. Ends with 1 where it does not.
tell_cache() {
  [ -n "${KETTLE_REDIS:-}" ] || return 0
  php -r '$at = parse_url((string) getenv("KETTLE_REDIS")); exit(@fsockopen($at["host"] ?? "", $at["port"] ?? 6379, $e, $m, 2) ? 0 : 1);' ||
    { step "the shared cache: does not answer; until it does each machine counts for itself"; return 1; }
  step "the shared cache: answers"
}

# Whether something is known against a package that runs here, where a registry answers. Ends with 1 where there is.
audit() {
  local ill=0 many
  many=$(COMPOSER_ALLOW_SUPERUSER=1 timeout 20 composer audit --no-dev --no-interaction --format=json 2>/dev/null |
    php -r '$a = json_decode(stream_get_contents(STDIN), true)["advisories"] ?? null; if (is_array($a)) { echo array_sum(array_map("count", $a)); }' || true)
  told_audit "Composer packages" "$many" || ill=1
  many=$(timeout 20 npm audit --omit=dev --json 2>/dev/null |
    php -r '$a = json_decode(stream_get_contents(STDIN), true)["metadata"]["vulnerabilities"]["total"] ?? null; if (is_int($a)) { echo $a; }' || true)
  told_audit "npm packages" "$many" || ill=1
  return $ill
}

told_audit() {
  case "$2" in
    '') step "$1: no registry said whether something is known against them" ;;
    0) step "$1: nothing is known against them" ;;
    *) step "$1: $2 known against them; see composer audit, npm audit"; return 1 ;;
  esac
}
