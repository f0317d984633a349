import type { Centimetres, Degrees, Ms, Ratio } from '../units.ts';

/** How a lens sees: the angle from top to bottom of its picture, as it is held. */
export interface Lens {
  name: string;
  upright: Degrees;
  across: Degrees;
}
/** Usual lenses of phones, held upright or on their side: angles of a picture of 16 : 9 from a lens of 26, 13 and 52 mm (of 35 mm film). */
export const lenses: readonly Lens[] = [
  { name: 'Phone, usual lens', upright: 69, across: 42 },
  { name: 'Phone, wide lens', upright: 106, across: 74 },
  { name: 'Phone, twice as near', upright: 38, across: 22 },
];
/** Room left round the body. */
const margin: Ratio = 0.15;

const radians = (degrees: Degrees): number => (degrees * Math.PI) / 180;

/**
 * How far a camera stands so that the whole body is in it with room round it, its lens level: what is furthest above or below the
 * lens, over the tangent of half of the angle. @param lens how high it stands @param angle from top to bottom of the picture, as it is held
 */
export const cameraDistance = (height: Centimetres, lens: Centimetres, angle: Degrees): Centimetres =>
  (Math.max(lens, height - lens) * (1 + margin)) / Math.tan(radians(angle) / 2);

/** How wide a room is in the picture at a distance. */
export const widthSeen = (distance: Centimetres, angle: Degrees): Centimetres => 2 * distance * Math.tan(radians(angle) / 2);

/** A jab flies for about so long, and a fist is so quick. */
export const jabFlies: readonly [Ms, Ms] = [100, 200];
/** Metres a second. */
export const fistSpeed: readonly [number, number] = [7, 10];
/** Frames a second that cameras offer. */
export const frameRates = [24, 30, 60, 120, 240] as const;

/** What a rate of frames shows. */
export interface RateSays {
  rate: number;
  /** Frames of a strike on its way out. */
  frames: readonly [number, number];
  /** A moment is told no better than half of the gap between two frames; a time from one moment to another by both together. */
  moment: Ms;
  duration: Ms;
}
export const rateSays = (rate: number): RateSays => {
  const gap = 1000 / rate;
  return {
    rate,
    frames: [Math.floor(jabFlies[0] / gap), Math.floor(jabFlies[1] / gap)],
    moment: gap / 2,
    duration: Math.hypot(gap / 2, gap / 2),
  };
};

/** Shutters, one over so many seconds. */
export const shutters = [60, 125, 250, 500, 1000] as const;
/** How far a fist moves while the shutter is open: speed times time, in centimetres. @param shutter one over so many seconds */
export const blurOf = (shutter: number): readonly [Centimetres, Centimetres] => [
  (fistSpeed[0] * 100) / shutter,
  (fistSpeed[1] * 100) / shutter,
];
/** A phone's lens, and how sensitive it is set without much noise. */
const [aperture, sensitivity] = [1.8, 800];
/** Of a light meter that measures what falls on the scene (ISO 2720, C = 250 for a flat receptor). */
const meter = 250;
/** Lux that fall on the scene: meter × aperture² ÷ (time × sensitivity). */
export const lightFor = (shutter: number): number => (meter * aperture ** 2 * shutter) / sensitivity;
/** What rooms have. */
export const rooms: readonly { name: string; lux: number }[] = [
  { name: 'a dim hall in the evening', lux: 100 },
  { name: 'a lit hall', lux: 300 },
  { name: 'a bright gym', lux: 500 },
  { name: 'beside a window by day', lux: 1500 },
  { name: 'outside, under clouds', lux: 10_000 },
];
/** The darkest room that is light enough for a shutter; undefined where none is. */
export const roomFor = (shutter: number) => rooms.find(({ lux }) => lux >= lightFor(shutter));
