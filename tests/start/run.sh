#!/usr/bin/env bash
# bin/start as a person meets it: a first start, a taken port, a half-made database, a killed run, Ctrl-C.
# Runs on a THICKET_VAR of its own, beside whatever else is running.
set -u
cd "$(dirname "$0")/../.." || exit 2
place="$(mktemp -d)"; chmod 755 "$place"
export THICKET_VAR="$place" THICKET_DIST_NAME=dist-test THICKET_PORT=8985 PATH
log="$place/start.log"
passed=0 failed=0
holder=""

# Says how one expectation went: name, then a command that must succeed.
expect() {
  local name="$1"; shift
  if "$@"; then
    passed=$((passed + 1)); echo "ok    $name"
  else
    failed=$((failed + 1)); echo "FAIL  $name"; sed 's/^/      /' "$log" | tail -n 15
  fi
}
begin() { # options of bin/start; waits until it serves or gives up
  : > "$log"
  # a process group of its own, so that Ctrl-C reaches it as it does from a terminal
  setsid bash bin/start "$@" >"$log" 2>&1 9>&- &
  run=$!
  for _ in $(seq 1 240); do
    grep -q '^Gallant Thicket is at' "$log" && break
    kill -0 "$run" 2>/dev/null || break
    sleep 0.5
  done
}
address() { sed -n 's/^Gallant Thicket is at //p' "$log"; }
serves() { [ "$(curl -s -o /dev/null -w '%{http_code}' "$(address)/api/v1/health")" = 200 ]; }
says() { grep -q "$1" "$log"; }
ours() { pgrep -f "$place" >/dev/null; }
nothing_left() { for _ in $(seq 1 60); do ours || return 0; sleep 0.25; done; pgrep -af "$place"; return 1; }
interrupt() { kill -INT -- "-$run" 2>/dev/null; wait "$run" 2>/dev/null; }
finish() {
  kill -KILL -- "-${run:-0}" 2>/dev/null
  pkill -KILL -f "$place"
  [ -n "$holder" ] && kill "$holder" 2>/dev/null
  rm -rf "$place"
}
secrets_are_closed() {
  ! find "$place" -type f \( -name '*key*' -o -name '*password*' -o -name .env \) \
    -path '*/start/*' ! -path '*/mariadb/*' ! -perm 600 | grep -q .
}
of_env() { sed -n "s/^$1=//p" "$place/start/.env"; }
database_as() { # account, its further options, a statement
  mariadb --no-defaults -h127.0.0.1 -P"$(of_env DB_PORT)" -u"$1" "${@:2:$#-2}" -e "${*: -1}" >/dev/null 2>&1
}
root_is_shut() { ! database_as root 'SELECT 1'; }
tables_are_shut() {
  local mine=("-p$(of_env DB_PASSWORD)" thicket)
  ! database_as thicket "${mine[@]}" 'DROP TRIGGER records_sealed_update' && database_as thicket "${mine[@]}" 'SELECT 1'
}
art() { THICKET_VAR="$place/start" php artisan "$@" >>"$log" 2>&1; }
refused() { ! art "$@"; }
says_now() { local wanted="$1"; shift; : > "$log"; "$@"; says "$wanted"; }
zip_broken() { # one letter of one table is another
  php -r '$z = new ZipArchive(); $z->open($argv[1]); $t = $z->getFromName("tables/grounds.jsonl");
    $z->addFromString("tables/grounds.jsonl", preg_replace("/elevation/", "Elevation", $t, 1)); $z->close();' "$1"
}
second_is_refused() { bash bin/start --empty 2>&1 | grep -q 'another bin/start of this checkout is running'; }
trap finish EXIT

begin --empty
expect 'a first start serves' serves
expect 'an empty installation prints a setup code' says '^Setup code for the first account: '
expect 'the page is the application' bash -c "curl -s '$(address)/' | grep -q 'Gallant Thicket'"
expect 'keys and passwords are their owner'\''s alone' secrets_are_closed
expect 'nobody rules the database over the network' root_is_shut
expect 'the application may not touch its tables' tables_are_shut
expect 'a second start at the same time is refused plainly' second_is_refused
interrupt
expect 'Ctrl-C stops all that it started' nothing_left

php -r '$s = stream_socket_server("tcp://127.0.0.1:8985"); sleep(120);' & holder=$!
sleep 0.5
SECONDS=0
begin --empty
expect 'a taken port is said and another is used' says '^Port 8985 is taken by something else; using '
expect 'it serves there' serves
echo "      a second start took $SECONDS s"
kill "$holder" 2>/dev/null; holder=""
kill -KILL -- "-$run"; kill -KILL "$run" 2>/dev/null; wait "$run" 2>/dev/null
expect 'a killed run leaves its servers behind' ours
begin --empty
expect 'the next start ends them and serves' serves
expect 'on the port it wanted' test "$(address)" = http://127.0.0.1:8985
interrupt
expect 'and stops cleanly' nothing_left

rm -f "$place/start/mariadb/.complete"
begin
expect 'a half-made database is made anew' says '^An earlier start broke off while making the database'
expect 'with the demo and its sign-ins' says '^Demo sign-ins '
expect 'all of a crew is written as one file' art thicket:bundle "$place/one.zip"
interrupt
rm -rf "$place/start/storage/app/photos"
begin --fresh --empty
broken="$place/broken.zip"; cp "$place/one.zip" "$broken"; zip_broken "$broken"
expect 'a file that was changed on the way is refused' refused thicket:take-in "$broken"
expect 'and nothing of it is kept' says_now '^Setup code' art thicket:prepare --empty
expect 'an empty installation takes it in' art thicket:take-in "$place/one.zip"
expect 'and no second one' refused thicket:take-in "$place/one.zip"
expect 'it verifies there under the new key' art thicket:verify
expect 'written again' art thicket:bundle "$place/two.zip"
expect 'it is the same crew' php tests/start/same-bundle.php "$place/one.zip" "$place/two.zip"
interrupt
THICKET_NOW=someday begin
expect 'a clock that cannot be read is refused plainly' says 'THICKET_NOW or THICKET_TODAY cannot be read'
expect 'and leaves nothing running' nothing_left

echo "$passed passed, $failed failed"
[ "$failed" = 0 ]
