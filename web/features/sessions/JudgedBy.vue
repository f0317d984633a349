<script setup lang="ts">
import { messageOf } from '@wax-fist/core/message-of';
import { sessionEndpoints, type SessionDetail } from '@wax-fist/contract/sessions';
import { differencesOfEdits, differencesOfSchools, type ChecklistDifference } from '@wax-fist/core/technique';
import { computed, ref, shallowRef, watch } from 'vue';
import { request } from '../../app/request.ts';
import FormDialog from '../../app/FormDialog.vue';
import { useCatalogue } from '../checklists/catalogue-store.ts';
import SchoolDifferences from '../schools/SchoolDifferences.vue';
import { useAccount } from '../accounts/account-store.ts';

const account = useAccount();
/** By which school and which checklists a session is judged, and the way to another, with what that would change. */
const { session } = defineProps<{ session: SessionDetail }>();
const emit = defineEmits<{ changed: [] }>();
const catalogue = useCatalogue();
const open = ref(false);
const schoolId = ref<string>();
const newest = ref(false);
const failure = ref<string>();
const busy = ref(false);
const ofEdits = shallowRef<ChecklistDifference[]>([]);
const older = computed(() => session.checklistVersion < catalogue.version);
const chosen = computed(() => catalogue.schools.find(({ id }) => id === schoolId.value));
watch(open, async (now) => {
  if (!now) return;
  schoolId.value = catalogue.schools.find(({ name }) => name === session.judgedBy.name)?.id ?? catalogue.schools[0]?.id;
  newest.value = false;
  ofEdits.value = [];
  if (!older.value) return;
  const both = [session.checklistVersion, catalogue.version].map((version) => catalogue.editsAt(version));
  await Promise.all(both).then(
    ([before, after]) => (ofEdits.value = differencesOfEdits(before!, after!)),
    (error: unknown) => (failure.value = messageOf(error)),
  );
});
const differences = computed(() => [
  ...(chosen.value ? differencesOfSchools(catalogue.newest, session.judgedBy, chosen.value) : []),
  ...(newest.value ? ofEdits.value : []),
]);

async function save(): Promise<void> {
  busy.value = true;
  failure.value = undefined;
  try {
    const body = { schoolId: schoolId.value!, newest: newest.value };
    await request(sessionEndpoints.judgeSessionBy, { params: { sessionId: session.id }, body });
    open.value = false;
    emit('changed');
  } catch (error) {
    failure.value = messageOf(error);
  } finally {
    busy.value = false;
  }
}
</script>

<template>
  <p class="judged">
    Judged by <b>{{ session.judgedBy.name }}</b>, checklists of version
    <b class="number">{{ session.checklistVersion }}</b><template v-if="older"> (the newest is {{ catalogue.version }})</template
    >.
    <button v-if="account.judges" type="button" class="no-print" @click="open = true">Judge by another</button>
  </p>
  <FormDialog v-model="open" title="Judge this session by" :failure="failure" :busy="busy" save-name="Judge by it" @save="save">
    <VSelect v-model="schoolId" :items="catalogue.schoolItems" label="School" />
    <VCheckbox
      v-if="older"
      v-model="newest"
      :label="`With the newest checklists, version ${catalogue.version}`"
      density="compact"
    />
    <h3>What would change</h3>
    <SchoolDifferences :differences="differences" />
    <p class="quiet">Verdicts that were given stay as they are; bands, texts and proposals change.</p>
  </FormDialog>
</template>

<style scoped>
.judged button {
  text-decoration: underline;
}
h3 {
  font-size: var(--type-body);
}
</style>
