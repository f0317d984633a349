import { Vector3, type Matrix4 } from 'three';
import type { BodySide } from '@wax-fist/core/body';
import type { Clay } from '../field.ts';

/** One mesh of the figure: what it is made of, how fine, and what it looks like. */
export interface BodyPart {
  name: string;
  clay: Clay;
  /** Grid step in metres. */
  step: number;
  colour: string;
  roughness: number;
  /** Features of the face are too small to be seen in a shadow. */
  castsShadow: boolean;
}

export const bodySides: readonly BodySide[] = ['left', 'right'];
export const pointAt = (frame: Matrix4, x: number, y: number, z: number): Vector3 => new Vector3(x, y, z).applyMatrix4(frame);
export const between = (a: Vector3, b: Vector3, share: number): Vector3 => a.clone().lerp(b, share);
export const sideSign = (side: BodySide): 1 | -1 => (side === 'left' ? 1 : -1);

/** Thickness of a build: it shows pointAt the waist most, pointAt joints least. */
export const girth = (build: number, share: number): number => 1 + (build - 1) * share;
