<script setup lang="ts">
import { mdiBellOutline } from '@mdi/js';
import { filmFileUrl, type Film } from '@wax-fist/contract/footage';
import { pauseNames, pausesBetween } from '@wax-fist/core/rounds';
import type { Ms } from '@wax-fist/core/units';
import { computed, ref } from 'vue';
import { clock } from '../../app/format.ts';
import { hitBar } from './hit-bar.ts';
import LoudnessShape from './LoudnessShape.vue';
import { useHitsAndRounds } from './hits-and-rounds-store.ts';
import type { Rounds } from './use-rounds.ts';
import { roundsWords as words } from './words.ts';

/** The whole film on one line: what was heard, where it rang, and the rounds with edges to take hold of. */
const { film, duration, at, rounds } = defineProps<{ film: Film; duration: Ms; at: Ms; rounds: Rounds }>();
const emit = defineEmits<{ go: [time: Ms] }>();
const hitsAndRounds = useHitsAndRounds();
const track = ref<HTMLElement>();

const left = (time: Ms): string => `${(100 * time) / duration}%`;
const bars = computed(() =>
  hitsAndRounds.hits.map((hit) => ({ time: hit.time, style: { left: left(hit.time), ...hitBar(hit) } })),
);
const pauses = computed(() =>
  pausesBetween(
    [...hitsAndRounds.rounds].sort((a, b) => a.from - b.from),
    duration,
    hitsAndRounds.pauses,
  ),
);
const strip = computed(() => {
  const url = filmFileUrl(film.id, 'strip.jpg');
  return film.strip ? { backgroundImage: `url("${url}")` } : {};
});
const timeAt = ({ clientX }: MouseEvent): Ms => {
  const box = track.value!.getBoundingClientRect();
  return Math.max(0, Math.min(duration, ((clientX - box.left) / box.width) * duration));
};

const edges = ['from', 'to'] as const;
type Edge = (typeof edges)[number];
function hold(event: PointerEvent): void {
  (event.currentTarget as HTMLElement).setPointerCapture(event.pointerId);
}
function drag(event: PointerEvent, id: string, edge: Edge): void {
  if (event.buttons !== 1) return;
  rounds.drag(id, edge, timeAt(event));
}
/** Arrow keys move an edge that has the focus by a tenth of a second, with Shift by a whole one. */
function nudge(event: KeyboardEvent, id: string, edge: Edge): void {
  const sign = { ArrowLeft: -1, ArrowDown: -1, ArrowRight: 1, ArrowUp: 1 }[event.key];
  const round = hitsAndRounds.rounds.find((one) => one.id === id);
  if (!sign || !round) return;
  event.preventDefault();
  event.stopPropagation();
  rounds.edge(id, edge, round[edge] + sign * (event.shiftKey ? 1000 : 100));
}
</script>

<template>
  <div ref="track" class="track v-theme--bench" @click="emit('go', timeAt($event))">
    <div class="heard">
      <LoudnessShape :film-id="film.id" />
      <i v-for="bar in bars" :key="bar.time" class="hit" :style="bar.style" />
    </div>
    <div class="strip" :style="strip" />
    <div
      v-for="round in hitsAndRounds.rounds"
      :key="round.id"
      class="round"
      :class="{ hand: round.id === rounds.inHand.value?.id, proposed: round.proposed }"
      :style="{ left: left(round.from), width: left(round.to - round.from) }"
    >
      <button type="button" class="name" tabindex="-1" @click.stop="rounds.take(round.id)">{{ round.name }}</button>
      <span
        v-for="edge in edges"
        :key="edge"
        class="edge"
        :class="edge"
        role="slider"
        tabindex="0"
        :aria-label="edge === 'from' ? words.roundBegins(round.name) : words.roundEnds(round.name)"
        :aria-valuemin="0"
        :aria-valuemax="Math.round(duration)"
        :aria-valuenow="Math.round(round[edge])"
        :aria-valuetext="clock(round[edge])"
        :title="clock(round[edge])"
        @click.stop
        @pointerdown="hold"
        @pointermove="drag($event, round.id, edge)"
        @pointerup="rounds.dropped"
        @focus="rounds.take(round.id)"
        @keydown="nudge($event, round.id, edge)"
      />
    </div>
    <button
      v-for="pause in pauses"
      :key="pause.from"
      type="button"
      class="pause"
      :style="{ left: left(pause.from), width: left(pause.to - pause.from) }"
      :title="words.toPauseNames(pauseNames[pause.kind], clock(pause.from), clock(pause.to))"
      tabindex="-1"
      @click.stop="emit('go', pause.from)"
    >
      {{ pauseNames[pause.kind] }}
    </button>
    <button
      v-for="ring in hitsAndRounds.rings"
      :key="ring.time"
      type="button"
      class="ring"
      :style="{ left: left(ring.time) }"
      :title="words.itRangAt(clock(ring.time))"
      :aria-label="words.itRangAt(clock(ring.time))"
      tabindex="-1"
      @click.stop="emit('go', ring.time)"
    >
      <VIcon :icon="mdiBellOutline" size="16" />
    </button>
    <i class="playhead" :style="{ left: left(at) }" />
  </div>
</template>

<style scoped>
.track {
  position: relative;
  height: 104px;
  background: var(--bench);
  color: var(--chalk);
  cursor: crosshair;
  user-select: none;
  touch-action: none;
}
.heard {
  position: absolute;
  inset: 24px 0 30px;
}
.hit {
  position: absolute;
  bottom: 0;
  width: 2px;
  margin-left: -1px;
}
.strip {
  position: absolute;
  inset: auto 0 0;
  height: 28px;
  background-size: 100% 100%;
  opacity: 0.75;
}
.round {
  position: absolute;
  top: 0;
  bottom: 0;
  background: var(--sheen);
  border: 1px solid var(--sheen);
  pointer-events: none;
}
.round.proposed {
  border-style: dashed;
}
.round.hand {
  background: var(--signal-ground);
  border-color: var(--signal);
}
.round > * {
  pointer-events: auto;
}
.name {
  position: absolute;
  left: 12px;
  right: 12px;
  top: 1px;
  font-size: var(--type-note);
  text-align: left;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
.pause {
  position: absolute;
  top: 1px;
  height: 22px;
  padding: 0 var(--space-1-5);
  color: var(--quiet);
  font-size: var(--type-note);
  font-style: italic;
  text-align: center;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: clip;
  border-bottom: 1px dotted var(--sheen-strong);
}
.edge {
  position: absolute;
  top: -1px;
  bottom: -1px;
  width: 10px;
  cursor: ew-resize;
}
.edge::after {
  content: '';
  position: absolute;
  inset: 30% 4px;
  background: currentcolor;
  opacity: 0.8;
}
.edge.from {
  left: -1px;
}
.edge.to {
  right: -1px;
}
.ring {
  position: absolute;
  bottom: 30px;
  width: 20px;
  margin-left: -10px;
  color: var(--steel);
}
.playhead {
  position: absolute;
  top: 0;
  bottom: 0;
  width: 2px;
  margin-left: -1px;
  background: var(--signal);
  pointer-events: none;
}
</style>
