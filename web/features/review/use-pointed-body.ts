import { footageEndpoints, leastBodySide, type Film, type FilmStep } from '@wax-fist/contract/footage';
import { bodySizeOf, hipsAt } from '@wax-fist/core/body';
import { messageOf } from '@wax-fist/core/message-of';
import type { Ms, Px, Ratio } from '@wax-fist/core/units';
import { v7 as uuid } from 'uuid';
import { computed, ref, shallowRef, type ComputedRef, type Ref } from 'vue';
import { useKeys, type Keys } from '../../app/keys/use-keys.ts';
import { useNotice } from '../../app/notice-store.ts';
import { request } from '../../app/request.ts';
import { whileTrue } from '../../app/while-true.ts';
import { pointsOf } from '../footage/playable.ts';
import type { Player } from '../../player/use-player.ts';
import { bodyKeys, type BodyKey } from './body-keys.ts';
import type { BenchData } from './use-bench-data.ts';
import type { FilmWithBody } from './use-followed-film.ts';
import type { Place } from '@wax-fist/core/measure';
import { reviewWords as words } from './words.ts';

/** A square round somebody, by its middle. */
export interface Round extends Place {
  side: Px;
}

/** Who is followed, put right by hand: a square is drawn round somebody, and from there they are followed. */
export interface WhoseBody {
  on: Ref<boolean>;
  toggle: () => void;
  square: Readonly<Ref<Round>>;
  /** Draws the square from one corner to the opposite one. */
  draw: (from: Place, to: Place) => void;
  /** Has whoever is in the square followed. */
  follow: () => Promise<void>;
  /** How far it is while somebody is followed anew; undefined when nobody is. */
  work: ComputedRef<Pick<FilmStep, 'progress' | 'left'> | undefined>;
  keys: Keys<BodyKey>;
}

export interface WhoseBodySetting {
  data: BenchData;
  player: () => Player | undefined;
  film: FilmWithBody;
  keysShown: Ref<boolean>;
  /** How often is asked whether somebody has been followed. */
  askEvery?: Ms;
}

/** How far a key moves the square, and how much it makes of its size, as shares of that. */
const [stride, growth]: readonly [Ratio, Ratio] = [0.08, 1.15];
/** A body is so many trunks high, as it stands and with its arms: what a square round it begins with. */
const trunksOfBody = 3.6;

export function usePointedBody({ data, player, film: { found, show }, keysShown, askEvery = 1500 }: WhoseBodySetting): WhoseBody {
  const notice = useNotice();
  const { width, height } = { width: data.film.width ?? 0, height: data.film.height ?? 0 };
  const on = ref(false);
  const square = shallowRef<Round>({ x: 0, y: 0, side: 0 });
  const film = shallowRef<Film>(data.film);
  const pose = computed(() => film.value.steps.find(({ step }) => step === 'pose'));
  const followed = computed(() => pose.value?.state !== 'waiting' && pose.value?.state !== 'working');
  /** Somebody was pointed out at this bench, and is followed now. */
  const asked = ref(false);

  /** Round whoever is followed until now, or the middle of the picture. */
  function usual(): Round {
    const track = found.value?.track;
    const hips = track && hipsAt(track, player()?.at.value ?? 0);
    const torso = track && bodySizeOf(track)?.torso;
    const side = torso ? torso * trunksOfBody : height * 0.8;
    return { x: hips?.[0] ?? width / 2, y: hips?.[1] ?? height / 2, side };
  }
  const within = ({ x, y, side }: Round): Round => ({
    x: Math.max(0, Math.min(width, x)),
    y: Math.max(0, Math.min(height, y)),
    side: Math.max(leastBodySide, Math.min(2 * Math.max(width, height), side)),
  });
  const change = ({ x, y, side }: { x?: Ratio; y?: Ratio; side?: Ratio }): void => {
    const { value: now } = square;
    square.value = within({ x: now.x + (x ?? 0) * now.side, y: now.y + (y ?? 0) * now.side, side: now.side * (side ?? 1) });
  };

  async function showAnew(): Promise<void> {
    film.value = await request(footageEndpoints.showFilm, { params: { filmId: data.film.id } });
    if (!followed.value) return;
    if (pose.value?.state === 'failed') {
      asked.value = false;
      return notice.say(pose.value.reason ?? words.whoeverWasPointedOutCould);
    }
    const track = await pointsOf(film.value);
    asked.value = false;
    if (track) show(film.value, track);
    notice.say(words.whoeverWasPointedOutIs);
  }
  whileTrue(asked, () => showAnew().catch((error: unknown) => notice.say(messageOf(error))), askEvery);

  const whose: Omit<WhoseBody, 'keys'> = {
    on,
    toggle() {
      on.value = !on.value;
      if (!on.value) return;
      if (player()?.playing.value) player()?.toggle();
      square.value = within(usual());
    },
    square,
    draw(from, to) {
      const side = Math.max(Math.abs(to.x - from.x), Math.abs(to.y - from.y));
      square.value = within({ x: (from.x + to.x) / 2, y: (from.y + to.y) / 2, side });
    },
    async follow() {
      on.value = false;
      const body = { id: uuid(), frame: player()?.at.value ?? 0, ...square.value };
      try {
        const params = { filmId: data.film.id, bodyId: body.id };
        film.value = await request(footageEndpoints.pointOutBody, { params, body });
        asked.value = true;
      } catch (error) {
        notice.say(messageOf(error));
      }
    },
    work: computed(() => (asked.value ? (pose.value ?? { progress: 0, left: null }) : undefined)),
  };

  const doing: Record<BodyKey, () => void> = {
    left: () => change({ x: -stride }),
    right: () => change({ x: stride }),
    up: () => change({ y: -stride }),
    down: () => change({ y: stride }),
    larger: () => change({ side: growth }),
    smaller: () => change({ side: 1 / growth }),
    follow: () => void whose.follow(),
    let: whose.toggle,
  };
  const keys = useKeys(
    bodyKeys,
    'wax.body-keys',
    (id) => doing[id](),
    () => keysShown.value || !on.value,
  );
  return { ...whose, keys };
}
