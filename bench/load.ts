import type { Mark } from '@wax-fist/contract/review';
import { quantile } from 'd3-array';
import { setTimeout as pause } from 'node:timers/promises';
import { coachesAtWork, nextWord, sendWords, type CoachAtWork } from './coaches-at-work.ts';
import { addCrowd } from './crowd.ts';
import { inMortalClub, type MortalClub } from './mortal-club.ts';
import { watchStolen } from './stolen.ts';
import { percent, type Line } from './table.ts';

const count = 200;
/** Each says a word so often, without a pause: to look at a row of a strike and to judge it takes longer. Milliseconds. */
const every = 2000;
const minutes = 1;
/** A server that has just started is told apart: its code is not compiled yet, and its statements not planned. Milliseconds. */
const warmingUp = 15_000;
const most = 100;
/** A million marks that are there already. */
const sessionsOfOthers = 1000;

/** A word from when it was said until it was known to be kept. Milliseconds. */
interface Answer {
  said: number;
  took: number;
}

/**
 * Says a word at a steady pace, as people do, and sends as the bench does: one request at a time, with all that was said since the one
 * before.
 */
async function atOnesPace(coach: CoachAtWork, begin: number, until: number): Promise<Answer[]> {
  await pause(begin);
  const due = performance.now();
  const answers: Answer[] = [];
  const waiting: { said: number; mark: Mark }[] = [];
  let sending: Promise<void> | undefined;
  const sendAll = async (): Promise<void> => {
    while (waiting.length > 0) {
      const batch = waiting.splice(0);
      const kept = await sendWords(
        coach,
        batch.map(({ mark }) => mark),
      );
      if (kept.length < batch.length) throw new Error('A mark was not kept.');
      const now = performance.now();
      answers.push(...batch.map(({ said }) => ({ said, took: now - said })));
    }
    sending = undefined;
  };
  for (let number = 0; performance.now() < until; number++) {
    await pause(Math.max(0, due + number * every - performance.now()));
    waiting.push({ said: performance.now(), mark: nextWord(coach, number) });
    sending ??= sendAll();
  }
  await sending;
  return answers;
}

/** Two hundred coaches who mark at the same time in a club of a million marks; they, the server and the database share the machine. */
export const benchLoad = (): Promise<Line[]> => inMortalClub(underLoad);

async function underLoad(club: MortalClub): Promise<Line[]> {
  await addCrowd(club.connection.db, sessionsOfOthers);
  const coaches = await coachesAtWork(club, count);
  const begun = performance.now();
  const stolen = watchStolen();
  const until = begun + warmingUp + minutes * 60_000;
  const all = (await Promise.all(coaches.map((coach, place) => atOnesPace(coach, (place * every) / count, until)))).flat();
  const taken = stolen();
  const line = (what: string, answers: readonly Answer[], target: number): Line => {
    const [p50, p95, p99] = [0.5, 0.95, 0.99].map((share) => quantile(answers, share, ({ took }) => took)!);
    return {
      what: `${count} coaches, each a mark every ${every / 1000} s, ${what} (${answers.length} marks): p50 / p95 / p99`,
      measured: `${p50!.toFixed(0)} / ${p95!.toFixed(0)} / ${p99!.toFixed(0)} ms`,
      target: target === Infinity ? '' : `p95 ≤ ${target} ms`,
      reached: p95! <= target,
    };
  };
  const warm = begun + warmingUp;
  return [
    line(
      `for ${warmingUp / 1000} s after a start`,
      all.filter(({ said }) => said < warm),
      Infinity,
    ),
    line(
      'from then on',
      all.filter(({ said }) => said >= warm),
      most,
    ),
    { what: 'of the processors, meanwhile given to others by the host', measured: percent(taken), target: '', reached: true },
  ];
}
