#!/usr/bin/env bash
# Fetches the Debian packages whose recordings the ears are trained and tried on, and unpacks them without installing any: see
# simulator/recordings/sources.ts. The folder and the uses (training, tuning, proof) are named.
set -euo pipefail
source "$(dirname "${BASH_SOURCE[0]}")/../bin/lib.sh"
[ $# -ge 2 ] || fail 'usage: simulator/fetch-recordings.sh <folder> <use> …'
need_packages ffmpeg unzip
need_libraries
folder="$1"
shift
mkdir -p "$folder"
for package in $(node --import tsx simulator/recordings/list-packages.ts "$@"); do
  [ -d "$folder/$package" ] && continue
  say "Fetching recordings: $package"
  fetched="$(mktemp -d "${TMPDIR:-/tmp}/wax-fist-recordings.XXXXXX")"
  chmod 755 "$fetched"
  (cd "$fetched" && apt-get download -qq "$package" 2>/dev/null) || fail "The package $package could not be fetched. Is the network there?"
  dpkg-deb -x "$fetched"/*.deb "$fetched/unpacked"
  find "$fetched/unpacked" -name '*.pk3' -execdir unzip -qo {} '*.wav' '*.ogg' \; 2>/dev/null || true
  mv "$fetched/unpacked" "$folder/$package"
  rm -rf "$fetched"
done
