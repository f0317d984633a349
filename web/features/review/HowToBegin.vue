<script setup lang="ts">
/** What to do first on a film in which no strike is picked: take over what was found, name what was heard, or look. */
import { computed } from 'vue';
import TextWith from '../../app/TextWith.vue';
import { useHitsAndRounds } from '../rounds/hits-and-rounds-store.ts';
import { useBenchContext } from './bench-context.ts';
import { reviewWords as words } from './words.ts';

const { data, keys } = useBenchContext();
const hitsAndRounds = useHitsAndRounds();
/** Strikes that ear and eye have named. */
const named = computed(() => hitsAndRounds.foundStrikes.filter(({ names }) => names.length > 0).length);
</script>

<template>
  <div class="begin">
    <template v-if="named > 0">
      <h2>{{ words.strikesAreFound }}</h2>
      <p>
        <TextWith :text="words.foundAndNamedByEar(named)">
          <template #key>
            <kbd>{{ keys.drawn('take-over') }}</kbd>
          </template>
        </TextWith>
      </p>
    </template>
    <template v-else-if="hitsAndRounds.hits.length > 0">
      <h2>{{ words.nameTheHits }}</h2>
      <p>
        <TextWith :text="words.foundGoesToTheNext(hitsAndRounds.hits.length)">
          <template #key>
            <kbd>{{ keys.drawn('hit-after') }}</kbd>
          </template>
          <template #key2>
            <kbd>{{ keys.drawn('hit-here') }}</kbd>
          </template>
        </TextWith>
      </p>
    </template>
    <template v-else>
      <h2>{{ words.findTheFirstStrike }}</h2>
      <p>
        <TextWith :text="words.playWithStopWhereThe">
          <template #key>
            <kbd>{{ keys.drawn('play') }}</kbd>
          </template>
          <template #key2>
            <kbd>{{ keys.drawn('frame-back') }}</kbd>
          </template>
          <template #key3>
            <kbd>{{ keys.drawn('frame-on') }}</kbd>
          </template>
        </TextWith>
      </p>
    </template>
    <p>
      <TextWith :text="words.theNumberYouWouldCall(named > 0 ? words.toNameOneByHand : words.thenPress)">
        <template #name>
          <i>{{ data.book.name }}</i>
        </template>
        <template #key>
          <kbd>{{ keys.drawn('find') }}</kbd>
        </template>
      </TextWith>
    </p>
  </div>
</template>

<style scoped>
.begin {
  padding: var(--space-3) var(--space-1);
}
h2 {
  font-size: var(--type-title);
}
p {
  margin: var(--space-2) 0;
}
</style>
