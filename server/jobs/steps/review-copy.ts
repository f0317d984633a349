import type { Ms } from '@wax-fist/core/units';
import { mkdir } from 'node:fs/promises';
import { dirname } from 'node:path';
import { frameTimes } from '../../media/inspect.ts';
import { NotFootage, probe, type Probe } from '../../media/probe.ts';
import { MediaFailure } from '../../media/program.ts';
import { readReviewCopy } from '../../media/read-copy.ts';
import { leastApart, makeReviewCopy } from '../../media/review-copy.ts';
import { updateFilm, type StepWork } from '../import-step.ts';

const endsEarly = 'The file ends early or is damaged in part; what could be read is here.';
const unreadable = 'No run of pictures could be read from this file. It may be damaged; copy it from the phone again.';
const soundUnread = 'Its sound is in a form that cannot be read here; the picture can be reviewed.';
const damagedInside = 'Some pictures in the middle are damaged.';
const leftOut = (few: number, all: number): string =>
  `${few} of ${all} pictures are left out: they are damaged, or stand at the time of another one.`;

/** A picture that ends this much sooner than it was stored has broken off. */
const brokenOffBy: Ms = 1500;
/** What decoders say of pictures that they had to make up. */
const madeUp = /error while decoding|conceal|corrupt|invalid nal|missing picture|damaged/i;

/** Makes the copy that the player plays, and looks whether it can be played. A damaged original gives a copy of what could be read. */
export async function reviewCopyStep(work: StepWork): Promise<void> {
  const { storage, film, encoding, signal } = work;
  const copy = work.draft('film.mp4');
  await mkdir(dirname(copy), { recursive: true });
  const source = await storage.bring(film.id, 'original');
  const found = await probe(source);
  const stored = await timesIn(source, signal);
  const order = {
    source,
    film: copy,
    found,
    pictureEnd: stored.at(-1) ?? film.duration ?? 0,
    encoding,
    onProgress: work.progress,
    signal,
  };
  const heard = found.channels > 0;
  const whole = await madeFrom(order, false);
  // A sound that breaks the copy off must not take the picture with it.
  const silent =
    heard && (whole.failed || whole.times.length < 2) ? await madeFrom({ ...order, film: `${copy}.silent` }, true) : whole;
  const withoutSound = silent.times.length > whole.times.length;
  const made = withoutSound ? silent : whole;
  if (made.times.length < 2) throw new NotFootage(unreadable);
  const hasSound = heard && !withoutSound && made.isHeard;
  await storage.keep(made.film, film.id, 'film.mp4');
  const remarks = remarksOn(stored, made, { ...found, unreadableSound: found.unreadableSound || withoutSound });
  await updateFilm(work, { hasSound, remark: remarks.join(' ') || null });
}

interface Made {
  /** Where it lies. */
  film: string;
  times: Ms[];
  isHeard: boolean;
  failed: boolean;
  said: string;
}
const nothing = { times: [], isHeard: false };

async function madeFrom(order: Omit<Parameters<typeof makeReviewCopy>[0], 'silent'>, silent: boolean): Promise<Made> {
  const result = await makeReviewCopy({ ...order, silent }).then(
    (said) => ({ said, failed: false }),
    (error: unknown) => {
      if (!(error instanceof MediaFailure)) throw error;
      return { said: error.said, failed: true };
    },
  );
  // What was broken off may have no index, or not even be there.
  const { times, isHeard } = await readReviewCopy(order.film).catch((error: unknown) => {
    if (result.failed) return nothing;
    throw error;
  });
  return { ...result, film: order.film, times, isHeard };
}

/** When its pictures are shown; nothing of a file in which none is found. */
async function timesIn(path: string, signal: AbortSignal | undefined): Promise<Ms[]> {
  return frameTimes(path, signal).catch((error: unknown) => {
    if (error instanceof MediaFailure) return [];
    throw error;
  });
}

/** What is odd about a copy, held against what the original has in store. */
function remarksOn(stored: readonly Ms[], { times, failed, said }: Made, { pictureLasts, unreadableSound }: Probe): string[] {
  const inStore = Math.max((stored.at(-1) ?? 0) - (stored[0] ?? 0), pictureLasts ?? 0);
  const shown = times.at(-1)! - times[0]!;
  const early = failed || inStore - shown > brokenOffBy;
  const missing = stored.length - times.length;
  const some = !early && missing > Math.max(2, stored.length / 200);
  const crowded = !early && stored.some((time, place) => place > 0 && time - stored[place - 1]! < leastApart);
  return [
    ...(early ? [endsEarly] : []),
    ...(some || (crowded && missing > 0) ? [leftOut(missing, stored.length)] : []),
    ...(!early && !some && madeUp.test(said) ? [damagedInside] : []),
    ...(unreadableSound ? [soundUnread] : []),
  ];
}
