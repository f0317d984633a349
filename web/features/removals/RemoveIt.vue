<script setup lang="ts">
import { mdiDeleteOutline } from '@mdi/js';
import type { Removal } from '@wax-fist/contract/removals';
import { messageOf } from '@wax-fist/core/message-of';
import { ref } from 'vue';
import { useRemoving } from './use-removing.ts';
import { removalsWords as words } from './words.ts';

/** At the foot of a page: removes what the page is about, after a question. */
const { name, ask, removed, back } = defineProps<{
  /** What it is, with its article: “this session”. */
  name: string;
  /** What goes along with it. */
  goes: string;
  ask: () => Promise<Removal>;
  /** No events: the page is left by then. */
  removed: () => unknown;
  back: () => unknown;
}>();
const say = useRemoving();
const asked = ref(false);
const busy = ref(false);
const failure = ref<string>();

async function remove(): Promise<void> {
  busy.value = true;
  failure.value = undefined;
  try {
    const removal = await ask();
    asked.value = false;
    say(removal, back);
    await removed();
  } catch (error) {
    failure.value = messageOf(error);
  }
  busy.value = false;
}
</script>

<template>
  <p class="foot no-print">
    <VBtn variant="text" :prepend-icon="mdiDeleteOutline" @click="asked = true">{{ words.removeName(name) }}</VBtn>
  </p>
  <VDialog v-model="asked" max-width="500">
    <VCard class="pa-6">
      <h2>{{ words.removeAskedName(name) }}</h2>
      <p class="says">
        {{ words.forADayItCan(goes) }}
      </p>
      <p v-if="failure" role="alert" class="says">{{ failure }}</p>
      <div class="acts">
        <VBtn variant="text" @click="asked = false">{{ words.keepIt }}</VBtn>
        <VBtn color="error" :loading="busy" @click="remove">{{ words.removeIt }}</VBtn>
      </div>
    </VCard>
  </VDialog>
</template>

<style scoped>
h2 {
  font-size: var(--type-title);
}
.says {
  margin: var(--space-2) 0 var(--space-4);
}
.foot {
  margin-top: var(--space-8);
  border-top: 1px solid var(--line);
  padding-top: var(--space-2);
}
</style>
