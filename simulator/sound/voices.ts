import type { Seconds } from '@wax-fist/core/units';
import type { Random } from '../random.ts';

export const sampleRate = 48_000;

/** Adds a sound to a track: `sample` gives its value from its beginning on. Seconds throughout. */
export type Add = (start: Seconds, lasts: Seconds, sample: (secondsIn: Seconds) => number) => void;

/** An empty mono track and the way to put sounds on it. */
export function track(seconds: Seconds): { samples: Float32Array; add: Add } {
  const samples = new Float32Array(Math.ceil(seconds * sampleRate));
  const add: Add = (start, lasts, sample) => {
    const first = Math.max(0, Math.round(start * sampleRate));
    const last = Math.min(samples.length, first + Math.round(lasts * sampleRate));
    for (let index = first; index < last; index++) samples[index]! += sample((index - first) / sampleRate);
  };
  return { samples, add };
}

/** Band-limited noise: white noise through a one-pole low pass and a one-pole high pass. */
export function noise(random: Random, lowHertz: number, highHertz: number): () => number {
  const low = 1 - Math.exp((-2 * Math.PI * highHertz) / sampleRate);
  const high = 1 - Math.exp((-2 * Math.PI * lowHertz) / sampleRate);
  let smooth = 0;
  let slow = 0;
  return () => {
    smooth += low * (random.next() * 2 - 1 - smooth);
    slow += high * (smooth - slow);
    return smooth - slow;
  };
}

/** A fist on a heavy bag: a bright slap that dies fast on top of a dull thump. `snap` 0 is a push, 1 a crack. */
export function hit(add: Add, random: Random, seconds: Seconds, loudness: number, snap: number): void {
  const slap = noise(random, 900, 9000);
  const leather = noise(random, 150, 1500);
  const slapDecay = 0.012 + 0.02 * (1 - snap);
  const thumpDecay = 0.05 + 0.05 * (1 - snap);
  const pitch = 78 + 14 * random.next();
  add(seconds, 0.4, (t) => {
    const attack = Math.min(1, t / 0.0012);
    const thump = Math.sin(2 * Math.PI * pitch * t * (1 - 0.6 * t)) * Math.exp(-t / thumpDecay) * 0.55;
    return (
      loudness * attack * (slap() * Math.exp(-t / slapDecay) * (0.5 + 1.6 * snap) + leather() * Math.exp(-t / 0.03) * 0.9 + thump)
    );
  });
}

/** A fist or a shin on a pad that somebody holds: higher and shorter than a bag, with a clap of its face. */
export function padHit(add: Add, random: Random, seconds: Seconds, loudness: number, snap: number): void {
  const clap = noise(random, 1200, 11000);
  const foam = noise(random, 250, 1900);
  const decay = 0.009 + 0.012 * (1 - snap);
  add(
    seconds,
    0.25,
    (t) =>
      loudness * Math.min(1, t / 0.001) * (clap() * Math.exp(-t / decay) * (0.6 + 1.7 * snap) + foam() * Math.exp(-t / 0.022)),
  );
}

/** A speed bag: the fist, then the board behind, in front and behind again before the next fist. Seconds between two of them. */
export function speedBagHit(add: Add, random: Random, seconds: Seconds, loudness: number, between: Seconds): void {
  const pitch = 190 + 12 * random.next();
  const board = (at: number, level: number): void => {
    const skin = noise(random, 500, 5000);
    add(
      at,
      0.16,
      (t) => loudness * level * (Math.sin(2 * Math.PI * pitch * t) * Math.exp(-t / 0.03) + 0.7 * skin() * Math.exp(-t / 0.012)),
    );
  };
  const fist = noise(random, 700, 6000);
  add(seconds, 0.1, (t) => loudness * 0.8 * fist() * Math.min(1, t / 0.001) * Math.exp(-t / 0.014));
  for (const [rebound, level] of [0.55, 0.4, 0.3].entries()) board(seconds + (between * (rebound + 1)) / 4, level);
}

/** A short breath out through the teeth. */
export function breath(add: Add, random: Random, seconds: Seconds): void {
  const hiss = noise(random, 1800, 6500);
  add(seconds, 0.16, (t) => 0.07 * hiss() * Math.sin(Math.PI * Math.min(1, t / 0.16)) ** 1.5);
}

/** A rubber sole on a mat. */
export function footstep(add: Add, random: Random, seconds: Seconds): void {
  const scuff = noise(random, 200, 1800);
  add(seconds, 0.09, (t) => 0.035 * scuff() * Math.exp(-t / 0.03));
}

/** A few reflections from the walls of a room, in place. */
export function inRoom(samples: Float32Array): void {
  for (const [delay, level] of [
    [0.0137, 0.22],
    [0.0231, 0.16],
    [0.0413, 0.1],
    [0.067, 0.06],
  ] as const) {
    const shift = Math.round(delay * sampleRate);
    for (let index = samples.length - 1; index >= shift; index--) samples[index]! += samples[index - shift]! * level;
  }
}

/** A struck bell: a few partials that ring on. */
export function bell(add: Add, seconds: Seconds, loudness = 0.3): void {
  const partials = [
    [1, 1, 1.1],
    [2.76, 0.35, 0.5],
    [5.4, 0.12, 0.2],
  ] as const;
  add(seconds, 2.4, (t) =>
    partials.reduce(
      (sum, [ratio, level, decay]) => sum + loudness * level * Math.sin(2 * Math.PI * 880 * ratio * t) * Math.exp(-t / decay),
      0,
    ),
  );
}

/** A round timer's beep. */
export function beep(add: Add, seconds: Seconds, lasts = 0.6, hertz = 1760, loudness = 0.25): void {
  add(seconds, lasts, (t) => loudness * Math.sin(2 * Math.PI * hertz * t) * Math.min(1, t / 0.005, (lasts - t) / 0.005));
}
