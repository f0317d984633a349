import type { ReferenceStill } from '@wax-fist/contract/stills';
import allAreas from './areas.json';
import { picturesOf, schoolStill, shippedCatalogue, stillFor, type School } from '@wax-fist/core/technique';

/** Pictures that ship, made from the simulated trainee by `bin/simulate stills`. */
const pictures = import.meta.glob<string>('./pictures/*/*.webp', { eager: true, query: '?url', import: 'default' });

/** What of each of them a checkpoint is about: left, top and size in thousandths, from the true points of the simulated trainee. */
const areas = allAreas as unknown as Readonly<Record<string, Record<string, readonly [number, number, number]>>>;

/** A picture that ships, and the part of it that a row is about; the whole where none is told. */
export interface Still {
  src: string;
  area: readonly [left: number, top: number, size: number] | undefined;
}

/** The first picture of a name among folders. */
function found(folders: readonly string[], names: readonly string[], checkpointId: string): Still | undefined {
  const key = names.flatMap((name) => folders.map((folder) => `${folder}/${name}`)).find((one) => pathOf(one) in pictures);
  return key === undefined ? undefined : { src: pictures[pathOf(key)]!, area: areas[key]?.[checkpointId] };
}
const pathOf = (key: string): string => `./pictures/${key}.webp`;

/** How a checkpoint looks as a school teaches it, where that can be seen and is not as usual. A stance is pictured with a jab. */
export function schoolPicture(technique: string, checkpointId: string, school: School): Still | undefined {
  const checkpoint = shippedCatalogue.checkpoints.get(checkpointId);
  return (
    checkpoint &&
    found(
      [...picturesOf(technique), 'jab'],
      Object.entries(school.choices).map(([switchId, choice]) => schoolStill(checkpointId, switchId, choice)),
      checkpointId,
    )
  );
}

/** The still that ships for a row; undefined when there is none. */
export function shippedStill(technique: string, checkpointId: string, kind: ReferenceStill['kind']): Still | undefined {
  const checkpoint = shippedCatalogue.checkpoints.get(checkpointId);
  if (!checkpoint) return undefined;
  const { view, moment } = stillFor(checkpoint);
  return found(picturesOf(technique), [kind === 'fault' ? `${checkpointId}.fault` : `${view}.${moment}`], checkpointId);
}
