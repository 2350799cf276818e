# Serving pages: places, settings, php-fpm, nginx and the queue worker. Sourced after common.sh by every script in bin/
# that serves. Sets $code (what is served), $state (what is kept) and $run (sockets and pid files).

# choose_places NAME: state in var/NAME of the clone, or, where a parent folder is closed to the servers' users, in
# /var/lib/larkspur/NAME with the code served from a copy there.
choose_places() {
  if reachable "$root"; then
    code=$root; state=$root/var/$1
  else
    code=/var/lib/larkspur/$1/code; state=/var/lib/larkspur/$1/state
    step "Copying the code to $code (a folder above this clone is closed to the servers’ users)"
    as_root install -d -m 755 /var/lib/larkspur "/var/lib/larkspur/$1" "$code"
    quietly as_root sh -c "cd '$root' && tar cf - --exclude=./var --exclude=./.git --exclude=./node_modules . | tar xf - -C '$code' --no-same-owner"
    quietly as_root chmod -R a+rX "$code"
  fi
  as_root install -d -m 755 "$state"
  run=$(socket_folder "$state")
  as_root install -d -o mysql -g mysql -m 755 "$run"
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
DB_PASSWORD=$(head -c 18 /dev/urandom | base64 | tr -d '/+=')
SESSION_DRIVER=database
SESSION_LIFETIME=720
CACHE_STORE=database
QUEUE_CONNECTION=database
FILESYSTEM_DISK=local
LOG_CHANNEL=single
LOG_LEVEL=warning
MAIL_MAILER=log
MAIL_LOG_CHANNEL=mail
BCRYPT_ROUNDS=10
ENV
    as_root chown "root:$web_user" "$state/env"
    as_root chmod 640 "$state/env"
  fi
}
setting() { as_root sed -n "s/^$1=//p" "$state/env"; }
put_setting() { as_root sed -i "s|^$1=.*|$1=$2|" "$state/env"; }

# Deletes the school of this place: its database, its files and its settings.
forget_school() { as_root rm -rf "$state/db" "$state/storage/app" "$state/env"; }

# The private database of this place, with its settings: open_database NAME FIRST_PORT
open_database() {
  local port; port=$(free_port "$2")
  make_settings "$1"
  put_setting DB_PORT "$port"
  # Settings that an earlier run kept in a cache would win over these.
  as_root sh -c "rm -f '$state'/cache/*.php"
  as_root install -d -m 755 "$state/db"
  start_database "$state/db" "$port" "$(setting DB_PASSWORD)" "$1"
  # The database's pid file lies beside its socket; stop_serving looks in one place.
  as_root ln -sf "$(socket_folder "$state/db")/db.pid" "$run/db.pid"
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

start_php_fpm() {
  { printf '[global]\npid = %s\nerror_log = %s\ndaemonize = yes\n\n[larkspur]\nuser = %s\ngroup = %s\nlisten = %s\nlisten.owner = %s\nlisten.group = %s\npm = static\npm.max_children = 4\ncatch_workers_output = yes\n' \
      "$run/fpm.pid" "$state/storage/logs/fpm.log" "$web_user" "$web_user" "$run/fpm.sock" "$web_user" "$web_user"
    printf 'php_admin_value[upload_max_filesize] = 256M\nphp_admin_value[post_max_size] = 257M\nphp_admin_value[memory_limit] = 1G\nphp_admin_value[max_execution_time] = 120\nphp_admin_value[upload_tmp_dir] = %s\nphp_admin_flag[expose_php] = off\n' "$state/tmp"
    php_environment | sed 's/^\([^=]*\)=\(.*\)$/env[\1] = "\2"/'
  } | as_root sh -c "cat >'$state/fpm.conf'"
  quietly as_root php-fpm8.2 -y "$state/fpm.conf" -d opcache.enable=1 -d opcache.memory_consumption=192 \
    -d opcache.max_accelerated_files=20000 \
    -d opcache.validate_timestamps=0 -d opcache.jit=tracing -d opcache.jit_buffer_size=64M
}

start_nginx() { # port [tls port]
  local tls=''
  if [ $# -gt 1 ]; then
    tls="listen 0.0.0.0:$2 ssl; ssl_certificate $state/tls/certificate.pem; ssl_certificate_key $state/tls/key.pem;"
  fi
  as_root install -d -m 755 "$state/nginx"
  as_root sh -c "cat >'$state/nginx.conf'" <<NGINX
user $web_user;
worker_processes 2;
pid $run/nginx.pid;
error_log $state/nginx/error.log;
events { worker_connections 512; }
http {
  include /etc/nginx/mime.types;
  default_type application/octet-stream;
  access_log off;
  sendfile on;
  server_tokens off;
  gzip on;
  gzip_types text/css application/javascript application/json application/problem+json image/svg+xml;
  client_max_body_size 257m;
  client_body_temp_path $state/nginx/body;
  fastcgi_temp_path $state/nginx/fastcgi;
  proxy_temp_path $state/nginx/proxy;
  scgi_temp_path $state/nginx/scgi;
  uwsgi_temp_path $state/nginx/uwsgi;
  server {
    listen 127.0.0.1:$1;
    $tls
    root $code/public;
    index index.php;
    add_header X-Content-Type-Options nosniff always;
    add_header Referrer-Policy same-origin always;
    add_header X-Frame-Options DENY always;
    add_header Content-Security-Policy "default-src 'self'; img-src 'self' data: blob:; style-src 'self' 'unsafe-inline'; worker-src 'self' blob:; frame-ancestors 'none'" always;
    location /build/ { expires 1y; add_header Cache-Control "public, immutable"; access_log off; }
    location / { try_files \$uri /index.php?\$query_string; }
    location = /index.php {
      include /etc/nginx/fastcgi_params;
      fastcgi_param HTTP_HOST \$host:\$server_port;
      fastcgi_param SCRIPT_FILENAME \$document_root/index.php;
      fastcgi_pass unix:$run/fpm.sock;
      fastcgi_read_timeout 130s;
    }
  }
}
NGINX
  quietly as_root nginx -c "$state/nginx.conf" -e "$state/nginx/error.log"
}

start_queue_worker() {
  local env=(); mapfile -t env < <(php_environment)
  as_root sh -c "cd / && setsid nohup runuser -u $web_user -- env ${env[*]} php -d opcache.enable_cli=1 -d opcache.jit=tracing -d opcache.jit_buffer_size=64M -d memory_limit=2G '$code/artisan' queue:work --sleep=0.2 --tries=1 --timeout=1800 --memory=1800 >>'$state/storage/logs/queue.log' 2>&1 </dev/null & echo \$! >'$run/queue.pid'"
}

# Everything that serves pages, and waits until it does: serve_pages PORT [TLS_PORT]
serve_pages() {
  start_php_fpm
  start_nginx "$@"
  start_queue_worker
  for _ in $(seq 100); do curl -fs -o /dev/null "http://127.0.0.1:$1/up" && return 0; sleep 0.1; done
  give_up "The web server does not answer; see $state/storage/logs."
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
  quietly artisan migrate --force
  quietly artisan optimize
  quietly artisan larkspur:demo
  serve_pages "$port"
}

running() { local pid; pid=$(as_root cat "$run/$1.pid" 2>/dev/null) && [ -n "$pid" ] && as_root kill -0 "$pid" 2>/dev/null; }

# Ends exactly what was started, by the ids that were written down.
stop_serving() {
  local name pid
  for name in queue nginx fpm db; do
    pid=$(as_root cat "$run/$name.pid" 2>/dev/null || true)
    [ -n "$pid" ] || continue
    if [ "$name" = queue ]; then
      # The worker is a child of the runuser that was started.
      for child in $(pgrep -P "$pid" 2>/dev/null || true); do stop_pid "$child"; done
      stop_pid "$pid"
    else
      case $name in nginx | fpm) stop_pid "$pid" QUIT ;; *) stop_pid "$pid" ;; esac
    fi
    as_root rm -f "$run/$name.pid"
  done
}
