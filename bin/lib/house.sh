# shellcheck shell=bash
# Shared steps of bin/start, bin/test and bin/bench. Sourced, never run.
# A step is a function; each says in one plain line what it does or why it cannot.

set -euo pipefail

THICKET_ROOT="$(cd "$(dirname "${BASH_SOURCE[0]}")/../.." && pwd)"
export THICKET_ROOT

DEBIAN_PACKAGES=(
  php8.2-cli php8.2-fpm php8.2-mysql php8.2-curl php8.2-zip php8.2-bcmath php8.2-gmp php8.2-gd
  php8.2-apcu php8.2-intl php8.2-mbstring php8.2-xml php8.2-opcache php-geos
  unzip mariadb-server nginx chromium weasyprint poppler-utils python3-icalendar
  php-christianriesen-otp oathtool
)

# The GEOS extension says one harmless line at every start (rulings B31); that line alone is left out.
php() { command php "$@" 2> >(grep -v 'GEOSGeometry::__toString' >&2); }

say() { printf '%s\n' "$*"; }
die() { printf 'Stopped: %s\n' "$*" >&2; exit 1; }

# One run at a time per purpose: $1 is a lock name. The lock goes with the process, so a killed run leaves none.
hold_lock() {
  mkdir -p "$THICKET_VAR"
  exec 9>"$THICKET_VAR/$1.lock"
  flock -n 9 || die "another bin/$1 of this checkout is running (lock $THICKET_VAR/$1.lock)."
}

missing_packages() {
  local name
  for name in "${DEBIAN_PACKAGES[@]}"; do
    dpkg-query -W -f='${Status}\n' "$name" 2>/dev/null | grep -q '^install ok installed' || printf '%s ' "$name"
  done
}

# Debian packages, without starting the services that some of them bring.
install_debian_packages() {
  local missing as_root=() policy=/usr/sbin/policy-rc.d made_policy=0
  missing="$(missing_packages)"
  [ -z "$missing" ] && return 0
  if [ "$(id -u)" -ne 0 ]; then
    if command -v sudo >/dev/null && sudo -n true 2>/dev/null; then as_root=(sudo -n)
    else die "these Debian packages are missing and this account may not install them. Run:
  sudo apt-get update && sudo apt-get install -y --no-install-recommends $missing"; fi
  fi
  say "Installing Debian packages: $missing"
  if [ ! -e "$policy" ]; then
    printf '#!/bin/sh\nexit 101\n' | "${as_root[@]}" tee "$policy" >/dev/null
    "${as_root[@]}" chmod 755 "$policy"; made_policy=1
  fi
  local ok=1
  "${as_root[@]}" apt-get update -qq || say "apt-get update had trouble; trying with the lists at hand."
  # shellcheck disable=SC2086 # a list of names
  "${as_root[@]}" env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends $missing \
    >"$THICKET_VAR/apt.log" 2>&1 || ok=0
  [ "$made_policy" = 1 ] && "${as_root[@]}" rm -f "$policy"
  [ "$ok" = 1 ] && return 0
  tail -n 20 "$THICKET_VAR/apt.log" >&2
  die "apt-get could not install them (whole log: $THICKET_VAR/apt.log)."
}

# A file that is its owner's alone from the moment it is there: $1 the file, $2 what it holds.
keep_secret() { (umask 077; printf '%s' "$2" > "$1"); chmod 600 "$1"; }

stamp_of() { cat "$@" 2>/dev/null | sha256sum | cut -c1-16; }

install_php_packages() {
  local want; want="$(stamp_of "$THICKET_ROOT/composer.json")"
  [ "$(cat "$THICKET_ROOT/vendor/.stamp" 2>/dev/null)" = "$want" ] && return 0
  say "Installing PHP packages."
  (cd "$THICKET_ROOT" \
    && COMPOSER_ALLOW_SUPERUSER=1 composer install --no-interaction --no-progress --quiet --prefer-dist) \
    || die "composer could not install the PHP packages; run 'composer install' to see why."
  # some packages unpack readable by their owner only; the web server's account must read them
  chmod -R a+rX "$THICKET_ROOT/vendor"
  printf '%s' "$want" > "$THICKET_ROOT/vendor/.stamp"
}

install_node_packages() {
  local want; want="$(stamp_of "$THICKET_ROOT/package.json" "$THICKET_ROOT/package-lock.json")"
  [ "$(cat "$THICKET_ROOT/node_modules/.stamp" 2>/dev/null)" = "$want" ] && return 0
  say "Installing Node packages."
  (cd "$THICKET_ROOT" && PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD=1 npm ci --no-audit --no-fund --loglevel=error) \
    || die "npm could not install the Node packages; run 'npm ci' to see why."
  printf '%s' "$want" > "$THICKET_ROOT/node_modules/.stamp"
}

# Front end into $1 (below web/), only when a source of it changed.
build_web() {
  local out="$THICKET_ROOT/web/$1" want
  want="$(cd "$THICKET_ROOT" && {
    find web/src web/index.html web/public -type f -print0 2>/dev/null | sort -z | xargs -0 cat
    cat vite.config.ts package-lock.json openapi.yaml
  } | sha256sum | cut -c1-16)"
  [ "$(cat "$out/.stamp" 2>/dev/null)" = "$want" ] && return 0
  say "Building the front end into web/$1."
  (cd "$THICKET_ROOT" && npx --no-install openapi-typescript openapi.yaml -o web/src/api/schema.d.ts >/dev/null \
    && THICKET_DIST="$1" npx --no-install vite build --logLevel warn) || die "the front end did not build."
  printf '%s' "$want" > "$out/.stamp"
}

free_port() {
  php -r '$from=(int)$argv[1];
    for($p=$from;$p<$from+200;$p++){ $s=@stream_socket_server("tcp://127.0.0.1:$p"); if($s){echo $p; exit(0);} }
    exit(1);' "$1" \
    || die "no free port on loopback from $1 on."
}

# A pid file holds 'pid starttime': a recycled pid is never taken for ours.
start_time_of() { awk '{print $22}' "/proc/$1/stat" 2>/dev/null || true; }
note_pid() { printf '%s %s\n' "$2" "$(start_time_of "$2")" > "$1"; }
pid_if_ours() {
  local pid start
  [ -r "$1" ] || return 1
  read -r pid start < "$1" || return 1
  [ -n "${pid:-}" ] && [ -n "${start:-}" ] && [ "$(start_time_of "$pid")" = "$start" ] || return 1
  printf '%s' "$pid"
}
stop_noted() {
  local pid
  pid="$(pid_if_ours "$1")" || { rm -f "$1"; return 0; }
  kill "$pid" 2>/dev/null || true
  for _ in $(seq 1 100); do pid_if_ours "$1" >/dev/null || break; sleep 0.1; done
  pid="$(pid_if_ours "$1")" && kill -9 "$pid" 2>/dev/null || true
  rm -f "$1"
}

# Where data, sockets, logs and rendered configuration live. As root the services run as their own users,
# which must be able to reach the place; tested by trying it.
choose_var() {
  local wanted="${THICKET_VAR:-$THICKET_ROOT/var}/$1"
  mkdir -p "$wanted"
  if [ "$(id -u)" = 0 ] && id mysql >/dev/null 2>&1; then
    if ! setpriv --reuid=mysql --regid=mysql --clear-groups test -x "$wanted" 2>/dev/null; then
      wanted="/var/lib/thicket/$(printf '%s' "$THICKET_ROOT" | sha256sum | cut -c1-12)/$1"
      mkdir -p "$wanted"
      say "The service accounts cannot reach this checkout's var/; using $wanted."
    fi
  fi
  export THICKET_VAR="$wanted"
  mkdir -p "$THICKET_VAR"/{run,log,cache,storage/framework/views,storage/logs,storage/app}
}

# The Debian service account $1 when we are root, else ourselves. Where www-data cannot read this checkout (a home
# directory closed to others) the web server runs as root, on loopback only.
service_user() {
  local as=(setpriv --reuid=www-data --regid=www-data --clear-groups)
  if [ "$(id -u)" != 0 ]; then id -un
  elif [ "$1" = www-data ] && ! "${as[@]}" test -r "$THICKET_ROOT/public/index.php" 2>/dev/null; then printf 'root'
  else printf '%s' "$1"; fi
}

# The database's ruler: this very account of the machine, by the socket only, without a password that could be guessed.
database_root() { # $1: socket, then arguments of the client
  local sock="$1"; shift
  mariadb --no-defaults -u"$(id -un)" --socket="$sock" "$@"
}

database_start() {
  local data="$THICKET_VAR/mariadb" sock="$THICKET_VAR/run/mariadb.sock" pidfile="$THICKET_VAR/run/mariadb.pid.noted"
  local user; user="$(service_user mysql)"
  # a killed earlier run may have left its server behind: it is ours, so end it first
  stop_noted "$pidfile"
  if [ -d "$data" ] && [ ! -e "$data/.complete" ]; then
    say "An earlier start broke off while making the database; making it anew."
    rm -rf "$data"
  fi
  if [ ! -d "$data" ]; then
    say "Making the database in $data."
    mkdir -p "$data"; [ "$(id -u)" = 0 ] && chown mysql:mysql "$data"
    mariadb-install-db --no-defaults --datadir="$data" ${user:+--user="$user"} --skip-test-db \
      --auth-root-authentication-method=socket --auth-root-socket-user="$(id -un)" \
      >"$THICKET_VAR/log/mariadb-install.log" 2>&1 \
      || die "MariaDB could not make its data directory (see $THICKET_VAR/log/mariadb-install.log)."
    touch "$data/.complete"
  fi
  [ "$(id -u)" = 0 ] && chown mysql:mysql "$THICKET_VAR/run"
  DB_PORT="$(free_port "${1:-33060}")"; export DB_PORT
  mariadbd --no-defaults --datadir="$data" --user="$user" --socket="$sock" --port="$DB_PORT" --bind-address=127.0.0.1 \
    --pid-file="$THICKET_VAR/run/mariadb.pid" --skip-log-bin \
    --character-set-server=utf8mb4 --collation-server=utf8mb4_unicode_ci \
    --innodb-flush-log-at-trx-commit=1 --skip-name-resolve >"$THICKET_VAR/log/mariadb.log" 2>&1 9>&- &
  note_pid "$pidfile" "$!"
  for _ in $(seq 1 300); do
    database_root "$sock" -e 'SELECT 1' >/dev/null 2>&1 && break
    if ! pid_if_ours "$pidfile" >/dev/null; then
      tail -n 8 "$THICKET_VAR/log/mariadb.log" >&2
      die "MariaDB did not start (log: $THICKET_VAR/log/mariadb.log)."
    fi
    sleep 0.1
  done
  local secret
  for secret in db-password db-owner-password; do
    [ -s "$THICKET_VAR/run/$secret" ] \
      || keep_secret "$THICKET_VAR/run/$secret" "$(head -c 24 /dev/urandom | base64 | tr -dc 'A-Za-z0-9')"
  done
  DB_PASSWORD="$(cat "$THICKET_VAR/run/db-password")"
  database_root "$sock" <<SQL || die "MariaDB answered but refused to make the database 'thicket'."
CREATE DATABASE IF NOT EXISTS thicket;
CREATE USER IF NOT EXISTS 'thicket'@'127.0.0.1';
ALTER USER 'thicket'@'127.0.0.1' IDENTIFIED BY '$DB_PASSWORD';
-- the application's account reads and writes rows; tables and the triggers that keep what is sealed are the owner's
GRANT SELECT ON thicket.* TO 'thicket'@'127.0.0.1';
REVOKE ALL PRIVILEGES ON thicket.* FROM 'thicket'@'127.0.0.1';
GRANT SELECT, INSERT, UPDATE, DELETE ON thicket.* TO 'thicket'@'127.0.0.1';
CREATE USER IF NOT EXISTS 'thicket_owner'@'127.0.0.1';
ALTER USER 'thicket_owner'@'127.0.0.1' IDENTIFIED BY '$(cat "$THICKET_VAR/run/db-owner-password")';
GRANT ALL ON thicket.* TO 'thicket_owner'@'127.0.0.1';
-- nobody rules this database from a network address, however it was made
DELETE FROM mysql.global_priv WHERE User = 'root' AND Host <> 'localhost';
ALTER USER IF EXISTS 'root'@'localhost' IDENTIFIED VIA unix_socket;
FLUSH PRIVILEGES;
SQL
}
database_stop() { stop_noted "$THICKET_VAR/run/mariadb.pid.noted"; }

# Seconds between the job clock and the real clock (rulings B6), from THICKET_NOW or THICKET_TODAY.
clock_offset() {
  php -r '$n=getenv("THICKET_NOW")?:""; $d=getenv("THICKET_TODAY")?:"";
    if($n==="" && $d!==""){ $n=$d."T09:00:00".$argv[1]; }
    if($n===""){ echo 0; exit; }
    $t=date_create_immutable($n);
    if(!$t){ fwrite(STDERR,"THICKET_NOW must read like 2026-09-03T09:00:00-05:00\n"); exit(1);}
    echo $t->getTimestamp()-time();' -- "-05:00" \
    || die "THICKET_NOW or THICKET_TODAY cannot be read."
}

# The application's settings for this run, read by bootstrap/app.php from \$THICKET_VAR/.env.
write_environment() { # $1: environment name, $2: address
  [ -s "$THICKET_VAR/run/app-key" ] \
    || keep_secret "$THICKET_VAR/run/app-key" "base64:$(head -c 32 /dev/urandom | base64)"
  [ -s "$THICKET_VAR/run/seal-key" ] || keep_secret "$THICKET_VAR/run/seal-key" "$(head -c 32 /dev/urandom | base64)"
  chmod 600 "$THICKET_VAR/run/app-key" "$THICKET_VAR/run/db-password" "$THICKET_VAR/run/seal-key"
  local host="${2#http://}" offset
  # taken apart: a failure inside the text below would go unnoticed
  offset="$(clock_offset)" || exit 1
  (umask 077; cat > "$THICKET_VAR/.env") <<ENV
APP_NAME="Gallant Thicket"
APP_ENV=$1
APP_KEY=$(cat "$THICKET_VAR/run/app-key")
APP_DEBUG=false
APP_URL=$2
SANCTUM_STATEFUL_DOMAINS=$host,localhost:${host##*:}
DB_CONNECTION=mariadb
DB_HOST=127.0.0.1
DB_PORT=$DB_PORT
DB_DATABASE=thicket
DB_USERNAME=thicket
DB_PASSWORD=$DB_PASSWORD
SESSION_DRIVER=database
SESSION_SECURE_COOKIE=${THICKET_SECURE_COOKIE:-false}
THICKET_TRUSTED_PROXIES=${THICKET_TRUSTED_PROXIES:-}
CACHE_STORE=database
QUEUE_CONNECTION=${THICKET_QUEUE:-database}
LOG_CHANNEL=daily
LOG_LEVEL=info
THICKET_CLOCK_OFFSET_SECONDS=$offset
THICKET_DEMO=${THICKET_DEMO:-1}
THICKET_SEAL_KEY=$(cat "$THICKET_VAR/run/seal-key")
THICKET_GPS_PORT=${THICKET_GPS_PORT:-0}
THICKET_WEATHER_URL=${THICKET_WEATHER_URL:-}
THICKET_PROBE_URL=${THICKET_PROBE_URL:-}
ENV
  chmod 600 "$THICKET_VAR/.env"
  if [ "$(id -u)" = 0 ]; then
    # the web server's account alone reads it (root does anyway)
    local web; web="$(service_user www-data)"
    chown "$web:$web" "$THICKET_VAR/.env"; chown -R "$web:$web" "$THICKET_VAR/storage" "$THICKET_VAR/cache"
  fi
}

render() { # template, out: replaces @NAME@ by the variable of that name
  THICKET_USER="$(service_user www-data)" php -r '$t=file_get_contents($argv[1]);
    $of=function($m){
      $v=getenv($m[1]); if($v===false){ fwrite(STDERR,"template needs $m[1]\n"); exit(1);} return $v;
    };
    echo preg_replace_callback("/@([A-Z_]+)@/", $of, $t);' "$1" > "$2"
}

# The simulated GPS receiver, weather service and soil probe on loopback, for demo and tests; production never starts
# them.
# THICKET_GPS_SPEED hastens the walker.
stand_ins_start() {
  stop_noted "$THICKET_VAR/run/gps.pid.noted"
  THICKET_GPS_PORT="$(free_port "${1:-8095}")"; export THICKET_GPS_PORT
  command php -d display_errors=0 "$THICKET_ROOT/stand-ins/gps/serve.php" \
    "$THICKET_GPS_PORT" "${THICKET_GPS_SPEED:-1}" >"$THICKET_VAR/log/gps.log" 2>&1 9>&- &
  note_pid "$THICKET_VAR/run/gps.pid.noted" "$!"
  stop_noted "$THICKET_VAR/run/weather.pid.noted"
  local port; port="$(free_port "${2:-8096}")"; export THICKET_WEATHER_URL="http://127.0.0.1:$port"
  # the bad day of a service that had this port before is not of this one
  rm -f "/tmp/thicket-weather-$port"
  command php -d display_errors=0 -S "127.0.0.1:$port" "$THICKET_ROOT/stand-ins/weather/serve.php" \
    >"$THICKET_VAR/log/weather.log" 2>&1 9>&- &
  note_pid "$THICKET_VAR/run/weather.pid.noted" "$!"
  stop_noted "$THICKET_VAR/run/probe.pid.noted"
  port="$(free_port "${3:-8097}")"; export THICKET_PROBE_URL="http://127.0.0.1:$port"
  rm -f "/tmp/thicket-probe-$port"
  command php -d display_errors=0 -S "127.0.0.1:$port" "$THICKET_ROOT/stand-ins/probe/serve.php" \
    >"$THICKET_VAR/log/probe.log" 2>&1 9>&- &
  note_pid "$THICKET_VAR/run/probe.pid.noted" "$!"
}
stand_ins_stop() {
  stop_noted "$THICKET_VAR/run/gps.pid.noted"; stop_noted "$THICKET_VAR/run/weather.pid.noted"
  stop_noted "$THICKET_VAR/run/probe.pid.noted"
}

# nginx and PHP-FPM from the very templates that deploy/ ships for production.
web_start() { # $1: port wanted, $2: dist folder below web/
  stop_noted "$THICKET_VAR/run/nginx.pid.noted"; stop_noted "$THICKET_VAR/run/fpm.pid.noted"
  export THICKET_DIST_PATH="$THICKET_ROOT/web/$2" THICKET_PORT="$1" THICKET_LISTEN="127.0.0.1:$1"
  export THICKET_FPM_SOCKET="$THICKET_VAR/run/fpm.sock"
  export THICKET_NGINX_USER_LINE="" THICKET_FPM_USER_LINES="" THICKET_TLS_LINES=""
  if [ "$(id -u)" = 0 ]; then
    local web; web="$(service_user www-data)"
    [ "$web" = root ] && say "www-data cannot read this checkout; the web server runs as root on loopback."
    THICKET_NGINX_USER_LINE="user $web;"
    THICKET_FPM_USER_LINES="user = $web
group = $web
listen.owner = $web
listen.group = $web"
  fi
  chmod -R a+rX "$THICKET_DIST_PATH" 2>/dev/null || true
  render "$THICKET_ROOT/deploy/nginx.conf.template" "$THICKET_VAR/run/nginx.conf"
  render "$THICKET_ROOT/deploy/php-fpm.conf.template" "$THICKET_VAR/run/php-fpm.conf"
  mkdir -p "$THICKET_VAR/run/nginx"
  php-fpm8.2 --allow-to-run-as-root --nodaemonize --fpm-config "$THICKET_VAR/run/php-fpm.conf" \
    >"$THICKET_VAR/log/fpm-start.log" 2>&1 9>&- &
  note_pid "$THICKET_VAR/run/fpm.pid.noted" "$!"
  nginx -e "$THICKET_VAR/log/nginx-error.log" -c "$THICKET_VAR/run/nginx.conf" -g 'daemon off;' \
    >"$THICKET_VAR/log/nginx-start.log" 2>&1 9>&- &
  note_pid "$THICKET_VAR/run/nginx.pid.noted" "$!"
  for _ in $(seq 1 100); do
    curl -fsS -o /dev/null "http://127.0.0.1:$1/api/v1/health" 2>/dev/null && { queue_start; return 0; }
    pid_if_ours "$THICKET_VAR/run/nginx.pid.noted" >/dev/null || break
    pid_if_ours "$THICKET_VAR/run/fpm.pid.noted" >/dev/null || break
    sleep 0.1
  done
  tail -n 5 "$THICKET_VAR"/log/{fpm-start,nginx-start,nginx-error,fpm}.log \
    "$THICKET_VAR"/storage/logs/laravel-*.log 2>/dev/null >&2 || true
  die "the web server did not answer (logs in $THICKET_VAR/log)."
}
# The one worker that makes PDFs; it runs as the web server does, on files only that account may read.
queue_start() {
  stop_noted "$THICKET_VAR/run/queue.pid.noted"
  local web as=(); web="$(service_user www-data)"
  [ "$(id -un)" = "$web" ] || as=(setpriv --reuid="$web" --regid="$web" --clear-groups)
  (cd "$THICKET_ROOT" \
    && exec "${as[@]}" php8.2 artisan queue:work --quiet --sleep=0.5 --tries=2 --timeout=60 --memory=256) \
    >"$THICKET_VAR/log/queue.log" 2>&1 9>&- &
  note_pid "$THICKET_VAR/run/queue.pid.noted" "$!"
}
queue_stop() { stop_noted "$THICKET_VAR/run/queue.pid.noted"; }
web_stop() { queue_stop; stop_noted "$THICKET_VAR/run/nginx.pid.noted"; stop_noted "$THICKET_VAR/run/fpm.pid.noted"; }

# As the owner of the tables: for migrations alone, never for the application.
artisan_owner() { DB_USERNAME=thicket_owner DB_PASSWORD="$(cat "$THICKET_VAR/run/db-owner-password")" artisan "$@"; }
artisan() { (cd "$THICKET_ROOT" && php artisan "$@"); }
