<script setup lang="ts">
import type { Mark } from '@wax-fist/contract/review';
import { pointInWords } from '@wax-fist/core/body';
import { verdictNames } from '@wax-fist/core/review';
import { shippedCatalogue } from '@wax-fist/core/technique';
import { useOutbox } from './outbox-store.ts';
import { reviewWords as words } from './words.ts';

/** Marks that the server does not take, each with its reason: the coach tries again, or lets go of one or of all. */
const open = defineModel<boolean>({ required: true });
const outbox = useOutbox();

/** What a mark says, in words. A club’s own techniques and checkpoints go by their ids here. */
function wordsOf(mark: Mark): string {
  if (mark.kind === 'strike') {
    const name = shippedCatalogue.techniques.get(mark.technique)?.name ?? mark.technique;
    return mark.removed ? words.takenAway(name) : words.atFrame(name, mark.contactFrame);
  }
  if (mark.kind === 'pin') return words.thePutRightAtFrame(pointInWords(mark.point), mark.frame);
  const name = shippedCatalogue.checkpoints.get(mark.checkpointId)?.name ?? mark.checkpointId;
  return `${name}: ${mark.verdict ? verdictNames[mark.verdict].toLowerCase() : words.takenBack}${mark.note ? `, “${mark.note}”` : ''}`;
}

async function act(does: () => Promise<void>): Promise<void> {
  await does();
  if (outbox.notTaken.length === 0) open.value = false;
}
</script>

<template>
  <VDialog v-model="open" max-width="720" scrollable :aria-label="words.marksNotTaken">
    <VCard class="pa-6">
      <h2>{{ words.markNotTaken(outbox.notTaken.length) }}</h2>
      <p class="quiet">{{ words.theyLieInThisBrowser }}</p>
      <ul>
        <li v-for="one in outbox.notTaken" :key="one.id">
          <span class="what">
            <b>{{ wordsOf(one.mark) }}</b>
            <span class="quiet">{{ one.reason }}</span>
          </span>
          <VBtn size="small" variant="text" @click="act(() => outbox.letGo([one.id]))">{{ words.letGo }}</VBtn>
        </li>
      </ul>
      <div class="ends">
        <VBtn variant="text" @click="act(() => outbox.letGo())">{{ words.letGoOfAll }}</VBtn>
        <VSpacer />
        <VBtn variant="text" @click="open = false">{{ words.leaveThemHere }}</VBtn>
        <VBtn color="primary" @click="act(outbox.tryAgain)">{{ words.tryAgain }}</VBtn>
      </div>
    </VCard>
  </VDialog>
</template>

<style scoped>
h2 {
  font-size: var(--type-title);
}
ul {
  margin: var(--space-4) 0;
  overflow: auto;
}
li {
  display: flex;
  align-items: center;
  gap: var(--space-3);
  padding: var(--space-1-5) 0;
  border-top: 1px solid var(--line);
}
.what {
  flex: 1;
  display: grid;
}
.ends {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2);
}
</style>
