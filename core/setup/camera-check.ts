import { decimal } from '../words/index.ts';
import { bodySides, type BodyPoint, type PointName } from '../body/index.ts';
import { handOf, viewNames, type Stance, type View } from '../technique/index.ts';
import type { Px, Ratio } from '../units.ts';

/** One picture of a camera as it was looked at before a round. */
export interface CameraPicture {
  width: Px;
  height: Px;
  /** Points of the nearest body; undefined where nobody is. */
  point: ((name: PointName) => BodyPoint) | undefined;
  /** Everybody who is in it. */
  bodies: number;
  /** From 0 to 1: how bright the picture is in the middle, and the same of the body. */
  brightness: Ratio;
  bodyBrightness: Ratio;
}
/** From where it was to be filmed, and how the trainee stands. */
export interface WantedPicture {
  view: View;
  stance: Stance;
}
export const cameraFindingKinds = [
  'nobody',
  'cut',
  'too near',
  'too far',
  'view',
  'dark',
  'backlit',
  'hidden',
  'several',
] as const;
/** Something about a picture, and what to do. */
export interface CameraFinding {
  kind: (typeof cameraFindingKinds)[number];
  /** Whether a round filmed so would be of little use. */
  bad: boolean;
  says: string;
}

/** How large a body is in a good picture: with room for a step, and no smaller than its points can be told. */
const [most, least]: readonly [Ratio, Ratio] = [0.82, 0.45];
/** The wish between them. */
const good: Ratio = 0.66;
/** Nearer to the edge than this something is cut off, or soon will be. */
const edge: Ratio = 0.015;
const dark: Ratio = 0.2;
/** So much darker than what is round it somebody stands against the light. */
const backlit: Ratio = 0.2;
/** Less sure than this a point is hidden. */
const leastSeen: Ratio = 0.5;

const parts: readonly { name: string; points: readonly PointName[] }[] = [
  { name: 'head', points: ['nose', 'leftEar', 'rightEar'] },
  { name: 'hands', points: ['leftWrist', 'rightWrist'] },
  { name: 'hips', points: ['leftHip', 'rightHip'] },
  { name: 'knees', points: ['leftKnee', 'rightKnee'] },
  { name: 'feet', points: ['leftAnkle', 'rightAnkle', 'leftToe', 'rightToe'] },
];
const tenths = (factor: number): string => decimal(factor, 1);

/**
 * From where somebody is seen, as far as one picture tells: toes and nose point along the picture where a camera stands to the side, and
 * the nearer side of the body is the one that it shows. Front and quarter look too much alike to be told apart by one picture.
 */
export function viewIn(point: (name: PointName) => BodyPoint, stance: Stance): View | undefined {
  const middle = (one: PointName, other: PointName) => ({
    x: (point(one).x + point(other).x) / 2,
    y: (point(one).y + point(other).y) / 2,
  });
  const [shoulders, hips] = [middle('leftShoulder', 'rightShoulder'), middle('leftHip', 'rightHip')];
  const torso = Math.hypot(shoulders.x - hips.x, shoulders.y - hips.y);
  if (torso === 0) return undefined;
  const toes = bodySides.reduce((sum, side) => sum + point(`${side}Toe`).x - point(`${side}Heel`).x, 0) / 2 / torso;
  if (Math.abs(toes) >= sideways) {
    const seenSide = toes < 0 ? 'left' : 'right';
    return handOf('lead', stance) === seenSide ? 'lead-side' : 'rear-side';
  }
  if (Math.abs(toes) > alongside) return undefined;
  return point('leftShoulder').x > point('rightShoulder').x ? 'front' : 'rear';
}
/** How far toes point along the picture, in lengths of the trunk: from here on it is a side, and up to here it is none. */
const [sideways, alongside] = [0.22, 0.16];
/** Views that one picture cannot tell apart. */
const alike = (one: View, other: View): boolean =>
  one === other || ([one, other].includes('quarter') && ([one, other].includes('front') || [one, other].includes('lead-side')));

/** What is wrong with a picture, worst first, with where to move; empty when it is good. */
export function cameraFindings(
  { width, height, point, bodies, brightness, bodyBrightness }: CameraPicture,
  wanted: WantedPicture,
): CameraFinding[] {
  const findings: CameraFinding[] = [];
  const say = (kind: CameraFinding['kind'], bad: boolean, says: string): void => void findings.push({ kind, bad, says });
  if (brightness < dark) say('dark', true, 'Too dark: more light, or a slower shutter and more blur.');
  if (!point) {
    say('nobody', true, 'Nobody is in the picture: stand where the work will be.');
    return findings;
  }
  const all = parts.flatMap(({ points }) => points.map(point));
  const [top, bottom] = [Math.min(...all.map(({ y }) => y)), Math.max(...all.map(({ y }) => y))];
  const share = (bottom - top) / height;
  const outside = ({ x, y }: BodyPoint): boolean =>
    x < width * edge || x > width * (1 - edge) || y < height * edge || y > height * (1 - edge);
  const cut = parts.filter(({ points }) => points.some((name) => outside(point(name))));
  if (cut.length > 0)
    say(
      'cut',
      true,
      `Cut off: ${cut.map(({ name }) => name).join(', ')}. ${wayIn(
        cut.map(({ name }) => name),
        share,
      )}`,
    );
  else if (share > most) say('too near', false, `Too near for a step: ${tenths(share / good)} times as far away leaves room.`);
  else if (share < least)
    say('too far', share < least / 2, `Far away: at ${tenths(share / good)} of the distance points are told better.`);

  const view = viewIn(point, wanted.stance);
  if (view && !alike(view, wanted.view))
    say(
      'view',
      true,
      `This is ${viewNames[view].toLowerCase()}, and ${viewNames[wanted.view].toLowerCase()} is wanted: ${turnTo(view, wanted.view)}`,
    );
  const hidden = parts.filter(
    ({ name, points }) => !cut.some((one) => one.name === name) && points.every((each) => point(each).seen < leastSeen),
  );
  if (hidden.length > 0)
    say('hidden', true, `Something is before the ${hidden.map(({ name }) => name).join(' and the ')}: move it, or the camera.`);
  if (brightness - bodyBrightness > backlit)
    say('backlit', false, 'Against the light: put the camera with its back to window or lamp.');
  if (bodies > 1) say('several', false, `${bodies} people are in the picture: whoever waits steps out of it.`);
  return findings.sort((one, other) => Number(other.bad) - Number(one.bad));
}

const wayIn = (cut: readonly string[], share: Ratio): string => {
  if (share <= most && cut.length === 1 && cut[0] === 'feet') return 'Tilt it down, or set it lower.';
  if (share <= most && cut.length === 1 && cut[0] === 'head') return 'Tilt it up, or set it higher.';
  return share > most
    ? `Go ${tenths(Math.max(1.2, share / good))} times as far away.`
    : 'Turn it until the whole body is in the middle.';
};
const turnTo = (seen: View, wanted: View): string => {
  const isSide = (view: View): boolean => view === 'lead-side' || view === 'rear-side';
  if (isSide(seen) && isSide(wanted)) return 'take it round to the other side.';
  if (isSide(wanted)) return 'take it a quarter round, square to the line of attack.';
  return seen === 'rear' || wanted === 'rear'
    ? 'take it round to the other end.'
    : 'take it a quarter round, in line with the attack.';
};
