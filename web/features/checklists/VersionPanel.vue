<script setup lang="ts">
import { messageOf } from '@wax-fist/core/message-of';
import { checklistEndpoints, checklistDocumentShape, checklistFormat } from '@wax-fist/contract/checklists';
import { differencesOfEdits, editProblems, type ClubEdits, type ChecklistDifference } from '@wax-fist/core/technique';
import { computed, ref } from 'vue';
import { ValidationError } from 'yup';
import { request } from '../../app/request.ts';
import { useAccount } from '../accounts/account-store.ts';
import MoreRows from '../../app/MoreRows.vue';
import { usePages } from '../../app/use-pages.ts';
import { dayAndTime } from '../../app/format.ts';
import { useCatalogue } from './catalogue-store.ts';
import { checklistsWords as words } from './words.ts';

/** Versions of the club's checklists: what changed, the way back, and the way out and in as a file. */
const catalogue = useCatalogue();
const mayChange = computed(() => useAccount().may(checklistEndpoints.saveChecklists));
const {
  rows: versions,
  hasMore,
  loading,
  more,
  again,
} = usePages((query) => request(checklistEndpoints.listChecklistVersions, { query }));
const failure = ref<string>();
const told = ref<{ version: number; differences: ChecklistDifference[] }>();
const mistakes = ref<{ place: string; says: string }[]>([]);
const done = ref<string>();
const file = ref<HTMLInputElement>();

async function carefully(act: () => Promise<void>): Promise<void> {
  failure.value = done.value = undefined;
  mistakes.value = [];
  await act().catch((error: unknown) => (failure.value = messageOf(error)));
}
const show = (version: number) =>
  carefully(async () => {
    if (told.value?.version === version) return void (told.value = undefined);
    const [before, after] = await Promise.all([catalogue.editsAt(Math.max(1, version - 1)), catalogue.editsAt(version)]);
    told.value = { version, differences: differencesOfEdits(before, after) };
  });
async function save(edits: ClubEdits, note: string): Promise<void> {
  await request(checklistEndpoints.saveChecklists, { body: { basedOn: catalogue.version, note, edits: edits as never } });
  await Promise.all([catalogue.again(), again()]);
}
const goBack = (version: number) =>
  carefully(async () => {
    await save(await catalogue.editsAt(version), words.backToVersion(version));
    done.value = words.theChecklistsAreAgainAs(version);
  });
const takeOut = () =>
  carefully(async () => {
    const document_ = { format: checklistFormat, version: 1, edits: await catalogue.editsAt(catalogue.version) };
    const link = document.createElement('a');
    link.href = URL.createObjectURL(new Blob([JSON.stringify(document_, null, 2)], { type: 'application/json' }));
    link.download = `checklists-${catalogue.version}.json`;
    link.click();
    URL.revokeObjectURL(link.href);
  });
const takeIn = (event: Event) =>
  carefully(async () => {
    const input = event.target as HTMLInputElement;
    const [chosen] = input.files ?? [];
    if (!chosen) return;
    const text = await chosen.text();
    input.value = '';
    const edits = checked(text);
    if (!edits) return;
    await save(edits, words.takenInFrom(chosen.name).slice(0, 200));
    done.value = words.takenInFromName(chosen.name);
  });
/** The edits in a file; undefined when there are mistakes, which are then told with their places. */
function checked(text: string): ClubEdits | undefined {
  let parsed: unknown;
  try {
    parsed = JSON.parse(text);
  } catch (error) {
    throw new Error(words.thisFileIsNotJson(messageOf(error)));
  }
  try {
    const { edits } = checklistDocumentShape.validateSync(parsed, { abortEarly: false, stripUnknown: true });
    mistakes.value = editProblems(edits as unknown as ClubEdits).map((one) => ({ ...one, place: `edits.${one.place}` }));
    return mistakes.value.length > 0 ? undefined : edits;
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    const inner = error.inner.length > 0 ? error.inner : [error];
    mistakes.value = inner.map(({ path, message }) => ({ place: path || words.theWholeFile, says: message }));
    return undefined;
  }
}
</script>

<template>
  <section class="versions" :aria-label="words.versions">
    <div class="head">
      <h2>{{ words.versions }}</h2>
      <VSpacer />
      <VBtn variant="text" size="small" @click="takeOut">{{ words.saveAsAFile }}</VBtn>
      <VBtn v-if="mayChange" variant="text" size="small" @click="file?.click()">{{ words.takeInAFile }}</VBtn>
      <a href="/formats/checklists.schema.json" target="_blank">{{ words.format }}</a>
      <input
        ref="file"
        type="file"
        accept="application/json,.json"
        hidden
        :aria-label="words.aFileOfChecklists"
        @change="takeIn"
      />
    </div>
    <VAlert v-if="failure" type="warning" variant="tonal" density="compact" role="alert">{{ failure }}</VAlert>
    <VAlert v-if="done" type="success" variant="tonal" density="compact" role="status">{{ done }}</VAlert>
    <VAlert v-if="mistakes.length > 0" type="warning" variant="tonal" density="compact" role="alert">
      {{ words.nothingWasTakenInMistake(mistakes.length) }}
      <ul class="bulleted">
        <li v-for="({ place, says }, index) in mistakes" :key="index"><code>{{ place }}</code> {{ says }}</li>
      </ul>
    </VAlert>
    <ul class="list">
      <li v-for="{ version, note, by, at } in versions ?? []" :key="version">
        <b class="number">{{ version }}</b>
        <span>{{ note || words.changed }}</span>
        <span class="quiet">{{ by }}, {{ dayAndTime(at) }}</span>
        <VBtn v-if="version > 1" variant="text" size="small" :aria-expanded="told?.version === version" @click="show(version)">{{
          words.whatChanged
        }}</VBtn>
        <VBtn v-if="mayChange && version !== catalogue.version" variant="text" size="small" @click="goBack(version)">{{
          words.goBackToIt
        }}</VBtn>
        <ul v-if="told?.version === version" class="told bulleted">
          <li v-if="told.differences.length === 0" class="quiet">{{ words.nothingThatIsSeen }}</li>
          <li v-for="({ technique, checkpoint, says }, index) in told.differences" :key="index">
            {{ technique }}<template v-if="checkpoint">, {{ checkpoint.toLowerCase() }}</template>: {{ says }}
          </li>
        </ul>
      </li>
    </ul>
    <MoreRows :has-more="hasMore" :loading="loading" :shown="versions?.length ?? 0" @more="more" />
  </section>
</template>

<style scoped>
.versions {
  margin-top: var(--space-5);
}
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: var(--space-2);
}
h2 {
  font-size: var(--type-lead);
}
.list > li {
  display: grid;
  grid-template-columns: 28px minmax(120px, 1fr) auto auto 130px;
  gap: var(--space-1) var(--space-3);
  align-items: baseline;
  border-top: 1px solid var(--line);
  padding: var(--space-1-5) var(--space-1);
}
.told {
  grid-column: 2 / -1;
}
@media screen and (max-width: 899px) {
  .list > li {
    grid-template-columns: 28px minmax(0, 1fr);
  }
  .list > li > :nth-child(n + 3) {
    grid-column: 2;
    justify-self: start;
  }
}
</style>
