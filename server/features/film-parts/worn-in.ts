import { numbersOfFrame, numbersOfPoint, pointAt, type PointName, type Track } from '@wax-fist/core/body';
import { frameNearest, type FrameTimeline } from '@wax-fist/core/film';
import type { Colour, Worn } from '@wax-fist/core/rounds';
import type { Ms, Px } from '@wax-fist/core/units';
import { median, range } from 'd3-array';

/** A row of small pictures over a film, as `makeFilmStrip` writes it: red, green and blue, row by row. */
export interface Strip {
  pixels: Uint8Array;
  pictures: number;
  width: Px;
  height: Px;
}

type Spot = readonly [x: Px, y: Px];
const between = ([x, y]: Spot, [u, v]: Spot, share: number): Spot => [x + share * (u - x), y + share * (v - y)];
/** Well inside of the trunk and of a thigh: hands and shadows are at their edges. */
const inside = [0.3, 0.4, 0.5, 0.6, 0.7];

/** The colour in the middle of some places of a picture; undefined where none of them is in it. */
function colourAt({ pixels, pictures, width, height }: Strip, picture: number, spots: readonly Spot[]): Colour | undefined {
  const seen = spots
    .map(([x, y]) => [Math.round(x), Math.round(y)] as const)
    .filter(([x, y]) => x >= 0 && y >= 0 && x < width && y < height)
    .map(([x, y]) => 3 * (y * pictures * width + picture * width + x));
  const middle = (channel: number): number | undefined => median(seen, (at) => pixels[at + channel]);
  const [red, green, blue] = [middle(0), middle(1), middle(2)];
  return red === undefined || green === undefined || blue === undefined ? undefined : [red, green, blue];
}

/** What whoever was followed wears in each small picture of a film in which they are seen. */
export function wornIn(
  strip: Strip,
  { timeline, track, duration, pictureHeight }: { timeline: FrameTimeline; track: Track; duration: Ms; pictureHeight: Px },
): Worn[] {
  const scale = strip.height / pictureHeight;
  return range(strip.pictures).flatMap((picture): Worn[] => {
    const time = (picture * duration) / strip.pictures;
    const frame = frameNearest(timeline, time) - track.from;
    const at = (name: PointName): Spot => {
      const place = frame * numbersOfFrame + pointAt[name] * numbersOfPoint;
      return [(track.values[place] ?? NaN) * scale, (track.values[place + 1] ?? NaN) * scale];
    };
    const trunk = inside.flatMap((across) => {
      const [upper, lower] = [
        between(at('leftShoulder'), at('rightShoulder'), across),
        between(at('leftHip'), at('rightHip'), across),
      ];
      return inside.map((down) => between(upper, lower, down));
    });
    const thighs = (['left', 'right'] as const).flatMap((side) =>
      inside.map((down) => between(at(`${side}Hip`), at(`${side}Knee`), down / 2)),
    );
    const [shirt, shorts] = [colourAt(strip, picture, trunk), colourAt(strip, picture, thighs)];
    return shirt && shorts ? [{ time, trunk: shirt, thighs: shorts }] : [];
  });
}
