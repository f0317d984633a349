import { messageOf } from '@wax-fist/core/message-of';
import { footageEndpoints, type Film, type FilmStep } from '@wax-fist/contract/footage';
import { alignmentEndpoints, type SavedAlignment } from '@wax-fist/contract/alignments';
import { frameNearest, gapAt, timeOf, type FrameTimeline } from '@wax-fist/core/film';
import { inOther } from '@wax-fist/core/sound';
import type { View } from '@wax-fist/core/technique';
import { computed, ref, shallowRef, type ComputedRef, type Ref, type ShallowRef } from 'vue';
import { request } from '../../app/request.ts';
import type { PlayableFilm } from '../../player/frame-source.ts';
import { playableOf } from '../footage/playable.ts';
import { reviewWords as words } from './words.ts';

/** How the other view is shown: not at all, beside this one, or in its place. */
export const otherViewModes = ['off', 'beside', 'instead'] as const;
export type OtherViewMode = (typeof otherViewModes)[number];

const saveAfter = 600;
const lookAfter = 700;

const isListening = ({ step, state }: FilmStep): boolean => step === 'views' && (state === 'waiting' || state === 'working');

export interface OtherView {
  /** Films of the same session that can be looked at. */
  others: Film[];
  mode: Ref<OtherViewMode>;
  shown: ShallowRef<{ film: Film; playable: PlayableFilm } | undefined>;
  /** View that may answer, while it is on show. */
  view: ComputedRef<View | undefined>;
  tie: Ref<SavedAlignment | undefined>;
  remark: Ref<string | undefined>;
  next: () => Promise<void>;
  choose: (filmId: string) => Promise<void>;
  /** The frame of the other film at the same instant. */
  frameFor: (frame: number) => number;
  /** Moves the other film by frames against this one, and keeps that as tied by hand. */
  move: (frames: number) => void;
  listenAgain: () => Promise<void>;
}

/** The other camera on the same round. */
export function useOtherView(film: Film, timeline: FrameTimeline, films: readonly Film[]): OtherView {
  const others = films.filter((one) => one.id !== film.id && one.state === 'ready');
  const mode = ref<OtherViewMode>('off');
  const shown = shallowRef<{ film: Film; playable: PlayableFilm }>();
  const tie = ref<SavedAlignment>();
  const remark = ref<string>();
  let ties: SavedAlignment[] | undefined;
  let saving: ReturnType<typeof setTimeout> | undefined;
  let saved: Promise<void> = Promise.resolve();

  const params = () => ({ filmId: film.id, otherId: shown.value!.film.id });
  async function loadTies(): Promise<void> {
    ties = await request(alignmentEndpoints.showAlignments, { params: { filmId: film.id } });
    tie.value = ties.find(({ otherId }) => otherId === shown.value?.film.id);
  }

  async function choose(filmId: string): Promise<void> {
    const other = others.find(({ id }) => id === filmId);
    if (!other) return;
    remark.value = undefined;
    try {
      if (!ties) await loadTies();
      shown.value = { film: other, playable: await playableOf(other) };
      tie.value = ties!.find(({ otherId }) => otherId === filmId);
    } catch (error) {
      mode.value = 'off';
      remark.value = messageOf(error);
    }
  }

  async function next(): Promise<void> {
    if (others.length === 0) {
      remark.value = words.thisSessionHasNoOther;
      return;
    }
    const to = otherViewModes[(otherViewModes.indexOf(mode.value) + 1) % otherViewModes.length]!;
    // The one that is tied is most likely the other side of the same round.
    if (to !== 'off' && !shown.value) {
      await loadTies().catch(() => undefined);
      await choose((others.find(({ id }) => ties?.some(({ otherId }) => otherId === id)) ?? others[0]!).id);
    }
    mode.value = to;
    if (to !== 'off' && !tie.value) void waitForTie();
  }

  /** A film that has just come in may not have been listened to yet: waits until it has, and tells whether it was tied. */
  async function waitForTie(): Promise<boolean> {
    for (let open = true; open && mode.value !== 'off' && !tie.value;) {
      await new Promise((resolve) => setTimeout(resolve, lookAfter));
      try {
        // Whichever of the two came in later is the one that is compared.
        const both = [film.id, shown.value!.film.id].map((filmId) => request(footageEndpoints.showFilm, { params: { filmId } }));
        open = (await Promise.all(both)).some(({ steps }) => steps.some(isListening));
        await loadTies();
      } catch {
        // The server is away; it is asked again.
      }
    }
    return tie.value !== undefined;
  }

  function move(frames: number): void {
    if (mode.value === 'off' || !shown.value) return;
    const gap = gapAt(shown.value.playable.timeline, 0);
    const { offset = 0, drift = 0 } = tie.value ?? {};
    tie.value = { ...params(), offset: offset + frames * gap, drift, fit: null };
    clearTimeout(saving);
    saving = setTimeout(() => void (saved = save()), saveAfter);
  }
  async function save(): Promise<void> {
    try {
      tie.value = await request(alignmentEndpoints.saveAlignment, { params: params(), body: { offset: tie.value!.offset } });
      remark.value = undefined;
    } catch (error) {
      remark.value = messageOf(error);
    }
  }

  return {
    others,
    mode,
    shown,
    view: computed(() => (mode.value === 'off' ? undefined : shown.value?.film.view)),
    tie,
    remark,
    next,
    choose,
    move,
    frameFor: (frame) =>
      frameNearest(shown.value!.playable.timeline, inOther(tie.value ?? { offset: 0, drift: 0 }, timeOf(timeline, frame))),
    async listenAgain() {
      // What was tied by hand must not arrive after it was given up.
      clearTimeout(saving);
      await saved;
      await request(alignmentEndpoints.listenAgain, { params: params() }).catch(
        (error: unknown) => (remark.value = messageOf(error)),
      );
      tie.value = undefined;
      if (!(await waitForTie()) && mode.value !== 'off') remark.value = words.theTwoFilmsSoundToo;
    },
  };
}
