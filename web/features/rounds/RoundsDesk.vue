<script setup lang="ts">
import { messageOf } from '@wax-fist/core/message-of';
import { mdiPause, mdiPlay } from '@mdi/js';
import type { Region } from '@wax-fist/core/strikes';
import { frameAt, timeOf } from '@wax-fist/core/film';
import type { Ms } from '@wax-fist/core/units';
import { computed, onMounted, ref, shallowRef, watch } from 'vue';
import { onBeforeRouteLeave, useRoute, useRouter } from 'vue-router';
import KeyPanel from '../../app/keys/KeyPanel.vue';
import { useKeys } from '../../app/keys/use-keys.ts';
import { clock } from '../../app/format.ts';
import FilmPicture from '../../player/FilmPicture.vue';
import type { Player } from '../../player/use-player.ts';
import CutFilm from '../film-parts/CutFilm.vue';
import FilmTrack from './FilmTrack.vue';
import HitLine from './HitLine.vue';
import { hitsAtPlayhead } from './hits-at-playhead.ts';
import HitTools from './HitTools.vue';
import { roundsKeys, type RoundsKey } from './rounds-keys.ts';
import { useHitsAndRounds } from './hits-and-rounds-store.ts';
import RegionFrame from './RegionFrame.vue';
import RoundList from './RoundList.vue';
import RoundPlan from './RoundPlan.vue';
import RoundSays from './RoundSays.vue';
import RoundsHead from './RoundsHead.vue';
import type { HitsAndRoundsData } from './hits-and-rounds-data.ts';
import { useRounds } from './use-rounds.ts';
import { roundsWords as words } from './words.ts';

const { data } = defineProps<{ data: HitsAndRoundsData }>();
const router = useRouter();
const hitsAndRounds = useHitsAndRounds();
const { film, session } = data;
const { timeline } = data.playable;
const duration: Ms = film.duration ?? timeline.at(-1)! + 1;
const picture = ref<InstanceType<typeof FilmPicture>>();
const player = shallowRef<Player>();
const keysShown = ref(false);
const drawing = ref(false);
const remark = ref<string>();

const at = computed(() => player.value?.at.value ?? 0);
const now = computed<Ms>(() => timeOf(timeline, at.value));
const route = useRoute();
const rounds = useRounds(duration);
if (typeof route.query.round === 'string') rounds.take(route.query.round);
const hits = hitsAtPlayhead(timeline, () => at.value);
const goTo = (time: Ms): void => player.value?.go(frameAt(timeline, time));
const stepIs = (step: string, ...states: string[]): boolean =>
  hitsAndRounds.film?.steps.some((one) => one.step === step && states.includes(one.state)) ?? false;
const listening = computed(() => film.hasSound && stepIs('hits', 'waiting', 'working'));
const inHand = computed(() => rounds.inHand.value);
/** The round in hand stands in the address; a half minute of another one was picked for that. */
watch(
  () => inHand.value?.id,
  (round, before) => void router.replace({ query: { ...route.query, round, ...(before !== undefined && { half: undefined }) } }),
);
const itsHits = computed(() =>
  hitsAndRounds.hits.filter(({ time }) => inHand.value && time >= inHand.value.from && time < inHand.value.to),
);

function neighbourHit(steps: 1 | -1): void {
  const frame = hits.neighbour(steps);
  if (frame !== undefined) player.value?.go(frame);
}
function neighbourRound(steps: 1 | -1): void {
  rounds.neighbour(steps);
  if (inHand.value) goTo(inHand.value.from);
}
/** Does it, or says why it cannot be done. */
const trying = (done: boolean | undefined, why: string): void => void (remark.value = done ? undefined : why);
const setEdge = (edge: 'from' | 'to'): void => inHand.value && rounds.edge(inHand.value.id, edge, now.value);

const doing: Record<RoundsKey, () => void> = {
  'frame-back': () => player.value?.step(-1),
  'frame-on': () => player.value?.step(1),
  'ten-back': () => player.value?.step(-10),
  'ten-on': () => player.value?.step(10),
  play: () => player.value?.toggle(),
  'hit-before': () => neighbourHit(-1),
  'hit-after': () => neighbourHit(1),
  'hit-here': hits.toggle,
  'hit-move': hits.move,
  'fewer-hits': () => hits.believe(-1),
  'more-hits': () => hits.believe(1),
  'round-before': () => neighbourRound(-1),
  'round-after': () => neighbourRound(1),
  'round-from': () => setEdge('from'),
  'round-to': () => setEdge('to'),
  'round-cut': () => trying(rounds.cut(now.value), words.hereNoRoundCanBe),
  'round-add': () => trying(rounds.add(now.value), words.hereIsARoundAlready),
  'round-remove': () => inHand.value && rounds.remove(inHand.value.id),
  undo: hitsAndRounds.undo,
  redo: hitsAndRounds.redo,
  keys: () => (keysShown.value = true),
  review: () => void router.push({ name: 'bench', params: { filmId: film.id } }),
};
const keys = useKeys(
  roundsKeys,
  'wax.moments-keys',
  (id) => doing[id](),
  () => keysShown.value,
);

function watchRegion(region: Region): void {
  drawing.value = false;
  void hitsAndRounds.setRegion(region).catch((error: unknown) => (remark.value = messageOf(error)));
}
onMounted(() => {
  player.value = picture.value?.player;
  const asked = Number(route.query.at ?? NaN);
  if (!Number.isNaN(asked)) goTo(asked);
  else if (inHand.value) goTo(inHand.value.from);
});
onBeforeRouteLeave(() => hitsAndRounds.send());
const problem = computed(() => remark.value ?? hitsAndRounds.remark ?? player.value?.failure.value);
const shape = { aspectRatio: `${film.width} / ${film.height}`, width: `min(100%, ${(264 * film.width!) / film.height!}px)` };
</script>

<template>
  <RoundsHead :film="film" :session="session" :keys="keys" @keys="keysShown = true" />
  <VAlert v-if="problem" type="warning" variant="tonal" density="compact" class="mb-2" role="alert">{{ problem }}</VAlert>

  <div class="look">
    <div class="picture">
      <FilmPicture ref="picture" :film="data.playable" :width="film.width!" :height="film.height!" :style="shape">
        <RegionFrame :region="hitsAndRounds.edits.region" :drawing="drawing" @drawn="watchRegion" />
      </FilmPicture>
      <p v-if="player" class="where">
        <VBtn
          :icon="player.playing.value ? mdiPause : mdiPlay"
          size="x-small"
          variant="tonal"
          :aria-label="player.playing.value ? words.stop : words.play"
          :title="keys.drawn('play')"
          @click="player.toggle()"
        />
        <span class="number">{{ clock(now) }}</span> <span class="quiet number">{{ words.frameAt(at + 1) }}</span>
      </p>
    </div>
    <HitTools
      v-model:drawing="drawing"
      :keys="keys"
      :can-hear="film.hasSound"
      :can-see="stepIs('motion', 'done')"
      :listening="listening"
    />
  </div>

  <FilmTrack :film="film" :duration="duration" :at="now" :rounds="rounds" @go="goTo" />
  <div v-if="inHand" class="close v-theme--bench">
    <HitLine
      :round="inHand"
      :span="inHand.to - inHand.from"
      :hits="itsHits"
      :gap="hitsAndRounds.edits.gap"
      :at="now"
      :low="false"
      @go="goTo"
    />
  </div>

  <div class="below">
    <div>
      <RoundList :rounds="rounds" :keys="keys" @go="goTo($event.from)" />
      <CutFilm
        v-if="hitsAndRounds.rounds.length > 1"
        :film-id="film.id"
        :session-id="session.id"
        :trainee-id="session.traineeId"
        :rounds="hitsAndRounds.rounds"
        @look="goTo($event.from)"
      />
    </div>
    <div v-if="inHand">
      <RoundSays
        :film-id="film.id"
        :round="inHand"
        :strikes="data.strikes"
        :timeline="timeline"
        :stance="session.trainee.stance"
        @go="goTo"
      />
      <RoundPlan
        :key="inHand.id"
        :round="inHand"
        :strikes="data.strikes"
        :timeline="timeline"
        :book="data.book"
        :catalogue="data.catalogue"
        :stance="session.trainee.stance"
      />
    </div>
  </div>
  <KeyPanel v-model="keysShown" :keys="keys" />
</template>

<style scoped>
.look {
  display: grid;
  grid-template-columns: auto minmax(300px, 1fr);
  gap: var(--space-6);
  margin: var(--space-2) 0 var(--space-2);
}
.picture {
  width: 470px;
}
.where {
  display: flex;
  gap: var(--space-2);
  align-items: center;
  margin-top: var(--space-1);
}
.close {
  margin-top: var(--space-1);
  color: var(--chalk);
  background: var(--bench);
}
.below {
  display: grid;
  grid-template-columns: minmax(0, max-content) minmax(300px, 1fr);
  gap: var(--space-6);
  margin-top: var(--space-4);
}
@media (max-width: 1100px) {
  .below {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
