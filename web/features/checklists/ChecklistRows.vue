<script setup lang="ts">
import {
  bandSource,
  causesIn,
  isMeasureId,
  measures,
  severityNames,
  viewNames,
  type Catalogue,
  type ChecklistRow,
  type School,
} from '@wax-fist/core/technique';
import { computed } from 'vue';
import BandMark from './BandMark.vue';
import FamilySign from './FamilySign.vue';
import StillPicture from '../stills/StillPicture.vue';
import { schoolPicture, shippedStill } from '../stills/shipped-stills.ts';
import { checklistsWords as words } from './words.ts';

/** A checklist to be read: question, what clean is, what is said when it is not, the cue and the band. */
const { rows, catalogue, technique, school } = defineProps<{
  rows: readonly ChecklistRow[];
  catalogue: Catalogue;
  technique: string;
  school: School;
}>();
/** One picture for each row: as this school has it, else how it should not look, else how it should. */
const pictures = computed(() =>
  rows.map(({ checkpoint: { id, faults } }) => {
    const told = [
      { still: schoolPicture(technique, id, school), says: words.asThisSchoolHasIt },
      { still: shippedStill(technique, id, 'fault'), says: words.notSo(faults[0] ?? '') },
      { still: shippedStill(technique, id, 'clean'), says: words.so },
    ];
    return told.flatMap(({ still, says }) => (still ? [{ still, says }] : []))[0];
  }),
);
const by = {
  measure: bandSource,
  technique: words.thisTechniquesOwn(bandSource),
  school: words.byTheSchool,
  club: words.setByTheClub,
} as const;
/** What often lies upstream of a row, among those of this checklist. */
const causesOf = (id: string): string =>
  causesIn(catalogue, technique, id)
    .map(({ name }) => name.toLowerCase())
    .join(', ');
const readBy = (measure: string): string =>
  measure === 'ear'
    ? words.coachsEar
    : isMeasureId(measure)
      ? `${measures[measure].name}, ${measures[measure].of}`
      : words.coachsEye;
</script>

<template>
  <ul class="rows">
    <li v-for="({ checkpoint, band, bandBy, reported, fixed }, place) in rows" :id="checkpoint.id" :key="checkpoint.id">
      <span class="stop quiet">{{ rows[place - 1]?.checkpoint.stop === checkpoint.stop ? '' : checkpoint.stop }}</span>
      <FamilySign :family="checkpoint.family" :size="20" />
      <div>
        <h3>{{ checkpoint.question }}</h3>
        <p>{{ checkpoint.clean }} <span class="quiet">{{ words.notFaults(checkpoint.faults.join(', ')) }}</span></p>
        <p class="quiet">
          {{ checkpoint.why }}<template v-if="causesOf(checkpoint.id)">{{ words.lookFirstAt(causesOf(checkpoint.id)) }}</template>
        </p>
        <p class="foot">
          <q>{{ checkpoint.cues[0] }}</q>
          <span class="quiet">{{ severityNames[checkpoint.severity] }}</span>
          <span class="quiet">{{
            words.fromViews(checkpoint.views.map((view) => viewNames[view].toLowerCase()).join(', '))
          }}</span>
          <span v-if="checkpoint.leastRate > 30" class="quiet">{{ words.atFramesASecondOr }}</span>
        </p>
      </div>
      <div class="measure">
        <BandMark v-if="band" :band="band" :measure="checkpoint.measure" />
        <p class="quiet">{{ readBy(checkpoint.measure) }}<template v-if="bandBy"> · {{ by[bandBy] }}</template></p>
        <p v-if="reported" class="quiet">{{ words.toldOnlyNoFaultIn }}</p>
        <p v-if="fixed" class="quiet">{{ words.aFaultInEverySchool }}</p>
      </div>
      <figure v-if="pictures[place]">
        <StillPicture :still="pictures[place].still" />
        <figcaption>{{ pictures[place].says }}</figcaption>
      </figure>
    </li>
  </ul>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 84px 22px minmax(0, 1fr) 220px 160px;
  gap: var(--space-3);
  padding: var(--space-2) var(--space-1);
  border-top: 1px solid var(--line);
  break-inside: avoid;
}
li:target {
  background: var(--signal-ground);
}
h3 {
  font-size: var(--type-body);
}
.stop {
  font-size: var(--type-small);
}
.foot {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-1) var(--space-3);
  font-size: var(--type-small);
}
q {
  font-style: italic;
  color: rgb(var(--v-theme-primary));
}
.measure {
  font-size: var(--type-note);
}
figure {
  font-size: var(--type-note);
}
@media (max-width: 1100px) {
  li {
    grid-template-columns: 84px 22px minmax(0, 1fr) 200px;
  }
  figure {
    display: none;
  }
}
@media screen and (max-width: 899px) {
  li {
    grid-template-columns: 22px minmax(0, 1fr);
    gap: var(--space-1) var(--space-3);
  }
  .stop {
    grid-column: 1 / -1;
  }
  .measure,
  figure {
    grid-column: 2;
  }
  figure {
    display: block;
  }
  figure {
    max-width: 320px;
  }
}
</style>
