<script setup lang="ts">
import { useEventListener } from '@vueuse/core';
import { messageOf } from '@wax-fist/core/message-of';
import { footageEndpoints } from '@wax-fist/contract/footage';
import { computed, onMounted, ref, shallowRef, watch } from 'vue';
import { useRouter } from 'vue-router';
import { request } from '../../app/request.ts';
import KeyPanel from '../../app/keys/KeyPanel.vue';
import { useNotice } from '../../app/notice-store.ts';
import { oneUndo } from '../../app/one-undo.ts';
import { useKeys } from '../../app/keys/use-keys.ts';
import FilmPicture from '../../player/FilmPicture.vue';
import type { Player } from '../../player/use-player.ts';
import { useHitsAndRounds } from '../rounds/hits-and-rounds-store.ts';
import { benchKeysFor, tagNumbers, type BenchKey, type TagKey } from './bench-keys.ts';
import { provideBench } from './bench-context.ts';
import BenchBar from './BenchBar.vue';
import BodyOverlay from './BodyOverlay.vue';
import OpenTally from './OpenTally.vue';
import OtherViewPicture from './OtherViewPicture.vue';
import PhaseStrip from './PhaseStrip.vue';
import { useReview } from './review-store.ts';
import RibbonTools from './RibbonTools.vue';
import RoundRibbon from './RoundRibbon.vue';
import TheWalk from './TheWalk.vue';
import TransportBar from './TransportBar.vue';
import type { BenchData } from './use-bench-data.ts';
import { useBench } from './use-bench.ts';
import { useOtherView } from './use-other-view.ts';

const { data, strikeId } = defineProps<{ data: BenchData; strikeId: string }>();
const router = useRouter();
const review = useReview();
const hitsAndRounds = useHitsAndRounds();
const picture = ref<InstanceType<typeof FilmPicture>>();
const player = shallowRef<Player>();
const keysShown = ref(false);
const writing = ref(false);
const finding = ref(false);
/** Until a coach says otherwise, a short walk leaves room for how its row should look. */
const reference = ref<boolean>();
const failure = ref<string>();
/** Whether the body is drawn over the picture as it was found. */
const why = ref(false);
const notice = useNotice();
const { timeline } = data.playable;

const other = useOtherView(data.film, timeline, data.session.films);
const bench = useBench({ data, player: () => player.value, otherView: () => other.view.value });

function loop(): void {
  const strike = bench.strike.value;
  if (player.value?.looping.value) player.value.loop(undefined);
  else if (strike) player.value?.loop([Math.max(0, strike.launchFrame - 4), Math.min(timeline.length - 1, strike.homeFrame + 4)]);
}

async function finish(): Promise<void> {
  try {
    await request(footageEndpoints.changeFilm, { params: { filmId: data.film.id }, body: { done: true } });
    await router.push({ name: 'session', params: { sessionId: data.film.sessionId }, hash: '#said' });
  } catch (error) {
    failure.value = messageOf(error);
  }
}

const undoing = oneUndo([review, hitsAndRounds]);
/** Undo and redo, and the strike they were about comes into view. */
function stepBack(steps: 'undo' | 'redo'): void {
  if (undoing[steps]() !== review) return;
  const about = review.strikes.find(({ strikeId }) => strikeId === review.lastSaid)?.strikeId;
  if (about && about !== bench.strike.value?.strikeId) bench.select(about);
}

const tagging = Object.fromEntries(
  tagNumbers.map((number) => [`tag-${number}`, () => bench.tag(data.book.calls[number])]),
) as Record<TagKey, () => void>;
const doing: Record<BenchKey, () => void> = {
  ...tagging,
  'frame-back': () => player.value?.step(-1),
  'frame-on': () => player.value?.step(1),
  'ten-back': () => player.value?.step(-10),
  'ten-on': () => player.value?.step(10),
  play: () => player.value?.toggle(),
  slower: () => player.value?.faster(-1),
  faster: () => player.value?.faster(1),
  loop,
  'zoom-in': () => picture.value?.zoomBy(1.5),
  'zoom-out': () => picture.value?.zoomBy(1 / 1.5),
  'zoom-whole': () => picture.value?.zoomOut(),
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
  find: () => (finding.value = true),
  'to-body': bench.toBody,
  reference: () => (reference.value = !(reference.value ?? !bench.full.value)),
  why: () => {
    if (bench.track.value) why.value = !why.value;
    else notice.say('Nobody has been followed in this film yet. The session page shows how far it is.');
  },
  remove: bench.remove,
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
  () => keysShown.value,
);

provideBench({ data, bench, keys });

/** What others have said meanwhile comes in when the coach is back at this page. */
const refresh = (): void => {
  if (document.visibilityState === 'visible') void review.refresh().catch(() => undefined);
};
useEventListener(document, 'visibilitychange', refresh);
useEventListener(window, 'focus', refresh);
onMounted(() => {
  player.value = picture.value?.player;
  const first =
    review.strikes.find((strike) => strike.strikeId === strikeId) ??
    review.strikes.find((strike) => review.verdictsOf(strike.strikeId).length === 0) ??
    review.strikes[0];
  if (first) bench.select(first.strikeId);
});
watch(
  () => bench.strike.value?.strikeId,
  (now) => void router.replace({ name: 'bench', params: { filmId: data.film.id, strikeId: now ?? '' } }),
);
const problem = computed(() => failure.value ?? player.value?.failure.value ?? other.remark.value ?? hitsAndRounds.remark);
const shape = computed(() => ({
  '--shape': `${data.film.width} / ${data.film.height}`,
  '--ratio': `${data.film.width! / data.film.height!}`,
}));
</script>

<template>
  <div class="bench" :style="shape">
    <BenchBar
      :other="other"
      :undoing="undoing"
      @keys="keysShown = true"
      @undo="stepBack('undo')"
      @redo="stepBack('redo')"
      @done="finish"
    />
    <section class="film" aria-label="Film">
      <VAlert v-if="problem" type="error" density="compact" role="alert">{{ problem }}</VAlert>
      <div class="frame" :class="other.mode.value">
        <div class="own">
          <FilmPicture ref="picture" :film="data.playable" :width="data.film.width!" :height="data.film.height!" class="picture">
            <BodyOverlay
              v-if="why && bench.track.value && player"
              :track="bench.track.value"
              :timeline="timeline"
              :at="player.at.value"
              :width="data.film.width!"
              :height="data.film.height!"
              :read="bench.read.value"
            />
          </FilmPicture>
        </div>
        <OtherViewPicture v-if="player && other.mode.value !== 'off'" :other="other" :at="player.at.value" />
      </div>
      <template v-if="player">
        <TransportBar :player="player" :looping="player.looping.value" @loop="loop" />
        <PhaseStrip :player="player" />
        <RibbonTools v-model="bench.filter.value" />
        <RoundRibbon :at="player.at.value" @go="player.go($event)" />
      </template>
    </section>
    <aside class="side">
      <TheWalk v-model:writing="writing" v-model:finding="finding" v-model:reference="reference" :at="player?.at.value ?? 0" />
      <OpenTally />
    </aside>
    <KeyPanel v-model="keysShown" :keys="keys" />
  </div>
</template>

<style scoped>
.bench {
  display: grid;
  grid-template: 44px minmax(0, 1fr) / minmax(0, 1fr) 416px;
  gap: 0 12px;
  height: 100vh;
  min-height: 560px;
  padding: 0 12px 8px;
  background: rgb(var(--v-theme-background));
}
.bench > :first-child {
  grid-column: 1 / -1;
}
.film {
  display: flex;
  flex-direction: column;
  gap: 6px;
  min-width: 0;
}
.frame {
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template: minmax(0, 1fr) / minmax(0, 1fr);
  gap: 4px;
  background: #0a0a0a;
}
.frame.beside {
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
}
.own {
  min-height: 0;
  container-type: size;
  display: grid;
  place-items: center;
}
.frame.instead .own {
  display: none;
}
.picture {
  aspect-ratio: var(--shape);
  width: min(100cqw, 100cqh * var(--ratio));
}
.side {
  display: flex;
  flex-direction: column;
  min-height: 0;
  gap: 6px;
}
@media (max-width: 1023px) {
  .bench {
    grid-template-columns: minmax(0, 1fr) 340px;
  }
}
</style>
