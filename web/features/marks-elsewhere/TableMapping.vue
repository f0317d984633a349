<script setup lang="ts">
import { neededFields, tableFieldNames, tableFields, type Mapping, type ReadTable } from '@wax-fist/core/marks-elsewhere';
import { computed } from 'vue';
import { marksElsewhereWords as words } from './words.ts';

/** Which column of a table tells what, with its first rows. */
const { table } = defineProps<{ table: ReadTable }>();
const mapping = defineModel<Mapping>({ required: true });
const firstRows = 5;
const choices = computed(() => [
  { value: -1, title: '—' },
  ...table.columns.map((name, value) => ({ value, title: name || words.columnWhat(value + 1) })),
]);
const fieldOf = (column: number): string =>
  tableFields
    .filter((field) => mapping.value.columns[field] === column)
    .map((field) => tableFieldNames[field])
    .join(', ');
function set(field: (typeof tableFields)[number], column: number): void {
  const { [field]: _, ...others } = mapping.value.columns;
  mapping.value = { ...mapping.value, columns: column < 0 ? others : { ...others, [field]: column } };
}
</script>

<template>
  <div class="fields">
    <VSelect
      v-for="field in tableFields"
      :key="field"
      :model-value="mapping.columns[field] ?? -1"
      :items="choices"
      :label="tableFieldNames[field]"
      :error="neededFields.includes(field) && mapping.columns[field] === undefined"
      density="compact"
      hide-details
      @update:model-value="set(field, $event)"
    />
    <VSelect
      v-model="mapping.unit"
      :items="[
        { value: 'seconds', title: words.secondsOrClock },
        { value: 'milliseconds', title: words.milliseconds },
      ]"
      :label="words.timesAreIn"
      density="compact"
      hide-details
    />
  </div>
  <div class="preview">
    <table>
      <thead>
        <tr>
          <th>{{ words.row }}</th>
          <th v-for="(name, column) in table.columns" :key="column">
            {{ name }}<small>{{ fieldOf(column) || words.notRead }}</small>
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="{ place, cells } in table.rows.slice(0, firstRows)" :key="place">
          <td class="number quiet">{{ place }}</td>
          <td v-for="(_, column) in table.columns" :key="column">{{ cells[column] }}</td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(210px, 1fr));
  gap: var(--space-2);
}
.preview {
  overflow-x: auto;
  margin: var(--space-3) 0;
  background: rgb(var(--v-theme-surface));
  border-top: 2px solid rgb(var(--v-theme-primary));
}
table {
  border-collapse: collapse;
  width: 100%;
}
th,
td {
  text-align: left;
  padding: var(--space-1) var(--space-3);
  white-space: nowrap;
  max-width: 260px;
  overflow: hidden;
  text-overflow: ellipsis;
}
td {
  border-top: 1px solid var(--line);
}
small {
  display: block;
  font-weight: 400;
  color: var(--quiet);
}
</style>
