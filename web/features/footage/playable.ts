import { filmFileUrl, footageEndpoints, type Film } from '@wax-fist/contract/footage';
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
