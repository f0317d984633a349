import { filledPath } from '@wax-fist/contract/endpoint';
import { reviewEndpoints } from '@wax-fist/contract/review';
import { todayEndpoints } from '@wax-fist/contract/today';
import { traineeEndpoints } from '@wax-fist/contract/trainees';
import autocannon from 'autocannon';
import { gzipSync } from 'node:zlib';
import { v7 as uuid } from 'uuid';
import { observed, roundOfMarks, thrown } from '../server/test/marks.ts';
import { addScene, startServer } from '../server/test/server-under-test.ts';
import type { Line } from './table.ts';

const kilobytes = (bytes: number): string => `${(bytes / 1024).toFixed(0)} kB`;
const connections = 50;
const seconds = 6;
/** Strikes of a round of three minutes, each judged once. */
const strikesOfRound = 150;

/** How many requests a second are answered, with so many that wait for their answer at any moment; asked from another thread. */
async function requestsASecond(asked: Pick<autocannon.Options, 'url' | 'headers'>): Promise<number> {
  const { requests, non2xx, errors } = await autocannon({ ...asked, connections, duration: seconds, workers: 1 });
  if (non2xx + errors > 0) throw new Error(`${non2xx} answers were refusals, ${errors} did not come.`);
  return requests.average;
}

/** The same for marks, each of them a new one: those have to be made here. @param put a mark, by its sender’s number */
async function marksASecond(put: (sender: number) => Promise<Response>): Promise<number> {
  const end = performance.now() + seconds * 1000;
  let answered = 0;
  const ask = async (_: unknown, sender: number): Promise<void> => {
    while (performance.now() < end) {
      const response = await put(sender);
      await response.arrayBuffer();
      if (!response.ok) throw new Error(`It answered ${response.status}.`);
      answered++;
    }
  };
  await Promise.all(Array.from({ length: connections }, ask));
  return answered / seconds;
}

/** What the server answers in a second, asked by as many as a large club on one evening; server and askers share the machine. */
export async function benchServer(): Promise<Line[]> {
  const server = await startServer({ works: false });
  const coach = await server.as('coach');
  const { filmId } = await addScene(server);
  const strikeId = uuid();
  const put = (marks: unknown[], at = filmId): Promise<Response> =>
    coach.fetch(filledPath(reviewEndpoints.writeMarks.path, { filmId: at }), {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ marks }),
    });
  await put([thrown(strikeId)]);
  const films: { filmId: string; strikeId: string }[] = [];
  for (let more = 0; more < connections; more++) {
    const own = { filmId: (await addScene(server)).filmId, strikeId: uuid() };
    await put([thrown(own.strikeId)], own.filmId);
    films.push(own);
  }
  const round = Array.from({ length: Math.ceil(strikesOfRound / 50) }, () =>
    roundOfMarks(Array.from({ length: 50 }, () => 'clean' as const)),
  ).flat();
  await put(round);
  const headers = { cookie: coach.cookie, 'content-type': 'application/json', 'accept-encoding': 'gzip' };
  const get = (path: string) => ({ url: coach.base + path, headers });
  const rates: [what: string, rate: number][] = [
    ['today', await requestsASecond(get(todayEndpoints.filmsToReview.path))],
    ['trainees, a page', await requestsASecond(get(traineeEndpoints.listTrainees.path))],
    ['review of a round', await requestsASecond(get(filledPath(reviewEndpoints.showReview.path, { filmId })))],
    ['one mark of one strike', await marksASecond(() => put([observed(strikeId, 'clean')]))],
    [
      'one mark, each at a film of their own',
      await marksASecond((sender) => put([observed(films[sender]!.strikeId, 'clean')], films[sender]!.filmId)),
    ],
  ];
  const review = await (await coach.fetch(filledPath(reviewEndpoints.showReview.path, { filmId }))).text();
  const packed = gzipSync(review).length;
  const many = Array.from({ length: 250 }, () => uuid()).flatMap((one) => [thrown(one), observed(one, 'clean')]);
  const begun = performance.now();
  await put(many);
  const took = performance.now() - begun;
  await server.stop();
  return [
    ...rates.map(([what, rate]) => ({
      what: `${what}, ${connections} at once`,
      measured: `${rate.toFixed(0)} a second`,
      target: '',
      reached: true,
    })),
    {
      what: `review of ${strikesOfRound + 1} strikes, as JSON`,
      measured: `${kilobytes(review.length)}, packed ${kilobytes(packed)}`,
      target: '≤ 30 kB on the way',
      reached: packed <= 30 * 1024,
    },
    { what: '500 marks in one request', measured: `${took.toFixed(0)} ms`, target: '≤ 500 ms', reached: took <= 500 },
  ];
}
