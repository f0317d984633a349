import {
  bodySizeOf,
  usualGuardOf,
  withPins,
  type BodySide,
  type BodySize,
  type Pin,
  type PinnedTrack,
  type Track,
} from '../body/index.ts';
import type { FrameTimeline } from '../film/index.ts';
import type { Stance, View } from '../technique/index.ts';
import type { Px } from '../units.ts';
import { viewOfHolder } from './sight.ts';
import { unlearned, type Widenings } from './widening.ts';

/** A film in which a body was followed, and what it tells of that body as a whole: what a sight is made of. */
export interface FollowedFilm {
  timeline: FrameTimeline;
  /** How large it is: what a model tells of places outside of it, it has made up. */
  picture: { width: Px; height: Px };
  /** With what was put right by hand. */
  track: Track & Partial<Pick<PinnedTrack, 'held'>>;
  size: BodySize;
  /** How far under the chin each wrist usually is. */
  guard: Readonly<Record<BodySide, Px>>;
  view: View;
  stance: Stance;
  /** How much more is doubted of points than trials say, as the club’s own checks tell. */
  widenings: Widenings;
  /** The same film as whoever holds was followed in it, who faces the other way; undefined where nobody was. */
  holder?: FollowedFilm | undefined;
}
type AsFollowed = Omit<FollowedFilm, 'size' | 'guard' | 'widenings' | 'holder'> &
  Partial<Pick<FollowedFilm, 'widenings'>> & { holder?: Track | undefined };

/** A film as the body in it was followed, and whoever holds, where a track of theirs is given; undefined when nobody is in it. */
export function followedFilm({ track, holder, widenings = unlearned, ...film }: AsFollowed): FollowedFilm | undefined {
  const size = bodySizeOf(track);
  if (!size) return undefined;
  const held = holder && followedFilm({ ...film, widenings, track: holder, view: viewOfHolder[film.view] });
  return { ...film, track, widenings, size, guard: usualGuardOf(track), holder: held };
}

/**
 * The same film with points put right by hand. What it tells of the body as a whole stays: one pin changes what is measured beside
 * it, and nothing else.
 * @param film as it was found
 */
export const pinnedFilm = (film: FollowedFilm, pins: readonly Pin[]): FollowedFilm =>
  pins.length === 0 ? film : { ...film, track: withPins(film.track, film.timeline, pins) };
