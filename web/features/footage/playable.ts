import { filmFileUrl, footageEndpoints, type Film } from '@wax-fist/contract/footage';
import { unpackTrack, type Track } from '@wax-fist/core/body';
import { unpackTimeline } from '@wax-fist/core/film';
import { requestBytes } from '../../app/request.ts';
import type { PlayableFilm } from '../../player/frame-source.ts';

/** A film as the player wants it. @throws Refused, Unreachable */
export async function playableOf(film: Film): Promise<PlayableFilm> {
  return {
    url: filmFileUrl(film.id, 'film.mp4'),
    timeline: unpackTimeline(await requestBytes(footageEndpoints.filmTimeline, { filmId: film.id })),
    firstFrameAt: film.firstFrameAt ?? 0,
  };
}

/** What follows bodies in a film, and where its points are. */
const pointsBy = {
  pose: footageEndpoints.filmPoints,
  holder: footageEndpoints.filmHolderPoints,
  'second-pass': footageEndpoints.filmSecondPass,
} as const;
export type FollowingStep = keyof typeof pointsBy;
/** Where a body was in a film; undefined where nobody was followed, or not yet. @throws Refused, Unreachable */
export type FetchTrack = (film: Film) => Promise<Track | undefined>;

const trackOf =
  (by: FollowingStep): FetchTrack =>
  async (film) => {
    if (!film.steps.some(({ step, state }) => step === by && (state === 'done' || state === 'working'))) return undefined;
    const packed = await requestBytes(pointsBy[by], { filmId: film.id });
    return packed.length > 0 ? unpackTrack(0, packed) : undefined;
  };
/** Where the body of whoever strikes was in every frame; undefined as long as it was not followed. */
export const pointsOf = trackOf('pose');
/** The same of whoever holds; undefined where nobody does. */
export const holderPointsOf = trackOf('holder');
/** What a second pass has found round strikes; undefined where it has not looked. */
export const secondPassOf = trackOf('second-pass');
