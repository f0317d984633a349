import { footageEndpoints, type Clip, type ImportStep } from '@wax-fist/contract/footage';
import { momentsEndpoints, type Moments, type Round, type SavedHitEdits } from '@wax-fist/contract/moments';
import {
  heardCombinations,
  hitNear,
  hitsOf,
  noEdits,
  unpackTimeline,
  usualGap,
  wholePicture,
  withHit,
  withHitMoved,
  withoutHit,
  type Candidate,
  type Region,
  type Ring,
} from '@wax-fist/core/moments';
import type { Ms } from '@wax-fist/core/units';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { ask, askBytes, Refused } from '../../app/ask.ts';
import { makeUndo } from '../../app/undo.ts';
import { listen } from './listen.ts';

/** What a coach changes: hits and rounds, as a whole. */
interface Standing {
  edits: SavedHitEdits;
  rounds: Round[];
}

/** Changes are sent when the hand has been still for so long. */
const stillFor: Ms = 500;
const retryAfter: Ms = 4000;

/** Steps of the import that find something for the page, and how often it is looked whether they have. */
const finding: readonly ImportStep[] = ['sound', 'hits', 'motion'];
const lookAfter: Ms = 1500;

/** Hits and rounds of one clip: what was found, and what the coach made of it. Every change takes effect at once and is sent after. */
export const useMoments = defineStore('moments', () => {
  const clip = shallowRef<Clip>();
  const sound = shallowRef<Candidate[]>([]);
  const motion = shallowRef<Candidate[]>([]);
  const rings = shallowRef<Ring[]>([]);
  const edits = shallowRef<SavedHitEdits>({ ...noEdits, gap: usualGap, added: [], removed: [], region: wholePicture });
  const rounds = shallowRef<Round[]>([]);
  /** What happened to a change, when that needs words. */
  const remark = ref<string>();
  const unsent = ref(false);
  const undo = makeUndo<Standing>();
  let version = 0;

  const hits = computed(() => hitsOf({ sound: sound.value, motion: motion.value }, edits.value));
  const combinations = computed(() => heardCombinations(hits.value, edits.value.gap));

  function take(moments: Moments): void {
    ({ edits: edits.value, rounds: rounds.value, rings: rings.value, version } = moments);
    if (moments.sound) sound.value = moments.sound;
    if (moments.motion) motion.value = moments.motion;
  }

  /** Takes a clip in hand. Where the server has not listened yet, the browser does, by the same code. */
  async function open(wanted: Clip): Promise<void> {
    await send();
    if (clip.value?.id !== wanted.id) {
      undo.clear();
      sound.value = [];
      motion.value = [];
      remark.value = undefined;
    }
    clip.value = wanted;
    const moments = await ask(momentsEndpoints.showMoments, { params: { clipId: wanted.id } });
    take(moments);
    const taken = (step: Clip['steps'][number]['step']): boolean => wanted.steps.some((one) => one.step === step && one.state === 'done');
    if (!moments.sound && taken('sound')) {
      const wave = await askBytes(footageEndpoints.clipSound, { clipId: wanted.id });
      sound.value = await listen({ find: 'hits', wave });
    }
    if (taken('motion') && !isWhole(edits.value.region)) await watchRegion();
    lookForMore(wanted);
  } // prettier-ignore

  let looking: ReturnType<typeof setTimeout> | undefined;
  /** A film can be opened before it has been listened to: what is found meanwhile appears by itself. */
  function lookForMore(before: Clip): void {
    clearTimeout(looking);
    if (!before.steps.some(({ step, state }) => finding.includes(step) && (state === 'waiting' || state === 'working'))) return;
    looking = setTimeout(() => void lookAgain(before), lookAfter);
  }
  async function lookAgain(before: Clip): Promise<void> {
    const now = await ask(footageEndpoints.showClip, { params: { clipId: before.id } }).catch(() => before);
    if (clip.value?.id !== before.id) return;
    const found = now.steps.some(({ step, state }, place) => finding.includes(step) && state !== before.steps[place]?.state);
    if (found && !unsent.value && !slidFrom) await open(now).catch(() => lookForMore(before));
    else lookForMore(found ? before : now);
  }

  const isWhole = (region: Region): boolean => region.width === 1 && region.height === 1;

  /** Peaks of movement in the region that the coach drew. */
  async function watchRegion(): Promise<void> {
    const params = { clipId: clip.value!.id };
    const [movement, packed] = await Promise.all([askBytes(footageEndpoints.clipMotion, params), askBytes(footageEndpoints.clipTimeline, params)]); // prettier-ignore
    const { left, top, width, height } = edits.value.region;
    motion.value = await listen({
      find: 'motion',
      movement,
      timeline: unpackTimeline(packed),
      region: { left, top, width, height },
    });
  }

  const now = (): Standing => ({ edits: edits.value, rounds: rounds.value });
  function put(standing: Standing): void {
    edits.value = standing.edits;
    rounds.value = standing.rounds;
    unsent.value = true;
    sendSoon();
  }
  function change(standing: Partial<Standing>): void {
    undo.did({ before: [now()], after: [{ ...now(), ...standing }] });
    put({ ...now(), ...standing });
  }
  const changeEdits = (changed: Partial<SavedHitEdits>): void => change({ edits: { ...edits.value, ...changed } });
  /** While a slider or an edge is moved, everything follows at once; one step to undo is made when it is let go. */
  let slidFrom: Standing | undefined;
  function slide(standing: Partial<Standing>): void {
    slidFrom ??= now();
    ({ edits: edits.value, rounds: rounds.value } = { ...now(), ...standing });
  }
  const slideEdits = (changed: Partial<SavedHitEdits>): void => slide({ edits: { ...edits.value, ...changed } });
  function slid(): void {
    if (!slidFrom) return;
    undo.did({ before: [slidFrom], after: [now()] });
    slidFrom = undefined;
    put(now());
  }
  const again = (standing: Standing[] | undefined): void => void (standing?.[0] && put(standing[0]));

  let sending: Promise<void> | undefined;
  /** Sends what is not on the server yet; hits first, then rounds, each built on the version before it. */
  async function send(): Promise<void> {
    if (sending) await sending;
    if (!unsent.value || !clip.value) return;
    sending = sendNow(clip.value.id).finally(() => (sending = undefined));
    await sending;
  }
  async function sendNow(clipId: string): Promise<void> {
    const standing = now();
    unsent.value = false;
    try {
      const params = { clipId };
      ({ version } = await ask(momentsEndpoints.saveHits, { params, body: { edits: standing.edits, basedOn: version } }));
      ({ version } = await ask(momentsEndpoints.saveRounds, { params, body: { rounds: standing.rounds, basedOn: version } }));
      remark.value = undefined;
    } catch (error) {
      if (error instanceof Refused) {
        remark.value = error.message;
        take(await ask(momentsEndpoints.showMoments, { params: { clipId } }));
        undo.clear();
        return;
      }
      unsent.value = true;
      remark.value = 'The server is away. Your changes to hits and rounds are kept on this page and sent when it is back.';
      setTimeout(() => void send(), retryAfter);
    }
  }
  let soon: ReturnType<typeof setTimeout> | undefined;
  function sendSoon(): void {
    clearTimeout(soon);
    soon = setTimeout(() => void send(), stillFor);
  }
  window.addEventListener('beforeunload', (event) => {
    if (unsent.value) event.preventDefault();
  });

  const near = (time: Ms, reach: Ms) => hitNear(hits.value, time, reach);
  const editsWith = (kept: { added: readonly Ms[]; removed: readonly Ms[] }): void =>
    changeEdits({ added: [...kept.added], removed: [...kept.removed] });

  return {
    clip,
    sound,
    motion,
    rings,
    edits,
    rounds,
    hits,
    combinations,
    remark,
    unsent,
    open,
    send,
    changeEdits,
    slide,
    slideEdits,
    slid,
    setRounds: (changed: Round[]) => change({ rounds: [...changed].sort((a, b) => a.from - b.from) }),
    /** Adds a hit here, or takes the one that is here out. */
    toggleHit(time: Ms, reach: Ms): void {
      const hit = near(time, reach);
      editsWith(hit ? withoutHit(edits.value, hit) : withHit(edits.value, time));
    },
    /** Brings the nearest hit here. */
    moveHit(time: Ms, reach: Ms): void {
      const hit = near(time, reach);
      if (hit) editsWith(withHitMoved(edits.value, hit, time));
    },
    async setRegion(region: Region): Promise<void> {
      changeEdits({ region: { ...region }, source: 'motion' });
      await watchRegion();
    },
    undo: () => again(undo.back()),
    redo: () => again(undo.forth()),
    backAt: undo.backAt,
    forthAt: undo.forthAt,
    canUndo: undo.canUndo,
    canRedo: undo.canRedo,
  };
});
