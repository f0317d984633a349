import type { Track } from '@wax-fist/core/body';
import { doubtedFilm, followedFilm, pinnedFilm, withFoundMoments, type FollowedFilm } from '@wax-fist/core/measure';
import type { StrikeMoments } from '@wax-fist/core/strikes';
import type { Technique } from '@wax-fist/core/technique';
import { computed, shallowRef, type ComputedRef, type Ref } from 'vue';
import { useWidenings } from '../point-checks/widenings-store.ts';
import { useReview } from './review-store.ts';
import type { BenchData } from './use-bench-data.ts';

/** A film as the body in it was followed; both are undefined until its points are here, and where nobody was followed. */
export interface FilmWithBody {
  /** As the model has found it. */
  found: Readonly<Ref<FollowedFilm | undefined>>;
  /** With what was put right by hand. */
  followed: ComputedRef<FollowedFilm | undefined>;
  /** A strike with what the path of its limb tells of moments that are only guessed, as long as the body was followed. */
  withFound: <Strike extends StrikeMoments>(technique: Technique, guess: Strike) => Strike;
  /** Shows the film as somebody was followed in it since. */
  show: (track: Track) => void;
}

export function useFollowedFilm({ points, holderPoints, secondPass, playable, film, stance }: BenchData): FilmWithBody {
  const review = useReview();
  const widenings = useWidenings();
  void widenings.load();
  const [striker, holder, again] = [shallowRef<Track>(), shallowRef<Track>(), shallowRef<Track>()];
  const found = computed(() => {
    const { timeline } = playable;
    const picture = { width: film.width!, height: film.height! };
    const [track, others] = [striker.value, { holder: holder.value, secondPass: again.value }];
    return track && followedFilm({ timeline, track, ...others, picture, view: film.view, stance });
  });
  void points?.then((track) => (striker.value ??= track));
  void holderPoints?.then((track) => (holder.value = track));
  void secondPass?.then((track) => (again.value = track));
  /** What was followed beside somebody else, or of them, is there again when the bench is opened anew. */
  const show = (track: Track): void => {
    holder.value = again.value = undefined;
    striker.value = track;
  };
  const followed = computed(() => found.value && pinnedFilm(doubtedFilm(found.value, widenings.now), review.pins));
  return {
    found,
    show,
    followed,
    withFound: (technique, guess) => (followed.value ? withFoundMoments(followed.value, guess, technique) : guess),
  };
}
