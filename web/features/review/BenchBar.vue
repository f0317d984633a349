<script setup lang="ts">
import { useBenchContext } from './bench-context.ts';
import { mdiArrowLeft, mdiKeyboardOutline, mdiRedo, mdiUndo } from '@mdi/js';
import { termOf, thrownAs, viewNames } from '@wax-fist/core/technique';
import { rungName } from '@wax-fist/core/correction';
import type { OneUndo } from '../../app/one-undo.ts';
import { shortDay } from '@wax-fist/core/words';
import OutboxSign from './OutboxSign.vue';
import { useReview } from './review-store.ts';
import type { OtherView } from './use-other-view.ts';
import { reviewWords as words } from './words.ts';
import TextWith from '../../app/TextWith.vue';

const { other, undoing } = defineProps<{ other: OtherView; undoing: OneUndo }>();
const { data, bench, keys } = useBenchContext();
defineEmits<{ keys: []; undo: []; redo: []; compare: []; note: []; done: [] }>();
const nameOf = (id: string): string => termOf(data.session.judgedBy, id) ?? data.catalogue.techniques.get(id)?.name ?? id;
const review = useReview();
</script>

<template>
  <header class="bar">
    <VBtn
      :icon="mdiArrowLeft"
      variant="text"
      size="small"
      :aria-label="words.backToTheSession"
      :title="words.backToTheSession"
      :to="{ name: 'session', params: { sessionId: data.session.id } }"
    />
    <h1>{{ data.session.trainee.name }}</h1>
    <span class="quiet"
      >{{ data.stance }}, {{ viewNames[data.film.view].toLowerCase() }}, {{ shortDay(data.session.heldOn) }},
      {{ rungName(data.session.rung).toLowerCase() }}, {{ data.session.judgedBy.name
      }}<b v-if="data.matchUp">{{ words.stanceAgainstTheHolder(data.matchUp) }}</b></span
    >
    <b v-if="review.blind" class="blind">{{ words.secondMarkingWhatWasSaid }}</b>
    <VSpacer />
    <button
      v-if="other.others.length > 0"
      type="button"
      class="view"
      :aria-pressed="other.mode.value !== 'off'"
      @click="other.next"
    >
      {{ words.otherView }} <kbd>{{ keys.drawn('other-view') }}</kbd>
    </button>
    <button v-if="bench.strike.value" type="button" class="view" @click="$emit('compare')">
      {{ words.compare }} <kbd>{{ keys.drawn('compare') }}</kbd>
    </button>
    <button v-if="bench.strike.value" type="button" class="view" @click="$emit('note')">
      {{ words.note }} <kbd>{{ keys.drawn('strike-note') }}</kbd>
    </button>
    <span v-if="bench.strike.value" class="which">
      <TextWith :text="words.techniqueOfStrikes(nameOf(thrownAs(data.catalogue, bench.strike.value)))">
        <template #place>
          <b class="number">{{ bench.place.value }}</b>
        </template>
        <template #strikes>
          <b class="number">{{ review.strikes.length }}</b>
        </template>
      </TextWith>
    </span>
    <OutboxSign class="mx-3" />
    <VBtn
      :icon="mdiUndo"
      variant="text"
      size="small"
      :disabled="!undoing.canUndo.value"
      :aria-label="words.undo"
      :title="words.undoDrawn(keys.drawn('undo'))"
      @click="$emit('undo')"
    />
    <VBtn
      :icon="mdiRedo"
      variant="text"
      size="small"
      :disabled="!undoing.canRedo.value"
      :aria-label="words.redo"
      :title="words.redoDrawn(keys.drawn('redo'))"
      @click="$emit('redo')"
    />
    <VBtn
      :icon="mdiKeyboardOutline"
      variant="text"
      size="small"
      :aria-label="words.allKeys"
      :title="words.allKeysDrawn(keys.drawn('keys'))"
      @click="$emit('keys')"
    />
    <VBtn color="primary" size="small" class="ml-2" @click="$emit('done')">{{
      review.blind ? words.allSaid : words.roundDone
    }}</VBtn>
  </header>
</template>

<style scoped>
.bar {
  display: flex;
  align-items: center;
  gap: var(--space-2);
  white-space: nowrap;
  min-width: 0;
}
h1 {
  font-size: var(--type-lead);
}
.quiet {
  font-size: var(--type-small);
  overflow: hidden;
  text-overflow: ellipsis;
}
.view {
  font-size: var(--type-small);
  padding: var(--space-0-5) var(--space-2);
  border: 1px solid var(--line);
  border-radius: 3px;
}
/* A tablet has no keys to be reminded of, and no room for them. */
@media (max-width: 1100px) {
  .view kbd {
    display: none;
  }
}
.view[aria-pressed='true'] {
  border-color: rgb(var(--v-theme-primary));
}
.blind {
  color: rgb(var(--v-theme-primary));
}
.which {
  font-size: var(--type-body);
}
</style>
