import {
  bodySizeOf,
  hasBody,
  overlaidTrack,
  pieceOfTrack,
  usualGuardOf,
  withPins,
  type BodySide,
  type BodySize,
  type Pin,
  type PinnedTrack,
  type Track,
} from '../body/index.ts';
import { frameAt, timeOf, type FrameTimeline } from '../film/index.ts';
import type { StrikeMoments } from '../strikes/index.ts';
import type { Stance, View } from '../technique/index.ts';
import type { Ms, Px } from '../units.ts';
import { viewOfHolder } from './sight.ts';
import type { Steadiness } from './seen.ts';
import { steadyTrack } from './steady-track.ts';
import { unlearned, type Widenings } from './widening.ts';

/** A film in which a body was followed, and what it tells of that body as a whole: what a sight is made of. */
export interface FollowedFilm {
  timeline: FrameTimeline;
  /** How large it is: what a model tells of places outside of it, it has made up. */
  picture: { width: Px; height: Px };
  /** With what was put right by hand. */
  track: Track & Partial<Pick<PinnedTrack, 'held'>>;
  /** The same as it was found, and what was put right in it. */
  found: Track;
  pins: readonly Pin[];
  size: BodySize;
  /** How far under the chin each wrist usually is. */
  guard: Readonly<Record<BodySide, Px>>;
  view: View;
  stance: Stance;
  /** How much more is doubted of points than trials say, as the club’s own checks tell. */
  widenings: Widenings;
  /** The same film as whoever holds was followed in it, who faces the other way; undefined where nobody was. */
  holder?: FollowedFilm | undefined;
  /** The same film with what a second pass has found instead, where it has looked; undefined where there was none. */
  again?: FollowedFilm | undefined;
  /** What that pass has looked at, and nothing else. */
  secondPass?: Track | undefined;
}
type AsFollowed = Omit<FollowedFilm, 'found' | 'pins' | 'size' | 'guard' | 'widenings' | 'holder' | 'again'> &
  Partial<Pick<FollowedFilm, 'widenings'>> & { holder?: Track | undefined };

/**
 * A film as the body in it was followed, whoever holds, and what a second pass has found, where tracks of these are given; undefined when
 * nobody is in it. What it tells of the body as a whole is what the first pass says, which has seen all of it.
 */
export function followedFilm({
  track,
  holder,
  widenings = unlearned,
  secondPass,
  ...film
}: AsFollowed): FollowedFilm | undefined {
  const size = bodySizeOf(track);
  if (!size) return undefined;
  const held = holder && followedFilm({ ...film, widenings, track: holder, view: viewOfHolder[film.view] });
  const asFound = (found: Track) => ({ track: found, found, pins: [] });
  const followed = { ...film, ...asFound(track), widenings, size, guard: usualGuardOf(track), holder: held };
  if (!secondPass) return followed;
  return { ...followed, secondPass, again: { ...followed, ...asFound(overlaidTrack(track, secondPass)) } };
}

/** Whether a second pass has looked at a strike, and found somebody from its launch until it is home. */
export function isLookedAtAgain({ secondPass }: FollowedFilm, { launchFrame, homeFrame }: StrikeMoments): boolean {
  if (!secondPass) return false;
  for (let frame = launchFrame; frame <= homeFrame; frame++) if (!hasBody(secondPass, frame)) return false;
  return true;
}

/** The same film, of whose points so much more is doubted than trials say. */
export const doubtedFilm = ({ holder, again, ...film }: FollowedFilm, widenings: Widenings): FollowedFilm => ({
  ...film,
  widenings,
  holder: holder && doubtedFilm(holder, widenings),
  again: again && doubtedFilm(again, widenings),
});

/**
 * The same film with points put right by hand. What it tells of the body as a whole stays: one pin changes what is measured beside
 * it, and nothing else.
 * @param film as it was found
 */
export const pinnedFilm = (film: FollowedFilm, pins: readonly Pin[]): FollowedFilm =>
  pins.length === 0
    ? film
    : { ...film, pins, track: withPins(film.found, film.timeline, pins), again: film.again && pinnedFilm(film.again, pins) };

/** What was steadied before, of tracks as they were found and by how they were seen: pins change nothing of it. */
const steadyTracks = new WeakMap<Track, Map<string, Track>>();
/**
 * The same film read from a steadier track; pins are where they were put.
 * @param round a strike that it is asked for: beyond what pins and measures reach from there, nobody need be in it
 */
export function steadyFilm(film: FollowedFilm, steadiness: Steadiness, round?: StrikeMoments): FollowedFilm {
  if (steadiness === 'found') return film;
  const known = steadyTracks.get(film.found) ?? new Map<string, Track>();
  steadyTracks.set(film.found, known);
  const how = [film.view, film.stance, steadiness].join(' ');
  const track = known.get(how) ?? steadyTrack(film.found, film, steadiness);
  known.set(how, track);
  if (film.pins.length === 0) return { ...film, track };
  const piece = round ? pieceRound(film.timeline, track, round) : track;
  return { ...film, track: withPins(piece, film.timeline, film.pins) };
}
/** Pins are put anew at every move of one: the whole of a long film would be copied each time. */
function pieceRound(timeline: FrameTimeline, track: Track, { launchFrame, homeFrame }: StrikeMoments): Track {
  const from = frameAt(timeline, Math.max(0, timeOf(timeline, launchFrame) - reachesFurthest));
  const to = frameAt(timeline, timeOf(timeline, homeFrame) + reachesFurthest);
  return pieceOfTrack(track, from, to - from + 1);
}
const reachesFurthest: Ms = 3000;
