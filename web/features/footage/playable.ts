import { filmFileUrl, footageEndpoints, type Film, type ImportStep } from '@wax-fist/contract/footage';
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

type TrackEndpoint = (typeof footageEndpoints)['filmPoints' | 'filmHolderPoints' | 'filmSecondPass'];
const trackOf =
  (by: ImportStep, endpoint: TrackEndpoint) =>
  async (film: Film): Promise<Track | undefined> =>
    film.steps.some(({ step, state }) => step === by && (state === 'done' || state === 'working'))
      ? requestBytes(endpoint, { filmId: film.id }).then(
          (packed) => (packed.length > 0 ? unpackTrack(0, packed) : undefined),
          () => undefined,
        )
      : undefined;
/** Where the body of whoever strikes was in every frame; undefined as long as it was not followed. */
export const pointsOf = trackOf('pose', footageEndpoints.filmPoints);
/** The same of whoever holds; undefined where nobody does. */
export const holderPointsOf = trackOf('holder', footageEndpoints.filmHolderPoints);
/** What a second pass has found round strikes; undefined where it has not looked. */
export const secondPassOf = trackOf('second-pass', footageEndpoints.filmSecondPass);
