import { askBeforeLeaving } from '../../app/ask-before-leaving.ts';
import { footageEndpoints, type Film, type ImportStep } from '@wax-fist/contract/footage';
import { roundEndpoints, type HitsAndRounds, type Round, type SavedHitEdits } from '@wax-fist/contract/rounds';
import { heardCombinations, usualGap } from '@wax-fist/core/rounds';
import { hitNear, hitsOf, noHitEdits, withHit, withHitMoved, withoutHit, type Candidate, type Ring } from '@wax-fist/core/sound';
import { unpackTimeline } from '@wax-fist/core/film';
import { believedStrikes, wholePicture, type FoundStrike, type Region } from '@wax-fist/core/strikes';
import type { Ms } from '@wax-fist/core/units';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { request, requestBytes, Refused } from '../../app/request.ts';
import { makeUndo } from '../../app/undo.ts';
import { listen } from './listen.ts';
import { roundsWords as words } from './words.ts';

/** What a coach changes: hits and rounds, as a whole. */
interface Standing {
  edits: SavedHitEdits;
  rounds: Round[];
}

/** Changes are sent when the hand has been still for so long. */
const stillFor: Ms = 500;
const retryAfter: Ms = 4000;

/** Steps of the import that find something for the page, and how often it is looked whether they have. */
const finding: readonly ImportStep[] = ['sound', 'hits', 'motion', 'strikes'];
const lookAfter: Ms = 1500;

/** Hits and rounds of one film: what was found, and what the coach made of it. Every change takes effect at once and is sent after. */
export const useHitsAndRounds = defineStore('hits-and-rounds', () => {
  const film = shallowRef<Film>();
  const sound = shallowRef<Candidate[]>([]);
  const motion = shallowRef<Candidate[]>([]);
  const both = shallowRef<FoundStrike[]>([]);
  const rings = shallowRef<Ring[]>([]);
  /** When somebody talks, and when nobody is there. */
  const pauses = shallowRef<Pick<HitsAndRounds, 'talk' | 'away'>>({ talk: [], away: [] });
  const edits = shallowRef<SavedHitEdits>({ ...noHitEdits, gap: usualGap, added: [], removed: [], region: wholePicture });
  const rounds = shallowRef<Round[]>([]);
  /** What happened to a change, when that needs words. */
  const remark = ref<string>();
  /** Changed since it was last sent, and on its way: only what has arrived is kept. */
  const changed = ref(false);
  const onItsWay = ref(false);
  const unsent = computed(() => changed.value || onItsWay.value);
  const undo = makeUndo<Standing>();
  let version = 0;

  const hits = computed(() => hitsOf({ sound: sound.value, motion: motion.value, both: both.value }, edits.value));
  /** What ear and eye found as one and is believed, with its names. */
  const foundStrikes = computed(() => believedStrikes(both.value, edits.value));
  const combinations = computed(() => heardCombinations(hits.value, edits.value.gap));

  function take(hitsAndRounds: HitsAndRounds): void {
    ({ edits: edits.value, rounds: rounds.value, version } = hitsAndRounds);
    takeFound(hitsAndRounds);
  }
  function takeFound(hitsAndRounds: HitsAndRounds): void {
    ({ rings: rings.value } = hitsAndRounds);
    pauses.value = { talk: hitsAndRounds.talk, away: hitsAndRounds.away };
    if (hitsAndRounds.sound) sound.value = hitsAndRounds.sound;
    if (hitsAndRounds.motion) motion.value = hitsAndRounds.motion;
    if (hitsAndRounds.both) both.value = hitsAndRounds.both;
  }

  /** Takes a film in hand. Where the server has not listened yet, the browser does, by the same code. */
  async function open(wanted: Film): Promise<void> {
    await send();
    if (film.value?.id !== wanted.id) {
      undo.clear();
      sound.value = [];
      motion.value = [];
      both.value = [];
      remark.value = undefined;
    }
    film.value = wanted;
    const hitsAndRounds = await request(roundEndpoints.showHitsAndRounds, { params: { filmId: wanted.id } });
    // What was changed while it was asked for is not overwritten by how it was before.
    if (unsent.value || slidFrom) takeFound(hitsAndRounds);
    else take(hitsAndRounds);
    const taken = (step: Film['steps'][number]['step']): boolean =>
      wanted.steps.some((one) => one.step === step && one.state === 'done');
    if (!hitsAndRounds.sound && taken('sound')) {
      const wave = await requestBytes(footageEndpoints.filmFile, { filmId: wanted.id, file: 'sound.wav' });
      sound.value = await listen({ find: 'hits', wave });
    }
    if (taken('motion') && !isWhole(edits.value.region)) await watchRegion();
    lookForMore(wanted);
  }

  let looking: ReturnType<typeof setTimeout> | undefined;
  /** A film can be opened before it has been listened to: what is found meanwhile appears by itself. */
  function lookForMore(before: Film): void {
    clearTimeout(looking);
    if (!before.steps.some(({ step, state }) => finding.includes(step) && (state === 'waiting' || state === 'working'))) return;
    looking = setTimeout(() => void lookAgain(before), lookAfter);
  }
  async function lookAgain(before: Film): Promise<void> {
    const now = await request(footageEndpoints.showFilm, { params: { filmId: before.id } }).catch(() => before);
    if (film.value?.id !== before.id) return;
    const found = now.steps.some(({ step, state }, place) => finding.includes(step) && state !== before.steps[place]?.state);
    if (found && !unsent.value && !slidFrom) await open(now).catch(() => lookForMore(before));
    else lookForMore(found ? before : now);
  }

  const isWhole = (region: Region): boolean => region.width === 1 && region.height === 1;

  /** Peaks of movement in the region that the coach drew. */
  async function watchRegion(): Promise<void> {
    const params = { filmId: film.value!.id };
    const [movement, packed] = await Promise.all([
      requestBytes(footageEndpoints.filmFile, { ...params, file: 'motion.bin' }),
      requestBytes(footageEndpoints.filmTimeline, params),
    ]);
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
    changed.value = true;
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
  const again = (standing: Standing[] | undefined): void => {
    if (standing?.[0]) put(standing[0]);
  };

  let sending: Promise<void> | undefined;
  /** Sends what is not on the server yet; hits first, then rounds, each built on the version before it. */
  async function send(): Promise<void> {
    if (sending) await sending;
    if (!changed.value || !film.value) return;
    onItsWay.value = true;
    sending = sendNow(film.value.id).finally(() => {
      sending = undefined;
      onItsWay.value = false;
    });
    await sending;
  }
  async function sendNow(filmId: string): Promise<void> {
    const standing = now();
    changed.value = false;
    try {
      const params = { filmId };
      ({ version } = await request(roundEndpoints.saveHits, { params, body: { edits: standing.edits, basedOn: version } }));
      ({ version } = await request(roundEndpoints.saveRounds, { params, body: { rounds: standing.rounds, basedOn: version } }));
      remark.value = undefined;
    } catch (error) {
      if (error instanceof Refused) {
        remark.value = error.message;
        take(await request(roundEndpoints.showHitsAndRounds, { params: { filmId } }));
        undo.clear();
        return;
      }
      changed.value = true;
      remark.value = words.theServerIsAwayYour;
      setTimeout(() => void send(), retryAfter);
    }
  }
  let soon: ReturnType<typeof setTimeout> | undefined;
  function sendSoon(): void {
    clearTimeout(soon);
    soon = setTimeout(() => void send(), stillFor);
  }
  askBeforeLeaving(() => unsent.value);

  const near = (time: Ms, reach: Ms) => hitNear(hits.value, time, reach);
  const editsWith = (kept: { added: readonly Ms[]; removed: readonly Ms[] }): void =>
    changeEdits({ added: [...kept.added], removed: [...kept.removed] });

  return {
    film,
    sound,
    motion,
    both,
    foundStrikes,
    rings,
    pauses,
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
