<script setup lang="ts">
import type { Mark } from '@wax-fist/contract/review';
import { pointInWords } from '@wax-fist/core/body';
import { verdictNames } from '@wax-fist/core/review';
import { shippedCatalogue } from '@wax-fist/core/technique';
import { counted } from '@wax-fist/core/words';
import { useOutbox } from './outbox-store.ts';

/** Marks that the server does not take, each with its reason: the coach tries again, or lets go of one or of all. */
const open = defineModel<boolean>({ required: true });
const outbox = useOutbox();

/** What a mark says, in words. A club’s own techniques and checkpoints go by their ids here. */
function wordsOf(mark: Mark): string {
  if (mark.kind === 'strike') {
    const name = shippedCatalogue.techniques.get(mark.technique)?.name ?? mark.technique;
    return mark.removed ? `${name}, taken away` : `${name} at frame ${mark.contactFrame}`;
  }
  if (mark.kind === 'pin') return `The ${pointInWords(mark.point)} put right at frame ${mark.frame}`;
  const name = shippedCatalogue.checkpoints.get(mark.checkpointId)?.name ?? mark.checkpointId;
  return `${name}: ${mark.verdict ? verdictNames[mark.verdict].toLowerCase() : 'taken back'}${mark.note ? `, “${mark.note}”` : ''}`;
}

async function act(does: () => Promise<void>): Promise<void> {
  await does();
  if (outbox.notTaken.length === 0) open.value = false;
}
</script>

<template>
  <VDialog v-model="open" max-width="720" scrollable aria-label="Marks not taken">
    <VCard class="pa-6">
      <h2>{{ counted(outbox.notTaken.length, 'mark') }} not taken</h2>
      <p class="quiet">They lie in this browser only. Everything else is saved.</p>
      <ul>
        <li v-for="one in outbox.notTaken" :key="one.id">
          <span class="what">
            <b>{{ wordsOf(one.mark) }}</b>
            <span class="quiet">{{ one.reason }}</span>
          </span>
          <VBtn size="small" variant="text" @click="act(() => outbox.letGo([one.id]))">Let go</VBtn>
        </li>
      </ul>
      <div class="ends">
        <VBtn variant="text" @click="act(() => outbox.letGo())">Let go of all</VBtn>
        <VSpacer />
        <VBtn variant="text" @click="open = false">Leave them here</VBtn>
        <VBtn color="primary" @click="act(outbox.tryAgain)">Try again</VBtn>
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
