import { bodySides, type PointName } from '@wax-fist/core/body';
import type { CheckpointId, ShippedCheckpointId } from '@wax-fist/core/technique';
import type { Place } from './use-pins.ts';

/** What is drawn over the picture to show what was measured. */
export type Shape =
  | { kind: 'line'; from: Place; to: Place; dashed: boolean }
  /** Between two limbs, with its degrees. */
  | { kind: 'angle'; at: Place; from: Place; to: Place; degrees: number };

/** Where a point is in the frame on show; undefined where it is hidden. */
type PlaceOf = (point: PointName) => Place | undefined;
/** @param points that the measure looks at @param trunk how long a trunk is here, in pixels */
type Drawing = (points: readonly PointName[], placeOf: PlaceOf, trunk: number) => Shape[];

const between = (a: Place, b: Place): Place => ({ x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 });
const middleOf = (part: string, placeOf: PlaceOf): Place | undefined => {
  const [left, right] = bodySides.map((side) => placeOf(`${side}${part}` as PointName));
  return left && right && between(left, right);
};
const line = (from: Place, to: Place, dashed = true): Shape => ({ kind: 'line', from, to, dashed });

/** From shoulder by elbow to wrist, or from hip by knee to ankle, of each side that is looked at. */
const angles: Drawing = (points, placeOf) =>
  bodySides.flatMap((side) =>
    [
      ['Shoulder', 'Elbow', 'Wrist'],
      ['Hip', 'Knee', 'Ankle'],
    ].flatMap((limb): Shape[] => {
      const names = limb.map((part): PointName => `${side}${part}` as PointName);
      const [from, at, to] = names.map((name) => (points.includes(name) ? placeOf(name) : undefined));
      if (!from || !at || !to) return [];
      const turn = Math.abs(Math.atan2(from.y - at.y, from.x - at.x) - Math.atan2(to.y - at.y, to.x - at.x)) * (180 / Math.PI);
      return [{ kind: 'angle', at, from, to, degrees: turn > 180 ? 360 - turn : turn }];
    }),
  );

/** Straight down from between the hips, and the trunk on it. */
const plumb: Drawing = (_points, placeOf, trunk) => {
  const [hips, shoulders] = [middleOf('Hip', placeOf), middleOf('Shoulder', placeOf)];
  if (!hips || !shoulders) return [];
  return [line({ x: hips.x, y: hips.y - 1.2 * trunk }, { x: hips.x, y: hips.y + 1.8 * trunk }), line(hips, shoulders, false)];
};

/** The base: from foot to foot, on the floor. */
const base: Drawing = (_points, placeOf, trunk) => {
  const [left, right] = bodySides.map((side) => placeOf(`${side}Ankle`));
  if (!left || !right) return [];
  const floor = Math.max(left.y, right.y) + 0.12 * trunk;
  const feet = [left, right].map(({ x }) => line({ x, y: floor - 0.2 * trunk }, { x, y: floor }, false));
  return [line({ x: left.x, y: floor }, { x: right.x, y: floor }, false), ...feet];
};

/** As high as the chin, where the hands are at home. */
const guard: Drawing = (_points, placeOf, trunk) => {
  const mouth = middleOf('Mouth', placeOf);
  return mouth ? [line({ x: mouth.x - trunk, y: mouth.y }, { x: mouth.x + trunk, y: mouth.y })] : [];
};

/** Level with the elbow, or with the knee where no elbow is looked at. */
const level: Drawing = (points, placeOf, trunk) => {
  const about = points.find((name) => name.endsWith('Elbow')) ?? points.find((name) => name.endsWith('Knee'));
  const at = about && placeOf(about);
  return at ? [line({ x: at.x - 0.6 * trunk, y: at.y }, { x: at.x + 0.6 * trunk, y: at.y })] : [];
};

const drawings: Partial<Record<ShippedCheckpointId, readonly Drawing[]>> = {
  'st.width': [base],
  'st.length': [base],
  'st.knees': [angles],
  'st.lean': [plumb],
  'st.balance': [plumb, base],
  'gd.height': [guard],
  'gd.other-hand': [guard],
  'gd.cover': [guard],
  'gd.fist-elbow-level': [level],
  'sm.extension': [angles],
  'sm.hook-plane': [level],
  'sm.load': [angles],
  'kk.level-leg': [level],
  'df.pull-back': [plumb],
};

/** The lines that a row is measured by, in the frame on show. */
export const shapesFor = (checkpoint: CheckpointId, points: readonly PointName[], placeOf: PlaceOf, trunk: number): Shape[] =>
  ((drawings as Partial<Record<string, readonly Drawing[]>>)[checkpoint] ?? []).flatMap((draw) => draw(points, placeOf, trunk));

/** The wedge of an angle as an SVG path. @param radius pixels */
export function wedge({ at, from, to }: Extract<Shape, { kind: 'angle' }>, radius: number): string {
  const on = ({ x, y }: Place): string => {
    const length = Math.hypot(x - at.x, y - at.y) || 1;
    return `${(at.x + (radius * (x - at.x)) / length).toFixed(1)} ${(at.y + (radius * (y - at.y)) / length).toFixed(1)}`;
  };
  const clockwise = (from.x - at.x) * (to.y - at.y) - (from.y - at.y) * (to.x - at.x) > 0;
  return `M${on(from)}A${radius} ${radius} 0 0 ${clockwise ? 1 : 0} ${on(to)}`;
}
