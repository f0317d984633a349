import type { BufferGeometry } from 'three';
import {
  Bone,
  Float32BufferAttribute,
  Group,
  Matrix4,
  MeshStandardMaterial,
  Skeleton,
  SkinnedMesh,
  Uint16BufferAttribute,
} from 'three';
import type { Stance } from '@wax-fist/core/technique';
import { bindPose, boneNames, solve, type Body, type BoneName } from '../body/skeleton.ts';
import type { Look } from '../look.ts';
import { figureParts } from './anatomy/figure-parts.ts';
import type { Lump } from './field.ts';
import { meshed } from './surface.ts';

/** How softly one bone's skin passes into the next, in metres. */
const softness = 0.016;

/** Gives every vertex up to four bones, by how near it lies to the clay of each. */
function skinned(geometry: BufferGeometry, lumps: readonly Lump[]): void {
  const byBone = new Map<number, Lump[]>();
  for (const lump of lumps) {
    const index = boneNames.indexOf(lump.bone);
    byBone.set(index, [...(byBone.get(index) ?? []), lump]);
  }
  const position = geometry.getAttribute('position');
  const indices = new Uint16Array(position.count * 4);
  const weights = new Float32Array(position.count * 4);
  for (let vertex = 0; vertex < position.count; vertex++) {
    const near = [...byBone]
      .map(([index, own]) => ({
        index,
        away: Math.min(...own.map((lump) => lump.distance(position.getX(vertex), position.getY(vertex), position.getZ(vertex)))),
      }))
      .sort((a, b) => a.away - b.away)
      .slice(0, 4);
    const strengths = near.map(({ away }) => Math.exp(-(away - near[0]!.away) / softness));
    const total = strengths.reduce((sum, strength) => sum + strength, 0);
    near.forEach(({ index }, place) => {
      indices[vertex * 4 + place] = index;
      weights[vertex * 4 + place] = strengths[place]! / total;
    });
  }
  geometry.setAttribute('skinIndex', new Uint16BufferAttribute(indices, 4));
  geometry.setAttribute('skinWeight', new Float32BufferAttribute(weights, 4));
}

/** A clothed figure that is meshed once and then follows any solved body. */
export interface Figure {
  group: Group;
  follow: (body: Body) => void;
}

/** Builds the figure in its bind pose. `scale` is the trainee's stature over the reference; `coarse` stretches the grid of the large parts. */
export function buildFigure(look: Look, stance: Stance, scale: number, coarse: number, bareHands = false): Figure {
  const rest = solve(bindPose, stance);
  const bones = boneNames.map((name) => {
    const bone = new Bone();
    bone.name = name;
    bone.matrixAutoUpdate = false;
    return bone;
  });
  const skeleton = new Skeleton(
    bones,
    boneNames.map((name) => rest.bones[name].clone().invert()),
  );
  const group = new Group();
  group.add(...bones);
  for (const part of figureParts(rest, look, bareHands)) {
    const geometry = meshed(part.clay, part.step * (part.castsShadow ? coarse : 1));
    skinned(geometry, part.clay.lumps);
    const material = new MeshStandardMaterial({ color: part.colour, roughness: part.roughness });
    const mesh = new SkinnedMesh(geometry, material);
    mesh.name = part.name;
    mesh.bind(skeleton, new Matrix4());
    mesh.castShadow = part.castsShadow;
    mesh.receiveShadow = true;
    mesh.frustumCulled = false;
    group.add(mesh);
  }
  const grow = new Matrix4().makeScale(scale, scale, scale);
  return {
    group,
    follow: (body) => {
      for (const bone of bones) bone.matrix.copy(body.bones[bone.name as BoneName]).multiply(grow);
      group.updateMatrixWorld(true);
      skeleton.update();
    },
  };
}
