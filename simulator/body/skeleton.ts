import type { Stance } from '@wax-fist/core/technique';
import { Euler, Matrix4, Quaternion, Vector3 } from 'three';
import { baseStance, type Pose } from './pose.ts';

/** Segment lengths in metres of a person of `referenceStature`, close to Drillis and Contini (1966); others are scaled. */
export const referenceStature = 1.76;
const upperArm = 0.31;
const forearm = 0.262;
const thigh = 0.43;
const shin = 0.42;
const shoulderHalf = 0.185;
const hipHalf = 0.09;
/** Ankle seen from the ball of a flat foot: up and back. */
const ankleOverBall = { up: 0.055, back: 0.115 };
const ballHeight = 0.03;

export const jointNames = [
  'nose',
  'leftEye',
  'rightEye',
  'leftEar',
  'rightEar',
  'chin',
  'crown',
  'leftShoulder',
  'rightShoulder',
  'leftElbow',
  'rightElbow',
  'leftWrist',
  'rightWrist',
  'leftKnuckles',
  'rightKnuckles',
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
export type JointName = (typeof jointNames)[number];

export const boneNames = [
  'pelvis',
  'waist',
  'chest',
  'neck',
  'head',
  'leftUpperArm',
  'leftForearm',
  'leftHand',
  'rightUpperArm',
  'rightForearm',
  'rightHand',
  'leftThigh',
  'leftShin',
  'leftFoot',
  'rightThigh',
  'rightShin',
  'rightFoot',
] as const;
export type BoneName = (typeof boneNames)[number];

/** A solved body: joints in metres in the room, and where every bone lies (for skinning). */
export interface Body {
  joints: Record<JointName, Vector3>;
  bones: Record<BoneName, Matrix4>;
}

const radians = Math.PI / 180;
const turned = (yaw: number, pitch: number, roll = 0): Quaternion =>
  new Quaternion().setFromEuler(new Euler(pitch * radians, yaw * radians, roll * radians, 'YXZ'));
const placed = (origin: Vector3, turn: Quaternion, x: number, y: number, z: number): Vector3 =>
  new Vector3(x, y, z).applyQuaternion(turn).add(origin);
const frame = (origin: Vector3, turn: Quaternion): Matrix4 => new Matrix4().compose(origin, turn, new Vector3(1, 1, 1));

/** Bone frame with y along the bone and x along its hinge, so that both bones of an elbow or a knee share one axis. */
function hingedFrame(from: Vector3, to: Vector3, hinge: Vector3): Matrix4 {
  const along = to.clone().sub(from).normalize();
  const across = hinge.clone().addScaledVector(along, -hinge.dot(along)).normalize();
  const forward = new Vector3().crossVectors(across, along);
  return new Matrix4().makeBasis(across, along, forward).setPosition(from);
}

interface Limb {
  middle: Vector3;
  end: Vector3;
  hinge: Vector3;
}

/** No elbow and no knee closes further. Degrees. */
const mostBent = 28;
/** From end to end of two bones with so many degrees between them. */
export const reachAt = (angle: number, first: number, second: number): number =>
  Math.sqrt(first ** 2 + second ** 2 - 2 * first * second * Math.cos(angle * radians));

/** Two-bone inverse kinematics: the middle joint bends towards `pole`; a target out of reach, or too near, is met as far as the limb goes. */
function twoBones(root: Vector3, target: Vector3, first: number, second: number, pole: Vector3): Limb {
  const line = target.clone().sub(root);
  const reach = Math.max(reachAt(mostBent, first, second), Math.min(line.length(), (first + second) * 0.9999));
  line.normalize();
  const along = (first * first - second * second + reach * reach) / (2 * reach);
  const aside = Math.sqrt(Math.max(0, first * first - along * along));
  const bend = pole.clone().addScaledVector(line, -pole.dot(line)).normalize();
  return {
    middle: root.clone().addScaledVector(line, along).addScaledVector(bend, aside),
    end: root.clone().addScaledVector(line, reach),
    hinge: new Vector3().crossVectors(line, bend).normalize(),
  };
}

interface LegPlan {
  /** How much of the foot is on the floor: 1 standing, 0 in the air. */
  standing: number;
  hip: Vector3;
  ankle: Vector3;
  footTurn: Quaternion;
}

function planLeg(pose: Pose, which: 'lead' | 'rear', side: number, pelvis: Vector3, pelvisTurn: Quaternion): LegPlan {
  const foot = (part: 'x' | 'y' | 'z' | 'yaw' | 'pitch'): number => pose[`${which}Foot.${part}`];
  const footTurn = turned(foot('yaw'), foot('pitch'));
  const ball = new Vector3(foot('x'), ballHeight + Math.max(0, foot('y')), foot('z'));
  return {
    standing: Math.max(0, 1 - Math.max(0, foot('y')) / clearOfFloor),
    hip: placed(pelvis, pelvisTurn, side * hipHalf, -0.01, 0),
    ankle: placed(ball, footTurn, 0, ankleOverBall.up, -ankleOverBall.back),
    footTurn,
  };
}

/** A foot this high over the floor no longer holds the body down. Metres. */
const clearOfFloor = 0.15;

/** How far a leg is short of its planted foot, in metres; the pelvis comes down by that much so that no foot is dragged. */
function shortOf(leg: LegPlan): number {
  const most = (thigh + shin) * 0.9997;
  const flat = Math.hypot(leg.ankle.x - leg.hip.x, leg.ankle.z - leg.hip.z);
  const tallest = Math.sqrt(Math.max(0, most * most - flat * flat));
  return Math.max(0, leg.hip.y - leg.ankle.y - tallest) * leg.standing;
}

/** Solves a pose into joints and bones. `stature` in metres scales the whole person; a southpaw is the mirror image. */
export function solve(pose: Pose, stance: Stance = 'orthodox', stature = referenceStature): Body {
  const { facing } = pose;
  const facingTurn = turned(facing, 0);
  const pelvisTurn = turned(pose['pelvis.yaw'] + facing, pose['pelvis.pitch'], pose['pelvis.roll']);
  const chestTurn = turned(pose['chest.yaw'] + facing, pose['chest.pitch'], pose['chest.roll']);
  const headTurn = turned(pose['head.yaw'] + facing, pose['head.pitch'], pose['head.roll']);
  const pelvis = new Vector3(pose['pelvis.x'], pose['pelvis.y'], pose['pelvis.z']);
  const sink = Math.max(
    shortOf(planLeg(pose, 'lead', 1, pelvis, pelvisTurn)),
    shortOf(planLeg(pose, 'rear', -1, pelvis, pelvisTurn)),
  );
  pelvis.y -= sink;
  const travel = pelvis.clone().sub(new Vector3(baseStance['pelvis.x'], baseStance['pelvis.y'], baseStance['pelvis.z']));

  const waist = placed(pelvis, pelvisTurn, 0, 0.1, 0);
  const shoulders = placed(waist, chestTurn, 0, 0.4, -0.01);
  const neck = placed(shoulders, chestTurn, 0, 0.05, 0);
  const head = placed(neck, headTurn, 0, 0.165, 0.03);

  const joints = {} as Record<JointName, Vector3>;
  const bones = {} as Record<BoneName, Matrix4>;
  bones.pelvis = frame(pelvis, pelvisTurn);
  bones.waist = frame(waist, pelvisTurn.clone().slerp(chestTurn, 0.5));
  bones.chest = frame(waist, chestTurn);
  bones.neck = frame(neck, chestTurn.clone().slerp(headTurn, 0.5));
  bones.head = frame(head, headTurn);
  joints.nose = placed(head, headTurn, 0, -0.01, 0.115);
  joints.chin = placed(head, headTurn, 0, -0.108, 0.075);
  joints.crown = placed(head, headTurn, 0, 0.115, -0.01);

  for (const [which, side, name] of [
    ['lead', 1, 'left'],
    ['rear', -1, 'right'],
  ] as const) {
    joints[`${name}Eye`] = placed(head, headTurn, side * 0.032, 0.006, 0.085);
    joints[`${name}Ear`] = placed(head, headTurn, side * 0.077, -0.008, 0);
    const shoulder = placed(shoulders, chestTurn, side * shoulderHalf, pose[`${which}Shoulder.y`], pose[`${which}Shoulder.z`]);
    const hand = new Vector3(pose[`${which}Hand.x`], pose[`${which}Hand.y`], pose[`${which}Hand.z`])
      .applyQuaternion(facingTurn)
      .add(travel);
    const elbowPole = new Vector3(side * pose[`${which}Elbow.out`], -1, pose[`${which}Elbow.fore`]).applyQuaternion(facingTurn);
    const arm = twoBones(shoulder, hand, upperArm, forearm, elbowPole);
    const fistLine = arm.end
      .clone()
      .sub(arm.middle)
      .normalize()
      .applyAxisAngle(arm.hinge, pose[`${which}Hand.bend`] * radians);
    joints[`${name}Shoulder`] = shoulder;
    joints[`${name}Elbow`] = arm.middle;
    joints[`${name}Wrist`] = arm.end;
    joints[`${name}Knuckles`] = arm.end.clone().addScaledVector(fistLine, 0.105);
    bones[`${name}UpperArm`] = hingedFrame(shoulder, arm.middle, arm.hinge);
    bones[`${name}Forearm`] = hingedFrame(arm.middle, arm.end, arm.hinge);
    const turnedOver = new Matrix4().makeRotationY(side * pose[`${which}Hand.turn`] * radians);
    bones[`${name}Hand`] = hingedFrame(arm.end, arm.end.clone().add(fistLine), arm.hinge).multiply(turnedOver);

    const leg = planLeg(pose, which, side, pelvis, pelvisTurn);
    const toes = new Vector3(0, 0, 1).applyQuaternion(turned(pose[`${which}Foot.yaw`], 0));
    const kneePole = toes.add(new Vector3(side * 0.12, pose[`${which}Knee.up`], 0.35));
    const bent = twoBones(leg.hip, leg.ankle, thigh, shin, kneePole);
    joints[`${name}Hip`] = leg.hip;
    joints[`${name}Knee`] = bent.middle;
    joints[`${name}Ankle`] = bent.end;
    joints[`${name}Toe`] = placed(bent.end, leg.footTurn, 0, -0.055, 0.165);
    joints[`${name}Heel`] = placed(bent.end, leg.footTurn, 0, -0.055, -0.05);
    bones[`${name}Thigh`] = hingedFrame(leg.hip, bent.middle, bent.hinge);
    bones[`${name}Shin`] = hingedFrame(bent.middle, bent.end, bent.hinge);
    bones[`${name}Foot`] = frame(bent.end, leg.footTurn);
  }
  const body = { joints, bones };
  if (stance === 'southpaw') mirror(body);
  return scaled(body, stature / referenceStature);
}

const swapped = <Name extends string>(name: Name): Name =>
  (name.startsWith('left') ? name.replace('left', 'right') : name.replace('right', 'left')) as Name;

/** Mirrors a body in the x = 0 plane, swapping its sides, so that orthodox poses serve southpaws. */
function mirror(body: Body): void {
  const joints = { ...body.joints };
  for (const name of jointNames) {
    const from = joints[swapped(name)];
    body.joints[name] = new Vector3(-from.x, from.y, from.z);
  }
  const bones = { ...body.bones };
  const flip = new Matrix4().makeScale(-1, 1, 1);
  for (const name of boneNames) body.bones[name] = flip.clone().multiply(bones[swapped(name)]).multiply(flip);
}

function scaled(body: Body, factor: number): Body {
  for (const joint of Object.values(body.joints)) joint.multiplyScalar(factor);
  for (const bone of Object.values(body.bones)) {
    bone.setPosition(new Vector3().setFromMatrixPosition(bone).multiplyScalar(factor));
  }
  return body;
}

/** Angle at `middle` between its two neighbours, in degrees: 180 is straight. */
export function jointAngle(first: Vector3, middle: Vector3, last: Vector3): number {
  return first.clone().sub(middle).angleTo(last.clone().sub(middle)) / radians;
}

/** A pose with the arms away from the body and everything half bent: the mesh is cut in it, so that skin stretches least. */
export const bindPose: Pose = {
  ...baseStance,
  'pelvis.yaw': 0,
  'pelvis.pitch': 0,
  'chest.yaw': 0,
  'chest.pitch': 0,
  'head.yaw': 0,
  'head.pitch': 0,
  'pelvis.x': 0,
  'pelvis.z': 0,
  'leadHand.x': 0.5,
  'leadHand.y': 1.16,
  'leadHand.z': 0.3,
  'rearHand.x': -0.5,
  'rearHand.y': 1.16,
  'rearHand.z': 0.3,
  'leadElbow.out': 0.9,
  'rearElbow.out': 0.9,
  'leadFoot.x': 0.2,
  'leadFoot.z': 0.12,
  'leadFoot.yaw': 8,
  'leadFoot.pitch': 0,
  'rearFoot.x': -0.2,
  'rearFoot.z': 0.12,
  'rearFoot.yaw': -8,
  'rearFoot.pitch': 0,
};
