import { messageOf } from '@wax-fist/core/message-of';
import { footageEndpoints } from '@wax-fist/contract/footage';
import { useTimeoutFn } from '@vueuse/core';
import { ref, type Ref } from 'vue';
import { useRouter } from 'vue-router';
import { request } from '../../app/request.ts';
import { useNotice } from '../../app/notice-store.ts';
import { oneUndo } from '../../app/one-undo.ts';
import { useKeys } from '../../app/keys/use-keys.ts';
import type { Player } from '../../player/use-player.ts';
import { useHitsAndRounds } from '../rounds/hits-and-rounds-store.ts';
import { benchKeysFor, tagNumbers, type BenchKey, type TagKey } from './bench-keys.ts';
import { useReview } from './review-store.ts';
import type { BenchData } from './use-bench-data.ts';
import type { Bench } from './use-bench.ts';
import type { NamedStrikes } from './use-named-strikes.ts';
import type { OtherView } from './use-other-view.ts';
import type { Pins } from './use-pins.ts';
import type { WhoseBody } from './use-pointed-body.ts';
import { reviewWords as words } from './words.ts';

export interface DeskSetting {
  data: BenchData;
  bench: Bench;
  other: OtherView;
  pins: Pins;
  whose: WhoseBody;
  named: NamedStrikes;
  player: () => Player | undefined;
  keysShown: Ref<boolean>;
  picture: () => { zoomBy: (factor: number) => void; zoomOut: () => void } | undefined;
}

/** Everything that a key at the bench does, and what of the bench is open or shown. */
export function useBenchDesk({ data, bench, other, pins, whose, named, player, picture, keysShown }: DeskSetting) {
  const router = useRouter();
  const review = useReview();
  const hitsAndRounds = useHitsAndRounds();
  const notice = useNotice();
  const { timeline } = data.playable;
  const writing = ref(false);
  const finding = ref(false);
  /** Notes on the strike in hand are open. */
  const noting = ref(false);
  /** Until a coach says otherwise, a short walk leaves room for how its row should look. */
  const reference = ref<boolean>();
  const failure = ref<string>();
  /** Whether the body is drawn over the picture as it was found. */
  const why = ref(false);

  function loop(): void {
    const strike = bench.known.value;
    if (player()?.looping.value) player()?.loop(undefined);
    else if (strike) player()?.loop([Math.max(0, strike.launchFrame - 4), Math.min(timeline.length - 1, strike.homeFrame + 4)]);
  }

  async function finish(): Promise<void> {
    try {
      if (review.blind) {
        await review.doneBlind();
        await router.push({ name: 'reviewing' });
        return;
      }
      await request(footageEndpoints.changeFilm, { params: { filmId: data.film.id }, body: { done: true } });
      await router.push({ name: 'session', params: { sessionId: data.film.sessionId }, hash: '#said' });
    } catch (error) {
      failure.value = messageOf(error);
    }
  }

  // Its page is at hand by then, and not only asked for.
  useTimeoutFn(() => void import('../compare/ComparePage.vue').catch(() => undefined), 1000);
  /** With whichever strike the page finds; from there every other one is a key away. */
  function compare(): void {
    const { value } = bench.strike;
    if (value) void router.push({ name: 'compare', params: { firstId: value.strikeId } });
  }

  const undoing = oneUndo([review, hitsAndRounds]);
  /** Undo and redo, and the strike they were about comes into view. */
  function stepBack(steps: 'undo' | 'redo'): void {
    if (undoing[steps]() !== review) return;
    const about = review.strikes.find(({ strikeId }) => strikeId === review.lastSaid)?.strikeId;
    if (about && about !== bench.strike.value?.strikeId) bench.select(about);
  }

  /** What can be done only where somebody was followed. */
  const wasFollowed = data.film.steps.some(({ step, state }) => step === 'pose' && state === 'done');
  const onBody = (does: () => void): void => {
    if (bench.track.value) return does();
    notice.say(wasFollowed ? words.whereTheBodyIsHas : words.nobodyHasBeenFollowedIn);
  };
  /** Where it was followed and its points are still on their way, the body is drawn once they are here. */
  function toggleWhy(): void {
    const isHere = bench.track.value !== undefined;
    if (!isHere && !wasFollowed) return notice.say(words.nobodyHasBeenFollowedIn);
    why.value = !why.value;
    if (why.value && !isHere) notice.say(words.theBodyIsDrawnOnce);
  }

  const tagging = Object.fromEntries(
    tagNumbers.map((number) => [`tag-${number}`, () => bench.tag(data.book.calls[number])]),
  ) as Record<TagKey, () => void>;
  const doing: Record<BenchKey, () => void> = {
    ...tagging,
    'frame-back': () => player()?.step(-1),
    'frame-on': () => player()?.step(1),
    'ten-back': () => player()?.step(-10),
    'ten-on': () => player()?.step(10),
    play: () => player()?.toggle(),
    slower: () => player()?.faster(-1),
    faster: () => player()?.faster(1),
    loop,
    'zoom-in': () => picture()?.zoomBy(1.5),
    'zoom-out': () => picture()?.zoomBy(1 / 1.5),
    'zoom-whole': () => picture()?.zoomOut(),
    'hit-before': () => bench.hit(-1),
    'hit-after': () => bench.hit(1),
    'hit-here': bench.toggleHit,
    'hit-move': bench.moveHit,
    'fewer-hits': () => bench.believe(-1),
    'more-hits': () => bench.believe(1),
    'other-view': () => void other.next(),
    'other-back': () => other.move(-1),
    'other-on': () => other.move(1),
    'strike-before': () => bench.neighbour(-1),
    'strike-after': () => bench.neighbour(1),
    'take-over': named.takeOver,
    find: () => (finding.value = true),
    'to-body': bench.toBody,
    reference: () => (reference.value = !(reference.value ?? !bench.full.value)),
    why: toggleWhy,
    'see-row': bench.seeRow,
    pins: () => onBody(pins.toggle),
    whose: whose.toggle,
    remove: bench.remove,
    compare,
    'strike-note': () => (noting.value = bench.strike.value !== undefined),
    'see-launch': () => bench.see('launch'),
    'see-contact': () => bench.see('contact'),
    'see-home': () => bench.see('home'),
    'set-launch': () => bench.set('launch'),
    'set-contact': () => bench.set('contact'),
    'set-home': () => bench.set('home'),
    clean: () => bench.judge('clean'),
    watch: () => bench.judge('watch'),
    fault: () => bench.judge('fault'),
    'cant-see': () => bench.judge('cant-see'),
    'rest-clean': bench.restClean,
    'take-back': () => bench.judge(null),
    note: () => (writing.value = bench.row.value !== undefined),
    'row-up': () => bench.moveRow(-1),
    'row-down': () => bench.moveRow(1),
    'walk-length': () => (bench.full.value = !bench.full.value),
    star: bench.star,
    undo: () => stepBack('undo'),
    redo: () => stepBack('redo'),
    keys: () => (keysShown.value = true),
    done: () => void finish(),
  };
  const keys = useKeys(
    benchKeysFor(data.book, (technique) => data.catalogue.techniques.get(technique)?.name ?? technique),
    'wax.bench-keys',
    (id) => doing[id](),
    () => keysShown.value || noting.value,
  );

  return { keys, writing, finding, noting, reference, why, undoing, failure, loop, compare, finish, stepBack };
}
