<script setup lang="ts">
import { useBenchContext } from './bench-context.ts';
import { numberOf } from '@wax-fist/core/calls';
import { termOf, thrownAs, viewNames } from '@wax-fist/core/technique';
import { computed, nextTick, ref, watch } from 'vue';
import { fromContact } from './from-contact.ts';
import { useReview } from './review-store.ts';
import ReferencePair from '../stills/ReferencePair.vue';
import HowToBegin from './HowToBegin.vue';
import TagFinder from './TagFinder.vue';
import WalkRow from './WalkRow.vue';
import { reviewWords as words } from './words.ts';
import TextWith from '../../app/TextWith.vue';

const writing = defineModel<boolean>('writing', { required: true });
const finding = defineModel<boolean>('finding', { required: true });
const reference = defineModel<boolean | undefined>('reference', { required: true });
defineProps<{ /** Frame on show. */ at: number }>();
const { bench, data, keys } = useBenchContext();
const { strike, rows, row, full, hidden, stars } = bench;
const review = useReview();
const field = ref<HTMLTextAreaElement>();
const note = ref('');

const lines = computed(() =>
  rows.value.map((line, place) => ({
    line,
    id: line.checkpoint.id,
    from: line.from === bench.view ? undefined : viewNames[line.from].toLowerCase(),
    stop: rows.value[place - 1]?.checkpoint.stop === line.checkpoint.stop ? '' : line.checkpoint.stop,
    word: strike.value && review.wordOf(strike.value.strikeId, line.checkpoint.id),
  })),
);
/** When the row in hand is decided, against contact. */
const decided = computed(() => {
  const { value } = bench.decided;
  const contact = strike.value && data.playable.timeline[strike.value.contactFrame];
  return value && contact !== undefined ? fromContact(value.time - contact) : undefined;
});
const judged = computed(() => lines.value.filter(({ word }) => word?.verdict).length);

watch(writing, async (now) => {
  if (!now) return;
  note.value = lines.value.find(({ id }) => id === row.value)?.word?.note ?? '';
  await nextTick();
  field.value?.focus();
});
const nameOf = (id: string): string => termOf(data.session.judgedBy, id) ?? data.catalogue.techniques.get(id)?.name ?? id;
/** What lands here: of a series the strike at its place. */
const lands = computed(() => strike.value && thrownAs(data.catalogue, strike.value));
const inSeries = computed(() => {
  const { technique, part } = strike.value ?? {};
  const parts = technique && data.catalogue.techniques.get(technique)?.parts.length;
  return parts && typeof part === 'number' ? words.ofTechnique(nameOf(technique), part + 1, parts) : undefined;
});
function found(technique: string): void {
  bench.tag(technique);
  finding.value = false;
}
function keep(): void {
  bench.writeNote(note.value.trim());
  writing.value = false;
}
</script>

<template>
  <section class="walk" :aria-label="words.theWalk">
    <TagFinder v-if="finding" @found="found" @close="finding = false" />
    <template v-if="strike">
      <header>
        <h2><span class="number call">{{ numberOf(data.book, lands!) }}</span> {{ nameOf(lands!) }}</h2>
        <span class="quiet number">{{ words.ofJudged(judged, rows.length) }}</span>
        <VSpacer />
        <button type="button" class="length" @click="full = !full">
          {{ full ? words.allRows : words.shortWalk }} <kbd>{{ keys.drawn('walk-length') }}</kbd>
        </button>
      </header>
      <p v-if="inSeries" class="quiet series">{{ inSeries }}</p>
      <div class="rows">
        <ul>
          <WalkRow
            v-for="{ line, id, from, stop, word } in lines"
            :key="id"
            :line="line"
            :stop="stop"
            :from="from"
            :word="word"
            :open="id === row"
            :starred="stars.includes(id)"
            :dense="full"
            :decided="id === row ? decided : undefined"
            @pick="row = id"
            @see="bench.seeRow"
            @judge="bench.judge"
            @note="writing = true"
            @star="bench.star"
          />
        </ul>
        <p v-if="rows.length === 0" class="quiet none">
          <TextWith :text="words.noStarredRowCanBe">
            <template #key>
              <kbd>{{ keys.drawn('walk-length') }}</kbd>
            </template>
          </TextWith>
        </p>
        <details v-if="hidden.length > 0 && full" class="quiet hidden">
          <summary>{{ words.rowCannotBeJudgedFrom(hidden.length) }}</summary>
          <p v-for="{ checkpoint, reason } in hidden" :key="checkpoint.id">
            <b>{{ checkpoint.name }}.</b> {{ reason }}
            <button type="button" class="anyway" @click="bench.judgeAnyway(checkpoint.id)">{{ words.judgeItAnyway }}</button>
          </p>
        </details>
      </div>
      <ReferencePair
        v-if="(reference ?? !full) && row"
        :technique="strike.technique"
        :checkpoint-id="row"
        :school="data.session.judgedBy"
        :film-id="data.film.id"
        :frame="at"
        :strike="[strike.launchFrame, strike.homeFrame]"
        :source-of="data.playable"
        @close="reference = false"
      />
      <form v-if="writing" class="note" @submit.prevent="keep">
        <textarea
          ref="field"
          v-model="note"
          rows="2"
          maxlength="2000"
          :aria-label="words.noteOnThisRow"
          @keydown.enter.exact.prevent="keep"
          @keydown.esc.stop="writing = false"
        />
        <VBtn type="submit" size="small" color="primary">{{ words.keep }}</VBtn>
      </form>
      <VBtn v-if="rows.length > 0" variant="tonal" color="primary" class="rest" @click="bench.restClean">
        {{ review.blind ? words.theRestCleanNext : words.theRestAsProposedOr }}
        <kbd class="ml-3">{{ keys.drawn('rest-clean') }}</kbd>
      </VBtn>
    </template>
    <HowToBegin v-else />
  </section>
</template>

<style scoped>
.walk {
  flex: 1;
  min-height: 0;
  display: flex;
  flex-direction: column;
}
.rest {
  flex: none;
}
header {
  display: flex;
  align-items: baseline;
  gap: var(--space-2);
  padding: var(--space-0-5) 0 var(--space-1-5);
}
h2 {
  font-size: var(--type-title);
}
.series {
  padding-bottom: var(--space-1-5);
}
.call {
  color: rgb(var(--v-theme-primary));
  margin-right: var(--space-1);
}
.length {
  font-size: var(--type-small);
}
.rows {
  flex: 1;
  min-height: 0;
  overflow-y: auto;
}
ul {
  border-top: 1px solid var(--line);
}
.none {
  padding: var(--space-3) var(--space-1);
}
.note {
  display: flex;
  gap: var(--space-2);
  align-items: end;
  padding: var(--space-1-5) 0;
}
.note textarea {
  flex: 1;
  border: 1px solid var(--line);
  padding: var(--space-1-5) var(--space-2);
  background: rgb(var(--v-theme-surface));
  color: inherit;
  resize: none;
  font-size: var(--type-text);
}
.hidden {
  font-size: var(--type-small);
  padding: var(--space-2) var(--space-1);
}
.anyway {
  color: rgb(var(--v-theme-secondary));
  text-decoration: underline;
}
.hidden p {
  margin: var(--space-1) 0;
}
</style>
