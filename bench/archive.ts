import { createHash, randomBytes } from 'node:crypto';
import { createReadStream, createWriteStream } from 'node:fs';
import { mkdtemp, open, rm, stat } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { eq } from 'drizzle-orm';
import { film } from '../server/db/schema/index.ts';
import { reviewEndpoints } from '@wax-fist/contract/review';
import { readArchive } from '../server/features/archive/read-archive.ts';
import { writeArchive } from '../server/features/archive/write-archive.ts';
import { roundOfMarks } from '../server/test/marks.ts';
import { addScene, startServer } from '../server/test/server-under-test.ts';
import type { Line } from './table.ts';

const megabyte = 1024 ** 2;
/** A film of this size: far more than what may lie in memory. */
const filmBytes = 2048 * megabyte;
/** Strikes with a verdict each, for the records. */
const strikes = 400;
/** Megabytes that may be held at once, beside what a server holds anyway. */
const mostMemory = 200;

/** @param before bytes that the process held when nothing had been done yet */
async function timed(before: number, doing: () => Promise<unknown>): Promise<{ seconds: number; memory: number }> {
  let most = 0;
  const look = setInterval(() => (most = Math.max(most, process.memoryUsage().rss)), 20);
  const begun = performance.now();
  await doing();
  clearInterval(look);
  return { seconds: (performance.now() - begun) / 1000, memory: most - before };
}

/** Bytes that no compression makes smaller. */
async function writeNoise(path: string): Promise<void> {
  const file = await open(path, 'w');
  const piece = randomBytes(16 * megabyte);
  for (let written = 0; written < filmBytes; written += piece.length) {
    piece.writeUInt32LE(written % 2 ** 32, 0);
    await file.write(piece);
  }
  await file.close();
}

/** How long an archive takes to be written and read against copying and hashing the same bytes once each, and how much memory. */
export async function benchArchive(): Promise<Line[]> {
  const folder = await mkdtemp(join(tmpdir(), 'wax-fist-archive-bench-'));
  const [from, to] = [await startServer({ works: false }), await startServer({ works: false })];
  try {
    const scene = await addScene(from);
    const { db, storage } = from.services;
    await db
      .update(film)
      .set({ frames: 10 * strikes + 10 })
      .where(eq(film.id, scene.filmId));
    const verdicts = Array.from({ length: strikes }, (_, place) => (place % 3 === 0 ? ('fault' as const) : ('clean' as const)));
    const coach = await from.as('coach');
    await coach.ask(reviewEndpoints.writeMarks, { filmId: scene.filmId }, { marks: roundOfMarks(verdicts) });
    const idle = process.memoryUsage().rss;
    const [draft, archive] = [join(folder, 'draft'), join(folder, 'archive.zip')];
    await writeNoise(draft);
    await storage.keep(draft, scene.filmId, 'original');
    const original = await storage.bring(scene.filmId, 'original');
    const copied = await timed(idle, () => pipeline(createReadStream(original), createWriteStream(join(folder, 'copy'))));
    await rm(join(folder, 'copy'));
    const hashed = await timed(idle, () => pipeline(createReadStream(original), createHash('sha256')));
    const written = await timed(idle, () =>
      writeArchive(db, storage, { traineeId: scene.traineeId, path: archive, told: () => undefined }),
    );
    const read = await timed(idle, () =>
      readArchive(to.services, { path: archive, home: folder, dryRun: false, archiveWins: false, told: () => undefined }),
    );
    const [{ size }, there] = [await stat(archive), await to.services.storage.bytes(scene.filmId, 'original')];
    const once = copied.seconds + hashed.seconds;
    const line = (what: string, { seconds, memory }: typeof read, most: number): Line[] => {
      const [ratio, held] = [seconds / once, memory / megabyte];
      return [
        { what, measured: `× ${ratio.toFixed(1)} (${seconds.toFixed(1)} s)`, target: `≤ × ${most}`, reached: ratio <= most },
        { what: `${what}: memory`, measured: `${held.toFixed(0)} MB`, target: `≤ ${mostMemory} MB`, reached: held <= mostMemory },
      ];
    };
    const whole = there === filmBytes;
    return [
      ...line(`an archive of ${Math.round(size / megabyte)} MB written, to copying and hashing it once`, written, 2),
      ...line('and read into another club, checked before', read, 3),
      { what: 'its film arrives', measured: whole ? 'whole' : 'not whole', target: 'whole', reached: whole },
    ];
  } finally {
    await Promise.all([from.stop(), to.stop()]);
    await rm(folder, { recursive: true });
  }
}
