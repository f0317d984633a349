import type { Evidence } from '@wax-fist/contract/corrections';
import type { Montage, MontageKind, MontagePiece } from '@wax-fist/contract/montages';
import { isAbout } from '@wax-fist/core/correction';
import { phaseFrames } from '@wax-fist/core/strikes';
import { unpackTimeline } from '@wax-fist/core/film';
import { checkpointName, shippedCatalogue, techniqueName } from '@wax-fist/core/technique';
import { shortDay } from '@wax-fist/core/words';
import { eq, inArray } from 'drizzle-orm';
import type { Database } from '../../db/connection.ts';
import { correction, film, trainee, trainingSession } from '../../db/schema/index.ts';
import { found } from '../../http/refusal.ts';
import { catalogueAt } from '../checklists/versions.ts';
import { correctionsOf, evidenceIn } from '../corrections/queries.ts';

/** What a montage is about. */
export interface MontageAbout {
  technique: string;
  checkpointId: string;
  which: MontageKind;
}
/** Nobody watches more of them. */
const mostPieces = 40;

type Shown = Evidence & { label: string };

/** One of then and one of now in turn, from the same view as far as there are any: what was a fault then, what is clean now first. */
function inTurn(then: readonly Evidence[], now: readonly Evidence[]): Shown[] {
  const view = now[0]?.view ?? then[0]?.view;
  const first = (all: readonly Evidence[], verdict: Evidence['verdict']): Evidence[] =>
    all.filter((one) => one.view === view).sort((a, b) => Number(b.verdict === verdict) - Number(a.verdict === verdict));
  const [before, after] = [first(then, 'fault'), first(now, 'clean')];
  const pairs = Math.min(before.length, after.length, mostPieces / 2);
  return Array.from({ length: pairs }, (_, place) => [
    { ...before[place]!, label: `then, ${shortDay(before[place]!.heldOn)}` },
    { ...after[place]!, label: `now, ${shortDay(after[place]!.heldOn)}` },
  ]).flat();
}

/** The strikes of a montage, in the order in which they are shown. @throws Refusal when there is no such session */
export async function montageOf(db: Database, sessionId: string, { which, ...about }: MontageAbout): Promise<Montage> {
  const rows = await db
    .select({ session: trainingSession, traineeName: trainee.name })
    .from(trainingSession)
    .innerJoin(trainee, eq(trainee.id, trainingSession.traineeId))
    .where(eq(trainingSession.id, sessionId));
  const { session, traineeName } = found(rows, 'session');
  const [now, corrections, catalogue] = await Promise.all([
    evidenceIn(db, sessionId, about),
    correctionsOf(db, eq(correction.traineeId, session.traineeId)),
    catalogueAt(db, session.checklistVersion),
  ]);
  const worked = corrections.filter(isAbout(about)).at(-1);
  const verdict = which === 'clean' ? 'clean' : 'fault';
  const shown =
    which === 'then-now'
      ? inTurn(worked && worked.openedIn !== sessionId ? await evidenceIn(db, worked.openedIn, about) : [], now)
      : now.filter((one) => one.verdict === verdict).map((one) => ({ ...one, label: '' }));
  const names = catalogue ?? shippedCatalogue;
  return {
    ...{ sessionId, traineeName, heldOn: session.heldOn, cue: worked?.cue ?? '' },
    technique: techniqueName(names, about.technique),
    name: checkpointName(names, about.checkpointId),
    pieces: await withRoom(db, shown.slice(0, mostPieces)),
  };
}

/** Each with a little before and after it. */
async function withRoom(db: Database, shown: readonly Shown[]): Promise<MontagePiece[]> {
  const ids = [...new Set(shown.map(({ filmId }) => filmId))];
  if (ids.length === 0) return [];
  const films = await db.select({ id: film.id, timeline: film.timeline }).from(film).where(inArray(film.id, ids));
  const timelines = new Map(films.flatMap(({ id, timeline }) => (timeline ? [[id, unpackTimeline(timeline)]] : [])));
  return shown.flatMap(({ strikeId, filmId, heldOn, view, label, contactFrame, ...moments }) => {
    const timeline = timelines.get(filmId);
    if (!timeline) return [];
    const { ready, exit } = phaseFrames(timeline, { ...moments, contactFrame });
    return [{ strikeId, filmId, heldOn, view, label, fromFrame: ready, contactFrame, toFrame: exit }];
  });
}
