<script setup lang="ts">
import { mdiArrowDown, mdiArrowUp, mdiDeleteOutline, mdiDragVertical, mdiEyeOffOutline, mdiEyeOutline } from '@mdi/js';
import {
  fixedFor,
  isMeasureId,
  measures,
  techniqueIn,
  type Band,
  type Catalogue,
  type Checkpoint,
  type EditedRow,
} from '@wax-fist/core/technique';
import { computed } from 'vue';
import BandEditor from './BandEditor.vue';
import FamilySign from './FamilySign.vue';

/** One row of a checklist while it is changed. */
const { row, checkpoint, catalogue, technique } = defineProps<{
  row: EditedRow;
  checkpoint: Checkpoint;
  catalogue: Catalogue;
  technique: string;
  open: boolean;
  first: boolean;
  last: boolean;
  problem: string | undefined;
}>();
const emit = defineEmits<{ toggle: []; change: [change: Partial<EditedRow>]; move: [steps: 1 | -1]; remove: [] }>();
const usualBand = computed<Band | undefined>(() =>
  isMeasureId(checkpoint.measure)
    ? (techniqueIn(catalogue, technique).bands[checkpoint.id] ?? measures[checkpoint.measure].band)
    : undefined,
);
const fixed = computed(() => fixedFor(technique, checkpoint.id)?.says);
const text = (event: Event): string => (event.target as HTMLInputElement).value.trim();
const words = [
  { key: 'question', label: 'Question', ships: () => checkpoint.question },
  { key: 'clean', label: 'What clean is', ships: () => checkpoint.clean },
  { key: 'cue', label: 'Cue', ships: () => checkpoint.cues[0]! },
] as const;
</script>

<template>
  <li :class="{ hidden: row.hidden }" :data-row="checkpoint.id">
    <div class="line">
      <VIcon :icon="mdiDragVertical" class="grip" aria-hidden="true" />
      <FamilySign :family="checkpoint.family" />
      <button type="button" class="name" :aria-expanded="open" @click="emit('toggle')">
        {{ row.question ?? checkpoint.question }}
        <small v-if="row.question || row.clean || row.cue || row.band" class="quiet">changed by us</small>
      </button>
      <span v-if="problem" class="problem" role="alert">{{ problem }}</span>
      <VBtn
        :icon="mdiArrowUp"
        size="x-small"
        variant="text"
        :aria-label="`${checkpoint.name} up`"
        :disabled="first"
        @click="emit('move', -1)"
      />
      <VBtn
        :icon="mdiArrowDown"
        size="x-small"
        variant="text"
        :aria-label="`${checkpoint.name} down`"
        :disabled="last"
        @click="emit('move', 1)"
      />
      <VBtn
        :icon="row.hidden ? mdiEyeOffOutline : mdiEyeOutline"
        size="x-small"
        variant="text"
        :aria-label="row.hidden ? `Show ${checkpoint.name}` : `Hide ${checkpoint.name}`"
        :title="fixed ? `${fixed} is a fault in every school` : row.hidden ? 'Show it' : 'Hide it'"
        :disabled="Boolean(fixed)"
        @click="emit('change', { hidden: !row.hidden })"
      />
      <VBtn
        :icon="mdiDeleteOutline"
        size="x-small"
        variant="text"
        :aria-label="`Take ${checkpoint.name} out`"
        :disabled="Boolean(fixed) || techniqueIn(catalogue, technique).checkpoints.includes(checkpoint.id)"
        title="Take it out; one that ships is hidden instead"
        @click="emit('remove')"
      />
    </div>
    <div v-if="open" class="more">
      <VTextField
        v-for="{ key, label, ships } in words"
        :key="key"
        :model-value="row[key] ?? ''"
        :label="label"
        :placeholder="ships()"
        persistent-placeholder
        density="compact"
        hide-details
        maxlength="200"
        @change="emit('change', { [key]: text($event) })"
      />
      <BandEditor
        v-if="usualBand"
        :band="row.band"
        :usual="usualBand"
        :measure="checkpoint.measure"
        :technique="technique"
        @change="emit('change', { band: $event })"
      />
      <p v-else class="quiet">Only the coach can tell; there is no band.</p>
    </div>
  </li>
</template>

<style scoped>
li {
  border-top: 1px solid var(--line);
}
.line {
  display: flex;
  align-items: center;
  gap: var(--space-2);
  min-height: 38px;
}
.grip {
  cursor: grab;
  color: var(--quiet);
}
.name {
  flex: 1;
  text-align: left;
}
.hidden .name {
  text-decoration: line-through;
  color: var(--quiet);
}
.problem {
  color: var(--fault);
  font-size: var(--type-small);
}
.more {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: var(--space-2) var(--space-4);
  padding: var(--space-1-5) var(--space-2) var(--space-3) 40px;
}
</style>
