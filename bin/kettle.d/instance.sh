# One running instance: a database, PHP workers, a queue worker, a scheduler and a web server, all on
# loopback, all its files under var/NAME. The demo, the tests and the bench each have their own.

instance() {
  NAME=$1
  export KETTLE_VAR="$ROOT/var/$NAME"
  RUN="$KETTLE_VAR/run"
  ENV_FILE="$KETTLE_VAR/env"
  [ "$NAME" = main ] && ENV_FILE="$ROOT/.env"
  mkdir -p "$RUN" "$KETTLE_VAR"/{log,cache,tmp}
  mkdir -p "$KETTLE_VAR"/storage/{app,logs,framework/{views,cache/data}}
  chmod 700 "$KETTLE_VAR"
}

artisan() { php artisan "$@"; }

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
SESSION_LIFETIME=43200
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
  # A socket's path must be short, and a clone's may be long.
  SOCKETS="/tmp/kettle-$(id -u)-$(printf '%s' "$KETTLE_VAR" | sha256sum | cut -c1-10)"
}

alive() { [ -f "$RUN/$1.pid" ] && kill -0 "$(cat "$RUN/$1.pid")" 2>/dev/null; }

# Starts a thing in a process group of its own, with its log.
daemon() {
  local name=$1; shift
  setsid "$@" >>"$KETTLE_VAR/log/$name.log" 2>&1 </dev/null &
  echo $! >"$RUN/$name.pid"
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
  mkdir -p "$SOCKETS" && chmod 700 "$SOCKETS"
  start_database
  local code
  code=$(find app core config routes bootstrap/*.php database data -type f -newer "$RUN/started" 2>/dev/null | head -1 || true)
  if alive caddy && alive fpm && [ -z "$code" ] && [ -f "$RUN/started" ]; then
    step "running already"
    return 0
  fi
  stop_web
  step "database tables"
  php artisan migrate --force --no-interaction >>"$KETTLE_VAR/log/migrate.log" 2>&1 || { tail -20 "$KETTLE_VAR/log/migrate.log" >&2; die "The tables could not be made; see above."; }
  if [ "$APP_ENV" = production ]; then php artisan optimize >/dev/null; else php artisan optimize:clear >/dev/null; fi
  start_web
  touch "$RUN/started"
}

start_database() {
  alive mariadb && return 0
  local data="$KETTLE_VAR/db" me
  me=$(id -un)
  port_taken "$DB_PORT" && die "Port $DB_PORT is taken. Set another with KETTLE_DB_PORT, in ${ENV_FILE#"$ROOT"/}, or stop what holds it."
  if [ ! -d "$data/mysql" ]; then
    rm -rf "$data"
    quietly "a database of its own" mariadb-install-db --no-defaults --datadir="$data" --user="$me" --auth-root-authentication-method=socket --skip-test-db
  fi
  step "starting the database on 127.0.0.1:$DB_PORT"
  local fast=
  [ "$NAME" = main ] || fast="--innodb-flush-log-at-trx-commit=0 --skip-innodb-doublewrite"
  # shellcheck disable=SC2086
  daemon mariadb mariadbd --no-defaults --datadir="$data" --user="$me" --socket="$SOCKETS/db.sock" --pid-file="$RUN/mariadbd.pid" \
    --bind-address=127.0.0.1 --port="$DB_PORT" --skip-name-resolve --character-set-server=utf8mb4 \
    --sql-mode=STRICT_ALL_TABLES,NO_ENGINE_SUBSTITUTION,ERROR_FOR_DIVISION_BY_ZERO --innodb-buffer-pool-size=96M --max-allowed-packet=64M $fast
  wait_for "The database" 300 mariadb-admin --no-defaults --socket="$SOCKETS/db.sock" -u "$me" ping
  [ -f "$data/kettle-ready" ] && return 0
  # Whoever runs the server is its administrator, by the socket and without a password.
  mariadb --no-defaults --socket="$SOCKETS/db.sock" -u "$me" <<SQL
CREATE DATABASE IF NOT EXISTS kettle;
CREATE DATABASE IF NOT EXISTS kettle_app_tests;
CREATE USER IF NOT EXISTS 'kettle'@'127.0.0.1' IDENTIFIED BY '$DB_PASSWORD';
GRANT ALL ON kettle.* TO 'kettle'@'127.0.0.1';
GRANT ALL ON kettle_app_tests.* TO 'kettle'@'127.0.0.1';
SQL
  touch "$data/kettle-ready"
}

start_web() {
  port_taken "$WEB_PORT" && die "Port $WEB_PORT is taken. Set another with KETTLE_PORT, or stop what holds it."
  write_fpm_conf
  write_caddyfile
  step "starting the PHP workers and the web server"
  local root=
  [ "$(id -u)" = 0 ] && root=-R
  # shellcheck disable=SC2086
  daemon fpm "$(command -v php-fpm8.2 || echo /usr/sbin/php-fpm8.2)" $root -F -y "$RUN/fpm.conf" -d opcache.enable=1 -d opcache.memory_consumption=96 -d opcache.max_accelerated_files=12000 -d realpath_cache_size=2M
  XDG_DATA_HOME="$KETTLE_VAR/tmp" XDG_CONFIG_HOME="$KETTLE_VAR/tmp" daemon caddy caddy run --config "$RUN/Caddyfile" --adapter caddyfile
  daemon queue php artisan queue:work --sleep=3 --tries=3 --max-time=3600
  daemon scheduler php artisan schedule:work
  daemon live php artisan kettle:live "$SOCKETS/live.sock"
  daemon devices php artisan kettle:devices
  wait_for "The web server" 300 curl -fsS -o /dev/null "$APP_URL/api/me"
}

write_fpm_conf() {
  cat >"$RUN/fpm.conf" <<CONF
[global]
error_log = $KETTLE_VAR/log/fpm.log
daemonize = no
[kettle]
listen = $SOCKETS/fpm.sock
pm = static
pm.max_children = 4
pm.max_requests = 2000
clear_env = no
catch_workers_output = yes
php_admin_value[memory_limit] = 192M
php_admin_value[post_max_size] = 24M
php_admin_value[expose_php] = 0
CONF
  [ "$(id -u)" != 0 ] || printf 'user = root\ngroup = root\nlisten.owner = root\nlisten.mode = 0600\n' >>"$RUN/fpm.conf"
}

write_caddyfile() {
  cat >"$RUN/Caddyfile" <<CADDY
{
	admin off
	auto_https off
}
http://127.0.0.1:$WEB_PORT, http://localhost:$WEB_PORT {
	bind 127.0.0.1
	root * "$ROOT/public"
	encode zstd gzip
	request_body {
		max_size 24MB
	}
	header {
		X-Content-Type-Options nosniff
		X-Frame-Options DENY
		Referrer-Policy no-referrer
		Cross-Origin-Opener-Policy same-origin
		Permissions-Policy "camera=(), geolocation=(), microphone=()"
		-Server
		-X-Powered-By
	}
	@built path /build/assets/*
	header @built Cache-Control "public, max-age=31536000, immutable"
	@hidden path /build/.vite/* /index.php*
	respond @hidden 404
	# Pages that watch a pot: held by one process, so that no worker waits with them.
	handle /live {
		reverse_proxy unix/$SOCKETS/live.sock {
			flush_interval -1
		}
	}
	php_fastcgi unix/$SOCKETS/fpm.sock
	file_server
	log {
		output file $KETTLE_VAR/log/access.log {
			roll_size 5MB
			roll_keep 2
		}
	}
}
CADDY
}

stop_group() {
  local name=$1 pid
  [ -f "$RUN/$name.pid" ] || return 0
  pid=$(cat "$RUN/$name.pid")
  if kill -0 "$pid" 2>/dev/null; then
    kill -- "-$pid" 2>/dev/null || kill "$pid" 2>/dev/null || true
    local i
    for ((i = 0; i < 150; i++)); do kill -0 "$pid" 2>/dev/null || break; sleep 0.1; done
    kill -9 -- "-$pid" 2>/dev/null || true
  fi
  rm -f "$RUN/$name.pid"
}

stop_web() { for each in devices live scheduler queue caddy fpm; do stop_group "$each"; done; }

stop_instance() {
  stop_web
  stop_group mariadb
  SOCKETS="/tmp/kettle-$(id -u)-$(printf '%s' "$KETTLE_VAR" | sha256sum | cut -c1-10)"
  rm -rf "$SOCKETS"
}
