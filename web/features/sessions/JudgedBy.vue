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
import { sessionsWords as words } from './words.ts';
import TextWith from '../../app/TextWith.vue';

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
    <TextWith :text="words.judgedByChecklistsOfVersion">
      <template #name>
        <b>{{ session.judgedBy.name }}</b>
      </template>
      <template #checklistVersion>
        <b class="number">{{ session.checklistVersion }}</b>
      </template>
      <template #newest>
        <template v-if="older">{{ words.theNewestIs(catalogue.version) }}</template>
      </template>
      <template #change>
        <button v-if="account.judges" type="button" class="no-print" @click="open = true">{{ words.judgeByAnother }}</button>
      </template>
    </TextWith>
  </p>
  <FormDialog
    v-model="open"
    :title="words.judgeThisSessionBy"
    :failure="failure"
    :busy="busy"
    :save-name="words.judgeByIt"
    @save="save"
  >
    <VSelect v-model="schoolId" :items="catalogue.schoolItems" :label="words.school" />
    <VCheckbox v-if="older" v-model="newest" :label="words.withTheNewestChecklistsVersion(catalogue.version)" density="compact" />
    <h3>{{ words.whatWouldChange }}</h3>
    <SchoolDifferences :differences="differences" />
    <p class="quiet">{{ words.verdictsThatWereGivenStay }}</p>
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
