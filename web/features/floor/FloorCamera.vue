<script setup lang="ts">
import { messageOf } from '@wax-fist/core/message-of';
import type { PlanPart } from '@wax-fist/core/plan';
import type { Stance } from '@wax-fist/core/technique';
import { v7 as uuid } from 'uuid';
import { onScopeDispose, ref, watch } from 'vue';
import { useConsent } from '../consents/use-consent.ts';
import CameraCheck from '../filming/CameraCheck.vue';
import { record, type Recording } from '../filming/recording.ts';
import { useCamera } from '../filming/use-camera.ts';
import { keepFloorFilm } from './floor-films.ts';
import { floorWords as words } from './words.ts';

/** Films the rounds that are to be filmed, by the clock of the floor: a film for each of them. */
const { planId, round, coming, stance, traineeId } = defineProps<{
  planId: string;
  /** What is worked on and to be filmed; undefined while nothing is. */
  round: { key: string; number: number; part: PlanPart } | undefined;
  /** What is to be filmed next, while nothing is. */
  coming: PlanPart | undefined;
  stance: Stance;
  traineeId: string;
}>();
const consent = useConsent(() => traineeId);
const { stream, failure: blind } = useCamera();
const preview = ref<HTMLVideoElement>();
const trouble = ref<string>();
/** Told only once something is written. */
const films = ref<'no' | 'begins' | 'films'>('no');
const says = { no: words.cameraIsReady, begins: words.beginsToFilm, films: words.films } as const;
const notAgreed = words.nothingIsFilmedTheyHave;
let at: { recording: Recording; number: number; part: PlanPart } | undefined;
let keeping: Promise<void> = Promise.resolve();

watch([stream, preview], ([now]) => {
  if (preview.value) preview.value.srcObject = now ?? null;
});

async function keep({ recording, number, part: { title, on, rung, shot } }: NonNullable<typeof at>): Promise<void> {
  try {
    const file = await recording.stop(words.roundReplaceAll(title.replaceAll(/[/:]/g, ' '), number));
    await keepFloorFilm({ id: uuid(), planId, on, rung: rung!, view: shot!.view, file });
  } catch (error) {
    trouble.value = messageOf(error);
  }
}
function end(): void {
  const ending = at;
  at = undefined;
  films.value = 'no';
  if (ending) keeping = keeping.then(() => keep(ending));
}
watch(
  // Getters both: a shallow ref among the sources would tell of a change with every look at the clock.
  [() => round?.key, () => stream.value, () => consent.missing.value],
  () => {
    end();
    if (!round || !stream.value || consent.missing.value) return;
    try {
      const recording = record(stream.value);
      at = { recording, number: round.number, part: round.part };
      films.value = 'begins';
      void recording.begun.then(() => {
        if (at?.recording === recording) films.value = 'films';
      });
    } catch (error) {
      trouble.value = messageOf(error);
    }
  },
  { immediate: true },
);
onScopeDispose(end);
defineExpose({
  /** Ends what is being filmed, and waits until all of it is kept. */
  settled: (): Promise<void> => {
    end();
    return keeping;
  },
});
</script>

<template>
  <figure :class="films">
    <video ref="preview" autoplay muted playsinline :aria-label="words.whatTheCameraSees" />
    <figcaption aria-live="polite">{{ blind ?? trouble ?? (consent.missing.value ? notAgreed : says[films]) }}</figcaption>
    <CameraCheck
      v-if="coming?.shot && stream"
      :video="preview"
      :view="coming.shot.view"
      :stance="stance"
      :begins="coming.id"
      class="check"
    />
  </figure>
</template>

<style scoped>
figure {
  position: absolute;
  right: 16px;
  top: 64px;
  width: min(26vw, 240px);
  background: var(--picture);
}
.films {
  outline: 4px solid var(--alarm);
}
video {
  display: block;
  width: 100%;
}
figcaption,
.check {
  padding: var(--space-0-5) var(--space-1-5);
  font-size: var(--type-small);
}
</style>
