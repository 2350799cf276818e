# Which processes are ours: written down as session, start time and machine start, so that a number that the system has given to somebody
# else is never taken for one of ours. Sourced by bash scripts; needs $run.

boot_of_machine() { cat /proc/sys/kernel/random/boot_id; }

# When a process began, in ticks since the machine did: begun PID
begun() { sed 's/.*) //' "/proc/$1/stat" 2>/dev/null | cut -d' ' -f20; }

# Writes down that PID leads the session of a service: own NAME PID
own() { printf '%s %s %s\n' "$2" "$(begun "$2")" "$(boot_of_machine)" >"$run/$1.own.new" && mv "$run/$1.own.new" "$run/$1.own"; }

# Processes of a service that are still there, of its session, whether or not their master is: left NAME
left() {
  local session start boot pid
  [ -f "$run/$1.own" ] || return 0
  read -r session start boot <"$run/$1.own"
  [ "$boot" = "$(boot_of_machine)" ] || return 0
  # While the leader's number is somebody else's, nobody of our session is left: the system does not give a session's number away.
  [ ! -e "/proc/$session" ] || [ "$(begun "$session")" = "$start" ] || return 0
  for pid in $(pgrep -s "$session" 2>/dev/null); do
    [ "$(begun "$pid")" -ge "$start" ] 2>/dev/null && printf '%s\n' "$pid"
  done
  return 0
}

# Whether the master of a service is there: alive NAME
alive() {
  local session start boot
  [ -f "$run/$1.own" ] || return 1
  read -r session start boot <"$run/$1.own"
  [ "$boot" = "$(boot_of_machine)" ] && [ -n "$start" ] && [ "$(begun "$session")" = "$start" ]
}

# Ends what is left of a service: asked first, then not: end_left NAME SECONDS
end_left() {
  local pids tries=$(($2 * 10))
  pids=$(left "$1")
  [ -n "$pids" ] || return 0
  kill -TERM $pids 2>/dev/null
  while [ "$tries" -gt 0 ] && [ -n "$(left "$1")" ]; do sleep 0.1; tries=$((tries - 1)); done
  pids=$(left "$1")
  [ -z "$pids" ] || kill -KILL $pids 2>/dev/null
  while [ -n "$(left "$1")" ]; do sleep 0.05; done
}
