import { footageEndpoints, importSteps, uploadPath, type Film, type ImportStep } from '@wax-fist/contract/footage';
import { createHash } from 'node:crypto';
import { Client } from 'pg';
import { v7 as uuid } from 'uuid';
import { eventually } from '../server/test/eventually.ts';
import type { MortalClub, Victim } from './mortal-club.ts';
import type { Line } from './table.ts';

const tus = { 'tus-resumable': '1.0.0' };
const chunk = 16 * 1024;
const kilobytes = (bytes: number): string => `${(bytes / 1024).toFixed(0)} kB`;
export const faultLine = (what: string, acknowledged: string, there: string, reached: boolean): Line => ({
  what,
  measured: `${acknowledged} acknowledged, ${there} there`,
  target: 'all',
  reached,
});
/** What a visitor gets, or nothing while the other side is dead. */
export const alive = <T>(asked: Promise<T>): Promise<T | undefined> => asked.catch(() => undefined);

export interface Sent {
  location: string;
  /** Bytes that the server has said it has. */
  acknowledged: number;
}

export async function send(club: MortalClub, bytes: Uint8Array, sent: Sent, to = bytes.length): Promise<boolean> {
  while (sent.acknowledged < to) {
    const part = bytes.subarray(sent.acknowledged, sent.acknowledged + chunk);
    const headers = { ...tus, 'content-type': 'application/offset+octet-stream', 'upload-offset': String(sent.acknowledged) };
    const answer = await alive(club.coach.fetch(sent.location, { method: 'PATCH', headers, body: new Uint8Array(part) }));
    if (answer?.status !== 204) return false;
    sent.acknowledged = Number(answer.headers.get('upload-offset'));
  }
  return true;
}
export async function begin(club: MortalClub, bytes: Uint8Array): Promise<Sent> {
  const headers = { ...tus, 'upload-length': String(bytes.length) };
  const answer = await club.coach.fetch(uploadPath, { method: 'POST', headers });
  return { location: answer.headers.get('location')!, acknowledged: 0 };
}
export async function enter(club: MortalClub, sent: Sent, filmId: string): Promise<boolean> {
  const uploadId = sent.location.split('/').at(-1)!;
  const draft = { id: filmId, sessionId: club.sessionId, uploadId, fileName: 'round.mp4', view: 'front' };
  return (await alive(club.coach.ask(footageEndpoints.addFilm, { filmId }, draft)))?.status === 200;
}
const show = async (club: MortalClub, filmId: string): Promise<Film | undefined> => {
  const answer = await alive(club.coach.ask<Film>(footageEndpoints.showFilm, { filmId }));
  return answer?.status === 200 ? answer.body : undefined;
};
/** The film when all its steps have come to an end. */
export const worked = (club: MortalClub, filmId: string): Promise<Film | undefined> =>
  eventually(
    'the import',
    () => show(club, filmId),
    (film) => film?.steps.every(({ state }) => state !== 'waiting' && state !== 'working') ?? false,
    180_000,
  );
export const whole = (film: Film | undefined): boolean =>
  film?.state === 'ready' && film.remark === null && film.steps.every(({ state }) => state === 'done');

/** Asks how far an upload is. @returns bytes that are there */
async function goOn(club: MortalClub, sent: Sent): Promise<number> {
  const asked = await alive(club.coach.fetch(sent.location, { method: 'HEAD', headers: tus }));
  const there = Number(asked?.headers.get('upload-offset') ?? NaN);
  if (!Number.isNaN(there)) sent.acknowledged = there;
  return sent.acknowledged;
}

/** Half of a film is sent, somebody dies, and the rest is sent. */
export async function duringUpload(club: MortalClub, victim: Victim, bytes: Uint8Array): Promise<Line> {
  const sent = await begin(club, bytes);
  const sending = send(club, bytes, sent);
  await eventually(
    'half of the film',
    () => Promise.resolve(sent.acknowledged),
    (done) => done > bytes.length / 2,
  );
  await club.kill(victim);
  await sending;
  await club.back();
  const { acknowledged } = sent;
  const there = await goOn(club, sent);
  const filmId = uuid();
  // As every client does: what was refused meanwhile is tried again, from where the server says that it is.
  const arrive = async (): Promise<boolean> =>
    ((await send(club, bytes, sent)) && (await enter(club, sent, filmId))) || (await goOn(club, sent), false);
  const arrived = await eventually('the rest of the film', arrive, Boolean);
  await worked(club, filmId);
  const kept = await club.connection.pool.query<{ sha256: string }>('select sha256 from film where id = $1', [filmId]);
  const same = kept.rows[0]?.sha256 === createHash('sha256').update(bytes).digest('hex');
  const reached = arrived && there >= acknowledged && same;
  return faultLine(`${victim} killed in the middle of an upload`, kilobytes(acknowledged), kilobytes(there), reached);
}

/** A film is handed over, and somebody dies before the answer. */
export async function duringEntry(club: MortalClub, victim: Victim, bytes: Uint8Array): Promise<Line> {
  const sent = await begin(club, bytes);
  await send(club, bytes, sent);
  const filmId = uuid();
  const entering = enter(club, sent, filmId);
  await new Promise((resolve) => setTimeout(resolve, 4));
  await club.kill(victim);
  const first = await entering;
  await club.back();
  const again = await enter(club, sent, filmId);
  const film = await worked(club, filmId);
  return faultLine(
    `${victim} killed while a film is entered`,
    `1 film${first ? '' : ', the second time'}`,
    again && whole(film) ? '1' : '0',
    again && whole(film),
  );
}

/** Somebody dies as a step of the import begins, at its first try. */
export async function duringSteps(club: MortalClub, victim: Victim, bytes: Uint8Array): Promise<Line[]> {
  const lines: Line[] = [];
  for (const step of importSteps) lines.push(await duringStep(club, victim, step, bytes));
  return lines;
}
async function duringStep(club: MortalClub, victim: Victim, step: ImportStep, bytes: Uint8Array): Promise<Line> {
  const listener = new Client({ connectionString: club.databaseUrl });
  listener.on('error', () => undefined);
  await listener.connect();
  await listener.query('listen step_begun');
  const filmId = uuid();
  const begun = new Promise<void>((resolve) =>
    listener.on('notification', ({ payload }) => payload === `${filmId} ${step}` && resolve()),
  );
  const sent = await begin(club, bytes);
  await send(club, bytes, sent);
  const entered = await enter(club, sent, filmId);
  await begun;
  await club.kill(victim);
  await club.back();
  const film = await worked(club, filmId);
  await listener.end().catch(() => undefined);
  return faultLine(
    `${victim} killed at the step ${step}`,
    '1 film',
    entered && whole(film) ? '1' : `0 (${film?.remark ?? film?.state})`,
    entered && whole(film),
  );
}
