<script setup lang="ts">
import { useBenchContext } from './bench-context.ts';
import { mdiChevronLeft, mdiChevronRight } from '@mdi/js';
import { phaseFrames, phaseNames, phases, type Moment, type Phase } from '@wax-fist/core/strikes';
import { computed } from 'vue';
import FrameStill from '../../player/FrameStill.vue';
import type { Player } from '../../player/use-player.ts';
import type { BenchKey } from './bench-keys.ts';
import { fromContact } from './from-contact.ts';
import { reviewWords as words } from './words.ts';

const { player } = defineProps<{ player: Player }>();
const { bench, keys } = useBenchContext();
const { known: strike } = bench;
const { at } = player;
const { timeline } = player.film;

const settable: Partial<Record<Phase, { moment: Moment; key: BenchKey }>> = {
  launch: { moment: 'launch', key: 'see-launch' },
  contact: { moment: 'contact', key: 'see-contact' },
  home: { moment: 'home', key: 'see-home' },
};
const stills = computed(() => {
  const frames = strike.value && phaseFrames(timeline, strike.value);
  return phases.map((phase) => {
    const moment = settable[phase];
    const origin = moment && strike.value?.[`${moment.moment}Origin`];
    return { phase, frame: frames?.[phase], ...moment, origin, guessed: origin === 'guessed' };
  });
});
const apart = (frame: number): string => fromContact(timeline[frame]! - timeline[strike.value!.contactFrame]!);

function nudge(moment: Moment, frame: number): void {
  bench.set(moment, frame);
  player.go(frame);
}
</script>

<template>
  <ol class="phases" :aria-label="words.thisStrikeInFiveStills">
    <li
      v-for="{ phase, frame, moment, key, origin, guessed } in stills"
      :key="phase"
      :class="{ here: frame === at, settable: moment, guessed }"
    >
      <template v-if="frame !== undefined">
        <button type="button" class="still" :aria-label="words.goTo(phaseNames[phase], apart(frame))" @click="player.go(frame)">
          <FrameStill :source="player.source" :index="frame" :height="84" />
          <span class="number apart">{{ apart(frame) }}{{ origin && origin !== 'set' ? `, ${origin}` : '' }}</span>
        </button>
        <div class="label">
          <button
            v-if="moment"
            type="button"
            :aria-label="words.oneFrameEarlier(phaseNames[phase])"
            @click="nudge(moment, frame - 1)"
          >
            <VIcon :icon="mdiChevronLeft" size="16" />
          </button>
          <span>{{ phaseNames[phase] }} <kbd v-if="key">{{ keys.drawn(key) }}</kbd></span>
          <button
            v-if="moment"
            type="button"
            :aria-label="words.oneFrameLater(phaseNames[phase])"
            @click="nudge(moment, frame + 1)"
          >
            <VIcon :icon="mdiChevronRight" size="16" />
          </button>
        </div>
      </template>
      <span v-else class="empty">{{ phaseNames[phase] }}</span>
    </li>
  </ol>
</template>

<style scoped>
.phases {
  display: grid;
  grid-template-columns: repeat(5, 1fr);
  gap: var(--space-1-5);
  flex: none;
  height: 110px;
}
li {
  background: rgb(var(--v-theme-surface));
  border-bottom: 3px solid transparent;
  min-width: 0;
}
li.here {
  border-bottom-color: var(--signal);
}
.still {
  position: relative;
  display: block;
  width: 100%;
  height: 82px;
  overflow: hidden;
}
.apart {
  position: absolute;
  right: 0;
  bottom: 0;
  padding: 0 var(--space-1);
  background: var(--shade);
  font-size: var(--type-note);
}
.label {
  display: flex;
  align-items: center;
  gap: var(--space-1);
  font-size: var(--type-note);
  height: 25px;
  white-space: nowrap;
}
.label button {
  min-width: 24px;
  min-height: 24px;
}
.label > span:first-of-type {
  flex: 1;
  padding-left: var(--space-1);
}
.empty {
  display: grid;
  place-items: center;
  height: 100%;
  color: var(--quiet);
  font-size: var(--type-note);
}
</style>
