import type { ReferenceStill } from '@wax-fist/contract/technique';

/** Pictures that ship, made from the simulated trainee by `bin/wax stills`: `technique/checkpoint.kind.webp`. */
const pictures = import.meta.glob<string>('./stills/*/*.webp', { eager: true, query: '?url', import: 'default' });

/** The address of a still that ships; undefined when there is none. */
export const shippedStill = (technique: string, checkpoint: string, kind: ReferenceStill['kind']): string | undefined =>
  pictures[`./stills/${technique}/${checkpoint}.${kind}.webp`];
