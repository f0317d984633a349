<script setup lang="ts">
import type { Report } from '@wax-fist/core/report';
import { wholeDay } from '@wax-fist/core/words';
import SpanBand from '../../app/SpanBand.vue';
import FamilySign from '../checklists/FamilySign.vue';
import LevelChart from '../corrections/LevelChart.vue';
import { reportsWords as words } from './words.ts';

/** A report as it is read on the page and printed. */
defineProps<{ report: Report }>();
defineEmits<{ pick: [sessionId: string] }>();
</script>

<template>
  <article class="report">
    <header>
      <p class="quiet">{{ report.title }}</p>
      <h1>{{ report.name }}</h1>
      <p>{{ report.covers }}</p>
    </header>
    <section v-for="(part, place) in report.sections" :key="place">
      <h2>
        <FamilySign v-if="part.family" :family="part.family" />
        {{ part.heading }}
      </h2>
      <p v-for="text in part.says" :key="text">{{ text }}</p>
      <dl v-if="part.facts.length > 0">
        <template v-for="{ name, says } in part.facts" :key="name">
          <dt class="quiet">{{ name }}</dt>
          <dd>{{ says }}</dd>
        </template>
      </dl>
      <table v-if="part.rates.length > 0">
        <thead>
          <tr>
            <th>{{ words.checkpoint }}</th>
            <th>{{ words.faultsOfSeen }}</th>
            <th colspan="2">{{ words.rateInterval }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="rate in part.rates" :key="rate.name">
            <td>
              <span class="what"><FamilySign v-if="rate.family" :family="rate.family" /> {{ rate.name }}</span>
              <small v-if="rate.level" class="quiet number">{{ words.overSessions(rate.level) }}</small>
            </td>
            <td class="number of">{{ rate.of }}</td>
            <td class="band">
              <SpanBand
                :figure="{ value: rate.rate, low: rate.low, high: rate.high }"
                :line="rate.aim ?? undefined"
                :says="rate.says"
                :few="!rate.enough"
              />
            </td>
            <td class="number says">{{ rate.says }}</td>
          </tr>
        </tbody>
      </table>
      <LevelChart
        v-if="part.levels.length > 0"
        :panels="part.levels"
        :days="[]"
        :target="part.levels[0]!.aim"
        :family="part.family ?? undefined"
        :name="part.heading"
        @pick="$emit('pick', $event)"
      />
      <ul v-if="part.items.length > 0" class="bulleted">
        <li v-for="item in part.items" :key="item">{{ item }}</li>
      </ul>
    </section>
    <footer class="quiet">{{ words.madeOn(wholeDay(report.madeOn)) }}</footer>
  </article>
</template>

<style scoped>
.report {
  background: var(--white);
  border: 1px solid var(--line);
  padding: var(--space-8) 44px;
  max-width: 860px;
  margin: 0 auto;
}
h1 {
  font-size: 34px;
  margin: 0;
}
h2 {
  display: flex;
  gap: var(--space-2);
  align-items: center;
  font-size: var(--type-lead);
  margin: var(--space-6) 0 var(--space-1-5);
  break-after: avoid;
}
p {
  margin: 0 0 var(--space-1-5);
}
dl {
  display: grid;
  grid-template-columns: 120px 1fr;
  gap: var(--space-0-5) var(--space-3);
  margin: 0 0 var(--space-2);
}
ul {
  margin: var(--space-1) 0;
}
li {
  margin-bottom: var(--space-1);
  break-inside: avoid;
}
table {
  width: 100%;
  border-collapse: collapse;
  border-top: 2px solid rgb(var(--v-theme-primary));
}
th {
  text-align: left;
  font-size: var(--type-note);
  font-weight: 400;
  color: var(--quiet);
  padding: var(--space-1) var(--space-2) var(--space-1) 0;
}
td {
  padding: var(--space-1) var(--space-2) var(--space-1) 0;
  border-top: 1px solid var(--line);
  vertical-align: top;
}
tr {
  break-inside: avoid;
}
.what {
  display: flex;
  align-items: center;
  gap: var(--space-2);
}
small {
  display: block;
}
.of {
  white-space: nowrap;
}
.band {
  width: 24%;
  min-width: 80px;
}
.says {
  white-space: nowrap;
  width: 1%;
}
footer {
  margin-top: var(--space-6);
}
@media print {
  .report {
    border: 0;
    padding: 0;
    max-width: none;
  }
}
@media screen and (max-width: 899px) {
  .report {
    padding: var(--space-4) var(--space-3);
  }
  dl {
    grid-template-columns: minmax(0, 1fr);
    gap: 0;
  }
  dd {
    margin-bottom: var(--space-1-5);
  }
  thead {
    position: absolute;
    clip-path: inset(50%);
  }
  tr {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    border-top: 1px solid var(--line);
    padding: var(--space-1-5) 0;
    gap: 0 var(--space-3);
  }
  td {
    border: 0;
    padding: var(--space-0-5) 0;
    width: auto;
  }
}
</style>
