import { archiveEndpoints, type Archive } from '@wax-fist/contract/archives';
import { traineeExportUrl } from '@wax-fist/contract/exports';
import { filledPath, type Endpoint } from '@wax-fist/contract/endpoint';
import { reviewEndpoints, type Mark } from '@wax-fist/contract/review';
import { roundEndpoints, type HitsAndRounds } from '@wax-fist/contract/rounds';
import { createHash } from 'node:crypto';
import { rename, rm, writeFile } from 'node:fs/promises';
import { request } from 'node:http';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { v7 as uuid } from 'uuid';
import { filmsFolder } from '../server/storage/storage.ts';
import { eventually } from '../server/test/eventually.ts';
import { observed, thrown } from '../server/test/marks.ts';
import { alive, begin, enter, faultLine, send, whole, worked } from './faults-of-films.ts';
import type { MortalClub, Victim } from './mortal-club.ts';
import type { Line } from './table.ts';

/** How many of these marks are in the log, once each. */
export async function inLog({ connection }: MortalClub, ids: readonly string[]): Promise<number> {
  const { rows } = await connection.pool.query<{ there: number }>(
    'select count(*)::int as there from unnest($1::uuid[]) as said(id) where exists (select from strike where revision_id = said.id) or exists (select from strike_revision where id = said.id) or exists (select from observation where id = said.id)',
    [ids],
  );
  return rows[0]!.there;
}

/** Four coaches mark, and somebody dies. */
export async function duringMarking(club: MortalClub, victim: Victim): Promise<Line> {
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
  const there = await inLog(club, acknowledged);
  return faultLine(`${victim} killed while four mark`, String(acknowledged.length), String(there), there === acknowledged.length);
}

/** A coach names a round again and again, and somebody dies: the name that stands is the last one that was acknowledged, or a later one. */
export async function duringRounds(club: MortalClub, victim: Victim): Promise<Line> {
  const { coach, filmId } = club;
  const id = uuid();
  let [acknowledged, over, version] = [0, false, 0];
  const show = async (): Promise<HitsAndRounds | undefined> => {
    const answer = await alive(coach.ask<HitsAndRounds>(roundEndpoints.showHitsAndRounds, { filmId }));
    return answer?.status === 200 ? answer.body : undefined;
  };
  const nameIt = async (): Promise<void> => {
    version = (await show())!.version;
    for (let number = 1; !over; number++) {
      const one = {
        id,
        name: String(number),
        from: 0,
        to: 5000,
        kind: 'heavy bag',
        manner: 'free',
        planned: '',
        proposed: false,
      };
      const draft = { rounds: [one], basedOn: version };
      const answer = await alive(coach.ask<HitsAndRounds>(roundEndpoints.saveRounds, { filmId }, draft));
      if (answer?.status === 200) [acknowledged, version] = [number, answer.body.version];
      else {
        await pause(100);
        version = (await show())?.version ?? version;
      }
    }
  };
  const naming = nameIt();
  const more = async (than: number): Promise<unknown> =>
    eventually(
      'more names',
      () => Promise.resolve(acknowledged),
      (now) => now > than,
    );
  await more(20);
  await club.kill(victim);
  await club.back();
  const before = acknowledged;
  const stands = Number((await show())?.rounds[0]?.name);
  await more(before + 5);
  over = true;
  await naming;
  const last = Number((await show())?.rounds[0]?.name);
  const reached = stands >= before && last >= acknowledged;
  return faultLine(`${victim} killed while rounds are named`, `name ${acknowledged}`, `name ${last}`, reached);
}

/** A file is taken along again and again, and somebody dies: whatever came to its end is whole. */
export async function duringExport(club: MortalClub, victim: Victim, traineeId: string): Promise<Line> {
  const fetched = async (): Promise<string | undefined> => {
    const answer = await alive(club.coach.fetch(traineeExportUrl(traineeId, 'verdicts.jsonld')));
    const text = answer?.status === 200 ? await alive(answer.text()) : undefined;
    return text === undefined ? undefined : createHash('sha256').update(text).digest('hex');
  };
  const first = await fetched();
  const seen: string[] = [];
  const fetching = (async () => {
    for (let time = 0; time < 30; time++) {
      const one = await fetched();
      if (one) seen.push(one);
      else await pause(100);
    }
  })();
  await pause(30);
  await club.kill(victim);
  await club.back();
  await fetching;
  seen.push((await fetched()) ?? 'nothing');
  const same = seen.filter((one) => one === first).length;
  return faultLine(
    `${victim} killed while a file is taken along`,
    `${seen.length} answers`,
    `${same} whole`,
    same === seen.length,
  );
}

const archived = (club: MortalClub, archiveId: string): Promise<Archive | undefined> =>
  eventually(
    'the archive',
    async () => (await alive(club.coach.ask<Archive>(archiveEndpoints.showArchive, { archiveId })))?.body,
    (archive) => archive?.state === 'ready' || archive?.state === 'failed',
    120_000,
  );
/** Asks until it is taken: what was asked twice is done once. */
async function askedFor(club: MortalClub, endpoint: Endpoint, draft: object): Promise<void> {
  await eventually(
    'the archive to be taken on',
    async () => (await alive(club.coach.ask(endpoint, {}, draft)))?.status ?? 0,
    (status) => status === 200 || status === 409,
  );
}

/** An archive is made, and read in again after all marks were taken out; each time somebody dies over it. */
export async function duringArchive(club: MortalClub, victim: Victim, traineeId: string): Promise<Line[]> {
  const [made, read] = [uuid(), uuid()];
  await askedFor(club, archiveEndpoints.makeArchive, { id: made, traineeId });
  await club.kill(victim);
  await club.back();
  const archive = await archived(club, made);
  const file = await club.coach.ask<ArrayBuffer>(archiveEndpoints.archiveFile, { archiveId: made });
  const bytes = new Uint8Array(file.body);
  const complete = archive?.state === 'ready' && bytes.length === archive.bytes;
  const lines = [faultLine(`${victim} killed while an archive is made`, '1 archive', complete ? '1' : '0', complete)];

  const words = async (): Promise<number> => {
    const { rows } = await club.connection.pool.query<{ there: number }>('select count(*)::int as there from observation');
    return rows[0]!.there;
  };
  const before = await words();
  await club.connection.pool.query('delete from observation');
  const sent = await begin(club, bytes);
  await send(club, bytes, sent);
  const uploadId = sent.location.split('/').at(-1)!;
  await askedFor(club, archiveEndpoints.readArchive, { id: read, uploadId, dryRun: false, archiveWins: false });
  await pause(20);
  await club.kill(victim);
  await club.back();
  const reading = await archived(club, read);
  const after = await words();
  const reached = reading?.state === 'ready' && after === before;
  return [...lines, faultLine(`${victim} killed while an archive is read`, `${before} marks`, String(after), reached)];
}

/** The connection is cut in the middle of a request, or before its answer has come; what was meant is said again. */
export async function cutConnections(club: MortalClub): Promise<Line> {
  const { base, coach, filmId } = club;
  const times = 100;
  const marks: Mark[] = [];
  for (let time = 0; time < times; time++) {
    const strikeId = uuid();
    const batch = [thrown(strikeId), observed(strikeId, 'clean')];
    marks.push(...batch);
    const body = JSON.stringify({ marks: batch });
    await new Promise<void>((resolve) => {
      const headers = { cookie: coach.cookie, 'content-type': 'application/json', 'content-length': Buffer.byteLength(body) };
      const asked = request(base + filledPath(reviewEndpoints.writeMarks.path, { filmId }), { method: 'PUT', headers });
      asked.once('error', () => undefined).once('close', resolve);
      asked.write(time % 2 ? body : body.slice(0, body.length / 2));
      setTimeout(() => asked.destroy(), time % 7);
    });
    await coach.ask(reviewEndpoints.writeMarks, { filmId }, { marks: batch });
  }
  const there = await inLog(
    club,
    marks.map(({ id }) => id),
  );
  return faultLine(
    'connection cut in the middle of a request, 100 times',
    String(marks.length),
    String(there),
    there === marks.length,
  );
}

/** The store goes away and comes back: what is sent meanwhile is refused in words or waits, and is whole afterwards. */
export async function storeAway(club: MortalClub, bytes: Uint8Array): Promise<Line> {
  const place = join(club.home, filmsFolder);
  const filmId = uuid();
  const sent = await begin(club, bytes);
  await send(club, bytes, sent);
  await rename(place, `${place}-away`);
  await writeFile(place, '');
  const meanwhile = await enter(club, sent, filmId);
  await rm(place);
  await rename(`${place}-away`, place);
  const entered = meanwhile || (await enter(club, sent, filmId));
  const film = entered ? await worked(club, filmId) : undefined;
  return faultLine(
    'store away while a film is entered',
    '1 film',
    whole(film) ? '1' : `0 (${film?.remark ?? 'refused'})`,
    whole(film),
  );
}
