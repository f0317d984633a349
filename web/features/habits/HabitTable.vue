<script lang="ts">
import type { Telltale } from './habits-words.ts';

/** What was done, and what came with it, the commonest first. */
export interface HabitTableRow {
  name: string;
  cells: Telltale[];
}
</script>

<script setup lang="ts">
import { max } from 'd3-array';
import { computed } from 'vue';
import type { RouteLocationRaw } from 'vue-router';

/** How often what came with what, each with a strike to look at. */
const { rows } = defineProps<{
  title: string;
  heads: readonly [string, string];
  rows: readonly HabitTableRow[];
  to: (strikeId: string) => RouteLocationRaw;
}>();
const widest = computed(() => max(rows, ({ cells }) => cells.length) ?? 1);
</script>

<template>
  <table>
    <caption>
      {{ title }}
    </caption>
    <thead>
      <tr>
        <th scope="col">{{ heads[0] }}</th>
        <th scope="col" :colspan="widest">{{ heads[1] }}</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="{ name, cells } in rows" :key="name">
        <th scope="row">{{ name }}</th>
        <td v-for="{ told, figures, strikeId } in cells" :key="told">
          <RouterLink :to="to(strikeId)">{{ told }}</RouterLink>
          <span class="number quiet">{{ figures }}</span>
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
table {
  width: 100%;
  border-collapse: collapse;
  font-size: var(--type-text);
  table-layout: fixed;
  margin-bottom: var(--space-3);
}
caption {
  text-align: left;
  font-weight: 600;
  padding: var(--space-1-5) 0;
}
th,
td {
  text-align: left;
  padding: var(--space-1-5) var(--space-3) var(--space-1-5) 0;
  vertical-align: top;
}
tr {
  border-bottom: 1px solid var(--line);
}
td .number {
  display: block;
  font-size: var(--type-note);
}
@media (max-width: 599px) {
  table,
  caption,
  tbody,
  tr,
  th,
  td {
    display: block;
    border: 0;
  }
  thead {
    display: none;
  }
  td {
    padding-left: var(--space-4);
  }
  a {
    display: inline-flex;
    align-items: center;
    min-height: 44px;
  }
}
</style>
