<script setup lang="ts">
import { useBenchContext } from './bench-context.ts';
import { faultRate } from '@wax-fist/core/correction';
import { checkpointName, techniqueName } from '@wax-fist/core/technique';
import { computed } from 'vue';
import FamilySign from '../checklists/FamilySign.vue';
import RateBand from '../corrections/RateBand.vue';
import { faultsOfSeen } from '@wax-fist/core/words';
import { useReview } from './review-store.ts';
import { reviewWords as words } from './words.ts';

/** What the trainee works on, counted on this film while it is marked. */
const { data } = useBenchContext();
const review = useReview();

/** What was counted at this rung before this session. */
const lastTime = (correctionId: string) =>
  data.answers
    .find((answer) => answer.correctionId === correctionId && answer.rung === data.session.rung)
    ?.levels.findLast(({ sessionId, heldOn }) => sessionId !== data.session.id && heldOn <= data.session.heldOn);
const lines = computed(() =>
  data.corrections.map(({ id, technique, checkpointId, cue, target }) => {
    const last = lastTime(id);
    return {
      id,
      cue,
      target,
      family: data.catalogue.checkpoints.get(checkpointId)?.family,
      what: `${techniqueName(data.catalogue, technique)}, ${checkpointName(data.catalogue, checkpointId).toLowerCase()}`,
      now: faultRate(review.tallyFor(technique, checkpointId)),
      before: last && faultRate(last.tally),
    };
  }),
);
</script>

<template>
  <section class="tally" :aria-label="words.openCorrectionsOnThisFilm">
    <p v-if="lines.length === 0" class="quiet">{{ words.noCorrectionIsOpenThe }}</p>
    <div v-for="{ id, cue, what, family, now, before, target } in lines" :key="id" class="line">
      <FamilySign :family="family" />
      <b class="words">{{ cue }}</b>
      <span class="number">{{ faultsOfSeen(now) }}</span>
      <span class="quiet what">{{ what }}</span>
      <RateBand :rate="now" :target="target" />
      <span class="quiet before">{{ before ? words.beforeBefore(faultsOfSeen(before)) : '' }}</span>
    </div>
  </section>
</template>

<style scoped>
.tally {
  flex: none;
  border-top: 1px solid var(--line);
  padding-top: var(--space-1-5);
  font-size: var(--type-small);
  min-height: 62px;
}
.line {
  display: grid;
  grid-template-columns: 18px auto minmax(90px, 1fr) auto;
  gap: 0 var(--space-2);
  align-items: center;
}
.words {
  grid-column: 2 / 4;
}
.what {
  grid-column: 2;
}
.number,
.before {
  text-align: right;
}
.what,
.before {
  font-size: var(--type-note);
}
</style>
