<script setup lang="ts">
import { useBenchContext } from './bench-context.ts';
import { numberOf } from '@wax-fist/core/calls';
import { findInCatalogue } from '@wax-fist/core/technique';
import { computed, ref } from 'vue';
import { vTakeFocus } from '../../app/take-focus.ts';
import { reviewWords as words } from './words.ts';

/** Names what lands at the playhead by any of its names: type, choose, done. */
const { data } = useBenchContext();
const emit = defineEmits<{ found: [technique: string]; close: [] }>();
const most = 7;
const typed = ref('');
const techniques = computed(() =>
  findInCatalogue(data.catalogue, typed.value, data.session.judgedBy)
    .filter(({ kind }) => kind === 'technique')
    .slice(0, most)
    .map(({ id, name, by }) => ({ value: id, title: name, by, number: numberOf(data.book, id) })),
);
const choose = (id: unknown): void => {
  if (typeof id === 'string') emit('found', id);
};
</script>

<template>
  <VAutocomplete
    v-model:search="typed"
    v-take-focus
    :items="techniques"
    no-filter
    auto-select-first
    hide-details
    density="compact"
    menu-icon=""
    :label="words.whatLandsHere"
    :placeholder="words.roundhouseSlipFootJab"
    :no-data-text="typed ? words.nothingIsCalledSo : words.typeAnyOfItsNames"
    class="finder"
    @update:model-value="choose"
    @keydown.esc.stop="emit('close')"
    @blur="emit('close')"
  >
    <template #item="{ props: attributes, item }">
      <VListItem v-bind="attributes" density="compact" :subtitle="item.by">
        <template #append><b class="number">{{ item.number }}</b></template>
      </VListItem>
    </template>
  </VAutocomplete>
</template>

<style scoped>
.finder {
  flex: none;
  margin-bottom: var(--space-1-5);
}
</style>
