import { frameNearest, timeOf } from '@wax-fist/core/film';
import { guessedMoments, isSureOf, sameStrike, type FoundStrike } from '@wax-fist/core/strikes';
import type { Ms } from '@wax-fist/core/units';
import { computed, type ComputedRef } from 'vue';
import { useNotice } from '../../app/notice-store.ts';
import type { Player } from '../../player/use-player.ts';
import { useHitsAndRounds } from '../rounds/hits-and-rounds-store.ts';
import { useReview } from './review-store.ts';
import type { BenchData } from './use-bench-data.ts';
import type { FilmWithBody } from './use-followed-film.ts';
import { reviewWords as words } from './words.ts';

/** The playhead is at a strike that was found when it is as near as this. */
const here: Ms = 25;
/** The same each time: what hangs on it is worked out anew only when another round begins, and not with every frame. */
const wholeFilm = { from: 0, to: Infinity };
/** Names that are less likely are not offered. */
const leastOffered = 0.08;

export interface NamedStrikes {
  /** What was found and named, and nobody has tagged or taken out, in the round at the playhead. */
  open: ComputedRef<FoundStrike[]>;
  /** Of these, what is not sure enough to be taken over unseen. */
  unsure: ComputedRef<FoundStrike[]>;
  /** The one at the playhead that is unsure, with the names it may have. */
  asked: ComputedRef<{ time: Ms; names: { technique: string; name: string; chance: number }[] } | undefined>;
  /** Takes over what is sure and goes to the first that is not; at one that is not, takes its likeliest name and goes to the next. */
  takeOver: () => void;
}

/** Strikes that ear and eye have found and named, until the coach takes them over. */
export function useNamedStrikes(
  data: BenchData,
  film: FilmWithBody,
  player: () => Player | undefined,
  select: (strikeId: string | undefined) => void,
): NamedStrikes {
  const review = useReview();
  const hitsAndRounds = useHitsAndRounds();
  const notice = useNotice();
  const { timeline } = data.playable;
  const { techniques } = data.catalogue;
  const now = (): Ms => timeOf(timeline, player()?.at.value ?? 0);

  /** The round at the playhead, or else the whole film. */
  const span = computed(() => hitsAndRounds.rounds.find(({ from, to }) => now() >= from && now() <= to) ?? wholeFilm);
  const open = computed(() => {
    const tagged = review.strikes.map(({ contactFrame }) => timeOf(timeline, contactFrame));
    return hitsAndRounds.foundStrikes.filter(
      ({ time, names }) =>
        time >= span.value.from &&
        time <= span.value.to &&
        names[0] !== undefined &&
        techniques.has(names[0].technique) &&
        tagged.every((contact) => Math.abs(contact - time) > sameStrike),
    );
  });
  const unsure = computed(() => open.value.filter((one) => !isSureOf(one)));
  const atPlayhead = computed(() => unsure.value.find(({ time }) => Math.abs(frameTime(time) - now()) <= here));
  const asked = computed(() => {
    const { value } = atPlayhead;
    if (!value) return undefined;
    const names = value.names
      .filter(({ technique, chance }) => chance >= leastOffered && techniques.has(technique))
      .map((one) => ({ ...one, name: techniques.get(one.technique)!.name }));
    return { time: value.time, names };
  });

  const frameTime = (time: Ms): Ms => timeOf(timeline, frameNearest(timeline, time));
  function tag(strikes: readonly FoundStrike[]): string[] {
    return review.tellStrikes(
      strikes.map(({ time, names, from }) => {
        const technique = techniques.get(names[0]!.technique)!;
        const origin = from.includes('sound') ? 'found' : 'seen';
        const guess = guessedMoments(timeline, technique, frameNearest(timeline, time), origin);
        return { ...film.withFound(technique, guess), technique: technique.id, part: null };
      }),
    );
  }
  /** To the first that is unsure after a time, or else the first of all. */
  function toUnsure(after: Ms): void {
    const next = unsure.value.find(({ time }) => time > after) ?? unsure.value[0];
    if (!next) return;
    select(undefined);
    player()?.go(frameNearest(timeline, next.time));
  }

  return {
    open,
    unsure,
    asked,
    takeOver() {
      const { value: one } = atPlayhead;
      const sure = open.value.filter(isSureOf);
      if (open.value.length === 0) return notice.say(words.nothingThatWasFoundHere);
      const told = sure.length > 0 ? tag(sure) : one ? tag([one]) : [];
      if (sure.length > 0) {
        const left = unsure.value.length;
        notice.say(words.strikeTakenOverOneUndo(sure.length, left > 0 ? words.otherToBeLookedAt(left) : ''));
      }
      if (unsure.value.length > 0) toUnsure(sure.length > 0 ? -1 : (one?.time ?? now()));
      else select(told[0]);
    },
  };
}
