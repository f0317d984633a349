<script setup lang="ts">
import type { Correction } from '@wax-fist/contract/corrections';
import { checkpointName, techniqueName } from '@wax-fist/core/technique';
import { computed } from 'vue';
import { drillInWords, faultsOfSeen, localDay, percent, shortDay, standingInWords } from '@wax-fist/core/words';
import FamilySign from '../checklists/FamilySign.vue';
import LadderSigns from './LadderSigns.vue';
import RateBand from './RateBand.vue';
import { useCatalogue } from '../checklists/catalogue-store.ts';
import { correctionsWords as words } from './words.ts';

const catalogue = useCatalogue();
const {
  correction,
  withName = false,
  why = '',
} = defineProps<{
  correction: Correction;
  withName?: boolean;
  /** Why it is looked at again, where that is asked. */
  why?: string;
}>();
const again = computed(() => {
  const { recheckOn } = correction;
  return [recheckOn ? words.reCheck(shortDay(recheckOn)) : words.noReCheckSet, why].filter(Boolean).join(': ');
});
const overdue = computed(
  () => correction.state !== 'closed' && correction.recheckOn !== null && correction.recheckOn <= localDay(),
);
</script>

<template>
  <li class="correction" :class="{ chosen: $slots.before }">
    <slot name="before" />
    <FamilySign :family="catalogue.newest.checkpoints.get(correction.checkpointId)?.family" :size="22" />
    <span class="words">
      <b>“{{ correction.cue }}”</b>
      <span class="quiet">
        <RouterLink v-if="withName" :to="{ name: 'trainee', params: { traineeId: correction.traineeId } }">{{
          correction.traineeName
        }}</RouterLink
        ><template v-if="withName">, </template>{{ techniqueName(catalogue.newest, correction.technique).toLowerCase() }},
        {{ checkpointName(catalogue.newest, correction.checkpointId).toLowerCase() }}
      </span>
      <span v-if="drillInWords(correction)" class="quiet">{{ words.drillCorrection(drillInWords(correction) ?? '') }}</span>
    </span>
    <span v-if="correction.counted" class="rate">
      <RateBand :rate="correction.counted" :target="correction.target" />
      <span class="quiet number">{{ words.aimCounted(faultsOfSeen(correction.counted), percent(correction.target)) }}</span>
    </span>
    <span v-else class="quiet">{{ words.notCountedYet }}</span>
    <span class="where">
      <span class="standing"><LadderSigns :correction="correction" /> {{ standingInWords(correction) }}</span>
      <span v-if="correction.state !== 'closed'" :class="overdue ? 'due' : 'quiet'">{{ again }}</span>
    </span>
    <span class="act">
      <slot />
      <VBtn variant="outlined" :to="{ name: 'card', params: { correctionId: correction.id } }">{{ words.card }}</VBtn>
    </span>
  </li>
</template>

<style scoped>
.correction {
  display: grid;
  grid-template-columns: 26px minmax(200px, 1.3fr) minmax(140px, 0.8fr) minmax(230px, 1.1fr) auto;
  align-items: center;
  gap: var(--space-3);
  padding: var(--space-2) var(--space-3);
}
.correction.chosen {
  grid-template-columns: 36px 26px minmax(200px, 1.3fr) minmax(140px, 0.8fr) minmax(230px, 1.1fr) auto;
}
.words,
.rate,
.where {
  display: flex;
  flex-direction: column;
  line-height: 1.3;
  gap: var(--space-0-5);
}
.standing {
  display: flex;
  flex-wrap: wrap;
  align-items: flex-end;
  gap: var(--space-2);
}
.due {
  font-weight: 700;
  color: rgb(var(--v-theme-error));
}
.act {
  display: flex;
  gap: var(--space-2);
}
@media screen and (max-width: 899px) {
  .correction {
    grid-template-columns: 26px minmax(0, 1fr);
    gap: var(--space-1-5) var(--space-3);
  }
  .correction.chosen {
    grid-template-columns: 44px 26px minmax(0, 1fr);
  }
  .correction > .words ~ * {
    grid-column: -2;
  }
  .act {
    flex-wrap: wrap;
  }
}
</style>
