<script setup lang="ts">
import { messageOf } from '@wax-fist/core/message-of';
import { checklistEndpoints } from '@wax-fist/contract/checklists';
import { mdiAccountMultipleCheckOutline, mdiMagnify, mdiNumeric, mdiPlus, mdiRulerSquare, mdiSourceBranch } from '@mdi/js';
import {
  chosen,
  findInCatalogue,
  readySchools,
  techniqueKindNames,
  techniqueKinds,
  techniquesWith,
  termOf,
  type School,
  techniqueName,
} from '@wax-fist/core/technique';
import { computed, onMounted, ref } from 'vue';
import { useRouter } from 'vue-router';
import { useAccount } from '../accounts/account-store.ts';
import { useCatalogue } from './catalogue-store.ts';
import FamilySign from './FamilySign.vue';
import OwnTechniqueDialog from './OwnTechniqueDialog.vue';
import VersionPanel from './VersionPanel.vue';
import { vTakeFocus } from '../../app/take-focus.ts';
import { checklistsWords as words } from './words.ts';
import TextWith from '../../app/TextWith.vue';

/** Everything that can be thrown and looked at: found by any name, browsed by kind. */
const catalogue = useCatalogue();
const mayChange = computed(() => useAccount().may(checklistEndpoints.saveChecklists));
const router = useRouter();
const typed = ref('');
const adding = ref(false);
const failure = ref<string>();
onMounted(() => void catalogue.again().catch((error: unknown) => (failure.value = messageOf(error))));

const club = computed<School>(() => catalogue.schools.find(({ clubDefault }) => clubDefault) ?? readySchools[0]);
const most = 12;
const found = computed(() =>
  findInCatalogue(catalogue.newest, typed.value, club.value)
    .slice(0, most)
    .map((one) => ({
      ...one,
      family: catalogue.newest.checkpoints.get(one.id)?.family,
      techniques: one.kind === 'checkpoint' ? techniquesWith(catalogue.newest, one.id) : [one.id],
    })),
);
const byKind = computed(() =>
  techniqueKinds
    .map((kind) => ({
      kind,
      techniques: [...catalogue.newest.techniques.values()]
        .filter((technique) => technique.kind === kind)
        .map(({ id, name }) => ({ id, name: termOf(club.value, id) ?? name, changed: catalogue.newest.edited.has(id) })),
    }))
    .filter(({ techniques }) => techniques.length > 0),
);
const first = (): void => {
  const [nearest] = found.value;
  if (nearest?.techniques[0]) void router.push({ name: 'technique', params: { technique: nearest.techniques[0] } });
};
</script>

<template>
  <div class="page">
    <div class="page-head">
      <h1>{{ words.checklists }}</h1>
      <VTextField
        v-model="typed"
        v-take-focus
        :prepend-inner-icon="mdiMagnify"
        :label="words.findATechniqueAFault"
        :placeholder="words.roundhouseLazyHandTouchHome"
        density="compact"
        hide-details
        clearable
        class="find"
        @keydown.enter="first"
      />
      <VBtn variant="outlined" :prepend-icon="mdiSourceBranch" :to="{ name: 'schools' }">{{ words.schools }}</VBtn>
      <VBtn variant="outlined" :prepend-icon="mdiNumeric" :to="{ name: 'call-books' }">{{ words.callBooks }}</VBtn>
      <VBtn variant="outlined" :prepend-icon="mdiAccountMultipleCheckOutline" :to="{ name: 'reviewing' }">{{
        words.howWeReview
      }}</VBtn>
      <VBtn variant="outlined" :prepend-icon="mdiRulerSquare" :to="{ name: 'measures' }">{{ words.measures }}</VBtn>
      <VBtn v-if="mayChange" variant="outlined" :prepend-icon="mdiPlus" @click="adding = true">{{
        words.aTechniqueOfOurOwn
      }}</VBtn>
    </div>
    <VAlert v-if="failure" type="warning" variant="tonal" role="alert" class="mb-4">{{ failure }}</VAlert>

    <section v-if="typed" :aria-label="words.found">
      <p v-if="found.length === 0" class="empty">{{ words.nothingIsCalledSoTry }}</p>
      <ul class="found">
        <li v-for="one in found" :key="`${one.kind} ${one.id}`">
          <FamilySign v-if="one.family" :family="one.family" />
          <RouterLink v-if="one.kind === 'technique'" :to="{ name: 'technique', params: { technique: one.id } }" class="name">{{
            one.name
          }}</RouterLink>
          <span v-else class="name">{{ one.name }}</span>
          <span class="quiet">{{ one.by }}</span>
          <span v-if="one.kind === 'checkpoint'" class="in">
            <TextWith :text="words.inTechniques(one.techniques.length > 4 ? words.andMore(one.techniques.length - 4) : '')">
              <template #place>
                <template v-for="(id, place) in one.techniques.slice(0, 4)" :key="id"
                  ><RouterLink :to="{ name: 'technique', params: { technique: id }, hash: `#${one.id}` }">{{
                    techniqueName(catalogue.newest, id)
                  }}</RouterLink
                  >{{ place < Math.min(3, one.techniques.length - 1) ? ', ' : '' }}</template
                >
              </template>
            </TextWith>
          </span>
        </li>
      </ul>
    </section>

    <template v-else>
      <p class="quiet lead">
        <TextWith
          :text="
            words.techniqueAndCheckpointsAs(
              catalogue.newest.techniques.size,
              catalogue.newest.checkpoints.size,
              chosen(club, 'guard-line').name.toLowerCase(),
              chosen(club, 'arm').name.toLowerCase(),
            )
          "
        >
          <template #link>
            <RouterLink :to="{ name: 'schools' }">{{ club.name }}</RouterLink>
          </template>
        </TextWith>
      </p>
      <div class="kinds">
        <section v-for="{ kind, techniques } in byKind" :key="kind">
          <h2>{{ techniqueKindNames[kind] }}</h2>
          <ul>
            <li v-for="{ id, name, changed } in techniques" :key="id">
              <RouterLink :to="{ name: 'technique', params: { technique: id } }">{{ name }}</RouterLink>
              <small v-if="changed" class="quiet ml-1">{{ words.changedByUs }}</small>
            </li>
          </ul>
        </section>
      </div>
      <VersionPanel />
    </template>
    <OwnTechniqueDialog v-model="adding" />
  </div>
</template>

<style scoped>
.page-head {
  align-items: center;
}
.find {
  flex: 1 1 300px;
  max-width: 460px;
}
.lead {
  margin-bottom: var(--space-4);
}
.kinds {
  columns: 4 210px;
  column-gap: var(--space-8);
}
.kinds section {
  break-inside: avoid;
  margin-bottom: var(--space-5);
}
h2 {
  margin-top: 0;
  font-size: var(--type-body);
  border-bottom: 2px solid rgb(var(--v-theme-primary));
  padding-bottom: var(--space-0-5);
  margin-bottom: var(--space-1);
}
.kinds li {
  padding: var(--space-0-5) 0;
}
.found li {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-1) var(--space-3);
  align-items: baseline;
  padding: var(--space-2) var(--space-1);
  border-bottom: 1px solid var(--line);
}
.name {
  font-weight: 700;
}
.in {
  margin-left: auto;
  text-align: right;
}
@media screen and (max-width: 899px) {
  .kinds a {
    display: block;
    padding: var(--space-2) 0;
  }
  .in {
    margin-left: 0;
    text-align: left;
  }
}
</style>
