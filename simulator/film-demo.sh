#!/usr/bin/env bash
# Films every clip of the demo club that is not there yet; stop it and start it again at any time.
# simulator/film-demo.sh [folder]
set -euo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/.."
folder="${1:-simulator/footage}"
mkdir -p "$folder"
for file in simulator/scenes/*.json; do
  scene="$(basename "$file" .json)"
  # For trying things, not of the demo.
  [ "$scene" = short-jab-cross ] && continue
  for view in $(node -p 'JSON.parse(require("fs").readFileSync(process.argv[1], "utf8")).cameras.map(({ view }) => view).join(" ")' "$file"); do
    clip="$folder/$scene-$view"
    [ -f "$clip.truth.json.gz" ] && continue
    echo "$clip"
    bin/simulate render "$scene" --view "$view" --out "$clip.part.mp4" --truth "$clip.part.gz"
    mv "$clip.part.mp4" "$clip.mp4"
    mv "$clip.part.gz" "$clip.truth.json.gz"
  done
done
