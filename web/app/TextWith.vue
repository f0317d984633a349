<script setup lang="ts">
import { computed } from 'vue';

/** A sentence with parts that look or act otherwise: the slot `key` stands where its text says “{key}”, in whatever order that is. */
const { text } = defineProps<{ text: string }>();
const pieces = computed(() => text.split(/\{(\w+)\}/));
</script>

<template>
  <template v-for="(piece, place) in pieces" :key="place">
    <slot v-if="place % 2 === 1" :name="piece" />
    <template v-else>{{ piece }}</template>
  </template>
</template>
