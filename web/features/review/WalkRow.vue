<script setup lang="ts">
import { useBenchContext } from './bench-context.ts';
import { mdiStar, mdiStarOutline, mdiTextBoxOutline } from '@mdi/js';
import type { ObservationMark } from '@wax-fist/contract/review';
import { verdictNames, verdicts, type Verdict } from '@wax-fist/core/review';
import { computed, ref, watch } from 'vue';
import BandMark from '../checklists/BandMark.vue';
import { whatDoubtSays } from '../checklists/measured-words.ts';
import FamilySign from '../checklists/FamilySign.vue';
import { besideOf, measuredOf, opponentIn } from './row-told.ts';
import type { WalkLine } from './use-walk.ts';
import VerdictSign from './VerdictSign.vue';
import { reviewWords as words } from './words.ts';

const {
  line,
  word = undefined,
  open,
  from = undefined,
  decided = undefined,
} = defineProps<{
  line: WalkLine;
  /** Where the eye goes, told on the first row of each stop. */
  stop: string;
  word?: ObservationMark;
  open: boolean;
  /** Told when another film than the one in hand answers it. */
  from?: string;
  starred: boolean;
  dense: boolean;
  /** When it is decided, against contact, where that is told. */
  decided?: string | undefined;
}>();
const { keys, data } = useBenchContext();
defineEmits<{ pick: []; judge: [verdict: Verdict | null]; note: []; star: []; see: [] }>();

const checkpoint = computed(() => line.checkpoint);
const told = computed(() => measuredOf(line, data.session));
const element = ref<HTMLElement>();
watch(
  () => open,
  (now) => now && element.value?.scrollIntoView({ block: 'nearest' }),
  { flush: 'post' },
);
</script>

<template>
  <li ref="element" class="row" :class="{ open, dense, first: stop }">
    <button type="button" class="line" :aria-expanded="open" :data-row="checkpoint.id" @click="$emit('pick')">
      <span class="stop">{{ stop }}</span>
      <FamilySign :family="checkpoint.family" />
      <span class="question"
        >{{ dense && !open ? checkpoint.name : checkpoint.question }}
        <small v-if="from && !open" class="quiet">({{ from }})</small></span
      >
      <VIcon v-if="word?.note" :icon="mdiTextBoxOutline" size="15" :aria-label="words.noteNote(word.note)" :title="word.note" />
      <VerdictSign v-if="!word?.verdict && line.proposal?.verdict" :verdict="line.proposal.verdict" proposed />
      <VerdictSign v-else :verdict="word?.verdict" />
    </button>
    <div v-if="open" class="more">
      <p v-if="from" class="from">{{ words.answeredFromThe(from) }}</p>
      <p v-if="!line.shown" class="from">{{ words.judgedAnyway(line.reason) }}</p>
      <p>{{ checkpoint.clean }} <span class="quiet">{{ words.notFaults(checkpoint.faults.join(', ')) }}</span></p>
      <p v-if="!line.band && told" class="quiet">{{ told }}</p>
      <div v-if="line.band && line.measured" class="measured" :class="{ none: line.measured.value === undefined }">
        <BandMark
          :band="line.band"
          :measure="checkpoint.measure"
          :values="line.measured.value === undefined ? [] : [line.measured]"
        />
        <span :title="line.measured.value === undefined ? undefined : whatDoubtSays(line.measured.degrees)">{{ told }}</span>
        <button v-if="decided" type="button" class="see" @click="$emit('see')">
          {{ words.seeItAt(decided) }} <kbd>{{ keys.drawn('see-row') }}</kbd>
        </button>
      </div>
      <p v-for="one in [opponentIn(line, data.session), besideOf(line, data.session)].filter(Boolean)" :key="one" class="quiet">
        {{ one }}
      </p>
      <p v-if="line.fixed" class="quiet fixed">{{ words.aFaultInEverySchool(line.fixed) }}</p>
      <div class="verdicts">
        <button
          v-for="verdict in verdicts"
          :key="verdict"
          type="button"
          :class="[verdict, { given: word?.verdict === verdict }]"
          :aria-pressed="word?.verdict === verdict"
          @click="$emit('judge', verdict)"
        >
          <VerdictSign :verdict="verdict" :size="15" /> {{ verdictNames[verdict] }} <kbd>{{ keys.drawn(verdict) }}</kbd>
        </button>
      </div>
      <p class="foot">
        <q>{{ checkpoint.cues[0] }}</q>
        <button type="button" @click="$emit('note')">
          {{ word?.note ? words.changeTheNote : words.note }} <kbd>{{ keys.drawn('note') }}</kbd>
        </button>
        <button
          type="button"
          :aria-pressed="starred"
          :title="words.inTheShortWalk(keys.drawn('star'))"
          :aria-label="starred ? words.outOfTheShortWalk : words.intoTheShortWalk"
          @click="$emit('star')"
        >
          <VIcon :icon="starred ? mdiStar : mdiStarOutline" size="17" />
        </button>
      </p>
      <p v-if="word?.note" class="quiet written">{{ word.note }}</p>
    </div>
  </li>
</template>

<style scoped>
.row {
  border-bottom: 1px solid var(--line);
}
.line {
  display: grid;
  grid-template-columns: 82px 18px 1fr auto 20px;
  align-items: center;
  gap: var(--space-2);
  width: 100%;
  text-align: left;
  min-height: 36px;
  font-size: var(--type-text);
  line-height: 1.2;
  padding: var(--space-0-5) var(--space-1) var(--space-0-5) 0;
}
/* Rows stand close: drawn outside, it would lie over the words of the next. */
.line:focus-visible {
  outline-offset: -3px;
}
.line > :last-child {
  grid-column: 5;
}
.line > .v-icon {
  grid-column: 4;
}
.dense .line {
  min-height: 23px;
  font-size: var(--type-small);
  padding-block: 0;
}
.stop {
  color: var(--quiet);
  font-size: var(--type-note);
  padding-left: var(--space-1-5);
  font-weight: 400;
  white-space: nowrap;
}
.open {
  background: rgb(var(--v-theme-surface));
  box-shadow: inset 4px 0 var(--signal);
}
.open .line {
  font-weight: 700;
  min-height: 38px;
  padding-block: var(--space-1);
  font-size: var(--type-body);
}
.more {
  padding: 0 var(--space-1-5) var(--space-2) var(--space-3);
  font-size: var(--type-small);
  line-height: 1.3;
}
.verdicts {
  display: grid;
  grid-template-columns: repeat(4, auto);
  gap: var(--space-1);
  margin: var(--space-2) 0;
}
.verdicts button {
  display: flex;
  align-items: center;
  justify-content: center;
  gap: var(--space-1);
  height: 34px;
  border: 1px solid var(--line);
  border-radius: 3px;
  white-space: nowrap;
  font-size: var(--type-small);
}
.verdicts .given {
  border: 2px solid currentColor;
  font-weight: 700;
}
.foot {
  display: flex;
  gap: var(--space-3);
  align-items: center;
}
.foot q {
  flex: 1;
  font-style: italic;
  color: rgb(var(--v-theme-primary));
}
.measured {
  display: grid;
  grid-template-columns: minmax(150px, 1fr) auto;
  gap: var(--space-2);
  margin-top: var(--space-2);
}
.measured.none {
  grid-template-columns: minmax(0, 1fr);
  gap: var(--space-0-5);
}
.see {
  grid-column: 1 / -1;
  justify-self: start;
  color: var(--chalk);
}
.fixed {
  margin-top: var(--space-1);
  font-size: var(--type-note);
}
.from {
  color: rgb(var(--v-theme-secondary));
}
.written {
  margin-top: var(--space-1);
}
</style>
