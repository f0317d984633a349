import type { Ms, Ratio } from '@wax-fist/core/units';

/** A piece of a film. */
export interface Piece {
  from: Ms;
  to: Ms;
}

/** A piece moves on by so much of itself, so that it stands still most of the time. */
const moves: Ratio = 1 / 4;

/**
 * The piece of a round round the playhead in which about as many marks lie as have room beside each other; the whole round where all
 * of them have.
 */
export function pieceInHand({ from, to }: Piece, marks: number, room: number, now: Ms): Piece {
  if (marks <= room) return { from, to };
  const length = ((to - from) * room) / marks;
  const step = length * moves;
  const begin = from + Math.round((now - length / 2 - from) / step) * step;
  const held = Math.max(from, Math.min(to - length, begin));
  return { from: held, to: held + length };
}

/**
 * Places in order, moved as little as they can be (in squares) so that none is nearer to the next than `least`: isotonic regression of
 * what is left of each when the ones before it take their room, by pooling neighbours (Ayer and others 1955).
 */
export function apart(places: readonly Ratio[], least: Ratio): Ratio[] {
  const pools: { sum: number; count: number }[] = [];
  const level = ({ sum, count }: { sum: number; count: number }): number => sum / count;
  for (const [order, place] of places.entries()) {
    let pool = { sum: place - order * least, count: 1 };
    for (let before = pools.at(-1); before && level(before) > level(pool); before = pools.at(-1)) {
      pool = { sum: pool.sum + before.sum, count: pool.count + before.count };
      pools.pop();
    }
    pools.push(pool);
  }
  const levels = pools.flatMap((pool) => Array.from({ length: pool.count }, () => level(pool)));
  return levels.map((one, order) => one + order * least);
}
