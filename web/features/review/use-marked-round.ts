import type { StrikeMark } from '@wax-fist/contract/review';
import { gapAt, timeOf } from '@wax-fist/core/film';
import type { MarkedRound } from '@wax-fist/core/measure';
import type { Ms } from '@wax-fist/core/units';
import { computed, type ComputedRef } from 'vue';
import { useHitsAndRounds } from '../rounds/hits-and-rounds-store.ts';
import { useReview } from './review-store.ts';
import type { BenchData } from './use-bench-data.ts';

/** What a mark is off by that stands on the nearest frame, of the gap between two frames: a step of 1 is spread by √(1/12). */
const ofFrame = Math.sqrt(1 / 12);

/** The round that the strike in hand is in, or the whole film where no rounds are cut; undefined between rounds. */
export function useMarkedRound(
  { playable: { timeline } }: Pick<BenchData, 'playable'>,
  strike: ComputedRef<StrikeMark | undefined>,
): ComputedRef<MarkedRound | undefined> {
  const review = useReview();
  const heard = useHitsAndRounds();
  return computed(() => {
    const now = strike.value;
    if (!now) return undefined;
    const landed = (one: StrikeMark): Ms => timeOf(timeline, one.contactFrame);
    const rounds = heard.rounds.length > 0 ? heard.rounds : [{ from: 0, to: Infinity }];
    const round = rounds.find(({ from, to }) => landed(now) >= from && landed(now) < to);
    if (!round) return undefined;
    const inside = (times: readonly Ms[]): Ms[] => times.filter((time) => time >= round.from && time < round.to);
    return {
      from: round.from,
      to: round.to,
      hits: inside(heard.hits.map(({ time }) => time)),
      beats: inside(review.strikes.filter(({ technique }) => technique === now.technique).map(landed)),
      markOff: gapAt(timeline, now.contactFrame) * ofFrame,
    };
  });
}
