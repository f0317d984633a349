import { pointCheckEndpoints, type AskedPoint } from '@wax-fist/contract/point-checks';
import { messageOf } from '@wax-fist/core/message-of';
import type { Px } from '@wax-fist/core/units';
import { onScopeDispose, computed, ref, shallowRef, watch } from 'vue';
import { v7 as uuid } from 'uuid';
import { request } from '../../app/request.ts';
import type { FrameSource } from '../../player/frame-source.ts';
import { openFrames } from '../../player/open-frames.ts';
import { playableOf } from '../footage/playable.ts';

export interface Place {
  x: Px;
  y: Px;
}
/** What was said of a point: a place, or that it cannot be seen. */
interface Said {
  id: string;
  place: Place | null;
}

/** Points that are asked for, one after the other, each with its picture. */
export function usePointCheck(asked: readonly AskedPoint[]) {
  const at = ref(0);
  /** Each keeps its id, so that it can be said anew, and sent again where no answer came. */
  const ids = asked.map(() => uuid());
  const said = shallowRef<readonly Said[]>([]);
  const place = ref<Place>();
  const still = shallowRef<ImageBitmap>();
  const failure = ref<string>();
  const saving = ref(false);
  const current = computed((): AskedPoint | undefined => asked[at.value]);

  const sources = new Map<string, Promise<FrameSource>>();
  const sourceOf = ({ film }: AskedPoint): Promise<FrameSource> => {
    const source = sources.get(film.id) ?? playableOf(film).then(openFrames);
    sources.set(film.id, source);
    return source;
  };
  const stop = new AbortController();
  function letGo(): void {
    const shown = still.value;
    still.value = undefined;
    shown?.close();
  }
  async function look(one: AskedPoint): Promise<void> {
    letGo();
    failure.value = undefined;
    try {
      const picture = await (await sourceOf(one)).still(one.frame, one.film.height!, stop.signal);
      if (one === current.value && !stop.signal.aborted) still.value = picture;
      else picture.close();
    } catch (error) {
      if (one === current.value) failure.value = messageOf(error);
    }
  }
  watch(
    current,
    (one) => {
      place.value = said.value[at.value]?.place ?? undefined;
      if (one) void look(one);
    },
    { immediate: true },
  );
  onScopeDispose(() => {
    stop.abort();
    letGo();
    for (const source of sources.values())
      void source.then(
        (opened) => opened.close(),
        () => undefined,
      );
  });

  /** Says it and goes on; what could not be saved stays in hand. */
  async function say(where: Place | null): Promise<void> {
    const one = current.value;
    if (!one || saving.value) return;
    const id = ids[at.value]!;
    saving.value = true;
    try {
      const body = { filmId: one.film.id, frame: one.frame, point: one.point, x: where?.x ?? null, y: where?.y ?? null };
      await request(pointCheckEndpoints.sayPoint, { params: { checkId: id }, body });
      said.value = [...said.value.slice(0, at.value), { id, place: where }, ...said.value.slice(at.value + 1)];
      failure.value = undefined;
      at.value++;
    } catch (error) {
      failure.value = messageOf(error);
    } finally {
      saving.value = false;
    }
  }

  return {
    at,
    current,
    said,
    place,
    still,
    failure,
    saving,
    put: (where: Place) => void (place.value = where),
    /** By keys alone it begins in the middle of the body. */
    nudge: (dx: Px, dy: Px) => {
      const { x, y, width, height } = current.value!.box;
      const from = place.value ?? { x: x + width / 2, y: y + height / 2 };
      place.value = { x: from.x + dx, y: from.y + dy };
    },
    next: () => (place.value ? say(place.value) : Promise.resolve()),
    hide: () => say(null),
    back: () => void (at.value = Math.max(0, at.value - 1)),
  };
}
export type PointCheckInHand = ReturnType<typeof usePointCheck>;
