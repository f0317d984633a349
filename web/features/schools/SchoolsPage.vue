<script setup lang="ts">
import { messageOf } from '@wax-fist/core/message-of';
import { mdiContentCopy, mdiDeleteOutline } from '@mdi/js';
import { schoolEndpoints, type SavedSchool } from '@wax-fist/contract/schools';
import { chosen, differencesOfSchools, fixedFaults, switches, type School } from '@wax-fist/core/technique';
import { v7 as uuid } from 'uuid';
import { computed, onMounted, ref, watch } from 'vue';
import { useNotice } from '../../app/notice-store.ts';
import { request } from '../../app/request.ts';
import { useAccount } from '../accounts/account-store.ts';
import { useCatalogue } from '../checklists/catalogue-store.ts';
import SchoolDifferences from './SchoolDifferences.vue';
import { schoolsWords as words } from './words.ts';
import TextWith from '../../app/TextWith.vue';

/** Where coaches differ: every switch with both reasons, and what a change would do before it is made. */
const catalogue = useCatalogue();
const mayChange = computed(() => useAccount().may(schoolEndpoints.saveSchool));
const notice = useNotice();
const failure = ref<string>();
const pickedId = ref<string>();
/** A school while it is changed; undefined while one is looked at. */
const draft = ref<SavedSchool>();
onMounted(() => void carefully(catalogue.again));

async function carefully(act: () => Promise<unknown>): Promise<void> {
  failure.value = undefined;
  await act().catch((error: unknown) => (failure.value = messageOf(error)));
}
const club = computed(() => catalogue.schools.find(({ clubDefault }) => clubDefault));
const picked = computed(() => catalogue.schools.find(({ id }) => id === pickedId.value) ?? club.value);
const shown = computed(() => draft.value ?? picked.value);
watch(pickedId, () => (draft.value = undefined));

const asSchool = ({ name, choices }: SavedSchool): School => ({ name, choices });
/** Against the school as it stood while one is changed, else against the club's. */
const against = computed(() => (draft.value ? picked.value : club.value));
const differences = computed(() =>
  shown.value && against.value ? differencesOfSchools(catalogue.newest, asSchool(against.value), asSchool(shown.value)) : [],
);

function copy(): void {
  const { name, choices, bookId } = picked.value!;
  draft.value = { id: uuid(), name: words.ourWay(name), choices: { ...choices }, bookId, ready: false, clubDefault: false };
}
const change = (): void => void (draft.value = structuredClone({ ...picked.value!, choices: { ...picked.value!.choices } }));
async function keep({ id, name, choices, bookId }: SavedSchool): Promise<void> {
  await request(schoolEndpoints.saveSchool, { params: { schoolId: id }, body: { id, name, choices, bookId } });
  await catalogue.again();
  pickedId.value = id;
}
const save = () =>
  carefully(async () => {
    const school = draft.value!;
    await keep(school);
    draft.value = undefined;
    notice.say(words.isSavedSessionsThatWere(school.name));
  });
async function goBy({ id }: SavedSchool): Promise<void> {
  await request(schoolEndpoints.makeClubDefault, { params: { schoolId: id } });
  await catalogue.again();
}
const makeDefault = () =>
  carefully(async () => {
    const before = club.value;
    await goBy(picked.value!);
    notice.say(words.theClubGoesByNow(picked.value!.name), before && (() => goBy(before)));
  });
const remove = () =>
  carefully(async () => {
    const school = picked.value!;
    await request(schoolEndpoints.removeSchool, { params: { schoolId: school.id } });
    pickedId.value = undefined;
    await catalogue.again();
    notice.say(words.isRemoved(school.name), () => keep(school));
  });
</script>

<template>
  <div class="page">
    <div class="page-head">
      <div>
        <h1>{{ words.schools }}</h1>
        <p class="quiet">{{ words.whereGoodCoachesDifferA }}</p>
      </div>
      <VSelect
        v-if="!draft"
        :model-value="picked?.id"
        :items="
          catalogue.schools.map(({ id, name, clubDefault }) => ({
            value: id,
            title: clubDefault ? words.theClubs(name) : name,
          }))
        "
        :label="words.school"
        density="compact"
        hide-details
        class="pick"
        @update:model-value="pickedId = $event"
      />
      <VTextField v-else v-model="draft.name" :label="words.name" density="compact" hide-details class="pick" maxlength="120" />
    </div>
    <VAlert v-if="failure" type="warning" variant="tonal" density="compact" role="alert" class="mb-3">{{ failure }}</VAlert>
    <div v-if="shown" class="page-columns">
      <section :aria-label="words.switches">
        <VRadioGroup
          v-for="{ id, name, question, choices } in switches"
          :key="id"
          :model-value="chosen(asSchool(shown), id).id"
          :readonly="!draft"
          class="switch"
          density="compact"
          hide-details
          @update:model-value="draft && $event && (draft.choices[id] = $event)"
        >
          <template #label>
            <span><b>{{ name }}</b> {{ question }}</span>
          </template>
          <VRadio v-for="choice in choices" :key="choice.id" :value="choice.id" color="primary">
            <template #label>
              <span><b>{{ choice.name }}.</b> {{ choice.reason }}</span>
            </template>
          </VRadio>
        </VRadioGroup>
        <VRadioGroup
          :model-value="shown.bookId"
          :readonly="!draft"
          class="switch"
          density="compact"
          hide-details
          @update:model-value="draft && $event && (draft.bookId = $event)"
        >
          <template #label>
            <span>
              <TextWith :text="words.whichBookIsCountedBy">
                <template #field>
                  <b>{{ words.numbers }}</b>
                </template>
              </TextWith>
            </span>
          </template>
          <VRadio v-for="{ id, name } in catalogue.books" :key="id" :value="id" :label="name" color="primary" />
        </VRadioGroup>
      </section>
      <aside>
        <div class="acts">
          <template v-if="draft">
            <VBtn color="primary" @click="save">{{ words.saveThisSchool }}</VBtn>
            <VBtn variant="text" @click="draft = undefined">{{ words.leaveIt }}</VBtn>
          </template>
          <p v-else-if="!mayChange" class="quiet">{{ words.theHeadCoachSaysBy }}</p>
          <template v-else-if="picked">
            <VBtn v-if="!picked.clubDefault" color="primary" @click="makeDefault">{{ words.makeItTheClubs }}</VBtn>
            <VBtn v-if="!picked.ready" variant="outlined" @click="change">{{ words.change }}</VBtn>
            <VBtn variant="outlined" :prepend-icon="mdiContentCopy" @click="copy">{{ words.copyAndChange }}</VBtn>
            <VBtn
              v-if="!picked.ready && !picked.clubDefault"
              :icon="mdiDeleteOutline"
              variant="text"
              size="small"
              :aria-label="words.removeThisSchool"
              @click="remove"
            />
          </template>
        </div>
        <h2>{{ words.whatWouldChange }}</h2>
        <p v-if="!draft && picked?.clubDefault" class="quiet">
          {{ words.theClubGoesByThis }}
        </p>
        <template v-else>
          <p class="quiet">
            {{ words.againstChange(against?.name ?? '', draft ? words.asItIs : words.whichTheClubGoesBy, differences.length) }}
          </p>
          <SchoolDifferences :differences="differences" />
        </template>
        <h2>{{ words.aFaultInEverySchool }}</h2>
        <ul class="fixed bulleted">
          <li v-for="{ says } in fixedFaults" :key="says">{{ says }}</li>
        </ul>
      </aside>
    </div>
  </div>
</template>

<style scoped>
.page-head {
  align-items: flex-end;
}
.pick {
  flex: 0 1 300px;
}
.switch {
  border-top: 1px solid var(--line);
  padding: var(--space-2) 0 var(--space-2);
}
/* What a school has not chosen is there to be read, and steps back. */
.switch :deep(.v-label) {
  opacity: 1;
}
.switch :deep(.v-input__control > .v-label) {
  margin-inline-start: 0;
  white-space: normal;
}
.switch :deep(.v-selection-control:not(.v-selection-control--dirty) .v-label) {
  color: var(--quiet);
}
.acts {
  margin-bottom: var(--space-4);
}
h2 {
  font-size: var(--type-lead);
  margin-top: var(--space-3);
}
aside {
  position: sticky;
  top: 72px;
  align-self: start;
}
.fixed {
  font-size: var(--type-text);
}
@media screen and (max-width: 899px) {
  .switch :deep(.v-selection-control) {
    min-height: 44px;
  }
}
@media screen and (max-width: 999px) {
  aside {
    position: static;
  }
}
</style>
