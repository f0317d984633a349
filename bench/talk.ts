import { findTalk } from '@wax-fist/core/sound';
import { sum } from 'd3-array';
import { heardRate, type Library, type Recording } from '../simulator/recordings/library.ts';
import type { Line } from './table.ts';

/** What is shorter than a piece that is listened to says nothing. Seconds. */
const shortest = 2;
const secondsOf = ({ samples }: Recording): number => samples.length / heardRate;

/** How much of recordings is taken for talk: of talk itself, and of music. None of them was looked at when it was made. */
export function benchTalk(library: Library): Line[] {
  const told = (list: readonly Recording[]): { share: number; seconds: number } => {
    const long = list.filter((one) => secondsOf(one) >= shortest);
    const talk = sum(long, ({ samples }) => sum(findTalk(samples, heardRate), ({ from, to }) => to - from) / 1000);
    const seconds = sum(long, secondsOf);
    return { share: talk / seconds, seconds };
  };
  const measured = ({ share, seconds }: ReturnType<typeof told>): string =>
    `${Math.round(100 * share)}% of ${Math.round(seconds)} s`;
  const speech = told(library.speech);
  const music = told([...library.music, ...library.band]);
  return [
    { what: 'talk, of recorded speech', measured: measured(speech), target: '≥ 85%', reached: speech.share >= 0.85 },
    { what: 'talk, taken from music', measured: measured(music), target: '≤ 10%', reached: music.share <= 0.1 },
  ];
}
