<script setup lang="ts">
import { timeLeft } from '../../app/format.ts';
import { useBenchContext } from './bench-context.ts';
import PictureBar from './PictureBar.vue';
import type { WhoseBody } from './use-pointed-body.ts';
import { reviewWords as words } from './words.ts';
import TextWith from '../../app/TextWith.vue';

/** What to do to have somebody else followed, and how far that is. */
const { whose } = defineProps<{ whose: WhoseBody }>();
const { keys } = useBenchContext();
const { work } = whose;
</script>

<template>
  <PictureBar :label="words.whoIsFollowed">
    <template v-if="whose.on.value">
      <p>
        {{ words.drawASquareRoundWhoever }}
        <span class="quiet">
          <TextWith :text="words.arrowsMoveItSizeIt">
            <template #key>
              <kbd>{{ whose.keys.drawn('larger') }}</kbd>
            </template>
            <template #key2>
              <kbd>{{ whose.keys.drawn('smaller') }}</kbd>
            </template>
          </TextWith>
        </span>
      </p>
      <button type="button" @click="whose.follow">{{ words.follow }} <kbd>{{ whose.keys.drawn('follow') }}</kbd></button>
      <button type="button" class="end" @click="whose.toggle">{{ words.leaveIt }} <kbd>{{ keys.drawn('whose') }}</kbd></button>
    </template>
    <template v-else-if="work">
      <p role="status">
        <TextWith :text="words.followingWhoeverWasPointedOut(Math.round(work.progress * 100))">
          <template #left>
            <template v-if="work.left !== null">, {{ timeLeft(work.left) }}</template>
          </template>
        </TextWith>
      </p>
      <progress :value="work.progress" max="1" :aria-label="words.followedSoFar"></progress>
    </template>
  </PictureBar>
</template>

<style scoped>
progress {
  width: 180px;
  accent-color: rgb(var(--v-theme-primary));
}
</style>
