#!/usr/bin/env bash
# Films the people of the trials, or of those named, and follows their bodies: only truths and points are kept, which is all that
# measures are tried on. What is there already is left. From the lead side nine strikes are looked at once more, spread over the film.
set -euo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/.."
folder="$(mktemp -d)"
trap 'rm -rf "$folder"' EXIT
landings() {
  node -e '
    const { strikes } = JSON.parse(require("zlib").gunzipSync(require("fs").readFileSync(process.argv[1])));
    const every = Math.max(1, strikes.length / 9);
    const chosen = strikes.filter((_, place) => Math.floor(place / every) !== Math.floor((place - 1) / every));
    process.stdout.write(chosen.map(({ contact }) => (contact / 1000).toFixed(3)).join(","));' "$1"
}
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
    again=()
    [ "$view" = lead-side ] && again=(--again "simulator/trials/$clip.second-pass.gz" --at "$(landings "$folder/$clip.gz")")
    bin/wax pose "$folder/$clip.mp4" --out "$folder/$clip.points.gz" "${held[@]}" "${again[@]}"
    mv "$folder/$clip.gz" "simulator/trials/$clip.truth.json.gz"
    mv "$folder/$clip.points.gz" "simulator/trials/$clip.points.gz"
  done
done
