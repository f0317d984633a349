<script setup lang="ts">
import { messageOf } from '@wax-fist/core/message-of';
import { checklistEndpoints, techniqueShape } from '@wax-fist/contract/checklists';
import {
  checkpointLists,
  ownPrefix,
  techniqueIn,
  techniqueKindNames,
  techniqueKinds,
  type Technique,
} from '@wax-fist/core/technique';
import { reactive, ref, watch } from 'vue';
import { useRouter } from 'vue-router';
import { request } from '../../app/request.ts';
import FormDialog from '../../app/FormDialog.vue';
import { useCatalogue } from './catalogue-store.ts';
import { idFromName } from './own-id.ts';
import { checklistsWords as words } from './words.ts';

/** A technique of the club's own, begun from one that there is. */
const open = defineModel<boolean>({ required: true });
const catalogue = useCatalogue();
const router = useRouter();
const empty = () => ({ name: '', from: 'jab', kind: 'hand' as Technique['kind'], side: 'lead' as Technique['side'] });
const draft = reactive(empty());
const failure = ref<string>();
const busy = ref(false);
watch(open, (now) => now && Object.assign(draft, empty()));
watch(
  () => draft.from,
  (id) => {
    const { kind, side } = techniqueIn(catalogue.newest, id);
    Object.assign(draft, { kind, side });
  },
);

async function save(): Promise<void> {
  busy.value = true;
  failure.value = undefined;
  try {
    const model = techniqueIn(catalogue.newest, draft.from);
    const id = ownPrefix + idFromName(draft.name);
    if (catalogue.newest.techniques.has(id)) throw new Error(words.thereIsATechniqueOf);
    const asked = {
      ...model,
      id,
      name: draft.name.trim(),
      kind: draft.kind,
      side: draft.side,
      alsoSaid: [],
      checkpoints: model.checkpoints.length > 0 ? model.checkpoints : checkpointLists.base,
    };
    const technique = await techniqueShape.validate(asked);
    const edits = await catalogue.editsAt(catalogue.version);
    const next = { ...edits, techniques: [...edits.techniques, technique] };
    await request(checklistEndpoints.saveChecklists, {
      body: { basedOn: catalogue.version, note: words.newName(technique.name), edits: next as never },
    });
    await catalogue.again();
    open.value = false;
    await router.push({ name: 'technique', params: { technique: id } });
  } catch (error) {
    failure.value = messageOf(error);
  } finally {
    busy.value = false;
  }
}
const names = () => [...catalogue.newest.techniques.values()].map(({ id, name }) => ({ value: id, title: name }));
</script>

<template>
  <FormDialog
    v-model="open"
    :title="words.aTechniqueOfOurOwn"
    :failure="failure"
    :busy="busy"
    :save-name="words.addIt"
    @save="save"
  >
    <VTextField v-model="draft.name" :label="words.name" maxlength="60" />
    <VAutocomplete v-model="draft.from" :items="names()" :label="words.beginWithTheChecklistOf" />
    <VSelect
      v-model="draft.kind"
      :items="techniqueKinds.map((kind) => ({ value: kind, title: techniqueKindNames[kind] }))"
      :label="words.kind"
    />
    <VSelect v-model="draft.side" :items="['lead', 'rear', 'both']" :label="words.side" />
  </FormDialog>
</template>
