#!/usr/bin/env bash
# Films every clip of the demo club that is not there yet; stop it and start it again at any time.
set -euo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/.."
for wanted in maren-first:lead-side maren-first:front maren-second:lead-side maren-second:front tove-first:lead-side tove-rounds:lead-side; do
  scene="${wanted%:*}" view="${wanted#*:}"
  clip="simulator/footage/$scene-$view"
  [ -f "$clip.truth.json.gz" ] && continue
  echo "$clip"
  bin/wax render "$scene" --view "$view" --out "$clip.part.mp4" --truth "$clip.part.gz"
  mv "$clip.part.mp4" "$clip.mp4"
  mv "$clip.part.gz" "$clip.truth.json.gz"
done
