<script setup lang="ts">
import { useEventListener } from '@vueuse/core';
import { computed, defineAsyncComponent, onMounted, ref, shallowRef, watch } from 'vue';
import { useRouter } from 'vue-router';
import KeyPanel from '../../app/keys/KeyPanel.vue';
import MagnifiedPlace from '../../player/MagnifiedPlace.vue';
import FilmPicture from '../../player/FilmPicture.vue';
import type { Player } from '../../player/use-player.ts';
import { useHitsAndRounds } from '../rounds/hits-and-rounds-store.ts';
import { provideBench } from './bench-context.ts';
import BenchBar from './BenchBar.vue';
import BodyOverlay from './BodyOverlay.vue';
import NamedBar from './NamedBar.vue';
import OpenTally from './OpenTally.vue';
import OtherViewPicture from './OtherViewPicture.vue';
import PhaseStrip from './PhaseStrip.vue';
import PinBar from './PinBar.vue';
import PinLayer from './PinLayer.vue';
import PointedBodyBar from './PointedBodyBar.vue';
import PointedBodyLayer from './PointedBodyLayer.vue';
import { useReview } from './review-store.ts';
import RibbonTools from './RibbonTools.vue';
import RoundRibbon from './RoundRibbon.vue';
import TheWalk from './TheWalk.vue';
import TransportBar from './TransportBar.vue';
import type { BenchData } from './use-bench-data.ts';
import { useBench } from './use-bench.ts';
import { useBenchDesk } from './use-bench-desk.ts';
import { useEffort } from './use-effort.ts';
import { useNamedStrikes } from './use-named-strikes.ts';
import { useOtherView } from './use-other-view.ts';
import { usePins } from './use-pins.ts';
import { usePointedBody } from './use-pointed-body.ts';
import { reviewWords as words } from './words.ts';

const { data, strikeId } = defineProps<{ data: BenchData; strikeId: string }>();
const router = useRouter();
const review = useReview();
const hitsAndRounds = useHitsAndRounds();
const picture = ref<InstanceType<typeof FilmPicture>>();
const player = shallowRef<Player>();
const { timeline } = data.playable;

const other = useOtherView(data.film, timeline, data.session.films);
const bench = useBench({ data, player: () => player.value, otherView: () => other.view.value });

const keysShown = ref(false);
const pins = usePins({ data, player: () => player.value, film: bench.film, read: bench.read, keysShown });
const whose = usePointedBody({ data, player: () => player.value, film: bench.film, keysShown });
const named = useNamedStrikes(data, bench.film, () => player.value, bench.select);
const desk = useBenchDesk({
  data,
  bench,
  other,
  pins,
  whose,
  named,
  player: () => player.value,
  picture: () => picture.value,
  keysShown,
});
const { keys, writing, finding, noting, reference, why, undoing } = desk;
const StrikeNotes = defineAsyncComponent(() => import('../notes/StrikeNotes.vue'));

provideBench({ data, bench, keys });
useEffort(data.film.id);

/** What others have said meanwhile comes in when the coach is back at this page. */
const refresh = (): void => {
  if (document.visibilityState === 'visible') void review.refresh().catch(() => undefined);
};
useEventListener(document, 'visibilitychange', refresh);
useEventListener(window, 'focus', refresh);
/** What a key away is lies ready. */
onMounted(() => void import('../compare/ComparePage.vue'));
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
const problem = computed(() => desk.failure.value ?? player.value?.failure.value ?? other.remark.value ?? hitsAndRounds.remark);
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
      @undo="desk.stepBack('undo')"
      @redo="desk.stepBack('redo')"
      @compare="desk.compare"
      @note="noting = true"
      @done="desk.finish"
    />
    <section class="film" :aria-label="words.film">
      <VAlert v-if="problem" type="error" density="compact" role="alert">{{ problem }}</VAlert>
      <div class="frame" :class="other.mode.value">
        <div class="own">
          <FilmPicture ref="picture" :film="data.playable" :width="data.film.width!" :height="data.film.height!" class="picture">
            <BodyOverlay
              v-if="(why || pins.on.value) && bench.film.followed.value && player"
              :film="bench.film.followed.value"
              :at="player.at.value"
              :width="data.film.width!"
              :height="data.film.height!"
              :row="bench.row.value"
              :read="bench.read.value"
              :bare="pins.on.value"
            />
            <PointedBodyLayer v-if="whose.on.value" :whose="whose" :width="data.film.width!" :height="data.film.height!" />
            <PinLayer v-else-if="pins.on.value" :pins="pins" :width="data.film.width!" :height="data.film.height!" />
          </FilmPicture>
          <MagnifiedPlace
            v-if="pins.on.value && !whose.on.value && pins.picked.value"
            :place="pins.picked.value"
            :picture="picture?.canvas"
            :over="data.film.width!"
            :frame="pins.frame.value"
          />
        </div>
        <OtherViewPicture v-if="player && other.mode.value !== 'off'" :other="other" :at="player.at.value" />
      </div>
      <PointedBodyBar v-if="whose.on.value || whose.work.value" :whose="whose" />
      <PinBar v-else-if="pins.on.value" :pins="pins" :whose="whose" />
      <NamedBar v-else-if="named.open.value.length > 0 && !review.blind" :named="named" />
      <template v-if="player">
        <TransportBar :player="player" :looping="player.looping.value" @loop="desk.loop" />
        <PhaseStrip :player="player" />
        <RibbonTools v-model="bench.filter.value" />
        <RoundRibbon :at="player.at.value" @go="player.go($event)" />
      </template>
    </section>
    <aside class="side">
      <TheWalk v-model:writing="writing" v-model:finding="finding" v-model:reference="reference" :at="player?.at.value ?? 0" />
      <OpenTally />
    </aside>
    <StrikeNotes
      v-if="noting && bench.strike.value"
      v-model="noting"
      :session-id="data.session.id"
      :strike-id="bench.strike.value.strikeId"
      :catalogue="data.catalogue"
    />
    <KeyPanel v-if="whose.on.value" v-model="keysShown" :keys="whose.keys" />
    <KeyPanel v-else-if="pins.on.value" v-model="keysShown" :keys="pins.keys" />
    <KeyPanel v-else v-model="keysShown" :keys="keys" />
  </div>
</template>

<style scoped>
.bench {
  display: grid;
  grid-template: 44px minmax(0, 1fr) / minmax(0, 1fr) 416px;
  gap: 0 var(--space-3);
  height: 100vh;
  min-height: 560px;
  padding: 0 var(--space-3) var(--space-2);
  background: rgb(var(--v-theme-background));
}
.bench > :first-child {
  grid-column: 1 / -1;
}
.film {
  display: flex;
  flex-direction: column;
  gap: var(--space-1-5);
  min-width: 0;
}
.frame {
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template: minmax(0, 1fr) / minmax(0, 1fr);
  gap: var(--space-1);
  background: var(--picture);
}
.frame.beside {
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
}
.own {
  position: relative;
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
  gap: var(--space-1-5);
}
@media (max-width: 1023px) {
  .bench {
    grid-template-columns: minmax(0, 1fr) 340px;
  }
}
</style>
