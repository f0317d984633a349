import { followedFilm, type FollowedFilm } from '@wax-fist/core/measure';
import { shallowRef, type ShallowRef } from 'vue';
import type { BenchData } from './use-bench-data.ts';

/** The film as the body in it was followed; undefined until its points are here, and where nobody was. */
export function useFollowedFilm({ points, playable, film, session }: BenchData): Readonly<ShallowRef<FollowedFilm | undefined>> {
  const followed = shallowRef<FollowedFilm>();
  void points?.then((track) => {
    const { timeline } = playable;
    followed.value = track && followedFilm({ timeline, track, view: film.view, stance: session.trainee.stance });
  });
  return followed;
}
