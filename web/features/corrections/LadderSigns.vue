<script setup lang="ts">
import type { Correction } from '@wax-fist/contract/corrections';
import { rungName, rungs, standingOf } from '@wax-fist/core/correction';
import { computed } from 'vue';
import { standingInWords } from '@wax-fist/core/words';

/** The ladder as seven steps that rise: locked ones are filled, the one in hand is framed, those beyond the top are thin. */
const { correction } = defineProps<{ correction: Correction }>();
const steps = computed(() => {
  const { state, rung, lockedUpTo } = standingOf(correction.history, correction.rung);
  return rungs.map((step) => ({
    rung: step.rung,
    locked: step.rung <= lockedUpTo,
    here: step.rung === rung && state !== 'closed',
    relapsed: step.rung === rung && state === 'relapsed',
    beyond: step.rung > correction.topRung,
    name: rungName(step.rung),
  }));
});
</script>

<template>
  <span class="ladder" role="img" :aria-label="standingInWords(correction)">
    <i
      v-for="{ rung, locked, here, relapsed, beyond, name } in steps"
      :key="rung"
      :class="{ locked, here, relapsed, beyond }"
      :style="{ height: `${6 + rung * 3}px` }"
      :title="`${rung}: ${name}`"
    />
  </span>
</template>

<style scoped>
.ladder {
  display: inline-flex;
  align-items: flex-end;
  gap: var(--space-1);
  height: 28px;
}
i {
  display: block;
  width: 11px;
  border: 1px solid var(--quiet);
}
.locked {
  background: var(--clean);
  border-color: var(--clean);
}
.here {
  outline: 2px solid rgb(var(--v-theme-on-surface));
  outline-offset: 1px;
}
/* Told from locked without colour as well: it is crossed out. */
.relapsed {
  background: repeating-linear-gradient(45deg, var(--fault) 0 2px, transparent 2px 5px);
  border-color: var(--fault);
}
.beyond {
  border-style: dotted;
  opacity: 0.6;
}
</style>
