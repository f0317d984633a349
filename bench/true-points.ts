import { emptyTrack, pointNames } from '@wax-fist/core/body';
import { timelineOf } from '@wax-fist/core/film';
import { farOff, followedFilm, type FollowedFilm, type Seen } from '@wax-fist/core/measure';
import type { View } from '@wax-fist/core/technique';
import { deviation, group, mean } from 'd3-array';
import { cameraAt } from '../simulator/camera.ts';
import { filmedSeconds, roundTime } from '../simulator/clock.ts';
import { plainLook } from '../simulator/look.ts';
import { perform } from '../simulator/motion/performance.ts';
import { canShow, faultModels } from '../simulator/motion/fault/index.ts';
import type { Thrown } from '../simulator/motion/technique/thrown.ts';
import { seededRandom, type Random } from '../simulator/random.ts';
import type { Scene, SceneCamera } from '../simulator/scene.ts';
import { truthOf, type Truth } from '../simulator/truth/truth.ts';
import { number, percent, printTable } from './table.ts';
import { grouped, rowOf, toldOf, type Told } from './told.ts';
import { putTruePoints } from './true-track.ts';
import { heldBack, oneDoubt, within } from './held-back.ts';

/** By how much every true point is put off, in each direction and frame by itself. */
export const noise = 2;
export const rates = [30, 60, 120] as const;
export type Rate = (typeof rates)[number];
/** A body across, and one from the front. */
const viewsTried: readonly View[] = ['lead-side', 'rear-side', 'front'];

/** What is thrown, and how often against the first. */
const combinations: readonly (readonly [strikes: readonly Thrown[], share: number])[] = [
  [['jab'], 1],
  [['jab', 'cross'], 1],
  [['jab', 'cross', 'lead-hook'], 1],
  [['jab', 'jab', 'cross'], 1],
  [['cross', 'lead-hook', 'cross'], 1],
  ...(
    [
      ...['rear-round', 'lead-round', 'push-kick', 'rear-knee', 'rear-uppercut', 'lead-uppercut'],
      ...['slip', 'weave', 'pull-back', 'parry', 'shin-check', 'level-follow'],
      ...['step-and-recover', 'step-back', 'step-lead-side', 'step-rear-side', 'stance-swap'],
    ] as const
  ).map((strike): [Thrown[], number] => [[strike], 1 / 3]),
];
const thrown = [...new Set(combinations.flatMap(([strikes]) => strikes))];

/** Somebody who was never filmed: of any stature and stance, with a third of the faults that such strikes can have. @param times how often each combination is thrown */
export function sceneOf(seed: number, times = 12): Scene {
  const random = seededRandom(seed * 7919);
  return {
    name: `nobody${seed}`,
    seed,
    stance: random.next() < 0.75 ? 'orthodox' : 'southpaw',
    stature: random.between(1.4, 1.95),
    look: plainLook,
    work: combinations.map(([strikes, share]) => ({ strikes: [...strikes], times: Math.ceil(times * share) })),
    tired: random.between(0, 0.7),
    faults: thrown.flatMap((strike) =>
      faultModels
        .filter((fault) => canShow(fault, strike) && random.next() < 1 / 3)
        .map(({ id }) => ({ fault: id, strike, share: random.between(0.05, 0.25), strength: [0.3, 1] as [number, number] })),
    ),
    cameras: [],
    noise: -42,
  };
}

/** A film that nobody has rendered: its points as they truly are, put off by chance, and its truth. */
export interface UnfilmedRound {
  person: string;
  rate: Rate;
  scene: FollowedFilm;
  truth: Pick<Truth, 'strikes'>;
}
const cameraOf = (view: View, frameRate: number): SceneCamera => ({
  ...{ view, distance: 3.4, height: 1.05, frameRate },
  ...{ pictureWidth: 1280, pictureHeight: 720, shake: 0 },
});
const normalOf = (random: Random): number => random.normal(0, noise);

/** All films of one person: every view at every rate. */
export function* roundsOf(seed: number, times?: number): Generator<UnfilmedRound> {
  const plan = sceneOf(seed, times);
  const performance = perform(plan);
  // All cameras run by one clock, so what is true of a strike is true for all of them.
  const truth = truthOf(plan, cameraOf('lead-side', 30), performance, []);
  for (const rate of rates)
    for (const view of viewsTried) {
      const camera = cameraOf(view, rate);
      const random = seededRandom(seed * 31 + rate + viewsTried.indexOf(view));
      const seconds = filmedSeconds(camera, performance.seconds);
      const moments = Array.from({ length: Math.floor(seconds * rate) }, (_, frame) => frame / rate);
      const track = emptyTrack(0, moments.length);
      for (const [frame, moment] of moments.entries()) {
        const at = roundTime(camera, moment);
        const { joints } = performance.bodyAt(at);
        const lens = cameraAt(camera, plan, at);
        putTruePoints(track, frame, joints, [lens, camera], () => normalOf(random));
      }
      const timeline = timelineOf(moments.map((moment) => moment * 1000));
      const scene = followedFilm({
        timeline,
        track,
        picture: { width: camera.pictureWidth, height: camera.pictureHeight },
        view,
        stance: plan.stance,
      });
      if (scene) yield { person: plan.name, rate, scene, truth };
    }
}

/** What one measure comes to on true points, from one side and at one rate, each person by the trials of all others. */
export interface TrueFigure {
  checkpoint: string;
  seen: Seen;
  rate: Rate;
  strikes: number;
  naive: number;
  bias: number | undefined;
  spread: number | undefined;
  within68: number | undefined;
  within95: number | undefined;
}

/** @param people seeds of so many who were never filmed */
export function trueFigures(
  people: readonly number[],
  { times, onRound }: { times?: number; onRound?: (round: UnfilmedRound) => void } = {},
): TrueFigure[] {
  const told = new Map<Rate, Told[]>(rates.map((rate) => [rate, []]));
  for (const seed of people)
    for (const round of roundsOf(seed, times)) {
      const { person, rate, scene } = round;
      const spread = noise / scene.size.torso;
      told.get(rate)!.push(...toldOf(`${person}-${rate}`, round, { ofModel: pointNames.map(() => spread) }));
      onRound?.(round);
    }
  return rates.flatMap((rate) =>
    [...grouped(told.get(rate)!).values()].map((list) => {
      const held = heldBack(list);
      const errors = held.map(({ measured, truth }) => measured.value - truth);
      const { checkpoint, seen } = list[0]!;
      return {
        ...{ checkpoint, seen, rate, strikes: list.length },
        naive: mean(list, ({ raw, truth }) => raw.value - truth)!,
        ...{ bias: mean(errors), spread: deviation(errors), within68: within(held, oneDoubt), within95: within(held, farOff) },
      };
    }),
  );
}

/** On so many people. */
const people = 16;

/** Prints what measures are worth on points that are true but for two pixels of noise, as in `docs/measures.md`. */
export function benchTruePoints(): void {
  const strikes = new Set<string>();
  const figures = trueFigures(
    Array.from({ length: people }, (_, one) => one + 1),
    { onRound: ({ person, truth }) => truth.strikes.forEach(({ launch }) => strikes.add(`${person} ${launch}`)) },
  );
  console.log(
    `\nMeasures on true points with ${noise} px of noise: ${strikes.size} strikes of ${people} people who were never filmed\n`,
  );
  const titles = ['checkpoint', 'from', 'strikes', ...rates.map((rate) => `${rate}: naive bias, spread, in 68%, in 95%`)];
  const rows = [...group(figures, rowOf).values()].map((list) => {
    const { checkpoint, seen, strikes: many } = list[0]!;
    const at = (rate: Rate): string => {
      const one = list.find((figure) => figure.rate === rate);
      return one ? `${number(one.naive)}, ${number(one.spread)}, ${percent(one.within68)}, ${percent(one.within95)}` : '–';
    };
    return [checkpoint, seen, many, ...rates.map(at)];
  });
  printTable(titles, rows);
}
