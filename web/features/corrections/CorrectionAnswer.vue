<script setup lang="ts">
import { messageOf } from '@wax-fist/core/message-of';
import { correctionEndpoints, type Correction } from '@wax-fist/contract/corrections';
import { changeNames, chanceAtMost, faultRate, worthwhile, type SessionAnswer } from '@wax-fist/core/correction';
import { checkpointName, techniqueName, type Catalogue } from '@wax-fist/core/technique';
import { v7 as uuid } from 'uuid';
import { computed, ref } from 'vue';
import { request } from '../../app/request.ts';
import { faultsOfSeen, localDay, percent, rateInWords, shortDay } from '../../app/format.ts';
import FamilySign from '../checklists/FamilySign.vue';
import ChangeSign from './ChangeSign.vue';
import RateBand from './RateBand.vue';

/** What a session answers to an open correction: better, worse, no clear change or too few, with the numbers. */
const {
  correction,
  answer = undefined,
  sessionId,
  checklists,
} = defineProps<{ correction: Correction; answer?: SessionAnswer; sessionId: string; checklists: Catalogue }>();
const emit = defineEmits<{ changed: [] }>();
const busy = ref(false);
const failure = ref<string>();

const now = computed(() => answer && faultRate(answer.tally));
const was = computed(() => answer?.before && faultRate(answer.before.tally));
const opened = computed(() => correction.openedIn === sessionId);
const recorded = computed(() => correction.history.find((event) => event.kind === 're-checked' && event.sessionId === sessionId));
const reached = computed(() => answer && chanceAtMost(correction.target, answer.tally));

async function add(kind: 're-checked' | 'closed', note: string): Promise<void> {
  busy.value = true;
  failure.value = undefined;
  const recheckOn = kind === 're-checked' ? localDay(7) : undefined;
  await request(correctionEndpoints.addCorrectionEvent, {
    params: { correctionId: correction.id },
    body: { id: uuid(), kind, sessionId, note, recheckOn },
  })
    .then(() => emit('changed'))
    .catch((error: unknown) => (failure.value = messageOf(error)));
  busy.value = false;
}
const record = (): Promise<void> => add('re-checked', answer?.change ? changeNames[answer.change.change] : '');
const close = (): Promise<void> => add('closed', now.value ? `Closed at ${faultsOfSeen(now.value)}` : 'Closed');
</script>

<template>
  <article class="answer">
    <FamilySign :family="checklists.checkpoints.get(correction.checkpointId)?.family" :size="28" />
    <div>
      <p class="cue">
        “{{ correction.cue }}”
        <span class="quiet"
          >{{ techniqueName(checklists, correction.technique).toLowerCase() }},
          {{ checkpointName(checklists, correction.checkpointId).toLowerCase() }}, aim at most
          {{ percent(correction.target) }}</span
        >
      </p>
      <p v-if="!answer || !now" class="quiet">Not judged in this session yet. It is starred in the walk.</p>
      <template v-else-if="was && answer.change">
        <p class="numbers">
          <ChangeSign :change="answer.change.change" />
          <span
            ><b class="number">{{ faultsOfSeen(was) }}</b> on {{ shortDay(answer.before!.heldOn) }},
            <b class="number">{{ faultsOfSeen(now) }}</b> now</span
          >
        </p>
        <div class="bands">
          <span class="quiet">before</span><RateBand :rate="was" :target="correction.target" /><span class="number">{{
            rateInWords(was)
          }}</span>
          <span>now</span><RateBand :rate="now" :target="correction.target" /><span class="number">{{ rateInWords(now) }}</span>
        </div>
        <p class="quiet">
          How sure: fell by {{ worthwhile * 100 }} points or more <span class="number">{{ percent(answer.change.fell) }}</span>,
          rose by as much <span class="number">{{ percent(answer.change.rose) }}</span>, at or below the aim
          <span class="number">{{ percent(reached!) }}</span>.
        </p>
      </template>
      <template v-else>
        <div class="bands">
          <span>now</span><RateBand :rate="now" :target="correction.target" /><span class="number">{{ rateInWords(now) }}</span>
        </div>
        <p class="quiet">
          {{
            opened
              ? 'Opened here; the next session at this rung answers.'
              : 'First time at this rung: nothing to compare with yet.'
          }}
        </p>
      </template>
      <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
    </div>
    <div class="acts no-print">
      <template v-if="!opened && now">
        <span v-if="recorded" class="quiet">re-check noted</span>
        <VBtn v-else color="primary" :loading="busy" @click="record">Note this re-check</VBtn>
        <VBtn variant="outlined" :loading="busy" @click="close">Close it</VBtn>
      </template>
      <VBtn variant="outlined" :to="{ name: 'card', params: { correctionId: correction.id } }">Card</VBtn>
    </div>
  </article>
</template>

<style scoped>
.answer {
  display: grid;
  grid-template-columns: 32px 1fr auto;
  gap: 14px;
  padding: 16px;
  background: rgb(var(--v-theme-surface));
  border-left: 6px solid #e9b44c;
  margin-bottom: 10px;
}
.cue {
  font-size: 18px;
  font-weight: 700;
  margin: 0;
}
.cue .quiet {
  font-weight: 400;
  font-size: 15px;
}
.numbers {
  display: flex;
  gap: 16px;
  align-items: baseline;
  margin: 6px 0;
  font-size: 18px;
}
.bands {
  display: grid;
  grid-template-columns: 54px minmax(160px, 380px) 120px;
  gap: 2px 10px;
  align-items: center;
  margin: 6px 0;
}
.acts {
  display: flex;
  flex-direction: column;
  gap: 8px;
  align-items: stretch;
  text-align: center;
}
p {
  margin: 0;
}
.failure {
  color: rgb(var(--v-theme-error));
}
@media screen and (max-width: 899px) {
  .answer {
    grid-template-columns: 28px minmax(0, 1fr);
    gap: 8px 12px;
    padding: 12px;
  }
  .acts {
    grid-column: 1 / -1;
    flex-direction: row;
  }
  .numbers {
    flex-wrap: wrap;
    gap: 2px 12px;
  }
  .bands {
    grid-template-columns: 54px minmax(0, 1fr);
  }
  .bands > .number {
    grid-column: 2;
  }
}
</style>
