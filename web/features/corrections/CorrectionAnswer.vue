<script setup lang="ts">
import type { LevelAnswer } from '@wax-fist/contract/answers';
import type { Correction } from '@wax-fist/contract/corrections';
import { changeNames, faultRate, worthwhile } from '@wax-fist/core/correction';
import type { Tally } from '@wax-fist/core/review';
import { checkpointName, techniqueName, type Catalogue } from '@wax-fist/core/technique';
import { computed } from 'vue';
import {
  faultsOfSeen,
  levelAsRate,
  levelInWords,
  percent,
  settlingInWords,
  shortDay,
  standingInWords,
  thenAndNow,
  wayInWords,
} from '@wax-fist/core/words';
import FamilySign from '../checklists/FamilySign.vue';
import ChangeSign from './ChangeSign.vue';
import LadderSigns from './LadderSigns.vue';
import RateBand from './RateBand.vue';
import { useCorrectionEvents } from './use-correction-events.ts';
import { useAccount } from '../accounts/account-store.ts';
import { correctionsWords as words } from './words.ts';
import TextWith from '../../app/TextWith.vue';

const account = useAccount();
/** What a session answers to an open correction: better, worse, no clear change or too few, with the numbers. */
const {
  correction,
  tally = undefined,
  answer = undefined,
  sessionId,
  checklists,
} = defineProps<{ correction: Correction; tally?: Tally; answer?: LevelAnswer; sessionId: string; checklists: Catalogue }>();
const emit = defineEmits<{ changed: [] }>();
const { busy, failure, say } = useCorrectionEvents(() => emit('changed'));

const today = computed(() => tally && faultRate(tally));
const now = computed(() => answer && thenAndNow(answer).now);
const then = computed(() => answer && thenAndNow(answer).then);
const opened = computed(() => correction.openedIn === sessionId);
const recorded = computed(() =>
  correction.history.some((event) => event.sessionId === sessionId && event.kind !== 'opened' && event.kind !== 'cue-given'),
);
const recheck = (): Promise<void> =>
  say(correction, { kind: 're-checked', sessionId, note: answer?.change ? changeNames[answer.change] : '' });
const close = (): Promise<void> =>
  say(correction, { kind: 'closed', sessionId, note: today.value ? words.closedAt(faultsOfSeen(today.value)) : words.closed });
</script>

<template>
  <article class="answer">
    <FamilySign :family="checklists.checkpoints.get(correction.checkpointId)?.family" :size="28" />
    <div>
      <p class="cue">
        “{{ correction.cue }}”
        <span class="quiet">{{
          words.aimAtMost(
            techniqueName(checklists, correction.technique).toLowerCase(),
            checkpointName(checklists, correction.checkpointId).toLowerCase(),
            percent(correction.target),
          )
        }}</span>
      </p>
      <p class="standing"><LadderSigns :correction="correction" /> {{ standingInWords(correction) }}</p>
      <p v-if="!today" class="quiet">{{ words.notJudgedInThisSession }}</p>
      <template v-else-if="answer && now && then && answer.change">
        <p class="numbers">
          <ChangeSign :change="answer.change" />
          <span>
            <TextWith :text="words.nowAreFaultsWhenIt">
              <template #level>
                <b class="number">{{ percent(now.level) }}</b>
              </template>
              <template #level2>
                <b class="number">{{ percent(then.level) }}</b>
              </template>
            </TextWith>
          </span>
        </p>
        <div class="bands">
          <span class="quiet">{{ shortDay(then.heldOn) }}</span
          ><RateBand :rate="levelAsRate(then)" :target="correction.target" /><span class="number">{{
            levelInWords(then)
          }}</span> <span>{{ words.now }}</span><RateBand :rate="levelAsRate(now)" :target="correction.target" /><span
            class="number"
            >{{ levelInWords(now) }}</span
          >
        </div>
        <p class="quiet">
          <TextWith :text="words.seenTodayHowSureFell(worthwhile * 100)">
            <template #today>
              <span class="number">{{ faultsOfSeen(today) }}</span>
            </template>
            <template #fell>
              <span class="number">{{ percent(answer.fell) }}</span>
            </template>
            <template #rose>
              <span class="number">{{ percent(answer.rose) }}</span>
            </template>
            <template #atAim>
              <span class="number">{{ percent(answer.atAim) }}</span>
            </template>
            <template #settling>
              <template v-if="answer.settling">{{ words.moreStrikesOnOneDay(settlingInWords(answer.settling)) }}</template>
            </template>
            <template #part>
              <template v-if="answer.weeksToAim !== null">{{ ` ${wayInWords(answer.weeksToAim)}` }}</template>
            </template>
          </TextWith>
        </p>
      </template>
      <template v-else>
        <p class="numbers">
          <span>{{ words.seenToday }} <b class="number">{{ faultsOfSeen(today) }}</b></span>
        </p>
        <p class="quiet">
          {{ opened ? words.openedHereTheNextSession : words.firstTimeAtThisRung }}
          <template v-if="answer">
            <TextWith :text="words.atOrBelowTheAim">
              <template #atAim>
                <span class="number">{{ percent(answer.atAim) }}</span>
              </template>
            </TextWith>
          </template>
        </p>
      </template>
      <p v-if="failure" class="text-error" role="alert">{{ failure }}</p>
    </div>
    <div class="acts no-print">
      <template v-if="!opened && today && account.judges">
        <span v-if="recorded" class="quiet">{{ words.noted }}</span>
        <VBtn v-else variant="outlined" :loading="busy" @click="recheck">{{ words.noteThisReCheck }}</VBtn>
        <VBtn variant="outlined" :loading="busy" @click="close">{{ words.closeIt }}</VBtn>
      </template>
      <VBtn
        v-if="today"
        variant="outlined"
        :to="{
          name: 'montage',
          params: { sessionId },
          query: { technique: correction.technique, checkpoint: correction.checkpointId, which: opened ? 'faults' : 'then-now' },
        }"
        >{{ words.montage }}</VBtn
      >
      <VBtn variant="outlined" :to="{ name: 'card', params: { correctionId: correction.id } }">{{ words.card }}</VBtn>
    </div>
  </article>
</template>

<style scoped>
.answer {
  display: grid;
  grid-template-columns: 32px 1fr auto;
  gap: var(--space-3);
  padding: var(--space-4);
  background: rgb(var(--v-theme-surface));
  border-left: 6px solid var(--signal);
  margin-bottom: var(--space-2);
}
.cue {
  font-size: var(--type-lead);
  font-weight: 700;
  margin: 0;
}
.cue .quiet {
  font-weight: 400;
  font-size: var(--type-text);
}
.standing {
  display: flex;
  align-items: flex-end;
  gap: var(--space-3);
  margin: var(--space-1-5) 0 var(--space-2);
}
.numbers {
  display: flex;
  gap: var(--space-4);
  align-items: baseline;
  margin: var(--space-1-5) 0;
  font-size: var(--type-lead);
}
.bands {
  display: grid;
  grid-template-columns: 84px minmax(160px, 380px) 120px;
  gap: var(--space-0-5) var(--space-2);
  align-items: center;
  margin: var(--space-1-5) 0;
}
.acts {
  display: flex;
  flex-direction: column;
  gap: var(--space-2);
  align-items: stretch;
  text-align: center;
}
@media screen and (max-width: 899px) {
  .answer {
    grid-template-columns: 28px minmax(0, 1fr);
    gap: var(--space-2) var(--space-3);
    padding: var(--space-3);
  }
  .acts {
    grid-column: 1 / -1;
    flex-direction: row;
  }
  .numbers {
    flex-wrap: wrap;
    gap: var(--space-0-5) var(--space-3);
  }
  .bands {
    grid-template-columns: 84px minmax(0, 1fr);
  }
  .bands > .number {
    grid-column: 2;
  }
}
</style>
