<script setup lang="ts">
import { cardEndpoints, type CardStillOfFilm } from '@wax-fist/contract/cards';
import { filledPath } from '@wax-fist/contract/endpoint';
import { request } from '../../app/request.ts';
import PageState from '../../app/PageState.vue';
import { useAnswer } from '../../app/use-answer.ts';
import CardSheet from './CardSheet.vue';

/** A card for whoever has its link. */
const { code } = defineProps<{ code: string }>();
const { value: card, failure, again } = useAnswer(() => request(cardEndpoints.sharedCard, { params: { code } }));
const srcOf = ({ role, strikeId, frame }: CardStillOfFilm): string =>
  filledPath(cardEndpoints.sharedStill.path, { code, role }, { of: `${strikeId}.${frame}` });
</script>

<template>
  <div class="page">
    <PageState :failure="failure" :ready="card !== undefined" @again="again">
      <CardSheet v-if="card" :card="card" :src-of="srcOf" />
    </PageState>
  </div>
</template>
