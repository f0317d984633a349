<script setup lang="ts">
/** Codes for when the app is lost, shown this once. */
const { codes } = defineProps<{ codes: readonly string[] }>();
const emit = defineEmits<{ done: [] }>();
const file = `data:text/plain;charset=utf-8,${encodeURIComponent(`Wax Fist: codes for when the app is lost, each good for once\n\n${codes.join('\n')}\n`)}`;
</script>

<template>
  <div class="kept" role="region" aria-label="Codes for when the app is lost">
    <p><b>Keep these where your phone is not.</b> If the app is lost, each of them lets you in once. They are not shown again.</p>
    <ol class="numbered">
      <li v-for="code in codes" :key="code">
        <code>{{ code }}</code>
      </li>
    </ol>
    <p class="acts">
      <VBtn :href="file" download="wax-fist-codes.txt" variant="outlined">Save as a file</VBtn>
      <VBtn variant="text" @click="emit('done')">I have them</VBtn>
    </p>
  </div>
</template>

<style scoped>
.kept {
  border-left: 4px solid var(--watch);
  padding: var(--space-1) 0 var(--space-1) var(--space-4);
}
ol {
  margin: var(--space-3) 0;
}
code {
  font-size: var(--type-text);
  overflow-wrap: anywhere;
}
</style>
