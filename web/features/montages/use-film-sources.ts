import { footageEndpoints } from '@wax-fist/contract/footage';
import { onScopeDispose } from 'vue';
import { request } from '../../app/request.ts';
import type { FrameSource } from '../../player/frame-source.ts';
import { openFrames } from '../../player/open-frames.ts';
import { playableOf } from '../footage/playable.ts';

/** A film that is open. */
export interface OpenFilm {
  source: FrameSource;
  timeline: Float64Array;
}

/** Films are opened once, and closed with the page. */
export function useFilmSources(): (filmId: string) => Promise<OpenFilm> {
  const opened = new Map<string, Promise<OpenFilm>>();
  onScopeDispose(() => {
    for (const one of opened.values()) void one.then(({ source }) => source.close()).catch(() => undefined);
  });
  return (filmId) => {
    const known =
      opened.get(filmId) ??
      request(footageEndpoints.showFilm, { params: { filmId } }).then(async (film) => {
        const playable = await playableOf(film);
        return { source: openFrames(playable), timeline: playable.timeline };
      });
    opened.set(filmId, known);
    return known;
  };
}
