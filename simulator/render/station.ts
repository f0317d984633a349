import {
  BoxGeometry,
  CylinderGeometry,
  Group,
  LatheGeometry,
  Mesh,
  MeshLambertMaterial,
  MeshStandardMaterial,
  Quaternion,
  SphereGeometry,
  Vector2,
  Vector3,
  type Material,
} from 'three';
import type { Pad } from '../motion/thrown-round.ts';
import { bagFace, bagRadius, stations, type StationId } from '../motion/station.ts';

/** What is hit, to be moved as it answers. */
export interface StationModel {
  group: Group;
  /** Metres that its face has moved away, and how deep it is dented, 0 to 1. */
  move: (travel: number, dent: number) => void;
  /** Puts the pads where they are held. */
  hold: (pads: readonly Pad[]) => void;
}

const leather = (): Material => new MeshStandardMaterial({ color: '#6b2f1d', roughness: 0.55 });
const steel = (): Material => new MeshLambertMaterial({ color: '#8f9496' });
const dark = (): Material => new MeshLambertMaterial({ color: '#1d1a18' });

function withShadows(group: Group): Group {
  group.traverse((object) => {
    object.castShadow = true;
    object.receiveShadow = true;
  });
  return group;
}

const beam = 3.4;
const struckAt = 1.45;

/** Something on a chain from the beam, swinging from there. */
function hanging(size: number, bag: Mesh, extra: readonly Mesh[], top: number): StationModel {
  const pivot = new Group();
  pivot.position.set(0, beam, (bagFace + bagRadius) * size);
  const chain = new Mesh(new CylinderGeometry(0.012, 0.012, beam - top, 6), steel());
  chain.position.y = -(beam - top) / 2;
  pivot.add(bag, chain, ...extra);
  withShadows(pivot);
  return {
    group: pivot,
    move: (travel, dent) => {
      pivot.rotation.x = -(travel * size) / (beam - struckAt);
      bag.scale.z = 1 - 0.07 * dent;
      bag.position.z = 0.02 * dent;
    },
    hold: () => undefined,
  };
}

function heavyBag(size: number): StationModel {
  const bag = new Mesh(new CylinderGeometry(bagRadius, bagRadius, 1.15, 24), leather());
  bag.position.y = 1.28 - beam;
  const straps = [0.78, 1.78].map((y) => {
    const strap = new Mesh(new CylinderGeometry(bagRadius + 0.004, bagRadius + 0.004, 0.05, 24), dark());
    strap.position.y = y - beam;
    return strap;
  });
  return hanging(size, bag, straps, 1.84);
}

/** Round at the height of a head, narrow below, so that an uppercut comes up under it. */
function uppercutBag(size: number): StationModel {
  const outline = [
    [0.001, 0.9],
    [0.11, 0.92],
    [0.15, 1.05],
    [0.165, 1.18],
    [0.15, 1.28],
    [0.155, 1.34],
    [0.18, 1.46],
    [0.17, 1.6],
    [0.11, 1.7],
    [0.03, 1.74],
  ] as const;
  const bag = new Mesh(
    new LatheGeometry(
      outline.map(([x, y]) => new Vector2(x, y - beam)),
      28,
    ),
    leather(),
  );
  return hanging(size, bag, [], 1.74);
}

function speedBag(size: number): StationModel {
  const group = new Group();
  const { face, radius } = stations['speed-bag'];
  const board = new Mesh(new CylinderGeometry(0.3, 0.3, 0.05, 32), new MeshLambertMaterial({ color: '#a07c4e' }));
  const height = 1.74 * size;
  group.position.set(0, height, (face + radius) * size);
  board.position.y = 0.03;
  const post = new Mesh(new BoxGeometry(0.06, 0.06, 1.2), steel());
  post.position.set(0, 0.09, 0.6);
  const wall = new Mesh(new BoxGeometry(0.5, 0.7, 0.04), dark());
  wall.position.set(0, 0.05, 1.2);
  const pivot = new Group();
  const belly = new Mesh(new SphereGeometry(0.1, 20, 16), leather());
  belly.scale.set(1, 1.3, 1);
  belly.position.y = -0.25;
  const neck = new Mesh(new CylinderGeometry(0.02, 0.055, 0.14, 12), leather());
  neck.position.y = -0.08;
  pivot.add(belly, neck);
  group.add(board, post, wall, pivot);
  withShadows(group);
  return {
    group,
    move: (travel) => (pivot.rotation.x = Math.max(-1.25, Math.min(1.25, -travel / 0.16))),
    hold: () => undefined,
  };
}

/** Shapes of pads, with the face towards +y. */
function padMesh(station: StationId): Group {
  const group = new Group();
  const face = new MeshStandardMaterial({ color: '#23262c', roughness: 0.5 });
  const rim = new MeshLambertMaterial({ color: '#c8a23a' });
  if (station === 'mitts') {
    const body = new Mesh(new CylinderGeometry(0.105, 0.115, 0.06, 28), face);
    body.position.y = -0.03;
    const spot = new Mesh(new CylinderGeometry(0.035, 0.035, 0.004, 20), rim);
    spot.position.y = 0.002;
    group.add(body, spot);
  } else if (station === 'thai-pads') {
    const body = new Mesh(new BoxGeometry(0.19, 0.09, 0.38), face);
    body.position.y = -0.045;
    const edge = new Mesh(new BoxGeometry(0.2, 0.03, 0.39), rim);
    edge.position.y = -0.08;
    group.add(body, edge);
  } else {
    const body = new Mesh(new BoxGeometry(0.36, 0.15, 0.6), face);
    body.position.y = -0.075;
    const edge = new Mesh(new BoxGeometry(0.37, 0.03, 0.61), rim);
    edge.position.y = -0.13;
    group.add(body, edge);
  }
  return withShadows(group);
}

const upwards = new Vector3(0, 1, 0);
/** A pad stands upright behind its face. */
function turnTo(normal: Vector3): Quaternion {
  const aside = new Vector3().crossVectors(upwards, normal);
  if (aside.lengthSq() < 1e-6) aside.set(1, 0, 0);
  const turn = new Quaternion().setFromUnitVectors(upwards, normal);
  const upright = new Vector3(0, 0, -1).applyQuaternion(turn);
  const wanted = upwards.clone().addScaledVector(normal, -normal.y);
  if (wanted.lengthSq() < 1e-4) return turn;
  const twist = new Quaternion().setFromUnitVectors(upright, wanted.normalize());
  return twist.multiply(turn);
}

function pads(station: StationId): StationModel {
  const group = new Group();
  const both = station === 'shield' ? [padMesh(station)] : [padMesh(station), padMesh(station)];
  group.add(...both);
  return {
    group,
    move: () => undefined,
    hold: (held) => {
      const [left, right] = held;
      if (!left || !right) return;
      if (station === 'shield') {
        both[0]!.position.copy(left.position).add(right.position).multiplyScalar(0.5);
        both[0]!.quaternion.copy(turnTo(left.normal.clone().add(right.normal).normalize()));
        return;
      }
      for (const [index, { position, normal }] of [left, right].entries()) {
        both[index]!.position.copy(position);
        both[index]!.quaternion.copy(turnTo(normal));
      }
    },
  };
}

const nothing = (): StationModel => ({ group: new Group(), move: () => undefined, hold: () => undefined });

const builders: Record<StationId, (size: number) => StationModel> = {
  'heavy-bag': heavyBag,
  'uppercut-bag': uppercutBag,
  'speed-bag': speedBag,
  mitts: () => pads('mitts'),
  'thai-pads': () => pads('thai-pads'),
  shield: () => pads('shield'),
  shadow: nothing,
};

/** Builds what a station consists of; `size` is the trainee's stature over the reference. */
export const buildStation = (id: StationId, size: number): StationModel => builders[id](size);
