import { frameAt, timeOf, type FrameTimeline } from '@wax-fist/core/film';
import { heardCombinations } from '@wax-fist/core/rounds';
import type { FrameIndex, Ms } from '@wax-fist/core/units';
import { useHitsAndRounds } from './hits-and-rounds-store.ts';

/** A hit this near to the playhead is the one that is meant; to be moved, it may be further off. */
const sameHit: Ms = 30;
const hitReach: Ms = 400;
/** How much one key press believes more or less. */
const beliefStep = 0.05;

/** What keys do to hits, seen from where the playhead stands. Sound and picture share the clock. */
export function hitsAtPlayhead(timeline: FrameTimeline, at: () => FrameIndex) {
  const hitsAndRounds = useHitsAndRounds();
  const now = (): Ms => timeOf(timeline, at());
  return {
    /** The frame in which the hit before or after the playhead is seen. */
    neighbour: (steps: 1 | -1): FrameIndex | undefined => {
      const frames = hitsAndRounds.hits.map(({ time }) => frameAt(timeline, time));
      return steps === 1 ? frames.find((frame) => frame > at()) : frames.findLast((frame) => frame < at());
    },
    /** The frames of the hits that follow each other from there on, as close as in a combination. */
    following: (from: FrameIndex): FrameIndex[] => {
      const start = timeOf(timeline, from);
      const later = hitsAndRounds.hits.filter(({ time }) => time > start);
      const [first] = heardCombinations([{ time: start }, ...later], hitsAndRounds.edits.gap);
      return first!.slice(1).map(({ time }) => frameAt(timeline, time));
    },
    toggle: () => hitsAndRounds.toggleHit(now(), sameHit),
    move: () => hitsAndRounds.moveHit(now(), hitReach),
    /** Shows more or fewer of the hits that were found. */
    believe: (steps: 1 | -1): void => {
      const { sensitivity } = hitsAndRounds.edits;
      hitsAndRounds.changeEdits({ sensitivity: Math.max(0, Math.min(1, sensitivity + steps * beliefStep)) });
    },
  };
}
