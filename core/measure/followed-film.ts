import { bodySizeOf, usualGuardOf, type BodySide, type BodySize, type Track } from '../body/index.ts';
import type { FrameTimeline } from '../film/index.ts';
import type { Stance, View } from '../technique/index.ts';
import type { Px } from '../units.ts';

/** A film in which a body was followed, and what it tells of that body as a whole: what a sight is made of. */
export interface FollowedFilm {
  timeline: FrameTimeline;
  track: Track;
  size: BodySize;
  /** How far under the chin each wrist usually is. */
  guard: Readonly<Record<BodySide, Px>>;
  view: View;
  stance: Stance;
}

/** A film as the body in it was followed; undefined when nobody is in it. */
export function followedFilm({ track, ...film }: Omit<FollowedFilm, 'size' | 'guard'>): FollowedFilm | undefined {
  const size = bodySizeOf(track);
  return size && { ...film, track, size, guard: usualGuardOf(track) };
}
