import { quantile } from 'd3-array';
import { setTimeout as pause } from 'node:timers/promises';
import { coachesAtWork, oneWord, type CoachAtWork } from './coaches-at-work.ts';
import { addCrowd } from './crowd.ts';
import { startMortalClub } from './mortal-club.ts';
import type { Line } from './table.ts';

const coaches = 200;
/** Each says a word so often: faster than anybody looks at a strike. Milliseconds. */
const every = 1000;
const minutes = 1;
const most = 100;
/** A million marks that are there already. */
const sessionsOfOthers = 1000;

/** Marks at a steady pace, whether the one before was answered or not, as if by people. @returns milliseconds that each answer took */
async function atOnesPace(coach: CoachAtWork, begin: number, until: number): Promise<number[]> {
  await pause(begin);
  const waits: Promise<number>[] = [];
  const due = performance.now();
  for (let number = 0; performance.now() < until; number++) {
    await pause(Math.max(0, due + number * every - performance.now()));
    const sent = performance.now();
    waits.push(
      oneWord(coach, number).then((kept) => {
        if (kept.length === 0) throw new Error('A mark was not kept.');
        return performance.now() - sent;
      }),
    );
  }
  return Promise.all(waits);
}

/** Two hundred coaches who mark at the same time in a club of a million marks; they, the server and the database share the machine. */
export async function benchLoad(): Promise<Line[]> {
  const club = await startMortalClub(process.env.WAX_DATABASE_URL!);
  await addCrowd(club.connection.db, sessionsOfOthers);
  const all = await coachesAtWork(club, coaches);
  const until = performance.now() + minutes * 60_000;
  const took = (await Promise.all(all.map((coach, place) => atOnesPace(coach, (place * every) / coaches, until)))).flat();
  await club.stop();
  const [p50, p95, p99] = [0.5, 0.95, 0.99].map((share) => quantile(took, share)!);
  return [
    {
      what: `${coaches} coaches, each a mark every ${every / 1000} s, ${took.length} marks: p50 / p95 / p99`,
      measured: `${p50!.toFixed(0)} / ${p95!.toFixed(0)} / ${p99!.toFixed(0)} ms`,
      target: `p95 ≤ ${most} ms`,
      reached: p95! <= most,
    },
  ];
}
