# Serving pages: places, settings, the database, php-fpm, nginx, the workers and the clock, kept running by runit.
# Sourced after common.sh by every script in bin/
# that serves. Sets $code (what is served), $state (what is kept) and $run (sockets, and whose is what).

# find_places NAME: state in var/NAME of the clone, or, where a parent folder is closed to the servers' users, in
# /var/lib/larkspur/NAME with the code served from a copy there.
find_places() {
  if reachable "$root"; then
    code=$root; state=$root/var/$1
  else
    code=/var/lib/larkspur/$1/code; state=/var/lib/larkspur/$1/state
  fi
  run=$(socket_folder "$state")
}

# The same, made ready to serve from: choose_places NAME
choose_places() {
  find_places "$1"
  if [ "$code" != "$root" ]; then
    step "Copying the code to $code (a folder above this clone is closed to the servers’ users)"
    as_root install -d -m 755 /var/lib/larkspur "/var/lib/larkspur/$1" "$code"
    quietly as_root sh -c "cd '$root' && tar cf - --exclude=./var --exclude=./.git --exclude=./node_modules . | tar xf - -C '$code' --no-same-owner"
    quietly as_root chmod -R a+rX "$code"
  fi
  as_root install -d -m 755 "$state" "$run"
  as_root install -d -m 755 "$state/logs"
  for folder in storage/app/private storage/framework/cache/data storage/framework/views storage/logs cache tmp; do
    as_root install -d -o "$web_user" -g "$web_user" -m 750 "$state/$folder"
  done
}

# Settings are made once; `put_setting NAME VALUE` changes one of them.
make_settings() { # database
  if ! as_root test -s "$state/env"; then
    as_root sh -c "umask 027; cat >'$state/env'" <<ENV
APP_NAME=Larkspur
APP_ENV=production
APP_DEBUG=false
APP_KEY=base64:$(head -c 32 /dev/urandom | base64)
APP_URL=http://127.0.0.1
DB_CONNECTION=mariadb
DB_HOST=127.0.0.1
DB_PORT=3306
DB_DATABASE=$1
DB_USERNAME=larkspur
DB_PASSWORD=$(random_word)
SESSION_DRIVER=database
SESSION_LIFETIME=720
CACHE_STORE=database
QUEUE_CONNECTION=database
FILESYSTEM_DISK=local
LOG_CHANNEL=daily
LOG_LEVEL=warning
MAIL_MAILER=log
MAIL_LOG_CHANNEL=mail
BCRYPT_ROUNDS=10
ENV
    as_root chown "root:$web_user" "$state/env"
    as_root chmod 640 "$state/env"
  fi
  # What the pages have no business with: who may change the shape of the database, and who may copy all of it.
  as_root test -s "$state/secrets" || as_root sh -c "umask 077; cat >'$state/secrets'" <<ENV
SCHEMA_PASSWORD=$(random_word)
BACKUP_PASSWORD=$(random_word)
ENV
}
random_word() { head -c 24 /dev/urandom | base64 | tr -d '/+='; }
secret() { as_root sed -n "s/^$1=//p" "$state/secrets"; }
setting() { as_root sed -n "s/^$1=//p" "$state/env"; }
put_setting() {
  as_root grep -q "^$1=" "$state/env" || as_root sh -c "echo '$1=' >>'$state/env'"
  as_root sed -i "s|^$1=.*|$1=$2|" "$state/env"
}

# A port as it was before: wanted_port NAME OTHERWISE
wanted_port() { local port; port=$(setting "$1"); printf '%s' "${port:-$2}"; }

# Deletes the school of this place: its database, its files and its settings.
forget_school() { as_root rm -rf "$state/db" "$state/storage/app" "$state/env" "$state/secrets"; }

# What is kept running in a place, in the order in which it starts; runit starts anew whatever ends.
workers=2
services() { printf 'db fpm nginx clock nightly'; for n in $(seq "$workers"); do printf ' worker-%d' "$n"; done; }

# The folders that runit watches: made once, each service down until it is wanted.
watch_services() {
  local name folder
  for name in $(services); do
    folder=$run/services/$name
    as_root test -x "$folder/run" && continue
    as_root install -d -m 755 "$run/services/.$name/log" "$state/logs/$name"
    as_root sh -c "touch '$run/services/.$name/down'
      printf '#!/bin/sh\nexec \"%s\" \"%s\" %s\n' '$code/bin/support/keep' '$run' $name >'$run/services/.$name/run'
      printf '#!/bin/sh\nexec svlogd -tt %s\n' '$state/logs/$name' >'$run/services/.$name/log/run'
      printf 's2000000\nn8\n' >'$state/logs/$name/config'
      chmod 755 '$run/services/.$name/run' '$run/services/.$name/log/run'
      mv '$run/services/.$name' '$folder'"
  done
  as_root bash -c "run='$run'; . '$code/bin/support/own.sh'; alive watch || { ( exec setsid bash -c '
    run=$run; . $code/bin/support/own.sh; own watch \$\$; exec runsvdir -P $run/services' ) >/dev/null 2>&1 </dev/null 9>&- & }"
  local tries=0
  for name in $(services); do
    until as_root sv status "$run/services/$name" 2>/dev/null | grep -q '^\(run\|down\|finish\)'; do
      tries=$((tries + 1)); [ "$tries" -lt 200 ] || give_up "The supervisor does not come up; see $run/services."
      sleep 0.1
    done
  done
}

# Has a service run from now on: keep_running NAME COMMAND, lines of bash that end with an exec.
keep_running() {
  as_root sh -c "cat >'$run/$1.command'" <<<"$2"
  as_root sh -c "rm -f '$run/services/$1/down' '$run/$1.begun'; sv up '$run/services/$1' >/dev/null"
}

own_check() { as_root bash -c "run='$run'; . '$(dirname "${BASH_SOURCE[0]}")/own.sh'; $1"; }
running() { own_check "alive $1"; }

# Accounts, each with the least that it needs; root is the machine's root by the socket, and nobody by the network.
settle_accounts() { # database
  as_root mariadb --no-defaults --socket="$(db_socket)" <<SQL
ALTER USER 'root'@'localhost' IDENTIFIED VIA unix_socket;
DELETE FROM mysql.global_priv WHERE User = 'root' AND Host <> 'localhost';
DELETE FROM mysql.global_priv WHERE User = '';
FLUSH PRIVILEGES;
CREATE DATABASE IF NOT EXISTS \`$1\` CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_520_ci;
CREATE OR REPLACE USER 'larkspur'@'127.0.0.1' IDENTIFIED BY '$(setting DB_PASSWORD)';
GRANT SELECT, INSERT, UPDATE, DELETE ON \`$1\`.* TO 'larkspur'@'127.0.0.1';
CREATE OR REPLACE USER 'larkspur_schema'@'127.0.0.1' IDENTIFIED BY '$(secret SCHEMA_PASSWORD)';
GRANT ALL ON \`$1%\`.* TO 'larkspur_schema'@'127.0.0.1';
CREATE OR REPLACE USER 'larkspur_backup'@'localhost' IDENTIFIED BY '$(secret BACKUP_PASSWORD)';
GRANT SELECT, LOCK TABLES, SHOW VIEW, TRIGGER ON \`$1\`.* TO 'larkspur_backup'@'localhost';
SQL
}

# The private database of this place, with its settings: open_database NAME FIRST_PORT
open_database() {
  local port tries=0
  make_settings "$1"
  # The port of before, where nobody else has taken it meanwhile.
  port=$(setting DB_PORT); [ "$port" = 3306 ] && port=$2
  running db || port=$(free_port "$port")
  put_setting DB_PORT "$port"
  # Settings that an earlier run kept in a cache would win over these.
  as_root sh -c "rm -f '$state'/cache/*.php"
  watch_services
  make_database_folder
  keep_running db "exec mariadbd --no-defaults --user=mysql --datadir='$state/db/data' --socket='$(db_socket)' \
    --bind-address=127.0.0.1 --port=$port --skip-name-resolve --character-set-server=utf8mb4 --innodb-buffer-pool-size=${LARKSPUR_DB_BUFFER:-256M} ${db_options:-}"
  until as_root mariadb --no-defaults --socket="$(db_socket)" -e 'DO 1' >/dev/null 2>&1; do
    tries=$((tries + 1))
    if [ "$tries" -gt 600 ]; then
      as_root tail -n 20 "$state/logs/db/current" >&2
      give_up 'The database did not come up; what it said stands above.'
    fi
    sleep 0.1
  done
  settle_accounts "$1"
}

db_socket() { printf '%s/db/m.sock' "$run"; }

make_database_folder() {
  as_root install -d -m 755 "$state/db"
  as_root install -d -o mysql -g mysql -m 700 "$state/db/data" "$run/db"
  [ -z "$(as_root ls -A "$state/db/data")" ] || return 0
  step 'Making the database folder'
  quietly as_root mariadb-install-db --no-defaults --user=mysql --datadir="$state/db/data" \
    --auth-root-authentication-method=socket --auth-root-socket-user=root --skip-test-db --skip-name-resolve
}

# What PHP needs to know beside the settings file: where state and caches lie.
php_environment() {
  printf '%s\n' "LARKSPUR_STATE=$state" "APP_CONFIG_CACHE=$state/cache/config.php" "APP_ROUTES_CACHE=$state/cache/routes.php" \
    "APP_EVENTS_CACHE=$state/cache/events.php" \
    "APP_PACKAGES_CACHE=$state/cache/packages.php" "APP_SERVICES_CACHE=$state/cache/services.php" \
    "VIEW_COMPILED_PATH=$state/storage/framework/views"
}

# artisan, as the user that serves pages: what it writes must be theirs.
artisan() {
  local env=(); mapfile -t env < <(php_environment)
  (cd / && as_root runuser -u "$web_user" -- env "${env[@]}" php -d opcache.enable_cli=1 -d opcache.jit=tracing \
    -d opcache.jit_buffer_size=64M -d memory_limit=2G "$code/artisan" "$@")
}

# artisan with the account that may change the shape of the database; its password stands on nobody's command line.
artisan_schema() {
  local env=(); mapfile -t env < <(php_environment)
  as_root install -d -m 700 "$state/schema"
  as_root sh -c "umask 077; echo larkspur_schema >'$state/schema/DB_USERNAME'; sed -n 's/^SCHEMA_PASSWORD=//p' '$state/secrets' >'$state/schema/DB_PASSWORD'"
  (cd / && as_root chpst -e "$state/schema" -u "$web_user" env "${env[@]}" php -d memory_limit=2G "$code/artisan" "$@")
}

# The command of a PHP program, as the user that serves pages.
php_as_web() { # environment of its own...
  # Whoever waits for a page goes before whatever is worked on behind it.
  printf 'chpst -n 15 -u %s env' "$web_user"
  local one; while read -r one; do printf " '%s'" "$one"; done < <(php_environment; [ $# -eq 0 ] || printf '%s\n' "$@")
  printf ' php -d opcache.enable_cli=1 -d opcache.jit=tracing -d opcache.jit_buffer_size=64M -d memory_limit=1536M'
}

start_php_fpm() { # [name]
  local name=${1:-fpm}
  { printf '[global]\nerror_log = /dev/stderr\ndaemonize = no\n\n[larkspur]\nuser = %s\ngroup = %s\nlisten = %s\nlisten.owner = %s\n' \
      "$web_user" "$web_user" "$run/$name.sock" "$web_user"
    printf 'listen.group = %s\npm = static\npm.max_children = %s\npm.max_requests = 2000\ncatch_workers_output = yes\n' \
      "$web_user" "${LARKSPUR_PAGES:-4}"
    printf 'decorate_workers_output = no\nrequest_terminate_timeout = 60s\nphp_admin_value[upload_max_filesize] = 256M\n'
    printf 'php_admin_value[post_max_size] = 257M\nphp_admin_value[memory_limit] = 512M\nphp_admin_value[max_execution_time] = 60\n'
    printf 'php_admin_value[upload_tmp_dir] = %s\nphp_admin_flag[expose_php] = off\n' "$state/tmp"
    php_environment | sed 's/^\([^=]*\)=\(.*\)$/env[\1] = "\2"/'
  } | as_root sh -c "cat >'$state/$name.conf'"
  keep_running "$name" "exec php-fpm8.2 -y '$state/$name.conf' -d opcache.enable=1 -d opcache.memory_consumption=192 \
    -d opcache.max_accelerated_files=20000 -d opcache.validate_timestamps=0 -d opcache.jit=tracing -d opcache.jit_buffer_size=64M"
}

# Where bodies may be large: logs come in here, and nowhere else.
large_bodies='^/api/v1/(imports|crafts/[0-9]+/step-tests|hover-points|site-imports|shot-files|rig-files)$'

start_nginx() { # port [tls port]
  local tls='' hsts=''
  if [ $# -gt 1 ]; then
    tls="listen 0.0.0.0:$2 ssl; ssl_certificate $state/tls/certificate.pem; ssl_certificate_key $state/tls/key.pem; ssl_protocols TLSv1.3;"
    hsts='map $https $hsts { on "max-age=31536000"; default ""; }'
  fi
  as_root install -d -m 755 "$state/nginx"
  as_root sh -c "cat >'$state/nginx.headers'" <<NGINX
add_header X-Content-Type-Options nosniff always;
add_header Referrer-Policy same-origin always;
add_header X-Frame-Options DENY always;
add_header Permissions-Policy "accelerometer=(), camera=(), display-capture=(), geolocation=(), gyroscope=(), magnetometer=(), microphone=(), midi=(), payment=(), usb=()" always;
add_header Cross-Origin-Opener-Policy same-origin always;
add_header Cross-Origin-Resource-Policy same-origin always;
add_header Content-Security-Policy "default-src 'self'; img-src 'self' data: blob:; style-src 'self' 'unsafe-inline'; worker-src 'self' blob:; object-src 'none'; base-uri 'self'; form-action 'self'; frame-ancestors 'none'" always;
${hsts:+add_header Strict-Transport-Security \$hsts always;}
NGINX
  local served='include /etc/nginx/fastcgi_params;
      fastcgi_param HTTP_HOST $host:$server_port;
      fastcgi_param HTTP_X_REQUEST_ID $request_id;
      fastcgi_param SCRIPT_FILENAME $document_root/index.php;
      fastcgi_param SCRIPT_NAME /index.php;
      fastcgi_read_timeout 65s;'
  as_root sh -c "cat >'$state/nginx.conf'" <<NGINX
user $web_user;
daemon off;
worker_processes 2;
pid $run/nginx.pid;
error_log stderr;
events { worker_connections 512; }
http {
  include /etc/nginx/mime.types;
  default_type application/octet-stream;
  # Without what stands behind the question mark, and without the secret of a link.
  map \$request_uri \$asked { ~^(?<door>/reset-password/|/invitation/) \$door; ~^(?<plain>[^?]*) \$plain; }
  log_format structured escape=json '{"at":"\$time_iso8601","request":"\$request_id","from":"\$remote_addr","method":"\$request_method",'
    '"path":"\$asked","status":\$status,"bytes":\$body_bytes_sent,"seconds":\$request_time}';
  access_log /dev/stdout structured;
  sendfile on;
  server_tokens off;
  gzip on;
  gzip_types text/css application/javascript application/json application/problem+json image/svg+xml;
  client_body_temp_path $state/nginx/body;
  fastcgi_temp_path $state/nginx/fastcgi;
  proxy_temp_path $state/nginx/proxy;
  scgi_temp_path $state/nginx/scgi;
  uwsgi_temp_path $state/nginx/uwsgi;
  $hsts
  server {
    listen 127.0.0.1:$1;
    $tls
    root $code/public;
    index index.php;
    client_max_body_size 4m;
    client_body_timeout 30s;
    error_page 413 = @too_large;
    error_page 502 503 504 = @away;
    include $state/nginx.headers;
    location /build/ { expires 1y; add_header Cache-Control "public, immutable"; include $state/nginx.headers; access_log off; }
    location / { try_files \$uri /index.php?\$query_string; }
    location ~ $large_bodies {
      client_max_body_size 257m;
      $served
      fastcgi_pass unix:$run/fpm.sock;
    }
    location = /metrics {
      allow 127.0.0.1; deny all;
      if (\$server_addr != 127.0.0.1) { return 404; }
      $served
      fastcgi_pass unix:$run/fpm.sock;
    }
    location = /index.php {
      $served
      fastcgi_pass unix:$run/fpm.sock;
    }
    location @too_large {
      default_type application/problem+json;
      return 413 '{"type":"urn:larkspur:problem:too-large","title":"This is too large","status":413,"detail":"More was sent than is taken here: logs of up to 256 MB where logs go, 4 MB anywhere else. Nothing was saved.","errors":[]}';
    }
    location @away {
      default_type application/problem+json;
      add_header Retry-After 5 always;
      include $state/nginx.headers;
      return 503 '{"type":"urn:larkspur:problem:away","title":"The server is just starting again","status":503,"detail":"Larkspur is being started again and answers in a few seconds. What was not answered was not saved; try again.","errors":[]}';
    }
  }
}
NGINX
  keep_running nginx "exec nginx -c '$state/nginx.conf' -e stderr"
}

start_workers() {
  local n php
  for n in $(seq "$workers"); do
    php=$(php_as_web "LARKSPUR_WORKER=$(hostname)/worker-$n")
    keep_running "worker-$n" "$php '$code/artisan' larkspur:resume-imports --worker='$(hostname)/worker-$n'
exec $php '$code/artisan' queue:work --sleep=0.2 --timeout=600 --memory=1200 --max-time=3600"
  done
  keep_running clock "exec $(php_as_web) '$code/artisan' schedule:work"
}

# Everything that serves pages, and waits until it does: serve_pages PORT [TLS_PORT]
serve_pages() {
  start_php_fpm
  start_nginx "$@"
  start_workers
  for _ in $(seq 200); do curl -fs -o /dev/null "http://127.0.0.1:$1/up" && return 0; sleep 0.1; done
  give_up "The web server does not answer; see $state/logs."
}

# A demo school of its own, made anew: serve_fresh_school NAME FIRST_DATABASE_PORT FIRST_WEB_PORT. Sets $address.
serve_fresh_school() {
  choose_places "$1"
  stop_serving
  on_failure=stop_serving
  trap stop_serving EXIT
  forget_school
  choose_places "$1"
  open_database larkspur "$2"
  local port; port=$(free_port "$3")
  address="http://127.0.0.1:$port"
  put_setting APP_URL "$address"
  quietly artisan_schema migrate --force
  quietly artisan optimize
  quietly artisan larkspur:demo
  serve_pages "$port"
}

# Ends exactly what was started here: first the watch, so that nothing comes up again, then each service, the database last.
stop_serving() {
  local name
  as_root test -d "$run" || return 0
  as_root touch "$run/stopping"
  own_check 'end_left watch 2'
  for name in $(services | tr ' ' '\n' | tac) $(as_root ls "$run/services" 2>/dev/null || true); do
    as_root test -p "$run/services/$name/supervise/control" || continue
    # What runsv starts with it hears of it; a runsv that is dead does not answer, and its service is ended by what was written down.
    as_root sv -w "$([ "$name" = db ] && echo 60 || echo 10)" force-shutdown "$run/services/$name" >/dev/null 2>&1 || true
    own_check "end_left $name $([ "$name" = db ] && echo 60 || echo 5)"
  done
  as_root rm -rf "$run/services"
  as_root sh -c "rm -f '$run'/*.own '$run'/*.begun '$run'/*.command '$run'/fpm*.sock '$run/stopping'"
}
