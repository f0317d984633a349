<script setup lang="ts">
import { mdiUndo } from '@mdi/js';
import { removalEndpoints, type Removal } from '@wax-fist/contract/removals';
import { messageOf } from '@wax-fist/core/message-of';
import { ref } from 'vue';
import { dayAndTime } from '../../app/format.ts';
import { useNotice } from '../../app/notice-store.ts';
import PageState from '../../app/PageState.vue';
import { request } from '../../app/request.ts';
import { useAnswer } from '../../app/use-answer.ts';
import { useAccount } from '../accounts/account-store.ts';
import { putBack } from './use-removing.ts';

/** What was removed and can still be put back. */
const account = useAccount();
const notice = useNotice();
const { value: removals, failure, again } = useAnswer(() => request(removalEndpoints.listRemovals));
const trouble = ref<string>();
/** What is about to go for good: that does not come back. */
const ending = ref<Removal>();
const kindNames: Readonly<Record<Removal['kind'], string>> = {
  trainee: 'Trainee',
  training_session: 'Session',
  film: 'Film',
};
const mayPutBack = ({ kind }: Removal): boolean => kind !== 'trainee' || account.may(removalEndpoints.removeTrainee);

async function tried(doing: Promise<unknown>, says: string): Promise<void> {
  trouble.value = undefined;
  await doing.then(
    () => notice.say(says),
    (error: unknown) => (trouble.value = messageOf(error)),
  );
  await again();
}
async function end(): Promise<void> {
  const one = ending.value!;
  ending.value = undefined;
  await tried(request(removalEndpoints.endRemoval, { params: { removalId: one.id } }), `${one.says} is gone for good.`);
}
</script>

<template>
  <div class="page">
    <div class="page-head">
      <div>
        <h1>Removed</h1>
        <p class="quiet">What was removed stays here for a day, with everything that belongs to it. Then it is gone for good.</p>
      </div>
    </div>
    <VAlert v-if="trouble" type="warning" variant="tonal" role="alert" class="mb-4">{{ trouble }}</VAlert>
    <PageState :failure="failure" :ready="removals !== undefined" @again="again">
      <p v-if="removals!.length === 0" class="empty">Nothing was removed today.</p>
      <ul v-else class="list">
        <li v-for="one in removals" :key="one.id" class="acts one">
          <span class="what">
            <b>{{ one.says }}</b>
            <span class="quiet">
              {{ kindNames[one.kind] }}, removed {{ dayAndTime(one.removedAt) }} by {{ one.by }}; stays until
              {{ dayAndTime(one.endsAt) }}
            </span>
          </span>
          <VBtn
            v-if="mayPutBack(one)"
            variant="outlined"
            :prepend-icon="mdiUndo"
            :aria-label="`Put back: ${one.says}`"
            @click="tried(putBack(one), `${one.says} is back.`)"
            >Put back</VBtn
          >
          <VBtn
            v-if="account.may(removalEndpoints.endRemoval)"
            variant="text"
            :aria-label="`For good: ${one.says}`"
            @click="ending = one"
            >For good</VBtn
          >
        </li>
      </ul>
    </PageState>
    <VDialog :model-value="ending !== undefined" max-width="480" @update:model-value="ending = undefined">
      <VCard class="pa-6">
        <h2>{{ `Remove ${ending?.says} for good?` }}</h2>
        <p class="says">Films, marks and all that was made of them are deleted now. This cannot be undone.</p>
        <div class="acts">
          <VBtn variant="text" @click="ending = undefined">Leave it here</VBtn>
          <VBtn color="error" @click="end">For good</VBtn>
        </div>
      </VCard>
    </VDialog>
  </div>
</template>

<style scoped>
h2 {
  font-size: var(--type-title);
}
.says {
  margin: var(--space-2) 0 var(--space-4);
}
.one {
  padding: var(--space-2) var(--space-3);
}
.what {
  flex: 1 1 300px;
  display: flex;
  flex-direction: column;
}
</style>
