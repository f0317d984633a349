#!/usr/bin/env bash
# Films the people of the trials, or of those named, and follows their bodies: only truths and points are kept, which is all that
# measures are tried on. What is there already is left.
set -euo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/.."
folder="$(mktemp -d)"
trap 'rm -rf "$folder"' EXIT
[ $# -gt 0 ] || set -- simulator/trials/*.json
for file in "$@"; do
  # Figures that the bench has learned lie beside them.
  for view in $(node -p "require('./$file').cameras?.map(({ view }) => view).join(' ') ?? ''"); do
    clip="$(basename "$file" .json)-$view"
    [ -f "simulator/trials/$clip.points.gz" ] && continue
    echo "$clip"
    bin/simulate render "$file" --view "$view" --out "$folder/$clip.mp4" --truth "$folder/$clip.gz"
    held=()
    grep -q '"holder"' "$file" && held=(--holder "simulator/trials/$clip.holder.gz")
    bin/wax pose "$folder/$clip.mp4" --out "$folder/$clip.points.gz" "${held[@]}"
    mv "$folder/$clip.gz" "simulator/trials/$clip.truth.json.gz"
    mv "$folder/$clip.points.gz" "simulator/trials/$clip.points.gz"
  done
done
