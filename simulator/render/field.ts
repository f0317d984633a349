import type { Matrix4 } from 'three';
import { Matrix3, Vector3 } from 'three';
import type { BoneName } from '../body/skeleton.ts';

/** A rounded cone between two points, or an ellipsoid: the lumps of clay that a body is made of. Lengths in metres. */
export interface Lump {
  bone: BoneName;
  /** Smoothness of the joint with its neighbours. */
  blend: number;
  centre: Vector3;
  /** Radius of a ball that surely holds the lump. */
  bound: number;
  distance: (x: number, y: number, z: number) => number;
}

/** Rounded cone (after the exact distance of I. Quilez). */
export function cone(bone: BoneName, from: Vector3, to: Vector3, fromRadius: number, toRadius: number, blend = 0.025): Lump {
  const { x: ax, y: ay, z: az } = from;
  const along = to.clone().sub(from);
  const { x: bx, y: by, z: bz } = along;
  const length2 = along.lengthSq();
  const shrink = fromRadius - toRadius;
  const slant2 = length2 - shrink * shrink;
  const inverse = 1 / length2;
  return {
    bone,
    blend,
    centre: from.clone().add(to).multiplyScalar(0.5),
    bound: Math.sqrt(length2) / 2 + Math.max(fromRadius, toRadius),
    distance(x, y, z) {
      const px = x - ax,
        py = y - ay,
        pz = z - az;
      const rise = px * bx + py * by + pz * bz;
      const over = rise - length2;
      const qx = px * length2 - bx * rise,
        qy = py * length2 - by * rise,
        qz = pz * length2 - bz * rise;
      const across2 = qx * qx + qy * qy + qz * qz;
      const rise2 = rise * rise * length2;
      const over2 = over * over * length2;
      const limit = Math.sign(shrink) * shrink * shrink * across2;
      if (Math.sign(over) * slant2 * over2 > limit) return Math.sqrt(across2 + over2) * inverse - toRadius;
      if (Math.sign(rise) * slant2 * rise2 < limit) return Math.sqrt(across2 + rise2) * inverse - fromRadius;
      return (Math.sqrt(across2 * slant2 * inverse) + rise * shrink) * inverse - fromRadius;
    },
  };
}

/** Ellipsoid in the frame of `at`, which may be scaled (distance approximated to first order). */
export function ellipsoid(
  bone: BoneName,
  at: Matrix4,
  offset: [number, number, number],
  radii: [number, number, number],
  blend = 0.03,
): Lump {
  const centre = new Vector3(...offset).applyMatrix4(at);
  const size = new Vector3().setFromMatrixColumn(at, 0).length();
  const e = new Matrix3().setFromMatrix4(at).multiplyScalar(1 / size).elements;
  const [rx, ry, rz] = radii.map((radius) => radius * size) as [number, number, number];
  const { x: cx, y: cy, z: cz } = centre;
  return {
    bone,
    blend,
    centre,
    bound: Math.max(rx, ry, rz),
    distance(x, y, z) {
      const dx = x - cx,
        dy = y - cy,
        dz = z - cz;
      const lx = e[0] * dx + e[1] * dy + e[2] * dz;
      const ly = e[3] * dx + e[4] * dy + e[5] * dz;
      const lz = e[6] * dx + e[7] * dy + e[8] * dz;
      const outer = Math.hypot(lx / rx, ly / ry, lz / rz);
      const slope = Math.hypot(lx / (rx * rx), ly / (ry * ry), lz / (rz * rz));
      return slope < 1e-9 ? -Math.min(rx, ry, rz) : (outer * (outer - 1)) / slope;
    },
  };
}

/** Smooth union of lumps, grown by `grow`, minus what `cut` takes away (positive = outside). */
export interface Clay {
  lumps: readonly Lump[];
  grow?: number;
  cut?: (x: number, y: number, z: number) => number;
}

export function clayDistance(lumps: readonly Lump[], clay: Clay, x: number, y: number, z: number): number {
  let distance = 1e3;
  for (const lump of lumps) {
    const own = lump.distance(x, y, z);
    const overlap = Math.max(lump.blend - Math.abs(distance - own), 0) / lump.blend;
    distance = Math.min(distance, own) - overlap * overlap * lump.blend * 0.25;
  }
  distance -= clay.grow ?? 0;
  return clay.cut ? Math.max(distance, clay.cut(x, y, z)) : distance;
}
