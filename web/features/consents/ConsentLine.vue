<script setup lang="ts">
import { mdiVideoCheckOutline } from '@mdi/js';
import { consentEndpoints } from '@wax-fist/contract/consents';
import type { Trainee } from '@wax-fist/contract/trainees';
import { messageOf } from '@wax-fist/core/message-of';
import { seenByNames } from '@wax-fist/core/trainee';
import { shortDay } from '@wax-fist/core/words';
import { computed, ref } from 'vue';
import { useNotice } from '../../app/notice-store.ts';
import { request } from '../../app/request.ts';
import ConsentAsk from './ConsentAsk.vue';
import ConsentDialog from './ConsentDialog.vue';
import { useConsent } from './use-consent.ts';
import { consentsWords as words } from './words.ts';

/** Whether a trainee may be filmed, who may see it, and the way to take it back. */
const { trainee } = defineProps<{ trainee: Trainee }>();
const emit = defineEmits<{ withdrawn: [] }>();
const notice = useNotice();
const consent = useConsent(() => trainee.id);
const { valid } = consent;
const [changing, leaving, busy] = [ref(false), ref(false), ref(false)];
const trouble = ref<string>();
const says = computed(() => {
  const word = valid.value!;
  const shown = word.asReference ? words.mayBeShownAsHow : '';
  const end = word.until ? words.untilUntil(shortDay(word.until)) : '';
  return words.mayBeFilmedSinceSeen(shortDay(word.givenOn), end, seenByNames[word.seenBy].toLowerCase(), shown);
});
async function withdraw(): Promise<void> {
  busy.value = true;
  trouble.value = undefined;
  try {
    const { films } = await request(consentEndpoints.withdrawConsent, { params: { traineeId: trainee.id } });
    leaving.value = false;
    notice.say(words.takenBackWithFilms(films));
    await consent.again();
    emit('withdrawn');
  } catch (error) {
    trouble.value = messageOf(error);
  } finally {
    busy.value = false;
  }
}
</script>

<template>
  <ConsentAsk :trainee="trainee" :consent="consent" />
  <p v-if="valid" class="line">
    <VIcon :icon="mdiVideoCheckOutline" size="20" /> {{ says }}
    <button type="button" @click="changing = true">{{ words.askAnew }}</button>
    <button type="button" @click="leaving = true">{{ words.takenBack }}</button>
  </p>
  <ConsentDialog v-model="changing" :trainee="trainee" :given="consent.again" />
  <VDialog v-model="leaving" max-width="480" :aria-label="words.theConsentIsTakenBack">
    <VCard class="pa-6">
      <h2>{{ words.takesTheConsentBack(trainee.name) }}</h2>
      <p class="what">
        {{ words.everyFilmInWhichTrains(trainee.name) }}
      </p>
      <p v-if="trouble" role="alert">{{ trouble }}</p>
      <p class="ends">
        <VBtn variant="text" @click="leaving = false">{{ words.leaveIt }}</VBtn>
        <VBtn color="error" :loading="busy" @click="withdraw">{{ words.takeItBackRemoveThe }}</VBtn>
      </p>
    </VCard>
  </VDialog>
</template>

<style scoped>
.line {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: var(--space-0-5) var(--space-2);
  font-size: var(--type-text);
}
.line button {
  text-decoration: underline;
}
.what {
  margin: var(--space-3) 0;
}
.ends {
  display: flex;
  flex-wrap: wrap;
  justify-content: flex-end;
  gap: var(--space-2);
}
</style>
