<script setup lang="ts">
import { mdiTrayArrowDown } from '@mdi/js';
import { changedNamesUrl, foundNameEndpoints, type FoundNames } from '@wax-fist/contract/found-names';
import { techniqueName } from '@wax-fist/core/technique';
import { percent } from '@wax-fist/core/words';
import { computed } from 'vue';
import PageState from '../../app/PageState.vue';
import { request } from '../../app/request.ts';
import { useAnswer } from '../../app/use-answer.ts';
import { useCatalogue } from '../checklists/catalogue-store.ts';
import { foundNamesWords as words } from './words.ts';
import TextWith from '../../app/TextWith.vue';

/** How well strikes are found and named in this club’s films, by what its coaches made of them. */
const catalogue = useCatalogue();
const { value: page, failure, again } = useAnswer(() => request(foundNameEndpoints.foundNames));
const all = computed(() => {
  const names = page.value?.names ?? [];
  const sum = (of: (name: FoundNames['names'][number]) => number): number => names.reduce((sum, name) => sum + of(name), 0);
  return { strikes: sum(({ strikes }) => strikes), kept: sum(({ kept }) => kept) };
});
const missed = computed(() => (page.value?.missed ?? []).reduce((sum, { times }) => sum + times, 0));
const nameOf = (technique: string | null): string =>
  technique === null ? 'nothing' : techniqueName(catalogue.newest, technique).toLowerCase();
type Look = FoundNames['missed'][number]['look'];
const toLook = ({ filmId, strikeId, time }: Look) =>
  strikeId
    ? { name: 'bench', params: { filmId, strikeId } }
    : { name: 'hits-and-rounds', params: { filmId }, query: { at: String(Math.round(time)) } };
const sureOf = ({ from, to }: { from: number; to: number }): string =>
  from === 0 ? words.lessThan(percent(to)) : to === 1 ? words.andMore(percent(from)) : words.toFrom(percent(from), percent(to));
</script>

<template>
  <div class="page">
    <div class="page-head">
      <div>
        <h1>{{ words.namesFound }}</h1>
        <p class="quiet">
          {{ words.earAndEyeFindStrikes }}
        </p>
      </div>
      <VBtn v-if="all.strikes > 0" variant="outlined" :prepend-icon="mdiTrayArrowDown" :href="changedNamesUrl" download>{{
        words.changedNamesCsv
      }}</VBtn>
    </div>
    <PageState :failure="failure" :ready="page !== undefined" @again="again">
      <template v-if="page">
        <div v-if="all.strikes === 0" class="empty">
          {{ words.noStrikeThatWasFound }}
        </div>
        <template v-else>
          <p class="sums-up">
            <TextWith :text="words.ofNameKeptInFilm(all.strikes, page.films, missed, page.tagged)">
              <template #kept>
                <b class="number">{{ percent(all.kept / all.strikes) }}</b>
              </template>
            </TextWith>
          </p>
          <div class="tables">
            <table class="figures names">
              <thead>
                <tr>
                  <th scope="col">{{ words.foundAs }}</th>
                  <th scope="col" class="figure">{{ words.kept }}</th>
                  <th scope="col">{{ words.wasInstead }}</th>
                </tr>
              </thead>
              <tbody>
                <tr v-for="{ found, strikes, kept, otherwise } in page.names" :key="found">
                  <th scope="row">{{ nameOf(found) }}</th>
                  <td class="figure number">{{ words.ofKept(kept, strikes) }}</td>
                  <td>
                    <span v-if="otherwise.length === 0" class="quiet">–</span>
                    <RouterLink v-for="{ said, times, look } in otherwise" :key="said ?? ''" :to="toLook(look)" class="instead"
                      >{{ nameOf(said) }} <span class="number">{{ times }}×</span></RouterLink
                    >
                  </td>
                </tr>
              </tbody>
            </table>
            <div>
              <table class="figures">
                <caption>
                  {{ words.areNamesAsSureAs }}
                </caption>
                <thead>
                  <tr>
                    <th scope="col">{{ words.claimed }}</th>
                    <th scope="col" class="figure">{{ words.onAverage }}</th>
                    <th scope="col" class="figure">{{ words.kept }}</th>
                  </tr>
                </thead>
                <tbody>
                  <tr v-for="band in page.sure" :key="band.from">
                    <th scope="row">{{ sureOf(band) }}</th>
                    <td class="figure number">{{ percent(band.claimed) }}</td>
                    <td class="figure number">
                      {{ percent(band.kept) }} <small class="quiet">{{ words.ofStrikes(band.strikes) }}</small>
                    </td>
                  </tr>
                </tbody>
              </table>
              <table v-if="page.missed.length > 0" class="figures">
                <caption>
                  {{ words.taggedAndNotFound }}
                </caption>
                <tbody>
                  <tr v-for="{ technique, times, look } in page.missed" :key="technique">
                    <th scope="row">
                      <RouterLink :to="toLook(look)">{{ nameOf(technique) }}</RouterLink>
                    </th>
                    <td class="figure number">{{ times }}</td>
                  </tr>
                </tbody>
              </table>
            </div>
          </div>
        </template>
      </template>
    </PageState>
  </div>
</template>

<style scoped>
.tables {
  display: grid;
  grid-template-columns: minmax(0, 3fr) minmax(0, 2fr);
  gap: var(--space-8);
  align-items: start;
}
caption {
  text-align: left;
  font-weight: 600;
  padding: 0 0 var(--space-1-5);
}
table + table {
  margin-top: var(--space-6);
}
th[scope='row'] {
  font-size: var(--type-body);
  color: inherit;
  border-top: 1px solid var(--line);
  padding-block: var(--space-2);
}
.figure {
  white-space: nowrap;
}
.instead {
  display: inline-flex;
  align-items: center;
  gap: var(--space-1-5);
  margin-right: var(--space-4);
}
@media screen and (max-width: 899px) {
  .tables {
    grid-template-columns: minmax(0, 1fr);
  }
  .instead,
  th[scope='row'] a {
    display: inline-flex;
    align-items: center;
    min-height: 44px;
  }
}
</style>
