import {
  isOfStrike,
  reviewEndpoints,
  type Mark,
  type MarkKind,
  type ObservationMark,
  type PinMark,
  type StrikeMark,
} from '@wax-fist/contract/review';
import type { Pin } from '@wax-fist/core/body';
import { saidLater, tallyOf, type Tally, type Verdict } from '@wax-fist/core/review';
import { shippedVersion, type CheckpointId, type TechniqueId, type View } from '@wax-fist/core/technique';
import { reviewingEndpoints } from '@wax-fist/contract/reviewing';
import { momentsOf, type StrikeMoments } from '@wax-fist/core/strikes';
import { defineStore } from 'pinia';
import { v7 as uuid } from 'uuid';
import { computed, ref, shallowReactive, watch } from 'vue';
import { useNotice } from '../../app/notice-store.ts';
import { request } from '../../app/request.ts';
import { makeUndo } from '../../app/undo.ts';
import { useOutbox } from './outbox-store.ts';
import { reviewWords as words } from './words.ts';

const keyOf = (strikeId: string, checkpointId: string): string => `${strikeId} ${checkpointId}`;
const pinKeyOf = ({ frame, point }: Pick<Pin, 'frame' | 'point'>): string => `${frame} ${point}`;

/** What is said of a strike's checkpoint. */
export interface Word {
  checkpointId: CheckpointId;
  verdict: Verdict | null;
  note?: string | null;
  /** Seen from another film of the round than the one in hand. */
  view?: View;
  /** Judged although this view or rate cannot show it. */
  anyway?: boolean;
  /** What a measure proposed meanwhile. */
  proposed?: Verdict | null;
}

export type NewStrike = StrikeMoments & { technique: TechniqueId; part?: number | null };
export type ChangedStrike = { strikeId: string } & Partial<NewStrike & { removed: boolean }>;

/** How one kind of mark is kept. */
interface Keeper<One extends Mark> {
  standing: (mark: One) => One | undefined;
  keep: (mark: One) => void;
  takenBack: (mark: One) => One;
}

/** One film's review as it stands here: what the server has, and what was said since. Everything said takes effect at once. */
export const useReview = defineStore('review', () => {
  const outbox = useOutbox();
  const notice = useNotice();
  const filmId = ref<string>();
  const view = ref<View>('lead-side');
  const checklistVersion = ref(shippedVersion);
  /** Whether whoever is here marks the film a second time: what was said before is kept from them. */
  const blind = ref(false);
  const strikesById = shallowReactive(new Map<string, StrikeMark>());
  const wordsByKey = shallowReactive(new Map<string, ObservationMark>());
  /** Those from the server say by whom. */
  const pinsByKey = shallowReactive(new Map<string, PinMark & { saidBy?: string }>());
  const undo = makeUndo<Mark>();

  const strikes = computed(() =>
    [...strikesById.values()].filter(({ removed }) => !removed).sort((a, b) => a.contactFrame - b.contactFrame),
  );

  /** By kind of mark: what now stands where it speaks, where it is put, and what takes it back. */
  const keepers: { readonly [Kind in MarkKind]: Keeper<Extract<Mark, { kind: Kind }>> } = {
    strike: {
      standing: ({ strikeId }) => strikesById.get(strikeId),
      keep: (mark) => void strikesById.set(mark.strikeId, mark),
      takenBack: (mark) => ({ ...mark, removed: true }),
    },
    observation: {
      standing: ({ strikeId, checkpointId }) => wordsByKey.get(keyOf(strikeId, checkpointId)),
      keep: (mark) => void wordsByKey.set(keyOf(mark.strikeId, mark.checkpointId), mark),
      takenBack: (mark) => ({ ...mark, verdict: null, note: null }),
    },
    pin: {
      standing: (mark) => pinsByKey.get(pinKeyOf(mark)),
      keep: (mark) => void pinsByKey.set(pinKeyOf(mark), mark),
      takenBack: (mark) => ({ ...mark, said: 'free', x: null, y: null }),
    },
  };
  const keeperOf = ({ kind }: Pick<Mark, 'kind'>) => keepers[kind] as Keeper<Mark>;

  /** When the latest of all that is known here was said. Milliseconds since 1970. */
  let latestSaid = 0;

  /** Takes a mark in unless something later is known. */
  function take(mark: Mark): void {
    latestSaid = Math.max(latestSaid, Date.parse(mark.saidAt));
    // What is said blind and what counts are two things, and only one of them is on this bench.
    if (mark.kind === 'observation' && mark.blind !== blind.value) return;
    const { standing, keep } = keeperOf(mark);
    const held = standing(mark);
    if (!held || saidLater(mark, held)) keep(mark);
  }

  async function open(film: { id: string; view: View }, version: number): Promise<void> {
    if (filmId.value !== film.id) forget();
    filmId.value = film.id;
    view.value = film.view;
    checklistVersion.value = version;
    const waiting = await outbox.marksOf(film.id);
    for (const mark of waiting) take(mark);
    await refresh();
    // Whether the film is marked blind is known only now.
    for (const mark of waiting) take(mark);
  }
  /** Says that the second coach has said all: everything that counts comes in. @throws Error while marks are still on their way, and what the server says */
  async function doneBlind(): Promise<void> {
    const film = filmId.value!;
    await outbox.flush();
    if ((await outbox.marksOf(film)).length > 0) throw new Error(words.someMarksAreStillOn);
    await request(reviewingEndpoints.secondCoachDone, { params: { filmId: film } });
  }

  function forget(): void {
    strikesById.clear();
    wordsByKey.clear();
    pinsByKey.clear();
    undo.clear();
  }
  /** What was let go of is nowhere any more: everything is told anew by those who have it. */
  async function startAnew(film: string): Promise<void> {
    const [waiting, told] = await Promise.all([outbox.marksOf(film), standingIn(film)]);
    if (film !== filmId.value) return;
    forget();
    see(told);
    waiting.forEach(take);
  }
  watch(
    () => outbox.letGoOf,
    (gone) => {
      const film = gone.find((mark) => mark.filmId === filmId.value)?.filmId;
      // The server may be away: then it is seen when the page is opened again.
      if (film) void startAnew(film).catch(() => undefined);
    },
  );

  /** What counts on the server. */
  async function standingIn(film: string): Promise<{ blind: boolean; marks: Mark[] }> {
    const told = await request(reviewEndpoints.showReview, { params: { filmId: film } });
    return { blind: told.blind, marks: [...told.strikes, ...told.observations, ...told.pins] };
  }
  /** From being asked to mark it blind on, and again from being done, other words are those that are on the bench. */
  function see(told: { blind: boolean; marks: Mark[] }): void {
    if (told.blind !== blind.value) {
      wordsByKey.clear();
      undo.clear();
      blind.value = told.blind;
    }
    told.marks.forEach(take);
  }

  /** Brings in what others, or other tabs, have said meanwhile. */
  async function refresh(): Promise<void> {
    const wanted = filmId.value;
    if (!wanted) return;
    const told = await standingIn(wanted);
    if (wanted === filmId.value) see(told);
  }

  /** Whoever says something has seen what stands: it is said later, also by a clock that is behind, or was put back. */
  const stamp = () => ({ id: uuid(), saidAt: new Date(Math.max(Date.now(), latestSaid + 1)).toISOString() });

  /** Says several things as one step that can be undone. */
  function say(marks: Mark[]): void {
    if (marks.length === 0) return;
    undo.did({ before: marks.map(standing), after: marks });
    put(marks);
  }
  function put(marks: Mark[]): void {
    marks.forEach(take);
    void outbox.put(filmId.value!, marks);
  }

  /** What stands now where a mark is about to speak; where nothing stands, the taking back of it. */
  function standing(mark: Mark): Mark {
    const keeper = keeperOf(mark);
    return keeper.standing(mark) ?? keeper.takenBack(mark);
  }
  /** The strike of what was last undone or done again; undefined where it was about none. */
  const lastSaid = ref<string>();
  const again = (marks: Mark[] | undefined): void => {
    if (!marks) return;
    put(marks.map((mark) => ({ ...mark, ...stamp() })));
    lastSaid.value = marks.find(isOfStrike)?.strikeId;
  };

  /** Tells of strikes in one step: of those that are there what is changed, of others everything. @returns their ids; none to whoever marks blind */
  function tellStrikes(told: readonly (NewStrike | ChangedStrike)[]): string[] {
    if (blind.value) {
      notice.say(words.strikesStayAsTheyAre);
      return [];
    }
    const marks = told.map((one): StrikeMark => {
      const strikeId = 'strikeId' in one ? one.strikeId : uuid();
      const held = strikesById.get(strikeId);
      const mark = { part: null, removed: false, ...held, ...one } as StrikeMark;
      const { technique, part, removed } = mark;
      return { kind: 'strike', ...stamp(), strikeId, technique, part, ...momentsOf(mark), removed };
    });
    say(marks);
    return marks.map(({ strikeId }) => strikeId);
  }
  function changeStrike(strikeId: string, change: Omit<ChangedStrike, 'strikeId'>): void {
    if (strikesById.has(strikeId)) tellStrikes([{ strikeId, ...change }]);
  }
  function judge(strikeId: string, words: readonly Word[]): void {
    say(
      words.map(({ checkpointId, verdict, note, view: from, anyway = false, proposed = null }) => ({
        kind: 'observation',
        ...stamp(),
        strikeId,
        checkpointId,
        verdict,
        note: note === undefined ? (wordOf(strikeId, checkpointId)?.note ?? null) : note,
        view: from ?? view.value,
        anyway,
        proposed: verdict && !blind.value ? proposed : null,
        blind: blind.value,
        checklistVersion: checklistVersion.value,
      })),
    );
  }

  /** Puts points right by hand, in one step. */
  const pin = (told: readonly Pin[]): void => say(told.map((one) => ({ kind: 'pin', ...stamp(), ...one })));
  /** What was put right by hand and stands. */
  const pins = computed(() => [...pinsByKey.values()].filter(({ said }) => said !== 'free'));

  const wordOf = (strikeId: string, checkpointId: string): ObservationMark | undefined =>
    wordsByKey.get(keyOf(strikeId, checkpointId));

  const verdicts = computed(() => {
    const byStrike = new Map<string, Verdict[]>();
    for (const { strikeId, verdict } of wordsByKey.values()) {
      if (verdict) byStrike.set(strikeId, [...(byStrike.get(strikeId) ?? []), verdict]);
    }
    return byStrike;
  });
  const verdictsOf = (strikeId: string): Verdict[] => verdicts.value.get(strikeId) ?? [];

  /** This film's tally of one technique's checkpoint. */
  const tallyFor = (technique: TechniqueId, checkpointId: string): Tally =>
    tallyOf(
      strikes.value
        .filter((strike) => strike.technique === technique)
        .flatMap(({ strikeId }) => wordOf(strikeId, checkpointId)?.verdict ?? []),
    );

  return {
    filmId,
    blind,
    doneBlind,
    strikes,
    open,
    refresh,
    tellStrikes,
    changeStrike,
    judge,
    pin,
    pins,
    wordOf,
    verdictsOf,
    tallyFor,
    lastSaid,
    undo: () => again(undo.back()),
    redo: () => again(undo.forth()),
    backAt: undo.backAt,
    forthAt: undo.forthAt,
    canUndo: undo.canUndo,
    canRedo: undo.canRedo,
  };
});
