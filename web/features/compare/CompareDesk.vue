<script setup lang="ts">
import type { Counterpart } from '@wax-fist/contract/compare';
import { fitted, placementOf, strikingPath } from '@wax-fist/core/compare';
import type { FollowedFilm } from '@wax-fist/core/measure';
import { moments, type Moment } from '@wax-fist/core/strikes';
import { messageOf } from '@wax-fist/core/message-of';
import { watchDebounced } from '@vueuse/core';
import { computed, ref, shallowRef, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { useNotice } from '../../app/notice-store.ts';
import KeyPanel from '../../app/keys/KeyPanel.vue';
import { useKeys } from '../../app/keys/use-keys.ts';
import CompareBar from './CompareBar.vue';
import CompareTransport from './CompareTransport.vue';
import ComparedMeasures from './ComparedMeasures.vue';
import ComparedStages from './ComparedStages.vue';
import { compareKeys, type CompareKey } from './compare-keys.ts';
import { comparedRows } from './compared-measures.ts';
import type { ComparedSide, FilmedSide } from './compared-side.ts';
import { drawnId, isDrawn } from './drawn-side.ts';
import { useComparison } from './use-comparison.ts';
import { compareWords as words } from './words.ts';

/** Two strikes, locked at a moment, beside each other or one over the other. */
const { first, second, counterparts } = defineProps<{
  first: FilmedSide;
  second: ComparedSide;
  /** With what the first one is compared most often; undefined as long as that is looked for. */
  counterparts: readonly Counterpart[] | undefined;
}>();
const route = useRoute();
const router = useRouter();
const notice = useNotice();
const { query } = route;

const lockTold = moments.find((moment) => moment === query.lock) ?? 'contact';
const comparison = useComparison(
  () => first,
  () => second,
  { lock: lockTold, instant: Number(query.at) || 0 },
);
const over = ref(query.by === 'over');
const asFilmed = ref(query.place === 'filmed');
/** By hand; without it, whichever way the bodies fit better. */
const mirrored = ref(query.mirror === undefined ? undefined : query.mirror === 'yes');
const ways = ref(true);
const keysShown = ref(false);

const films = shallowRef<readonly [FollowedFilm | undefined, FollowedFilm | undefined]>([undefined, undefined]);
const secondKey = computed(() => second.strike?.strikeId ?? drawnId);
/** Without a connection both are shown as they were filmed. */
const followedOf = (side: ComparedSide): Promise<FollowedFilm | undefined> =>
  side.followed().catch((error: unknown) => {
    notice.say(words.whereTheyStandIsNotKnown(messageOf(error)));
    return undefined;
  });
/** Who stands where is asked for when both pictures are there: they come sooner alone. */
const firstShown = ref(false);
const secondShown = ref<string>();
watch(
  [() => first, () => second, () => firstShown.value && (!second.strike || secondShown.value === secondKey.value)],
  async ([one, other, ready], before) => {
    if (before[1] !== undefined && before[1] !== other) mirrored.value = undefined;
    if (!ready) return;
    const both = await Promise.all([followedOf(one), followedOf(other)]);
    if (first === one && second === other) films.value = both;
  },
  { immediate: true },
);

const placement = computed(() => {
  const [one, other] = films.value;
  const found =
    one &&
    other &&
    !asFilmed.value &&
    placementOf(
      { track: one.track, frame: first.moments.launchFrame },
      { track: other.track, frame: second.moments.launchFrame },
      mirrored.value,
    );
  return found || fitted(second.picture, first.picture, mirrored.value ?? first.stance !== second.stance);
});
const paths = computed(() =>
  [first, second].map((side, place) => {
    const film = films.value[place];
    return film && side.technique && ways.value ? strikingPath(film, side.timeline, side.moments, side.technique) : [];
  }),
);
const rows = computed(() => comparedRows([first, second], films.value));

/** How both are looked at: it stays when the first one is held against another. */
const standing = () => ({
  lock: comparison.lock.value,
  by: over.value ? 'over' : 'beside',
  ...(asFilmed.value && { place: 'filmed' }),
  ...(mirrored.value !== undefined && { mirror: mirrored.value ? 'yes' : 'no' }),
});
/** The address opens the same picture again. */
watchDebounced(
  [comparison.lock, comparison.instant, over, asFilmed, mirrored],
  () => {
    if (comparison.playing.value) return;
    void router.replace({ query: { ...standing(), at: String(Math.round(comparison.instant.value)) } });
  },
  { debounce: 300 },
);

/** Asked for before it was known with what this can be compared: it is held against that as soon as it is. */
const asked = ref<Counterpart['kind']>();
const against = (kind: Counterpart['kind']): void => {
  asked.value = counterparts ? undefined : kind;
  const one = counterparts?.find((counterpart) => counterpart.kind === kind);
  if (one) holdAgainst(one.strikeId);
};
watch(
  () => counterparts,
  () => asked.value && against(asked.value),
);
const holdAgainst = (secondId: string): void => {
  asked.value = undefined;
  void router.replace({ name: 'compare', params: { firstId: first.strike.strikeId, secondId }, query: standing() });
};
const back = () => ({ name: 'bench', params: { filmId: first.strike.film.id, strikeId: first.strike.strikeId } });
const doing: Record<CompareKey, () => void> = {
  'frame-back': () => comparison.step(-1),
  'frame-on': () => comparison.step(1),
  play: comparison.toggle,
  slower: () => comparison.faster(-1),
  faster: () => comparison.faster(1),
  'lock-launch': () => comparison.again('launch'),
  'lock-contact': () => comparison.again('contact'),
  'lock-home': () => comparison.again('home'),
  over: () => (over.value = !over.value),
  'as-filmed': () => (asFilmed.value = !asFilmed.value),
  mirror: () => (mirrored.value = !placement.value.mirrored),
  paths: () => (ways.value = !ways.value),
  // What is drawn is seen from where the first one was filmed, so that has to be a film.
  swap: () =>
    second.strike &&
    void router.replace({
      name: 'compare',
      params: { firstId: second.strike.strikeId, secondId: first.strike.strikeId },
    }),
  'last-time': () => against('last-time'),
  cleanest: () => against('cleanest'),
  'other-side': () => against('other-side'),
  'somebody-else': () => against('somebody-else'),
  drawn: () => first.technique && isDrawn(first.technique.id) && holdAgainst(drawnId),
  keys: () => (keysShown.value = true),
  back: () => void router.push(back()),
};
const keys = useKeys(
  compareKeys,
  'wax.compare-keys',
  (id) => doing[id](),
  () => keysShown.value,
);
const frames = comparison.frames;
const lockTo = (moment: Moment): void => comparison.again(moment);
</script>

<template>
  <div class="desk">
    <CompareBar
      :first="first"
      :second="second"
      :counterparts="counterparts"
      :keys="keys"
      :back="back()"
      @against="against"
      @do="doing[$event]()"
    />
    <ComparedStages
      :first="first"
      :second="second"
      :second-key="secondKey"
      :frames="frames"
      :placement="placement"
      :paths="paths"
      :over="over"
      @first-shown="firstShown = true"
      @second-shown="secondShown = secondKey"
    />
    <CompareTransport
      :comparison="comparison"
      :keys="keys"
      :over="over"
      :as-filmed="asFilmed"
      :mirrored="placement.mirrored"
      @do="doing[$event]()"
      @lock="lockTo"
    />
    <section class="measures" :aria-label="words.whatDiffers"><ComparedMeasures :rows="rows" /></section>
    <KeyPanel v-model="keysShown" :keys="keys" />
  </div>
</template>

<style scoped>
.desk {
  display: flex;
  flex-direction: column;
  gap: var(--space-2);
  min-height: 100vh;
  padding: 0 var(--space-3);
  background: rgb(var(--v-theme-background));
}
.measures {
  overflow-x: auto;
}
</style>
