<script setup lang="ts">
import { mdiContentSave, mdiHandFrontRight } from '@mdi/js';
import { everyRow } from '@wax-fist/contract/page';
import { planEndpoints } from '@wax-fist/contract/plans';
import { traineeEndpoints } from '@wax-fist/contract/trainees';
import { needsHolder, partLength, partStarts, type MadePlan } from '@wax-fist/core/plan';
import { clockTime } from '@wax-fist/core/words';
import { computed } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { useNotice } from '../../app/notice-store.ts';
import PageState from '../../app/PageState.vue';
import { request } from '../../app/request.ts';
import { useAnswer } from '../../app/use-answer.ts';
import KitFields from './KitFields.vue';
import { partSigns } from './part-sign.ts';
import { usePair } from './use-pair.ts';
import { plansWords as words } from './words.ts';

/** Two trainees and one holder: side by side by the clock, nobody held for while the other is. */
const route = useRoute();
const router = useRouter();
const notice = useNotice();
const {
  value: trainees,
  failure,
  again,
} = useAnswer(() => everyRow((query) => request(traineeEndpoints.listTrainees, { query })));
const asText = (value: unknown): string => (typeof value === 'string' ? value : '');
const ids = computed<readonly [string, string]>(() => [asText(route.query.first), asText(route.query.second)]);
const choose = (which: 'first' | 'second', id: string | null): void =>
  void router.replace({ query: { ...route.query, [which]: id ?? undefined } });
const pair = usePair(ids);
const { asked, grounds, made, trouble, busy } = pair;

const lanes = computed(() =>
  [made.value?.first, made.value?.second].flatMap((plan, place) =>
    plan ? [laneOf(plan, grounds.value![place]!.trainee.name)] : [],
  ),
);
function laneOf(plan: MadePlan, name: string) {
  const starts = partStarts(plan.parts, plan.change);
  const rows = plan.parts.map((part, place) => ({
    part,
    from: starts[place]!,
    to: starts[place]! + partLength(part),
    held: needsHolder(part, pair.drills.drills),
  }));
  return { name, rows, leftOut: plan.leftOut };
}
async function keep(): Promise<void> {
  const kept = await pair.keep();
  if (kept.length < 2) return;
  notice.say(words.bothSessionsArePlanned, async () => {
    for (const planId of kept) await request(planEndpoints.removePlan, { params: { planId } });
  });
  await router.push({ name: 'floor', query: { week: asked.plannedOn } });
}
</script>

<template>
  <div class="page">
    <div class="page-head">
      <h1>{{ words.twoWithOneHolder }}</h1>
      <span v-if="made" class="acts">
        <VBtn color="primary" :prepend-icon="mdiContentSave" :loading="busy" @click="keep">{{ words.keepBoth }}</VBtn>
      </span>
    </div>
    <PageState :failure="failure" :ready="trainees !== undefined" @again="again">
      <form class="asked" @submit.prevent>
        <VAutocomplete
          v-for="which in ['first', 'second'] as const"
          :key="which"
          :model-value="ids[which === 'first' ? 0 : 1] || null"
          :items="trainees!.filter(({ id }) => id !== ids[which === 'first' ? 1 : 0])"
          item-value="id"
          item-title="name"
          :label="which === 'first' ? words.who : words.andWho"
          density="compact"
          hide-details
          class="who"
          @update:model-value="(id: string | null) => choose(which, id)"
        />
        <VTextField v-model="asked.plannedOn" :label="words.day" type="date" density="compact" hide-details />
        <KitFields :asked="asked" holds />
      </form>
      <p v-if="trouble" class="text-error" role="alert">{{ trouble }}</p>
      <div v-if="!ids[0] || !ids[1]" class="empty">
        {{ words.chooseTwoEachGetsA }}
      </div>
      <p v-else-if="!made && !trouble" role="status">{{ words.planningBoth }}</p>
      <div v-if="made" class="lanes">
        <section v-for="lane in lanes" :key="lane.name" :aria-label="lane.name">
          <h2>{{ lane.name }}</h2>
          <ol v-if="lane.rows.length > 0">
            <li v-for="{ part, from, to, held } in lane.rows" :key="part.id" :class="{ held, wait: part.kind === 'wait' }">
              <span class="number">{{ clockTime(from) }} – {{ clockTime(to) }}</span>
              <span
                ><VIcon :icon="partSigns[part.kind]" size="18" /> <b>{{ part.title }}</b>
                <small
                  >{{ part.rounds }} × {{ clockTime(part.work) }},
                  {{ part.on === 'shadowboxing' ? words.inTheAir : part.on }}</small
                ></span
              >
              <VIcon v-if="held" :icon="mdiHandFrontRight" size="20" :aria-label="words.heldFor" />
            </li>
          </ol>
          <p v-else class="empty">{{ words.noSession(lane.leftOut[0]?.why ?? '') }}</p>
          <ul v-if="lane.leftOut.length > 0" class="left quiet">
            <li v-for="one in lane.leftOut" :key="one.what">{{ one.what }}: {{ one.why }}</li>
          </ul>
        </section>
      </div>
    </PageState>
  </div>
</template>

<style scoped>
.asked {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2);
}
.asked > * {
  flex: 0 1 176px;
}
.asked .who {
  flex: 1 1 200px;
}
.empty {
  margin-top: var(--space-4);
}
.lanes {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(340px, 100%), 1fr));
  gap: var(--space-6);
}
ol li {
  display: grid;
  grid-template-columns: 116px minmax(0, 1fr) auto;
  gap: var(--space-2);
  padding: var(--space-2) var(--space-3);
  margin-bottom: var(--space-1);
  background: rgb(var(--v-theme-surface));
  border-left: 4px solid var(--line);
}
ol .held {
  border-left-color: rgb(var(--v-theme-primary));
}
ol .wait {
  background: none;
  border-left-style: dashed;
}
small {
  display: block;
  font-size: var(--type-small);
}
.left {
  margin-top: var(--space-2);
  font-size: var(--type-text);
}
</style>
