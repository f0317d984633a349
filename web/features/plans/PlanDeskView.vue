<script setup lang="ts">
import { mdiContentSave, mdiPrinter, mdiRedo, mdiRefresh, mdiUndo } from '@mdi/js';
import type { Plan } from '@wax-fist/contract/plans';
import { messageOf } from '@wax-fist/core/message-of';
import { useEventListener } from '@vueuse/core';
import { computed, ref } from 'vue';
import { VueDraggable } from 'vue-draggable-plus';
import { keyName } from '../../app/keys/key-name.ts';
import AddDrill from './AddDrill.vue';
import CameraPlaces from './CameraPlaces.vue';
import PlanInputs from './PlanInputs.vue';
import PlanPartRow from './PlanPartRow.vue';
import type { PlanGround } from './plan-ground.ts';
import PlanSums from './PlanSums.vue';
import TraineeLimits from './TraineeLimits.vue';
import { usePlanDesk } from './use-plan-desk.ts';
import { plansWords as words } from './words.ts';

/** A session being planned: part by part on the left, what it is planned from and what it comes to on the right. */
const { ground, kept = undefined } = defineProps<{ ground: PlanGround; kept?: Plan | undefined }>();
const emit = defineEmits<{ saved: [plan: Plan]; ground: [] }>();
// Planned from what was there when it was opened: another trainee is another page.
const desk = usePlanDesk(ground, kept);
const failure = ref<string>();
const busy = ref(false);
const shown = computed({ get: () => desk.parts.value, set: (next) => desk.change(next) });
const problemsOf = (id: string) => desk.problems.value.filter(({ part }) => part === id);

async function save(): Promise<void> {
  busy.value = true;
  failure.value = undefined;
  try {
    emit('saved', await desk.save());
  } catch (error) {
    failure.value = messageOf(error);
  } finally {
    busy.value = false;
  }
}
const print = (): void => window.print();
const acts: Record<string, () => unknown> = { 'Ctrl+z': desk.undo, 'Ctrl+Shift+z': desk.redo, 'Ctrl+s': save };
useEventListener(window, 'keydown', (event) => {
  const act = acts[keyName(event)];
  if (!act || (event.target as HTMLElement).matches('input[type=text], textarea')) return;
  event.preventDefault();
  void act();
});
</script>

<template>
  <div class="desk">
    <div>
      <div class="acts no-print">
        <VBtn color="primary" :prepend-icon="mdiContentSave" :loading="busy" :title="words.saveCtrlS" @click="save">{{
          words.save
        }}</VBtn>
        <VBtn variant="outlined" :prepend-icon="mdiRefresh" :disabled="!desk.byHand.value" @click="desk.planAnew">{{
          words.planItAnew
        }}</VBtn>
        <VBtn
          :icon="mdiUndo"
          variant="text"
          :aria-label="words.undo"
          :title="words.undoCtrlZ"
          :disabled="!desk.canUndo.value"
          @click="desk.undo"
        />
        <VBtn
          :icon="mdiRedo"
          variant="text"
          :aria-label="words.redo"
          :title="words.redoCtrlShiftZ"
          :disabled="!desk.canRedo.value"
          @click="desk.redo"
        />
        <VBtn :icon="mdiPrinter" variant="text" :aria-label="words.print" :title="words.print" @click="print" />
        <slot />
      </div>
      <p v-if="failure" class="text-error" role="alert">{{ failure }}</p>
      <VueDraggable v-if="shown.length > 0" v-model="shown" tag="ol" class="list" handle=".grip" :animation="120">
        <PlanPartRow
          v-for="(part, place) in shown"
          :key="part.id"
          :part="part"
          :place="place"
          :starts="desk.starts.value[place]!"
          :desk="desk"
          :problems="problemsOf(part.id)"
        />
      </VueDraggable>
      <div v-else class="empty">{{ words.thereIsNotEnoughTime }}</div>
      <AddDrill :desk="desk" />
    </div>
    <aside>
      <PlanInputs :desk="desk" />
      <PlanSums :desk="desk" />
      <CameraPlaces :taken="desk.taken.value" :parts="desk.parts.value" />
      <TraineeLimits :trainee-id="ground.trainee.id" :limits="ground.limits" @changed="emit('ground')" />
    </aside>
  </div>
</template>

<style scoped>
.desk {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 340px;
  gap: var(--space-6);
}
ol {
  margin-top: var(--space-2);
}
@media screen and (max-width: 999px) {
  .desk {
    grid-template-columns: minmax(0, 1fr);
  }
  aside {
    grid-row: 1;
  }
}
@media print {
  .desk {
    display: block;
  }
}
</style>
