import { useEventListener } from '@vueuse/core';
import { bodySides, pointAt, pointInWords, pointIn, type Pin, type PinWord, type PointName } from '@wax-fist/core/body';
import type { Place, ReadFrom } from '@wax-fist/core/measure';
import type { Px } from '@wax-fist/core/units';
import { clampFrame } from '@wax-fist/core/film';
import { computed, ref, shallowRef, watch, type ComputedRef, type Ref } from 'vue';
import { useKeys, type Keys } from '../../app/keys/use-keys.ts';
import type { Player } from '../../player/use-player.ts';
import { pinKeys, type PinKey } from './pin-keys.ts';
import { useReview } from './review-store.ts';
import type { BenchData } from './use-bench-data.ts';
import type { FilmWithBody } from './use-followed-film.ts';

/** A point of the body in the frame on show, as it can be taken hold of. */
export interface PointInHand extends Place {
  point: PointName;
  name: string;
  said: PinWord;
  /** Who has put it there; undefined where nobody has, and where it was here and just now. */
  by: string | undefined;
  /** The row in hand is measured by it. */
  about: boolean;
}

export interface PinSetting {
  data: BenchData;
  player: () => Player | undefined;
  film: FilmWithBody;
  /** What the row in hand is measured by: those points come first. */
  read: ComputedRef<ReadFrom | undefined>;
  /** The panel of keys is open, and hears them. */
  keysShown: Ref<boolean>;
}

/** Points of the body that are put right by hand, one frame at a time. */
export interface Pins {
  on: Ref<boolean>;
  toggle: () => void;
  /** What of the body can be taken hold of in the frame on show. */
  shown: ComputedRef<readonly PointInHand[]>;
  picked: ComputedRef<PointInHand | undefined>;
  /** The frame on show. */
  frame: ComputedRef<number>;
  pick: (point: PointName | undefined) => void;
  /** Moves the point in hand for the time being; it is said when it is put down. */
  move: (place: Place) => void;
  putDown: () => void;
  /** Puts the point in hand where it is in a frame beside this one. */
  asIn: (frames: 1 | -1) => void;
  hide: () => void;
  /** Takes the pin of the point in hand back: it is again where it was found. */
  free: () => void;
  /** The point in hand is right where it is; on to the next frame. */
  right: () => void;
  keys: Keys<PinKey>;
}

/** Whatever a row may look at, but for the face. */
const joints: readonly PointName[] = [
  'nose',
  ...bodySides.flatMap((side) =>
    (['Shoulder', 'Elbow', 'Wrist', 'IndexKnuckle', 'Hip', 'Knee', 'Ankle', 'Heel', 'Toe'] as const).map(
      (part): PointName => `${side}${part}`,
    ),
  ),
];

export function usePins({ data, player, film: { found, followed }, read, keysShown }: PinSetting): Pins {
  const review = useReview();
  const { timeline } = data.playable;
  const on = ref(false);
  const chosen = ref<PointName>();
  /** The place of the point in hand while it is moved. */
  const moving = shallowRef<Place>();
  const frame = computed(() => player()?.at.value ?? 0);
  watch(frame, putDown, { flush: 'sync' });

  const pinned = computed(
    () => new Map(review.pins.filter((pin) => pin.frame === frame.value).map((pin) => [pin.point, pin] as const)),
  );
  const placeAt = (point: PointName, at: number): Place | undefined =>
    followed.value && (pointIn(followed.value.track, at, pointAt[point]) ?? pointIn(found.value!.track, at, pointAt[point]));
  // Pins are put on whoever strikes.
  const about = computed(() => (read.value?.ofHolder ? [] : (read.value?.points ?? [])));
  const shown = computed(() =>
    on.value && !player()?.playing.value
      ? [...new Set([...about.value, ...joints])].flatMap((point): PointInHand[] => {
          const place = (point === chosen.value ? moving.value : undefined) ?? placeAt(point, frame.value);
          return place
            ? [
                {
                  point,
                  name: pointInWords(point),
                  x: place.x,
                  y: place.y,
                  said: pinned.value.get(point)?.said ?? 'free',
                  by: pinned.value.get(point)?.saidBy,
                  about: about.value.includes(point),
                },
              ]
            : [];
        })
      : [],
  );
  const picked = computed(() => shown.value.find(({ point }) => point === chosen.value));

  function say(word: PinWord, place?: Place, at = frame.value): void {
    const { value: point } = chosen;
    moving.value = undefined;
    if (!point) return;
    const pin: Pin = { frame: at, point, said: word, x: place?.x ?? null, y: place?.y ?? null };
    review.pin([pin]);
  }
  function putDown(_now?: number, before?: number): void {
    if (moving.value) say('here', moving.value, before);
  }
  const inPicture = ({ x, y }: Place): Place => ({
    x: Math.max(0, Math.min(data.film.width!, x)),
    y: Math.max(0, Math.min(data.film.height!, y)),
  });
  const onPicked = (does: (place: PointInHand) => void) => () => picked.value && does(picked.value);

  const pins: Omit<Pins, 'keys'> = {
    on,
    toggle() {
      putDown();
      on.value = !on.value;
      if (on.value && player()?.playing.value) player()?.toggle();
      chosen.value = on.value ? shown.value[0]?.point : undefined;
    },
    shown,
    picked,
    frame,
    pick(point) {
      putDown();
      chosen.value = point;
    },
    move: (place) => (moving.value = inPicture(place)),
    putDown: () => putDown(),
    asIn(frames) {
      const place = chosen.value && placeAt(chosen.value, clampFrame(timeline, frame.value + frames));
      if (place) say('here', place);
    },
    hide: onPicked(() => say('hidden')),
    free: onPicked(({ said: word }) => word !== 'free' && say('free')),
    right: onPicked((place) => {
      say('here', place);
      player()?.step(1);
    }),
  };

  const nudge = (dx: Px, dy: Px): void => {
    if (picked.value) pins.move({ x: picked.value.x + dx, y: picked.value.y + dy });
  };
  const next = (steps: 1 | -1): void => {
    const at = shown.value.findIndex(({ point }) => point === chosen.value);
    pins.pick(shown.value.at((at + steps + shown.value.length) % shown.value.length)?.point);
  };
  const doing: Record<PinKey, () => void> = {
    ...{ left: () => nudge(-1, 0), right: () => nudge(1, 0), up: () => nudge(0, -1), down: () => nudge(0, 1) },
    ...{
      'far-left': () => nudge(-8, 0),
      'far-right': () => nudge(8, 0),
      'far-up': () => nudge(0, -8),
      'far-down': () => nudge(0, 8),
    },
    'frame-back': () => player()?.step(-1),
    'frame-on': () => player()?.step(1),
    'point-before': () => next(-1),
    'point-after': () => next(1),
    'as-before': () => pins.asIn(-1),
    'as-after': () => pins.asIn(1),
    hide: pins.hide,
    free: pins.free,
    here: pins.right,
    let: () => pins.pick(undefined),
  };
  // Wherever the focus is: a key that is let go of ends the move.
  useEventListener(window, 'keyup', pins.putDown);
  // Keys of a point hold as long as one is in hand: before, they are the bench's.
  const keys = useKeys(
    pinKeys,
    'wax.pin-keys',
    (id) => doing[id](),
    () => keysShown.value || !on.value || !picked.value,
  );
  return { ...pins, keys };
}
