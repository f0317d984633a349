<script setup lang="ts">
import { mdiAlertOctagonOutline } from '@mdi/js';
import { filmFileUrl, type Film } from '@wax-fist/contract/footage';
import { viewNames } from '@wax-fist/core/technique';
import { computed } from 'vue';
import { minutes } from '@wax-fist/core/words';
import { fileSize, timeLeft } from '../../app/format.ts';
import { lacking, stepNames, workOf } from './film-work.ts';
import { footageWords as words } from './words.ts';

const { film, blind = false } = defineProps<{
  film: Film;
  /** Whether whoever looks is asked to mark it without seeing what was said. */
  blind?: boolean;
}>();
/** Which picture of the strip stands for the film: well after the walk-on. */
const coverPicture = 12;
const picture = computed(() => {
  if (film.state !== 'ready' || !film.strip) return {};
  const url = filmFileUrl(film.id, 'strip.jpg');
  return {
    backgroundImage: `url("${url}")`,
    backgroundSize: `${film.strip.pictures * 100}% 100%`,
    backgroundPosition: `${(100 * coverPicture) / (film.strip.pictures - 1)}% 0`,
  };
});
const stands = computed(() => {
  if (blind) return words.strikeToJudgeAgain(film.strikes);
  if (film.done) return words.doneStrikeJudged(film.marked);
  if (film.strikes === 0) return words.noStrikeTaggedYet;
  return words.ofStrikeJudged(film.marked, film.strikes);
});
const work = computed(() => workOf(film));
const doing = computed(() => {
  const { value } = work;
  if (!value) return '';
  const left = value.left === null ? '' : `, ${timeLeft(value.left)}`;
  return `${value.begun ? stepNames[value.step] : (value.reason ?? words.waitsItsTurn)}, ${Math.round(value.share * 100)}%${left}`;
});
const missing = computed(() => lacking(film));
const action = computed(() => (blind ? words.markIt : film.done ? words.lookAgain : film.marked > 0 ? words.goOn : words.review));
</script>

<template>
  <li class="film" :data-state="film.state">
    <span class="still" :style="picture" />
    <span class="what">
      <b><slot>{{ film.fileName }}</slot></b>
      <span class="quiet">
        <slot name="view">{{ viewNames[film.view] }}</slot
        ><template v-if="film.duration"> · <span class="number">{{ minutes(film.duration) }}</span></template> ·
        <span class="text-no-wrap">{{ fileSize(film.bytes) }}</span>
      </span>
    </span>
    <span v-if="film.state === 'ready'" class="how">
      {{ stands }}
      <span v-if="film.remark" class="quiet">{{ film.remark }}</span>
      <span v-if="film.secondCoach && !blind" class="quiet">{{
        film.secondCoach.done ? words.alsoMarkedBy(film.secondCoach.name) : words.isAskedToMarkIt(film.secondCoach.name)
      }}</span>
      <span v-if="work" class="quiet also" role="status">{{ doing }}</span>
      <span v-for="step in missing" :key="step.step" class="quiet">
        {{ words.withoutStepNames(stepNames[step.step], step.reason ?? words.itWasStopped) }}
      </span>
    </span>
    <span v-else-if="film.state === 'failed'" class="how failed" role="alert"
      ><VIcon :icon="mdiAlertOctagonOutline" size="18" /> {{ film.remark }}</span
    >
    <span v-else-if="film.state === 'stopped'" class="how">{{ words.stoppedTheOriginalIsSafe }}</span>
    <span v-else class="how">
      <VProgressLinear
        :model-value="(work?.share ?? 0) * 100"
        color="primary"
        height="8"
        :aria-label="words.importOf(film.fileName)"
      />
      <span class="quiet">{{ doing }}</span>
    </span>
    <span class="act">
      <slot name="act" />
      <VBtn
        v-if="film.state === 'ready'"
        :color="film.done && !blind ? undefined : 'primary'"
        :variant="film.done && !blind ? 'outlined' : 'flat'"
        :to="{ name: 'bench', params: { filmId: film.id } }"
        >{{ action }}</VBtn
      >
    </span>
  </li>
</template>

<style scoped>
.film {
  display: grid;
  grid-template-columns: 96px minmax(180px, 1.4fr) minmax(180px, 1fr) minmax(120px, auto);
  align-items: center;
  gap: var(--space-4);
  padding: var(--space-2) var(--space-3);
  min-height: 70px;
}
.still {
  width: 96px;
  height: 54px;
  background-color: var(--line);
}
.what,
.how {
  display: flex;
  flex-direction: column;
  line-height: 1.3;
}
.failed {
  flex-direction: row;
  gap: var(--space-2);
  color: rgb(var(--v-theme-error));
}
.act {
  justify-content: flex-end;
  display: flex;
  gap: var(--space-2);
  align-items: center;
}
@media screen and (max-width: 899px) {
  .film {
    display: flex;
    flex-wrap: wrap;
    gap: var(--space-2) var(--space-3);
  }
  .what {
    flex: 1 1 calc(100% - 120px);
    min-width: 0;
  }
  .how {
    flex: 1 1 120px;
  }
  .act {
    flex-wrap: wrap;
    margin-left: auto;
  }
}
</style>
