<script setup lang="ts">
import { mdiPrinter } from '@mdi/js';
import { correctionEndpoints, type Evidence } from '@wax-fist/contract/corrections';
import { footageEndpoints } from '@wax-fist/contract/footage';
import { phaseFrames } from '@wax-fist/core/strikes';
import { faultRate } from '@wax-fist/core/correction';
import { sessionEndpoints } from '@wax-fist/contract/sessions';
import { checklistFor, checkpointName, techniqueName, termOf, viewNames } from '@wax-fist/core/technique';
import { computed, onScopeDispose, ref, shallowRef, watch } from 'vue';
import { request } from '../../app/request.ts';
import PageState from '../../app/PageState.vue';
import { useAnswer } from '../../app/use-answer.ts';
import { drillOf, faultsOfSeen, rateInWords, shortDay } from '@wax-fist/core/words';
import { openFrames } from '../../player/open-frames.ts';
import FrameStill from '../../player/FrameStill.vue';
import type { FrameSource } from '../../player/frame-source.ts';
import { playableOf } from '../footage/playable.ts';
import FamilySign from '../checklists/FamilySign.vue';
import VerdictSign from '../review/VerdictSign.vue';
import RateBand from './RateBand.vue';
import { useCatalogue } from '../checklists/catalogue-store.ts';

const catalogue = useCatalogue();
const { correctionId } = defineProps<{ correctionId: string }>();
const params = { params: { correctionId } };
const {
  value: page,
  failure,
  again,
} = useAnswer(async () => {
  const [correction, evidence] = await Promise.all([
    request(correctionEndpoints.showCorrection, params),
    request(correctionEndpoints.correctionEvidence, params),
  ]);
  // In the words of the school and the checklists by which it was judged last.
  const session = await request(sessionEndpoints.showSession, { params: { sessionId: correction.newestSession } });
  const judgedBy = session.judgedBy;
  const checklists = await catalogue.at(session.checklistVersion);
  const listed = checklists.techniques.has(correction.technique)
    ? checklistFor(checklists, correction.technique, { school: judgedBy, view: 'quarter' })
    : [];
  const found = listed.find(({ checkpoint }) => checkpoint.id === correction.checkpointId)?.checkpoint;
  return {
    correction,
    evidence,
    row: found ?? checklists.checkpoints.get(correction.checkpointId),
    name: found?.name ?? checkpointName(checklists, correction.checkpointId),
    technique: termOf(judgedBy, correction.technique) ?? techniqueName(checklists, correction.technique),
  };
});

interface Still {
  verdict: Evidence['verdict'];
  strike: Evidence;
  source: FrameSource;
  index: number;
}
const place = ref({ fault: 0, clean: 0 });
const stills = shallowRef<Still[]>([]);
const sources = new Map<string, Promise<{ source: FrameSource; timeline: Float64Array }>>();
const row = computed(() => page.value?.row);
/** Both pictures from the same view, so that they can be compared. */
const shown = computed(() => {
  const all = page.value?.evidence ?? [];
  const view = all.find(({ verdict }) => verdict === 'fault')?.view ?? all[0]?.view;
  const of = (verdict: Evidence['verdict']): Evidence[] => all.filter((one) => one.verdict === verdict && one.view === view);
  return { fault: of('fault'), clean: of('clean') };
});
const rate = computed(() => {
  const counted = page.value?.correction.history.findLast(({ tally }) => tally !== null);
  return counted?.tally ? faultRate(counted.tally) : undefined;
});

const opened = (filmId: string) => {
  const known =
    sources.get(filmId) ??
    request(footageEndpoints.showFilm, { params: { filmId } }).then(async (film) => {
      const playable = await playableOf(film);
      return { source: openFrames(playable), timeline: playable.timeline };
    });
  sources.set(filmId, known);
  return known;
};
watch(
  [shown, place],
  async () => {
    const wanted = (['fault', 'clean'] as const).flatMap((verdict) => {
      const list = shown.value[verdict];
      return list.length > 0 ? [list[place.value[verdict] % list.length]!] : [];
    });
    stills.value = await Promise.all(
      wanted.map(async (strike) => {
        const { source, timeline } = await opened(strike.filmId);
        return { verdict: strike.verdict, strike, source, index: phaseFrames(timeline, strike)[row.value?.phase ?? 'contact'] };
      }),
    );
  },
  { deep: true },
);
onScopeDispose(() => {
  for (const one of sources.values()) void one.then(({ source }) => source.close());
});
const print = (): void => window.print();
</script>

<template>
  <div class="page">
    <PageState :failure="failure" :ready="page !== undefined" @again="again">
      <template v-if="page">
        <div class="tools no-print">
          <RouterLink :to="{ name: 'trainee', params: { traineeId: page.correction.traineeId } }">{{
            page.correction.traineeName
          }}</RouterLink>
          <VSpacer />
          <VBtn
            v-for="verdict in ['fault', 'clean'] as const"
            :key="verdict"
            variant="outlined"
            :disabled="shown[verdict].length < 2"
            @click="place[verdict]++"
            >Another {{ verdict }} picture</VBtn
          >
          <VBtn color="primary" :prepend-icon="mdiPrinter" @click="print">Print</VBtn>
        </div>
        <article class="card">
          <header>
            <div>
              <p class="who">{{ page.correction.traineeName }}</p>
              <p>{{ page.technique }}: {{ page.name.toLowerCase() }}</p>
            </div>
            <FamilySign :family="row?.family" :size="54" />
          </header>
          <p class="cue">{{ page.correction.cue }}</p>
          <p v-if="drillOf(page.correction)" class="drill"><b>Drill</b> {{ drillOf(page.correction) }}</p>
          <div class="stills">
            <figure v-for="{ verdict, strike, source, index } in stills" :key="verdict">
              <FrameStill :source="source" :index="index" :height="360" class="still" />
              <figcaption>
                <VerdictSign :verdict="verdict" :size="22" /> <b>{{ verdict === 'fault' ? 'Not like this' : 'Like this' }}</b>
                <span class="quiet">{{ viewNames[strike.view].toLowerCase() }}, {{ shortDay(strike.heldOn) }}</span>
              </figcaption>
            </figure>
            <p v-if="shown.fault.length + shown.clean.length === 0" class="quiet">
              No strike is marked for this yet, so there is no picture.
            </p>
          </div>
          <p v-if="row" class="why">{{ row.clean }} {{ row.why }}</p>
          <footer>
            <div v-if="rate">
              <span class="quiet">Last counted</span><b class="number big">{{ faultsOfSeen(rate) }}</b
              ><RateBand :rate="rate" :target="page.correction.target" /><span class="number">{{ rateInWords(rate) }}</span>
            </div>
            <div>
              <span class="quiet">Aim</span><b class="number big">{{ Math.round(page.correction.target * 100) }}%</b
              ><span>or fewer faults</span>
            </div>
            <div>
              <span class="quiet">We look again</span
              ><b class="big">{{ page.correction.recheckOn ? shortDay(page.correction.recheckOn) : 'not set' }}</b>
            </div>
          </footer>
        </article>
      </template>
    </PageState>
  </div>
</template>

<style scoped>
.tools {
  display: flex;
  gap: 8px;
  align-items: center;
  margin-bottom: 14px;
}
.card {
  background: #fff;
  padding: 32px 40px;
  border: 1px solid var(--line);
  max-width: 920px;
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
.drill {
  font-size: 20px;
  margin: 0 0 12px;
}
.cue {
  font-size: 58px;
  font-weight: 700;
  line-height: 1.1;
  margin: 18px 0 20px !important;
  border-left: 10px solid #e9b44c;
  padding-left: 20px;
}
.stills {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 18px;
}
figure {
  margin: 0;
}
.still {
  height: auto;
  aspect-ratio: 16 / 9;
  background: #ddd;
}
figcaption {
  display: flex;
  align-items: center;
  gap: 8px;
  font-weight: 700;
  font-size: 18px;
  margin-top: 6px;
}
figcaption .quiet {
  font-weight: 400;
  font-size: 14px;
}
.why {
  font-size: 18px;
  margin: 18px 0 !important;
}
footer {
  display: grid;
  grid-template-columns: 1.4fr 1fr 1fr;
  gap: 24px;
  border-top: 2px solid #1d2324;
  padding-top: 12px;
}
footer > div {
  display: flex;
  flex-direction: column;
}
.big {
  font-size: 30px;
  line-height: 1.2;
}
@media print {
  .page {
    padding: 0;
    max-width: none;
  }
  .card {
    border: 0;
    padding: 0;
    max-width: none;
  }
}
@media screen and (max-width: 899px) {
  .tools {
    flex-wrap: wrap;
  }
  .card {
    padding: 20px 16px;
  }
  .cue {
    font-size: 40px;
    border-left-width: 6px;
    padding-left: 12px;
  }
  .stills,
  footer {
    grid-template-columns: minmax(0, 1fr);
    gap: 12px;
  }
  figcaption {
    flex-wrap: wrap;
  }
}
</style>
