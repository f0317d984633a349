import type { FilmExport } from '@wax-fist/contract/exports';
import { c3dOf, pointsDocument, subRip, webVtt, type Cue } from '@wax-fist/core/formats';
import { emptyTrack, joinPacked, unpackTrack } from '@wax-fist/core/body';
import { timeOf, unpackTimeline } from '@wax-fist/core/film';
import { verdictNames, type Verdict } from '@wax-fist/core/review';
import { checkpointName, shippedCatalogue, techniqueName, thrownAs } from '@wax-fist/core/technique';
import { asc, eq, sql } from 'drizzle-orm';
import { packedFilm } from '../../db/packed-film.ts';
import type { Database } from '../../db/connection.ts';
import { film, observation, round, strike, trainee, trainingSession } from '../../db/schema/index.ts';
import { found, Refusal } from '../../http/refusal.ts';
import { catalogueAt } from '../checklists/versions.ts';

/** A verdict as it stands beside a strike in another player. */
interface Said {
  checkpointId: string;
  verdict: Verdict;
  note: string | null;
}

async function filmWithStrikes(db: Database, filmId: string) {
  const known = found(
    await db
      .select({
        timeline: film.timeline,
        fileName: film.fileName,
        traineeName: trainee.name,
        heldOn: trainingSession.heldOn,
        checklistVersion: trainingSession.checklistVersion,
      })
      .from(film)
      .innerJoin(trainingSession, eq(trainingSession.id, film.sessionId))
      .innerJoin(trainee, eq(trainee.id, trainingSession.traineeId))
      .where(eq(film.id, filmId)),
    'film',
  );
  if (!known.timeline) throw new Refusal(409, 'This film is still being worked in.');
  return { ...known, timeline: unpackTimeline(known.timeline) };
}

const strikesOf = (db: Database, filmId: string) =>
  db
    .select({
      id: strike.id,
      technique: strike.technique,
      part: strike.part,
      launchFrame: strike.launchFrame,
      homeFrame: strike.homeFrame,
      said: sql<Said[]>`coalesce((select json_agg(json_build_object(
        'checkpointId', said.checkpoint_id, 'verdict', said.verdict, 'note', said.note) order by said.checkpoint_id)
        from ${observation} as said where said.strike_id = ${strike}.id and not said.superseded and said.verdict is not null), '[]')`,
    })
    .from(strike)
    .where(sql`${strike.filmId} = ${filmId} and not ${strike.removed}`)
    .orderBy(asc(strike.contactFrame), asc(strike.id));

/** Strikes of a film with what was said of them; “can’t see” says nothing to whoever watches. */
async function strikeCues(db: Database, filmId: string): Promise<{ cues: Cue[]; title: string }> {
  const { timeline, traineeName, heldOn, checklistVersion } = await filmWithStrikes(db, filmId);
  const catalogue = (await catalogueAt(db, checklistVersion)) ?? shippedCatalogue;
  const cues = (await strikesOf(db, filmId)).map(({ id, said, launchFrame, homeFrame, ...thrown }): Cue => {
    const words = said
      .filter(({ verdict }) => verdict !== 'cant-see')
      .map(({ checkpointId, verdict, note }) =>
        [`${checkpointName(catalogue, checkpointId)}: ${verdictNames[verdict].toLowerCase()}`, note].filter(Boolean).join(', '),
      );
    return {
      id,
      from: timeOf(timeline, launchFrame),
      to: timeOf(timeline, homeFrame),
      lines: [techniqueName(catalogue, thrownAs(catalogue, thrown)), ...words],
    };
  });
  return { cues, title: `${traineeName}, ${heldOn}` };
}

async function roundCues(db: Database, filmId: string): Promise<{ cues: Cue[]; title: string }> {
  const { traineeName, heldOn } = await filmWithStrikes(db, filmId);
  const rounds = await db.select().from(round).where(eq(round.filmId, filmId)).orderBy(asc(round.startsAt));
  const cues = rounds.map(({ id, name, startsAt, endsAt }): Cue => ({ id, from: startsAt, to: endsAt, lines: [name] }));
  return { cues, title: `${traineeName}, ${heldOn}` };
}

async function pointsOf(db: Database, filmId: string) {
  const { timeline, fileName } = await filmWithStrikes(db, filmId);
  const { pieces, frames, picture } = await packedFilm(db, filmId);
  const track = pieces.length > 0 ? unpackTrack(0, joinPacked(pieces, frames)) : emptyTrack(0, frames);
  return { track, timeline, fileName, picture };
}
async function pointsText(db: Database, filmId: string): Promise<string> {
  const { track, timeline, fileName, picture } = await pointsOf(db, filmId);
  return `${JSON.stringify(pointsDocument(track, timeline, { film: fileName, ...picture }))}\n`;
}

/** How each file of a film is written. */
export const filmFiles: Readonly<Record<FilmExport, (db: Database, filmId: string) => Promise<string | Buffer>>> = {
  'strikes.vtt': async (db, filmId) => {
    const { cues, title } = await strikeCues(db, filmId);
    return webVtt(cues, title);
  },
  'rounds.vtt': async (db, filmId) => {
    const { cues, title } = await roundCues(db, filmId);
    return webVtt(cues, title);
  },
  'strikes.srt': async (db, filmId) => subRip((await strikeCues(db, filmId)).cues),
  'points.json': pointsText,
  'points.c3d': async (db, filmId) => {
    const { track, timeline, picture } = await pointsOf(db, filmId);
    return Buffer.from(c3dOf(track, timeline, picture));
  },
};
