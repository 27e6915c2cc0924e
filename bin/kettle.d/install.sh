# What the project stands on: Debian packages, Composer and npm packages, the built interface.
PACKAGES="php8.2-cli php8.2-fpm php8.2-mysql php8.2-curl php8.2-zip php8.2-gd php8.2-bcmath php8.2-mbstring php8.2-intl php8.2-xml mariadb-server mariadb-client caddy runit composer unzip"
TEST_PACKAGES="chromium-headless-shell units poppler-utils zbar-tools redis-server python3-scipy python3-ephem python3-icalendar"

missing_packages() {
  local name
  for name in "$@"; do
    # Composer may have been put there by hand.
    [ "$name" = composer ] && command -v composer >/dev/null && continue
    dpkg-query -W -f='${Status}' "$name" 2>/dev/null | grep -q 'install ok installed' || printf '%s ' "$name"
  done
}

install_packages() {
  local missing
  missing=$(missing_packages "$@")
  [ -z "$missing" ] && return 0
  [ "$(id -u)" = 0 ] || die "These Debian packages are missing: $missing. Install them with: sudo apt-get install $missing"
  command -v apt-get >/dev/null || die "These packages are missing, and there is no apt-get here to install them: $missing"
  # Packages may try to start their services; ours is an instance of our own, so they are told not to.
  local deny=/usr/sbin/policy-rc.d made=
  [ -e "$deny" ] || { printf '#!/bin/sh\nexit 101\n' >"$deny" && chmod +x "$deny" && made=1; }
  quietly "reading Debian's package lists" apt-get update -qq
  # shellcheck disable=SC2086
  quietly "installing $missing" env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends $missing
  [ -z "$made" ] || rm -f "$deny"
}

need_space() {
  local free
  free=$(df -Pk . | awk 'NR==2 {print $4}')
  [ "$free" -gt 1500000 ] || die "Only $((free / 1024)) MB of disk are free here, and about 1500 are needed. Make room and try again."
}

# A stamp of the files a step depends on, so that it is done only when they changed.
stamp_of() { cat "$@" 2>/dev/null | sha256sum | cut -c1-40; }
fresh() { [ -f "var/stamps/$1" ] && [ "$(cat "var/stamps/$1")" = "$2" ]; }
mark() { mkdir -p var/stamps && printf '%s' "$2" >"var/stamps/$1"; }

install_all() {
  mkdir -p var/stamps
  # shellcheck disable=SC2086
  [ -n "$(missing_packages $PACKAGES)" ] && need_space
  # shellcheck disable=SC2086
  install_packages $PACKAGES
  local node
  node=$(node -p 'process.versions.node.split(".")[0]' 2>/dev/null || echo 0)
  [ "$node" -ge 20 ] && command -v npm >/dev/null || die "Node.js 20 or newer, with npm, is missing. Install it and try again."
  local stamp
  stamp=$(stamp_of composer.json)
  if [ ! -f vendor/autoload.php ] || ! fresh composer "$stamp"; then
    need_space
    quietly "Composer packages" env COMPOSER_ALLOW_SUPERUSER=1 composer update --no-interaction --no-progress
    mark composer "$stamp"
  fi
  stamp=$(stamp_of package-lock.json)
  if [ ! -d node_modules ] || ! fresh npm "$stamp"; then
    quietly "npm packages" npm_packages
    mark npm "$stamp"
  fi
  # Classes may have come since the autoloader was written.
  stamp=$(find core app database compat -name '*.php' | sort | sha256sum | cut -c1-40)
  if ! fresh classes "$stamp"; then
    quietly "class map" env COMPOSER_ALLOW_SUPERUSER=1 composer dump-autoload --no-interaction
    mark classes "$stamp"
  fi
}

# `npm ci` refuses a lock that leaves out binaries of other systems, which not every registry serves;
# `npm install --no-save` takes the same locked versions and leaves the lock as it is.
npm_packages() {
  export PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD=1
  npm ci --no-audit --no-fund "$@" || npm install --no-save --no-audit --no-fund "$@"
}

build_web() {
  local stamp
  stamp=$(stamp_of docs/openapi.json)
  if [ ! -f web/api/schema.d.ts ] || ! fresh types "$stamp"; then
    quietly "the interface's types" npx openapi-typescript docs/openapi.json -o web/api/schema.d.ts
    mark types "$stamp"
  fi
  stamp=$(find web vite.config.ts package-lock.json -type f | sort | xargs cat | sha256sum | cut -c1-40)
  if [ ! -f public/build/.vite/manifest.json ] || ! fresh web "$stamp"; then
    quietly "building the interface" npx vite build
    mark web "$stamp"
  fi
}

write_api() {
  instance main
  # From the routes as they are written, not as an instance that runs has them in its cache.
  quietly "docs/openapi.json" env APP_ROUTES_CACHE=/dev/null/routes.php php artisan kettle:openapi
  quietly "web/api/schema.d.ts" npx openapi-typescript docs/openapi.json -o web/api/schema.d.ts
}
