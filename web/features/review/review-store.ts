import { reviewEndpoints, type LogEntry, type ObservationEntry, type StrikeEntry } from '@wax-fist/contract/review';
import { saidLater, tallyOf, type Tally, type Verdict } from '@wax-fist/core/review';
import { shippedVersion, type CheckpointId, type TechniqueId, type View } from '@wax-fist/core/technique';
import type { StrikeMoments } from '@wax-fist/core/moments';
import { defineStore } from 'pinia';
import { v7 as uuid } from 'uuid';
import { computed, ref, shallowReactive } from 'vue';
import { ask } from '../../app/ask.ts';
import { makeUndo } from '../../app/undo.ts';
import { useOutbox } from './outbox-store.ts';

const keyOf = (strikeId: string, checkpointId: string): string => `${strikeId} ${checkpointId}`;
const isObservation = (entry: LogEntry): entry is ObservationEntry => entry.kind === 'observation';

/** What is said of a strike's checkpoint. */
export interface Word {
  checkpointId: CheckpointId;
  verdict: Verdict | null;
  note?: string | null;
  /** Seen from another film of the round than the one in hand. */
  view?: View;
  /** Judged although this view or rate cannot show it. */
  anyway?: boolean;
}

/** One clip's review as it stands here: what the server has, and what was said since. Everything said takes effect at once. */
export const useReview = defineStore('review', () => {
  const outbox = useOutbox();
  const clipId = ref<string>();
  const view = ref<View>('lead-side');
  const checklistVersion = ref(shippedVersion);
  const strikesById = shallowReactive(new Map<string, StrikeEntry>());
  const wordsByKey = shallowReactive(new Map<string, ObservationEntry>());
  const undo = makeUndo<LogEntry>();

  const strikes = computed(() =>
    [...strikesById.values()].filter(({ removed }) => !removed).sort((a, b) => a.contactFrame - b.contactFrame),
  );

  /** Takes in an entry unless something later is known. */
  function take(entry: LogEntry): void {
    if (isObservation(entry)) {
      const key = keyOf(entry.strikeId, entry.checkpointId);
      const held = wordsByKey.get(key);
      if (!held || saidLater(entry, held)) wordsByKey.set(key, entry);
    } else {
      const held = strikesById.get(entry.strikeId);
      if (!held || saidLater(entry, held)) strikesById.set(entry.strikeId, entry);
    }
  }

  async function open(clip: { id: string; view: View }, version: number): Promise<void> {
    if (clipId.value !== clip.id) {
      strikesById.clear();
      wordsByKey.clear();
      undo.clear();
    }
    clipId.value = clip.id;
    view.value = clip.view;
    checklistVersion.value = version;
    for (const entry of await outbox.marksOf(clip.id)) take(entry);
    await refresh();
  }

  /** Brings in what others, or other tabs, have said meanwhile. */
  async function refresh(): Promise<void> {
    const wanted = clipId.value;
    if (!wanted) return;
    const { strikes: told, observations } = await ask(reviewEndpoints.showReview, { params: { clipId: wanted } });
    if (wanted === clipId.value) for (const entry of [...told, ...observations]) take(entry as LogEntry);
  }

  const stamp = () => ({ id: uuid(), saidAt: new Date().toISOString() });

  /** Says several things as one step that can be undone. */
  function say(entries: LogEntry[]): void {
    if (entries.length === 0) return;
    undo.did({ before: entries.map(standing), after: entries });
    put(entries);
  }
  function put(entries: LogEntry[]): void {
    entries.forEach(take);
    void outbox.put(clipId.value!, entries);
  }

  /** What stands now where `entry` is about to speak; where nothing stands, the taking back of it. */
  function standing(entry: LogEntry): LogEntry {
    if (!isObservation(entry)) return strikesById.get(entry.strikeId) ?? { ...entry, removed: true };
    return wordsByKey.get(keyOf(entry.strikeId, entry.checkpointId)) ?? { ...entry, verdict: null, note: null };
  }
  const again = (entries: LogEntry[] | undefined): LogEntry[] | undefined => {
    if (entries) put(entries.map((entry) => ({ ...entry, ...stamp() })));
    return entries;
  };

  function addStrike(technique: TechniqueId, moments: StrikeMoments): string {
    const strikeId = uuid();
    say([{ kind: 'strike', ...stamp(), strikeId, technique, ...moments, removed: false }]);
    return strikeId;
  }
  function changeStrike(strikeId: string, change: Partial<StrikeMoments & { technique: TechniqueId; removed: boolean }>): void {
    const held = strikesById.get(strikeId);
    if (!held) return;
    const { technique, launchFrame, contactFrame, homeFrame, removed } = { ...held, ...change };
    say([{ kind: 'strike', ...stamp(), strikeId, technique, launchFrame, contactFrame, homeFrame, removed }]);
  }
  function judge(strikeId: string, words: readonly Word[]): void {
    say(
      words.map(({ checkpointId, verdict, note, view: from, anyway = false }) => ({
        kind: 'observation',
        ...stamp(),
        strikeId,
        checkpointId,
        verdict,
        note: note === undefined ? (wordOf(strikeId, checkpointId)?.note ?? null) : note,
        view: from ?? view.value,
        anyway,
        checklistVersion: checklistVersion.value,
      })),
    );
  }

  const wordOf = (strikeId: string, checkpointId: string): ObservationEntry | undefined =>
    wordsByKey.get(keyOf(strikeId, checkpointId));

  const verdicts = computed(() => {
    const byStrike = new Map<string, Verdict[]>();
    for (const { strikeId, verdict } of wordsByKey.values()) {
      if (verdict) byStrike.set(strikeId, [...(byStrike.get(strikeId) ?? []), verdict]);
    }
    return byStrike;
  });
  const verdictsOf = (strikeId: string): Verdict[] => verdicts.value.get(strikeId) ?? [];

  /** This clip's tally of one technique's checkpoint. */
  const tallyFor = (technique: TechniqueId, checkpointId: string): Tally =>
    tallyOf(
      strikes.value
        .filter((strike) => strike.technique === technique)
        .flatMap(({ strikeId }) => wordOf(strikeId, checkpointId)?.verdict ?? []),
    );

  return {
    clipId,
    strikes,
    open,
    refresh,
    addStrike,
    changeStrike,
    judge,
    wordOf,
    verdictsOf,
    tallyFor,
    undo: () => again(undo.back()),
    redo: () => again(undo.forth()),
    backAt: undo.backAt,
    forthAt: undo.forthAt,
    canUndo: undo.canUndo,
    canRedo: undo.canRedo,
  };
});
