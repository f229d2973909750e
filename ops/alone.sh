#!/bin/sh
# Runs a program alone: what a life of it before has left behind goes first. Whoever kills a parent at once leaves
# children that go on answering with what they know, and hold the ports and sockets their next parent needs.
#   ops/alone.sh FILE COMMAND...    FILE keeps the process group, which the supervisor makes for each program
set -u
kept=$1
shift
if [ -s "$kept" ] && [ "$(cat "$kept")" != "$$" ]; then
    kill -s KILL -- "-$(cat "$kept")" 2>/dev/null && sleep 0.2
fi
echo $$ >"$kept"
exec "$@"
