<script setup lang="ts">
import { messageOf } from '@wax-fist/core/message-of';
import { stillEndpoints, stillKinds, type ReferenceStill } from '@wax-fist/contract/stills';
import type { School } from '@wax-fist/core/technique';
import { footageEndpoints } from '@wax-fist/contract/footage';
import { computed, onScopeDispose, ref, shallowRef, watch } from 'vue';
import { useNotice } from '../../app/notice-store.ts';
import { request } from '../../app/request.ts';
import { openFrames } from '../../player/open-frames.ts';
import type { PlayableFilm, FrameSource } from '../../player/frame-source.ts';
import FrameLoop from '../../player/FrameLoop.vue';
import FrameStill from '../../player/FrameStill.vue';
import { playableOf } from '../footage/playable.ts';
import { useCatalogue } from '../checklists/catalogue-store.ts';
import { schoolPicture, shippedStill, type Still } from './shipped-stills.ts';
import StillPicture from './StillPicture.vue';
import { useAccount } from '../accounts/account-store.ts';
import { stillsWords as words } from './words.ts';

const account = useAccount();
/** How one checkpoint of a technique should look, and how not: the club's own frames, else the ones that ship. */
const { technique, checkpointId, school, filmId, frame, strike, sourceOf } = defineProps<{
  technique: string;
  checkpointId: string;
  /** By which it is judged. */
  school: School;
  /** The film in hand and its frame on show, which may become the club's still. */
  filmId: string;
  frame: number;
  /** First and last frame of the strike in hand: taken along where the frame on show lies in it. */
  strike: readonly [from: number, to: number] | undefined;
  sourceOf: PlayableFilm;
}>();
defineEmits<{ close: [] }>();
const catalogue = useCatalogue();
const notice = useNotice();
const failure = ref<string>();
type Kind = ReferenceStill['kind'];

const own = (kind: Kind): ReferenceStill | undefined =>
  catalogue.stills.find((one) => one.technique === technique && one.checkpoint === checkpointId && one.kind === kind);
interface Opened {
  source: FrameSource;
  timeline: Float64Array;
}
const sources = new Map<string, Promise<Opened>>();
const opened = (id: string): Promise<Opened> => {
  const held =
    sources.get(id) ??
    (id === filmId
      ? Promise.resolve(sourceOf)
      : request(footageEndpoints.showFilm, { params: { filmId: id } }).then(playableOf)
    ).then(async (film) => ({ source: await openFrames(film), timeline: film.timeline }));
  sources.set(id, held);
  return held;
};
interface Shown {
  kind: Kind;
  still: ReferenceStill | undefined;
  opened: Opened | undefined;
  picture: Still | undefined;
}
const pictured = (kind: Kind): Still | undefined =>
  (kind === 'clean' ? schoolPicture(technique, checkpointId, school) : undefined) ?? shippedStill(technique, checkpointId, kind);
const shown = shallowRef<Shown[]>([]);
const wanted = computed(() => stillKinds.map((kind) => ({ kind, still: own(kind), picture: pictured(kind) })));
watch(
  wanted,
  async (all) => {
    const next = all.map(async (one): Promise<Shown> => ({ ...one, opened: one.still && (await opened(one.still.filmId)) }));
    shown.value = await Promise.all(next).catch((error: unknown) => {
      failure.value = messageOf(error);
      return [];
    });
  },
  { immediate: true },
);
onScopeDispose(() => {
  for (const one of sources.values()) void one.then(({ source }) => source.close());
});

async function act(doing: Promise<unknown>): Promise<void> {
  failure.value = undefined;
  await doing.then(catalogue.again).catch((error: unknown) => (failure.value = messageOf(error)));
}
const params = (kind: Kind) => ({ technique, checkpoint: checkpointId, kind });
const keep = (still: ReferenceStill) => request(stillEndpoints.saveReferenceStill, { params: params(still.kind), body: still });
const drop = (kind: Kind) => request(stillEndpoints.removeReferenceStill, { params: params(kind) });
/** Back to the still that was there before, or to the one that ships. */
const backTo = (kind: Kind, before: ReferenceStill | undefined) => (): Promise<unknown> =>
  (before ? keep(before) : drop(kind)).then(catalogue.again);
const take = (kind: Kind) => {
  const before = own(kind);
  const [fromFrame, toFrame] = strike && strike[0] <= frame && frame <= strike[1] ? strike : [null, null];
  return act(
    keep({ ...params(kind), filmId, frame, fromFrame, toFrame }).then(() =>
      notice.say(words.thisIsShownFromNow(fromFrame === null ? words.frame : words.strike), backTo(kind, before)),
    ),
  );
};
const letGo = (kind: Kind) => {
  const before = own(kind);
  return act(drop(kind).then(() => notice.say(words.theRenderedExampleIsShown, backTo(kind, before))));
};
/** Which of the two is played. */
const playing = ref<Kind>();
const canPlay = (still: ReferenceStill | undefined): boolean => typeof still?.fromFrame === 'number';
const names: Record<Kind, string> = { clean: words.so, fault: words.notSo };
</script>

<template>
  <aside class="pair" :aria-label="words.howItShouldLook">
    <figure v-for="{ kind, still, opened: from, picture } in shown" :key="kind">
      <FrameLoop
        v-if="still && from && playing === kind"
        :source="from.source"
        :timeline="from.timeline"
        :from="still.fromFrame!"
        :to="still.toFrame!"
        :height="150"
        class="still"
      />
      <FrameStill v-else-if="still && from" :source="from.source" :index="still.frame" :height="150" class="still" />
      <StillPicture v-else-if="picture" :still="picture" :alt="words.renderedExample(names[kind])" />
      <p v-else class="still none quiet">{{ words.noPictureYet }}</p>
      <figcaption>
        <b>{{ names[kind] }}</b><span class="quiet">{{ still ? words.fromOurOwnFootage : picture ? words.rendered : '' }}</span>
        <button
          v-if="canPlay(still)"
          type="button"
          class="play"
          :aria-pressed="playing === kind"
          @click="playing = playing === kind ? undefined : kind"
        >
          {{ playing === kind ? words.stop : words.playTheStrike }}
        </button>
        <button v-if="account.judges" type="button" @click="take(kind)">{{ words.takeTheFrameOnShow }}</button>
        <button v-if="still && account.judges" type="button" @click="letGo(kind)">{{ words.asItShips }}</button>
      </figcaption>
    </figure>
    <p v-if="failure" role="alert" class="failure">{{ failure }}</p>
    <button type="button" class="close" :aria-label="words.putTheReferenceAway" @click="$emit('close')">×</button>
  </aside>
</template>

<style scoped>
.pair {
  position: relative;
  flex: none;
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: var(--space-2);
  padding: var(--space-1-5) 0;
  border-top: 1px solid var(--line);
  font-size: var(--type-note);
}
figure {
  min-width: 0;
}
.still {
  width: 100%;
  aspect-ratio: 16 / 9;
  object-fit: cover;
  background: var(--picture);
}
.none {
  display: grid;
  place-items: center;
}
figcaption button {
  display: block;
  text-decoration: underline;
}
.failure {
  grid-column: 1 / -1;
}
.close {
  position: absolute;
  top: 4px;
  right: 2px;
  width: 24px;
  font-size: var(--type-lead);
  background: var(--shade);
  color: var(--white);
}
</style>
