<script setup lang="ts">
import { answerEndpoints } from '@wax-fist/contract/answers';
import type { Correction } from '@wax-fist/contract/corrections';
import type { SessionDetail } from '@wax-fist/contract/sessions';
import { mostCues, whatFirst, type Judged, type Ranked } from '@wax-fist/core/correction';
import type { Tally } from '@wax-fist/core/review';
import { checkpointName, severityNames, techniqueName, type Catalogue, type TechniqueId } from '@wax-fist/core/technique';
import { computed, ref } from 'vue';
import { counted, faultsOfSeen, percent } from '../../app/format.ts';
import { request } from '../../app/request.ts';
import { useAnswer } from '../../app/use-answer.ts';
import FamilySign from '../checklists/FamilySign.vue';

/** What to mend first, with the whole sum: what it costs, how often it surely happens, what follows from it. */
const { session, checklists, judged, corrections } = defineProps<{
  session: SessionDetail;
  checklists: Catalogue;
  judged: readonly { technique: TechniqueId; checkpointId: string; tally: Tally }[];
  /** Those of the trainee. */
  corrections: readonly Correction[];
}>();
defineEmits<{ open: [about: { technique: TechniqueId; checkpointId: string }] }>();
const { value: together } = useAnswer(() => request(answerEndpoints.sessionTogether, { params: { sessionId: session.id } }));
const few = 3;
const all = ref(false);

const worked = computed(() => corrections.filter(({ state }) => state !== 'closed' && state !== 'kept'));
const ranked = computed(() => {
  const open = new Set(worked.value.map(({ technique, checkpointId }) => `${technique} ${checkpointId}`));
  const asked = judged.flatMap(({ technique, checkpointId, tally }): Judged[] => {
    const row = checklists.checkpoints.get(checkpointId);
    if (!row || row.subject === 'holder' || open.has(`${technique} ${checkpointId}`)) return [];
    const { severity, family, stop } = row;
    return [{ technique, checkpointId, severity, family, stop, tally }];
  });
  const stops = worked.value.flatMap(({ checkpointId }) => checklists.checkpoints.get(checkpointId)?.stop ?? []);
  return whatFirst(asked, together.value ?? [], { grade: session.trainee.grade, stops });
});
const shown = computed(() => (all.value ? ranked.value : ranked.value.slice(0, few)));

const nameOf = (id: string): string => checkpointName(checklists, id).toLowerCase();
const points = (value: number): string => value.toFixed(1);
function sumInWords({ severity, weight, rate, explains, value }: Ranked): string {
  const own = `${severityNames[severity].toLowerCase()} ${weight} × at least ${percent(rate.low)}`;
  const added = explains.map(({ checkpointId, adds }) => ` + ${points(adds)} for ${nameOf(checkpointId)}, which follows from it`);
  return `${own}${added.join('')} = ${points(value)}`;
}
function whyNot({ follows, later, proposed }: Ranked): string {
  if (proposed) return '';
  if (follows) return `likely follows from ${nameOf(follows.checkpointId)} (${percent(follows.sure)} sure)`;
  return later ? 'waits: not for a beginner yet' : 'waits: another cue is for the same place, or two are enough';
}
</script>

<template>
  <section v-if="ranked.length > 0" class="first" aria-label="What to mend first">
    <h3>
      What first
      <span class="quiet">
        {{
          worked.length >= mostCues
            ? `${counted(worked.length, 'cue')} at work: these wait`
            : `at most ${mostCues} cues at a time${worked.length > 0 ? `, ${worked.length} at work` : ''}`
        }}
      </span>
    </h3>
    <ol>
      <li v-for="one in shown" :key="`${one.technique} ${one.checkpointId}`" :class="{ proposed: one.proposed }">
        <FamilySign :family="one.family" :size="22" />
        <div>
          <p>
            <b>{{ checkpointName(checklists, one.checkpointId) }}</b>{{ ' '
            }}<span class="quiet">{{ techniqueName(checklists, one.technique as TechniqueId).toLowerCase() }}</span
            >,
            <span class="number">{{ faultsOfSeen(one.rate) }}</span>
            <span v-if="one.proposed">: “{{ checklists.checkpoints.get(one.checkpointId)!.cues[0] }}”</span>
          </p>
          <p class="quiet">
            <span class="number">{{ sumInWords(one) }}</span><template v-if="whyNot(one)">; {{ whyNot(one) }}</template>
          </p>
        </div>
        <VBtn
          class="no-print"
          :color="one.proposed ? 'primary' : undefined"
          :variant="one.proposed ? 'flat' : 'outlined'"
          @click="$emit('open', { technique: one.technique as TechniqueId, checkpointId: one.checkpointId })"
          >Open it</VBtn
        >
      </li>
    </ol>
    <VBtn v-if="ranked.length > few" variant="text" class="no-print" @click="all = !all">{{
      all ? 'Only the first' : `All ${ranked.length}`
    }}</VBtn>
  </section>
</template>

<style scoped>
h3 {
  font-size: 17px;
  margin: 22px 0 6px;
}
h3 .quiet {
  font-weight: 400;
  font-size: 15px;
  margin-left: 8px;
}
ol {
  list-style: none;
  padding: 0;
  margin: 0;
  background: rgb(var(--v-theme-surface));
  border-top: 2px solid rgb(var(--v-theme-primary));
}
li {
  display: grid;
  grid-template-columns: 26px minmax(0, 1fr) auto;
  gap: 14px;
  align-items: center;
  padding: 10px 14px;
  border-left: 6px solid transparent;
}
li + li {
  border-top: 1px solid var(--line);
}
li.proposed {
  border-left-color: #e9b44c;
}
p {
  margin: 0;
}
</style>
