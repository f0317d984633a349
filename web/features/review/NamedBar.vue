<script setup lang="ts">
import { percent } from '@wax-fist/core/words';
import { useBenchContext } from './bench-context.ts';
import PictureBar from './PictureBar.vue';
import type { NamedStrikes } from './use-named-strikes.ts';
import { reviewWords as words } from './words.ts';
import TextWith from '../../app/TextWith.vue';

/** What was found and named, and is not taken over yet: how much, and what the one at the playhead may have been. */
const { named } = defineProps<{ named: NamedStrikes }>();
const { keys } = useBenchContext();
const { open, unsure, asked } = named;
</script>

<template>
  <PictureBar :label="words.strikesThatWereFound">
    <template v-if="asked">
      <p>
        <b>{{ words.whatWasIt }}</b>
        <span v-for="({ name, chance }, place) in asked.names" :key="name">
          {{ place > 0 ? ' · ' : ' ' }}<b v-if="place === 0">{{ name }}</b><template v-else>{{ name }}</template>
          <span class="quiet number">{{ ` ${percent(chance)}` }}</span>
        </span>
      </p>
      <button type="button" @click="named.takeOver">{{ asked.names[0]!.name }} <kbd>{{ keys.drawn('take-over') }}</kbd></button>
      <span class="quiet end">
        <TextWith :text="words.orItsNumberAnotherName">
          <template #key>
            <kbd>{{ keys.drawn('find') }}</kbd>
          </template>
          <template #key2>
            <kbd>{{ keys.drawn('hit-here') }}</kbd>
          </template>
        </TextWith>
      </span>
    </template>
    <template v-else>
      <p>
        <TextWith :text="words.foundAndNamed(open.length)">
          <template #open>
            <b class="number">{{ open.length }}</b>
          </template>
          <template #unsure>
            <span v-if="unsure.length > 0" class="quiet">{{ words.ofThemUnsure(unsure.length) }}</span>
          </template>
        </TextWith>
      </p>
      <button type="button" @click="named.takeOver">
        {{ unsure.length < open.length ? words.takeThemOver : words.lookAtThem }} <kbd>{{ keys.drawn('take-over') }}</kbd>
      </button>
    </template>
  </PictureBar>
</template>
