<script setup lang="ts">
import { object, string } from 'yup';
import { computed } from 'vue';
import { useForm } from '../../app/use-form.ts';
import CodeField from './CodeField.vue';
import { secondFactorWords as words } from './words.ts';
import TextWith from '../../app/TextWith.vue';

/** A secret goes into an app, and the first code of it comes back. */
const { secret, send: onward } = defineProps<{
  secret: { secret: string; picture: string };
  send: (code: string) => Promise<void>;
}>();
const emit = defineEmits<{ cancel: [] }>();
const shape = object({ code: string().trim().required(words.theSixDigitsThatThe) });
const { draft, problems, failure, busy, send } = useForm(shape, { code: '' });
const picture = computed(() => `data:image/svg+xml,${encodeURIComponent(secret.picture)}`);
/** As it is typed: four letters at a time. */
const typed = computed(() => secret.secret.match(/.{1,4}/g)!.join(' '));
</script>

<template>
  <form novalidate @submit.prevent="send(({ code }) => onward(code))">
    <div class="app">
      <img :src="picture" :alt="words.theSecretForYourApp" width="168" height="168" />
      <p>
        <TextWith :text="words.letAnAppForOne">
          <template #code>
            <code>{{ typed }}</code>
          </template>
        </TextWith>
      </p>
    </div>
    <CodeField v-model="draft.code" :label="words.theCodeThatItShows" :problem="problems.code" />
    <p v-if="failure" role="alert">{{ failure }}</p>
    <p class="acts">
      <VBtn type="submit" color="primary" :loading="busy">{{ words.takeIt }}</VBtn>
      <VBtn variant="text" @click="emit('cancel')">{{ words.notNow }}</VBtn>
    </p>
  </form>
</template>

<style scoped>
.app {
  display: grid;
  grid-template-columns: 168px minmax(0, 1fr);
  gap: var(--space-4);
  align-items: center;
  margin-bottom: var(--space-4);
}
code {
  font-weight: 700;
  overflow-wrap: anywhere;
}
@media (max-width: 480px) {
  .app {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
