<script setup lang="ts">
import { useRoute } from 'vue-router';
import { useNotice } from './notice-store.ts';

const told = useNotice();
const route = useRoute();
</script>

<template>
  <VSnackbar v-model="told.open" :timeout="7000" :location="route.meta.bench ? 'top' : 'bottom'" class="no-print">
    <span role="status">{{ told.notice?.says }}</span>
    <template #actions>
      <VBtn v-if="told.notice?.undo" variant="text" @click="told.takeBack()">Undo</VBtn>
      <VBtn variant="text" @click="told.open = false">Close</VBtn>
    </template>
  </VSnackbar>
</template>
