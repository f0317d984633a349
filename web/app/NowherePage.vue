<script setup lang="ts">
import { appWords as words } from './words.ts';
import TextWith from './TextWith.vue';
</script>

<template>
  <div class="page">
    <h1>{{ words.thereIsNothingAtThis }}</h1>
    <p>
      <TextWith :text="words.theLinkMayBeOld">
        <template #link>
          <RouterLink to="/">{{ words.goToToday }}</RouterLink>
        </template>
      </TextWith>
    </p>
  </div>
</template>
