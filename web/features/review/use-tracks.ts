import { footageEndpoints, type Film } from '@wax-fist/contract/footage';
import type { Track } from '@wax-fist/core/body';
import type { Ms, Ratio } from '@wax-fist/core/units';
import { computed, reactive, shallowRef, type ShallowRef } from 'vue';
import { Refused, request } from '../../app/request.ts';
import { whileTrue } from '../../app/while-true.ts';
import type { FollowingStep } from '../footage/playable.ts';
import type { BenchData } from './use-bench-data.ts';

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
export function useTracks({ film, bodies }: BenchData, askEvery: Ms = usualAskEvery): FilmTracks {
  const [striker, holder, again] = [shallowRef<Track>(), shallowRef<Track>(), shallowRef<Track>()];
  const tracks = { pose: striker, holder, 'second-pass': again };
  const wanted = Object.keys(bodies) as FollowingStep[];
  /** How far what was fetched last had come. */
  const fetchedAt = new Map(wanted.map((step) => [step, stepOf(film, step)]));
  /** What could not be fetched is tried again, even where nothing is at work any more. */
  const missed = reactive(new Set<FollowingStep>());

  /** Somebody else who was shown meanwhile stays. */
  let shown = 0;
  async function fetchInto(step: FollowingStep, now: Film): Promise<void> {
    const before = shown;
    try {
      const track = await bodies[step]!(now);
      if (before !== shown) return;
      if (track) tracks[step].value = track;
      fetchedAt.set(step, stepOf(now, step));
      missed.delete(step);
    } catch (error) {
      if (before !== shown) return;
      // What is refused for good is asked for again when its step has come further, and not before.
      if (!(error instanceof Refused && error.isForGood)) return void missed.add(step);
      fetchedAt.set(step, stepOf(now, step));
      missed.delete(step);
    }
  }
  for (const step of wanted) void fetchInto(step, film);

  const known = shallowRef(film);
  const isOwed = (step: FollowingStep): boolean =>
    missed.has(step) || ['waiting', 'working'].includes(stepOf(known.value, step)?.state ?? '');
  const isAtWork = computed(() => wanted.some(isOwed));
  async function look(): Promise<void> {
    const now = await request(footageEndpoints.showFilm, { params: { filmId: film.id } });
    for (const step of wanted) {
      const [before, after] = [fetchedAt.get(step), stepOf(now, step)];
      const isLittle = before?.state === after?.state && (after?.progress ?? 0) - (before?.progress ?? 0) < worthSending;
      if (missed.has(step) || !isLittle) await fetchInto(step, now);
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
      shown++;
      missed.clear();
      holder.value = again.value = undefined;
      striker.value = track;
      for (const step of wanted) fetchedAt.set(step, stepOf(now, step));
      known.value = now;
    },
  };
}
const stepOf = ({ steps }: Film, step: FollowingStep): Film['steps'][number] | undefined =>
  steps.find((one) => one.step === step);
