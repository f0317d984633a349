import type { StrikeEntry } from '@wax-fist/contract/review';
import { guessedMoments, timeOf, withMoment, type FrameTimeline, type Moment } from '@wax-fist/core/moments';
import type { Verdict } from '@wax-fist/core/review';
import { checklistFor, techniqueCalled, walkOf, type CheckpointId, type ChecklistRow, type View } from '@wax-fist/core/technique';
import { computed, ref, watch, type ComputedRef, type Ref } from 'vue';
import type { Player } from '../../player/use-player.ts';
import { hitsAtPlayhead } from '../moments/hits-at-playhead.ts';
import { useMoments } from '../moments/moments-store.ts';
import { useReview, type Word } from './review-store.ts';
import { useStars } from './stars.ts';
import { everyStrike, passes, type StrikeFilter } from './strike-filter.ts';

/** A tag within so many frames of a strike's contact is meant for that strike. */
const sameStrike = 3;

export interface BenchSetting {
  view: View;
  timeline: FrameTimeline;
  player: () => Player | undefined;
  /** Checkpoints that the trainee works on, by technique. */
  worksOn: (technique: string) => readonly string[];
  /** The other view that is on show: it may answer what this one cannot. */
  otherView: () => View | undefined;
}

export interface Bench {
  strike: ComputedRef<StrikeEntry | undefined>;
  view: View;
  filter: Ref<StrikeFilter>;
  /** Whether a strike is in question. */
  passing: (strike: StrikeEntry) => boolean;
  /** Place of the strike in the round, from 1. */
  place: ComputedRef<number>;
  rows: ComputedRef<ChecklistRow[]>;
  hidden: ComputedRef<ChecklistRow[]>;
  row: Ref<CheckpointId | undefined>;
  full: Ref<boolean>;
  stars: Ref<readonly CheckpointId[]>;
  select: (strikeId: string | undefined) => void;
  neighbour: (steps: 1 | -1) => void;
  /** Goes to the hit before or after the playhead. */
  hit: (steps: 1 | -1) => void;
  toggleHit: () => void;
  moveHit: () => void;
  believe: (steps: 1 | -1) => void;
  tag: (call: string) => void;
  see: (moment: Moment) => void;
  set: (moment: Moment, frame?: number) => void;
  remove: () => void;
  moveRow: (steps: 1 | -1) => void;
  judge: (verdict: Verdict | null) => void;
  writeNote: (note: string) => void;
  restClean: () => void;
  star: () => void;
}

/** What the coach has in hand: one strike, one row of its walk, and everything that can be done to them. */
export function useBench({ view, timeline, player, worksOn, otherView }: BenchSetting): Bench {
  const review = useReview();
  const moments = useMoments();
  const hits = hitsAtPlayhead(timeline, () => player()?.at.value ?? 0);
  const filter = ref<StrikeFilter>(everyStrike);
  const { stars, toggle } = useStars();
  const selected = ref<string>();
  const row = ref<CheckpointId>();
  const full = ref(false);

  const strike = computed(() => review.strikes.find(({ strikeId }) => strikeId === selected.value));
  const place = computed(() => review.strikes.findIndex(({ strikeId }) => strikeId === selected.value) + 1);
  const checklist = computed(() => (strike.value ? checklistFor(strike.value.technique, view, otherView()) : []));
  const rows = computed(() =>
    walkOf(checklist.value, new Set([...stars.value, ...worksOn(strike.value?.technique ?? '')]), full.value),
  );
  const hidden = computed(() => checklist.value.filter(({ shown }) => !shown));

  const verdictOf = (id: CheckpointId): Verdict | null | undefined => review.wordOf(selected.value!, id)?.verdict;
  const firstOpen = (): CheckpointId | undefined =>
    rows.value.find(({ checkpoint }) => !verdictOf(checkpoint.id))?.checkpoint.id ?? rows.value[0]?.checkpoint.id;
  watch([selected, rows], ([now], [before]) => {
    const stays = now === before && rows.value.some(({ checkpoint }) => checkpoint.id === row.value);
    if (!stays) row.value = firstOpen();
  });

  function select(strikeId: string | undefined): void {
    selected.value = strikeId;
    if (strike.value) player()?.go(strike.value.contactFrame);
  }

  const passing = (one: StrikeEntry): boolean =>
    passes(
      filter.value,
      { strike: one, contact: timeOf(timeline, one.contactFrame), verdicts: review.verdictsOf(one.strikeId) },
      moments.rounds,
    );

  /** The next strike in question, from the one in hand or else from the playhead. */
  function neighbour(steps: 1 | -1): void {
    const all = review.strikes;
    const at = strike.value?.contactFrame ?? player()?.at.value ?? 0;
    const beyond = strike.value
      ? steps === 1
        ? all.slice(place.value)
        : all.slice(0, place.value - 1)
      : all.filter(({ contactFrame }) => (steps === 1 ? contactFrame > at : contactFrame < at));
    const next = steps === 1 ? beyond.find(passing) : beyond.findLast(passing);
    if (next) select(next.strikeId);
  }

  /** Goes to a hit, and to the strike that was tagged on it. */
  function hit(steps: 1 | -1): void {
    const next = hits.neighbour(steps);
    if (next === undefined) return;
    selected.value = review.strikes.find(({ contactFrame }) => Math.abs(contactFrame - next) <= sameStrike)?.strikeId;
    player()?.go(next);
  }

  function tag(call: string): void {
    const technique = techniqueCalled(call);
    const at = player()?.at.value;
    if (!technique || at === undefined) return;
    const near = review.strikes.find(({ contactFrame }) => Math.abs(contactFrame - at) <= sameStrike);
    if (near) review.changeStrike(near.strikeId, { technique: technique.id });
    selected.value = near?.strikeId ?? review.addStrike(technique.id, guessedMoments(timeline, technique.id, at));
  }

  function judgeRows(words: Word[]): void {
    const from = (id: CheckpointId): View => rows.value.find(({ checkpoint }) => checkpoint.id === id)?.from ?? view;
    if (strike.value) review.judge(strike.value.strikeId, words.map((word) => ({ ...word, view: from(word.checkpointId) }))); // prettier-ignore
  }

  function moveRow(steps: 1 | -1): void {
    const at = rows.value.findIndex(({ checkpoint }) => checkpoint.id === row.value);
    row.value = rows.value[Math.max(0, Math.min(rows.value.length - 1, at + steps))]?.checkpoint.id;
  }

  return {
    strike,
    view,
    filter,
    passing,
    place,
    rows,
    hidden,
    row,
    full,
    stars,
    select,
    neighbour,
    hit,
    toggleHit: hits.toggle,
    moveHit: hits.move,
    believe: hits.believe,
    tag,
    see: (moment) => strike.value && player()?.go(strike.value[`${moment}Frame`]),
    set(moment, frame) {
      const { value } = strike;
      const at = frame ?? player()?.at.value;
      if (!value || at === undefined || at < 0 || at >= timeline.length) return;
      const { launchFrame, contactFrame, homeFrame } = value;
      review.changeStrike(value.strikeId, withMoment({ launchFrame, contactFrame, homeFrame }, moment, at));
    },
    remove() {
      const { value } = strike;
      if (!value) return;
      const next = review.strikes[place.value] ?? review.strikes[place.value - 2];
      review.changeStrike(value.strikeId, { removed: true });
      select(next?.strikeId);
    },
    moveRow,
    judge(verdict) {
      if (!row.value) return;
      judgeRows([{ checkpointId: row.value, verdict }]);
      if (verdict) moveRow(1);
    },
    writeNote: (note) =>
      row.value && judgeRows([{ checkpointId: row.value, verdict: verdictOf(row.value) ?? null, note: note || null }]),
    restClean() {
      const open = rows.value.filter(({ checkpoint }) => !verdictOf(checkpoint.id));
      judgeRows(open.map(({ checkpoint }) => ({ checkpointId: checkpoint.id, verdict: 'clean' })));
      neighbour(1);
    },
    star: () => row.value && toggle(row.value),
  };
}
