<script setup lang="ts">
import { mdiDragHorizontalVariant } from '@mdi/js';
import type { Ranked } from '@wax-fist/core/correction';
import { checkpointName, severityNames, techniqueName, type Catalogue, type TechniqueId } from '@wax-fist/core/technique';
import { computed } from 'vue';
import { decimal, faultsOfSeen, percent } from '@wax-fist/core/words';
import FamilySign from '../checklists/FamilySign.vue';
import { correctionsWords as words } from './words.ts';

/** Something that could be mended, with the whole sum that places it. */
const { one, checklists, moved } = defineProps<{
  one: Ranked;
  checklists: Catalogue;
  /** Whether a coach has placed it against the sum. */
  moved: boolean;
}>();
defineEmits<{ open: []; move: [steps: 1 | -1] }>();
const nameOf = (id: string): string => checkpointName(checklists, id).toLowerCase();
const name = computed(() => checkpointName(checklists, one.checkpointId));
const points = (value: number): string => decimal(value, 1);
const sumInWords = computed(() => {
  const own = words.atLeast(severityNames[one.severity].toLowerCase(), one.weight, percent(one.rate.low));
  const added = one.explains.map(({ checkpointId, adds }) => words.forWhichFollowsFromIt(points(adds), nameOf(checkpointId)));
  return `${own}${added.join('')} = ${points(one.value)}`;
});
const whyNot = computed(() => {
  if (one.proposed) return '';
  if (!moved && one.follows) return words.likelyFollowsFromSure(nameOf(one.follows.checkpointId), percent(one.follows.sure));
  if (!moved && one.later) return words.waitsNotForABeginner;
  return words.waitsAnotherCueIsFor;
});
</script>

<template>
  <li :class="{ proposed: one.proposed }">
    <button
      type="button"
      class="grip no-print"
      :aria-label="words.moveArrowUpArrowDown(name)"
      :title="words.dragOrArrowUpAnd"
      @keydown.up.prevent="$emit('move', -1)"
      @keydown.down.prevent="$emit('move', 1)"
    >
      <VIcon :icon="mdiDragHorizontalVariant" size="20" />
    </button>
    <FamilySign :family="one.family" :size="22" />
    <div>
      <p>
        <b>{{ name }}</b>{{ ' '
        }}<span class="quiet">{{ techniqueName(checklists, one.technique as TechniqueId).toLowerCase() }}</span>,
        <span class="number">{{ faultsOfSeen(one.rate) }}</span>
        <span v-if="one.proposed">: “{{ checklists.checkpoints.get(one.checkpointId)!.cues[0] }}”</span>
      </p>
      <p class="quiet"><span class="number">{{ sumInWords }}</span><template v-if="whyNot">; {{ whyNot }}</template></p>
    </div>
    <VBtn
      class="no-print"
      :color="one.proposed ? 'primary' : undefined"
      :variant="one.proposed ? 'flat' : 'outlined'"
      @click="$emit('open')"
      >{{ words.openIt }}</VBtn
    >
  </li>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 24px 26px minmax(0, 1fr) auto;
  gap: var(--space-3);
  align-items: center;
  padding: var(--space-2) var(--space-3) var(--space-2) var(--space-1-5);
  border-left: 6px solid transparent;
  background: rgb(var(--v-theme-surface));
}
li + li {
  border-top: 1px solid var(--line);
}
li.proposed {
  border-left-color: var(--signal);
}
.grip {
  cursor: grab;
  color: var(--quiet);
  touch-action: none;
  min-height: 44px;
}
@media screen and (max-width: 899px) {
  li {
    grid-template-columns: 44px 26px minmax(0, 1fr) auto;
    gap: var(--space-2);
  }
  .grip {
    min-width: 44px;
  }
}
</style>
