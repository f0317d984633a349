import { mean, sum } from 'd3-array';
import { bodySides, otherSideOf, pointAt, pointIn, type PointName, type Track } from '../body/index.ts';
import type { FrameIndex, Px, Ratio } from '../units.ts';

/** How a picture is laid over another so that the two bodies in them stand in one place: mirrored first, then turned, scaled and moved. */
export interface Placement {
  mirrored: boolean;
  scale: Ratio;
  /** Radians, with the clock. */
  turn: number;
  /** Where the corner of the picture comes to lie, in pixels of the other. */
  x: Px;
  y: Px;
}

/** Where a body stands: neither hands nor head, which are what is compared. */
const standing = ['Shoulder', 'Hip', 'Knee', 'Ankle'] as const;
/** Fewer of them place nobody. */
const fewestPoints = 5;
/** A camera is hardly held more crooked than this; what is left of a larger turn is in the body, and is to be seen. */
const mostTurn = (8 * Math.PI) / 180;

type Place = readonly [Px, Px];
interface Pair {
  from: Place;
  to: Place;
}

/** Points of two bodies that belong together. @param swapped whether the left of one is the right of the other */
function pairsOf(first: Posed, second: Posed, swapped: boolean): Pair[] {
  return standing.flatMap((part) =>
    bodySides.flatMap((side): Pair[] => {
      const other = swapped ? otherSideOf(side) : side;
      const to = pointIn(first.track, first.frame, pointAt[`${side}${part}` as PointName]);
      const from = pointIn(second.track, second.frame, pointAt[`${other}${part}` as PointName]);
      return to && from ? [{ from: [swapped ? -from.x : from.x, from.y], to: [to.x, to.y] }] : [];
    }),
  );
}

/** Lays points over others as well as turning, scaling and moving can, by least squares (Umeyama 1991), and how far they are off then. */
function laidOver(pairs: readonly Pair[], mirrored: boolean): { placement: Placement; off: Px } | undefined {
  if (pairs.length < fewestPoints) return undefined;
  const middle = (what: keyof Pair): Place => [mean(pairs, (pair) => pair[what][0])!, mean(pairs, (pair) => pair[what][1])!];
  const [from, to] = [middle('from'), middle('to')];
  const apart = pairs.map((pair) => ({
    x: pair.from[0] - from[0],
    y: pair.from[1] - from[1],
    u: pair.to[0] - to[0],
    v: pair.to[1] - to[1],
  }));
  const size = sum(apart, ({ x, y }) => x * x + y * y);
  if (size === 0) return undefined;
  const along = sum(apart, ({ x, y, u, v }) => x * u + y * v);
  const across = sum(apart, ({ x, y, u, v }) => x * v - y * u);
  const scale = Math.hypot(along, across) / size;
  const turn = Math.max(-mostTurn, Math.min(mostTurn, Math.atan2(across, along)));
  const [cos, sin] = [scale * Math.cos(turn), scale * Math.sin(turn)];
  const off = Math.sqrt(mean(apart, ({ x, y, u, v }) => (u - cos * x + sin * y) ** 2 + (v - sin * x - cos * y) ** 2)!);
  const placement = {
    mirrored,
    scale,
    turn,
    x: to[0] - cos * from[0] + sin * from[1],
    y: to[1] - sin * from[0] - cos * from[1],
  };
  return { placement, off };
}

/** A body at an instant. */
export interface Posed {
  track: Track;
  frame: FrameIndex;
}

/**
 * How the picture of the second body is laid over that of the first: as it is, or mirrored with left for right, whichever fits better. Undefined
 * where one of them was not seen.
 * @param mirrored what is chosen by hand
 */
export function placementOf(first: Posed, second: Posed, mirrored?: boolean): Placement | undefined {
  const ways = mirrored === undefined ? [false, true] : [mirrored];
  const laid = ways.flatMap((way) => laidOver(pairsOf(first, second, way), way) ?? []);
  return laid.reduce<(typeof laid)[number] | undefined>((best, one) => (best && best.off <= one.off ? best : one), undefined)
    ?.placement;
}

/** A place of the second picture in the first. */
export function placed({ mirrored, scale, turn, x, y }: Placement, [atX, atY]: Place): Place {
  const across = mirrored ? -atX : atX;
  const [cos, sin] = [scale * Math.cos(turn), scale * Math.sin(turn)];
  return [cos * across - sin * atY + x, sin * across + cos * atY + y];
}

/** A picture fitted into another one whole, in its middle: where nobody was followed. */
export function fitted(size: { width: Px; height: Px }, into: { width: Px; height: Px }, mirrored: boolean): Placement {
  const scale = Math.min(into.width / size.width, into.height / size.height);
  const x = (into.width - scale * size.width) / 2;
  return {
    mirrored,
    scale,
    turn: 0,
    x: mirrored ? into.width - x : x,
    y: (into.height - scale * size.height) / 2,
  };
}
