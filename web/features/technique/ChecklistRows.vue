<script setup lang="ts">
import { isMeasureId, measures, severityNames, viewNames, type ChecklistRow } from '@wax-fist/core/technique';
import BandMark from './BandMark.vue';
import FamilySign from './FamilySign.vue';
import { shippedStill } from './shipped-stills.ts';

/** A checklist to be read: question, what clean is, what is said when it is not, the cue and the band. */
defineProps<{ rows: readonly ChecklistRow[]; technique: string }>();
const by = { measure: '', technique: 'this technique’s own', school: 'by the school', club: 'set by the club' } as const;
const readBy = (measure: string): string =>
  measure === 'ear' ? 'coach’s ear' : isMeasureId(measure) ? `${measures[measure].name}, ${measures[measure].of}` : 'coach’s eye';
</script>

<template>
  <ul class="rows">
    <li v-for="({ checkpoint, band, bandBy, reported, fixed }, place) in rows" :id="checkpoint.id" :key="checkpoint.id">
      <span class="stop quiet">{{ rows[place - 1]?.checkpoint.stop === checkpoint.stop ? '' : checkpoint.stop }}</span>
      <FamilySign :family="checkpoint.family" :size="20" />
      <div>
        <h3>{{ checkpoint.question }}</h3>
        <p>
          {{ checkpoint.clean }} <span class="quiet">Not: {{ checkpoint.faults.join(', ') }}.</span>
        </p>
        <p class="quiet">{{ checkpoint.why }}</p>
        <p class="foot">
          <q>{{ checkpoint.cues[0] }}</q>
          <span class="quiet">{{ severityNames[checkpoint.severity] }}</span>
          <span class="quiet">from {{ checkpoint.views.map((view) => viewNames[view].toLowerCase()).join(', ') }}</span>
          <span v-if="checkpoint.leastRate > 30" class="quiet">at 60 frames a second or more</span>
        </p>
      </div>
      <div class="measure">
        <BandMark v-if="band" :band="band" :measure="checkpoint.measure" />
        <p class="quiet">
          {{ readBy(checkpoint.measure) }}<template v-if="bandBy && by[bandBy]"> · {{ by[bandBy] }}</template>
        </p>
        <p v-if="reported" class="quiet">Told only: no fault in this school.</p>
        <p v-if="fixed" class="quiet">A fault in every school.</p>
      </div>
      <img
        v-if="shippedStill(technique, checkpoint.id, 'fault')"
        :src="shippedStill(technique, checkpoint.id, 'fault')"
        :alt="`Not so: ${checkpoint.faults[0]}`"
        loading="lazy"
      />
      <img
        v-else-if="shippedStill(technique, checkpoint.id, 'clean')"
        :src="shippedStill(technique, checkpoint.id, 'clean')"
        :alt="`So: ${checkpoint.clean}`"
        loading="lazy"
      />
    </li>
  </ul>
</template>

<style scoped>
.rows {
  list-style: none;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: 84px 22px minmax(0, 1fr) 220px 160px;
  gap: 12px;
  padding: 10px 4px;
  border-top: 1px solid var(--line);
  break-inside: avoid;
}
li:target {
  background: #e9b44c22;
}
h3 {
  font-size: 16px;
}
p {
  margin: 0;
}
.stop {
  font-size: 14px;
}
.foot {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  font-size: 14px;
}
q {
  font-style: italic;
  color: rgb(var(--v-theme-primary));
}
.measure {
  font-size: 13px;
}
img {
  width: 160px;
  aspect-ratio: 16 / 9;
  object-fit: cover;
}
@media (max-width: 1100px) {
  li {
    grid-template-columns: 84px 22px minmax(0, 1fr) 200px;
  }
  img {
    display: none;
  }
}
</style>
