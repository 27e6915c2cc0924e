# The web server in front of an instance: on loopback, and, where it was asked for, on the house's own network over TLS.

write_caddyfile() {
  cat >"$RUN/Caddyfile" <<CADDY
{
	admin off
	auto_https disable_redirects
	skip_install_trust
	storage file_system "$KETTLE_VAR/tls"
$(lan_globals)
	log {
		output stderr
$(unsaid)
	}
	# Who sends half a request, or none, is let go; pages that watch a pot are held as long as they read.
	servers {
		metrics
		timeouts {
			read_header 5s
			read_body 20s
			idle 60s
		}
		max_header_size 32KB
		protocols h1 h2
	}
}
(kettle) {
$(web_metrics)
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
	@built {
		path /build/assets/*
		file
	}
	header @built Cache-Control "public, max-age=31536000, immutable"
	@hidden path /build/.vite/* /index.php*
	respond @hidden 404
	# What was built is there or is not: no page stands for it.
	@assets {
		path /build/*
		not path /build/.vite/*
	}
	# The worker of the pages speaks for all of them, and is looked for anew each time.
	header /build/worker.js {
		Service-Worker-Allowed /
		Cache-Control no-cache
	}
	handle @assets {
		file_server {
			precompressed br gzip
		}
	}
	# Pages that watch a pot: held by one process, so that no worker waits with them.
	handle /live {
		reverse_proxy unix/$SOCKETS/live.sock {
			flush_interval -1
		}
	}
	# A worker is given whole requests and rid of its answer at once, however slowly either travels.
	@heavy path_regexp (\.(pdf|png|csv|ics)|/export|/import|/transfers/[0-9A-Za-z]+/file|/calendars|/csv|/weather|/looks)\$
	php_fastcgi @heavy unix/$SOCKETS/heavy.sock {
		buffer_requests
		buffer_responses
		read_timeout 95s
		# A whole house: the file is sent from here, in as much time as it is read in.
		@carried header X-Accel-Redirect *
		handle_response @carried {
			root * "${KETTLE_SHARED:-$KETTLE_VAR/storage/app}/transfers"
			rewrite * {rp.header.X-Accel-Redirect}
			method GET
			header {
				Content-Disposition {rp.header.Content-Disposition}
				Content-Type application/zip
				Cache-Control no-store
				-Etag
			}
			file_server
		}
	}
	php_fastcgi unix/$SOCKETS/fpm.sock {
		buffer_requests
		buffer_responses
		read_timeout 35s
	}
	@manifest path /kettle.webmanifest
	header @manifest Content-Type application/manifest+json
	file_server {
		precompressed br gzip
	}
	log {
		output file $KETTLE_VAR/log/access.log {
			roll_size 5MB
			roll_keep 2
		}
$(unsaid)
	}
}
http://127.0.0.1:$WEB_PORT, http://localhost:$WEB_PORT {
	bind 127.0.0.1
	import kettle
}
$(lan_site)
# By another name than its own it is nobody's kettle.
http://:$WEB_PORT {
	bind 127.0.0.1
	respond 421
}
CADDY
}

# Writes a setting, or takes it out where it is empty.
set_env() {
  local key=$1 value=$2
  make_env
  sed -i "/^$key=/d" "$ENV_FILE"
  [ -z "$value" ] || printf '%s=%q\n' "$key" "$value" >>"$ENV_FILE"
}

# up --lan [NAME] [--cert FILE --key FILE], and up --local to be on loopback alone again.
lan_wanted() {
  local name='' cert='' key='' lan=
  while [ $# -gt 0 ]; do
    case "$1" in
      --lan) lan=1; case "${2:-}" in ''|--*) ;; *) name=$2; shift ;; esac ;;
      --cert|--key)
        [ -f "${2:-}" ] || die "After $1 comes a file that is there."
        if [ "$1" = --cert ]; then cert=$(realpath "$2"); else key=$(realpath "$2"); fi
        shift ;;
      --local) lan=0 ;;
      *) die "What is “$1”? It is ./kettle up [--lan [NAME] [--cert FILE --key FILE] | --local]" ;;
    esac
    shift
  done
  [ -n "$lan" ] || return 0
  [ -z "$cert$key" ] || { [ -n "$cert" ] && [ -n "$key" ]; } || die "A certificate comes with its key: --cert FILE --key FILE"
  [ "$lan" = 0 ] || [ -n "$name" ] || name="$(hostname -s 2>/dev/null || echo kettle).local"
  [ "$lan" = 0 ] || [[ "$name" =~ ^[a-z0-9]([a-z0-9.-]{0,61}[a-z0-9])?$ ]] || die "“$name” is no name of a machine: small letters, figures, dots and hyphens."
  set_env KETTLE_LAN "$name"
  set_env KETTLE_CERT "$cert"
  set_env KETTLE_KEY "$key"
  [ "$lan" = 0 ] || grep -q '^KETTLE_TLS_PORT=' "$ENV_FILE" || set_env KETTLE_TLS_PORT 8443
  [ "$lan" = 0 ] || grep -q '^KETTLE_TRUST_PORT=' "$ENV_FILE" || set_env KETTLE_TRUST_PORT 8080
}

# What opens a door is in no log: links that are passed on, the calendar's private address, the token of a form.
unsaid() {
  cat <<'CADDY'
		format filter {
			wrap json
			fields {
				request>uri regexp "/(join|new-password|invitations|resets|feeds)/[A-Za-z0-9]+" "/$1/…"
				request>headers>X-Xsrf-Token delete
				request>headers>Idempotency-Key delete
				request>headers>Referer delete
			}
		}
CADDY
}

# What the web server counts itself, to who has the key.
web_metrics() {
  printf '\thandle /metrics/web {\n\t\troute {\n'
  [ -z "${KETTLE_METRICS_KEY:-}" ] || printf '\t\t\t@key header Authorization "Bearer %s"\n\t\t\tmetrics @key\n' "$KETTLE_METRICS_KEY"
  printf '\t\t\trespond 404\n\t\t}\n\t}\n'
}

lan_globals() {
  [ -z "${KETTLE_LAN:-}" ] || printf '\tdefault_sni %s\n' "$KETTLE_LAN"
}

# By its name and by every address the machine has. Without a certificate that was given it is its own authority, and a page
# that is not over TLS yet tells how a phone comes to trust it; nothing else is there.
lan_site() {
  [ -n "${KETTLE_LAN:-}" ] || return 0
  local sites trust tls='tls internal' ip
  sites="https://$KETTLE_LAN:$KETTLE_TLS_PORT"
  trust="http://$KETTLE_LAN:$KETTLE_TRUST_PORT"
  for ip in $(hostname -I 2>/dev/null); do
    case "$ip" in *:*) continue ;; esac
    sites+=", https://$ip:$KETTLE_TLS_PORT"
    trust+=", http://$ip:$KETTLE_TRUST_PORT"
  done
  [ -z "${KETTLE_CERT:-}" ] || tls="tls \"$KETTLE_CERT\" \"$KETTLE_KEY\""
  cat <<CADDY
$sites {
	$tls
	header Strict-Transport-Security "max-age=31536000"
	import kettle
}
CADDY
  [ -n "${KETTLE_CERT:-}" ] || cat <<CADDY
$trust {
	root * "$KETTLE_VAR/tls/page"
	header {
		X-Content-Type-Options nosniff
		Cache-Control no-store
		Content-Security-Policy "default-src 'none'; style-src 'self'"
		-Server
	}
	@authority path /kettle.crt
	header @authority Content-Type application/x-x509-ca-cert
	file_server
}
# Asked by another name there is nothing.
http://:$KETTLE_TRUST_PORT {
	respond 421
}
CADDY
}

# The page for phones, once the authority is there: it says by what it is known.
lan_page() {
  [ -n "${KETTLE_LAN:-}" ] && [ -z "${KETTLE_CERT:-}" ] || return 0
  local root="$KETTLE_VAR/tls/pki/authorities/local/root.crt" page="$KETTLE_VAR/tls/page" print
  wait_for "The authority" 100 test -s "$root"
  mkdir -p "$page"
  cp "$root" "$page/kettle.crt"
  cp "$ROOT/public/outage.css" "$page/page.css"
  print=$(openssl x509 -in "$root" -noout -fingerprint -sha256 | cut -d= -f2)
  sed -e "s|{{address}}|https://$KETTLE_LAN:$KETTLE_TLS_PORT|g" -e "s|{{print}}|$print|g" "$ROOT/resources/trust.html" >"$page/index.html"
}

# Said at the end of what starts it.
say_lan() {
  [ -n "${KETTLE_LAN:-}" ] || return 0
  say "On the house’s network  https://$KETTLE_LAN:$KETTLE_TLS_PORT"
  [ -n "${KETTLE_CERT:-}" ] || say "A phone that does not trust it yet  http://$KETTLE_LAN:$KETTLE_TRUST_PORT"
}
