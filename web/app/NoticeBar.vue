<script setup lang="ts">
import { computed } from 'vue';
import { useRoute } from 'vue-router';
import { useNotice } from './notice-store.ts';
import { appWords as words } from './words.ts';

const told = useNotice();
const route = useRoute();
/** Until the line goes by itself; a way back stays until one has read what it takes back and moved there. */
const stays = computed(() => (told.notice?.undo ? 20_000 : 7000));
</script>

<template>
  <!-- A bar of its own for each notice: one that was open when the next was said would keep the time that was left. -->
  <VSnackbar
    :key="told.said"
    v-model="told.open"
    :timeout="stays"
    :location="route.meta.bench ? 'top' : 'bottom'"
    class="no-print"
  >
    <span role="status">{{ told.notice?.says }}</span>
    <template #actions>
      <VBtn v-if="told.notice?.undo" variant="text" @click="told.takeBack()">{{ words.undo }}</VBtn>
      <VBtn variant="text" @click="told.open = false">{{ words.close }}</VBtn>
    </template>
  </VSnackbar>
</template>
