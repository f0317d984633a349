import type { ReferenceStill } from '@wax-fist/contract/technique';
import { shippedCatalogue, stillFor } from '@wax-fist/core/technique';

/** Pictures that ship, made from the simulated trainee by `bin/wax stills`. */
const pictures = import.meta.glob<string>('./stills/*/*.webp', { eager: true, query: '?url', import: 'default' });

/** The address of a still that ships; undefined when there is none. */
export function shippedStill(technique: string, checkpointId: string, kind: ReferenceStill['kind']): string | undefined {
  const checkpoint = shippedCatalogue.checkpoints.get(checkpointId);
  if (!checkpoint) return undefined;
  const { view, moment } = stillFor(checkpoint);
  return pictures[`./stills/${technique}/${kind === 'fault' ? `${checkpointId}.fault` : `${view}.${moment}`}.webp`];
}
