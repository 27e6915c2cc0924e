# What is printed. Steps go to standard error, so that `reckon` keeps standard output to itself.
say() { printf '%s\n' "$*" >&2; }
step() { printf '  · %s\n' "$*" >&2; }
die() { printf 'kettle: %s\n' "$*" >&2; exit 1; }

say_ready() {
  say
  say "Warm Kettle is on. Open  $APP_URL"
  say_lan
  say "Stop it with  ./kettle stop"
}

# Runs a step quietly; shows what it printed only when it fails.
quietly() {
  local name=$1 log; shift
  log=$(mktemp)
  step "$name"
  if ! "$@" >"$log" 2>&1; then
    tail -n 60 "$log" >&2
    rm -f "$log"
    die "“$name” failed; what it printed is above."
  fi
  rm -f "$log"
}
