<script setup lang="ts">
import { mdiCheck } from '@mdi/js';
import type { Requirement } from '@wax-fist/core/syllabus';
import type { Stance } from '@wax-fist/core/technique';
import { shortDay } from '@wax-fist/core/words';
import { leadInWords } from './leads-in-words.ts';
import { syllabusWords as words } from './words.ts';

/** What a test asks, thing by thing: what is missing comes first in the eye, with its earliest day. */
const { requirements, stance } = defineProps<{ requirements: readonly Requirement[]; stance: Stance }>();
const kindNames: Record<Requirement['kind'], string> = {
  set: words.byHeart,
  'must-have': words.mustHold,
  credits: words.beenThere,
};
const named = ({ what, lead }: Requirement): string => (lead === null ? what : `${what}, ${leadInWords(lead, stance)}`);
</script>

<template>
  <div role="region" :aria-label="words.whatTheTestAsks" tabindex="0" :style="{ overflowX: 'auto' }">
    <table>
      <thead>
        <tr>
          <th scope="col">{{ words.itAsks }}</th>
          <th scope="col">{{ words.thereIs }}</th>
          <th scope="col">{{ words.missing }}</th>
          <th scope="col">{{ words.notBefore }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="one in requirements" :key="`${one.kind} ${one.what} ${one.lead}`" :class="{ met: one.met }">
          <th scope="row">
            <small class="quiet">{{ kindNames[one.kind] }}</small>
            {{ named(one) }}
          </th>
          <td>{{ one.has }}</td>
          <td>
            <template v-if="one.met"><VIcon :icon="mdiCheck" size="18" /> {{ words.nothingIsMissing }}</template>
            <template v-else>
              {{ one.missing }}
              <small v-if="one.remark" class="remark">{{ one.remark }}</small>
            </template>
          </td>
          <td class="number">
            <template v-if="one.met">–</template>
            <template v-else-if="one.earliest">
              {{ shortDay(one.earliest) }}
              <small v-if="one.sessions" class="quiet">{{ words.sessions(one.sessions) }}</small>
            </template>
            <template v-else>{{ words.noDay }}</template>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
table {
  width: 100%;
  margin-top: var(--space-3);
  border-collapse: collapse;
  background: rgb(var(--v-theme-surface));
}
th,
td {
  padding: var(--space-2) var(--space-3);
  text-align: left;
  vertical-align: top;
  border-bottom: 1px solid var(--line);
}
tbody th {
  box-shadow: inset 4px 0 var(--watch);
}
.met th {
  box-shadow: inset 4px 0 var(--clean);
}
.met {
  color: var(--quiet);
}
small {
  display: block;
  font-size: var(--type-small);
  font-weight: 400;
}
.remark {
  color: var(--fault);
}
td.number {
  white-space: nowrap;
}
/* In the hand each thing stands by itself, its day beside its name. */
@media screen and (max-width: 699px) {
  thead {
    position: absolute;
    clip-path: inset(50%);
  }
  tr {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    border-bottom: 1px solid var(--line);
  }
  th,
  td {
    border: 0;
    padding: var(--space-1) var(--space-3);
  }
  tbody th {
    box-shadow: none;
  }
  tbody tr {
    padding: var(--space-2) 0;
    box-shadow: inset 4px 0 var(--watch);
  }
  tbody .met {
    box-shadow: inset 4px 0 var(--clean);
  }
  td:not(.number) {
    grid-column: 1 / -1;
  }
  td.number {
    grid-area: 1 / 2;
    text-align: right;
  }
}
</style>
