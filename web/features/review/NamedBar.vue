<script setup lang="ts">
import { percent } from '@wax-fist/core/words';
import { useBenchContext } from './bench-context.ts';
import PictureBar from './PictureBar.vue';
import type { NamedStrikes } from './use-named-strikes.ts';

/** What was found and named, and is not taken over yet: how much, and what the one at the playhead may have been. */
const { named } = defineProps<{ named: NamedStrikes }>();
const { keys } = useBenchContext();
const { open, unsure, asked } = named;
</script>

<template>
  <PictureBar label="Strikes that were found">
    <template v-if="asked">
      <p>
        <b>What was it?</b>
        <span v-for="({ name, chance }, place) in asked.names" :key="name">
          {{ place > 0 ? ' · ' : ' ' }}<b v-if="place === 0">{{ name }}</b
          ><template v-else>{{ name }}</template>
          <span class="quiet number">{{ percent(chance) }}</span>
        </span>
      </p>
      <button type="button" @click="named.takeOver">
        {{ asked.names[0]!.name }} <kbd>{{ keys.drawn('take-over') }}</kbd>
      </button>
      <span class="quiet end">
        or its number, <kbd>{{ keys.drawn('find') }}</kbd> another name, <kbd>{{ keys.drawn('hit-here') }}</kbd> nothing here
      </span>
    </template>
    <template v-else>
      <p>
        <b class="number">{{ open.length }}</b> {{ open.length === 1 ? 'strike' : 'strikes' }} found and named
        <span v-if="unsure.length > 0" class="quiet">, {{ unsure.length }} of them unsure</span>
      </p>
      <button type="button" @click="named.takeOver">
        {{ unsure.length < open.length ? 'Take them over' : 'Look at them' }} <kbd>{{ keys.drawn('take-over') }}</kbd>
      </button>
    </template>
  </PictureBar>
</template>
