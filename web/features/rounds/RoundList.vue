<script setup lang="ts">
import { mdiDeleteOutline } from '@mdi/js';
import type { Round } from '@wax-fist/contract/rounds';
import { roundKinds, roundMannerNames, roundManners } from '@wax-fist/core/rounds';
import { clock } from '../../app/format.ts';
import { useHitsAndRounds } from './hits-and-rounds-store.ts';
import type { Keys } from '../../app/keys/use-keys.ts';
import type { RoundsKey } from './rounds-keys.ts';
import type { Rounds } from './use-rounds.ts';
import { roundsWords as words } from './words.ts';
import TextWith from '../../app/TextWith.vue';

/** Rounds as rows: what each is called, what was worked on, and how many hits it has. */
const { rounds, keys } = defineProps<{ rounds: Rounds; keys: Keys<RoundsKey> }>();
const emit = defineEmits<{ go: [round: Round] }>();
const hitsAndRounds = useHitsAndRounds();

const inside = ({ from, to }: Round): number => hitsAndRounds.hits.filter(({ time }) => time >= from && time < to).length;
const chosen = (event: Event) => (event.target as HTMLSelectElement).value;
function rename(round: Round, event: Event): void {
  const field = event.target as HTMLInputElement;
  const name = field.value.trim();
  if (name && name !== round.name) rounds.change(round.id, { name });
  else field.value = round.name;
}
function take(round: Round): void {
  rounds.take(round.id);
  emit('go', round);
}
</script>

<template>
  <table class="rounds">
    <thead>
      <tr>
        <th>{{ words.round }}</th>
        <th>{{ words.on }}</th>
        <th>{{ words.worked }}</th>
        <th class="right">{{ words.from }}</th>
        <th class="right">{{ words.to }}</th>
        <th class="right">{{ words.hitsTitle }}</th>
        <th>
          <span class="unseen">{{ words.remove }}</span>
        </th>
      </tr>
    </thead>
    <tbody>
      <tr
        v-for="round in hitsAndRounds.rounds"
        :key="round.id"
        :class="{ hand: round.id === rounds.inHand.value?.id }"
        :aria-current="round.id === rounds.inHand.value?.id"
        @click="rounds.take(round.id)"
      >
        <td>
          <input
            :value="round.name"
            maxlength="80"
            :aria-label="words.nameOf(round.name)"
            @change="rename(round, $event)"
            @keydown.enter="($event.target as HTMLInputElement).blur()"
          />
          <span v-if="round.proposed" class="proposed" :title="words.foundByTheProgramWhatever">{{ words.proposed }}</span>
        </td>
        <td>
          <select
            :value="round.kind"
            :aria-label="words.onWhatWasWorked(round.name)"
            @change="rounds.change(round.id, { kind: chosen($event) as Round['kind'] })"
          >
            <option v-for="kind in roundKinds" :key="kind">{{ kind }}</option>
          </select>
        </td>
        <td>
          <select
            :value="round.manner"
            :aria-label="words.howWasWorked(round.name)"
            @change="rounds.change(round.id, { manner: chosen($event) as Round['manner'] })"
          >
            <option v-for="manner in roundManners" :key="manner" :value="manner">{{ roundMannerNames[manner] }}</option>
          </select>
        </td>
        <td class="right">
          <button type="button" class="number" :title="words.goToWhereBegins(round.name)" @click.stop="take(round)">
            {{ clock(round.from).slice(0, -1) }}
          </button>
        </td>
        <td class="right number">{{ clock(round.to).slice(0, -1) }}</td>
        <td class="right number">{{ inside(round) }}</td>
        <td>
          <VBtn
            :icon="mdiDeleteOutline"
            size="x-small"
            variant="text"
            :aria-label="words.removeName(round.name)"
            :title="words.removeName(round.name)"
            @click.stop="rounds.remove(round.id)"
          />
        </td>
      </tr>
    </tbody>
  </table>
  <p v-if="hitsAndRounds.rounds.length === 0" class="empty">
    <TextWith :text="words.noRoundIsLeftIn">
      <template #key>
        <kbd>{{ keys.drawn('round-add') }}</kbd>
      </template>
    </TextWith>
  </p>
</template>

<style scoped>
.rounds {
  width: 100%;
  border-collapse: collapse;
  background: rgb(var(--v-theme-surface));
  border-top: 2px solid rgb(var(--v-theme-primary));
}
th {
  font-size: var(--type-small);
  text-align: left;
  color: var(--quiet);
  font-weight: 400;
  padding: var(--space-1) var(--space-2);
}
td {
  border-top: 1px solid var(--line);
  padding: var(--space-1) var(--space-2);
  white-space: nowrap;
}
tr.hand td {
  background: var(--signal-ground);
}
tr.hand td:first-child {
  box-shadow: inset 4px 0 0 var(--picked);
}
.right {
  text-align: right;
}
input {
  font: inherit;
  width: 100px;
  background: none;
  border: 0;
  border-bottom: 1px dotted var(--quiet);
  padding: var(--space-1) 0;
  color: inherit;
}
select {
  font: inherit;
  color: inherit;
  background: none;
  border: 0;
  border-bottom: 1px dotted var(--quiet);
  padding: var(--space-1) 0;
}
.proposed {
  font-size: var(--type-note);
  color: var(--watch);
  margin-left: var(--space-1-5);
}
td button.number {
  text-decoration: underline dotted;
}
</style>
