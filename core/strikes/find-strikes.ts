import { bodySizeOf, type Track } from '../body/index.ts';
import type { FrameTimeline } from '../film/index.ts';
import { networkOf, type Network } from '../network/index.ts';
import type { Candidate } from '../sound/hit.ts';
import type { Ratio } from '../units.ts';
import { isSeenAt, motionOf } from './body-motion.ts';
import { foundStrikes, type FoundStrike } from './found-strikes.ts';
import { keptEyes } from './kept-eyes.ts';
import { seeStrikes } from './see-strikes.ts';

/** A side from which strikes are told apart. */
export type SeenSide = keyof typeof keptEyes;

/** A film in which somebody may have been followed. */
export interface FilmToSearch {
  timeline: FrameTimeline;
  /** Undefined where nobody was followed. */
  track: Track | undefined;
  /** Where the camera stands. */
  view: string;
  /** Whether the left hand and foot are in front. */
  leftLeads: boolean;
}

/**
 * A sound without a limb of this trainee out there is somebody else’s, or a foot: so much of its chance stays. From the front a bag
 * and the body itself hide hooks, so it may have been this trainee after all.
 */
const unseenShare: Readonly<Record<SeenSide, Ratio>> = { 'lead-side': 0.15, 'rear-side': 0.15, quarter: 0.3, front: 0.7 };

const networks = new Map<SeenSide, Network>();
function networkFor(side: SeenSide): Network {
  const ready = networks.get(side) ?? networkOf(keptEyes[side]);
  networks.set(side, ready);
  return ready;
}
const isSeenSide = (view: string): view is SeenSide => Object.hasOwn(keptEyes, view);

/** Strikes and defences of whoever was followed, by ear and eye as one. @param heard as `findHits` gives them; empty where nothing is heard */
export function findStrikes({ timeline, track, view, leftLeads }: FilmToSearch, heard: readonly Candidate[]): FoundStrike[] {
  const size = track && bodySizeOf(track);
  if (!size || !isSeenSide(view)) return foundStrikes(heard, [], () => 1);
  const motion = motionOf({ timeline, track, torso: size.torso, leftLeads });
  return foundStrikes(heard, seeStrikes(motion, networkFor(view)), (time) => (isSeenAt(motion, time) ? unseenShare[view] : 1));
}
