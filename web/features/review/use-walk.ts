import type { StrikeMark } from '@wax-fist/contract/review';
import {
  adviceOn,
  proposalFor,
  type DecidedAt,
  type Measured,
  type MeasuredValue,
  type Proposal,
  type ReadFrom,
} from '@wax-fist/core/measure';
import {
  checklistFor,
  rowsOfPart,
  verdictIn,
  walkOf,
  type Checkpoint,
  type CheckpointId,
  type ChecklistRow,
  type MeasureId,
  type View,
} from '@wax-fist/core/technique';
import type { Track } from '@wax-fist/core/body';
import type { Verdict } from '@wax-fist/core/review';
import { computed, ref, shallowRef, watch, type ComputedRef, type Ref } from 'vue';
import { opponentOf } from '../measures/stature-of.ts';
import { useMeasured } from './use-measured.ts';
import { useReview, type Word } from './review-store.ts';
import { useStarredCheckpoints } from './starred-checkpoints.ts';
import type { BenchData } from './use-bench-data.ts';
import type { FilmWithBody } from './use-followed-film.ts';

/** A row of the walk, with what was measured for it and what that proposes. */
export interface WalkLine extends ChecklistRow {
  measured: Measured | undefined;
  proposal: Proposal | undefined;
  /** What else is measured of the same thing, where it can be told. */
  beside: { measure: MeasureId; value: MeasuredValue } | undefined;
}

export interface Walk {
  rows: ComputedRef<WalkLine[]>;
  /** What this view or rate cannot show. */
  hidden: ComputedRef<ChecklistRow[]>;
  /** Where the body was; undefined where it was not followed. */
  track: ComputedRef<Track | undefined>;
  /** What the measure of the row in hand looks at. */
  read: ComputedRef<ReadFrom | undefined>;
  /** When the row in hand is decided, where that is none of the moments of the strike and is told. */
  decided: ComputedRef<DecidedAt | undefined>;
  row: Ref<CheckpointId | undefined>;
  full: Ref<boolean>;
  stars: Ref<readonly CheckpointId[]>;
  moveRow: (steps: 1 | -1) => void;
  judge: (verdict: Verdict | null) => void;
  /** Brings a row into the walk against what the view can show; its verdicts are kept as such. */
  judgeAnyway: (id: CheckpointId) => void;
  writeNote: (note: string) => void;
  /** Judges every open row as it is proposed, or clean. */
  judgeRest: () => void;
  star: () => void;
}

/** The checkpoints of the strike in hand, in walking order. */
export function useWalk(
  data: BenchData,
  strike: ComputedRef<StrikeMark | undefined>,
  otherView: () => View | undefined,
  followed: FilmWithBody['followed'],
): Walk {
  const review = useReview();
  const { stars, toggle } = useStarredCheckpoints();
  const { catalogue, session, film, frameRate, matchUp, stance } = data;
  const row = ref<CheckpointId>();
  const full = ref(false);
  const anyway = shallowRef<ReadonlySet<CheckpointId>>(new Set());
  const technique = computed(() => strike.value?.technique);
  const part = computed(() => strike.value?.part ?? null);
  const worksOn = computed(() =>
    data.corrections.filter((one) => one.technique === technique.value).map(({ checkpointId }) => checkpointId),
  );

  const checklist = computed(() => {
    if (!technique.value || !catalogue.techniques.has(technique.value)) return [];
    const whole = checklistFor(catalogue, technique.value, {
      school: session.judgedBy,
      view: film.view,
      other: otherView(),
      frameRate,
      matchUp,
      withHolder: matchUp !== undefined,
      opponent: opponentOf(session),
    });
    return rowsOfPart(whole, catalogue, { technique: technique.value, part: part.value }).map(asMeasured);
  });
  /** The same object while pins move: those make no new checklist. */
  const widenings = computed(() => followed.value?.widenings);
  /** What is over between two frames the eye cannot see; where the body was followed, and trials say that it is told, the numbers can. */
  function asMeasured(line: ChecklistRow): ChecklistRow {
    const thrown = technique.value ? catalogue.techniques.get(technique.value) : undefined;
    // Whoever marks blind has nothing but the eye.
    if (!line.betweenFrames || review.blind || !widenings.value || !thrown) return line;
    return adviceOn(line, thrown, { view: film.view, stance }, widenings.value).settles === 'measure'
      ? { ...line, shown: true, reason: '' }
      : line;
  }
  const wordOf = (id: CheckpointId) => (strike.value ? review.wordOf(strike.value.strikeId, id) : undefined);
  const verdictOf = (id: CheckpointId): Verdict | null | undefined => wordOf(id)?.verdict;
  /** As one text, so that a verdict that changes nothing about it has no row drawn again. */
  const anywayKey = computed(() =>
    checklist.value
      .map(({ checkpoint: { id } }) => id)
      .filter((id) => anyway.value.has(id) || wordOf(id)?.anyway)
      .join(' '),
  );
  const judgedAnyway = computed(() => new Set(anywayKey.value.split(' ').filter(Boolean)));
  const asked = computed(() =>
    walkOf(checklist.value, new Set([...stars.value, ...worksOn.value]), full.value, judgedAnyway.value),
  );
  /** Depends on the strike and its points only, so that a verdict measures nothing again. */
  const { measureOf, track, readFor, decidedFor } = useMeasured(data, strike, followed);
  function besideOf({ besides }: Checkpoint): WalkLine['beside'] {
    if (!besides || review.blind) return undefined;
    const value = measureOf.value({ id: besides, measure: besides });
    return value?.value !== undefined ? { measure: besides, value } : undefined;
  }
  const rows = computed(() =>
    asked.value.map((line): WalkLine => {
      // A second coach is to say what they see, not what somebody or something else has seen.
      const found = review.blind ? undefined : measureOf.value(line.checkpoint);
      const proposal = found && line.band && !line.reported ? proposalFor(line.band, found) : undefined;
      return { ...line, measured: found, proposal, beside: besideOf(line.checkpoint) };
    }),
  );
  const hidden = computed(() => checklist.value.filter(({ shown, checkpoint: { id } }) => !shown && !judgedAnyway.value.has(id)));

  const firstOpen = (): CheckpointId | undefined =>
    rows.value.find(({ checkpoint }) => !verdictOf(checkpoint.id))?.checkpoint.id ?? rows.value[0]?.checkpoint.id;
  watch([() => strike.value?.strikeId, asked], ([now], [before]) => {
    const stays = now === before && rows.value.some(({ checkpoint }) => checkpoint.id === row.value);
    if (!stays) row.value = firstOpen();
  });

  function judgeRows(words: Word[]): void {
    if (!strike.value) return;
    const line = (id: CheckpointId) => rows.value.find(({ checkpoint }) => checkpoint.id === id);
    const told = words.map((word) => ({
      ...word,
      view: line(word.checkpointId)?.from ?? film.view,
      anyway: line(word.checkpointId)?.shown === false,
      proposed: line(word.checkpointId)?.proposal?.verdict ?? null,
    }));
    review.judge(strike.value.strikeId, told);
  }
  function moveRow(steps: 1 | -1): void {
    const at = rows.value.findIndex(({ checkpoint }) => checkpoint.id === row.value);
    row.value = rows.value[Math.max(0, Math.min(rows.value.length - 1, at + steps))]?.checkpoint.id;
  }

  return {
    rows,
    hidden,
    track,
    read: computed(() => (row.value ? readFor(row.value) : undefined)),
    decided: computed(() => {
      const line = rows.value.find(({ checkpoint }) => checkpoint.id === row.value);
      if (!line?.band || line.measured?.value === undefined) return undefined;
      return decidedFor(line.checkpoint.id, verdictIn(line.band, line.measured.value) === 'clean');
    }),
    row,
    full,
    stars,
    moveRow,
    judge(verdict) {
      if (!row.value) return;
      judgeRows([{ checkpointId: row.value, verdict }]);
      if (verdict) moveRow(1);
    },
    judgeAnyway(id) {
      anyway.value = new Set([...anyway.value, id]);
      row.value = id;
    },
    writeNote: (note) =>
      row.value && judgeRows([{ checkpointId: row.value, verdict: verdictOf(row.value) ?? null, note: note || null }]),
    judgeRest() {
      const open = rows.value.filter(({ checkpoint, shown }) => shown && !verdictOf(checkpoint.id));
      judgeRows(open.map(({ checkpoint, proposal }) => ({ checkpointId: checkpoint.id, verdict: proposal?.verdict ?? 'clean' })));
    },
    star: () => row.value && toggle(row.value),
  };
}
