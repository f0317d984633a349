<script setup lang="ts">
import { mdiAlertOutline, mdiCheck, mdiHumanMale } from '@mdi/js';
import { cameraEndpoints, type CameraSays } from '@wax-fist/contract/camera';
import { messageOf } from '@wax-fist/core/message-of';
import type { Stance, View } from '@wax-fist/core/technique';
import { useTimeoutFn } from '@vueuse/core';
import { ref, watch } from 'vue';
import { request } from '../../app/request.ts';
import { smallPicture } from './small-picture.ts';
import { filmingWords as words } from './words.ts';

/** One picture of the camera is looked at before a round: whole body, view, distance, light, nothing in the way; and where to move. */
const { video, view, stance, begins } = defineProps<{
  video: HTMLVideoElement | undefined;
  view: View;
  stance: Stance;
  /** Changes with every round that is to be filmed: then it is looked at by itself. */
  begins: string | undefined;
}>();
const says = ref<CameraSays>();
const trouble = ref<string>();
const busy = ref(false);

async function look(): Promise<void> {
  if (!video || busy.value) return;
  busy.value = true;
  trouble.value = undefined;
  try {
    says.value = await request(cameraEndpoints.lookAtPicture, { body: { ...smallPicture(video), view, stance } });
  } catch (error) {
    trouble.value = messageOf(error);
  } finally {
    busy.value = false;
  }
}
/** A camera that was only just opened is still finding its light. */
const { start } = useTimeoutFn(() => void look(), 1500, { immediate: false });
watch([() => begins, () => video], () => begins !== undefined && video && start(), { immediate: true });
</script>

<template>
  <div class="check" aria-live="polite">
    <VBtn variant="outlined" class="look" :prepend-icon="mdiHumanMale" :loading="busy" @click="look">{{
      words.lookAtThePicture
    }}</VBtn>
    <p v-if="trouble">{{ trouble }}</p>
    <template v-else-if="says">
      <p v-if="says.findings.length === 0" class="good">
        <VIcon :icon="mdiCheck" size="18" /> {{ words.wholeBodyAsPlannedNear }}
      </p>
      <ul v-else>
        <li v-for="one in says.findings" :key="one.kind" :class="{ bad: one.bad }">
          <VIcon :icon="mdiAlertOutline" size="18" /> {{ one.says }}
        </li>
      </ul>
    </template>
  </div>
</template>

<style scoped>
.check {
  padding: var(--space-1-5) 0;
  font-size: var(--type-text);
}
.look {
  min-height: 44px;
}
.bad {
  font-weight: 700;
}
</style>
