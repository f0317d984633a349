import { copyFile, mkdir, readFile, stat } from 'node:fs/promises';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import { v7 as uuid } from 'uuid';
import { account, callSet, clip, correction, correctionEvent, trainee, trainingSession } from '../db/schema/index.ts';
import { hashedPassword } from '../features/accounts/passwords.ts';
import { addToLog } from '../features/review/add-to-log.ts';
import { countedIn } from '../features/review/queries.ts';
import { groundFor } from '../features/sessions/ground.ts';
import { clubDay } from '../features/sessions/club-day.ts';
import { addSteps, workOnClip, type ImportSurroundings } from '../jobs/work-on-clip.ts';
import { demoCoaches, demoSets, demoTrainees, type DemoClip, type DemoSession } from './club.ts';
import { marksFromTruth, type FilmTruth } from './marks-from-truth.ts';

const footage = join(import.meta.dirname, '../../simulator/footage');
const day = 24 * 3600 * 1000;

export interface DemoSurroundings extends ImportSurroundings {
  password: string;
  say: (line: string) => void;
}

/** Fills an empty database with the demo club, its coaches all with this password. */
export async function loadDemoClub(surroundings: DemoSurroundings): Promise<void> {
  const { db, password, say } = surroundings;
  const passwordHash = await hashedPassword(password);
  const coaches = demoCoaches.map((coach) => ({ id: uuid(), passwordHash, ...coach }));
  await db.insert(account).values(coaches);
  await db.insert(callSet).values(demoSets.map((set) => ({ id: uuid(), ...set })));
  for (const { sessions, ...person } of demoTrainees) {
    const traineeId = uuid();
    await db.insert(trainee).values({ id: traineeId, ...person });
    for (const [place, session] of sessions.entries()) {
      say(`${person.name}, session ${place + 1} of ${sessions.length}: working the footage in …`);
      await addSession(surroundings, traineeId, session, coaches[0]!.id);
    }
  }
}

async function addSession(
  surroundings: DemoSurroundings,
  traineeId: string,
  { daysAgo, clips, corrections, ...fields }: DemoSession,
  coachId: string,
): Promise<void> {
  const { db } = surroundings;
  const held = new Date(Date.now() - daysAgo * day);
  const sessionId = uuid();
  await db
    .insert(trainingSession)
    .values({ id: sessionId, traineeId, heldOn: clubDay(held), ...fields, ...(await groundFor(db, null)) });
  for (const film of clips) await addClip(surroundings, sessionId, film, held, coachId);
  for (const { recheckAfter, ...wanted } of corrections) {
    const recheckOn = clubDay(new Date(held.getTime() + recheckAfter * day));
    const id = uuid();
    await db.insert(correction).values({ id, traineeId, openedIn: sessionId, recheckOn, ...wanted });
    const tally = await countedIn(db, sessionId, wanted.technique, wanted.checkpointId);
    const event = { correctionId: id, sessionId, note: wanted.cue, tally, saidBy: coachId, at: held };
    await db.insert(correctionEvent).values({ id: uuid(), kind: 'opened', ...event });
  }
}

async function addClip(
  surroundings: DemoSurroundings,
  sessionId: string,
  { film, view, rows, done }: DemoClip,
  held: Date,
  coachId: string,
): Promise<void> {
  const id = uuid();
  const { db, storage, home } = surroundings;
  const copy = join(home, `${id}.mp4`);
  await mkdir(home, { recursive: true });
  await copyFile(join(footage, `${film}.mp4`), copy);
  const { size } = await stat(copy);
  await storage.keep(copy, id, 'original');
  await db.insert(clip).values({ id, sessionId, view, fileName: `${film}.mp4`, bytes: size, done, addedBy: coachId });
  await addSteps(db, id);
  await workOnClip(surroundings, id, true);
  if (!rows) return;
  const truth = JSON.parse(gunzipSync(await readFile(join(footage, `${film}.truth.json.gz`))).toString()) as FilmTruth;
  await addToLog(db, id, marksFromTruth(truth, view, rows, held), coachId);
}
