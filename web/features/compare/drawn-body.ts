import { bodySides, pointAt, pointIn, type BodyPoint, type PointName, type Track } from '@wax-fist/core/body';
import type { FrameIndex, Px } from '@wax-fist/core/units';
import { compareWords as words } from './words.ts';

/** A part of a drawn body: a line as thick as the part is, through places of the picture. */
export interface BodyPiece {
  name: string;
  points: string;
  thick: Px;
  /** Larger is further away. */
  depth: Px;
  /** Filled as a surface, and not only a line. */
  filled: boolean;
  glove: boolean;
}

/** How thick the parts of a body are, in lengths of its trunk. */
const thickness = {
  upperArm: 0.19,
  forearm: 0.16,
  glove: 0.27,
  thigh: 0.29,
  shin: 0.2,
  foot: 0.15,
  trunk: 0.2,
  neck: 0.2,
  head: 0.44,
};

const between = (a: BodyPoint, b: BodyPoint, share: number): BodyPoint => ({
  x: a.x + share * (b.x - a.x),
  y: a.y + share * (b.y - a.y),
  depth: a.depth + share * (b.depth - a.depth),
  seen: 1,
});

/** The parts of a body in a frame, what is furthest away first; nothing where nobody is. */
export function bodyPieces(body: Track, frame: FrameIndex): BodyPiece[] {
  const at = (name: string): BodyPoint => pointIn(body, frame, pointAt[name as PointName])!;
  if (!pointIn(body, frame, pointAt.nose)) return [];
  const [shoulders, hips, ears] = (['Shoulder', 'Hip', 'Ear'] as const).map((part) =>
    between(at(`left${part}`), at(`right${part}`), 0.5),
  ) as [BodyPoint, BodyPoint, BodyPoint];
  // Of a body that turns or ducks the trunk seems shorter, but no thinner: the length is that of the leg that is seen longest.
  const long = (from: BodyPoint, to: BodyPoint): Px => Math.hypot(from.x - to.x, from.y - to.y);
  const size = Math.max(long(shoulders, hips), ...bodySides.map((side) => 1.1 * long(at(`${side}Knee`), at(`${side}Ankle`))));
  const piece = (name: string, part: keyof typeof thickness, ...points: BodyPoint[]): BodyPiece => ({
    name,
    points: points.map(({ x, y }) => `${x.toFixed(1)},${y.toFixed(1)}`).join(' '),
    thick: thickness[part] * size,
    depth: points.reduce((sum, { depth }) => sum + depth, 0) / points.length,
    filled: part === 'trunk',
    glove: part === 'glove',
  });
  const pieces = [
    piece('trunk', 'trunk', at('leftShoulder'), at('rightShoulder'), at('rightHip'), at('leftHip')),
    piece('neck', 'neck', shoulders, ears),
    piece('head', 'head', ears, between(ears, at('nose'), 0.25)),
    ...bodySides.flatMap((side) => [
      piece(words.upperArm(side), 'upperArm', at(`${side}Shoulder`), at(`${side}Elbow`)),
      piece(words.forearmSide(side), 'forearm', at(`${side}Elbow`), at(`${side}Wrist`)),
      piece(words.gloveSide(side), 'glove', at(`${side}Wrist`), at(`${side}IndexKnuckle`)),
      piece(words.thighSide(side), 'thigh', at(`${side}Hip`), at(`${side}Knee`)),
      piece(words.shinSide(side), 'shin', at(`${side}Knee`), at(`${side}Ankle`)),
      piece(words.footSide(side), 'foot', at(`${side}Heel`), at(`${side}Toe`)),
    ]),
  ];
  return pieces.sort((a, b) => b.depth - a.depth);
}
