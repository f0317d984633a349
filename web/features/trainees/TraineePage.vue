<script setup lang="ts">
import { mdiCalendarPlus, mdiFileDocumentOutline, mdiMapMarkerPath, mdiPencil, mdiPlus } from '@mdi/js';
import { answerEndpoints } from '@wax-fist/contract/answers';
import { correctionEndpoints } from '@wax-fist/contract/corrections';
import { traineeExports, traineeExportUrl } from '@wax-fist/contract/exports';
import { reviewEndpoints } from '@wax-fist/contract/review';
import { sessionEndpoints } from '@wax-fist/contract/sessions';
import { removalEndpoints } from '@wax-fist/contract/removals';
import { traineeEndpoints } from '@wax-fist/contract/trainees';
import { rungName } from '@wax-fist/core/correction';
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import { archiveEndpoints } from '@wax-fist/contract/archives';
import { request } from '../../app/request.ts';
import PageState from '../../app/PageState.vue';
import MoreRows from '../../app/MoreRows.vue';
import { useAnswer } from '../../app/use-answer.ts';
import { usePages } from '../../app/use-pages.ts';
import { shortDay } from '@wax-fist/core/words';
import { useAccount } from '../accounts/account-store.ts';
import ConsentLine from '../consents/ConsentLine.vue';
import CorrectionStory from '../corrections/CorrectionStory.vue';
import LevelsOverSessions from '../corrections/LevelsOverSessions.vue';
import CheckpointMap from './CheckpointMap.vue';
import RemoveIt from '../removals/RemoveIt.vue';
import TakeAlong from '../exports/TakeAlong.vue';
import SessionDialog from '../sessions/SessionDialog.vue';
import TraineeDialog from './TraineeDialog.vue';
import { traineesWords as words } from './words.ts';

const { traineeId } = defineProps<{ traineeId: string }>();
const router = useRouter();
const account = useAccount();
const changing = ref(false);
const adding = ref(false);

const {
  value: page,
  failure,
  again,
} = useAnswer(async () => {
  const params = { params: { traineeId } };
  const [trainee, judged] = await Promise.all([
    request(traineeEndpoints.showTrainee, params),
    request(reviewEndpoints.traineeJudged, params),
  ]);
  return { trainee, judged };
});
const params = { traineeId };
const sessions = usePages((query) => request(sessionEndpoints.listSessions, { params, query }));
const open = usePages((query) => request(correctionEndpoints.traineeCorrections, { params, query: { ...query, state: 'open' } }));
const closed = usePages((query) =>
  request(correctionEndpoints.traineeCorrections, { params, query: { ...query, state: 'closed' } }),
);
/** Comes later than all else: it may have to be worked out. */
const { value: conditions } = useAnswer(() => request(answerEndpoints.traineeConditions, { params }));
const corrections = computed(() => [...(open.rows.value ?? []), ...(closed.rows.value ?? [])]);
const ready = computed(() => page.value !== undefined && [sessions, open, closed].every(({ rows }) => rows.value !== undefined));
const failed = computed(
  () => [failure, ...[sessions, open, closed].map((list) => list.failure)].find(({ value }) => value)?.value,
);
/** So many sessions have room on the map. */
const onMap = 8;
const mapSince = computed(() => sessions.rows.value?.slice(0, onMap).at(-1)?.heldOn);
const changed = () => Promise.all([open.again(), closed.again()]);
const allAgain = () => Promise.all([again(), sessions.again(), changed()]);

const files = computed(() => traineeExports.map(({ file, name }) => ({ name, url: traineeExportUrl(traineeId, file) })));
const toSession = (sessionId: string): void => void router.push({ name: 'session', params: { sessionId } });
</script>

<template>
  <div class="page">
    <PageState :failure="failed" :ready="ready" @again="allAgain">
      <template v-if="page">
        <div class="page-head">
          <div>
            <h1>{{ page.trainee.name }}</h1>
            <p class="quiet">{{ page.trainee.stance }}, {{ page.trainee.grade }}</p>
            <p v-if="page.trainee.note">{{ page.trainee.note }}</p>
          </div>
          <span class="acts">
            <VBtn
              v-if="account.judges"
              variant="outlined"
              :prepend-icon="mdiCalendarPlus"
              :to="{ name: 'new-plan', params: { traineeId } }"
              >{{ words.plan }}</VBtn
            >
            <VBtn variant="outlined" :prepend-icon="mdiMapMarkerPath" :to="{ name: 'trainee-test', params: { traineeId } }">{{
              words.test
            }}</VBtn>
            <VBtn
              variant="outlined"
              :prepend-icon="mdiFileDocumentOutline"
              :to="{ name: 'block-report', params: { traineeId } }"
              >{{ words.report }}</VBtn
            >
            <TakeAlong v-if="account.judges" :label="words.takeAlong" :files="files">
              <VListItem
                v-if="account.may(archiveEndpoints.makeArchive)"
                :to="{ name: 'archives', query: { trainee: traineeId } }"
                :title="words.everythingWithFilmsArchive"
              />
            </TakeAlong>
            <VBtn v-if="account.judges" variant="outlined" :prepend-icon="mdiPencil" @click="changing = true">{{
              words.change
            }}</VBtn>
            <VBtn color="primary" :prepend-icon="mdiPlus" @click="adding = true">{{ words.addASession }}</VBtn>
          </span>
        </div>

        <ConsentLine :trainee="page.trainee" @withdrawn="allAgain" />

        <h2>{{ words.worksOn }}</h2>
        <ul v-if="open.rows.value!.length > 0" class="list">
          <CorrectionStory
            v-for="one in open.rows.value"
            :key="one.id"
            :correction="one"
            :conditions="conditions?.filter(({ correctionId }) => correctionId === one.id)"
            @changed="changed"
          />
        </ul>
        <div v-else class="empty">{{ words.noCorrectionIsOpenReview }}</div>

        <template v-if="page.judged.length > 0">
          <h2>{{ words.levelsOverSessions }}</h2>
          <LevelsOverSessions
            :trainee-id="traineeId"
            :judged="page.judged"
            :corrections="corrections"
            :sessions="sessions.rows.value!"
          />
        </template>

        <template v-if="mapSince">
          <div class="page-head last">
            <h2>{{ words.lastSessions }}</h2>
            <VBtn variant="outlined" class="no-print" :to="{ name: 'habits', params: { traineeId } }">{{ words.habits }}</VBtn>
          </div>
          <CheckpointMap :key="mapSince" :trainee-id="traineeId" :since="mapSince" />
        </template>

        <h2>{{ words.sessions }}</h2>
        <ul v-if="sessions.rows.value!.length > 0" class="list">
          <li v-for="one in sessions.rows.value" :key="one.id">
            <RouterLink class="session" :to="{ name: 'session', params: { sessionId: one.id } }">
              <b>{{ shortDay(one.heldOn) }}</b>
              <span>{{ words.onAtRung(one.roundKind, one.rung, rungName(one.rung).toLowerCase()) }}</span>
              <span class="quiet number">{{ words.films(one.films) }}, {{ words.strikes(one.strikes) }}</span>
            </RouterLink>
          </li>
        </ul>
        <div v-else class="empty">{{ words.notFilmedYetAddA }}</div>
        <MoreRows
          :has-more="sessions.hasMore.value"
          :loading="sessions.loading.value"
          :shown="sessions.rows.value!.length"
          @more="sessions.more"
        />

        <template v-if="closed.rows.value!.length > 0">
          <h2>{{ words.closed }}</h2>
          <ul class="list">
            <CorrectionStory v-for="one in closed.rows.value" :key="one.id" :correction="one" @changed="changed" />
          </ul>
          <MoreRows
            :has-more="closed.hasMore.value"
            :loading="closed.loading.value"
            :shown="closed.rows.value!.length"
            @more="closed.more"
          />
        </template>
        <RemoveIt
          v-if="account.may(removalEndpoints.removeTrainee)"
          name="this trainee"
          :goes="words.goesWithAllSessionsFilms(page.trainee.name)"
          :ask="() => request(removalEndpoints.removeTrainee, { params: { traineeId } })"
          :removed="() => router.replace({ name: 'trainees' })"
          :back="() => router.push({ name: 'trainee', params: { traineeId } })"
        />
        <TraineeDialog v-model="changing" :trainee="page.trainee" @saved="again" />
        <SessionDialog v-model="adding" :trainee-id="traineeId" :last="sessions.rows.value![0]" @saved="toSession" />
      </template>
    </PageState>
  </div>
</template>

<style scoped>
.last {
  align-items: flex-end;
  margin: var(--space-6) 0 var(--space-2);
}
.last h2 {
  margin: 0;
}
.session {
  display: grid;
  grid-template-columns: 150px 1fr auto;
  gap: var(--space-4);
  padding: var(--space-3);
  text-decoration: none;
  color: inherit;
}
.session b {
  color: rgb(var(--v-theme-primary));
}
.session:hover {
  background: var(--aside);
}
@media screen and (max-width: 899px) {
  .session {
    grid-template-columns: minmax(0, 1fr);
    gap: var(--space-0-5);
  }
}
</style>
