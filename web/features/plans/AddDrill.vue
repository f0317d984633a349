<script setup lang="ts">
import { whyNot } from '@wax-fist/core/drills';
import { computed, ref } from 'vue';
import { useDrills } from '../drills/drill-store.ts';
import type { PlanDesk } from './use-plan-desk.ts';
import { plansWords as words } from './words.ts';

/** Another drill into the session; one that is not for this trainee says why. */
const { desk } = defineProps<{ desk: PlanDesk }>();
const drills = useDrills();
const chosen = ref<string | null>(null);
const items = computed(() =>
  drills.drills.map((drill) => {
    const why = whyNot(drill, desk.who.value);
    return { value: drill.id, title: drill.name, props: { subtitle: why ?? words.rungRung(drill.rung), disabled: why !== null } };
  }),
);
function add(id: string | null): void {
  const drill = drills.named(id);
  if (drill) desk.addDrill(drill);
  chosen.value = null;
}
</script>

<template>
  <VAutocomplete
    v-model="chosen"
    :label="words.addADrill"
    :items="items"
    density="compact"
    hide-details
    class="add no-print"
    @update:model-value="add"
  />
</template>

<style scoped>
.add {
  margin-top: var(--space-3);
  max-width: 420px;
}
</style>
