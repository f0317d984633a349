<script setup lang="ts">
import { cardEndpoints, type CardStillOfFilm } from '@wax-fist/contract/cards';
import { filledPath } from '@wax-fist/contract/endpoint';
import { request } from '../../app/request.ts';
import PageState from '../../app/PageState.vue';
import { useAnswer } from '../../app/use-answer.ts';
import CardSheet from '../cards/CardSheet.vue';

/** The card of a correction, for whoever works on it. */
const { correctionId } = defineProps<{ correctionId: string }>();
const { value: card, failure, again } = useAnswer(() => request(cardEndpoints.showCard, { params: { correctionId } }));
const srcOf = ({ role, strikeId, frame }: CardStillOfFilm): string =>
  filledPath(cardEndpoints.cardStill.path, { correctionId, role }, { of: `${strikeId}.${frame}` });
</script>

<template>
  <div class="page">
    <PageState :failure="failure" :ready="card !== undefined" @again="again">
      <template v-if="card">
        <p class="back no-print">
          <RouterLink :to="{ name: 'own' }">{{ card.traineeName }}</RouterLink>
        </p>
        <CardSheet :card="card" :src-of="srcOf" />
      </template>
    </PageState>
  </div>
</template>

<style scoped>
.back {
  max-width: 980px;
  margin: 0 auto var(--space-2);
}
</style>
