import { median } from 'd3-array';
import { copyFile, mkdtemp, rm, stat } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { eq } from 'drizzle-orm';
import { film, filmStep } from '../server/db/schema/index.ts';
import type { ImportPart } from '../server/jobs/queue.ts';
import { addSteps, workOnFilm } from '../server/jobs/work-on-film.ts';
import { runMedia } from '../server/media/program.ts';
import { probe } from '../server/media/probe.ts';
import { reviewEncoding, reviewFilters } from '../server/media/review-copy.ts';
import { ffmpeg } from '../server/test/films.ts';
import { addScene, startServer } from '../server/test/server-under-test.ts';
import type { Line } from './table.ts';

/** Import of a film, from its job to “ready”, against the bare ffmpeg command that writes the same review copy; in turns. */
export async function benchImport(rounds = 3): Promise<Line[]> {
  const server = await startServer({ works: false });
  const folder = await mkdtemp(join(tmpdir(), 'wax-fist-bench-'));
  const source = join(folder, 'source.mp4');
  // Twelve seconds as a phone records it: 1080p, moving, noisy, with sound.
  await ffmpeg(
    '-f',
    'lavfi',
    '-i',
    'testsrc2=s=1920x1080:r=30:d=12,noise=alls=8:allf=t',
    '-f',
    'lavfi',
    '-i',
    'sine=f=300:d=12',
    '-c:v',
    'libx264',
    '-preset',
    'ultrafast',
    '-crf',
    '23',
    '-pix_fmt',
    'yuv420p',
    '-c:a',
    'aac',
    source,
  );
  const { services } = server;
  const { filmId } = await addScene(server);
  const { db, storage, settings } = services;
  await copyFile(source, join(folder, 'original'));
  await storage.keep(join(folder, 'original'), filmId, 'original');
  await addSteps(db, filmId);
  const work = (part: ImportPart) => workOnFilm({ db, storage, home: settings.home, worker: 'bench' }, filmId, part);

  const timed = async (work: () => Promise<unknown>): Promise<number> => {
    const begun = performance.now();
    await work();
    return performance.now() - begun;
  };
  const { picture } = await probe(source);
  const ratios: number[] = [];
  const whole: number[] = [];
  for (let round = 0; round < rounds; round++) {
    const bare = await timed(() =>
      runMedia('ffmpeg', [
        '-y',
        '-i',
        source,
        '-map',
        '0:v:0',
        '-map',
        '0:a:0',
        '-c:a',
        'aac',
        '-b:a',
        '96k',
        '-ac',
        '1',
        '-vf',
        reviewFilters(picture),
        ...reviewEncoding(),
        '-f',
        'mp4',
        join(folder, 'bare.mp4'),
      ]),
    );
    await db.update(film).set({ state: 'waiting' }).where(eq(film.id, filmId));
    await db.update(filmStep).set({ state: 'waiting', attempts: 0 }).where(eq(filmStep.filmId, filmId));
    const playable = await timed(() => work('review'));
    ratios.push(playable / bare);
    whole.push((playable + (await timed(() => work('rest')))) / bare);
  }
  const bytes = (await stat(source)).size;
  await server.stop();
  await rm(folder, { recursive: true });
  const middle = median(ratios)!;
  const what = `import until it plays ÷ bare ffmpeg, 12 s of 1080p (${(bytes / 1e6).toFixed(0)} MB), median of ${rounds}`;
  const all = median(whole)!;
  return [
    { what, measured: middle.toFixed(2), target: '≤ 1.30', reached: middle <= 1.3 },
    {
      what: 'the same with film strip, sound, hits, views and movement',
      measured: all.toFixed(2),
      target: '≤ 2.00',
      reached: all <= 2,
    },
  ];
}
