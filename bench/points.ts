import { partOf, pinSpread, pointIn, pointAt, pointNames, type PointName, type PointPart } from '@wax-fist/core/body';
import { pointSeen, timesOff, type PointSeen } from '@wax-fist/core/measure';
import { deviation, group, mean, quantile } from 'd3-array';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { seededRandom } from '../simulator/random.ts';
import { films, followed, personOf } from './followed-films.ts';
import { printTable } from './table.ts';

/** A point in one frame: how far the model is off, across and upwards, in lengths of the trunk. */
interface Off {
  part: PointPart;
  seen: PointSeen;
  person: string;
  across: number;
  up: number;
}

/** Every third frame says as much as all of them. */
const everyFrames = 3;
/** What the truth has another name for. */
const trueName = (name: PointName): string => name.replace(/(Index|Little)Knuckle/, 'Knuckles');

function* offIn(film: string): Generator<Off> {
  const { scene, truth } = followed(film) ?? {};
  if (!scene || !truth) return;
  const { size, track } = scene;
  for (const name of pointNames) {
    const part = partOf(name);
    const place = (truth.jointNames as readonly string[]).indexOf(trueName(name));
    if (!part || place < 0) continue;
    const seen = pointSeen(scene, name);
    for (let frame = 0; frame < truth.pixels.length; frame += everyFrames) {
      const found = pointIn(track, frame, pointAt[name]);
      const [x, y] = truth.pixels[frame]!.slice(2 * place) as [number, number];
      if (found) yield { part, seen, person: personOf(film), across: (found.x - x) / size.torso, up: (y - found.y) / size.torso };
    }
  }
}

/** How far the model is off at one part of the body, seen from one side: so far in two thirds of the frames, each person alike. */
export interface PointFigure {
  part: PointPart;
  seen: PointSeen;
  people: number;
  across: number;
  up: number;
}
const twoThirds = 0.68;
export function figuresOfPoints(): PointFigure[] {
  const all = films.flatMap((film) => [...offIn(film)]);
  return [...group(all, ({ part, seen }) => `${part} ${seen}`).values()].map((list) => {
    const people = [...group(list, ({ person }) => person).values()];
    const spread = (of: (off: Off) => number): number =>
      mean(people, (theirs) => quantile(theirs, twoThirds, (off) => Math.abs(of(off)))!)!;
    const { part, seen } = list[0]!;
    return { part, seen, people: people.length, across: spread(({ across }) => across), up: spread(({ up }) => up) };
  });
}

const rounded = (value: number): number => Number(value.toPrecision(2));
/** What is shipped of them. */
export function pointErrorsOf(figures: readonly PointFigure[]): Record<string, Record<string, [number, number]>> {
  const byPart = group(figures, ({ part }) => part);
  return Object.fromEntries(
    [...byPart].map(([part, list]) => [
      part,
      Object.fromEntries(list.map(({ seen, across, up }) => [seen, [rounded(across), rounded(up)]])),
    ]),
  );
}

/** How far points are off in what is claimed of them, as a logarithm: each person alike, and as their coaches would point them out. */
export function logsOfPoints(): { mean: number; deviation: number } {
  const random = seededRandom(1);
  const all = films.flatMap((film) => [...offIn(film)]);
  const logs = all.flatMap(({ part, seen, person, across, up }) => {
    const found = { x: across, y: up };
    const said = { x: random.normal(0, pinSpread), y: random.normal(0, pinSpread) };
    const off = timesOff({ filmId: person, part, seen, said, found, trunk: 1 });
    return off === undefined ? [] : [{ person, log: Math.log(off) }];
  });
  const people = [...group(logs, ({ person }) => person).values()];
  return {
    mean: mean(people, (theirs) => mean(theirs, ({ log }) => log)!)!,
    deviation: mean(people, (theirs) => deviation(theirs, ({ log }) => log)!)!,
  };
}

/** Writes them where the core has them. */
export function writePointErrors(): void {
  const path = join(import.meta.dirname, '..', 'core', 'measure', 'point-errors.ts');
  const head = readFileSync(path, 'utf8').split('export const pointErrors')[0]!;
  const type = 'Readonly<Record<PointPart, Partial<Record<PointSeen, readonly [across: Ratio, up: Ratio]>>>>';
  writeFileSync(path, `${head}export const pointErrors: ${type} = ${JSON.stringify(pointErrorsOf(figuresOfPoints()))};\n`);
}

/** Prints how far the model is off, as in `docs/measures.md`. */
export function benchPoints(): void {
  console.log('\nThe model against the truth, in lengths of the trunk: two of three frames lie no further off\n');
  const titles = ['point', 'from', 'people', 'across', 'up'];
  const rows = figuresOfPoints().map(({ part, seen, people, across, up }) => [
    part,
    seen,
    people,
    across.toFixed(3),
    up.toFixed(3),
  ]);
  printTable(titles, rows);
  const { mean: middle, deviation: spread } = logsOfPoints();
  console.log(`\nIn what is claimed of them, as a logarithm: ${middle.toFixed(2)} on the average, spread ${spread.toFixed(2)}`);
}
