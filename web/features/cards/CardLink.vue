<script setup lang="ts">
import { mdiContentCopy, mdiLinkOff, mdiLinkPlus } from '@mdi/js';
import { cardEndpoints, type Card } from '@wax-fist/contract/cards';
import { messageOf } from '@wax-fist/core/message-of';
import { wholeDay } from '@wax-fist/core/words';
import { computed } from 'vue';
import { useNotice } from '../../app/notice-store.ts';
import { request } from '../../app/request.ts';
import { cardsWords as words } from './words.ts';

/** The address that shows a card to whoever has it: made, copied and withdrawn by the coach. */
const { card } = defineProps<{ card: Card }>();
const emit = defineEmits<{ changed: [] }>();
const notice = useNotice();
const address = computed(() => card.link && `${location.origin}/c/${card.link.code}`);
const params = computed(() => ({ params: { correctionId: card.correctionId } }));
const tried = (doing: () => Promise<unknown>): Promise<void> =>
  doing().then(
    () => emit('changed'),
    (error: unknown) => notice.say(messageOf(error)),
  );
const make = (): Promise<void> => tried(() => request(cardEndpoints.linkCard, params.value));
const withdraw = (): Promise<void> =>
  tried(async () => {
    await request(cardEndpoints.withdrawLink, params.value);
    notice.say(words.theLinkIsWithdrawnNobody);
  });
async function copy(): Promise<void> {
  await navigator.clipboard.writeText(address.value!).then(
    () => notice.say(words.theLinkIsCopied),
    () => notice.say(words.thisBrowserDoesNotLet),
  );
}
</script>

<template>
  <p class="no-print link">
    <template v-if="card.link">
      <span>{{ words.whoeverHasThisLinkSees(wholeDay(card.link.endsOn)) }}</span>
      <a :href="address!" class="number">{{ address }}</a>
      <VBtn variant="text" :prepend-icon="mdiContentCopy" @click="copy">{{ words.copy }}</VBtn>
      <VBtn variant="text" :prepend-icon="mdiLinkOff" @click="withdraw">{{ words.withdraw }}</VBtn>
    </template>
    <VBtn v-else variant="outlined" :prepend-icon="mdiLinkPlus" @click="make">{{ words.linkForTheTrainee }}</VBtn>
  </p>
</template>

<style scoped>
.link {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-1) var(--space-2);
  align-items: center;
  max-width: 980px;
  margin: var(--space-3) auto;
}
a {
  overflow-wrap: anywhere;
}
</style>
