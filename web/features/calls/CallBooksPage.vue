<script setup lang="ts">
import { messageOf } from '@wax-fist/core/message-of';
import { mdiContentCopy, mdiDeleteOutline, mdiPlus } from '@mdi/js';
import { callEndpoints, type SavedCallBook } from '@wax-fist/contract/calls';
import { v7 as uuid } from 'uuid';
import { computed, onMounted, ref, watch } from 'vue';
import { useNotice } from '../../app/notice-store.ts';
import { request } from '../../app/request.ts';
import { useAccount } from '../accounts/account-store.ts';
import { techniqueName } from '@wax-fist/core/technique';
import { useCatalogue } from '../checklists/catalogue-store.ts';
import CallSets from './CallSets.vue';
import CallTranslator from './CallTranslator.vue';
import { callsWords as words } from './words.ts';
import TextWith from '../../app/TextWith.vue';

/** What the numbers mean that are shouted here, and how to say a combination in another way. */
const catalogue = useCatalogue();
const mayChange = computed(() => useAccount().may(callEndpoints.saveCallBook));
const notice = useNotice();
const failure = ref<string>();
const pickedId = ref<string>();
const draft = ref<{ id: string; name: string; calls: { number: string; technique: string }[] }>();
onMounted(() => void carefully(catalogue.again));

async function carefully(act: () => Promise<unknown>): Promise<void> {
  failure.value = undefined;
  await act().catch((error: unknown) => (failure.value = messageOf(error)));
}
const used = computed(() => catalogue.schools.find(({ clubDefault }) => clubDefault)?.bookId);
const picked = computed<SavedCallBook | undefined>(
  () => catalogue.books.find(({ id }) => id === pickedId.value) ?? catalogue.books.find(({ id }) => id === used.value),
);
watch(pickedId, () => (draft.value = undefined));
const inOrder = (calls: Record<string, string>) =>
  Object.entries(calls)
    .map(([number, technique]) => ({ number, technique }))
    .sort((a, b) => Number(a.number) - Number(b.number));
const rows = computed(() => draft.value?.calls ?? inOrder(picked.value?.calls ?? {}));
const begin = (book: SavedCallBook, copy: boolean): void =>
  void (draft.value = {
    id: copy ? uuid() : book.id,
    name: copy ? words.ourWay(book.name) : book.name,
    calls: inOrder(book.calls),
  });
const add = (): void => {
  const { calls } = draft.value!;
  const free = Array.from({ length: 99 }, (_, place) => String(place + 1)).find(
    (one) => !calls.some(({ number }) => number === one),
  );
  calls.push({ number: free!, technique: 'rear-round' });
};
const save = () =>
  carefully(async () => {
    const { id, name, calls } = draft.value!;
    const body = {
      id,
      name,
      calls: Object.fromEntries(calls.map(({ number, technique }) => [number.trim(), technique])) as never,
    };
    await request(callEndpoints.saveCallBook, { params: { bookId: id }, body });
    await catalogue.again();
    draft.value = undefined;
    pickedId.value = id;
    notice.say(words.isSaved(name));
  });
const remove = (book: SavedCallBook) =>
  carefully(async () => {
    const { id, name, calls } = book;
    await request(callEndpoints.removeCallBook, { params: { bookId: id } });
    pickedId.value = undefined;
    await catalogue.again();
    notice.say(words.isRemoved(name), async () => {
      await request(callEndpoints.saveCallBook, { params: { bookId: id }, body: { id, name, calls } });
      await catalogue.again();
      pickedId.value = id;
    });
  });
function pick(bookId: string | undefined): void {
  if (!bookId) return;
  pickedId.value = bookId;
  draft.value = undefined;
}
const names = computed(() => [...catalogue.newest.techniques.values()].map(({ id, name }) => ({ value: id, title: name })));
</script>

<template>
  <div class="page">
    <h1>{{ words.callBooks }}</h1>
    <p class="quiet lead">
      <TextWith :text="words.numbersMeanLeadAndRear">
        <template #link>
          <RouterLink :to="{ name: 'schools' }">{{ words.school }}</RouterLink>
        </template>
      </TextWith>
    </p>
    <VAlert v-if="failure" type="warning" variant="tonal" density="compact" role="alert" class="mb-3">{{ failure }}</VAlert>
    <div class="page-columns books-first">
      <section :aria-label="words.books">
        <VTabs
          :model-value="draft ? undefined : picked?.id"
          color="primary"
          density="compact"
          show-arrows
          @update:model-value="pick($event as string)"
        >
          <VTab v-for="book in catalogue.books" :key="book.id" :value="book.id" class="text-none">
            {{ book.name }}<small v-if="book.id === used" class="quiet ml-1">{{ words.inUse }}</small>
          </VTab>
        </VTabs>
        <VTextField v-if="draft" v-model="draft.name" :label="words.name" density="compact" maxlength="120" class="mt-3" />
        <ol class="calls">
          <li v-for="(row, place) in rows" :key="place">
            <template v-if="draft">
              <VTextField
                v-model="row.number"
                :aria-label="words.number"
                density="compact"
                hide-details
                class="number"
                maxlength="2"
              />
              <VAutocomplete
                v-model="row.technique"
                :items="names"
                :aria-label="words.technique"
                density="compact"
                hide-details
              />
              <VBtn
                :icon="mdiDeleteOutline"
                size="x-small"
                variant="text"
                :aria-label="words.takeOut(row.number)"
                @click="draft.calls.splice(place, 1)"
              />
            </template>
            <template v-else>
              <b class="number big">{{ row.number }}</b>
              <RouterLink :to="{ name: 'technique', params: { technique: row.technique } }">{{
                techniqueName(catalogue.newest, row.technique)
              }}</RouterLink>
            </template>
          </li>
        </ol>
        <div class="acts">
          <template v-if="draft">
            <VBtn color="primary" @click="save">{{ words.saveThisBook }}</VBtn>
            <VBtn variant="outlined" :prepend-icon="mdiPlus" @click="add">{{ words.aNumberMore }}</VBtn>
            <VBtn variant="text" @click="draft = undefined">{{ words.leaveIt }}</VBtn>
          </template>
          <p v-else-if="!mayChange" class="quiet">{{ words.theHeadCoachChangesThe }}</p>
          <template v-else-if="picked">
            <VBtn v-if="!picked.ready" variant="outlined" @click="begin(picked, false)">{{ words.change }}</VBtn>
            <VBtn variant="outlined" :prepend-icon="mdiContentCopy" @click="begin(picked, true)">{{ words.copyAndChange }}</VBtn>
            <VBtn v-if="!picked.ready" variant="text" @click="remove(picked)">{{ words.remove }}</VBtn>
          </template>
        </div>
      </section>
      <div>
        <CallTranslator v-if="picked" :books="catalogue.books" :book="picked" :catalogue="catalogue.newest" />
        <CallSets v-if="picked" :book="picked" :catalogue="catalogue.newest" />
      </div>
    </div>
  </div>
</template>

<style scoped>
.lead {
  margin-bottom: var(--space-4);
}
@media (min-width: 1000px) {
  .books-first {
    grid-template-columns: 380px minmax(0, 1fr);
  }
}
.calls {
  margin: var(--space-2) 0;
}
.calls li {
  display: flex;
  align-items: center;
  gap: var(--space-3);
  border-top: 1px solid var(--line);
  min-height: 42px;
}
.calls .number {
  flex: none;
  width: 64px;
}
.big {
  font-size: var(--type-figure);
}
</style>
