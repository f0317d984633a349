<script setup lang="ts">
import { correctionEndpoints, type WantedCorrections } from '@wax-fist/contract/corrections';
import { rungs } from '@wax-fist/core/correction';
import { families, familyNames } from '@wax-fist/core/technique';
import { computed, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { request } from '../../app/request.ts';
import PageState from '../../app/PageState.vue';
import MoreRows from '../../app/MoreRows.vue';
import { usePages } from '../../app/use-pages.ts';
import { localDay } from '@wax-fist/core/words';
import CorrectionLine from './CorrectionLine.vue';
import ManyCorrections from './ManyCorrections.vue';
import { correctionsWords as words } from './words.ts';

/** Corrections of all trainees, those due first; the address holds what is shown, so that it can be sent and come back to. */
const route = useRoute();
const router = useRouter();
const lists = {
  due: { name: words.due, ask: () => ({ state: 'open', dueBy: localDay() }), none: words.nothingIsDueEverybodyHas },
  open: {
    name: words.allOpen,
    ask: () => ({ state: 'open' }),
    none: words.noCorrectionIsOpenA,
  },
  stuck: { name: words.stuck, ask: () => ({ stuck: 'yes' }), none: words.nobodyIsStuckEverythingHas },
  relapsed: { name: words.relapsed, ask: () => ({ state: 'relapsed' }), none: words.nothingHasComeBack },
  kept: { name: words.kept, ask: () => ({ state: 'kept' }), none: words.nothingIsKeptYetIt },
  closed: { name: words.closed, ask: () => ({ state: 'closed' }), none: words.nothingIsClosed },
} as const satisfies Record<string, { name: string; ask: () => WantedCorrections; none: string }>;
type List = keyof typeof lists;

const list = computed((): List => (Object.hasOwn(lists, String(route.query.list)) ? (route.query.list as List) : 'due'));
const rung = computed(() => rungs.find((one) => String(one.rung) === route.query.rung)?.rung);
const family = computed(() => families.find((one) => one === route.query.family));
const show = (change: Record<string, string | number | undefined | null>): void =>
  void router.replace({ query: { ...route.query, ...change } });

const { rows, failure, hasMore, loading, more, again } = usePages((query) =>
  request(correctionEndpoints.listCorrections, {
    query: { ...query, ...lists[list.value].ask(), rung: rung.value, family: family.value },
  }),
);
watch([list, rung, family], again);

const chosen = ref<string[]>([]);
const inHand = computed(() => rows.value?.filter(({ id }) => chosen.value.includes(id)) ?? []);
const allChosen = computed({
  get: () => inHand.value.length > 0 && inHand.value.length === rows.value?.length,
  set: (all) => (chosen.value = all ? (rows.value?.map(({ id }) => id) ?? []) : []),
});
async function changed(): Promise<void> {
  chosen.value = [];
  await again();
}
</script>

<template>
  <div class="page">
    <div class="page-head">
      <h1>{{ words.corrections }}</h1>
      <VSelect
        :model-value="rung ?? null"
        :items="[
          { value: null, title: words.anyRung },
          ...rungs.map((one) => ({ value: one.rung, title: `${one.rung}: ${one.name}` })),
        ]"
        :label="words.rung"
        density="compact"
        hide-details
        class="narrow"
        @update:model-value="show({ rung: $event ?? undefined })"
      />
      <VSelect
        :model-value="family ?? null"
        :items="[{ value: null, title: words.any }, ...families.map((one) => ({ value: one, title: familyNames[one] }))]"
        :label="words.family"
        density="compact"
        hide-details
        class="narrow"
        @update:model-value="show({ family: $event ?? undefined })"
      />
    </div>
    <nav class="lists" :aria-label="words.whichCorrections">
      <RouterLink
        v-for="(one, id) in lists"
        :key="id"
        :to="{ query: { ...route.query, list: id } }"
        replace
        :aria-current="id === list ? 'page' : undefined"
        >{{ one.name }}</RouterLink
      >
    </nav>
    <PageState :failure="failure" :ready="rows !== undefined" @again="again">
      <template v-if="rows!.length > 0">
        <div class="many">
          <VCheckbox v-model="allChosen" :label="words.all" density="compact" hide-details />
          <ManyCorrections v-if="inHand.length > 0" :corrections="inHand" :changed="changed" />
        </div>
        <ul class="list">
          <CorrectionLine v-for="one in rows" :key="one.id" :correction="one" with-name>
            <template #before>
              <VCheckbox v-model="chosen" :value="one.id" :aria-label="words.chooseCue(one.cue)" density="compact" hide-details />
            </template>
          </CorrectionLine>
        </ul>
      </template>
      <div v-else class="empty">{{ lists[list].none }}</div>
      <MoreRows :has-more="hasMore" :loading="loading" :shown="rows!.length" @more="more" />
    </PageState>
  </div>
</template>

<style scoped>
.narrow {
  flex: 0 1 220px;
}
.lists {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-1) var(--space-4);
  margin-bottom: var(--space-2);
}
@media screen and (max-width: 899px) {
  .lists a {
    min-height: 44px;
    min-width: 44px;
    display: inline-flex;
    align-items: center;
  }
}
.lists a {
  color: inherit;
  text-decoration: none;
  padding: var(--space-2) var(--space-0-5);
  border-bottom: 3px solid transparent;
}
.lists a[aria-current] {
  font-weight: 700;
  border-bottom-color: rgb(var(--v-theme-primary));
}
.many {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: var(--space-2) var(--space-4);
  min-height: 48px;
  padding: 0 0 var(--space-2) var(--space-1);
}
.many > :first-child {
  flex: none;
}
</style>
