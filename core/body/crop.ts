import type { Px } from '../units.ts';

/** A picture as bytes, red, green and blue of each pixel, row by row from the upper left. */
export interface Picture {
  width: Px;
  height: Px;
  rgb: Uint8Array;
}

/** A square of a picture, turned about its centre. */
export interface Square {
  /** Its centre. */
  x: Px;
  y: Px;
  side: Px;
  /** Radians, clockwise as one sees it, by which what is upright in the square is turned in the picture. */
  turn: number;
}

/** Where a place in a square, in shares of its side from its upper left corner, lies in the picture. */
export function inPicture({ x, y, side, turn }: Square, across: number, down: number): [x: Px, y: Px] {
  const [u, v] = [(across - 0.5) * side, (down - 0.5) * side];
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  return [x + u * cos - v * sin, y + u * sin + v * cos];
}

/**
 * A square of a picture as a picture of its own, as a model wants it; black where the square lies outside.
 * @param pixels of a side of what is wanted
 * @param scale what a byte of 0 and one of 255 become
 * @param into red, green and blue of each pixel; made when it is not given
 */
export function cropped(
  { width, height, rgb }: Picture,
  square: Square,
  pixels: number,
  [least, most]: readonly [number, number],
  into = new Float32Array(pixels * pixels * 3),
): Float32Array {
  const step = 1 / pixels;
  const factor = (most - least) / 255;
  const [left, top] = inPicture(square, step / 2, step / 2);
  const [acrossX, acrossY] = [(Math.cos(square.turn) * square.side) / pixels, (Math.sin(square.turn) * square.side) / pixels];
  for (let row = 0, at = 0; row < pixels; row++) {
    // Places are those of the middles of pixels, which lie half a pixel in.
    let x = left - acrossY * row - 0.5;
    let y = top + acrossX * row - 0.5;
    for (let column = 0; column < pixels; column++, x += acrossX, y += acrossY, at += 3) {
      const [x0, y0] = [Math.floor(x), Math.floor(y)];
      if (x0 < 0 || y0 < 0 || x0 >= width - 1 || y0 >= height - 1) {
        into[at] = into[at + 1] = into[at + 2] = least;
        continue;
      }
      const [a, b] = [x - x0, y - y0];
      const [upper, lower] = [(y0 * width + x0) * 3, ((y0 + 1) * width + x0) * 3];
      const [w00, w10, w01, w11] = [(1 - a) * (1 - b), a * (1 - b), (1 - a) * b, a * b];
      for (let colour = 0; colour < 3; colour++) {
        const value =
          w00 * rgb[upper + colour]! +
          w10 * rgb[upper + 3 + colour]! +
          w01 * rgb[lower + colour]! +
          w11 * rgb[lower + 3 + colour]!;
        into[at + colour] = least + value * factor;
      }
    }
  }
  return into;
}
