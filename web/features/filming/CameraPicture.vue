<script setup lang="ts">
import { toRef, useTemplateRef, watchEffect } from 'vue';
import { useLevel } from './use-level.ts';
import { filmingWords as words } from './words.ts';

/** What the camera sees and how loud its microphone hears, or why there is nothing to see. */
const { stream, problem } = defineProps<{ stream: MediaStream | undefined; problem: string | undefined }>();
const emit = defineEmits<{ again: [] }>();
/** The picture itself, for whoever looks whether the trainee stands in it. */
const picture = defineModel<HTMLVideoElement>('picture');
const video = useTemplateRef('video');
const level = useLevel(toRef(() => stream));

watchEffect(() => {
  if (!video.value) return;
  video.value.srcObject = stream ?? null;
  picture.value = video.value;
});
</script>

<template>
  <section class="camera" :aria-label="words.whatTheCameraSees">
    <video ref="video" autoplay muted playsinline />
    <VAlert v-if="problem" type="error" class="problem" role="alert">
      {{ problem }}
      <template #append><VBtn variant="outlined" size="small" @click="emit('again')">{{ words.tryAgain }}</VBtn></template>
    </VAlert>
    <span
      class="level"
      role="meter"
      :aria-label="words.howLoudTheMicrophoneHears"
      aria-valuemin="0"
      aria-valuemax="1"
      :aria-valuenow="level.toFixed(2)"
      ><i :style="{ width: `${level * 100}%` }"
    /></span>
  </section>
</template>

<style scoped>
.camera {
  position: relative;
  background: var(--picture);
  min-width: 0;
}
video {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  object-fit: contain;
}
.problem {
  position: absolute;
  inset: 16px 16px auto;
}
.level {
  position: absolute;
  left: 12px;
  right: 12px;
  bottom: 10px;
  height: 8px;
  background: var(--sheen);
}
.level i {
  display: block;
  height: 100%;
  background: var(--steel);
}
</style>
