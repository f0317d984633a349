import { correctionEndpoints } from '@wax-fist/contract/corrections';
import { reviewEndpoints } from '@wax-fist/contract/review';
import { todayEndpoints } from '@wax-fist/contract/today';
import { traineeEndpoints } from '@wax-fist/contract/trainees';
import { median } from 'd3-array';
import { setTimeout as pause } from 'node:timers/promises';
import { coachesAtWork, nextWord, sendWords, type CoachAtWork } from './coaches-at-work.ts';
import { inMortalClub, type MortalClub } from './mortal-club.ts';
import type { Line } from './table.ts';

const coaches = 50;
/** What a busy club says and asks in a day: 50 coaches, 1,200 marks each, a page with every tenth. */
const wordsOfDay = 1200;
const wordsToPage = 10;
/** How often memory is looked at. Milliseconds. */
const lookEvery = 2000;
/** Memory at the end may be so much of what it was after the first fifth: what grows for ever grows more in a day. */
const mostGrowth = 1.15;
const megabytes = (bytes: number): string => `${(bytes / 1e6).toFixed(0)} MB`;

async function dayOf(coach: CoachAtWork, acknowledged: string[]): Promise<void> {
  const { visitor, filmId } = coach;
  const pages = [
    () => visitor.ask(reviewEndpoints.showReview, { filmId }),
    () => visitor.ask(todayEndpoints.filmsToReview),
    () => visitor.ask(traineeEndpoints.listTrainees),
    () => visitor.ask(correctionEndpoints.listCorrections),
  ];
  for (let number = 0; number < wordsOfDay; number++) {
    acknowledged.push(...(await sendWords(coach, [nextWord(coach, number)])));
    if (number % wordsToPage === 0) await pages[(number / wordsToPage) % pages.length]!();
  }
}

async function memoryWhile({ counted }: MortalClub, doing: Promise<unknown>): Promise<number[]> {
  const seen: number[] = [];
  const looking = new AbortController();
  const looked = (async () => {
    for (const { signal } = looking; !signal.aborted; await pause(lookEvery))
      seen.push(await counted('wax_process_resident_memory_bytes'));
  })();
  await doing.finally(() => looking.abort());
  await looked;
  return seen;
}

/** A day of a large club pressed into minutes: nothing that was acknowledged is lost, and the server takes no more memory at its end. */
export const benchSoak = (): Promise<Line[]> => inMortalClub(soaked);

async function soaked(club: MortalClub): Promise<Line[]> {
  const all = await coachesAtWork(club, coaches);
  const acknowledged: string[] = [];
  const begun = performance.now();
  const memory = await memoryWhile(club, Promise.all(all.map((coach) => dayOf(coach, acknowledged))));
  const minutes = (performance.now() - begun) / 60_000;
  const { rows } = await club.connection.pool.query<{ there: number }>(
    'select count(*)::int as there from observation where id = any($1::uuid[])',
    [acknowledged],
  );
  const fifth = Math.floor(memory.length / 5);
  const [early, late] = [median(memory.slice(fifth, 2 * fifth))!, median(memory.slice(-fifth))!];
  const there = rows[0]!.there;
  return [
    {
      what: `a day of ${coaches} coaches in ${minutes.toFixed(1)} minutes: marks acknowledged, and there`,
      measured: `${acknowledged.length}, ${there}`,
      target: 'all',
      reached: acknowledged.length === coaches * wordsOfDay && there === acknowledged.length,
    },
    {
      what: 'memory of the server, in the second fifth and in the last',
      measured: `${megabytes(early)}, ${megabytes(late)}`,
      target: `≤ × ${mostGrowth}`,
      reached: late <= early * mostGrowth,
    },
  ];
}
