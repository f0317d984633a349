import { partOf } from '@wax-fist/core/body';
import { learnWidenings, type PointCheck } from '@wax-fist/core/measure';
import type { Database } from '../../db/connection.ts';
import { pointCheck } from '../../db/schema/index.ts';

/** Everything that was checked in this club. */
async function checksOf(db: Database): Promise<PointCheck[]> {
  const rows = await db.select().from(pointCheck);
  return rows.flatMap(({ filmId, point, seen, x, y, foundX, foundY, trunk }) => {
    const part = partOf(point);
    const said = x === null || y === null ? null : { x, y };
    return part ? [{ filmId, part, seen, said, found: { x: foundX, y: foundY }, trunk }] : [];
  });
}

/** What the club's checks say of how far points are off in its films. */
export const learnedWidenings = async (db: Database) => learnWidenings(await checksOf(db));
