<script setup lang="ts">
import { messageOf } from '@wax-fist/core/message-of';
import type { Film } from '@wax-fist/contract/footage';
import { reviewingEndpoints } from '@wax-fist/contract/reviewing';
import { computed, ref, watch } from 'vue';
import FormDialog from '../../app/FormDialog.vue';
import { useNotice } from '../../app/notice-store.ts';
import { request } from '../../app/request.ts';
import { useAnswer } from '../../app/use-answer.ts';
import { useAccount } from '../accounts/account-store.ts';
import { reviewingWords as words } from './words.ts';

/** Who marks a film a second time, without seeing what was said of it. */
const { film } = defineProps<{ film: Film }>();
const emit = defineEmits<{ close: []; changed: [] }>();
const notice = useNotice();
const account = useAccount();
const { value: coaches, failure: away } = useAnswer(() => request(reviewingEndpoints.listCoaches));
const others = computed(() => coaches.value?.filter(({ id }) => id !== account.me?.id) ?? []);
const asked = film.secondCoach?.id ?? null;
const coachId = ref<string | null>(asked);
watch(others, ([first]) => (coachId.value ??= first?.id ?? null));
const failure = ref<string>();
const busy = ref(false);
const open = computed({ get: () => true, set: (now) => now || emit('close') });

const ask = (id: string | null): Promise<void> =>
  request(reviewingEndpoints.askSecondCoach, { params: { filmId: film.id }, body: { coachId: id } }).then(() => emit('changed'));
async function save(): Promise<void> {
  busy.value = true;
  failure.value = undefined;
  try {
    await ask(coachId.value);
    const name = others.value.find(({ id }) => id === coachId.value)?.name;
    notice.say(name ? words.itWaitsForUnderToday(name) : words.nobodyIsAskedAnyMore, () => ask(asked));
    emit('close');
  } catch (error) {
    failure.value = messageOf(error);
  } finally {
    busy.value = false;
  }
}
</script>

<template>
  <FormDialog
    v-model="open"
    :title="words.haveItMarkedASecond"
    :failure="failure ?? away"
    :busy="busy"
    :save-name="words.ask"
    @save="save"
  >
    <p class="mb-4">
      {{ words.anotherCoachJudgesTheSame }}
    </p>
    <VRadioGroup v-if="others.length > 0" v-model="coachId" :label="words.who">
      <VRadio v-for="{ id, name } in others" :key="id" :value="id" :label="name" />
      <VRadio v-if="asked" :value="null" :label="words.nobody" />
    </VRadioGroup>
    <p v-else-if="coaches" class="mb-4">
      <b>{{ words.youAreTheOnlyCoach }}</b>
    </p>
  </FormDialog>
</template>
