# Shared by bin/start, bin/stop, bin/test and bin/bench: where things are, how steps are told, and the private
# database. Sourced by bash scripts with `set -euo pipefail`.

root=$(cd "$(dirname "${BASH_SOURCE[0]}")/../.." && pwd)
say() { printf '%s\n' "$*"; }
step() { current_step="$*"; printf '· %s\n' "$*"; }
current_step='starting up'
give_up() {
  printf '\nThis step failed: %s\n' "$current_step" >&2
  [ $# -gt 0 ] && printf '%s\n' "$*" >&2
  trap - ERR
  ${on_failure:-:} || true
  exit 1
}

# Runs a command quietly; on failure shows the end of what it said, what to do, and stops.
quietly() {
  local log; log=$(mktemp)
  if ! "$@" >"$log" 2>&1; then
    tail -n 25 "$log" >&2; rm -f "$log"
    give_up "Command: $*"
  fi
  rm -f "$log"
}

# Asks a registry as `quietly` does, and anew where it does not answer: what was fetched is not fetched twice.
from_registry() { # seconds command...
  local seconds=$1 tries log; shift; log=$(mktemp)
  for tries in 1 2 3; do
    timeout -k 10 "$seconds" "$@" >"$log" 2>&1 && { rm -f "$log"; return 0; }
    [ "$tries" = 3 ] || say "  (no answer, or not all of it; asked again)"
  done
  tail -n 25 "$log" >&2; rm -f "$log"
  give_up "Command: $*"
}

as_root() { if [ "$(id -u)" -eq 0 ]; then "$@"; else sudo -n "$@" 2>/dev/null || sudo "$@"; fi; }

# The user that serves pages. Everything it writes lies under the state folder.
web_user=www-data

need_programs() {
  for program in php composer node npm; do
    command -v "$program" >/dev/null || give_up "Install $program first (PHP 8.2, Composer 2, Node 20 and npm are needed)."
  done
}

install_debian_packages() { # packages...
  local missing=() package
  for package in "$@"; do
    dpkg-query -W -f '${Status}' "$package" 2>/dev/null | grep -q '^install ok installed$' || missing+=("$package")
  done
  [ ${#missing[@]} -eq 0 ] && return 0
  step "Installing Debian packages: ${missing[*]}"
  local patient=(-o DPkg::Lock::Timeout=400 -o Acquire::Retries=3 -o Acquire::http::Timeout=60)
  quietly as_root apt-get "${patient[@]}" update
  quietly as_root env DEBIAN_FRONTEND=noninteractive apt-get "${patient[@]}" install -y --no-install-recommends "${missing[@]}"
}

server_packages=(php8.2-cli php8.2-fpm php8.2-mysql php8.2-curl php8.2-zip php8.2-gd php8.2-bcmath php8.2-intl
  php8.2-mbstring php8.2-xml mariadb-server nginx openssl runit procps age)
browser_packages=(chromium chromium-driver)
# They write logs as other people's tools do, for the checks alone.
converter_packages=(gpsbabel gdal-bin)

stamp_of() { cat "$@" 2>/dev/null | sha256sum | cut -d' ' -f1; }

install_php_packages() { # with-dev|without-dev
  local stamp="$root/vendor/.larkspur-stamp" want
  want="$1 $(stamp_of "$root/composer.json" "$root/pins/runtime/composer.json" "$root/pins/dev/composer.json") $root"
  # A tree with the development packages serves as well as one without.
  if [ -f "$stamp" ]; then
    [ "$(cat "$stamp")" = "$want" ] && return 0
    [ "$1" = without-dev ] && [ "$(cat "$stamp")" = "with-dev ${want#without-dev }" ] && return 0
  fi
  step 'Installing PHP packages at the committed versions'
  local dev=(); [ "$1" = without-dev ] && dev=(--no-dev)
  (cd "$root" && from_registry 400 env COMPOSER_ALLOW_SUPERUSER=1 composer install --no-interaction --no-progress --no-scripts "${dev[@]}")
  # Archives unpack readable by their owner alone; the web server is somebody else.
  chmod -R a+rX "$root/vendor"
  printf '%s' "$want" >"$stamp"
}

install_front_end_packages() {
  local stamp="$root/node_modules/.larkspur-stamp" want
  want=$(stamp_of "$root/package.json" "$root/package-lock.json")
  [ -f "$stamp" ] && [ "$(cat "$stamp")" = "$want" ] && return 0
  step 'Installing front-end packages at the committed versions'
  # `npm install` with the lock committed: `npm ci` refuses a lock whose optional entries for other platforms the registry lacks.
  (cd "$root" && from_registry 400 npm install --no-audit --no-fund --no-progress --fetch-timeout=30000 --fetch-retries=5)
  printf '%s' "$(stamp_of "$root/package.json" "$root/package-lock.json")" >"$stamp"
}

build_front_end() {
  local stamp="$root/public/build/.larkspur-stamp" want
  want=$(cd "$root" && find web package.json package-lock.json vite.config.ts tsconfig.json \
    pins/runtime resources/passwords bin/support/licences.php -type f -print0 \
    | sort -z | xargs -0 cat | sha256sum | cut -d' ' -f1)
  [ -f "$stamp" ] && [ "$(cat "$stamp")" = "$want" ] && return 0
  step 'Building the front end'
  (cd "$root" && quietly npm run --silent build && quietly php bin/support/licences.php public/build/licences.json)
  chmod -R a+rX "$root/public"
  printf '%s' "$want" >"$stamp"
}

port_is_free() { ! (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }
free_port() { # first choice
  local port=$1
  until port_is_free "$port"; do port=$((port + 1)); done
  printf '%s' "$port"
}

# Whether the servers' users can reach a folder.
reachable() { as_root runuser -u "$web_user" -- test -x "$1" && as_root runuser -u mysql -- test -x "$1"; }

# Sockets have a short path, whatever the clone's is.
socket_folder() { printf '/tmp/larkspur-%s' "$(printf '%s' "$1" | sha256sum | cut -c1-10)"; }
