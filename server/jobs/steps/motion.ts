import { motionColumns, motionRows, movementOf } from '@wax-fist/core/strikes';
import { createWriteStream } from 'node:fs';
import { mkdir } from 'node:fs/promises';
import { dirname } from 'node:path';
import { once } from 'node:events';
import { filmHits } from '../../db/schema/index.ts';
import { eachPicture } from '../../media/inspect.ts';
import { heavily } from '../heavy.ts';
import type { StepWork } from '../import-step.ts';

/** Four by four pixels a cell are enough to see that an arm went by. */
const size = { width: motionColumns * 4, height: motionRows * 4 };

/** Measures how much every part of the picture moves, for rounds that nothing is heard of. */
export async function motionStep({ db, storage, film, draft, progress, signal }: StepWork): Promise<void> {
  const target = draft('motion.bin');
  await mkdir(dirname(target), { recursive: true });
  const out = createWriteStream(target);
  let before: Uint8Array | undefined;
  let frames = 0;
  await eachPicture(
    await storage.bring(film.id, 'film.mp4'),
    size,
    (picture) => {
      out.write(movementOf(picture, before ?? picture, size.width, size.height));
      before = picture;
      progress(Math.min(1, ++frames / film.frames!));
    },
    signal,
  );
  out.end();
  await once(out, 'finish');
  const motion = await heavily('motion', { movement: target, timeline: film.timeline! }, { signal });
  await storage.keep(target, film.id, 'motion.bin');
  await db.insert(filmHits).values({ filmId: film.id, motion }).onConflictDoUpdate({ target: filmHits.filmId, set: { motion } });
}
