<script setup lang="ts">
import { mdiVideoOutline } from '@mdi/js';
import { leadChangesAt, type FloorEvent } from '@wax-fist/core/plan';
import { useEventListener, useFullscreen } from '@vueuse/core';
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import { keyName } from '../../app/keys/key-name.ts';
import { useAccount } from '../accounts/account-store.ts';
import { useCatalogue } from '../checklists/catalogue-store.ts';
import { clap, ring } from '../filming/bell.ts';
import { shotInWords } from '../plans/shot-words.ts';
import { clockTime } from '@wax-fist/core/words';
import FloorCamera from './FloorCamera.vue';
import FloorHead from './FloorHead.vue';
import { sendFloorFilms } from './floor-films.ts';
import { useFloorLogs } from './floor-log-store.ts';
import type { FloorState } from './floor-state.ts';
import { useSpeech } from './spoken.ts';
import CallStyle from './CallStyle.vue';
import { useCallStyle } from './use-call-style.ts';
import TimerHands from './TimerHands.vue';
import { useFloorTimer } from './use-floor-timer.ts';
import { floorWords as words } from './words.ts';

/** The clock of the floor: read from five metres, worked with gloves on. */
const { begun } = defineProps<{ begun: FloorState }>();
const router = useRouter();
const logs = useFloorLogs();
const account = useAccount();
const speech = useSpeech();
const speaks = speech.on;
const { toggle: fullScreen } = useFullscreen();

const sounds: Record<FloorEvent['kind'], (words: string) => void> = {
  begins: () => ring(1),
  ends: () => ring(3),
  warns: () => clap(2),
  'other lead': () => {
    clap(3);
    speech.say(words.otherLead);
  },
  call: (words) => speech.say(words),
};
// Begun once, from what was there when the page was opened.
const calls = useCallStyle();
const numbers = computed(() => calls.style.value.numbers);
const calling = { catalogue: useCatalogue().newest, pace: calls.pace, numbers };
const timer = useFloorTimer(begun, calling, ({ kind }, words) => sounds[kind](words));
const { stretch, left, parts, running, over, call, elapsed } = timer;

const part = computed(() => (stretch.value ? parts.value[stretch.value.part] : undefined));
const next = computed(() => {
  const at = stretch.value;
  if (!at) return undefined;
  return at.kind === 'change' || at.kind === 'ready' ? undefined : parts.value[at.part + 1];
});
const phases = { ready: words.getReady, work: words.work, rest: words.rest, change: words.next } as const;
const phase = computed(() => (stretch.value ? phases[stretch.value.kind] : words.done));
const digits = computed(() => clockTime(Math.ceil(left.value / 1000)));
const lead = computed(() => {
  const at = stretch.value;
  const changes = part.value && leadChangesAt(part.value);
  if (at?.kind !== 'work' || changes === null || changes === undefined) return '';
  return elapsed.value - at.from < changes * 1000 ? words.usualLead : words.otherLead;
});
const ending = ref(false);
/** Where something is to be filmed and a camera may be. */
const mayFilm = computed(() => account.worksHere && 'mediaDevices' in navigator && parts.value.some(({ shot }) => shot));
const filming = ref(false);
const camera = ref<InstanceType<typeof FloorCamera>>();
const filmed = computed(() => {
  const at = stretch.value;
  if (!running.value || at?.kind !== 'work' || !part.value?.shot) return undefined;
  return { key: `${at.part} ${at.round}`, number: at.round, part: part.value };
});

/** Before the next round that is filmed its picture is looked at. */
const toFilm = computed(() =>
  filmed.value || stretch.value?.kind === 'work' ? undefined : part.value?.shot ? part.value : undefined,
);

async function end(): Promise<void> {
  if (running.value) timer.toggle();
  ending.value = true;
  timer.stopLooking();
  await camera.value?.settled();
  const { id } = timer.state.value.plan;
  const known = await logs.write(id, timer.log());
  if (known) await sendFloorFilms(known);
  await router.push(known ? { name: 'plan', params: { planId: id } } : { name: 'floor' });
}
/** Hands in gloves: the space bar, arrows, and what remotes for slides and music send. */
const keys: Record<string, () => unknown> = {
  ' ': timer.toggle,
  MediaPlayPause: timer.toggle,
  ArrowRight: timer.skip,
  PageDown: timer.skip,
  ArrowLeft: timer.back,
  PageUp: timer.back,
  '+': timer.oneMore,
  '-': calls.slower,
  '*': calls.faster,
  n: calls.toggleNumbers,
  f: fullScreen,
};
useEventListener(window, 'keydown', (event) => {
  const act = keys[keyName(event)];
  if (!act || event.repeat) return;
  event.preventDefault();
  void act();
});
</script>

<template>
  <main class="floor" :data-phase="stretch?.kind ?? 'over'" :class="{ standing: !running }">
    <FloorHead
      v-model:filming="filming"
      v-model:speaks="speaks"
      :timer="timer"
      :part="part"
      :may-speak="speech.can"
      :may-film="mayFilm"
    />

    <p class="phase" aria-live="polite">{{ phase }}<template v-if="lead">, {{ lead.toLowerCase() }}</template></p>
    <p class="clock number" role="timer">{{ digits }}</p>
    <p class="call" aria-live="assertive">
      <template v-if="stretch?.kind === 'work'">{{ call ?? part?.cue }}</template>
      <template v-else-if="stretch?.kind === 'rest'">{{ part?.cue }}</template>
    </p>
    <div v-if="part && stretch?.kind !== 'work'" class="coming">
      <p>{{ part.says }}</p>
      <p v-if="part.shot" class="shot"><VIcon :icon="mdiVideoOutline" size="24" /> {{ shotInWords(part.shot) }}</p>
      <p v-if="part.caution" class="caution">{{ part.caution }}</p>
    </div>
    <p v-else-if="next" class="quiet next">{{ words.thenTitle(next.title) }}</p>
    <p v-if="over" class="coming">{{ words.writeItDownAndIt }}</p>

    <FloorCamera
      v-if="filming"
      ref="camera"
      :plan-id="timer.state.value.plan.id"
      :round="filmed"
      :coming="toFilm"
      :stance="begun.stance"
      :trainee-id="begun.plan.traineeId"
    />
    <CallStyle v-if="part?.recipe" :calls="calls" />
    <TimerHands :timer="timer" :ending="ending" @end="end" />
  </main>
</template>

<style scoped>
.floor {
  display: grid;
  grid-template: 56px auto minmax(0, 1fr) auto auto auto / minmax(0, 1fr);
  justify-items: center;
  height: 100dvh;
  padding: var(--space-1) var(--space-4);
  background: var(--bench);
  color: var(--chalk);
  text-align: center;
  overflow: hidden;
}
.floor[data-phase='work'] {
  background: var(--floor-work);
}
.floor[data-phase='rest'],
.floor[data-phase='change'] {
  background: var(--floor-rest);
}
.phase {
  font-size: clamp(24px, 5vw, 56px);
  font-weight: 700;
}
.clock {
  align-self: center;
  font-size: min(46vh, 33vw);
  line-height: 0.9;
  font-weight: 600;
}
.standing .clock {
  opacity: 0.55;
}
.call {
  min-height: 1.2em;
  font-size: clamp(30px, 7vw, 88px);
  line-height: 1.1;
  font-weight: 700;
}
.coming {
  max-width: 900px;
  font-size: clamp(18px, 2.4vw, 26px);
}
.shot {
  color: var(--alarm);
  font-weight: 700;
}
.caution {
  color: var(--signal);
}
.next {
  font-size: clamp(16px, 2.2vw, 24px);
}
</style>
