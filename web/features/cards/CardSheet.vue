<script setup lang="ts">
import type { Card, CardStillOfFilm } from '@wax-fist/contract/cards';
import { frequencyNames } from '@wax-fist/core/correction';
import { percent, wholeDay } from '@wax-fist/core/words';
import FamilySign from '../checklists/FamilySign.vue';
import CardStill from './CardStill.vue';

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
      <b>Drill</b> {{ card.drill
      }}<template v-if="card.often"
        >, <b>{{ frequencyNames[card.often] }}</b></template
      >
    </p>
    <div v-if="card.stills.length > 0" class="stills">
      <CardStill v-for="still in card.stills" :key="still.role" :still="still" :src="srcOf(still)">
        <slot :still="still" />
      </CardStill>
    </div>
    <p v-else class="quiet">No strike is marked for this yet, so there is no picture.</p>
    <p v-if="card.why" class="why">{{ card.why }}</p>
    <footer>
      <div v-if="card.counted">
        <span class="quiet">Last counted</span><b class="number big">{{ card.counted.of }}</b
        ><span class="number">{{ card.counted.says }}</span>
      </div>
      <div>
        <span class="quiet">Aim</span><b class="number big">{{ percent(card.target) }}</b
        ><span>or fewer faults</span>
      </div>
      <div>
        <span class="quiet">We look again</span><b class="big">{{ card.recheckOn ? wholeDay(card.recheckOn) : 'not set' }}</b
        ><span class="quiet">made on {{ wholeDay(card.madeOn) }}</span>
      </div>
    </footer>
  </article>
</template>

<style scoped>
.card {
  background: #fff;
  padding: 32px 40px;
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
  font-size: 24px;
  font-weight: 700;
}
.card .drill {
  font-size: 20px;
  margin-bottom: 14px;
}
.card .cue {
  font-size: 54px;
  font-weight: 700;
  line-height: 1.1;
  margin: 16px 0 18px;
  border-left: 10px solid #e9b44c;
  padding-left: 20px;
}
.stills {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 16px;
}
.card .why {
  font-size: 18px;
  margin: 16px 0;
}
footer {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 24px;
  border-top: 2px solid #1d2324;
  padding-top: 12px;
}
footer > div {
  display: flex;
  flex-direction: column;
}
.big {
  font-size: 26px;
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
    padding: 20px 16px;
  }
  .card .cue {
    font-size: 40px;
    border-left-width: 6px;
    padding-left: 12px;
  }
  .stills,
  footer {
    grid-template-columns: minmax(0, 1fr);
    gap: 12px;
  }
}
</style>
