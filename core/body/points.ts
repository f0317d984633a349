/** Side of the body, as the person has it. */
export type BodySide = 'left' | 'right';
export const bodySides: readonly BodySide[] = ['left', 'right'];
export const otherSideOf = (side: BodySide): BodySide => (side === 'left' ? 'right' : 'left');

/** Points of the body that are looked for in every frame, in the order in which the pose model tells them. */
export const pointNames = [
  'nose',
  'leftInnerEye',
  'leftEye',
  'leftOuterEye',
  'rightInnerEye',
  'rightEye',
  'rightOuterEye',
  'leftEar',
  'rightEar',
  'leftMouth',
  'rightMouth',
  'leftShoulder',
  'rightShoulder',
  'leftElbow',
  'rightElbow',
  'leftWrist',
  'rightWrist',
  'leftLittleKnuckle',
  'rightLittleKnuckle',
  'leftIndexKnuckle',
  'rightIndexKnuckle',
  'leftThumb',
  'rightThumb',
  'leftHip',
  'rightHip',
  'leftKnee',
  'rightKnee',
  'leftAnkle',
  'rightAnkle',
  'leftHeel',
  'rightHeel',
  'leftToe',
  'rightToe',
] as const;
export type PointName = (typeof pointNames)[number];

/** Place of a point in every list of points. */
export const pointAt = Object.fromEntries(pointNames.map((name, place) => [name, place])) as Readonly<Record<PointName, number>>;
export const pointCount = pointNames.length;

/** What there is a left and a right one of. */
export type PairedPart = PointName extends infer Name ? (Name extends `left${infer Part}` ? Part : never) : never;
const pairedParts = pointNames.flatMap((name) => (name.startsWith('left') ? [name.slice(4) as PairedPart] : []));
const partsOn = (side: BodySide): Readonly<Record<PairedPart, PointName>> =>
  Object.fromEntries(pairedParts.map((part) => [part, `${side}${part}`])) as Record<PairedPart, PointName>;
/** The point of a part on a side. A name that is put together anew each time takes ten times as long to look up. */
export const pointsOf: Readonly<Record<BodySide, Readonly<Record<PairedPart, PointName>>>> = {
  left: partsOn('left'),
  right: partsOn('right'),
};

/** A point in words: left index knuckle. */
export const pointInWords = (name: PointName): string => name.replaceAll(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`);

/** Parts of the body that something is measured by. */
export const pointParts = ['nose', 'Shoulder', 'Elbow', 'Wrist', 'Knuckle', 'Hip', 'Knee', 'Ankle', 'Heel', 'Toe'] as const;
export type PointPart = (typeof pointParts)[number];
/** Which part a point is of, whatever its side; undefined for most of the face, and for thumbs. */
export const partOf = (name: PointName): PointPart | undefined => pointParts.find((part) => name.endsWith(part));

/** Points that are joined when a body is drawn. */
export const limbs: readonly (readonly [PointName, PointName])[] = [
  ['leftShoulder', 'rightShoulder'],
  ['leftHip', 'rightHip'],
  ...bodySides.flatMap((side): [PointName, PointName][] => [
    [`${side}Shoulder`, `${side}Elbow`],
    [`${side}Elbow`, `${side}Wrist`],
    [`${side}Wrist`, `${side}IndexKnuckle`],
    [`${side}Shoulder`, `${side}Hip`],
    [`${side}Hip`, `${side}Knee`],
    [`${side}Knee`, `${side}Ankle`],
    [`${side}Ankle`, `${side}Heel`],
    [`${side}Heel`, `${side}Toe`],
    [`${side}Ankle`, `${side}Toe`],
  ]),
];
