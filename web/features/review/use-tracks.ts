import { footageEndpoints, type Film, type ImportStep } from '@wax-fist/contract/footage';
import type { Track } from '@wax-fist/core/body';
import type { Ms, Ratio } from '@wax-fist/core/units';
import { computed, shallowRef, type ShallowRef } from 'vue';
import { request } from '../../app/request.ts';
import { whileTrue } from '../../app/while-true.ts';
import { holderPointsOf, pointsOf, secondPassOf } from '../footage/playable.ts';
import type { BenchData } from './use-bench-data.ts';

/** What follows bodies in a film, and by what its points come. */
const fetchedBy = {
  pose: pointsOf,
  holder: holderPointsOf,
  'second-pass': secondPassOf,
} as const satisfies Partial<Record<ImportStep, (film: Film) => Promise<Track | undefined>>>;
type FollowingStep = keyof typeof fetchedBy;

/** Points of a whole film are long: they are sent again when so much more of it was followed. */
const worthSending: Ratio = 0.1;
const usualAskEvery: Ms = 15_000;

export interface FilmTracks {
  striker: ShallowRef<Track | undefined>;
  holder: ShallowRef<Track | undefined>;
  again: ShallowRef<Track | undefined>;
  /** Somebody else is followed since: what was found beside them, or of them, comes anew. */
  show: (film: Film, track: Track) => void;
}

/** Where bodies were in a film, as far as they were followed: while that is still at work, more of it comes as it is there. */
export function useTracks({ film, points, holderPoints, secondPass }: BenchData, askEvery: Ms = usualAskEvery): FilmTracks {
  const [striker, holder, again] = [shallowRef<Track>(), shallowRef<Track>(), shallowRef<Track>()];
  const tracks = { pose: striker, holder, 'second-pass': again };
  const first = { pose: points, holder: holderPoints, 'second-pass': secondPass };
  const wanted = (Object.keys(first) as FollowingStep[]).filter((step) => first[step] !== undefined);
  for (const step of wanted) void first[step]!.then((track) => (tracks[step].value ??= track));

  const known = shallowRef(film);
  /** How far what was fetched last had come. */
  const fetchedAt = new Map(wanted.map((step) => [step, stepOf(film, step)]));
  const isAtWork = computed(() => wanted.some((step) => ['waiting', 'working'].includes(stepOf(known.value, step)?.state ?? '')));
  async function look(): Promise<void> {
    const now = await request(footageEndpoints.showFilm, { params: { filmId: film.id } });
    for (const step of wanted) {
      const [before, after] = [fetchedAt.get(step), stepOf(now, step)];
      if (!after || (before?.state === after.state && after.progress - before.progress < worthSending)) continue;
      const track = await fetchedBy[step](now);
      if (track) tracks[step].value = track;
      fetchedAt.set(step, after);
    }
    known.value = now;
  }
  // Whoever is without a connection for a while is asked again.
  whileTrue(isAtWork, () => look().catch(() => undefined), askEvery);

  return {
    striker,
    holder,
    again,
    show(now, track) {
      holder.value = again.value = undefined;
      striker.value = track;
      for (const step of wanted) fetchedAt.set(step, stepOf(now, step));
      known.value = now;
    },
  };
}
const stepOf = ({ steps }: Film, step: ImportStep): Film['steps'][number] | undefined => steps.find((one) => one.step === step);
