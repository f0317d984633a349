import { hasBody, joinedTrack, numbersOfFrame, pointAt, pointIn, unpackTrack, type Track } from '@wax-fist/core/body';
import type { FollowedFilm } from '@wax-fist/core/measure';
import { frameNearest, timeOf } from '@wax-fist/core/film';
import { deviation, group, mean, rollups } from 'd3-array';
import { existsSync } from 'node:fs';
import { basename } from 'node:path';
import type { Truth } from '../simulator/truth/truth.ts';
import { followBody } from '../server/pose/pose-work.ts';
import { films, followed, followedAs, personOf } from './followed-films.ts';
import { toldOf } from './measures.ts';
import { number, printTable } from './table.ts';

/** So many strikes of a film are looked at a second time: `heavy` takes half a second a frame. */
const strikesOfFilm = 3;
/** So long before a launch and after a home: some measures look at how somebody stood, and how they stand again. */
const [before, after] = [500, 700] as const;
/** Where the body is, is taken from the first pass. */
const hips = [pointAt.leftHip, pointAt.rightHip] as const;

type Strike = Truth['strikes'][number];

/** The frames of a strike, with some on both sides. */
function framesOf({ timeline }: FollowedFilm, strike: Strike): [from: number, to: number] {
  return [frameNearest(timeline, Math.max(0, strike.launch - before)), frameNearest(timeline, strike.home + after)];
}

/** What `heavy` sees of a strike, beginning where `full` saw the body. */
async function lookedAgain(
  film: string,
  scene: FollowedFilm,
  { pictureWidth: width, pictureHeight: height }: Truth['camera'],
  strike: Strike,
): Promise<Track> {
  const [from, to] = framesOf(scene, strike);
  const places = hips.map((point) => pointIn(scene.track, from, point)!);
  const near = [mean(places, ({ x }) => x)!, mean(places, ({ y }) => y)!] as const;
  const at = Math.max(0, timeOf(scene.timeline, from) - 1);
  const { packed } = await followBody({
    film: `${film}.mp4`,
    size: 'heavy',
    from,
    at,
    frames: to - from + 1,
    width,
    height,
    near,
  });
  return unpackTrack(from, packed);
}

/** The same film with other points where there are some. */
function withPoints(scene: FollowedFilm, truth: Truth, pieces: readonly Track[]): FollowedFilm {
  const track: Track = { ...scene.track, values: scene.track.values.slice() };
  for (const piece of pieces) track.values.set(piece.values, (piece.from - track.from) * numbersOfFrame);
  return followedAs(truth, track)!;
}

/** Films of five people from their lead side, some of them tired: what is looked at where nobody says of which. */
const tried = /(maren-(first|second)|idris-[13]|juno-[13]|lio-1|sunniva-bag|tove-first)-lead-side$/;

interface Off {
  /** The checkpoint, and where it was seen from. */
  row: string;
  person: string;
  full: number;
  heavy: number;
}

/**
 * Whether a second pass with `heavy`, from launch to home of each strike, pays: the same strikes measured by the points of both, against
 * the truth. Only of films that are there to be looked at.
 * @param only of which films
 */
export async function benchHeavy(only = tried): Promise<void> {
  const off: Off[] = [];
  let frames = 0;
  let took = 0;
  for (const film of films.filter((one) => only.test(one) && existsSync(`${one}.mp4`))) {
    const seen = followed(film);
    if (!seen) continue;
    const { scene, truth } = seen;
    const strikes = truth.strikes.filter(({ parts, ...one }) => {
      const [from, to] = framesOf(scene, one);
      return !parts && hasBody(scene.track, from) && hasBody(scene.track, to);
    });
    // Spread over the film, so that fresh and tired ones are among them.
    const chosen = strikes.filter((_, place) => place % Math.ceil(strikes.length / strikesOfFilm) === 0);
    const begun = performance.now();
    const pieces: Track[] = [];
    for (const strike of chosen) pieces.push(await lookedAgain(film, scene, truth.camera, strike));
    took += performance.now() - begun;
    frames += pieces.reduce((sum, piece) => sum + piece.frames, 0);
    const again = withPoints(scene, truth, pieces);
    for (const strike of chosen) {
      const told = (one: FollowedFilm) =>
        new Map(
          [...toldOf(film, { scene: one, truth: { strikes: [strike] } })].map((value) => [
            `${value.checkpoint} ${value.seen}`,
            value,
          ]),
        );
      const second = told(again);
      for (const [row, { raw, truth: true_ }] of told(scene)) {
        const other = second.get(row);
        if (other) off.push({ row, person: personOf(film), full: raw.value - true_, heavy: other.raw.value - true_ });
      }
    }
    console.log(`${basename(film)}: ${chosen.length} strikes, ${joinedTrack(pieces).frames} frames`);
  }
  const rows = rollups(
    off,
    (list) => {
      const people = group(list, ({ person }) => person);
      const spread = (of: (one: Off) => number) => deviation(list, of) ?? NaN;
      /** Of what is left when each person’s own bias is taken off: what more films of them could not mend. */
      const within = (of: (one: Off) => number) =>
        Math.sqrt(mean([...people.values()].flatMap((theirs) => theirs.map((one) => (of(one) - mean(theirs, of)!) ** 2)))!);
      return { strikes: list.length, people: people.size, spread, within, bias: (of: (one: Off) => number) => mean(list, of)! };
    },
    ({ row }) => row,
  )
    .filter(([, { people, strikes }]) => people >= 3 && strikes >= 8)
    .sort(([one], [other]) => (one < other ? -1 : 1));
  const [full, heavy] = [(one: Off) => one.full, (one: Off) => one.heavy];
  printTable(
    ['checkpoint', 'strikes', 'people', 'bias full', 'heavy', 'spread full', 'heavy', 'within full', 'heavy', 'ratio'],
    rows.map(([name, { strikes, people, bias, spread, within }]) => [
      ...[
        name,
        String(strikes),
        String(people),
        number(bias(full)),
        number(bias(heavy)),
        number(spread(full)),
        number(spread(heavy)),
      ],
      ...[number(within(full)), number(within(heavy)), number(spread(heavy) / spread(full))],
    ]),
  );
  console.log(`\n${frames} frames in ${(took / 1000).toFixed(0)} s: ${(took / frames).toFixed(0)} ms a frame on one core`);
}
