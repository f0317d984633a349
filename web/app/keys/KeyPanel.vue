<script setup lang="ts" generic="Id extends string">
import { computed, ref } from 'vue';
import { drawnKey, keyName } from './key-name.ts';
import type { Keys } from './use-keys.ts';
import { appWords as words } from '../words.ts';

const open = defineModel<boolean>({ required: true });
const { keys } = defineProps<{ keys: Keys<Id> }>();
const asking = ref<Id>();

const groups = computed(() => {
  const names = [...new Set(keys.actions.value.map(({ group }) => group))];
  return names.map((name) => ({ name, actions: keys.actions.value.filter(({ group }) => group === name) }));
});

function onKey(event: KeyboardEvent): void {
  if (!asking.value || ['Shift', 'Control', 'Alt', 'Meta'].includes(event.key)) return;
  event.preventDefault();
  event.stopPropagation();
  if (event.key !== 'Escape') keys.change(asking.value, keyName(event));
  asking.value = undefined;
}
</script>

<template>
  <VDialog v-model="open" max-width="1180" scrollable :aria-label="words.keys" @keydown.capture="onKey">
    <VCard class="pa-5 keys">
      <div class="d-flex align-center mb-2">
        <h2>{{ words.keys }}</h2>
        <span class="quiet ml-4">{{ asking ? words.pressTheNewKeyEsc : words.clickAKeyToChange }}</span>
        <VSpacer />
        <VBtn variant="text" @click="keys.reset()">{{ words.allAsTheyCame }}</VBtn>
        <VBtn color="primary" class="ml-2" @click="open = false">{{ words.backToWork }}</VBtn>
      </div>
      <div class="groups">
        <section v-for="group in groups" :key="group.name">
          <h3>{{ group.name }}</h3>
          <dl>
            <div v-for="action in group.actions" :key="action.id">
              <dt>
                <button type="button" @click="asking = action.id">
                  <kbd v-if="asking === action.id">…</kbd>
                  <kbd v-for="key in asking === action.id ? [] : action.keys" :key="key">{{ drawnKey(key) }}</kbd>
                  <kbd v-if="asking !== action.id && action.keys.length === 0">{{ words.none }}</kbd>
                  <span class="unseen">{{ words.changeTheKeyFor(action.name) }}</span>
                </button>
              </dt>
              <dd>{{ action.name }}</dd>
            </div>
          </dl>
        </section>
      </div>
    </VCard>
  </VDialog>
</template>

<style scoped>
h2 {
  font-size: var(--type-title);
}
h3 {
  font-size: var(--type-text);
  margin: var(--space-2) 0 var(--space-1-5);
  color: rgb(var(--v-theme-primary));
}
.keys {
  max-height: calc(100dvh - 32px);
}
.groups {
  columns: 4 230px;
  column-gap: var(--space-6);
  overflow-y: auto;
}
section {
  break-inside: avoid;
}
dl > div {
  display: flex;
  gap: var(--space-2);
  padding: var(--space-0-5) 0;
  font-size: var(--type-small);
  align-items: baseline;
}
dt {
  flex: 0 0 92px;
  text-align: right;
}
button {
  display: inline-flex;
  gap: var(--space-1);
}
</style>
