import type { Seconds } from '@wax-fist/core/units';
import { Matrix4, Vector3 } from 'three';
import { addChange, baseStance, type Channel, type Pose } from '../body/pose.ts';
import type { BodySide } from '@wax-fist/core/body';
import { referenceStature, solve, type Body, type BoneName, type JointName } from '../body/skeleton.ts';
import type { Scene, SceneHolder } from '../scene.ts';
import type { HeldFault, HolderFaultId } from './fault/holder.ts';
import type { Holding, ThrownPart, ThrownStrike } from './thrown-round.ts';
import { meetingPoint } from './plan/kick.ts';
import { gloveFront } from './plan/hand.ts';
import { minimumJerk, upAndBack } from './shape.ts';
import type { StationId } from './station.ts';
import { limbOf } from './technique/single.ts';

/** The holder stands so far from the middle of the trainee's stance, metres at the reference stature. */
const distance = 1.5;
/** From the hand that holds to the face of the pad. */
const padDepth = 0.1;
/** How high the hands wait: mitts where a head would be, larger pads lower. */
const waitingHeight: Partial<Record<StationId, number>> = { mitts: 1.4, 'thai-pads': 1.24, shield: 1.08 };
const towardsTrainee = new Vector3(0, 0, -1);

interface Hold {
  side: BodySide | 'both';
  contact: number;
  point: Vector3;
  normal: Vector3;
  faults: readonly HeldFault[];
}

/** Which way a pad looks for a strike: against the way it comes. */
function normalFor({ technique, model }: ThrownPart, from: 1 | -1): Vector3 {
  if (/hook|round|low-kick|elbow/.test(technique)) return new Vector3(from, 0, -0.35).normalize();
  if (technique.includes('uppercut')) return new Vector3(0, -1, -0.35).normalize();
  if (technique.includes('rising')) return new Vector3(from * 0.8, -0.6, -0.3).normalize();
  if (technique.includes('overhand')) return new Vector3(0, 0.45, -1).normalize();
  return model.kind === 'kick' && model.meets === 0 ? new Vector3(0, -0.4, -1).normalize() : towardsTrainee.clone();
}

const strengthOf = (faults: readonly HeldFault[], id: HolderFaultId): number =>
  faults.find((fault) => fault.id === id)?.strength ?? 0;
const come = 0.3;
const amountAt = ({ contact }: Hold, seconds: Seconds): number =>
  upAndBack(contact - come, contact - 0.05, contact + 0.07, contact + 0.4)(seconds);

/** Turns a body that stands at the origin round and puts it in front of the trainee. */
function facing(body: Body, z: number): Body {
  const place = new Matrix4().makeTranslation(0, 0, z).multiply(new Matrix4().makeRotationY(Math.PI));
  for (const name of Object.keys(body.joints) as JointName[]) body.joints[name].applyMatrix4(place);
  for (const name of Object.keys(body.bones) as BoneName[]) body.bones[name].premultiply(place);
  return body;
}

/** Holds for every strike of a round. `bodyAt` is the trainee, `gives` how far a pad is pushed in at a moment. */
export function holdFor(
  scene: Scene & { holder: SceneHolder },
  strikes: readonly ThrownStrike[],
  bodyAt: (seconds: Seconds) => Body,
  gives: (seconds: Seconds) => number,
): Holding {
  const { holder } = scene;
  const size = scene.stature / referenceStature;
  const own = holder.stature / referenceStature;
  const origin = distance * size;
  const southpaw = scene.stance === 'southpaw';
  const holds = strikes.flatMap(({ parts, held = [] }) =>
    parts.flatMap((part): Hold[] => {
      const limb = limbOf(part.model);
      if (!limb) return [];
      const striking: BodySide = (limb === 'lead') !== southpaw ? 'left' : 'right';
      const body = bodyAt(part.contact);
      const point =
        part.model.kind === 'kick'
          ? meetingPoint(body, striking, part.model)
          : gloveFront(body, striking, part.model.kind === 'hand' ? part.model.meets : 'glove');
      const from = striking === 'left' ? 1 : -1;
      const normal = normalFor(part, from);
      const tilted = strengthOf(held, 'pads-tilted');
      if (tilted > 0) normal.add(new Vector3(0, 0.9 * tilted, 0)).normalize();
      // A kick is taken with both pads; a strike with the hand on the side that it comes from, which is the holder's other one.
      return [
        {
          side: part.model.kind === 'kick' ? 'both' : striking === 'left' ? 'right' : 'left',
          contact: part.contact,
          point,
          normal,
          faults: held,
        },
      ];
    }),
  );

  const nearest = (side: BodySide, seconds: Seconds): { hold: Hold; amount: number } | undefined => {
    let best: { hold: Hold; amount: number } | undefined;
    for (const hold of holds) {
      if (Math.abs(hold.contact - seconds) > 0.5 || (hold.side !== side && hold.side !== 'both')) continue;
      const amount = amountAt(hold, seconds);
      if (amount > (best?.amount ?? 0)) best = { hold, amount };
    }
    return best;
  };
  /** Where a pad's face is. */
  const faceAt = (side: BodySide, seconds: Seconds): { face: Vector3; normal: Vector3 } => {
    const rest = new Vector3(side === 'left' ? 0.13 : -0.13, waitingHeight[scene.station ?? 'mitts'] ?? 1.4, 0.36).multiplyScalar(
      own,
    );
    const face = new Vector3(-rest.x, rest.y, origin - rest.z - padDepth);
    const found = nearest(side, seconds);
    if (!found) return { face, normal: towardsTrainee.clone() };
    const { hold, amount } = found;
    const loose = 1 + 3 * strengthOf(hold.faults, 'pads-loose');
    const beside = hold.side === 'both' ? (side === 'left' ? 0.07 : -0.07) : 0;
    const meant = hold.point.clone().addScaledVector(hold.normal, -gives(seconds) * size * loose);
    meant.x -= Math.abs(hold.normal.z) > 0.8 ? beside : 0;
    meant.z += Math.abs(hold.normal.z) > 0.8 ? 0 : beside;
    return { face: face.lerp(meant, amount), normal: towardsTrainee.clone().lerp(hold.normal, minimumJerk(amount)).normalize() };
  };

  const poseAt = (seconds: Seconds): Pose => {
    const pose = { ...baseStance };
    const bob = Math.sin(seconds * 2.1);
    addChange(pose, { 'pelvis.x': 0.012, 'chest.yaw': 2 }, bob);
    addChange(pose, { 'pelvis.yaw': 16, 'chest.yaw': 22 }, 1);
    for (const hold of holds) {
      const behind = strengthOf(hold.faults, 'head-behind-pads');
      if (behind > 0 && Math.abs(hold.contact - seconds) < 0.5)
        addChange(
          pose,
          { 'pelvis.z': 0.16 * behind, 'chest.pitch': 16 * behind, 'head.pitch': -8 * behind },
          amountAt(hold, seconds),
        );
    }
    for (const side of ['left', 'right'] as const) {
      const { face, normal } = faceAt(side, seconds);
      const hand = face.addScaledVector(normal, -padDepth);
      const mirrored = holder.stance === 'southpaw' ? -1 : 1;
      const which = (side === 'left') === (holder.stance === 'orthodox') ? 'lead' : 'rear';
      const [x, y, z] = [-hand.x / own, hand.y / own, (origin - hand.z) / own];
      const travel = { x: pose['pelvis.x'] - baseStance['pelvis.x'], z: pose['pelvis.z'] - baseStance['pelvis.z'] };
      pose[`${which}Hand.x` as Channel] = x * mirrored - travel.x;
      pose[`${which}Hand.y` as Channel] = y;
      pose[`${which}Hand.z` as Channel] = z - travel.z;
      pose[`${which}Elbow.out` as Channel] = 0.7;
    }
    return pose;
  };
  const holderAt = (seconds: Seconds): Body => facing(solve(poseAt(seconds), holder.stance, holder.stature), origin);
  return {
    bodyAt: holderAt,
    leadToesAt: (seconds) => {
      const { leftToe, rightToe } = holderAt(seconds).joints;
      const toes = holder.stance === 'orthodox' ? leftToe : rightToe;
      return southpaw ? toes.setX(-toes.x) : toes;
    },
    padsAt: (seconds) =>
      (['left', 'right'] as const).map((side) => {
        const { face, normal } = faceAt(side, seconds);
        return { side, position: face, normal };
      }),
  };
}
