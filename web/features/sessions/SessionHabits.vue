<script setup lang="ts">
import type { SheetStrike } from '@wax-fist/contract/measures';
import { techniqueName, type Catalogue } from '@wax-fist/core/technique';
import { computed } from 'vue';
import { counted } from '@wax-fist/core/words';
import { sessionHabits, shareInWords, tellInWords } from './habits-words.ts';

/** What is done again and again in a session, and what of it a partner could read. */
const { strikes, catalogue } = defineProps<{ strikes: readonly SheetStrike[]; catalogue: Catalogue }>();

/** Fewer strikes are no habit. */
const fewest = 16;
const mostRows = 6;
const mostNext = 3;
const found = computed(() => (strikes.length >= fewest ? sessionHabits(strikes, catalogue) : undefined));
const filmOf = computed(() => new Map(strikes.map(({ strikeId, filmId }) => [strikeId, filmId])));
/** To the first strike that proves it. */
const proof = ([strikeId = '']: readonly string[]) => ({
  name: 'bench',
  params: { filmId: filmOf.value.get(strikeId) ?? '', strikeId },
});
const lengths = computed(() =>
  [...(found.value?.habits.lengths ?? [])]
    .sort((a, b) => a.what - b.what)
    .map(({ what, times }) => (what === 1 ? counted(times, 'single strike') : `${times} of ${what}`))
    .join(', '),
);
const nameOf = (technique: string | undefined): string =>
  technique === undefined ? 'nothing' : techniqueName(catalogue, technique).toLowerCase();
</script>

<template>
  <section v-if="found" aria-labelledby="habits">
    <h2 id="habits">Habits</h2>
    <p class="quiet">
      {{ counted(found.habits.combinations, 'combination') }}: {{ lengths }}. Of a round that was called they say what was called.
    </p>
    <ul v-if="found.tells.length > 0">
      <li v-for="tell in found.tells" :key="tellInWords(tell, catalogue)">
        <b>{{ tellInWords(tell, catalogue) }}</b>
        <span class="number">{{ shareInWords(tell.share) }}</span>
        <RouterLink :to="proof(tell.share.proof)" class="no-print">Look</RouterLink>
      </li>
    </ul>
    <p v-else>Nothing that a partner could surely read.</p>
    <table>
      <caption>
        What follows what
      </caption>
      <thead>
        <tr>
          <th scope="col">After</th>
          <th scope="col" :colspan="mostNext">comes</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="{ after, next } in found.habits.follows.slice(0, mostRows)" :key="after">
          <th scope="row">{{ nameOf(after) }}</th>
          <td v-for="share in next.slice(0, mostNext)" :key="share.what ?? ''">
            <RouterLink :to="proof(share.proof)">{{ nameOf(share.what) }}</RouterLink>
            <span class="number quiet">{{ share.enough ? shareInWords(share) : `${share.times} of ${share.of}` }}</span>
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
h2 {
  margin: 24px 0 4px;
}
ul {
  list-style: none;
  padding: 0;
  margin: 8px 0 12px;
}
li {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 2px 12px;
  padding: 6px 0;
  border-bottom: 1px solid var(--line);
}
table {
  width: 100%;
  border-collapse: collapse;
  font-size: 15px;
}
caption {
  text-align: left;
  font-weight: 600;
  padding: 6px 0;
}
th,
td {
  text-align: left;
  padding: 6px 12px 6px 0;
  vertical-align: top;
}
tr {
  border-bottom: 1px solid var(--line);
}
td .number {
  display: block;
  font-size: 13px;
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
    padding-left: 16px;
  }
  a {
    display: inline-flex;
    align-items: center;
    min-height: 44px;
  }
}
</style>
