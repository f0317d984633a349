<script setup lang="ts">
import { mdiVideoOffOutline } from '@mdi/js';
import type { Trainee } from '@wax-fist/contract/trainees';
import { needsGuardian } from '@wax-fist/core/trainee';
import { ref } from 'vue';
import ConsentDialog from './ConsentDialog.vue';
import type { useConsent } from './use-consent.ts';
import { consentsWords as words } from './words.ts';

/** Where filming begins: nobody is filmed who has not agreed. */
const { trainee, consent } = defineProps<{
  trainee: Pick<Trainee, 'id' | 'name' | 'ageGroup'>;
  consent: ReturnType<typeof useConsent>;
}>();
const asking = ref(false);
const word = (): string => {
  const whose = needsGuardian(trainee.ageGroup) ? words.aGuardianOf : '';
  return consent.words.value?.length ? words.mayNotBeFilmedAny(trainee.name) : words.nobodyHasAskedYet(whose, trainee.name);
};
</script>

<template>
  <div v-if="consent.missing.value" class="ask" role="status">
    <VIcon :icon="mdiVideoOffOutline" size="22" />
    <span>{{ words.filmOnlyWhoHasAgreed(word()) }}</span>
    <VBtn color="primary" @click="asking = true">{{ words.askNow }}</VBtn>
    <ConsentDialog v-model="asking" :trainee="trainee" :given="consent.again" />
  </div>
</template>

<style scoped>
.ask {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: var(--space-1-5) var(--space-3);
  padding: var(--space-2) var(--space-3);
  margin: var(--space-2) 0;
  background: var(--watch-ground);
  color: var(--ink);
}
.ask span {
  flex: 1 1 220px;
}
</style>
