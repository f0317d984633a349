import {
  bodySide,
  cropped,
  detectionsOf,
  detectorSide,
  inPicture,
  lookOf,
  squareRound,
  type Look,
  type Picture,
  type Square,
} from '@wax-fist/core/body';
import type { Px, Ratio } from '@wax-fist/core/units';
import type { PoseSize } from './pose-size.ts';
import { loadModel, type Model } from './runtime.ts';

/** A place in a picture, in its pixels. */
export type Place = readonly [x: Px, y: Px];

/** Under this nobody is there any more, and is looked for anew. */
const leastPresence: Ratio = 0.5;
/** Looks that are taken at somebody who was only just found: each is centred better than the one before. */
const firstLooks = 3;

/** Finds one body in pictures that follow each other. */
export interface BodyFinder {
  /** The body in the next picture; undefined when there is none. @param somebodyElse where somebody is who is not meant, in pixels */
  look: (picture: Picture, somebodyElse?: Place) => Promise<Look | undefined>;
}

/** Squares in which somebody may be: the whole picture, and thirds of it for whoever is small in it. */
function whereToLook({ width, height }: Picture): Square[] {
  const whole: Square = { x: width / 2, y: height / 2, side: Math.max(width, height), turn: 0 };
  const side = Math.max(width, height) / 2;
  const along = [0.25, 0.5, 0.75];
  const parts = along.map((share): Square =>
    width >= height
      ? { x: width * share, y: height / 2, side: Math.max(side, height), turn: 0 }
      : { x: width / 2, y: height * share, side: Math.max(side, width), turn: 0 },
  );
  return [whole, ...parts];
}

let detector: Promise<Model> | undefined;
const models = new Map<PoseSize, Promise<Model>>();
const modelOf = (size: PoseSize): Promise<Model> => {
  const model = models.get(size) ?? loadModel(`pose_landmark_${size}.tflite`);
  models.set(size, model);
  return model;
};

const small = new Float32Array(detectorSide ** 2 * 3);
/** Two squares whose middles are nearer than this, of a side, are round the same person. */
const samePerson: Ratio = 0.25;
const isRound = ({ x, y, side }: Square, [across, down]: Place): boolean => Math.hypot(x - across, y - down) <= side * samePerson;
/** Squares round everybody in a picture. In the whole of it the detector often tells of one of two, so parts are looked at as well. */
async function squaresIn(picture: Picture): Promise<Square[]> {
  const find = await (detector ??= loadModel('pose_solution_packed_assets.data'));
  const squares: Square[] = [];
  for (const place of whereToLook(picture)) {
    const [places, logits] = await find(cropped(picture, place, detectorSide, [-1, 1], small), [
      1,
      detectorSide,
      detectorSide,
      3,
    ]);
    for (const { hips, rim } of detectionsOf(places!, logits!)) {
      const one = squareRound(inPicture(place, ...hips), inPicture(place, ...rim));
      if (!squares.some((other) => isRound(other, [one.x, one.y]))) squares.push(one);
    }
  }
  return squares;
}
/** Where the middle of the hips of everybody in a picture lies, in pixels; at most the three surest. */
export const bodiesIn = async (picture: Picture): Promise<Place[]> =>
  (await squaresIn(picture)).slice(0, 3).map(({ x, y }) => [x, y] as const);

/**
 * @param near where the body was before, in pixels: of several, the one nearest to it is followed; else the largest
 * @param round where somebody has said that it is: there it is begun, whatever the detector sees
 */
export async function bodyFinder(size: PoseSize, { near, round }: { near?: Place; round?: Square } = {}): Promise<BodyFinder> {
  const model = await modelOf(size);
  const large = new Float32Array(bodySide ** 2 * 3);
  let square: Square | undefined;
  let last: Place | undefined = round ? [round.x, round.y] : near;

  async function found(picture: Picture, somebodyElse: Place | undefined): Promise<Square | undefined> {
    // Who holds stands within arm’s reach of who strikes.
    const from = last ?? somebodyElse;
    const worth = ({ x, y, side }: Square): number => (from ? -Math.hypot(x - from[0], y - from[1]) : side);
    const [first, ...others] = (await squaresIn(picture)).filter((one) => !somebodyElse || !isRound(one, somebodyElse));
    return first && others.reduce((best, one) => (worth(one) > worth(best) ? one : best), first);
  }
  async function lookAt(picture: Picture, at: Square): Promise<Look | undefined> {
    const [told, presence] = await model(cropped(picture, at, bodySide, [0, 1], large), [1, bodySide, bodySide, 3]);
    return presence![0]! < leastPresence ? undefined : lookOf(at, told!);
  }

  /** Comes nearer to somebody who may be here. */
  async function closer(picture: Picture, from: Square | undefined): Promise<Look | undefined> {
    let look: Look | undefined;
    for (let time = 0, at = from; at && time < firstLooks; time++) {
      look = await lookAt(picture, at);
      at = look?.next;
    }
    return look;
  }
  return {
    async look(picture, somebodyElse) {
      /** What is looked at may slip over to the one who is nearer to the camera. */
      const meant = (look: Look | undefined) => (look && somebodyElse && isRound(look.next, somebodyElse) ? undefined : look);
      const begun = round && (await closer(picture, round));
      round = undefined;
      const look =
        meant(begun ?? (square && (await lookAt(picture, square)))) ??
        meant(await closer(picture, await found(picture, somebodyElse)));
      square = look?.next;
      if (square) last = [square.x, square.y];
      return look;
    },
  };
}
