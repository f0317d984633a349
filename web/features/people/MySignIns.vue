<script setup lang="ts">
import { mdiMonitor } from '@mdi/js';
import { peopleEndpoints } from '@wax-fist/contract/people';
import { messageOf } from '@wax-fist/core/message-of';
import { ref } from 'vue';
import { dayAndTime } from '../../app/format.ts';
import { useNotice } from '../../app/notice-store.ts';
import { request } from '../../app/request.ts';
import { useAnswer } from '../../app/use-answer.ts';
import { browserInWords } from './browser-in-words.ts';
import { peopleWords as words } from './words.ts';

/** Where one is signed in, and the way to end it. */
const notice = useNotice();
const trouble = ref<string>();
const { value: signIns, failure, again } = useAnswer(() => request(peopleEndpoints.mySignIns));

async function end(id: string | null): Promise<void> {
  trouble.value = undefined;
  try {
    await request(peopleEndpoints.endSignIns, { body: { id } });
    await again();
    notice.say(id === null ? words.signedOutEverywhereElse : words.signedOutThere);
  } catch (error) {
    trouble.value = messageOf(error);
  }
}
</script>

<template>
  <section aria-labelledby="sign-ins">
    <h2 id="sign-ins">{{ words.signedIn }}</h2>
    <p v-if="failure ?? trouble" role="alert">{{ failure ?? trouble }}</p>
    <ul v-if="signIns" class="list">
      <li v-for="one in signIns" :key="one.id">
        <VIcon :icon="mdiMonitor" size="20" />
        <span
          ><b>{{ browserInWords(one.browser) }}</b>
          <small v-if="one.since" class="quiet">{{ words.sinceSince(dayAndTime(one.since)) }}</small></span
        >
        <span v-if="one.here" class="quiet">{{ words.here }}</span>
        <VBtn v-else variant="text" @click="end(one.id)">{{ words.signOutThere }}</VBtn>
      </li>
    </ul>
    <VBtn v-if="(signIns?.length ?? 0) > 1" variant="outlined" @click="end(null)">{{ words.signOutEverywhereElse }}</VBtn>
  </section>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 24px minmax(0, 1fr) auto;
  gap: var(--space-2);
  align-items: center;
  min-height: 48px;
  padding: var(--space-1) var(--space-3);
}
small {
  display: block;
}
.list + .v-btn {
  margin-top: var(--space-2);
}
</style>
