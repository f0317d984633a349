<script setup lang="ts">
import { cardEndpoints, type CardStillOfFilm, type ChosenStill } from '@wax-fist/contract/cards';
import { correctionEndpoints } from '@wax-fist/contract/corrections';
import { filledPath } from '@wax-fist/contract/endpoint';
import type { Paper } from '@wax-fist/contract/reports';
import type { StillRole } from '@wax-fist/core/card';
import { messageOf } from '@wax-fist/core/message-of';
import { ref } from 'vue';
import { useNotice } from '../../app/notice-store.ts';
import { request } from '../../app/request.ts';
import PageState from '../../app/PageState.vue';
import { useAnswer } from '../../app/use-answer.ts';
import ReportBar from '../reports/ReportBar.vue';
import CardLink from './CardLink.vue';
import CardSheet from './CardSheet.vue';
import StillChoice from './StillChoice.vue';
import { useAccount } from '../accounts/account-store.ts';

const account = useAccount();
const { correctionId } = defineProps<{ correctionId: string }>();
const params = { correctionId };
const notice = useNotice();
const { value: card, failure, again } = useAnswer(() => request(cardEndpoints.showCard, { params }));
const { value: evidence } = useAnswer(() => request(correctionEndpoints.correctionEvidence, { params }));

/** Asked anew whenever it is of another frame. */
const srcOf = ({ role, strikeId, frame }: CardStillOfFilm): string =>
  filledPath(cardEndpoints.cardStill.path, { correctionId, role }, { of: `${strikeId}.${frame}` });
const pdf = (paper: Paper): string => filledPath(cardEndpoints.cardsPdf.path, {}, { of: correctionId, paper });

/** Strikes from the same view that show it as this still does. */
const others = ({ role, view }: CardStillOfFilm): string[] =>
  (evidence.value ?? [])
    .filter((one) => one.view === view && one.verdict === (role === 'should' ? 'clean' : 'fault'))
    .map(({ strikeId }) => strikeId);
const busy = ref(false);
async function choose(role: StillRole, body: ChosenStill): Promise<void> {
  busy.value = true;
  await request(cardEndpoints.chooseStill, { params: { correctionId, role }, body })
    .then((now) => (card.value = now))
    .catch((error: unknown) => notice.say(messageOf(error)))
    .finally(() => (busy.value = false));
}
</script>

<template>
  <div class="page">
    <PageState :failure="failure" :ready="card !== undefined" @again="again">
      <template v-if="card">
        <ReportBar :pdf="pdf">
          <RouterLink :to="{ name: 'trainee', params: { traineeId: card.traineeId } }">{{ card.traineeName }}</RouterLink>
        </ReportBar>
        <CardSheet v-slot="{ still }" :card="card" :src-of="srcOf">
          <StillChoice
            v-if="account.judges"
            :still="still"
            :others="others(still)"
            :busy="busy"
            @choose="choose(still.role, $event)"
          />
        </CardSheet>
        <CardLink v-if="account.judges" :card="card" @changed="again" />
      </template>
    </PageState>
  </div>
</template>
