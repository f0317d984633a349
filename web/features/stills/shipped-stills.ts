import type { ReferenceStill } from '@wax-fist/contract/stills';
import { picturesOf, schoolStill, shippedCatalogue, stillFor, type School } from '@wax-fist/core/technique';

/** Pictures that ship, made from the simulated trainee by `bin/simulate stills`. */
const pictures = import.meta.glob<string>('./pictures/*/*.webp', { eager: true, query: '?url', import: 'default' });

/** The first picture of a name among folders. */
function found(folders: readonly string[], names: readonly string[]): string | undefined {
  const path = names
    .flatMap((name) => folders.map((folder) => `./pictures/${folder}/${name}.webp`))
    .find((one) => one in pictures);
  return path && pictures[path];
}

/** How a checkpoint looks as a school teaches it, where that can be seen and is not as usual. A stance is pictured with a jab. */
export const schoolPicture = (technique: string, checkpointId: string, school: School): string | undefined =>
  found(
    [...picturesOf(technique), 'jab'],
    Object.entries(school.choices).map(([switchId, choice]) => schoolStill(checkpointId, switchId, choice)),
  );

/** The address of a still that ships; undefined when there is none. */
export function shippedStill(technique: string, checkpointId: string, kind: ReferenceStill['kind']): string | undefined {
  const checkpoint = shippedCatalogue.checkpoints.get(checkpointId);
  if (!checkpoint) return undefined;
  const { view, moment } = stillFor(checkpoint);
  return found(picturesOf(technique), [kind === 'fault' ? `${checkpointId}.fault` : `${view}.${moment}`]);
}
