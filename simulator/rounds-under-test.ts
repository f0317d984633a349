import { handOf, shippedCatalogue, techniqueIn } from '@wax-fist/core/technique';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Body } from './body/skeleton.ts';
import type { ThrownStrike } from './motion/thrown-round.ts';
import type { Thrown } from './motion/technique/thrown.ts';
import { checkedScene, type Scene, type SceneFault } from './scene.ts';

/** A short round that ships, to be changed by tests. */
export const baseScene = checkedScene(
  JSON.parse(readFileSync(join(import.meta.dirname, 'scenes', 'short-jab-cross.json'), 'utf8')),
);
export const scene = (change: Partial<Scene> = {}): Scene => ({ ...structuredClone(baseScene), faults: [], ...change });
export const many = (strike: Thrown, faults: SceneFault[] = []): Scene =>
  scene({ work: [{ strikes: [strike], times: 12 }], faults });

/** Names of the joints of the side that strikes, for an orthodox trainee. */
export const hand = ({ technique }: ThrownStrike): 'left' | 'right' =>
  handOf(techniqueIn(shippedCatalogue, technique).side, 'orthodox')!;
export const span = (from: number, to: number): number[] =>
  Array.from({ length: 21 }, (_, step) => from + ((to - from) * step) / 20);

/** Where a foot points, degrees from straight ahead towards the left. */
export const turnOf = (side: 'left' | 'right', joints: Body['joints']): number =>
  (Math.atan2(joints[`${side}Toe`].x - joints[`${side}Heel`].x, joints[`${side}Toe`].z - joints[`${side}Heel`].z) * 180) /
  Math.PI;
