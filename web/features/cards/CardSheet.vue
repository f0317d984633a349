<script setup lang="ts">
import type { Card, CardStillOfFilm } from '@wax-fist/contract/cards';
import { frequencyNames } from '@wax-fist/core/correction';
import { percent, wholeDay } from '@wax-fist/core/words';
import FamilySign from '../checklists/FamilySign.vue';
import CardStill from './CardStill.vue';
import { cardsWords as words } from './words.ts';

/** What a trainee takes home: one cue, three stills, the drill, how it stands, and when it is looked at again. */
defineProps<{ card: Card; srcOf: (still: CardStillOfFilm) => string }>();
</script>

<template>
  <article class="card">
    <header>
      <div>
        <p class="who">{{ card.traineeName }}</p>
        <p>{{ card.technique }}: {{ card.name.toLowerCase() }}</p>
      </div>
      <FamilySign v-if="card.family" :family="card.family" :size="54" />
    </header>
    <p class="cue">{{ card.cue }}</p>
    <p v-if="card.drill" class="drill">
      <b>{{ words.drill }}</b> {{ card.drill }}<template v-if="card.often">, <b>{{ frequencyNames[card.often] }}</b></template>
    </p>
    <div v-if="card.stills.length > 0" class="stills">
      <CardStill v-for="still in card.stills" :key="still.role" :still="still" :src="srcOf(still)">
        <slot :still="still" />
      </CardStill>
    </div>
    <p v-else class="quiet">{{ words.noStrikeIsMarkedFor }}</p>
    <p v-if="card.why" class="why">{{ card.why }}</p>
    <footer>
      <div v-if="card.counted">
        <span class="quiet">{{ words.lastCounted }}</span><b class="number big">{{ card.counted.of }}</b
        ><span class="number">{{ card.counted.says }}</span>
      </div>
      <div>
        <span class="quiet">{{ words.aim }}</span><b class="number big">{{ percent(card.target) }}</b
        ><span>{{ words.orFewerFaults }}</span>
      </div>
      <div>
        <span class="quiet">{{ words.weLookAgain }}</span
        ><b class="big">{{ card.recheckOn ? wholeDay(card.recheckOn) : words.notSet }}</b
        ><span class="quiet">{{ words.madeOn(wholeDay(card.madeOn)) }}</span>
      </div>
    </footer>
  </article>
</template>

<style scoped>
.card {
  background: var(--white);
  padding: var(--space-8) 40px;
  border: 1px solid var(--line);
  max-width: 980px;
  margin: 0 auto;
}
.card p {
  margin: 0;
}
header {
  display: flex;
  justify-content: space-between;
}
.who {
  font-size: var(--type-figure);
  font-weight: 700;
}
.card .drill {
  font-size: var(--type-title);
  margin-bottom: var(--space-3);
}
.card .cue {
  font-size: 54px;
  font-weight: 700;
  line-height: 1.1;
  margin: var(--space-4) 0 var(--space-4);
  border-left: 10px solid var(--signal);
  padding-left: var(--space-5);
}
.stills {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: var(--space-4);
}
.card .why {
  font-size: var(--type-lead);
  margin: var(--space-4) 0;
}
footer {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: var(--space-6);
  border-top: 2px solid var(--ink);
  padding-top: var(--space-3);
}
footer > div {
  display: flex;
  flex-direction: column;
}
.big {
  font-size: var(--type-figure);
  line-height: 1.25;
}
@media print {
  .card {
    border: 0;
    padding: 0;
    max-width: none;
  }
}
@media screen and (max-width: 899px) {
  .card {
    padding: var(--space-5) var(--space-4);
  }
  .card .cue {
    font-size: 40px;
    border-left-width: 6px;
    padding-left: var(--space-3);
  }
  .stills,
  footer {
    grid-template-columns: minmax(0, 1fr);
    gap: var(--space-3);
  }
}
</style>
