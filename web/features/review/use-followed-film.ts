import { followedFilm, pinnedFilm, type FollowedFilm } from '@wax-fist/core/measure';
import { computed, shallowRef, type ComputedRef, type Ref } from 'vue';
import { useReview } from './review-store.ts';
import type { BenchData } from './use-bench-data.ts';

/** A film as the body in it was followed; both are undefined until its points are here, and where nobody was followed. */
export interface FilmWithBody {
  /** As the model has found it. */
  found: Readonly<Ref<FollowedFilm | undefined>>;
  /** With what was put right by hand. */
  followed: ComputedRef<FollowedFilm | undefined>;
}

export function useFollowedFilm({ points, playable, film, session }: BenchData): FilmWithBody {
  const review = useReview();
  const found = shallowRef<FollowedFilm>();
  void points?.then((track) => {
    const { timeline } = playable;
    found.value = track && followedFilm({ timeline, track, view: film.view, stance: session.trainee.stance });
  });
  return { found, followed: computed(() => found.value && pinnedFilm(found.value, review.pins)) };
}
