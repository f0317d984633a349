<script setup lang="ts">
import { mdiAlertOctagonOutline } from '@mdi/js';
import { filledPath } from '@wax-fist/contract/endpoint';
import { footageEndpoints, type Clip } from '@wax-fist/contract/footage';
import { viewNames } from '@wax-fist/core/technique';
import { computed } from 'vue';
import { clock, counted, fileSize, timeLeft } from '../../app/words.ts';
import { lacking, stepNames, workOf } from './clip-work.ts';

const { clip } = defineProps<{ clip: Clip }>();
/** Which picture of the strip stands for the film: well after the walk-on. */
const coverPicture = 12;
const picture = computed(() => {
  if (clip.state !== 'ready' || !clip.strip) return {};
  const url = filledPath(footageEndpoints.clipStrip.path, { clipId: clip.id });
  return {
    backgroundImage: `url("${url}")`,
    backgroundSize: `${clip.strip.pictures * 100}% 100%`,
    backgroundPosition: `${(100 * coverPicture) / (clip.strip.pictures - 1)}% 0`,
  };
});
const stands = computed(() => {
  if (clip.done) return `done, ${counted(clip.marked, 'strike')} judged`;
  if (clip.strikes === 0) return 'no strike tagged yet';
  return `${clip.marked} of ${counted(clip.strikes, 'strike')} judged`;
});
const work = computed(() => workOf(clip));
const doing = computed(() => {
  const { value } = work;
  if (!value) return '';
  const left = value.left === null ? '' : `, ${timeLeft(value.left)}`;
  return `${value.begun ? stepNames[value.step] : (value.reason ?? 'waits its turn')}, ${Math.round(value.share * 100)}%${left}`;
});
const missing = computed(() => lacking(clip));
const action = computed(() => (clip.done ? 'Look again' : clip.marked > 0 ? 'Go on' : 'Review'));
</script>

<template>
  <li class="clip" :data-state="clip.state">
    <span class="still" :style="picture" />
    <span class="what">
      <b
        ><slot>{{ clip.fileName }}</slot></b
      >
      <span class="quiet">
        <slot name="view">{{ viewNames[clip.view] }}</slot><template v-if="clip.duration">
          · <span class="number">{{ clock(clip.duration).slice(0, -3) }}</span></template
        >
        · {{ fileSize(clip.bytes) }}
      </span>
    </span>
    <span v-if="clip.state === 'ready'" class="how">
      {{ stands }}
      <span v-if="clip.remark" class="quiet">{{ clip.remark }}</span>
      <span v-if="work" class="quiet also" role="status">{{ doing }}</span>
      <span v-for="step in missing" :key="step.step" class="quiet">
        Without {{ stepNames[step.step] }}: {{ step.reason ?? 'it was stopped' }}
      </span>
    </span>
    <span v-else-if="clip.state === 'failed'" class="how failed" role="alert"
      ><VIcon :icon="mdiAlertOctagonOutline" size="18" /> {{ clip.remark }}</span
    >
    <span v-else-if="clip.state === 'stopped'" class="how">Stopped. The original is safe; it goes on when you say so.</span>
    <span v-else class="how">
      <VProgressLinear
        :model-value="(work?.share ?? 0) * 100"
        color="primary"
        height="8"
        :aria-label="`Import of ${clip.fileName}`"
      />
      <span class="quiet">{{ doing }}</span>
    </span>
    <span class="act">
      <slot name="act" />
      <VBtn
        v-if="clip.state === 'ready'"
        :color="clip.done ? undefined : 'primary'"
        :variant="clip.done ? 'outlined' : 'flat'"
        :to="{ name: 'bench', params: { clipId: clip.id } }"
        >{{ action }}</VBtn
      >
    </span>
  </li>
</template>

<style scoped>
.clip {
  display: grid;
  grid-template-columns: 96px minmax(180px, 1fr) minmax(200px, 1.2fr) minmax(120px, auto);
  align-items: center;
  gap: 16px;
  padding: 8px 14px;
  min-height: 70px;
}
.still {
  width: 96px;
  height: 54px;
  background-color: #d3cfc2;
}
.what,
.how {
  display: flex;
  flex-direction: column;
  line-height: 1.3;
}
.failed {
  flex-direction: row;
  gap: 8px;
  color: rgb(var(--v-theme-error));
}
.act {
  justify-content: flex-end;
  display: flex;
  gap: 8px;
  align-items: center;
}
</style>
