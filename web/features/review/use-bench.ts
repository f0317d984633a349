import type { StrikeMark } from '@wax-fist/contract/review';
import { toTheBody } from '@wax-fist/core/calls';
import { guessedMoments, guessedSeries, momentsOf, phaseFrames, withMoment, type Moment } from '@wax-fist/core/strikes';
import { frameNearest, timeOf } from '@wax-fist/core/film';
import { isOneStrike, isSeries, thrownAs, type Technique, type TechniqueId, type View } from '@wax-fist/core/technique';
import { computed, ref, watch, type ComputedRef, type Ref } from 'vue';
import type { Player } from '../../player/use-player.ts';
import { hitsAtPlayhead } from '../rounds/hits-at-playhead.ts';
import { useHitsAndRounds } from '../rounds/hits-and-rounds-store.ts';
import { useReview } from './review-store.ts';
import { everyStrike, passes, type StrikeFilter } from './strike-filter.ts';
import type { BenchData } from './use-bench-data.ts';
import { useFollowedFilm, type FilmWithBody } from './use-followed-film.ts';
import { useWalk, type Walk } from './use-walk.ts';

/** A tag within so many frames of a strike's contact is meant for that strike. */
const sameStrike = 3;

export interface BenchSetting {
  data: BenchData;
  player: () => Player | undefined;
  /** The other view that is on show: it may answer what this one cannot. */
  otherView: () => View | undefined;
}

export interface Bench extends Omit<Walk, 'judgeRest'> {
  /** The film as the body in it was followed. */
  film: FilmWithBody;
  strike: ComputedRef<StrikeMark | undefined>;
  /** The same strike with its moments as far as they are known: what was only guessed is found on the path of its limb, where that tells. */
  known: ComputedRef<StrikeMark | undefined>;
  view: View;
  filter: Ref<StrikeFilter>;
  /** Whether a strike is in question. */
  passing: (strike: StrikeMark) => boolean;
  /** Place of the strike in the round, from 1. */
  place: ComputedRef<number>;
  select: (strikeId: string | undefined) => void;
  neighbour: (steps: 1 | -1) => void;
  /** Goes to the hit before or after the playhead. */
  hit: (steps: 1 | -1) => void;
  toggleHit: () => void;
  moveHit: () => void;
  believe: (steps: 1 | -1) => void;
  /** Says what lands at the playhead. */
  tag: (technique: TechniqueId | undefined) => void;
  /** Makes the strike in hand its version for the body, or for the head again. */
  toBody: () => void;
  see: (moment: Moment) => void;
  /** Goes to the frame that decides the row in hand: where that is found, or else the phase in which it is looked at. */
  seeRow: () => void;
  set: (moment: Moment, frame?: number) => void;
  remove: () => void;
  restClean: () => void;
}

/** What the coach has in hand: one strike, one row of its walk, and everything that can be done to them. */
export function useBench({ data, player, otherView }: BenchSetting): Bench {
  const review = useReview();
  const hitsAndRounds = useHitsAndRounds();
  const { timeline } = data.playable;
  const { techniques } = data.catalogue;
  const hits = hitsAtPlayhead(timeline, () => player()?.at.value ?? 0);
  const filter = ref<StrikeFilter>(everyStrike);
  const selected = ref<string>();

  const strike = computed(() => review.strikes.find(({ strikeId }) => strikeId === selected.value));
  const place = computed(() => review.strikes.findIndex(({ strikeId }) => strikeId === selected.value) + 1);
  const film = useFollowedFilm(data);
  const { followed, withFound } = film;
  const { judgeRest, ...walk } = useWalk(data, strike, otherView, followed);

  function select(strikeId: string | undefined): void {
    selected.value = strikeId;
    if (strike.value) player()?.go(strike.value.contactFrame);
  }

  const passing = (one: StrikeMark): boolean =>
    passes(
      filter.value,
      { strike: one, contact: timeOf(timeline, one.contactFrame), verdicts: review.verdictsOf(one.strikeId) },
      hitsAndRounds.rounds,
    );

  /** The strikes in question on one side of the one in hand, or else of the playhead, the nearest first. */
  function beyond(steps: 1 | -1): StrikeMark[] {
    const all = review.strikes;
    const at = strike.value?.contactFrame ?? player()?.at.value ?? 0;
    const there = strike.value
      ? steps === 1
        ? all.slice(place.value)
        : all.slice(0, place.value - 1)
      : all.filter(({ contactFrame }) => (steps === 1 ? contactFrame > at : contactFrame < at));
    return (steps === 1 ? there : there.reverse()).filter(passing);
  }
  /** Whoever goes back goes further back. */
  let way: 1 | -1 = 1;
  function neighbour(steps: 1 | -1): void {
    way = steps;
    const [next] = beyond(steps);
    if (next) select(next.strikeId);
  }
  /** The picture of a neighbour lies ready before anyone asks for it. */
  watch([() => strike.value?.strikeId, filter, player], () => {
    if (!strike.value) return;
    const [next, afterNext] = beyond(way);
    const [other] = beyond(way === 1 ? -1 : 1);
    player()?.expect([next, afterNext, other].flatMap((one) => one?.contactFrame ?? []));
  });

  /** Goes to a hit, and to the strike that was tagged on it. */
  function hit(steps: 1 | -1): void {
    const next = hits.neighbour(steps);
    if (next === undefined) return;
    selected.value = review.strikes.find(({ contactFrame }) => Math.abs(contactFrame - next) <= sameStrike)?.strikeId;
    player()?.go(next);
  }

  function tag(id: TechniqueId | undefined): void {
    const technique = id && techniques.get(id);
    const at = player()?.at.value;
    if (!technique || at === undefined) return;
    const [first] = isSeries(technique)
      ? tagSeries(technique, at)
      : review.tellStrikes([
          {
            ...withFound(technique, guessedMoments(timeline, technique, at, 'set')),
            ...near(at),
            technique: technique.id,
            part: null,
          },
        ]);
    selected.value = first ?? selected.value;
  }
  /** The strike that is there already, with the moments that it has. */
  function near(at: number) {
    const there = review.strikes.find(({ contactFrame }) => Math.abs(contactFrame - at) <= sameStrike);
    return there && { strikeId: there.strikeId, ...momentsOf(there) };
  }
  const known = computed(() => {
    const technique = strike.value && techniques.get(thrownAs(data.catalogue, strike.value));
    return technique && isOneStrike(data.catalogue, strike.value) ? withFound(technique, strike.value) : strike.value;
  });
  /** A series is as many strikes as it has parts: on the hits that are heard from here on, then in its usual times. */
  function tagSeries(series: Technique, at: number): string[] {
    const usual = series.parts.map((part) => techniques.get(part) ?? series);
    const heard = hits.following(at + sameStrike).slice(0, usual.length - 1);
    const contacts = [{ frame: at, origin: 'set' as const }, ...heard.map((frame) => ({ frame, origin: 'found' as const }))];
    const moments = guessedSeries(timeline, usual, contacts).map((guess, part) => withFound(usual[part]!, guess));
    return review.tellStrikes(moments.map((one, part) => ({ ...one, ...near(one.contactFrame), technique: series.id, part })));
  }

  return {
    ...walk,
    film,
    strike,
    known,
    view: data.film.view,
    filter,
    passing,
    place,
    select,
    neighbour,
    hit,
    toggleHit: hits.toggle,
    moveHit: hits.move,
    believe: hits.believe,
    tag,
    toBody() {
      const { value } = strike;
      if (!value || typeof value.part === 'number') return;
      const head = Object.keys(toTheBody).find((id) => toTheBody[id] === value.technique);
      const other = toTheBody[value.technique] ?? head;
      if (other) review.changeStrike(value.strikeId, { technique: other });
    },
    see: (moment) => known.value && player()?.go(known.value[`${moment}Frame`]),
    seeRow() {
      const line = walk.rows.value.find(({ checkpoint }) => checkpoint.id === walk.row.value);
      if (!known.value || !line) return;
      const { value: decided } = walk.decided;
      const frame = decided ? frameNearest(timeline, decided.time) : phaseFrames(timeline, known.value)[line.checkpoint.phase];
      player()?.go(frame);
    },
    set(moment, frame) {
      const { value } = strike;
      const at = frame ?? player()?.at.value;
      if (!value || at === undefined || at < 0 || at >= timeline.length) return;
      review.changeStrike(value.strikeId, withMoment(momentsOf(value), moment, at));
    },
    remove() {
      const { value } = strike;
      if (!value) return;
      const next = review.strikes[place.value] ?? review.strikes[place.value - 2];
      review.changeStrike(value.strikeId, { removed: true });
      // Who may not remove it stays with it.
      if (!strike.value) select(next?.strikeId);
    },
    restClean() {
      judgeRest();
      neighbour(1);
    },
  };
}
