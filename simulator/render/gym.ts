import type { Scene } from 'three';
import {
  CanvasTexture,
  BoxGeometry,
  Color,
  DirectionalLight,
  HemisphereLight,
  Mesh,
  MeshBasicMaterial,
  MeshLambertMaterial,
  PlaneGeometry,
  RepeatWrapping,
  SRGBColorSpace,
  TorusGeometry,
} from 'three';
import { seededRandom } from '../random.ts';

type Painter = (context: CanvasRenderingContext2D, width: number, height: number) => void;

function painted(width: number, height: number, paint: Painter, across: number, up: number): CanvasTexture {
  const canvas = document.createElement('canvas');
  canvas.width = width;
  canvas.height = height;
  paint(canvas.getContext('2d')!, width, height);
  const texture = new CanvasTexture(canvas);
  texture.wrapS = texture.wrapT = RepeatWrapping;
  texture.repeat.set(across, up);
  texture.colorSpace = SRGBColorSpace;
  return texture;
}

/** Rubber mats with seams and scuffs. */
const mats: Painter = (context, width, height) => {
  const random = seededRandom(11);
  context.fillStyle = '#54605f';
  context.fillRect(0, 0, width, height);
  for (let speck = 0; speck < 5000; speck++) {
    const grey = Math.floor(random.next() * 255);
    context.fillStyle = `rgba(${grey},${grey},${grey},.05)`;
    context.fillRect(random.next() * width, random.next() * height, 2, 2);
  }
  context.strokeStyle = '#3d4746';
  context.lineWidth = 4;
  context.strokeRect(0, 0, width, height);
};

/** Tarred boards of a boathouse, white above a painted rail. */
const boards: Painter = (context, width, height) => {
  const random = seededRandom(23);
  const board = width / 16;
  for (let index = 0; index < 16; index++) {
    const shade = 158 + Math.floor(random.next() * 26);
    context.fillStyle = `rgb(${shade + 6},${shade + 1},${shade - 14})`;
    context.fillRect(index * board + 1, 0, board - 2, height);
    const dark = 52 + Math.floor(random.next() * 16);
    context.fillStyle = `rgb(${dark - 4},${dark + 26},${dark + 34})`;
    context.fillRect(index * board + 1, height * 0.64, board - 2, height * 0.36);
  }
  context.fillStyle = '#d7a33a';
  context.fillRect(0, height * 0.62, width, height * 0.025);
};

/** A plain training room with its lamps: boards and mats, benches, a coil of rope on the wall. */
export function buildGym(scene: Scene, shadow: number): void {
  scene.background = new Color('#7a7f80');
  const floor = new Mesh(new PlaneGeometry(14, 14), new MeshLambertMaterial({ map: painted(256, 256, mats, 12, 12) }));
  floor.rotation.x = -Math.PI / 2;
  floor.receiveShadow = true;
  scene.add(floor);
  // Walls are far away and evenly lit: what lamps would add is painted on, and drawing them costs half as much.
  const wall = new MeshBasicMaterial({ map: painted(1024, 512, boards, 4, 1) });
  for (const [x, z, turn] of [
    [0, -4.2, 0],
    [-4.6, 0, Math.PI / 2],
    [4.8, 0, -Math.PI / 2],
    [0, 6.4, Math.PI],
  ] as const) {
    const side = new Mesh(new PlaneGeometry(14, 4.2), wall);
    side.position.set(x, 2.1, z);
    side.rotation.y = turn;
    scene.add(side);
  }
  const wood = new MeshLambertMaterial({ color: '#8a6a45' });
  for (const [x, z, turn] of [
    [-4.1, -1.2, Math.PI / 2],
    [-1.4, -3.8, 0],
    [4.3, 1.2, Math.PI / 2],
  ] as const) {
    const bench = new Mesh(new BoxGeometry(2, 0.07, 0.34), wood);
    bench.position.set(x, 0.44, z);
    bench.rotation.y = turn;
    scene.add(bench);
  }
  const rope = new Mesh(new TorusGeometry(0.22, 0.035, 6, 20), new MeshLambertMaterial({ color: '#c9b68a' }));
  rope.position.set(-4.5, 1.75, 1.1);
  rope.rotation.y = Math.PI / 2;
  scene.add(rope);

  scene.add(new HemisphereLight('#e4ecff', '#5c554a', 1.35));
  const lamp = new DirectionalLight('#fff2df', 2.5);
  lamp.position.set(-2.2, 4.4, 3);
  lamp.target.position.set(0, 0.9, 0.3);
  lamp.castShadow = shadow > 0;
  lamp.shadow.mapSize.set(shadow || 1, shadow || 1);
  Object.assign(lamp.shadow.camera, { left: -2, right: 2, top: 2, bottom: -2, near: 1, far: 9 });
  lamp.shadow.bias = -0.0004;
  lamp.shadow.normalBias = 0.02;
  lamp.shadow.radius = 3;
  const fill = new DirectionalLight('#cfe0ff', 0.6);
  fill.position.set(3, 2.5, 2);
  scene.add(lamp, lamp.target, fill);
}
