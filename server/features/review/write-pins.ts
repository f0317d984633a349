import type { PinMark } from '@wax-fist/contract/review';
import { latestBy } from '@wax-fist/core/review';
import { and, eq, inArray } from 'drizzle-orm';
import { pointPin } from '../../db/schema/index.ts';
import { append, asSaid, byId, notIn, type Desk } from './log.ts';
import type { Told } from './sift-marks.ts';

const aboutOf = ({ frame, point }: Pick<PinMark, 'frame' | 'point'>): string => `${frame} ${point}`;

/** What each pin that the log has already speaks of, by its id. */
export async function pinsInLog({ transaction }: Desk, told: readonly Told<PinMark>[]): Promise<Map<string, string>> {
  if (told.length === 0) return new Map();
  const ids = told.map(({ mark }) => mark.id);
  const rows = await transaction
    .select({ id: pointPin.id, filmId: pointPin.filmId, frame: pointPin.frame, point: pointPin.point })
    .from(pointPin)
    .where(inArray(pointPin.id, ids));
  return new Map(rows.map(({ id, filmId, ...about }) => [id, `${filmId} ${aboutOf(about)}`]));
}

/** Tells of one pin after the other why it cannot be taken: its id is that of another one, in the log or in this batch. */
export function otherPins({ filmId }: Desk, known: ReadonlyMap<string, string>): (mark: PinMark) => string | undefined {
  const about = new Map(known);
  return (mark) => {
    const mine = `${filmId} ${aboutOf(mark)}`;
    const held = about.get(mark.id) ?? mine;
    about.set(mark.id, held);
    return held === mine ? undefined : 'Another point has a pin with this id.';
  };
}

/** Adds pins to the log; of those about the same point of the same frame, the one that was said last counts. */
export async function writePins(desk: Desk, told: readonly Told<PinMark>[], known: ReadonlyMap<string, string>): Promise<void> {
  const fresh = notIn(known, told);
  if (fresh.length === 0) return;
  const frames = [...new Set(fresh.map(({ mark }) => mark.frame))];
  const counting = await desk.transaction
    .select({ id: pointPin.id, saidAt: pointPin.saidAt, frame: pointPin.frame, point: pointPin.point })
    .from(pointPin)
    .where(and(eq(pointPin.filmId, desk.filmId), inArray(pointPin.frame, frames), eq(pointPin.superseded, false)));
  const words = [...counting.map(({ saidAt, ...about }) => ({ ...about, saidAt: saidAt.toISOString() })), ...fresh.map(asSaid)];
  const counts = new Set([...latestBy(words, aboutOf).values()].map(({ id }) => id));
  const overruled = counting.filter(({ id }) => !counts.has(id)).map(({ id }) => id);
  if (overruled.length > 0)
    await desk.transaction.update(pointPin).set({ superseded: true }).where(inArray(pointPin.id, overruled));
  const rows = fresh.map(({ mark: { kind: _, ...mark }, saidAt }) => ({
    ...mark,
    filmId: desk.filmId,
    saidAt,
    saidBy: desk.saidBy,
    superseded: !counts.has(mark.id),
  }));
  await append(desk, pointPin, rows.sort(byId));
}
