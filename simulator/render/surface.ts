import { BufferAttribute, BufferGeometry, Float32BufferAttribute, Vector3 } from 'three';
import { clayDistance, type Clay, type Lump } from './field.ts';

const block = 8;

/** Meshes clay by naive surface nets (Gibson, 1998) on a grid of `step` metres; empty blocks are skipped. */
export function meshed(clay: Clay, step: number): BufferGeometry {
  const grow = clay.grow ?? 0;
  const low = new Vector3(1e9, 1e9, 1e9);
  const high = new Vector3(-1e9, -1e9, -1e9);
  for (const { centre, bound } of clay.lumps) {
    low.min(centre.clone().addScalar(-bound));
    high.max(centre.clone().addScalar(bound));
  }
  const margin = grow + 0.03 + 2 * step;
  low.addScalar(-margin);
  high.addScalar(margin);
  const cells = (span: number): number => block * Math.ceil(span / step / block) + 1;
  const [nx, ny, nz] = [cells(high.x - low.x), cells(high.y - low.y), cells(high.z - low.z)];
  const near = (x: number, y: number, z: number, reach: number): Lump[] =>
    clay.lumps.filter(({ centre, bound }) => Math.hypot(centre.x - x, centre.y - y, centre.z - z) < bound + reach + grow + 0.06);

  const field = new Float32Array(nx * ny * nz).fill(1);
  const half = (block * step) / 2;
  const ball = half * 1.7321;
  for (let bz = 0; bz < nz - 1; bz += block)
    for (let by = 0; by < ny - 1; by += block)
      for (let bx = 0; bx < nx - 1; bx += block) {
        const [mx, my, mz] = [low.x + bx * step + half, low.y + by * step + half, low.z + bz * step + half];
        const active = near(mx, my, mz, ball);
        if (active.length === 0) continue;
        if (clayDistance(active, { lumps: active, grow }, mx, my, mz) > ball * 1.6 + 0.03) continue;
        for (let z = bz; z < Math.min(nz, bz + block + 1); z++)
          for (let y = by; y < Math.min(ny, by + block + 1); y++)
            for (let x = bx; x < Math.min(nx, bx + block + 1); x++)
              field[x + nx * (y + ny * z)] = clayDistance(active, clay, low.x + x * step, low.y + y * step, low.z + z * step);
      }

  const strides = [1, nx, nx * ny] as const;
  const corner = (cell: number, which: number): number =>
    cell + (which & 1) + ((which >> 1) & 1) * nx + ((which >> 2) & 1) * nx * ny;
  const vertexOf = new Int32Array(field.length).fill(-1);
  const positions: number[] = [];
  for (let z = 0; z < nz - 1; z++)
    for (let y = 0; y < ny - 1; y++)
      for (let x = 0; x < nx - 1; x++) {
        const cell = x + nx * (y + ny * z);
        let inside = 0;
        for (let which = 0; which < 8; which++) if (field[corner(cell, which)]! < 0) inside |= 1 << which;
        if (inside === 0 || inside === 255) continue;
        const sum = [0, 0, 0] as [number, number, number];
        let crossings = 0;
        for (let which = 0; which < 8; which++)
          for (let axis = 0; axis < 3; axis++) {
            const other = which | (1 << axis);
            if (which === other || ((inside >> which) & 1) === ((inside >> other) & 1)) continue;
            const from = field[corner(cell, which)]!;
            const share = from / (from - field[corner(cell, other)]!);
            for (let a = 0; a < 3; a++) sum[a]! += ((which >> a) & 1) + (a === axis ? share : 0);
            crossings++;
          }
        vertexOf[cell] = positions.length / 3;
        positions.push(
          low.x + (x + sum[0] / crossings) * step,
          low.y + (y + sum[1] / crossings) * step,
          low.z + (z + sum[2] / crossings) * step,
        );
      }

  const triangles: number[] = [];
  for (let z = 1; z < nz - 1; z++)
    for (let y = 1; y < ny - 1; y++)
      for (let x = 1; x < nx - 1; x++) {
        const cell = x + nx * (y + ny * z);
        const inside = field[cell]! < 0;
        for (let axis = 0; axis < 3; axis++) {
          if (inside === field[cell + strides[axis]!]! < 0) continue;
          const [u, w] = [strides[(axis + 1) % 3]!, strides[(axis + 2) % 3]!];
          const [a, b, c, d] = [vertexOf[cell]!, vertexOf[cell - u]!, vertexOf[cell - u - w]!, vertexOf[cell - w]!];
          if (a < 0 || b < 0 || c < 0 || d < 0) continue;
          if (inside) triangles.push(a, b, c, a, c, d);
          else triangles.push(a, c, b, a, d, c);
        }
      }

  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new Float32BufferAttribute(positions, 3));
  geometry.setIndex(triangles);
  geometry.setAttribute('normal', normalsOf(positions, clay, near, step * 0.6));
  return geometry;
}

function normalsOf(
  positions: readonly number[],
  clay: Clay,
  near: (x: number, y: number, z: number, reach: number) => Lump[],
  away: number,
): BufferAttribute {
  const normals = new Float32Array(positions.length);
  for (let i = 0; i < positions.length; i += 3) {
    const [x, y, z] = [positions[i]!, positions[i + 1]!, positions[i + 2]!];
    const active = near(x, y, z, 0);
    const at = (dx: number, dy: number, dz: number): number => clayDistance(active, clay, x + dx, y + dy, z + dz);
    const slope = new Vector3(
      at(away, 0, 0) - at(-away, 0, 0),
      at(0, away, 0) - at(0, -away, 0),
      at(0, 0, away) - at(0, 0, -away),
    ).normalize();
    normals.set([slope.x, slope.y, slope.z], i);
  }
  return new BufferAttribute(normals, 3);
}
