import { doubtedFilm, followedFilm, pinnedFilm, withFoundMoments, type FollowedFilm } from '@wax-fist/core/measure';
import type { StrikeMoments } from '@wax-fist/core/strikes';
import type { Technique } from '@wax-fist/core/technique';
import { computed, type ComputedRef, type Ref } from 'vue';
import { useWidenings } from '../point-checks/widenings-store.ts';
import { useReview } from './review-store.ts';
import type { BenchData } from './use-bench-data.ts';
import { useTracks, type FilmTracks } from './use-tracks.ts';

/** A film as the body in it was followed; both are undefined until its points are here, and where nobody was followed. */
export interface FilmWithBody {
  /** As the model has found it. */
  found: Readonly<Ref<FollowedFilm | undefined>>;
  /** With what was put right by hand. */
  followed: ComputedRef<FollowedFilm | undefined>;
  /** A strike with what the path of its limb tells of moments that are only guessed, as long as the body was followed. */
  withFound: <Strike extends StrikeMoments>(technique: Technique, guess: Strike) => Strike;
  /** Shows the film as somebody was followed in it since. */
  show: FilmTracks['show'];
}

export function useFollowedFilm(data: BenchData): FilmWithBody {
  const { playable, film, stance } = data;
  const review = useReview();
  const widenings = useWidenings();
  void widenings.load();
  const { striker, holder, again, show } = useTracks(data);
  const found = computed(() => {
    const { timeline } = playable;
    const picture = { width: film.width!, height: film.height! };
    const [track, others] = [striker.value, { holder: holder.value, secondPass: again.value }];
    return track && followedFilm({ timeline, track, ...others, picture, view: film.view, stance });
  });
  const followed = computed(() => found.value && pinnedFilm(doubtedFilm(found.value, widenings.now), review.pins));
  return {
    found,
    show,
    followed,
    withFound: (technique, guess) => (followed.value ? withFoundMoments(followed.value, guess, technique) : guess),
  };
}
