import { footageEndpoints, importSteps, uploadPath, type Film, type ImportStep } from '@wax-fist/contract/footage';
import { reviewEndpoints, type Mark } from '@wax-fist/contract/review';
import { createHash } from 'node:crypto';
import { mkdtemp, readFile, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Client } from 'pg';
import { v7 as uuid } from 'uuid';
import { eventually } from '../server/test/eventually.ts';
import { blows, made } from '../server/test/films.ts';
import { observed, thrown } from '../server/test/marks.ts';
import { startMortalClub, victims, type MortalClub, type Victim } from './mortal-club.ts';
import type { Line } from './table.ts';

const tus = { 'tus-resumable': '1.0.0' };
const chunk = 16 * 1024;
const kilobytes = (bytes: number): string => `${(bytes / 1024).toFixed(0)} kB`;
const line = (what: string, acknowledged: string, there: string, reached: boolean): Line => ({
  what,
  measured: `${acknowledged} acknowledged, ${there} there`,
  target: 'all',
  reached,
});
/** What a visitor gets, or nothing while the other side is dead. */
const alive = <T>(asked: Promise<T>): Promise<T | undefined> => asked.catch(() => undefined);

interface Sent {
  location: string;
  /** Bytes that the server has said it has. */
  acknowledged: number;
}

async function send(club: MortalClub, bytes: Uint8Array, sent: Sent, to = bytes.length): Promise<boolean> {
  while (sent.acknowledged < to) {
    const part = bytes.subarray(sent.acknowledged, sent.acknowledged + chunk);
    const headers = { ...tus, 'content-type': 'application/offset+octet-stream', 'upload-offset': String(sent.acknowledged) };
    const answer = await alive(club.coach.fetch(sent.location, { method: 'PATCH', headers, body: new Uint8Array(part) }));
    if (answer?.status !== 204) return false;
    sent.acknowledged = Number(answer.headers.get('upload-offset'));
  }
  return true;
}
async function begin(club: MortalClub, bytes: Uint8Array): Promise<Sent> {
  const headers = { ...tus, 'upload-length': String(bytes.length) };
  const answer = await club.coach.fetch(uploadPath, { method: 'POST', headers });
  return { location: answer.headers.get('location')!, acknowledged: 0 };
}
async function enter(club: MortalClub, sent: Sent, filmId: string): Promise<boolean> {
  const uploadId = sent.location.split('/').at(-1)!;
  const draft = { id: filmId, sessionId: club.sessionId, uploadId, fileName: 'round.mp4', view: 'front' };
  return (await alive(club.coach.ask(footageEndpoints.addFilm, { filmId }, draft)))?.status === 200;
}
const show = async (club: MortalClub, filmId: string): Promise<Film | undefined> => {
  const answer = await alive(club.coach.ask<Film>(footageEndpoints.showFilm, { filmId }));
  return answer?.status === 200 ? answer.body : undefined;
};
/** The film when all its steps have come to an end. */
const worked = (club: MortalClub, filmId: string): Promise<Film | undefined> =>
  eventually(
    'the import',
    () => show(club, filmId),
    (film) => film?.steps.every(({ state }) => state !== 'waiting' && state !== 'working') ?? false,
    180_000,
  );
const whole = (film: Film | undefined): boolean =>
  film?.state === 'ready' && film.remark === null && film.steps.every(({ state }) => state === 'done');

/** Half of a film is sent, somebody dies, and the rest is sent. */
async function duringUpload(club: MortalClub, victim: Victim, bytes: Uint8Array): Promise<Line> {
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
  const asked = await club.coach.fetch(sent.location, { method: 'HEAD', headers: tus });
  sent.acknowledged = Number(asked.headers.get('upload-offset'));
  const there = sent.acknowledged;
  const filmId = uuid();
  const arrived = (await send(club, bytes, sent)) && (await enter(club, sent, filmId));
  await worked(club, filmId);
  const kept = await club.connection.pool.query<{ sha256: string }>('select sha256 from film where id = $1', [filmId]);
  const same = kept.rows[0]?.sha256 === createHash('sha256').update(bytes).digest('hex');
  const reached = arrived && there >= acknowledged && same;
  return line(`${victim} killed in the middle of an upload`, kilobytes(acknowledged), kilobytes(there), reached);
}

/** A film is handed over, and somebody dies before the answer. */
async function duringEntry(club: MortalClub, victim: Victim, bytes: Uint8Array): Promise<Line> {
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
  return line(
    `${victim} killed while a film is entered`,
    `1 film${first ? '' : ', the second time'}`,
    again && whole(film) ? '1' : '0',
    again && whole(film),
  );
}

/** Somebody dies as a step of the import begins, at its first try. */
async function duringSteps(club: MortalClub, victim: Victim, bytes: Uint8Array): Promise<Line[]> {
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
  return line(
    `${victim} killed at the step ${step}`,
    '1 film',
    entered && whole(film) ? '1' : `0 (${film?.remark ?? film?.state})`,
    entered && whole(film),
  );
}

/** Four coaches mark, and somebody dies. */
async function duringMarking(club: MortalClub, victim: Victim): Promise<Line> {
  const acknowledged: string[] = [];
  let over = false;
  const write = async (): Promise<void> => {
    while (!over) {
      const strikeId = uuid();
      const marks: Mark[] = [thrown(strikeId), ...Array.from({ length: 9 }, () => observed(strikeId, 'clean'))];
      const answer = await alive(
        club.coach.ask<{ kept: string[] }>(reviewEndpoints.writeMarks, { filmId: club.filmId }, { marks }),
      );
      if (answer?.status === 200) acknowledged.push(...answer.body.kept);
      else await new Promise((resolve) => setTimeout(resolve, 100));
    }
  };
  const writers = [1, 2, 3, 4].map(write);
  await eventually(
    'some marks',
    () => Promise.resolve(acknowledged.length),
    (count) => count > 400,
  );
  await club.kill(victim);
  await club.back();
  const before = acknowledged.length;
  await eventually(
    'more marks',
    () => Promise.resolve(acknowledged.length),
    (count) => count > before + 200,
  );
  over = true;
  await Promise.all(writers);
  const { rows } = await club.connection.pool.query<{ there: number }>(
    'select count(*)::int as there from unnest($1::uuid[]) as said(id) where exists (select from strike where revision_id = said.id) or exists (select from strike_revision where id = said.id) or exists (select from observation where id = said.id)',
    [acknowledged],
  );
  const { there } = rows[0]!;
  return line(`${victim} killed while four mark`, String(acknowledged.length), String(there), there === acknowledged.length);
}

/** Kills everything at every place, and counts what was acknowledged and what is there. */
export async function benchFaults(): Promise<Line[]> {
  const club = await startMortalClub(process.env.WAX_DATABASE_URL!);
  await club.connection.pool.query(`
    create function tell_step() returns trigger language plpgsql as $$
      begin perform pg_notify('step_begun', new.film_id || ' ' || new.step); return new; end $$;
    create trigger step_is_told after update of state on film_step for each row
      when (new.state = 'working' and new.attempts = 1) execute function tell_step();`);
  const folder = await mkdtemp(join(tmpdir(), 'wax-fist-faults-'));
  const bytes = await readFile(await made(folder, 'round.mp4', (path) => blows(6, 0, path)));
  const lines: Line[] = [];
  for (const victim of victims) {
    lines.push(await duringUpload(club, victim, bytes));
    lines.push(await duringEntry(club, victim, bytes));
    lines.push(...(await duringSteps(club, victim, bytes)));
    lines.push(await duringMarking(club, victim));
  }
  await club.stop();
  await rm(folder, { recursive: true });
  return lines;
}
