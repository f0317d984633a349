<script setup lang="ts">
import { mdiVideoCheckOutline } from '@mdi/js';
import { consentEndpoints } from '@wax-fist/contract/consents';
import type { Trainee } from '@wax-fist/contract/trainees';
import { messageOf } from '@wax-fist/core/message-of';
import { seenByNames } from '@wax-fist/core/trainee';
import { counted, shortDay } from '@wax-fist/core/words';
import { computed, ref } from 'vue';
import { useNotice } from '../../app/notice-store.ts';
import { request } from '../../app/request.ts';
import ConsentAsk from './ConsentAsk.vue';
import ConsentDialog from './ConsentDialog.vue';
import { useConsent } from './use-consent.ts';

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
  const shown = word.asReference ? ', may be shown as how it is done' : '';
  const end = word.until ? `, until ${shortDay(word.until)}` : '';
  return `May be filmed since ${shortDay(word.givenOn)}${end}; seen by ${seenByNames[word.seenBy].toLowerCase()}${shown}.`;
});
async function withdraw(): Promise<void> {
  busy.value = true;
  trouble.value = undefined;
  try {
    const { films } = await request(consentEndpoints.withdrawConsent, { params: { traineeId: trainee.id } });
    leaving.value = false;
    notice.say(
      `Taken back: ${counted(films, 'film')} and everything made of them ${films === 1 ? 'is' : 'are'} gone; what was counted stays.`,
    );
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
    <button type="button" @click="changing = true">Ask anew</button>
    <button type="button" @click="leaving = true">Taken back</button>
  </p>
  <ConsentDialog v-model="changing" :trainee="trainee" :given="consent.again" />
  <VDialog v-model="leaving" max-width="480" aria-label="The consent is taken back">
    <VCard class="pa-6">
      <h2>{{ trainee.name }} takes the consent back?</h2>
      <p class="what">
        Every film in which {{ trainee.name }} trains or holds, with its stills, points, montages and archives, is gone from this
        server for good. Strikes, verdicts and counts stay, without pictures. Archives that somebody has downloaded cannot be
        reached.
      </p>
      <p v-if="trouble" role="alert">{{ trouble }}</p>
      <p class="ends">
        <VBtn variant="text" @click="leaving = false">Leave it</VBtn>
        <VBtn color="error" :loading="busy" @click="withdraw">Take it back, remove the films</VBtn>
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
