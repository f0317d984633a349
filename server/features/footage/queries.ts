import type { Clip, ClipStep, KnownFilm } from '@wax-fist/contract/footage';
import { asc, desc, eq, sql, type SQL } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { clip, clipStep, observation, strike, trainee, trainingSession } from '../../db/schema/index.ts';

const standing = sql`from ${strike} where ${strike.clipId} = ${clip.id} and not ${strike.removed}`;
const hasVerdict = sql`exists (select 1 from ${observation}
  where ${observation.strikeId} = ${strike.id} and not ${observation.superseded} and ${observation.verdict} is not null)`;

/** A step's state, and how long it is likely to take still, once a fiftieth of it is done. */
const steps = sql<ClipStep[]>`coalesce((select json_agg(json_build_object(
    'step', ${clipStep.step}, 'state', ${clipStep.state}, 'progress', ${clipStep.progress}, 'reason', ${clipStep.reason},
    'left', case when ${clipStep.state} = 'working' and ${clipStep.progress} > 0.02 then
      extract(epoch from ${clipStep.touchedAt} - ${clipStep.startedAt}) * 1000 * (1 - ${clipStep.progress}) / ${clipStep.progress} end)
    order by ${clipStep.step})
  from ${clipStep} where ${clipStep.clipId} = ${clip.id}), '[]')`;

/** A clip without its packed columns, and how far its review is. */
export const clipColumns = {
  id: clip.id,
  sessionId: clip.sessionId,
  view: clip.view,
  fileName: clip.fileName,
  bytes: clip.bytes,
  state: clip.state,
  steps,
  remark: clip.remark,
  duration: clip.duration,
  frames: clip.frames,
  firstFrameAt: clip.firstFrameAt,
  width: clip.width,
  height: clip.height,
  hasSound: clip.hasSound,
  stripPictures: clip.stripPictures,
  stripWidth: clip.stripWidth,
  stripHeight: clip.stripHeight,
  strikes: sql<number>`(select count(*)::int ${standing})`,
  marked: sql<number>`(select count(*)::int ${standing} and ${hasVerdict})`,
  done: clip.done,
};

type Row = Omit<Clip, 'strip'> & Record<'stripPictures' | 'stripWidth' | 'stripHeight', number | null>;

export const asClip = ({ stripPictures, stripWidth, stripHeight, ...row }: Row): Clip => ({
  ...row,
  strip: stripPictures ? { pictures: stripPictures, width: stripWidth!, height: stripHeight! } : null,
});

export async function clipsOf(db: Database, condition: SQL): Promise<Clip[]> {
  const rows = await db.select(clipColumns).from(clip).where(condition).orderBy(asc(clip.addedAt), asc(clip.id));
  return rows.map(asClip);
}

/** Films with exactly these bytes, the newest first. */
export const filmsKnownBy = (db: Database, sha256: string): Promise<KnownFilm[]> =>
  db
    .select({
      clipId: clip.id,
      sessionId: clip.sessionId,
      fileName: clip.fileName,
      view: clip.view,
      traineeName: trainee.name,
      heldOn: trainingSession.heldOn,
    })
    .from(clip)
    .innerJoin(trainingSession, eq(trainingSession.id, clip.sessionId))
    .innerJoin(trainee, eq(trainee.id, trainingSession.traineeId))
    .where(eq(clip.sha256, sha256))
    .orderBy(desc(clip.addedAt))
    .limit(20);
