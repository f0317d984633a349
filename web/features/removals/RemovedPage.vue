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
import { removalsWords as words } from './words.ts';

/** What was removed and can still be put back. */
const account = useAccount();
const notice = useNotice();
const { value: removals, failure, again } = useAnswer(() => request(removalEndpoints.listRemovals));
const trouble = ref<string>();
/** What is about to go for good: that does not come back. */
const ending = ref<Removal>();
const kindNames: Readonly<Record<Removal['kind'], string>> = {
  trainee: words.trainee,
  training_session: words.session,
  film: words.film,
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
  await tried(request(removalEndpoints.endRemoval, { params: { removalId: one.id } }), words.isGoneForGood(one.says));
}
</script>

<template>
  <div class="page">
    <div class="page-head">
      <div>
        <h1>{{ words.removed }}</h1>
        <p class="quiet">{{ words.whatWasRemovedStaysHere }}</p>
      </div>
    </div>
    <VAlert v-if="trouble" type="warning" variant="tonal" role="alert" class="mb-4">{{ trouble }}</VAlert>
    <PageState :failure="failure" :ready="removals !== undefined" @again="again">
      <p v-if="removals!.length === 0" class="empty">{{ words.nothingWasRemovedToday }}</p>
      <ul v-else class="list">
        <li v-for="one in removals" :key="one.id" class="acts one">
          <span class="what">
            <b>{{ one.says }}</b>
            <span class="quiet">
              {{ words.removedByStaysUntil(kindNames[one.kind], dayAndTime(one.removedAt), one.by, dayAndTime(one.endsAt)) }}
            </span>
          </span>
          <VBtn
            v-if="mayPutBack(one)"
            variant="outlined"
            :prepend-icon="mdiUndo"
            :aria-label="words.putBack(one.says)"
            @click="tried(putBack(one), words.isBack(one.says))"
            >{{ words.putItBack }}</VBtn
          >
          <VBtn
            v-if="account.may(removalEndpoints.endRemoval)"
            variant="text"
            :aria-label="words.forGood(one.says)"
            @click="ending = one"
            >{{ words.goneForGood }}</VBtn
          >
        </li>
      </ul>
    </PageState>
    <VDialog :model-value="ending !== undefined" max-width="480" @update:model-value="ending = undefined">
      <VCard class="pa-6">
        <h2>{{ words.removeForGood(ending?.says ?? '') }}</h2>
        <p class="says">{{ words.filmsMarksAndAllThat }}</p>
        <div class="acts">
          <VBtn variant="text" @click="ending = undefined">{{ words.leaveItHere }}</VBtn>
          <VBtn color="error" @click="end">{{ words.goneForGood }}</VBtn>
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
