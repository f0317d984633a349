<script setup lang="ts">
import { everyRow } from '@wax-fist/contract/page';
import { mdiChartTimelineVariant, mdiFileDocumentOutline, mdiPencil, mdiVideoPlus } from '@mdi/js';
import { answerEndpoints } from '@wax-fist/contract/answers';
import { correctionEndpoints } from '@wax-fist/contract/corrections';
import { footageEndpoints } from '@wax-fist/contract/footage';
import { measureEndpoints } from '@wax-fist/contract/measures';
import { removalEndpoints } from '@wax-fist/contract/removals';
import { reviewEndpoints } from '@wax-fist/contract/review';
import { sessionEndpoints, type SessionDetail } from '@wax-fist/contract/sessions';
import { rungName } from '@wax-fist/core/correction';
import { holdingTechnique } from '@wax-fist/core/technique';
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import { request } from '../../app/request.ts';
import { whileTrue } from '../../app/while-true.ts';
import PageState from '../../app/PageState.vue';
import { useAnswer } from '../../app/use-answer.ts';
import { shortDay } from '@wax-fist/core/words';
import { useAccount } from '../accounts/account-store.ts';
import ConsentAsk from '../consents/ConsentAsk.vue';
import { useConsent } from '../consents/use-consent.ts';
import SessionHabits from '../habits/SessionHabits.vue';
import AddFilms from '../footage/AddFilms.vue';
import { inWork } from '../footage/film-work.ts';
import { useCatalogue } from '../checklists/catalogue-store.ts';
import FilmAdvice from './FilmAdvice.vue';
import JudgedBy from './JudgedBy.vue';
import ShotSlots from '../plans/ShotSlots.vue';
import RemoveIt from '../removals/RemoveIt.vue';
import ReleaseSession from './ReleaseSession.vue';
import SessionDialog from './SessionDialog.vue';
import SessionNotes from '../notes/SessionNotes.vue';
import SessionFilms from './SessionFilms.vue';
import WhatSessionSays from './WhatSessionSays.vue';
import { sessionsWords as words } from './words.ts';
import TextWith from '../../app/TextWith.vue';

const { sessionId } = defineProps<{ sessionId: string }>();
const catalogue = useCatalogue();
const account = useAccount();
const router = useRouter();
const changing = ref(false);

const {
  value: page,
  failure,
  again,
} = useAnswer(async () => {
  const session = (await request(sessionEndpoints.showSession, { params: { sessionId } })) as SessionDetail;
  const saidOf = async (traineeId: string) => {
    const [tallies, corrections] = await Promise.all([
      request(reviewEndpoints.traineeTallies, { params: { traineeId }, query: { sessionId } }),
      everyRow((query) => request(correctionEndpoints.traineeCorrections, { params: { traineeId }, query })),
    ]);
    return { tallies, corrections };
  };
  const [own, holders, checklists] = await Promise.all([
    saidOf(session.traineeId),
    session.holderId ? saidOf(session.holderId) : undefined,
    catalogue.at(session.checklistVersion),
  ]);
  // Of each only what they did here: the one strikes, the other holds.
  const strikes = ({ technique }: { technique: string }): boolean => technique !== holdingTechnique;
  const holds = ({ technique }: { technique: string }): boolean => technique === holdingTechnique;
  return {
    session,
    checklists,
    tallies: [...own.tallies.filter(strikes), ...(holders?.tallies.filter(holds) ?? [])],
    corrections: [...own.corrections.filter(strikes), ...(holders?.corrections.filter(holds) ?? [])],
  };
});
const consent = useConsent(() => page.value?.session.traineeId);
/** Asked apart: measuring what was not measured yet takes a moment, and nothing waits for it. */
const {
  value: measures,
  loading: measuring,
  again: measureAgain,
} = useAnswer(() => request(measureEndpoints.sessionMeasures, { params: { sessionId } }));
/** So do levels over all sessions. */
const { value: answers, again: answerAgain } = useAnswer(() =>
  request(answerEndpoints.sessionAnswers, { params: { sessionId } }),
);
const allAgain = () => Promise.all([again(), answerAgain()]);
const working = computed(() => page.value?.session.films.some(inWork));
/** Asks only how far the films are, and only while something is being done with one; when all is done, what the page says anew. */
async function lookAtWork(): Promise<void> {
  const films = await request(footageEndpoints.sessionFilms, { params: { sessionId } }).catch(() => undefined);
  if (!films || !page.value) return;
  page.value = { ...page.value, session: { ...page.value.session, films } };
  if (!working.value) await Promise.all([allAgain(), measureAgain()]);
}
whileTrue(working, lookAtWork, 1000);
</script>

<template>
  <div class="page">
    <PageState :failure="failure" :ready="page !== undefined" @again="again">
      <template v-if="page">
        <div class="page-head">
          <div>
            <p class="quiet">
              <RouterLink :to="{ name: 'trainee', params: { traineeId: page.session.traineeId } }">{{
                page.session.trainee.name
              }}</RouterLink
              >, {{ page.session.trainee.stance }}
            </p>
            <h1>{{ shortDay(page.session.heldOn) }}, {{ page.session.roundKind }}</h1>
            <p class="quiet">
              <TextWith :text="words.rungAndPlace(page.session.rung, rungName(page.session.rung))">
                <template #place>
                  <template v-if="page.session.place"> · {{ page.session.place }}</template>
                </template>
                <template #kit>
                  <template v-if="page.session.kit"> · {{ page.session.kit }}</template>
                </template>
              </TextWith>
            </p>
            <p v-if="page.session.holder">
              <TextWith :text="words.padsHeldBy">
                <template #link>
                  <RouterLink :to="{ name: 'trainee', params: { traineeId: page.session.holder.id } }">{{
                    page.session.holder.name
                  }}</RouterLink>
                </template>
              </TextWith>
            </p>
            <JudgedBy :session="page.session" @changed="again" />
            <p v-if="page.session.schoolNote">{{ page.session.schoolNote }}</p>
          </div>
          <span class="acts no-print">
            <VBtn
              variant="outlined"
              :prepend-icon="mdiFileDocumentOutline"
              :to="{ name: 'session-report', params: { sessionId } }"
              >{{ words.report }}</VBtn
            >
            <ReleaseSession :session="page.session" :changed="again" />
            <VBtn variant="outlined" :prepend-icon="mdiPencil" @click="changing = true">{{ words.change }}</VBtn>
          </span>
        </div>

        <div class="page-head films">
          <h2>{{ words.films }}</h2>
          <VBtn
            variant="outlined"
            :prepend-icon="mdiVideoPlus"
            class="no-print"
            :to="{ name: 'filming', params: { sessionId } }"
            >{{ words.filmRoundsNow }}</VBtn
          >
        </div>
        <SessionFilms :session="page.session" @changed="again" />
        <ShotSlots :session="page.session" @added="again" />
        <ConsentAsk :trainee="page.session.trainee" :consent="consent" />
        <AddFilms :session-id="sessionId" :taken="page.session.films.map(({ view }) => view)" @added="again" />

        <FilmAdvice :session="page.session" :checklists="page.checklists" :corrections="page.corrections" />

        <div class="page-head films">
          <h2 id="said">{{ words.whatThisSessionSays }}</h2>
          <VBtn
            v-if="measures && measures.values.length > 0"
            variant="outlined"
            :prepend-icon="mdiChartTimelineVariant"
            class="no-print"
            :to="{ name: 'sheet', params: { sessionId } }"
            >{{ words.sheetOfStrikes }}</VBtn
          >
        </div>
        <WhatSessionSays
          :session="page.session"
          :checklists="page.checklists"
          :tallies="page.tallies"
          :corrections="page.corrections"
          :measures="measures"
          :measuring="measuring && !measures && page.session.films.length > 0"
          :answers="answers"
          @changed="allAgain"
        />
        <SessionNotes :session-id="sessionId" :catalogue="page.checklists" />
        <SessionHabits
          v-if="measures"
          :session-id="sessionId"
          :trainee-id="page.session.traineeId"
          :measures="measures"
          :catalogue="page.checklists"
        />
        <RemoveIt
          v-if="account.may(removalEndpoints.removeSession)"
          name="this session"
          :goes="words.itGoesWithItsFilms"
          :ask="() => request(removalEndpoints.removeSession, { params: { sessionId } })"
          :removed="() => router.replace({ name: 'trainee', params: { traineeId: page!.session.traineeId } })"
          :back="() => router.push({ name: 'session', params: { sessionId } })"
        />
        <SessionDialog v-model="changing" :trainee-id="page.session.traineeId" :session="page.session" @saved="again" />
      </template>
    </PageState>
  </div>
</template>

<style scoped>
.films {
  align-items: flex-end;
  margin-bottom: var(--space-2);
}
</style>
