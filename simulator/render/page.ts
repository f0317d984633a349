import type { Metres, Seconds } from '@wax-fist/core/units';
import { ACESFilmicToneMapping, PCFShadowMap, Scene as ThreeScene, WebGLRenderer } from 'three';
import type { Stance } from '@wax-fist/core/technique';
import { referenceStature } from '../body/skeleton.ts';
import { cameraAt } from '../camera.ts';
import type { Look } from '../look.ts';
import { perform } from '../motion/performance.ts';
import type { Scene, SceneCamera } from '../scene.ts';
import { exposuresOf } from './exposure.ts';
import { buildFigure, type Figure } from './figure.ts';
import { buildGym } from './gym.ts';
import { buildStation } from './station.ts';

export type Style = 'draft' | 'full';

export interface FilmOrder {
  scene: Scene;
  camera: SceneCamera;
  style: Style;
  /** Seconds of the round at which the frames are taken. */
  times: number[];
}

const renderer = new WebGLRenderer({ antialias: false, preserveDrawingBuffer: true });
renderer.setPixelRatio(1);
renderer.shadowMap.enabled = true;
renderer.shadowMap.type = PCFShadowMap;
renderer.shadowMap.autoUpdate = false;
renderer.toneMapping = ACESFilmicToneMapping;
renderer.toneMappingExposure = 1.3;
document.body.replaceChildren(renderer.domElement);

/** A person is meshed once, however many films they are in. */
const figures = new Map<string, Figure>();
function figureOf(look: Look, stance: Stance, stature: Metres, style: Style, bareHands = false): Figure {
  const key = JSON.stringify([look, stance, stature, style, bareHands]);
  const figure =
    figures.get(key) ?? buildFigure(look, stance, stature / referenceStature, style === 'full' ? 1.8 : 2.2, bareHands);
  figures.set(key, figure);
  return figure;
}

/** Films in the browser: draws every frame and posts it as a JPEG, in order, to `/frame`. Returns milliseconds a frame. */
async function film({ scene, camera: plan, style, times }: FilmOrder): Promise<number> {
  const [width, height] = [plan.pictureWidth, plan.pictureHeight];
  renderer.setSize(width, height, false);

  const size = scene.stature / referenceStature;
  const room = new ThreeScene();
  buildGym(room, style === 'full' ? 768 : 512);
  const station = buildStation(scene.station ?? 'heavy-bag', size);
  const figure = figureOf(scene.look, scene.stance, scene.stature, style);
  room.add(figure.group, station.group);
  const round = perform(scene);
  const holder = scene.holder && {
    figure: figureOf(scene.holder.look, scene.holder.stance, scene.holder.stature, style, true),
    ...round.holder!,
  };
  if (holder) room.add(holder.figure.group);
  const draw = (seconds: Seconds, newShadow: boolean): void => {
    renderer.shadowMap.needsUpdate = newShadow;
    figure.follow(round.bodyAt(seconds));
    station.move(round.bagAt(seconds), round.dentAt(seconds));
    holder?.figure.follow(holder.bodyAt(seconds));
    if (holder) station.hold(holder.padsAt(seconds));
    renderer.render(room, cameraAt(plan, scene, seconds));
  };

  // An open shutter is the mean of several pictures; only what moves fast needs more than one.
  const blended = document.createElement('canvas');
  [blended.width, blended.height] = [width, height];
  const context = blended.getContext('2d')!;
  const canvasOf = (seconds: Seconds): HTMLCanvasElement => {
    const exposures = exposuresOf(scene, plan, round, seconds);
    for (const [index, moment] of exposures.entries()) {
      // Nobody sees that a shadow is not blurred with what casts it, and half of the work is saved.
      draw(moment, index === 0);
      if (exposures.length === 1) return renderer.domElement;
      context.globalAlpha = 1 / (index + 1);
      context.drawImage(renderer.domElement, 0, 0);
    }
    return blended;
  };
  const started = performance.now();
  let posted: Promise<unknown> = Promise.resolve();
  for (const seconds of times) {
    const canvas = canvasOf(seconds);
    const picture = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/jpeg', 0.96));
    await posted;
    posted = fetch('/frame', { method: 'POST', body: picture });
  }
  await posted;
  return (performance.now() - started) / times.length;
}

Object.assign(window, { film });
