import { type BodyPoint, bodySides, pointAt, pointIn, type PointName, pointsOf } from '../body/index.ts';
import { frameNearest } from '../film/index.ts';
import type { CheckpointId, ShippedCheckpointId } from '../technique/index.ts';
import type { Degrees, FrameIndex, Ms, Px } from '../units.ts';
import type { FollowedFilm } from './followed-film.ts';
import { bodyRead, type ReadFrom } from './read-from.ts';

/** A place in the picture, in pixels of the review copy. */
export interface Place {
  x: Px;
  y: Px;
}

/** What is drawn over the picture to show what was measured. */
export type Shape =
  | { kind: 'line'; from: Place; to: Place; dashed: boolean }
  /** Between two limbs, with its degrees. */
  | { kind: 'angle'; at: Place; from: Place; to: Place; degrees: Degrees };

/** Where a point is; undefined where it is hidden. */
type PlaceOf = (point: PointName) => Place | undefined;
/** What is known of the body as it is to be drawn. */
export interface Drawn {
  /** That the measure looks at. */
  points: readonly PointName[];
  /** In the frame on show. */
  placeOf: PlaceOf;
  /** Whoever holds, in that frame; nobody where nobody was followed. */
  partner: PlaceOf;
  /** When the measure looks first, and when it looks last. */
  first: PlaceOf;
  last: PlaceOf;
  /** How long a trunk is here, in pixels. */
  trunk: Px;
}
type Drawing = (drawn: Drawn) => Shape[];

const between = (a: Place, b: Place): Place => ({ x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 });
const middleOf = (part: string, placeOf: PlaceOf): Place | undefined => {
  const [left, right] = bodySides.map((side) => placeOf(`${side}${part}` as PointName));
  return left && right && between(left, right);
};
const line = (from: Place, to: Place, dashed = true): Shape => ({ kind: 'line', from, to, dashed });

/** From shoulder by elbow to wrist, on to the knuckles, or from hip by knee to ankle, of each side that is looked at. */
const angles: Drawing = ({ points, placeOf }) =>
  bodySides.flatMap((side) =>
    [
      ['Shoulder', 'Elbow', 'Wrist'],
      ['Elbow', 'Wrist', 'IndexKnuckle'],
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
const plumb: Drawing = ({ placeOf, trunk }) => {
  const [hips, shoulders] = [middleOf('Hip', placeOf), middleOf('Shoulder', placeOf)];
  if (!hips || !shoulders) return [];
  return [line({ x: hips.x, y: hips.y - 1.2 * trunk }, { x: hips.x, y: hips.y + 1.8 * trunk }), line(hips, shoulders, false)];
};

/** The base: from foot to foot, on the floor. */
const base: Drawing = ({ placeOf, trunk }) => {
  const [left, right] = bodySides.map((side) => placeOf(pointsOf[side].Ankle));
  if (!left || !right) return [];
  const floor = Math.max(left.y, right.y) + 0.12 * trunk;
  const feet = [left, right].map(({ x }) => line({ x, y: floor - 0.2 * trunk }, { x, y: floor }, false));
  return [line({ x: left.x, y: floor }, { x: right.x, y: floor }, false), ...feet];
};

/** As high as the chin, where the hands are at home. */
const guard: Drawing = ({ placeOf, trunk }) => {
  const mouth = middleOf('Mouth', placeOf);
  return mouth ? [line({ x: mouth.x - trunk, y: mouth.y }, { x: mouth.x + trunk, y: mouth.y })] : [];
};

/** Level with the elbow, or with the knee where no elbow is looked at. */
const level: Drawing = ({ points, placeOf, trunk }) => {
  const about = points.find((name) => name.endsWith('Elbow')) ?? points.find((name) => name.endsWith('Knee'));
  const at = about && placeOf(about);
  return at ? [line({ x: at.x - 0.6 * trunk, y: at.y }, { x: at.x + 0.6 * trunk, y: at.y })] : [];
};

/** As high as the hips, which a knee is held against. */
const hipLevel: Drawing = ({ placeOf, trunk }) => {
  const hips = middleOf('Hip', placeOf);
  return hips ? [line({ x: hips.x - trunk, y: hips.y }, { x: hips.x + trunk, y: hips.y })] : [];
};

/** Longer than it is, on both sides, by a share of itself. */
const prolonged = (from: Place, to: Place, by: number): [Place, Place] => {
  const [x, y] = [(to.x - from.x) * by, (to.y - from.y) * by];
  return [
    { x: from.x - x, y: from.y - y },
    { x: to.x + x, y: to.y + y },
  ];
};
/** Along each foot that is looked at, and on beyond its toes. */
const feet: Drawing = ({ points, placeOf }) =>
  bodySides.flatMap((side) => {
    const [heel, toe] = [placeOf(pointsOf[side].Heel), placeOf(pointsOf[side].Toe)];
    return heel && toe && points.includes(pointsOf[side].Toe) ? [line(...prolonged(heel, toe, 0.6)), line(heel, toe, false)] : [];
  });
/** Through both shoulders, or both hips. */
const through =
  (part: 'Shoulder' | 'Hip'): Drawing =>
  ({ placeOf }) => {
    const [left, right] = bodySides.map((side) => placeOf(pointsOf[side][part]));
    return left && right ? [line(...prolonged(left, right, 1.2)), line(left, right, false)] : [];
  };
/** Straight through the head, as it was when it was looked first, down to the floor. */
const midline: Drawing = ({ first, trunk }) => {
  const nose = first('nose');
  return nose ? [line({ x: nose.x, y: nose.y - 0.6 * trunk }, { x: nose.x, y: nose.y + 2.8 * trunk })] : [];
};
/** The straight way of a hand or foot from where it was looked at first to where it was looked at last. */
const straight: Drawing = ({ points, first, last }) =>
  points
    .filter((name) => /Wrist|Ankle/.test(name))
    .flatMap((name) => {
      const [from, to] = [first(name), last(name)];
      return from && to ? [line(from, to)] : [];
    });
/** The way of each foot over the floor, and where it stood. */
const footways: Drawing = ({ points, first, last, trunk }) =>
  bodySides.flatMap((side) => {
    const [from, to] = [first(pointsOf[side].Toe), last(pointsOf[side].Toe)];
    if (!from || !to || !points.includes(pointsOf[side].Toe)) return [];
    return [line({ x: from.x, y: from.y - 0.15 * trunk }, { x: from.x, y: from.y + 0.05 * trunk }), line(from, to, false)];
  });
/** As high as the hips were when it was looked first, and from there to each hand or leg that lands. */
const overHips: Drawing = ({ points, first, placeOf, trunk }) => {
  const stood = middleOf('Hip', first);
  if (!stood) return [];
  const lands = points.filter((name) => /IndexKnuckle|Knee/.test(name)).flatMap((name) => placeOf(name) ?? []);
  return [
    line({ x: stood.x - trunk, y: stood.y }, { x: stood.x + trunk, y: stood.y }),
    ...lands.map(({ x, y }) => line({ x, y: stood.y }, { x, y }, false)),
  ];
};
/** Straight up through the hips, as they were when it was looked first, and now. */
const hipsThenAndNow: Drawing = ({ first, placeOf, trunk }) =>
  [first, placeOf].flatMap((placeIn, when) => {
    const hips = middleOf('Hip', placeIn);
    return hips ? [line({ x: hips.x, y: hips.y - 0.8 * trunk }, { x: hips.x, y: hips.y + 0.8 * trunk }, when === 0)] : [];
  });
/** From hip to hip of both. */
const apart: Drawing = ({ placeOf, partner }) => {
  const [own, theirs] = [placeOf, partner].map((placeIn) => middleOf('Hip', placeIn));
  return own && theirs ? [line(own, theirs, false)] : [];
};
/** Straight down at the nose, and level from there to each hand. */
const noseToHands: Drawing = ({ placeOf, trunk }) => {
  const nose = placeOf('nose');
  if (!nose) return [];
  const hands = bodySides.flatMap((side) => placeOf(pointsOf[side].Wrist) ?? []);
  return [
    line({ x: nose.x, y: nose.y - 0.6 * trunk }, { x: nose.x, y: nose.y + 1.2 * trunk }),
    ...hands.map(({ x, y }) => line({ x: nose.x, y }, { x, y }, false)),
  ];
};
/** From the shoulder straight to the wrist, of each arm that is looked at. */
const reach: Drawing = ({ points, placeOf }) =>
  bodySides.flatMap((side) => {
    const [from, to] = [placeOf(pointsOf[side].Shoulder), placeOf(pointsOf[side].Wrist)];
    return from && to && points.includes(pointsOf[side].Wrist) ? [line(from, to, false)] : [];
  });

const drawings: Partial<Record<ShippedCheckpointId, readonly Drawing[]>> = {
  'st.width': [base],
  'st.length': [base],
  'st.knees': [angles],
  'st.lean': [plumb],
  'st.balance': [plumb, base],
  'gd.height': [guard],
  'gd.other-hand': [guard],
  'gd.kick-hand': [guard],
  'gd.cover': [guard],
  'gd.fist-elbow-level': [level],
  'gd.return-line': [straight],
  'st.lead': [base],
  'pv.no-cross': [base],
  'pv.first-foot': [footways],
  'pv.step-size': [footways],
  'pv.recover': [footways],
  'pv.sync': [footways],
  'pv.land': [feet],
  'pv.drive': [footways],
  'pv.switch': [hipsThenAndNow],
  'st.rear-foot': [feet],
  'st.heels': [feet],
  'pv.calf': [feet],
  'pv.rear-turn': [feet],
  'pv.lead-turn': [feet],
  'pv.support-turn': [feet],
  'sm.rotation': [through('Shoulder')],
  'sm.hip-stop': [through('Hip')],
  'sm.target': [overHips],
  'sm.straight': [straight],
  'sm.uppercut-path': [straight],
  'sm.wrist': [angles],
  'sm.range': [reach],
  'el.close': [reach],
  'sm.head-off': [midline],
  'sm.hook-stop': [midline],
  'sm.hook-angle': [angles],
  'sm.extension': [angles],
  'sm.hook-plane': [level],
  'sm.load': [angles],
  'ex.move': [midline],
  'ex.angle': [midline],
  'ex.reset': [guard, base],
  'kk.return': [guard, base],
  'kk.level-leg': [level],
  'kk.upright': [plumb],
  'kk.path': [straight],
  'kk.through': [straight],
  'kk.chamber': [hipLevel, angles],
  'kk.step-off': [midline],
  'df.pull-back': [plumb],
  'df.slip': [midline],
  'df.check': [hipLevel],
  'df.distance': [apart, hipsThenAndNow],
  'ph.head-clear': [noseToHands],
};

/** The lines that a row is measured by. */
export const shapesFor = (checkpoint: CheckpointId, drawn: Drawn): Shape[] =>
  ((drawings as Partial<Record<string, readonly Drawing[]>>)[checkpoint] ?? []).flatMap((draw) => draw(drawn));

/** The same in a frame of a film in which a body was followed. */
export function shapesAt(whole: FollowedFilm, frame: FrameIndex, checkpoint: CheckpointId, read: ReadFrom): Shape[] {
  const film = bodyRead(whole, read);
  const placeIn =
    (at: FrameIndex, { track } = film) =>
    (name: PointName): BodyPoint | undefined =>
      pointIn(track, at, pointAt[name]);
  const when = (time: Ms) => placeIn(frameNearest(film.timeline, time));
  return shapesFor(checkpoint, {
    points: read.points,
    placeOf: placeIn(frame),
    partner: film.holder ? placeIn(frame, film.holder) : () => undefined,
    first: when(read.from),
    last: when(read.to),
    trunk: film.size.torso,
  });
}

/** The wedge of an angle as an SVG path. @param radius pixels */
export function wedge({ at, from, to }: Extract<Shape, { kind: 'angle' }>, radius: number): string {
  const on = ({ x, y }: Place): string => {
    const length = Math.hypot(x - at.x, y - at.y) || 1;
    return `${(at.x + (radius * (x - at.x)) / length).toFixed(1)} ${(at.y + (radius * (y - at.y)) / length).toFixed(1)}`;
  };
  const clockwise = (from.x - at.x) * (to.y - at.y) - (from.y - at.y) * (to.x - at.x) > 0;
  return `M${on(from)}A${radius} ${radius} 0 0 ${clockwise ? 1 : 0} ${on(to)}`;
}
