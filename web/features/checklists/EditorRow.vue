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
import { checklistsWords as words } from './words.ts';

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
const fields = [
  { key: 'question', label: words.question, ships: () => checkpoint.question },
  { key: 'clean', label: words.whatCleanIs, ships: () => checkpoint.clean },
  { key: 'cue', label: words.cue, ships: () => checkpoint.cues[0]! },
] as const;
</script>

<template>
  <li :class="{ hidden: row.hidden }" :data-row="checkpoint.id">
    <div class="line">
      <VIcon :icon="mdiDragVertical" class="grip" aria-hidden="true" />
      <FamilySign :family="checkpoint.family" />
      <button type="button" class="name" :aria-expanded="open" @click="emit('toggle')">
        {{ row.question ?? checkpoint.question }}
        <small v-if="row.question || row.clean || row.cue || row.band" class="quiet">{{ words.changedByUs }}</small>
      </button>
      <span v-if="problem" class="problem" role="alert">{{ problem }}</span>
      <VBtn
        :icon="mdiArrowUp"
        size="x-small"
        variant="text"
        :aria-label="words.upName(checkpoint.name)"
        :disabled="first"
        @click="emit('move', -1)"
      />
      <VBtn
        :icon="mdiArrowDown"
        size="x-small"
        variant="text"
        :aria-label="words.downName(checkpoint.name)"
        :disabled="last"
        @click="emit('move', 1)"
      />
      <VBtn
        :icon="row.hidden ? mdiEyeOffOutline : mdiEyeOutline"
        size="x-small"
        variant="text"
        :aria-label="row.hidden ? words.showName(checkpoint.name) : words.hideName(checkpoint.name)"
        :title="fixed ? words.isAFaultInEvery(fixed) : row.hidden ? words.showIt : words.hideIt"
        :disabled="Boolean(fixed)"
        @click="emit('change', { hidden: !row.hidden })"
      />
      <VBtn
        :icon="mdiDeleteOutline"
        size="x-small"
        variant="text"
        :aria-label="words.takeOut(checkpoint.name)"
        :disabled="Boolean(fixed) || techniqueIn(catalogue, technique).checkpoints.includes(checkpoint.id)"
        :title="words.takeItOutOneThat"
        @click="emit('remove')"
      />
    </div>
    <div v-if="open" class="more">
      <VTextField
        v-for="{ key, label, ships } in fields"
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
      <p v-else class="quiet">{{ words.onlyTheCoachCanTell }}</p>
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
