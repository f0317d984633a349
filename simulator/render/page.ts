import { ACESFilmicToneMapping, PCFShadowMap, Scene as ThreeScene, WebGLRenderer } from 'three';
import { referenceStature } from '../body/skeleton.ts';
import { cameraAt } from '../camera.ts';
import { perform } from '../motion/performance.ts';
import type { Scene, SceneCamera } from '../scene.ts';
import { buildFigure } from './figure.ts';
import { bagPivotLength, buildGym } from './gym.ts';

export type Style = 'draft' | 'full';

interface FilmOrder {
  scene: Scene;
  camera: SceneCamera;
  style: Style;
  /** Seconds of the frames to make. */
  times: number[];
}

/** Films in the browser: draws every frame and posts its raw RGBA rows (bottom up) in order to `/frame`. */
async function film({ scene, camera: plan, style, times }: FilmOrder): Promise<number> {
  const [width, height] = [plan.pictureWidth, plan.pictureHeight];
  const renderer = new WebGLRenderer({ antialias: false, preserveDrawingBuffer: true });
  renderer.setPixelRatio(1);
  renderer.setSize(width, height, false);
  renderer.shadowMap.enabled = true;
  renderer.shadowMap.type = PCFShadowMap;
  renderer.toneMapping = ACESFilmicToneMapping;
  renderer.toneMappingExposure = 1.3;
  document.body.replaceChildren(renderer.domElement);

  const size = scene.stature / referenceStature;
  const room = new ThreeScene();
  const bag = buildGym(room, size, style === 'full' ? 1024 : 512);
  const figure = buildFigure(scene.look, scene.stance, size, style === 'full' ? 1.45 : 2.2);
  room.add(figure.group);
  const performance_ = perform(scene);
  const gl = renderer.getContext();
  const pixels = new Uint8Array(width * height * 4);
  const started = performance.now();
  let posted: Promise<unknown> = Promise.resolve();
  for (const seconds of times) {
    figure.follow(performance_.bodyAt(seconds));
    bag.rotation.x = -(performance_.bagAt(seconds) * size) / bagPivotLength;
    renderer.render(room, cameraAt(plan, scene.stance, scene.stature, seconds));
    gl.readPixels(0, 0, width, height, gl.RGBA, gl.UNSIGNED_BYTE, pixels);
    await posted;
    posted = fetch('/frame', { method: 'POST', body: pixels.slice() });
  }
  await posted;
  return (performance.now() - started) / times.length;
}

Object.assign(window, { film });
