<script setup lang="ts">
import {
  mdiAlertOutline,
  mdiChevronDown,
  mdiChevronUp,
  mdiClose,
  mdiDragVertical,
  mdiSwapHorizontal,
  mdiVideoOutline,
} from '@mdi/js';
import { hasLeads, partKindNames, partLength, type PlanPart, type PlanProblem } from '@wax-fist/core/plan';
import type { Seconds } from '@wax-fist/core/units';
import { clockTime } from '@wax-fist/core/words';
import { computed, ref } from 'vue';
import { partSigns } from './part-sign.ts';
import { shotInWords } from './shot-words.ts';
import type { PlanDesk } from './use-plan-desk.ts';
import { plansWords as words } from './words.ts';

/** One part of a session: when, what, how much; changed where it stands. */
const {
  part,
  desk,
  problems = [],
} = defineProps<{
  part: PlanPart;
  starts: Seconds;
  desk: PlanDesk;
  problems?: readonly PlanProblem[];
  place: number;
}>();
/** How it is done is for whoever asks: a session is seen as a whole. */
const open = ref(false);
const instead = computed(() => (!part.shot && (part.checkpointId || part.technique) ? desk.drillsInstead(part) : []));
const rounds = computed({ get: () => part.rounds, set: (now) => now >= 1 && desk.changed(part, { rounds: now }) });
const works = Array.from({ length: 20 }, (_, place) => (place + 1) * 30);
const work = computed({ get: () => part.work, set: (now) => desk.changed(part, { work: now }) });
const leads = computed(() => (!hasLeads(part) ? '' : part.leads === 'usual only' ? words.usualLead : words.bothLeads));
const workItems = computed(() =>
  [...new Set([...works, part.work])].sort((a, b) => a - b).map((value) => ({ value, title: clockTime(value) })),
);
</script>

<template>
  <li :class="[part.kind, { wrong: problems.some(({ hard }) => hard) }]" tabindex="-1">
    <span class="when number">
      <VIcon :icon="mdiDragVertical" size="20" class="grip no-print" aria-hidden="true" />
      {{ clockTime(starts) }}
    </span>
    <VIcon :icon="partSigns[part.kind]" size="26" class="sign" />
    <div class="what">
      <span class="kind">{{ partKindNames[part.kind] }}</span>
      <button type="button" class="title" :aria-expanded="open" @click="open = !open">{{ part.title }}</button>
      <span v-if="part.cue" class="cue">“{{ part.cue }}”</span>
      <span class="says" :class="{ 'only-print': !open }"
        >{{ part.says }} <span v-if="part.recipe" class="quiet">{{ words.calledRecipe(part.recipe) }}</span></span
      >
      <span v-if="part.shot" class="shot"><VIcon :icon="mdiVideoOutline" size="18" /> {{ shotInWords(part.shot) }}</span>
      <span v-if="part.caution" class="caution"><VIcon :icon="mdiAlertOutline" size="16" /> {{ part.caution }}</span>
      <span v-for="{ says } in problems" :key="says" class="problem" role="alert">{{ says }}</span>
    </div>
    <div class="much number">
      <select v-model.number="rounds" :aria-label="words.roundsOf(part.title)" class="no-print">
        <option v-for="count in 12" :key="count" :value="count">{{ count }}</option>
      </select>
      <span class="no-print" aria-hidden="true">×</span>
      <select v-model.number="work" :aria-label="words.workOf(part.title)" class="no-print">
        <option v-for="{ value, title } in workItems" :key="value" :value="value">{{ title }}</option>
      </select>
      <span class="only-print">{{ part.rounds }} × {{ clockTime(part.work) }}</span>
      <small>
        {{
          words.inAll(
            part.rounds > 1 ? words.restRest(clockTime(part.rest)) : '',
            part.on === 'shadowboxing' ? words.inTheAir : part.on,
            leads && `, ${leads}`,
            clockTime(partLength(part)),
          )
        }}
      </small>
    </div>
    <span class="hands no-print">
      <VMenu v-if="instead.length > 1">
        <template #activator="{ props: opens }">
          <VBtn
            v-bind="opens"
            :icon="mdiSwapHorizontal"
            size="small"
            variant="text"
            :aria-label="words.anotherDrillThan(part.title)"
            :title="words.anotherDrill"
          />
        </template>
        <VList density="compact">
          <VListItem
            v-for="drill in instead"
            :key="drill.id"
            :title="drill.name"
            :subtitle="words.rungRung(drill.rung)"
            :active="drill.id === part.drillId"
            @click="desk.withDrill(part, drill)"
          />
        </VList>
      </VMenu>
      <VBtn
        :icon="mdiChevronUp"
        size="small"
        variant="text"
        :aria-label="words.earlierTitle(part.title)"
        @click="desk.move(place, -1)"
      />
      <VBtn
        :icon="mdiChevronDown"
        size="small"
        variant="text"
        :aria-label="words.laterTitle(part.title)"
        @click="desk.move(place, 1)"
      />
      <VBtn
        :icon="mdiClose"
        size="small"
        variant="text"
        :aria-label="words.withoutTitle(part.title)"
        @click="desk.remove(part)"
      />
    </span>
  </li>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 74px 28px minmax(0, 1fr) 176px 116px;
  gap: var(--space-0-5) var(--space-3);
  padding: var(--space-2) var(--space-3) var(--space-2) var(--space-1-5);
  align-items: start;
}
.wrong {
  box-shadow: inset 4px 0 var(--fault);
}
.when {
  display: flex;
  align-items: center;
  font-size: var(--type-lead);
}
.grip {
  cursor: grab;
  opacity: 0.45;
}
.sign {
  margin-top: var(--space-0-5);
  color: rgb(var(--v-theme-primary));
}
.re-check .sign {
  color: var(--strike);
}
.what {
  display: flex;
  flex-wrap: wrap;
  gap: 0 var(--space-2);
}
.kind {
  flex-basis: 100%;
  font-size: var(--type-note);
  color: var(--quiet);
}
.title {
  font-weight: 700;
  text-align: left;
}
.says {
  flex-basis: 100%;
  font-size: var(--type-text);
}
.shot,
.caution,
.problem {
  flex-basis: 100%;
  font-size: var(--type-small);
}
.shot {
  color: var(--strike);
  font-weight: 700;
}
.problem {
  color: var(--fault);
  font-weight: 700;
}
.much {
  font-size: var(--type-lead);
}
select {
  padding: var(--space-0-5) var(--space-1);
  border: 1px solid var(--line);
  border-radius: 3px;
  background: var(--white);
  font: inherit;
}
small {
  display: block;
  font-size: var(--type-note);
  color: var(--quiet);
}
.hands {
  display: flex;
  justify-content: flex-end;
}
.hands :deep(.v-btn) {
  width: 28px;
  height: 28px;
}
.only-print {
  display: none;
}
@media screen and (max-width: 899px) {
  li {
    grid-template-columns: 64px 26px minmax(0, 1fr);
  }
  .much {
    grid-column: 3;
  }
  .hands {
    grid-column: 1 / -1;
  }
  .hands :deep(.v-btn) {
    width: 44px;
    height: 44px;
  }
}
@media print {
  li {
    grid-template-columns: 60px 28px minmax(0, 1fr) 190px;
    break-inside: avoid;
    padding: var(--space-1) 0;
  }
  .only-print {
    display: inline;
  }
}
</style>
