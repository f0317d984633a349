<script setup lang="ts">
import { parseCombination, parseRecipe, type CallBook, type CallError } from '@wax-fist/core/calls';
import type { Catalogue, Stance } from '@wax-fist/core/technique';
import { computed } from 'vue';
import { callsWords as words } from './words.ts';

/** A line in which a combination, or a round's recipe, is written; what cannot be read is marked at its place. */
const text = defineModel<string>({ required: true });
const {
  book,
  catalogue,
  stance = 'orthodox',
  recipe = false,
} = defineProps<{ label: string; book: CallBook; catalogue: Catalogue; stance?: Stance; recipe?: boolean }>();
defineEmits<{ done: [] }>();

const errors = computed<readonly CallError[]>(() => {
  if (!text.value.trim()) return [];
  const parsed = (recipe ? parseRecipe : parseCombination)(text.value, { book, catalogue, stance });
  return parsed.ok ? [] : parsed.errors;
});
const parts = ({ at, length }: CallError) => ({
  before: text.value.slice(Math.max(0, at - 18), at),
  wrong: text.value.slice(at, at + Math.max(1, length)) || '␣',
  after: text.value.slice(at + Math.max(1, length), at + length + 12),
});
const put = ({ at, length }: CallError, name: string): void =>
  void (text.value = `${text.value.slice(0, at)}${name}${text.value.slice(at + length)}`);
</script>

<template>
  <div>
    <VTextField
      v-model="text"
      :label="label"
      :error="errors.length > 0"
      density="compact"
      hide-details
      autocomplete="off"
      spellcheck="false"
      maxlength="1000"
      @change="$emit('done')"
    />
    <ul v-if="errors.length > 0" class="errors" role="alert">
      <li v-for="error in errors" :key="error.at">
        <code>{{ parts(error).before }}<mark>{{ parts(error).wrong }}</mark>{{ parts(error).after }}</code>
        {{ error.says }}
        <template v-if="error.nearest.length > 0">
          {{ words.perhaps }}
          <button v-for="name in error.nearest" :key="name" type="button" @click="put(error, name)">{{ name }}</button>
        </template>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.errors {
  padding: var(--space-1) 0;
  font-size: var(--type-text);
}
mark {
  background: none;
  color: var(--fault);
  text-decoration: underline wavy;
}
button {
  text-decoration: underline;
  margin-right: var(--space-2);
}
</style>
