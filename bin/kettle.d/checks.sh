# Tests, bench and screenshots: each on an instance of its own, stopped whatever happens.

PASSED=0
FAILED=0

# Runs one suite, shows it, and counts what its closing line says.
suite() {
  local name=$1 log code=0; shift
  say
  say "— $name"
  log=$(mktemp)
  "$@" 2>&1 | tee "$log" || code=$?
  local plain passed failed warned
  plain=$(sed 's/\x1b\[[0-9;]*m//g' "$log")
  passed=$(grep -oE '[0-9]+ passed' <<<"$plain" | tail -1 | grep -oE '[0-9]+' || echo 0)
  failed=$(grep -oE '[0-9]+ (failed|errors?)' <<<"$plain" | tail -1 | grep -oE '[0-9]+' || echo 0)
  # A test that ran with a warning has not passed.
  warned=$(grep -E '^ *Tests:' <<<"$plain" | tail -1 | grep -oE '[0-9]+ (warnings?|risky|incomplete)' | awk '{ sum += $1 } END { print sum + 0 }' || true)
  failed=$((failed + warned))
  [ "$code" -ne 0 ] && [ "$failed" -eq 0 ] && failed=1
  PASSED=$((PASSED + passed))
  FAILED=$((FAILED + failed))
  rm -f "$log"
}

# A check that passes or fails as one.
check() {
  local name=$1 log; shift
  log=$(mktemp)
  if "$@" >"$log" 2>&1; then
    step "$name: fine"
    PASSED=$((PASSED + 1))
  else
    cat "$log"
    step "$name: NOT fine"
    FAILED=$((FAILED + 1))
  fi
  rm -f "$log"
}

lint() {
  say
  say "— formatters and static analysis"
  check "PHP formatting" php vendor/bin/pint --test
  check "no line wider than 140 columns" no_wide_lines
  check "PHPStan, core at its highest" php -d memory_limit=1G vendor/bin/phpstan analyse -c phpstan-core.neon --no-progress
  check "PHPStan, app" php -d memory_limit=1G vendor/bin/phpstan analyse -c phpstan-app.neon --no-progress
  check "TypeScript" node node_modules/typescript-native/bin/tsc --noEmit -p tsconfig.json
  check "TypeScript lint" npx oxlint --deny-warnings web tests/Web tests/Unit
  check "formatting of the interface" npx prettier --check --log-level warn web tests/Web tests/Unit
  check "API document is up to date" api_is_fresh
  check "Redocly has nothing to say of it" redocly
  check "nor has Spectral" spectral
}

# What only looks at the API document, or makes a client of it, is installed when it is asked for: no demo waits for it.
linters() {
  local stamp
  stamp=$(stamp_of bin/linters/package-lock.json)
  [ -d bin/linters/node_modules ] && fresh linters "$stamp" && return 0
  (cd bin/linters && npm_packages --ignore-scripts)
  mark linters "$stamp"
}

redocly() {
  linters || return 1
  local said
  said=$(REDOCLY_TELEMETRY=off REDOCLY_SUPPRESS_UPDATE_NOTICE=true \
    bin/linters/node_modules/.bin/redocly lint docs/openapi.json --extends recommended --max-problems 1000 --format json 2>/dev/null || true)
  # A warning is something to say.
  grep -qE '"errors": 0,' <<<"$said" && grep -qE '"warnings": 0,' <<<"$said" || { echo "$said"; return 1; }
}

spectral() {
  linters && bin/linters/node_modules/.bin/spectral lint docs/openapi.json --ruleset bin/linters/spectral.yaml --fail-severity hint
}

# A list of classes is one word to a formatter, and stays on its line.
no_wide_lines() {
  ! git ls-files '*.php' '*.ts' '*.tsx' ':!web/api/schema.d.ts' | LC_ALL=C.UTF-8 xargs grep -nP '^(?!.*className=).{141,}'
}

# Views are no PHP to a formatter, and what the web server begins with is the framework's.
LAID_OUT=({app,bin,bootstrap,compat,config,core,database,perf,routes,tests}'/*.php')

# Prettier breaks the lines, and Pint has the last word. Of the whole it takes minutes, in which it can be stopped halfway:
# only what differs from the last commit is laid out, unless all is asked for.
format() {
  local php ts
  case "${1:-}" in
    all)
      mapfile -t php < <(git ls-files "${LAID_OUT[@]}")
      ts=(web tests/Web tests/Unit)
      ;;
    '')
      mapfile -t php < <(differing "${LAID_OUT[@]}")
      mapfile -t ts < <(differing web tests/Web tests/Unit)
      ;;
    *) die "./kettle format lays out what differs from the last commit, ./kettle format all every file." ;;
  esac
  if [ ${#php[@]} -gt 0 ]; then
    npx prettier --log-level warn --write "${php[@]}"
    php vendor/bin/pint -q "${php[@]}"
  fi
  [ ${#ts[@]} -eq 0 ] || npx prettier --log-level warn --ignore-unknown --write "${ts[@]}"
}

# What is changed or new since the last commit, and still there.
differing() {
  { git diff --name-only --diff-filter=d HEAD -- "$@"; git ls-files --others --exclude-standard -- "$@"; } | sort -u
}

api_is_fresh() {
  local file code=0
  file=$(mktemp)
  php artisan kettle:openapi "$file" && diff -q "$file" docs/openapi.json || code=1
  rm -f "$file"
  return $code
}

# They take the place of the shell they are run in, so that who stops that shell stops them.
core_tests() {
  exec php vendor/bin/pest --colors=never --testsuite=Core --parallel --processes=2
}

trust_tests() {
  exec php vendor/bin/pest --colors=never --testsuite=Trust
}

app_tests() {
  exec env DB_DATABASE=kettle_app_tests APP_ENV=testing KETTLE_CLOCK_FILE= PHP_INI_SCAN_DIR=":$ROOT/tests/php" \
    php vendor/bin/pest --colors=never --testsuite=App --parallel --processes=2
}

# A suite that runs beside another, where one core would else stand idle.
BESIDE_PID=
beside() {
  BESIDE_LOG=$(mktemp)
  "$@" >"$BESIDE_LOG" 2>&1 &
  BESIDE_PID=$!
}

# Waited for here, for a suite is run in a shell of its own, and that is not its parent.
told() {
  BESIDE_CODE=0
  wait "$BESIDE_PID" || BESIDE_CODE=$?
  BESIDE_PID=
  suite "$1" beside_said
}

beside_said() {
  cat "$BESIDE_LOG"
  rm -f "$BESIDE_LOG"
  return "$BESIDE_CODE"
}

run_tests() {
  local only=${1:-all}
  case "$only" in all|lint|unit|core|app|trust|web) ;; *) die "There is no test called “$only”. Choose lint, unit, core, app, trust or web." ;; esac
  install_all
  # shellcheck disable=SC2086
  install_packages $TEST_PACKAGES
  build_web
  instance test
  trap 'stop_instance; rm -f "$KETTLE_VAR"/clock "$KETTLE_VAR"/cache/*.php; [ -z "$BESIDE_PID" ] || kill "$BESIDE_PID" 2>/dev/null || true' EXIT
  stop_instance
  # Backed up, killed and restored, in houses of its own; much of it is waiting.
  if [ "$only" = all ]; then beside trust_tests; fi
  if [ "$only" = all ] || [ "$only" = lint ]; then lint; fi
  if [ "$only" = all ] || [ "$only" = unit ]; then suite "interface by itself" npx vitest run; fi
  if [ "$only" = all ] || [ "$only" = core ]; then suite "core" core_tests; fi
  if [ "$only" = trust ]; then suite "trust" trust_tests; fi
  if [ "$only" != lint ] && [ "$only" != unit ] && [ "$only" != core ] && [ "$only" != trust ]; then
    # Tests are of days weeks apart beside one another, and one of a later day sweeps up what has lapsed by then.
    export KETTLE_CLOCK_FILE="$KETTLE_VAR/clock" KETTLE_DOOR_A_MINUTE=1000 SESSION_LIFETIME=525600
    rm -rf "$KETTLE_VAR/db" "$KETTLE_VAR/clock"
    rm -f "$ENV_FILE"
    make_env local
    start_instance local
  fi
  if [ "$only" = all ] || [ "$only" = app ]; then suite "application" app_tests; fi
  # What is counted in seconds by the browser has the machine to itself.
  if [ "$only" = all ]; then told "trust"; fi
  if [ "$only" = all ] || [ "$only" = web ]; then
    printf '2026-11-24T10:10:00Z' >"$KETTLE_CLOCK_FILE"
    artisan kettle:demo --fresh
    # Configuration, routes and events as an installed house has them: read once, not at every question.
    artisan optimize >/dev/null
    linters
    suite "browser" npx playwright test ${KETTLE_SPEC:-}
  fi
  stop_instance
  say
  printf '%d passed, %d failed\n' "$PASSED" "$FAILED"
  trap - ERR
  [ "$FAILED" -eq 0 ]
}

take_shots() {
  # shellcheck disable=SC2086
  install_packages chromium-headless-shell
  instance shots
  trap stop_instance EXIT
  stop_instance
  rm -rf "$KETTLE_VAR/db" && rm -f "$ENV_FILE"
  export KETTLE_CLOCK_FILE="$KETTLE_VAR/clock"
  printf '2026-11-24T10:10:00Z' >"$KETTLE_CLOCK_FILE"
  start_instance local
  artisan kettle:demo --fresh
  APP_URL="$APP_URL" node bin/shots.mjs
}

# An instance with nothing in it yet, gone again at the end.
empty_bench() {
  instance bench
  trap stop_instance EXIT
  stop_instance
  rm -rf "$KETTLE_VAR/db" && rm -f "$ENV_FILE"
}

run_lighthouse() {
  # shellcheck disable=SC2086
  install_packages chromium-headless-shell
  local stamp
  stamp=$(stamp_of perf/lighthouse/package-lock.json)
  if [ ! -d perf/lighthouse/node_modules ] || ! fresh lighthouse "$stamp"; then
    (cd perf/lighthouse && npm_packages --ignore-scripts)
    mark lighthouse "$stamp"
  fi
  empty_bench
  start_instance production
  artisan kettle:demo --fresh >/dev/null
  APP_URL="$APP_URL" node perf/lighthouse/run.mjs
}

# Parts of it killed under writes, on a database that holds what it acknowledged as an installed one does.
run_kills() {
  empty_bench
  KETTLE_DURABLE=1 start_instance production
  php perf/kills.php "$@"
}

# Whatever may be asked of it, by whoever: at the door as often as they like.
run_callers() {
  empty_bench
  KETTLE_DOOR_A_MINUTE=1000000 start_instance production
  php perf/callers.php "$@"
}

# Many at once: slow ones, pages that watch, and a crowd.
run_crowd() {
  empty_bench
  start_instance production
  php perf/crowd.php
}

# A large house out and in, by a worker of this script's own.
run_carry() {
  empty_bench
  start_instance production
  sv -w 15 down "$SV/long"
  php perf/carry.php "$@"
}

run_bench() {
  # shellcheck disable=SC2086
  install_packages chromium-headless-shell
  empty_bench
  local before after
  before=$(date +%s%N)
  start_instance production
  after=$(date +%s%N)
  COLD_START_MS=$(((after - before) / 1000000)) php perf/run.php
}
