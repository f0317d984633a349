<script setup lang="ts">
import { messageOf } from '@wax-fist/core/message-of';
import { checklistEndpoints } from '@wax-fist/contract/checklists';
import { mdiPencil } from '@mdi/js';
import {
  familyNames,
  strikeFamilies,
  type StrikeFamily,
  techniqueKindNames,
  termOf,
  usualSchool,
  wholeChecklist,
  type School,
  checkpointName,
} from '@wax-fist/core/technique';
import { computed, onMounted, ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { useAccount } from '../accounts/account-store.ts';
import { useCatalogue } from './catalogue-store.ts';
import ChecklistEditor from './ChecklistEditor.vue';
import ChecklistRows from './ChecklistRows.vue';
import { checklistsWords as words } from './words.ts';
import TextWith from '../../app/TextWith.vue';

/** One technique: what is looked at, why, and by which bands, as a school judges it. */
const { technique } = defineProps<{ technique: string }>();
const catalogue = useCatalogue();
const mayChange = computed(() => useAccount().may(checklistEndpoints.saveChecklists));
const route = useRoute();
const router = useRouter();
const editing = ref(false);
const failure = ref<string>();
onMounted(() => void catalogue.again().catch((error: unknown) => (failure.value = messageOf(error))));

const found = computed(() => catalogue.newest.techniques.get(technique));
const club = computed(() => catalogue.schools.find(({ clubDefault }) => clubDefault));
const schoolId = computed({
  get: () => (route.query.school as string | undefined) ?? club.value?.id,
  set: (id) => void router.replace({ query: id === club.value?.id ? {} : { school: id } }),
});
const school = computed<School>(() => catalogue.schools.find(({ id }) => id === schoolId.value) ?? club.value ?? usualSchool);
const rows = computed(() => (found.value ? wholeChecklist(catalogue.newest, technique, school.value) : []));
const chain = computed(() => (found.value?.chain ?? []).map((id) => checkpointName(catalogue.newest, id).toLowerCase()));
/** Families that are not looked at, those with one reason together. */
const without = computed(() => {
  const byReason = new Map<string, StrikeFamily[]>();
  for (const family of strikeFamilies) {
    const reason = found.value?.without[family];
    if (reason) byReason.set(reason, [...(byReason.get(reason) ?? []), family]);
  }
  return [...byReason];
});
</script>

<template>
  <div class="page">
    <VAlert v-if="failure" type="warning" variant="tonal" role="alert" class="mb-4">{{ failure }}</VAlert>
    <p v-if="!found" class="empty">
      {{ words.thereIsNoTechniqueOf }} <RouterLink :to="{ name: 'checklists' }">{{ words.toTheChecklists }}</RouterLink>
    </p>
    <template v-else>
      <div class="page-head">
        <div>
          <p class="quiet">
            <RouterLink :to="{ name: 'checklists' }">{{ words.checklists }}</RouterLink> · {{ techniqueKindNames[found.kind] }}
          </p>
          <h1>{{ termOf(school, technique) ?? found.name }}</h1>
          <p class="quiet">
            <TextWith :text="words.rangeSide(found.side === 'both' ? words.bothSides : words.sideSide(found.side), found.range)">
              <template #zones>
                <template v-if="found.zones.length > 0">{{ words.toZones(found.zones.join(', ')) }}</template>
              </template>
              <template #alsoSaid>
                <template v-if="found.alsoSaid.length > 0">{{ words.alsoSaid(found.alsoSaid.join(', ')) }}</template>
              </template>
            </TextWith>
          </p>
        </div>
        <VSelect
          v-if="!editing"
          v-model="schoolId"
          :items="catalogue.schoolItems"
          :disabled="catalogue.schools.length === 0"
          :label="words.asJudgedBy"
          density="compact"
          hide-details
          class="school no-print"
        />
        <VBtn v-if="!editing && mayChange" color="primary" :prepend-icon="mdiPencil" class="no-print" @click="editing = true">{{
          words.change
        }}</VBtn>
      </div>
      <ChecklistEditor v-if="editing" :technique="technique" @done="editing = false" />
      <template v-else>
        <div class="about">
          <p v-if="chain.length > 1">
            <b>{{ words.oneThingLeadsToAnother }}</b>
            {{ chain.join(' → ') }}
          </p>
          <p v-if="found.risk"><b>{{ words.mind }}</b> {{ found.risk }}</p>
          <p v-for="[reason, families] in without" :key="reason" class="quiet">
            {{ words.noFamilies(families.map((family) => familyNames[family].toLowerCase()).join(', '), reason) }}
          </p>
        </div>
        <ChecklistRows :rows="rows" :catalogue="catalogue.newest" :technique="technique" :school="school" />
      </template>
    </template>
  </div>
</template>

<style scoped>
.page-head {
  align-items: flex-end;
}
.school {
  flex: 0 1 220px;
}
.about {
  margin-bottom: var(--space-3);
}
</style>
