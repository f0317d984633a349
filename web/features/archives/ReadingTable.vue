<script setup lang="ts">
import type { Reading } from '@wax-fist/contract/archives';
import { computed } from 'vue';
import { recordName } from './record-names.ts';
import { archivesWords as words } from './words.ts';

/** What reading an archive would come to, or came to. */
const { reading } = defineProps<{ reading: Reading; /** It was only looked through. */ looked: boolean }>();
const none = computed(() => reading.kinds.every((one) => one.added + one.changed + one.refused === 0));
const rows = computed(() => reading.kinds.filter((one) => one.added + one.changed + one.same + one.refused > 0));
</script>

<template>
  <p v-if="looked && none">
    <b>{{ words.everythingInItIsHere }}</b>
  </p>
  <table>
    <thead>
      <tr>
        <th>{{ looked ? words.whatWouldHappen : words.whatHappened }}</th>
        <th class="number">{{ words.added }}</th>
        <th class="number">{{ words.changed }}</th>
        <th class="number">{{ words.theSameHere }}</th>
        <th class="number">{{ words.refused }}</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="{ name, added, changed, same, refused } in rows" :key="name">
        <td>{{ recordName(name) }}</td>
        <td class="number">{{ added || '' }}</td>
        <td class="number">{{ changed || '' }}</td>
        <td class="number">{{ same || '' }}</td>
        <td class="number" :class="{ refused: refused > 0 }">{{ refused || '' }}</td>
      </tr>
    </tbody>
  </table>
  <p v-for="note in reading.notes" :key="note">{{ note }}</p>
  <details v-if="reading.reasons.length > 0" open>
    <summary>{{ words.whySomeAreRefused }}</summary>
    <ul class="bulleted">
      <li v-for="{ name, key, says } in reading.reasons" :key="`${name} ${key}`">
        {{ recordName(name) }} <span class="quiet number">{{ key.slice(0, 8) }}</span>: {{ says }}
      </li>
    </ul>
  </details>
</template>

<style scoped>
table {
  width: 100%;
  border-collapse: collapse;
  border-top: 2px solid rgb(var(--v-theme-primary));
  margin: var(--space-2) 0;
}
th {
  text-align: left;
  font-size: var(--type-note);
  font-weight: 400;
  color: var(--quiet);
  padding: var(--space-1) var(--space-2) var(--space-1) 0;
}
th.number,
td.number {
  text-align: right;
}
td {
  padding: var(--space-1) var(--space-2) var(--space-1) 0;
  border-top: 1px solid var(--line);
}
.refused {
  color: rgb(var(--v-theme-error));
  font-weight: 700;
}
ul {
  max-height: 320px;
  overflow: auto;
}
</style>
