<script setup lang="ts">
import { messageOf } from '@wax-fist/core/message-of';
import { mdiPlus, mdiRedo, mdiUndo } from '@mdi/js';
import { checklistEndpoints } from '@wax-fist/contract/checklists';
import { editProblems, techniqueName, type Checkpoint, type ClubEdits } from '@wax-fist/core/technique';
import { computed, ref, shallowRef } from 'vue';
import { onBeforeRouteLeave } from 'vue-router';
import { VueDraggable } from 'vue-draggable-plus';
import { request } from '../../app/request.ts';
import { useCatalogue } from './catalogue-store.ts';
import EditorRow from './EditorRow.vue';
import OwnCheckpointDialog from './OwnCheckpointDialog.vue';
import { useRowsEditor } from './use-rows-editor.ts';
import { checklistsWords as words } from './words.ts';

/** Changes one technique's checklist and saves it as a new version of all. */
const { technique } = defineProps<{ technique: string }>();
const emit = defineEmits<{ done: [] }>();
const catalogue = useCatalogue();
const base = catalogue.newest;
const editor = useRowsEditor(base, technique);
const own = shallowRef<readonly Checkpoint[]>([]);
const open = ref<string>();
const adding = ref(false);
const note = ref('');
const failure = ref<string>();
const busy = ref(false);

const checkpointOf = (id: string): Checkpoint => own.value.find((one) => one.id === id) ?? base.checkpoints.get(id)!;
const list = computed({
  get: () => [...editor.rows.value],
  set: (rows) => editor.order(rows.map(({ checkpointId }) => checkpointId)),
});
const others = computed(() =>
  [...base.checkpoints.values(), ...own.value]
    .filter(({ id }) => !editor.rows.value.some(({ checkpointId }) => checkpointId === id))
    .map(({ id, name, question }) => ({ value: id, title: name, subtitle: question })),
);
const chosen = ref<string | null>(null);
function add(id: unknown): void {
  if (typeof id !== 'string') return;
  editor.add(id);
  open.value = id;
  chosen.value = null;
}
function addOwn(checkpoint: Checkpoint): void {
  own.value = [...own.value, checkpoint];
  editor.add(checkpoint.id);
}
/** Mistakes of this checklist, by checkpoint. */
const problems = computed(() => {
  const found = editProblems({ checkpoints: own.value, techniques: [], checklists: { [technique]: editor.rows.value } });
  return new Map(
    found.flatMap(({ place, says }) => {
      const row = editor.rows.value[Number(/\[(\d+)\]/.exec(place)?.[1])];
      return row && place.startsWith('checklists') ? [[row.checkpointId, says] as const] : [];
    }),
  );
});

async function save(): Promise<void> {
  busy.value = true;
  failure.value = undefined;
  try {
    const before = await catalogue.editsAt(catalogue.version);
    const used = own.value.filter(({ id }) => editor.rows.value.some(({ checkpointId }) => checkpointId === id));
    const edits: ClubEdits = {
      ...before,
      checkpoints: [...before.checkpoints, ...used],
      checklists: { ...before.checklists, [technique]: editor.rows.value },
    };
    await request(checklistEndpoints.saveChecklists, {
      body: {
        basedOn: catalogue.version,
        note: note.value.trim() || words.changedNewest(techniqueName(catalogue.newest, technique)),
        edits: edits as never,
      },
    });
    await catalogue.again();
    saved = true;
    emit('done');
  } catch (error) {
    failure.value = messageOf(error);
  } finally {
    busy.value = false;
  }
}
let saved = false;
const mayLeave = (): boolean => saved || !editor.changed.value || window.confirm(words.leaveWithoutSavingWhatYou);
onBeforeRouteLeave(mayLeave);
const leave = (): void => {
  if (mayLeave()) emit('done');
};
</script>

<template>
  <section :aria-label="words.changeTheChecklist">
    <div class="tools">
      <VAutocomplete
        v-model="chosen"
        :items="others"
        :label="words.addACheckpoint"
        density="compact"
        hide-details
        class="add"
        @update:model-value="add"
      />
      <VBtn variant="outlined" size="small" :prepend-icon="mdiPlus" @click="adding = true">{{ words.oneOfOurOwn }}</VBtn>
      <VSpacer />
      <VBtn
        :icon="mdiUndo"
        size="small"
        variant="text"
        :aria-label="words.undo"
        :disabled="!editor.canUndo.value"
        @click="editor.undo"
      />
      <VBtn
        :icon="mdiRedo"
        size="small"
        variant="text"
        :aria-label="words.redo"
        :disabled="!editor.canRedo.value"
        @click="editor.redo"
      />
      <VBtn variant="text" @click="leave">{{ words.leaveIt }}</VBtn>
    </div>
    <VueDraggable v-model="list" tag="ul" handle=".grip" :animation="120" class="rows">
      <EditorRow
        v-for="(row, place) in list"
        :key="row.checkpointId"
        :row="row"
        :checkpoint="checkpointOf(row.checkpointId)"
        :catalogue="base"
        :technique="technique"
        :open="open === row.checkpointId"
        :first="place === 0"
        :last="place === list.length - 1"
        :problem="problems.get(row.checkpointId)"
        @toggle="open = open === row.checkpointId ? undefined : row.checkpointId"
        @change="editor.change(row.checkpointId, $event)"
        @move="editor.move(row.checkpointId, $event)"
        @remove="editor.remove(row.checkpointId)"
      />
    </VueDraggable>
    <VAlert v-if="failure" type="warning" variant="tonal" density="compact" role="alert" class="mb-3">{{ failure }}</VAlert>
    <form class="save" @submit.prevent="save">
      <VTextField v-model="note" :label="words.whatChangedInALine" density="compact" hide-details maxlength="200" />
      <VBtn type="submit" color="primary" :disabled="!editor.changed.value || problems.size > 0" :loading="busy">{{
        words.saveAsVersion(catalogue.version + 1)
      }}</VBtn>
    </form>
    <p class="quiet">{{ words.sessionsThatAreHereAlready }}</p>
    <OwnCheckpointDialog v-model="adding" @added="addOwn" />
  </section>
</template>

<style scoped>
.tools,
.save {
  display: flex;
  align-items: center;
  gap: var(--space-2);
}
.add {
  max-width: 320px;
}
.rows {
  margin: var(--space-3) 0;
  border-bottom: 1px solid var(--line);
}
</style>
