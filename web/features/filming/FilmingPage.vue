<script setup lang="ts">
import { useEventListener } from '@vueuse/core';
import { askBeforeLeaving } from '../../app/ask-before-leaving.ts';
import { mdiArrowLeft, mdiRecord, mdiStop } from '@mdi/js';
import { sessionEndpoints } from '@wax-fist/contract/sessions';
import { computed, ref } from 'vue';
import { onBeforeRouteLeave } from 'vue-router';
import { request } from '../../app/request.ts';
import PageState from '../../app/PageState.vue';
import { useAnswer } from '../../app/use-answer.ts';
import { shortDay } from '@wax-fist/core/words';
import SendingRow from '../footage/SendingRow.vue';
import { useUploads } from '../footage/uploads-store.ts';
import { rememberedPlan, type FilmingPlan } from './filming-settings.ts';
import ConsentAsk from '../consents/ConsentAsk.vue';
import { useConsent } from '../consents/use-consent.ts';
import CameraCheck from './CameraCheck.vue';
import CameraPicture from './CameraPicture.vue';
import FilmingAdvice from './FilmingAdvice.vue';
import FilmingSettingsFields from './FilmingSettingsFields.vue';
import { useCamera } from './use-camera.ts';
import { useFilming } from './use-filming.ts';
import { filmingWords as words } from './words.ts';
import TextWith from '../../app/TextWith.vue';

const { sessionId } = defineProps<{ sessionId: string }>();
const {
  value: session,
  failure: missing,
  again,
} = useAnswer(() => request(sessionEndpoints.showSession, { params: { sessionId } }));
const consent = useConsent(() => session.value?.traineeId);
const uploads = useUploads();
const plan = ref<FilmingPlan>(rememberedPlan());
const preview = ref<HTMLVideoElement>();
const { stream, cameras, chosen, choose, open, failure: blind } = useCamera();
const filming = useFilming(sessionId, stream);
const { reading, running, arrived } = filming;

const mine = computed(() => uploads.sendings.filter((one) => one.sessionId === sessionId));
const left = computed(() => {
  const seconds = Math.ceil((reading.value?.left ?? plan.value.work * 1000) / 1000);
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
});
const phaseWords = { ready: words.getReady, work: words.work, rest: words.rest, over: words.over };
const problem = computed(() => filming.failure.value ?? blind.value);

useEventListener(window, 'keydown', (event) => {
  if (event.key !== 'Escape' || !running.value) return;
  event.preventDefault();
  void filming.stop();
});
askBeforeLeaving(() => running.value);
// Whoever goes to another page keeps what was filmed until now.
onBeforeRouteLeave(() => filming.stop());
</script>

<template>
  <PageState :failure="missing" :ready="session !== undefined" class="ma-6" @again="again">
    <div v-if="session" class="floor" :data-phase="reading?.phase ?? 'before'">
      <header>
        <VBtn
          :icon="mdiArrowLeft"
          variant="text"
          :to="{ name: 'session', params: { sessionId } }"
          :aria-label="words.backToTheSession"
          :title="words.backToTheSession"
        />
        <h1>{{ words.filmingName(session.trainee.name, shortDay(session.heldOn)) }}</h1>
      </header>
      <CameraPicture v-model:picture="preview" :stream="stream" :problem="problem" @again="open" />
      <aside>
        <p class="clock number" role="timer">{{ left }}</p>
        <p class="phase" aria-live="polite">
          <template v-if="reading">
            <TextWith :text="words.roundOf(phaseWords[reading.phase])">
              <template #round>
                <b class="number">{{ reading.round }}</b>
              </template>
              <template #rounds>
                <b class="number">{{ plan.rounds }}</b>
              </template>
            </TextWith>
          </template>
          <template v-else-if="arrived > 0">{{ words.roundInTheSession(arrived) }}</template>
          <template v-else>{{ words.standSoThatTheBag }}</template>
        </p>
        <VBtn
          v-if="running"
          :prepend-icon="mdiStop"
          size="x-large"
          color="error"
          class="start"
          :title="words.stopWhatWasFilmedIs"
          @click="filming.stop()"
          >{{ words.stop }}</VBtn
        >
        <VBtn
          v-else
          :prepend-icon="mdiRecord"
          size="x-large"
          color="primary"
          class="start"
          :disabled="!stream || consent.missing.value"
          @click="filming.start(plan)"
          >{{ words.startTheClock }}</VBtn
        >
        <ConsentAsk :trainee="session.trainee" :consent="consent" />
        <FilmingSettingsFields v-if="!running" v-model="plan" :cameras="cameras" :camera="chosen" @camera="choose" />
        <CameraCheck
          v-if="!running && stream"
          :video="preview"
          :view="plan.view"
          :stance="session.trainee.stance"
          :begins="plan.view"
        />
        <FilmingAdvice v-if="!running" :session="session" :view="plan.view" />
        <ul v-if="mine.length > 0" class="list sendings" :aria-label="words.filmsBeingSent">
          <SendingRow v-for="one in mine" :key="one.id" :sending="one" />
        </ul>
        <p class="quiet agreed">{{ words.filmOnlyWhoHasAgreed }}</p>
      </aside>
    </div>
  </PageState>
</template>

<style scoped>
.floor {
  display: grid;
  grid-template: 52px minmax(0, 1fr) / minmax(0, 1fr) 400px;
  gap: 0 var(--space-5);
  height: 100vh;
  padding: 0 var(--space-5) var(--space-5) var(--space-3);
  background: rgb(var(--v-theme-background));
}
header {
  grid-column: 1 / -1;
  display: flex;
  align-items: center;
  gap: var(--space-2);
}
h1 {
  font-size: var(--type-title);
  font-weight: 700;
}
.floor[data-phase='work'] .camera {
  outline: 4px solid var(--alarm);
}
.start {
  flex: none;
  height: 72px;
  font-size: var(--type-title);
}
aside {
  display: flex;
  flex-direction: column;
  gap: var(--space-3);
  min-height: 0;
  overflow-y: auto;
}
.clock {
  font-size: 168px;
  line-height: 0.95;
  font-weight: 600;
  text-align: center;
}
.floor[data-phase='work'] .clock {
  color: var(--alarm);
}
.floor[data-phase='rest'] .clock,
.floor[data-phase='ready'] .clock {
  color: var(--steel);
}
.phase {
  font-size: var(--type-figure);
  text-align: center;
  min-height: 36px;
}
.sendings {
  font-size: var(--type-small);
}
.agreed {
  font-size: var(--type-small);
  margin-top: auto;
}
@media screen and (max-width: 899px) {
  .floor {
    grid-template: auto minmax(180px, 34vh) auto / minmax(0, 1fr);
    gap: var(--space-2);
    height: auto;
    min-height: 100dvh;
    padding: var(--space-1) var(--space-3) var(--space-4);
  }
  aside {
    overflow: visible;
  }
  .clock {
    font-size: min(168px, 40vw);
  }
}
</style>
